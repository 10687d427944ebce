import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { type Assessment, defaultKitchen } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { assessed } from '../test/pasted'
import { library } from '.'

/** The first part of a recipe, as it is pasted. */
function read(list: string, method: string): Assessment['parts'][number] {
  const [part] = assessed(list, method).parts
  if (part === undefined) throw new Error(`not read: ${method}`)
  return part
}
const step = (list: string, method: string, operation: string) => {
  const found = read(list, method).steps.find((one) => one.operation === operation)
  if (found === undefined) throw new Error(`no ${operation} in: ${method}`)
  return found
}
const names = ({ takes }: { takes: readonly { name: string | null }[] }) =>
  takes.map(({ name }) => name?.toLowerCase() ?? '').sort()

describe('a method that begins without saying with what', () => {
  it.each([
    ['Bring to a simmer and cook for 20 minutes.', 'heat'],
    ['Roast at 220 C for 30 minutes.', 'roast'],
    ['Steam for 15 minutes, then mash.', 'steam'],
    ['Pressure cook for 8 minutes.', 'pressure-cook'],
  ])('takes the whole list: %s', (method, operation) => {
    expect(
      names(step('800 g carrots, cubed\n40 g olive oil\n200 g vegetable stock', method, operation)),
    ).toEqual(['carrots', 'olive oil', 'vegetable stock'])
  })

  it('leaves for later what is named later', () => {
    const roast = step(
      '800 g carrots\n40 g olive oil\n10 g parsley',
      'Roast at 220 C for 30 minutes. Scatter with the parsley.',
      'roast',
    )
    expect(names(roast)).toEqual(['carrots', 'olive oil'])
  })

  it('tosses with what is named the rest of the list', () => {
    const part = read(
      '600 g king oyster mushrooms\n27 g oil\n6 g salt',
      'Toss with oil and salt and roast at 200 C for 25 minutes.',
    )
    expect(part.steps[0]?.massG).toBeCloseTo(633, 0)
    expect(part.steps[1]?.massInG).toBeCloseTo(633, 0)
  })

  it('takes what a name and a colon list in one line', () => {
    const found = readRecipes(
      'Gyros\n\nDry: 250 g vital wheat gluten, 40 g chickpea flour\nWet: 280 ml vegetable stock, 2 tbsp soy sauce\n\nMix the dry. Mix the wet. Combine and knead 3 min.',
      mixContext(),
    )
    const dish = found.ok ? found.value[0] : undefined
    expect(dish?.parts.map(({ lines }) => lines.length)).toEqual([2, 2])
    if (dish === undefined) throw new Error('not read')
    const { parts } = assess(dish, library, defaultKitchen)
    const knead = parts.flatMap(({ steps }) => steps).find(({ operation }) => operation === 'knead')
    expect(knead?.massInG).toBeCloseTo(605, 0)
  })

  it('tosses everything of a salad with its dressing', () => {
    const found = readRecipes(
      'Salad\n\nSalad\n250 g cooked chickpeas\n40 g rocket\n\nDressing\n80 ml olive oil\n2 tbsp lemon juice\n\nWhisk the dressing. Toss everything.',
      mixContext(),
    )
    const dish = found.ok ? found.value[0] : undefined
    if (dish === undefined) throw new Error('not read')
    const toss = assess(dish, library, defaultKitchen)
      .parts.flatMap(({ steps }) => steps)
      .at(-1)
    expect(toss?.massInG).toBeCloseTo(394, 0)
  })

  it('puts all into a vessel', () => {
    const part = read(
      '500 g canned black beans\n900 g vegetable stock\n200 g onion',
      'Put all into a slow cooker. Cover and cook on low for 8 hours.',
    )
    expect(part.steps[0]?.massInG).toBeCloseTo(1600, -1)
  })

  it('does not heat a pan with the list in it', () => {
    expect(
      step(
        '400 g tofu, cubed\n15 g oil',
        'Heat a pan until hot. Fry the tofu in the oil for 8 minutes.',
        'shallow-fry',
      ).massInG,
    ).toBeCloseTo(415, 0)
  })
})

