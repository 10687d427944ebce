import type { Assessment } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { assessed, dishOf } from '../test/pasted'

/** Every step of every part, in the order of the text. */
function read(list: string, method: string): Assessment & { all: Assessment['parts'][number]['steps'] } {
  const whole = assessed(list, method)
  const all = whole.parts.flatMap(({ steps }) => steps).sort((a, b) => (a.written ?? 0) - (b.written ?? 0))
  return { ...whole, all }
}
const operations = (list: string, method: string) => read(list, method).all.map(({ operation }) => operation)
/** Names of the listed foods that a step takes itself. */
const foods = (list: string, method: string, at: number): string[] =>
  (read(list, method).all.at(at)?.takes ?? [])
    .filter(({ kind }) => kind === 'line')
    .map(({ name }) => name.toLowerCase())
    .sort()

describe('one paragraph', () => {
  it('knows what is named later in it: vegetables fry, and the tinned tomatoes come after', () => {
    const list = '1 onion\n1 carrot\n2 tbsp olive oil\n200 g red lentils\n1 tin chopped tomatoes (400 g)'
    const method =
      'Finely chop the onion and carrot. Warm the oil in a wide pan and cook the vegetables for 10 minutes. Add the lentils and tomatoes and simmer for 20 minutes.'
    expect(operations(list, method)).toEqual(['chop', 'shallow-fry', 'simmer'])
    expect(foods(list, method, 1)).toEqual(['olive oil'])
  })

  it('takes both kinds, and what lies in the pan', () => {
    const method =
      'Soften the spring onions in the butter for 2 minutes. Whisk the oat milk and turmeric. Add both kinds of tofu to the pan with the milk mixture and stir for 4 minutes.'
    const list =
      '1 tbsp plant butter\n2 spring onions\n300 g silken tofu\n100 g firm tofu\n2 tbsp oat milk\n1/4 tsp turmeric'
    const { all } = read(list, method)
    expect(foods(list, method, 2)).toEqual(['firm tofu', 'silken tofu'])
    expect(all[2]?.takes.filter(({ kind }) => kind === 'step')).toHaveLength(2)
  })

  it('repeats with other food, alone', () => {
    const list = '300 g mushrooms\n100 g walnuts'
    const { all } = read(list, 'Pulse the mushrooms in a food processor. Repeat with the walnuts.')
    expect(all.map(({ operation }) => operation)).toEqual(['rice', 'rice'])
    expect(foods(list, 'Pulse the mushrooms in a food processor. Repeat with the walnuts.', 1)).toEqual([
      'walnuts',
    ])
  })

  it('whisks in what a condition names', () => {
    const list = '1 litre soya milk\n1 tsp agar powder (optional)'
    const { all } = read(
      list,
      'Heat the milk to 95 °C. If you are using agar, whisk it in now. Simmer for 3 minutes.',
    )
    expect(all[1]?.takes.map(({ kind }) => kind).sort()).toEqual(['line', 'step'])
  })

  it('is told how long a doing takes in the next sentence', () => {
    const { all } = read(
      '60 ml aquafaba\n200 ml sunflower oil',
      'Blend the aquafaba, and pour in the oil in a thin stream. This should take about 3 minutes.',
    )
    expect(all.at(-1)?.minutes).toBe(3)
  })

  it.each(['It keeps for up to five days in the fridge.', 'Leftovers will keep for a week in the fridge.'])(
    'does nothing that is only kept: %s',
    (words) => {
      const list = '225 g raw cashews\n60 ml water'
      const { all } = read(list, `Blend the cashews with the water and pack into a small dish. ${words}`)
      expect(Math.max(...all.map(({ minutes }) => minutes))).toBeLessThan(60)
    },
  )
})

