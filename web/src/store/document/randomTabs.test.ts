import { blankDish, type Dish, type FormulaLine } from '@frijol/core/model'
import fc from 'fast-check'
import { beforeAll, expect, it, vi } from 'vitest'
import { openTab, standInForTabs, type Tab } from '../../../test/tabs'
import { addDishes, dishRepository, removeDish } from '../../data'
import * as commands from '../commands'
import { loadKitchen } from '../load'
import { typedLine } from '../lines'

standInForTabs()
const ID = 'random-tabs'
/** The same cases every time, unless other ones are asked for. */
const SEED = process.env['RANDOM_SEEDS'] === undefined ? { seed: 20261126 } : {}
const RUNS = Number(process.env['TAB_RUNS'] ?? 200)

beforeAll(loadKitchen)

type Act =
  | { readonly kind: 'add' | 'rename' | 'undo' | 'redo' | 'remove' | 'leave' | 'kill'; readonly tab: number }
  | { readonly kind: 'change'; readonly tab: number; readonly line: number }
  | { readonly kind: 'settle'; readonly tab: number; readonly choice: 'mine' | 'theirs' }
  | { readonly kind: 'wait'; readonly ms: number }

const tab = fc.nat({ max: 2 })
const of = (kind: 'add' | 'rename' | 'undo' | 'redo' | 'remove' | 'leave' | 'kill') =>
  tab.map((at): Act => ({ kind, tab: at }))
const acts: fc.Arbitrary<Act[]> = fc.array(
  fc.oneof(
    { weight: 6, arbitrary: of('add') },
    {
      weight: 5,
      arbitrary: fc.record({ kind: fc.constant('change' as const), tab, line: fc.nat({ max: 5 }) }),
    },
    { weight: 2, arbitrary: of('rename') },
    { weight: 1, arbitrary: of('undo') },
    { weight: 1, arbitrary: of('redo') },
    { weight: 1, arbitrary: of('remove') },
    { weight: 2, arbitrary: of('kill') },
    { weight: 1, arbitrary: of('leave') },
    { weight: 5, arbitrary: fc.record({ kind: fc.constant('wait' as const), ms: fc.nat({ max: 12 }) }) },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('settle' as const),
        tab,
        choice: fc.constantFrom('mine', 'theirs'),
      }),
    },
  ),
  { minLength: 6, maxLength: 30 },
)

const linesOf = (dish: Dish | null): readonly FormulaLine[] => dish?.parts.flatMap(({ lines }) => lines) ?? []
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/**
 * Keeps account of what each screen called saved: a line, and its text or a later one, must be there at the end
 * unless a person took it out.
 */
function account() {
  let clock = 0
  /** When each text of a line was written: first, and last, as after an undo. */
  const written = new Map<string, Map<string, { first: number; last: number }>>()
  /** When what was called saved of a line was first written. */
  const claimed = new Map<string, number>()
  /** Lines that a person took out once: whether they came back is not followed. */
  const takenOut = new Set<string>()
  const write = (lines: readonly FormulaLine[], before: readonly FormulaLine[]) => {
    const was = new Map(before.map(({ id, text }) => [id, text]))
    for (const { id, text } of lines) {
      if (was.get(id) === text) continue
      clock += 1
      const texts = written.get(id) ?? new Map<string, { first: number; last: number }>()
      texts.set(text, { first: texts.get(text)?.first ?? clock, last: clock })
      written.set(id, texts)
    }
    const now = new Set(lines.map(({ id }) => id))
    for (const id of was.keys()) if (!now.has(id)) takenOut.add(id)
  }
  return {
    /** Runs what a person does in a tab, and notes what it wrote and took out. */
    act: ({ document }: Tab, what: () => void) => {
      const before = linesOf(document.use.getState().value)
      what()
      write(linesOf(document.use.getState().value), before)
    },
    /** Runs a person's choice between two versions: what is chosen is written anew. */
    choose: ({ document }: Tab, choice: 'mine' | 'theirs') => {
      const { value, theirs } = document.use.getState()
      const left = linesOf(choice === 'mine' ? theirs : value)
      document.settle(choice)
      write(linesOf(document.use.getState().value), left)
    },
    /** Notes what a tab that says “saved” shows. */
    claim: ({ document }: Tab) => {
      const { save, value } = document.use.getState()
      if (save !== 'saved') return
      for (const { id, text } of linesOf(value))
        claimed.set(id, Math.max(claimed.get(id) ?? 0, written.get(id)?.get(text)?.first ?? 0))
    },
    /** What was called saved and is not there. */
    lost: (dish: Dish): string[] => {
      const there = new Map(linesOf(dish).map(({ id, text }) => [id, text]))
      return [...claimed].flatMap(([id, since]) => {
        if (takenOut.has(id)) return []
        const text = there.get(id)
        if (text === undefined) return [`line ${id} is gone`]
        return (written.get(id)?.get(text)?.last ?? 0) >= since ? [] : [`line ${id} is back at “${text}”`]
      })
    },
    repeated: (dish: Dish): string[] => {
      const ids = linesOf(dish).map(({ id }) => id)
      return ids.filter((id, at) => ids.indexOf(id) !== at)
    },
  }
}

