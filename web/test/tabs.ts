import type { Dish } from '@frijol/core/model'
import { dishRepository, type DocumentRepository } from '../src/data'
import type { OpenDocument } from '../src/store/document'
import { dishDocument } from '../src/store/openDish'

/** The tabs that are open; stands in for the browser's own list of them. */
const open = new Set<string>()

/** Lets code under test ask which tabs are open. To be called once in a test file. */
export function standInForTabs(): void {
  Object.defineProperty(navigator, 'locks', {
    configurable: true,
    value: {
      request: () => Promise.resolve(),
      query: () => Promise.resolve({ held: [...open].map((tab) => ({ name: `frijol-tab/${tab}` })) }),
    },
  })
}

/** A tab that shows a dish, and that can be killed. */
export interface Tab {
  readonly name: string
  readonly document: OpenDocument<Dish>
  /** From now on nothing that it does arrives anywhere, and nothing reaches it. */
  kill(): void
}

let count = 0
/** Saves follow at once, so that tests need not wait. */
const QUICK = { saveAfterMs: 3, ceilingMs: 6, retryAfterMs: [5] }

/** Opens a dish in a tab of its own. */
export async function openTab(
  id: string,
  repository: DocumentRepository<Dish> = dishRepository,
): Promise<Tab> {
  count += 1
  const name = `tab-${count}`
  const life: { isOver: boolean } = { isOver: false }
  const isOver = (): boolean => life.isOver
  let stopWatching: (() => void) | undefined
  const never = new Promise<never>(() => undefined)
  const killable: DocumentRepository<Dish> = {
    ...repository,
    read: (id) => (isOver() ? never : repository.read(id)),
    save: async (save) => {
      if (isOver()) return never
      try {
        const saved = await repository.save(save)
        return isOver() ? await never : saved
      } catch (error) {
        if (isOver()) return never
        throw error
      }
    },
    watch: (id, onFound, knows) => {
      stopWatching = repository.watch(id, (found) => !isOver() && onFound(found), knows)
      return stopWatching
    },
  }
  open.add(name)
  const document = dishDocument({ tab: name, repository: killable, timing: QUICK })
  await document.open(id)
  return {
    name,
    document,
    kill: () => {
      life.isOver = true
      stopWatching?.()
      open.delete(name)
    },
  }
}
