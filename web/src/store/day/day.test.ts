import { dishesOfDay, planDay, weighLines } from '@frijol/core/day'
import { assess } from '@frijol/core/assess'
import { type Dish, defaultKitchen } from '@frijol/core/model'
import { demoKitchen } from '@frijol/demo'
import { library } from '@frijol/library'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  acceptPlan,
  beginTask,
  closeDay,
  cookBatches,
  dayCommands,
  endTask,
  giveLonger,
  keepLeftover,
  markMissed,
  runDay,
  sessionOf,
  skipTask,
  writeMeasure,
  writeNote,
  writeWeighing,
} from '.'
import {
  addDay,
  addDishes,
  addPhoto,
  dayRepository,
  dishRepository,
  photosByIds,
  photosOf,
  readTrials,
  watchOpenDay,
} from '../../data'
import { database } from '../../data/database'
import { readAll, restoreAll } from '../../data/everything'
import { useKitchenStore } from '../kitchen'
import { closeDayDocument, flushDay, openDay, redoDay, undoDay, useOpenDay } from './openDay'

const [demo] = demoKitchen().dishes
if (demo === undefined) throw new Error('the demo has no dish')
const dish: Dish = demo
const JPEG = 'data:image/jpeg;base64,AAAA'
const at = '2026-06-18T08:00:00.000Z'
const settings = {
  anchor: { kind: 'serve' as const, at: '2026-06-18T13:00' },
  cooks: 1,
  night: null,
  held: [],
  ways: [],
}
const dayOf = (id: string) => ({
  format: 'frijol/day' as const,
  version: 1 as const,
  id,
  name: 'Lunch',
  createdAt: at,
  updatedAt: at,
  dishIds: [dish.id],
  batches: [],
  settings,
  session: null,
})
const plan = planDay(
  { dishes: [dish], anchor: { kind: 'serve', at: '2026-06-18T13:00:00Z' }, cooks: 1, away: [] },
  { library, kitchen: defaultKitchen },
  { effort: 500 },
)
const lines = weighLines(dish, assess(dish, library, defaultKitchen), defaultKitchen)
const session = () => {
  const found = useOpenDay.getState().value?.session
  if (found == null) throw new Error('the day has not begun')
  return found
}

beforeEach(async () => {
  await closeDayDocument()
  await Promise.all(database().tables.map((table) => table.clear()))
  localStorage.clear()
  useKitchenStore.setState({ library, kitchen: defaultKitchen })
  await addDishes([dish], [])
  await addDay(dayOf('d1'))
  await openDay('d1')
})
const begin = () => runDay(dayCommands.beginDay(sessionOf(plan, [dish])))
const [first] = lines
if (first === undefined) throw new Error('nothing to weigh')

describe('a day as a document', () => {
  it('is planned, undone and saved', async () => {
    runDay(dayCommands.changeSettings('set the cooks', { cooks: 2 }))
    runDay(dayCommands.holdTask('moussaka:x', 5))
    runDay(dayCommands.holdTask('moussaka:x', 9))
    expect(useOpenDay.getState().value?.settings.held).toEqual([{ id: 'moussaka:x', startMin: 9 }])
    expect(undoDay()).toBe('put a task at a time')
    expect(useOpenDay.getState().value?.settings.held).toEqual([{ id: 'moussaka:x', startMin: 5 }])
    redoDay()
    runDay(dayCommands.holdTask('moussaka:x', null))
    await flushDay()
    const stored = await dayRepository.read('d1')
    expect(stored.kind === 'row' && stored.row.value.settings).toMatchObject({ cooks: 2, held: [] })
  })

  it('does a step otherwise for the day, the last way counts, and as written again', async () => {
    const way = { dishId: 'moussaka', partId: 'p', stepId: 's1', operation: 'steam' as const }
    runDay(dayCommands.doOtherwise(way))
    runDay(dayCommands.doOtherwise({ ...way, operation: 'pressure-cook' }))
    expect(useOpenDay.getState().value?.settings.ways).toEqual([{ ...way, operation: 'pressure-cook' }])
    expect(undoDay()).toBe('do a step otherwise')
    expect(useOpenDay.getState().value?.settings.ways).toEqual([way])
    runDay(dayCommands.doAsWritten('s1'))
    await flushDay()
    const stored = await dayRepository.read('d1')
    expect(stored.kind === 'row' && stored.row.value.settings.ways).toEqual([])
  })

  it('refuses what a backup would not restore', () => {
    expect(runDay(dayCommands.changeSettings('set the cooks', { cooks: 9 }))).toBe(false)
    expect(runDay(dayCommands.setDishes([]))).toBe(false)
    expect(useOpenDay.getState().value?.settings.cooks).toBe(1)
  })

  it('lets tasks go that were held of a dish that goes', () => {
    runDay(dayCommands.setDishes([dish.id, 'other']))
    runDay(dayCommands.holdTask('other:s1', 5))
    runDay(dayCommands.setDishes([dish.id]))
    expect(useOpenDay.getState().value?.settings.held).toEqual([])
  })

  it('is found by its dish until it is closed', async () => {
    const seen: (string | null)[] = []
    const stop = watchOpenDay(dish.id, (id) => seen.push(id))
    await expect.poll(() => seen.at(-1)).toBe('d1')
    begin()
    await closeDay(() => '13:00')
    await expect.poll(() => seen.at(-1)).toBe(null)
    stop()
  })
})