async function play(script: readonly Act[]): Promise<void> {
  localStorage.clear()
  await removeDish(ID)
  await addDishes([blankDish(ID, 'Random', '2026-06-14T12:00:00Z')], [])
  const tabs = [await openTab(ID), await openTab(ID), await openTab(ID)]
  const books = account()
  let count = 0
  const watch = (one: Tab) => one.document.use.subscribe(() => books.claim(one))
  tabs.forEach(watch)
  for (const one of script) {
    if (one.kind === 'wait') {
      await pause(one.ms)
      continue
    }
    const current = tabs[one.tab]
    const dish = current?.document.use.getState().value
    const part = dish?.parts[0]
    if (current === undefined || dish == null || part === undefined) throw new Error('a tab shows nothing')
    const { document } = current
    count += 1
    const text = `${count} g salt`
    if (one.kind === 'kill' || one.kind === 'leave') {
      if (one.kind === 'leave') document.leave()
      current.kill()
      const next = await openTab(ID)
      tabs[one.tab] = next
      watch(next)
      books.claim(next)
      continue
    }
    if (one.kind === 'settle') {
      if (document.use.getState().save === 'clash') books.choose(current, one.choice)
      continue
    }
    books.act(current, () => {
      if (one.kind === 'add') document.run(commands.addLines(part.id, [typedLine(text)]))
      if (one.kind === 'rename') document.run(commands.renameDish(text))
      if (one.kind === 'undo') document.undo()
      if (one.kind === 'redo') document.redo()
      const line = part.lines[(one.kind === 'change' ? one.line : 0) % Math.max(1, part.lines.length)]
      if (one.kind === 'remove' && line !== undefined) document.run(commands.removeLine(part.id, line.id))
      if (one.kind === 'change' && line !== undefined)
        document.run(commands.rewriteLine(part.id, { ...typedLine(text), id: line.id }))
    })
  }
  for (const one of tabs) {
    // A tab that asks is answered; then all comes to rest.
    await vi.waitFor(
      () => {
        if (one.document.use.getState().save === 'clash') books.choose(one, 'mine')
        expect(one.document.use.getState().save).toBe('saved')
      },
      { timeout: 20_000, interval: 3 },
    )
  }
  const found = await dishRepository.read(ID)
  for (const one of tabs) one.kill()
  if (found.kind !== 'row') throw new Error(`the dish is ${found.kind}`)
  expect(books.lost(found.row.value)).toEqual([])
  expect(books.repeated(found.row.value)).toEqual([])
}

it(`loses nothing that a screen called saved, over ${RUNS} runs of edits in three tabs with kills`, async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  await fc.assert(fc.asyncProperty(acts, play), { numRuns: RUNS, endOnFailure: true, ...SEED })
}, 600_000)
