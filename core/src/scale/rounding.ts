import { assess } from '../assess'
import { resolveLines } from '../composition'
import { formatAmount, gramsLine, gramStep, VOLUME_UNITS, volumeMeasure, withAmount } from '../measure'
import type {
  Amount,
  Dish,
  FormulaLine,
  Ingredient,
  Kitchen,
  Library,
  Part,
  RatioReading,
  UnitId,
} from '../model'

/** One line before and after rounding. */
export interface RoundedLine {
  readonly lineId: string
  readonly name: string
  readonly exactG: number
  readonly roundedG: number
  /** Signed share that rounding adds to the mass. */
  readonly errorFraction: number
  /** Why it was not rounded, where it was not. */
  readonly kept: 'ratio' | 'exact' | null
}

export interface RoundedDish {
  readonly dish: Dish
  readonly lines: readonly RoundedLine[]
}

/** Units that are measured out in spoons and cups, and change into each other. */
const SPOONED: ReadonlySet<UnitId> = new Set<UnitId>(['tsp', 'tbsp', 'cup'])
/** Roles and classes whose share is a dose: they keep their mass exactly. */
const EXACT_ROLES: ReadonlySet<string> = new Set(['gel-cold-set', 'gel-hot-set', 'salt'])
const EXACT_CLASSES: ReadonlySet<string> = new Set(['salt', 'leavening', 'gum'])
/** Kept exactly, grams are still written as a fine scale shows them. */
const FINE_STEP_G = 0.1
/** A dose counts as kept within this share. @source practice */
const DOSE_TOLERANCE = 0.01
/** A ratio may move by this share through rounding and no more. @source practice */
const MOST_RATIO_MOVE = 0.02

function usable(value: number, unit: UnitId | null): number {
  if (value <= 0) return value
  const stepped = (step: number): number => Math.max(step, Math.round(value / step) * step)
  switch (unit) {
    case 'g':
    case 'mL':
      return Number(stepped(gramStep(value)).toFixed(2))
    case 'kg':
    case 'L':
      return Number(stepped(value < 1 ? 0.005 : 0.01).toFixed(3))
    case 'can':
    case 'pack':
    case 'block':
    case 'jar':
    case null:
      return stepped(0.5)
    default:
      return stepped(value < 1 ? 0.25 : 0.5)
  }
}

const isExact = (food: Ingredient): boolean =>
  EXACT_CLASSES.has(food.foodClass) ||
  ((food.functional?.roles.some((role) => EXACT_ROLES.has(role)) ?? false) && food.foodClass !== 'savoury')

/** Spoons and cups of a line without a range, together, in the fewest measures that are close. */
function spooned(amount: Amount, kitchen: Kitchen): Amount | null {
  const isPlain = amount.terms.every(
    ({ unit, low, high, qualifier, size }) =>
      unit !== null && SPOONED.has(unit) && low === high && qualifier === null && size === null,
  )
  if (!isPlain) return null
  const mL = amount.terms.reduce(
    (sum, { sign, low, unit }) => sum + sign * low * (VOLUME_UNITS[unit ?? 'tsp']?.mL[kitchen.region] ?? 0),
    0,
  )
  const found = mL > 0 ? volumeMeasure(mL, kitchen.region) : null
  return found === null ? null : { ...found.amount, isApproximate: amount.isApproximate }
}

function usableAmount(amount: Amount, kitchen: Kitchen): Amount {
  const inSpoons = spooned(amount, kitchen)
  if (inSpoons !== null) return inSpoons
  const terms = amount.terms.map((term) => {
    const low = usable(term.low, term.unit)
    return { ...term, low, high: term.high === term.low ? low : Math.max(low, usable(term.high, term.unit)) }
  })
  return { ...amount, terms }
}

function roundedLine(line: FormulaLine, kitchen: Kitchen): FormulaLine {
  if (line.amount === null) return line
  const amount = usableAmount(line.amount, kitchen)
  return formatAmount(amount) === formatAmount(line.amount) ? line : withAmount(line, amount)
}

/** The line in grams, to the step of a fine scale where that keeps the dose within 1 %, else exactly. */
function inGrams(line: FormulaLine, massG: number): FormulaLine {
  const shown = Number((Math.round(massG / FINE_STEP_G) * FINE_STEP_G).toFixed(1))
  return gramsLine(line, Math.abs(shown / massG - 1) <= DOSE_TOLERANCE ? shown : Number(massG.toPrecision(4)))
}

const RANK = { in: 0, drift: 1, out: 2 } as const

