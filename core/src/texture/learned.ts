import type { AttributeId, FamilyId, Kitchen, Tasted } from '../model'
import type { AttributeTable, Calibration, Calibrations, FamilyTable } from './family'

/** Before any tasting: how far a family's attribute may lie off here, points, and how much steeper or flatter it may be. @source texture model, learning; practice */
const OFFSET_SD = 1.2
const SLOPE_SD = 0.25
/** The line turns about the middle of the scale. */
const CENTRE = 5
/** Of the model's own scatter, what no offset takes: dishes of one family differ. Practice. */
const LEFT = 0.5
/** The usual width of mixes about those that were tasted, points. Practice. */
const WIDTH = 2

/** What tastings taught of one attribute of a family. */
export interface Learned extends Calibration {
  readonly family: FamilyId
  readonly attribute: AttributeId
  readonly tastings: number
  readonly values: number
  /** Mean miss of the model as it is shipped, and with what all other tastings taught, points; null with one tasting. */
  readonly before: number | null
  readonly after: number | null
}

interface Fit {
  readonly offset: number
  readonly slope: number
  readonly sd: number
}

/**
 * Bayesian line of observed on predicted: observed = predicted + shift + tilt (predicted - 5).
 * @source conjugate normal regression with a prior on both; noise = standard error of the tasting and what dishes differ by
 */
function fit(values: readonly Tasted[], modelSd: number): Fit {
  const left = LEFT * modelSd
  // Precision matrix of (shift, tilt), and its right side.
  let a = 1 / OFFSET_SD ** 2
  let b = 0
  let d = 1 / SLOPE_SD ** 2
  let p = 0
  let q = 0
  for (const { predicted, observed, sd } of values) {
    const weight = 1 / (sd ** 2 + left ** 2)
    const x = predicted - CENTRE
    const y = observed - predicted
    a += weight
    b += weight * x
    d += weight * x * x
    p += weight * y
    q += weight * x * y
  }
  const det = a * d - b * b
  const shift = (d * p - b * q) / det
  const tilt = (a * q - b * p) / det
  const mean = values.reduce((sum, { predicted }) => sum + predicted - CENTRE, 0) / Math.max(1, values.length)
  const variance = (d - 2 * b * mean + a * mean * mean) / det + (a / det) * WIDTH ** 2
  return {
    offset: shift - CENTRE * tilt,
    slope: 1 + tilt,
    // Tastings make nothing less sure than the model was.
    sd: Math.min(modelSd, Math.sqrt(variance + left ** 2)),
  }
}

/** How far what the model says moves by what was learned, points. */
export const learnedShift = (
  { offset, slope }: Pick<Calibration, 'offset' | 'slope'>,
  predicted: number,
): number => within(slope * predicted + offset) - predicted

const within = (value: number): number => Math.min(10, Math.max(0, value))

/** Mean miss over tastings, each left out in turn, weighed by how sure it is. */
function missOf(
  values: readonly Tasted[],
  modelSd: number,
): { readonly before: number | null; readonly after: number | null } {
  const ids = [...new Set(values.map(({ tastingId }) => tastingId))]
  if (ids.length < 2) return { before: null, after: null }
  let before = 0
  let after = 0
  for (const out of ids) {
    const { offset, slope } = fit(
      values.filter(({ tastingId }) => tastingId !== out),
      modelSd,
    )
    for (const { tastingId, predicted, observed } of values) {
      if (tastingId !== out) continue
      before += Math.abs(within(observed) - predicted)
      after += Math.abs(within(observed) - within(slope * predicted + offset))
    }
  }
  return { before: before / values.length, after: after / values.length }
}

function learnedOne(
  family: FamilyId,
  { id, sd: modelSd }: AttributeTable,
  all: readonly Tasted[],
): Learned | null {
  const values = all.filter((one) => one.family === family && one.attribute === id)
  if (values.length === 0) return null
  return {
    family,
    attribute: id,
    tastings: new Set(values.map(({ tastingId }) => tastingId)).size,
    values: values.length,
    ...fit(values, modelSd),
    ...missOf(values, modelSd),
  }
}

const NOTHING: ReadonlyMap<AttributeId, Learned> = new Map()
const known = new WeakMap<readonly Tasted[], Map<FamilyId, ReadonlyMap<AttributeId, Learned>>>()

/** What a kitchen's tastings taught of a family, by attribute; worked out once for each state of the kitchen. */
export function learnedOf(
  table: FamilyTable,
  { tasted }: Pick<Kitchen, 'tasted'>,
): ReadonlyMap<AttributeId, Learned> {
  if (tasted.length === 0) return NOTHING
  const families = known.get(tasted) ?? new Map<FamilyId, ReadonlyMap<AttributeId, Learned>>()
  known.set(tasted, families)
  const found = families.get(table.id)
  if (found !== undefined) return found
  const made = new Map(
    table.attributes.flatMap((attribute) => {
      const one = learnedOne(table.id, attribute, tasted)
      return one === null ? [] : [[attribute.id, one] as const]
    }),
  )
  families.set(table.id, made)
  return made
}

/** The same where there may be no table. */
export const calibrationsOf = (table: FamilyTable | null, kitchen: Pick<Kitchen, 'tasted'>): Calibrations =>
  table === null ? NOTHING : learnedOf(table, kitchen)
