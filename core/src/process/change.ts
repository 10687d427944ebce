import { FAT, PROTEIN } from '../program'
import type { Bench } from './bench'
import {
  BATH_MIN,
  COARSE,
  CORE_C,
  CULTURE_PH,
  DEVELOPMENT,
  EMULSIFIED,
  GEL,
  OVERRUN_PCT,
  PARTICLE_UM,
  PIECE_MM,
  poolOf,
  SOAKED,
  STRAND,
  STRIDE,
} from './workspace'
import { cultureNear, ripePH } from './souring'

/** Minutes of work after which gluten is 63 % developed. @source by hand 3, by machine 1; practice */
const KNEAD_TAU_MIN = { hand: 3, machine: 1 } as const
/** Mixing works gluten a little; a blender tears it. Practice. */
const MIX_TAU_MIN = 12
/** Smallest pieces that pulsing leaves, mm; a pulse takes a second or two. @source d0 exp(−n/4), floor 3 mm; process 3.10 */
const PULSED_FLOOR_MM = 3
const PULSES_PER_MIN = 12
const PULSE_FALL = 4
/** Raw soaked pulses come to crumbs with a third of paste in three minutes. Practice. */
const RAW_PULSE_SMEARS_MIN = 7
const CURD_SMEARS_MIN = 4
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
/** What stirs makes them: a whisk more than a spoon, a running blade most. @source 0.85 whisked into a starch sauce, 0.25 stirred; practice */
const STIRRED_WITH = { spoon: 0.3, whisk: 0.7, blade: 0.95 } as const
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
    // Soft curds smear as they are pulsed.
    const coarse = row * STRIDE + COARSE
    const smears =
      bench.entry(row).gels === 'stands'
        ? CURD_SMEARS_MIN
        : bench.program.rows[row]?.isMilled === true
          ? RAW_PULSE_SMEARS_MIN
          : Number.POSITIVE_INFINITY
    bench.rows[coarse] = (bench.rows[coarse] ?? 0) * Math.exp(-minutes / smears)
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

/** Strands and gels under a blade, by minutes in it; a masher leaves so much of a gel and of strands. Practice. */
const TORN_TAU_MIN = 0.2
const MASHED_GEL = 0.3
/** A dough that is pulled apart shows strands even where nobody stretched it. Practice. */
const PULLED_DOUGH = 0.4
const CRUMB_MM = 6

/** Strands are drawn out or pulled apart; blades and mashers break strands and gels. */
export function handle(bench: Bench, minutes: number): void {
  const { op, rows } = bench
  const id = op.spec?.id
  const cut = id === 'blend' || id === 'rice' ? Math.exp(-minutes / TORN_TAU_MIN) : 1
  const isMash = id === 'mash'
  if (cut === 1 && !isMash && op.stretch === 0 && !op.pulls && !op.crumbles) return
  for (const row of op.rows) {
    const from = row * STRIDE
    const { isStrandy, isGluten, gels } = bench.entry(row)
    const isDough = isGluten || (bench.program.rows[row]?.isWashed ?? false)
    let strand = rows[from + STRAND] ?? 0
    if (isMash && !op.pulls) strand *= MASHED_GEL
    strand *= cut
    if (isDough) strand = Math.max(strand, op.stretch, op.pulls ? PULLED_DOUGH : 0)
    if (isStrandy && (op.pulls || op.stretch > 0)) strand = 1
    rows[from + STRAND] = strand
    const isBroken = isMash || op.crumbles
    rows[from + GEL] = (rows[from + GEL] ?? 0) * cut * (isBroken ? MASHED_GEL : 1)
    if (op.crumbles && gels !== 'none' && (rows[from + PIECE_MM] ?? 0) > CRUMB_MM)
      rows[from + PIECE_MM] = CRUMB_MM
  }
}

/** Milk stands as a curd once it is curdled or soured. */
function curdle(bench: Bench): void {
  for (const row of bench.op.rows)
    if (bench.entry(row).gels === 'curdling') bench.rows[row * STRIDE + GEL] = 1
}

/** Air that a lot can hold, % of its volume. Foaming liquids hold most; fat that is solid holds it in cream; oil breaks foam. @source foams of bean liquid 400 to 700 %, of egg white 600 %, creams 80 to 120 %; practice */
const FOAMED_PCT = 650
const CREAMED_PCT = 120
const UNFOAMED_PCT = 15
const FOAMER_HALF_PCT = 3
const OIL_BREAKS_PCT = 1.5
const SOLID_HALF_PCT = 9
/** Index of 5 C among the temperatures of solid fat: cream is whipped cold. */
const COLD_FAT = 0
function mostAir(bench: Bench): number {
  let massG = 0
  let foamer = 0
  let foamLiquid = 0
  let solid = 0
  let oil = 0
  for (const row of bench.op.rows) {
    const { isFoamer, solidFat } = bench.entry(row)
    massG += bench.massOf(row)
    const fat = poolOf(bench.rows, row, FAT)
    solid += fat * (solidFat?.[COLD_FAT] ?? 0)
    oil += fat * (1 - (solidFat?.[COLD_FAT] ?? 0))
    if (!isFoamer) continue
    foamer += bench.solidsOf(row)
    foamLiquid += bench.massOf(row)
  }
  if (massG <= 0) return 0
  const strength = foamLiquid > 0 ? (100 * foamer) / foamLiquid : 0
  const wet = foamLiquid / massG
  const isCold = 1 / (1 + Math.exp(((bench.lots[bench.lotAt + CORE_C] ?? 20) - 14) / 2))
  const foam =
    FOAMED_PCT *
    (strength ** 2 / (strength ** 2 + FOAMER_HALF_PCT ** 2)) *
    Math.min(1, wet / 0.2) *
    Math.exp(-(100 * (oil + solid)) / massG / OIL_BREAKS_PCT)
  const solidPct = (100 * solid) / massG
  const cream = CREAMED_PCT * (solidPct ** 2 / (solidPct ** 2 + SOLID_HALF_PCT ** 2)) * isCold
  return UNFOAMED_PCT + foam + cream
}

/** What a step does to a lot beside its mass: shape, particles, gluten, air, acid. */
export function change(bench: Bench, minutes: number): void {
  const { op, placed, lots } = bench
  const id = op.spec?.id
  if (id === undefined) return
  const shear = EMULSIFIES[id]
  if (shear !== undefined) emulsify(bench, id === 'mix' ? Math.max(shear, STIRRED_WITH[op.tool]) : shear)
  const overrun = bench.lotAt + OVERRUN_PCT
  handle(bench, minutes)
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
      // Crumbs stay pieces.
      if (!op.crumbles) mash(bench, minutes)
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
        (mostAir(bench) - (lots[overrun] ?? 0)) * (1 - Math.exp(-minutes / WHIP_TAU_MIN))
      break
    case 'coagulate':
      curdle(bench)
      break
    case 'spherify':
      lots[bench.lotAt + BATH_MIN] = minutes
      break
    case 'culture': {
      curdle(bench)
      const tempC = Number.isNaN(bench.tempC) ? 43 : bench.tempC
      const culture = cultureNear(bench.program.library.facts.cultures.values(), tempC)
      if (culture !== null) lots[bench.lotAt + CULTURE_PH] = ripePH(minutes / 60, tempC, culture)
      break
    }
    default:
      if (op.spec?.medium !== 'none') lots[overrun] = (lots[overrun] ?? 0) * Math.exp(-minutes / AIR_TAU_MIN)
      break
  }
}
