import { askPortions, saysNoPortions } from './sections'
import { type LineReader, linesFrom, unescaped } from '../measure'
import {
  blankDish,
  blankPart,
  Dish,
  fail,
  type FormulaLine,
  type Issue,
  nothingMoved,
  ok,
  type Part,
  type Result,
  type Step,
  type Written,
} from '../model'

/** A recipe as text, whatever file it came from. */
export interface RecipeText {
  readonly name: string
  readonly menu: string
  readonly note: string
  readonly portions: number | null
  /** The yield as it was written. */
  readonly saidYield?: string | null
  readonly parts: readonly RecipePart[]
  /** The method from its first step to its last. */
  readonly method: readonly MethodLine[]
  /** The method as Frijol itself wrote it beside its steps, unchecked. */
  readonly written: unknown
  readonly aim: unknown
  readonly extra: Readonly<Record<string, unknown>>
}

export interface RecipePart {
  readonly name: string
  readonly lines: readonly string[]
  /** What Frijol itself wrote beside the text, unchecked. */
  readonly own: unknown
}

/** One written step, line or paragraph of a method. */
export interface MethodLine {
  readonly text: string
  /** Heading that opens here inside the method. */
  readonly heading: string | null
  /** Part that it stands under, by its place; null = as its words say. */
  readonly part: number | null
}

export interface ReadContext {
  readonly reader: LineReader
  readonly newId: () => string
  /** ISO date and time. */
  readonly now: string
  /** A method read into the doings of its parts. */
  readonly readMethod: (
    parts: readonly Part[],
    method: readonly MethodLine[],
    context: Pick<ReadContext, 'reader' | 'newId'>,
  ) => { readonly steps: readonly (readonly Step[])[]; readonly written: readonly Written[] }
  /** A step from its words, as one doing. */
  readonly readStep: (text: string, id: string) => Step
}

const MOST_LINES = 300
const MOST_PARTS = 40

/** Plain text of a string that may hold tags and entities of a web page. */
export function plainText(text: string): string {
  return unescaped(
    text.replace(/<br\s*\/?>|<\/(?:p|li|div)>/gi, '\n').replace(/<\/?[a-z!][^>]{0,400}>/gi, ''),
  ).trim()
}

/** The lines of a part as they were written: what was read into several foods stands once. */
export const writtenLines = ({ lines }: Pick<Part, 'lines'>): string[] =>
  lines.flatMap(({ text, sharesText }, at) =>
    sharesText === 'more' && lines[at - 1]?.text === text ? [] : [text],
  )

function partFrom(part: RecipePart, context: ReadContext): Part {
  return {
    ...blankPart(context.newId(), part.name.slice(0, 120)),
    lines: part.lines
      .slice(0, MOST_LINES)
      .flatMap((text) => linesFrom(text, context))
      .slice(0, MOST_LINES),
  }
}

const record = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? (value as Record<string, unknown>)
    : {}

/** A step as it was understood or set by hand; where its words were changed outside, they win. */
function withOwnStep(step: Step, facts: Record<string, unknown>): Step {
  if ('keepsFraction' in facts) {
    const fraction = facts['keepsFraction']
    return typeof fraction === 'number'
      ? { ...step, until: { kind: 'keeps', fraction }, byHand: ['until'] }
      : step
  }
  return facts['text'] === step.text ? { ...step, ...facts, id: step.id } : step
}

