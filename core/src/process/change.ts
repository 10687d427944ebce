import type { Culture } from '../model'
import { FAT, PROTEIN } from '../program'
import type { Bench } from './bench'
import {
  COARSE,
  CULTURE_PH,
  DEVELOPMENT,
  EMULSIFIED,
  OVERRUN_PCT,
  PARTICLE_UM,
  PIECE_MM,
  poolOf,
  SOAKED,
  STRIDE,
} from './workspace'

/** Minutes of work after which gluten is 63 % developed. @source by hand 3, by machine 1; practice */
const KNEAD_TAU_MIN = { hand: 3, machine: 1 } as const
/** Mixing works gluten a little; a blender tears it. Practice. */
const MIX_TAU_MIN = 12
/** Smallest pieces that pulsing leaves, mm; a pulse takes a second or two. @source d0 exp(−n/4), floor 3 mm; process 3.10 */
const PULSED_FLOOR_MM = 3
const PULSES_PER_MIN = 12
const PULSE_FALL = 4
/** Mashing leaves a third in pieces. Practice. */
const MASHED_MM = 4
const MASH_TAU_MIN = 1.5
const MASH_COARSE = 0.3
/** Time in which a blender brings particles down by 63 %, min; dry kernels take three times as long. @source 20 s strong, 60 s weak; texture model */
const BLEND_TAU_MIN = { strong: 0.33, weak: 1 } as const
const DRY_KERNEL_TIMES = 3
const WEAK_FLOOR_TIMES = 1.8
const DRY_KERNEL_FLOOR_TIMES = 1.5
const PIECES_TAU_MIN = 0.25
const STRONG_BLENDER_KW = 1
/** Air that blending and whipping leave, %. @source 3 to 15; foaming liquids more; practice */
const BLENDED_AIR_PCT = 6
const WHIPPED_AIR_PCT = 300
const WHIP_TAU_MIN = 3
/** Air falls out while food cooks or rests. Practice. */
const AIR_TAU_MIN = 60
/** Shear that makes droplets: blended, whisked, stirred. @source emulsified share of the sauce tables; practice */
const EMULSIFIES: Partial<Record<string, number>> = {
  blend: 0.95,
  whip: 0.9,
  mix: 0.3,
  knead: 0.6,
  mash: 0.4,
}
/** A gram of protein carries so much fat in droplets; a starch sauce holds this share of fat whisked in. Practice. */
const FAT_PER_PROTEIN = 20

const isStrong = ({ placed }: Bench): boolean =>
  (placed.vessel?.powerKw ?? STRONG_BLENDER_KW) >= STRONG_BLENDER_KW

function develop(bench: Bench, minutes: number, tau: number): void {
  const gone = 1 - Math.exp(-minutes / tau)
  for (const row of bench.op.rows) {
    if (!bench.entry(row).hasGluten) continue
    const at = row * STRIDE + DEVELOPMENT
    bench.rows[at] = (bench.rows[at] ?? 0) + (1 - (bench.rows[at] ?? 0)) * gone
  }
}

/** pH of a ripening base. @source logistic of culture tables; twice as slow for every 8 C below the best; process 3.25 */
const DOUBLING_C = 8
export function ripePH(hours: number, tempC: number, culture: Culture): number {
  const slower = 2 ** (Math.max(0, culture.bestC - tempC) / DOUBLING_C)
  const { ripePH: end, freshPH: start, halfwayH, spreadH } = culture
  return end + (start - end) / (1 + Math.exp((hours - halfwayH * slower) / (spreadH * slower)))
}

/** The culture that works best nearest to a temperature. */
function cultureAt(bench: Bench, tempC: number): Culture | null {
  let best: Culture | null = null
  for (const culture of bench.program.library.facts.cultures.values())
    if (best === null || Math.abs(culture.bestC - tempC) < Math.abs(best.bestC - tempC)) best = culture
  return best
}

/** Cuts pieces no larger than so many mm. */
function cutTo(bench: Bench, mm: number): void {
  for (const row of bench.op.rows) {
    const at = row * STRIDE + PIECE_MM
    if ((bench.rows[at] ?? 0) > mm) bench.rows[at] = mm
  }
}

