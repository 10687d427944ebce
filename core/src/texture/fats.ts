import { FAT_TEMPS } from '../model'
import type { PartState } from '../process'

/** Oil in the blend keeps solid fat from setting fully. @source 0.35 of the oil's share; sauce tables, practice */
const OIL_SOFTENS = 0.35
/** Food that comes cold to the table has lain in the refrigerator this long, h. Practice. */
const FROM_FRIDGE_H = 6
const FRIDGE_C = 10

/** Solid fat at a temperature once it has had all the time it needs, g; none above the warmest that is stated. */
function solidAt(solidFatG: Float64Array, tempC: number): number {
  const first = FAT_TEMPS[0]
  if (tempC <= first) return solidFatG[0] ?? 0
  for (let at = 1; at < FAT_TEMPS.length; at += 1) {
    const high = FAT_TEMPS[at] ?? first
    const low = FAT_TEMPS[at - 1] ?? first
    if (tempC > high) continue
    const share = (tempC - low) / (high - low)
    return (solidFatG[at - 1] ?? 0) * (1 - share) + (solidFatG[at] ?? 0) * share
  }
  // Beyond the warmest stated temperature the rest melts within ten degrees.
  const last = solidFatG[FAT_TEMPS.length - 1] ?? 0
  return last * Math.max(0, 1 - (tempC - (FAT_TEMPS.at(-1) ?? tempC)) / 10)
}

/**
 * Fat of a part that is crystallised at a temperature, g per 100 g.
 * @param servingC temperature at the table, C: food served cold has lain cold
 * @param tempC temperature at which it is asked for, C
 * @source solid fat content by kind of fat; setting within hours below 8 C; practice
 */
export function setFatPct({ cooked, notes, cooling }: PartState, servingC: number, tempC: number): number {
  if (cooked.massG <= 0 || cooked.fatG <= 0) return 0
  const hours = cooling.coldH + FROM_FRIDGE_H / (1 + Math.exp((servingC - FRIDGE_C) / 1.5))
  const liquid = Math.max(0, cooked.fatG - (notes.solidFatG[0] ?? 0)) / cooked.fatG
  const solid = solidAt(notes.solidFatG, tempC) * (1 - OIL_SOFTENS * liquid) * (1 - Math.exp(-hours))
  return (100 * solid) / cooked.massG
}
