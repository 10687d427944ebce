import { unescaped } from '../measure'
import { Dish, fail, ok, type Result } from '../model'
import { jsonLdScripts } from './html'
import { fromJsonLd, recipesIn } from './jsonLd'
import { fromMarkdownRecipe } from './markdown'
import { markdownTexts, plainRecipes } from './manyRecipes'
import { dishFrom, type ReadContext, type RecipeText } from './recipe'
import { LARGEST_FILE, parseJson, tooLarge } from './safeJson'
import { tidied } from './tidyPaste'

export type RecipeFormat = 'json' | 'html' | 'markdown' | 'text'

/** What kind of recipe file a text is. */
export function formatOf(text: string): RecipeFormat {
  const start = text
    .slice(0, 4000)
    .trimStart()
    .replace(/^\uFEFF/, '')
  if (/^[{[]/.test(start) && !/^\[[ xX]?\]\s/.test(start)) return 'json'
  if (/^<|<!doctype html|<html[\s>]/i.test(start)) return 'html'
  return /^#{1,6}\s/m.test(text.slice(0, 20_000)) ? 'markdown' : 'text'
}

const noRecipe = (what: string) =>
  fail({
    code: 'no-recipe',
    path: [],
    message: `${what} holds no recipe. Nothing was changed. Open a schema.org Recipe (JSON-LD), a web page that has one, Markdown or plain text.`,
  })

function all(recipes: readonly RecipeText[], context: ReadContext): Result<Dish[]> {
  const dishes: Dish[] = []
  for (const recipe of recipes) {
    const dish = dishFrom(recipe, context)
    if (!dish.ok) return dish
    dishes.push(dish.value)
  }
  return ok(dishes)
}

/** A stored Dish document, checked; it keeps its id. */
function storedDish(value: unknown): Result<Dish[]> | null {
  const format = typeof value === 'object' && value !== null && 'format' in value ? value.format : null
  if (format === 'frijol/backup') {
    return fail({
      code: 'is-backup',
      path: [],
      message:
        'This is a backup of a whole kitchen, not a recipe. Nothing was changed. Restore it from the Kitchen page.',
    })
  }
  if (format !== 'frijol/dish') return null
  const checked = Dish.safeParse(value)
  if (checked.success) return ok([checked.data])
  const issue = checked.error.issues[0]
  const path = (issue?.path ?? []).map((key) => (typeof key === 'symbol' ? String(key) : key))
  return fail({
    code: 'not-valid',
    path,
    message: `This dish file does not fit at ${path.join(' › ')}: ${issue?.message ?? ''} Nothing was changed.`,
  })
}

function readJson(text: string, context: ReadContext): Result<Dish[]> {
  const parsed = parseJson(text)
  if (!parsed.ok) return parsed
  const stored = storedDish(parsed.value)
  if (stored !== null) return stored
  const recipes = recipesIn(parsed.value)
  return recipes.length === 0 ? noRecipe('This JSON') : all(recipes.map(fromJsonLd), context)
}

function readHtml(text: string, context: ReadContext): Result<Dish[]> {
  const recipes: RecipeText[] = []
  for (const script of jsonLdScripts(text)) {
    const parsed = parseJson(script)
    if (!parsed.ok && parsed.issues[0]?.code !== 'not-json') return parsed
    if (parsed.ok) recipes.push(...recipesIn(parsed.value).map(fromJsonLd))
  }
  return recipes.length === 0 ? noRecipe('This page') : all(recipes, context)
}

/**
 * Reads recipes from a file or a paste: a Dish document, JSON-LD (alone, in a list or @graph), a web page with JSON-LD,
 * Markdown or plain text.
 *
 * @param text whole content, up to 20 million characters
 * @param context line reader, ids and the time
 * @returns the dishes, each checked by the stored schema; or issues whose messages say what is safe and what to do
 */
export function readRecipes(text: string, context: ReadContext): Result<Dish[]> {
  if (text.length > LARGEST_FILE) return tooLarge(text.length / 1e6)
  if (text.trim() === '')
    return fail({ code: 'empty', path: [], message: 'The file is empty. Nothing was changed.' })
  if (text.includes('\u0000')) {
    return fail({
      code: 'not-text',
      path: [],
      message: 'This is not a text file. Nothing was changed. Open JSON, HTML, Markdown or text.',
    })
  }
  switch (formatOf(text)) {
    case 'json':
      return readJson(text, context)
    case 'html':
      return readHtml(text, context)
    case 'markdown': {
      const read = all(markdownTexts(text).map(fromMarkdownRecipe), context)
      if (read.ok || read.issues[0]?.code !== 'no-ingredients') return read
      // A title with a hash above lines that are no list: plain text, with its headings plain.
      const plain = all(plainRecipes(tidied(unescaped(text.replace(/^#{1,6}[ \t]+/gm, '')))), context)
      return plain.ok ? plain : read
    }
    default:
      return all(plainRecipes(tidied(unescaped(text))), context)
  }
}
