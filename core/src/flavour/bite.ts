type Bands = readonly (readonly [from: number, words: string])[]
const wordsFor = (bands: Bands, value: number): string =>
  bands.filter(([from]) => value >= from).at(-1)?.[1] ?? bands[0]?.[1] ?? ''

/** @source 0.2 mg in 100 g is found by half of tasters in a fatty food, 2 mg is too hot for most; practice */
const HEAT: Bands = [
  [0, 'no heat'],
  [0.02, 'a hint of heat'],
  [0.1, 'gently hot'],
  [0.3, 'warm'],
  [0.8, 'hot'],
  [2, 'very hot'],
]
/** How hot a food is, in words. @param mgPer100g capsaicin, and what bites like it */
export const heatWords = (mgPer100g: number): string => wordsFor(HEAT, mgPer100g)

/** Boiling or baking through drives most of the notes off. @source hot grinding and 10 min at 95 C; practice */
const COOKED_C = 95
const COOKED_LEAVES = 0.45
/** Roast, spice and acid hide so much at most. Practice. */
const MASK_MOST = 0.6

export interface BeanyInputs {
  /** Dose in 100 g as served, before heat: raw ground soy = 1 a gram of solids. */
  readonly dosePer100g: number
  readonly peakC: number
  /** Attributes that hide it, 0 to 10. */
  readonly roasted: number
  readonly spiceWarm: number
  readonly smokiness: number
}

/** What is left of beany and grassy notes for the nose, in the unit of the dose. */
export function beanyLeft({ dosePer100g, peakC, roasted, spiceWarm, smokiness }: BeanyInputs): number {
  const heat = 1 - (1 - COOKED_LEAVES) / (1 + Math.exp((COOKED_C - peakC) / 4))
  const mask = MASK_MOST * (1 - Math.exp(-(roasted + spiceWarm + smokiness) / 5))
  return dosePer100g * heat * (1 - mask)
}

/** @source plain tofu stands at the edge of being noticed, a chickpea omelette well above it; practice */
const BEANY: Bands = [
  [0, 'not beany'],
  [2, 'may taste of beans'],
  [5, 'will taste of beans'],
]
export const beanyWords = (left: number): string => wordsFor(BEANY, left)
/** From here on a cook should know. */
export const BEANY_NOTICED = 2
