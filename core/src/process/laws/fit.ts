import type { RateConstant, YieldRow } from '../../model'
import { lawOf, PRIOR_LN_SD, rateFor, solidsLost, uptakeTau } from '../../program'
import { type Estimate, type GroupKin, kinRates, type OfOperation, weighed } from './fitKin'
import { dryingConstant, temperatureScale, waterAfterDrying } from './drying'
import { hobLimit, SURFACE_G_PER_MIN_DM2, surfaceRate } from './evaporation'
import { longTimeFraction, partingFraction } from './parting'
import { saturationFrom, uptakeAfter } from './uptake'

/** A 90 % range spans this many standard deviations. */
const RANGE_SDS = 3.29
const LEAST_LN_SD = 0.02

interface Situation {
  readonly water: number
  /** Water per g of solids that it goes in with: more than its own where it was soaked before. */
  readonly ratio: number
  readonly solids: number
  readonly oil: number
}

/** What a row starts from, g per g of the food going in. */
const situationOf = ({ waterPct, soakedPct, oilPct, factor }: YieldRow): Situation => ({
  water: waterPct / 100,
  ratio: (soakedPct ?? waterPct) / (100 - (soakedPct ?? waterPct)),
  solids: 1 - waterPct / 100,
  oil: (oilPct / 100) * factor,
})

/**
 * The constant that explains a row of the yields table.
 * @returns null where the operation follows no law, or the row's time is too short to tell
 */
export function constantOf(row: YieldRow): number | null {
  const { water, ratio, solids, oil } = situationOf(row)
  switch (lawOf(row.operation)) {
    case 'uptake': {
      const kept = solids * (1 - solidsLost(row.operation, row.group))
      const tau = uptakeTau(row.operation, row.group, row.tempC)
      return saturationFrom(ratio, (row.factor - kept) / kept, row.minutes, tau)
    }
    case 'drying': {
      const perMin = dryingConstant(water, solids, water - (1 - (row.factor - oil)), row.minutes)
      return perMin === null ? null : perMin / temperatureScale(row.operation, row.tempC)
    }
    case 'parting':
      return longTimeFraction(row.operation, row.factor, row.minutes)
    case null:
      return null
  }
}

/** The factor that a constant predicts for a row's food, time and temperature. */
export function factorOf(row: YieldRow, constant: number): number {
  const { water, ratio, solids, oil } = situationOf(row)
  switch (lawOf(row.operation)) {
    case 'uptake': {
      const kept = solids * (1 - solidsLost(row.operation, row.group))
      const tau = uptakeTau(row.operation, row.group, row.tempC)
      const full = kept * (1 + uptakeAfter(ratio, constant, row.minutes, tau))
      return row.liquidGPerG === null ? full : Math.min(full, 1 + row.liquidGPerG)
    }
    case 'drying': {
      const perMin = constant * temperatureScale(row.operation, row.tempC)
      return waterAfterDrying(water, solids, perMin, row.minutes) + solids + oil
    }
    case 'parting':
      return partingFraction(row.operation, constant, row.minutes)
    case null:
      return 1
  }
}

interface Point {
  readonly ln: number
  readonly sd: number
  readonly row: YieldRow
}

const groupedBy = <T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> => {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const name = key(item)
    const group = groups.get(name)
    if (group === undefined) groups.set(name, [item])
    else group.push(item)
  }
  return groups
}

/** @param alone scatter that one row alone stands for */
function mean(points: readonly Point[], alone: number = PRIOR_LN_SD): { ln: number; between: number } {
  const ln = points.reduce((sum, point) => sum + point.ln, 0) / points.length
  if (points.length < 2) return { ln, between: alone }
  const variance = points.reduce((sum, point) => sum + (point.ln - ln) ** 2, 0) / (points.length - 1)
  return { ln, between: Math.max(0.05, Math.sqrt(variance)) }
}

/** The middle one: what an operation usually does is not moved by the one food that it does the most to. */
function middle(points: readonly Point[]): number {
  const sorted = points.map(({ ln }) => ln).sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  const upper = sorted[half] ?? 0
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[half - 1] ?? upper)) / 2
}

/** How far foods of one group lie apart in an operation, over the groups that have several rows; never under the prior. */
function scatterWithin(groups: Iterable<readonly Point[]>): number {
  let sum = 0
  let freedom = 0
  for (const points of groups) {
    const { ln } = mean(points)
    sum += points.reduce((squares, point) => squares + (point.ln - ln) ** 2, 0)
    freedom += points.length - 1
  }
  return freedom === 0 ? PRIOR_LN_SD : Math.max(PRIOR_LN_SD, Math.sqrt(sum / freedom))
}

const compositionPoint = (waterPct: number | undefined): { ln: number; sd: number }[] =>
  waterPct === undefined ? [] : [{ ln: Math.log(waterPct / (100 - waterPct)), sd: COMPOSITION_LN_SD }]

/** A food's rows together with what its group says. */
const pooled = (points: readonly Estimate[], prior: { ln: number; between: number } | null): Estimate =>
  weighed([...(prior === null ? [] : [{ ln: prior.ln, sd: prior.between }]), ...points])

/** How well a cooked food's water says what it saturates at, on ln; practice. */
const COMPOSITION_LN_SD = 0.1
const COOKED_BY = new Set(['boil', 'absorb'])

