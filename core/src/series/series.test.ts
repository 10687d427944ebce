import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dishOf, partOf, stepOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { assess } from '../assess'
import { randomFrom } from '../chance'
import { Series, type SeriesFactor } from '../model'
import {
  analyse,
  bestGuess,
  boundsFault,
  centreOf,
  controlSetting,
  controlsOf,
  coordinates,
  designSeries,
  dishOfRun,
  gridOf,
  isInside,
  predictAt,
  readSeries,
  type SeriesPlan,
  settingWords,
  termsFor,
  unreached,
  weighable,
} from '.'

const dish = dishOf(
  partOf(['300 g white beans', '120 g walnuts', '80 g olive oil', '6 g salt'], 'crumble-mince', {
    name: 'Mince',
    steps: [stepOf('Mash the beans with the oil.'), stepOf('Bake at 180 °C for 20 minutes.')],
  }),
)
const [part] = dish.parts
const [reading] = assess(dish, testLibrary, testKitchen).parts
if (part === undefined || reading === undefined) throw new Error('no part')
const [beans, nuts, oil] = part.lines.map(({ id }) => id) as [string, string, string]
const bake = part.steps[1]?.id ?? ''

const share = (id: string, name: string, low: number, high: number): SeriesFactor => ({
  kind: 'share',
  id,
  name,
  low,
  high,
})
const three = [share(beans, 'beans', 0.4, 0.8), share(nuts, 'walnuts', 0.1, 0.5), share(oil, 'oil', 0.1, 0.3)]
const time: SeriesFactor = { kind: 'minutes', id: bake, name: 'bake', low: 10, high: 40 }
const planOf = (factors: SeriesFactor[], known: Partial<SeriesPlan> = {}): SeriesPlan => ({
  id: 's1',
  name: 'Beans, walnuts, oil',
  partId: part.id,
  createdAt: '2026-06-14T12:00:00Z',
  factors,
  model: 'quadratic',
  variableG: 500,
  perDay: 6,
  seed: 7,
  goals: [],
  ...known,
})
let count = 0
const newId = () => `run ${(count += 1)}`
const laid = (plan: SeriesPlan, stepG = 1) =>
  designSeries(plan, controlSetting(plan, dish, reading), stepG, newId)
const seriesOf = (plan: SeriesPlan): Series => Series.parse({ ...plan, runs: laid(plan).runs })

/** Scores of every run by a hidden law, with noise, and a day that scores high. */
function scored(series: Series, law: (at: readonly number[]) => number, noise = 0, day = 0): Series {
  const random = randomFrom(5)
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(6.28 * random())
  return {
    ...series,
    runs: series.runs.map((run) => ({
      ...run,
      scores: {
        chewiness: law(coordinates(series, run.setting)) + noise * normal() + (run.day === 1 ? day : 0),
      },
    })),
  }
}
const law = ([x = 0, y = 0, z = 0]: readonly number[]): number => 4 * x + 6 * y + 2 * z + 5 * x * y