describe('a lid', () => {
  const loss = (method: string): number => {
    const simmer = step('1000 g vegetable stock\n300 g potatoes, diced', method, 'simmer')
    return 1 - simmer.massG / simmer.massInG
  }
  it('is on for what follows it, not for what was before', () => {
    const covered = loss('Bring the stock and potatoes to a simmer, cover and cook for 50 minutes.')
    const open = loss('Bring the stock and potatoes to a simmer and cook for 50 minutes.')
    expect(covered).toBeLessThan(0.05)
    expect(open).toBeGreaterThan(0.12)
  })
  it('of a slow cooker lets out a few per cent in a day', () => {
    const slow = step(
      '1000 g vegetable stock\n800 g potatoes, diced',
      'Put everything into a slow cooker, cover and cook on low for 8 hours.',
      'simmer',
    )
    expect(1 - slow.massG / slow.massInG).toBeLessThan(0.08)
  })
})

describe('what a lot is called', () => {
  it.each(['batch', 'pot', 'soup', 'pan'])('a third of the %s is blended, and goes back', (word) => {
    const part = read(
      '3000 g vegetable stock\n700 g brown lentils',
      `Simmer the lentils in the stock for 45 minutes. Blend a third of the ${word} and stir back in.`,
    )
    const blend = part.steps.find(({ operation }) => operation === 'blend')
    expect((blend?.massInG ?? 0) / (part.steps[0]?.massG ?? 1)).toBeCloseTo(1 / 3, 2)
    expect(part.cookedMassG).toBeGreaterThan(0.95 * (part.steps[0]?.massG ?? 0))
  })
})

