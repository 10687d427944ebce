import { assess } from '@frijol/core/assess'
import type { Tasting, TastingAnswer } from '@frijol/core/model'
import { designTasting, resultOf } from '@frijol/core/sensory'
import { demoKitchen } from '@frijol/demo'
import { library } from '@frijol/library'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  addDishes,
  addTasting,
  removeDish,
  removeTasting,
  restoreDish,
  tastingRepository,
  watchTastings,
} from '../../data'
import { database } from '../../data/database'
import { addMissing, readAll, restoreAll } from '../../data/everything'
import { openKitchen, useKitchenStore } from '../kitchen'
import {
  answersCsv,
  beginTasting,
  flushTasting,
  forgetTasting,
  learnFrom,
  missedOf,
  newTasting,
  openTasting,
  redoTasting,
  runTasting,
  takeAnswer,
  takeTable,
  tastingCommands,
  undoTasting,
  useOpenTasting,
} from '.'

const demo = demoKitchen()
const [dish] = demo.dishes
const profile = demo.tastings?.find(({ id }) => id === 'tasting-moussaka-profile')
const triangle = demo.tastings?.find(({ id }) => id === 'tasting-moussaka-triangle')
if (dish === undefined || profile === undefined || triangle === undefined) throw new Error('no demo')

const open = (): Tasting => {
  const { value } = useOpenTasting.getState()
  if (value === null) throw new Error('no tasting is open')
  return value
}

/** The triangle of the demo, set out and not answered. */
const unanswered = (id: string): Tasting => {
  const servings = designTasting(triangle.settings)
  if (!servings.ok) throw new Error('it does not begin')
  return { ...triangle, id, answers: [], closedAt: null, design: { at: 1, servings: servings.value } }
}

beforeEach(async () => {
  const { dishes, trials, kitchen, history, tastings } = database()
  await Promise.all([dishes, trials, kitchen, history, tastings].map((table) => table.clear()))
  await addDishes([dish], [])
  await openKitchen()
  useKitchenStore.setState({ library, engine: { assess } as never })
})

describe('a tasting is a document', () => {
  it('is planned, set out once, answered, closed; each with its undo, all of it stored', async () => {
    await newTasting(dish, dish.parts[0]?.id ?? '')
    expect(open().settings.samples.map(({ kind }) => kind)).toEqual(['original', 'mix'])
    runTasting(tastingCommands.takeProtocol('triangle'))
    runTasting(tastingCommands.changePlan('set the portion', { portionG: 25 }))
    expect(beginTasting()).toBeNull()
    // What was settled before the tasting is not moved after it has begun.
    runTasting(tastingCommands.changePlan('set the portion', { portionG: 90 }))
    expect(open().settings.portionG).toBe(25)
    const [serving] = open().design?.servings ?? []
    if (serving === undefined) throw new Error('nothing was set out')
    const answer: Omit<TastingAnswer, 'servingId' | 'at'> = {
      by: 'tablet',
      picked: [serving.glasses[0]?.code ?? 0],
      marks: [],
      comment: '',
      isWhole: true,
    }
    expect(takeAnswer(serving, answer)).toBe(true)
    expect(takeAnswer(serving, { ...answer, picked: [serving.glasses[1]?.code ?? 0] })).toBe(true)
    expect(open().answers).toHaveLength(1)
    undoTasting()
    expect(open().answers[0]?.picked).toEqual([serving.glasses[0]?.code])
    redoTasting()
    await flushTasting()
    const found = await tastingRepository.read(open().id)
    expect(found.kind === 'row' && found.row.value.answers[0]?.picked).toEqual([serving.glasses[1]?.code])
  })

  it('does not begin without what it needs, and says what that is', async () => {
    await newTasting(dish, dish.parts[0]?.id ?? '')
    runTasting(tastingCommands.setTasters('nobody', []))
    expect(beginTasting()).toContain('Nobody')
    expect(open().design).toBeNull()
  })

  it('joins the answers that two tablets take', async () => {
    await addTasting(unanswered('two'))
    await openTasting('two')
    const [one, other] = open().design?.servings ?? []
    if (one === undefined || other === undefined) throw new Error('nothing was set out')
    const answer = (serving: typeof one) => ({
      servingId: serving.id,
      at: 2,
      by: 'tablet' as const,
      picked: [serving.glasses[0]?.code ?? 0],
      marks: [],
      comment: '',
      isWhole: true,
    })
    // Another tablet has saved its taster meanwhile.
    const read = await tastingRepository.read('two')
    if (read.kind !== 'row') throw new Error('it is not stored')
    await tastingRepository.save({
      ...read.row,
      value: { ...read.row.value, answers: [answer(other)] },
      base: read.row.revision,
      put: [],
      remove: [],
      mark: 'another tablet',
    })
    runTasting(tastingCommands.answer([answer(one)]))
    await flushTasting()
    const found = await tastingRepository.read('two')
    expect(found.kind === 'row' && found.row.value.answers.map(({ servingId }) => servingId).sort()).toEqual(
      [one.id, other.id].sort(),
    )
  })

  it('goes with its dish and comes back with it; by itself, too', async () => {
    await addTasting(profile)
    const removed = await removeDish(dish.id)
    expect(await database().tastings.count()).toBe(0)
    if (removed !== null) await restoreDish(removed)
    expect(await database().tastings.count()).toBe(1)
    const back = await removeTasting(profile.id)
    expect(await database().tastings.count()).toBe(0)
    await back()
    expect((await database().tastings.get(profile.id))?.value.answers).toHaveLength(16)
  })

  it('is in a backup and comes out of it; a damaged one is told and left as it is', async () => {
    await addTasting(profile)
    await database().tastings.put({
      id: 'bad',
      value: { dishId: dish.id } as never,
      revision: 1,
      saves: [],
      savedAt: 1,
    })
    const { content, bad } = await readAll()
    expect(content.tastings?.map(({ id }) => id)).toEqual([profile.id])
    expect(bad.map(({ table }) => table)).toContain('tastings')
    await database().tastings.clear()
    await restoreAll(content)
    expect((await tastingRepository.read(profile.id)).kind).toBe('row')
    // The demo adds what is missing, and replaces nothing.
    const mine = { ...profile, name: 'Mine' }
    await database().tastings.clear()
    await addTasting(mine)
    await addMissing(demo)
    const kept = await tastingRepository.read(profile.id)
    expect(kept.kind === 'row' && kept.row.value.name).toBe('Mine')
    expect(await database().tastings.count()).toBe(demo.tastings?.length)
  })

  it('is found by its dish, newest first, with what cannot be read', async () => {
    await addTasting(profile)
    await addTasting(triangle)
    await database().tastings.put({
      id: 'bad',
      value: { dishId: dish.id } as never,
      revision: 1,
      saves: [],
      savedAt: 1,
    })
    const read = await new Promise<{ ids: string[]; bad: number }>((resolve) => {
      const stop = watchTastings(dish.id, ({ tastings, bad }) => {
        resolve({ ids: tastings.map(({ id }) => id), bad: bad.length })
        queueMicrotask(() => stop())
      })
    })
    expect(read).toEqual({ ids: [triangle.id, profile.id], bad: 1 })
  })
})