describe('a series that is laid out', () => {
  it('has the terms of its model and some more runs, the control first each day', () => {
    const { runs, days, p, cautions } = laid(planOf(three))
    expect(p).toBe(6)
    expect(runs.filter(({ isControl }) => !isControl)).toHaveLength(6 + 3 + 2)
    expect(days).toBe(Math.ceil(11 / 5))
    for (let day = 1; day <= days; day += 1) {
      const own = runs.filter((run) => run.day === day).sort((a, b) => a.place - b.place)
      expect(own[0]?.isControl).toBe(true)
      expect(own.length).toBeLessThanOrEqual(6)
    }
    expect(cautions).toEqual([])
  })

  it('keeps every bound, weighs in whole grams, and its shares sum to one', () => {
    const plan = planOf(three)
    for (const { setting } of laid(plan).runs) {
      expect(setting.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9)
      for (const value of setting) expect(value * 500).toBeCloseTo(Math.round(value * 500), 6)
      expect(isInside(plan, setting)).toBe(true)
    }
  })

  it('is the same for the same seed, and another for another', () => {
    const settings = (seed: number) =>
      laid(planOf(three, { seed })).runs.map(({ setting, day }) => [setting, day])
    expect(settings(3)).toEqual(settings(3))
    expect(settings(3)).not.toEqual(settings(4))
  })

  it('spreads every factor over every day', () => {
    const plan = planOf(three)
    const { runs, days } = laid(plan)
    const middle = (at: number, of: typeof runs) =>
      of.reduce((sum, { setting }) => sum + (setting[at] ?? 0), 0) / of.length
    const own = runs.filter(({ isControl }) => !isControl)
    for (let day = 1; day <= days; day += 1)
      for (let at = 0; at < 3; at += 1) {
        const { low, high } = three[at] ?? { low: 0, high: 1 }
        expect(
          Math.abs(
            middle(
              at,
              own.filter((run) => run.day === day),
            ) - middle(at, own),
          ) /
            (high - low),
        ).toBeLessThan(0.25)
      }
  })

  it('crosses shares with times, and takes times and grams alone as well', () => {
    const both = laid(planOf([...three, time], { model: 'linear' }))
    expect(both.p).toBe(3 + 3)
    expect(new Set(both.runs.map(({ setting }) => setting[3])).size).toBeGreaterThan(1)
    const alone = laid(
      planOf([time, { kind: 'grams', id: oil, name: 'oil', low: 40, high: 120 }], { variableG: 0 }),
    )
    expect(alone.p).toBe(6)
    expect(alone.runs.every(({ setting: [minutes = 0] }) => minutes >= 10 && minutes <= 40)).toBe(true)
  })

  it('says what rounding does to a pinch on a coarse scale', () => {
    const pinch = planOf(
      [share(beans, 'beans', 0.9, 0.99), share(oil, 'gum', 0.01, 0.03), share(nuts, 'walnuts', 0, 0.07)],
      { variableG: 100 },
    )
    const { cautions, rounding } = laid(pinch)
    expect(rounding.most).toBeGreaterThan(0.05)
    expect(cautions.join(' ')).toContain('weigh finer')
  })

  it('refuses bounds that leave no blend, and names those that cannot be reached', () => {
    expect(
      boundsFault({ factors: [share(beans, 'beans', 0.7, 0.8), share(nuts, 'walnuts', 0.5, 0.6)] }),
    ).toContain('No blend')
    expect(boundsFault({ factors: [share(beans, 'beans', 0.2, 0.8), time] })).toContain('One share alone')
    expect(() => laid(planOf([share(beans, 'beans', 0.7, 0.8), share(nuts, 'walnuts', 0.5, 0.6)]))).toThrow(
      'No blend',
    )
    expect(
      unreached({ factors: [share(beans, 'beans', 0.4, 0.95), share(nuts, 'walnuts', 0.2, 0.6)] })[0],
    ).toContain('beans can only be 40 % to 80 %')
  })

  it('never leaves the total, whatever is weighed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 }),
        fc.constantFrom(0.1, 1, 5),
        (raw, step) => {
          const sum = raw.reduce((total, one) => total + one, 0)
          const setting = weighable(
            planOf(three),
            raw.map((one) => one / sum),
            step,
          )
          expect(setting.reduce((total, one) => total + one, 0)).toBeCloseTo(1, 9)
        },
      ),
    )
  })
})

describe('a run', () => {
  const series = seriesOf(planOf([...three, time], { model: 'linear' }))
  it('is a trial ready to cook: grams in the lines, minutes in the words', () => {
    const made = dishOfRun(dish, series, { setting: [0.5, 0.3, 0.2, 32] })
    expect(made.parts[0]?.lines.map(({ text }) => text)).toEqual([
      '250 g white beans',
      '150 g walnuts',
      '100 g olive oil',
      '6 g salt',
    ])
    expect(made.parts[0]?.steps[1]?.text).toBe('Bake at 180 °C for 32 minutes.')
    expect(assess(made, testLibrary, testKitchen).parts[0]?.rawMassG).toBeCloseTo(506, 6)
    expect(settingWords(series, [0.5, 0.3, 0.2, 32])).toBe(
      'beans 250 g, walnuts 150 g, oil 100 g, bake 32 min',
    )
  })

  it('says its own grams in the steps that named them, and leaves other numbers alone', () => {
    const worded = {
      ...dish,
      parts: dish.parts.map((one) => ({
        ...one,
        steps: [
          stepOf('Mash 300 g of the beans, then 120 g walnuts and 80 g oil; keep 80 g of beans aside.'),
          ...one.steps.slice(1),
        ],
      })),
    }
    const made = dishOfRun(worded, series, { setting: [0.5, 0.3, 0.2, 32] })
    expect(made.parts[0]?.steps[0]?.text).toBe(
      'Mash 250 g of the beans, then 150 g walnuts and 100 g oil; keep 80 g of beans aside.',
    )
  })

  it('as the formula stands is the control', () => {
    expect(controlSetting(series, dish, reading)).toEqual([0.6, 0.24, 0.16, 20])
  })
})

