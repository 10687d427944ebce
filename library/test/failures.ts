import { randomFrom } from '@frijol/core/chance'
import { lineFrom } from '@frijol/core/measure'
import { blankDish, blankPart, type Dish, type FamilyId, type Trial } from '@frijol/core/model'
import { stepFrom } from '@frijol/core/reading'
import { reader } from './dishes'

/** A recipe as it is written, with what can be planted in it. */
interface Plain {
  readonly name: string
  readonly family: FamilyId
  readonly original: string
  /** Grams and the rest of the line. */
  readonly lines: readonly (readonly [grams: number, food: string])[]
  readonly steps: readonly string[]
  readonly faults: readonly Fault[]
}

/** What is planted: a line times a factor, a step said otherwise, or left out. */
interface Fault {
  readonly said: string
  readonly line?: readonly [at: number, factor: number]
  readonly step?: readonly [at: number, words: string | null]
}

export interface Failure {
  readonly name: string
  readonly family: FamilyId
  readonly said: string
  readonly dish: Dish
  readonly asMade: Trial['asMade']
  readonly parent: Dish | null
  /** Id of the line or step that was planted; null = nothing was. */
  readonly planted: string | null
  readonly against: 'parent' | 'plan' | 'nothing'
}

const RECIPES: readonly Plain[] = [
  {
    name: 'bean patties',
    family: 'bound-patty',
    original: 'beef_patty',
    lines: [
      [300, 'black beans, cooked'],
      [70, 'dry breadcrumbs'],
      [50, 'walnuts, chopped'],
      [18, 'ground flaxseed'],
      [50, 'water'],
      [24, 'olive oil'],
      [6, 'salt'],
      [3, 'ground cumin'],
    ],
    steps: [
      'Mash half of the black beans.',
      'Stir the flaxseed into the water and leave to rest for 10 minutes.',
      'Mix the mashed beans, the rest of the beans, the flaxseed, breadcrumbs, walnuts, oil, salt and cumin.',
      'Chill the mix for 40 minutes.',
      'Shape into patties 15 mm thick.',
      'Bake at 190 °C for 25 minutes.',
    ],
    faults: [
      { said: 'They fell apart when I turned them', line: [4, 3] },
      { said: 'would not hold together, crumbled on the plate', line: [3, 0.15] },
      { said: 'broke up in the pan', line: [1, 0.25] },
      { said: 'they would not hold when shaped, loose', step: [3, null] },
      { said: 'mushy, no bite', step: [0, 'Mash the black beans.'] },
      { said: 'raw inside and mushy', step: [5, 'Bake at 190 °C for 8 minutes.'] },
      { said: 'dry and mealy', line: [5, 0.1] },
      { said: 'dry like sawdust', step: [5, 'Bake at 190 °C for 60 minutes.'] },
      { said: 'stodgy, dry', line: [1, 2.4] },
      { said: 'way too salty', line: [6, 2.6] },
      { said: 'bland and flat', line: [6, 0.2] },
      { said: 'greasy, oily film in the mouth', line: [5, 3] },
    ],
  },
  {
    name: 'seitan slices',
    family: 'bound-dough-slice',
    original: 'turkey_roast',
    lines: [
      [200, 'vital wheat gluten'],
      [160, 'butter beans, cooked'],
      [190, 'water'],
      [24, 'olive oil'],
      [18, 'soy sauce'],
      [10, 'nutritional yeast'],
      [3, 'garlic powder'],
    ],
    steps: [
      'Blend the butter beans with the water, oil and soy sauce for 60 seconds.',
      'Stir the bean liquid into the gluten, yeast and garlic powder and knead for 4 minutes.',
      'Rest the dough for 20 minutes.',
      'Shape into a log and wrap tightly.',
      'Steam for 55 minutes.',
      'Chill for 8 hours.',
    ],
    faults: [
      {
        said: 'rubbery, it bounces back',
        step: [1, 'Stir the bean liquid into the gluten, yeast and garlic powder and knead for 16 minutes.'],
      },
      { said: 'rubber, squeaks between the teeth', line: [0, 1.6] },
      { said: 'too rubbery', line: [1, 0.2] },
      { said: 'bready and spongy', line: [2, 1.5] },
      { said: 'doughy inside', step: [4, 'Steam for 15 minutes.'] },
      { said: 'full of holes like bread', step: [3, 'Shape into a log.'] },
      { said: 'dry, thirsty', line: [3, 0.1] },
      { said: 'much too salty', line: [4, 3.2] },
      {
        said: 'no strands, tears like bread',
        step: [1, 'Stir the bean liquid into the gluten, yeast and garlic powder.'],
      },
      { said: 'bland, needs something', line: [4, 0.15] },
    ],
  },
  {
    name: 'white sauce',
    family: 'coating-sauce',
    original: 'sauce_white',
    lines: [
      [600, 'unsweetened soy milk'],
      [40, 'plain flour'],
      [32, 'olive oil'],
      [8, 'nutritional yeast'],
      [5, 'salt'],
      [1, 'nutmeg'],
    ],
    steps: [
      'Cook the flour in the olive oil for 2 minutes.',
      'Whisk in the soy milk and simmer for 8 minutes, stirring.',
      'Stir in the yeast, salt and nutmeg.',
    ],
    faults: [
      { said: 'too thin, it runs off', line: [1, 0.4] },
      { said: "it didn't thicken", line: [0, 1.7] },
      { said: 'gluey and far too thick', line: [1, 2.1] },
      { said: 'too thick, sets solid', line: [0, 0.55] },
      { said: 'watery, thin', step: [1, 'Whisk in the soy milk and warm for 1 minute, stirring.'] },
      { said: 'not creamy, like wallpaper paste', line: [2, 0.15] },
      { said: 'salty', line: [4, 2.8] },
      { said: 'dull, flat', line: [4, 0.2] },
      { said: 'a yeasty aftertaste', line: [3, 5] },
      { said: 'too thick', step: [1, 'Whisk in the soy milk and simmer for 40 minutes, stirring.'] },
    ],
  },
  {
    name: 'quiche filling',
    family: 'custard-gel',
    original: 'custard_quiche',
    lines: [
      [400, 'silken tofu'],
      [130, 'unsweetened soy milk'],
      [16, 'corn starch'],
      [16, 'chickpea flour'],
      [24, 'olive oil'],
      [4, 'salt'],
      [1.2, 'black salt'],
    ],
    steps: [
      'Blend the tofu, soy milk, starch, chickpea flour, oil, salt and black salt for 90 seconds.',
      'Bake at 170 °C for 40 minutes.',
      'Cool for 45 minutes.',
      'Chill for 3 hours.',
    ],
    faults: [
      { said: 'never set, runny in the middle', step: [1, 'Bake at 170 °C for 8 minutes.'] },
      { said: "it didn't set", line: [2, 0.1] },
      { said: 'weeps and wobbles', line: [1, 2.8] },
      { said: 'rubbery and stiff', line: [2, 3] },
      { said: 'rubbery, bubbles inside', step: [1, 'Bake at 230 °C for 40 minutes.'] },
      { said: 'no egg taste', line: [6, 0.1] },
      { said: 'smells like a drain', line: [6, 5] },
      {
        said: 'gritty',
        step: [
          0,
          'Blend the tofu, soy milk, starch, chickpea flour, oil, salt and black salt for 8 seconds.',
        ],
      },
      { said: 'collapsed when cut, too soft', step: [3, null] },
      { said: 'too salty', line: [5, 3] },
    ],
  },
  {
    name: 'melting slices',
    family: 'stretch-melt',
    original: 'cheese_stretch',
    lines: [
      [120, 'cashews, soaked'],
      [46, 'tapioca starch'],
      [340, 'water'],
      [62, 'refined coconut oil'],
      [8, 'nutritional yeast'],
      [9, 'lemon juice'],
      [8, 'salt'],
    ],
    steps: [
      'Blend the cashews, tapioca starch, water, coconut oil, yeast and salt for 90 seconds.',
      'Cook in a pan at 88 °C for 7 minutes, stirring, until glossy.',
      'Stir in the lemon juice.',
      'Chill for 6 hours.',
    ],
    faults: [
      { said: 'no stretch', line: [1, 0.3] },
      { said: 'it does not stretch at all', step: [1, 'Cook in a pan at 88 °C for 1 minute, stirring.'] },
      { said: 'oil ring, it oils off', line: [3, 2.2] },
      { said: 'does not melt', line: [2, 0.5] },
      { said: 'too soft to slice, sticks to the knife', step: [3, null] },
      {
        said: 'gritty',
        step: [0, 'Blend the cashews, tapioca starch, water, coconut oil, yeast and salt for 8 seconds.'],
      },
      { said: 'too salty', line: [6, 2.6] },
      { said: 'sour', line: [5, 6] },
      { said: 'no stretch, short', line: [0, 2.5] },
      { said: 'sticky, cannot slice it', line: [2, 1.5] },
    ],
  },
  {
    name: 'lentil mince',
    family: 'crumble-mince',
    original: 'beef_mince',
    lines: [
      [400, 'green lentils, cooked'],
      [160, 'oyster mushrooms, torn'],
      [80, 'walnuts, chopped'],
      [20, 'olive oil'],
      [28, 'tomato paste'],
      [16, 'soy sauce'],
      [24, 'vital wheat gluten'],
    ],
    steps: [
      'Brown the mushrooms in a dry pan over high heat for 10 minutes.',
      'Add the olive oil, tomato paste and soy sauce and fry for 2 minutes.',
      'Fold in the lentils, walnuts and gluten.',
      'Spread on a tray and bake at 190 °C for 15 minutes.',
    ],
    faults: [
      {
        said: 'pasted together, no granules',
        step: [2, 'Mash the lentils and fold them in with the walnuts and gluten.'],
      },
      { said: 'soft paste in the sauce', step: [3, null] },
      { said: 'dry and mealy', step: [3, 'Spread on a tray and bake at 190 °C for 50 minutes.'] },
      { said: 'dry, no juice', line: [2, 0.1] },
      { said: 'too salty', line: [5, 4] },
      { said: 'clumps like a sponge', line: [6, 3.5] },
      { said: 'flat, tasteless', line: [5, 0.1] },
      { said: 'greasy', line: [3, 4] },
    ],
  },
]

