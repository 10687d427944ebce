import { describe, expect, it } from 'vitest'
import { dishOf, partOf, stepOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { assess } from '../assess'

const found = (lines: string[], steps: string[] = []) =>
  assess(dishOf(partOf(lines, null, { steps: steps.map((text) => stepOf(text)) })), testLibrary, testKitchen)
    .findings
const rules = (lines: string[], steps: string[] = []) => found(lines, steps).map(({ rule }) => rule)

describe('spoon letters', () => {
  it('asks about a lone T where a t is the usual amount', () => {
    expect(rules(['400 g white beans', '1 T salt'])).toContain('spoon-letter')
    expect(rules(['400 g white beans', '1 t salt'])).not.toContain('spoon-letter')
    expect(rules(['400 g white beans', '1 tbsp salt'])).not.toContain('spoon-letter')
    expect(rules(['400 g white beans', '2 T olive oil'])).not.toContain('spoon-letter')
  })
})

describe('grams and kilograms', () => {
  it.each([
    [['1.5 g white beans', '400 g mushrooms', '100 g walnuts'], true],
    [['250 kg white beans', '400 g mushrooms'], true],
    [['1.5 kg white beans', '400 g mushrooms'], false],
    [['5 g garlic powder', '400 g mushrooms'], false],
    [['2 g walnuts', '20 g mushrooms'], false],
  ] as const)('%j: %s', (lines, isSlip) => {
    expect(rules([...lines]).includes('thousandfold')).toBe(isSlip)
  })
})

describe('dry and cooked', () => {
  it('asks when nothing cooks the dry ones', () => {
    const lines = ['200 g dried kidney beans', '100 g walnuts']
    expect(rules(lines, ['Mash the beans with the walnuts.'])).toContain('dry-for-cooked')
    expect(rules(lines, ['Soak and boil the beans, then mash with the walnuts.'])).not.toContain(
      'dry-for-cooked',
    )
    expect(rules(lines)).not.toContain('dry-for-cooked')
    expect(rules(['200 g cooked kidney beans'], ['Mash the beans.'])).not.toContain('dry-for-cooked')
  })
})

describe('the same food twice', () => {
  it('is named, by the same name or in two states', () => {
    expect(
      found(['100 g walnuts', '20 g chopped walnuts']).find(({ rule }) => rule === 'same-food-twice')
        ?.message,
    ).toContain('two lines')
    expect(
      found(['100 g dried kidney beans', '100 g cooked kidney beans']).find(
        ({ rule }) => rule === 'same-food-twice',
      )?.message,
    ).toContain('two states')
    expect(rules(['100 g water', '50 g water', '2 g salt', '1 g salt'])).not.toContain('same-food-twice')
  })
})

describe('list and steps', () => {
  it('are held against each other', () => {
    const lines = ['100 g walnuts', '300 g white beans']
    expect(rules(lines, ['Toast 150 g walnuts, add beans.'])).toContain('list-step-disagree')
    expect(rules(lines, ['Toast 50 g walnuts, add beans.'])).toContain('list-step-disagree')
    expect(rules(lines, ['Toast 100 g walnuts, add beans.'])).not.toContain('list-step-disagree')
    expect(rules(lines, ['Blend with 100 g of the white beans. Add the walnuts.'])).not.toContain(
      'list-step-disagree',
    )
    expect(rules(lines, ['Use 200 g of the beans.', 'Add 200 g of the beans and the walnuts.'])).toContain(
      'list-step-disagree',
    )
    expect(rules(lines, ['Bake at 180 C for 20 minutes with walnuts and beans.'])).not.toContain(
      'list-step-disagree',
    )
  })

  it('name what a step uses and no part lists', () => {
    const lines = ['100 g walnuts', '300 g white beans']
    expect(
      found(lines, ['Mash beans and walnuts with the mushrooms.']).find(
        ({ rule }) => rule === 'used-unlisted',
      )?.message,
    ).toContain('mushrooms')
    expect(rules(lines, ['Mash beans and walnuts with water and salt.'])).not.toContain('used-unlisted')
  })

  it('count what another part lists', () => {
    const dish = dishOf(
      partOf(['300 g white beans'], null, { steps: [stepOf('Mash the beans, fold in the mushrooms.')] }),
      partOf(['200 g mushrooms'], null, { name: 'Mushroom layer' }),
    )
    expect(assess(dish, testLibrary, testKitchen).findings.map(({ rule }) => rule)).not.toContain(
      'used-unlisted',
    )
  })
})
