import type { Form } from '../model'
import { STARCH } from '../program'
import type { Bench } from './bench'
import { USUAL_THICKNESS_MM } from './drying'
import { coreTemperature, type Shape } from './laws/conduction'
import { reckonedPH } from './sourness'
import {
  ACID_KEPT,
  BROWNED,
  COLD_H,
  COLDEST_C,
  CORE_C,
  GEL,
  HOT_MIN,
  HYDRATED,
  PEAK_C,
  PROTEIN_SET,
  STRIDE,
  SURFACE_DRY,
  SWOLLEN,
  THINNED,
} from './workspace'

const SHAPE: Readonly<Record<Form, Shape>> = {
  pieces: 'slab',
  strip: 'slab',
  cube: 'sphere',
  crumble: 'slab',
  patty: 'slab',
  ball: 'sphere',
  log: 'cylinder',
  loaf: 'cylinder',
  breaded: 'slab',
}
/** Heat transfer at the surface, W/m2K. @source 2.1 of the model page; practice */
const SURFACE_H = {
  none: 0,
  pan: 300,
  liquid: 1000,
  oven: 25,
  'fryer-air': 55,
  grill: 60,
  oil: 400,
  steam: 1000,
  pressure: 1000,
  'dry-air': 20,
  cold: 10,
} as const
const FAN_H = 32
/** A drying surface is cooled by its own vapour: this share of the oven's excess over it is felt. @source 200 C reads as 137; practice */
const FELT = 0.43
const WET_OVEN_C = 90
/** A moist core cannot pass this, C, while it holds this much water. */
const WET_CORE_C = 99
const WET_SHARE = 0.3
/** Stirred food follows its surroundings with this time constant, min. Practice. */
const STIRRED_TAU_MIN = 3
const MEDIUM_C = { pan: 100, liquid: 96, oil: 103, steam: 100, pressure: 118 } as const
/** Minutes near the end temperature, of all minutes: warming up does not count. Practice. */
export const AT_TEMPERATURE = 0.7
/** A mass of which so much is water and fat runs in the pot, bound or not. Practice. */
const THIN_SHARE = 0.8
const BOILING_C = 98
const PROTEIN_SET_C = [65, 90] as const
/** Volume inside a part of the way to the middle, by that part squared. */
const INNER_POWER: Readonly<Record<Shape, number>> = { slab: 0.5, cylinder: 1, sphere: 1.5 }
/** Before that the outside is no more than a skin, min. Practice. */
const WARM_THROUGH_MIN = 2
export const ROOM_C = 20

/** The temperature that a surface feels, C. */
function feltC({ op, tempC }: Bench): number {
  const set = Number.isNaN(tempC) ? (op.spec?.usualC ?? ROOM_C) : tempC
  const medium = op.spec?.medium ?? 'none'
  switch (medium) {
    case 'oven':
    case 'fryer-air':
    case 'grill':
      return set <= WET_OVEN_C ? set : WET_OVEN_C + FELT * (set - WET_OVEN_C)
    case 'pan':
    case 'oil':
    case 'steam':
    case 'pressure':
      return MEDIUM_C[medium]
    case 'liquid':
      return Math.min(set, op.spec?.id === 'boil' ? 100 : 118)
    default:
      return set
  }
}

