import type { ResolvedLine } from '../composition'
import { formatAmount, formatNumber, lineMass } from '../measure'
import type { Amount, Ingredient, Kitchen, UnitId } from '../model'
import type { PartRun } from '../process'
import type { Found } from './finding'
import { usualMostPct } from './usualShare'

/** How far above the usual most an amount must be before it reads like a slip. Practice. */
const SLIP_FACTOR = 3
/** Parts lighter than this are seasonings themselves: shares say nothing there. g, practice. */
const LEAST_PART_G = 60
/** Parts that season others: their shares are of the food that they go on. */
const SEASONS =
  /\b(?:marinade|brine|baste|rub|glaze|spices?|seasoning|masala|dressing|dip|sauce|gravy|paste|pickle|stock|broth|dust|dredge|coating|topping|tempering|tadka|butter|oil|cure)\b/iu
/** So many times more concentrated than what they season they may be. Practice. */
const OF_A_SEASONING = 5
const SMALLER: readonly UnitId[] = ['tbsp', 'tsp', 'pinch']
/** Units by scale or jug: nobody writes "ml" where a pinch was meant. */
const METRIC: ReadonlySet<UnitId> = new Set(['mg', 'g', 'kg', 'mL', 'cL', 'dL', 'L', 'oz', 'lb', 'fl-oz'])
/** Thin sours carry dips and fresh cheeses: so many times their usual most is still a choice. @source 60 ml of lemon juice to 200 g of almonds; practice */
const OF_A_THIN_SOUR = 2
const isThinSour = ({ foodClass, per100g }: Ingredient): boolean =>
  foodClass === 'acid' && (per100g.waterG ?? 0) > 88

/** The same number in a smaller unit that would be a usual share: "¼ tsp" for "¼ cup". */
function likelyMeant(
  line: ResolvedLine,
  food: Ingredient,
  rawMassG: number,
  mostPct: number,
  kitchen: Kitchen,
): Amount | null {
  const amount = line.line.amount
  const first = amount?.terms[0]
  if (amount === null || first === undefined || first.unit === null || amount.terms.length !== 1) return null
  if (METRIC.has(first.unit)) return null
  const units = first.unit === 'tbsp' ? SMALLER.slice(1) : first.unit === 'tsp' ? SMALLER.slice(2) : SMALLER
  for (const unit of units) {
    if (unit === 'tbsp' && first.high < 0.5) continue
    const meant = { ...amount, terms: [{ ...first, unit, pack: null }] }
    const { mass } = lineMass(meant, food, line.line.food.toLowerCase(), kitchen)
    const others = rawMassG - (line.mass?.value ?? 0)
    if (mass !== null && (100 * mass.value) / (others + mass.value) <= mostPct * 1.3) return meant
  }
  return null
}

/** Operations in whose liquid food lies, or that put a thin coat on it: strong by nature, and mostly left behind. */
const STRONG: ReadonlySet<string> = new Set(['marinate', 'coat'])

/** Lines that season what is marinated or coated: they came together before, and join the food only there. */
function inSeasoning(method: PartRun | null): ReadonlySet<string> {
  const ids = new Set<string>()
  for (const step of method?.trace ?? []) {
    if (!STRONG.has(step.spec?.id ?? '')) continue
    for (const { id } of step.holds) ids.add(id)
  }
  return ids
}

/** Amounts far outside a food's usual share, with the unit that was probably meant. */
export function unitSlips(
  lines: readonly ResolvedLine[],
  rawMassG: number,
  kitchen: Kitchen,
  partName = '',
  method: PartRun | null = null,
): Found[] {
  if (rawMassG < LEAST_PART_G) return []
  const seasons = inSeasoning(method)
  return lines.flatMap((line): Found[] => {
    const { food, mass } = line
    const mostPct = food === null ? null : usualMostPct(food)
    if (food === null || mass === null || mostPct === null) return []
    const sharePct = (100 * mass.value) / rawMassG
    const most =
      SLIP_FACTOR *
      mostPct *
      (SEASONS.test(partName) || seasons.has(line.line.id) ? OF_A_SEASONING : 1) *
      (isThinSour(food) ? OF_A_THIN_SOUR : 1)
    if (sharePct < most || mass.value < 1) return []
    const meant = likelyMeant(line, food, rawMassG, mostPct, kitchen)
    const times = formatNumber(Math.round(sharePct / mostPct))
    const question = meant === null ? '' : ` Was ${formatAmount(meant)} meant?`
    return [
      {
        rule: 'unit-slip',
        severity: 'caution',
        lineId: line.line.id,
        message: `${food.name} reads like a unit slip: ${times} times the usual most.${question}`,
        remedy:
          meant === null
            ? 'Check the unit, or keep it on purpose.'
            : `Write ${formatAmount(meant)}, or keep it on purpose.`,
      },
    ]
  })
}
