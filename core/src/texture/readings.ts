import type { AttributeReading, RatioReading, RatioWindow } from '../model'
import type { PartState } from '../process'
import { attributeValue, type Calibrations, type FamilyTable, type RatioTable } from './family'
import { bandOf, type Goal, weightOf, windowOf } from './goal'
import { type Input, type InputId, inputOf, type Knowledge, plainOf, type Served } from './inputs'
import { log10 } from './structure'
import { waterBudget } from './water'

/** Beyond the band by more than this is well outside. Practice. */
const WELL_OUTSIDE = 1
/** A gap that rounds to 0.0 is none. */
const LEAST_GAP = 0.05
/** Known for less of the mass than this, a reading is said to be partly known, and widened. */
const WELL_KNOWN = 0.9
/** Known for less than this, there is no reading. */
const LEAST_KNOWN = 0.5
/** What the unknown rest can do to an attribute, points, and to a ratio, share of its window. Practice. */
const UNKNOWN_POINTS = 5
const UNKNOWN_WINDOWS = 1

/** The values of a family's ratios and attributes for one state. */
export interface Values {
  readonly ratios: Float64Array
  readonly attributes: Float64Array
}

/** A part as it is served: at the temperature that was set, at the original's, else at the family's usual one. */
export const served = (table: FamilyTable, state: PartState, { original, moved }: Goal): Served => ({
  state,
  water: waterBudget(state.mixed, Math.max(0, state.mixed.waterG - state.cooked.waterG)),
  servingC: moved.servingTempC ?? original?.servingTempC ?? table.servingC,
  slackCentre: table.slackCentre,
})

/** A family's inputs, each once, and where its ratios and terms find theirs. Kept for each table. */
interface Wiring {
  readonly inputs: readonly Input[]
  /** Place of the input that a logarithm is taken of; -1 for all others. */
  readonly plain: readonly number[]
  readonly at: ReadonlyMap<InputId, number>
}
const wirings = new WeakMap<FamilyTable, Wiring>()
function wiringOf(table: FamilyTable): Wiring {
  const known = wirings.get(table)
  if (known !== undefined) return known
  const asked = [
    ...new Set([
      ...table.ratios.map(({ input }) => input),
      ...table.attributes.flatMap(({ terms }) => terms.map(({ input }) => input)),
    ]),
  ]
  // What logarithms are taken of comes first, once.
  const ids = [...new Set([...asked.flatMap((id) => plainOf(id) ?? []), ...asked])]
  const at = new Map(ids.map((id, index) => [id, index]))
  const made = {
    inputs: ids.map(inputOf),
    at,
    plain: ids.map((id, index) => {
      const plain = plainOf(id)
      const place = plain === null ? undefined : at.get(plain)
      return place !== undefined && place < index ? place : -1
    }),
  }
  wirings.set(table, made)
  return made
}
const NOT_CALIBRATED: Calibrations = new Map()

/** Ratios and attributes of a state: every input once. */
export function valuesOf(
  table: FamilyTable,
  at: Served,
  calibrations: Calibrations = NOT_CALIBRATED,
): Values {
  const { inputs, plain, at: places } = wiringOf(table)
  const known = new Float64Array(inputs.length)
  for (let index = 0; index < inputs.length; index += 1) {
    const of = plain[index] ?? -1
    known[index] = of >= 0 ? log10(known[of] ?? Number.NaN) : (inputs[index]?.value(at) ?? Number.NaN)
  }
  const valueOf = (id: InputId): number => known[places.get(id) ?? -1] ?? Number.NaN
  const ratios = new Float64Array(table.ratios.length)
  table.ratios.forEach(({ input }, index) => {
    ratios[index] = valueOf(input)
  })
  const attributes = new Float64Array(table.attributes.length)
  table.attributes.forEach((attribute, index) => {
    attributes[index] = attributeValue(attribute, valueOf, calibrations.get(attribute.id) ?? null)
  })
  return { ratios, attributes }
}

export interface Readings {
  readonly ratios: RatioReading[]
  readonly attributes: AttributeReading[]
}

/** Whether a ratio has a say: agar where there is any, gluten where it makes the dough. */
const isAsked = ({ onlyAbove }: RatioTable, at: Served): boolean =>
  onlyAbove === undefined || inputOf(onlyAbove[0]).value(at) > onlyAbove[1]

const windowState = (value: number, { low, bestLow, bestHigh, high }: RatioWindow): RatioReading['state'] => {
  if (value >= bestLow && value <= bestHigh) return 'in'
  return value >= low && value <= high ? 'drift' : 'out'
}

function reachOf(
  reading: number,
  goal: Goal,
  id: AttributeReading['id'],
  sd: number,
  known: AttributeReading['known'],
): AttributeReading {
  const target = bandOf(goal, id)
  const weight = weightOf(goal, id)
  if (target === null) return { id, value: reading, sd, target, weight, gap: 0, state: 'none', known }
  const beyond =
    reading < target.low ? reading - target.low : reading > target.high ? reading - target.high : 0
  const gap = Math.abs(beyond) < LEAST_GAP ? 0 : beyond
  const state = gap === 0 ? 'in' : Math.abs(gap) <= WELL_OUTSIDE ? 'drift' : 'out'
  return { id, value: reading, sd, target, weight, gap, state, known }
}

