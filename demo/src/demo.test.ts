import { assess } from '@frijol/core/assess'
import { library } from '@frijol/library'
import { describe, expect, it } from 'vitest'
import { demoKitchen } from './index'

describe('the demo kitchen', () => {
  const { dishes, trials, kitchen } = demoKitchen()
  const [moussaka] = dishes
  if (moussaka === undefined) throw new Error('no dish')
  const now = assess(moussaka, library, kitchen)

  it('holds the moussaka with two parts and two trials', () => {
    expect(moussaka.parts.map(({ family }) => family)).toEqual(['crumble-mince', 'coating-sauce'])
    expect(trials.map(({ number }) => number)).toEqual([1, 2])
  })

  it('knows every food and prices every portion', () => {
    expect(
      now.parts
        .flatMap(({ lines }) => lines)
        .filter(({ foodId, massG }) => foodId === null || massG === null),
    ).toEqual([])
    expect(now.perPortion.atLeast).toEqual([])
    expect(now.perPortion.cost).toBeGreaterThan(0.5)
  })

  it('has its slip to be caught, and no other stop', () => {
    expect(now.findings.filter(({ rule }) => rule === 'unit-slip')).toHaveLength(1)
    expect(now.findings.filter(({ severity }) => severity === 'stop')).toEqual([])
  })

  it('tells a believable story: chew rises from trial to trial', () => {
    const chew = trials.map(({ parts }) => {
      const attributes = assess({ ...moussaka, parts }, library, kitchen).parts[0]?.attributes ?? []
      return attributes.find(({ id }) => id === 'chewiness')?.value ?? 0
    })
    const present = now.parts[0]?.attributes.find(({ id }) => id === 'chewiness')?.value ?? 0
    expect(chew[1]).toBeGreaterThan(chew[0] ?? 0)
    expect(present).toBeGreaterThan(chew[1] ?? 0)
  })
})
