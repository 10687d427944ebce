import type { ResolvedLine } from '../composition'
import { formatGrams, lineMass } from '../measure'
import type { Ingredient, Kitchen } from '../model'
import type { Found } from './finding'
import { usualMostPct } from './usualShare'

/** Foods that a part holds a lot of: a few grams of one is more likely kilograms. */
const BULK: ReadonlySet<string> = new Set([
  'pulse',
  'soy',
  'vegetable',
  'mushroom',
  'grain',
  'nut',
  'plant-milk',
  'water',
  'meat',
])
/** A part lighter than this is a seasoning; shares say nothing there. g, practice. */
const LEAST_PART_G = 300
/** A bulk food below this share of a part is suspicious. Practice. */
const TRACE_SHARE = 0.012
/** One line this many times heavier than all others together is suspicious. Practice. */
const LARGE_TIMES = 20
const LONE_LETTER = /(?:^|[\s\d½¼¾⅓⅔⅛])([Tt])(?:\.|\s)/
const COOKED_IN_STEPS = /\b(?:soak|boil|simmer|cook|steam|pressure|stew)/i

/** "1 T salt": a lone T is a tablespoon, t a teaspoon; said where the other reading is the usual share. */
function spoonLetter(line: ResolvedLine, rawMassG: number, kitchen: Kitchen): Found[] {
  const { food, mass, line: written } = line
  const first = written.amount?.terms[0]
  const letter = LONE_LETTER.exec(written.text)?.[1]
  const mostPct = food === null ? null : usualMostPct(food)
  if (
    food === null ||
    mass === null ||
    first === undefined ||
    letter !== 'T' ||
    mostPct === null ||
    first.unit !== 'tbsp'
  )
    return []
  const other = lineMass(
    { terms: [{ ...first, unit: 'tsp' }], isApproximate: false },
    food,
    written.food.toLowerCase(),
    kitchen,
  ).mass
  const shareOf = (grams: number): number => (100 * grams) / (rawMassG - mass.value + grams)
  if (other === null || shareOf(mass.value) <= mostPct || shareOf(other.value) > mostPct) return []
  return [
    {
      rule: 'spoon-letter',
      severity: 'caution',
      lineId: written.id,
      message: `“T” was read as a tablespoon of ${food.name.toLowerCase()}; a teaspoon (t) is the usual amount.`,
      remedy: 'Write tsp or tbsp.',
    },
  ]
}

/** A thousandfold too much or too little: g for kg, kg for g. */
function thousandfold(line: ResolvedLine, rawMassG: number): Found[] {
  const { food, mass, line: written } = line
  if (food === null || mass === null) return []
  const units = written.amount?.terms.map(({ unit }) => unit) ?? []
  const others = rawMassG - mass.value
  const isTrace =
    BULK.has(food.foodClass) &&
    units.includes('g') &&
    mass.value < 10 &&
    mass.value < TRACE_SHARE * rawMassG &&
    rawMassG >= LEAST_PART_G
  const isFlood =
    (units.includes('kg') || mass.value >= 5000) && others >= 30 && mass.value > LARGE_TIMES * others
  if (!isTrace && !isFlood) return []
  const [read, meant] = isTrace ? ['grams', 'kilograms'] : ['kilograms', 'grams']
  return [
    {
      rule: 'thousandfold',
      severity: 'caution',
      lineId: written.id,
      message: `${formatGrams(mass)} g of ${food.name.toLowerCase()} reads like ${read} where ${meant} were meant.`,
      remedy: `Check the unit against the other lines.`,
    },
  ]
}

/** Dry pulses or grains in a method that cooks nothing: the cooked mass was probably meant. */
function dryForCooked(line: ResolvedLine, stepTexts: readonly string[]): Found[] {
  const { food, line: written } = line
  const isDry = food?.state === 'dry' && (food.foodClass === 'pulse' || food.foodClass === 'grain')
  if (!isDry || stepTexts.length === 0 || stepTexts.some((text) => COOKED_IN_STEPS.test(text))) return []
  return [
    {
      rule: 'dry-for-cooked',
      severity: 'caution',
      lineId: written.id,
      message: `${food.name} stand dry, but no step soaks or cooks them.`,
      remedy: 'Write “cooked” if the cooked mass is meant, or add the step.',
    },
  ]
}

const COMMON: ReadonlySet<string> = new Set(['water', 'salt'])
const baseName = ({ otherNames, name }: Ingredient): string => otherNames[0] ?? name

/** One food on two lines of a part, by the same or another name. */
function sameFoodTwice(lines: readonly ResolvedLine[]): Found[] {
  const seen = new Map<string, ResolvedLine>()
  return lines.flatMap((line): Found[] => {
    const { food } = line
    if (food === null || COMMON.has(food.foodClass)) return []
    const key = food.state === null ? food.id : baseName(food)
    const first = seen.get(key)
    if (first === undefined) {
      seen.set(key, line)
      return []
    }
    return [
      {
        rule: 'same-food-twice',
        severity: 'info',
        lineId: line.line.id,
        message:
          first.food?.id === food.id
            ? `${food.name} stands on two lines of this part.`
            : `${first.food?.name ?? ''} and ${food.name.toLowerCase()} are the same food in two states.`,
        remedy: 'Join them, or keep both on purpose.',
      },
    ]
  })
}

/** Slips of the pen in single lines: spoon letters, g and kg, dry and cooked, the same food twice. */
export function lineSlips(
  lines: readonly ResolvedLine[],
  stepTexts: readonly string[],
  rawMassG: number,
  kitchen: Kitchen,
): Found[] {
  return [
    ...lines.flatMap((line) => [
      ...spoonLetter(line, rawMassG, kitchen),
      ...thousandfold(line, rawMassG),
      ...dryForCooked(line, stepTexts),
    ]),
    ...sameFoodTwice(lines),
  ]
}