describe('answers from a table', () => {
  it('come back as they went out', async () => {
    await addTasting({
      ...profile,
      id: 'table',
      answers: profile.answers.map((one) => ({ ...one, comment: '' })),
      closedAt: null,
    })
    await openTasting('table')
    const text = await answersCsv(open())
    const before = open().answers
    runTasting({ label: 'empty it', apply: (tasting) => void (tasting.answers = []) })
    expect(await takeTable(text)).toEqual({ taken: before.length, faults: [] })
    const marksOf = (answers: Tasting['answers']) =>
      answers
        .flatMap(({ servingId, marks }) =>
          marks.map(({ code, ask, value }) => `${servingId} ${code} ${ask} ${value}`),
        )
        .sort()
    expect(marksOf(open().answers)).toEqual(marksOf(before))
  })

  it.each([
    ['taster,round,code\nP1,1,100', /question, answer are missing/],
    ['taster,round,code,question,answer\nP1,1,999,picked,1', /no serving has the code/],
    ['taster,round,code,question,answer\nP1,1,CODE,picked,yes', /no number/],
    ['taster,round,code,question,answer\nP1,1,CODE,sweetness,3', /sweetness is not asked/],
    ['taster,round,code,question,answer\nP1,1,CODE,crunch,3', /no question of a tasting/],
    ['nothing', /no table/],
  ])('that do not fit are told, and none is taken: %#', async (text, said) => {
    await addTasting(unanswered('faulty'))
    await openTasting('faulty')
    const code = open().design?.servings.find(({ tasterId }) => tasterId === 'P1')?.glasses[0]?.code
    const { taken, faults } = await takeTable(text.replace('CODE', String(code)))
    expect(taken).toBe(0)
    expect(faults.join(' ')).toMatch(said)
    expect(open().answers).toEqual([])
  })
})

describe('what is handed to Tune', () => {
  it('is what a profile shows to be missed, and what those who mind want the same way', () => {
    expect(missedOf(resultOf(profile)).map(({ attribute }) => attribute)).toEqual([
      'juiciness',
      'chewiness',
      'richness',
    ])
    const jar = demo.tastings?.find(({ id }) => id === 'tasting-block-jar')
    if (jar === undefined) throw new Error('no demo')
    expect(missedOf(resultOf(jar)).map(({ attribute }) => attribute)).toContain('crumbliness')
    expect(missedOf(resultOf({ ...jar, answers: jar.answers.slice(0, 2) }))).toEqual([])
    expect(missedOf(resultOf(triangle))).toEqual([])
  })
})

describe('the kitchen learns from a tasting', () => {
  it('in the place of what the same tasting taught before, and forgets it again', () => {
    const first = learnFrom(profile)
    expect(first).toBe(6)
    learnFrom(profile)
    const { kitchen } = useKitchenStore.getState()
    expect(kitchen.tasted).toHaveLength(6)
    const read = (of: typeof kitchen) =>
      assess(dish, library, of).parts[0]?.attributes.find(({ id }) => id === 'umami')?.value ?? 0
    expect(read(kitchen)).toBeLessThan(read({ ...kitchen, tasted: [] }) - 0.8)
    forgetTasting(profile.id)
    expect(useKitchenStore.getState().kitchen.tasted).toEqual([])
  })
})
