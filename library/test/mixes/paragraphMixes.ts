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

/** Mixes whose method is a paragraph or two, of originals that few others take; written before anything read them. */
export const paragraphMixes: Readonly<Record<string, Short>> = {
  'lamb-mince-soya': {
    family: 'crumble-mince',
    original: 'lamb_mince',
    lines: [
      '100g dried soya mince',
      '300ml hot vegetable stock',
      '3 tbsp olive oil',
      '1 large onion, finely chopped',
      '2 garlic cloves, crushed',
      '1 tsp ground cumin',
      '1 tsp dried mint',
      '2 tbsp soy sauce',
    ],
    steps: [
      'Pour the hot stock over the soya mince and leave for 15 minutes. Meanwhile, soften the onion in the oil for 8 minutes, then add the garlic, cumin and mint and cook for another minute.',
      'Tip in the mince with the soy sauce and fry briskly for 6 minutes until it starts to catch.',
    ],
    expect: [
      weighs(420, 590),
      high('chewiness', 3),
      high('umami', 2),
      between('saltiness', 2, 8),
      low('creaminess', 4),
    ],
    but: {
      dry: {
        lines: { '300ml hot vegetable stock': '120ml hot vegetable stock' },
        expect: [less('juiciness', 0.3)],
      },
      bland: {
        lines: { '2 tbsp soy sauce': '', '1 tsp ground cumin': '' },
        expect: [less('saltiness', 0.7), less('umami', 0.7)],
      },
    },
  },
  'meatloaf-lentil': {
    family: 'bound-dough-slice',
    original: 'meatloaf',
    lines: [
      '200g vital wheat gluten',
      '250g cooked brown lentils',
      '1 onion, grated',
      '150ml vegetable stock',
      '3 tbsp tomato ketchup',
      '2 tbsp soy sauce',
      '2 tbsp oil',
      '1 tsp dried sage',
    ],
    steps: [
      'Roughly mash the lentils, then stir in the onion, stock, half the ketchup, the soy sauce, oil and sage. Work in the gluten and knead for 3 minutes.',
      'Press into an oiled 900g loaf tin, spread with the rest of the ketchup, cover with foil and bake at 180C for 60 minutes.',
    ],
    expect: [weighs(640, 820), high('firmness', 3.5), low('creaminess', 5), high('cohesion', 4)],
    but: {
      crumbly: {
        lines: { '200g vital wheat gluten': '60g vital wheat gluten' },
        expect: [under('gluten-share'), less('chewiness', 1)],
      },
    },
  },
  'chicken-fried-gluten': {
    family: 'shreddable',
    original: 'chicken_fried',
    lines: [
      '150g vital wheat gluten',
      '200g firm tofu',
      '80ml vegetable stock',
      '1 tsp salt',
      '60g plain flour',
      '150ml soy milk',
      '100g panko breadcrumbs',
      'oil for deep-frying',
    ],
    steps: [
      'Blend the tofu with the stock and salt, then knead with the gluten for 8 minutes until stringy. Twist the dough, knot it and steam for 40 minutes. Cool, then tear into 8 pieces.',
      'Dip the pieces in the flour, then the soy milk, then the panko, and deep-fry at 175C for 4 minutes until golden.',
    ],
    expect: [high('crispness', 3), high('fibrousness', 2.5), high('chewiness', 3.5), low('creaminess', 5)],
    but: {
      naked: {
        steps: { 1: 'Warm the pieces in a low oven for 5 minutes.' },
        expect: [less('crispness', 1.5), less('richness', 0.5)],
      },
      lump: {
        steps: {
          0: 'Blend the tofu with the stock and salt, then stir in the gluten just until combined. Shape into a log and steam for 40 minutes. Cool, then cut into 8 pieces.',
        },
        expect: [less('fibrousness', 0.7)],
      },
    },
  },
  'chicken-thigh-soycurls': {
    family: 'shreddable',
    original: 'chicken_thigh',
    lines: [
      '120g dried soya chunks',
      '1 litre vegetable stock',
      '3 tbsp oil',
      '1 tbsp soy sauce',
      '1 tsp poultry seasoning',
    ],
    steps: [
      'Simmer the soya chunks in the stock for 15 minutes, then drain and squeeze out as much liquid as you can. Tear them into strips.',
      'Toss with the oil, soy sauce and seasoning and roast at 200C for 15 minutes.',
    ],
    expect: [high('fibrousness', 2.5), high('chewiness', 3), low('creaminess', 4), weighs(220, 420)],
    but: { oilless: { lines: { '3 tbsp oil': '' }, expect: [under('fat'), less('richness', 1)] } },
  },
  'steak-mushroom-gluten': {
    family: 'bound-dough-slice',
    original: 'beef_griddled',
    lines: [
      '200 g vital wheat gluten',
      '150 g cooked beetroot',
      '120 g water',
      '30 g tomato paste',
      '30 g soy sauce',
      '20 g rapeseed oil',
      '10 g dried porcini, ground',
    ],
    steps: [
      'Blend everything but the gluten, then add the gluten and knead for 6 minutes. Wrap in foil as a log, steam for 60 minutes and chill overnight.',
      'Slice 3 mm thin and sear in a hot dry pan for 1 minute a side.',
    ],
    expect: [high('chewiness', 4), high('umami', 3), inside('gluten-share'), low('sourness', 5)],
    but: {
      plain: {
        lines: {
          '10 g dried porcini, ground': '',
          '30 g soy sauce': '30 g water',
          '30 g tomato paste': '30 g water',
        },
        expect: [less('umami', 2), less('saltiness', 1)],
      },
    },
  },
  'ham-glazed-slices': {
    family: 'sliceable-gel',
    original: 'cured_fatty_ham',
    lines: [
      '500 ml water',
      '80 g coconut oil',
      '50 g tapioca starch',
      '12 g agar powder',
      '8 g kappa carrageenan',
      '14 g salt',
      '2 tsp liquid smoke',
      '1 tbsp beetroot powder',
    ],
    steps: [
      'Whisk everything together cold, then bring to the boil, whisking, and simmer for 3 minutes. Blend with a stick blender, pour into a tin and chill for 6 hours before slicing thinly.',
    ],
    expect: [high('smokiness', 4), high('saltiness', 4), high('firmness', 3), over('gel')],
    but: {
      weak: {
        lines: { '12 g agar powder': '2 g agar powder', '8 g kappa carrageenan': '' },
        expect: [under('gel'), less('firmness', 1)],
      },
      lean: { lines: { '80 g coconut oil': '80 g water' }, expect: [less('richness', 1), under('fat')] },
    },
  },
  'sausage-fresh-bean': {
    family: 'emulsified-sausage',
    original: 'sausage_fresh',
    lines: [
      '1 cup vital wheat gluten',
      '1 cup cooked cannellini beans',
      '3/4 cup vegetable broth',
      '3 tbsp olive oil',
      '2 tsp fennel seeds, ground',
      '1 tsp chilli flakes',
      '1 1/2 tsp salt',
    ],
    steps: [
      'Mash the beans to a paste, whisk in the broth, oil, fennel, chilli and salt, then add the gluten and mix to a soft dough. Divide into 6, roll tightly in foil and steam for 40 minutes.',
      'Unwrap and brown in a little oil for 6 minutes, turning.',
    ],
    expect: [weighs(400, 540), high('springiness', 2.5), high('saltiness', 3), high('firmness', 3)],
    but: {
      soft: {
        lines: { '1 cup vital wheat gluten': '1/3 cup vital wheat gluten' },
        expect: [under('gluten-share'), less('springiness', 0.5)],
      },
    },
  },
  'fish-banana-blossom': {
    family: 'flaked',
    original: 'white_fish',
    lines: [
      '400g tinned banana blossom, drained',
      '1 tbsp lemon juice',
      '1 sheet nori',
      '3/4 tsp salt',
      '2 tbsp oil',
    ],
    steps: [
      'Press the banana blossom gently, then marinate with the lemon juice, crumbled nori and salt for 30 minutes. Fry in the oil for 3 minutes on each side.',
    ],
    expect: [high('marine', 1), high('saltiness', 2), low('chewiness', 6), weighs(280, 420)],
    but: { norileft: { lines: { '1 sheet nori': '' }, expect: [less('marine', 0.8)] } },
  },
  'omelette-mung': {
    family: 'egg-curd',
    original: 'egg_omelette',
    lines: [
      '200g split mung beans',
      '350ml water',
      '2 tbsp oil',
      '1/2 tsp black salt',
      '1/2 tsp baking powder',
      '1/4 tsp turmeric',
    ],
    steps: [
      'Soak the mung beans overnight and drain. Blend with the water, black salt, baking powder and turmeric until completely smooth.',
      'Heat the oil in a frying pan, pour in the batter, cover and cook for 5 minutes, then turn and cook for 3 minutes.',
    ],
    expect: [high('cohesion', 3), high('sulphury', 2), low('crispness', 5), weighs(650, 880)],
    but: { plain: { lines: { '1/2 tsp black salt': '1/2 tsp salt' }, expect: [less('sulphury', 1)] } },
  },
  'egg-white-fried': {
    family: 'egg-curd',
    original: 'egg_white_fried',
    lines: [
      '250g silken tofu',
      '30g rice flour',
      '10g cornflour',
      '60ml soy milk',
      '1/4 tsp black salt',
      '1 tbsp oil',
    ],
    steps: [
      'Blend everything except the oil. Heat the oil in a pan, pour in rounds and fry for 4 minutes until set.',
    ],
    expect: [high('sulphury', 1.5), low('chewiness', 5), low('umami', 4), high('cohesion', 2.5)],
    but: {
      runny: {
        lines: { '60ml soy milk': '400ml soy milk' },
        expect: [less('firmness', 0.7), less('cohesion', 0.5)],
      },
    },
  },
  'sauce-lemon-egg': {
    family: 'pourable-sauce',
    original: 'egg_lemon_sauce',
    lines: [
      '400ml vegetable stock',
      '60ml lemon juice',
      '30ml olive oil',
      '20g cornflour',
      '1 tbsp white miso',
      '1/4 tsp turmeric',
    ],
    steps: [
      'Slake the cornflour in a little of the cold stock. Bring the rest of the stock to the boil with the miso and turmeric, whisk in the cornflour and simmer for 3 minutes. Off the heat, whisk in the lemon juice and the oil.',
    ],
    expect: [high('sourness', 4), high('smoothness', 5), low('sweetness', 4), weighs(430, 540)],
    but: {
      mild: { lines: { '60ml lemon juice': '60ml water' }, expect: [less('sourness', 2.5)] },
      thin: { lines: { '20g cornflour': '6g cornflour' }, expect: [thinner(2)] },
    },
  },
  'ricotta-tofu-lemon': {
    family: 'spreadable',
    original: 'cheese_curd_fresh',
    lines: [
      '400g firm tofu',
      '50g cashews, soaked',
      '3 tbsp lemon juice',
      '2 tbsp olive oil',
      '1 tsp salt',
      '1 tbsp nutritional yeast',
    ],
    steps: [
      'Blitz the cashews with the lemon juice, oil, salt and yeast until smooth, then crumble in the tofu and pulse until fluffy but still grainy.',
    ],
    expect: [high('sourness', 1.5), between('saltiness', 1.5, 7), low('stretch', 2), weighs(480, 580)],
    but: {
      smooth: {
        steps: { 0: 'Blend everything for 4 minutes until perfectly smooth.' },
        expect: [more('smoothness', 1), more('creaminess', 0.5)],
      },
      lean: { lines: { '50g cashews, soaked': '', '2 tbsp olive oil': '' }, expect: [less('richness', 1.5)] },
    },
  },
  'dressing-caesar': {
    family: 'coating-sauce',
    original: 'dressing_anchovy_cheese',
    lines: [
      '120ml aquafaba',
      '200ml sunflower oil',
      '1 tbsp Dijon mustard',
      '2 tbsp lemon juice',
      '1 tbsp capers, chopped',
      '2 tbsp nutritional yeast',
      '1 garlic clove, grated',
      '1/2 tsp salt',
    ],
    steps: [
      'Put the aquafaba, mustard and lemon juice in a jug. With a stick blender running, trickle in the oil until thick and pale. Stir in the capers, yeast, garlic and salt.',
    ],
    expect: [
      high('richness', 6),
      high('sourness', 2),
      high('umami', 2),
      high('creaminess', 4),
      weighs(380, 460),
    ],
    but: {
      broken: {
        steps: { 0: 'Stir everything together with a spoon.' },
        expect: [under('emulsified'), less('creaminess', 1)],
      },
      lean: {
        lines: { '200ml sunflower oil': '30ml sunflower oil' },
        expect: [less('richness', 2), thinner(3)],
      },
    },
  },
  'whipped-soy-cream': {
    family: 'foam',
    original: 'cream_whipped',
    lines: [
      '150ml cold soy milk',
      '250ml refined coconut oil, melted and cooled',
      '1 tsp sunflower lecithin',
      '1 pinch salt',
    ],
    steps: [
      'Blend the soy milk with the lecithin and salt, pour in the oil while blending, then chill for 4 hours. Whip for 3 minutes until it holds soft peaks.',
    ],
    expect: [high('richness', 6), high('smoothness', 5), low('sourness', 2)],
    but: {
      lean: {
        lines: {
          '250ml refined coconut oil, melted and cooled': '30ml refined coconut oil, melted and cooled',
        },
        expect: [less('richness', 2), less('firmness', 0.5)],
      },
    },
  },
  'gouda-carrageenan': {
    family: 'sliceable-gel',
    original: 'cheese_stretch',
    lines: [
      '400 ml soy milk',
      '90 g refined coconut oil',
      '25 g tapioca starch',
      '6 g kappa carrageenan',
      '8 g salt',
      '20 g nutritional yeast',
      '10 g lactic acid powder',
    ],
    steps: [
      'Heat everything in a pan, whisking, to 85 C and hold there for 3 minutes. Blend briefly, pour into a mould and leave to cool, then chill overnight.',
    ],
    expect: [high('richness', 4), high('saltiness', 3)],
  },
  'sauce-white-cauliflower': {
    family: 'coating-sauce',
    original: 'sauce_white',
    lines: ['400g cauliflower florets', '200ml oat milk', '30ml olive oil', '1 tsp salt', '1 clove garlic'],
    steps: [
      'Boil the cauliflower and garlic for 12 minutes until very soft, drain, and blend with the oat milk, oil and salt until silky.',
    ],
    expect: [high('smoothness', 4), low('sweetness', 6), weighs(530, 660), high('saltiness', 2)],
    but: {
      soupy: { lines: { '200ml oat milk': '800ml oat milk' }, expect: [thinner(3), less('thickness', 1)] },
      floury: {
        lines: { '1 clove garlic': '40g plain flour' },
        steps: {
          0: 'Boil the cauliflower for 12 minutes, drain and blend with the oat milk, oil, salt and flour. Simmer, stirring, for 6 minutes.',
        },
        expect: [thicker(1.5)],
      },
    },
  },
}
