import { blankDish, defaultKitchen, Dish, Kitchen, type Trial } from '@frijol/core/model'
import { demoKitchen } from '@frijol/demo'
import Dexie from 'dexie'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import {
  addDishes,
  countDishes,
  dishNames,
  dishRepository,
  KITCHEN_ID,
  kitchenRepository,
  readDishes,
  readTrials,
  removeDish,
  restoreDish,
  type Save,
  type Stored,
  watchDishIds,
} from '.'
import { type ChangeRecord, database, FrijolDatabase } from './database'
import { addMissing, clashes, readAll, readRaw, removeBad, restoreAll } from './everything'

const at = '2026-06-14T12:00:00Z'
const dish = (id: string) => blankDish(id, `Dish ${id}`, at)
const { trials } = demoKitchen()
const trialOf = (dishId: string, number: number): Trial => {
  const [model] = trials
  if (model === undefined) throw new Error('the demo holds no trial')
  return { ...model, id: `${dishId}-${number}`, dishId, number }
}

beforeEach(async () => {
  await Promise.all(database().tables.map((table) => table.clear()))
  localStorage.clear()
})

const stored = async (id: string): Promise<Stored<Dish>> => {
  const found = await dishRepository.read(id)
  if (found.kind !== 'row') throw new Error(`${id} is ${found.kind}`)
  return found.row
}
const saveOf = (row: Stored<Dish>, change: Partial<Save<Dish>> = {}): Save<Dish> => ({
  id: row.id,
  value: row.value,
  base: row.revision,
  past: row.past,
  future: row.future,
  put: [],
  remove: [],
  mark: 'm',
  ...change,
})
const change = (label: string): ChangeRecord => ({ label, at: 1, patches: [], inverse: [] })

describe('a save', () => {
  it('writes the document and its newest 200 changes, under a later revision', async () => {
    await addDishes([dish('a')], [])
    const before = await stored('a')
    const past = Array.from({ length: 230 }, (_unused, step) => change(`step ${step}`))
    const saved = await dishRepository.save(saveOf(before, { past, mark: 'x' }))
    const now = await stored('a')
    expect(saved).toMatchObject({ kind: 'saved', row: { revision: now.revision } })
    expect(now.revision).toBeGreaterThan(before.revision)
    expect(now.past).toHaveLength(200)
    expect(now.past.at(-1)?.label).toBe('step 229')
    expect(now.saves).toEqual(['x'])
  })

  it('over another revision is a clash, and changes nothing', async () => {
    await addDishes([dish('a')], [])
    const before = await stored('a')
    await dishRepository.save(saveOf(before, { value: { ...before.value, name: 'First' } }))
    const late = await dishRepository.save(saveOf(before, { value: { ...before.value, name: 'Late' } }))
    expect(late).toMatchObject({ kind: 'clash', row: { value: { name: 'First' } } })
    expect((await stored('a')).value.name).toBe('First')
  })

  it('of a dish that was removed does not bring it back', async () => {
    await addDishes([dish('a')], [trialOf('a', 1)])
    const before = await stored('a')
    await removeDish('a')
    expect(await dishRepository.save(saveOf(before))).toEqual({ kind: 'gone' })
    expect(await countDishes()).toBe(0)
  })

  it('brings its trial with it, under a free number, or takes it away', async () => {
    await addDishes([dish('a')], [trialOf('a', 1)])
    const before = await stored('a')
    const next = { ...before.value, trial: { number: 2, fromNumber: 1, why: [] } }
    const second = { trial: { ...trialOf('a', 1), id: 'again' } }
    await dishRepository.save(saveOf(before, { value: next, put: [second] }))
    const now = await stored('a')
    expect((await readTrials('a')).trials.map(({ number }) => number)).toEqual([1, 2])
    expect(now.value.trial).toEqual({ number: 3, fromNumber: 2, why: [] })
    await dishRepository.save(saveOf(now, { remove: [second] }))
    expect((await readTrials('a')).trials.map(({ id }) => id)).toEqual(['a-1'])
  })

  it.each(['trials', 'dishes', 'history'] as const)(
    'that breaks off at the writing of %s leaves all as it was',
    async (table) => {
      await addDishes([dish('a')], [])
      const before = await stored('a')
      const broken = () => {
        throw new Error('the power went')
      }
      const hook = database()
        .table(table)
        .hook(table === 'trials' ? 'creating' : 'updating')
      hook.subscribe(broken)
      const value = { ...before.value, name: 'Half', trial: { number: 2, fromNumber: 1, why: [] } }
      const put = [{ trial: trialOf('a', 1) }]
      await expect(dishRepository.save(saveOf(before, { value, past: [change('x')], put }))).rejects.toThrow()
      hook.unsubscribe(broken)
      expect(await stored('a')).toEqual(before)
      expect((await readTrials('a')).trials).toEqual([])
    },
  )

  it('is followed by whoever watches, in any tab', async () => {
    await addDishes([dish('a')], [])
    const seen: string[] = []
    const stop = dishRepository.watch('a', (found) => {
      seen.push(found.kind === 'row' ? found.row.value.name : found.kind)
    })
    await vi.waitFor(() => expect(seen).toEqual(['Dish a']))
    const row = await stored('a')
    await dishRepository.save(saveOf(row, { value: { ...row.value, name: 'Theirs' } }))
    await vi.waitFor(() => expect(seen.at(-1)).toBe('Theirs'))
    await removeDish('a')
    await vi.waitFor(() => expect(seen.at(-1)).toBe('none'))
    stop()
  })
})

