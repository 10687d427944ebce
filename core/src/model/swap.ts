import type { FamilyId } from './original'

/** What two foods are matched by: as much mass, fat, sodium, sugars, acid, protein, dry matter, or swollen starch. */
export const SWAP_BASES = ['mass', 'fat', 'sodium', 'sweet', 'acid', 'protein', 'dry', 'thick'] as const
export type SwapBasis = (typeof SWAP_BASES)[number]

/** One row of the library's swaps table: what can stand in for a food, in what amount, and where. */
export interface SwapRow {
  readonly from: readonly string[]
  /** Foods that stand in together, each with its share of their mass; the shares sum to 1. */
  readonly with: readonly { readonly foodId: string; readonly share: number }[]
  readonly basis: SwapBasis
  /** So much of the basis for one of the food's own. */
  readonly ratio: number
  /** Families of dishes where it does the job best. */
  readonly families: readonly FamilyId[]
  /** It does elsewhere, too. */
  readonly isAnywhere: boolean
  /** What it does of what the food did. */
  readonly does: readonly string[]
  /** What is done otherwise; empty where nothing is. */
  readonly process: string
  /** The steps that make its foods ready, each with the foods that it takes; empty where they go in as they are. */
  readonly readies: readonly { readonly foods: readonly string[]; readonly text: string }[]
  /** How well it does the job, 0 to 1. */
  readonly fit: number
  readonly source: string
}
