import { assess } from '@frijol/core/assess'
import { resolveLines } from '@frijol/core/composition'
import { defaultKitchen, type Dish, type Part, type Step } from '@frijol/core/model'
import { compile, withWords } from '@frijol/core/program'
import { readUses, type ReadWhole, usesOf } from '@frijol/core/reading'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pasted } from '../test/readTakes'
import { ownRecipes, publicRecipes } from '../test/scoreRecipes'
import { library } from '.'

/** How many methods are edited; `AGAIN_RUNS` for a longer look. */
const RUNS = Number(process.env['AGAIN_RUNS'] ?? 120)

const read = ({ parts, written }: Dish, before: ReadWhole | null) =>
  readUses(
    parts.map((part) => ({ part, lines: resolveLines(part, library, defaultKitchen) })),
    written,
    defaultKitchen,
    before,
  )

const RECIPES = [...publicRecipes(), ...ownRecipes('open.txt')].map(({ text }) => text)
const WORDS =
  ' with the oil| half of it| and set aside| the rest| in| a little water|, then drain|, keep the water| into| Add salt.| everything| 20 ml of the milk| under a lid| wrapped in foil| in 10 mm pieces| in a baking dish| in a wide skillet| coarsely|s|x|.| Stir.'.split(
    '|',
  )

type Way = 'append' | 'shorten' | 'operation' | 'byHand' | 'amount' | 'replace'
const edit = fc.record({
  step: fc.nat(),
  way: fc.constantFrom<Way>(
    'append',
    'append',
    'shorten',
    'shorten',
    'operation',
    'byHand',
    'amount',
    'replace',
  ),
  word: fc.constantFrom(...WORDS),
  place: fc.double({ min: 0, max: 1, noNaN: true }),
})
type Edit = typeof edit extends fc.Arbitrary<infer Made> ? Made : never

function edited(dish: Dish, { step: number, way, word, place }: Edit): Dish {
  const places = dish.parts.flatMap(({ steps }, part) => steps.map((_, step) => ({ part, step })))
  const at = places[number % Math.max(1, places.length)]
  if (at === undefined) return dish
  const change = (step: Step): Step => {
    const cut = Math.round(place * step.text.length)
    if (way === 'append') return { ...step, text: step.text + word }
    if (way === 'shorten') return { ...step, text: step.text.slice(0, -1) || 'Mix.' }
    if (way === 'replace')
      return { ...step, text: `${step.text.slice(0, cut)}${word} ${step.text.slice(cut)}` }
    if (way === 'operation') return { ...step, operation: step.operation === 'mix' ? 'blend' : 'mix' }
    return { ...step, uses: step.uses === null ? [] : null }
  }
  return {
    ...dish,
    parts: dish.parts.map((part, one) => {
      if (one !== at.part) return part
      if (way !== 'amount')
        return { ...part, steps: part.steps.map((s, i) => (i === at.step ? change(s) : s)) }
      const line = number % Math.max(1, part.lines.length)
      return {
        ...part,
        lines: part.lines.map((of, i) =>
          i !== line || of.amount === null
            ? of
            : {
                ...of,
                amount: {
                  ...of.amount,
                  terms: of.amount.terms.map((term) => ({
                    ...term,
                    // A digit more or less, or a nudge.
                    low: term.low * 10 ** (4 * place - 2),
                    high: term.high * 10 ** (4 * place - 2),
                  })),
                },
              },
        ),
      }
    }),
  }
}

