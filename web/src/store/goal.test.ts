import type { Part } from '@frijol/core/model'
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { demoKitchen } from '@frijol/demo'
import { addDishes } from '../data'
import * as commands from './commands'
import * as goal from './goalCommands'
import { changeKitchen, undoKitchen, useKitchenStore } from './kitchen'
import { loadKitchen } from './load'
import { closeDish, openDish, redo, run, undo, useOpenDish } from './openDish'
import { keepOwnOriginal, ownOriginalId, removeOwnOriginal } from './originals'
import { merge } from './document/merge'

const partNow = (): Part => {
  const [part] = useOpenDish.getState().value?.parts ?? []
  if (part === undefined) throw new Error('no part')
  return part
}

beforeAll(loadKitchen)
beforeEach(async () => {
  await closeDish()
  changeKitchen('forget', (kitchen) => ({ ...kitchen, originals: [] }))
  const [moussaka] = demoKitchen().dishes
  if (moussaka === undefined) throw new Error('no demo dish')
  await addDishes([{ ...structuredClone(moussaka), id: 'goal-test' }], [])
  await openDish('goal-test')
})

describe('goals of a part', () => {
  it('are moved, undone, redone and put back', () => {
    const { id } = partNow()
    run(goal.moveBand(id, 'chewiness', { low: 2, high: 3 }))
    run(goal.weighAttribute(id, 'umami', 0))
    run(goal.moveWindow(id, 'fat', 'Fat', { low: 1, bestLow: 2, bestHigh: 3, high: 4 }))
    run(goal.serveAt(id, 40))
    expect(partNow().moved).toEqual({
      bands: { chewiness: { low: 2, high: 3 } },
      importance: { umami: 0 },
      windows: { fat: { low: 1, bestLow: 2, bestHigh: 3, high: 4 } },
      servingTempC: 40,
    })
    undo()
    expect(partNow().moved.servingTempC).toBeNull()
    redo()
    run(goal.moveBand(id, 'umami', null))
    run(goal.moveWindow(id, 'fat', 'Fat', null))
    expect(partNow().moved).toMatchObject({ importance: {}, windows: {} })
    run(goal.putAllBack(id))
    expect(partNow().moved).toEqual({ bands: {}, importance: {}, windows: {}, servingTempC: null })
  })
  it('refuse a band whose ends are crossed, and say so', () => {
    const { id } = partNow()
    run(goal.moveBand(id, 'chewiness', { low: 6, high: 3 }))
    expect(partNow().moved.bands.chewiness).toBeUndefined()
  })
  it('belong to the original that they were moved from', () => {
    const { id } = partNow()
    const { library } = useKitchenStore.getState()
    run(goal.moveBand(id, 'chewiness', { low: 2, high: 3 }))
    run(goal.moveWindow(id, 'fat', 'Fat', { low: 1, bestLow: 2, bestHigh: 3, high: 4 }))
    const beef = library?.originals.get('beef_mince') ?? null
    run(commands.chooseOriginal(id, beef))
    expect(partNow().moved.bands).toEqual({})
    expect(partNow().moved.windows).toHaveProperty('fat')
    run(goal.readAs(id, 'bound-patty'))
    expect(partNow()).toMatchObject({ family: 'bound-patty', moved: { windows: {} } })
  })
  it('serve a part a second way, and do without equipment', () => {
    const { id } = partNow()
    run(goal.serveAlso(id, { originalId: 'meatloaf', coldH: 8 }))
    expect(partNow().alsoServed).toEqual({ originalId: 'meatloaf', coldH: 8 })
    run(goal.doWithout('oven', true))
    run(goal.doWithout('blender', true))
    run(goal.doWithout('oven', false))
    expect(useOpenDish.getState().value?.aim.without).toEqual(['blender'])
  })
})

it('a band moved in two tabs is one place: its ends never cross', () => {
  const band = (low: number, high: number) => ({ bands: { chewiness: { low, high } } })
  const { value, conflicts } = merge(band(4, 6), band(8, 9), band(1, 2), 'mine')
  expect(value).toEqual(band(8, 9))
  expect(conflicts).toHaveLength(1)
})

describe('an original of one’s own', () => {
  const known = (id: string) => useKitchenStore.getState().library?.originals.get(id)
  it('stands in the library at once, and goes and comes back with it', () => {
    const from = known('sauce_white')
    if (from === undefined) throw new Error('no white sauce')
    const id = ownOriginalId()
    keepOwnOriginal({ ...from, id, name: 'Counter béchamel', group: 'own' })
    expect(known(id)?.name).toBe('Counter béchamel')
    keepOwnOriginal({ ...from, id, name: 'Counter white sauce', group: 'own' })
    expect(known(id)?.name).toBe('Counter white sauce')
    expect(useKitchenStore.getState().kitchen.originals).toHaveLength(1)
    removeOwnOriginal(id)
    expect(known(id)).toBeUndefined()
    undoKitchen()
    expect(known(id)?.name).toBe('Counter white sauce')
  })
})