function pulse(bench: Bench, minutes: number): void {
  const fall = Math.exp((-minutes * PULSES_PER_MIN) / PULSE_FALL)
  for (const row of bench.op.rows) {
    const at = row * STRIDE + PIECE_MM
    const size = bench.rows[at] ?? 0
    if (size > PULSED_FLOOR_MM) bench.rows[at] = PULSED_FLOOR_MM + (size - PULSED_FLOOR_MM) * fall
  }
}

function mash(bench: Bench, minutes: number): void {
  const left = MASH_COARSE + (1 - MASH_COARSE) * Math.exp(-minutes / MASH_TAU_MIN)
  for (const row of bench.op.rows)
    bench.rows[row * STRIDE + COARSE] = (bench.rows[row * STRIDE + COARSE] ?? 0) * left
  cutTo(bench, MASHED_MM)
}

/** Pieces go, and the particles come down to what the food and the machine allow. */
function blend(bench: Bench, minutes: number): void {
  const strong = isStrong(bench)
  const tau = strong ? BLEND_TAU_MIN.strong : BLEND_TAU_MIN.weak
  for (const row of bench.op.rows) {
    const from = row * STRIDE
    const { particle } = bench.entry(row)
    const dry = particle.hardness >= 1 ? 1 - (bench.rows[from + SOAKED] ?? 0) : 0
    const slower = 1 + (DRY_KERNEL_TIMES - 1) * dry
    const floor =
      particle.blendedUm * (strong ? 1 : WEAK_FLOOR_TIMES) * (1 + (DRY_KERNEL_FLOOR_TIMES - 1) * dry)
    const um = bench.rows[from + PARTICLE_UM] ?? 0
    if (um > floor)
      bench.rows[from + PARTICLE_UM] = floor + (um - floor) * Math.exp(-minutes / (tau * slower))
    const coarse = from + COARSE
    bench.rows[coarse] = (bench.rows[coarse] ?? 0) * Math.exp(-minutes / (PIECES_TAU_MIN * slower))
  }
}

/** Fat goes into droplets as far as shear and protein allow. */
function emulsify(bench: Bench, shear: number): void {
  let protein = 0
  let fat = 0
  for (const row of bench.op.rows) {
    protein += poolOf(bench.rows, row, PROTEIN)
    fat += poolOf(bench.rows, row, FAT)
  }
  if (fat <= 0) return
  const carried = (FAT_PER_PROTEIN * protein) / fat
  const share = shear * (carried / (1 + carried))
  for (const row of bench.op.rows) {
    const at = row * STRIDE + EMULSIFIED
    bench.rows[at] = Math.max(bench.rows[at] ?? 0, share)
  }
}

/** What a step does to a lot beside its mass: shape, particles, gluten, air, acid. */
export function change(bench: Bench, minutes: number): void {
  const { op, placed, lots } = bench
  const id = op.spec?.id
  if (id === undefined) return
  const shear = EMULSIFIES[id]
  if (shear !== undefined) emulsify(bench, shear)
  const overrun = bench.lotAt + OVERRUN_PCT
  switch (id) {
    case 'knead':
      develop(
        bench,
        minutes,
        placed.vessel?.kind === 'processor' ? KNEAD_TAU_MIN.machine : KNEAD_TAU_MIN.hand,
      )
      break
    case 'mix':
      develop(bench, minutes, MIX_TAU_MIN)
      break
    case 'mash':
      mash(bench, minutes)
      break
    case 'rice':
      pulse(bench, minutes)
      break
    case 'chop':
    case 'grate':
      cutTo(bench, op.cutMm)
      break
    case 'blend':
      blend(bench, minutes)
      lots[overrun] = Math.max(lots[overrun] ?? 0, BLENDED_AIR_PCT)
      break
    case 'whip':
      lots[overrun] =
        (lots[overrun] ?? 0) +
        (WHIPPED_AIR_PCT - (lots[overrun] ?? 0)) * (1 - Math.exp(-minutes / WHIP_TAU_MIN))
      break
    case 'culture': {
      const tempC = Number.isNaN(bench.tempC) ? 43 : bench.tempC
      const culture = cultureAt(bench, tempC)
      if (culture !== null) lots[bench.lotAt + CULTURE_PH] = ripePH(minutes / 60, tempC, culture)
      break
    }
    default:
      if (op.spec?.medium !== 'none') lots[overrun] = (lots[overrun] ?? 0) * Math.exp(-minutes / AIR_TAU_MIN)
      break
  }
}
