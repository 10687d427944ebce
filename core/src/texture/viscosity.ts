import type { PartState } from '../process'
import { setFatPct } from './fats'

/** Water at 60 C, Pa.s. */
const WATER_PA_S = 0.00047
/** Density of the wet phase, and of fat, g per mL. */
const DENSITY = 1.04
const FAT_DENSITY = 0.92
/**
 * Thickness that fine particles give a liquid: log10 of the relative viscosity by their hydrated volume fraction.
 * @source the nut and bean columns of the consistency bands (pouring, coating, thick, dip, spread); practice
 */
const PARTICLES: readonly (readonly [phi: number, log10: number])[] = [
  [0, 0],
  [0.1, 0.3],
  [0.2, 0.9],
  [0.276, 1.63],
  [0.345, 2.33],
  [0.43, 2.8],
  [0.55, 3.33],
  [0.69, 3.93],
  [0.86, 4.5],
]
/** Nut starch swells in its kernels when they are heated: cashew cream thickens 2 to 4 times. Practice. */
const HEATED_KERNELS = 1.5
/** Gums multiply the liquid's viscosity by exp(k c), c in % of the mass. Practice, for 50 1/s. */
const GUM_EXPONENT_PER_PCT = 6
const MOST_GUM_EXPONENT = 9
/** Agents that gel thicken a hot liquid by this share of what a thickener does. Practice. */
const GELLING_SHARE = 0.1
const MOST_STARCH_PA_S = 200
/** Droplets pack this close; past the last they no longer flow as drops. @source Krieger and Dougherty 1959 form, 1 + 2.5 phi + 10 phi^2 at low phi */
const DROPLETS_PACK = 0.76
const DROPLETS_POWER = 1.9
const MOST_DROPLETS = 0.72
/** Warm liquids thin: K. @source Ea 15 to 30 kJ/mol; practice */
const ACTIVATION_K = 2646
const REFERENCE_K = 333
const KELVIN = 273.15
/** Amylose sets below this and thickens the paste so much. @source 1.5 to 5 times; practice */
const AMYLOSE_SETS_C = 45
const AMYLOSE_TIMES = 1.5

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
  const paS = 10 ** (x < knee ? atKnee + slope * (x - knee) : 0.2 + 4.22 * x + 2.84 * x * x)
  return (MOST_STARCH_PA_S * paS) / (MOST_STARCH_PA_S + paS)
}

/** Relative viscosity of a suspension of soft, irregular particles. @param fraction hydrated volume fraction, 0 upward */
export function suspensionFactor(fraction: number): number {
  let low = PARTICLES[0] ?? [0, 0]
  for (const point of PARTICLES) {
    if (point[0] >= fraction) {
      const span = point[0] - low[0]
      const share = span > 0 ? (fraction - low[0]) / span : 0
      return 10 ** (low[1] + share * (point[1] - low[1]))
    }
    low = point
  }
  return 10 ** low[1]
}

/** Relative viscosity of an emulsion by the volume fraction of its droplets. */
export const emulsionFactor = (fraction: number): number =>
  (1 - Math.min(fraction, MOST_DROPLETS) / DROPLETS_PACK) ** -DROPLETS_POWER

/**
 * Apparent viscosity of a sauce: particles as fine as they were blended, starch as far as it swelled, fat as far as it is
 * in droplets, gums as far as they dissolved.
 *
 * @returns Pa.s at 60 C and 50 1/s; good to about half a decade before it is calibrated
 * @source suspension in a thickened liquid: Krieger and Dougherty 1959, Evans and Haisman 1979; constants practice
 */
export function viscosityPaS({ cooked, particles, starch, emulsifiedFatG, agents }: PartState): number {
  const { massG } = cooked
  if (massG <= 0) return 0
  const volumeMl = massG / DENSITY
  const phi = particles.volumeMl / volumeMl
  let gumG = 0
  for (const { family, activeG } of agents) gumG += activeG * (family === 'thickener' ? 1 : GELLING_SHARE)
  const gum = Math.exp(Math.min(MOST_GUM_EXPONENT, (GUM_EXPONENT_PER_PCT * 100 * gumG) / massG))
  const liquidMl = Math.max(0.2 * volumeMl, volumeMl - particles.volumeMl)
  const paste = starchViscosity(starch.swollenMl / liquidMl)
  const droplets = Math.max(0, emulsifiedFatG - particles.innerFatG) / FAT_DENSITY / volumeMl
  const kernels = 1 + HEATED_KERNELS * particles.heatedKernels * Math.min(1, phi / 0.1)
  return (WATER_PA_S * gum * suspensionFactor(phi) * kernels + paste) * emulsionFactor(droplets)
}

/** So much set fat doubles the thickness of a cold spread, %. @source sauce tables; practice */
const SET_FAT_DOUBLES_PCT = 6
/** A cultured milk stands by its protein: 0.0035 p3 where it was heated to 90 C, a quarter of it where not. @source sauce tables; practice */
const SOURED_FACTOR = 0.0035
const UNHEATED_SHARE = 0.25
const HEATED_C = 86
function souredPaS({ culturePH, notes, cooked, peakC }: PartState): number {
  if (Number.isNaN(culturePH) || cooked.massG <= 0) return 0
  const protein = (100 * notes.soyDrinkProteinG) / cooked.massG
  const set = 1 / (1 + Math.exp((culturePH - 5.2) / 0.15))
  const heated = UNHEATED_SHARE + (1 - UNHEATED_SHARE) / (1 + Math.exp((HEATED_C - peakC) / 1.5))
  return SOURED_FACTOR * protein ** 3 * set * heated
}

/**
 * The same at the temperature at which it is served: warm liquids thin, amylose sets when it cools.
 * @param servingC 0 to 100
 */
export function viscosityAt(state: PartState, servingC: number): number {
  const at60 = viscosityPaS(state)
  const warmth = Math.exp(ACTIVATION_K * (1 / (servingC + KELVIN) - 1 / REFERENCE_K))
  const isPaste = state.starch.swollenG > 0 ? state.starch.amyloseG / state.starch.swollenG : 0
  const set = 1 / (1 + Math.exp((servingC - AMYLOSE_SETS_C) / 4))
  const fat = setFatPct(state, servingC, servingC) / SET_FAT_DOUBLES_PCT
  return at60 * warmth * (1 + AMYLOSE_TIMES * isPaste * set) * (1 + fat * fat) + souredPaS(state)
}

/** Thickness on the 0 to 10 kitchen scale. @source kitchen measurement P9c: 5.8 + 2.2 log10(eta); practice */
export const thickness = (paS: number): number =>
  Math.min(10, Math.max(0, 5.8 + 2.2 * Math.log10(Math.max(paS, 1e-5))))
