import { low, high, between, inside, under, over, less, more, weighs, type Short } from './shorthand'

/** Written before the tables were tuned. */
export const solidMixes: Readonly<Record<string, Short>> = {
  'patty-black-bean': {
    family: 'bound-patty',
    original: 'beef_patty',
    lines: [
      '400 g cooked black beans',
      '150 g mushrooms, chopped',
      '60 g rolled oats',
      '40 g vital wheat gluten',
      '30 g sunflower oil',
      '20 g soy sauce',
      '15 g ground flaxseed',
      '6 g smoked paprika',
      '5 g salt',
    ],
    steps: [
      'Fry the mushrooms in half the oil for 8 minutes until browned.',
      'Mash two thirds of the black beans.',
      'Mix everything.',
      'Rest for 20 minutes.',
      'Shape into 6 patties 20 mm thick.',
      'Fry in the rest of the oil for 5 minutes on each side.',
    ],
    expect: [high('cohesion', 5), inside('hold-hot'), high('umami', 3), high('smokiness', 4)],
    but: {
      unbound: {
        lines: {
          '60 g rolled oats': '60 g mushrooms',
          '40 g vital wheat gluten': '40 g cooked black beans',
          '15 g ground flaxseed': '15 g cooked black beans',
        },
        expect: [under('hold-hot'), less('cohesion', 2)],
      },
      rubber: {
        lines: { '40 g vital wheat gluten': '220 g vital wheat gluten' },
        expect: [over('hold-hot'), more('chewiness', 1), more('springiness', 1)],
      },
      lean: {
        lines: { '30 g sunflower oil': '2 g sunflower oil' },
        expect: [under('fat'), less('richness', 1), less('juiciness', 0.2)],
      },
    },
  },
  'ball-lentil': {
    family: 'bound-patty',
    original: 'meatball',
    lines: [
      '350 g cooked brown lentils',
      '120 g onion, finely chopped',
      '80 g breadcrumbs',
      '50 g walnuts, chopped',
      '20 g ground flaxseed',
      '60 g water',
      '25 g olive oil',
      '8 g salt',
      '2 g black pepper',
    ],
    steps: [
      'Soften the onion in the olive oil for 8 minutes.',
      'Mash the lentils.',
      'Mix everything together.',
      'Chill for 30 minutes.',
      'Roll into balls.',
      'Bake at 200 C for 25 minutes.',
    ],
    expect: [high('cohesion', 4), high('tenderness', 4), between('saltiness', 4, 8), weighs(540, 690)],
    but: {
      sloppy: {
        lines: { '60 g water': '350 g water' },
        expect: [over('slack'), less('cohesion', 1), less('firmness', 0.5)],
      },
      dry: {
        lines: { '60 g water': '5 g water', '80 g breadcrumbs': '220 g breadcrumbs' },
        expect: [under('slack'), less('juiciness', 0.5)],
      },
    },
  },
  'sausage-bean': {
    family: 'emulsified-sausage',
    original: 'sausage_hot_smoked',
    lines: [
      '220 g vital wheat gluten',
      '150 g firm tofu',
      '230 g water',
      '90 g sunflower oil',
      '30 g soy sauce',
      '8 g smoked paprika',
      '10 g salt',
      '3 g garlic powder',
      '2 g black pepper',
    ],
    steps: [
      'Blend the tofu, water, oil, soy sauce, spices and salt for 1 minute.',
      'Knead in the gluten for 4 minutes.',
      'Shape into sausages 25 mm thick.',
      'Wrap in foil.',
      'Steam for 40 minutes.',
      'Chill overnight.',
    ],
    expect: [
      inside('gluten-share'),
      high('springiness', 5),
      high('cohesion', 5.5),
      high('smokiness', 4),
      inside('set'),
    ],
    but: {
      unsteamed: {
        steps: { 3: '', 4: '', 5: '' },
        expect: [under('set'), less('firmness', 1.5), less('springiness', 1)],
      },
      bean: {
        lines: { '220 g vital wheat gluten': '220 g cooked white beans' },
        expect: [under('gluten-share'), less('springiness', 2), less('chewiness', 1.5)],
      },
      lean: {
        lines: { '90 g sunflower oil': '5 g sunflower oil' },
        expect: [under('fat'), less('juiciness', 0.4), less('richness', 1.5)],
      },
    },
  },
  'roast-gluten': {
    family: 'bound-dough-slice',
    original: 'turkey_roast',
    lines: [
      '260 g vital wheat gluten',
      '200 g cooked chickpeas',
      '300 g vegetable stock',
      '30 g olive oil',
      '12 g nutritional yeast',
      '8 g salt',
      '2 g sage',
    ],
    steps: [
      'Blend the chickpeas, stock, oil, yeast, salt and sage for 1 minute.',
      'Knead in the gluten for 5 minutes.',
      'Rest for 20 minutes.',
      'Shape into a log 80 mm thick.',
      'Wrap in foil.',
      'Steam for 75 minutes.',
      'Cool for 30 minutes.',
      'Slice 8 mm thick.',
    ],
    expect: [high('cohesion', 6), inside('hydration'), high('firmness', 4), weighs(760, 850)],
    but: {
      spongy: {
        lines: { '300 g vegetable stock': '700 g vegetable stock' },
        expect: [over('hydration'), less('firmness', 0.8), less('chewiness', 0.7)],
      },
      tight: {
        lines: { '300 g vegetable stock': '40 g vegetable stock' },
        expect: [under('hydration'), less('tenderness', 0.7)],
      },
      soft: {
        lines: { '260 g vital wheat gluten': '60 g vital wheat gluten' },
        expect: [less('chewiness', 2), less('springiness', 2)],
      },
    },
  },
  'pulled-jackfruit': {
    family: 'shreddable',
    original: 'pulled_pork',
    lines: [
      '500 g young jackfruit, drained',
      '40 g sunflower oil',
      '60 g barbecue sauce',
      '20 g soy sauce',
      '4 g smoked paprika',
      '2 g cumin',
    ],
    steps: [
      'Simmer the jackfruit in plenty of water for 15 minutes.',
      'Drain the jackfruit.',
      'Shred the jackfruit with two forks.',
      'Toss with the oil, barbecue sauce, soy sauce and spices.',
      'Roast at 200 C for 20 minutes.',
    ],
    expect: [high('fibrousness', 5), high('smokiness', 3.5), high('tenderness', 4)],
    but: {
      whole: { steps: { 2: '' }, expect: [less('fibrousness', 1.5)] },
      pureed: { steps: { 2: 'Blend the jackfruit for 1 minute.' }, expect: [less('fibrousness', 3)] },
    },
  },
  'oyster-shreds': {
    family: 'shreddable',
    original: 'chicken_thigh',
    lines: ['500 g oyster mushrooms', '40 g olive oil', '6 g salt', '3 g thyme'],
    steps: [
      'Tear the mushrooms into strips.',
      'Toss with the oil, salt and thyme.',
      'Roast at 210 C for 25 minutes.',
    ],
    expect: [high('fibrousness', 5), high('umami', 3), weighs(200, 330)],
    but: {
      brief: {
        steps: { 2: 'Roast at 210 C for 6 minutes.' },
        expect: [less('chewiness', 0.5), less('firmness', 0.5)],
      },
      unsalted: { lines: { '6 g salt': '0.5 g salt' }, expect: [less('saltiness', 2)] },
    },
  },
  'flakes-palm': {
    family: 'flaked',
    original: 'tuna_flaked',
    lines: [
      '350 g hearts of palm, drained',
      '150 g cooked chickpeas',
      '25 g olive oil',
      '15 g lemon juice',
      '3 g nori, crumbled',
      '4 g salt',
    ],
    steps: [
      'Pull the hearts of palm into flakes with a fork.',
      'Pulse the chickpeas for 2 seconds.',
      'Mix everything.',
      'Chill for 1 hour.',
    ],
    expect: [inside('coarse-share'), high('marine', 4), inside('water'), high('crumbliness', 4)],
    but: {
      paste: {
        steps: { 0: 'Blend the hearts of palm and chickpeas for 1 minute.', 1: '' },
        expect: [under('coarse-share'), less('fibrousness', 1), less('crumbliness', 2)],
      },
      landlocked: {
        lines: { '3 g nori, crumbled': '3 g parsley' },
        expect: [less('marine', 3), low('marine', 2)],
      },
    },
  },
  'strip-coconut': {
    family: 'crisp-strip',
    original: 'bacon_crisp',
    lines: [
      '150 g king oyster mushrooms',
      '30 g sunflower oil',
      '15 g soy sauce',
      '8 g maple syrup',
      '3 g smoked paprika',
      '2 g liquid smoke',
    ],
    steps: [
      'Slice the mushrooms into strips 2 mm thick.',
      'Toss with the oil, soy sauce, syrup, paprika and liquid smoke.',
      'Bake at 150 C for 30 minutes until it keeps 35 % of its mass.',
      'Cool on a rack.',
    ],
    expect: [high('smokiness', 6), high('crispness', 4), high('saltiness', 5), inside('thickness')],
    but: {
      limp: {
        steps: { 2: 'Bake at 150 C for 8 minutes until it keeps 80 % of its mass.' },
        expect: [over('water'), less('crispness', 3)],
      },
      thick: {
        steps: { 0: 'Slice the mushrooms into strips 8 mm thick.' },
        expect: [over('thickness'), less('crispness', 2)],
      },
      plain: {
        lines: { '3 g smoked paprika': '3 g paprika', '2 g liquid smoke': '2 g water' },
        expect: [less('smokiness', 4)],
      },
    },
  },
  'mince-tvp': {
    family: 'crumble-mince',
    original: 'beef_mince',
    lines: [
      '120 g textured soy protein',
      '300 g vegetable stock',
      '80 g mushrooms, finely chopped',
      '40 g sunflower oil',
      '25 g soy sauce',
      '15 g tomato paste',
      '3 g garlic powder',
    ],
    steps: [
      'Soak the textured soy in the stock for 15 minutes.',
      'Fry the mushrooms in the oil for 6 minutes.',
      'Add the soy, soy sauce, tomato paste and garlic powder and fry for 8 minutes.',
    ],
    expect: [high('chewiness', 4), high('umami', 4), inside('fat'), inside('coarse-share')],
    but: {
      wet: {
        lines: { '300 g vegetable stock': '800 g vegetable stock' },
        expect: [over('free-water'), less('firmness', 0.8)],
      },
      puree: {
        steps: {
          2: 'Add the soy, soy sauce, tomato paste and garlic powder and fry for 8 minutes.',
          0: 'Soak the textured soy in the stock for 15 minutes and blend for 1 minute.',
        },
        expect: [less('crumbliness', 1)],
      },
    },
  },
  'mince-walnut': {
    family: 'crumble-mince',
    original: 'spiced_mince',
    lines: [
      '200 g walnuts',
      '250 g cauliflower',
      '30 g olive oil',
      '15 g tomato paste',
      '10 g soy sauce',
      '6 g chilli powder',
      '3 g cumin',
      '4 g salt',
    ],
    steps: [
      'Pulse the walnuts and cauliflower to rice.',
      'Toss with everything else.',
      'Roast at 190 C for 25 minutes, stirring once.',
    ],
    expect: [high('spice_warm', 5), high('crumbliness', 5), high('richness', 5), between('saltiness', 4, 9)],
    but: {
      mild: {
        lines: { '6 g chilli powder': '0.3 g chilli powder', '3 g cumin': '0.2 g cumin' },
        expect: [less('spice_warm', 3)],
      },
      unseasoned: {
        lines: { '4 g salt': '', '10 g soy sauce': '10 g water' },
        expect: [less('saltiness', 3), less('umami', 0.5)],
      },
    },
  },
}
