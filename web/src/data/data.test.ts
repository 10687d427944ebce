import { blankDish, defaultKitchen, type Trial } from '@frijol/core/model'
import { demoKitchen } from '@frijol/demo'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import {
  addDishes,
  clashes,
  countDishes,
  forgetUnsaved,
  keepUnsaved,
  readAll,
  readDish,
  readKitchen,
  readTrials,
  removeDish,
  restoreAll,
  restoreDish,
  saveDish,
  saveKitchen,
  takeUnsaved,
  watchDish,
  watchDishes,
} from '.'
import { Dish } from '@frijol/core/model'
import Dexie from 'dexie'
import { database, FrijolDatabase } from './database'

const at = '2026-06-14T12:00:00Z'
const dish = (id: string) => blankDish(id, `Dish ${id}`, at)
const { trials } = demoKitchen()
const trialOf = (dishId: string, number: number): Trial => {
  const [model] = trials
  if (model === undefined) throw new Error('the demo holds no trial')
  return { ...model, id: `${dishId}-${number}`, dishId, number }
}

beforeEach(async () => {
  await Promise.all(database.tables.map((table) => table.clear()))
  localStorage.clear()
})

describe('dishes', () => {
  it('are saved with their history, of which the newest 200 steps stay', async () => {
    const change = (label: string) => ({ label, merge: null, patches: [], inverse: [] })
    const past = Array.from({ length: 230 }, (_unused, step) => change(`step ${step}`))
    await saveDish(dish('a'), past as never, [], 'tab')
    const row = await readDish('a')
    expect(row?.past).toHaveLength(200)
    expect(row?.past.at(-1)).toMatchObject({ label: 'step 229' })
    expect(row?.savedBy).toBe('tab')
  })

  it('come in all together or not at all', async () => {
    const broken = { ...trialOf('a', 1), id: undefined } as unknown as Trial
    await expect(addDishes([dish('a'), dish('b')], [broken], 'tab')).rejects.toThrow()
    expect(await countDishes()).toBe(0)
  })

  it('go with their trials and come back with them', async () => {
    await addDishes([dish('a'), dish('b')], [trialOf('a', 2), trialOf('a', 1), trialOf('b', 1)], 'tab')
    const removed = await removeDish('a')
    expect(await readDish('a')).toBeUndefined()
    expect(await readTrials('a')).toEqual([])
    expect(await readTrials('b')).toHaveLength(1)
    if (removed === null) throw new Error('nothing was removed')
    await restoreDish(removed)
    expect((await readTrials('a')).map(({ number }) => number)).toEqual([1, 2])
    expect(await removeDish('nowhere')).toBeNull()
  })

  it('are watched: the newest first, and what another tab writes', async () => {
    const seen: string[][] = []
    const stop = watchDishes(
      (rows) => seen.push(rows.map(({ id }) => id)),
      () => undefined,
    )
    const foreign = vi.fn()
    await addDishes([dish('a')], [], 'mine')
    const stopOne = watchDish('a', 'mine', foreign)
    await new Promise((resolve) => setTimeout(resolve, 5))
    await addDishes([dish('b')], [], 'mine')
    await vi.waitFor(() => expect(seen.at(-1)).toEqual(['b', 'a']))
    expect(foreign).not.toHaveBeenCalled()
    await saveDish({ ...dish('a'), name: 'Theirs' }, [], [], 'other')
    await vi.waitFor(() => expect(foreign).toHaveBeenCalledTimes(1))
    stop()
    stopOne()
  })
})

describe('the kitchen', () => {
  it('is the usual one until it is changed', async () => {
    expect((await readKitchen()).kitchen).toEqual(defaultKitchen)
    await saveKitchen({ ...defaultKitchen, region: 'australian' })
    expect((await readKitchen()).kitchen.region).toBe('australian')
  })

  it('goes out whole and comes back whole', async () => {
    const content = demoKitchen()
    await restoreAll(content, 'tab')
    const kept = await readAll()
    expect(kept.kitchen).toEqual(content.kitchen)
    expect(kept.dishes.map(({ id }) => id).sort()).toEqual(content.dishes.map(({ id }) => id).sort())
    expect(kept.trials).toHaveLength(content.trials.length)
  })

  it('names what a backup would replace, and replaces no other', async () => {
    await addDishes([dish('a'), dish('b')], [], 'tab')
    const content = {
      kitchen: defaultKitchen,
      dishes: [{ ...dish('b'), name: 'Newer' }],
      trials: [],
      ingredients: [],
    }
    expect(await clashes(content)).toEqual(['Dish b'])
    await restoreAll(content, 'tab')
    expect((await readDish('a'))?.dish.name).toBe('Dish a')
    expect((await readDish('b'))?.dish.name).toBe('Newer')
  })

  it('is left as it was where a backup cannot be put in', async () => {
    await addDishes([dish('a')], [], 'tab')
    const broken = [{ ...trialOf('b', 1), id: undefined } as unknown as Trial]
    const content = {
      kitchen: { ...defaultKitchen, region: 'imperial' as const },
      dishes: [dish('b')],
      trials: broken,
      ingredients: [],
    }
    await expect(restoreAll(content, 'tab')).rejects.toThrow()
    expect(await readDish('b')).toBeUndefined()
    expect((await readKitchen()).kitchen.region).toBe(defaultKitchen.region)
  })
})

describe('a dish caught on page hide', () => {
  it('is given back once, to its own id only', () => {
    keepUnsaved(dish('a'))
    expect(takeUnsaved('b')).toBeNull()
    keepUnsaved(dish('a'))
    expect(takeUnsaved('a')?.name).toBe('Dish a')
    forgetUnsaved()
    expect(takeUnsaved('a')).toBeNull()
  })
})

describe('a database of the first shape', () => {
  const oldStep = {
    id: 's1',
    text: 'Bake until firm',
    operation: 'bake',
    durationMin: 25,
    tempC: 190,
    keepsFraction: 0.8,
  }
  const oldDish = (id: string) => {
    const { parts, ...rest } = dish(id)
    const oldParts = parts.map((part) => {
      const old: Record<string, unknown> = { ...part, steps: [oldStep] }
      delete old['ways']
      return old
    })
    return { ...rest, parts: oldParts }
  }

  it('comes over with its steps, and without changes that name the old places', async () => {
    const name = 'frijol-first-shape'
    const first = new Dexie(name)
    first.version(1).stores({ dishes: 'id, savedAt', trials: 'id, dishId', ingredients: 'id', kitchen: 'id' })
    const change = { label: 'x', at: 1, patches: [], inverse: [] }
    await first.table('dishes').put({
      id: 'a',
      dish: oldDish('a'),
      past: [change],
      future: [change],
      savedBy: 'tab',
      savedAt: 7,
    })
    await first.table('trials').put({ ...trialOf('a', 1), ...{ parts: oldDish('a').parts } })
    first.close()

    const now = new FrijolDatabase(name)
    const row = await now.dishes.get('a')
    expect(row).toMatchObject({ past: [], future: [], savedAt: 7 })
    const [step] = Dish.parse(row?.dish).parts[0]?.steps ?? []
    expect(step).toMatchObject({
      text: 'Bake until firm',
      operation: 'roast',
      durationMin: 25,
      until: { kind: 'keeps', fraction: 0.8 },
      byHand: ['until'],
      uses: null,
    })
    expect((await now.trials.toArray())[0]?.parts[0]?.steps[0]).toMatchObject({ operation: 'roast' })
    now.close()
    await Dexie.delete(name)
  })
})
