import { AMINO_ACIDS, type Ingredient } from '@frijol/core/model'

/** kcal per g. @source Regulation (EU) 1169/2011 Annex XIV */
const KCAL = { protein: 4, fat: 9, carbohydrate: 4, alcohol: 7, organicAcid: 3 }
/** Tables differ in what they give fibre: none at all, 2, or the 4 kcal of carbohydrate by difference. All are accepted. */
const FIBRE_KCAL = { low: 0, high: 4 }
const SUM_TOLERANCE_G = 4
const ENERGY_TOLERANCE = 0.12
/** Below this many kcal per 100 g, the relative error is rounding. */
const ENERGY_FLOOR_KCAL = 15

const NEEDED = ['waterG', 'proteinG', 'fatG', 'carbohydrateG', 'fibreG', 'ashG'] as const

/**
 * What is wrong with an ingredient's composition.
 * @returns sentences; empty when the composition sums to 100 ± 4 g, its stated energy lies within 12 % of what its
 *   macronutrients give, amino acids fit within the protein, parts fit within their wholes and a source is named
 */
export function compositionFaults(ingredient: Ingredient): string[] {
  const { per100g, statedEnergyKcal, aminoAcidsGPer100g } = ingredient
  const faults: string[] = []
  const missing = NEEDED.filter((nutrient) => per100g[nutrient] === null)
  if (missing.length > 0) return [`${ingredient.id}: no value for ${missing.join(', ')}`]
  const at = (nutrient: keyof typeof per100g): number => per100g[nutrient] ?? 0
  const sum =
    at('waterG') +
    at('proteinG') +
    at('fatG') +
    at('carbohydrateG') +
    at('fibreG') +
    at('ashG') +
    at('alcoholG') +
    at('organicAcidG')
  if (Math.abs(sum - 100) > SUM_TOLERANCE_G)
    faults.push(`${ingredient.id}: the composition sums to ${sum.toFixed(1)} g`)
  const withoutFibre =
    at('proteinG') * KCAL.protein +
    at('fatG') * KCAL.fat +
    at('carbohydrateG') * KCAL.carbohydrate +
    at('alcoholG') * KCAL.alcohol +
    at('organicAcidG') * KCAL.organicAcid
  const low = withoutFibre + at('fibreG') * FIBRE_KCAL.low
  const high = withoutFibre + at('fibreG') * FIBRE_KCAL.high
  if (statedEnergyKcal !== null) {
    const slack = Math.max(ENERGY_TOLERANCE * statedEnergyKcal, ENERGY_FLOOR_KCAL * ENERGY_TOLERANCE * 2)
    if (statedEnergyKcal < low - slack || statedEnergyKcal > high + slack) {
      faults.push(
        `${ingredient.id}: states ${statedEnergyKcal.toFixed(0)} kcal, its macronutrients give ${low.toFixed(0)} to ${high.toFixed(0)}`,
      )
    }
  }
  if (at('saturatedFatG') > at('fatG') + 0.1) faults.push(`${ingredient.id}: more saturated fat than fat`)
  if (at('starchG') + at('sugarsG') > at('carbohydrateG') * 1.25 + 1.5)
    faults.push(`${ingredient.id}: starch and sugars exceed the carbohydrate`)
  const aminoAcids = AMINO_ACIDS.reduce((total, name) => total + (aminoAcidsGPer100g?.[name] ?? 0), 0)
  if (aminoAcids > at('proteinG')) faults.push(`${ingredient.id}: essential amino acids exceed the protein`)
  if (ingredient.source.trim() === '') faults.push(`${ingredient.id}: no source`)
  return faults
}
