import type { FoodClass } from '../model'
import type { Named } from './named'

/** What a reading rested on beside words: while that holds, other masses leave it as it is. */
export interface Reading {
  /** Lines whose mass turned an amount in words into a share, with that mass, g. */
  readonly amounts: Map<string, number>
  /** What was decided by comparing masses, and how: other masses that decide alike leave the words as they were read. */
  readonly judged: { readonly decides: (massOf: MassOf) => boolean; readonly was: boolean }[]
}

/** Grams of a line, by its id; 0 where it has none. */
type MassOf = (lineId: string) => number

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

/**
 * Decides something by the masses of lines as they are, and notes that it was.
 * @param decides must rest on masses alone; it is asked again with other masses
 */
export function judge(
  reading: Reading,
  lines: readonly Named[],
  decides: (massOf: MassOf) => boolean,
): boolean {
  const was = decides(ownMass(lines))
  reading.judged.push({ decides, was })
  return was
}

export const judgeLiquid = (lines: readonly Named[], reading: Reading): boolean =>
  judge(reading, lines, (massOf) => isLiquidBy(lines, massOf))

/** Grams of some lines together. */
export const together = (lines: readonly Named[], massOf: MassOf): number =>
  lines.reduce((sum, { id }) => sum + massOf(id), 0)

/** Whether the same words would be read in the same way with these masses. */
export const stillHolds = ({ amounts, judged }: Reading, massOf: MassOf): boolean =>
  [...amounts].every(([id, massG]) => massOf(id) === massG) &&
  judged.every(({ decides, was }) => decides(massOf) === was)