/**
 * Fits the constants of the unit operations to a table of yields: by operation, by group of foods, and by food, where a
 * food is shrunk toward its group by the spread within the group and the range of its own rows.
 *
 * @param rows those without a law or without a telling time are left out
 * @param cookedWater water of a dry food's cooked state, g per 100 g: a second source for what cooking saturates at
 * @param kin groups that speak for one another where rows are wanting
 * @returns one constant for each operation, each group and each food that the rows name, then those taken over from kin
 */
export function fitRates(
  rows: readonly YieldRow[],
  cookedWater: ReadonlyMap<string, number> = new Map(),
  kin: ReadonlyMap<string, GroupKin> = new Map(),
): RateConstant[] {
  const points = rows.flatMap((row): Point[] => {
    const value = constantOf(row)
    if (value === null) return []
    return [{ ln: Math.log(value), sd: Math.max(LEAST_LN_SD, Math.log(row.high / row.low) / RANGE_SDS), row }]
  })
  const rates: RateConstant[] = []
  const fitted = new Map<string, OfOperation>()
  const add = (
    of: readonly Point[],
    group: string | null,
    ingredientId: string | null,
    found: { ln: number; sd: number },
  ) => {
    const operation = of[0]?.row.operation ?? ''
    const law = lawOf(operation)
    if (law === null) return
    const value = Number(Math.exp(found.ln).toPrecision(5))
    rates.push({
      operation,
      law,
      group,
      ingredientId,
      value,
      lnSd: Number(found.sd.toFixed(3)),
      rows: of.length,
    })
  }
  for (const [operation, ofOperation] of groupedBy(points, ({ row }) => row.operation)) {
    const byGroup = new Map<string, Estimate>()
    const byFood = new Map<string, Estimate & { group: string }>()
    fitted.set(operation, { byGroup, byFood })
    const whole = mean(ofOperation)
    add(ofOperation, null, null, { ln: middle(ofOperation), sd: whole.between })
    const groups = groupedBy(ofOperation, ({ row }) => row.group)
    const alone = scatterWithin(groups.values())
    for (const [group, ofGroup] of groups) {
      const usual = mean(ofGroup, alone)
      add(ofGroup, group, null, { ln: usual.ln, sd: usual.between })
      byGroup.set(group, { ln: usual.ln, sd: usual.between })
      const foods = groupedBy(
        ofGroup.filter(({ row }) => row.ingredientId !== null),
        ({ row }) => row.ingredientId ?? '',
      )
      for (const [ingredientId, ofFood] of foods) {
        const water = ofOperation.some(({ row }) => COOKED_BY.has(row.operation))
          ? cookedWater.get(ingredientId)
          : undefined
        const found = pooled(
          [...ofFood, ...compositionPoint(water)],
          ofGroup.length > ofFood.length ? usual : null,
        )
        add(ofFood, group, ingredientId, found)
        byFood.set(ingredientId, { ...found, group })
      }
    }
  }
  for (const [ingredientId, waterPct] of cookedWater) {
    if (rates.some((rate) => rate.ingredientId === ingredientId && COOKED_BY.has(rate.operation))) continue
    for (const { ln, sd } of compositionPoint(waterPct)) {
      rates.push({
        operation: 'boil',
        law: 'uptake',
        group: null,
        ingredientId,
        value: Number(Math.exp(ln).toPrecision(5)),
        lnSd: sd,
        rows: 0,
      })
    }
  }
  const known = new Set(rates.map(({ operation, ingredientId }) => `${operation} ${ingredientId ?? ''}`))
  return [
    ...rates,
    ...kinRates(fitted, kin).filter(
      ({ operation, ingredientId }) => ingredientId === null || !known.has(`${operation} ${ingredientId}`),
    ),
  ]
}

/** Power of the hob that the yields table's pots stand on, kW. Practice. */
const POT_POWER_KW = 2

/** A constant that scatters by more than this, on ln, foretells nothing. Practice. */
const TOO_VAGUE_LN_SD = 0.5

/**
 * The factor that fitted constants predict for a row.
 * @param eaten share that is left of whole foods when their refuse is cut away: what trimming takes
 * @returns null where they know neither the food, its kin nor the operation, or too little to foretell anything
 */
export function predictedFactor(
  row: YieldRow,
  rates: readonly RateConstant[],
  eaten: ReadonlyMap<string, number> = new Map(),
): number | null {
  const trimmed = row.operation === 'trim' ? eaten.get(row.ingredientId ?? '') : undefined
  if (trimmed !== undefined) return trimmed
  if (row.pot !== null) {
    const { chargeG, areaDm2, lid, bubbling } = row.pot
    const rate = surfaceRate(
      SURFACE_G_PER_MIN_DM2[bubbling],
      areaDm2,
      lid,
      1 - row.waterPct / 100,
      hobLimit(POT_POWER_KW),
    )
    return Math.max(0, 1 - (rate * row.minutes) / chargeG)
  }
  const rate =
    rateFor(rates, row.operation, row.ingredientId, row.group) ??
    rates.find(({ operation, group }) => operation === row.operation && group === null) ??
    null
  return rate === null || rate.lnSd > TOO_VAGUE_LN_SD ? null : factorOf(row, rate.value)
}