describe('where things go', () => {
  it('lifts out of a marinade that is kept, and bubbles what was kept', () => {
    const list = '400 g firm tofu\n60 g soy sauce\n30 g rice vinegar\n16 g cornflour\n27 g oil'
    const method =
      'Slice the tofu. Whisk the soy sauce and vinegar and pour over the tofu. Marinate for 30 minutes. Lift the tofu out, reserving the marinade, and dust with the cornflour. Fry in the oil for 6 minutes. Pour in the reserved marinade and let it bubble for 2 minutes.'
    expect(operations(list, method)).toEqual([
      'chop',
      'mix',
      'marinate',
      'drain',
      'coat',
      'shallow-fry',
      'simmer',
    ])
  })

  it('mashes in its own pan after a drain, though another is on the heat', () => {
    const list = '200 g green lentils\n500 ml vegetable stock\n800 g potatoes\n60 g vegan butter'
    const { all } = read(
      list,
      'Simmer the lentils in the stock for 30 minutes. Boil the potatoes for 15 minutes. Drain well, return to the pan and mash with the butter.',
    )
    expect(all.at(-1)?.takes.filter(({ kind }) => kind === 'step')).toHaveLength(1)
    expect(all.at(-1)?.massG).toBeLessThan(950)
  })

  it('pours from a jug into what was mixed in the bowl', () => {
    const list = '200 g vital wheat gluten\n30 g chickpea flour\n220 ml vegetable stock\n2 tbsp soy sauce'
    const { all } = read(
      list,
      'Mix the gluten and chickpea flour in a bowl. Whisk the stock and soy sauce in a jug. Pour into the bowl and mix to a dough.',
    )
    expect(all.at(-1)?.massG).toBeGreaterThan(450)
  })

  it('adds to the blender what was blended there', () => {
    const list = '150 g cashews\n200 ml oat milk\n400 ml coconut milk'
    const { all } = read(
      list,
      'Blend the cashews with the oat milk. Warm the coconut milk for 3 minutes. Add the coconut milk to the blender and blend again for a minute.',
    )
    expect(all.at(-1)?.massG).toBeGreaterThan(700)
  })

  it('sets bowls out side by side, and joins none of them to what is in hand', () => {
    const list =
      '400 g firm tofu\n50 g plain flour\n120 ml oat milk\n1 tsp cider vinegar\n100 g cornflakes\n1 tsp paprika'
    const method =
      'Tear the tofu into pieces. Set up three bowls: one with the flour, one with the milk mixed with the vinegar, and one with the cornflakes and paprika. Coat the tofu in the flour, dip in the milk and press into the cornflakes.'
    expect(operations(list, method)).toEqual(['chop', 'mix', 'mix', 'coat', 'coat', 'coat'])
    expect(foods(list, method, 1)).toEqual(['cider vinegar', 'oat milk'])
  })

  it('takes out of the oven what is topped next', () => {
    const list = '1 kg tomatoes, halved\n2 tbsp olive oil\n100 g plain flour\n60 g cold vegan butter'
    const { all } = read(
      list,
      'Roast the tomatoes with the oil at 200 C for 25 minutes. Rub the butter into the flour. Take the tomatoes out of the oven and scatter the crumble over the top. Bake for 25 minutes.',
    )
    expect(all.at(-1)?.takes[0]?.massG).toBeGreaterThan(700)
  })

  it('leaves the dry spices alone where something is left to dry', () => {
    const list = '600 g sweet potatoes, diced\n1 tsp smoked paprika\n27 g olive oil'
    const { all } = read(
      list,
      'Boil the sweet potatoes for 5 minutes, then drain and leave to dry for 10 minutes. Fry in the oil for 12 minutes. Stir in the paprika.',
    )
    const named = all.slice(0, -1).flatMap(({ takes }) => takes.map(({ name }) => name.toLowerCase()))
    expect(named).not.toContain('smoked paprika')
  })
})

