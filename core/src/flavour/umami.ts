/** Relative umami of an amino acid and of the 5'-nucleotides. @source Yamaguchi et al. 1971, J. Food Sci. 36:846 */
const NUCLEOTIDE = { imp: 1, gmp: 2.3, amp: 0.18 }
const SYNERGY = 1218

export interface UmamiInputs {
  readonly glutamateGPer100g: number
  readonly impGPer100g: number
  readonly gmpGPer100g: number
  readonly ampGPer100g: number
}

/**
 * Equivalent umami concentration Y: the MSG that would taste as savoury.
 *
 * @param inputs free glutamate and nucleotides, g per 100 g as eaten, 0 upward
 * @returns g MSG per 100 g; glutamate counts 1 as reported
 * @source Yamaguchi et al. 1971, J. Food Sci. 36:846: Y = sum(a b) + 1218 sum(a b) sum(a' b')
 */
export function equivalentUmami({
  glutamateGPer100g,
  impGPer100g,
  gmpGPer100g,
  ampGPer100g,
}: UmamiInputs): number {
  const nucleotides =
    NUCLEOTIDE.imp * impGPer100g + NUCLEOTIDE.gmp * gmpGPer100g + NUCLEOTIDE.amp * ampGPer100g
  return glutamateGPer100g + SYNERGY * glutamateGPer100g * nucleotides
}