/** Puts back what Frijol wrote: family, original, cooked mass, and how each unchanged line was understood. */
function withOwn(part: Part, own: unknown): Part {
  const facts = record(own)
  const kept = Array.isArray(facts['lines']) ? (facts['lines'] as unknown[]) : []
  return {
    ...part,
    family: (facts['family'] ?? null) as Part['family'],
    originalId: (facts['originalId'] ?? null) as Part['originalId'],
    moved: (facts['moved'] ?? nothingMoved()) as Part['moved'],
    alsoServed: (facts['alsoServed'] ?? null) as Part['alsoServed'],
    cookedMassG: (facts['cookedMassG'] ?? null) as Part['cookedMassG'],
    lines: part.lines.map((line, at) => {
      const facts = record(kept[at])
      if (facts['text'] !== line.text) return line
      return {
        ...line,
        amount: (facts['amount'] ?? null) as FormulaLine['amount'],
        open: (facts['open'] ?? null) as FormulaLine['open'],
        food: (facts['food'] ?? line.food) as string,
        prep: (facts['prep'] ?? line.prep) as string,
        ingredientId: (facts['ingredientId'] ?? null) as FormulaLine['ingredientId'],
        choice: (facts['choice'] ?? 'read') as FormulaLine['choice'],
      }
    }),
    ways: (Array.isArray(facts['ways']) ? facts['ways'] : []) as Part['ways'],
  }
}

/** Steps that Frijol itself wrote under a part, by their words. */
const ownSteps = (own: unknown): Record<string, unknown>[] => {
  const steps = record(own)['steps']
  return Array.isArray(steps) ? steps.map(record) : []
}

interface Method {
  readonly steps: readonly (readonly Step[])[]
  readonly written: readonly Written[]
}

/**
 * The method of a recipe: steps that Frijol wrote come back as they were, each one doing; every other text is read into
 * its doings.
 */
function methodOf(
  recipe: RecipeText,
  parts: readonly Part[],
  sources: readonly RecipePart[],
  context: ReadContext,
): Method {
  const isOwn = sources.some(({ own }) => ownSteps(own).length > 0)
  if (!isOwn) return context.readMethod(parts, recipe.method, context)
  const steps = parts.map((_, at) => {
    const known = ownSteps(sources[at]?.own)
    return recipe.method
      .filter(({ part }) => part === at)
      .map(({ text }) => {
        const step = context.readStep(text.slice(0, 4000), context.newId())
        const facts = known.find((one) => one['text'] === step.text)
        return facts === undefined ? step : withOwnStep(step, facts)
      })
  })
  return { steps, written: [] }
}

/** Ids that a file wrote, by the ids that its parts, lines and steps have now. */
function newIds(parts: readonly Part[], written: readonly RecipePart[]): ReadonlyMap<unknown, string> {
  const ids = new Map<unknown, string>()
  parts.forEach((part, at) => {
    const own = record(written[at]?.own)
    ids.set(own['id'], part.id)
    for (const field of ['lines', 'steps'] as const) {
      const kept = own[field]
      if (Array.isArray(kept)) part[field].forEach(({ id }, index) => ids.set(record(kept[index])['id'], id))
    }
  })
  return ids
}

/** The method as it was written, as Frijol wrote it into the file, by the present ids of its steps. */
function ownWritten(value: unknown, ids: ReadonlyMap<unknown, string>): Written[] {
  if (!Array.isArray(value)) return []
  return value.map(record).map((one) => {
    const stepIds = Array.isArray(one['stepIds']) ? one['stepIds'] : []
    return {
      heading: (one['heading'] ?? null) as Written['heading'],
      text: (one['text'] ?? '') as Written['text'],
      stepIds: stepIds.flatMap((id) => ids.get(id) ?? []),
    }
  })
}

/** Steps whose assigned lines, steps and parts go by their present ids; what is no longer there is let go. */
function withNewIds(part: Part, ids: ReadonlyMap<unknown, string>): Part {
  const renewed = (step: Step): Step => {
    if (!Array.isArray(step.uses)) return step
    const uses = step.uses.flatMap((use) => {
      const id = ids.get(use.id)
      return id === undefined ? [] : [{ ...use, id }]
    })
    return { ...step, uses }
  }
  return {
    ...part,
    steps: part.steps.map(renewed),
    ways: part.ways.map((way) =>
      Array.isArray(way.steps) ? { ...way, steps: way.steps.map(renewed) } : way,
    ),
  }
}

