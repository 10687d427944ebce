import type { Measured } from '../model'

/** Something about an amount that the cook should know. */
export interface MeasureNote {
  readonly code: 'fluid-ounce-guess' | 'no-density' | 'no-piece-mass' | 'liquid-heaped' | 'drained-guess'
  readonly message: string
  readonly remedy: string
}

/** The mass of an amount of a food. `low` and `high` are what a careful reader would accept. */
export interface LineMass {
  readonly mass: Measured | null
  readonly low: number
  readonly high: number
  readonly notes: readonly MeasureNote[]
}
