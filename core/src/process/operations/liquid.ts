import { type Bubbling, hobLimit, surfaceRate } from '../laws/evaporation'
import { solidsLost, uptakeAfter, uptakeTau } from '../laws/uptake'
import { type Item, massOf, solidsOf } from '../lots/item'
import { evaporateAll, type Ledger, type Lot, lotSums, shed, soakInto, wet } from '../lots/lot'
import { partingFraction } from '../laws/parting'
import { rateFor } from '../laws/rates'
import { constantFor, type StepContext } from './context'
import { type Acted, bringDown, wantedLoss } from './dry'

const BUBBLING: Partial<Record<StepContext['spec']['id'], Bubbling>> = {
  boil: 'boil',
  reduce: 'rapid',
  simmer: 'gentle',
  thicken: 'gentle',
  heat: 'gentle',
  absorb: 'gentle',
  'pressure-cook': 'warm',
}
const POWER_KW = 2
/** Below this the pot only steams. C */
const WARM_BELOW_C = 85
/** Alcohol that stays however long it cooks, and how fast the rest goes. @source 40 % left at 15 min, 25 % at 1 h: USDA retention table */
const ALCOHOL_STAYS = 0.25
const ALCOHOL_TAU_MIN = 9.3
/** Water poured away leaches this share of salt and soluble matter at most; it goes with this time constant. Practice. */
const LEACHED = 0.6
const LEACH_TAU_MIN = 29
/** With less water than this share the surface is no longer wet all over. Practice. */
const WET_SURFACE_SHARE = 0.3
/** Dough holds together from this share of gluten protein on. Practice. */
const DOUGH_PROTEIN = 0.12

const hasLiquid = (lot: Lot): boolean =>
  lot.items.some((item) => item.source.kind.isLiquid && item.waterG > 0)
export const isDough = (lot: Lot): boolean => {
  let gluten = 0
  let mass = 0
  for (const item of lot.items) {
    mass += massOf(item)
    if (item.source.kind.group === 'gluten') gluten += 0.75 * solidsOf(item)
  }
  return mass > 0 && gluten / mass > DOUGH_PROTEIN
}

function loseAlcohol(lot: Lot, minutes: number, { ledger }: StepContext): void {
  const left = ALCOHOL_STAYS + (1 - ALCOHOL_STAYS) * Math.exp(-minutes / ALCOHOL_TAU_MIN)
  for (const item of lot.items)
    if (item.alcoholG > 0) shed(item, ['alcoholG'], 1 - left, 'evaporated', ledger)
}

const leachedAfter = (minutes: number): number => LEACHED * (1 - Math.exp(-minutes / LEACH_TAU_MIN))
const LEACHING = ['saltG', 'solubleG'] as const

/** Salt and soluble matter that water takes along when it is poured away. */
function leach(item: Item, minutes: number, { ledger }: StepContext): void {
  shed(item, LEACHING, leachedAfter(minutes), 'into the water', ledger)
}

interface Filling {
  readonly operation: string
  readonly tempC: number
  readonly rates: StepContext['library']['rates']
  readonly lnRatio: number
  readonly ledger: Ledger
}

/** Water that a dry food takes up until it is full, from the lot's own liquid or from the tap. */
export function fill(filling: Filling, item: Item, minutes: number, liquids: readonly Item[]): void {
  const { operation, tempC, rates, lnRatio, ledger } = filling
  const { food, kind } = item.source
  const saturation = rateFor(rates, operation, food?.id ?? null, kind.group)?.value ?? null
  if (saturation === null) return
  const tau = uptakeTau(operation, kind.group, tempC)
  const progress = 1 - Math.exp(-minutes / tau)
  if (liquids.length === 0)
    shed(item, ['solidG', 'solubleG'], solidsLost(operation, kind.group) * progress, 'into the water', ledger)
  const solids = solidsOf(item) + item.fatG
  if (solids <= 0) return
  const full = uptakeAfter(item.waterG / solids, saturation * Math.exp(lnRatio), minutes, tau)
  const wanted = solids * full - item.waterG
  if (wanted <= 0) return
  if (liquids.length > 0) soakInto(item, liquids, wanted)
  else wet(item, wanted, 'water taken up', ledger)
  if (Number.isNaN(item.wetC)) item.wetC = tempC
}

/** Dough swells in its broth as one body. */
function swell(context: StepContext, lot: Lot, minutes: number): void {
  const { ledger, spec, tempC, fit } = context
  const gluten = lot.items.find(({ source }) => source.kind.group === 'gluten')
  const saturation = gluten === undefined ? null : constantFor(context, { ...lot, form: 'pieces' }, gluten)
  const { waterG, solidsG } = lotSums(lot)
  if (saturation === null || solidsG <= 0 || waterG <= 0) return
  const tau = uptakeTau(spec.id, 'gluten', tempC ?? 95)
  const full = uptakeAfter(waterG / solidsG, saturation * Math.exp(fit.lnRatio), minutes, tau)
  const gain = solidsG * full - waterG
  if (gain <= 0) return
  for (const item of lot.items) {
    const share = item.waterG / waterG
    wet(item, gain * share, 'broth taken up', ledger)
  }
}

