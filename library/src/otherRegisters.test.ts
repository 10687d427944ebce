import { describe, expect, it } from 'vitest'
import { assessed } from '../test/pasted'
import { pasted, takesOf } from '../test/readTakes'

const recipe = (list: string, method: string): string => `A trial dish\n\n${list}\n\n${method}`
/** Operation and minutes of every doing, in the order of the text. */
const told = (list: string, method: string): { operation: string | null; minutes: number }[] =>
  assessed(list, method)
    .parts.flatMap(({ steps }) => steps)
    .sort((a, b) => (a.written ?? 0) - (b.written ?? 0))
    .map(({ operation, minutes }) => ({ operation, minutes }))
const operations = (list: string, method: string) => told(list, method).map(({ operation }) => operation)
const minutes = (list: string, method: string) => told(list, method).map((one) => one.minutes)
const takes = (list: string, method: string) => takesOf(recipe(list, method))

describe('the words of a step', () => {
  it('keep their end where another doing follows in the sentence', () => {
    const { steps } = pasted(
      recipe(
        '200 g onions\n1 tbsp olive oil\n3 cloves garlic',
        'Fry the onions in the oil until soft and golden and add the garlic. Bake for 40 minutes until firm, then cool.',
      ),
    ).parts[0] ?? { steps: [] }
    const words = steps.map(({ text }) => text)
    expect(words[0]).toBe('Fry the onions in the oil until soft and golden')
    expect(words.some((text) => text.endsWith('until firm'))).toBe(true)
  })

  it('keep the time that a relative clause tells', () => {
    const list = '200 g onions\n1 tbsp olive oil\n1 carrot'
    const method =
      'Soften the onions in the oil, which takes a good ten minutes if you do not rush it, and add the carrot for the last three.'
    expect(told(list, method).map(({ operation, minutes: min }) => [operation, min])).toEqual([
      ['sweat', 10],
      ['sweat', 3],
    ])
    expect(takes(list, method)[0]).toBe('sweat: onions, olive oil')
  })
})

describe('who writes without capitals', () => {
  it('ends a sentence with its full stop all the same', () => {
    const list = '400 g firm tofu\n3 tbsp vegan mayonnaise\n1 tsp mustard'
    const method =
      'press the tofu for about 20 min. mash two thirds of it, and cut the rest into cubes. in a bowl stir the mayo and mustard, then chuck in all the tofu. stick it in the fridge for an hour'
    expect(operations(list, method)).toEqual(['press', 'mash', 'chop', 'mix', 'mix', 'chill'])
  })
  it('does not end one after a shortened word', () => {
    expect(operations('300 g red lentils', 'simmer approx. 20 min. until soft')).toEqual(['simmer'])
  })
})