const written = ([grams, food]: readonly [number, string]): string =>
  `${Number(grams.toPrecision(4))} g ${food}`

function dishOf(recipe: Plain, masses: readonly number[], steps: readonly (string | null)[]): Dish {
  return {
    ...blankDish(recipe.name, recipe.name, '2026-06-14T12:00:00Z'),
    parts: [
      {
        ...blankPart('part', 'Main'),
        family: recipe.family,
        originalId: recipe.original,
        lines: recipe.lines.map(([, food], at) => ({
          ...lineFrom(written([masses[at] ?? 0, food]), { reader, newId: () => `line ${at}` }),
          id: `line ${at}`,
        })),
        steps: steps.flatMap((words, at) => (words === null ? [] : [stepFrom(words, `step ${at}`)])),
      },
    ],
  }
}

/** Minutes in a step's words, a little more or less. */
const strayed = (words: string, by: number): string =>
  words.replace(/(\d+)(?= (?:minutes|seconds))/g, (number) =>
    String(Math.max(1, Math.round(Number(number) * by))),
  )

/**
 * Trials with one thing planted, made from plain words and numbers: nothing here knows the model. Every weighing strays
 * a little, and some other thing was changed on purpose that does no harm.
 * @param plants whether something is planted, or the cook only says so
 * @param meantShare how much the other thing was changed
 */
