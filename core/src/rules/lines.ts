import type { ResolvedLine } from '../composition'
import { formatGrams } from '../measure'
import type { Ingredient, Kitchen, Library, OpenAmount } from '../model'
import type { Found } from './finding'

const OPEN_WORDS: Record<OpenAmount, string> = {
  'to-taste': 'to taste',
  'for-frying': 'for frying',
  'as-needed': 'as needed',
  'for-dusting': 'for dusting',
  'to-serve': 'to serve',
  unstated: 'without an amount',
}
/** Net mass that a scale weighs to about 5 %, per g of its step. @source 0.7 d / 0.05; practice */
const LEAST_STEPS_FOR_5_PCT = 14

/** A pack of this kitchen may differ from the formula's by this share before it is said. @source practice */
const PACK_TOLERANCE = 0.05

/** The pack at hand is larger or smaller than the formula's: only the formula's mass belongs in. */
function packDiffers({ line, mass }: ResolvedLine, food: Ingredient, kitchen: Kitchen): Found[] {
  const own = kitchen.packs.find(({ ingredientId }) => ingredientId === food.id)
  const [first, ...more] = line.amount?.terms ?? []
  if (own === undefined || first?.pack == null || mass === null || more.length > 0 || first.low <= 0)
    return []
  const statedG = (2 * mass.value) / (first.low + first.high)
  if (Math.abs(own.massG / statedG - 1) <= PACK_TOLERANCE) return []
  return [
    {
      rule: 'pack-differs',
      severity: 'caution',
      lineId: line.id,
      message: `The formula’s pack of ${food.name.toLowerCase()} is ${Math.round(statedG)} g; yours is ${Math.round(own.massG)} g.`,
      remedy:
        own.massG > statedG
          ? `Weigh out ${Math.round(statedG)} g and keep the rest.`
          : 'Open a second pack, or scale the formula to one.',
    },
  ]
}

/** What stands in the way of counting each line. */
export function lineFindings(lines: readonly ResolvedLine[], library: Library, kitchen: Kitchen): Found[] {
  return lines.flatMap((resolved): Found[] => {
    const { line, food, mass, notes } = resolved
    const found: Found[] = []
    const at = { lineId: line.id }
    if (food === null) {
      const isGone = line.ingredientId !== null && !library.ingredients.has(line.ingredientId)
      found.push({
        ...at,
        rule: isGone ? 'missing-ingredient' : 'unknown-food',
        severity: 'caution',
        message: isGone
          ? `The ingredient of “${line.text}” is not in this kitchen’s library.`
          : `“${line.food === '' ? line.text : line.food}” is not known: its water, salt and nutrition are not counted.`,
        remedy: 'Choose a food for this line.',
      })
      return found
    }
    if (line.amount === null) {
      const words = OPEN_WORDS[line.open ?? 'unstated']
      found.push({
        ...at,
        rule: 'amount-open',
        severity: line.open === 'unstated' || food.foodClass === 'salt' ? 'caution' : 'info',
        message: `${food.name} stands ${words}: it is not counted.`,
        remedy: 'Write the amount that you use.',
      })
    }
    for (const note of notes) {
      const severity = note.code === 'no-density' || note.code === 'no-piece-mass' ? 'caution' : 'info'
      found.push({ ...at, rule: note.code, severity, message: note.message, remedy: note.remedy })
    }
    found.push(...packDiffers(resolved, food, kitchen))
    const isWeighed =
      line.amount?.terms.every(({ unit }) => unit === 'g' || unit === 'kg' || unit === 'oz') ?? false
    const step = kitchen.fineScaleStepG ?? kitchen.scaleStepG
    if (isWeighed && mass !== null && mass.value > 0 && mass.value < LEAST_STEPS_FOR_5_PCT * step) {
      found.push({
        ...at,
        rule: 'below-scale',
        severity: 'info',
        message: `${formatGrams(mass)} g of ${food.name.toLowerCase()} is too little for a scale that reads ${step} g.`,
        remedy: 'Weigh a larger batch and divide it, or use a finer scale.',
      })
    }
    return found
  })
}
