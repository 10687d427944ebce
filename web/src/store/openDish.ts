import { Dish, MOST_LINES, MOST_STEPS } from '@frijol/core/model'
import { addDishes, dishRepository } from '../data'
import {
  createDocument,
  type Command as DocumentCommand,
  type DocumentOptions,
  type OpenDocument,
} from './document'
import { newId, nowIso } from './ids'

/** A named change of the open dish. */
export type Command = DocumentCommand<Dish>

type Listener = (before: Dish, after: Dish) => void
const listeners = new Set<Listener>()
/** Calls back after each change of the open dish that is made in this tab, not in another. Returns the way to stop. */
export function onAct(listener: Listener): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

const PLACES: Readonly<Record<string, string>> = {
  parts: 'part',
  lines: 'line',
  steps: 'step',
  ways: 'way',
  written: 'written step',
  settled: 'settled finding',
}

/** Lines and steps that were looked at before, and fitted. */
const sound = new WeakSet<object>()

/** A dish without the lines and steps that are known to fit: a key changes one, and all were looked through for it. */
function unseen(dish: Dish): Dish {
  const isTooLong = dish.parts.some(
    ({ lines, steps }) => lines.length > MOST_LINES || steps.length > MOST_STEPS,
  )
  if (isTooLong) return dish
  const parts = dish.parts.map((part) => ({
    ...part,
    lines: part.lines.filter((line) => !sound.has(line)),
    steps: part.steps.filter((step) => !sound.has(step)),
  }))
  return { ...dish, parts }
}

/** Where a change does not fit, in a cook's words. */
function faultOf(dish: Dish): string | null {
  const checked = Dish.safeParse(unseen(dish))
  if (checked.success) {
    for (const { lines, steps } of dish.parts) for (const one of [...lines, ...steps]) sound.add(one)
    return null
  }
  const issue = checked.error.issues[0]
  const list = issue?.path.findLast((key) => typeof key === 'string' && key in PLACES)
  const place = typeof list === 'string' ? PLACES[list] : undefined
  const isTooMany = issue?.code === 'too_big' && 'origin' in issue && issue.origin === 'array'
  const words = isTooMany
    ? `There is room for ${String(issue.maximum)} of this kind (${place ?? 'entry'}), and no more.`
    : `${place === undefined ? '' : `In a ${place}: `}${issue?.message ?? 'this does not fit'}`
  return `${words} Nothing was changed.`
}

/** Uses of what is no longer there go: one tab took it out while another used it. */
function tidied(dish: Dish): Dish {
  const parts = dish.parts.map((part) => {
    const ids = new Set([
      ...part.lines.map(({ id }) => `line ${id}`),
      ...part.steps.map(({ id }) => `step ${id}`),
      ...dish.parts.map(({ id }) => `part ${id}`),
    ])
    const isStray = part.steps.some(({ uses }) => uses?.some(({ kind, id }) => !ids.has(`${kind} ${id}`)))
    if (!isStray) return part
    const steps = part.steps.map((step) => {
      if (step.uses === null) return step
      const left = step.uses.filter(({ kind, id }) => ids.has(`${kind} ${id}`))
      return left.length === step.uses.length ? step : { ...step, uses: left.length === 0 ? null : left }
    })
    return { ...part, steps }
  })
  return parts.every((part, at) => part === dish.parts[at]) ? dish : { ...dish, parts }
}

/** An open dish of a tab. One tab has one; tests open several beside each other. */
export const dishDocument = (
  own: Partial<Pick<DocumentOptions<Dish>, 'tab' | 'repository' | 'onAct' | 'timing'>> = {},
): OpenDocument<Dish> =>
  createDocument<Dish>({
    repository: dishRepository,
    onClash: 'ask',
    check: faultOf,
    parse: (value) => {
      const checked = Dish.safeParse(value)
      return checked.success ? checked.data : null
    },
    stamp: (dish) => ({ ...dish, updatedAt: nowIso() }),
    tidy: tidied,
    ...own,
  })

const document = dishDocument({
  onAct: (before, after) => {
    for (const listener of listeners) listener(before, after)
  },
})

/** The open dish, its history and whether it is saved. */
export const useOpenDish = document.use
export const { open: openDish, close: closeDish, run, undo, redo, flush, leave: flushOnLeave } = document

/**
 * Settles a clash with another tab.
 * @returns for `both`, the id of the new dish that holds this tab's version
 */
export async function settleClash(choice: 'mine' | 'theirs' | 'both'): Promise<string | null> {
  const mine = useOpenDish.getState().value
  if (choice !== 'both' || mine === null) {
    document.settle(choice === 'mine' ? 'mine' : 'theirs')
    return null
  }
  const id = await keepAsNew(mine)
  document.settle('theirs')
  return id
}

/** Keeps what this tab shows as a dish of its own, as after its document was removed elsewhere. */
export async function keepMineAsNew(): Promise<string | null> {
  const mine = useOpenDish.getState().value
  return mine === null ? null : keepAsNew(mine)
}

async function keepAsNew(dish: Dish): Promise<string> {
  const id = newId()
  await addDishes(
    [{ ...dish, id, name: `${dish.name.slice(0, 180)} (from another tab)`, updatedAt: nowIso() }],
    [],
  )
  return id
}