describe('orders in other words', () => {
  const BEANS = '250 g dried chickpeas\n1 onion\n2 tbsp olive oil'

  it.each([
    ['told as it is done', 'The chickpeas are soaked overnight, drained and boiled for 1 hour.'],
    [
      'told of what was done',
      'The chickpeas were soaked for 12 hours. They were drained and boiled for an hour.',
    ],
    ['infinitives', 'To soak the chickpeas overnight; to drain them; to boil them for 1 hour.'],
    [
      'what will be done',
      'So what we’re going to do is soak the chickpeas overnight, drain them and boil them for an hour.',
    ],
    ['hours before', 'T-14 h: Soak the chickpeas overnight.\nT-2 h 30: Drain; boil for 1 hour.'],
    ['stages', 'Stage 1. Soak the chickpeas overnight.\nStage 2. Drain. Boil for 1 hour.'],
    ['labels', 'Soaking: chickpeas, overnight.\nDraining: well.\nBoiling: 1 hour.'],
    ['arrows', 'chickpeas: soak o/n -> drain -> boil 60'],
  ])('%s', (_name, method) => {
    expect(operations(BEANS, method).slice(0, 3)).toEqual(['soak', 'drain', 'boil'])
  })

  it.each([
    ['what may be', 'The chickpeas can be soaked in advance.'],
    ['what is so by custom', 'The dish is traditionally fried in the oil.'],
    ['a question', 'How long do I fry the onion?'],
    ['what must be seen to', 'Make sure the chickpeas are cooked through.'],
  ])('are none where a sentence tells %s', (_name, remark) => {
    expect(operations(BEANS, `Fry the onion in the oil for 5 minutes. ${remark}`)).toEqual(['shallow-fry'])
  })

  it('give terse minutes only where a number stands alone', () => {
    expect(minutes(BEANS, '1. Boil 10 hard, simmer 50, drain the chickpeas.')).toEqual([10, 50, 3])
  })
  it('say a doing several times over for one', () => {
    const list = '2 carrots\n50 g rolled oats\n1 tin chickpeas'
    expect(operations(list, 'Mix, mix, mix everything!')).toEqual(['mix'])
  })
  it('want and need what is to be done', () => {
    expect(operations('200 g red lentils', 'The lentils want rinsing until the water is clear.')).toEqual([
      'rinse',
    ])
    expect(
      operations('60 g sunflower seeds', 'The seeds have been soaking since last night, so drain those.'),
    ).toEqual(['soak', 'drain'])
  })
  it('tell to wait by telling what not to do before', () => {
    const method = 'Bake the loaf for 45 minutes. Don’t slice it before it has had a quarter of an hour.'
    expect(
      told('300 g cooked lentils', method).map(({ operation, minutes: min }) => [operation, min]),
    ).toEqual([
      ['roast', 45],
      ['rest', 15],
    ])
  })
})

describe('what is named without its name', () => {
  it('is a list called by a letter', () => {
    const list = '1 carrot\n200 g firm tofu\n\nA:\n300 ml vegetable stock\n2 tbsp soy sauce\n1 tbsp sugar'
    const method =
      '1. Cut the carrot into rounds.\n2. Cube the tofu.\n3. Put A in a pot and bring to a boil. Add 1 and 2 and simmer for 15 minutes.'
    expect(takes(list, method).slice(2)).toEqual([
      'heat: vegetable stock, soy sauce, sugar',
      'simmer: 1, Main, 3',
    ])
  })
  it('is what was cut one after another: “in they go”', () => {
    const list = '1 tin kidney beans\n1 carrot\n3 spring onions'
    const method = 'Mash the beans in a bowl. Grate the carrot and snip the spring onions. In they go.'
    expect(takes(list, method).at(-1)).toBe('mix: 2, 3, 1')
  })
  it('is the rest of the ingredients with what was cooked for them', () => {
    const list = '200 g dried lentils\n1 onion\n1 tbsp oil\n400 g tin tomatoes\n1 tsp salt\n8 buns'
    const method =
      'Cook lentils in water 30 min. Drain. Saute onion in oil. Add rest of ingredients except buns. Simmer 20 min.'
    expect(takes(list, method).at(-1)).toBe('simmer: 2, 3, tomatoes, salt')
  })
  it('is the lemon’s own juice, beside beans that were drained', () => {
    const list = '1 can chickpeas\n60 g tahini\n1 lemon'
    const method =
      'Drain the chickpeas and roast them for 20 minutes. Whisk the tahini, lemon juice and 3 tbsp water.'
    expect(takes(list, method).at(-1)).toBe('mix: tahini, lemon')
  })
})

describe('in the pan', () => {
  const TOFU = '350 g firm tofu\n4 tbsp oil\n4 tbsp soy sauce\n2 tbsp maple syrup\n2 cloves garlic'
  it('what goes into a hot pan with oil fries, and is left there to fry', () => {
    const method =
      'Cut the tofu. Hot pan, oil in, and the tofu goes in. Now leave it! Five minutes. Then you turn the pieces and you give them another five. Get those out onto some paper. In the same pan, garlic, just thirty seconds, then your soy, your maple, and let that bubble for two minutes. Tofu back in, toss it through.'
    expect(operations(TOFU, method)).toEqual([
      'chop',
      'shallow-fry',
      'shallow-fry',
      'drain',
      'shallow-fry',
      'simmer',
      'mix',
    ])
    expect(takes(TOFU, method).slice(4)).toEqual([
      'shallow-fry: garlic',
      'simmer: 5, soy sauce, maple syrup',
      'mix: 4, 6',
    ])
  })
  it('“let them bubble away for 25 minutes” simmers; without a time it boils away', () => {
    expect(
      operations(
        '200 g brown lentils',
        'Put the lentils on with water and let them bubble away for 25 minutes.',
      ),
    ).toEqual(['simmer'])
    expect(operations('200 ml vegetable stock', 'Let the stock bubble away.')).toEqual(['reduce'])
  })
  it('passata is heated with a thread of oil, and no oil', () => {
    const list = '500 g tomato passata\n1 tbsp olive oil\n200 g cooked lentils'
    const method =
      'Apart, heat the passata with a thread of oil for ten minutes, then put the lentils inside.'
    expect(operations(list, method)[0]).toBe('heat')
  })
})

