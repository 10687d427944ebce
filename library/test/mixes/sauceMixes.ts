import {
  low,
  high,
  between,
  inside,
  under,
  over,
  less,
  more,
  thinner,
  thicker,
  weighs,
  type Short,
} from './shorthand'

/** Written before the tables were tuned. */
export const sauceMixes: Readonly<Record<string, Short>> = {
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
}