describe('one after the other', () => {
  const operations = (list: string, method: string) =>
    read(list, method).steps.map(({ operation }) => operation)
  it.each([
    [
      '100 g cashews\n250 ml water\n2 g salt',
      'Cover cashews with boiling water. Stand 30 mins. Drain. Blitz with fresh water and salt until silky (3 mins).',
      ['soak', 'drain', 'blend'],
    ],
    [
      '400 g young jackfruit\n150 ml vegetable stock\n48 g barbecue sauce',
      'Jackfruit + stock in. Cover, simmer 20 min. Lid off, 10 more minutes till dry. Stir through BBQ sauce. Spread on a tray, 200C, 15 min.',
      ['simmer', 'simmer', 'mix', 'roast'],
    ],
    [
      '120 ml aquafaba\n150 g caster sugar',
      'Whip the aquafaba on high for 6 min. Rain in the sugar, a spoon at a time, whipping for another 8 min.',
      ['whip', 'whip'],
    ],
    [
      '300 g potatoes, diced\n400 g chopped tomatoes\n10 g curry powder\n20 g oil',
      'Stir the curry powder into the oil and fry for 30 sec, then add the tomatoes and potatoes. Lock the lid, bring up to pressure and cook 25 min.',
      ['mix', 'shallow-fry', 'heat', 'pressure-cook'],
    ],
    [
      '250 g chickpea flour\n750 ml water\n60 ml olive oil',
      'Whisk the flour into the water. Cover with a cloth and leave out for at least 6 hours. Stir in the oil and bake for 15 minutes at 250 C.',
      ['mix', 'soak', 'mix', 'roast'],
    ],
    [
      '1 l soy milk\n30 g soy yogurt',
      'Warm the milk to 43 C. Whisk in the yogurt. Decant into jars and leave somewhere warm for 8 h. Fridge 4 h.',
      ['heat', 'mix', 'culture', 'chill'],
    ],
    [
      '500 g dried green lentils\n1 litre vegetable stock',
      'Bring the lentils and stock to a bubble, then turn right down and leave, half-covered, for 50 mins. Cool and freeze in portions.',
      ['heat', 'simmer', 'cool'],
    ],
    [
      '300 g seitan\n120 g red pepper\n27 g groundnut oil',
      'Wok on full blast. 1 Tbsp oil. Seitan, 4 min, tossing. Out. Rest of the oil. Pepper 2 min.',
      ['shallow-fry', 'shallow-fry'],
    ],
    [
      '160 g pinhead oats\n180 g vegetable stock',
      "Toast oats 5' in a dry pan. Stir in the stock, simmer 10'. Chill o/n.",
      ['toast', 'mix', 'simmer', 'chill'],
    ],
    [
      '240 g black beans\n100 g cooked rice',
      'Mash the beans with the rice and form patties. Grill for 5 min per side, or bake at 190 C for 20 min.',
      ['mash', 'shape', 'grill'],
    ],
  ])('%#', (list, method, expected) => expect(operations(list, method)).toEqual(expected))

  it('says so where nobody told how warm a culture stands, and does not stop it', () => {
    const found = readRecipes(
      'Yogurt\n\n1 l soy milk\n30 g soy yogurt\n\nWarm the milk to 43 C. Whisk in the yogurt. Leave somewhere warm for 8 h.',
      mixContext(),
    )
    const dish = found.ok ? found.value[0] : undefined
    if (dish === undefined) throw new Error('not read')
    const { findings } = assess(dish, library, defaultKitchen)
    expect(findings.filter(({ severity }) => severity === 'stop')).toEqual([])
    expect(findings.find(({ rule }) => rule === 'culture-hardly-sour')?.message).toContain('not said')
  })

  it('bakes what was spread out for it', () => {
    expect(
      names(
        step(
          '240 g black beans\n60 g walnuts',
          'Spread the beans on a baking sheet and bake at 350F for 15 min. Chop the walnuts.',
          'roast',
        ),
      ),
    ).toEqual(['black beans'])
  })

  it('adds wet to dry, and both are in it', () => {
    const part = read(
      '300 g rolled oats\n5 g baking powder\n350 ml almond milk\n80 ml maple syrup',
      'In one bowl mix the oats and baking powder. In another, whisk the milk and syrup. Add wet to dry and stir until combined.',
    )
    expect(part.steps.at(-1)?.massInG).toBeGreaterThan(700)
  })

  it('lays on a plate what was fried, and brings it back', () => {
    const part = read(
      '250 g portobello mushrooms\n15 g oil\n30 g shallot\n150 ml oat cream',
      'Sear the mushrooms in a hot pan with the oil for 5 mins. Out onto a plate. Shallot in, soften 4 mins. Mushrooms back along with the cream; warm through gently.',
    )
    expect(part.steps[1]?.massInG).toBeLessThan(60)
    expect(part.steps.at(-1)?.massInG).toBeGreaterThan(300)
  })

  it('fries small heaps that are flattened in hot oil, by the side', () => {
    const fry = read(
      '900 g grated potatoes\n40 g potato starch\noil for frying',
      'Mix the potatoes with the starch. Small heaps into hot oil, flatten, 3-4 min/side.',
    ).steps.at(-1)
    expect(fry?.operation).toBe('shallow-fry')
  })

  it('adds everything else: what was made beside it, and what is left of the list', () => {
    const mix = read(
      '240 g black beans\n60 g walnuts\n100 g cooked rice',
      'Pulse the walnuts in a food processor. Mash the beans in a bowl. Add everything else and mix.',
    ).steps.at(-1)
    expect(mix?.massInG).toBeCloseTo(400, -1)
  })

  it('begins anew for the filling', () => {
    const fry = step(
      '900 g white cabbage\n150 g onion\n30 g oil',
      'Boil the cabbage for 10 minutes. For the filling fry the onion in the oil until golden.',
      'shallow-fry',
    )
    expect(names(fry)).toEqual(['oil', 'onion'])
  })

  it('keeps a list’s line that tells how long something was pressed', () => {
    const part = read(
      '1 (14 oz) block extra-firm tofu, pressed 20 min\n2 tsp oil',
      'Toss the tofu with the oil.',
    )
    expect(part.lines.map(({ massG }) => Math.round(massG ?? 0))).toEqual([397, 9])
  })

  it('keeps the list’s water for where it is named again', () => {
    const blend = step(
      '150 g cashews\n250 ml water\n2 g salt',
      'Cover cashews with boiling water. Stand 30 mins. Drain. Blitz with fresh water and salt until silky.',
      'blend',
    )
    expect(names(blend)).toContain('water')
  })

  it('loosens with a little of what is left, where it seems dry', () => {
    const part = read(
      '200 g cooked lentils\n500 ml vegetable stock\n80 g breadcrumbs',
      'Mix the lentils with the breadcrumbs. If it seems dry, loosen with a splash more stock. Press into a loaf tin and bake for 30 minutes at 180 C.',
    )
    expect(part.steps.at(-1)?.massInG).toBeLessThan(345)
  })

  it('is not dry where it has gone to porridge', () => {
    const simmer = step(
      '100 g jasmine rice\n1.2 litres vegetable stock',
      'Bring the rice and stock to the boil. Put the lid on ajar and simmer for 50 minutes, until it has gone to porridge.',
      'simmer',
    )
    expect(simmer.massG / simmer.massInG).toBeGreaterThan(0.8)
  })
})

