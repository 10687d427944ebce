import { POOL_COUNT } from '../program'
import type { Bench } from './bench'
import { MASS_IN, RECORD_STRIDE } from './workspace'

/** Oil that stays on fried food. @source uptake 0.12 (0.08 to 0.20) of the water lost; film 3 to 8 %; Mellema 2003 */
const OIL_PER_WATER = 0.12
const OIL_FILM = { 'deep-fry': 0.05, 'shallow-fry': 0.03 } as const
const BREADED_FILM = 0.07
/** Rough balls of a mix hold more. @source falafel: oil 8 to 18 % of the product, 13 in the middle */
const BALL_FILM = 0.085

/** Oil that frying leaves on the food, g. @param lostG water that left meanwhile */
function oilTaken(bench: Bench, lostG: number, foodG: number): number {
  const id = bench.op.spec?.id
  if (id !== 'deep-fry' && id !== 'shallow-fry') return 0
  const film =
    bench.op.form === 'breaded'
      ? BREADED_FILM
      : bench.op.form === 'ball' && id === 'deep-fry'
        ? BALL_FILM
        : OIL_FILM[id]
  return film * foodG + OIL_PER_WATER * Math.max(0, lostG)
}

/** Where no oil is listed, the fryer's own oil clings to the food. */
export function fryIn(bench: Bench, lostG: number, account: number): void {
  const { oilRow } = bench.op
  if (oilRow < 0) return
  const grams = oilTaken(bench, lostG, bench.massG)
  if (grams <= 0) return
  const { pools } = bench.entry(oilRow)
  for (let pool = 0; pool < POOL_COUNT; pool += 1)
    bench.gain(oilRow, pool, grams * (pools[pool] ?? 0), account)
}

/** Of the oil that is listed for frying, the food takes its film and what replaces its water; the rest stays in the pan. */
export function leaveInPan(bench: Bench, account: number): void {
  const { mediumRows } = bench.op
  if (mediumRows.length === 0) return
  let oil = 0
  for (const row of mediumRows) oil += bench.massOf(row)
  if (oil <= 0) return
  const food = bench.massG - oil
  const taken = oilTaken(bench, lostIn(bench), food)
  const share = 1 - smoothLeast(taken / oil)
  for (const row of mediumRows) bench.shedAll(row, share, account)
}

/** Salt that food takes through its skin from a bed or a crust of it, share of its mass. Practice. */
const OF_THE_BED = 0.01
/** Of the salt that food is baked in it takes a little; the rest is broken off. */
export function leaveBed(bench: Bench, account: number): void {
  const { bedRows } = bench.op
  let salt = 0
  for (const row of bedRows) salt += bench.massOf(row)
  if (salt <= 0) return
  const share = 1 - smoothLeast((OF_THE_BED * (bench.massG - salt)) / salt)
  for (const row of bedRows) bench.shedAll(row, share, account)
}

/** Water that the food has lost in this operation, g. */
const lostIn = (bench: Bench): number =>
  Math.max(0, (bench.records[bench.op.at * RECORD_STRIDE + MASS_IN] ?? 0) - bench.massG)

/** As much as is wanted where there is plenty, all where there is little, without a corner. */
const smoothLeast = (wanted: number): number => (wanted <= 0 ? 0 : 1 - Math.exp(-wanted))