describe('dishes', () => {
  it('come in all together or not at all', async () => {
    const broken = { ...trialOf('a', 1), id: undefined } as unknown as Trial
    await expect(addDishes([dish('a'), dish('b')], [broken])).rejects.toThrow()
    expect(await countDishes()).toBe(0)
  })

  it('go with their trials and history, and come back with them under a later revision', async () => {
    await addDishes([dish('a'), dish('b')], [trialOf('a', 2), trialOf('a', 1), trialOf('b', 1)])
    const row = await stored('a')
    await dishRepository.save(saveOf(row, { past: [change('kept')] }))
    const before = await stored('a')
    const removed = await removeDish('a')
    expect((await dishRepository.read('a')).kind).toBe('none')
    expect((await readTrials('a')).trials).toEqual([])
    expect((await readTrials('b')).trials).toHaveLength(1)
    if (removed === null) throw new Error('nothing was removed')
    await restoreDish(removed)
    const now = await stored('a')
    expect(now.past).toEqual(before.past)
    expect(now.revision).toBeGreaterThan(before.revision)
    expect((await readTrials('a')).trials.map(({ number }) => number)).toEqual([1, 2])
    expect(await removeDish('nowhere')).toBeNull()
  })

  it('stand on the shelf newest first, and are found by name', async () => {
    const seen: string[][] = []
    const stop = watchDishIds(
      (ids) => seen.push(ids),
      () => undefined,
    )
    await addDishes([dish('a')], [])
    await new Promise((resolve) => setTimeout(resolve, 5))
    await addDishes([dish('b')], [])
    await vi.waitFor(() => expect(seen.at(-1)).toEqual(['b', 'a']))
    expect(await dishNames()).toEqual([
      { id: 'a', name: 'Dish a' },
      { id: 'b', name: 'Dish b' },
    ])
    stop()
  })
})

describe('damaged rows', () => {
  const damage = async () => {
    await addDishes([dish('a')], [trialOf('a', 1)])
    await database().dishes.put({ id: 'x', value: { name: 7 }, revision: 3, saves: [], savedAt: 9 } as never)
    await database().dishes.put({ id: 'y', savedAt: 8 } as never)
    await database().trials.put({ id: 'bad', dishId: 'a', number: 2 } as never)
    await database().ingredients.put({ id: 'own-bad' } as never)
    await database().kitchen.put({ id: KITCHEN_ID, value: {}, revision: 1, saves: [], savedAt: 1 } as never)
  }

  it('are told apart from good ones, with what is wrong', async () => {
    await damage()
    const { dishes, bad } = await readDishes()
    expect(dishes.map(({ id }) => id)).toEqual(['a'])
    expect(bad.map(({ id }) => id)).toEqual(['x', 'y'])
    expect(bad[0]?.fault).toMatch(/format|name|expected/i)
    expect((await dishRepository.read('y')).kind).toBe('bad')
    const { trials, bad: badTrials } = await readTrials('a')
    expect([trials.length, badTrials.length]).toEqual([1, 1])
    expect((await kitchenRepository.read(KITCHEN_ID)).kind).toBe('bad')
  })

  it('are skipped and named by a backup, and all are in the raw rows', async () => {
    await damage()
    const { content, bad } = await readAll()
    expect(content.dishes).toHaveLength(1)
    expect(content.kitchen).toEqual(defaultKitchen)
    expect(bad.map(({ table, id }) => `${table} ${id}`)).toEqual([
      'dishes x',
      'dishes y',
      'trials bad',
      'ingredients own-bad',
      'kitchen kitchen',
    ])
    expect((await readRaw())['dishes']).toHaveLength(3)
  })

  it('are never written over by a save, go when asked, and come back', async () => {
    await damage()
    const saved = await kitchenRepository.save({
      id: KITCHEN_ID,
      value: defaultKitchen,
      base: 1,
      past: [],
      future: [],
      put: [],
      remove: [],
      mark: 'm',
    })
    expect(saved.kind).toBe('bad')
    const [row] = (await readAll()).bad
    if (row === undefined) throw new Error('nothing is damaged')
    const putBack = await removeBad(row)
    expect((await dishRepository.read('x')).kind).toBe('none')
    await putBack()
    expect((await dishRepository.read('x')).kind).toBe('bad')
    const again = await removeBad(row)
    await addDishes([dish('x')], [])
    await again()
    expect((await dishRepository.read('x')).kind).toBe('row')
  })
})

