import { betaAt, binomial, binomialAbove, binomialBelow, normalAt } from '../statistics'
import { dPrimeOf, type Forced, GUESS, shareRight, slopeRight } from './psychometric'

export type Alternative = 'greater' | 'two.sided'

/** A number too small to be lost in the sum of many probabilities. */
const DUST = 1e-12

const pOf = (correct: number, n: number, guess: number, alternative: Alternative): number =>
  alternative === 'greater'
    ? binomialAbove(correct, n, guess)
    : Math.min(1, 2 * Math.min(binomialAbove(correct, n, guess), binomialBelow(correct, n, guess)))

/**
 * The smallest number of right answers of n that chance alone reaches at most so often.
 * @returns null where even all right are not enough: the test cannot reach that level
 */
export function criticalNumber(
  n: number,
  guess: number,
  alpha: number,
  alternative: Alternative = 'greater',
): number | null {
  const each = binomial(n, guess)
  const sides = alternative === 'two.sided' ? 2 : 1
  let tail = 0
  let found: number | null = null
  for (let x = n; x >= 0; x -= 1) {
    tail += each[x] ?? 0
    if (sides * tail > alpha + DUST || (sides === 2 && x <= n / 2)) break
    found = x
  }
  return found
}

export interface Discrimination {
  readonly guess: number
  readonly proportionCorrect: number | null
  readonly pValue: number | null
  readonly critical05: number | null
  readonly critical01: number | null
  /** Share of people who truly tell: as computed, and not below 0. */
  readonly pdRaw: number | null
  readonly pd: number | null
  readonly pdSE: number | null
  readonly pdLowerExact: number | null
  readonly pdUpperExact: number | null
  /** The normal form of ISO 4120, beside the exact value. */
  readonly pdUpperNormal: number | null
  /** null = without bound. */
  readonly dPrime: number | null
  readonly dPrimeSE: number | null
  readonly dPrimeLowerExact: number | null
  readonly dPrimeUpperExact: number | null
  readonly status: 'ok' | 'all-correct' | 'at-or-below-chance' | 'no-answers'
}

const NOTHING = {
  proportionCorrect: null,
  pValue: null,
  critical05: null,
  critical01: null,
  pdRaw: null,
  pd: null,
  pdSE: null,
  pdLowerExact: null,
  pdUpperExact: null,
  pdUpperNormal: null,
  dPrime: null,
  dPrimeSE: null,
  dPrimeLowerExact: null,
  dPrimeUpperExact: null,
  status: 'no-answers',
} as const

/**
 * The exact analysis of answers that are right or wrong.
 * @param confidence of each one-sided limit, 0 to 1
 * @source exact binomial; Clopper-Pearson limits mapped to pd = (pc - pg)/(1 - pg) and to d'; Brockhoff & Christensen
 * 2010, Food Qual. Pref. 21:330
 */
export function analyseForced(
  protocol: Forced,
  correct: number,
  n: number,
  alternative: Alternative = 'greater',
  confidence = 0.95,
): Discrimination {
  const guess = GUESS[protocol]
  if (n <= 0) return { guess, ...NOTHING }
  const share = correct / n
  const told = (proportion: number): number => (proportion - guess) / (1 - guess)
  const least = correct === 0 ? 0 : betaAt(1 - confidence, correct, n - correct + 1)
  const most = correct === n ? 1 : betaAt(confidence, correct + 1, n - correct)
  const pdRaw = told(share)
  const dPrime = dPrimeOf(protocol, share)
  const spread = Math.sqrt((share * (1 - share)) / n)
  return {
    guess,
    proportionCorrect: share,
    pValue: pOf(correct, n, guess, alternative),
    critical05: criticalNumber(n, guess, 0.05, alternative),
    critical01: criticalNumber(n, guess, 0.01, alternative),
    pdRaw,
    pd: Math.max(0, pdRaw),
    pdSE: spread / (1 - guess),
    pdLowerExact: Math.max(0, told(least)),
    pdUpperExact: Math.max(0, told(most)),
    pdUpperNormal: Math.min(1, Math.max(0, pdRaw + (normalAt(confidence) * spread) / (1 - guess))),
    dPrime,
    dPrimeSE: dPrime === null || dPrime === 0 ? null : spread / slopeRight(protocol, dPrime),
    dPrimeLowerExact: dPrimeOf(protocol, least),
    dPrimeUpperExact: dPrimeOf(protocol, most),
    status: correct === n ? 'all-correct' : share <= guess + DUST ? 'at-or-below-chance' : 'ok',
  }
}

