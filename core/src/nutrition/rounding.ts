/** What a value misses of the next tie by binary fractions alone. */
const DUST = 1e-9

/** Nearest multiple of a step, ties up. @param step above 0 */
export const nearest = (value: number, step: number): number => {
  const rounded = Math.floor(value / step + 0.5 + DUST) * step
  return Number(rounded.toFixed(6))
}

/** A declared amount: the number as printed, with "<1" where the rule prints that. */
export type Declared = string

/** @source 21 CFR 101.9(c)(1): to 5 up to 50 kcal, to 10 above, below 5 zero */
export const usEnergy = (kcal: number): Declared =>
  kcal < 5 ? '0' : String(kcal <= 50 ? nearest(kcal, 5) : nearest(kcal, 10))

/** @source 21 CFR 101.9(c)(2): to 0.5 g below 5 g, to 1 g above, below 0.5 g zero */
export const usFat = (grams: number): Declared =>
  grams < 0.5 ? '0' : String(grams < 5 ? nearest(grams, 0.5) : nearest(grams, 1))

/** @source 21 CFR 101.9(c)(4): to 5 mg up to 140, to 10 above, below 5 zero */
export const usSodium = (mg: number): Declared =>
  mg < 5 ? '0' : String(mg <= 140 ? nearest(mg, 5) : nearest(mg, 10))

/** Carbohydrate, fibre, sugars, protein. @source 21 CFR 101.9(c)(6), (7) */
export const usGrams = (grams: number): Declared =>
  grams < 0.5 ? '0' : grams < 1 ? '<1' : String(nearest(grams, 1))

/** @source 21 CFR 101.9(c)(3) */
export const usCholesterol = (mg: number): Declared => (mg < 2 ? '0' : mg < 5 ? '<5' : String(nearest(mg, 5)))

/** % of the daily value of a vitamin or mineral. @source 21 CFR 101.9(c)(8)(iii) */
export const usPercent = (percent: number): Declared =>
  percent < 2
    ? '0'
    : String(percent <= 10 ? nearest(percent, 2) : percent <= 50 ? nearest(percent, 5) : nearest(percent, 10))

/** Written with as many digits as the step has. */
const withDigits = (value: number, step: number): string =>
  value.toFixed(Math.max(0, -Math.floor(Math.log10(step) + DUST)))

interface EuRule {
  /** Up to here it is next to nothing; 0 itself is "0". */
  readonly least: number
  /** What is printed below it. */
  readonly small: string
  readonly fineStep: number
  /** From here on the coarse step holds, in what is printed as well. */
  readonly coarseFrom: number
  readonly coarseStep: number
}

function declaredBy({ least, small, fineStep, coarseFrom, coarseStep }: EuRule, value: number): Declared {
  if (value <= 0) return '0'
  if (value <= least + DUST) return small
  const fine = value < coarseFrom ? nearest(value, fineStep) : Infinity
  return fine < coarseFrom ? withDigits(fine, fineStep) : withDigits(nearest(value, coarseStep), coarseStep)
}

/** Fat, carbohydrate, sugars, protein, fibre. @source Commission tolerance guidance, December 2012, section 6 */
export const euGrams = (grams: number): Declared =>
  declaredBy({ least: 0.5, small: '<0.5', fineStep: 0.1, coarseFrom: 10, coarseStep: 1 }, grams)

/** Saturates. @source as euGrams */
export const euSaturates = (grams: number): Declared =>
  declaredBy({ least: 0.1, small: '<0.1', fineStep: 0.1, coarseFrom: 10, coarseStep: 1 }, grams)

/** Salt. @source as euGrams */
export const euSalt = (grams: number): Declared =>
  declaredBy({ least: 0.0125, small: '<0.01', fineStep: 0.01, coarseFrom: 1, coarseStep: 0.1 }, grams)
