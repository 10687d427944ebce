import { describe, expect, it } from 'vitest'
import { dishOf, partOf, stepOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { assess, type Worked } from '../assess'
import { gramsLine } from '../measure'
import type { Dish, Part, Tasted, Trial } from '../model'
import { changesBetween, changeWords, entriesOf, lineage, stepNames, storyMarkdown, storyOf, vineOf } from '.'

const bench = { library: testLibrary, kitchen: testKitchen }
const worked = (dish: Dish): Worked => ({ dish, assessment: assess(dish, testLibrary, testKitchen) })

const LINES = ['300 g white beans', '80 g walnuts', '40 g olive oil', '20 g vital wheat gluten', '6 g salt']
const STEPS = [
  'Mash the beans with the oil.',
  'Stir in the walnuts, gluten and salt.',
  'Bake at 180 °C for 20 minutes.',
]
const base = (): Dish =>
  dishOf(partOf(LINES, 'crumble-mince', { name: 'Mince', steps: STEPS.map((text) => stepOf(text)) }))
const changed = (dish: Dish, change: (part: Part) => Part): Dish => ({
  ...dish,
  parts: dish.parts.map(change),
})
const words = (before: Dish, after: Dish): string[] =>
  changesBetween(worked(before), worked(after), stepNames(after.parts[0]?.steps ?? [], null)).map(
    (change) => change.words,
  )
const withMasses = (dish: Dish, masses: Record<number, number>): Dish =>
  changed(dish, (part) => ({
    ...part,
    lines: part.lines.map((line, at) => (masses[at] === undefined ? line : gramsLine(line, masses[at]))),
  }))

describe('what one trial has otherwise than another', () => {
  it('is nothing for the same formula', () => {
    const dish = base()
    expect(words(dish, dish)).toEqual([])
    expect(changeWords([])).toBe('')
  })

  it('is grams more and less, the largest share first, and salt counts for more than its mass', () => {
    const dish = base()
    expect(words(dish, withMasses(dish, { 1: 110, 2: 36, 4: 9 }))).toEqual([
      '+30 g walnuts',
      '+3 g salt',
      '−4 g olive oil',
    ])
  })

  it('tells a larger batch once, and only what moved against it', () => {
    const dish = base()
    expect(words(dish, withMasses(dish, { 0: 600, 1: 160, 2: 80, 3: 50, 4: 12 }))).toEqual([
      'batch × 2',
      '+10 g wheat gluten',
    ])
  })

  it('tells what came, what went, and what stands in for what', () => {
    const dish = base()
    const without = changed(dish, (part) => ({ ...part, lines: part.lines.filter((_, at) => at !== 4) }))
    expect(words(dish, without)).toEqual(['no salt (was 6 g)'])
    expect(words(without, dish)).toEqual(['+6 g salt (new)'])
    const [other] = partOf(['90 g raw cashews']).lines
    const swapped = changed(dish, (part) => ({
      ...part,
      lines: part.lines.map((line, at) => (at === 1 && other !== undefined ? other : line)),
    }))
    expect(words(dish, swapped)).toEqual(['90 g raw cashews in place of 80 g walnuts'])
  })

  it('tells times, heats, order, and steps that came and went', () => {
    const dish = base()
    const later = changed(dish, (part) => {
      const [mash, stir, bake] = part.steps
      return {
        ...part,
        steps: [
          mash,
          { ...stepOf('Chill for 30 minutes.'), id: 'c' },
          { ...bake, text: 'Bake at 200 °C for 35 minutes.', durationMin: 35, tempC: 200 },
          stir,
        ],
      } as Part
    })
    expect(words(dish, later).sort()).toEqual([
      'bake 35 min instead of 20 min',
      'bake at 200 instead of 180 °C',
      'new: chill for 30 minutes',
      'stir last',
    ])
  })

  it('keeps the words short: many new steps are one', () => {
    const dish = base()
    const rewritten = changed(withMasses(dish, { 1: 100 }), (part) => ({
      ...part,
      steps: ['Soak the beans for 8 hours.', 'Drain the beans.', 'Boil the beans for 60 minutes.'].map(
        (text) => stepOf(text),
      ),
    }))
    const all = changesBetween(worked(dish), worked(rewritten), stepNames([], null))
    expect(changeWords(all)).toBe('+20 g walnuts; method rewritten (3 new, 3 gone)')
  })
})

const trialOf = (dish: Dish, number: number, known: Partial<Trial> = {}): Trial => ({
  format: 'frijol/trial',
  version: 1,
  id: `trial-${number}`,
  dishId: dish.id,
  number,
  fromNumber: number === 1 ? null : number - 1,
  state: 'made',
  date: `2026-06-0${number}`,
  aim: dish.aim,
  parts: dish.parts,
  written: [],
  asMade: [],
  photoIds: [],
  notes: '',
  why: [],
  decision: '',
  ...known,
})
const tastedOf = (
  dish: Dish,
  trialNumber: number,
  attribute: Tasted['attribute'],
  observed: number,
): Tasted => ({
  id: `${trialNumber} ${attribute}`,
  tastingId: `tasting ${trialNumber}`,
  family: 'crumble-mince',
  attribute,
  predicted: 5,
  observed,
  sd: 0.5,
  people: 5,
  label: '',
  date: '2026-06-09',
  dishId: dish.id,
  trialNumber,
  partId: dish.parts[0]?.id ?? null,
  by: 'tasters',
})

describe('the vine', () => {
  const dish = base()
  const second = withMasses(dish, { 1: 140 })
  const now: Dish = { ...withMasses(dish, { 1: 140, 2: 20 }), trial: { number: 3, fromNumber: 2, why: [] } }
  const salt = second.parts[0]?.lines[4]?.id ?? ''
  const trials = [
    trialOf(dish, 1),
    trialOf({ ...dish, parts: second.parts }, 2, {
      asMade: [{ lineId: salt, massG: 9, instead: null }],
      state: 'set-aside',
      decision: 'Too dry',
    }),
  ]
  const attributes = assess(dish, testLibrary, testKitchen).parts[0]?.attributes ?? []
  const counted = attributes.filter(({ weight }) => weight > 0)
  const kitchen = {
    ...testKitchen,
    tasted: counted.flatMap(({ id }) => [tastedOf(dish, 1, id, 4), tastedOf(dish, 2, id, 6)]),
  }
  const vine = [...vineOf(entriesOf(dish, trials), { library: testLibrary, kitchen })]

  it('has every trial and the formula in work, newest first, each beside its parent', () => {
    const all = [...vineOf(entriesOf(now, trials), bench)]
    expect(all.map(({ number, state }) => [number, state])).toEqual([
      [3, 'now'],
      [2, 'set-aside'],
      [1, 'made'],
    ])
    expect(all.map(({ parts }) => changeWords(parts[0]?.changes ?? []))).toEqual([
      '−20 g olive oil',
      '+60 g walnuts',
      '',
    ])
    expect(all[1]?.parts[0]?.effects.length).toBeGreaterThan(0)
    expect(lineage(all, 3)).toEqual([1, 2, 3])
  })

  it('judges what was made, and says what was weighed otherwise', () => {
    const two = vine.find(({ number }) => number === 2)
    expect(two?.madeOtherwise).toEqual(['3 g more salt'])
    const asWritten = [...vineOf(entriesOf(dish, [trialOf({ ...dish, parts: second.parts }, 2)]), bench)]
    expect(two?.sodiumMgPerPortion).toBeGreaterThan(
      asWritten.find(({ number }) => number === 2)?.sodiumMgPerPortion ?? Infinity,
    )
  })

  it('puts what was tasted beside what the model says', () => {
    const [, two, one] = vine
    expect(one?.parts[0]?.tasted).not.toBeNull()
    expect(two?.parts[0]?.tastedEffects.map(({ change }) => Number(change.toFixed(6)))).toEqual(
      counted.map(() => 2),
    )
    expect(one?.parts[0]?.predicted?.sd).toBeGreaterThan(0)
    expect([...vineOf(entriesOf(dish, trials), bench)][2]?.parts[0]?.tasted).toBeNull()
  })

  it('lets a trial whose parent is gone stand by itself', () => {
    const [alone] = [...vineOf(entriesOf({ ...now, trial: { ...now.trial, fromNumber: 9 } }, []), bench)]
    expect(alone?.parts[0]?.changes).toEqual([])
  })

  it('does not go round in a ring of parents', () => {
    expect(
      lineage(
        [
          { number: 1, fromNumber: 2 },
          { number: 2, fromNumber: 1 },
        ],
        1,
      ),
    ).toEqual([2, 1])
  })

  it('is told as a story, page and Markdown, with what was set aside and why', () => {
    const told = storyOf({
      dish: now,
      partId: null,
      entries: [...vineOf(entriesOf(now, trials), { library: testLibrary, kitchen })],
      ideas: [],
      tastings: [{ date: '2026-06-09', name: 'Profile', headline: 'They miss *chew*.' }],
      day: (date) => date,
    })
    expect(told.chapters.map(({ heading }) => heading)).toEqual([
      'The aim',
      'Trial 1, 2026-06-01',
      'Trial 2, 2026-06-02: set aside',
      'What tasters said',
      'What was learned',
      'Where it stands',
    ])
    const text = storyMarkdown(told)
    expect(text).toContain('From trial 1: +60 g walnuts.')
    expect(text).toContain('Made otherwise than written: 3 g more salt.')
    expect(text).toContain('Too dry.')
    expect(text).toContain('They miss \\*chew\\*.')
    expect(text).toMatch(/It came by way of trial 1, trial 2, trial 3\./)
  })
})
