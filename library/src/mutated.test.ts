import { assess } from '@frijol/core/assess'
import { Assessment, blankDish, defaultKitchen, type Dish } from '@frijol/core/model'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { written } from '../test/dishes'
import { library } from '.'

/** How many spoilt recipes are tried; `MUTANT_RUNS` for a longer look. */
const RUNS = Number(process.env['MUTANT_RUNS'] ?? 300)

const RECIPES: readonly (readonly [readonly string[], readonly string[]])[] = [
  [
    [
      '250 g dried black beans',
      '1 onion, chopped',
      '2 tbsp olive oil',
      '1 tsp salt',
      '90 g walnuts',
      '¼ cup soy sauce',
    ],
    [
      'Soak the beans overnight, then drain.',
      'Boil the beans in fresh water for 75 minutes and drain.',
      'Fry the onion in the oil for 10 minutes.',
      'Mash half the beans and fold in the rest with the walnuts.',
      'Shape into patties 15 mm thick and bake at 190 C for 25 minutes.',
    ],
  ],
  [
    [
      '500 ml soy milk',
      '3 g agar powder',
      '80 g raw cashews',
      '15 ml lemon juice',
      '40 g refined coconut oil',
      '7 g salt',
    ],
    [
      'Soak the cashews 4 hours and drain.',
      'Blend the cashews with half of the soy milk for 3 minutes.',
      'Simmer the agar in the remaining soy milk for 5 minutes.',
      'Stir everything together, pour into a mould and chill 3 hours.',
    ],
  ],
  [
    [
      '150 g vital wheat gluten',
      '180 ml vegetable stock',
      '20 g tomato paste',
      '1 l stock, for simmering',
      '12 g nutritional yeast',
    ],
    [
      'Knead the gluten, stock, yeast and tomato paste for 4 minutes.',
      'Wrap in foil and steam 45 minutes until 74 C inside.',
      'Cool, slice 6 mm thin and sear until it weighs 280 g.',
      'Marinate in the stock overnight; drain, keep the liquid.',
    ],
  ],
  [
    [
      '400 g firm tofu',
      '300 g button mushrooms',
      '1 aubergine (350 g)',
      '30 g cornflour',
      '750 ml oil, for frying',
      '2 tsp miso',
    ],
    [
      'Press the tofu 30 minutes.',
      'Salt the aubergine for 20 minutes, rinse and squeeze.',
      'Toss the tofu in cornflour and deep-fry in two batches at 180 C for 4 minutes.',
      'Sweat the mushrooms with the lid on until almost dry.',
      'Combine and roast at 200 C for half an hour.',
    ],
  ],
]

const ODD = [
  '0',
  '1e308',
  '-5',
  '999999999999',
  '½',
  'NaN',
  '°C',
  'until',
  'half',
  'all but',
  '(',
  ')',
  '–',
  '\u0000',
  '🫘',
  'kg',
  'hours',
  '  ',
  '10 to 5',
  '1/0',
  'everything',
  'drained',
  'to 400 C',
] as const
type Spoil = (text: string, at: number, other: string) => string
const words = (text: string): string[] => text.split(' ')
const SPOILS: readonly Spoil[] = [
  (text, at) =>
    words(text)
      .toSpliced(at % words(text).length, 1)
      .join(' '),
  (text, at) =>
    words(text)
      .toSpliced(at % words(text).length, 0, ODD[at % ODD.length] ?? '')
      .join(' '),
  (text, at) =>
    words(text)
      .with(at % words(text).length, ODD[at % ODD.length] ?? '')
      .join(' '),
  (text, at) => text.replace(/\d+/, (digits) => `${digits}${'0'.repeat(at % 9)}`),
  (text, at) => text.slice(0, at % (text.length + 1)),
  (text, at) => `${text.slice(0, at % (text.length + 1))}${text.slice((at + 1) % (text.length + 1))}`,
  (text, _at, other) => `${text} ${other}`,
  (_text, _at, other) => other,
  (text) => text.toUpperCase(),
  (text) => words(text).reverse().join(' '),
]

const mutant = fc.record({
  which: fc.nat({ max: RECIPES.length - 1 }),
  family: fc.constantFrom('crumble-mince' as const, 'coating-sauce' as const, null),
  spoils: fc.array(
    fc.record({
      inSteps: fc.boolean(),
      row: fc.nat({ max: 9 }),
      by: fc.nat({ max: SPOILS.length - 1 }),
      at: fc.nat({ max: 200 }),
    }),
    { minLength: 1, maxLength: 8 },
  ),
})

it('a spoilt recipe is assessed all the same: nothing throws, every figure is one', () => {
  let slowestMs = 0
  fc.assert(
    fc.property(mutant, ({ which, family, spoils }) => {
      const recipe = RECIPES[which] ?? [[], []]
      const texts: [string[], string[]] = [[...recipe[0]], [...recipe[1]]]
      for (const { inSteps, row, by, at } of spoils) {
        const list = inSteps ? texts[1] : texts[0]
        const of = row % list.length
        list[of] = SPOILS[by]?.(list[of] ?? '', at, texts[at % 2]?.[(row + 1) % 4] ?? '') ?? ''
      }
      const started = performance.now()
      const dish: Dish = {
        ...blankDish('d', 'Spoilt', '2026-06-14T12:00:00Z'),
        parts: [written(texts[0], texts[1], family)],
      }
      const assessment = assess(dish, library, defaultKitchen)
      slowestMs = Math.max(slowestMs, performance.now() - started)
      expect(() => Assessment.parse(assessment)).not.toThrow()
    }),
    { numRuns: RUNS },
  )
  if (process.env['MUTANT_RUNS'] !== undefined)
    console.log(`${RUNS} recipes, slowest ${slowestMs.toFixed(0)} ms`)
})