describe('a method that is read again after an edit', () => {
  it('is read as if it were read for the first time, whatever was edited', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RECIPES),
        fc.array(edit, { minLength: 1, maxLength: 12 }),
        (text, edits) => {
          let dish = pasted(text)
          let { whole } = read(dish, null)
          for (const one of edits) {
            dish = edited(dish, one)
            const again = read(dish, whole)
            const anew = read(dish, null)
            expect(again.uses).toEqual(anew.uses)
            expect([...again.reading.amounts].sort()).toEqual([...anew.reading.amounts].sort())
            expect(again.reading.judged.map(({ was }) => was)).toEqual(
              anew.reading.judged.map(({ was }) => was),
            )
            whole = again.whole
          }
        },
      ),
      { numRuns: RUNS, seed: 11 },
    )
  }, 120_000)

  it('leaves steps as they were read where other masses compare alike', () => {
    const dish = pasted(
      'Stew\n\n400 g cooked beans\n1 litre vegetable broth\n40 g miso\n\nMethod\n1. Bring the broth to the boil.\n2. Simmer the beans in the broth for 20 minutes.\n3. Stir in the miso.',
    )
    const before = read(dish, null)
    const withBeans = (grams: number): Dish => ({
      ...dish,
      parts: dish.parts.map((part) => ({
        ...part,
        lines: part.lines.map((line) =>
          line.food !== 'cooked beans' || line.amount === null
            ? line
            : {
                ...line,
                amount: {
                  ...line.amount,
                  terms: line.amount.terms.map((term) => ({ ...term, low: grams, high: grams })),
                },
              },
        ),
      })),
    })
    const nudged = read(withBeans(405), before.whole)
    expect(nudged.whole.steps.every((step, at) => step === before.whole.steps[at])).toBe(true)
    const more = withBeans(40_000)
    expect(read(more, before.whole).uses).toEqual(read(more, null).uses)
  })

  it('is assessed as if for the first time', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RECIPES),
        fc.array(edit, { minLength: 1, maxLength: 5 }),
        (text, edits) => {
          let dish = pasted(text)
          assess(dish, library, defaultKitchen)
          for (const one of edits) {
            dish = edited(dish, one)
            // Another library of the same foods: nothing that was worked out before can stand.
            const anew = assess(structuredClone(dish), { ...library }, defaultKitchen)
            expect(assess(dish, library, defaultKitchen)).toEqual(anew)
          }
        },
      ),
      { numRuns: Math.ceil(RUNS / 2), seed: 12 },
    )
  }, 240_000)

  it('is run anew where a word changes what it is done in', () => {
    const dish = pasted(
      'Sauce\n\n800 g tinned tomatoes\n2 tbsp olive oil\n\nMethod\n1. Simmer the tomatoes and the oil in a pan for 40 minutes.',
    )
    const typed = edited(dish, { step: 0, way: 'append', word: ' Use a wide one.', place: 0 })
    const cooked = (of: Dish) => assess(of, library, defaultKitchen).parts[0]?.cookedMassG ?? 0
    expect(cooked(typed)).toBeLessThan(cooked(dish))
    expect(cooked(typed)).toBeCloseTo(cooked(structuredClone(typed)), 6)
  })

  it('keeps a program only where it would be compiled to the same', () => {
    const TURNS = [
      ' Use a wide one.',
      ' Twist it.',
      ' Pull it apart.',
      ' Whisk.',
      ' until leathery',
      ' in a baking dish',
      ' and bring to the boil',
      ' in the slow cooker',
      ' Dip it.',
      ' with the brine',
      ' Unwrap.',
      ' Crumble.',
      ' in 12 mm cubes',
      ' and peel',
      ' with the machine running',
      ' in a leaf',
    ]
    let kept = 0
    let turned = 0
    for (const text of RECIPES.slice(0, 60)) {
      const { parts } = pasted(text)
      for (const part of parts) {
        const lines = resolveLines(part, library, defaultKitchen)
        const uses = usesOf(part, lines, [], defaultKitchen)
        const programOf = (of: Part) =>
          compile({ part: of, lines, uses, library, kitchen: defaultKitchen, others: [], granted: [] })
        const program = programOf(part)
        part.steps.forEach((step, at) => {
          const turn = TURNS[(at + kept + turned) % TURNS.length] ?? ''
          const typed = {
            ...part,
            steps: part.steps.map((one) => (one === step ? { ...one, text: one.text + turn } : one)),
          }
          const again = withWords(program, typed)
          if (again === null) turned += 1
          else {
            kept += 1
            expect(again).toEqual(programOf(typed))
          }
        })
      }
    }
    expect(kept).toBeGreaterThan(100)
    expect(turned).toBeGreaterThan(20)
  })

  it('reads a seed egg again when its water is no longer its water', () => {
    const dish = pasted(
      'Mash\n\n240 g cooked black beans\n7 g ground flaxseed\n40 g water\n\nMethod\n1. Make the flax egg and set aside for 5 minutes.\n2. Mash the beans with the flax egg.',
    )
    const much = edited(dish, { step: 2, way: 'amount', word: '', place: 1 })
    const more = edited(much, { step: 2, way: 'amount', word: '', place: 1 })
    const first = read(dish, null)
    expect(read(more, first.whole).uses).toEqual(read(more, null).uses)
    expect(read(more, null).uses).not.toEqual(first.uses)
  })

  it('keeps the steps whose words and bench are as they were', () => {
    const dish = pasted(RECIPES[0] ?? '')
    const first = read(dish, null)
    const [part] = dish.parts
    const middle = Math.floor((part?.steps.length ?? 0) / 2)
    const typed = edited(dish, { step: middle, way: 'append', word: ' gently', place: 0 })
    const again = read(typed, first.whole)
    const kept = again.whole.steps.filter((step, at) => step === first.whole.steps[at])
    expect(kept).toHaveLength(first.whole.steps.length - 1)
  })
})
