import type { Ingredient, Library } from '@frijol/core/model'
import { fetchLibrary, type OwnFoods, readOwnFoods, watchOwnFoods } from '../data'
import { type Engine, openKitchen, useKitchenStore } from './kitchen'

const foodsKey = (own: readonly Ingredient[]): string => JSON.stringify(own)
/** What the library is made of, once it has arrived; `withFoods` holds one's own foods, too. */
let shipped: { library: Library; engine: Engine; withFoods: Library } | null = null

/** Sets the library of the shipped foods and one's own. */
function takeFoods({ own, bad }: OwnFoods): void {
  const state = useKitchenStore.getState()
  if (shipped === null) return
  if (state.library !== null && foodsKey(own) === foodsKey(state.own) && bad.length === state.badFoods.length)
    return
  const { engine } = shipped
  const { kitchen } = state
  shipped.withFoods = engine.withOwn(shipped.library, own)
  const library = engine.withOriginals(shipped.withFoods, kitchen.originals)
  const index = engine.indexFoods(library.ingredients.values(), kitchen.names)
  useKitchenStore.setState({
    own,
    badFoods: bad,
    library,
    engine,
    reader: { index, ingredients: library.ingredients, kitchen },
  })
  whileIdle(() => index.vocabulary)
}

/** Names are worked out before the first line is typed, and after the dish is shown. */
function whileIdle(act: () => unknown): void {
  if (typeof requestIdleCallback === 'undefined') setTimeout(act, 500)
  else requestIdleCallback(act, { timeout: 3000 })
}

/** The kitchen's own originals stand beside the shipped ones. */
useKitchenStore.subscribe(({ kitchen, library }, before) => {
  if (shipped === null || library === null || kitchen.originals === before.kitchen.originals) return
  useKitchenStore.setState({ library: shipped.engine.withOriginals(shipped.withFoods, kitchen.originals) })
})

let stopFollowing: (() => void) | undefined

/** Resolves when library and engine are there. */
export function benchReady(): Promise<void> {
  if (useKitchenStore.getState().engine !== null) return Promise.resolve()
  return new Promise((resolve) => {
    const stop = useKitchenStore.subscribe(({ engine }) => {
      if (engine === null) return
      stop()
      resolve()
    })
  })
}

let arrived: { library: Library; engine: Engine } | null = null
/** Begins to fetch library and engine; the storage need not be open for it. */
export async function fetchBench() {
  const [content, { engine, startEngine }] = await Promise.all([fetchLibrary(), import('./engine')])
  arrived ??= { library: engine.libraryFrom(content), engine }
  return { ...arrived, startEngine }
}

/** Loads the kitchen, the library and the engine, and follows what is kept here. Called once at the start. */
export async function loadKitchen(): Promise<void> {
  const [{ library, engine, startEngine }, foods] = await Promise.all([
    fetchBench(),
    readOwnFoods(),
    openKitchen(),
  ])
  shipped = { library, engine, withFoods: library }
  takeFoods(foods)
  startEngine()
  stopFollowing?.()
  stopFollowing = watchOwnFoods(takeFoods)
}

/** Reads one's own foods again, as after one was kept here: the screen need not wait for the news of it. */
export const refreshFoods = async (): Promise<void> => takeFoods(await readOwnFoods())