describe('a day at the counter', () => {
  it('writes down what is done, and what follows begins by itself', () => {
    begin()
    const setUp = plan.tasks.find(({ id }) => id.endsWith(':set-up'))
    const [work] = plan.tasks
    if (setUp === undefined || work === undefined) throw new Error('no task')
    beginTask(work)
    giveLonger(work, 5)
    endTask(work)
    endTask(setUp)
    skipTask(plan.tasks.at(-1) ?? work)
    expect(session().log.map(({ what }) => what)).toEqual([
      'begun',
      'longer',
      'ended',
      'ended',
      'begun',
      'skipped',
    ])
    undoDay()
    expect(session().log).toHaveLength(5)
    // Hours later the looks at that pot are missed, once.
    const log = session().log.map((event) => ({ ...event, at: event.at - 5 * 3_600_000 }))
    runDay({
      label: 'later',
      apply: (day) => {
        if (day.session !== null) day.session.log = log
      },
    })
    const missed = markMissed()
    expect(markMissed()).toEqual([])
    expect(session().log.filter(({ what }) => what === 'missed')).toHaveLength(missed.length)
  })

  it('replaces a weighing by a newer one of the same thing, and takes a plan over', () => {
    begin()
    writeWeighing(first, { massG: 10, by: 'scale', instead: null, additions: [] })
    writeWeighing(first, { massG: 12, by: 'hand', instead: 'what was there', additions: [] })
    expect(session().weighings).toMatchObject([{ massG: 12, instead: 'what was there' }])
    acceptPlan(plan.tasks, plan.serveMin + 10)
    expect(session()).toMatchObject({ serveMin: plan.serveMin + 10, plannedServeMin: plan.serveMin })
  })

  it('closes with a trial as it was made; the dish goes on as the next; undone, the trial goes', async () => {
    begin()
    writeWeighing(first, { massG: first.targetG + 40, by: 'scale', instead: null, additions: [] })
    writeNote('sticks', null)
    keepLeftover({ id: 'l1', dishId: dish.id, what: dish.name, massG: 200, where: 'fridge' })
    expect(await closeDay(() => '13:00')).toBe(true)
    const { trials } = await readTrials(dish.id)
    expect(trials).toHaveLength(1)
    expect(trials[0]?.asMade).toMatchObject([{ lineId: first.lineId }])
    expect(trials[0]?.notes).toContain('sticks')
    const stored = await dishRepository.read(dish.id)
    expect(stored.kind === 'row' && stored.row.value.trial).toMatchObject({
      number: dish.trial.number + 1,
      fromNumber: dish.trial.number,
    })
    expect(undoDay()).toBe('close the day')
    await flushDay()
    expect((await readTrials(dish.id)).trials).toEqual([])
    redoDay()
    await flushDay()
    expect((await readTrials(dish.id)).trials).toHaveLength(1)
  })

  it('teaches the kitchen by a mass after a step', async () => {
    const { openKitchen } = await import('../kitchen')
    await openKitchen()
    begin()
    const part = dish.parts[0]
    const step = part?.steps.find(({ operation }) => operation === 'brown')
    const reading = assess(dish, library, defaultKitchen).parts[0]?.steps.find(
      ({ stepId }) => stepId === step?.id,
    )
    writeMeasure({
      kind: 'step-mass',
      dishId: dish.id,
      partId: part?.id ?? null,
      stepId: step?.id ?? null,
      value: Math.round((reading?.massG ?? 100) * 1.2),
    })
    expect(useKitchenStore.getState().kitchen.observations).toMatchObject([{ operation: 'brown' }])
  })

  it('learns from what was measured at the end of a part, once for each day', async () => {
    const { openKitchen } = await import('../kitchen')
    await openKitchen()
    begin()
    const part = dish.parts.find(({ family }) => family === 'coating-sauce')
    const measureSauce = (value: number) =>
      writeMeasure({
        kind: 'line-spread',
        dishId: dish.id,
        partId: part?.id ?? null,
        stepId: part?.steps.at(-1)?.id ?? null,
        value,
      })
    measureSauce(6)
    measureSauce(6.4)
    expect(useKitchenStore.getState().kitchen.tasted).toEqual([])
    await closeDay(() => '13:00')
    const [taught, ...more] = useKitchenStore.getState().kitchen.tasted
    expect(more).toEqual([])
    expect(taught).toMatchObject({
      attribute: 'thickness',
      by: 'check',
      people: 2,
      dishId: dish.id,
      trialNumber: dish.trial.number,
      tastingId: 'd1',
    })
    expect(taught?.observed).toBeCloseTo(8.5 - 0.8 * 6.2, 6)
    // Opened again by undo and measured once more: it teaches in the place of what it taught before.
    undoDay()
    measureSauce(9)
    await closeDay(() => '13:30')
    expect(useKitchenStore.getState().kitchen.tasted).toHaveLength(1)
    expect(useKitchenStore.getState().kitchen.tasted[0]?.people).toBe(3)
  })

  it('keeps with a trial the pictures that were taken of it', async () => {
    begin()
    const [task] = plan.tasks
    if (task === undefined) throw new Error('no task')
    await addPhoto({ id: 'p1', dayId: 'd1', takenAt: 1, width: 2, height: 2, dataUrl: JPEG })
    writeNote('', task, 'p1')
    await closeDay(() => '13:00')
    const [trial] = (await readTrials(dish.id)).trials
    expect(trial?.photoIds).toEqual(['p1'])
    expect([...(await photosByIds(['p1', 'gone'])).keys()]).toEqual(['p1'])
  })

  it('makes runs of a series in the place of their dish, each a trial of the dish', async () => {
    const [series] = dish.series
    const runs = series?.runs.filter(({ day }) => day === 3).slice(0, 2) ?? []
    expect(runs).toHaveLength(2)
    const batches = runs.map(({ id }, place) => ({
      id: `b${place}`,
      dishId: dish.id,
      seriesId: series?.id ?? '',
      runId: id,
      trialNumber: 20 + place,
    }))
    expect(await cookBatches(dish, batches)).toBeNull()
    expect(useOpenDay.getState().value?.batches).toHaveLength(2)
    // Another day of the series does not push these off.
    expect(await cookBatches(dish, batches.slice(0, 1))).toContain('has batches already')
    expect(useOpenDay.getState().value?.batches).toHaveLength(2)
    const dishes = dishesOfDay(dish, batches)
    runDay(dayCommands.beginDay(sessionOf(plan, dishes)))
    // The same line of two batches is weighed twice.
    for (const [place, own] of dishes.entries()) {
      const [line] = weighLines(own, assess(own, library, defaultKitchen), defaultKitchen)
      if (line === undefined) throw new Error('nothing to weigh')
      const massG = line.targetG + 30 + place
      writeWeighing(line, { massG, by: 'scale', instead: null, additions: [] })
    }
    expect(session().weighings.map(({ dishId }) => dishId)).toEqual(['b0', 'b1'])
    // A day that has begun is not laid out anew.
    expect(await cookBatches(dish, [])).toContain('has begun')
    const stored = await dishRepository.read(dish.id)
    const before = stored.kind === 'row' ? stored.row.value.trial.fromNumber : null
    await closeDay(() => '13:00')
    const { trials } = await readTrials(dish.id)
    expect(trials.map(({ number }) => number)).toEqual([20, 21])
    for (const trial of trials) {
      expect(trial.dishId).toBe(dish.id)
      expect(trial.fromNumber).toBe(before)
      expect(trial.asMade).toHaveLength(1)
      expect(trial.parts.map(({ id }) => id)).toEqual(dish.parts.map(({ id }) => id))
    }
    expect(trials[0]?.parts).not.toEqual(trials[1]?.parts)
  })

  it('goes into a backup with its pictures, and comes back out of it', async () => {
    begin()
    await flushDay()
    await addPhoto({
      id: 'p1',
      dayId: 'd1',
      takenAt: 1,
      width: 2,
      height: 2,
      dataUrl: JPEG,
    })
    const { content, bad } = await readAll()
    expect(bad).toEqual([])
    expect(content.days?.map(({ id }) => id)).toEqual(['d1'])
    await closeDayDocument()
    await Promise.all(database().tables.map((table) => table.clear()))
    await restoreAll(content)
    const back = await dayRepository.read('d1')
    expect(back.kind === 'row' && back.row.value.session?.tasks.length).toBe(plan.tasks.length)
    expect([...(await photosOf('d1')).keys()]).toEqual(['p1'])
  })

  it('names a damaged day and a damaged picture, and leaves the rest', async () => {
    await database().days.put({
      id: 'bad',
      value: { name: 'x' },
      revision: 1,
      saves: [],
      savedAt: 1,
    } as never)
    await database().photos.put({ id: 'p', dayId: 'd1' } as never)
    const { bad, content } = await readAll()
    expect(bad.map(({ table }) => table).sort()).toEqual(['days', 'photos'])
    expect(content.days).toHaveLength(1)
  })
})