/** Core temperature after so many minutes, C. The lot's sums are of what is left of it. */
export function coreAfter(bench: Bench, minutes: number): number {
  const { op, placed, lots } = bench
  const spec = op.spec
  const start = lots[bench.lotAt + CORE_C] ?? ROOM_C
  if (spec === null) return start
  // What is held or cultured is as warm as it is kept.
  if (spec.id === 'culture') return Number.isNaN(bench.tempC) ? (spec.usualC ?? start) : bench.tempC
  if (spec.medium === 'none') return spec.id === 'hold' && !Number.isNaN(bench.tempC) ? bench.tempC : start
  // "Cool to 42 °C" lasts until it is as cool.
  if (spec.id === 'cool' && op.step.tempC !== null && op.step.durationMin === null)
    return Math.min(start, op.step.tempC)
  const medium = feltC(bench)
  const isBody = op.form !== 'pieces' && op.form !== 'crumble'
  const isLoose =
    op.phase === 'liquid' ||
    bench.looseG > bench.massG / 2 ||
    ((op.isMixed || op.phase !== 'pieces' || !op.hasPieces) &&
      bench.massG - bench.solidsG > THIN_SHARE * bench.massG)
  // "Bring to the boil" lasts until it boils.
  if (!isBody && op.reachesBoil && isLoose) return Math.max(start, BOILING_C)
  // "Boil 4 minutes" counts from the boil: a pot of liquid is as hot as it is said to be.
  if (!isBody && spec.medium === 'liquid' && minutes > 0 && isLoose) return Math.max(start, medium)
  if (!isBody && (spec.medium === 'pan' || spec.medium === 'liquid'))
    return Math.max(start, medium + (start - medium) * Math.exp(-minutes / STIRRED_TAU_MIN))
  const isFan = spec.medium === 'oven' && (op.step.settings.isFan ?? placed.oven?.isFan ?? false)
  const core = coreTemperature({
    startC: start,
    mediumC: medium,
    thicknessMm: op.thicknessMm ?? USUAL_THICKNESS_MM[op.form],
    shape: SHAPE[op.form],
    h: isFan ? FAN_H : SURFACE_H[spec.medium],
    minutes,
  })
  return bench.massG > 0 && bench.waterG / bench.massG > WET_SHARE && spec.medium !== 'pressure'
    ? Math.min(core, WET_CORE_C)
    : core
}

const rising = (value: number, low: number, high: number): number =>
  Math.min(1, Math.max(0, (value - low) / (high - low)))

/** 0 below a temperature, 1 above it, without a corner: half a degree of slack is allowed for. */
const reaching = (value: number, wanted: number): number => 1 / (1 + Math.exp(-(value - wanted + 0.5) / 0.25))

/** Agents dissolve with heat and time, or in the cold; acid and heat cut their chains. */
function activate(bench: Bench, row: number, coreC: number, minutes: number, isResting: boolean): void {
  const { agent } = bench.entry(row)
  if (agent === null) return
  const from = row * STRIDE
  const isHot = agent.hydrates === 'hot'
  const on = isHot
    ? reaching(coreC, agent.hydrateC)
    : Math.max(isResting ? 1 : 0, reaching(-coreC, -agent.hydrateC))
  const time = on * (isHot ? minutes * AT_TEMPERATURE : minutes)
  const fresh = 1 - (bench.rows[from + HYDRATED] ?? 0)
  bench.rows[from + HYDRATED] = 1 - fresh * Math.exp((-2.3 * time) / agent.hydrateMin)
  if (agent.hydrates !== 'hot' || coreC < agent.hydrateC - 10) return
  const pH = reckonedPH(bench)
  const over = 1 / (1 + Math.exp((pH - agent.acidPH) / 0.15))
  const cut = (1 - agent.acidKeeps) * over * (1 - Math.exp(-minutes / 3))
  bench.rows[from + ACID_KEPT] = Math.min(bench.rows[from + ACID_KEPT] ?? 1, 1 - cut)
}

/** Starch swells as it heats and may thin again. */
function gelatinise(bench: Bench, row: number, coreC: number, minutes: number): void {
  const { starch, pools } = bench.entry(row)
  if ((pools[STARCH] ?? 0) === 0) return
  const from = row * STRIDE
  const swollen = rising(coreC, starch.lowC, starch.highC)
  if (swollen > (bench.rows[from + SWOLLEN] ?? 0)) bench.rows[from + SWOLLEN] = swollen
  if (starch.thinsC === null || starch.thinsMin === null) return
  const kept = 1 - (bench.rows[from + THINNED] ?? 0)
  const hot = minutes * reaching(coreC, starch.thinsC)
  bench.rows[from + THINNED] = 1 - kept * Math.exp(-hot / starch.thinsMin)
}

const BROWNS: ReadonlySet<string> = new Set(['pan', 'oven', 'fryer-air', 'grill', 'oil'])
/** Browning begins when the surface is dry and above this, C; so many minutes brown 63 % of it at 40 C more. Practice. */
const BROWNS_C = 130
const BROWN_TAU_MIN = 14
const PER_STEP_C = 40