export function failures(count: number, seed: number, plants: boolean, meantShare = 0.14): Failure[] {
  const chance = randomFrom(seed)
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
  const all = RECIPES.flatMap((recipe) => recipe.faults.map((fault) => ({ recipe, fault })))
  return Array.from({ length: count }, (_, at): Failure => {
    const { recipe, fault } = all[(at * 7) % all.length] as (typeof all)[number]
    const kinds =
      fault.line === undefined
        ? (['parent', 'parent', 'nothing'] as const)
        : (['parent', 'plan', 'nothing', 'parent'] as const)
    const against = kinds[Math.floor(chance() * kinds.length)] ?? 'parent'
    const base = recipe.lines.map(([grams]) => grams)
    const parent = dishOf(recipe, base, recipe.steps)
    // A seasoning or a small line was changed on purpose as well, and a clock strays.
    const decoy = Math.floor(chance() * recipe.lines.length)
    const meant = base.map((grams, line) =>
      plants && fault.line?.[0] === line
        ? grams
        : grams *
          Math.exp(0.035 * normal()) *
          (line === decoy ? 1 + meantShare * (chance() < 0.5 ? -1 : 1) : 1),
    )
    const bad = meant.map((grams, line) =>
      plants && fault.line?.[0] === line ? grams * fault.line[1] : grams,
    )
    const steps = recipe.steps.map((words, step) =>
      plants && fault.step?.[0] === step ? fault.step[1] : strayed(words, Math.exp(0.05 * normal())),
    )
    const isPlan = against === 'plan'
    const dish = dishOf(recipe, isPlan ? base : bad, steps)
    return {
      name: `${recipe.name}: ${fault.said} (${against})`,
      family: recipe.family,
      said: fault.said,
      dish,
      asMade: isPlan ? bad.map((massG, line) => ({ lineId: `line ${line}`, massG, instead: null })) : [],
      parent: against === 'parent' ? parent : null,
      planted: !plants
        ? null
        : fault.line !== undefined
          ? `line ${fault.line[0]}`
          : `step ${fault.step?.[0] ?? 0}`,
      against,
    }
  })
}
