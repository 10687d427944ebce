/** The rest of the Aegean summer menu of Saltmarsh Row Test Kitchen, trial by trial. Written for the demo. */
import type { WrittenDish, WrittenPart } from './written'

const dough = (lines: readonly string[], steps: readonly string[]): WrittenPart => ({
  name: 'Dough',
  originalId: 'chicken_thigh',
  family: 'bound-dough-slice',
  lines,
  steps,
})
const DOUGH_STEPS = [
  'Blend the butter beans with the water and soy sauce for 60 seconds.',
  'Mix the gluten, the chickpea flour, garlic powder and nutritional yeast.',
  'Stir the bean liquid into the flour and knead by hand for 8 minutes.',
  'Rest the dough for 15 minutes.',
  'Shape into strips 15 mm thick, wrap them and steam for 45 minutes.',
  'Cool the strips for 20 minutes.',
  'Sear the strips in the olive oil in a 28 cm pan over high heat for 6 minutes.',
]
const marinade: WrittenPart = {
  name: 'Marinade',
  originalId: null,
  family: null,
  lines: [
    '30 g lemon juice',
    '20 g olive oil',
    '2 tsp dried oregano',
    '1 tsp smoked paprika',
    '3 g fine salt',
  ],
  steps: ['Whisk the lemon juice, olive oil, oregano, paprika and salt together.'],
}

const souvlaki: WrittenDish = {
  id: 'souvlaki-strips',
  name: 'Souvlaki strips',
  note: 'Strips for the skewer, seared to order.',
  matters: 'A moist bite that tears along the strip, browned edges, lemon and oregano.',
  never: 'Spongy, or wet in the middle.',
  portions: 6,
  portionMassG: 120,
  sodiumMgMax: 500,
  excluded: ['peanut'],
  trials: [
    {
      number: 1,
      fromNumber: null,
      date: '2026-06-01',
      parts: [
        dough(
          [
            '200 g vital wheat gluten',
            '120 g butter beans, cooked',
            '240 g water',
            '25 g soy sauce',
            '12 g olive oil',
          ],
          [
            'Mash the butter beans.',
            'Mix the gluten, beans, water and soy sauce and knead by hand for 3 minutes.',
            'Steam for 45 minutes.',
            'Sear in the olive oil for 6 minutes.',
          ],
        ),
      ],
      notes: 'Spongy, holes in the slice. Beans in lumps.',
      decision: 'Less water, blend the beans, knead longer.',
    },
    {
      number: 2,
      fromNumber: 1,
      date: '2026-06-05',
      parts: [
        dough(
          [
            '200 g vital wheat gluten',
            '30 g chickpea flour',
            '160 g butter beans, cooked',
            '170 g water',
            '25 g soy sauce',
            '1 tsp garlic powder',
            '10 g nutritional yeast',
            '15 g olive oil',
          ],
          DOUGH_STEPS,
        ),
      ],
      notes:
        'Tears along the strip. Firm, a little dry after searing. P2 and P5: could be chicken if it were moister.',
      decision: 'Keep. Next: a marinade after steaming.',
    },
    {
      number: 3,
      fromNumber: 2,
      date: '2026-06-11',
      parts: [
        dough(
          [
            '230 g textured soy strips',
            '160 g butter beans, cooked',
            '170 g water',
            '25 g soy sauce',
            '15 g olive oil',
          ],
          ['Soak the soy strips in the water for 20 minutes.', 'Sear in the olive oil for 6 minutes.'],
        ),
      ],
      notes: 'Tried soy strips in place of the dough: cardboard edges, beany. P1 to P4 all said so.',
      decision: 'Set aside. No soy strips in this dish again.',
      isSetAside: true,
    },
  ],
  current: {
    number: 4,
    fromNumber: 2,
    date: '2026-06-16',
    parts: [
      dough(
        [
          '200 g vital wheat gluten',
          '30 g chickpea flour',
          '180 g butter beans, cooked',
          '180 g water',
          '26 g soy sauce',
          '1 tsp garlic powder',
          '10 g nutritional yeast',
          '15 g olive oil',
        ],
        DOUGH_STEPS,
      ),
      marinade,
    ],
    notes: '',
    decision: '',
  },
}

