import type { Dish } from '@frijol/core/model'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { addDishes, keepUnsaved, readDish, saveDish } from '../data'
import * as commands from './commands'
import { loadKitchen, useKitchenStore } from './kitchen'
import { nudged, rereadLine, typedLine, withAmountText, withGrams } from './lines'
import { closeDish, flush, openDish, redo, run, settleForeign, undo, useOpenDish } from './openDish'
import { addBlankDish, importText, openDemoKitchen, takeOffShelf } from './shelf'
import { keepTrial } from './trials'
import { readTrials } from '../data'

const state = () => useOpenDish.getState()
const lines = () => state().dish?.parts[0]?.lines ?? []
const partId = () => state().dish?.parts[0]?.id ?? ''

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
    expect(state().dish?.settled).toEqual([])
    run(commands.addPart('Sauce'))
    expect(state().dish?.parts).toHaveLength(2)
    run(commands.removePart(partId()))
    run(commands.removePart(partId()))
    expect(state().dish?.parts).toHaveLength(1)
  })

  it('change the aim and no more', () => {
    run(
      commands.changeAim('set', (aim) => {
        aim.limits.sodiumMgMax = 300
      }),
    )
    expect(state().dish?.aim).toMatchObject({ portions: 4, limits: { sodiumMgMax: 300, costMax: null } })
  })
})

describe('saving', () => {
  it('writes dish and history together, by itself', async () => {
    const id = state().dish?.id ?? ''
    run(commands.renameDish('Saved'))
    expect(state().saveState).toBe('waiting')
    await vi.waitFor(() => expect(state().saveState).toBe('saved'), { timeout: 20_000 })
    const row = await readDish(id)
    expect(row?.dish.name).toBe('Saved')
    expect(row?.past).toHaveLength(1)
    await closeDish()
    await openDish(id)
    expect(undo()).toBe('rename the dish')
    expect(state().dish?.name).toBe('Test')
  })

  it('takes up what was kept aside when the page went away', async () => {
    const dish = state().dish as Dish
    await flush()
    await closeDish()
    keepUnsaved({ ...dish, name: 'Kept aside', updatedAt: new Date(Date.now() + 1000).toISOString() })
    await openDish(dish.id)
    expect(state().dish?.name).toBe('Kept aside')
    expect(localStorage.getItem('frijol-unsaved')).toBeNull()
  })

  it('ignores what was kept aside if it is older, foreign or broken', async () => {
    const dish = state().dish as Dish
    await closeDish()
    keepUnsaved({ ...dish, name: 'Old', updatedAt: '2020-01-01T00:00:00Z' })
    await openDish(dish.id)
    expect(state().dish?.name).toBe('Test')
    await closeDish()
    localStorage.setItem('frijol-unsaved', '{"format":')
    await openDish(dish.id)
    expect(state().dish?.name).toBe('Test')
  })

  it('asks when another tab changed the dish meanwhile', async () => {
    const dish = state().dish as Dish
    run(commands.renameDish('Mine'))
    const theirs = { ...dish, name: 'Theirs', updatedAt: new Date(Date.now() + 5000).toISOString() }
    await saveDish(theirs, [], [], 'other-tab')
    await vi.waitFor(() => expect(state().foreign?.name).toBe('Theirs'))
    settleForeign('theirs')
    expect(state()).toMatchObject({ dish: { name: 'Theirs' }, foreign: null })
  })

  it('says when a dish is not here', async () => {
    await openDish('nowhere')
    expect(state()).toMatchObject({ dish: null, isMissing: true })
  })
})

describe('shelf', () => {
  it('adds a read recipe under an id of its own, and nothing on a fault', async () => {
    const read = await importText('# Soup\n\n- 1 cup white beans\n')
    if (!read.ok) throw new Error('not read')
    expect(await readDish(read.value[0]?.id ?? '')).toBeDefined()
    expect(await importText('{"a":')).toMatchObject({ ok: false })
  })

  it('takes a dish off and puts it back whole', async () => {
    const id = state().dish?.id ?? ''
    await addDishes([], [], 'test')
    const putBack = await takeOffShelf(id)
    expect(await readDish(id)).toBeUndefined()
    await putBack?.()
    expect((await readDish(id))?.dish.name).toBe('Test')
    expect(await takeOffShelf('nowhere')).toBeNull()
  })

  it('opens the demo kitchen with its prices and trials', async () => {
    await openDemoKitchen()
    expect((await readDish('moussaka'))?.dish.name).toBe('Moussaka')
    expect(useKitchenStore.getState().kitchen.prices.length).toBeGreaterThan(10)
    expect(await readTrials('moussaka')).toHaveLength(2)
  })
})

it('keeps a trial frozen and goes on as the next', async () => {
  run(commands.addLines(partId(), [typedLine('200 g white beans')]))
  await keepTrial('made', 'good', 'go on')
  expect(state().dish?.trial).toEqual({ number: 2, fromNumber: 1 })
  run(commands.removeLine(partId(), lines()[0]?.id ?? ''))
  const [kept] = await readTrials(state().dish?.id ?? '')
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
