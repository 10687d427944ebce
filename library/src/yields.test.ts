import { NO_SETTINGS, OperationId, type RateConstant, type YieldRow } from '@frijol/core/model'
import { fitRates, predictedFactor } from '@frijol/core/process'
import { stepFrom } from '@frijol/core/reading'
import { describe, expect, it } from 'vitest'
import { runOf, written } from '../test/dishes'
import { library } from '.'
import { cookedWater, eatenShares, readKin, readYields } from './build/yields'

const rows = readYields(new URL('../data/yields.csv', import.meta.url), library.ingredients)
const water = cookedWater(library.conversions, library.ingredients)
const kin = readKin(new URL('../data/group-kin.csv', import.meta.url))
const eaten = eatenShares(library.facts)

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN

interface Told {
  readonly id: string
  readonly points: number
  readonly isInside: boolean
}
/** Rounding of the table's own figures. */
const ROUNDED = 0.005
const told = (row: YieldRow, factor: number): Told => ({
  id: row.id,
  points: 100 * Math.abs(factor - row.factor),
  isInside: factor >= row.low - ROUNDED && factor <= row.high + ROUNDED,
})
const against = (tested: readonly YieldRow[], rates: readonly RateConstant[]): Told[] =>
  tested.flatMap((row) => {
    const factor = predictedFactor(row, rates, eaten)
    return factor === null ? [] : [told(row, factor)]
  })
const insideShare = (all: readonly Told[]): number =>
  all.filter(({ isInside }) => isInside).length / all.length

describe('the yields table', () => {
  it('is reproduced: median error under 6 points, nine of ten inside their range', () => {
    const all = against(rows, library.rates)
    expect(all.length).toBeGreaterThan(0.95 * rows.length)
    expect(median(all.map(({ points }) => points))).toBeLessThan(6)
    expect(insideShare(all)).toBeGreaterThanOrEqual(0.9)
  })

  it('foretells rows left out of their own fit: at least 200, median error at most 6 points', () => {
    const all = rows.flatMap((row) =>
      against(
        [row],
        fitRates(
          rows.filter((other) => other !== row),
          water,
          kin,
        ),
      ),
    )
    expect(all.length).toBeGreaterThanOrEqual(200)
    expect(median(all.map(({ points }) => points))).toBeLessThan(6)
    expect(insideShare(all)).toBeGreaterThan(0.77)
  })

  it('says nothing of a food where what it would take over scatters too much', () => {
    const [row] = rows.filter(({ id }) => id === 'chia_gel')
    if (row === undefined) throw new Error('no such row')
    const without = fitRates(
      rows.filter((other) => other !== row),
      water,
      kin,
    )
    expect(against([row], without)).toHaveLength(0)
  })

  it('is what the shipped constants were fitted to', () => {
    expect(fitRates(rows, water, kin)).toEqual(library.rates)
  })
})

/** Rows whose factor counts from something else than a listed mass: a can, an untrimmed root, a dough. */
const COUNTS_OTHERWISE = new Set(['drain', 'rinse', 'trim', 'desalt', 'coat', 'marinate', 'wash-gluten'])
const OTHER_START = new Set([
  'seitan_boil',
  'seitan_hard_boil',
  'seitan_pressure_broth',
  'chickpea_soaked_boil',
])

describe('a step of the method', () => {
  const tested = rows.filter(
    ({ id, ingredientId, pot, operation }) =>
      ingredientId !== null &&
      pot === null &&
      OperationId.safeParse(operation).success &&
      !COUNTS_OTHERWISE.has(operation) &&
      !OTHER_START.has(id),
  )

  it('does to a whole food what the table says: nine of ten inside their range', () => {
    const all = tested.map((row) => {
      const part = written([`100 g ${library.ingredients.get(row.ingredientId ?? '')?.name ?? ''}`], [])
      const [line] = part.lines
      if (line === undefined) throw new Error(row.id)
      const own = { ...line, ingredientId: row.ingredientId }
      const steps = [
        {
          ...stepFrom('', 's'),
          operation: OperationId.parse(row.operation),
          durationMin: row.minutes,
          tempC: row.tempC,
          settings: NO_SETTINGS,
          uses: [{ kind: 'line' as const, id: line.id, share: null }],
        },
      ]
      const whole = { ...part, lines: [own], steps }
      const { trace } = runOf(whole)
      const reading = trace[0]?.reading
      return told(row, (reading?.massG ?? Number.NaN) / (reading?.massInG ?? Number.NaN))
    })
    expect(all.length).toBeGreaterThan(120)
    expect(median(all.map(({ points }) => points))).toBeLessThan(6)
    expect(insideShare(all), JSON.stringify(all.filter(({ isInside }) => !isInside))).toBeGreaterThanOrEqual(
      0.9,
    )
  })
})
