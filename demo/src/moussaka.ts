/** The moussaka of Saltmarsh Row Test Kitchen, trial by trial, as it was written at the counter. */
import type { WrittenPart, WrittenTrial } from './written'

const MINCE_STEPS: WrittenPart['steps'] = [
  'Brown the torn oyster mushrooms in a dry 32 cm pan over high heat until no steam rises, about 9 minutes. Leave them alone; salt comes later.',
  'Add the olive oil and onion and sweat 6 minutes.',
  'Stir in the tomato paste, garlic powder, cinnamon, oregano and miso and fry 1 minute.',
  'Mash half of the black-eyed peas.',
  'Fold the mashed peas, the remaining black-eyed peas and the walnuts into the mushrooms, 2 minutes.',
  'Stir in the wheat gluten last and work it through for 1 minute.',
  'Spread thin on a tray and bake at 190 °C fan for 12 minutes, turning once, until the edges brown.',
]
/** Trial 6 as it was written: the miso went in before the browning, and in the smaller pan. */
const MINCE_STEPS_6: WrittenPart['steps'] = [
  'Brown the torn oyster mushrooms with the red miso in a dry 28 cm pan over high heat until no steam rises, about 9 minutes.',
  'Add the olive oil and onion and sweat 6 minutes.',
  'Stir in the tomato paste, garlic powder, cinnamon, allspice and oregano and fry 1 minute.',
  ...MINCE_STEPS.slice(3),
]
/** Trial 5: all of the peas at once, to save time on the large tray. */
const MINCE_STEPS_5: WrittenPart['steps'] = [
  ...MINCE_STEPS.slice(0, 3),
  'Mash the black-eyed peas.',
  'Fold the mashed peas and the walnuts into the mushrooms, 2 minutes.',
  ...MINCE_STEPS.slice(5),
]
const SAUCE_STEPS: WrittenPart['steps'] = [
  'Drain the soaked cashews and blend them with 200 ml of the soy milk for 90 seconds, until smooth.',
  'Cook the flour in the olive oil for 2 minutes.',
  'Whisk in the rest of the soy milk and simmer 6 minutes, stirring.',
  'Whisk in the cashew cream, nutritional yeast, miso, salt and nutmeg. Simmer 3 minutes until it coats a spoon.',
]
const PLAIN_SAUCE_STEPS: WrittenPart['steps'] = [
  'Cook the flour in the olive oil for 2 minutes.',
  'Whisk in the soy milk, salt and nutmeg and simmer 8 minutes, stirring.',
]
/** One amount differs from the list. */
const SAUCE_STEPS_6: WrittenPart['steps'] = [
  SAUCE_STEPS[0] ?? '',
  'Cook 50 g of flour in the olive oil for 2 minutes.',
  ...SAUCE_STEPS.slice(2),
]

