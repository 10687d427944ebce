import type { Expectation, Mix } from './scoreMixes'

/** A mix in short: what goes in, what is done, and what a cook would swear to. */
interface Short {
  readonly family: string
  readonly original: string | null
  readonly lines: readonly string[]
  readonly steps: readonly string[]
  readonly expect: readonly Expectation[]
  /** Mixes that differ from it: lines and steps put in the place of others (empty = left out). */
  readonly but?: Readonly<Record<string, Variant>>
}
interface Variant {
  readonly lines?: Readonly<Record<string, string>>
  readonly steps?: Readonly<Record<number, string>>
  readonly expect: readonly Expectation[]
}

const low = (attribute: string, max: number): Expectation => ({ attribute, min: 0, max })
const high = (attribute: string, min: number): Expectation => ({ attribute, min, max: 10 })
const between = (attribute: string, min: number, max: number): Expectation => ({ attribute, min, max })
const inside = (ratio: string): Expectation => ({ ratio, state: 'in' })
const under = (ratio: string): Expectation => ({ ratio, state: 'low' })
const over = (ratio: string): Expectation => ({ ratio, state: 'high' })
/** Against the mix that it differs from. */
const less = (attribute: string, atLeastLower: number): Expectation => ({
  attribute,
  versus: '',
  atLeastLower,
})
const more = (attribute: string, atLeastHigher: number): Expectation => ({
  attribute,
  versus: '',
  atLeastHigher,
})
const thinner = (timesLower: number): Expectation => ({ viscosityVersus: '', timesLower })
const thicker = (timesHigher: number): Expectation => ({ viscosityVersus: '', timesHigher })
const weighs = (from: number, to: number): Expectation => ({ cookedMassG: [from, to] })