describe('a list and its headings', () => {
  const METHOD =
    '\n\nGET READY\nSlice the mushrooms. Mince the garlic.\nCOOK\nFry the mushrooms in the oil for 6 minutes.'
  const LIST = '250 g mushrooms\n2 cloves garlic\n1 tbsp oil'
  it.each([
    ['in capitals', `A pan of mushrooms\n\n${LIST}${METHOD}`],
    [
      'numbered',
      `A pan of mushrooms\n\n${LIST}${METHOD.replace('GET', '1. GET').replace('COOK', '2. COOK')}`,
    ],
    [
      'that are called after their day',
      `Mushrooms\n\n${LIST}\n\nDay 1\n- Slice the mushrooms. Mince the garlic.\nDay 2\n- Fry the mushrooms in the oil for 6 minutes.`,
    ],
    ['where “PREP” is no yield', `Mushrooms\n\n${LIST}${METHOD.replace('GET READY', 'PREP')}`],
  ])('%s are no food and no doing', (_name, text) => {
    const { parts } = pasted(text)
    expect(parts.flatMap(({ lines }) => lines)).toHaveLength(3)
    expect(parts.flatMap(({ steps }) => steps.map(({ operation }) => operation))).toEqual([
      'chop',
      'chop',
      'shallow-fry',
    ])
  })
  it('stands in a sentence among questions', () => {
    const dish = pasted(
      'How do I make oat cream?\nYou need 100 g rolled oats, 900 ml cold water, 30 ml rapeseed oil and 1/4 tsp salt.\n\nHow long do I blend? Put the oats and the water in the blender and run it for 30 seconds.\nAnd then? Pour it through a fine cloth.',
    )
    const [part] = dish.parts
    expect(part?.lines.map(({ food }) => food)).toEqual(['rolled oats', 'cold water', 'rapeseed oil', 'salt'])
    expect(part?.steps.map(({ operation }) => operation)).toEqual(['blend', 'strain'])
  })
  it.each([
    ['Per 4 persone', 4],
    ['Pour 8 personnes', 8],
    ['Para 6 personas', 6],
    ['Für 3 Personen', 3],
  ])('“%s” is for so many', (line, portions) => {
    const dish = pasted(
      `Polpette\n${line}\n\n300 g cooked lentils\n50 g breadcrumbs\n\nMix everything and form balls.`,
    )
    expect(dish.aim.portions).toBe(portions)
    expect(dish.parts[0]?.lines).toHaveLength(2)
  })
  it('“A proper dal” is the title, and “A pinch of salt” a food', () => {
    const dish = pasted(
      'A proper dal\n200 g red lentils\n700 ml water\nA pinch of salt\n\nSimmer everything for 25 minutes.',
    )
    expect(dish.name).toBe('A proper dal')
    expect(dish.parts[0]?.lines.map(({ food }) => food)).toEqual(['red lentils', 'water', 'salt'])
  })
})

