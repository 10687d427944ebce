import { type Dish, OPERATIONS, type Part, type Step } from '@frijol/core/model'
import { stepFrom } from '@frijol/core/reading'
import { demoKitchen } from '@frijol/demo'
import fc from 'fast-check'
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { addDishes } from '../data'
import * as commands from './commands'
import { changeKitchen, useKitchenStore } from './kitchen'
import { loadKitchen } from './load'
import * as method from './methodCommands'
import { closeDish, type Command, openDish, redo, run, undo, useOpenDish } from './openDish'
import { forgetLearned } from './weighings'

const dishNow = (): Dish => {
  const dish = useOpenDish.getState().value
  if (dish === null) throw new Error('no dish is open')
  return dish
}
const partNow = (): Part => {
  const [part] = dishNow().parts
  if (part === undefined) throw new Error('no part')
  return part
}
const stepNow = (at: number): Step => {
  const step = partNow().steps[at]
  if (step === undefined) throw new Error(`no step ${at}`)
  return step
}
const content = (dish: Dish) => ({ ...dish, updatedAt: '' })

beforeAll(loadKitchen)
beforeEach(async () => {
  await closeDish()
  changeKitchen('forget', (kitchen) => ({ ...kitchen, observations: [] }))
  const [moussaka] = demoKitchen().dishes
  if (moussaka === undefined) throw new Error('no demo dish')
  const dish = { ...structuredClone(moussaka), id: 'method-test' }
  await addDishes([dish], [])
  await openDish(dish.id)
})

/** One of each kind of change of a method, on a step that is picked. */
function changes(at: number): Command[] {
  const part = partNow()
  const step = part.steps[at % Math.max(1, part.steps.length)]
  const [line] = part.lines
  if (step === undefined || line === undefined) return []
  const [way] = part.ways
  return [
    method.setStepFacts(part.id, step, { durationMin: 33, heat: 'low' }),
    method.setStepFacts(part.id, step, { operation: OPERATIONS[at % OPERATIONS.length] ?? null }),
    method.addSteps(
      part.id,
      [stepFrom('Chill 1 hour', `new-${part.steps.length}-${at}`)],
      at % part.steps.length,
    ),
    method.moveStep(part.id, step.id, 0),
    method.removeStep(part.id, step.id),
    method.setUses(part.id, step, [{ kind: 'line', id: line.id, share: 0.5 }]),
    method.setUses(part.id, step, null),
    method.weighStep(part.id, step, 111 + at),
    method.addWay(part.id, 'Another', part.steps),
    ...(way === undefined
      ? []
      : [method.takeWay(part.id, way.id, 'Before'), method.removeWay(part.id, way.id)]),
    method.replaceSteps(part.id, [...part.steps].reverse()),
    commands.removeLine(part.id, line.id),
  ]
}

