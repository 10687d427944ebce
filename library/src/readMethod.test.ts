import { assess, methodReading } from '@frijol/core/assess'
import { defaultKitchen } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { pasted, takesOf } from '../test/readTakes'
import { library } from '.'

const recipe = (list: string, method: string): string =>
  `Dish\n\n${list.split(' / ').join('\n')}\n\nMethod\n${method}`

const CASES: readonly (readonly [what: string, list: string, method: string, takes: readonly string[]])[] = [
  [
    'shares and what is left of them',
    '200 g walnuts / 1 onion / 2 tbsp oil / 1 tsp salt',
    'Fry the onion in half of the oil for 8 minutes and set aside. Toast the walnuts in the rest of the oil. Mix everything with the salt.',
    ['shallow-fry: onion, oil 0.5', 'toast: walnuts, oil', 'mix: 1, 2, salt'],
  ],
  [
    'a marinade in two pours',
    '400 g firm tofu / 3 tbsp soy sauce / 1 tbsp maple syrup',
    'Press the tofu. Whisk the soy and syrup. Pour two thirds of the marinade over the tofu and leave for 1 hour. Fry the tofu 6 minutes, then glaze it with the remaining marinade.',
    [
      'press: firm tofu',
      'mix: soy sauce, maple syrup',
      'marinate: 2 0.67, 1',
      'shallow-fry: 3',
      'coat: 4, 2',
    ],
  ],
  [
    'several foods through one pot',
    '300 g potatoes / 200 g carrots / 40 g vegan butter / 1 tsp salt',
    'Boil the potatoes and carrots 15 minutes, drain and mash them with the butter and salt.',
    ['boil: potatoes, carrots', 'drain: 1', 'mash: 2, vegan butter, salt'],
  ],
  [
    'water of the pot and water of the list',
    '150 g red lentils / 500 ml water / 1 tsp cumin',
    'Soak the lentils in boiling water for 20 minutes, drain. Blend with the 500 ml water and the cumin. Simmer 6 minutes.',
    ['soak: red lentils', 'drain: 1', 'blend: 2, water, cumin', 'simmer: 3'],
  ],
  [
    'what is set by while something else is done',
    '250 g flour / 5 g salt / 120 g cold vegan butter / 60 ml water / 300 g spinach',
    'Rub the butter into the flour and salt. Stir in the water and bring together to a dough. Wrap and chill 30 minutes. Meanwhile wilt the spinach and squeeze it dry. Roll out the dough, fill with the spinach and bake 25 minutes.',
    [
      'mix: cold vegan butter, flour, salt',
      'mix: 1, water',
      'mix: 2',
      'wrap: 3',
      'chill: 4',
      'sweat: spinach',
      'squeeze: 6',
      'shape: 5, 7',
      'roast: 8',
    ],
  ],
  [
    'what is lifted out comes back',
    '500 g mushrooms / 2 onions / 3 tbsp oil',
    'Fry the mushrooms in the oil until brown. Lift them out. Add the onions to the pan and soften 10 minutes. Return the mushrooms.',
    ['shallow-fry: mushrooms, oil', 'sweat: onions', 'mix: 1, 2'],
  ],
  [
    'soaking water that is kept',
    '300 ml stock / 40 g flour / 40 g vegan butter / 10 g dried porcini',
    'Soak the porcini in hot water for 20 minutes, drain, keeping the soaking water. Melt the butter, stir in the flour and cook 2 minutes. Whisk in the stock and the soaking water and simmer 10 minutes.',
    ['soak: dried porcini', 'drain: 1', 'heat: vegan butter, flour', 'mix: 2, 3, stock', 'simmer: 4'],
  ],
  [
    'a ladleful of the broth goes back into it',
    '60 g white miso / 1 l vegetable stock / 300 g silken tofu',
    'Heat the stock to 70 C. Loosen the miso with a ladleful of the stock, then stir it in. Slide in the tofu.',
    ['heat: vegetable stock', 'mix: 1 0.1, white miso', 'mix: 2, 1', 'mix: 3, silken tofu'],
  ],
  [
    'batter and crumbs',
    '2 aubergines / 1 tsp salt / 100 g breadcrumbs / 120 g flour / 200 ml beer',
    'Slice the aubergines and salt them for 20 minutes. Whisk the flour with the beer. Dip the slices in the batter, roll in the breadcrumbs and deep-fry 4 minutes.',
    [
      'chop: aubergines',
      'mix: 1, salt',
      'mix: flour, beer',
      'coat: 2, 3',
      'coat: 4, breadcrumbs',
      'deep-fry: 5',
    ],
  ],
  [
    'said of one and done with all',
    '8 sheets rice paper / 100 g hummus / 2 carrots',
    'Grate the carrots. Soak a sheet of rice paper in water for 5 seconds, spread with a spoonful of the hummus, lay some carrot on and roll up. Repeat to make eight rolls.',
    ['grate: carrots', 'soak: rice paper', 'shape: 2, hummus', 'shape: 1, 3'],
  ],
  [
    'all but one',
    '200 g cashews / 250 ml water / 2 tbsp lemon juice / 1 tsp salt / 20 g parsley',
    'Blend everything except the parsley. Stir in the parsley.',
    ['blend: cashews, water, lemon juice, salt', 'mix: 1, parsley'],
  ],
  [
    'what cooks away',
    '3 onions, sliced / 2 tbsp oil / 200 ml red wine / 1 l vegetable stock',
    'Cook the onions in the oil slowly for 40 minutes. Pour in the wine, let it bubble away. Add the stock and simmer 20 minutes.',
    ['sweat: onions, oil', 'reduce: 1, red wine', 'simmer: 2, vegetable stock'],
  ],
  [
    'what is added after a while',
    '1 onion / 1 tbsp oil / 200 g cooked lentils / 300 ml vegetable stock',
    'Fry the onion in the oil for 5 minutes before adding the lentils and stock. Bubble for 20 minutes.',
    ['shallow-fry: onion, oil', 'simmer: 1, cooked lentils, vegetable stock'],
  ],
  [
    'a noun that no list knows is what most foods are in',
    '400 g cooked chickpeas / 30 g vegan mayonnaise / 1 tsp mustard / 1 stick celery / 4 slices bread',
    'Mash the chickpeas with the mayonnaise, mustard and celery. Toast the bread. Divide the salad between the slices.',
    ['mash: cooked chickpeas, vegan mayonnaise, mustard, celery', 'toast: bread', 'shape: 1, 2'],
  ],
  [
    'the broth of the pot, where some is in the dumplings',
    '200 g vital wheat gluten / 150 ml vegetable broth / 1 tbsp oil / 1.5 l vegetable broth / 1 onion',
    'Mix the gluten with the 150 ml broth and the oil. Bring the 1.5 l broth and the onion to a simmer. Shape the dough into balls. Lower them into the broth and simmer for 40 minutes.',
    [
      'mix: vital wheat gluten, vegetable broth, oil',
      'heat: vegetable broth, onion',
      'shape: 1',
      'simmer: 3, 2',
    ],
  ],
  [
    'the wet into the dry',
    '200 g chickpea flour / 1 tsp salt / 200 ml water / 1 tbsp lemon juice',
    'Combine the chickpea flour and salt. Whisk the water and lemon juice. Pour the wet into the dry and mix.',
    ['mix: chickpea flour, salt', 'mix: water, lemon juice', 'mix: 2, 1'],
  ],
  [
    'a coating that was mixed just before',
    '400 g firm tofu / 2 tbsp soy sauce / 1 tbsp sugar / 1 tbsp oil',
    'Slice the tofu. Mix the soy sauce and sugar. Coat the tofu and marinate for 30 minutes.',
    ['chop: firm tofu', 'mix: soy sauce, sugar', 'coat: 1, 2', 'marinate: 3'],
  ],
  [
    'what it becomes is not where it goes',
    '1 aubergine / 200 g firm tofu',
    'Cut the aubergine into chunks. Press the tofu for 15 minutes and tear it into bite-sized pieces.',
    ['chop: aubergine', 'press: firm tofu', 'chop: 2'],
  ],
  [
    'what is scooped out is thrown away',
    '4 green peppers / 100 g cooked rice / 1 tsp chilli powder',
    'Mix the rice and chilli powder. Slice the tops off the peppers and scoop out the seeds. Stuff with the rice.',
    ['mix: cooked rice, chilli powder', 'trim: green peppers', 'trim: 2', 'shape: 1, 3'],
  ],
  [
    'both',
    '1 kg butternut squash / 2 red onions / 2 tbsp olive oil',
    'Cut the squash into wedges and quarter the onions. Toss both with the oil and roast for 30 minutes.',
    ['chop: butternut squash, red onions', 'mix: 1, olive oil', 'roast: 2'],
  ],
]

