import type { Batch, BatchField } from '../composition'

/**
 * Swollen volume of a heated starch, mL per g, in excess water at 90 C. Pulse and nut starch stays partly in its cells.
 * @source Evans and Haisman 1979 for the model; values practice, to be calibrated by a line-spread test
 */
export const STARCH_SWELLING_ML_PER_G: Partial<Record<BatchField, number>> = {
  potatoStarchG: 60,
  tapiocaStarchG: 45,
  arrowrootStarchG: 40,
  maizeStarchG: 20,
  wheatStarchG: 15,
  riceStarchG: 18,
  oatStarchG: 9,
  cerealStarchG: 12,
  pulseFlourStarchG: 7,
  pulseStarchG: 4,
  nutStarchG: 7,
  rootStarchG: 8,
}

/** Hydrated volume of dry particle solids, mL per g. Practice. */
export const SOLIDS_VOLUME_ML_PER_G: Partial<Record<BatchField, number>> = {
  nutSolidsG: 2,
  pulseSolidsG: 3,
  soySolidsG: 4.5,
  milkSolidsG: 1.6,
  vegetableSolidsG: 7,
  fungalSolidsG: 5,
  cerealSolidsG: 3,
  otherSolidsG: 1.5,
}

/** Water at 60 C, Pa.s. */
const WATER_PA_S = 0.00047
/** Closest packing of irregular particles, and their shape factor. @source Krieger and Dougherty 1959; k practice */
const PACKING = 0.62
const SHAPE = 1.4
/** Above this the suspension is a paste: the model stops there instead of diverging. */
const MOST_PARTICLES = 0.55
/** Density of the wet phase, g per mL. */
const DENSITY = 1.04
/** Gums multiply the liquid's viscosity by exp(k c), c in % of the mass. Practice, for 50 1/s. */
const GUM_EXPONENT_PER_PCT = 6
const MOST_GUM_EXPONENT = 9

/**
 * Viscosity that heated starch gives to water, Pa.s at 60 C and 50 1/s, from its swollen volume fraction cQ.
 * @source log-log fit through the starch doses of the consistency bands (pouring 1.5, coating 3.5, thick 5, dip 7 % corn starch); practice
 */
export function starchViscosity(swollenFraction: number): number {
  if (swollenFraction <= 1e-4) return 0
  const x = Math.log10(swollenFraction)
  const knee = -0.585
  const atKnee = 0.2 + 4.22 * knee + 2.84 * knee * knee
  const slope = 4.22 + 2 * 2.84 * knee
  return 10 ** (x < knee ? atKnee + slope * (x - knee) : 0.2 + 4.22 * x + 2.84 * x * x)
}

const weighted = (batch: Batch, weights: Partial<Record<BatchField, number>>): number => {
  let sum = 0
  for (const field in weights) sum += batch[field as BatchField] * (weights[field as BatchField] ?? 0)
  return sum
}

/** Krieger-Dougherty relative viscosity of a suspension of irregular particles. */
export function suspensionFactor(fraction: number): number {
  const packed = Math.min(fraction, MOST_PARTICLES) / PACKING
  return (1 - packed) ** (-2.5 * PACKING * SHAPE)
}

/** Dilute to semi-dilute emulsion of fat droplets: 1 + 2.5 phi + 10 phi^2. */
export const emulsionFactor = (fraction: number): number => 1 + 2.5 * fraction + 10 * fraction * fraction

/**
 * Apparent viscosity of a sauce, starch fully heated, particles blended fine.
 *
 * @param batch the cooked sauce
 * @returns Pa.s at 60 C and 50 1/s; good to about half a decade before it is calibrated
 * @source suspension in a thickened liquid: Krieger and Dougherty 1959, Evans and Haisman 1979; constants practice
 */
export function viscosityPaS(batch: Batch): number {
  if (batch.massG <= 0) return 0
  const volumeML = batch.massG / DENSITY
  const starch = starchViscosity(weighted(batch, STARCH_SWELLING_ML_PER_G) / volumeML)
  const gum = Math.exp(Math.min(MOST_GUM_EXPONENT, (GUM_EXPONENT_PER_PCT * 100 * batch.gumG) / batch.massG))
  const particles = weighted(batch, SOLIDS_VOLUME_ML_PER_G) / volumeML
  const droplets = batch.fatG / 0.92 / volumeML
  return (WATER_PA_S * gum + starch) * suspensionFactor(particles) * emulsionFactor(Math.min(0.6, droplets))
}

/** Thickness on the 0 to 10 kitchen scale. @source kitchen measurement P9c: 5.8 + 2.2 log10(eta); practice */
export const thickness = (paS: number): number =>
  Math.min(10, Math.max(0, 5.8 + 2.2 * Math.log10(Math.max(paS, 1e-5))))
