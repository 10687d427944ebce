import { randomFrom } from '../chance'
import type { TastingSettings } from '../model'
import { type Alternative, answersNeeded, dPrimeFound, powerOf } from './discrimination'
import { fAbove, normalAt, pairedPower } from '../statistics'
import { isTwoSided, protocolTable } from './protocols'
import { friedman } from './ranking'

/** How many tastings a difference asks for, and what those that are planned would find. */
export interface Need {
  /** Tastings that are planned: tasters times rounds. */
  readonly planned: number
  readonly people: number
  /** The first number that finds the difference in 8 of 10 cases, and from which on it always does; null = too many. */
  readonly first: number | null
  readonly stable: number | null
  /** Chance that those planned find it, 0 to 1; null where it cannot be told. */
  readonly power: number | null
  /** The smallest difference that they find in 8 of 10 cases, d' or points; null = none. */
  readonly finds: number | null
  /** Right answers from which a difference is shown; null where none would do, or none are right or wrong. */
  readonly critical: number | null
  readonly unit: 'd′' | 'points' | 'SD'
}

/** The usual power that is asked for. @source ISO 4120 guidance; Lawless & Heymann 2010 */
export const WANTED_POWER = 0.8
const MOST_PEOPLE = 400

/** Smallest number of people with which a paired difference is found. */
function peopleFor(points: number, scatter: number, alpha: number, sides: 1 | 2): number | null {
  for (let n = 2; n <= MOST_PEOPLE; n += 1)
    if (pairedPower(n, points / scatter, alpha, sides) >= WANTED_POWER) return n
  return null
}

/** The smallest difference that n people find, points; null for fewer than two. */
export function pointsFound(n: number, scatter: number, alpha: number, sides: 1 | 2 = 2): number | null {
  if (n < 2) return null
  let low = 0
  let high = 12
  // In units of the scatter: two people see nothing below 12 standard deviations.
  if (pairedPower(n, high, alpha, sides) < WANTED_POWER) return null
  while (high - low > 1e-3) {
    const middle = (low + high) / 2
    if (pairedPower(n, middle, alpha, sides) < WANTED_POWER) low = middle
    else high = middle
  }
  return high * scatter
}

const PANELS = 300
/** Chance that n people rank k samples apart whose ends lie `sds` of one perception apart, by drawn panels. */
export function rankingPower(n: number, k: number, sds: number, alpha: number): number {
  const chance = randomFrom(7919 * n + k)
  const draw = () => normalAt(Math.min(1 - 1e-9, Math.max(1e-9, chance())))
  let found = 0
  for (let panel = 0; panel < PANELS; panel += 1) {
    const values = Array.from({ length: n }, () =>
      Array.from({ length: k }, (_, at) => (sds * at) / (k - 1) + draw()),
    )
    // Panels of up to five are judged exactly when they are analysed; the F form stays close to it and is quick.
    const { chi2 } = friedman(values, alpha)
    if (chi2 !== null && rankP(chi2, n, k) <= alpha) found += 1
  }
  return found / PANELS
}

/** p of Friedman's test by its F form, which holds for few people. @source Iman & Davenport 1980 */
export function rankP(chi2: number, n: number, k: number): number {
  const rest = n * (k - 1) - chi2
  if (rest <= 1e-9) return 0
  return fAbove(((n - 1) * chi2) / rest, k - 1, (n - 1) * (k - 1))
}

const alternativeOf = (settings: TastingSettings): Alternative =>
  isTwoSided(settings) ? 'two.sided' : 'greater'

const needs = new Map<string, Need>()
/** How many tastings the difference that matters asks for, and what those that are planned can find; each is worked out once. */
export function needOf(settings: TastingSettings): Need {
  const { protocol, tasters, rounds, alpha, detects, scatter, samples, expectedId } = settings
  const key = JSON.stringify([
    protocol,
    tasters.length,
    rounds,
    alpha,
    detects,
    scatter,
    samples.length,
    expectedId === null,
  ])
  const known = needs.get(key)
  if (known !== undefined) return known
  const found = findNeed(settings)
  if (needs.size > 500) needs.clear()
  needs.set(key, found)
  return found
}

function findNeed(settings: TastingSettings): Need {
  const { protocol, tasters, rounds, alpha, detects, scatter, samples } = settings
  const { forced, kind } = protocolTable(protocol)
  const people = tasters.length
  const planned = people * rounds
  if (forced !== null) {
    const side = alternativeOf(settings)
    const { nFirst, nStable } = answersNeeded(forced, alpha, WANTED_POWER, { dPrime: detects }, side)
    const { power, critical } = powerOf(forced, planned, alpha, { dPrime: detects }, side)
    return {
      planned,
      people,
      first: nFirst,
      stable: nStable,
      power: planned === 0 ? null : power,
      finds: dPrimeFound(forced, planned, alpha, WANTED_POWER, side),
      critical: planned === 0 ? null : critical,
      unit: 'd′',
    }
  }
  const none = { planned, people, critical: null } as const
  if (kind === 'ranks') {
    const k = Math.max(2, samples.length)
    let first: number | null = null
    for (let n = 3; n <= 60 && first === null; n += n < 16 ? 1 : 4)
      if (rankingPower(n, k, detects, alpha) >= WANTED_POWER) first = n
    const power = people < 2 ? null : rankingPower(people, k, detects, alpha)
    return { ...none, first, stable: first, power, finds: null, unit: 'SD' }
  }
  const sides = protocol === 'control' ? 1 : 2
  // A taster's own repeats narrow his scatter, not that between people: half of each. Practice.
  const narrowed = scatter * Math.sqrt(0.5 + 0.5 / rounds)
  const first = peopleFor(detects, narrowed, alpha, sides)
  return {
    ...none,
    first,
    stable: first,
    power: people < 2 ? null : pairedPower(people, detects / narrowed, alpha, sides),
    finds: pointsFound(people, narrowed, alpha, sides),
    unit: 'points',
  }
}