describe('changes of a method', () => {
  it('are taken back to the same document, in any order and number, and made again', () => {
    const pick = fc.tuple(fc.nat(30), fc.nat(12))
    fc.assert(
      fc.property(fc.array(pick, { minLength: 1, maxLength: 10 }), (picks) => {
        const before = content(dishNow())
        let made = 0
        for (const [at, kind] of picks) {
          const past = useOpenDish.getState().past.length
          const offered = changes(at)
          const command = offered[kind % Math.max(1, offered.length)]
          if (command !== undefined) run({ label: command.label, apply: command.apply })
          made += useOpenDish.getState().past.length - past
        }
        const after = content(dishNow())
        for (let turn = 0; turn < made; turn += 1) undo()
        expect(content(dishNow())).toEqual(before)
        for (let turn = 0; turn < made; turn += 1) redo()
        expect(content(dishNow())).toEqual(after)
        for (let turn = 0; turn < made; turn += 1) undo()
      }),
      { numRuns: 25 },
    )
  })

  it('leave a part alone that lacks the step', () => {
    const before = content(dishNow())
    const ghost = stepFrom('Bake', 'ghost')
    for (const command of [
      method.replaceStep('none', ghost, 'x'),
      method.replaceStep(partNow().id, ghost, 'x'),
      method.moveStep(partNow().id, 'ghost', 0),
      method.takeWay(partNow().id, 'ghost', 'x'),
      method.removeWay(partNow().id, 'ghost'),
    ])
      run(command)
    expect(content(dishNow())).toEqual(before)
  })

  it('give what a step took to the one that went on with it, when it is taken out', () => {
    const { id } = partNow()
    const [line, other] = partNow().lines
    if (line === undefined || other === undefined) throw new Error('no lines')
    run(method.setUses(id, stepNow(0), [{ kind: 'line', id: line.id, share: null }]))
    run(
      method.setUses(id, stepNow(1), [
        { kind: 'step', id: stepNow(0).id, share: null },
        { kind: 'line', id: other.id, share: 0.5 },
      ]),
    )
    run(method.removeStep(id, stepNow(0).id))
    expect(stepNow(0).uses).toEqual([
      { kind: 'line', id: line.id, share: null },
      { kind: 'line', id: other.id, share: 0.5 },
    ])
  })

  it('let the words speak again where a line that was set by hand is gone', () => {
    const { id } = partNow()
    const [line] = partNow().lines
    if (line === undefined) throw new Error('no line')
    run(method.setUses(id, stepNow(0), [{ kind: 'line', id: line.id, share: null }]))
    run(commands.removeLine(id, line.id))
    expect(stepNow(0).uses).toBeNull()
  })

  it('swap ways whole, and keep the one that was left under its name', () => {
    const { id } = partNow()
    const before = partNow().steps
    run(method.addWay(id, 'Short', [stepFrom('Bake 20 minutes', 'short')]))
    const [way] = partNow().ways
    run(method.takeWay(id, way?.id ?? '', 'Long'))
    expect(partNow().steps).toHaveLength(1)
    expect(partNow().ways).toEqual([{ id: way?.id, name: 'Long', steps: before }])
  })

  it('leave nothing weighed when the next trial starts', () => {
    run(method.weighStep(partNow().id, stepNow(0), 120))
    run(commands.startNextTrial(7, 6))
    expect(stepNow(0).weighedG).toBeNull()
  })
})

describe('weighings', () => {
  const learned = () => useKitchenStore.getState().kitchen.observations

  it('are learned once for a step and trial, follow its correction, and go when it is cleared', () => {
    run(method.weighStep(partNow().id, stepNow(0), 120))
    const first = learned()[0]
    expect(learned()).toHaveLength(1)
    expect(first).toMatchObject({ id: `${stepNow(0).id}@6`, operation: 'brown', vessel: 'pan-28' })
    run(method.weighStep(partNow().id, stepNow(0), 135))
    expect(learned()).toHaveLength(1)
    expect(learned()[0]?.lnRatio).toBeLessThan(first?.lnRatio ?? 0)
    run(method.weighStep(partNow().id, stepNow(0), null))
    expect(learned()).toEqual([])
  })

  it('are unlearned by an undo and learned again by a redo', () => {
    run(method.weighStep(partNow().id, stepNow(0), 120))
    const kept = learned()
    undo()
    expect(learned()).toEqual([])
    redo()
    expect(learned()).toEqual(kept)
  })

  it('stay when the trial is kept, and stand beside the next one’s', () => {
    run(method.weighStep(partNow().id, stepNow(0), 120))
    run(commands.startNextTrial(7, 6))
    expect(learned()).toHaveLength(1)
    run(method.weighStep(partNow().id, stepNow(0), 130))
    expect(learned().map(({ id }) => id.replace(/^.*@/, ''))).toEqual(['6', '7'])
  })

  it('say nothing where the operation has no constant', () => {
    const mixed = partNow().steps.findIndex(({ operation }) => operation === 'mix')
    run(method.weighStep(partNow().id, stepNow(mixed), 700))
    expect(learned()).toEqual([])
  })

  it('are not made by a formula that is taken over whole', () => {
    const steps = partNow().steps.map((step) => ({ ...step, id: `${step.id}-x`, weighedG: 100 }))
    const [first, ...others] = dishNow().parts
    if (first === undefined) throw new Error('no part')
    run(commands.replaceFormula({ ...dishNow(), parts: [{ ...first, steps }, ...others] }, 'take over'))
    expect(learned()).toEqual([])
  })

  it('are forgotten by operation and vessel', () => {
    run(method.weighStep(partNow().id, stepNow(0), 120))
    forgetLearned('brown', 'tray')
    expect(learned()).toHaveLength(1)
    forgetLearned('brown', 'pan-28')
    expect(learned()).toEqual([])
  })
})
