import { LARGEST_FILE, readRecipes, tooLarge, type ReadContext } from '@frijol/core/interchange'
import type { Dish } from '@frijol/core/model'
import type { ImportReport, NamedFile, Report } from './recipeFiles'

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