describe('half a pack', () => {
  it.each([
    ['½ block firm tofu (140 g)', 140],
    ['1/2 block firm tofu (14 oz)', 198],
    ['2 blocks firm tofu (280 g)', 560],
    ['½ tin coconut milk (200 ml)', 98],
  ])('%s', (line, massG) => expect(read(`${line}\n2 g salt`, 'Mix.').lines[0]?.massG).toBeCloseTo(massG, -1))
})

describe('lifted, drained, squeezed', () => {
  it('lifts slices out of their marinade and lets it drip off', () => {
    const part = read(
      '227 g tempeh\n51 g soy sauce\n60 ml water\n27 g oil',
      'Mix the soy sauce and water. Lay the tempeh in a dish, pour the marinade over and leave for two hours. To cook, lift the slices out, letting the excess drip off. Fry them in the oil for 3 minutes a side.',
    )
    expect(part.steps.map(({ operation }) => operation)).toEqual(['mix', 'marinate', 'drain', 'shallow-fry'])
    expect(part.steps[2]?.massG).toBeLessThan(0.85 * (part.steps[2]?.massInG ?? 0))
  })
  it('squeezes what is drained with the hands', () => {
    const part = read(
      '400 g spinach\n14 g oil',
      'Cook the spinach in the oil until wilted, about 3 minutes. Drain in a colander, squeezing out as much water as possible.',
    )
    expect(part.steps[1]?.operation).toBe('squeeze')
    expect(part.cookedMassG).toBeLessThan(260)
  })
})

describe('what comes of it', () => {
  const kept = (list: string, method: string, operation: string): number => {
    const { massG, massInG } = step(list, method, operation)
    return massG / massInG
  }
  it.each([
    [
      'bread',
      '500 g strong flour\n330 g water\n10 g salt',
      'Mix and knead for 10 minutes. Shape into a loaf and put in a tin. Bake at 220 C for 35 minutes.',
      'roast',
      0.84,
      0.92,
    ],
    [
      'a cake',
      '250 g flour\n180 g sugar\n250 g soy milk\n80 g oil',
      'Mix everything. Pour into a 23 cm tin. Bake at 180 C for 35 minutes.',
      'roast',
      0.88,
      0.95,
    ],
    [
      'a slab of gluten',
      '180 g vital wheat gluten\n240 g water\n30 g almond butter',
      'Knead all for 2 minutes. Press into a 20 cm square pan. Bake at 175 C for 25 minutes.',
      'roast',
      0.82,
      0.95,
    ],
    [
      'puree in a pan',
      '430 g tomato passata\n110 g onion, chopped\n27 g oil',
      'Fry the onion in the oil for 10 minutes. Pour in the passata and cook for 8 minutes.',
      'shallow-fry',
      0.6,
      0.85,
    ],
    ['warm milk', '400 g soy milk', 'Warm the soy milk to 35 C.', 'heat', 0.985, 1],
  ])('of %s', (_, list, method, operation, low, high) => {
    const of = read(list, method)
      .steps.filter((one) => one.operation === operation)
      .at(-1)
    const share = of === undefined ? kept(list, method, operation) : of.massG / of.massInG
    expect(share).toBeGreaterThan(low)
    expect(share).toBeLessThan(high)
  })

  it('of balls in much listed oil: the oil is no part of what they are', () => {
    const balls = (oil: string) =>
      read(
        `480 g cooked chickpeas\n110 g onion\n60 g parsley\n40 g chickpea flour\n${oil}`,
        'Blend the chickpeas, onion, parsley and chickpea flour. Shape into 24 balls. Deep fry the balls in the oil at 175 C for 4 minutes.',
      ).cookedMassG
    expect(balls('900 g sunflower oil')).toBeCloseTo(balls('600 g sunflower oil'), -1)
  })
})

