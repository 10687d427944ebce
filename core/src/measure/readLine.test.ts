import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { testReader } from '../../test/dishes'
import { LONGEST_LINE, readLine } from './readLine'

const read = (text: string) => readLine(text, testReader)

describe('readLine', () => {
  it('keeps the text to the letter and tells food from preparation', () => {
    const text = '• 2 cups  white beans, cooked, half mashed (see note)'
    expect(read(text)).toMatchObject({
      text,
      food: 'white beans',
      prep: 'cooked, half mashed, see note',
      ingredientId: 'beans',
    })
  })

  it.each([
    ['250 g mushrooms', 'mushroom', 250, 'g'],
    ['mushrooms 250 g', 'mushroom', 250, 'g'],
    ['Mushrooms: 250 g', 'mushroom', 250, 'g'],
    ['mushrooms (250 g)', 'mushroom', 250, 'g'],
    ['mushrooms, 250 g, torn', 'mushroom', 250, 'g'],
    ['eggs x 2', 'egg', 2, null],
    ['1 cup (120 g) walnuts', 'walnut', 120, 'g'],
    ['100 g (about 1 cup) walnuts', 'walnut', 100, 'g'],
    ['500g/1lb 2oz beans', 'beans', 500, 'g'],
    ['1 cup (240 ml) water', 'water', 240, 'mL'],
    ['1 medium mushroom (about 20 g)', 'mushroom', 20, 'g'],
    ['2 eggs (about 55 g each)', 'egg', 110, 'g'],
  ])('reads %j in any order people write it', (text, id, low, unit) => {
    const line = read(text)
    expect(line.ingredientId).toBe(id)
    expect(line.amount?.terms[0]).toMatchObject({ low, unit })
  })

  it.each([
    ['salt to taste', 'to-taste'],
    ['oil for frying', 'for-frying'],
    ['water as needed', 'as-needed'],
    ['salt', 'unstated'],
  ])('leaves %j open and never zero', (text, open) => {
    expect(read(text)).toMatchObject({ amount: null, open })
  })

  it('keeps the amount where a use follows it', () => {
    expect(read('2 tbsp olive oil, for frying')).toMatchObject({ open: null, ingredientId: 'oil' })
  })

  it('reads a qualifier written after the food', () => {
    expect(read('1 cup walnuts, packed').amount?.terms[0]?.qualifier).toBe('packed')
  })

  it('names what it does not know', () => {
    expect(read('1 cup zorbels').findings[0]).toMatchObject({ rule: 'unknown-food' })
    expect(read('salt and water').findings[0]).toMatchObject({ rule: 'two-foods' })
    expect(read('1 tbsp gluten plus 3 tbsp water').findings.map(({ rule }) => rule)).toContain('second-food')
    expect(read('200 g').findings[0]).toMatchObject({ rule: 'no-food' })
  })

  it('says when two amounts on a line differ', () => {
    expect(read('1 cup (300 g) walnuts').findings.map(({ rule }) => rule)).toContain('amounts-disagree')
    expect(read('1 cup (100 g) walnuts').findings).toEqual([])
  })

  it('counts a tin with its liquid whole, and says when it only guessed that it is drained', () => {
    expect(read('1 can white beans, undrained').amount?.terms[0]).toMatchObject({
      unit: 'pack',
      pack: { quantity: 400, unit: 'g' },
    })
    expect(read('1 can white beans').findings.map(({ rule }) => rule)).toContain('drained-guess')
    expect(read('1 can white beans, drained').findings.map(({ rule }) => rule)).not.toContain('drained-guess')
  })

  it('marks what is optional', () => {
    expect(read('1 tsp salt (optional)').isOptional).toBe(true)
  })

  it('keeps the start of a line that is too long, and says so', () => {
    const line = read('x'.repeat(LONGEST_LINE + 1))
    expect(line.text).toHaveLength(LONGEST_LINE)
    expect(line.findings[0]?.rule).toBe('line-too-long')
  })

  it('reads any printable text of up to 500 characters without throwing', () => {
    const pieces = fc.constantFrom(
      '1',
      '½',
      '/',
      '-',
      '(',
      ')',
      ' x ',
      'cup',
      'g',
      'tin',
      'of',
      ',',
      'salt',
      'walnuts',
      '½ to',
      'juice of',
      'plus',
      '400',
      '.',
      '–',
      '[',
      'a',
      'lemon',
    )
    const lineLike = fc.array(pieces, { maxLength: 40 }).map((words) => words.join(' ').slice(0, 500))
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 500, unit: 'grapheme' }),
          fc.string({ maxLength: 500, unit: 'binary' }),
          lineLike,
        ),
        (text) => {
          const line = read(text)
          expect(line.text).toBe(text)
          for (const term of line.amount?.terms ?? [])
            expect(term.low <= term.high && Number.isFinite(term.high)).toBe(true)
        },
      ),
      { numRuns: 600 },
    )
  })
})
