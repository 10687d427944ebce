import { flavourOf } from '@frijol/core/assess'
import { defaultKitchen, type Dish } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { aimedDish, aimedMix } from '../test/aimedMix'
import { goodMixes } from '../test/goodMixes'
import { library } from '.'

/** The aroma of a mix of one part beside an original's. */
const aroma = (
  original: string,
  lines: readonly string[],
  steps: readonly string[],
  excluded: string[] = [],
) => aromaIn(aimedMix(lines, steps, original), excluded)
function aromaIn(dish: Dish, excluded: string[] = []) {
  const aimed = { ...dish, aim: { ...dish.aim, excluded } }
  const reading = flavourOf(aimed, dish.parts[0]?.id ?? '', library, defaultKitchen)?.aroma
  if (reading == null) throw new Error('no aroma')
  const note = (name: string) => {
    const found = reading.notes.find((one) => one.note === name)
    if (found === undefined) throw new Error(`no note ${name}`)
    return found
  }
  return { ...reading, note }
}

const MINCE = ['300 g cooked brown lentils', '60 g onion', '15 g oil']

describe('good plant analogues', () => {
  it('carry most notes of the original that they replace, and few of others', () => {
    const { signatures } = library.facts
    const carriedOf = (text: string, original: string): number => {
      const { notes } = aromaIn(aimedDish(text, original))
      const isCarried = ({ standing }: (typeof notes)[number]): boolean =>
        standing === 'carried' || standing === 'strong'
      return notes.filter(isCarried).length / notes.length
    }
    const mean = (of: readonly number[]): number => of.reduce((sum, one) => sum + one, 0) / of.length
    const known = goodMixes.flatMap(({ text, original }) =>
      original !== null && signatures.has(original) ? [{ text, original }] : [],
    )
    const others = [
      'beef_mince',
      'chicken_poached',
      'white_fish',
      'egg_scrambled',
      'sauce_cheese',
      'bacon_crisp',
    ]
    const own = known.map(({ text, original }) => carriedOf(text, original))
    const strange = known.flatMap(({ text, original }) =>
      others
        .filter((id) => signatures.get(id)?.[0]?.note !== signatures.get(original)?.[0]?.note)
        .map((id) => carriedOf(text, id)),
    )
    expect(own.length).toBeGreaterThan(40)
    expect(mean(own)).toBeGreaterThan(0.55)
    expect(mean(strange)).toBeLessThan(0.25)
  })
})

describe('what turns in any dish', () => {
  it('is told beside an original that has no such note', () => {
    const { turned, notes } = aroma(
      'lamb_mince',
      [...MINCE, '8 g liquid smoke', '30 g lemon juice'],
      ['Fry everything for 8 minutes.'],
    )
    expect(turned.map(({ turns }) => turns)).toEqual(['ashy'])
    expect(notes.map(({ note }) => note)).not.toContain('smoke')
  })
})

describe('the aroma of an original', () => {
  it('is known of all but meringue and the egg that binds', () => {
    const without = [...library.originals.keys()].filter((id) => !library.facts.signatures.has(id))
    expect(without.sort()).toEqual(['egg_binder', 'meringue_foam'])
  })
  it('finds meat savour in soy sauce, and offers what would bring it', () => {
    const plain = aroma('beef_mince', MINCE, ['Fry everything for 8 minutes.'])
    const savour = plain.note('meat savour')
    expect(savour.standing).toBe('missing')
    // 0.3 to 1 % of 375 g.
    const [first] = savour.offers
    expect(first?.foodId).toBe('yeast-extract')
    expect(first?.lowG).toBeCloseTo(1.1, 1)
    expect(first?.highG).toBeCloseTo(3.75, 1)
    const salty = aroma('beef_mince', [...MINCE, '8 g soy sauce'], ['Fry everything for 8 minutes.'])
    expect(salty.note('meat savour').standing).toBe('carried')
  })
  it('offers nothing that the aim excludes', () => {
    const names = (excluded: string[]) =>
      aroma('beef_mince', MINCE, ['Fry everything for 8 minutes.'], excluded)
        .note('meat savour')
        .offers.map(({ foodId }) => foodId)
    expect(names([])).toContain('soy-sauce')
    expect(names(['soy'])).not.toContain('soy-sauce')
    expect(names(['soy']).length).toBeGreaterThan(0)
  })
  it('wants onions browned, and says so where there are enough of them', () => {
    const stirred = aroma('beef_mince', MINCE, ['Stir together and simmer for 5 minutes.'])
    const raw = stirred.note('browned onion and tomato')
    expect(raw.standing).toBe('missing')
    expect(raw.offers[0]).toMatchObject({ foodId: 'onion', how: 'browned', there: 'enough' })
    const fried = aroma('beef_mince', MINCE, [
      'Fry the onion in the oil over medium heat until golden, 12 minutes.',
      'Add the lentils and warm through for 3 minutes.',
    ])
    expect(fried.note('browned onion and tomato').standing).toBe('carried')
  })
  it('loses black salt to the pan, and keeps what is stirred in at the end', () => {
    const lines = ['400 g soft tofu', '15 g oil', '2 g black salt']
    const early = aroma('egg_scrambled', lines, ['Fry everything over medium heat for 20 minutes.'])
    const late = aroma('egg_scrambled', lines, [
      'Fry the tofu in the oil over medium heat for 20 minutes.',
      'Stir in the black salt off the heat.',
    ])
    expect(late.note('egg sulphur').standing).toBe('carried')
    expect(early.note('egg sulphur').standing).not.toBe('carried')
    expect(early.note('egg sulphur').offers[0]).toMatchObject({ how: 'late', there: 'enough' })
  })
  it('leaves in the broth what is thrown away with it', () => {
    const lines = ['150 g vital wheat gluten', '180 g water', '3 g sage', '2 kg water']
    const kneaded = 'Mix the gluten with 180 g water and the sage and knead for 3 minutes.'
    const steamed = aroma('chicken_poached', lines.slice(0, 3), [kneaded, 'Steam for 40 minutes.'])
    const boiled = aroma('chicken_poached', lines, [
      kneaded,
      'Simmer it in the 2 kg of water for 1 hour.',
      'Drain.',
    ])
    const sage = ({ note }: ReturnType<typeof aroma>) =>
      note('poultry herbs').carriers.find(({ name }) => name.startsWith('Sage'))?.pct ?? 0
    expect(sage(steamed)).toBeGreaterThan(0.7)
    expect(sage(boiled)).toBeLessThan(sage(steamed))
    expect(steamed.turned[0]).toMatchObject({ turns: 'medicinal', badPct: 0.5 })
  })
  it('takes the tang of a cultured part for its own', () => {
    const cultured = aroma(
      'cheese_spread',
      ['200 g cashews, soaked', '120 g water', '30 g soy yogurt, cultured'],
      ['Blend until smooth.', 'Leave to culture at 40 °C for 10 hours.'],
    )
    expect(cultured.note('milk tang')).toMatchObject({ standing: 'carried' })
    expect(cultured.note('milk tang').carriers[0]).toMatchObject({ window: null })
  })
})