describe('the kitchen', () => {
  const kitchenNow = async (): Promise<Kitchen> => {
    const found = await kitchenRepository.read(KITCHEN_ID)
    if (found.kind !== 'row') throw new Error(found.kind)
    return found.row.value
  }

  it('is the usual one until it is changed', async () => {
    expect(await kitchenNow()).toEqual(defaultKitchen)
    const value = { ...defaultKitchen, region: 'australian' as const }
    const save = { id: KITCHEN_ID, value, base: 0, past: [], future: [], put: [], remove: [], mark: 'm' }
    expect((await kitchenRepository.save(save)).kind).toBe('saved')
    expect((await kitchenNow()).region).toBe('australian')
  })

  it('goes out whole and comes back whole', async () => {
    const content = demoKitchen()
    await restoreAll(content)
    const { content: kept, bad } = await readAll()
    expect(kept.kitchen).toEqual(content.kitchen)
    expect(kept.dishes.map(({ id }) => id).sort()).toEqual(content.dishes.map(({ id }) => id).sort())
    expect(kept.trials).toHaveLength(content.trials.length)
    expect(bad).toEqual([])
  })

  it('names what a backup would replace, and replaces no other', async () => {
    await addDishes([dish('a'), dish('b')], [])
    const before = await stored('b')
    const content = {
      kitchen: defaultKitchen,
      dishes: [{ ...dish('b'), name: 'Newer' }],
      trials: [],
      ingredients: [],
    }
    expect(await clashes(content)).toEqual(['Dish b'])
    await restoreAll(content)
    expect((await stored('a')).value.name).toBe('Dish a')
    expect((await stored('b')).value.name).toBe('Newer')
    expect((await stored('b')).revision).toBeGreaterThan(before.revision)
  })

  it('is left as it was where a backup cannot be put in', async () => {
    await addDishes([dish('a')], [])
    const broken = [{ ...trialOf('b', 1), id: undefined } as unknown as Trial]
    const content = {
      kitchen: { ...defaultKitchen, region: 'imperial' as const },
      dishes: [dish('b')],
      trials: broken,
      ingredients: [],
    }
    await expect(restoreAll(content)).rejects.toThrow()
    expect((await dishRepository.read('b')).kind).toBe('none')
    expect((await kitchenNow()).region).toBe(defaultKitchen.region)
  })

  it('takes a demo beside what is here: settings, prices and changed dishes stay', async () => {
    const content = demoKitchen()
    const [first] = content.dishes
    if (first === undefined) throw new Error('the demo holds no dish')
    await restoreAll({
      kitchen: { ...defaultKitchen, name: 'Mine' },
      dishes: [{ ...first, name: 'Changed by me' }],
      trials: [],
      ingredients: [],
    })
    const added = await addMissing(content)
    expect(added).toHaveLength(content.dishes.length - 1)
    expect((await stored(first.id)).value.name).toBe('Changed by me')
    expect(await kitchenNow()).toMatchObject({ name: 'Mine', prices: [] })
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
    expect(row).toMatchObject({ savedAt: 7 })
    expect(await now.history.get('dish/a')).toMatchObject({ revision: row?.revision, past: [], future: [] })
    const [step] = Dish.parse(row?.value).parts[0]?.steps ?? []
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

describe('a database of the second shape', () => {
  it('comes over with its histories, its kitchen, and a damaged row as it is', async () => {
    const name = 'frijol-second-shape'
    const second = new Dexie(name)
    second
      .version(2)
      .stores({ dishes: 'id, savedAt', trials: 'id, dishId', ingredients: 'id', kitchen: 'id' })
    const row = { id: 'a', dish: dish('a'), past: [change('kept')], future: [], savedBy: 'tab', savedAt: 7 }
    await second.table('dishes').bulkPut([row, { id: 'odd', savedAt: 3 }])
    await second.table('kitchen').put({ id: 'kitchen', kitchen: { ...defaultKitchen, name: 'Old' } })
    second.close()

    const now = new FrijolDatabase(name)
    const moved = await now.dishes.get('a')
    expect(moved?.value.name).toBe('Dish a')
    const history = await now.history.get('dish/a')
    expect(history?.past).toMatchObject([{ label: 'kept' }])
    expect(history?.revision).toBe(moved?.revision)
    expect((await now.kitchen.get('kitchen'))?.value.name).toBe('Old')
    expect(await now.dishes.get('odd')).toEqual({ id: 'odd', savedAt: 3 })
    now.close()
    await Dexie.delete(name)
  })
})
