import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { type AttributeId, defaultKitchen, type FamilyId, type PartAssessment } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { library } from '.'

/** A part of some lines after some steps, read by a family. */
function partOf(family: FamilyId, lines: readonly string[], steps: readonly string[]): PartAssessment {
  const text = [
    '# Mix',
    '',
    '## Ingredients',
    '',
    ...lines.map((line) => `- ${line}`),
    '',
    '## Method',
    '',
    ...steps.map((step, at) => `${at + 1}. ${step}`),
  ].join('\n')
  const read = readRecipes(text, mixContext())
  const dish = read.ok ? read.value[0] : undefined
  if (dish === undefined) throw new Error('the mix cannot be read')
  const parts = dish.parts.map((part, at) => (at > 0 ? part : { ...part, family }))
  const [part] = assess({ ...dish, parts }, library, defaultKitchen).parts
  if (part === undefined) throw new Error('no part')
  return part
}
const ratio = ({ ratios }: PartAssessment, id: string): number => {
  const found = ratios.find((one) => one.id === id)
  if (found === undefined) throw new Error(`no ratio ${id} among ${ratios.map((one) => one.id).join(', ')}`)
  return found.value
}
const attribute = ({ attributes }: PartAssessment, id: AttributeId): number => {
  const found = attributes.find((one) => one.id === id)
  if (found === undefined) throw new Error(`no attribute ${id}`)
  return found.value
}

describe('what hands do to food', () => {
  const dough = ['200 g vital wheat gluten', '260 g water', '10 g salt']
  const shreds = (...steps: string[]) =>
    ratio(
      partOf('shreddable', dough, [
        'Mix everything.',
        'Knead for 8 minutes.',
        ...steps,
        'Steam for 45 minutes.',
      ]),
      'strand-share',
    )
  it('draws dough out into strands: knotted more than folded, folded more than a lump', () => {
    expect(shreds('Tie the rope in knots.')).toBeGreaterThan(
      shreds('Fold the dough in three, three times.') + 10,
    )
    expect(shreds('Fold the dough in three, three times.')).toBeGreaterThan(
      shreds('Shape into a log 50 mm thick.') + 10,
    )
  })
  it('pulls mushrooms apart, which a blade undoes', () => {
    const mushrooms = (prep: string, ...steps: string[]) =>
      ratio(
        partOf(
          'shreddable',
          [`400 g oyster mushrooms${prep}`, '20 g olive oil'],
          [...steps, 'Roast at 200 C for 20 minutes.'],
        ),
        'strand-share',
      )
    expect(mushrooms(', torn', 'Toss everything.')).toBeGreaterThan(mushrooms('', 'Toss everything.') + 20)
    expect(mushrooms(', torn', 'Blend everything for 1 minute.')).toBeLessThan(5)
  })
  it('crumbles a curd or leaves it whole', () => {
    const curd = (step: string) =>
      ratio(partOf('crumbly-brined', ['400 g firm tofu', '8 g salt'], [step, 'Mix everything.']), 'crumb')
    expect(curd('Crumble the tofu.')).toBeGreaterThan(80)
    expect(curd('Cut the tofu into 15 mm cubes.')).toBeLessThan(10)
  })
  it('whips what foams: reduced liquid better than thin, and oil spoils it', () => {
    const foam = (lines: string[], ...steps: string[]) =>
      ratio(partOf('foam', lines, [...steps, 'Whip everything for 8 minutes.']), 'packing')
    const thin = foam(['300 g aquafaba'])
    expect(
      foam(['300 g aquafaba'], 'Simmer the aquafaba until it keeps 50 % of its mass.', 'Cool to 18 C.'),
    ).toBeGreaterThan(thin)
    expect(foam(['300 g aquafaba', '30 g sunflower oil'])).toBeLessThan(thin - 0.2)
  })
})

