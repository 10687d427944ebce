import { assess } from '@frijol/core/assess'
import { library } from '@frijol/library'
import { describe, expect, it } from 'vitest'
import { demoKitchen } from './index'

describe('the demo kitchen', () => {
  const { dishes, trials: all, kitchen } = demoKitchen()
  const trials = all.filter(({ dishId }) => dishId === 'moussaka')
  const [moussaka] = dishes
  if (moussaka === undefined) throw new Error('no dish')
  const now = assess(moussaka, library, kitchen)

  it('holds the moussaka with three parts and five trials', () => {
    expect(moussaka.parts.map(({ family }) => family)).toEqual(['crumble-mince', 'coating-sauce', null])
    expect(trials.map(({ number, state }) => [number, state])).toEqual([
      [1, 'made'],
      [2, 'made'],
      [3, 'made'],
      [4, 'set-aside'],
      [5, 'made'],
    ])
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

  it.each([
    ['unit-slip', 'garlic powder by the quarter cup'],
    ['mushrooms-salted-early', 'miso before the browning'],
    ['pan-crowded', '250 g in the 28 cm pan'],
    ['list-step-disagree', '50 g of flour in the step, 35 g in the list'],
    ['listed-unused', 'mint that no step takes'],
  ])('has its planted mistake caught once: %s, %s', (rule) => {
    expect(now.findings.filter((finding) => finding.rule === rule)).toHaveLength(1)
  })

  it('has nothing that stops', () => {
    expect(now.findings.filter(({ severity }) => severity === 'stop')).toEqual([])
  })

  it('has a ribbon that follows the food: browning halves the mushrooms, the sauce loses little, the crumb dries', () => {
    const kept = now.parts.map(({ cookedMassG, rawMassG }) => cookedMassG / rawMassG)
    expect(kept[0]).toBeGreaterThan(0.6)
    expect(kept[0]).toBeLessThan(0.8)
    expect(kept[1]).toBeGreaterThan(0.9)
    expect(kept[1]).toBeLessThan(1)
    expect(kept[2]).toBeLessThan(0.9)
    const browned = now.parts[0]?.steps[0]
    expect((browned?.massG ?? 0) / (browned?.massInG ?? 1)).toBeGreaterThan(0.35)
    expect((browned?.massG ?? 0) / (browned?.massInG ?? 1)).toBeLessThan(0.6)
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

  describe('the rest of the menu', () => {
    const others = dishes.slice(1)

    it('is five dishes with the trials that were made of them', () => {
      expect(others.map(({ name }) => name)).toEqual([
        'Souvlaki strips',
        'Courgette keftedes',
        'Brined white block',
        'Avgolemono',
        'Thick strained “yogurt”',
      ])
      expect(others.map(({ id }) => all.filter(({ dishId }) => dishId === id).length)).toEqual([
        3, 2, 2, 1, 0,
      ])
    })

    it('knows every food of every dish, and reads what each step does', () => {
      for (const dish of others) {
        const { parts } = assess(dish, library, kitchen)
        expect(
          parts
            .flatMap(({ lines }) => lines)
            .filter(({ foodId, massG }) => foodId === null || massG === null),
        ).toEqual([])
        expect(parts.flatMap(({ unused }) => unused)).toEqual([])
        expect(parts.flatMap(({ steps }) => steps).filter(({ operation }) => operation === null)).toEqual([])
      }
    })

    it.each([
      ['courgette-keftedes', ['allergen-conflict'], 'wheat crumbs where the aim says no wheat'],
      ['souvlaki-strips', [], 'nothing'],
      ['brined-white-block', [], 'nothing: the agar boils in water'],
      ['avgolemono', [], 'nothing'],
      ['thick-yogurt', [], 'nothing: the base is cooled before the culture'],
    ])('%s is stopped by %j: %s', (id, rules) => {
      const dish = others.find((one) => one.id === id)
      if (dish === undefined) throw new Error(id)
      const stops = assess(dish, library, kitchen).findings.filter(({ severity }) => severity === 'stop')
      expect(stops.map(({ rule }) => rule)).toEqual(rules)
    })

    it('keeps the failed set of the white block: lemon in the boiling agar', () => {
      const block = others.find(({ id }) => id === 'brined-white-block')
      const first = all.find(({ dishId, number }) => dishId === 'brined-white-block' && number === 1)
      if (block === undefined || first === undefined) throw new Error('no block')
      const was = assess({ ...block, parts: first.parts }, library, kitchen)
      const now = assess(block, library, kitchen)
      const gelOf = (parts: typeof now.parts) =>
        parts[0]?.steps.at(-1)?.state.gels.find(({ foodId }) => foodId === 'agar-powder')?.state
      expect(gelOf(now.parts)).toBe('set')
      expect(
        was.findings.some(
          ({ rule }) => rule.includes('agar') || rule.includes('acid') || rule.includes('ratio'),
        ),
      ).toBe(true)
    })
  })
})
