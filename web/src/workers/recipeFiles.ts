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
