import generated from './generated/library.json'
import { libraryFrom, type LibraryContent, withOwn } from './libraryFrom'
import type { Ingredient, Library } from '@frijol/core/model'

/** The ingredients, originals and allergens that ship with Frijol. */
export const library: Library = libraryFrom(generated as unknown as LibraryContent)

/** The library with a person's own ingredients; an own one replaces a library one of the same id. */
export const withOwnIngredients = (own: readonly Ingredient[]): Library => withOwn(library, own)
