import {
  between,
  high,
  inside,
  less,
  low,
  more,
  over,
  type Short,
  thicker,
  thinner,
  under,
  weighs,
} from './shorthand'

/** Mixes in household measures and ordinary words; written before anything read them. */
export const householdMixes: Readonly<Record<string, Short>> = {
  'patty-beet-walnut': {
    family: 'bound-patty',
    original: 'beef_patty',
    lines: [
      '1 cup cooked brown rice',
      '1 tin (400 g) kidney beans, drained',
      '1 medium beetroot, grated',
      '1/2 cup walnuts, chopped',
      '1/2 cup breadcrumbs',
      '2 tbsp ground flaxseed',
      '2 tbsp soy sauce',
      '1 tsp smoked paprika',
      '2 tbsp olive oil',
    ],
    steps: [
      'Mash the kidney beans roughly.',
      'Stir in the rice, beetroot, walnuts, breadcrumbs, flaxseed, soy sauce and paprika.',
      'Leave to stand for 20 minutes.',
      'Shape into 6 burgers about 2 cm thick.',
      'Fry in the olive oil for 5 minutes on each side.',
    ],
    expect: [
      weighs(620, 810),
      between('cohesion', 2.5, 8),
      low('springiness', 5),
      between('saltiness', 1.5, 6),
    ],
    but: {
      bare: {
        lines: { '1/2 cup breadcrumbs': '', '2 tbsp ground flaxseed': '' },
        expect: [under('hold-hot'), less('cohesion', 0.7)],
      },
      saltless: {
        lines: { '2 tbsp soy sauce': '2 tbsp water' },
        expect: [less('saltiness', 1), less('umami', 0.5)],
      },
    },
  },
  'burger-tofu-oat': {
    family: 'bound-patty',
    original: 'beef_patty',
    lines: [
      '1 block (280 g) firm tofu',
      '80 g porridge oats',
      '1 small onion, finely chopped',
      '1 tbsp tomato purée',
      '1 tbsp miso',
      '25 g potato starch',
      '3 tbsp rapeseed oil',
    ],
    steps: [
      'Soften the onion in 1 tbsp of the oil for 7 minutes.',
      'Crumble the tofu into a bowl and add the onion, oats, tomato purée, miso and potato starch.',
      'Squeeze together well and form 4 patties.',
      'Shallow-fry in the remaining oil, 4 minutes a side.',
    ],
    expect: [
      weighs(400, 530),
      inside('hold-hot'),
      high('cohesion', 4),
      low('fibrousness', 4),
      high('umami', 2),
    ],
    but: {
      plain: { lines: { '1 tbsp miso': '', '1 tbsp tomato purée': '' }, expect: [less('umami', 0.8)] },
      gluten: {
        lines: { '80 g porridge oats': '80 g vital wheat gluten' },
        steps: {
          1: 'Crumble the tofu into a bowl and add the onion, gluten, tomato purée, miso and potato starch.',
        },
        expect: [more('chewiness', 1), more('cohesion', 0.3)],
      },
    },
  },
  'mince-lentil-bulgur': {
    family: 'crumble-mince',
    original: 'beef_mince',
    lines: [
      '150 g green lentils',
      '60 g bulgur wheat',
      '200 g chestnut mushrooms, finely chopped',
      '2 tbsp olive oil',
      '1 tbsp soy sauce',
      '1 tsp yeast extract',
    ],
    steps: [
      'Boil the lentils in plenty of water for 22 minutes and drain well.',
      'Soak the bulgur in 120 ml boiling water for 15 minutes.',
      'Fry the mushrooms in the oil over a high heat for 9 minutes.',
      'Add the lentils, the bulgur, the soy sauce and the yeast extract and fry for 4 minutes.',
    ],
    expect: [weighs(520, 740), high('crumbliness', 4), low('springiness', 5), high('umami', 3)],
    but: {
      wet: {
        steps: {
          3: 'Add the lentils, the bulgur, the soy sauce, the yeast extract and 300 ml water and stir.',
        },
        expect: [over('free-water'), less('crumbliness', 0.5)],
      },
      pureed: {
        steps: {
          3: 'Add the lentils, the bulgur, the soy sauce and the yeast extract and blend until smooth.',
        },
        expect: [under('coarse-share')],
      },
    },
  },
  'mince-frozen-tofu': {
    family: 'crumble-mince',
    original: 'spiced_mince',
    lines: [
      '400 g extra-firm tofu',
      '3 tbsp sunflower oil',
      '1 onion, diced',
      '2 cloves garlic, crushed',
      '2 tsp ground cumin',
      '1/2 tsp chilli powder',
      '2 tbsp soy sauce',
    ],
    steps: [
      'Freeze the tofu overnight, thaw it and squeeze out the water.',
      'Crumble the tofu.',
      'Fry the onion in the oil for 8 minutes.',
      'Add the garlic, cumin and chilli powder and cook for 1 minute.',
      'Add the tofu and the soy sauce and fry until browned, about 8 minutes.',
    ],
    expect: [high('crumbliness', 4), high('chewiness', 2), high('spice_warm', 2), high('saltiness', 2)],
    but: {
      fresh: { steps: { 0: 'Drain the tofu.' }, expect: [less('chewiness', 0.3)] },
      mild: {
        lines: { '1/2 tsp chilli powder': '', '2 tsp ground cumin': '' },
        expect: [less('spice_warm', 1)],
      },
    },
  },
  'seitan-simmered': {
    family: 'bound-dough-slice',
    original: 'steak_medium',
    lines: [
      '1 1/2 cups vital wheat gluten',
      '1/4 cup chickpea flour',
      '1 cup vegetable stock',
      '2 tbsp soy sauce',
      '1 tbsp olive oil',
      '1 tsp garlic powder',
      '1.5 litres vegetable stock for cooking',
    ],
    steps: [
      'Mix the gluten, the chickpea flour and the garlic powder.',
      'Add the cup of stock, the soy sauce and the oil and knead for 5 minutes.',
      'Rest the dough for 20 minutes and cut it into 4 steaks.',
      'Simmer the steaks gently in the cooking stock for 50 minutes.',
    ],
    expect: [high('chewiness', 5), high('springiness', 3), inside('gluten-share'), low('crumbliness', 4)],
    but: {
      soft: {
        lines: {
          '1/4 cup chickpea flour': '200 g silken tofu',
          '1 cup vegetable stock': '50 ml vegetable stock',
        },
        steps: {
          0: 'Mix the gluten and the garlic powder.',
          1: 'Blend the tofu with the 50 ml of stock, the soy sauce and the oil, add the dry mix and knead for 1 minute.',
        },
        expect: [less('chewiness', 0.5), more('tenderness', 0.5)],
      },
      unkneaded: {
        steps: { 1: 'Add the cup of stock, the soy sauce and the oil and stir together briefly.' },
        expect: [less('chewiness', 0.3)],
      },
    },
  },
  'roast-baked-gluten': {
    family: 'bound-dough-slice',
    original: 'turkey_roast',
    lines: [
      '300 g vital wheat gluten',
      '250 g firm tofu',
      '220 ml vegetable stock',
      '40 ml rapeseed oil',
      '10 g salt',
      '1 tbsp onion powder',
      '1 tsp dried thyme',
    ],
    steps: [
      'Blend the tofu with the stock, oil, salt, onion powder and thyme.',
      'Add the gluten and knead for 3 minutes.',
      'Shape into a log, wrap tightly in foil and bake at 180 C for 75 minutes.',
      'Cool and slice thinly.',
    ],
    expect: [
      weighs(700, 830),
      high('firmness', 4),
      high('chewiness', 4),
      high('saltiness', 2),
      low('creaminess', 5),
    ],
    but: {
      oilless: { lines: { '40 ml rapeseed oil': '40 ml water' }, expect: [less('richness', 0.3)] },
      salty: { lines: { '10 g salt': '30 g salt' }, expect: [more('saltiness', 2)] },
    },
  },
  'pulled-oyster-bbq': {
    family: 'shreddable',
    original: 'pulled_pork',
    lines: [
      '500 g king oyster mushrooms',
      '2 tbsp oil',
      '1 tsp smoked paprika',
      '1 tbsp brown sugar',
      '1 tbsp cider vinegar',
      '3/4 tsp salt',
    ],
    steps: [
      'Shred the mushrooms with two forks.',
      'Toss them with the oil, paprika, sugar, vinegar and salt.',
      'Roast on a lined tray at 200 C for 25 minutes.',
    ],
    expect: [weighs(250, 400), high('fibrousness', 4), high('smokiness', 2), low('springiness', 6)],
    but: {
      whole: {
        steps: { 0: 'Chop the mushrooms finely.' },
        expect: [less('fibrousness', 0.7)],
      },
      plain: { lines: { '1 tsp smoked paprika': '1 tsp sweet paprika' }, expect: [less('smokiness', 1.5)] },
    },
  },
  'bacon-rice-paper': {
    family: 'crisp-strip',
    original: 'bacon_crisp',
    lines: [
      '8 sheets rice paper',
      '2 tbsp soy sauce',
      '1 tbsp maple syrup',
      '2 tbsp oil',
      '1 tsp smoked paprika',
      '1/2 tsp liquid smoke',
    ],
    steps: [
      'Whisk the soy sauce, syrup, oil, paprika and liquid smoke.',
      'Dip the rice paper in the marinade and cut into strips.',
      'Bake on a tray at 200 C for 8 minutes until crisp.',
    ],
    expect: [high('crispness', 5), high('smokiness', 4), high('saltiness', 4), low('juiciness', 4)],
    but: {
      soft: { steps: { 2: '' }, expect: [less('crispness', 3), over('water')] },
      unsmoked: {
        lines: { '1 tsp smoked paprika': '', '1/2 tsp liquid smoke': '' },
        expect: [less('smokiness', 3)],
      },
    },
  },
  'sausage-steamed': {
    family: 'emulsified-sausage',
    original: 'sausage_hot_smoked',
    lines: [
      '180 g vital wheat gluten',
      '1 can (240 g drained) white beans',
      '200 ml cold water',
      '60 ml sunflower oil',
      '2 tsp smoked paprika',
      '2 tsp salt',
      '1 tsp mustard powder',
    ],
    steps: [
      'Blend the beans, the water, the oil, the paprika, the salt and the mustard to a smooth cream.',
      'Mix in the gluten and knead for 2 minutes.',
      'Roll into 8 sausages and wrap each in foil.',
      'Steam for 45 minutes.',
    ],
    expect: [
      weighs(600, 730),
      inside('fat'),
      high('springiness', 3),
      high('smokiness', 2),
      high('saltiness', 3),
    ],
    but: {
      raw: { steps: { 3: '' }, expect: [under('set'), less('firmness', 1)] },
      lean: {
        lines: { '60 ml sunflower oil': '1 tsp sunflower oil' },
        expect: [under('fat'), less('juiciness', 0.3)],
      },
    },
  },
  'scramble-silken': {
    family: 'egg-curd',
    original: 'egg_scrambled',
    lines: [
      '350 g silken tofu',
      '2 tbsp chickpea flour',
      '1 tbsp nutritional yeast',
      '1/2 tsp kala namak',
      '1/4 tsp turmeric',
      '1 tbsp vegan butter',
    ],
    steps: [
      'Whisk half the tofu with the chickpea flour, yeast and turmeric.',
      'Melt the butter in a pan, pour in the mixture and cook for 3 minutes, stirring.',
      'Fold in the rest of the tofu in large pieces and heat for 3 minutes.',
      'Take off the heat and stir in the kala namak.',
    ],
    expect: [weighs(330, 420), high('sulphury', 4), high('tenderness', 5), low('chewiness', 4)],
    but: {
      plain: { lines: { '1/2 tsp kala namak': '1/2 tsp salt' }, expect: [low('sulphury', 1.5)] },
      firm: {
        lines: { '350 g silken tofu': '350 g extra-firm tofu' },
        expect: [more('firmness', 1), less('creaminess', 0.5)],
      },
    },
  },
  'quiche-chickpea': {
    family: 'custard-gel',
    original: 'custard_quiche',
    lines: [
      '1 cup chickpea flour',
      '2 1/2 cups unsweetened soy milk',
      '1/4 cup olive oil',
      '1 tsp salt',
      '1/2 tsp kala namak',
      '1 tbsp nutritional yeast',
    ],
    steps: [
      'Whisk everything until smooth.',
      'Cook in a pan over a medium heat, stirring, for 6 minutes until very thick.',
      'Pour into a 23 cm tin and bake at 180 C for 30 minutes.',
      'Leave to cool for 30 minutes.',
    ],
    expect: [weighs(560, 780), high('firmness', 2), high('richness', 3), high('saltiness', 2)],
    but: {
      thin: {
        lines: { '1 cup chickpea flour': '2 tbsp chickpea flour' },
        expect: [under('starch'), less('firmness', 1.5)],
      },
      lean: { lines: { '1/4 cup olive oil': '1/4 cup water' }, expect: [under('fat'), less('richness', 1)] },
    },
  },
  'meringue-chickpea': {
    family: 'foam',
    original: 'meringue_foam',
    lines: ['150 ml aquafaba', '200 g caster sugar', '1/2 tsp cream of tartar'],
    steps: [
      'Whisk the aquafaba with the cream of tartar for 6 minutes to stiff peaks.',
      'Add the sugar a spoonful at a time, whisking, for 5 minutes.',
    ],
    expect: [high('sweetness', 6), inside('film'), low('richness', 2), low('graininess', 5)],
    but: {
      flat: {
        steps: { 0: 'Stir the aquafaba with the cream of tartar.', 1: 'Stir in the sugar.' },
        expect: [less('firmness', 1)],
      },
      oily: {
        lines: { '1/2 tsp cream of tartar': '2 tbsp olive oil' },
        steps: { 0: 'Whisk the aquafaba with the olive oil for 6 minutes.' },
        expect: [less('firmness', 0.5)],
      },
    },
  },
  'whipped-coconut': {
    family: 'foam',
    original: 'cream_whipped',
    lines: ['1 can (400 ml) full-fat coconut milk', '2 tbsp icing sugar', '1/2 tsp vanilla extract'],
    steps: [
      'Chill the can overnight.',
      'Scoop the firm cream into a bowl, leaving the water behind.',
      'Whip the cream with the sugar and vanilla for 3 minutes until fluffy.',
    ],
    expect: [high('richness', 5), low('graininess', 5), between('sweetness', 1.5, 8)],
    but: { unsweet: { lines: { '2 tbsp icing sugar': '' }, expect: [less('sweetness', 1)] } },
  },
  'egg-chia': {
    family: 'binder',
    original: 'egg_binder',
    lines: ['1 tbsp chia seeds, ground', '3 tbsp water'],
    steps: ['Stir the chia into the water.', 'Wait for 10 minutes until gelled.'],
    expect: [inside('hold-hot'), low('richness', 5), weighs(45, 62)],
    but: { thin: { lines: { '3 tbsp water': '1 cup water' }, expect: [over('water'), under('hold-hot')] } },
  },
  'cream-oat-pouring': {
    family: 'pourable-sauce',
    original: 'cream_pouring',
    lines: ['500 ml oat milk', '80 ml rapeseed oil', '1 tsp sunflower lecithin', 'a pinch of salt'],
    steps: [
      'Blend the oat milk, the lecithin and the salt.',
      'With the blender running, pour in the oil in a thin stream.',
    ],
    expect: [high('richness', 3), high('smoothness', 6), low('thickness', 6), weighs(540, 605)],
    but: {
      oilless: { lines: { '80 ml rapeseed oil': '' }, expect: [less('richness', 2), under('fat')] },
      starchy: {
        lines: { 'a pinch of salt': '30 g cornstarch' },
        steps: {
          0: 'Blend the oat milk, the lecithin and the cornstarch.',
          1: 'With the blender running, pour in the oil in a thin stream, then bring to the boil, stirring, and simmer for 2 minutes.',
        },
        expect: [thicker(3), over('viscosity')],
      },
    },
  },
  'gravy-mushroom': {
    family: 'pourable-sauce',
    original: 'gravy_brown',
    lines: [
      '250 g mushrooms, sliced',
      '2 tbsp margarine',
      '3 tbsp plain flour',
      '600 ml vegetable stock',
      '1 tbsp soy sauce',
      '1 tsp thyme leaves',
    ],
    steps: [
      'Fry the mushrooms in the margarine for 8 minutes.',
      'Stir in the flour and cook for 2 minutes.',
      'Pour in the stock and the soy sauce, add the thyme and simmer for 10 minutes.',
      'Blend until smooth.',
    ],
    expect: [high('umami', 3), between('saltiness', 1.5, 8), low('sweetness', 5), high('smoothness', 4)],
    but: {
      watery: {
        lines: { '3 tbsp plain flour': '' },
        steps: { 1: 'Cook for 2 minutes.' },
        expect: [thinner(1.5), under('viscosity')],
      },
      reduced: {
        steps: {
          2: 'Pour in the stock and the soy sauce, add the thyme and simmer without a lid for 40 minutes.',
        },
        expect: [more('saltiness', 0.3), thicker(1.1)],
      },
    },
  },
  'bechamel-soy': {
    family: 'coating-sauce',
    original: 'sauce_white',
    lines: ['50 g margarine', '50 g plain flour', '600 ml soy milk', '1/2 tsp salt', 'a grating of nutmeg'],
    steps: [
      'Melt the margarine, stir in the flour and cook for 2 minutes.',
      'Whisk in the soy milk little by little.',
      'Simmer for 8 minutes, stirring, and season with the salt and nutmeg.',
    ],
    expect: [
      inside('starch'),
      high('creaminess', 5),
      high('smoothness', 6),
      inside('viscosity'),
      weighs(560, 710),
    ],
    but: {
      thin: {
        lines: { '50 g plain flour': '15 g plain flour' },
        expect: [thinner(2), under('viscosity')],
      },
      thick: { lines: { '50 g plain flour': '120 g plain flour' }, expect: [thicker(2), over('starch')] },
    },
  },
  'cheese-sauce-potato': {
    family: 'coating-sauce',
    original: 'sauce_cheese',
    lines: [
      '300 g potatoes, peeled',
      '100 g carrots, peeled',
      '60 ml olive oil',
      '120 ml water',
      '4 tbsp nutritional yeast',
      '1 tbsp lemon juice',
      '1 1/2 tsp salt',
    ],
    steps: [
      'Boil the potatoes and the carrots for 20 minutes and drain.',
      'Blend them with the oil, the water, the yeast, the lemon juice and the salt until silky.',
    ],
    expect: [high('umami', 3), high('saltiness', 3), high('richness', 3), weighs(560, 680)],
    but: {
      nooch: { lines: { '4 tbsp nutritional yeast': '' }, expect: [less('umami', 1)] },
      loose: { lines: { '120 ml water': '500 ml water' }, expect: [thinner(3)] },
    },
  },
  'mozzarella-cashew': {
    family: 'stretch-melt',
    original: 'cheese_stretch',
    lines: [
      '1/2 cup raw cashews',
      '1 cup water',
      '1/4 cup tapioca starch',
      '2 tbsp refined coconut oil',
      '1 tbsp nutritional yeast',
      '1 tsp lemon juice',
      '3/4 tsp salt',
    ],
    steps: [
      'Soak the cashews in boiling water for 30 minutes and drain.',
      'Blend everything until completely smooth.',
      'Cook in a saucepan over a medium heat, stirring all the time, for 5 minutes until stretchy.',
    ],
    expect: [high('stretch', 4), inside('elastic-starch'), high('saltiness', 2), weighs(310, 430)],
    but: {
      cornflour: { lines: { '1/4 cup tapioca starch': '1/4 cup cornflour' }, expect: [less('stretch', 2)] },
      uncooked: { steps: { 2: '' }, expect: [less('stretch', 3)] },
    },
  },
  'slices-agar': {
    family: 'sliceable-gel',
    original: 'cured_fatty_ham',
    lines: [
      '400 ml coconut milk',
      '2 tsp agar powder',
      '30 g nutritional yeast',
      '30 g tapioca starch',
      '1 1/2 tsp salt',
      '1 tbsp miso',
    ],
    steps: [
      'Whisk everything in a saucepan.',
      'Bring to the boil and simmer for 4 minutes, stirring.',
      'Pour into a mould and chill for 4 hours.',
    ],
    expect: [high('firmness', 3), high('umami', 3), high('saltiness', 3), low('springiness', 8)],
    but: {
      unset: { lines: { '2 tsp agar powder': '' }, expect: [less('firmness', 1), under('gel')] },
      unboiled: { steps: { 1: 'Warm through for 1 minute to 50 C.' }, expect: [less('firmness', 1)] },
    },
  },
  'feta-marinated': {
    family: 'crumbly-brined',
    original: 'cheese_brined',
    lines: [
      '300 g firm tofu',
      '60 ml lemon juice',
      '60 ml water',
      '2 tbsp olive oil',
      '1 tbsp white miso',
      '2 tsp salt',
      '1 tsp dried oregano',
    ],
    steps: [
      'Press the tofu for 30 minutes and cut it into cubes.',
      'Whisk the lemon juice, water, oil, miso, salt and oregano.',
      'Marinate the tofu in it for 24 hours in the fridge.',
    ],
    expect: [high('sourness', 3), high('saltiness', 3), high('crumbliness', 2), low('stretch', 2)],
    but: {
      sweet: { lines: { '60 ml lemon juice': '60 ml water' }, expect: [less('sourness', 2), over('ph')] },
      saltless: { lines: { '2 tsp salt': '' }, expect: [under('salt'), less('saltiness', 1.5)] },
    },
  },
  'parmesan-almond': {
    family: 'hard-grate',
    original: 'cheese_hard_grate',
    lines: ['1 cup blanched almonds', '3 tbsp nutritional yeast', '3/4 tsp salt', '1/4 tsp garlic powder'],
    steps: ['Pulse everything in a food processor to fine crumbs.'],
    expect: [
      inside('water'),
      high('umami', 4),
      high('saltiness', 3),
      high('crumbliness', 5),
      weighs(150, 190),
    ],
    but: {
      yeastless: { lines: { '3 tbsp nutritional yeast': '' }, expect: [less('umami', 1.5), under('savour')] },
      butter: {
        steps: { 0: 'Blend everything for 10 minutes to a smooth butter.' },
        expect: [less('crumbliness', 2)],
      },
    },
  },
  'cream-cheese-cashew': {
    family: 'spreadable',
    original: 'cheese_spread',
    lines: [
      '200 g cashews, soaked overnight and drained',
      '3 tbsp lemon juice',
      '80 ml water',
      '2 tbsp refined coconut oil, melted',
      '3/4 tsp salt',
    ],
    steps: ['Blend everything until very smooth.', 'Chill for 3 hours.'],
    expect: [high('creaminess', 5), high('smoothness', 5), high('sourness', 2), inside('fat')],
    but: {
      coarse: {
        steps: { 0: 'Pulse everything briefly until chunky.' },
        expect: [less('smoothness', 2), over('grit')],
      },
      runny: { lines: { '80 ml water': '500 ml water' }, expect: [thinner(5), under('viscosity')] },
    },
  },
  'yogurt-cultured-soy': {
    family: 'cultured-thick',
    original: 'yogurt_thick',
    lines: ['1 litre unsweetened soy milk', '3 tbsp live soy yogurt'],
    steps: [
      'Warm the soy milk to 43 C and stir in the yogurt.',
      'Keep at 42 C for 9 hours.',
      'Strain through muslin for 3 hours until it has lost a third.',
      'Chill overnight.',
    ],
    expect: [inside('ph'), high('sourness', 3), high('creaminess', 3), weighs(600, 760)],
    but: {
      short: { steps: { 1: 'Keep at 42 C for 1 hour.' }, expect: [over('ph'), less('sourness', 1)] },
      unstrained: { steps: { 2: '' }, expect: [thinner(1.3), under('protein')] },
    },
  },
  'butter-cultured': {
    family: 'solid-fat',
    original: 'butter',
    lines: [
      '150 g refined coconut oil',
      '60 ml rapeseed oil',
      '70 ml soy milk',
      '1 tsp lemon juice',
      '1/2 tsp salt',
      '1 tsp sunflower lecithin',
    ],
    steps: [
      'Melt the coconut oil and mix it with the rapeseed oil.',
      'Blend the soy milk, lemon juice, salt and lecithin.',
      'Stream in the oils while blending, pour into a dish and chill for 2 hours.',
    ],
    expect: [high('richness', 7), inside('set'), high('creaminess', 3), weighs(255, 295)],
    but: {
      liquid: {
        lines: { '150 g refined coconut oil': '150 g sunflower oil' },
        steps: { 0: 'Mix the sunflower oil with the rapeseed oil.' },
        expect: [under('set'), less('firmness', 2)],
      },
    },
  },
  'yolk-carrot-dip': {
    family: 'liquid-yolk',
    original: 'egg_yolk_jammy',
    lines: [
      '250 ml soy milk',
      '50 g vegan butter',
      '1 1/2 tbsp cornflour',
      '1 tbsp nutritional yeast',
      '1/2 tsp kala namak',
      '1/4 tsp turmeric',
    ],
    steps: [
      'Whisk the cornflour into the cold soy milk with the yeast and the turmeric.',
      'Bring to the boil, stirring, and simmer for 2 minutes.',
      'Whisk in the butter and the kala namak.',
    ],
    expect: [high('sulphury', 3), high('richness', 4), high('smoothness', 5), weighs(255, 330)],
    but: {
      unthick: {
        lines: { '1 1/2 tbsp cornflour': '' },
        steps: { 0: 'Whisk the soy milk with the yeast and the turmeric.' },
        expect: [thinner(2)],
      },
    },
  },
  'tuna-chickpea': {
    family: 'flaked',
    original: 'tuna_flaked',
    lines: [
      '1 can (400 g) chickpeas, drained',
      '1 sheet nori, crumbled',
      '2 tbsp lemon juice',
      '1 tbsp caper brine',
      '2 tbsp olive oil',
      '1/2 tsp salt',
    ],
    steps: [
      'Mash the chickpeas coarsely with a fork.',
      'Stir in the nori, lemon juice, caper brine, oil and salt.',
    ],
    expect: [high('marine', 1.5), high('saltiness', 3), low('springiness', 4), weighs(280, 345)],
    but: {
      inland: { lines: { '1 sheet nori, crumbled': '' }, expect: [less('marine', 1)] },
      hummus: {
        steps: { 0: 'Blend the chickpeas until perfectly smooth.' },
        expect: [under('coarse-share')],
      },
    },
  },
}
