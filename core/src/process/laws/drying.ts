/** Water that stays with a food however long it dries, g per g of its solids. @source 0.03 to 0.10; practice */
export const LAST_WATER = 0.06
/** The same where it is dried until it bends. @source chewy: 25 to 35 % water; practice */
export const LEATHERY_WATER = 0.4

/** Where the surface of a wet food stays while it dries, C. @source 90 C in a hot oven, 30 to 35 C in a dehydrator; practice */
const WET_SURFACE_C: Readonly<Record<string, number>> = { dehydrate: 32, 'deep-fry': 103, 'shallow-fry': 103 }
const OVEN_WET_SURFACE_C = 90
/** Air or oil temperature at which an operation's constant holds, C. */
const REFERENCE_C: Readonly<Record<string, number>> = {
  roast: 190,
  'roast-wrapped': 190,
  'air-fry': 195,
  broil: 230,
  grill: 220,
  dehydrate: 57,
  'deep-fry': 175,
  'shallow-fry': 170,
}
/** A drying constant stays within these factors of its reference: the law is no licence to extrapolate. Practice. */
const LEAST_SCALE = 0.15
const MOST_SCALE = 3

/**
 * How a drying constant changes with temperature: as the gap between the air and the wet surface.
 * @returns 1 at the operation's reference and where none is known
 */
export function temperatureScale(operation: string, tempC: number | null): number {
  const reference = REFERENCE_C[operation]
  if (reference === undefined || tempC === null) return 1
  const wet = WET_SURFACE_C[operation] ?? OVEN_WET_SURFACE_C
  return Math.min(MOST_SCALE, Math.max(LEAST_SCALE, (tempC - wet) / (reference - wet)))
}

/**
 * Water left by falling-rate drying.
 * @param waterG at the start, g
 * @param solidsG solids without oil, g: they set the water that cannot leave
 * @param perMin drying constant, 1/min
 * @returns g, between the water that cannot leave (or the start, if lower) and the start
 */
export function waterAfterDrying(waterG: number, solidsG: number, perMin: number, minutes: number): number {
  const last = Math.min(waterG, LAST_WATER * solidsG)
  return last + (waterG - last) * Math.exp(-perMin * minutes)
}

/** The drying constant that explains a water content after some minutes, 1/min; null where there is none. */
export function dryingConstant(
  waterG: number,
  solidsG: number,
  afterG: number,
  minutes: number,
): number | null {
  const last = Math.min(waterG, LAST_WATER * solidsG)
  const share = (afterG - last) / (waterG - last)
  return share > 0 && share < 1 && minutes > 0 ? -Math.log(share) / minutes : null
}

/** Minutes of drying until so much water is left; null where it never comes so far. */
export function minutesToWater(
  waterG: number,
  solidsG: number,
  wantedG: number,
  perMin: number,
): number | null {
  const last = Math.min(waterG, LAST_WATER * solidsG)
  if (wantedG >= waterG) return 0
  const share = (wantedG - last) / (waterG - last)
  return share > 0 && perMin > 0 ? -Math.log(share) / perMin : null
}