/** Wet food boiled in water that is poured away: a little leaves or enters, soluble matter and salt leach. */
function blanch(context: StepContext, lot: Lot, item: Item, minutes: number): void {
  const longTime = constantFor(context, lot, item, 'boil-wet')
  leach(item, minutes, context)
  if (longTime === null) return
  const change = massOf(item) * (partingFraction('boil-wet', longTime, minutes) - 1)
  if (change > 0) wet(item, change, 'water taken up', context.ledger)
  else
    shed(
      item,
      ['waterG'],
      Math.min(1, -change / Math.max(item.waterG, 1e-12)),
      'into the water',
      context.ledger,
    )
}

/** Grams a minute that leave the pot. */
function potRate(context: StepContext, lot: Lot, areaDm2: number): number {
  const { spec, step, tempC, kitchen, fit } = context
  const isWarm = tempC !== null && tempC < WARM_BELOW_C
  const bubbling = isWarm
    ? 'warm'
    : step.settings.heat === 'high' && spec.id === 'simmer'
      ? 'rapid'
      : (BUBBLING[spec.id] ?? 'gentle')
  const lid = step.settings.lid ?? (spec.id === 'absorb' || spec.id === 'pressure-cook' ? 'on' : 'off')
  const { massG, waterG } = lotSums(lot)
  const limit = hobLimit(kitchen.equipment.find(({ kind }) => kind === 'hob')?.powerKw ?? POWER_KW)
  const share = massG > 0 ? waterG / massG : 1
  const wetness = Math.min(1, share / WET_SURFACE_SHARE)
  return surfaceRate(bubbling, areaDm2, lid, 1 - share, limit) * wetness * Math.exp(fit.lnRatio)
}

/** Vapour from an open or covered pot; a stated end decides where one is given. */
function boilOff(context: StepContext, lot: Lot, minutes: number | null, areaDm2: number): Acted {
  const rate = potRate(context, lot, areaDm2)
  const wanted = wantedLoss(context, lot)
  if (wanted !== null && wanted > 0) {
    const left = bringDown(lot, wanted, context)
    return { minutes: minutes ?? wanted / rate, impossibleG: wanted - left }
  }
  const taken = minutes ?? context.spec.usualMin
  const water = lotSums(lot).waterG
  const loss = Math.min(rate * taken, water)
  if (water > 0) evaporateAll(lot, (item) => (item.waterG * loss) / water, context.ledger)
  return { minutes: taken, impossibleG: 0 }
}

const SOAKING: ReadonlySet<StepContext['spec']['id']> = new Set(['soak', 'hydrate', 'desalt', 'infuse'])

/** Food in water, at rest or on the fire: it fills, swells, leaches; open pots give off vapour. */
export function inLiquid(context: StepContext, lot: Lot, minutes: number | null, areaDm2: number): Acted {
  const { spec, step } = context
  const taken = minutes ?? spec.usualMin
  const liquids = lot.items.filter(({ source }) => source.kind.isLiquid)
  const isBoiling = !SOAKING.has(spec.id)
  const inOwnLiquid = hasLiquid(lot)
  if (isBoiling && isDough(lot) && lot.isMixed && spec.medium !== 'none') {
    if (spec.id !== 'heat' && spec.id !== 'reduce') swell(context, lot, taken)
    loseAlcohol(lot, taken, context)
    return { minutes: taken, impossibleG: 0 }
  }
  const filling: Filling = {
    operation: spec.id,
    tempC: context.tempC ?? spec.usualC ?? 20,
    rates: context.library.rates,
    lnRatio: context.fit.lnRatio,
    ledger: context.ledger,
  }
  const inTap = (spec.id === 'boil' || spec.id === 'soak' || spec.id === 'pressure-cook') && !inOwnLiquid
  for (const item of lot.items) {
    if (item.source.kind.isDry) fill(filling, item, taken, liquids)
    else if (inTap && !item.source.kind.isLiquid && spec.id !== 'soak') blanch(context, lot, item, taken)
  }
  if (!isBoiling) return { minutes: taken, impossibleG: 0 }
  const acted =
    inTap || step.settings.isDrained === true
      ? { minutes: taken, impossibleG: 0 }
      : boilOff(context, lot, minutes, areaDm2)
  loseAlcohol(lot, acted.minutes, context)
  return acted
}