/** Dry heat dries the surface and browns it. */
function brown(bench: Bench, minutes: number, lostShare: number): void {
  const { op, tempC, lots } = bench
  if (!BROWNS.has(op.spec?.medium ?? '') || op.isWrapped || op.isInDish) return
  const set = Number.isNaN(tempC) ? (op.spec?.usualC ?? ROOM_C) : tempC
  const heat = Math.max(0, (set - BROWNS_C) / PER_STEP_C) * op.heatFactor * op.lidFactor
  const dry = lots[bench.lotAt + SURFACE_DRY] ?? 0
  const drier = dry + (1 - dry) * (1 - Math.exp(-6 * lostShare - (heat * minutes) / 40))
  lots[bench.lotAt + SURFACE_DRY] = drier
  const gone = 1 - Math.exp((-heat * drier * minutes) / BROWN_TAU_MIN)
  for (const row of op.rows) {
    const at = row * STRIDE + BROWNED
    bench.rows[at] = (bench.rows[at] ?? 0) + (1 - (bench.rows[at] ?? 0)) * gone
  }
}

/** A broken curd that is heated unstirred sets again to this share. Practice. */
const SETS_AGAIN = 0.6
const HOT_C = 80
/** Protein that sets with heat stands as a gel; a broken curd sets again, softer. */
function setGel(bench: Bench, row: number, set: number): void {
  const { gels } = bench.entry(row)
  if (gels === 'none' || gels === 'curdling' || set <= 0) return
  const at = row * STRIDE + GEL
  const reached = gels === 'heat' ? set : SETS_AGAIN * set
  if (reached > (bench.rows[at] ?? 0)) bench.rows[at] = reached
}

const COLD_C = 8
/** How long and how far a lot has cooled since it was last hot: fat sets and gels set with it. */
function coolDown({ lots, lotAt }: Bench, coreC: number, minutes: number): void {
  if (coreC > 45) {
    lots[lotAt + COLD_H] = 0
    lots[lotAt + COLDEST_C] = coreC
    return
  }
  lots[lotAt + COLDEST_C] = Math.min(lots[lotAt + COLDEST_C] ?? coreC, coreC)
  if (coreC < COLD_C) lots[lotAt + COLD_H] = (lots[lotAt + COLD_H] ?? 0) + minutes / 60
}

/**
 * Share of a body that has set: its outside is as hot as wet food gets long before its core is, and warmth falls with the
 * square of the way in.
 */
function setShare(bench: Bench, coreC: number, minutes: number): number {
  const { op } = bench
  const core = rising(coreC, PROTEIN_SET_C[0], PROTEIN_SET_C[1])
  const isBody = op.form !== 'pieces' && op.form !== 'crumble'
  if (core >= 1 || !isBody || op.spec === null || SURFACE_H[op.spec.medium] === 0) return core
  const surfaceC = Math.min(WET_CORE_C, feltC(bench))
  const setC = (PROTEIN_SET_C[0] + PROTEIN_SET_C[1]) / 2
  if (surfaceC <= setC || coreC >= setC) return core
  const inner = ((setC - coreC) / (surfaceC - coreC)) ** INNER_POWER[SHAPE[op.form]]
  return Math.max(core, (1 - inner) * (1 - Math.exp(-minutes / WARM_THROUGH_MIN)))
}

/** Marks what a step's heat and time did to each food. @param lostShare of the lot's mass that left as vapour */
export function remember(
  bench: Bench,
  coreC: number,
  minutes: number,
  isResting: boolean,
  lostShare: number,
): void {
  const { op, rows } = bench
  const set = setShare(bench, coreC, minutes)
  const which = op.rows
  for (let at = 0; at < which.length; at += 1) {
    const row = which[at] ?? 0
    const from = row * STRIDE
    if (coreC > (rows[from + PEAK_C] ?? 0)) rows[from + PEAK_C] = coreC
    gelatinise(bench, row, coreC, minutes)
    if (set > (rows[from + PROTEIN_SET] ?? 0)) rows[from + PROTEIN_SET] = set
    setGel(bench, row, set)
    rows[from + HOT_MIN] = (rows[from + HOT_MIN] ?? 0) + minutes * reaching(coreC, HOT_C)
    activate(bench, row, coreC, minutes, isResting)
  }
  coolDown(bench, coreC, minutes)
  brown(bench, minutes, lostShare)
}
