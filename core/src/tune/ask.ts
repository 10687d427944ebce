import type { Dish, Kitchen, Library } from '../model'

/** Figures of a portion that a limit can be set on, with their names and units. */
export const LIMITED = {
  sodiumMg: { label: 'sodium', unit: 'mg' },
  proteinG: { label: 'protein', unit: 'g' },
  fatG: { label: 'fat', unit: 'g' },
  saturatedFatG: { label: 'saturated fat', unit: 'g' },
  fibreG: { label: 'fibre', unit: 'g' },
  sugarsG: { label: 'sugars', unit: 'g' },
  carbohydrateG: { label: 'carbohydrate', unit: 'g' },
  energyKcal: { label: 'energy', unit: 'kcal' },
  cost: { label: 'cost', unit: '' },
} as const
export type LimitedId = keyof typeof LIMITED
export const isLimited = (id: string): id is LimitedId => Object.hasOwn(LIMITED, id)

/** A bound on a figure of a portion; null = none on that side. */
export interface Limit {
  readonly id: LimitedId
  readonly least: number | null
  readonly most: number | null
}

/** What a line may come to, g. */
export interface Bound {
  readonly lineId: string
  readonly leastG: number
  readonly mostG: number
}

/** What a search brings closer: all that counts, the taste by what seasons, or the thickness by liquids and thickeners. */
export const FOCUSES = ['all', 'seasoning', 'thickness'] as const
export type Focus = (typeof FOCUSES)[number]

/** A thickness that a sauce is to come to at a temperature: hot, as it is served, or cooled. */
export interface Consistency {
  /** Pa.s at 50 1/s. */
  readonly paS: number
  /** 0 to 95. */
  readonly tempC: number
}
/** What a viscometer, and a sauce, can be: thinner than water and thicker than a paste are slips. Pa.s. */
export const CONSISTENCIES = { leastPaS: 0.001, mostPaS: 200, coolC: 20, hotC: 65 } as const

/** What is asked of a search. */
export interface TuneAsk {
  readonly partId: string
  readonly focus: Focus
  /** With the focus on thickness: what it is to come to in the place of the original's thickness; null = the original's. */
  readonly consistency: Consistency | null
  /** Lines that stay as they are. */
  readonly hold: readonly string[]
  readonly bounds: readonly Bound[]
  /** Beside those of the dish's aim. */
  readonly limits: readonly Limit[]
  /** Whether times and ends of steps may change, too. */
  readonly method: boolean
  /** Foods of the library that may come in, a line each at most. */
  readonly allow: readonly string[]
  /** The same seed gives the same answers. */
  readonly seed: number
  /** How many mixes it begins from. */
  readonly starts: number
}

export const usualAsk = (partId: string): TuneAsk => ({
  partId,
  focus: 'all',
  consistency: null,
  hold: [],
  bounds: [],
  limits: [],
  method: true,
  allow: [],
  seed: 1,
  starts: 6,
})

/** The limits of a dish's aim that hold for a portion. */
export function aimLimits({ aim: { limits } }: Pick<Dish, 'aim'>): Limit[] {
  const all: Limit[] = [
    { id: 'sodiumMg', least: null, most: limits.sodiumMgMax },
    { id: 'proteinG', least: limits.proteinGMin, most: null },
    { id: 'cost', least: null, most: limits.costMax },
    { id: 'saturatedFatG', least: null, most: limits.saturatedFatGMax },
    { id: 'fibreG', least: limits.fibreGMin, most: null },
    { id: 'energyKcal', least: limits.energyKcalMin, most: limits.energyKcalMax },
  ]
  return all.filter(({ least, most }) => least !== null || most !== null)
}

/** What a search works with beside the dish. */
export interface Bench {
  readonly library: Library
  readonly kitchen: Kitchen
}

/** What is asked cannot be looked for: said to the person as it is. */
export class TuneFault extends Error {
  readonly hint: string
  constructor(message: string, hint: string) {
    super(message)
    this.hint = hint
  }
}
