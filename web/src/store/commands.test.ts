import { blankDish, type Dish } from '@frijol/core/model'
import { demoKitchen } from '@frijol/demo'
import fc from 'fast-check'
import { produce } from 'immer'
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { addDishes } from '../data'
import * as commands from './commands'
import * as methodCommands from './methodCommands'
import { useKitchenStore } from './kitchen'
import { loadKitchen } from './load'
import { typedLine } from './lines'
import { closeDish, type Command, openDish, redo, run, undo, useOpenDish } from './openDish'

const dishNow = (): Dish => {
  const dish = useOpenDish.getState().value
  if (dish === null) throw new Error('no dish is open')
  return dish
}
const library = () => {
  const found = useKitchenStore.getState().library
  if (found === null) throw new Error('no library')
  return found
}
let start: Dish

beforeAll(loadKitchen)
beforeEach(async () => {
  await closeDish()
  const [moussaka] = demoKitchen().dishes
  if (moussaka === undefined) throw new Error('no demo dish')
  start = { ...structuredClone(moussaka), id: 'commands-test' }
  await addDishes([start], [])
  await openDish(start.id)
})

/** One of each kind of command that fits the dish as it stands. */
function someCommands(dish: Dish): Command[] {
  const part = dish.parts[0]
  const line = part?.lines[0]
  if (part === undefined || line === undefined) return [commands.addPart('Layer')]
  const walnuts = library().ingredients.get('walnuts')
  const original = [...library().originals.values()][3]
  if (walnuts === undefined || original === undefined) throw new Error('the library lacks a food')
  return [
    commands.renameDish(`${dish.name}!`),
    commands.addLines(part.id, [typedLine('20 g tahini')]),
    commands.removeLine(part.id, line.id),
    commands.moveLine(part.id, line.id, part.lines.length - 1),
    commands.rewriteLine(part.id, { ...line, text: '99 g walnuts' }),
    commands.chooseFood(part.id, line.id, walnuts),
    commands.addPart('Layer'),
    commands.renamePart(part.id, 'Base'),
    commands.chooseOriginal(part.id, original),
    commands.setCookedMass(part.id, 640),
    ...(part.steps[0] === undefined ? [] : [methodCommands.removeStep(part.id, part.steps[0].id)]),
    commands.changeAim('portions', (aim) => {
      aim.portions += 1
    }),
    commands.settleFinding('rule:part:line', 'as the aunt made it'),
    commands.startNextTrial(5, 4),
  ]
}

describe('every command', () => {
  it('is taken back to the same document, in any order and number', () => {
    const content = (dish: Dish) => ({ ...dish, updatedAt: '' })
    fc.assert(
      fc.property(fc.array(fc.nat(13), { minLength: 1, maxLength: 8 }), (picks) => {
        const before = content(dishNow())
        let made = 0
        for (const pick of picks) {
          const past = useOpenDish.getState().past.length
          const command = someCommands(dishNow())[pick]
          if (command !== undefined) run({ label: command.label, apply: command.apply })
          made += useOpenDish.getState().past.length - past
        }
        const after = content(dishNow())
        for (let at = 0; at < made; at += 1) undo()
        expect(content(dishNow())).toEqual(before)
        for (let at = 0; at < made; at += 1) redo()
        expect(content(dishNow())).toEqual(after)
        for (let at = 0; at < made; at += 1) undo()
      }),
      { numRuns: 25 },
    )
  })

  it('has a label that a person can read', () => {
    for (const { label } of someCommands(start)) expect(label).toMatch(/^[a-z][\w ,’“”-]{4,}/)
  })

  it('leaves a dish alone that lacks what it names', () => {
    const dish = blankDish('bare', 'Bare', '2026-06-14T12:00:00Z')
    for (const { apply } of [
      commands.removeLine('none', 'none'),
      commands.moveLine('none', 'none', 2),
      commands.renamePart('none', 'x'),
      commands.setCookedMass('none', 3),
      commands.addLines('none', [typedLine('1 g salt')]),
    ]) {
      const next = produce(dish, (draft) => {
        apply(draft)
      })
      expect(next).toBe(dish)
    }
  })
})

describe('single commands', () => {
  const firstPart = () => {
    const [part] = dishNow().parts
    if (part === undefined) throw new Error('no part')
    return part
  }

  it('move a line and leave the others in order', () => {
    const ids = firstPart().lines.map(({ id }) => id)
    const [first = '', ...rest] = ids
    run(commands.moveLine(firstPart().id, first, 2))
    expect(firstPart().lines.map(({ id }) => id)).toEqual([...rest.slice(0, 2), first, ...rest.slice(2)])
  })

  it('choose an original with its family', () => {
    const original = library().originals.get('white-sauce') ?? [...library().originals.values()][0]
    if (original === undefined) throw new Error('no original')
    run(commands.chooseOriginal(firstPart().id, original))
    expect(firstPart()).toMatchObject({ originalId: original.id, family: original.family })
    run(commands.chooseOriginal(firstPart().id, null))
    expect(firstPart().originalId).toBeNull()
  })

  it('settle a finding with a reason and open it again', () => {
    run(commands.settleFinding('a:b:c', 'known'))
    expect(dishNow().settled).toContainEqual({ key: 'a:b:c', reason: 'known' })
    run(commands.unsettleFinding('a:b:c'))
    expect(dishNow().settled.some(({ key }) => key === 'a:b:c')).toBe(false)
  })

  it('take a proposed formula whole, in one step back', () => {
    const before = dishNow().parts
    const proposed = { ...dishNow(), parts: dishNow().parts.slice(0, 1) }
    run(commands.replaceFormula(proposed, 'scale'))
    expect(dishNow().parts).toHaveLength(1)
    expect(undo()).toBe('scale')
    expect(dishNow().parts).toEqual(before)
  })
})
