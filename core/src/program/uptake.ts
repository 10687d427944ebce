/** Rates of water uptake halve their time for every so many degrees. @source Peleg fits of legumes: 15 to 25 C; practice */
const HALVING_C = 18
const REFERENCE_C = 20

/** Minutes after which 63 % of the way to saturation is gone, at 20 C for soaking and in the pot for cooking. Practice. */
const SOAK_TAU_MIN: Readonly<Record<string, number>> = {
  bean: 150,
  soybean: 160,
  lentil: 45,
  nut: 100,
  grain: 60,
  'textured-soy': 8,
  'gel-seed': 5,
  gum: 3,
  gluten: 2,
  flour: 2,
  seaweed: 8,
  'dried-mushroom': 70,
  'dried-soy': 50,
  'dried-fruit': 40,
}
const COOK_TAU_MIN: Readonly<Record<string, number>> = {
  bean: 25,
  soybean: 50,
  lentil: 9,
  grain: 6,
  pasta: 5.5,
  porridge: 3,
  nut: 10,
  gluten: 25,
  'textured-soy': 4,
  'dried-mushroom': 12,
}
const USUAL_SOAK_TAU_MIN = 60
const USUAL_COOK_TAU_MIN = 8
/** Pressure shortens cooking by this. @source a quarter to a sixth of the boiling time; practice */
const PRESSURE_FACTOR = 5

/** Solids that go into the water while it is taken up, share of the solids. @source ranges of the uptake rows; practice */
const SOLIDS_LOST: Readonly<Record<string, number>> = {
  'soak bean': 0.02,
  'soak soybean': 0.02,
  'soak lentil': 0.02,
  'soak nut': 0.01,
  'boil bean': 0.06,
  'boil soybean': 0.06,
  'boil lentil': 0.05,
  'boil pasta': 0.05,
  'boil grain': 0.02,
  'boil firm-vegetable': 0.05,
  'boil leafy': 0.08,
  'pressure-cook bean': 0.03,
  'pressure-cook soybean': 0.03,
  'hydrate dried-mushroom': 0.12,
  'hydrate seaweed': 0.08,
  'hydrate textured-soy': 0.02,
}

export const solidsLost = (operation: string, group: string): number =>
  SOLIDS_LOST[`${operation} ${group}`] ?? 0

/**
 * Time constant of water uptake.
 * @param tempC of the water; soaking is quicker when warm, cooking is taken at its boil
 * @returns min, above 0
 * @source Peleg 1988 for the form, here as its exponential twin; values practice
 */
export function uptakeTau(operation: string, group: string, tempC: number): number {
  switch (operation) {
    case 'soak':
    case 'hydrate':
    case 'rest':
      return (SOAK_TAU_MIN[group] ?? USUAL_SOAK_TAU_MIN) * 2 ** (-(tempC - REFERENCE_C) / HALVING_C)
    case 'pressure-cook':
      return (COOK_TAU_MIN[group] ?? USUAL_COOK_TAU_MIN) / PRESSURE_FACTOR
    default:
      return COOK_TAU_MIN[group] ?? USUAL_COOK_TAU_MIN
  }
}