const patty = (lines: readonly string[], steps: readonly string[]): WrittenPart => ({
  name: 'Keftedes',
  originalId: 'meatball',
  family: 'bound-patty',
  lines,
  steps,
})
const KEFTEDES_STEPS = [
  'Toss the grated courgette with the salt, leave it for 20 minutes and squeeze it dry.',
  'Mash two thirds of the split peas.',
  'Mix the mashed peas, the rest of the peas, the courgette, breadcrumbs, onion, mint, cumin and linseed.',
  'Chill the mix for 40 minutes.',
  'Shape into 24 balls.',
  'Brush with the olive oil and roast on a tray at 200 °C fan for 25 minutes, turning once.',
]
const keftedes: WrittenDish = {
  id: 'courgette-keftedes',
  name: 'Courgette keftedes',
  note: 'Small, green inside, four to a plate.',
  matters: 'Hold together on the fork, crisp outside, mint in front.',
  never: 'Fall apart in the pan, or taste of flour.',
  portions: 6,
  portionMassG: 130,
  sodiumMgMax: 450,
  // The aim says no wheat, and the crumbs are wheat: one conflict that is to be seen.
  excluded: ['gluten-wheat'],
  trials: [
    {
      number: 1,
      fromNumber: null,
      date: '2026-06-03',
      parts: [
        patty(
          [
            '400 g split peas, cooked',
            '300 g courgette, grated',
            '30 g breadcrumbs',
            '60 g onion, fine dice',
            '10 g fresh mint, chopped',
            '4 g fine salt',
            '20 g olive oil',
          ],
          [
            'Mash the split peas.',
            'Mix the peas, courgette, breadcrumbs, onion, mint and salt.',
            'Shape into 24 balls.',
            'Shallow-fry in the olive oil for 8 minutes.',
          ],
        ),
      ],
      notes: 'Fell apart in the pan: wet courgette, nothing that binds. Half of them were crumbs.',
      decision: 'Squeeze the courgette, more crumbs, linseed, chill before shaping.',
    },
    {
      number: 2,
      fromNumber: 1,
      date: '2026-06-10',
      parts: [
        patty(
          [
            '400 g split peas, cooked',
            '300 g courgette, grated and squeezed',
            '50 g breadcrumbs',
            '15 g linseed, ground',
            '60 g onion, fine dice',
            '12 g fresh mint, chopped',
            '1 tsp ground cumin',
            '5 g fine salt',
            '15 g olive oil',
          ],
          KEFTEDES_STEPS,
        ),
      ],
      notes: 'All 24 held. A little dry; crust pale.',
      decision: 'Keep. Next: a third of the peas whole, ten degrees hotter.',
    },
  ],
  current: {
    number: 3,
    fromNumber: 2,
    date: '2026-06-15',
    parts: [
      patty(
        [
          '420 g split peas, cooked',
          '300 g courgette, grated and squeezed',
          '45 g breadcrumbs',
          '15 g linseed, ground',
          '60 g onion, fine dice',
          '15 g fresh mint, chopped',
          '1 tsp ground cumin',
          '5 g fine salt',
          '18 g olive oil',
        ],
        KEFTEDES_STEPS,
      ),
    ],
    notes: '',
    decision: '',
  },
}

const block = (lines: readonly string[], steps: readonly string[]): WrittenPart => ({
  name: 'Block',
  originalId: 'cheese_brined',
  family: 'crumbly-brined',
  lines,
  steps,
})
const BLOCK_STEPS = [
  'Blend the tofu, almonds, soy milk and coconut oil for 90 seconds, until smooth.',
  'Boil the agar in the water for 3 minutes.',
  'Stir the agar into the cream and heat to 85 °C for 2 minutes.',
  'Stir in the lemon juice, white miso and salt off the heat.',
  'Chill in a mould for 3 hours, until firm.',
]
const whiteBlock: WrittenDish = {
  id: 'brined-white-block',
  name: 'Brined white block',
  note: 'For salads and pies; crumbles under the fork.',
  matters: 'Crumbles moist, salty and sour, white.',
  never: 'Rubber, or bitter.',
  portions: 8,
  portionMassG: 50,
  sodiumMgMax: 400,
  excluded: ['peanut'],
  trials: [
    {
      number: 1,
      fromNumber: null,
      date: '2026-06-04',
      parts: [
        block(
          [
            '250 g firm tofu',
            '100 g almonds, soaked',
            '200 g soy milk',
            '4 g agar powder',
            '25 g lemon juice',
            '8 g fine salt',
          ],
          [
            'Blend the tofu, almonds and soy milk for 90 seconds.',
            'Boil the agar with the lemon juice for 5 minutes.',
            'Stir the agar and salt into the cream.',
            'Chill for 3 hours.',
          ],
        ),
      ],
      notes: 'Did not set: a thick cream. The lemon juice went into the boiling agar.',
      decision: 'Agar in plain water, acid last.',
    },
    {
      number: 2,
      fromNumber: 1,
      date: '2026-06-08',
      parts: [
        block(
          [
            '250 g firm tofu',
            '100 g almonds, soaked',
            '180 g soy milk',
            '30 g coconut oil',
            '100 g water',
            '6 g agar powder',
            '22 g lemon juice',
            '8 g white miso',
            '9 g fine salt',
          ],
          BLOCK_STEPS,
        ),
      ],
      notes: 'Set, and squeaks a little: too firm. P3, P7: saltier than it needs.',
      decision: 'Keep. Next: less agar.',
    },
  ],
  current: {
    number: 3,
    fromNumber: 2,
    date: '2026-06-17',
    parts: [
      block(
        [
          '260 g firm tofu',
          '110 g almonds, soaked',
          '180 g soy milk',
          '30 g coconut oil',
          '100 g water',
          '3 g agar powder',
          '22 g lemon juice',
          '8 g white miso',
          '8 g fine salt',
        ],
        BLOCK_STEPS,
      ),
    ],
    notes: '',
    decision: '',
  },
}

