import { describe, expect, it } from 'vitest'
import { dishOf, partOf, stepOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import type { Dish } from '../model'
import { assess } from './assess'
import { compare, type Worked } from './compare'

const testDish = (lines: string[], steps: string[]): Dish =>
  dishOf(partOf(lines, null, { name: 'Main', steps: steps.map((text) => stepOf(text)) }))
const worked = (dish: Dish): Worked => ({ dish, assessment: assess(dish, testLibrary, testKitchen) })

describe('two trials side by side', () => {
  const base = testDish(['200 g white beans', '60 g olive oil', '4 g salt'], ['Mash the beans with the oil.'])

  it('of one formula differ in nothing', () => {
    const { lines, steps, readings } = compare([worked(base), worked(base)])
    for (const pair of [...lines, ...steps, ...readings]) expect(pair.isSame, pair.label).toBe(true)
    expect(lines).toHaveLength(3)
    expect(readings.length).toBeGreaterThan(3)
  })

  it('say first what changed: a mass, what came and what went, a step', () => {
    const other = testDish(
      ['200 g white beans', '80 g olive oil', '15 g walnuts'],
      ['Blend the beans with the oil.', 'Chill for 2 hours.'],
    )
    const { lines, steps, readings } = compare([worked(base), worked(other)])
    expect(
      lines.map(({ label, values: [left, right], isSame }) => [
        label,
        left?.massG ?? null,
        right?.massG ?? null,
        isSame,
      ]),
    ).toEqual([
      ['Olive oil', 60, 80, false],
      ['Salt', 4, null, false],
      ['Walnuts', null, 15, false],
      ['beans', 200, 200, true],
    ])
    expect(
      steps.map(({ label, values: [left, right] }) => [label, left?.text ?? null, right?.text ?? null]),
    ).toEqual([
      ['Step 1', 'Mash the beans with the oil.', 'Blend the beans with the oil.'],
      ['Step 2', null, 'Chill for 2 hours.'],
    ])
    const fat = readings.find(({ label }) => label === 'Fat a portion')
    expect(fat?.isSame).toBe(false)
    expect(fat?.values[1]?.value).toBeGreaterThan(fat?.values[0]?.value ?? Infinity)
  })

  it('stand four in a row, and each thing is in one row only', () => {
    const more = [30, 40, 50, 60].map((oil) =>
      testDish(
        ['200 g white beans', `${oil} g olive oil`, ...(oil > 40 ? ['5 g salt'] : [])],
        ['Mash the beans with the oil.'],
      ),
    )
    const { lines, steps } = compare(more.map(worked))
    expect(lines.map(({ label, values }) => [label, values.map((value) => value?.massG ?? null)])).toEqual([
      ['Olive oil', [30, 40, 50, 60]],
      ['Salt', [null, null, 5, 5]],
      ['beans', [200, 200, 200, 200]],
    ])
    expect(steps.every(({ isSame, values }) => isSame && values.length === 4)).toBe(true)
  })

  it('know a line that was typed anew by its food', () => {
    const again = testDish(
      ['200 g white beans', '60 g olive oil', '4 g salt'],
      ['Mash the beans with the oil.'],
    )
    const renamed = {
      ...again,
      parts: again.parts.map((part) => ({
        ...part,
        lines: part.lines.map((line) => ({ ...line, id: `new ${line.id}` })),
        steps: part.steps.map((step) => ({ ...step, id: `new ${step.id}` })),
      })),
    }
    const { lines, steps } = compare([worked(base), worked(renamed)])
    expect(lines.every(({ isSame }) => isSame)).toBe(true)
    expect(steps.every(({ isSame }) => isSame)).toBe(true)
  })

  it('keep parts apart, and match them by name where ids differ', () => {
    const [main] = base.parts
    if (main === undefined) throw new Error('no part')
    const two = {
      ...base,
      parts: [
        { ...main, id: 'other' },
        { ...main, id: 'sauce', name: 'Sauce', lines: [], steps: [] },
      ],
    }
    const { lines } = compare([worked(base), worked(two)])
    expect(lines.every(({ isSame, part }) => isSame && part === 'Main')).toBe(true)
  })
})