describe('what the runs say', () => {
  const plan = planOf(three, {
    goals: [{ attribute: 'chewiness', low: 3, target: 6, high: 9, importance: 2 }],
  })
  const series = seriesOf(plan)

  it('finds a hidden law again without noise, day or not', () => {
    for (const day of [0, 1.5]) {
      const { fit, isBlocked } = analyse(scored(series, law, 0, day), 'chewiness')
      expect(isBlocked).toBe(true)
      if (fit.coefficients === null) throw new Error('no fit')
      const offset = fit.coefficients.slice(0, 3).map((value, at) => value - [4, 6, 2][at]!)
      // A day that scores high lifts the mean of all days, and no difference between mixes.
      for (const one of offset) expect(one).toBeCloseTo(offset[0] ?? 0, 6)
      expect(fit.coefficients[3]).toBeCloseTo(5, 6)
      expect(fit.coefficients[4]).toBeCloseTo(0, 6)
    }
  })

  it('predicts with an interval that holds the truth in most of many noisy series', () => {
    let [inside, all] = [0, 0]
    for (let seed = 1; seed <= 20; seed += 1) {
      const random = randomFrom(seed)
      const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(6.28 * random())
      const noisy: Series = {
        ...series,
        runs: series.runs.map((run) => ({
          ...run,
          scores: { chewiness: law(coordinates(series, run.setting)) + 0.3 * normal() },
        })),
      }
      const at = [centreOf(series), [0.7, 0.15, 0.15]]
      predictAt(noisy, 'chewiness', at)?.forEach(({ low, high }, index) => {
        const truth = law(coordinates(series, at[index] ?? []))
        all += 1
        if (low !== null && high !== null && truth >= low && truth <= high) inside += 1
      })
    }
    expect(inside / all).toBeGreaterThan(0.85)
  })

  it('says so while nothing is scored', () => {
    expect(analyse(series, 'chewiness').words).toEqual([
      '0 scored runs for 6 terms: too few. Score more of them.',
    ])
    expect(bestGuess(series)).toBeNull()
  })

  it('says honestly what may be made of it', () => {
    const few = {
      ...series,
      runs: scored(series, law).runs.map((run, at) => (at < 4 ? run : { ...run, scores: {} })),
    }
    expect(analyse(few, 'chewiness').words[0]).toContain('too few')
    expect(predictAt(few, 'chewiness', [centreOf(series)])).toBeNull()
    expect(bestGuess(few)).toBeNull()
    const noise = scored(series, () => 5, 1)
    expect(analyse(noise, 'chewiness').words.join(' ')).toMatch(/no predictive value yet|foretells/)
    expect(analyse(scored(series, law, 0.1), 'chewiness').words.join(' ')).toContain('pure noise would give')
    const failed = {
      ...scored(series, law),
      runs: scored(series, law).runs.map((run, at) => (at === 2 ? { ...run, failed: 'would not set' } : run)),
    }
    expect(analyse(failed, 'chewiness')).toMatchObject({ failed: 1 })
    expect(analyse(failed, 'chewiness').words.at(-1)).toContain('One run failed')
  })

  it('guesses the best blend inside the bounds, with what each response would be', () => {
    const best = bestGuess(scored(series, law, 0.1))
    if (best === null) throw new Error('no guess')
    expect(isInside(series, best.setting)).toBe(true)
    expect(best.each[0]?.predicted.value).toBeCloseTo(6, 0)
    expect(best.desirability).toBeGreaterThan(0.9)
    expect(best.chance).toBeGreaterThan(0.9)
  })

  it('is read whole: a surface over three shares with every batch on it, within its bounds', () => {
    const { best, responses } = readSeries(scored(series, law, 0.1))
    const [only] = responses
    if (only?.surface?.kind !== 'ternary') throw new Error('no surface')
    expect(responses).toHaveLength(1)
    expect(only.surface.marks.filter(({ kind }) => kind === 'best')).toHaveLength(1)
    expect(only.surface.marks).toHaveLength(series.runs.length + 1)
    for (const { grams } of only.surface.points) {
      expect(grams.reduce((sum, one) => sum + one, 0)).toBeCloseTo(500, 6)
      grams.forEach((one, at) => expect(one / 500).toBeLessThanOrEqual((three[at]?.high ?? 0) + 1e-6))
    }
    // Where it is predicted best, the surface says the same.
    const near = only.surface.points.toSorted((a, b) => Math.abs(a.value - 6) - Math.abs(b.value - 6))[0]
    expect(near?.value).toBeCloseTo(best?.each[0]?.predicted.value ?? 0, 0)
    expect(readSeries(series)).toMatchObject({ best: null, responses: [{ surface: null }] })
  })

  it('of other factors is a line for each, and none leaves the bounds', () => {
    const both = seriesOf(planOf([...three.slice(0, 2), time], { model: 'linear', goals: plan.goals }))
    const read = readSeries(scored(both, ([x = 0, , z = 0]) => 5 + 2 * x + z))
    const [only] = read.responses
    if (only?.surface?.kind !== 'slices') throw new Error('no slices')
    expect(only.surface.slices.map(({ name, unit }) => [name, unit])).toEqual([
      ['beans', 'g'],
      ['walnuts', 'g'],
      ['bake', 'min'],
    ])
    const [first, , last] = only.surface.slices
    expect(first?.points.every(({ x }) => x >= 0.5 * 500 - 1e-6)).toBe(true)
    expect((last?.points.at(-1)?.y ?? 0) - (last?.points[0]?.y ?? 0)).toBeCloseTo(2, 6)
  })

  it('keeps the control of each day apart', () => {
    expect(controlsOf(scored(series, law, 0, 2), 'chewiness').map(({ day }) => day)).toEqual([1, 2, 3])
  })

  it('has a grid that keeps the bounds, and terms that a cook can read', () => {
    const grid = gridOf(series)
    expect(grid.length).toBeGreaterThan(40)
    expect(grid.every((setting) => isInside(series, setting))).toBe(true)
    expect(termsFor({ factors: [...three, time], model: 'linear' }).map(({ name }) => name)).toEqual([
      'beans',
      'walnuts',
      'oil',
      'beans × bake',
      'walnuts × bake',
      'oil × bake',
    ])
  })
})