describe('salt that food is baked in', () => {
  const made = (saltG: number) =>
    assessed(
      `600 g beetroot\n${saltG} g coarse salt`,
      'Bury the beetroot in the salt and bake at 180 °C for 90 minutes. Crack open, brush off the salt and peel.',
    )
  it('stays in the tin: the food takes a hundredth of its mass', () => {
    const { cookedMassG, parts } = made(1000)
    expect(cookedMassG).toBeGreaterThan(400)
    expect(cookedMassG).toBeLessThan(600)
    const roasted = parts[0]?.steps.find(({ operation }) => operation === 'roast')
    expect(roasted?.lost.map(({ what }) => what)).toContain('left in the pan')
  })
  it('is a seasoning where it is little, and stays', () => {
    const roasted = made(12).parts[0]?.steps.find(({ operation }) => operation === 'roast')
    expect(roasted?.lost.map(({ what }) => what)).not.toContain('left in the pan')
  })
})

describe('what pages, messages and scans do to a text', () => {
  const lines = (text: string) =>
    pasted(text).parts.flatMap((part) => part.lines.map(({ text: words }) => words))
  const steps = (text: string) =>
    pasted(text).parts.flatMap((part) => part.steps.map(({ text: words }) => words))

  it('lines broken by the width of the page are put together, and parted words, too', () => {
    const text = `Nut loaf

250 g mixed nuts
100 g brown bread-
crumbs
25 g margarine

Grind the nuts coarsely and mix them well with the bread-
crumbs. Melt the margarine over a low heat and stir it
in with a wooden spoon until everything holds.`
    expect(lines(text)).toEqual(['250 g mixed nuts', '100 g brown breadcrumbs', '25 g margarine'])
    expect(steps(text)).toEqual([
      'Grind the nuts coarsely',
      'mix them well with the breadcrumbs.',
      'Melt the margarine over a low heat and stir it in with a wooden spoon until everything holds.',
    ])
  })
  it('a hyphen of its own stays, and who begins lines small set them so', () => {
    const own = `Scones

200 g flour

Sift the flour into a large bowl and work in the low-
fat spread with the tips of your fingers, then add the
milk slowly.`
    expect(steps(own).join(' ')).toContain('low-fat spread')
    const small =
      'press the tofu under a heavy pan for twenty minutes\ncut it into large cubes and toss it in the soy sauce\nbake it on a lined tray for half an hour'
    const dish = pasted(`my tofu\n\n400 g tofu\n3 tbsp soy sauce\n\n1. ${small.replaceAll('\n', '\n2. ')}`)
    expect(dish.written).toHaveLength(3)
  })
  it('pictures, tags, ratings and buttons are no food', () => {
    const text = `🌱 CRISPY CAULIFLOWER 🌱 serves 3
4.92 from 36 votes
Jump to Recipe

🥦 1 head cauliflower (600g)
🌾 80g flour
💧 120ml water

HOW TO 👇
1️⃣ Mix flour and water 🥣
2️⃣ Dunk the cauliflower
3️⃣ Bake 220C / 25 mins 🔥

Save this! #vegan #plantbased`
    expect(lines(text)).toHaveLength(3)
    expect(steps(text)).toEqual(['Mix flour and water', 'Dunk the cauliflower', 'Bake 220C / 25 mins'])
  })
  it('tags behind a step take none of its words with them', () => {
    expect(
      steps(
        'Dip\n\n1 aubergine\n2 tbsp tahini\n\n1. Roast the aubergine for 40 minutes #vegan #dinner\n2. Beat in the tahini',
      ),
    ).toEqual(['Roast the aubergine for 40 minutes', 'Beat in the tahini'])
  })
  it('a quoted text is read without its marks', () => {
    const text =
      '> Barley soup\n>\n> 250 g pearl barley\n> 2 litres vegetable stock\n>\n> Simmer the barley in the stock for 40 minutes.'
    expect(lines(text)).toEqual(['250 g pearl barley', '2 litres vegetable stock'])
  })
  it('columns are put in the order of a line', () => {
    const text =
      'Cashew sauce\nIngredient\tQty\tUnit\tNote\ncashews\t150\tg\tsoaked\nwater\t300\tml\t\n\nBlend everything for 2 minutes.'
    expect(lines(text)).toEqual(['150 g cashews, soaked', '300 ml water'])
  })
  it('a list in the middle of a message is a list', () => {
    const text =
      'hey! that dip: 2 tins white beans, 3 tbsp tahini, 1 lemon, 2 garlic cloves and 1 tsp salt\n\ndrain the beans. everything in the blender till smooth, 3 mins. drizzle w more oil'
    expect(pasted(text).name).toBe('hey! that dip')
    expect(lines(text)).toHaveLength(5)
  })
  it('bold words above a list of steps, and above foods, are headings', () => {
    const text = `# Filling

**For the lentils:**
- 200 g brown lentils
- 600 ml vegetable broth

**For the seasoning:**
- 1 tbsp olive oil
- 1 onion, diced

## Instructions

1. **Cook the lentils:**
   - Combine the lentils and broth.
   - Simmer for 20 minutes.
2. **Season:**
   - Sauté the onion in the oil for 5 minutes.
   - Stir in the lentils.`
    const dish = pasted(text)
    expect(dish.parts.map(({ name }) => name)).toEqual(['Lentils', 'Seasoning'])
    expect(dish.written.map(({ heading }) => heading)).toEqual(['Cook the lentils', null, 'Season', null])
  })
})

