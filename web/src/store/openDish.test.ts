import type { Dish } from '@frijol/core/model'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { dishRepository, readTrials } from '../data'
import { clashPlaces } from './clash'
import * as commands from './commands'
import { useKitchenStore } from './kitchen'
import { loadKitchen } from './load'
import { nudged, rereadLine, typedLine, withAmountText, withGrams } from './lines'
import { closeDish, openDish, redo, run, settleClash, undo, useOpenDish } from './openDish'
import { addBlankDish, importText, openDemoKitchen } from './shelf'
import { redoShelf, takeOffShelf, undoShelf } from './shelfActs'
import { keepTrial } from './trials'

const state = () => useOpenDish.getState()
const lines = () => state().value?.parts[0]?.lines ?? []
const partId = () => state().value?.parts[0]?.id ?? ''

beforeEach(async () => {
  await closeDish()
  if (useKitchenStore.getState().library === null) await loadKitchen()
  await openDish(await addBlankDish('Test'))
})

describe('commands', () => {
  it('are undone and done again, with their labels', () => {
    run(commands.addLines(partId(), [typedLine('200 g white beans')]))
    run(commands.addLines(partId(), [typedLine('1 tsp salt')]))
    expect(lines()).toHaveLength(2)
    expect(undo()).toBe('add a line')
    expect(undo()).toBe('add a line')
    expect(lines()).toHaveLength(0)
    expect(undo()).toBeNull()
    expect(redo()).toBe('add a line')
    expect(lines().map(({ text }) => text)).toEqual(['200 g white beans'])
    run(commands.renameDish('Other'))
    expect(redo()).toBeNull()
  })

  it('join while a figure is dragged, so that one undo takes the drag back', () => {
    run(commands.addLines(partId(), [typedLine('200 g white beans')]))
    for (const grams of [205, 210, 215]) {
      const [line] = lines()
      if (line !== undefined) run(commands.rewriteLine(partId(), withGrams(line, grams), 'drag'))
    }
    expect(lines()[0]?.text).toBe('215 g white beans')
    undo()
    expect(lines()[0]?.text).toBe('200 g white beans')
  })

  it('are refused where one line of many does not fit, and the others are not looked at again', () => {
    run(commands.addLines(partId(), [typedLine('200 g white beans'), typedLine('1 tsp salt')]))
    const [, salt] = lines()
    if (salt === undefined) throw new Error('no line')
    const before = state().value
    expect(run(commands.rewriteLine(partId(), { ...salt, text: 'x'.repeat(501) }))).toBe(false)
    expect(state().value).toBe(before)
    expect(run(commands.rewriteLine(partId(), { ...salt, text: '2 tsp salt' }))).toBe(true)
  })

  it('that change nothing leave no trace', () => {
    run(commands.renameDish('Test'))
    expect(state().past).toHaveLength(0)
  })

  it('move, remove, choose and settle', () => {
    run(commands.addLines(partId(), ['1 egg', '2 tbsp oil', '3 zorbels'].map(typedLine)))
    const third = lines()[2]?.id ?? ''
    run(commands.moveLine(partId(), third, 0))
    expect(lines()[0]?.id).toBe(third)
    const walnuts = useKitchenStore.getState().library?.ingredients.get('walnuts')
    if (walnuts === undefined) throw new Error('no walnuts')
    run(commands.chooseFood(partId(), third, walnuts))
    expect(lines()[0]).toMatchObject({ ingredientId: 'walnuts', choice: 'chosen' })
    run(commands.removeLine(partId(), third))
    expect(lines()).toHaveLength(2)
    run(commands.settleFinding('k', 'known'))
    run(commands.unsettleFinding('k'))
    expect(state().value?.settled).toEqual([])
    run(commands.addPart('Sauce'))
    expect(state().value?.parts).toHaveLength(2)
    run(commands.removePart(partId()))
    run(commands.removePart(partId()))
    expect(state().value?.parts).toHaveLength(1)
  })

  it('change the aim and no more', () => {
    run(
      commands.changeAim('set', (aim) => {
        aim.limits.sodiumMgMax = 300
      }),
    )
    expect(state().value?.aim).toMatchObject({ portions: 4, limits: { sodiumMgMax: 300, costMax: null } })
  })
})

const stored = async (id: string): Promise<Dish | null> => {
  const found = await dishRepository.read(id)
  return found.kind === 'row' ? found.row.value : null
}
/** Changes the stored dish as another tab would. */
async function inAnotherTab(id: string, change: (dish: Dish) => Dish): Promise<void> {
  const found = await dishRepository.read(id)
  if (found.kind !== 'row') throw new Error(found.kind)
  const { row } = found
  await dishRepository.save({
    ...row,
    value: change(row.value),
    base: row.revision,
    put: [],
    remove: [],
    mark: 'theirs',
  })
}