describe('what it weighs', () => {
  it('eats no broth that a wrapped roast lay in', () => {
    const whole = read(
      '300 g vital wheat gluten\n300 ml water\n1.5 litres vegetable stock',
      'Mix the gluten with the water to a dough. Shape into a log and wrap tightly in muslin. Bring the stock to a simmer, lower in the log and simmer for 1 hour. Unwrap, and roast at 200 °C for 20 minutes.',
    )
    expect(whole.cookedMassG).toBeLessThan(900)
  })

  it('dries a foam through, and a sponge of it not', () => {
    const whipped = 'Whisk the aquafaba to stiff peaks, 6 minutes. Whisk in the sugar.'
    const meringue = read(
      '120 g aquafaba\n150 g caster sugar',
      `${whipped} Pipe onto a tray and bake at 110 °C for 90 minutes.`,
    )
    expect(meringue.cookedMassG).toBeLessThan(185)
    const sponge = read(
      '120 g aquafaba\n150 g caster sugar\n150 g plain flour\n60 g oil',
      `${whipped} Fold in the flour and oil. Pour into a tin and bake at 180 °C for 25 minutes.`,
    )
    expect(sponge.cookedMassG).toBeGreaterThan(420)
  })

  it('lets a whole potato give off less than chunks', () => {
    const whole = read(
      '4 large potatoes (900 g)',
      'Bake the potatoes in their skins at 200 °C for 60 minutes.',
    )
    const cut = read(
      '4 large potatoes (900 g), cut into chunks',
      'Roast the potatoes at 200 °C for 60 minutes.',
    )
    expect(whole.cookedMassG).toBeGreaterThan(cut.cookedMassG + 60)
    expect(whole.cookedMassG).toBeLessThan(800)
  })

  it('takes most of the liquid away where the words say so', () => {
    const list = '250 g puy lentils\n900 ml vegetable stock'
    const said = read(
      list,
      'Simmer the lentils in the stock for 30 minutes, until most of the liquid has been absorbed.',
    )
    const unsaid = read(list, 'Simmer the lentils in the stock for 30 minutes.')
    expect(said.cookedMassG).toBeLessThan(unsaid.cookedMassG - 150)
  })

  it('keeps the first line of a list that looks like a yield', () => {
    const dish = dishOf(
      'Nuggets\nServes 4\n\n400 g block firm tofu\n50 g plain flour\n\nCoat the tofu in the flour.',
    )
    expect(dish.parts[0]?.lines.map(({ text }) => text)).toEqual([
      '400 g block firm tofu',
      '50 g plain flour',
    ])
  })
})

