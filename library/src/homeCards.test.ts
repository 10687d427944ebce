import { describe, expect, it } from 'vitest'
import { assessed } from '../test/pasted'
import { pasted, takesOf } from '../test/readTakes'

const recipe = (list: string, method: string): string => `A trial dish\n\n${list}\n\n${method}`
const told = (list: string, method: string): readonly (readonly [string | null, number])[] =>
  assessed(list, method)
    .parts.flatMap(({ steps }) => steps)
    .sort((a, b) => (a.written ?? 0) - (b.written ?? 0))
    .map(({ operation, minutes }) => [operation, minutes] as const)
const takes = (list: string, method: string) => takesOf(recipe(list, method))

describe('a title that begins with a number', () => {
  it.each(['3-Bean Chilli', '20-Minute Tofu Scramble', '5 Ingredient Seitan Loaf'])('%s', (title) => {
    const dish = pasted(
      `${title}\n\n200 g firm tofu\n1 tbsp olive oil\n\nFry the tofu in the oil for 5 minutes.`,
    )
    expect(dish.name).toBe(title)
    expect(dish.parts[0]?.lines.map(({ food }) => food)).toEqual(['firm tofu', 'olive oil'])
  })
  it.each(['14-oz can tomatoes', '2 large aubergines'])('is none in “%s”', (line) => {
    const dish = pasted(`${line}\n\n1 tbsp olive oil\n1 onion\n\nFry the onion in the oil.`)
    expect(dish.parts[0]?.lines).toHaveLength(3)
  })
})

describe('a line with several foods', () => {
  it.each([
    ['2 tbsp smoked paprika + 1 tsp cumin + ½ tsp oregano', ['smoked paprika', 'cumin', 'oregano']],
    ['1 onion and 2 carrots and 3 potatoes', ['onion', 'carrots', 'potatoes']],
    ['1 cup flour plus 2 tbsp for dusting', ['flour']],
    ['350 g bread flour + extra for dusting', ['bread flour']],
  ])('%s', (line, foods) => {
    const dish = pasted(`Trial\n\n${line}\n200 g firm tofu\n1 tsp salt\n\nMix everything.`)
    expect(dish.parts[0]?.lines.map(({ food }) => food)).toEqual([...foods, 'firm tofu', 'salt'])
  })
})

describe('a numbered step with its doings in bullets', () => {
  const LIST = 'BASE\n- 300 g cooked chickpeas\n- 100 g walnuts\nGLUE\n- 2 tbsp ground flax\n- 5 tbsp water'
  it('is a step, and not a part of the list', () => {
    const dish = pasted(
      `Trial loaf\n\n${LIST}\n\n1) Glue first:\n  - whisk the flax and water, leave 10 mins\n2) Roast the chickpeas:\n  - on a lined tray\n  - 20 mins at 180 fan\n3) Mash everything with the glue`,
    )
    expect(dish.parts.map(({ name }) => name)).toEqual(['BASE', 'GLUE'])
    const operations = dish.parts.flatMap(({ steps }) => steps.map(({ operation }) => operation))
    expect(operations).toEqual(expect.arrayContaining(['mix', 'roast', 'mash']))
  })
  it('leaves a numbered list of foods a list', () => {
    const dish = pasted(
      'Trial loaf\n\n1. For the base:\n- 300 g cooked chickpeas\n2. For the glue:\n- 2 tbsp ground flax\n- 5 tbsp water\n\nMash the chickpeas. Stir in the flax and water.',
    )
    expect(dish.parts.map(({ lines }) => lines.length)).toEqual([1, 2])
  })
})

describe('what is left out', () => {
  const LIST = '100 g chickpea flour\n150 ml soy milk\n1/2 tsp salt\n1 tsp oil\n60 g spinach\n60 g mushrooms'
  it('is a class of foods', () => {
    expect(takes(LIST, 'Whisk everything but the vegetables. Fold the vegetables through.')).toEqual([
      'mix: chickpea flour, soy milk, salt, oil',
      'mix: 1, spinach, mushrooms',
    ])
  })
  it('is told in brackets', () => {
    const list =
      '200 g vital wheat gluten\n1 tsp onion powder\n180 ml water\n1 tbsp soy sauce\n100 g barbecue sauce'
    expect(
      takes(
        list,
        'Dry stuff in one bowl, wet stuff (not the barbecue sauce) in another. Wet into dry and knead for 3 minutes.',
      ),
    ).toEqual(['mix: vital wheat gluten, onion powder', 'mix: water, soy sauce', 'knead: 2, 1'])
  })
})

