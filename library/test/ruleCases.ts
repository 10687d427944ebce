import type { FamilyId } from '@frijol/core/model'

/** A part as it is written: its lines and steps, and its family where the rule asks for it. */
export interface Written {
  readonly lines: readonly string[]
  readonly steps: readonly string[]
  readonly family?: FamilyId
}

/** A rule with a part in which it must fire and a near one in which it must keep quiet. */
export interface RuleCase {
  readonly id: string
  readonly fires: Written
  readonly quiet: Written
}

const part = (lines: string, steps: string, family?: FamilyId): Written => ({
  lines: lines.split(' / '),
  steps: steps.split(' / '),
  ...(family === undefined ? {} : { family }),
})
const rule = (id: string, fires: Written, quiet: Written): RuleCase => ({ id, fires, quiet })
/** The same lines, done otherwise. */
const steps = (id: string, lines: string, wrong: string, right: string, family?: FamilyId): RuleCase =>
  rule(id, part(lines, wrong, family), part(lines, right, family))

const BURGER = '300 g cooked black beans / 120 g vital wheat gluten / 100 ml water / 20 g olive oil'
const DOUGH = '150 g vital wheat gluten / 190 ml water / 15 ml soy sauce'
const KNEADED = 'Mix the gluten, water and soy sauce. / Knead for 5 minutes.'

