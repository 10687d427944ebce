import {
  batchDishes,
  beginSession,
  checksOfDay,
  closingOf,
  differenceWords,
  dishesOfDay,
  madeTrial,
  measuresFor,
  planDay,
  tastedByChecks,
  trialOfBatch,
  weighLines,
} from '@frijol/core/day'
import { assess } from '@frijol/core/assess'
import { symptomsOfGaps } from '@frijol/core/diagnosis'
import { tastedGaps, tastedOfTrial } from '@frijol/core/history'
import { readRecipes } from '@frijol/core/interchange'
import {
  type CookSession,
  type DayBatch,
  type DayMeasure,
  defaultKitchen,
  type Dish,
  type FamilyId,
  type Series,
  Trial,
} from '@frijol/core/model'
import { controlSetting, designSeries } from '@frijol/core/series'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { library } from '.'

const bench = { library, kitchen: defaultKitchen }

function dishFrom(text: string, family: FamilyId, originalId: string): Dish {
  const read = readRecipes(text, mixContext())
  const dish = read.ok ? read.value[0] : undefined
  if (dish === undefined) throw new Error(`not read: ${text}`)
  return { ...dish, parts: dish.parts.map((part) => ({ ...part, family, originalId })) }
}
const GRAVY = dishFrom(
  `# Brown gravy

Serves 4

## Ingredients

- 500 g vegetable stock
- 30 g wheat flour
- 30 g olive oil
- 20 g soy sauce

## Method

1. Cook the flour in the olive oil for 3 minutes.
2. Stir in the vegetable stock and the soy sauce and simmer for 8 minutes.
`,
  'coating-sauce',
  [...library.originals.values()].find(({ family }) => family === 'coating-sauce')?.id ?? '',
)
const [sauce] = GRAVY.parts
if (sauce === undefined) throw new Error('no part')
const last = sauce.steps.at(-1)?.id ?? null

const planFor = (dishes: readonly Dish[]) =>
  planDay({ dishes, anchor: { kind: 'serve', at: '2026-06-18T13:00:00Z' }, cooks: 1, away: [] }, bench, {
    effort: 400,
  })
const sessionWith = (
  dishes: readonly Dish[],
  measures: readonly Pick<DayMeasure, 'kind' | 'value' | 'stepId'>[],
): CookSession => ({
  ...beginSession(planFor(dishes), [...dishes], 0),
  measures: measures.map((one, at) => ({
    id: `m${at}`,
    at,
    dishId: GRAVY.id,
    partId: sauce.id,
    ...one,
  })),
})
const spread = (value: number, stepId = last) => ({ kind: 'line-spread' as const, value, stepId })
const OF = { dayId: 'day', dishId: GRAVY.id, trialNumber: 3, date: '2026-06-18' }

describe('what is measured at the counter', () => {
  it('is offered by what the family of the part is judged by, at its end', () => {
    expect(measuresFor('simmer', 'coating-sauce', true)).toContain('sieve')
    expect(measuresFor('steam', 'bound-dough-slice', true)).toContain('press-force')
    expect(measuresFor('steam', 'bound-dough-slice', false)).not.toContain('press-force')
  })

  it('is a place on the scale, the median where it was repeated', () => {
    const [check, ...more] = checksOfDay(sessionWith([GRAVY], [spread(5), spread(5.4), spread(11)]), GRAVY)
    expect(more).toEqual([])
    expect(check).toMatchObject({ value: 5.4, times: 3, part: sauce.name })
    expect(check?.points).toBeCloseTo(8.5 - 0.8 * 5.4, 6)
  })

  it('counts at the end of the part alone', () => {
    const halfway = sauce.steps[0]?.id ?? null
    expect(checksOfDay(sessionWith([GRAVY], [spread(5, halfway)]), GRAVY)).toEqual([])
  })

  it('stands in the words of the trial', () => {
    const words = differenceWords(closingOf(sessionWith([GRAVY], [spread(5)]), GRAVY, bench))
    expect(words.join(' ')).toMatch(/spreads: 5 cm: thickness 4\.5\./)
  })

  it('teaches the family: what the shipped model says beside what was measured', () => {
    const kitchen = { ...defaultKitchen, tasted: [] }
    const [taught, ...more] = tastedByChecks(sessionWith([GRAVY], [spread(8)]), GRAVY, bench, OF)
    expect(more).toEqual([])
    const own = assess(GRAVY, library, kitchen).parts[0]
    const before = own?.attributes.find(({ id }) => id === 'thickness')?.value ?? NaN
    expect(taught).toMatchObject({ attribute: 'thickness', by: 'check', trialNumber: 3, people: 1 })
    expect(taught?.predicted).toBeCloseTo(before, 6)
    expect(taught?.observed).toBeCloseTo(2.1, 6)
    if (taught === undefined) return
    const after = assess(GRAVY, library, { ...kitchen, tasted: [taught] }).parts[0]
    const moved = (after?.attributes.find(({ id }) => id === 'thickness')?.value ?? NaN) - before
    expect(Math.sign(moved)).toBe(Math.sign(2.1 - before))
    expect(Math.abs(moved)).toBeLessThan(Math.abs(2.1 - before))
  })

  it('predicts from what was weighed, not from what is written', () => {
    const measured = sessionWith([GRAVY], [spread(5)])
    const lines = weighLines(GRAVY, assess(GRAVY, library, defaultKitchen), defaultKitchen)
    const flour = lines.find(({ name }) => /flour/i.test(name))
    if (flour === undefined) throw new Error('no flour')
    const more = {
      ...measured,
      weighings: [
        {
          id: 'w',
          dishId: GRAVY.id,
          partId: flour.partId,
          lineId: flour.lineId,
          stepId: flour.stepId,
          targetG: flour.targetG,
          massG: 60,
          at: 1,
          by: 'scale' as const,
          instead: null,
          additions: [],
        },
      ],
    }
    const predicted = (of: CookSession) => tastedByChecks(of, GRAVY, bench, OF)[0]?.predicted ?? NaN
    expect(predicted(more)).toBeGreaterThan(predicted(measured) + 0.3)
  })

  it('starts a diagnosis: far thinner than the original is a sauce that is too thin', () => {
    const taught = tastedByChecks(sessionWith([GRAVY], [spread(10)]), GRAVY, bench, OF)
    const part = assess(GRAVY, library, defaultKitchen).parts[0]
    if (part === undefined) throw new Error('no part')
    const gaps = tastedGaps(part, tastedOfTrial(taught, GRAVY.id, 3, part))
    expect(gaps).toMatchObject([{ attribute: 'thickness' }])
    expect(symptomsOfGaps(gaps, part.family)[0]?.symptom.words).toMatch(/thin/i)
  })
})

