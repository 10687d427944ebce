import type { ResolvedLine } from '../composition'
import { formatAmount, formatNumber, lineMass } from '../measure'
import type { Amount, Ingredient, Kitchen, UnitId } from '../model'
import type { Found } from './finding'

/** The most of a food class that a whole part usually holds, %. Practice. */
const CLASS_MOST_PCT: Partial<Record<Ingredient['foodClass'], number>> = {
  salt: 2.5,
  spice: 2,
  leavening: 3,
  gum: 4,
}
/** How far above the usual most an amount must be before it reads like a slip. Practice. */
const SLIP_FACTOR = 3
/** Parts lighter than this are seasonings themselves: shares say nothing there. g, practice. */
const LEAST_PART_G = 60
const SMALLER: readonly UnitId[] = ['tbsp', 'tsp', 'pinch']

/** Roles whose share is small by nature, so that far too much of them is a slip and not a choice. */
const SMALL_ROLES: ReadonlySet<string> = new Set([
  'aroma',
  'salt',
  'smoke',
  'colour',
  'emulsifier',
  'gel-cold-set',
  'acid',
])

/** The usual highest share of a food in a part, %; null where any share can be meant. */
export function usualMostPct({ functional, foodClass }: Ingredient): number | null {
  const byClass = CLASS_MOST_PCT[foodClass] ?? null
  const own = functional?.usualHighPct ?? null
  if (own === null) return byClass
  const isSmall =
    functional?.roles.every((role) => SMALL_ROLES.has(role) || role === 'umami' || role === 'sweet') ?? false
  return isSmall && own <= 4 ? own : byClass
}

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

/** Amounts far outside a food's usual share, with the unit that was probably meant. */
export function unitSlips(lines: readonly ResolvedLine[], rawMassG: number, kitchen: Kitchen): Found[] {
  if (rawMassG < LEAST_PART_G) return []
  return lines.flatMap((line): Found[] => {
    const { food, mass } = line
    const mostPct = food === null ? null : usualMostPct(food)
    if (food === null || mass === null || mostPct === null) return []
    const sharePct = (100 * mass.value) / rawMassG
    if (sharePct < SLIP_FACTOR * mostPct || mass.value < 1) return []
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

const FORMS = new Set([
  'ground',
  'dried',
  'fresh',
  'whole',
  'raw',
  'white',
  'red',
  'green',
  'black',
  'refined',
  'extra',
])

/** Words that name a food in a step, without their plural ending. */
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word.length > 3 && !FORMS.has(word))
    .map((word) => word.replace(/(?:es|s)$/, ''))

const namings = new WeakMap<Ingredient, readonly string[]>()

function namingWords(food: Ingredient): readonly string[] {
  const known = namings.get(food)
  if (known !== undefined) return known
  const words = [...new Set(wordsOf([food.name, ...food.otherNames].join(' ')))]
  namings.set(food, words)
  return words
}

/** Lines that no step names. Only where the method speaks of ingredients at all. */
export function unusedLines(lines: readonly ResolvedLine[], stepTexts: readonly string[]): Found[] {
  if (stepTexts.length === 0) return []
  const text = stepTexts.join(' ').toLowerCase()
  const isNamed = ({ food, line }: ResolvedLine): boolean =>
    food !== null && [...namingWords(food), ...wordsOf(line.food)].some((word) => text.includes(word))
  const counted = lines.filter(({ food }) => food !== null)
  const unused = counted.filter((line) => !isNamed(line))
  const isAllIn = /\ball (?:the )?(?:ingredients|dry|wet)|everything|remaining|rest of the/.test(text)
  if (isAllIn || unused.length > counted.length / 2) return []
  return unused.map(({ line, food }) => ({
    rule: 'listed-unused',
    severity: 'info',
    lineId: line.id,
    message: `${food?.name ?? line.food} is in the list but no step uses it.`,
    remedy: 'Name it in a step, or take the line out.',
  }))
}