/** Written before the tables were tuned. */
const SHORTS: Readonly<Record<string, Short>> = {
  'melt-tapioca': {
    family: 'stretch-melt',
    original: 'cheese_stretch',
    lines: [
      '500 ml soy milk',
      '45 g tapioca starch',
      '80 g refined coconut oil',
      '12 g nutritional yeast',
      '9 g salt',
      '10 g white miso',
    ],
    steps: [
      'Whisk everything together in a saucepan off the heat.',
      'Cook over medium heat, stirring all the time, for 6 minutes until it turns glossy and pulls from the pan.',
    ],
    expect: [high('stretch', 4), high('melt', 5), inside('elastic-starch'), inside('fat')],
    but: {
      raw: { steps: { 1: 'Leave to stand for 5 minutes.' }, expect: [less('stretch', 3), low('stretch', 2)] },
      agar: {
        lines: { '10 g white miso': '10 g agar powder' },
        expect: [less('melt', 1.5), less('stretch', 1.5), over('agar')],
      },
      beans: {
        lines: { '45 g tapioca starch': '250 g cooked white beans' },
        steps: { 0: 'Blend everything for 2 minutes until smooth.' },
        expect: [less('stretch', 3)],
      },
    },
  },
  'grate-cashew': {
    family: 'hard-grate',
    original: 'cheese_hard_grate',
    lines: ['200 g raw cashews', '40 g nutritional yeast', '6 g salt', '4 g garlic powder'],
    steps: ['Pulse everything in the food processor for 15 seconds to a coarse meal.'],
    expect: [high('crumbliness', 5), high('umami', 4), inside('water'), weighs(235, 252)],
    but: {
      wet: {
        lines: { '4 g garlic powder': '120 g water' },
        expect: [over('water'), less('crumbliness', 2), less('firmness', 1)],
      },
      plain: { lines: { '40 g nutritional yeast': '40 g ground almonds' }, expect: [less('umami', 1.5)] },
    },
  },
  'yogurt-soy': {
    family: 'cultured-thick',
    original: 'yogurt_thick',
    lines: ['1 kg soy milk, unsweetened', '60 g silken tofu', '40 g live soy yogurt'],
    steps: [
      'Heat the soy milk to 92 C for 10 minutes.',
      'Cool to 43 C.',
      'Whisk in the silken tofu and the yogurt.',
      'Culture at 42 C for 9 hours.',
      'Strain through a cloth for 3 hours until it keeps 60 % of its mass.',
      'Chill for 8 hours.',
    ],
    expect: [inside('ph'), high('lactic_tangy', 4), high('sourness', 3), high('smoothness', 6)],
    but: {
      short: {
        steps: { 3: 'Culture at 42 C for 1 hour.' },
        expect: [over('ph'), less('lactic_tangy', 3), less('sourness', 2)],
      },
      unstrained: { steps: { 4: '' }, expect: [less('thickness', 0.5), under('protein')] },
    },
  },
  'cream-coconut': {
    family: 'foam',
    original: 'cream_whipped',
    lines: ['400 g coconut cream, chilled', '40 g icing sugar', '2 g vanilla extract'],
    steps: [
      'Chill the coconut cream for 12 hours.',
      'Whip everything for 4 minutes until it holds soft peaks.',
    ],
    expect: [high('richness', 5), high('thickness', 3.5), inside('packing')],
    but: {
      milk: {
        lines: { '400 g coconut cream, chilled': '400 g oat milk' },
        steps: { 0: 'Chill the oat milk for 12 hours.' },
        expect: [less('thickness', 2), less('richness', 3), under('packing')],
      },
      unwhipped: {
        steps: { 1: 'Stir everything together.' },
        expect: [under('packing'), less('thickness', 1)],
      },
    },
  },
  'meringue-oil': {
    family: 'foam',
    original: 'meringue_foam',
    lines: ['300 g aquafaba', '360 g icing sugar', '2 g cream of tartar'],
    steps: [
      'Simmer the aquafaba until it keeps 50 % of its mass.',
      'Cool to 18 C.',
      'Whip the aquafaba with the cream of tartar for 7 minutes.',
      'Whip in the sugar for 5 minutes.',
    ],
    expect: [high('sweetness', 7), inside('packing'), low('richness', 1)],
    but: {
      greasy: {
        lines: { '2 g cream of tartar': '30 g sunflower oil' },
        steps: { 2: 'Whip the aquafaba with the oil for 7 minutes.' },
        expect: [under('packing'), less('thickness', 1.5)],
      },
    },
  },
  'butter-oat': {
    family: 'solid-fat',
    original: 'butter',
    lines: [
      '240 g refined coconut oil',
      '120 g rapeseed oil',
      '80 g oat milk',
      '4 g sunflower lecithin',
      '5 g salt',
    ],
    steps: ['Melt the coconut oil at 40 C.', 'Blend everything for 1 minute.', 'Chill for 10 hours.'],
    expect: [high('richness', 8), inside('set'), inside('fat'), high('melt', 5), weighs(440, 450)],
    but: {
      oil: {
        lines: {
          '240 g refined coconut oil': '20 g refined coconut oil',
          '120 g rapeseed oil': '340 g rapeseed oil',
        },
        expect: [under('set'), less('firmness', 2)],
      },
      cocoa: {
        lines: { '240 g refined coconut oil': '240 g cocoa butter' },
        expect: [over('stands'), more('firmness', 0.7)],
      },
      milky: { lines: { '80 g oat milk': '300 g oat milk' }, expect: [over('water'), under('fat')] },
    },
  },
  'feta-tofu': {
    family: 'crumbly-brined',
    original: 'cheese_brined',
    lines: [
      '400 g firm tofu',
      '60 g olive oil',
      '30 g sauerkraut brine',
      '15 g lemon juice',
      '16 g salt',
      '10 g nutritional yeast',
    ],
    steps: [
      'Press the tofu for 60 minutes.',
      'Crumble the tofu.',
      'Mix in everything else.',
      'Press into a tub.',
      'Chill for 24 hours.',
    ],
    expect: [high('crumbliness', 4.5), high('saltiness', 6), inside('salt'), inside('crumb')],
    but: {
      block: {
        steps: { 1: 'Cut the tofu into two slabs.', 2: 'Marinate the tofu in everything else.', 3: '' },
        expect: [less('crumbliness', 1.5), under('crumb')],
      },
      unsalted: { lines: { '16 g salt': '1 g salt' }, expect: [under('salt'), less('saltiness', 2)] },
    },
  },
  'ricotta-almond': {
    family: 'spreadable',
    original: 'cheese_curd_fresh',
    lines: ['250 g blanched almonds', '220 g water', '15 g lemon juice', '20 g olive oil', '4 g salt'],
    steps: [
      'Soak the almonds in water for 8 hours.',
      'Drain the almonds.',
      'Blend everything for 2 minutes.',
      'Chill for 3 hours.',
    ],
    expect: [high('graininess', 1), low('sweetness', 4), inside('fat'), high('thickness', 4)],
    but: {
      unsoaked: {
        steps: { 0: '', 1: '', 2: 'Blend everything for 20 seconds.' },
        expect: [more('graininess', 1.5), less('creaminess', 1)],
      },
      thin: { lines: { '220 g water': '700 g water' }, expect: [less('thickness', 1), thinner(3)] },
    },
  },
  'spread-sunflower': {
    family: 'spreadable',
    original: 'cheese_spread',
    lines: [
      '200 g cashews',
      '120 g water',
      '60 g refined coconut oil',
      '25 g lemon juice',
      '5 g salt',
      '8 g nutritional yeast',
    ],
    steps: [
      'Boil the cashews in water for 15 minutes.',
      'Drain the cashews.',
      'Blend everything for 3 minutes until silky.',
      'Chill overnight.',
    ],
    expect: [high('creaminess', 5), high('smoothness', 5.5), inside('fat'), between('saltiness', 3, 7)],
    but: {
      chunky: {
        steps: { 2: 'Pulse everything for 5 seconds.' },
        expect: [less('smoothness', 2), less('creaminess', 1.5)],
      },
      lean: {
        lines: { '60 g refined coconut oil': '60 g soy milk' },
        expect: [less('richness', 0.5), less('firmness', 0.4)],
      },
    },
  },
  'ham-agar': {
    family: 'sliceable-gel',
    original: 'cured_fatty_ham',
    lines: [
      '300 g vegetable stock',
      '60 g beetroot juice',
      '70 g refined coconut oil',
      '4 g agar powder',
      '20 g soy sauce',
      '8 g salt',
      '4 g smoked paprika',
      '20 g tapioca starch',
    ],
    steps: [
      'Whisk the agar, tapioca starch and salt into the cold stock, beetroot juice and soy sauce.',
      'Bring to the boil and boil for 3 minutes, stirring.',
      'Blend in the coconut oil and smoked paprika for 1 minute.',
      'Pour into a tin.',
      'Chill for 6 hours.',
      'Slice 2 mm thick.',
    ],
    expect: [inside('agar'), high('cohesion', 5), high('saltiness', 5), high('smokiness', 4)],
    but: {
      unboiled: {
        steps: { 1: 'Warm to 60 C.' },
        expect: [under('agar'), less('firmness', 1.5), less('cohesion', 2)],
      },
      double: {
        lines: { '4 g agar powder': '12 g agar powder' },
        expect: [over('agar'), more('firmness', 0.8)],
      },
    },
  },
  'quiche-silken': {
    family: 'custard-gel',
    original: 'custard_quiche',
    lines: [
      '450 g silken tofu',
      '180 g soy cream',
      '40 g chickpea flour',
      '20 g corn starch',
      '25 g olive oil',
      '8 g nutritional yeast',
      '7 g salt',
      '1 g turmeric',
    ],
    steps: [
      'Blend everything for 90 seconds until smooth.',
      'Pour into a baking dish.',
      'Bake at 170 C for 40 minutes.',
      'Cool for 30 minutes.',
    ],
    expect: [inside('gel'), high('tenderness', 5), high('smoothness', 5), weighs(600, 725)],
    but: {
      raw: { steps: { 2: '', 3: '' }, expect: [under('gel'), less('firmness', 1), less('cohesion', 1.5)] },
      stiff: {
        lines: { '20 g corn starch': '120 g corn starch' },
        expect: [over('starch'), more('firmness', 0.7), less('tenderness', 1)],
      },
      gritty: { steps: { 0: 'Stir everything together roughly.' }, expect: [less('smoothness', 1.5)] },
    },
  },
  'scramble-tofu': {
    family: 'egg-curd',
    original: 'egg_scrambled',
    lines: [
      '400 g firm tofu',
      '120 g soy milk',
      '30 g plant butter',
      '2 g black salt',
      '3 g salt',
      '1 g turmeric',
      '6 g nutritional yeast',
    ],
    steps: [
      'Crumble the tofu.',
      'Cook the tofu in the plant butter with the soy milk, turmeric and yeast for 6 minutes.',
      'Stir in the black salt and the salt off the heat.',
    ],
    expect: [high('sulphury', 5), high('tenderness', 5), between('saltiness', 3, 7.5), inside('protein')],
    but: {
      early: {
        steps: {
          1: 'Cook the tofu in the plant butter with the soy milk, turmeric, yeast, salt and black salt for 25 minutes.',
          2: '',
        },
        expect: [less('sulphury', 1)],
      },
      kala: { lines: { '2 g black salt': '2 g paprika' }, expect: [low('sulphury', 2), less('sulphury', 3)] },
      lean: {
        lines: { '30 g plant butter': '30 g water' },
        expect: [less('richness', 1.5), less('buttery', 1)],
      },
    },
  },
  'omelette-gram': {
    family: 'egg-curd',
    original: 'egg_omelette',
    lines: [
      '120 g chickpea flour',
      '280 g water',
      '20 g olive oil',
      '2 g black salt',
      '2 g salt',
      '10 g nutritional yeast',
    ],
    steps: [
      'Whisk everything to a smooth batter.',
      'Rest for 20 minutes.',
      'Fry in a pan for 4 minutes on each side.',
    ],
    expect: [high('cohesion', 4.5), inside('protein'), high('firmness', 2)],
    but: {
      raw: { steps: { 2: '' }, expect: [less('firmness', 1), less('cohesion', 1)] },
      thin: { lines: { '280 g water': '800 g water' }, expect: [under('protein'), less('firmness', 1)] },
    },
  },
  'yolk-sauce': {
    family: 'liquid-yolk',
    original: 'egg_yolk_runny',
    lines: [
      '200 g soy milk',
      '90 g sunflower oil',
      '10 g nutritional yeast',
      '8 g tapioca starch',
      '3 g black salt',
      '2 g salt',
      '1 g turmeric',
    ],
    steps: [
      'Blend the soy milk, yeast, tapioca, salts and turmeric for 30 seconds.',
      'Stream in the oil while blending for 1 minute.',
      'Heat gently, stirring, for 5 minutes to 82 C.',
    ],
    expect: [
      inside('fat'),
      inside('emulsion'),
      high('richness', 6),
      high('sulphury', 3),
      high('creaminess', 4),
    ],
    but: {
      lean: {
        lines: { '90 g sunflower oil': '10 g sunflower oil' },
        expect: [under('fat'), less('richness', 2)],
      },
      split: {
        steps: { 0: 'Stir the soy milk, yeast, tapioca, salts and turmeric.', 1: 'Stir in the oil.' },
        expect: [under('emulsion'), less('smoothness', 1)],
      },
      raw: { steps: { 2: '' }, expect: [thinner(1.5)] },
    },
  },
  'binder-flax': {
    family: 'binder',
    original: 'egg_binder',
    lines: ['14 g ground flaxseed', '90 g water'],
    steps: ['Stir the flaxseed into the water.', 'Rest for 15 minutes.'],
    expect: [inside('water'), inside('hold-hot'), low('richness', 5)],
    but: {
      weak: { lines: { '90 g water': '400 g water' }, expect: [under('hold-hot'), over('water')] },
      dry: { lines: { '90 g water': '18 g water' }, expect: [under('water'), over('hold-hot')] },
    },
  },
  'gravy-onion': {
    family: 'pourable-sauce',
    original: 'gravy_brown',
    lines: [
      '600 g vegetable stock',
      '30 g plant butter',
      '35 g plain flour',
      '30 g soy sauce',
      '10 g tomato paste',
      '5 g mushroom powder',
    ],
    steps: [
      'Cook the flour in the plant butter for 4 minutes to a brown roux.',
      'Whisk in the stock, soy sauce, tomato paste and mushroom powder.',
      'Simmer for 10 minutes, whisking.',
    ],
    expect: [inside('viscosity'), high('umami', 4), between('saltiness', 3, 9), inside('fat')],
    but: {
      thin: {
        lines: { '35 g plain flour': '6 g plain flour' },
        expect: [thinner(2), less('thickness', 0.7)],
      },
      paste: { lines: { '35 g plain flour': '140 g plain flour' }, expect: [over('viscosity'), thicker(4)] },
      cold: { steps: { 0: 'Whisk the flour and plant butter.', 2: '' }, expect: [thinner(2)] },
      bland: {
        lines: {
          '30 g soy sauce': '30 g water',
          '5 g mushroom powder': '5 g plain flour',
          '10 g tomato paste': '10 g water',
        },
        expect: [less('umami', 1.5), less('saltiness', 1)],
      },
    },
  },
  'cream-cashew': {
    family: 'pourable-sauce',
    original: 'cream_pouring',
    lines: ['120 g raw cashews', '360 g water', '2 g salt'],
    steps: [
      'Soak the cashews in water overnight.',
      'Drain the cashews.',
      'Blend the cashews with the water and salt for 2 minutes.',
    ],
    expect: [high('creaminess', 5), high('smoothness', 5.5), inside('fat'), low('sourness', 2)],
    but: {
      lumpy: {
        steps: { 0: '', 1: '', 2: 'Blend the cashews with the water and salt for 10 seconds.' },
        expect: [more('graininess', 1), less('creaminess', 1)],
      },
      watery: { lines: { '360 g water': '1200 g water' }, expect: [thinner(3), less('richness', 1)] },
    },
  },
  'cheese-sauce-squash': {
    family: 'coating-sauce',
    original: 'sauce_cheese',
    lines: [
      '350 g soy milk',
      '200 g butternut squash',
      '60 g raw cashews',
      '25 g nutritional yeast',
      '20 g sunflower oil',
      '8 g corn starch',
      '8 g salt',
      '10 g white miso',
    ],
    steps: [
      'Simmer the squash and cashews in the soy milk for 15 minutes with the lid on.',
      'Blend everything for 2 minutes.',
      'Heat, stirring, for 4 minutes until it thickens.',
    ],
    expect: [inside('viscosity'), high('umami', 4), high('creaminess', 4), between('saltiness', 4, 8)],
    but: {
      oilfree: {
        lines: { '20 g sunflower oil': '20 g soy milk', '60 g raw cashews': '60 g soy milk' },
        expect: [less('creaminess', 0.7), less('richness', 1.5), less('mouth_coating', 0.4)],
      },
      starchy: { lines: { '8 g corn starch': '70 g corn starch' }, expect: [over('starch'), thicker(4)] },
    },
  },
  'white-sauce': {
    family: 'coating-sauce',
    original: 'sauce_white',
    lines: ['500 g oat milk', '40 g plant butter', '40 g plain flour', '4 g salt', '1 g nutmeg'],
    steps: [
      'Melt the plant butter and cook the flour in it for 2 minutes.',
      'Whisk in the oat milk and salt.',
      'Simmer for 8 minutes, whisking.',
      'Stir in the nutmeg.',
    ],
    expect: [inside('viscosity'), high('smoothness', 6), low('umami', 4), high('buttery', 2)],
    but: {
      unsalted: { lines: { '4 g salt': '4 g plain flour' }, expect: [less('saltiness', 1.5)] },
      loose: { lines: { '500 g oat milk': '1200 g oat milk' }, expect: [thinner(3), less('thickness', 1)] },
    },
  },
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

const LOCKED_EVERY = 3

function mixOf(
  id: string,
  of: Short,
  lines: readonly string[],
  steps: readonly string[],
  expect: readonly Expectation[],
): Mix {
  const text = [
    `# ${id.replaceAll('-', ' ')}`,
    '',
    'Serves 4',
    '',
    '## Ingredients',
    '',
    ...lines.filter((line) => line !== '').map((line) => `- ${line}`),
    '',
    '## Method',
    '',
    ...steps.filter((step) => step !== '').map((step, at) => `${at + 1}. ${step}`),
    '',
  ].join('\n')
  return { id, family: of.family, original: of.original, text, expect }
}

/** Every mix of our own. A third is locked: counted, never looked at while tables are tuned. */
export const ownMixes: readonly (Mix & { readonly isLocked: boolean })[] = Object.entries(SHORTS).flatMap(
  ([id, of], index) => {
    const isLocked = index % LOCKED_EVERY === 2
    const base = mixOf(id, of, of.lines, of.steps, of.expect)
    const others = Object.entries(of.but ?? {}).map(([name, { lines = {}, steps = {}, expect }]) =>
      mixOf(
        `${id}-${name}`,
        of,
        of.lines.map((line) => lines[line] ?? line),
        of.steps.map((step, at) => steps[at] ?? step),
        expect.map((one) =>
          'versus' in one
            ? { ...one, versus: id }
            : 'viscosityVersus' in one
              ? { ...one, viscosityVersus: id }
              : one,
        ),
      ),
    )
    return [base, ...others].map((mix) => ({ ...mix, isLocked }))
  },
)
