/** Thermal diffusivity of moist food, m2/s, and its conductivity, W/mK. @source 1.1 to 1.5e-7; 0.35 to 0.55; practice */
const DIFFUSIVITY = 1.3e-7
const CONDUCTIVITY = 0.45

/** First root and coefficient of the one-term solution by Biot number. @source z tan z = Bi; z J1/J0 = Bi; 1 − z cot z = Bi */
const BIOT = [0.1, 0.2, 0.5, 1, 2, 5, 10, 100] as const
const TERMS = {
  slab: {
    z: [0.3111, 0.4328, 0.6533, 0.8603, 1.0769, 1.3138, 1.4289, 1.5552],
    a: [1.0161, 1.0311, 1.0701, 1.1191, 1.1785, 1.2402, 1.262, 1.2731],
  },
  cylinder: {
    z: [0.4417, 0.617, 0.9408, 1.2558, 1.5994, 1.9898, 2.1795, 2.3809],
    a: [1.0246, 1.0483, 1.1143, 1.2071, 1.3384, 1.5029, 1.5677, 1.6015],
  },
  sphere: {
    z: [0.5423, 0.7593, 1.1656, 1.5708, 2.0288, 2.5704, 2.8363, 3.1102],
    a: [1.0298, 1.0592, 1.1441, 1.2732, 1.4793, 1.787, 1.9249, 1.999],
  },
} as const
export type Shape = keyof typeof TERMS

function interpolated(values: readonly number[], biot: number): number {
  const at = BIOT.findIndex((known) => known >= biot)
  if (at <= 0) return values[at === 0 ? 0 : values.length - 1] ?? 0
  const low = BIOT[at - 1] ?? 1
  const high = BIOT[at] ?? 1
  const share = (Math.log(biot) - Math.log(low)) / (Math.log(high) - Math.log(low))
  const from = values[at - 1] ?? 0
  return from + share * ((values[at] ?? 0) - from)
}

export interface Heating {
  readonly startC: number
  /** Of the air, oil, steam or bath, as the surface feels it. */
  readonly mediumC: number
  /** Whole thickness or diameter, mm, above 0. */
  readonly thicknessMm: number
  readonly shape: Shape
  /** Heat transfer at the surface, W/m2K. */
  readonly h: number
  readonly minutes: number
}

/**
 * Temperature in the middle of a piece after heating or cooling.
 * @returns C, between the start and the medium
 * @source one-term conduction (Carslaw and Jaeger); surface by Biot number; food constants practice
 */
export function coreTemperature({ startC, mediumC, thicknessMm, shape, h, minutes }: Heating): number {
  const half = thicknessMm / 2000
  const fourier = (DIFFUSIVITY * minutes * 60) / (half * half)
  const biot = Math.max(BIOT[0], Math.min(100, (h * half) / CONDUCTIVITY))
  const { z, a } = TERMS[shape]
  const theta = Math.min(1, interpolated(a, biot) * Math.exp(-(interpolated(z, biot) ** 2) * fourier))
  return mediumC - (mediumC - startC) * theta
}