describe('on the heat', () => {
  const LIST = '1 onion, chopped\n120 g mushrooms\n2 tbsp olive oil\n1 tsp salt'
  it('goes on where nobody is to touch it', () => {
    expect(
      told(
        LIST,
        'Sweat the onion in the oil for 6 minutes. Add the mushrooms. Don’t stir them for 4 minutes so they take on a crust.',
      ),
    ).toEqual([
      ['sweat', 6],
      ['brown', 4],
    ])
  })
  it('is hot in a pot that is set to sauté', () => {
    expect(told(LIST, 'Set the cooker to sauté. Add the oil and onion; 5 minutes, stirring.')).toEqual([
      ['sweat', 5],
    ])
  })
  it('goes on after a toss', () => {
    expect(
      told(LIST, 'Coat the mushrooms with the oil. Broil 6 mins, toss, 4 more.').map(
        ([operation]) => operation,
      ),
    ).toEqual(['coat', 'broil', 'broil'])
  })
  it('keeps its lid on through hours on low', () => {
    const dish = assessed(
      '500 g cooked chickpeas\n400 g passata\n1 tsp salt',
      'Mix everything. Cook on LOW 6-8 hrs.',
    )
    expect(dish.cookedMassG).toBeGreaterThan(0.75 * dish.rawMassG)
  })
  it('is a grill where the food was put on one', () => {
    expect(
      told(LIST, 'Brush the mushrooms with the oil and put them onto the grill. 3 minutes a side.').map(
        ([operation]) => operation,
      ),
    ).toContain('grill')
  })
  it('is a microwave by its power, and a blender without', () => {
    expect(
      told('200 g cooked lentils\n100 ml water', 'Zap the lentils and water on full power for 2 minutes.'),
    ).toEqual([['heat', 2]])
    expect(
      told('200 g cooked lentils\n100 ml water', 'Zap the lentils and water until smooth.')[0]?.[0],
    ).toBe('blend')
  })
})

describe('words that name no food', () => {
  it('are the bursts of a machine', () => {
    expect(
      takes('200 g cooked lentils\n100 g almonds', 'Drain the lentils. Blitz the almonds in 4-5 pulses.')[1],
    ).toBe('blend: almonds')
  })
  it('are how long it keeps', () => {
    const method =
      'Mash the lentils with the almonds. Keeps 4 days in the fridge, or freeze flat in bags for 2 months.'
    expect(told('200 g cooked lentils\n100 g almonds', method).map(([operation]) => operation)).toEqual([
      'mash',
    ])
  })
  it('are when it is done', () => {
    const method = 'Mash the lentils. An hour before dinner, mix in the almonds.'
    expect(told('200 g cooked lentils\n100 g almonds', method)[1]).toEqual(['mix', 2])
  })
})

describe('two things of a list', () => {
  const LIST =
    '1 tbsp oil\n1 onion\n1 tin chopped tomatoes\n2 tbsp tomato paste\n300 ml water\n200 g red lentils'
  it('are two where “and” stands between them, and what remains is taken', () => {
    expect(
      takes(
        LIST,
        'Fry the onion in the oil for 5 minutes. Pour in half the water. Add the lentils, remaining water, and then the tomatoes and paste. Simmer for 20 minutes.',
      ).at(-1),
    ).toContain('red lentils, water, chopped tomatoes, tomato paste')
  })
  it('are told by which is still full', () => {
    const list = '400 g tofu\n1 tbsp soy sauce\n100 g barbecue sauce'
    expect(
      takes(
        list,
        'Toss the tofu with the soy sauce. Roast at 200 °C for 20 minutes. Brush the top with half the sauce, then brush the other side.',
      ),
    ).toEqual([
      expect.stringContaining('tofu'),
      expect.stringContaining('roast'),
      'coat: 2, barbecue sauce 0.5',
      'coat: 3, barbecue sauce',
    ])
  })
})

