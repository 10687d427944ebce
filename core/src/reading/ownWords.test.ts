import { describe, expect, it } from 'vitest'
import { defaultKitchen, type Kitchen } from '../model'
import { doingsIn } from './doings'
import {
  followWords,
  NO_WORDS,
  ownWordsOf,
  readStep,
  rereadStep,
  setByHand,
  stepFrom,
  wordToTeach,
} from './index'

const kitchen = (words: Kitchen['words']): Kitchen => ({ ...defaultKitchen, words })
const own = ownWordsOf(
  kitchen([
    { word: 'frizzle', operation: 'shallow-fry' },
    { word: 'scald', operation: 'heat' },
  ]),
)
const operations = (text: string, words = NO_WORDS) => doingsIn(text, words).map(({ operation }) => operation)

describe('a verb that a kitchen has taught', () => {
  it('opens a doing that no table knows', () => {
    const text = 'Frizzle the leeks in the oil for 6 minutes, then stir in the salt.'
    expect(operations(text)).not.toContain('shallow-fry')
    expect(operations(text, own)).toEqual(['shallow-fry', 'mix'])
    expect(readStep('Frizzle the leeks for 6 minutes.', own)).toMatchObject({
      operation: 'shallow-fry',
      durationMin: 6,
    })
  })

  it('is read in its other forms, too', () => {
    expect(operations('I frizzled the leeks and then mashed the beans.', own)).toEqual([
      'shallow-fry',
      'mash',
    ])
  })

  it('goes before the common meaning, in this kitchen alone', () => {
    const text = 'Scald the oat drink for 3 minutes.'
    expect(readStep(text).operation).toBe('boil')
    expect(readStep(text, own).operation).toBe('heat')
    expect(readStep(text).operation).toBe('boil')
    expect(stepFrom(text, 's', own).operation).toBe('heat')
  })

  it('is kept when the words of a step change, and when they are followed again', () => {
    const step = stepFrom('Scald the oat drink.', 's', own)
    expect(rereadStep(step, 'Scald the oat drink for 5 minutes.', own)).toMatchObject({
      operation: 'heat',
      durationMin: 5,
    })
    const other = setByHand(step, { operation: 'simmer' })
    expect(other.operation).toBe('simmer')
    expect(followWords(other, own).operation).toBe('heat')
  })

  it('is made once for a kitchen', () => {
    const one = kitchen([{ word: 'frizzle', operation: 'shallow-fry' }])
    expect(ownWordsOf(one)).toBe(ownWordsOf(one))
    expect(ownWordsOf(defaultKitchen)).toBe(NO_WORDS)
  })
})

describe('the word that could be taught', () => {
  it.each([
    ['Scald the oat drink.', 'heat', 'scald'],
    ['Then frizzle the leeks.', 'shallow-fry', 'frizzle'],
    ['Mixing the batter well', 'rest', 'mix'],
    ['The leeks: five minutes.', 'sweat', null],
    ['In goes the rice.', 'simmer', null],
    ['12 minutes at 180 °C', 'roast', null],
    ['Bake the loaf.', 'roast', null],
  ] as const)('of “%s” set to %s is %s', (text, operation, word) => {
    expect(wordToTeach(text, operation, NO_WORDS)).toBe(word)
  })

  it('is none where the kitchen means it so already', () => {
    expect(wordToTeach('Scald the oat drink.', 'heat', own)).toBeNull()
    expect(wordToTeach('Scald the oat drink.', 'boil', own)).toBe('scald')
  })
})