describe('what a doing takes', () => {
  it.each(CASES)('%s', (_, list, method, takes) => {
    expect(takesOf(recipe(list, method))).toEqual(takes)
  })
})

const PIE = `Pie
Serves 4

Pastry
250 g flour
120 g vegan butter
60 ml water

Filling
2 leeks
1 tbsp oil
300 g cooked white beans

Method
1. Rub the butter into the flour, stir in the water and chill 30 minutes.
2. Fry the leeks in the oil for 10 minutes. Crush the beans into the leeks.
3. Roll out the pastry, fill and bake at 190 C for 35 minutes.`

describe('one method over several lists', () => {
  it('gives each doing to the part whose foods it takes', () => {
    const dish = pasted(PIE)
    expect(dish.parts.map(({ name, steps }) => [name, steps.map(({ operation }) => operation)])).toEqual([
      ['Pastry', ['mix', 'mix', 'chill', 'shape', 'roast']],
      ['Filling', ['shallow-fry', 'mash']],
    ])
    expect(takesOf(PIE).at(-2)).toBe('shape: 3, Filling')
  })

  it('a heading within the method names the part of what follows', () => {
    const dish = pasted(
      'Tacos\n\nFilling\n400 g black beans, cooked\n\nSalsa\n3 tomatoes\n1 onion\n\nMethod\n\nFor the salsa\nChop everything and leave 20 minutes.\n\nFor the filling\nMash and warm through 5 minutes.',
    )
    expect(dish.parts.map(({ steps }) => steps.map(({ operation }) => operation))).toEqual([
      ['mash', 'heat'],
      ['chop', 'rest'],
    ])
  })

  it('a group that is written in one line ends with it', () => {
    const dish = pasted(
      'Curls\n\n150 g soy curls\nMarinade: 3 tbsp soy sauce, 1 tbsp sugar, 1 clove garlic\n1 onion\n\nMix the marinade. Fry the onion.',
    )
    expect(dish.parts.map(({ name, lines }) => [name, lines.length])).toEqual([
      ['Main', 2],
      ['Marinade', 3],
    ])
  })
})

