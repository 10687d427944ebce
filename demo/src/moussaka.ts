/** The moussaka of Saltmarsh Row Test Kitchen, trial by trial, as it was written at the counter. */
export interface WrittenPart {
  readonly name: string
  readonly originalId: string
  readonly family: 'crumble-mince' | 'coating-sauce'
  readonly lines: readonly string[]
  readonly steps: readonly (readonly [text: string, keepsFraction: number | null])[]
}

const MINCE_STEPS: WrittenPart['steps'] = [
  [
    'Brown the torn oyster mushrooms in a dry 32 cm pan over high heat until no steam rises, about 9 minutes. Leave them alone; salt comes later.',
    0.86,
  ],
  [
    'Add the olive oil and onion and sweat 6 minutes. Stir in the tomato paste, garlic powder, cinnamon, allspice and oregano and fry 1 minute.',
    0.95,
  ],
  [
    'Fold in the half-mashed black-eyed peas, walnuts and miso. Stir in the wheat gluten last and work it through for 1 minute.',
    null,
  ],
  ['Spread thin on a tray and bake at 190 °C fan for 18 minutes, turning once, until the edges brown.', 0.9],
]
const SAUCE_STEPS: WrittenPart['steps'] = [
  ['Drain the soaked cashews and blend them with 200 ml of the soy milk for 90 seconds, until smooth.', null],
  [
    'Cook the flour in the olive oil for 2 minutes. Whisk in the rest of the soy milk and simmer 6 minutes, stirring.',
    0.93,
  ],
  [
    'Whisk in the cashew cream, nutritional yeast, miso, salt and nutmeg. Simmer until it coats a spoon.',
    0.98,
  ],
]

const mince = (lines: readonly string[]): WrittenPart => ({
  name: 'Mince layer',
  originalId: 'lamb_mince',
  family: 'crumble-mince',
  lines,
  steps: MINCE_STEPS,
})
const sauce = (lines: readonly string[]): WrittenPart => ({
  name: 'White sauce',
  originalId: 'sauce_white',
  family: 'coating-sauce',
  lines,
  steps: SAUCE_STEPS,
})

export interface WrittenTrial {
  readonly number: number
  readonly fromNumber: number | null
  readonly date: string
  readonly parts: readonly WrittenPart[]
  readonly notes: string
  readonly decision: string
}

export const trials: readonly WrittenTrial[] = [
  {
    number: 1,
    fromNumber: null,
    date: '2026-06-02',
    parts: [
      mince([
        '2 cups black-eyed peas, cooked, all mashed',
        '250 g oyster mushrooms, torn',
        '1/2 cup walnuts, pulsed to crumbs',
        '1 medium onion, fine dice',
        '2 tbsp tomato paste',
        '1 tbsp red miso',
        '1 tbsp olive oil',
        '1 tsp ground cinnamon',
        '1 tsp garlic powder',
        '1 tsp dried oregano',
      ]),
      sauce([
        '600 ml unsweetened soy milk',
        '40 g plain flour',
        '30 g olive oil',
        '4 g fine salt',
        '1/4 tsp nutmeg',
      ]),
    ],
    notes: 'Mince pasted together under the sauce; no chew. Sauce thin in the middle of the dish, and flat.',
    decision: 'Set aside: mash half the peas only, add gluten for chew and walnuts for richness.',
  },
  {
    number: 2,
    fromNumber: 1,
    date: '2026-06-09',
    parts: [
      mince([
        '2 cups black-eyed peas, cooked, half mashed',
        '250 g oyster mushrooms, torn, browned dry',
        '1 cup walnuts, pulsed to crumbs',
        '4 tbsp vital wheat gluten, stirred in last',
        '1 medium onion, fine dice',
        '2 tbsp tomato paste',
        '1 1/2 tbsp red miso',
        '1 tbsp olive oil',
        '1 1/2 tsp ground cinnamon',
        '1 tsp garlic powder',
        '1 tsp dried oregano',
      ]),
      sauce([
        '500 ml unsweetened soy milk',
        '60 g raw cashews, soaked 4 hours',
        '35 g plain flour',
        '30 g olive oil',
        '1 1/2 tbsp nutritional yeast',
        '5 g white miso',
        '4 g fine salt',
        '1/4 tsp nutmeg',
      ]),
    ],
    notes:
      'Granules separate now, bite still short. Needed 40 ml more soy milk than written to pour. P3 and P6 missed lamb richness.',
    decision: 'Keep. Next: more gluten for chew, allspice for the lamb note.',
  },
]

/** The formula in work: trial 3, with one slip of the pen still in it. */
export const current: WrittenTrial = {
  number: 3,
  fromNumber: 2,
  date: '2026-06-14',
  parts: [
    mince([
      '2 cups black-eyed peas, cooked, half mashed',
      '250 g oyster mushrooms, torn, browned dry',
      '1 cup walnuts, pulsed to crumbs',
      '6 tbsp vital wheat gluten, stirred in last',
      '1 medium onion, fine dice',
      '2 tbsp tomato paste',
      '1 1/2 tbsp red miso',
      '1 tbsp olive oil',
      '1 1/2 tsp ground cinnamon',
      '1/2 tsp ground allspice',
      '1 tsp dried oregano',
      '1/4 cup garlic powder',
    ]),
    sauce([
      '540 ml unsweetened soy milk',
      '60 g raw cashews, soaked 4 hours',
      '35 g plain flour',
      '30 g olive oil',
      '1 1/2 tbsp nutritional yeast',
      '5 g white miso',
      '4 g fine salt',
      '1/4 tsp nutmeg',
    ]),
  ],
  notes: '',
  decision: '',
}

/** Prices in euro for the grams named, as the kitchen pays them. Written for the demo. */
export const prices: readonly (readonly [ingredientId: string, price: number, perG: number])[] = [
  ['black-eyed-peas-cooked', 1.6, 1000],
  ['mushrooms-oyster', 2.4, 250],
  ['walnuts', 13, 1000],
  ['vital-wheat-gluten', 7.5, 1000],
  ['onion', 1.4, 1000],
  ['tomato-paste', 1.1, 200],
  ['miso-red', 4.9, 300],
  ['miso-white', 4.9, 300],
  ['olive-oil', 9.5, 916],
  ['cinnamon', 1.9, 50],
  ['allspice', 2.2, 40],
  ['oregano-dried', 1.4, 15],
  ['garlic-powder', 2.1, 70],
  ['soy-milk', 1.5, 1028],
  ['cashews-raw', 15.5, 1000],
  ['wheat-flour', 0.9, 1000],
  ['nutritional-yeast-fortified', 5.2, 200],
  ['salt', 0.6, 1000],
  ['nutmeg', 2.4, 35],
]

/** Packs that the kitchen buys, in grams. Written for the demo: the oyster mushrooms come in more than the formula takes. */
export const packs: readonly (readonly [ingredientId: string, massG: number, label: string])[] = [
  ['mushrooms-oyster', 400, 'punnet'],
  ['walnuts', 250, 'bag'],
  ['soy-milk', 1028, 'carton'],
  ['tomato-paste', 200, 'tube'],
]
