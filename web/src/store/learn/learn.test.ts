import type { Dish, Idea, Series } from '@frijol/core/model'
import { dishOfRun } from '@frijol/core/series'
import { demoKitchen } from '@frijol/demo'
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { addDishes, readTrials } from '../../data'
import { readAll, restoreAll } from '../../data/everything'
import { useAssessed } from '../assessed'
import { forgetIdea, keepIdea } from '../ideas'
import { changeKitchen, flushKitchen, undoKitchen, useKitchenStore } from '../kitchen'
import { loadKitchen } from '../load'
import * as methodCommands from '../methodCommands'
import { closeDish, flush, openDish, redo, run, undo, useOpenDish } from '../openDish'
import { goOn } from './goOn'
import * as series from './series'

const demo = demoKitchen()
const [moussaka] = demo.dishes
const soySwap = demo.kitchen.ideas.find(({ id }) => id === 'idea-soy-strips')
if (moussaka === undefined || soySwap === undefined) throw new Error('no demo')

const now = (): Dish => {
  const dish = useOpenDish.getState().value
  if (dish === null) throw new Error('no dish is open')
  return dish
}
const own = (): Series => {
  const [found] = now().series
  if (found === undefined) throw new Error('no series')
  return found
}

beforeAll(loadKitchen)
beforeEach(async () => {
  await closeDish()
  const dish = { ...structuredClone(moussaka), id: 'learn-test' }
  const trials = demo.trials
    .filter(({ dishId }) => dishId === 'moussaka')
    .map((trial) => ({ ...trial, id: `learn-${trial.number}`, dishId: 'learn-test' }))
  await addDishes([dish], trials)
  await openDish(dish.id)
})

describe('going on from a trial', () => {
  const thicker = (): Dish => ({ ...now(), parts: now().parts.slice(0, 1) })

  it('makes a proposal the formula in work, with the trial that it came from and why; undo takes it back', async () => {
    const before = now()
    expect(await goOn(now(), thicker(), 3, 'diagnosis of trial 3: too wet')).toContain('goes on from trial 3')
    expect(now().parts).toHaveLength(1)
    expect(now().trial).toMatchObject({ number: 6, fromNumber: 3, why: ['diagnosis of trial 3: too wet'] })
    undo()
    expect(now().parts).toEqual(before.parts)
    redo()
    expect(now().parts).toHaveLength(1)
  })

  it('keeps what was cooked as a trial first, and weighs nothing of it into the next', async () => {
    const [part] = now().parts
    const [step] = part?.steps ?? []
    if (part === undefined || step === undefined) throw new Error('no step')
    run(methodCommands.weighStep(part.id, step, 150))
    const proposed = thicker()
    expect(await goOn(now(), proposed, 3, 'next trial, safe')).toContain('Trial 6 is kept')
    await flush()
    const { trials } = await readTrials('learn-test')
    expect(trials.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6])
    expect(trials.at(-1)?.parts[0]?.steps[0]?.weighedG).toBe(150)
    expect(now().trial).toMatchObject({ number: 7, fromNumber: 3 })
    expect(now().parts[0]?.steps.every(({ weighedG }) => weighedG === null)).toBe(true)
  })

  it('from the formula in work is a proposal like any other', async () => {
    expect(await goOn(now(), thicker(), null, 'next trial, bold')).toBe('Taken over. Undo with U.')
    expect(now().trial.fromNumber).toBe(3)
  })
})

