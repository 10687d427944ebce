import { indexFoods } from '@frijol/core/measure'
import type { Kitchen } from '@frijol/core/model'
import { ownWordsOf, readRecipeMethod, stepFrom } from '@frijol/core/reading'
import type { Ingredient } from '@frijol/core/model'
import { libraryFrom, withOwn } from '@frijol/library/from'
import { nanoid } from 'nanoid'
import { fetchLibrary } from '../data/fetchLibrary'
import { importRecipes } from './importRecipes'
import type { ImportReport, NamedFile, Report } from './recipeFiles'

export interface ImportInput {
  readonly files: readonly NamedFile[]
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

/** Everything that is worked out beside the screen: plain data in, plain data out, told how far it is. */
export const JOBS = {
  importRecipes: async ({ files, kitchen, own }: ImportInput, onProgress: Report): Promise<ImportReport> => {
    const { ingredients } = withOwn(libraryFrom(await fetchLibrary()), own)
    const words = ownWordsOf(kitchen)
    const newId = (): string => nanoid(12)
    return importRecipes(
      files,
      {
        reader: { index: indexFoods(ingredients.values(), kitchen.names), ingredients, kitchen },
        newId,
        now: new Date().toISOString(),
        readStep: (text, id) => stepFrom(text, id, words),
        readMethod: readRecipeMethod,
      },
      onProgress,
    )
  },
} as const

export type Jobs = typeof JOBS