describe('how well it is read', () => {
  const readingOf = (text: string) => {
    const dish = pasted(text)
    return methodReading(dish, assess(dish, library, defaultKitchen))
  }
  it('says what share of the list some step takes, and what none does', () => {
    expect(readingOf(PIE)).toMatchObject({ takenShare: 1, left: [] })
    const partly = readingOf(recipe('300 g tofu / 100 g walnuts / 1 tbsp oil', 'Fry the tofu in the oil.'))
    expect(partly.left.map(({ name }) => name)).toEqual(['walnuts'])
    expect(partly.takenShare).toBeCloseTo(314 / 414, 1)
  })

  it('asks which step cooks a food that the reading lost, and stops where none does', () => {
    const lost = recipe(
      '300 g dried chickpeas / 1 onion / 2 tbsp oil',
      'Soak the chickpeas overnight and drain. Fry the onion in the oil.',
    )
    const severity = (text: string) =>
      assess(pasted(text), library, defaultKitchen).findings.find(({ rule }) => rule === 'pulse-not-cooked')
    expect(severity(lost)).toMatchObject({ severity: 'caution' })
    expect(severity(lost)?.message).toMatch(/^Which step cooks the/)
    expect(
      severity(
        recipe(
          '300 g dried chickpeas / 1 tsp salt',
          'Soak the chickpeas overnight, drain and blend with the salt.',
        ),
      ),
    ).toMatchObject({ severity: 'stop' })
  })

  it('counts what is served beside, and not what is only left over', () => {
    const cookedG = (end: string) => {
      const text = `Skewers\n\nSkewers\n400 g firm tofu\n1 tbsp oil\n\nSauce\n200 g peanut butter\n200 ml water\n\nMethod\n1. Whisk the peanut butter with the water.\n2. Fry the tofu in the oil 8 minutes.\n3. Spoon half of the sauce over the tofu${end}`
      const { cookedMassG, parts } = assess(pasted(text), library, defaultKitchen)
      return { cookedMassG, sauce: parts[1] }
    }
    const beside = cookedG(', the rest for dipping.')
    const left = cookedG('.')
    expect(beside.cookedMassG - left.cookedMassG).toBeCloseTo(beside.sauce?.besideG ?? 0, 6)
    expect(beside.sauce?.besideG).toBeGreaterThan(190)
    expect(left.sauce).toMatchObject({ besideG: 0 })
    expect(left.sauce?.leftoverG).toBeGreaterThan(190)
  })
})

describe('amounts that only season', () => {
  const slips = (list: string, method: string) =>
    assess(pasted(recipe(list, method)), library, defaultKitchen).findings.filter(
      ({ rule }) => rule === 'unit-slip',
    )
  it('are no unit slip in a marinade within the list', () => {
    const list = '227 g tempeh / 3 tbsp soy sauce / 60 ml water / 2 tbsp oil'
    expect(
      slips(
        list,
        'Mix the soy sauce and water. Pour over the tempeh and marinate for 2 hours. Fry in the oil.',
      ),
    ).toEqual([])
    expect(slips(list, 'Mash the tempeh with the soy sauce, the water and the oil.')).toHaveLength(1)
  })
})
