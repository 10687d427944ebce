import type { Form, StepState } from '../../model'
import { coreTemperature, type Shape } from '../laws/conduction'
import { HOT_C, type Item, massOf } from '../lots/item'
import type { Lot, LotSums } from '../lots/lot'
import type { StepContext } from './context'
import { USUAL_THICKNESS_MM } from './dry'

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
const SURFACE_H: Readonly<Record<StepContext['spec']['medium'], number>> = {
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
}
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

/** The temperature that a surface feels, C. */
function feltC({ spec, tempC }: StepContext): number {
  const set = tempC ?? spec.usualC ?? 20
  switch (spec.medium) {
    case 'oven':
    case 'fryer-air':
    case 'grill':
      return set <= WET_OVEN_C ? set : WET_OVEN_C + FELT * (set - WET_OVEN_C)
    case 'pan':
    case 'oil':
    case 'steam':
    case 'pressure':
      return MEDIUM_C[spec.medium]
    case 'liquid':
      return Math.min(set, spec.id === 'boil' ? 100 : 118)
    default:
      return set
  }
}

function isMostlyLiquid(lot: Lot): boolean {
  let liquid = 0
  let all = 0
  for (const item of lot.items) {
    const massG = massOf(item)
    all += massG
    if (item.source.kind.isLiquid) liquid += massG
  }
  return liquid > all / 2
}

/** Core temperature after so many minutes, C. */
export function coreAfter(context: StepContext, lot: Lot, sums: LotSums, minutes: number): number {
  const { spec, step, oven } = context
  if (spec.medium === 'none') return spec.id === 'hold' ? (context.tempC ?? lot.coreC) : lot.coreC
  const medium = feltC(context)
  const isBody = lot.form !== 'pieces' && lot.form !== 'crumble'
  // "Boil 4 minutes" counts from the boil: a pot of liquid is as hot as it is said to be.
  if (!isBody && spec.medium === 'liquid' && minutes > 0 && isMostlyLiquid(lot))
    return Math.max(lot.coreC, medium)
  if (!isBody && (spec.medium === 'pan' || spec.medium === 'liquid')) {
    const reached = medium + (lot.coreC - medium) * Math.exp(-minutes / STIRRED_TAU_MIN)
    return Math.max(lot.coreC, reached)
  }
  const isFan = spec.medium === 'oven' && (step.settings.isFan ?? oven?.isFan ?? false)
  const core = coreTemperature({
    startC: lot.coreC,
    mediumC: medium,
    thicknessMm: lot.thicknessMm ?? step.settings.thicknessMm ?? USUAL_THICKNESS_MM[lot.form],
    shape: SHAPE[lot.form],
    h: isFan ? FAN_H : SURFACE_H[spec.medium],
    minutes,
  })
  const { massG, waterG } = sums
  return massG > 0 && waterG / massG > WET_SHARE && spec.medium !== 'pressure'
    ? Math.min(core, WET_CORE_C)
    : core
}

/** Minutes near the end temperature, of all minutes: warming up does not count. Practice. */
const AT_TEMPERATURE = 0.7

/** Marks what a step's heat and time did to each item. */
export function remember(lot: Lot, coreC: number, minutes: number, isResting: boolean): void {
  for (const item of lot.items) {
    if (coreC > item.peakC) item.peakC = coreC
    for (let at = 0; at < HOT_C.length; at += 1)
      if (coreC >= (HOT_C[at] ?? 0)) item.hotMin[at] = (item.hotMin[at] ?? 0) + minutes * AT_TEMPERATURE
    if (isResting) item.restMin += minutes
  }
}

/** Starch swells between these, C. @source BeMiller and Whistler 2009 */
const STARCH_C: Readonly<Record<string, readonly [number, number]>> = {
  wheat: [52, 64],
  potato: [58, 68],
  tapioca: [59, 72],
  maize: [62, 72],
  arrowroot: [64, 75],
  rice: [68, 78],
  oat: [52, 65],
  pulse: [60, 73],
  'pulse-flour': [60, 73],
  cereal: [58, 72],
  nut: [65, 80],
  root: [60, 72],
}
/** @source gluten 75 to 90 C; soy and pulse protein much the same; practice */
const USUAL_STARCH_C = [58, 72] as const
const PROTEIN_SET_C = [65, 90] as const
const rising = (value: number, low: number, high: number): number =>
  Math.min(1, Math.max(0, (value - low) / (high - low)))