describe('words for what stands there', () => {
  const takenBy = (list: string, method: string, at: number): string[] =>
    (read(list, method).all.at(at)?.takes ?? [])
      .map(({ kind, name }) => (kind === 'step' ? 'lot' : name.toLowerCase()))
      .sort()

  it('pours a wet mix over the dry mix', () => {
    const list = '300 g vital wheat gluten\n2 tsp smoked paprika\n350 ml vegetable stock\n2 tbsp soy sauce'
    const method =
      'Stir the gluten and paprika together in a bowl. Whisk the stock with the soy sauce in a jug, then pour it over the dry mix and knead for 4 minutes.'
    expect(takenBy(list, method, 2)).toEqual(['lot', 'lot'])
  })

  it('stirs the soured milk in, and not what brushes the tops', () => {
    const list = '225 g self-raising flour\n150 ml oat milk\n1 tsp lemon juice\n1 tbsp oat milk, for brushing'
    const method =
      'Add the lemon juice to the 150 ml of milk and set aside. Sift the flour into a bowl. Pour in the soured milk and bring together to a dough.'
    expect(takenBy(list, method, -1)).toEqual(['lot', 'lot'])
  })

  it('knows a spread from the dry ingredients, and smoke from smoking', () => {
    const list =
      '250 g vital wheat gluten\n2 tsp smoked paprika\n250 ml water\n2 tbsp tahini\n1 tsp liquid smoke'
    const method =
      'Mix the dry ingredients. Whisk the water, tahini and smoke together and stir into the dry. Knead for 2 minutes.'
    expect(operations(list, method)).toEqual(['mix', 'mix', 'mix', 'knead'])
    expect(foods(list, method, 0)).toEqual(['smoked paprika', 'vital wheat gluten'])
    expect(foods(list, method, 1)).toEqual(['liquid smoke', 'tahini', 'water'])
  })

  it('brushes with the bottle that the list has, half of it each time', () => {
    const list = '250 g vital wheat gluten\n250 ml water\n250 ml barbecue sauce'
    const { all } = read(
      list,
      'Mix the gluten with the water, press into a tin and bake at 180 °C for 25 minutes. Brush the top with some of the sauce. Grill for 5 minutes.',
    )
    const coat = all.find(({ operation }) => operation === 'coat')
    expect(coat?.takes.map(({ kind, share }) => [kind, share])).toContainEqual(['line', 0.5])
  })

  it('drizzles the rest of the dressing, not the salad', () => {
    const list = '280 g soba noodles\n80 g tahini\n3 tbsp soy sauce\n60 ml warm water'
    const method =
      'Boil the noodles for 5 minutes and drain. Whisk together the tahini, soy sauce and warm water until pourable. Toss the noodles with two thirds of the dressing. Drizzle the rest of the dressing over.'
    const { all } = read(list, method)
    expect(all.map(({ operation }) => operation)).not.toContain('heat')
    expect(all.at(-1)?.takes).toHaveLength(2)
  })

  it('leaves the tofu that was removed out of the pan until it is put back', () => {
    const list = '300 g firm tofu, cubed\n3 tbsp oil\n1 tsp cumin seeds\n1 onion, chopped'
    const method =
      'Heat 2 tablespoons of the oil in a pan and fry the tofu for 6 minutes; remove. Add the remaining oil and the cumin seeds. Add the onion and fry for 8 minutes. Add the tofu and cook for 5 minutes.'
    expect(takenBy(list, method, 1)).toEqual(['cumin seeds', 'oil'])
    expect(takenBy(list, method, -1)).toEqual(['lot', 'lot'])
  })

  it('cuts the jelly, not the cherries beside it', () => {
    const list = '500 ml almond milk\n2 tsp agar flakes\n250 g cherries\n2 tbsp water'
    const { all } = read(
      list,
      'Heat the milk and agar until boiling, then simmer for 5 minutes. Pour into a dish and chill for 2 hours. Cook the cherries with the water for 6 minutes. Cut the jelly into diamonds and serve with the cherries.',
    )
    const chill = all.find(({ operation }) => operation === 'chill')
    expect(all.at(-1)?.takes.map(({ id }) => id)).toEqual([chill?.stepId])
  })

  it('scatters the crumble over the fruit', () => {
    const list = '800 g cooking apples, sliced\n200 g blackberries\n150 g plain flour\n100 g plant butter'
    const method =
      'Toss the apples and blackberries in a dish. Rub the butter into the flour. Scatter evenly over the fruit. Bake for 40 minutes at 180 °C.'
    expect(takenBy(list, method, 2)).toEqual(['lot', 'lot'])
  })

  it('curdles hot soy milk with a coagulant, and presses whey out', () => {
    const { all, cookedMassG } = read(
      '1.8 litres soya milk\n8 g nigari\n80 ml warm water',
      'Heat the milk to 75 °C. Dissolve the nigari in the warm water and pour over the milk. Leave to stand for 15 minutes until the curds have separated. Ladle into a lined mould and press for 30 minutes.',
    )
    expect(all.map(({ operation }) => operation)).toContain('coagulate')
    expect(cookedMassG).toBeLessThan(900)
  })

  it('simmers a ragù that thickens, and tosses pasta with it', () => {
    const list = '1 onion, chopped\n2 tbsp oil\n200 g green lentils\n600 ml vegetable stock\n300 g pasta'
    const method =
      'Soften the onion in the oil for 8 minutes. Add the lentils and stock, bring to a simmer and cook for 40 minutes, until the lentils are tender and the sauce has thickened. Meanwhile boil the pasta for 11 minutes. Drain and toss with the ragù.'
    expect(operations(list, method)).toContain('simmer')
    expect(operations(list, method)).not.toContain('thicken')
    expect(takenBy(list, method, -1)).toEqual(['lot', 'lot'])
  })

  it('peels what was boiled in its skin thinly, and puts it through a ricer', () => {
    const method =
      'Boil the potatoes in their skins for 30 minutes. Drain, peel while hot and push through a ricer.'
    expect(operations('800 g potatoes', method)).toEqual(['boil', 'drain', 'trim', 'mash'])
    const raw = read('800 g potatoes', 'Peel the potatoes. Boil for 30 minutes. Drain and mash.')
    expect(read('800 g potatoes', method).cookedMassG).toBeGreaterThan(raw.cookedMassG + 40)
  })
})

