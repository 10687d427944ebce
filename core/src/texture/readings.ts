import { addInto, type Batch, batchPerGram, type PerGram, type ResolvedLine } from '../composition'
import type { AttributeReading, Ingredient, Original, RatioReading } from '../model'
import { type FamilyModel, partState, type PartState, type Window } from './family'

/** Distance from a target that trained cooks do not repeat: the band around it. @source repeatability of 3 to 5 cooks; practice */
export const BAND_HALF_WIDTH = 1
/** Beyond the band by more than this is well outside. Practice. */
const WELL_OUTSIDE = 1
/** A gap that rounds to 0.0 is none. */
const LEAST_GAP = 0.05
/** Lines whose sd moves the part by less than this share are not worth propagating. */
const NEGLIGIBLE_SHARE = 1e-3

export interface Readings {
  readonly ratios: RatioReading[]
  readonly attributes: AttributeReading[]
}

const windowState = (value: number, { low, bestLow, bestHigh, high }: Window): RatioReading['state'] => {
  if (value >= bestLow && value <= bestHigh) return 'in'
  return value >= low && value <= high ? 'drift' : 'out'
}

/**
 * Changes one line's mass after another in the same two batches, cooked to the same share of the mass.
 * What a call returns is good until the next call: 40 lines would else copy the whole part 80 times.
 */
function perturber(state: PartState): (food: Ingredient, deltaG: number) => PartState {
  const raw: Batch = { ...state.raw }
  const cooked: Batch = { ...state.raw }
  let touched: PerGram = []
  return (food, deltaG) => {
    for (const [field] of touched) {
      raw[field] = state.raw[field]
      cooked[field] = state.raw[field]
    }
    touched = batchPerGram(food)
    addInto(raw, touched, deltaG)
    for (const [field] of touched) cooked[field] = raw[field]
    const share = state.raw.massG > 0 ? raw.massG / state.raw.massG : 1
    const evaporatedG = Math.max(0, Math.min(raw.waterG, state.water.cookedOffG * share))
    cooked.massG = raw.massG - evaporatedG
    cooked.waterG = Math.max(0, raw.waterG - evaporatedG)
    return partState(raw, cooked)
  }
}

/** The state with a line's mass changed by `deltaG`, cooked to the same share of its mass. */
export function perturbed(state: PartState, line: ResolvedLine, deltaG: number): PartState {
  return line.food === null ? state : perturber(state)(line.food, deltaG)
}

function reachOf(
  reading: number,
  original: Original | null,
  id: AttributeReading['id'],
  sd: number,
): AttributeReading {
  const goal = original?.attributes[id]
  if (goal === undefined) return { id, value: reading, sd, target: null, gap: 0, state: 'none' }
  const target = { low: Math.max(0, goal - BAND_HALF_WIDTH), high: Math.min(10, goal + BAND_HALF_WIDTH) }
  const beyond =
    reading < target.low ? reading - target.low : reading > target.high ? reading - target.high : 0
  const gap = Math.abs(beyond) < LEAST_GAP ? 0 : beyond
  const state = gap === 0 ? 'in' : Math.abs(gap) <= WELL_OUTSIDE ? 'drift' : 'out'
  return { id, value: reading, sd, target, gap, state }
}

/**
 * Ratios and attributes of a part with their standard deviations: the model's own and that of measuring each line.
 * @param lines resolved lines of the part: each notable sd is carried through by a forward difference
 */
export function readFamily(
  model: FamilyModel,
  state: PartState,
  lines: readonly ResolvedLine[],
  original: Original | null,
): Readings {
  const ratioValues = model.ratios.map(({ value }) => value(state))
  const attributeValues = model.attributes.map(({ value }) => value(state))
  const ratioVariance = ratioValues.map(() => 0)
  const attributeVariance = model.attributes.map(({ sd }) => sd * sd)
  const change = perturber(state)
  for (const line of lines) {
    const sd = line.mass?.sd ?? 0
    if (
      line.food === null ||
      sd < NEGLIGIBLE_SHARE * state.raw.massG * (line.food.foodClass === 'salt' ? 0.05 : 1)
    )
      continue
    const moved = change(line.food, sd)
    model.ratios.forEach(({ value }, at) => {
      ratioVariance[at] = (ratioVariance[at] ?? 0) + (value(moved) - (ratioValues[at] ?? 0)) ** 2
    })
    model.attributes.forEach(({ value }, at) => {
      attributeVariance[at] = (attributeVariance[at] ?? 0) + (value(moved) - (attributeValues[at] ?? 0)) ** 2
    })
  }
  return {
    ratios: model.ratios.map(({ id, label, unit, window }, at) => {
      const value = ratioValues[at] ?? 0
      const bounds = window(original)
      return {
        id,
        label,
        value,
        sd: Math.sqrt(ratioVariance[at] ?? 0),
        unit,
        ...bounds,
        state: windowState(value, bounds),
      }
    }),
    attributes: model.attributes.map(({ id }, at) =>
      reachOf(attributeValues[at] ?? 0, original, id, Math.sqrt(attributeVariance[at] ?? 0)),
    ),
  }
}

/**
 * Importance-weighted distance to the original over the attributes that are predicted.
 * @returns 0 is a match, above 2 a different food; null where none of the important ones is predicted
 * @source score = sum(w max(0, |gap| - 1)) / sum(w); practice
 */
export function distanceTo(
  original: Original | null,
  attributes: readonly AttributeReading[],
): number | null {
  if (original === null) return null
  let sum = 0
  let weights = 0
  for (const { id, gap, target } of attributes) {
    const weight = original.importance[id] ?? 0
    if (weight === 0 || target === null) continue
    sum += weight * Math.abs(gap)
    weights += weight
  }
  return weights === 0 ? null : sum / weights
}
