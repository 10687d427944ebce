import { type Dish, methodEntries, type Part, type Totals } from '../model'
import {
  type MethodLine,
  plainText,
  portionsIn,
  type RecipePart,
  type RecipeText,
  writtenLines,
} from './recipe'

type Json = Record<string, unknown>
const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const asText = (value: unknown): string => (typeof value === 'string' ? plainText(value) : '')
const asList = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined || value === null ? [] : [value]

const OWN = 'frijol:part'
const USED = new Set([
  '@context',
  '@type',
  'name',
  'description',
  'recipeIngredient',
  'ingredients',
  'recipeInstructions',
  'recipeYield',
  'hasPart',
  'nutrition',
  'frijol:aim',
  'frijol:menu',
  'frijol:written',
  'isPartOf',
  OWN,
])

const isRecipe = (value: unknown): value is Json => {
  if (!isObject(value)) return false
  return asList(value['@type']).some((type) => typeof type === 'string' && /(?:^|[/#:])Recipe$/.test(type))
}

/** Every Recipe of a JSON-LD value: alone, in a list, in @graph, or as a page's main entity. */
export function recipesIn(value: unknown, depth = 0): Json[] {
  if (depth > 6) return []
  if (Array.isArray(value)) return value.flatMap((item) => recipesIn(item, depth + 1))
  if (isRecipe(value)) return [value]
  if (!isObject(value)) return []
  return ['@graph', 'mainEntity', 'itemListElement', 'item'].flatMap((key) =>
    recipesIn(value[key], depth + 1),
  )
}

interface Section {
  readonly name: string
  readonly steps: string[]
}

/** Lists within lists that instructions may be. */
const MOST_NESTED = 6

/** Instructions as text, list, list of lists, HowToStep, HowToSection. */
function sectionsIn(instructions: unknown): Section[] {
  const sections: Section[] = [{ name: '', steps: [] }]
  const last = (): Section => sections.at(-1) ?? { name: '', steps: [] }
  for (const item of asList(instructions).flat(MOST_NESTED)) {
    if (typeof item === 'string') {
      const lines = plainText(item).split(/\n+|(?<=\.)\s+(?=\d+[.)]\s)/)
      last().steps.push(
        ...lines
          .map((line) => line.replace(/^\s*(?:step\s*)?\d+[.):]\s*/i, '').trim())
          .filter((line) => line !== ''),
      )
    } else if (isObject(item) && !asList(item['@type']).includes('HowToTip')) {
      const inner = item['itemListElement'] ?? item['steps']
      if (inner !== undefined) {
        const nested = sectionsIn(inner).flatMap(({ steps }) => steps)
        sections.push({ name: asText(item['name']), steps: nested })
      } else {
        const text = asText(item['text']) || asText(item['description']) || asText(item['name'])
        if (text !== '') last().steps.push(text)
      }
    }
  }
  return sections.filter(({ name, steps }) => steps.length > 0 || name !== '')
}

const linesIn = (recipe: Json): string[] =>
  asList(recipe['recipeIngredient'] ?? recipe['ingredients'])
    .map(asText)
    .flatMap((text) => text.split('\n'))
    .map((text) => text.trim())
    .filter((text) => text !== '')

/** The written steps of a recipe; a section's name is the heading above its first. */
const methodIn = (recipe: Json, part: number | null): MethodLine[] =>
  sectionsIn(recipe['recipeInstructions']).flatMap(({ name, steps }) =>
    steps.map((text, at) => ({ text, heading: at === 0 && name !== '' ? name : null, part })),
  )

/** A schema.org Recipe as recipe text. Fields that are not used are kept in `extra`. */
export function fromJsonLd(recipe: Json): RecipeText {
  const inner = asList(recipe['hasPart']).filter(isRecipe)
  const parts: RecipePart[] =
    inner.length > 0
      ? inner.map((part) => ({
          name: asText(part['name']),
          lines: linesIn(part),
          own: part[OWN],
        }))
      : [{ name: 'Main', lines: linesIn(recipe), own: recipe[OWN] }]
  const ofParts = inner.flatMap((part, at) => methodIn(part, at))
  return {
    name: typeof recipe['name'] === 'string' ? recipe['name'] : '',
    menu: asText(recipe['frijol:menu']),
    note: asText(recipe['description']),
    portions: portionsIn(recipe['recipeYield']),
    saidYield: yieldText(recipe['recipeYield']),
    parts,
    method: ofParts.length > 0 ? ofParts : methodIn(recipe, null),
    written: recipe['frijol:written'],
    aim: recipe['frijol:aim'],
    extra: Object.fromEntries(Object.entries(recipe).filter(([key]) => !USED.has(key))),
  }
}

const round = (value: number | null, digits = 1): number | undefined =>
  value === null ? undefined : Number(value.toFixed(digits))

function nutritionOf(portion: Totals): Json {
  const grams = (value: number | null): string | undefined => {
    const rounded = round(value)
    return rounded === undefined ? undefined : `${rounded} g`
  }
  const energy = round(portion.energyKcal, 0)
  const sodium = round(portion.sodiumMg, 0)
  return {
    '@type': 'NutritionInformation',
    servingSize: `${Math.round(portion.massG)} g`,
    calories: energy === undefined ? undefined : `${energy} kcal`,
    proteinContent: grams(portion.proteinG),
    fatContent: grams(portion.fatG),
    saturatedFatContent: grams(portion.saturatedFatG),
    carbohydrateContent: grams(portion.carbohydrateG),
    sugarContent: grams(portion.sugarsG),
    fiberContent: grams(portion.fibreG),
    sodiumContent: sodium === undefined ? undefined : `${sodium} mg`,
  }
}

const howTo = (text: string): Json => ({ '@type': 'HowToStep', text })
const section = (name: string, steps: readonly string[]): Json => ({
  '@type': 'HowToSection',
  name,
  itemListElement: steps.map(howTo),
})

/** The method as it was written, under its own headings; else a section for each part. */
function instructionsOf(dish: Dish): Json[] {
  if (dish.written.length === 0)
    return dish.parts
      .filter(({ steps }) => steps.length > 0)
      .map(({ name, steps }) =>
        section(
          name,
          steps.map(({ text }) => text),
        ),
      )
  const sections: { name: string | null; steps: string[] }[] = []
  for (const { heading, text } of methodEntries(dish)) {
    const last = sections.at(-1)
    if (last === undefined || heading !== null) sections.push({ name: heading, steps: [text] })
    else last.steps.push(text)
  }
  return sections.flatMap(({ name, steps }) => (name === null ? steps.map(howTo) : [section(name, steps)]))
}

const ownOf = (part: Part): Json => ({
  id: part.id,
  family: part.family,
  originalId: part.originalId,
  moved: part.moved,
  alsoServed: part.alsoServed,
  cookedMassG: part.cookedMassG,
  lines: part.lines.map(({ id, text, amount, open, food, prep, ingredientId, choice }) => ({
    id,
    text,
    amount,
    open,
    food,
    prep,
    ingredientId,
    choice,
  })),
  steps: part.steps,
  ways: part.ways,
})

/**
 * A dish as schema.org Recipe JSON-LD. Parts are Recipes under `hasPart`; what schema.org has no term for stands under
 * the `frijol:` prefix, so that the file reads back to the same masses.
 * @param portion totals of a portion for `nutrition`; null leaves it out
 */
export function toJsonLd(dish: Dish, portion: Totals | null): string {
  const recipe: Json = {
    '@context': ['https://schema.org', { frijol: 'https://frijol.invalid/terms#' }],
    '@type': 'Recipe',
    ...dish.extra,
    name: dish.name,
    description: dish.note === '' ? undefined : dish.note,
    recipeYield: `${dish.aim.portions} portions`,
    recipeIngredient: dish.parts.flatMap(writtenLines),
    recipeInstructions: instructionsOf(dish),
    nutrition: portion === null ? undefined : nutritionOf(portion),
    hasPart: dish.parts.map((part) => ({
      '@type': 'Recipe',
      name: part.name,
      recipeIngredient: writtenLines(part),
      recipeInstructions: part.steps.map(({ text }) => howTo(text)),
      [OWN]: ownOf(part),
    })),
    'frijol:aim': dish.aim,
    'frijol:written': dish.written.length === 0 ? undefined : dish.written,
    'frijol:menu': dish.menu === '' ? undefined : dish.menu,
  }
  return `${JSON.stringify(recipe, null, 2)}\n`
}

const yieldText = (value: unknown): string | null =>
  typeof value === 'number' || typeof value === 'string' ? String(value) : null
