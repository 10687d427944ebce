import type { Amount, AmountTerm, Ingredient } from '../model'
import type { FoodChoice } from './findFood'
import { lineMass } from './lineMass'
import type { LineReader, ReadFinding } from './lineTypes'
import { unitKind } from './units'

const rough = (grams: number): string => (grams >= 10 ? String(Math.round(grams)) : grams.toFixed(1))

export function disagreement(
  reader: LineReader,
  ingredientId: string | null,
  amount: Amount,
  others: readonly AmountTerm[],
  words: string,
): ReadFinding[] {
  const food = ingredientId === null ? undefined : reader.ingredients.get(ingredientId)
  if (food === undefined) return []
  const own = lineMass(amount, food, words, reader.kitchen)
  for (const term of others) {
    if (unitKind(term.unit) === 'count' || own.mass === null) continue
    const other = lineMass({ terms: [term], isApproximate: false }, food, words, reader.kitchen)
    if (other.mass === null || other.mass.value === 0 || own.mass.value === 0) continue
    const apart = own.mass.value / other.mass.value
    if (apart < 0.72 || apart > 1.38) {
      return [
        {
          rule: 'amounts-disagree',
          severity: 'caution',
          message: `The line states two amounts that differ: ${rough(own.mass.value)} g and ${rough(other.mass.value)} g.`,
          remedy: `The first is used. Weigh it once and write grams.`,
        },
      ]
    }
  }
  return []
}

/** Said where a tin has a liquid that is usually poured off and the line is silent about it. */
export function drainedFinding(
  amount: Amount | null,
  written: string,
  food: Ingredient | undefined,
): ReadFinding[] {
  const pack = food?.packs[0]
  const isSilent = !/drain|liquid|juice|brine|rins/i.test(written)
  if (amount?.terms[0]?.unit !== 'can' || pack === undefined || pack.drainedG >= pack.netG || !isSilent)
    return []
  return [
    {
      rule: 'drained-guess',
      severity: 'info',
      message: 'The tin was counted drained.',
      remedy: 'Write “undrained” if its liquid goes in too.',
    },
  ]
}

export const TWO_FOODS: ReadFinding = {
  rule: 'two-foods',
  severity: 'caution',
  message: 'The line names two foods.',
  remedy: 'Write each on a line of its own.',
}

export function stateFinding(ingredientId: string | null, reader: LineReader): ReadFinding {
  const state = (ingredientId === null ? null : reader.ingredients.get(ingredientId)?.state) ?? 'usual'
  return {
    rule: 'state-unstated',
    severity: 'info',
    message: `The line does not say dry, cooked or canned; it was read as ${state}.`,
    remedy: 'Add the word, or choose the food on the line.',
  }
}

export function readFindings(
  ingredientId: string | null,
  choices: readonly FoodChoice[],
  food: string,
  reader: LineReader,
): ReadFinding[] {
  if (ingredientId !== null) return []
  if (food === '') {
    return [
      {
        rule: 'no-food',
        severity: 'caution',
        message: 'The line names no food.',
        remedy: 'Write what it is.',
      },
    ]
  }
  const names = choices.slice(0, 3).flatMap(({ ingredientId: id }) => reader.ingredients.get(id)?.name ?? [])
  return [
    {
      rule: 'unknown-food',
      severity: 'caution',
      message:
        names.length === 0 ? `“${food}” is not in the library.` : `“${food}” could be ${names.join(' or ')}.`,
      remedy:
        names.length === 0
          ? 'Choose a food for it, or add your own ingredient.'
          : 'Choose one for this line.',
    },
  ]
}