describe('what heat and cold do to it', () => {
  it('lets agar set only where it was boiled', () => {
    const agar = (step: string) =>
      partOf(
        'sliceable-gel',
        ['400 g vegetable stock', '4 g agar powder'],
        ['Whisk the agar into the stock.', step, 'Pour into a mould.', 'Chill for 6 hours.'],
      )
    const boiled = agar('Bring to the boil and boil for 3 minutes.')
    expect(ratio(boiled, 'agar')).toBeGreaterThan(0.7)
    expect(ratio(boiled, 'agar')).toBeLessThan(1.4)
    expect(boiled.behaviour.find(({ id }) => id === 'set')?.value).toMatch(/slices|firm/)
    expect(agar('Warm to 60 C.').behaviour.find(({ id }) => id === 'set')?.value).toBe('not set')
  })
  it('drives off the egg note of black salt that goes in early', () => {
    const curd = (...steps: string[]) =>
      attribute(
        partOf('egg-curd', ['400 g firm tofu', '2 g black salt', '20 g olive oil'], steps),
        'sulphury',
      )
    const late = curd(
      'Crumble the tofu.',
      'Fry the tofu in the oil for 8 minutes.',
      'Stir in the black salt off the heat.',
    )
    const early = curd('Crumble the tofu.', 'Fry the tofu in the oil with the black salt for 20 minutes.')
    expect(late).toBeGreaterThan(early + 1)
  })
  it('sours soy milk by its culture’s time', () => {
    const yogurt = (hours: number) =>
      partOf(
        'cultured-thick',
        ['800 g soy milk', '40 g live soy yogurt'],
        [
          'Heat the soy milk to 92 C for 10 minutes.',
          'Cool to 43 C.',
          'Whisk in the yogurt.',
          `Culture at 42 C for ${hours} hours.`,
        ],
      )
    expect(ratio(yogurt(10), 'ph')).toBeLessThan(ratio(yogurt(1), 'ph') - 1)
    expect(yogurt(10).behaviour.find(({ id }) => id === 'sour')?.confirm).toContain('local food code')
  })
  it('sets a fried batter instead of boiling it away', () => {
    const { rawMassG, cookedMassG } = partOf(
      'egg-curd',
      ['120 g chickpea flour', '280 g water', '10 g olive oil'],
      ['Whisk everything to a batter.', 'Fry in a pan for 4 minutes on each side.'],
    )
    expect(cookedMassG / rawMassG).toBeGreaterThan(0.65)
    expect(cookedMassG / rawMassG).toBeLessThan(0.95)
  })
  it('keeps dry pulses under water while they boil', () => {
    const { cookedMassG } = partOf(
      'bound-patty',
      ['300 g dry black beans', '3000 g water'],
      [
        'Soak the beans in half of the water for 12 hours.',
        'Drain.',
        'Boil in the rest of the water for 90 minutes.',
        'Drain.',
      ],
    )
    expect(cookedMassG).toBeGreaterThan(640)
  })
})

describe('water in words', () => {
  it('of a brine is the lot that was dissolved', () => {
    const part = partOf(
      'bound-patty',
      ['600 g cauliflower florets', '3000 g water', '30 g salt'],
      ['Dissolve the salt in the water.', 'Boil the florets in the salted water for 8 minutes.', 'Drain.'],
    )
    expect(part.cookedMassG).toBeLessThan(660)
    expect(part.totals.sodiumMg ?? 0).toBeLessThan(3000)
  })
  it('in plenty is the tap’s, where the list’s is for the blender', () => {
    const part = partOf(
      'spreadable',
      ['300 g cashews', '200 g water', '5 g salt'],
      [
        'Boil the cashews in plenty of water for 10 minutes.',
        'Drain the cashews.',
        'Blend everything for 2 minutes.',
      ],
    )
    expect(part.cookedMassG).toBeGreaterThan(560)
    expect(part.steps[0]?.takes.map(({ name }) => name)).not.toContain('Water')
  })
  it('has the grams that stand before it, not those of what is dissolved in it', () => {
    const part = partOf(
      'crumbly-brined',
      ['400 g firm tofu', '1000 g water', '60 g salt'],
      ['Dissolve 60 g salt in the water.', 'Leave the tofu in the brine for 24 hours.', 'Drain.'],
    )
    expect(part.steps[0]?.massInG).toBeCloseTo(1060, -1)
  })
})
