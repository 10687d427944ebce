import type { RateConstant } from '../../model'
import { lawOf } from '../../program'

/** How a group of foods stands to others: where it has no rows of its own, its kin speak for it. */
export interface GroupKin {
  /** Groups that behave most alike, nearest first. */
  readonly kin: readonly string[]
  /** Usual thickness of its pieces, mm; 0 where it has none. */
  readonly sizeMm: number
}

/** Operations that do nearly the same to a food by the same law. @source practice */
const ALIKE: Readonly<Record<string, readonly string[]>> = {
  soak: ['hydrate', 'boil'],
  hydrate: ['soak'],
  boil: ['absorb', 'simmer', 'pressure-cook', 'soak'],
  absorb: ['boil'],
  simmer: ['boil'],
  'pressure-cook': ['boil', 'simmer'],
  steam: ['steam-wrapped', 'boil-wet'],
  'boil-wet': ['steam'],
  squeeze: ['press'],
  press: ['squeeze'],
  drain: ['rinse'],
  rinse: ['drain'],
  sweat: ['water-saute', 'brown'],
  'water-saute': ['sweat', 'brown'],
  brown: ['sear', 'water-saute'],
  sear: ['brown'],
  roast: ['air-fry', 'grill'],
  'air-fry': ['roast'],
  grill: ['roast', 'air-fry'],
  'shallow-fry': ['deep-fry'],
  'deep-fry': ['shallow-fry'],
}
/** Scatter that a constant gains when it is taken over from kin, and from another operation, on ln. Practice. */
const KIN_LN_SD = 0.2
const ALIKE_LN_SD = 0.35
/** Thin pieces dry the quicker: a constant goes with this power of the thickness. Practice. */
const SIZE_POWER = 0.5

const FOOD_LN_SD = 0.1
const FAR_LN_SD = 0.6
/** What these do to a food says nothing of its kin: how much is cut away, how much clings. */
const EACH_ITS_OWN: ReadonlySet<string> = new Set([
  'trim',
  'coat',
  'marinate',
  'freeze-thaw',
  'spherify',
  'desalt',
])

export interface Estimate {
  readonly ln: number
  readonly sd: number
}
/** What the rows of one operation say: by group, and by food. */
export interface OfOperation {
  readonly byGroup: ReadonlyMap<string, Estimate>
  readonly byFood: ReadonlyMap<string, Estimate & { readonly group: string }>
}
type ByOperation = ReadonlyMap<string, OfOperation>

/** Estimates weighed by inverse variance. @param all at least one */
export function weighed(all: readonly Estimate[]): Estimate {
  let weight = 0
  let sum = 0
  for (const { ln, sd } of all) {
    weight += 1 / sd ** 2
    sum += ln / sd ** 2
  }
  return { ln: sum / weight, sd: Math.sqrt(1 / weight) }
}

/** By how much one operation's constants stand above another's, on ln, where both know the same; 0 where they never do. */
function offset(here: ReadonlyMap<string, Estimate>, there: ReadonlyMap<string, Estimate>): number {
  let sum = 0
  let shared = 0
  for (const [name, { ln }] of here) {
    const other = there.get(name)
    if (other === undefined) continue
    sum += ln - other.ln
    shared += 1
  }
  return shared === 0 ? 0 : sum / shared
}

const alikeOf = (fitted: ByOperation, operation: string): readonly OfOperation[] =>
  (ALIKE[operation] ?? []).flatMap((name) => {
    const found = fitted.get(name)
    return found !== undefined && lawOf(name) === lawOf(operation) ? [found] : []
  })

/** What a thickness does to a drying constant, on ln. */
const thinner = (fromMm: number, toMm: number): number =>
  fromMm > 0 && toMm > 0 ? SIZE_POWER * Math.log(fromMm / toMm) : 0

/** A group's constant from its kin and from operations alike; null where neither says anything. */
function kinEstimate(
  fitted: ByOperation,
  operation: string,
  group: string,
  kin: ReadonlyMap<string, GroupKin>,
): Estimate | null {
  const here = fitted.get(operation)
  const own = kin.get(group)
  if (here === undefined || own === undefined) return null
  const isDrying = lawOf(operation) === 'drying'
  const from = (other: string, sd: number): Estimate[] => {
    const known = here.byGroup.get(other)
    if (known === undefined) return []
    const shift = isDrying ? thinner(kin.get(other)?.sizeMm ?? 0, own.sizeMm) : 0
    return [{ ln: known.ln + shift, sd: Math.hypot(known.sd, sd) }]
  }
  if (EACH_ITS_OWN.has(operation)) return null
  const near = own.kin.flatMap((other, at) => from(other, KIN_LN_SD * (1 + at / 2)))
  const alike = alikeOf(fitted, operation).flatMap((there) => {
    const known = there.byGroup.get(group)
    return known === undefined
      ? []
      : [{ ln: known.ln + offset(here.byGroup, there.byGroup), sd: Math.hypot(known.sd, ALIKE_LN_SD) }]
  })
  const all = [...near, ...alike]
  if (all.length > 0) return weighed(all)
  const far = isDrying ? [...here.byGroup.keys()].flatMap((other) => from(other, FAR_LN_SD)) : []
  return far.length > 0 ? { ...weighed(far), sd: FAR_LN_SD } : null
}

/** A food's constant from its own in an operation alike, with its group's here; null where none knows the food. */
function foodEstimate(
  fitted: ByOperation,
  operation: string,
  food: string,
  here: OfOperation,
  group: Estimate,
): Estimate | null {
  for (const there of alikeOf(fitted, operation)) {
    const known = there.byFood.get(food)
    if (known === undefined) continue
    const shift = offset(here.byFood, there.byFood)
    return weighed([group, { ln: known.ln + shift, sd: Math.hypot(known.sd, FOOD_LN_SD) }])
  }
  return null
}

/**
 * Constants for groups and foods that an operation has no rows of: from kin groups, from operations alike, and for drying
 * from all groups by their thickness; each with the scatter that taking over brings.
 * @param fitted what rows say
 * @returns constants with `rows` 0
 */
export function kinRates(fitted: ByOperation, kin: ReadonlyMap<string, GroupKin>): RateConstant[] {
  const rates: RateConstant[] = []
  const add = (operation: string, group: string, ingredientId: string | null, { ln, sd }: Estimate) => {
    const law = lawOf(operation)
    if (law === null) return
    const value = Number(Math.exp(ln).toPrecision(5))
    rates.push({ operation, law, group, ingredientId, value, lnSd: Number(sd.toFixed(3)), rows: 0 })
  }
  for (const [operation, here] of fitted) {
    for (const group of kin.keys()) {
      if (here.byGroup.has(group)) continue
      const found = kinEstimate(fitted, operation, group, kin)
      if (found !== null) add(operation, group, null, found)
    }
    const foods = new Map(
      alikeOf(fitted, operation).flatMap(({ byFood }) => [...byFood].map(([id, { group }]) => [id, group])),
    )
    for (const [food, group] of foods) {
      const usual = here.byGroup.get(group)
      if (usual === undefined || here.byFood.has(food)) continue
      const found = foodEstimate(fitted, operation, food, here, usual)
      if (found !== null) add(operation, group, food, found)
    }
  }
  return rates
}
