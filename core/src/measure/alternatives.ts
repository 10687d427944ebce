import { findFood, type FoundFood } from './findFood'
import type { LineReader } from './lineTypes'

/** The food of "soy or oat milk" and "tamari/soy sauce": the first named, and that there were several. */
export function firstAlternative(reader: LineReader, food: string, hints: readonly string[]) {
  const whole = findFood(reader.index, food, hints)
  const [first, second] = food.split(/\s+or\s+|\s*\/\s*/i).filter((part) => part.trim() !== '')
  if (first === undefined || second === undefined) return { found: whole, isSeveral: false }
  const alone = findFood(reader.index, first, hints)
  const joined = borrowed(reader, first, second, hints)
  const kindOfFood = (found: FoundFood | null): string | undefined =>
    found?.ingredientId == null ? undefined : reader.ingredients.get(found.ingredientId)?.foodClass
  const other = findFood(reader.index, second, hints)
  const isShortened =
    joined !== null && joined.ingredientId !== alone.ingredientId && kindOfFood(joined) === kindOfFood(other)
  if (joined !== null && (alone.ingredientId === null || isShortened))
    return { found: joined, isSeveral: true }
  return { found: alone.ingredientId === null ? whole : alone, isSeveral: true }
}

/** "white wine or cider vinegar": the first with the last word of the second, when that has one to lend. */
function borrowed(reader: LineReader, first: string, second: string, hints: readonly string[]) {
  const words = second.split(/\s+/)
  const head = words.at(-1)
  if (words.length < 2 || head === undefined) return null
  const joined = findFood(reader.index, `${first} ${head}`, hints)
  return joined.ingredientId === null ? null : joined
}

/** Two foods joined by "and", neither being part of one name: "salt and pepper". */
export function isTwoFoods(reader: LineReader, food: string, whole: string | null): boolean {
  const parts = food.split(/\s+(?:and|&)\s+/i)
  const [first, second] = parts
  if (parts.length !== 2 || first === undefined || second === undefined) return false
  const left = findFood(reader.index, first).ingredientId
  const right = findFood(reader.index, second).ingredientId
  return (
    left !== null && right !== null && left !== right && (whole === null || whole === left || whole === right)
  )
}
