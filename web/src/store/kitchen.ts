import type { ReadContext } from '@frijol/core/interchange'
import { indexFoods, type LineReader } from '@frijol/core/measure'
import { defaultKitchen, type Ingredient, Kitchen, type Library, type OperationId } from '@frijol/core/model'
import { type OwnWords, ownWordsOf, readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { original } from 'immer'
import { create } from 'zustand'
import {
  type BadRow,
  KITCHEN_ID,
  kitchenRepository,
  type OwnFoods,
  openStorage,
  readOwnFoods,
  type StorageKind,
  watchOwnFoods,
} from '../data'
import { createDocument } from './document'
import { newId, nowIso } from './ids'

interface KitchenState {
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
  /** Own foods whose rows are damaged. */
  readonly badFoods: readonly BadRow[]
  /** null until the library has arrived. */
  readonly library: Library | null
  readonly reader: LineReader | null
  /** Where the browser lets this kitchen be kept. */
  readonly storage: StorageKind
}

export const useKitchenStore = create<KitchenState>(() => ({
  kitchen: defaultKitchen,
  own: [],
  badFoods: [],
  library: null,
  reader: null,
  storage: 'browser',
}))

const document = createDocument<Kitchen>({
  repository: kitchenRepository,
  // A price or a learned constant is set on what is stored now; where two tabs set the same one, the later stands.
  onClash: 'mine',
  check: (kitchen) => {
    const checked = Kitchen.safeParse(kitchen)
    return checked.success
      ? null
      : `${checked.error.issues[0]?.message ?? 'This does not fit.'} Nothing was changed.`
  },
  parse: (value) => {
    const checked = Kitchen.safeParse(value)
    return checked.success ? checked.data : null
  },
})

/** The kitchen as a document: its history and whether it is saved. */
export const useKitchenDocument = document.use
export const {
  undo: undoKitchen,
  redo: redoKitchen,
  flush: flushKitchen,
  leave: flushKitchenOnLeave,
} = document

/** Screens and readers follow the document, whoever changed it. */
document.use.subscribe(({ value }, before) => {
  if (value === null || value === before.value) return
  const { kitchen, reader } = useKitchenStore.getState()
  if (value === kitchen) return
  const index =
    reader === null || value.names === kitchen.names
      ? reader?.index
      : indexFoods(reader.ingredients.values(), value.names)
  useKitchenStore.setState({
    kitchen: value,
    reader: reader === null || index === undefined ? null : { ...reader, index, kitchen: value },
  })
})

const foodsKey = (own: readonly Ingredient[]): string => JSON.stringify(own)
let libraryOf: ((own: readonly Ingredient[]) => Library) | null = null

/** Sets the library of the shipped foods and one's own. */
function takeFoods({ own, bad }: OwnFoods): void {
  const state = useKitchenStore.getState()
  if (libraryOf === null) return
  if (state.library !== null && foodsKey(own) === foodsKey(state.own) && bad.length === state.badFoods.length)
    return
  const library = libraryOf(own)
  const { kitchen } = state
  const index = indexFoods(library.ingredients.values(), kitchen.names)
  useKitchenStore.setState({
    own,
    badFoods: bad,
    library,
    reader: { index, ingredients: library.ingredients, kitchen },
  })
}

let stopFollowing: (() => void) | undefined

/** Loads the library and what this browser keeps, and follows it. Called once at the start. */
export async function loadKitchen(): Promise<void> {
  const [{ withOwnIngredients }, foods] = await Promise.all([
    import('@frijol/library'),
    readOwnFoods(),
    document.open(KITCHEN_ID),
  ])
  libraryOf = withOwnIngredients
  takeFoods(foods)
  stopFollowing?.()
  stopFollowing = watchOwnFoods(takeFoods)
}

/** Reads one's own foods again, as after one was kept here: the screen need not wait for the news of it. */
export const refreshFoods = async (): Promise<void> => takeFoods(await readOwnFoods())

/** Opens the browser's storage, or memory where it is denied. Called before anything else. */
export async function openKitchenStorage(): Promise<void> {
  useKitchenStore.setState({ storage: await openStorage() })
}

/**
 * Changes the kitchen's settings; they save themselves.
 * @param label what was done, for undo
 * @param merge joins changes of one field while it is typed
 * @returns false where the change was refused
 */
export const changeKitchen = (
  label: string,
  change: (kitchen: Kitchen) => Kitchen,
  merge?: string,
): boolean =>
  document.run({
    label,
    ...(merge === undefined ? {} : { merge }),
    apply: (draft) => {
      Object.assign(draft, change(original(draft)))
    },
  })

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
export const teachWord = (word: string, operation: OperationId): boolean =>
  changeKitchen('teach a word', (kitchen) => ({
    ...kitchen,
    words: [...kitchen.words.filter((one) => one.word !== word), { word, operation }].slice(-500),
  }))

/** From now on a name means this food here. */
export const teachName = (name: string, ingredientId: string): boolean =>
  changeKitchen('teach a name', (kitchen) => ({
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
