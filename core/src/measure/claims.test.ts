import { describe, expect, it } from 'vitest'
import { food } from '../../test/foods'
import { goesAgainst, joinClaims } from './claims'
import { foodTokens } from './foodWords'

const flour = food('wheat-flour', { allergens: ['gluten-wheat'] })
const sauce = food('soy-sauce', { allergens: ['soy', 'gluten-wheat'] })
const rasher = food('bacon', { foodClass: 'meat' })
const oats = food('oats', { allergens: ['gluten-oats'] })

describe('joinClaims', () => {
  it.each([
    ['gluten free flour', 'glutenfree flour'],
    ['non dairy milk', 'dairyfree milk'],
    ['nondairy milk', 'dairyfree milk'],
    ['eggless mayo', 'eggfree mayo'],
    ['milk free spread', 'dairyfree spread'],
    ['free range egg', 'free range egg'],
    ['reduced salt soy sauce', 'reduced sodium soy sauce'],
    ['garlic salt', 'garlic salt'],
    ['', ''],
  ])('%s → %s', (text, joined) => {
    expect(joinClaims(text.split(' ')).join(' ')).toBe(joined)
  })

  it('is part of splitting a name, so both sides are joined alike', () => {
    expect(foodTokens('Gluten-free flour')).toEqual(['glutenfree', 'flour'])
  })
})

describe('goesAgainst', () => {
  it('keeps a food out that the words rule out', () => {
    expect(goesAgainst(foodTokens('gluten-free flour'), flour)).toBe(true)
    expect(goesAgainst(foodTokens('soy-free sauce'), sauce)).toBe(true)
    expect(goesAgainst(foodTokens('vegan bacon'), rasher)).toBe(true)
  })

  it('lets all others through', () => {
    expect(goesAgainst(foodTokens('dairy-free flour'), flour)).toBe(false)
    expect(goesAgainst(foodTokens('wheat flour'), flour)).toBe(false)
    expect(goesAgainst(foodTokens('gluten-free oats'), oats)).toBe(false)
    expect(goesAgainst(foodTokens('smoked bacon'), rasher)).toBe(false)
  })
})
