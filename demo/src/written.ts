import type { Part } from '@frijol/core/model'

/** A part as it was written at the counter. */
export interface WrittenPart {
  readonly name: string
  readonly originalId: string | null
  readonly family: Part['family']
  readonly lines: readonly string[]
  readonly steps: readonly string[]
}

export interface WrittenTrial {
  readonly number: number
  readonly fromNumber: number | null
  readonly date: string
  readonly parts: readonly WrittenPart[]
  readonly notes: string
  readonly decision: string
  /** What was weighed otherwise than written, g by food. */
  readonly made?: Readonly<Record<string, number>>
  readonly isSetAside?: boolean
}

/** A dish with the trials that were made of it and the one that is in work. */
export interface WrittenDish {
  readonly id: string
  readonly name: string
  readonly note: string
  readonly matters: string
  readonly never: string
  readonly portions: number
  readonly portionMassG: number
  readonly sodiumMgMax: number | null
  readonly excluded: readonly string[]
  readonly trials: readonly WrittenTrial[]
  readonly current: WrittenTrial
}
