import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { testReader } from '../../test/dishes'
import { findFood, indexFoods } from './findFood'

const found = (text: string, hints: string[] = []) => findFood(testReader.index, text, hints)

describe('findFood', () => {
  it.each([
    ['white beans', 'beans'],
    ['cannellini', 'beans'],
    ['large button mushrooms', 'mushroom'],
    ['chopped walnuts', 'walnut'],
    ['cornflour', 'corn-starch'],
    ['walnut', 'walnut'],
    ['wallnuts', 'walnut'],
    ['mushroms', 'mushroom'],
    ['garlic powder', 'garlic-powder'],
  ])('knows %j', (text, id) => {
    expect(found(text).ingredientId).toBe(id)
  })

  it.each(['walnut oil', 'mushroom soup', 'bean sprouts', 'dragonfruit', '', 'salt cod'])(
    'does not take %j for another food',
    (text) => {
      expect(found(text).ingredientId).toBeNull()
    },
  )

  it('tells dry from cooked by the words, by a hint, and says when it guessed', () => {
    expect(found('dried kidney beans').ingredientId).toBe('kidney-beans-dry')
    expect(found('cooked kidney beans').ingredientId).toBe('kidney-beans-cooked')
    expect(found('kidney beans', ['dry']).ingredientId).toBe('kidney-beans-dry')
    expect(found('kidney beans')).toMatchObject({ ingredientId: 'kidney-beans-cooked', isStateGuessed: true })
    expect(found('dried kidney beans').isStateGuessed).toBe(false)
  })

  it('ranks what an unsure text could be', () => {
    const { ingredientId, choices } = found('heirloom striped zanzibar beans')
    expect(ingredientId).toBeNull()
    expect(choices.every(({ score }) => score >= 0 && score <= 1)).toBe(true)
  })

  it('never throws', () => {
    fc.assert(fc.property(fc.string({ maxLength: 200, unit: 'binary' }), (text) => void found(text)))
  })
})

describe('names that a kitchen gave', () => {
  const foods = [...testReader.ingredients.values()]
  const index = indexFoods(foods.values(), [
    { name: 'the good nuts', ingredientId: 'walnut' },
    { name: 'white beans', ingredientId: 'mushroom' },
    { name: 'lost', ingredientId: 'gone' },
  ])

  it('stand for their food, before any other that is called so', () => {
    expect(findFood(index, 'the good nuts').ingredientId).toBe('walnut')
    expect(findFood(testReader.index, 'the good nuts').ingredientId).toBeNull()
    expect(findFood(index, 'white beans').ingredientId).toBe('mushroom')
    expect(findFood(index, 'cannellini').ingredientId).toBe('beans')
  })

  it('of a food that is gone name nothing', () => {
    expect(findFood(index, 'lost').ingredientId).toBeNull()
  })
})
