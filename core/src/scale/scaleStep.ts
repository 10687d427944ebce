import type { Step, Until } from '../model'
import { rereadStep } from '../reading'

const UNITS = String.raw`(?:kg|g|grams?|ml|mL|l|L|litres?|liters?|cups?|tbsp|tablespoons?|tsp|teaspoons?|oz|lb)`
/** Amounts of food that a step's words state. What each piece weighs stays: "shape 90 g patties", "30 g each". */
const AMOUNT = new RegExp(
  String.raw`(?<![\d.,/½¼¾⅓⅔-])(\d+(?:[.,]\d+)?)(\s*)(${UNITS})\b(?!\s*(?:each|apiece|a piece|per\b|balls?|patt(?:y|ies)|burgers?|logs?|portions?|pieces?|additions?|splashes))`,
  'g',
)
const SPOKEN_DIGITS = 4

/** The words of a step with the amounts of food in them times `factor`; times, temperatures and sizes stay. */
export const scaleWords = (text: string, factor: number): string =>
  text.replaceAll(AMOUNT, (_found, number: string, gap: string, unit: string) => {
    const scaled = Number((Number(number.replace(',', '.')) * factor).toPrecision(SPOKEN_DIGITS))
    return `${number.includes(',') ? String(scaled).replace('.', ',') : String(scaled)}${gap}${unit}`
  })

const scaledEnd = (until: Until | null, factor: number): Until | null =>
  until?.kind === 'mass' ? { ...until, massG: until.massG * factor } : until

/**
 * A step for `factor` times the batch. A weighed mass becomes the end that it showed, scaled: nothing was weighed of the
 * new batch. Times stay as they are: pans and ovens decide them.
 */
export function scaleStep(step: Step, factor: number): Step {
  if (factor === 1) return step
  const { settings, weighedG } = step
  const text = scaleWords(step.text, factor)
  const scaled: Step = {
    ...step,
    until: weighedG === null ? scaledEnd(step.until, factor) : { kind: 'mass', massG: weighedG * factor },
    byHand: weighedG === null || step.byHand.includes('until') ? step.byHand : [...step.byHand, 'until'],
    weighedG: null,
    settings: {
      ...settings,
      waterG: settings.waterG === null ? null : settings.waterG * factor,
      additions:
        settings.additions === null
          ? null
          : { ...settings.additions, massG: settings.additions.massG * factor },
    },
  }
  return text === step.text ? scaled : rereadStep(scaled, text)
}
