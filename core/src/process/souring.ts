import type { Culture } from '../model'

/** Half as fast for every so many degrees below the best. @source process 3.25 */
const DOUBLING_C = 8

const slowerAt = (tempC: number, { bestC }: Culture): number => 2 ** (Math.max(0, bestC - tempC) / DOUBLING_C)

/** pH of a ripening base. @source logistic of culture tables; twice as slow for every 8 C below the best; process 3.25 */
export function ripePH(hours: number, tempC: number, culture: Culture): number {
  const slower = slowerAt(tempC, culture)
  const { ripePH: end, freshPH: start, halfwayH, spreadH } = culture
  return end + (start - end) / (1 + Math.exp((hours - halfwayH * slower) / (spreadH * slower)))
}

/**
 * Hours until a ripening base is as sour as asked: the same curve, read the other way.
 * @returns null where this culture never gets there
 */
export function hoursToPH(pH: number, tempC: number, culture: Culture): number | null {
  const { ripePH: end, freshPH: start, halfwayH, spreadH } = culture
  if (pH <= end) return null
  if (pH >= start) return 0
  const slower = slowerAt(tempC, culture)
  return Math.max(0, slower * (halfwayH + spreadH * Math.log((start - pH) / (pH - end))))
}

/** The culture that works best nearest to a temperature. */
export function cultureNear(cultures: Iterable<Culture>, tempC: number): Culture | null {
  let best: Culture | null = null
  for (const culture of cultures)
    if (best === null || Math.abs(culture.bestC - tempC) < Math.abs(best.bestC - tempC)) best = culture
  return best
}