/** Whether a ratio left its window, or moved further than rounding may move it. */
function isSpoilt(before: readonly RatioReading[], after: readonly RatioReading[] = []): boolean {
  return before.some((ratio, at) => {
    const now = after[at]
    if (now === undefined) return false
    if (RANK[now.state] > RANK[ratio.state]) return true
    const span = Math.max(Math.abs(ratio.value), 0.1 * (ratio.high - ratio.low))
    return Math.abs(now.value - ratio.value) > MOST_RATIO_MOVE * span && now.state !== 'in'
  })
}

interface Rounding {
  readonly exact: FormulaLine
  readonly food: Ingredient | null
  readonly exactG: number | null
  line: FormulaLine
  kept: RoundedLine['kept']
}

const withPart = (dish: Dish, part: Part): Dish => ({
  ...dish,
  parts: dish.parts.map((other) => (other.id === part.id ? part : other)),
})

/** Rounds one part within its dish: what it takes of other parts, and what others take of it, stands in their ratios. */
function roundPart(
  dish: Dish,
  part: Part,
  library: Library,
  kitchen: Kitchen,
): { part: Part; lines: RoundedLine[] } {
  const ratiosOf = (lines: readonly FormulaLine[]): readonly (readonly RatioReading[])[] =>
    assess(withPart(dish, { ...part, lines: [...lines] }), library, kitchen).parts.map(({ ratios }) => ratios)
  const spoils = (lines: readonly FormulaLine[]): boolean => {
    const after = ratiosOf(lines)
    return before.some((ratios, at) => isSpoilt(ratios, after[at]))
  }
  const massOf = (line: FormulaLine): number =>
    resolveLines({ ...part, lines: [line] }, library, kitchen)[0]?.mass?.value ?? 0
  const before = ratiosOf(part.lines)
  const roundings = resolveLines(part, library, kitchen).map(({ line, food, mass }): Rounding => {
    const keepsDose = food !== null && mass !== null && isExact(food) && mass.value > 0
    const rounded = roundedLine(line, kitchen)
    const isUsable = keepsDose && Math.abs(massOf(rounded) / mass.value - 1) <= DOSE_TOLERANCE
    return {
      exact: line,
      food,
      exactG: mass?.value ?? null,
      line: keepsDose && !isUsable ? inGrams(line, mass.value) : rounded,
      kept: keepsDose ? 'exact' : null,
    }
  })
  const lines = () => roundings.map(({ line }) => line)
  // Lines whose rounding moves most mass go back to grams first, until every ratio holds.
  const byMove = roundings
    .filter(({ kept, exactG }) => kept === null && exactG !== null)
    .sort((a, b) => Math.abs(massOf(b.line) - (b.exactG ?? 0)) - Math.abs(massOf(a.line) - (a.exactG ?? 0)))
  for (const rounding of byMove) {
    if (!spoils(lines())) break
    rounding.line = inGrams(rounding.exact, rounding.exactG ?? 0)
    rounding.kept = 'ratio'
  }
  // A ratio on the very edge of its window: doses to four figures, and at last every line as it was scaled.
  if (spoils(lines())) {
    for (const rounding of roundings)
      if (rounding.kept === 'exact' && rounding.exactG !== null)
        rounding.line = gramsLine(rounding.exact, Number(rounding.exactG.toPrecision(4)))
  }
  if (spoils(lines())) {
    for (const rounding of roundings) {
      rounding.line = rounding.exact
      if (rounding.exactG !== null) rounding.kept ??= 'ratio'
    }
  }
  return {
    part: { ...part, lines: lines() },
    lines: roundings.flatMap(({ exact, food, exactG, line, kept }) => {
      if (exactG === null || exactG === 0) return []
      const roundedG = massOf(line)
      return [
        {
          lineId: exact.id,
          name: food?.name ?? exact.food,
          exactG,
          roundedG,
          errorFraction: roundedG / exactG - 1,
          kept,
        },
      ]
    }),
  }
}

/**
 * A dish with every amount rounded to a measure that exists, and what that costs.
 *
 * Gel agents, salts and leavening keep their mass: written in grams where no spoon gives it. A line whose rounding
 * would take a ratio out of its window, or move one that is not well inside by more than 2 %, is written in grams too.
 *
 * @returns the dish and, a line with a mass, exact and rounded grams, the error and why it was kept
 */
export function roundDish(dish: Dish, library: Library, kitchen: Kitchen): RoundedDish {
  let rounded = dish
  const lines = dish.parts.flatMap((exact) => {
    const { part, lines } = roundPart(rounded, exact, library, kitchen)
    rounded = withPart(rounded, part)
    return lines
  })
  return { dish: rounded, lines }
}