/** For how much of the mass what some inputs rest on is known, 0 to 1. */
function knownShare(inputs: readonly InputId[], { coverage }: PartState): number {
  let least = coverage.composition
  for (const id of inputs) {
    const knows: Knowledge = inputOf(id).knows
    if (knows === 'sodium') least = Math.min(least, coverage.sodium)
    else if (knows === 'umami') least = Math.min(least, coverage.umami)
  }
  return least
}

/** What foods without a figure of their own may add, as changed batches. */
function guesses({ cooked, coverage }: PartState): PartState['cooked'][] {
  const found: PartState['cooked'][] = []
  if (coverage.glutamateSdMg > 0)
    found.push({ ...cooked, glutamateMg: cooked.glutamateMg + coverage.glutamateSdMg })
  // A uniform range from none to the most has this standard deviation about its lower half.
  if (coverage.sodiumMostMg > 0)
    found.push({ ...cooked, sodiumMg: cooked.sodiumMg + coverage.sodiumMostMg / 2 })
  return found
}

/** Standard deviations of a family's ratios and attributes, before what is unknown of the foods widens them. */
export interface Spread {
  readonly ratios: Float64Array
  readonly attributes: Float64Array
}

/**
 * How sure the readings of a state are: the model's own standard deviation, that of measuring each line, that of how
 * kitchens differ in each step, and that of foods without a figure of their own.
 *
 * @param neighbours states with one scatter applied, each read before the next is asked for
 */
export function spreadOf(
  table: FamilyTable,
  state: PartState,
  neighbours: Iterable<PartState>,
  goal: Goal,
  calibrations: Calibrations = NOT_CALIBRATED,
): Spread {
  const at = served(table, state, goal)
  const now = valuesOf(table, at, calibrations)
  const ratios = new Float64Array(table.ratios.length)
  const attributes = Float64Array.from(
    table.attributes,
    ({ id, sd }) => (calibrations.get(id)?.sd ?? sd) ** 2,
  )
  const add = (values: Values): void => {
    values.ratios.forEach((value, index) => {
      ratios[index] = (ratios[index] ?? 0) + (value - (now.ratios[index] ?? 0)) ** 2
    })
    values.attributes.forEach((value, index) => {
      attributes[index] = (attributes[index] ?? 0) + (value - (now.attributes[index] ?? 0)) ** 2
    })
  }
  for (const neighbour of neighbours) add(valuesOf(table, served(table, neighbour, goal), calibrations))
  for (const cooked of guesses(state))
    add(valuesOf(table, { ...at, state: { ...state, cooked } }, calibrations))
  return { ratios: ratios.map(Math.sqrt), attributes: attributes.map(Math.sqrt) }
}

/**
 * Ratios and attributes of a part, each with its standard deviation.
 * @param spread null where the scatters were not followed: the model's own standard deviation stands alone
 */
export function readFamily(
  table: FamilyTable,
  state: PartState,
  goal: Goal,
  spread: Spread | null,
  calibrations: Calibrations = NOT_CALIBRATED,
): Readings {
  const at = served(table, state, goal)
  const now = valuesOf(table, at, calibrations)
  const isGuessed = state.coverage.glutamateSdMg > GUESSED_SHARE * state.cooked.glutamateMg
  return {
    ratios: table.ratios.flatMap((ratio, index): RatioReading[] => {
      if (!isAsked(ratio, at)) return []
      const share = knownShare([ratio.input], state)
      if (share < LEAST_KNOWN) return []
      const value = now.ratios[index] ?? 0
      const bounds = windowOf(ratio, goal)
      const unknown = share < WELL_KNOWN ? UNKNOWN_WINDOWS * (1 - share) * (bounds.high - bounds.low) : 0
      return [
        {
          id: ratio.id,
          label: ratio.label,
          value,
          sd: Math.hypot(spread?.ratios[index] ?? 0, unknown),
          unit: ratio.unit,
          ...bounds,
          state: windowState(value, bounds),
          known: share < WELL_KNOWN ? 'partly' : 'known',
        },
      ]
    }),
    attributes: table.attributes.flatMap(({ id, terms, sd: model }, index): AttributeReading[] => {
      const inputs = terms.map(({ input }) => input)
      const share = knownShare(inputs, state)
      if (share < LEAST_KNOWN) return []
      const unknown = share < WELL_KNOWN ? UNKNOWN_POINTS * (1 - share) : 0
      const sd = Math.hypot(spread?.attributes[index] ?? calibrations.get(id)?.sd ?? model, unknown)
      const isPartly =
        share < WELL_KNOWN || (isGuessed && inputs.some((one) => inputOf(one).knows === 'umami'))
      return [reachOf(now.attributes[index] ?? 0, goal, id, sd, isPartly ? 'partly' : 'known')]
    }),
  }
}
/** More of the glutamate than this guessed by class, umami is said to be partly known. */
const GUESSED_SHARE = 0.5
