import type { Form, StepMove } from '../../model'
import { type Item, massOf, type Pool, POOLS, solidsOf } from './item'

/** Food that is handled as one: what a step made and the next one takes. Owned and changed by one run. */
export interface Lot {
  /** The step that made it; null for what was never touched. */
  stepId: string | null
  items: Item[]
  form: Form
  thicknessMm: number | null
  isMixed: boolean
  coreC: number
  /** Set by cultures; else reckoned from the acids. */
  pH: number | null
  overrunPct: number
  /** Coarse end of the particles, mm; null while pieces are whole. */
  particleMm: number | null
  /** Where it is: the next step goes on in the same pan. */
  vesselId: string | null
}

export const emptyLot = (stepId: string | null): Lot => ({
  stepId,
  items: [],
  form: 'pieces',
  thicknessMm: null,
  isMixed: false,
  coreC: 20,
  pH: null,
  overrunPct: 0,
  particleMm: null,
  vesselId: null,
})

export interface LotSums {
  readonly massG: number
  readonly waterG: number
  readonly solidsG: number
}

export function lotSums(lot: Lot): LotSums {
  let massG = 0
  let waterG = 0
  let solidsG = 0
  for (const item of lot.items) {
    massG += massOf(item)
    waterG += item.waterG
    solidsG += solidsOf(item)
  }
  return { massG, waterG, solidsG }
}

/** Joins a lot into another: warmth by mass; shape and air of the larger. */
export function pour(target: Lot, added: Lot, other = lotSums(added).massG): void {
  const own = target.items.length === 0 ? 0 : lotSums(target).massG
  const whole = own + other
  if (whole > 0) target.coreC = (target.coreC * own + added.coreC * other) / whole
  if (other > own) {
    target.form = added.form
    target.thicknessMm = added.thicknessMm
    target.isMixed = added.isMixed
    target.vesselId = added.vesselId
  }
  target.pH = other > own ? added.pH : target.pH
  target.overrunPct = whole > 0 ? (target.overrunPct * own + added.overrunPct * other) / whole : 0
  if (added.particleMm !== null) target.particleMm = Math.max(target.particleMm ?? 0, added.particleMm)
  target.items.push(...added.items)
}

/** What came in and left in one step, by where from and to. */
export class Ledger {
  readonly gained = new Map<string, { massG: number; waterG: number }>()
  readonly lost = new Map<string, { massG: number; waterG: number }>()

  #book(
    side: Map<string, { massG: number; waterG: number }>,
    what: string,
    massG: number,
    waterG: number,
  ): void {
    if (massG === 0) return
    const known = side.get(what)
    if (known === undefined) side.set(what, { massG, waterG })
    else {
      known.massG += massG
      known.waterG += waterG
    }
  }

  gain(what: string, massG: number, waterG: number): void {
    this.#book(this.gained, what, massG, waterG)
  }

  lose(what: string, massG: number, waterG: number): void {
    this.#book(this.lost, what, massG, waterG)
  }
}

export const movesOf = (side: Ledger['lost']): StepMove[] =>
  [...side].map(([what, { massG, waterG }]) => ({ what, massG, waterG }))

/** Water leaves a lot as vapour, booked once. @param leftOf grams that leave each item, no more than it has */
export function evaporateAll(lot: Lot, leftOf: (item: Item, at: number) => number, ledger: Ledger): void {
  let all = 0
  for (let at = 0; at < lot.items.length; at += 1) {
    const item = lot.items[at]
    if (item === undefined) continue
    const left = Math.min(leftOf(item, at), item.waterG)
    item.waterG -= left
    item.evaporatedG += left
    all += left
  }
  ledger.lose('evaporated', all, all)
}

/** Water leaves an item as vapour. @param grams no more than it has */
export function evaporateFrom(item: Item, grams: number, ledger: Ledger): void {
  const left = Math.min(grams, item.waterG)
  item.waterG -= left
  item.evaporatedG += left
  ledger.lose('evaporated', left, left)
}

/** Plain water enters an item. */
export function wet(item: Item, grams: number, what: string, ledger: Ledger): void {
  item.waterG += grams
  ledger.gain(what, grams, grams)
}

/** Water goes from one item to another of the same lot; nothing is booked. */
export function soakInto(item: Item, liquids: readonly Item[], grams: number): number {
  let available = 0
  for (const liquid of liquids) available += liquid.waterG
  const taken = Math.min(grams, available)
  if (taken <= 0) return 0
  for (const liquid of liquids) liquid.waterG -= (taken * liquid.waterG) / available
  item.waterG += taken
  return taken
}

/** Part of some pools of an item leaves. @param share of each pool, 0 to 1 */
export function shed(item: Item, from: readonly Pool[], share: number, what: string, ledger: Ledger): number {
  let massG = 0
  let waterG = 0
  for (const pool of from) {
    const grams = item[pool] * share
    item[pool] -= grams
    massG += grams
    if (pool === 'waterG') waterG += grams
  }
  ledger.lose(what, massG, waterG)
  return massG
}

/** A share of the whole item leaves: trimmings, what sticks to a bowl. */
export function discard(item: Item, share: number, what: string, ledger: Ledger): void {
  shed(item, POOLS, share, what, ledger)
  item.rawG *= 1 - share
  item.evaporatedG *= 1 - share
}

const JUICE: readonly Pool[] = ['waterG', 'saltG', 'solubleG', 'alcoholG']
/** Juice carries soluble matter at this share of the water's own concentration. @source drip "at water concentration"; practice */
const SOLUTES_WITH_JUICE = 1

/** Juice leaves: water, with what is dissolved in it. @param grams wanted; no more than there is */
export function drip(item: Item, grams: number, what: string, ledger: Ledger): void {
  let juice = 0
  for (const pool of JUICE) juice += item[pool]
  if (juice <= 0 || grams <= 0) return
  shed(item, JUICE, Math.min(1, (SOLUTES_WITH_JUICE * grams) / juice), what, ledger)
}