describe('said in other kitchens', () => {
  it('reduces the liquid by half, and not what lies in it', () => {
    const part = read(
      '400 g potatoes, in chunks\n150 g firm tofu\n300 ml vegetable stock',
      'Put the potatoes and the stock in a pan and simmer for 10 minutes. Add the tofu and simmer until the liquid has reduced by half.',
    )
    expect(part.cookedMassG).toBeGreaterThan(620)
    expect(part.cookedMassG).toBeLessThan(790)
  })

  it('only brings to the boil a brine that is boiled without a time', () => {
    const boil = step(
      '400 g extra-firm tofu\n500 ml water\n40 g salt\n2 tbsp lemon juice',
      'Boil the water with the salt and lemon juice and pour it over the tofu. Leave for 24 hours in the fridge.',
      'boil',
    )
    expect(boil.minutes).toBeLessThan(10)
    expect(boil.massG).toBeGreaterThan(0.85 * boil.massInG)
  })

  it('leaves most of the oil that the list keeps for frying in the pan', () => {
    const fry = step(
      '300 g tempeh, in matchsticks\n100 ml oil, for frying\n2 tbsp soy sauce',
      'Fry the tempeh in the oil for 6 minutes. Toss with the soy sauce.',
      'shallow-fry',
    )
    expect(fry.massG).toBeLessThan(310)
  })

  it('does not deep-fry an onion because something is baked at 180 °C later', () => {
    const part = read(
      '1 onion, chopped\n2 tbsp oil\n200 g cooked lentils',
      'Fry the onion in the oil for 8 minutes, add the lentils, press into a tin and bake at 180 °C for 30 minutes.',
    )
    expect(part.steps[0]?.operation).not.toBe('deep-fry')
  })

  it('roasts batons that are spread over a tray as what they are', () => {
    const roast = step(
      '500 g carrots, cut into batons\n2 tbsp olive oil',
      'Toss the carrots with the oil, spread over a large tray and roast at 200 °C for 40 minutes.',
      'roast',
    )
    expect(roast.massG / roast.massInG).toBeGreaterThan(0.5)
  })

  it('cuts and fries a porridge that has set, and nothing runs out of it', () => {
    const part = read(
      '250 g chickpea flour\n1 l water\n1 tsp salt\n150 ml oil, for frying',
      'Bring the water and salt to the boil. Whisk in the chickpea flour and cook over a low heat for 10 minutes. Pour into a dish and chill for 2 hours. Cut into sticks, fry in the oil for 8 minutes and drain on paper.',
    )
    expect(part.cookedMassG).toBeGreaterThan(850)
  })

  it('goes over the vegetables of the other part, not over the garlic in the sauce itself', () => {
    const found = readRecipes(
      'Roots\n\nFor the roots\n500 g carrots\n2 tbsp olive oil\n\nFor the sauce\n80 g tahini\n1 clove garlic, crushed\n90 ml water\n\nMethod\n1. Toss the carrots with the oil and roast at 200 °C for 45 minutes.\n2. Whisk the tahini with the garlic and water.\n3. Spoon the sauce over the hot vegetables.',
      mixContext(),
    )
    const dish = found.ok ? found.value[0] : undefined
    const parts = dish === undefined ? [] : assess(dish, library, defaultKitchen).parts
    expect(
      parts[0]?.steps
        .at(-1)
        ?.takes.map(({ kind }) => kind)
        .sort(),
    ).toEqual(['part', 'step'])
  })

  it.each([
    ['Add the stock, lock the lid, high pressure for 25 minutes, natural release.', 'pressure-cook'],
    ['oil in pan, carrots, 5 min med heat', 'shallow-fry'],
    ['Dry the grated carrots in a pot with no oil for 6 minutes, stirring.', 'sweat'],
  ])('%s', (method, operation) => {
    const found = step('400 g carrots, grated\n2 tbsp oil\n300 ml vegetable stock', method, operation)
    expect(found.minutes).toBeGreaterThanOrEqual(5)
  })

  it('leaves out what is said to stay out', () => {
    const dried = step(
      '400 g carrots, grated\n2 tbsp oil',
      'Dry the carrots in a pot with no oil for 6 minutes. Add the oil and fry for 3 minutes.',
      'sweat',
    )
    expect(names(dried)).toEqual(['carrots'])
  })

  it('tells a heading in capitals from a doing, and a core temperature from coring', () => {
    const found = readRecipes(
      'Pie\n\nFilling\n500 g cooked lentils\n200 g onions\n\nMash\n800 g potatoes, peeled\n50 g plant butter\n\nMethod\nFILLING\n1) Sweat onions 10 mins.\n2) Add lentils.\nMASH\n3) Boil potatoes 20 mins. Drain.\n4) Mash w/ marg.\n5) Pipe over filling. Bake 180C 35 mins, core 75C.',
      mixContext(),
    )
    const dish = found.ok ? found.value[0] : undefined
    const operations = dish?.parts.flatMap(({ steps }) => steps.map(({ operation }) => operation))
    expect(operations).not.toContain('trim')
    expect(dish?.parts[0]?.steps).toHaveLength(2)
    const mash = dish === undefined ? undefined : assess(dish, library, defaultKitchen).parts[1]?.steps
    expect(names(mash?.find(({ operation }) => operation === 'mash') ?? { takes: [] })).toContain(
      'plant butter',
    )
  })

  it('blends everything wet, whisks everything dry', () => {
    const part = read(
      '180 g vital wheat gluten\n30 g chickpea flour\n150 g cooked beetroot\n120 ml water\n30 ml oil',
      'Blend everything wet. Whisk everything dry. Pour the wet into the dry and knead 3 minutes.',
    )
    expect(names(part.steps[0] ?? { takes: [] })).toEqual(['cooked beetroot', 'oil', 'water'])
    expect(names(part.steps[1] ?? { takes: [] })).toEqual(['chickpea flour', 'vital wheat gluten'])
  })

  it('mashes a little against the side of the pot, and all of it boils on', () => {
    const boil = step(
      '400 g cooked chickpeas\n300 ml vegetable stock',
      'Simmer the chickpeas in the stock for 10 minutes. Mash a ladleful against the side and boil for 5 minutes.',
      'boil',
    )
    expect(boil.massInG).toBeGreaterThan(500)
  })
})

