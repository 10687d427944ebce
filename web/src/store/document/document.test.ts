import { blankDish, type Dish, type FormulaLine, type Trial } from '@frijol/core/model'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { openTab, standInForTabs, type Tab } from '../../../test/tabs'
import {
  addDishes,
  type DocumentRepository,
  dishRepository,
  readTrials,
  removeDish,
  restoreDish,
  type Saved,
} from '../../data'
import { restoreAll } from '../../data/everything'
import * as commands from '../commands'
import { useKitchenStore } from '../kitchen'
import { loadKitchen } from '../load'
import { typedLine } from '../lines'
import { useRefusal } from './refusals'

standInForTabs()
const ID = 'tabs-test'
const line = (text: string): FormulaLine => typedLine(text)
const state = ({ document }: Tab) => document.use.getState()
const dishOf = (tab: Tab): Dish => {
  const { value } = state(tab)
  if (value === null) throw new Error(`${tab.name} shows nothing`)
  return value
}
const partOf = (tab: Tab) => dishOf(tab).parts[0] ?? { id: '', lines: [] }
const texts = (tab: Tab): string[] => partOf(tab).lines.map(({ text }) => text)
const add = (tab: Tab, text: string) => tab.document.run(commands.addLines(partOf(tab).id, [line(text)]))
const rewrite = (tab: Tab, at: number, text: string) => {
  const old = partOf(tab).lines[at]
  if (old === undefined) throw new Error(`no line ${at}`)
  tab.document.run(commands.rewriteLine(partOf(tab).id, { ...line(text), id: old.id }))
}
const saved = (...tabs: Tab[]) =>
  vi.waitFor(() => expect(tabs.map((tab) => state(tab).save)).toEqual(tabs.map(() => 'saved')), {
    timeout: 20_000,
  })
const shows = (tab: Tab, wanted: string[]) =>
  vi.waitFor(() => expect(texts(tab)).toEqual(wanted), { timeout: 20_000 })
const storedTexts = async (): Promise<string[]> => {
  const found = await dishRepository.read(ID)
  if (found.kind !== 'row') throw new Error(found.kind)
  return found.row.value.parts.flatMap(({ lines }) => lines.map(({ text }) => text))
}

beforeEach(async () => {
  // What is refused on purpose is logged on purpose.
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  localStorage.clear()
  if (useKitchenStore.getState().library === null) await loadKitchen()
  await removeDish(ID)
  await addDishes([blankDish(ID, 'Test', '2026-06-14T12:00:00Z')], [])
})

