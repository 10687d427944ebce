import type { OperationId } from '@frijol/core/model'

/** A step as a cook would write it, what stands in its list, and what it means. Written for this test. */
export interface InstructionText {
  readonly lines: readonly string[]
  readonly text: string
  readonly operation: OperationId
  readonly minutes: number | null
  readonly tempC: number | null
  /** Words of the lines that it takes, with the share where it is not all. */
  readonly uses: readonly (string | readonly [food: string, share: number])[]
}

const row = (
  lines: string,
  text: string,
  operation: OperationId,
  minutes: number | null,
  tempC: number | null,
  ...uses: InstructionText['uses']
): InstructionText => ({ lines: lines.split(' / '), text, operation, minutes, tempC, uses })

const BURGER =
  '400 g black beans, cooked / 60 g vital wheat gluten / 120 g onion / 2 tbsp olive oil / 1 tsp smoked paprika / 8 g salt / 40 g rolled oats'
const SAUCE =
  '500 ml soy milk / 40 g cornflour / 30 g olive oil / 4 g salt / 10 g nutritional yeast / 1/4 tsp nutmeg'
const TOFU = '400 g firm tofu / 30 ml soy sauce / 20 g cornflour / 10 ml lemon juice / 2 cloves garlic'
const STEW =
  '300 g dried chickpeas / 2 carrots / 1 onion / 400 g chopped tomatoes / 600 ml vegetable stock / 5 g salt'
const CHEESE =
  '150 g raw cashews / 120 ml water / 20 ml lemon juice / 4 g agar powder / 6 g salt / 15 g white miso'

