/** Latent heat of water, kJ/kg. */
export const LATENT_KJ_PER_KG = 2257

/**
 * Water that leaves an open surface, g a minute and dm2.
 * @source gentle simmer 1.5 (1 to 2.5), rapid 3.5 (2.5 to 5), rolling boil 7 (5 to 10), warm 0.8 (0.5 to 1.5); practice
 */
export const SURFACE_G_PER_MIN_DM2 = { warm: 0.8, gentle: 1.5, rapid: 3.5, boil: 7 } as const
export type Bubbling = keyof typeof SURFACE_G_PER_MIN_DM2

/** Vapour pressure of water, kPa. @source Tetens 1930, 0 to 100 C within 1 % */
const vapourKpa = (tempC: number): number => 0.61078 * Math.exp((17.27 * tempC) / (tempC + 237.3))
/** Of the air in a kitchen, kPa: 20 C, half saturated. */
const ROOM_KPA = 1.2
const LEAST_G_PER_MIN_DM2 = 0.01
/** Below the simmer a surface gives off by its vapour pressure, g a minute, dm2 and kPa. @source still pools: 0.089 W/(m2 Pa) over the latent heat (ASHRAE); 0.68 at 70 C */
const STILL_G_PER_KPA = 0.0227
/** Water that leaves a surface that does not bubble, g a minute and dm2; between a cold bowl and the gentle simmer. */
export const stillSurface = (tempC: number): number =>
  Math.min(
    SURFACE_G_PER_MIN_DM2.gentle,
    Math.max(LEAST_G_PER_MIN_DM2, STILL_G_PER_KPA * (vapourKpa(tempC) - ROOM_KPA)),
  )
/** What a slow cooker lets out under its lid, against a lid on a pot. @source 1 to 3 % of a full pot in 8 h; practice */
export const SLOW_COOKER = 0.25
/** A pan of sauce or of vegetables in their juice, g a minute and dm2, by the fire. @source rapid 2.5 to 5, gentle 1 to 2.5; practice */
export const PAN_G_PER_MIN_DM2 = { low: 1.5, medium: 2.5, high: 3.5 } as const

/** A lid keeps most vapour in. @source lid 0.1 to 0.2, ajar half; practice */
export const LID_FACTOR = { off: 1, ajar: 0.5, on: 0.15 } as const

/** Thick pastes give off less. @source 0.5 to 0.7; practice */
const PASTE_FACTOR = 0.6
const PASTE_SOLIDS = 0.2

/** Share of a hob's power that reaches the food. @source gas 0.40, coil 0.65, induction 0.75; practice */
export const HOB_EFFICIENCY = 0.55

/** Most water that a hob can boil off, g/min. @param powerKw drawn from the wall or the gas */
export const hobLimit = (powerKw: number): number => (60 * HOB_EFFICIENCY * powerKw * 1000) / LATENT_KJ_PER_KG

/** Heat transfer of air by oven, W/m2K. @source still 15 to 25, fan 25 to 45; practice */
const AIR_H = { still: 22, fan: 32, fryer: 55 } as const
export type Air = keyof typeof AIR_H

/** Most water that air takes from a wet surface, g a minute and dm2. @param tempC of the air */
export const airLimit = (tempC: number, air: Air): number =>
  Math.max(0, (AIR_H[air] * (tempC - 90) * 60 * 1000) / (LATENT_KJ_PER_KG * 1000 * 100))

/**
 * Evaporation of a liquid in an open or covered vessel.
 * @param perDm2 that leave its surface uncovered, g a minute and dm2
 * @param areaDm2 of the surface
 * @param solidsShare dry matter of the lot, 0 to 1
 * @param limit g/min that the heat allows
 * @returns g/min
 */
export function surfaceRate(
  perDm2: number,
  areaDm2: number,
  lid: keyof typeof LID_FACTOR,
  solidsShare: number,
  limit: number,
): number {
  const paste = solidsShare > PASTE_SOLIDS ? PASTE_FACTOR : 1
  return Math.min(limit, perDm2 * areaDm2 * paste) * LID_FACTOR[lid]
}
