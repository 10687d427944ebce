import { type Aroma, AROMAS } from '../model'
import type { PartState } from '../process'

/** Dose of a note in 100 g of the part, on its own scale. */
export function dosePct({ notes, cooked }: PartState, aroma: Aroma): number {
  return cooked.massG > 0 ? (100 * (notes.aromas[AROMAS.indexOf(aroma)] ?? 0)) / cooked.massG : 0
}

/** How far a culture has soured the part, 0 to 1. @source pH 6.6 fresh, 4.3 ripe */
export const souring = ({ culturePH }: PartState): number =>
  Number.isNaN(culturePH) ? 0 : Math.min(1, Math.max(0, (6.6 - culturePH) / 2.3))

/** Lactic acid of foods and of the part's own culture, g per 100 g. @source 0.8 % in ripe soy yogurt; practice */
const RIPE_LACTIC_PCT = 0.8
export const lacticPct = (state: PartState): number =>
  dosePct(state, 'lactic') + RIPE_LACTIC_PCT * souring(state)

/** Culture notes, 0 to 1. @source 1 - exp(-1.5 h / t50), and by addition of yogurt, brine, miso; sauce tables, practice */
export const cultured = (state: PartState): number =>
  1 - Math.exp(-1.5 * (dosePct(state, 'cultured') + 2 * souring(state)))

/** Sourness as citric acid, g per 100 g: what is buffered away is not sour. @source 0.064 g citric acid per meq; half at pH 4.9; sauce tables, practice */
const MEQ_PER_G = 14
const MEQ_PER_G_LACTIC = 11.1
export function sourPct(state: PartState): number {
  const { cooked, pH } = state
  if (cooked.massG <= 0) return 0
  const meq =
    (100 * cooked.organicAcidG * MEQ_PER_G) / cooked.massG +
    RIPE_LACTIC_PCT * souring(state) * MEQ_PER_G_LACTIC
  return (0.064 * meq) / (1 + 10 ** (1.5 * (pH.value - 4.9)))
}

/** Bitterness, 0 to 10. @source dose table of the sauces; practice */
const BITTER_BASE = 0.5
export const bitterIndex = (state: PartState): number =>
  10 * (1 - Math.exp(-(BITTER_BASE + dosePct(state, 'bitter')) / 10))

/** Butter notes, 0 to 10. @source 10 (1 - exp(-d)); dose table of the sauces, practice */
export const butteryIndex = (state: PartState): number => 10 * (1 - Math.exp(-dosePct(state, 'buttery')))

/** Roasted notes, 0 to 10: the browned surface, browned vegetables, foods that bring them. @source 10 (1 - exp(-r)); dose table of the sauces, practice */
export function roastIndex(state: PartState): number {
  const { surface, notes, cooked } = state
  if (cooked.massG <= 0) return 0
  const browned = (100 * notes.brownedG) / cooked.massG
  return 10 * (1 - Math.exp(-(1.2 * surface.browned + 0.03 * browned + dosePct(state, 'roast'))))
}
