import { LARGEST_FILE, readRecipes, tooLarge, type ReadContext } from '@frijol/core/interchange'
import type { Dish } from '@frijol/core/model'

/** A file as a folder gives it. */
export interface NamedFile {
  readonly name: string
  readonly size: number
  readonly text: () => Promise<string>
}

export interface ImportReport {
  readonly dishes: readonly Dish[]
  /** Files that brought something, and how many dishes each. */
  readonly read: readonly { readonly file: string; readonly count: number }[]
  /** Files that brought nothing, with the reason in words. */
  readonly failed: readonly { readonly file: string; readonly reason: string }[]
}

/** Told after each file. */
export type Report = (done: number, all: number) => void

/** A file that is no recipe by its name, as a picture beside it, is passed over. */
const RECIPE_FILE = /\.(?:json|jsonld|html?|md|markdown|txt)$/i
export const isRecipeFile = (name: string): boolean => RECIPE_FILE.test(name)

/**
 * Reads every recipe of many files. One bad file spoils no other.
 * @param onProgress told after each file
 */
export async function importRecipes(
  files: readonly NamedFile[],
  context: ReadContext,
  onProgress: Report,
): Promise<ImportReport> {
  const dishes: Dish[] = []
  const read: { file: string; count: number }[] = []
  const failed: { file: string; reason: string }[] = []
  for (const [at, file] of files.entries()) {
    const result = await readOne(file, context)
    if (typeof result === 'string') failed.push({ file: file.name, reason: result })
    else {
      dishes.push(...result)
      read.push({ file: file.name, count: result.length })
    }
    onProgress(at + 1, files.length)
  }
  return { dishes, read, failed }
}

async function readOne(file: NamedFile, context: ReadContext): Promise<Dish[] | string> {
  const reasonOf = (issues: readonly { message: string }[]): string =>
    issues[0]?.message ?? 'It could not be read.'
  if (file.size > LARGEST_FILE) {
    const large = tooLarge(file.size / 1e6)
    return large.ok ? 'It is too large.' : reasonOf(large.issues)
  }
  try {
    const result = readRecipes(await file.text(), context)
    // An id of its own for each: the same file may be opened twice.
    return result.ok
      ? result.value.map((dish) => ({ ...dish, id: context.newId() }))
      : reasonOf(result.issues)
  } catch (error) {
    return error instanceof Error && error.name === 'NotReadableError'
      ? 'The browser could not read it.'
      : 'It could not be read.'
  }
}