export const RULE_CASES: readonly RuleCase[] = [
  steps(
    'agar-not-boiled',
    '400 ml soy milk / 4 g agar powder',
    'Warm the soy milk and agar to 60 °C for 5 minutes.',
    'Boil the soy milk and agar for 4 minutes. / Chill for 2 hours.',
  ),
  steps(
    'acid-before-agar',
    '300 ml water / 60 ml lemon juice / 4 g agar powder',
    'Boil the water, lemon juice and agar for 4 minutes.',
    'Boil the water and agar for 4 minutes. / Stir in the lemon juice.',
  ),
  steps(
    'agar-not-chilled',
    '400 ml soy milk / 4 g agar powder',
    'Boil the soy milk and agar for 4 minutes.',
    'Boil the soy milk and agar for 4 minutes. / Chill for 3 hours.',
  ),
  rule(
    'agar-for-melt',
    part('400 ml soy milk / 4 g agar powder', 'Boil the soy milk and agar for 4 minutes.', 'stretch-melt'),
    part(
      '400 ml soy milk / 30 g tapioca starch',
      'Simmer the soy milk and tapioca starch for 4 minutes.',
      'stretch-melt',
    ),
  ),
  steps(
    'carrageenan-not-heated',
    '400 ml soy milk / 4 g kappa carrageenan',
    'Blend the soy milk and carrageenan for 2 minutes.',
    'Simmer the soy milk and carrageenan for 5 minutes.',
  ),
  rule(
    'kappa-without-potassium',
    part('400 ml water / 4 g kappa carrageenan', 'Simmer the water and carrageenan for 5 minutes.'),
    part('400 ml soy milk / 4 g kappa carrageenan', 'Simmer the soy milk and carrageenan for 5 minutes.'),
  ),
  steps(
    'acid-with-carrageenan',
    '300 ml water / 60 ml lemon juice / 4 g kappa carrageenan',
    'Simmer the water, lemon juice and carrageenan for 5 minutes.',
    'Simmer the water and carrageenan for 5 minutes. / Cool it for 30 minutes. / Stir in the lemon juice.',
  ),
  steps(
    'methylcellulose-not-dispersed',
    '300 ml water / 8 g methylcellulose / 20 g rapeseed oil',
    'Stir the methylcellulose into the water.',
    'Stir the methylcellulose into the oil. / Whisk in the water.',
  ),
  steps(
    'methylcellulose-warm',
    '300 ml water / 8 g methylcellulose / 20 g rapeseed oil',
    'Stir the methylcellulose into the oil. / Whisk in the water.',
    'Stir the methylcellulose into the oil. / Whisk in the water. / Chill for 60 minutes.',
  ),
  steps(
    'methylcellulose-not-set',
    '200 g firm tofu / 8 g methylcellulose / 20 g rapeseed oil',
    'Mix the tofu, methylcellulose and oil. / Warm to 45 °C for 5 minutes.',
    'Mix the tofu, methylcellulose and oil. / Simmer it for 30 minutes.',
  ),
  rule(
    'methylcellulose-sole-binder',
    part('300 ml water / 8 g methylcellulose', 'Whisk the methylcellulose into the hot water.'),
    part(
      '300 ml water / 8 g methylcellulose / 30 g tapioca starch',
      'Whisk the methylcellulose and tapioca starch into the hot water.',
    ),
  ),
  rule(
    'alginate-acid',
    part('200 ml lemon juice / 2 g sodium alginate', 'Blend the lemon juice and sodium alginate.'),
    part('200 ml water / 2 g sodium alginate', 'Blend the water and sodium alginate.'),
  ),
  rule(
    'alginate-with-calcium',
    part(
      '200 ml soy milk / 2 g calcium chloride / 2 g sodium alginate',
      'Blend the soy milk, calcium chloride and sodium alginate.',
    ),
    part('200 ml water / 2 g sodium alginate', 'Blend the water and sodium alginate.'),
  ),
  steps(
    'bath-too-long',
    '200 ml water / 2 g sodium alginate',
    'Blend the water and alginate. / Drop into the calcium bath for 9 minutes.',
    'Blend the water and alginate. / Drop into the calcium bath for 2 minutes. / Rinse the spheres.',
  ),
  steps(
    'alginate-not-rested',
    '200 ml water / 2 g sodium alginate',
    'Blend the water and alginate. / Drop into the calcium bath for 2 minutes.',
    'Blend the water and alginate. / Rest for 4 hours. / Drop into the calcium bath for 2 minutes.',
  ),
  steps(
    'soy-milk-with-calcium',
    '400 ml soy milk / 2 g calcium chloride',
    'Simmer the soy milk with the calcium chloride for 5 minutes.',
    'Mix the soy milk and calcium chloride.',
  ),
  steps(
    'oil-infusion-warm',
    '200 g olive oil / 30 g raw garlic',
    'Infuse the garlic in the olive oil for 60 minutes.',
    'Infuse the garlic in the olive oil for 60 minutes. / Chill it for 2 hours.',
  ),
  steps(
    'konjac-not-set',
    '300 ml water / 9 g konjac powder',
    'Whisk the konjac into the water.',
    'Simmer the water and konjac for 25 minutes.',
  ),
  rule(
    'fat-before-foam',
    part('120 ml aquafaba / 20 g olive oil', 'Whip the aquafaba and olive oil for 8 minutes.'),
    part('120 ml aquafaba / 20 g olive oil', 'Whip the aquafaba for 8 minutes. / Fold in the olive oil.'),
  ),

  steps(
    'starch-raw',
    '300 ml soy milk / 20 g cornflour',
    'Warm the soy milk and cornflour to 50 °C.',
    'Simmer the soy milk and cornflour for 5 minutes.',
  ),
  steps(
    'starch-into-hot',
    '300 ml soy milk / 20 g cornflour',
    'Simmer the soy milk for 5 minutes. / Whisk in the cornflour and simmer for 3 minutes.',
    'Simmer the soy milk for 5 minutes. / Whisk in the cornflour as a slurry and simmer for 3 minutes.',
  ),
  steps(
    'arrowroot-boiled',
    '300 ml water / 20 g arrowroot',
    'Boil the water and arrowroot for 10 minutes.',
    'Boil the water and arrowroot for 1 minute.',
  ),
  rule(
    'arrowroot-with-soy',
    part('300 ml soy milk / 20 g arrowroot', 'Boil the soy milk and arrowroot for 1 minute.'),
    part('300 ml oat milk / 20 g arrowroot', 'Boil the oat milk and arrowroot for 1 minute.'),
  ),
  steps(
    'potato-starch-broken',
    '300 ml water / 20 g potato starch',
    'Simmer the water and potato starch for 3 minutes. / Blend it for 1 minute.',
    'Simmer the water and potato starch for 3 minutes.',
  ),
  steps(
    'starch-acid-boil',
    '700 ml water / 250 ml lemon juice / 60 g cornflour',
    'Boil the water, lemon juice and cornflour for 25 minutes.',
    'Boil the water and cornflour for 5 minutes. / Stir in the lemon juice.',
  ),
  steps(
    'stretch-too-cool',
    '300 ml soy milk / 40 g tapioca starch',
    'Warm the soy milk and tapioca starch to 60 °C.',
    'Simmer the soy milk and tapioca starch for 5 minutes.',
    'stretch-melt',
  ),
  steps(
    'stretch-overcooked',
    '300 ml soy milk / 40 g tapioca starch',
    'Simmer the soy milk and tapioca starch for 25 minutes.',
    'Simmer the soy milk and tapioca starch for 5 minutes.',
    'stretch-melt',
  ),
  steps(
    'pulse-flour-raw',
    '100 g chickpea flour / 200 ml water',
    'Whisk the chickpea flour and water.',
    'Simmer the chickpea flour and water for 10 minutes.',
  ),
  steps(
    'miso-thins-starch',
    '300 ml soy milk / 20 g cornflour / 20 g white miso',
    'Simmer the soy milk and cornflour for 5 minutes. / Cool it for 2 hours. / Stir in the miso.',
    'Simmer the soy milk, miso and cornflour for 5 minutes.',
  ),

  steps(
    'gluten-blended',
    BURGER,
    'Blend the beans, gluten, water and oil for 3 minutes.',
    'Blend the beans, water and oil for 3 minutes. / Knead in the gluten for 3 minutes.',
  ),
  rule(
    'gluten-too-wet',
    part('100 g vital wheat gluten / 300 ml water', 'Knead the gluten and water for 5 minutes.'),
    part('100 g vital wheat gluten / 140 ml water', 'Knead the gluten and water for 5 minutes.'),
  ),
  rule(
    'gluten-too-dry',
    part('200 g vital wheat gluten / 80 ml water', 'Knead the gluten and water for 5 minutes.'),
    part('200 g vital wheat gluten / 280 ml water', 'Knead the gluten and water for 5 minutes.'),
  ),
  steps(
    'gluten-boiled-hard',
    DOUGH,
    `${KNEADED} / Boil for 40 minutes.`,
    `${KNEADED} / Simmer for 40 minutes at 90 °C.`,
  ),
  steps(
    'gluten-underdone',
    DOUGH,
    `${KNEADED} / Shape into a 90 mm log. / Steam for 8 minutes.`,
    `${KNEADED} / Shape into a 40 mm log. / Steam for 50 minutes.`,
  ),
  steps(
    'gluten-not-rested',
    DOUGH,
    `${KNEADED} / Shape into a log.`,
    `${KNEADED} / Rest for 20 minutes. / Shape into a log.`,
  ),
  steps(
    'fat-before-gluten',
    '150 g vital wheat gluten / 150 ml water / 90 g coconut oil',
    'Mix the water and coconut oil. / Knead in the gluten for 5 minutes.',
    'Knead the gluten and water for 5 minutes. / Work in the coconut oil.',
  ),

  steps(
    'beans-not-boiled',
    '250 g dried kidney beans',
    'Soak the kidney beans overnight. / Simmer the kidney beans for 15 minutes.',
    'Soak the kidney beans overnight. / Boil the kidney beans for 60 minutes.',
  ),
  steps(
    'pulse-not-cooked',
    '250 g dried chickpeas',
    'Soak the chickpeas overnight. / Blend the chickpeas.',
    'Soak the chickpeas overnight. / Simmer the chickpeas for 60 minutes.',
  ),
  steps(
    'pulse-batter-raw',
    '250 g dried chickpeas / 10 g salt',
    'Soak the chickpeas overnight. / Blend the chickpeas with the salt. / Shape into a log. / Bake for 12 minutes at 180 C.',
    'Soak the chickpeas overnight. / Blend the chickpeas with the salt. / Shape into a log. / Bake for 50 minutes at 180 C.',
  ),
  steps(
    'gel-not-rested',
    '300 g cooked black beans / 20 g ground flaxseed',
    'Mash the black beans with the flaxseed. / Shape into patties.',
    'Mash the black beans with the flaxseed. / Rest for 20 minutes. / Shape into patties.',
  ),
  steps(
    'textured-soy-dry',
    '100 g textured soy protein / 200 g onion / 20 g olive oil',
    'Brown the onion in the olive oil for 8 minutes. / Stir in the textured soy protein.',
    'Brown the onion in the olive oil for 8 minutes. / Hydrate the textured soy protein in hot stock for 12 minutes.',
  ),
  steps(
    'tofu-not-pressed',
    '300 g firm tofu',
    'Fry the tofu for 8 minutes.',
    'Press the tofu for 30 minutes. / Fry the tofu for 8 minutes.',
  ),
  rule(
    'nuts-not-soaked',
    part('150 g almonds / 150 ml water', 'Blend the almonds and water in a food processor for 3 minutes.'),
    part(
      '150 g almonds, soaked overnight / 150 ml water',
      'Blend the almonds and water in a food processor for 3 minutes.',
    ),
  ),
  steps(
    'soy-milk-curdles',
    '400 ml soy milk / 40 ml lemon juice',
    'Simmer the soy milk for 5 minutes. / Simmer the soy milk with the lemon juice for 2 minutes.',
    'Simmer the soy milk for 5 minutes. / Cool it for 3 hours. / Stir in the lemon juice.',
  ),

  steps(
    'mushrooms-salted-early',
    '200 g button mushrooms / 4 g salt',
    'Brown the mushrooms with the salt for 10 minutes.',
    'Brown the mushrooms for 10 minutes. / Stir in the salt.',
  ),
  steps(
    'pan-crowded',
    '600 g button mushrooms',
    'Brown the mushrooms in a 28 cm pan for 12 minutes.',
    'Roast the mushrooms at 200 °C for 25 minutes.',
  ),
  steps(
    'tray-too-deep',
    '400 g cooked black beans',
    'Crush the beans. / Bake the crumble at 180 °C for 20 minutes in a deep layer.',
    'Crush the beans. / Bake the crumble at 180 °C for 20 minutes in a single layer.',
  ),
  steps(
    'watery-raw-in-shape',
    '300 g cooked black beans / 90 g onion',
    'Mash the beans with the onion. / Shape into patties.',
    'Sweat the onion for 8 minutes. / Mash the beans with the onion. / Shape into patties.',
  ),
  steps(
    'black-salt-early',
    '300 g firm tofu / 4 g black salt (kala namak)',
    'Simmer the tofu with the black salt for 20 minutes.',
    'Simmer the tofu for 20 minutes. / Stir in the black salt.',
  ),
  rule(
    'raw-protease',
    part('300 g firm tofu / 40 g pineapple', 'Marinate the tofu with the pineapple for 4 hours.'),
    part('300 g firm tofu / 40 g pineapple', 'Simmer the tofu with the pineapple for 20 minutes.'),
  ),
  steps(
    'leavening-waits',
    '200 g wheat flour / 8 g baking powder / 150 ml water',
    'Mix the flour, baking powder and water. / Rest for 60 minutes. / Bake at 200 °C for 20 minutes.',
    'Mix the flour, baking powder and water. / Bake at 200 °C for 20 minutes.',
  ),
  steps(
    'patties-warm',
    '300 g cooked black beans / 40 g rolled oats',
    'Simmer the black beans for 10 minutes. / Mix in the oats. / Shape into patties.',
    'Mash the black beans with the oats. / Chill for 60 minutes. / Shape into patties.',
    'bound-patty',
  ),
  rule(
    'emulsion-too-rich',
    part('40 ml soy milk / 300 g rapeseed oil', 'Blend the soy milk and oil for 2 minutes.'),
    part('150 ml soy milk / 200 g rapeseed oil', 'Blend the soy milk and oil for 2 minutes.'),
  ),
  steps(
    'culture-too-hot',
    '500 ml soy milk / 50 g soy yogurt',
    'Simmer the soy milk for 5 minutes. / Stir in the soy yogurt. / Culture at 40 °C for 10 hours.',
    'Warm the soy milk to 40 °C. / Stir in the soy yogurt. / Culture at 40 °C for 10 hours.',
  ),
  steps(
    'culture-not-sour',
    '500 ml soy milk / 50 g soy yogurt',
    'Stir the soy yogurt into the soy milk. / Culture at 30 °C for 2 hours.',
    'Stir the soy yogurt into the soy milk. / Culture at 40 °C for 12 hours.',
  ),
  steps(
    'culture-hardly-sour',
    '500 ml soy milk / 50 g soy yogurt',
    'Stir the soy yogurt into the soy milk. / Culture at 40 °C for 7.5 hours.',
    'Stir the soy yogurt into the soy milk. / Culture at 40 °C for 12 hours.',
  ),
  steps(
    'wine-raw',
    '200 g onion / 100 ml white wine',
    'Brown the onion for 8 minutes. / Cool it for 2 hours. / Stir in the white wine.',
    'Brown the onion for 8 minutes. / Simmer the onion with the white wine for 10 minutes.',
  ),
  steps(
    'colour-shifts',
    '200 g beetroot',
    'Boil the beetroot for 60 minutes.',
    'Boil the beetroot for 10 minutes.',
  ),
  steps(
    'hot-in-closed-blender',
    '400 ml soy milk / 100 g onion',
    'Simmer the soy milk with the onion for 10 minutes. / Blend it for 2 minutes.',
    'Simmer the soy milk with the onion for 10 minutes. / Cool it for 2 hours. / Blend it for 2 minutes.',
  ),
  steps(
    'over-processed',
    '300 g cooked black beans / 80 g walnuts',
    'Blend the beans and walnuts for 3 minutes.',
    'Pulse the beans and walnuts.',
    'crumble-mince',
  ),

  steps(
    'listed-unused',
    '300 g cooked black beans / 20 g tahini / 10 g parsley',
    'Mash the beans with the tahini.',
    'Mash the beans with the tahini and parsley.',
  ),
  steps(
    'lot-left-standing',
    '300 g cooked black beans / 100 g onion',
    'Sweat the onion for 8 minutes. / Mash the beans.',
    'Sweat the onion for 8 minutes. / Mash the beans. / Fold the onion into the beans.',
  ),
  rule(
    'step-without-food',
    part('300 g cooked black beans', 'Fry the courgette for 6 minutes. / Mash the beans.'),
    part('300 g cooked black beans', 'Mash the beans. / Fry for 6 minutes.'),
  ),
  steps(
    'step-not-read',
    '300 g cooked black beans',
    'Mash the beans. / Let the flavours mingle in peace.',
    'Mash the beans. / Serve in warm bowls.',
  ),
  steps(
    'heat-not-read',
    '300 g cooked black beans',
    'Roast the beans at 1900 °C for 20 minutes.',
    'Roast the beans at 190 °C for 20 minutes.',
  ),
  steps(
    'time-unlikely',
    '300 g cooked black beans',
    'Roast the beans at 350 °C for 20 minutes.',
    'Roast the beans at 180 °C for 20 minutes.',
  ),
  steps(
    'too-much-for-vessel',
    '2 kg cooked black beans',
    'Blend the beans in a food processor for 3 minutes.',
    'Mash the beans.',
  ),
  steps(
    'wood-ear-soaked-long',
    '20 g dried wood ear / 500 ml water',
    'Soak the wood ear in the water for 10 hours. / Simmer for 10 minutes.',
    'Soak the wood ear in the water for 1 hour. / Simmer for 10 minutes.',
  ),
  steps(
    'nuts-soaked-warm',
    '200 g raw cashews / 400 ml water',
    'Soak the cashews in the water for 10 hours. / Blend until smooth.',
    'Soak the cashews in the water in the fridge for 10 hours. / Blend until smooth.',
  ),
  steps(
    'pulse-soaked-warm',
    '200 g dry chickpeas / 800 ml water',
    'Soak the chickpeas in the water at 30 °C for 20 hours. / Simmer for 90 minutes.',
    'Soak the chickpeas in the water at 15 °C for 12 hours. / Simmer for 90 minutes.',
  ),
  steps(
    'soy-milk-underboiled',
    '150 g dry soybeans / 1 l water',
    'Soak the soybeans for 8 hours and drain. / Blend the soybeans with the water. / Warm to 70 °C for 5 minutes.',
    'Soak the soybeans for 8 hours and drain. / Blend the soybeans with the water. / Simmer at 98 °C for 20 minutes.',
  ),
  steps(
    'cassava-not-boiled',
    '500 g raw cassava / 10 g salt / 30 g olive oil',
    'Grate the cassava and mix with the salt. / Fry in the olive oil for 6 minutes.',
    'Boil the cassava for 30 minutes and drain. / Mash with the salt and olive oil.',
  ),
  steps(
    'eaten-raw',
    '100 g bean sprouts / 200 g tofu / 10 ml soy sauce',
    'Mix the bean sprouts, tofu and soy sauce.',
    'Stir-fry the bean sprouts, tofu and soy sauce over high heat for 5 minutes.',
  ),
  steps(
    'oil-too-hot',
    '300 g firm tofu / 500 ml sunflower oil',
    'Deep-fry the tofu in the oil at 200 °C for 4 minutes.',
    'Deep-fry the tofu in the oil at 175 °C for 4 minutes.',
  ),
  steps(
    'nuts-cultured-raw',
    '200 g raw cashews / 120 ml water / 20 g live cultured plant yogurt',
    'Blend the cashews with the water. / Stir in the yogurt. / Culture at 38 °C for 12 hours.',
    'Boil the cashews in the water for 5 minutes. / Blend until smooth. / Cool to 38 °C. / Stir in the yogurt. / Culture at 38 °C for 12 hours.',
  ),
]