/** How large a difference is: d', or the share of people who tell; one of the two. */
export type Difference = { readonly dPrime: number } | { readonly pd: number }

/** Share of right answers at a difference. */
export const shareAt = (protocol: Forced, difference: Difference): number =>
  'dPrime' in difference
    ? shareRight(protocol, difference.dPrime)
    : GUESS[protocol] + difference.pd * (1 - GUESS[protocol])

export interface Power {
  readonly critical: number | null
  readonly pcAlternative: number
  /** Chance of finding the difference, 0 to 1. */
  readonly power: number
}

/** The exact power of n answers. */
export function powerOf(
  protocol: Forced,
  n: number,
  alpha: number,
  difference: Difference,
  alternative: Alternative = 'greater',
): Power {
  return powerAt(shareAt(protocol, difference), n, GUESS[protocol], alpha, alternative)
}

function powerAt(
  pcAlternative: number,
  n: number,
  guess: number,
  alpha: number,
  alternative: Alternative,
): Power {
  const critical = criticalNumber(n, guess, alpha, alternative)
  if (critical === null) return { critical, pcAlternative, power: 0 }
  const above = binomialAbove(critical, n, pcAlternative)
  const below = alternative === 'two.sided' ? binomialBelow(n - critical, n, pcAlternative) : 0
  return { critical, pcAlternative, power: above + below }
}

export interface Needed {
  /** The first number that reaches the power, and the one from which it stays there (power is saw-toothed). */
  readonly nFirst: number | null
  readonly powerFirst: number | null
  readonly nStable: number | null
  readonly powerStable: number | null
}

/** More answers than this are not asked of a kitchen. */
const MOST_ANSWERS = 4000
/** Beyond this multiple of the first, the teeth of the saw are smaller than what is left above the line. Checked in the tests. */
const FURTHER = (first: number): number => Math.ceil(1.5 * first) + 60

/** How many answers find a difference with a power; nulls where more than 4000 would be needed. */
export function answersNeeded(
  protocol: Forced,
  alpha: number,
  power: number,
  difference: Difference,
  alternative: Alternative = 'greater',
): Needed {
  const pc = shareAt(protocol, difference)
  const at = (n: number): number => powerAt(pc, n, GUESS[protocol], alpha, alternative).power
  let nFirst = 1
  while (nFirst <= MOST_ANSWERS && at(nFirst) < power) nFirst += 1
  if (nFirst > MOST_ANSWERS) return { nFirst: null, powerFirst: null, nStable: null, powerStable: null }
  let nStable = nFirst
  for (let n = nFirst + 1; n <= FURTHER(nFirst); n += 1) if (at(n) < power) nStable = n + 1
  return { nFirst, powerFirst: at(nFirst), nStable, powerStable: at(nStable) }
}

/** The smallest d' that n answers find with a power; null where none is large enough. */
export function dPrimeFound(
  protocol: Forced,
  n: number,
  alpha: number,
  power: number,
  alternative: Alternative = 'greater',
): number | null {
  const at = (dPrime: number): number => powerOf(protocol, n, alpha, { dPrime }, alternative).power
  let low = 0
  let high = 12
  if (n <= 0 || at(high) < power) return null
  while (high - low > 1e-4) {
    const middle = (low + high) / 2
    if (at(middle) < power) low = middle
    else high = middle
  }
  return high
}

export interface Similarity {
  /** Most right answers with which the two still pass as alike; null where none do. */
  readonly maxCorrect: number | null
  readonly achievedBeta: number | null
  readonly pSimilarity: number
  readonly similar: boolean
}

/**
 * Whether the share of people who tell is shown to be below a limit.
 * @param pdMax the limit, stated before the tasting, 0 to 1
 * @param beta risk of passing what is at the limit
 */
export function similarityOf(
  protocol: Forced,
  correct: number,
  n: number,
  pdMax: number,
  beta: number,
): Similarity {
  const at = shareAt(protocol, { pd: pdMax })
  const each = binomial(n, at)
  let sum = 0
  let maxCorrect: number | null = null
  let achievedBeta: number | null = null
  for (let x = 0; x <= n; x += 1) {
    sum += each[x] ?? 0
    if (sum > beta + DUST) break
    maxCorrect = x
    achievedBeta = sum
  }
  return {
    maxCorrect,
    achievedBeta,
    pSimilarity: binomialBelow(correct, n, at),
    similar: maxCorrect !== null && correct <= maxCorrect,
  }
}