describe('two tabs', () => {
  it('keep both their changes, made within one saving', async () => {
    const [a, b] = [await openTab(ID), await openTab(ID)]
    add(a, '200 g white beans')
    add(b, '1 tsp salt')
    await saved(a, b)
    await vi.waitFor(() => expect(texts(a).sort()).toEqual(['1 tsp salt', '200 g white beans']))
    await vi.waitFor(() => expect(texts(b).sort()).toEqual(texts(a).sort()))
    expect((await storedTexts()).sort()).toEqual(['1 tsp salt', '200 g white beans'])
  })

  it('follow each other, history and all', async () => {
    const [a, b] = [await openTab(ID), await openTab(ID)]
    add(a, '200 g white beans')
    await shows(b, ['200 g white beans'])
    expect(b.document.undo()).toBe('add a line')
    await shows(a, [])
    expect(a.document.redo()).toBe('add a line')
    await shows(b, ['200 g white beans'])
  })

  it('undo after a join takes back this tab’s change alone', async () => {
    const [a, b] = [await openTab(ID), await openTab(ID)]
    add(a, '200 g white beans')
    add(b, '1 tsp salt')
    await saved(a, b)
    const last = (await storedTexts()).length === 2 ? a : b
    await vi.waitFor(() => expect(texts(last)).toHaveLength(2))
    last.document.undo()
    await saved(last)
    expect(await storedTexts()).toHaveLength(1)
  })

  const clashing = async (): Promise<[Tab, Tab]> => {
    const a = await openTab(ID)
    add(a, '200 g white beans')
    await saved(a)
    const b = await openTab(ID)
    rewrite(a, 0, '210 g white beans')
    rewrite(b, 0, '220 g white beans')
    add(b, '1 tsp salt')
    await vi.waitFor(() => expect([state(a).save, state(b).save].sort()).toEqual(['clash', 'saved']))
    return state(a).save === 'clash' ? [a, b] : [b, a]
  }

  it('ask where both changed one line; either answer keeps all else', async () => {
    for (const choice of ['mine', 'theirs'] as const) {
      await removeDish(ID)
      await addDishes([blankDish(ID, 'Test', '2026-06-14T12:00:00Z')], [])
      const [asked, other] = await clashing()
      const [mine, theirs] = [texts(asked)[0], texts(other)[0]]
      expect(state(asked).conflicts.length).toBeGreaterThan(0)
      expect(state(asked).theirs?.parts[0]?.lines[0]?.text).toBe(theirs)
      asked.document.settle(choice)
      await saved(asked)
      expect(await storedTexts()).toEqual([choice === 'mine' ? mine : theirs, '1 tsp salt'])
      await shows(other, texts(asked))
    }
  })

  it('go on working while one is asked, and keep what it typed aside', async () => {
    const [asked, other] = await clashing()
    add(asked, '2 tbsp olive oil')
    asked.kill()
    const again = await openTab(ID)
    expect(state(again).save).toBe('clash')
    expect(texts(again)).toContain('2 tbsp olive oil')
    expect(await storedTexts()).toEqual(texts(other))
  })

  it('do not bring a dish back that one of them took away, and offer what was shown', async () => {
    const [a, b] = [await openTab(ID), await openTab(ID)]
    add(a, '200 g white beans')
    await shows(b, ['200 g white beans'])
    await saved(a)
    const removed = await removeDish(ID)
    await vi.waitFor(() => expect([state(a).save, state(b).save]).toEqual(['gone', 'gone']))
    add(b, '1 tsp salt')
    await b.document.flush()
    expect((await dishRepository.read(ID)).kind).toBe('none')
    if (removed === null) throw new Error('nothing was removed')
    // Put back, it is open again in both; what was added meanwhile is joined to it.
    await restoreDish(removed)
    await saved(a, b)
    await shows(a, ['200 g white beans', '1 tsp salt'])
  })

  it('take over a restored backup, which the next key does not undo', async () => {
    const a = await openTab(ID)
    add(a, '200 g white beans')
    await saved(a)
    const { kitchen } = useKitchenStore.getState()
    const old = { ...blankDish(ID, 'From a backup', '2026-01-01T12:00:00Z') }
    await restoreAll({ kitchen, dishes: [old], trials: [], ingredients: [] })
    await vi.waitFor(() => expect(dishOf(a).name).toBe('From a backup'))
    add(a, '1 tsp salt')
    await saved(a)
    expect(await storedTexts()).toEqual(['1 tsp salt'])
    expect(dishOf(a).name).toBe('From a backup')
  })
})