describe('times', () => {
  it.each([
    ['Let it stand a minute or two.', 1.5],
    ['Knead a couple minutes.', 2],
  ])('%s', (sentence, minutes) => {
    expect(told('200 g flour\n100 ml water', `Mix the flour and water. ${sentence}`)[1]?.[1]).toBe(minutes)
  })
  it('on the counter and then in the fridge are two', () => {
    expect(
      told(
        '300 ml soy milk\n4 g agar powder',
        'Bring the milk to the boil with the agar. Let it cool on the counter 20 min and then 3 h in the fridge before you slice or grate it.',
      ).slice(1),
    ).toEqual([
      ['cool', 20],
      ['chill', 180],
    ])
  })
})

describe('kitchens abroad, in English', () => {
  const LIST =
    '1 onion\n3 tbsp olive oil\n1 tbsp tomato paste\n1 tbsp pepper paste\n400 g cooked black beans\n400 ml coconut milk\n2 tsp curry powder\n1 tsp salt'
  it.each([
    [
      'a colour is no food by itself',
      'Let the onion get black spots in a dry pan, 8 minutes. Add the beans.',
      'brown: onion',
    ],
    [
      'a lead without a comma',
      'At that time soften the onion in the oil for 6 minutes.',
      'sweat: onion, olive oil',
    ],
    [
      'an apostrophe for them',
      'Soften the onion in the oil for 6 minutes. Mash the beans and tip ’em in.',
      'mash: cooked black beans',
    ],
    [
      'onions that are roasted in oil',
      'Roast the chopped onion in the oil until pink.',
      'sweat: onion, olive oil',
    ],
  ])('%s', (_name, method, first) => {
    expect(takes(LIST, method)).toContain(first)
  })
  it('what balances is what is left', () => {
    const method =
      'Simmer the beans in half the coconut milk for 10 minutes. When the pot is low add balance coconut milk, simmer 5 minutes more.'
    expect(takes(LIST, method)[1]).toContain('coconut milk')
  })
  it('the pastes are both of them', () => {
    expect(takes(LIST, 'Fry the onion in the oil for 5 minutes. Add the pastes.')[1]).toBe(
      'mix: 1, tomato paste, pepper paste',
    )
  })
  it('the curry is what was made, and no powder', () => {
    const method =
      'Simmer the beans, coconut milk and curry powder for 15 minutes. Fry the onion in the oil for 5 minutes. Pour on the curry, mix.'
    expect(takes(LIST, method).at(-1)).toBe('mix: 1, 2')
  })
  it('left on a low flame it simmers, and covered it rests', () => {
    const method =
      'Bring the beans and coconut milk to the boil and leave on a low flame 20 minutes. Keep covered 10 minutes.'
    expect(
      told(LIST, method)
        .map(([operation]) => operation)
        .slice(-2),
    ).toEqual(['simmer', 'rest'])
  })
  it('a large pan is no oven by its degrees', () => {
    expect(told(LIST, '1. Bratt pan 180 °C, oil and onion, 12 min till soft.')[0]?.[0]).toBe('sweat')
  })
  it('a probe is no doing', () => {
    expect(
      told(LIST, '1. Simmer the beans in the coconut milk for 10 minutes. Probe: 75 °C for 30 sec.'),
    ).toHaveLength(1)
  })
  it('half an hour is half of one, with its article before it', () => {
    expect(told(LIST, 'Mash the beans. Leave to rest a half hour.')[1]).toEqual(['rest', 30])
  })
  it('a mass stands last behind the size of the pieces', () => {
    const dish = assessed(
      'Carrots, diced 5 mm 1.5 kg\nTofu, 2 cm cubes 400 g\nGinger, 2 cm piece',
      'Mix everything.',
    )
    expect(dish.parts[0]?.lines.map(({ massG }) => Math.round(massG ?? 0))).toEqual([1500, 400, 10])
  })
})