describe('a series of a dish', () => {
  it('is scored, noted as failed, and undone run by run', () => {
    const open = own().runs.find(({ scores }) => Object.keys(scores).length === 0)
    if (open === undefined) throw new Error('no open run')
    const run_ = () => own().runs.find(({ id }) => id === open.id)
    run(series.scoreRun(own().id, open.id, 'thickness', 5.5))
    run(series.scoreRun(own().id, open.id, 'thickness', 6))
    expect(run_()?.scores).toEqual({ thickness: 6 })
    undo()
    // What was typed in one go is one step back.
    expect(run_()?.scores).toEqual({})
    run(series.failRun(own().id, open.id, 'would not set'))
    expect(run_()?.failed).toBe('would not set')
    run(series.failRun(own().id, open.id, ''))
    expect(run_()?.failed).toBe('')
    run(series.scoreRun(own().id, open.id, 'thickness', 4))
    run(series.scoreRun(own().id, open.id, 'thickness', null))
    expect(run_()?.scores).toEqual({})
  })

  it('refuses a score that no scale has, and nothing is changed', () => {
    const [first] = own().runs
    const before = now()
    expect(run(series.scoreRun(own().id, first?.id ?? '', 'thickness', 11))).toBe(false)
    expect(now()).toEqual(before)
  })

  it('makes a run the formula in work, and remembers which trial it is', async () => {
    const run_ = own().runs.find(({ isControl }) => !isControl)
    if (run_ === undefined) throw new Error('no run')
    await goOn(now(), dishOfRun(now(), own(), run_), 5, 'series')
    run(series.madeAs(own().id, run_.id, 6))
    expect(own().runs.find(({ id }) => id === run_.id)?.trialNumber).toBe(6)
    const sauce = now().parts.find(({ id }) => id === own().partId)
    const grams = own().factors.map(({ id }) =>
      Number.parseFloat(sauce?.lines.find((line) => line.id === id)?.text ?? ''),
    )
    expect(grams.map(Math.round)).toEqual(run_.setting.map((share) => Math.round(share * own().variableG)))
  })

  it('gets a run that confirms it, and goes and comes back whole', () => {
    const before = own()
    run(
      series.addRun(before.id, {
        ...(before.runs[0] as Series['runs'][number]),
        id: 'confirm',
        day: 4,
        isConfirmation: true,
      }),
    )
    expect(own().runs).toHaveLength(before.runs.length + 1)
    run(series.removeSeries(before.id))
    expect(now().series).toEqual([])
    undo()
    undo()
    expect(own()).toEqual(before)
    run(series.addSeries({ ...before, id: 'again' }))
    expect(now().series.map(({ id }) => id)).toEqual([before.id, 'again'])
  })

  it('is on the disk after a reload', async () => {
    run(series.failRun(own().id, own().runs[0]?.id ?? '', 'split'))
    await flush()
    await closeDish()
    await openDish('learn-test')
    expect(own().runs[0]?.failed).toBe('split')
  })
})

describe('ideas', () => {
  const idea = (known: Partial<Idea> = {}): Idea => ({
    ...soySwap,
    id: 'own-idea',
    dishId: 'learn-test',
    ...known,
  })
  beforeEach(() => {
    changeKitchen('forget', (kitchen) => ({ ...kitchen, ideas: [] }))
  })

  it('are kept once, forgotten, and come back by undo', () => {
    const ids = () => useKitchenStore.getState().kitchen.ideas.map(({ id, reason }) => `${id} ${reason}`)
    keepIdea(idea())
    keepIdea(idea({ reason: 'beany' }))
    expect(ids()).toEqual(['own-idea beany'])
    forgetIdea('own-idea')
    expect(ids()).toEqual([])
    undoKitchen()
    expect(ids()).toEqual(['own-idea beany'])
  })

  it('are a finding of the open dish as soon as they are kept', () => {
    const walnuts = now().parts[0]?.lines.find(({ ingredientId }) => ingredientId === 'walnuts')
    expect(walnuts).toBeDefined()
    keepIdea(
      idea({
        what: { kind: 'food', foodId: 'walnuts', name: 'Walnuts', side: 'any', pct: 0 },
        scope: { kind: 'dish', dishId: 'learn-test' },
        words: 'walnuts',
      }),
    )
    const found = () =>
      useAssessed.getState().assessment?.findings.some(({ rule }) => rule === 'kept-in-mind-own-idea')
    expect(found()).toBe(true)
    forgetIdea('own-idea')
    expect(found()).toBe(false)
  })

  it('and series travel in the backup', async () => {
    keepIdea(idea())
    await flush()
    await flushKitchen()
    const { content } = await readAll()
    expect(content.kitchen.ideas.map(({ id }) => id)).toEqual(['own-idea'])
    expect(content.dishes.find(({ id }) => id === 'learn-test')?.series).toHaveLength(1)
    await restoreAll(content)
    expect((await readAll()).content.kitchen.ideas).toHaveLength(1)
  })
})