describe('a tab that is killed', () => {
  it('has saved what it called saved', async () => {
    const a = await openTab(ID)
    add(a, '200 g white beans')
    await saved(a)
    a.kill()
    expect(await storedTexts()).toEqual(['200 g white beans'])
  })

  it('saves during a long spell of typing, not only after it', async () => {
    const a = await openTab(ID)
    add(a, '200 g white beans')
    for (let key = 0; key < 40; key += 1) {
      rewrite(a, 0, `2${key} g white beans`)
      await new Promise((resolve) => setTimeout(resolve, 2))
    }
    a.kill()
    expect((await storedTexts())[0]).toMatch(/^2\d+ g white beans$/)
  })

  it('leaves what was unsaved aside on page hide; value and history come back together', async () => {
    const a = await openTab(ID)
    add(a, '200 g white beans')
    await saved(a)
    add(a, '1 tsp salt')
    a.document.leave()
    a.kill()
    const b = await openTab(ID)
    expect(texts(b)).toEqual(['200 g white beans', '1 tsp salt'])
    // Undo takes each change back once, and repeats no line.
    expect(b.document.undo()).toBe('add a line')
    expect(texts(b)).toEqual(['200 g white beans'])
    expect(b.document.undo()).toBe('add a line')
    expect(texts(b)).toEqual([])
    await saved(b)
  })

  it('leaves nothing behind where its last save did arrive', async () => {
    const a = await openTab(ID)
    add(a, '200 g white beans')
    a.document.leave()
    await vi.waitFor(async () => expect(await storedTexts()).toEqual(['200 g white beans']))
    a.kill()
    const b = await openTab(ID)
    rewrite(b, 0, '300 g white beans')
    await saved(b)
    const c = await openTab(ID)
    expect(texts(c)).toEqual(['300 g white beans'])
    expect(state(c).save).toBe('saved')
  })

  it('leaves its own record for each dish', async () => {
    const other = 'tabs-test-2'
    await addDishes([blankDish(other, 'Other', '2026-06-14T12:00:00Z')], [])
    const [a, b] = [await openTab(ID), await openTab(other)]
    for (const tab of [a, b]) {
      add(tab, `200 g ${tab === a ? 'white beans' : 'tofu'}`)
      tab.document.leave()
      tab.kill()
    }
    expect(texts(await openTab(ID))).toEqual(['200 g white beans'])
    expect(texts(await openTab(other))).toEqual(['200 g tofu'])
  })

  it('is told from one that is open: what a living tab keeps aside stays its own', async () => {
    const refusing: DocumentRepository<Dish> = {
      ...dishRepository,
      save: () => Promise.reject(new Error('no')),
    }
    const a = await openTab(ID, refusing)
    add(a, '200 g white beans')
    await vi.waitFor(() => expect(state(a).save).toBe('refused'))
    expect(texts(await openTab(ID))).toEqual([])
    a.kill()
    expect(texts(await openTab(ID))).toEqual(['200 g white beans'])
  })

  it('leaves a record that is joined to what another stored meanwhile', async () => {
    const a = await openTab(ID)
    a.document.run(commands.renameDish('Mine'))
    a.document.leave()
    a.kill()
    // The save on page hide may have arrived; either way both changes stay.
    const b = await openTab(ID)
    add(b, '1 tsp salt')
    await saved(b)
    expect(dishOf(b).name).toBe('Mine')
    expect(await storedTexts()).toEqual(['1 tsp salt'])
  })
})

describe('one document after another', () => {
  it('shows the one that was asked for last, however they are asked for', async () => {
    const other = 'tabs-test-3'
    await addDishes([blankDish(other, 'Other', '2026-06-14T12:00:00Z')], [])
    const tab = await openTab(ID)
    add(tab, '200 g white beans')
    await Promise.all([tab.document.open(other), tab.document.open(ID), tab.document.open(other)])
    expect(dishOf(tab).name).toBe('Other')
    await Promise.all([tab.document.open(ID), tab.document.open(ID)])
    expect(texts(tab)).toEqual(['200 g white beans'])
    await Promise.all([tab.document.open(other), tab.document.close()])
    expect(state(tab).value).toBeNull()
    await Promise.all([tab.document.close(), tab.document.open(ID)])
    expect(texts(tab)).toEqual(['200 g white beans'])
  })
})

