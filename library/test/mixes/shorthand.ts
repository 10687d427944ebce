import type { Expectation } from '../scoreMixes'

/** A mix in short: what goes in, what is done, and what a cook would swear to. */
export interface Short {
  readonly family: string
  readonly original: string | null
  readonly lines: readonly string[]
  readonly steps: readonly string[]
  readonly expect: readonly Expectation[]
  /** Mixes that differ from it: lines and steps put in the place of others (empty = left out). */
  readonly but?: Readonly<Record<string, Variant>>
}
export interface Variant {
  readonly lines?: Readonly<Record<string, string>>
  readonly steps?: Readonly<Record<number, string>>
  readonly expect: readonly Expectation[]
}

export const low = (attribute: string, max: number): Expectation => ({ attribute, min: 0, max })
export const high = (attribute: string, min: number): Expectation => ({ attribute, min, max: 10 })
export const between = (attribute: string, min: number, max: number): Expectation => ({ attribute, min, max })
export const inside = (ratio: string): Expectation => ({ ratio, state: 'in' })
export const under = (ratio: string): Expectation => ({ ratio, state: 'low' })
export const over = (ratio: string): Expectation => ({ ratio, state: 'high' })
/** Against the mix that it differs from. */
export const less = (attribute: string, atLeastLower: number): Expectation => ({
  attribute,
  versus: '',
  atLeastLower,
})
export const more = (attribute: string, atLeastHigher: number): Expectation => ({
  attribute,
  versus: '',
  atLeastHigher,
})
export const thinner = (timesLower: number): Expectation => ({ viscosityVersus: '', timesLower })
export const thicker = (timesHigher: number): Expectation => ({ viscosityVersus: '', timesHigher })
export const weighs = (from: number, to: number): Expectation => ({ cookedMassG: [from, to] })