describe('saving', () => {
  it('writes dish and history together, by itself', async () => {
    const id = state().value?.id ?? ''
    run(commands.renameDish('Saved'))
    expect(state().save).toBe('unsaved')
    await vi.waitFor(() => expect(state().save).toBe('saved'), { timeout: 20_000 })
    expect((await stored(id))?.name).toBe('Saved')
    await closeDish()
    await openDish(id)
    expect(undo()).toBe('rename the dish')
    expect(state().value?.name).toBe('Test')
  })

  it('of one dish is done before another is opened', async () => {
    const first = state().value?.id ?? ''
    run(commands.renameDish('Left at once'))
    await openDish(await addBlankDish('Next'))
    expect(state().value?.name).toBe('Next')
    expect((await stored(first))?.name).toBe('Left at once')
  })

  it('asks when another tab changed the same place, and can keep both', async () => {
    const id = state().value?.id ?? ''
    run(commands.renameDish('Mine'))
    await inAnotherTab(id, (dish) => ({ ...dish, name: 'Theirs' }))
    await vi.waitFor(() => expect(state().save).toBe('clash'), { timeout: 20_000 })
    const { conflicts, theirs, value } = state()
    if (value === null || theirs === null) throw new Error('nothing to choose from')
    expect(clashPlaces(conflicts, value, theirs)).toEqual([{ place: 'Name', mine: 'Mine', theirs: 'Theirs' }])
    const both = await settleClash('both')
    await vi.waitFor(() => expect(state().save).toBe('saved'), { timeout: 20_000 })
    expect(state().value?.name).toBe('Theirs')
    expect((await stored(both ?? ''))?.name).toBe('Mine (from another tab)')
  })

  it('says when a dish is not here, or is damaged', async () => {
    await openDish('nowhere')
    expect(state()).toMatchObject({ value: null, missing: 'none' })
  })
})

describe('shelf', () => {
  it('adds a read recipe under an id of its own, and nothing on a fault', async () => {
    const read = await importText('# Soup\n\n- 1 cup white beans\n')
    if (!read.ok) throw new Error('not read')
    expect(await stored(read.value[0]?.id ?? '')).not.toBeNull()
    expect(await importText('{"a":')).toMatchObject({ ok: false })
  })

  it('takes a dish off and puts it back whole', async () => {
    const id = state().value?.id ?? ''
    const putBack = await takeOffShelf(id, 'Test')
    expect(await stored(id)).toBeNull()
    putBack?.()
    await vi.waitFor(async () => expect((await stored(id))?.name).toBe('Test'))
    expect(undoShelf()).toBeNull()
    expect(await takeOffShelf('nowhere', 'x')).toBeNull()
  })

  it('undoes and does again what was done on it', async () => {
    const id = state().value?.id ?? ''
    await takeOffShelf(id, 'Test')
    expect(undoShelf()).toBe('take Test off the shelf')
    await vi.waitFor(async () => expect(await stored(id)).not.toBeNull())
    expect(redoShelf()).toBe('take Test off the shelf')
    await vi.waitFor(async () => expect(await stored(id)).toBeNull())
    expect(redoShelf()).toBeNull()
  })

  it('opens the demo dishes with their trials beside one’s own, once', async () => {
    expect(await openDemoKitchen()).toBeGreaterThan(0)
    expect((await stored('moussaka'))?.name).toBe('Moussaka')
    expect((await readTrials('moussaka')).trials).toHaveLength(5)
    expect(await openDemoKitchen()).toBe(0)
  })
})

it('keeps a trial frozen and goes on as the next', async () => {
  run(commands.addLines(partId(), [typedLine('200 g white beans')]))
  await keepTrial('made', 'good', 'go on')
  expect(state().value?.trial).toEqual({ number: 2, fromNumber: 1, why: [] })
  // Kept, taken back, kept again: one trial, not two of one number.
  expect(undo()).toBe('keep trial 1')
  expect(await keepTrial('made', 'good', 'go on')).toBe(1)
  expect((await readTrials(state().value?.id ?? '')).trials.map(({ number }) => number)).toEqual([1])
  run(commands.removeLine(partId(), lines()[0]?.id ?? ''))
  const [kept] = (await readTrials(state().value?.id ?? '')).trials
  expect(kept?.parts[0]?.lines).toHaveLength(1)
  run(commands.takeUpTrial({ parts: kept?.parts ?? [], written: [] }, 1))
  expect(lines()).toHaveLength(1)
})

describe('lines', () => {
  it('take another amount and keep the rest', () => {
    const line = typedLine('6 tbsp vital wheat gluten, stirred in last')
    expect(withAmountText(line, '60 g')).toMatchObject({
      text: '60 g vital wheat gluten, stirred in last',
      amount: { terms: [{ low: 60, unit: 'g' }] },
    })
    expect(withAmountText(line, 'six of')).toBeNull()
    expect(withAmountText(line, '')).toMatchObject({ amount: null, open: 'unstated' })
    expect(withGrams(line, 61.4).text).toBe('61 g vital wheat gluten, stirred in last')
  })

  it('step in their own unit', () => {
    const line = typedLine('6 tbsp vital wheat gluten')
    expect(nudged(line, 1, 1).text).toBe('6 ½ tbsp vital wheat gluten')
    expect(nudged(line, -1, 10).text).toBe('1 tbsp vital wheat gluten')
    expect(nudged(typedLine('2 tsp salt'), -1, 100).amount?.terms[0]?.low).toBe(0)
  })

  it('keep a chosen food while its words stay', () => {
    const chosen = { ...typedLine('3 zorbels'), ingredientId: 'walnuts', choice: 'chosen' as const }
    expect(rereadLine(chosen, '5 zorbels')).toMatchObject([
      { id: chosen.id, ingredientId: 'walnuts', choice: 'chosen' },
    ])
    expect(rereadLine(chosen, '5 g salt')).toMatchObject([{ ingredientId: 'salt', choice: 'read' }])
  })
})
