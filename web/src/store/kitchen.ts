import type { assess, closeness, nextAct } from '@frijol/core/assess'
import type { indexFoods, LineReader } from '@frijol/core/measure'
import { defaultKitchen, type Ingredient, Kitchen, type Library, type OperationId } from '@frijol/core/model'
import type { libraryFrom, withOriginals, withOwn } from '@frijol/library/from'
import { original } from 'immer'
import { create } from 'zustand'
import { type BadRow, KITCHEN_ID, kitchenRepository, openStorage, type StorageKind } from '../data'
import { createDocument } from './document'

/** What works dishes out; fetched beside the library, so that documents are on screen before it. */
export interface Engine {
  readonly assess: typeof assess
  readonly nextAct: typeof nextAct
  readonly closeness: typeof closeness
  readonly indexFoods: typeof indexFoods
  readonly libraryFrom: typeof libraryFrom
  readonly withOwn: typeof withOwn
  readonly withOriginals: typeof withOriginals
}

interface KitchenState {
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
  /** Own foods whose rows are damaged. */
  readonly badFoods: readonly BadRow[]
  /** null until the library has arrived. */
  readonly library: Library | null
  readonly reader: LineReader | null
  /** null until it has arrived; then the library and the reader are there, too. */
  readonly engine: Engine | null
  /** Where the browser lets this kitchen be kept. */
  readonly storage: StorageKind
}

export const useKitchenStore = create<KitchenState>(() => ({
  kitchen: defaultKitchen,
  own: [],
  badFoods: [],
  library: null,
  reader: null,
  engine: null,
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
  const { kitchen, reader, engine } = useKitchenStore.getState()
  if (value === kitchen) return
  const index =
    reader === null || engine === null || value.names === kitchen.names
      ? reader?.index
      : engine.indexFoods(reader.ingredients.values(), value.names)
  useKitchenStore.setState({
    kitchen: value,
    reader: reader === null || index === undefined ? null : { ...reader, index, kitchen: value },
  })
})

/** Opens the kitchen's own document: settings, prices, what was learned. */
export const openKitchen = (): Promise<void> => document.open(KITCHEN_ID)

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