describe('shorthand of a pot', () => {
  it('goes up to the boil and down to a simmer, and takes in what comes last', () => {
    const list = '125 g pearl barley\n1 tin butter beans\n1 litre vegetable stock\n1 carrot\n1 tbsp oil'
    const method =
      'Soften the carrot in the oil, 15 mins. Barley in, stir it about for a minute, then the stock. Up to the boil, down to a simmer, 40 mins. Beans in for the last 10.'
    expect(takes(list, method).slice(-3)).toEqual([
      'mix: 1, pearl barley',
      'simmer: 2, vegetable stock',
      'simmer: 3, butter beans',
    ])
    expect(minutes(list, method).at(-1)).toBe(10)
  })
  it('a condition of the splash is none of the tomatoes', () => {
    const list = '400 g tin tomatoes\n200 g cooked lentils'
    const method =
      'Add the tomatoes to the lentils and simmer for 25 minutes, adding a splash of water if it gets too thick.'
    expect(takes(list, method)).toEqual(['simmer: tomatoes, cooked lentils'])
  })
})

describe('notes without a finite verb', () => {
  it('tell by participles what was done', () => {
    const list = '400 g blanched almonds\n280 g water\n6 g salt'
    const method =
      '12/3 almonds soaked 12 h at 4 C, drained.\n13/3 ground with the water 6 min, strained through cloth. Heated to 72 C, cooled to 30 C. Salt stirred in; left 15 min, chilled overnight.'
    expect(operations(list, method)).toEqual([
      'soak',
      'drain',
      'blend',
      'strain',
      'heat',
      'cool',
      'mix',
      'rest',
      'chill',
    ])
  })
  it.each([
    'Golden brown and cooked through.',
    'No lumps left.',
    'Best served warm.',
    'Drained beans and chopped parsley.',
  ])('“%s” is none of them', (words) => {
    const list = '200 g cooked beans\n10 g parsley\n1 tbsp oil'
    expect(operations(list, `Fry the beans in the oil for 5 minutes. ${words}`)).not.toContain('drain')
    expect(operations(list, `Fry the beans in the oil for 5 minutes. ${words}`)).not.toContain('rest')
  })
  it('a block of lines without stops below the list is the method', () => {
    const dish = pasted(
      'smoky dip\n\n2 aubergines\n2 tbsp tahini\n1 lemon\n\nprick the aubergines and char them under a hot grill for 25 minutes\nlet them cool then scoop the flesh into a sieve and leave to drain for ten\nbeat in the tahini and the juice of the lemon',
    )
    expect(dish.parts[0]?.lines).toHaveLength(3)
    expect(dish.parts[0]?.steps.map(({ operation, durationMin }) => [operation, durationMin])).toEqual([
      ['broil', 25],
      ['cool', null],
      ['drain', 10],
      ['mix', null],
    ])
  })
  it('foods without amounts below a gap stay foods', () => {
    const dish = pasted(
      'Salad\n\n200 g cooked beans\n1 lemon\n\nFor serving:\nsalt\nfresh parsley\nolive oil\n\nMix everything.',
    )
    expect(dish.parts.flatMap(({ lines }) => lines)).toHaveLength(5)
  })
})