export const TEXTS: readonly InstructionText[] = [
  row(BURGER, 'Mash the black beans roughly with a fork.', 'mash', null, null, 'black beans'),
  row(
    BURGER,
    'Soften the onion in the olive oil over a low heat, 8 minutes.',
    'sweat',
    8,
    null,
    'onion',
    'olive oil',
  ),
  row(
    BURGER,
    'Add the wheat gluten, oats, paprika and salt and knead for 3 min.',
    'knead',
    3,
    null,
    'vital wheat gluten',
    'rolled oats',
    'smoked paprika',
    'salt',
  ),
  row(
    BURGER,
    'Fry the onion in half the olive oil until golden, 8-10 minutes.',
    'shallow-fry',
    9,
    null,
    'onion',
    ['olive oil', 0.5],
  ),
  row(BURGER, 'roast beans 200C fan 25 min, single layer', 'roast', 25, 200, 'black beans'),
  row(
    BURGER,
    'Bake the beans at 350°F for a quarter of an hour … about 15 minutes.',
    'roast',
    15,
    177,
    'black beans',
  ),
  row(BURGER, 'Leave the oats to stand in a bowl for half an hour.', 'rest', 30, null, 'rolled oats'),
  row(
    BURGER,
    'Combine all the ingredients.',
    'mix',
    null,
    null,
    'black beans',
    'vital wheat gluten',
    'onion',
    'olive oil',
    'smoked paprika',
    'salt',
    'rolled oats',
  ),
  row(BURGER, 'Toast the oats in a dry frying pan for 4 minutes.', 'toast', 4, null, 'rolled oats'),
  row(BURGER, 'Drain and rinse the black beans.', 'rinse', null, null, 'black beans'),
  row(SAUCE, 'Whisk the cornflour into 100 ml of the soy milk.', 'mix', null, null, 'cornflour', [
    'soy milk',
    0.2,
  ]),
  row(
    SAUCE,
    'Simmer the soy milk with the nutmeg for ten minutes, stirring.',
    'simmer',
    10,
    null,
    'soy milk',
    'nutmeg',
  ),
  row(SAUCE, 'Bring the soy milk to the boil.', 'heat', null, 99, 'soy milk'),
  row(
    SAUCE,
    'Reduce the soy milk by a third over medium heat, about 20 minutes.',
    'reduce',
    20,
    null,
    'soy milk',
  ),
  row(SAUCE, 'Heat the olive oil gently to 60 °C.', 'heat', null, 60, 'olive oil'),
  row(
    SAUCE,
    'Season with salt, nutmeg and nutritional yeast.',
    'mix',
    null,
    null,
    'salt',
    'nutmeg',
    'nutritional yeast',
  ),
  row(
    SAUCE,
    'Blend the soy milk, yeast and oil for 90 seconds until smooth.',
    'blend',
    1.5,
    null,
    'soy milk',
    'nutritional yeast',
    'olive oil',
  ),
  row(
    SAUCE,
    'Thicken the milk with the cornflour, 3 minutes, until it coats a spoon.',
    'thicken',
    3,
    null,
    'soy milk',
    'cornflour',
  ),
  row(TOFU, 'Press the tofu under a weight for 1 hour.', 'press', 60, null, 'firm tofu'),
  row(TOFU, 'Cut the tofu into 2 cm cubes.', 'chop', null, null, 'firm tofu'),
  row(
    TOFU,
    'Marinate the tofu in the soy sauce and lemon juice overnight.',
    'marinate',
    600,
    null,
    'firm tofu',
    'soy sauce',
    'lemon juice',
  ),
  row(
    TOFU,
    'Toss the tofu with the cornflour and air-fry at 200 °C for 14-16 minutes, shaking after 8 minutes.',
    'air-fry',
    15,
    200,
    'firm tofu',
    'cornflour',
  ),
  row(TOFU, 'Freeze the tofu for 24 hours, then thaw it.', 'freeze-thaw', 1440, null, 'firm tofu'),
  row(TOFU, 'Simmer the tofu in salted water for 5 min.', 'simmer', 5, null, 'firm tofu'),
  row(TOFU, 'Grill the tofu on a hot griddle, 3 minutes a side.', 'grill', 3, null, 'firm tofu'),
  row(TOFU, 'Deep-fry the tofu at 175 °C for 4 minutes.', 'deep-fry', 4, 175, 'firm tofu'),
  row(TOFU, 'Steam the tofu in a covered steamer for twelve minutes.', 'steam', 12, null, 'firm tofu'),
  row(STEW, 'Soak the chickpeas in plenty of cold water overnight.', 'soak', 600, null, 'dried chickpeas'),
  row(STEW, 'Boil the chickpeas for 1 h 15 min, then drain.', 'boil', 75, null, 'dried chickpeas'),
  row(
    STEW,
    'Pressure-cook the chickpeas with the stock for 35 minutes.',
    'pressure-cook',
    35,
    null,
    'dried chickpeas',
    'vegetable stock',
  ),
  row(
    STEW,
    'Sauté the onion and carrots over high heat for 6 minutes.',
    'brown',
    6,
    null,
    'onion',
    'carrots',
  ),
  row(
    STEW,
    'Roast the carrots at gas mark 6 for 40 minutes, turning every 10 minutes.',
    'roast',
    40,
    204,
    'carrots',
  ),
  row(
    STEW,
    'Pour in the tomatoes and two thirds of the stock and simmer, lid off, for 45 minutes.',
    'simmer',
    45,
    null,
    'chopped tomatoes',
    ['vegetable stock', 2 / 3],
  ),
  row(STEW, 'Grate the carrots.', 'grate', null, null, 'carrots'),
  row(STEW, 'Dehydrate the tomatoes at 57C for 6 hours.', 'dehydrate', 360, 57, 'chopped tomatoes'),
  row(CHEESE, 'Soak the cashews for 4 hours.', 'soak', 240, null, 'raw cashews'),
  row(
    CHEESE,
    'Boil the agar powder in the water for 3 minutes, whisking.',
    'boil',
    3,
    null,
    'agar powder',
    'water',
  ),
  row(
    CHEESE,
    'Blend the cashews with the lemon juice, miso and salt until silky, 2 minutes.',
    'blend',
    2,
    null,
    'raw cashews',
    'lemon juice',
    'white miso',
    'salt',
  ),
  row(CHEESE, 'Leave the cashews to culture at 38 °C for 12 hours.', 'culture', 720, 38, 'raw cashews'),
  row(CHEESE, 'Chill the cashews for at least 2 hours until set.', 'chill', 120, null, 'raw cashews'),
]