/** Agents that set to a gel: hydration by minutes at heat, or cold; set and melt, C. @source functional table of the library */
const GELS: readonly {
  readonly id: RegExp
  readonly hot: 0 | 3 | null
  readonly minutes: number
  readonly setC: number
  readonly meltC: number
  readonly setsHot: boolean
}[] = [
  { id: /^agar-powder/, hot: 3, minutes: 1.4, setC: 36, meltC: 88, setsHot: false },
  { id: /^agar/, hot: 3, minutes: 3.5, setC: 36, meltC: 88, setsHot: false },
  { id: /carrageenan/, hot: 0, minutes: 1.4, setC: 45, meltC: 65, setsHot: false },
  { id: /^methylcellulose/, hot: null, minutes: 30, setC: 52, meltC: 40, setsHot: true },
  { id: /^pectin/, hot: 3, minutes: 1, setC: 50, meltC: 75, setsHot: false },
]

function gelState(item: Item, coreC: number): StepState['gels'][number]['state'] | null {
  const id = item.source.food?.id ?? ''
  const gel = GELS.find((one) => one.id.test(id))
  if (gel === undefined) return null
  const minutes = gel.hot === null ? item.restMin : (item.hotMin[gel.hot] ?? 0)
  if (minutes < gel.minutes) return 'dry'
  if (gel.setsHot) return coreC >= gel.setC ? 'set' : 'hydrated'
  if (coreC <= gel.setC) return 'set'
  return item.peakC > gel.meltC && coreC >= gel.meltC ? 'melted' : 'hydrated'
}

/** Acid equivalents of a gram of the usual acids, and the two constants of a food's buffering. @source meq of citric, lactic and acetic acid 11 to 17; curve through lemon juice 2.4, yogurt 4.3; practice, ± 0.6 */
const MEQ_PER_G = 14
const NEUTRAL_PH = 6.6
const BUFFER_PH = 0.8
const BUFFER_MEQ_PER_KG = 5

/** A rough pH from the acids in the lot. */
export function reckonedPH(lot: Lot): number | null {
  let acid = 0
  let water = 0
  let mass = 0
  for (const item of lot.items) {
    acid += item.source.kind.organicAcidG * item.rawG
    water += item.waterG
    mass += item.waterG + item.solidG
  }
  if (water <= 0 || mass <= 0) return null
  const meqPerKg = (1000 * acid * MEQ_PER_G) / mass
  return NEUTRAL_PH - BUFFER_PH * Math.log(1 + meqPerKg / BUFFER_MEQ_PER_KG)
}

const MOST_GELS = 6
const COOKED_STARCH = new Set(['cooked-pulse'])

/** What a lot is like now. */
export function stateOf(lot: Lot): StepState {
  let starch = 0
  let swollen = 0
  let protein = 0
  let set = 0
  let gluten = 0
  let developed = 0
  const gels: StepState['gels'] = []
  for (const item of lot.items) {
    const { food, kind } = item.source
    if (food === null) continue
    const proteinG = kind.proteinG * item.rawG
    if (kind.starchG > 0) {
      const starchG = kind.starchG * item.rawG
      const [low, high] = STARCH_C[food.starchClass ?? ''] ?? USUAL_STARCH_C
      starch += starchG
      swollen += starchG * (COOKED_STARCH.has(kind.group) ? 1 : rising(item.peakC, low, high))
    }
    protein += proteinG
    set += proteinG * rising(item.peakC, PROTEIN_SET_C[0], PROTEIN_SET_C[1])
    if (kind.hasGluten) {
      gluten += proteinG
      developed += proteinG * item.development
    }
    if (food.isGum && gels.length < MOST_GELS) {
      const state = gelState(item, lot.coreC)
      if (state !== null) gels.push({ foodId: food.id, name: food.name, state })
    }
  }
  return {
    coreC: lot.coreC,
    glutenDevelopment: gluten > 0.5 ? developed / gluten : null,
    starchGelatinised: starch > 0.5 ? swollen / starch : null,
    proteinSet: protein > 0.5 ? set / protein : null,
    gels,
    particleMm: lot.particleMm,
    pH: lot.pH ?? reckonedPH(lot),
    overrunPct: lot.overrunPct > 0.5 ? lot.overrunPct : null,
  }
}
