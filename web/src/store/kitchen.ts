import type { ReadContext } from '@frijol/core/interchange'
import { indexFoods, type LineReader } from '@frijol/core/measure'
import {
  defaultKitchen,
  type Ingredient,
  type Kitchen,
  type Library,
  type OperationId,
} from '@frijol/core/model'
import { type OwnWords, ownWordsOf, readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { create } from 'zustand'
import { readKitchen, saveKitchen } from '../data'
import { newId, nowIso } from './ids'

interface KitchenState {
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
  /** null until the library has arrived. */
  readonly library: Library | null
  readonly reader: LineReader | null
}

export const useKitchenStore = create<KitchenState>(() => ({
  kitchen: defaultKitchen,
  own: [],
  library: null,
  reader: null,
}))

/** Loads the library and what this browser keeps. Called once at the start, and again after a restore. */
export async function loadKitchen(): Promise<void> {
  const [{ withOwnIngredients }, { kitchen, own }] = await Promise.all([
    import('@frijol/library'),
    readKitchen(),
  ])
  const library = withOwnIngredients(own)
  const index = indexFoods(library.ingredients.values(), kitchen.names)
  useKitchenStore.setState({
    kitchen,
    own,
    library,
    reader: { index, ingredients: library.ingredients, kitchen },
  })
}

/** Changes the kitchen's settings and saves them. */
export async function changeKitchen(change: (kitchen: Kitchen) => Kitchen): Promise<void> {
  const { kitchen, reader } = useKitchenStore.getState()
  const next = change(kitchen)
  const index =
    reader === null || next.names === kitchen.names
      ? reader?.index
      : indexFoods(reader.ingredients.values(), next.names)
  useKitchenStore.setState({
    kitchen: next,
    reader: reader === null || index === undefined ? null : { ...reader, index, kitchen: next },
  })
  await saveKitchen(next)
}

/** The library; screens are shown only once it is there. */
export function useLibrary(): Library {
  const library = useKitchenStore((state) => state.library)
  if (library === null) throw new Error('the library is not loaded yet')
  return library
}

export function lineReader(): LineReader {
  const { reader } = useKitchenStore.getState()
  if (reader === null) throw new Error('the library is not loaded yet')
  return reader
}

/** Verbs that this kitchen has taught the reader. */
export const kitchenWords = (): OwnWords => ownWordsOf(useKitchenStore.getState().kitchen)

/** From now on a verb means this operation here. */
export const teachWord = (word: string, operation: OperationId): Promise<void> =>
  changeKitchen((kitchen) => ({
    ...kitchen,
    words: [...kitchen.words.filter((one) => one.word !== word), { word, operation }].slice(-500),
  }))

/** From now on a name means this food here. */
export const teachName = (name: string, ingredientId: string): Promise<void> =>
  changeKitchen((kitchen) => ({
    ...kitchen,
    names: [...kitchen.names.filter((one) => one.name !== name), { name, ingredientId }].slice(-2000),
  }))

/** What reading a recipe needs in this browser. */
export const readContext = (): ReadContext => ({
  reader: lineReader(),
  newId,
  now: nowIso(),
  readStep: (text, id) => stepFrom(text, id, kitchenWords()),
  readMethod: readRecipeMethod,
})
