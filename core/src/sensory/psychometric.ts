import { normalBelow, normalDensity, ruleOn } from '../statistics'

/** Tests with one right answer, by the short names of the field. */
export const FORCED = ['triangle', 'duotrio', 'twoafc', 'threeafc', 'tetrad'] as const
export type Forced = (typeof FORCED)[number]

/** Chance of a right answer by one who cannot tell. @source ISO 4120, ISO 10399, ISO 5495, ASTM E3009 */
export const GUESS: Readonly<Record<Forced, number>> = {
  triangle: 1 / 3,
  duotrio: 1 / 2,
  twoafc: 1 / 2,
  threeafc: 1 / 3,
  tetrad: 1 / 3,
}

const WHOLE = ruleOn(-9, 9, 4)
const HALF = ruleOn(0, 9, 3)
const over = (rule: typeof WHOLE, of: (z: number) => number): number => {
  let sum = 0
  for (const [z, weight] of rule) sum += weight * of(z)
  return sum
}

const ROOT3 = Math.sqrt(3)
const ROOT2_3 = Math.sqrt(2 / 3)
const ROOT6 = Math.sqrt(6)
const of: Readonly<Record<Forced, { pc: (d: number) => number; slope: (d: number) => number }>> = {
  twoafc: {
    pc: (d) => normalBelow(d / Math.SQRT2),
    slope: (d) => normalDensity(d / Math.SQRT2) / Math.SQRT2,
  },
  threeafc: {
    pc: (d) => over(WHOLE, (z) => normalDensity(z) * normalBelow(z + d) ** 2),
    slope: (d) => over(WHOLE, (z) => 2 * normalDensity(z) * normalBelow(z + d) * normalDensity(z + d)),
  },
  duotrio: {
    pc: (d) => {
      const a = normalBelow(d / Math.SQRT2)
      const b = normalBelow(d / ROOT6)
      return a * b + (1 - a) * (1 - b)
    },
    slope: (d) =>
      (normalDensity(d / Math.SQRT2) / Math.SQRT2) * (2 * normalBelow(d / ROOT6) - 1) +
      (normalDensity(d / ROOT6) / ROOT6) * (2 * normalBelow(d / Math.SQRT2) - 1),
  },
  triangle: {
    pc: (d) =>
      2 *
      over(
        HALF,
        (z) =>
          (normalBelow(-z * ROOT3 + d * ROOT2_3) + normalBelow(-z * ROOT3 - d * ROOT2_3)) * normalDensity(z),
      ),
    slope: (d) =>
      2 *
      ROOT2_3 *
      over(
        HALF,
        (z) =>
          (normalDensity(-z * ROOT3 + d * ROOT2_3) - normalDensity(-z * ROOT3 - d * ROOT2_3)) *
          normalDensity(z),
      ),
  },
  tetrad: {
    pc: (d) =>
      1 -
      2 *
        over(WHOLE, (z) => {
          const other = normalBelow(z - d)
          return normalDensity(z) * (2 * normalBelow(z) * other - other * other)
        }),
    slope: (d) =>
      4 * over(WHOLE, (z) => normalDensity(z) * normalDensity(z - d) * (normalBelow(z) - normalBelow(z - d))),
  },
}

/**
 * Share of right answers at a distance d' (standard deviations of perception, 0 or more).
 * @source Ennis 1993, J. Sensory Studies 8:353; Ennis & Jesionka 2011, same 26:371
 */
export const shareRight = (protocol: Forced, dPrime: number): number => of[protocol].pc(dPrime)
/** How steeply the share of right answers rises with d'. */
export const slopeRight = (protocol: Forced, dPrime: number): number => of[protocol].slope(dPrime)

const MOST = 30
/** The d' at which a share of answers is right: 0 at or below chance, null (without bound) where all are. */
export function dPrimeOf(protocol: Forced, share: number): number | null {
  if (share <= GUESS[protocol]) return 0
  if (share >= 1) return null
  let low = 0
  let high = MOST
  if (shareRight(protocol, high) <= share) return null
  while (high - low > 1e-9) {
    const middle = (low + high) / 2
    if (shareRight(protocol, middle) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}