const asIssue = (path: readonly PropertyKey[], message: string): Issue => ({
  code: 'not-valid',
  path: path.map((key) => (typeof key === 'symbol' ? String(key) : key)),
  message: `The recipe does not fit at ${path.map(String).join(' › ')}: ${message} Nothing was changed.`,
})

/** A Dish from a recipe's text, checked by the same schema as every stored dish. */
export function dishFrom(recipe: RecipeText, context: ReadContext): Result<Dish> {
  const name = plainText(recipe.name) || recipe.name.trim()
  const kept = recipe.parts
    .map((part, at) => ({ part, at, hasSteps: recipe.method.some((one) => one.part === at) }))
    .filter(({ part, hasSteps }) => part.lines.length > 0 || hasSteps)
  const places = new Map(kept.map(({ at }, index) => [at, index]))
  const written = kept.map(({ part }) => part)
  const method = recipe.method
    .slice(0, MOST_LINES)
    .map((one) => ({ ...one, part: one.part === null ? null : (places.get(one.part) ?? null) }))
  if (!written.some(({ lines }) => lines.length > 0)) {
    return fail({
      code: 'no-ingredients',
      path: [],
      message:
        'No ingredient lines were found. Nothing was changed. Write one ingredient a line, then the steps.',
    })
  }
  if (written.length > MOST_PARTS || written.some(({ lines }) => lines.length > MOST_LINES)) {
    return fail({
      code: 'too-long',
      path: [],
      message: `A dish holds up to ${MOST_PARTS} parts of ${MOST_LINES} lines. Nothing was changed. Split the recipe.`,
    })
  }
  const blank = blankDish(context.newId(), name === '' ? 'Untitled dish' : name.slice(0, 200), context.now)
  const listed = written.map((part) => withOwn(partFrom(part, context), part.own))
  const read = methodOf({ ...recipe, method }, listed, written, context)
  const parts = listed.map((part, at) => ({ ...part, steps: [...(read.steps[at] ?? [])] }))
  const ids = newIds(parts, written)
  const dish = {
    ...blank,
    menu: recipe.menu.slice(0, 200),
    note: noteOf(recipe, blank.aim.portions).slice(0, 20_000),
    aim: {
      ...blank.aim,
      ...record(recipe.aim),
      ...(recipe.portions === null ? {} : { portions: recipe.portions }),
    },
    parts: parts.map((part) => withNewIds(part, ids)),
    written: read.written.length > 0 ? [...read.written] : ownWritten(recipe.written, ids),
    extra: recipe.extra,
  }
  const checked = Dish.safeParse(dish)
  if (checked.success) return ok(checked.data)
  const [first, ...more] = checked.error.issues.map((issue) => asIssue(issue.path, issue.message))
  return fail(first ?? asIssue([], 'unknown fault.'), ...more.slice(0, 9))
}

/** The note, with the question where the yield cannot be. */
const noteOf = ({ note, portions, saidYield }: RecipeText, assumed: number): string =>
  portions === null && saidYield != null && saysNoPortions(saidYield)
    ? [note, askPortions(saidYield, assumed)].filter((line) => line !== '').join('\n')
    : note

/** "Serves 6", "6 portions", 6, ["6", "6 servings"]: a number of portions, or null. */
export function portionsIn(value: unknown): number | null {
  if (typeof value === 'number') return value > 0 && value <= 100_000 ? value : null
  if (Array.isArray(value)) return value.map(portionsIn).find((found) => found !== null) ?? null
  if (typeof value !== 'string') return null
  if (saysNoPortions(value)) return null
  const found = /(\d+(?:[.,]\d+)?)/.exec(value)
  const number = found === null ? 0 : Number((found[1] ?? '').replace(',', '.'))
  return number > 0 && number <= 10_000 ? number : null
}
