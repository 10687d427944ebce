import type { FoodClass } from '../model'
import type { Named } from './named'

/** What a reading rested on beside words: while that holds, other masses leave it as it is. */
export interface Reading {
  /** Lines whose mass turned an amount in words into a share, with that mass, g. */
  readonly amounts: Map<string, number>
  /** Lots that were taken for liquid, or not, by the masses of their lines. */
  readonly judged: { readonly lines: readonly Named[]; readonly isLiquid: boolean }[]
}

export const newReading = (): Reading => ({ amounts: new Map(), judged: [] })

const LIQUID: ReadonlySet<FoodClass> = new Set([
  'water',
  'plant-milk',
  'acid',
  'savoury',
  'fat',
  'sweetener',
  'salt',
  'spice',
])
/** From this share on a lot is a sauce or a marinade. Practice. */
const LIQUID_SHARE = 0.6

type MassOf = (lineId: string) => number

const ownMass =
  (lines: readonly Named[]): MassOf =>
  (id) =>
    lines.find((one) => one.id === id)?.line?.mass?.value ?? 0

/** Whether most of the lines' mass is liquid or dissolves in it. */
function isLiquidBy(lines: readonly Named[], massOf: MassOf): boolean {
  let all = 0
  let liquid = 0
  for (const { id, foodClass } of lines) {
    const massG = massOf(id)
    all += massG
    if (foodClass !== null && LIQUID.has(foodClass)) liquid += massG
  }
  return all > 0 && liquid / all > LIQUID_SHARE
}

/** Judges it by the lines as they are, and notes that it was. */
export function judgeLiquid(lines: readonly Named[], reading: Reading): boolean {
  const isLiquid = isLiquidBy(lines, ownMass(lines))
  reading.judged.push({ lines, isLiquid })
  return isLiquid
}

/** Whether the same words would be read in the same way with these masses. */
export const stillHolds = ({ amounts, judged }: Reading, massOf: MassOf): boolean =>
  [...amounts].every(([id, massG]) => massOf(id) === massG) &&
  judged.every(({ lines, isLiquid }) => isLiquidBy(lines, massOf) === isLiquid)