describe('pans, plates and pots', () => {
  it('leaves the flour on its plate for what is dusted in it', () => {
    const list =
      '1 celeriac, sliced\n80 g plain flour\n150 ml soya milk\n1 tbsp Dijon mustard\n100 g panko breadcrumbs'
    const method =
      'Simmer the celeriac for 8 minutes and drain. Put the flour on one plate and whisk the milk with the mustard in a shallow bowl. Dust each slice in flour, dip it in the milk and press it into the crumbs. Fry for 3 minutes on each side. Keep warm while you fry the rest.'
    const { all } = read(list, method)
    const mix = all.find(({ operation }) => operation === 'mix')
    expect(mix?.takes.map(({ kind, name }) => [kind, name.toLowerCase()])).toEqual([
      ['line', 'soya milk'],
      ['line', 'dijon mustard'],
    ])
    expect(all.map(({ operation }) => operation)).not.toContain('hold')
  })

  it('boils the wine away, and not the mushrooms', () => {
    const list = '500 g mushrooms, sliced\n2 tbsp olive oil\n100 ml white wine'
    const wine = read(
      list,
      'Fry the mushrooms in the oil for 8 minutes, then pour in the wine and boil until it has all but gone.',
    )
    const dry = read(list.replace(/\n100 ml.*/u, ''), 'Fry the mushrooms in the oil for 8 minutes.')
    expect(wine.cookedMassG).toBeGreaterThan(dry.cookedMassG - 60)
  })

  it('cooks the pasta in the pot that the broccoli left', () => {
    const list = '400 g broccoli\n350 g pasta'
    const { all } = read(
      list,
      'Boil the broccoli for 5 minutes, then lift out with a slotted spoon. Cook the pasta in the same water for 10 minutes.',
    )
    expect(all.at(-1)?.takes.map(({ kind }) => kind)).toEqual(['line'])
  })

  it('presses tofu between paper, and dips the rice paper for a moment', () => {
    const list = '400 g firm tofu\n12 rice paper sheets\n1 cucumber, cut into batons'
    const method =
      'Press the tofu between kitchen paper for 15 minutes and cut it into 12 batons. Dip a sheet of rice paper in warm water for a few seconds.'
    const { all } = read(list, method)
    expect(foods(list, method, 0)).toEqual(['firm tofu'])
    expect(foods(list, method, 1)).toEqual([])
    expect(all.at(-1)?.minutes).toBeLessThan(1)
  })

  it('stops an oil with a fresh herb that is kept, not one that goes into a dip', () => {
    const list = '100 ml olive oil\n10 g fresh rosemary\n480 g cannellini beans, drained'
    const infused =
      'Warm the oil gently with the rosemary for 5 minutes, then leave to infuse off the heat for 20.'
    const stops = (method: string): number =>
      read(list, method).findings.filter(
        ({ severity, message }) => severity === 'stop' && /botulism/u.test(message),
      ).length
    expect(stops(infused)).toBe(1)
    expect(stops(`${infused} Blend the beans with the rosemary oil.`)).toBe(0)
    // What lies in it is kept in oil all the same.
    const olives = list.replace('480 g cannellini beans, drained', '200 g firm tofu, cubed')
    const kept = read(olives, `${infused} Stir the tofu into the oil.`).findings
    expect(kept.some(({ severity, message }) => severity === 'stop' && /botulism/u.test(message))).toBe(true)
  })

  it('reads very ripe fruit as fruit', () => {
    expect(
      read('3 very ripe bananas (about 1 1/2 cups mashed)', 'Mash the bananas well.').cookedMassG,
    ).toBeGreaterThan(250)
  })
})

describe('slow pots and crusts', () => {
  it('simmers for the hours that a slow cooker is set to', () => {
    const list = '1 can (15 oz) black beans\n1 can (28 oz) crushed tomatoes\n1 onion, chopped'
    const { all, cookedMassG } = read(
      list,
      'Add everything to a 6-quart slow cooker and stir well. Cover and cook on low for 7 hours or on high for 3 1/2 hours.',
    )
    expect(all.at(-1)).toMatchObject({ operation: 'simmer', minutes: 420 })
    expect(cookedMassG).toBeGreaterThan(950)
  })

  it('keeps the water of the list for the pot, where a starch has a little of the tap', () => {
    const list = '60 ml soy sauce\n2 star anise\n350 ml water\n400 g firm tofu\n1 tbsp cornflour'
    const method =
      'Pour the soy sauce, star anise and water into a pan and bring to the boil. Add the tofu and simmer for 15 minutes. Mix the cornflour with a little cold water, stir it in and cook for 1 minute.'
    expect(foods(list, method, 0)).toEqual(['soy sauce', 'star anise', 'water'])
  })

  it('pours the filling into the crust that was pressed into the tin', () => {
    const list = '150 g ground almonds\n60 g coconut oil\n300 g dark chocolate\n400 ml coconut milk'
    const { all } = read(
      list,
      'Mix the almonds and coconut oil. Press over the base and up the sides of a 23 cm tin and bake for 12 minutes at 175 °C. Melt the chocolate in the coconut milk over a low heat. Pour into the crust and chill for 4 hours.',
    )
    expect(all.at(-2)?.takes).toHaveLength(2)
  })

  it('cuts tofu into slices of so many centimetres, and not the potatoes that were cut before', () => {
    const list = '300 g potatoes\n200 g firm tofu'
    const method = 'Boil the potatoes for 15 minutes, drain and halve. Cut the tofu into 1.5 cm slices.'
    const { all } = read(list, method)
    expect(all.at(-1)?.takes.map(({ kind }) => kind)).toEqual(['line'])
  })
})