describe('runs of a series as batches of one day', () => {
  const plan = {
    id: 'series',
    name: 'flour and oil',
    partId: sauce.id,
    createdAt: '2026-06-18T08:00:00Z',
    factors: sauce.lines.slice(1, 3).map((line, at) => ({
      kind: 'grams' as const,
      id: line.id,
      name: ['Flour', 'Oil'][at] ?? '',
      low: 20,
      high: 45,
    })),
    model: 'linear' as const,
    variableG: 0,
    perDay: 4,
    seed: 3,
    goals: [],
  }
  const reading = assess(GRAVY, library, defaultKitchen).parts[0]
  if (reading === undefined) throw new Error('no reading')
  let count = 0
  const { runs } = designSeries(plan, controlSetting(plan, GRAVY, reading), 1, () => `run-${(count += 1)}`)
  const series: Series = { ...plan, runs: [...runs] }
  const whole: Dish = {
    ...GRAVY,
    series: [series],
    parts: [...GRAVY.parts, { ...sauce, id: 'other', name: 'Other', lines: [], steps: [] }],
  }
  const batches = runs
    .filter(({ day }) => day === 1)
    .map(({ id }, at): DayBatch => ({
      id: `batch-${at}`,
      dishId: whole.id,
      seriesId: series.id,
      runId: id,
      trialNumber: 5 + at,
    }))

  it('are dishes of their own, with the varied part alone and the weights of the run', () => {
    const dishes = batchDishes(whole, batches)
    expect(dishes).toHaveLength(batches.length)
    for (const [at, dish] of dishes.entries()) {
      const run = runs.find(({ id }) => id === batches[at]?.runId)
      expect(dish).toMatchObject({ id: `batch-${at}`, trial: { number: 5 + at } })
      expect(dish.parts.map(({ id }) => id)).toEqual([sauce.id])
      const grams = assess(dish, library, defaultKitchen).parts[0]?.lines.map(({ massG }) => massG)
      expect(grams?.slice(1, 3)).toEqual(run?.setting)
    }
    expect(new Set(dishes.map(({ name }) => name)).size).toBe(dishes.length)
  })

  it('stand in the place of the dish, which is itself without any', () => {
    expect(dishesOfDay(whole, [])).toEqual([whole])
    expect(dishesOfDay(whole, batches)).toHaveLength(batches.length)
    expect(dishesOfDay({ ...whole, series: [] }, batches)).toMatchObject([{ id: whole.id }])
  })

  it('are planned as one day and weighed each on its own', () => {
    const dishes = batchDishes(whole, batches)
    const { tasks } = planFor(dishes)
    expect(new Set(tasks.map(({ dishId }) => dishId))).toEqual(new Set(batches.map(({ id }) => id)))
    const keys = dishes.flatMap((dish) =>
      weighLines(dish, assess(dish, library, defaultKitchen), defaultKitchen).map(({ key }) => key),
    )
    expect(new Set(keys).size).toBe(keys.length)
  })

  it('become trials of the dish with its other parts', () => {
    const [dish] = batchDishes(whole, batches)
    const [batch] = batches
    if (dish === undefined || batch === undefined) throw new Error('no batch')
    const session = sessionWith([dish], [])
    const made = madeTrial(session, dish, bench, { id: 't', date: '2026-06-18', clock: String })
    const trial = trialOfBatch(made, batch, whole)
    expect(Trial.safeParse(trial).success).toBe(true)
    expect(trial).toMatchObject({ dishId: whole.id, number: 5 })
    expect(trial.parts.map(({ id }) => id)).toEqual(whole.parts.map(({ id }) => id))
    expect(trial.parts[0]?.lines[1]).toEqual(dish.parts[0]?.lines[1])
    expect(trialOfBatch(made, batch, null).parts).toHaveLength(1)
  })
})