describe('what blogs say', () => {
  it.each([['1 flax egg (1 tbsp ground flax + 3 tbsp water)'], ['1 tbsp ground flaxseed\n3 tbsp water']])(
    'a flax egg is its seed and its water: %s',
    (egg) => {
      const part = read(
        `240 g cooked black beans\n${egg}\n50 g breadcrumbs`,
        'Make the flax egg and set aside for 5 minutes. Mash the beans with the flax egg and breadcrumbs.',
      )
      expect(part.steps[0]?.operation).toBe('mix')
      expect(part.steps.at(-1)?.massInG).toBeGreaterThan(335)
    },
  )

  it('warms a sauce through, and not the pasta that stands by', () => {
    const warm = step(
      '250 g tagliatelle\n500 g chestnut mushrooms\n150 ml oat cream',
      'Cook the pasta. Meanwhile fry the mushrooms for 10 minutes. Stir through the oat cream and warm through. Drain the pasta and toss with the sauce.',
      'heat',
    )
    expect(warm.massInG).toBeLessThan(650)
  })

  it('lifts steaks of gluten out of the broth that they were added to', () => {
    const found = readRecipes(
      'Steaks\n\n180 g vital wheat gluten\n30 g chickpea flour\n240 ml vegetable broth\nFor simmering:\n1.4 l vegetable broth\n60 ml soy sauce\nFor searing:\n2 tbsp oil\n\nMix the gluten, the flour and the 240 ml broth and knead for 3 minutes. Cut into 4 pieces.\nBring the 1.4 l broth and the soy sauce to a simmer. Add the steaks and simmer gently for 45 minutes. Let cool in the broth.\nHeat the oil in a skillet. Pat the steaks dry and sear for 4 minutes per side.',
      mixContext(),
    )
    const dish = found.ok ? found.value[0] : undefined
    const { cookedMassG } = dish === undefined ? { cookedMassG: 0 } : assess(dish, library, defaultKitchen)
    expect(cookedMassG).toBeGreaterThan(450)
    expect(cookedMassG).toBeLessThan(760)
  })

  it('takes a few tablespoons, and then the rest', () => {
    const part = read(
      '800 ml coconut milk\n16 g tapioca starch',
      'Whisk a few tablespoons of the coconut milk with the tapioca starch. Heat the rest of the coconut milk in a saucepan until it bubbles. Whisk in the starch mixture and cook for 3 minutes.',
    )
    expect(part.steps[0]?.massG).toBeLessThan(90)
    expect(part.steps[1]?.massInG).toBeGreaterThan(700)
  })

  it('does one of two ways to cook it', () => {
    const part = read(
      '600 g cooked black beans\n60 g breadcrumbs',
      'Mash the beans with the breadcrumbs and form into 6 patties. To bake: 190 °C for 20 minutes. To grill: cook for 8 minutes each side.',
    )
    expect(part.steps.at(-1)?.operation).toBe('roast')
    expect(part.steps.map(({ operation }) => operation)).not.toContain('grill')
  })

  it('goes on whipping until it is stiff', () => {
    const part = read(
      '120 ml aquafaba\n150 g caster sugar',
      'Whisk the aquafaba on high speed for 5 minutes until soft peaks form. Add the sugar and continue whisking for 8 minutes until stiff and glossy.',
    )
    expect(part.steps.map(({ operation }) => operation)).toEqual(['whip', 'whip'])
  })
})
