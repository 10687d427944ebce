import { low, high, between, inside, under, over, less, more, thinner, weighs, type Short } from './shorthand'

/** Written before the tables were tuned. */
export const dairyMixes: Readonly<Record<string, Short>> = {
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
}
