import type { Assessment, PartAssessment } from '../model'
import type { LimitedId } from './ask'

/** One thing that a search may change. */
export interface Knob {
  readonly kind: 'line' | 'minutes' | 'keeps'
  /** Id of the line or of the step. */
  readonly id: string
  readonly name: string
  /** Place among the program's lines or operations. */
  readonly at: number
  /** As it is: g, min, or share of the mass. */
  readonly now: number
  readonly low: number
  readonly high: number
  /** A usual change, in its own unit: what steps and changes are counted in. */
  readonly scale: number
  /** It is weighed, spooned or set in steps of so much. */
  readonly step: number
  /** mL of one gram where it is spooned, else null. */
  readonly mLPerG: number | null
}

/** One figure that a search looks at: an attribute against its band, or a limit, a window or the batch that must hold. */
export interface Output {
  readonly kind: 'attribute' | 'limit' | 'window' | 'batch' | 'cost'
  readonly id: string
  readonly label: string
  readonly unit: string
  readonly low: number
  readonly high: number
  /** How much it counts in the distance; 0 for what must hold. */
  readonly weight: number
  /** What a breach is counted in. */
  readonly scale: number
}

/** Amounts of a part as a problem of numbers: what may change, what is looked at, and how one follows from the other. */
export interface Problem {
  readonly knobs: readonly Knob[]
  readonly outputs: readonly Output[]
  readonly start: Float64Array
  /** Values of the outputs for values of the knobs; the array is new each time. */
  readonly look: (x: Float64Array) => Float64Array
  /** How often it was looked at. */
  readonly count: { evaluations: number }
  readonly before: Assessment
  readonly part: PartAssessment
  /** Limits of the dish's aim that rest on what is not known: they are not kept, and it is said. */
  readonly unknown: readonly LimitedId[]
}