describe('storage that refuses', () => {
  it('is told, tried again, and loses nothing', async () => {
    let isFull = true
    const quota = Object.assign(new Error('full'), { name: 'QuotaExceededError' })
    const repository: DocumentRepository<Dish> = {
      ...dishRepository,
      save: (save): Promise<Saved<Dish>> => (isFull ? Promise.reject(quota) : dishRepository.save(save)),
    }
    const a = await openTab(ID, repository)
    add(a, '200 g white beans')
    await vi.waitFor(() => expect(state(a).save).toBe('refused'))
    expect(state(a).fault).toMatch(/no room left/)
    add(a, '1 tsp salt')
    expect(state(a).save).toBe('refused')
    isFull = false
    await saved(a)
    expect(await storedTexts()).toEqual(['200 g white beans', '1 tsp salt'])
    expect(Object.keys(localStorage).filter((key) => key.endsWith(`/${a.name}`))).toEqual([])
  })

  it('says so where not even the record aside finds room', async () => {
    const setItem = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('full')
    })
    const repository = { ...dishRepository, save: () => Promise.reject(new Error('no')) }
    const a = await openTab(ID, repository)
    add(a, '200 g white beans')
    await vi.waitFor(() => expect(state(a).fault).toMatch(/could not be kept aside either/))
    setItem.mockRestore()
    a.kill()
  })
})

describe('limits', () => {
  it('are checked before a change is taken, so that all that is saved can be restored', async () => {
    const a = await openTab(ID)
    const many = Array.from({ length: 310 }, (_unused, at) => line(`${at + 1} g salt`))
    expect(a.document.run(commands.addLines(partOf(a).id, many))).toBe(false)
    expect(texts(a)).toHaveLength(0)
    expect(state(a).past).toHaveLength(0)
    expect(useRefusal.getState()?.words).toBe(
      'There is room for 300 of this kind (line), and no more. Nothing was changed.',
    )
    expect(a.document.run(commands.renameDish('x'.repeat(201)))).toBe(false)
    expect(a.document.run(commands.addLines(partOf(a).id, many.slice(0, 300)))).toBe(true)
    await saved(a)
  })
})

describe('a trial that is kept', () => {
  const trialOf = (dish: Dish): Trial => ({
    format: 'frijol/trial',
    version: 1,
    id: `kept-${Math.random()}`,
    dishId: dish.id,
    number: dish.trial.number,
    fromNumber: null,
    why: [],
    state: 'made',
    date: '2026-06-14',
    aim: dish.aim,
    parts: dish.parts,
    written: [],
    asMade: [],
    photoIds: [],
    notes: '',
    decision: '',
  })
  const keep = (tab: Tab) => {
    const dish = dishOf(tab)
    const { number } = dish.trial
    tab.document.run({
      ...commands.startNextTrial(number + 1, number),
      besides: [{ trial: trialOf(dish) }],
    })
  }
  const numbers = async () => (await readTrials(ID)).trials.map(({ number }) => number)

  it('goes with the change that kept it: keep, undo, keep leaves one', async () => {
    const a = await openTab(ID)
    keep(a)
    await saved(a)
    a.document.undo()
    await saved(a)
    expect(await numbers()).toEqual([])
    keep(a)
    await saved(a)
    expect(await numbers()).toEqual([1])
    a.document.undo()
    a.document.redo()
    await saved(a)
    expect(await numbers()).toEqual([1])
  })

  it('kept in two tabs at once is two trials of two numbers', async () => {
    const [a, b] = [await openTab(ID), await openTab(ID)]
    keep(a)
    keep(b)
    await saved(a, b)
    expect(await numbers()).toEqual([1, 2])
    await vi.waitFor(() => expect([dishOf(a).trial.number, dishOf(b).trial.number]).toEqual([3, 3]))
  })

  it('comes with what a killed tab left aside', async () => {
    const refusing = { ...dishRepository, save: () => Promise.reject(new Error('no')) }
    const a = await openTab(ID, refusing)
    keep(a)
    await vi.waitFor(() => expect(state(a).save).toBe('refused'))
    a.kill()
    const b = await openTab(ID)
    await saved(b)
    expect(await numbers()).toEqual([1])
    expect(dishOf(b).trial.number).toBe(2)
  })
})