const eggLemon = (lines: readonly string[], steps: readonly string[]): WrittenPart => ({
  name: 'Sauce',
  originalId: 'egg_lemon_sauce',
  family: 'pourable-sauce',
  lines,
  steps,
})
const avgolemono: WrittenDish = {
  id: 'avgolemono',
  name: 'Avgolemono',
  note: 'Over vine leaves and greens.',
  matters: 'Pours like cream, tastes of egg and lemon, stays smooth.',
  never: 'Splits, or tastes of raw flour.',
  portions: 6,
  portionMassG: 80,
  sodiumMgMax: 350,
  excluded: ['peanut'],
  trials: [
    {
      number: 1,
      fromNumber: null,
      date: '2026-06-07',
      parts: [
        eggLemon(
          [
            '300 g silken tofu',
            '20 g chickpea flour',
            '200 g vegetable stock',
            '40 g lemon juice',
            '3 g fine salt',
          ],
          ['Blend everything for 60 seconds.', 'Simmer for 8 minutes, stirring.'],
        ),
      ],
      notes: 'Grainy: the lemon was in from the start. No egg in it.',
      decision: 'Lemon off the heat, black salt, less flour.',
    },
  ],
  current: {
    number: 2,
    fromNumber: 1,
    date: '2026-06-13',
    parts: [
      eggLemon(
        [
          '300 g silken tofu',
          '12 g chickpea flour',
          '220 g vegetable stock',
          '15 g olive oil',
          '38 g lemon juice',
          '2 g black salt',
          '0.5 g ground turmeric',
        ],
        [
          'Blend the tofu, chickpea flour, stock, olive oil and turmeric for 60 seconds.',
          'Simmer for 8 minutes, stirring.',
          'Whisk in the lemon juice and black salt off the heat.',
        ],
      ),
    ],
    notes: '',
    decision: '',
  },
}

const yogurt: WrittenDish = {
  id: 'thick-yogurt',
  name: 'Thick strained “yogurt”',
  note: 'A draft: nothing made yet.',
  matters: 'Stands on the spoon, sour and clean.',
  never: 'Beany, or with whey on top.',
  portions: 8,
  portionMassG: 100,
  sodiumMgMax: null,
  excluded: ['peanut'],
  trials: [],
  current: {
    number: 1,
    fromNumber: null,
    date: '2026-06-18',
    parts: [
      {
        name: 'Yogurt',
        originalId: 'yogurt_thick',
        family: 'cultured-thick',
        lines: ['800 g soy milk', '120 g cashews, soaked', '60 g plant yogurt, cultured'],
        steps: [
          'Blend the soy milk with the cashews for 90 seconds.',
          'Heat to 85 °C for 10 minutes.',
          'Cool to 42 °C.',
          'Stir in the cultured yogurt.',
          'Culture at 42 °C for 8 hours.',
          'Drain through a cloth in the fridge for 4 hours.',
        ],
      },
    ],
    notes: '',
    decision: '',
  },
}

export const menu: readonly WrittenDish[] = [souvlaki, keftedes, whiteBlock, avgolemono, yogurt]