const mince = (lines: readonly string[], steps = MINCE_STEPS): WrittenPart => ({
  name: 'Mince layer',
  originalId: 'lamb_mince',
  family: 'crumble-mince',
  lines,
  steps,
})
const sauce = (lines: readonly string[], steps = SAUCE_STEPS): WrittenPart => ({
  name: 'White sauce',
  originalId: 'sauce_white',
  family: 'coating-sauce',
  lines,
  steps,
})
const SAUCE_LINES: WrittenPart['lines'] = [
  '500 ml unsweetened soy milk',
  '60 g raw cashews, soaked 4 hours',
  '35 g plain flour',
  '30 g olive oil',
  '1 1/2 tbsp nutritional yeast',
  '5 g white miso',
  '4 g fine salt',
  '1/4 tsp nutmeg',
]
const crumbTop: WrittenPart = {
  name: 'Crumb top',
  originalId: null,
  family: null,
  lines: ['60 g fresh breadcrumbs', '12 g olive oil', '1 tbsp nutritional yeast', '8 g parsley, chopped'],
  steps: [
    'Mix the breadcrumbs with the olive oil and nutritional yeast.',
    'Bake on a tray in a single layer at 160 °C fan for 9 minutes, until crisp.',
    'Stir in the parsley off the heat.',
  ],
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
      sauce(
        [
          '600 ml unsweetened soy milk',
          '40 g plain flour',
          '30 g olive oil',
          '4 g fine salt',
          '1/4 tsp nutmeg',
        ],
        PLAIN_SAUCE_STEPS,
      ),
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
      sauce(SAUCE_LINES),
    ],
    notes:
      'Granules separate now, bite still short. Needed 40 ml more soy milk than written to pour. P3 and P6 missed lamb richness.',
    decision: 'Keep. Next: more gluten for chew, allspice for the lamb note.',
  },
  {
    number: 3,
    fromNumber: 2,
    date: '2026-06-12',
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
        '1 tsp garlic powder',
        '1 tsp dried oregano',
      ]),
      sauce(SAUCE_LINES),
    ],
    made: { walnuts: 96 },
    notes: 'Chew is there. P3 and P6 heard the lamb note. Walnuts ran short: 96 g.',
    decision: 'Keep: the base from here on.',
  },
  {
    number: 4,
    fromNumber: 2,
    date: '2026-06-12',
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
        '4 g smoked paprika',
        '1 1/2 tsp ground cinnamon',
        '1 tsp garlic powder',
        '1 tsp dried oregano',
      ]),
      sauce(SAUCE_LINES),
    ],
    isSetAside: true,
    notes: 'Smoked paprika for the lamb note. P3 and P6 at once: sausage.',
    decision: 'Set aside: reads as sausage.',
  },
  {
    number: 5,
    fromNumber: 3,
    date: '2026-06-13',
    parts: [
      mince(
        [
          '3 cups black-eyed peas, cooked, all mashed',
          '375 g oyster mushrooms, torn, browned dry',
          '1 1/2 cups walnuts, pulsed to crumbs',
          '9 tbsp vital wheat gluten, stirred in last',
          '1 1/2 medium onions, fine dice',
          '3 tbsp tomato paste',
          '2 1/4 tbsp red miso',
          '1 1/2 tbsp olive oil',
          '2 1/4 tsp ground cinnamon',
          '3/4 tsp ground allspice',
          '1 1/2 tsp garlic powder',
          '1 1/2 tsp dried oregano',
        ],
        MINCE_STEPS_5,
      ),
      sauce(SAUCE_LINES),
    ],
    notes: 'A batch for nine, all peas mashed to save time. Pasty again, no granules.',
    decision: 'Not again: half of the peas stay whole, whatever the batch.',
  },
]

/** The formula in work: trial 6, from the third, with one slip of the pen still in it. */
export const current: WrittenTrial = {
  number: 6,
  fromNumber: 3,
  date: '2026-06-14',
  parts: [
    mince(
      [
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
        '10 g fresh mint, chopped',
      ],
      MINCE_STEPS_6,
    ),
    sauce(
      [
        '540 ml unsweetened soy milk',
        '60 g raw cashews, soaked 4 hours',
        '35 g plain flour',
        '30 g olive oil',
        '1 1/2 tbsp nutritional yeast',
        '5 g white miso',
        '4 g fine salt',
        '1/4 tsp nutmeg',
      ],
      SAUCE_STEPS_6,
    ),
    crumbTop,
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
  ['breadcrumbs-fresh', 2.8, 500],
  ['parsley-fresh', 1.2, 50],
  ['mint-fresh', 1.3, 40],
]

/** Packs that the kitchen buys, in grams. Written for the demo: the oyster mushrooms come in more than the formula takes. */
export const packs: readonly (readonly [ingredientId: string, massG: number, label: string])[] = [
  ['mushrooms-oyster', 400, 'punnet'],
  ['walnuts', 250, 'bag'],
  ['soy-milk', 1028, 'carton'],
  ['tomato-paste', 200, 'tube'],
]
