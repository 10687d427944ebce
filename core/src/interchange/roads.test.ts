import { describe, expect, it } from 'vitest'
import { testContext as context } from '../../test/dishes'
import type { Dish } from '../model'
import { toJsonLd } from './jsonLd'
import { toMarkdown } from './markdown'
import { readRecipes } from './read'

const read = (text: string): Dish[] => {
  const result = readRecipes(text, context)
  if (!result.ok) throw new Error(result.issues[0]?.message)
  return result.value
}
const words = (dish: Dish | undefined) => dish?.written.map(({ text }) => text)
const shape = (dishes: readonly Dish[]) =>
  dishes.map(({ name, parts }) => [name, ...parts.map(({ lines }) => lines.length)])

const LIST = ['400 g white beans, cooked', '2 tbsp oil', '1 tsp salt']
const page = (recipeInstructions: unknown, name = 'Bean dip') =>
  JSON.stringify({ '@type': 'Recipe', name, recipeIngredient: LIST, recipeInstructions })

describe('instructions of a page', () => {
  const step = (text: string) => ({ '@type': 'HowToStep', text })
  it.each([
    ['text', 'Blend the beans.\nSalt it and chill 1 hour.'],
    ['text with tags', '<p>Blend the beans.</p><p>Salt it and chill 1 hour.</p>'],
    ['a list', ['Blend the beans.', 'Salt it and chill 1 hour.']],
    ['lists of lists', [[['Blend the beans.']], ['Salt it and chill 1 hour.']]],
    ['steps', [step('Blend the beans.'), step('Salt it and chill 1 hour.')]],
    ['lists of steps', [[step('Blend the beans.')], [step('Salt it and chill 1 hour.')]]],
    [
      'steps with a tip among them',
      [
        step('Blend the beans.'),
        { '@type': 'HowToTip', text: 'Soak them longer in winter.' },
        step('Salt it and chill 1 hour.'),
      ],
    ],
    [
      'a section',
      [
        {
          '@type': 'HowToSection',
          itemListElement: [step('Blend the beans.'), step('Salt it and chill 1 hour.')],
        },
      ],
    ],
  ])('as %s are the same two steps', (_, instructions) => {
    const [dish] = read(page(instructions))
    expect(words(dish)).toEqual(['Blend the beans.', 'Salt it and chill 1 hour.'])
    expect(dish?.parts[0]?.steps.map(({ operation }) => operation)).toEqual(['blend', 'mix', 'chill'])
  })
})

describe('characters of a web page', () => {
  it('are characters again, in names, lines and steps', () => {
    const [dish] = read(page('Bake at 180&deg;C for 20&nbsp;minutes.', 'Cr&egrave;me &amp; beans'))
    expect(dish?.name).toBe('Crème & beans')
    expect(dish?.parts[0]?.steps[0]).toMatchObject({ tempC: 180, durationMin: 20 })
    const [plain] = read('Dip\n\n&#189; cup oil\n1&frac12; tsp salt\n\n1. Mix the oil &amp; salt.')
    expect(plain?.parts[0]?.lines.map(({ text }) => text)).toEqual(['½ cup oil', '1½ tsp salt'])
    expect(words(plain)).toEqual(['Mix the oil & salt.'])
  })
  it.each([
    ['<b>Bean</b> dip', 'Bean dip'],
    ['<img src=x onerror=alert(1)>Bean dip', 'Bean dip'],
    // Nothing but markup: it is shown, never run.
    ['<img src=x>', '<img src=x>'],
  ])('markup in a name is plain text: %s', (name, shown) => {
    expect(read(page('Mix.', name))[0]?.name).toBe(shown)
  })
})

describe('several recipes of one file', () => {
  const dip = `Bean dip\nServes 4\n\n${LIST.join('\n')}\n\n1. Blend everything.\n2. Chill 1 hour.`
  const sauce =
    'Green sauce\n\n1 bunch parsley\n100 ml oil\n\nMethod\nChop the parsley and stir into the oil.'
  const both = [
    ['Bean dip', 3],
    ['Green sauce', 2],
  ]
  it.each([
    ['a ruled line', `${dip}\n\n---\n\n${sauce}`],
    ['stars', `${dip}\n\n* * *\n\n${sauce}`],
    ['a wide gap', `${dip}\n\n\n\n${sauce}`],
  ])('parted by %s all come in', (_, text) => {
    expect(shape(read(text))).toEqual(both)
  })
  it('under headings of the first level all come in', () => {
    const text =
      '# Bean dip\n\n- 400 g white beans\n- 1 tsp salt\n\n1. Blend the beans.\n\n# Green sauce\n\n- 100 ml oil\n\n1. Warm the oil.\n'
    expect(shape(read(text))).toEqual([
      ['Bean dip', 2],
      ['Green sauce', 1],
    ])
  })
  it('parts of one dish stay one dish, however wide the gaps', () => {
    const text =
      'Pie\n\nFor the pastry:\n200 g flour\n100 g oil\n\n\nFor the filling:\n300 g white beans\n\n\nMethod\n\n1. Work the oil into the flour.\n\n\n2. Fill with the beans and bake 30 min at 180 C.'
    expect(shape(read(text))).toEqual([['Pie', 2, 1]])
    const own =
      'Pie\n\nPastry\n200 g flour\n100 g oil\n1. Work the oil into the flour.\n\n\nFilling\n300 g white beans\n1. Mash the beans.'
    expect(read(own)).toHaveLength(1)
  })
})

describe('a list with bullets', () => {
  it('keeps a first line without an amount as a food', () => {
    const [dish] = read('Dip\n\n- parsley\n- 1 tsp salt\n\n1. Mix.')
    expect(dish?.parts[0]?.lines.map(({ text }) => text)).toEqual(['parsley', '1 tsp salt'])
  })
  it.each(['constructor', 'toString', 'valueOf', 'hasOwnProperty'])('reads %s as any other word', (word) => {
    const [dish] = read(`Dip\n\n- 1 g ${word}\n- 1 tsp salt\n\n1. Mix the ${word} with salt, ${word} it.`)
    expect(dish?.parts[0]?.lines[0]?.food).toBe(word)
  })
})

describe('a method that came as a whole', () => {
  const text =
    'Pie\n\nPastry:\n200 g flour\n100 g oil\n\nFilling:\n300 g white beans\n1 tsp salt\n\nMethod\n1. Work the oil into the flour and chill 30 minutes. Mash the beans with the salt.\n2. Roll out the pastry, fill with the beans and bake 30 min at 180 C.'
  const [pie] = read(text)
  if (pie === undefined) throw new Error('nothing was read')

  it('goes out joined, and comes back the same', () => {
    const markdown = toMarkdown(pie)
    expect(markdown).toContain('1. Work the oil into the flour and chill 30 minutes. Mash the beans')
    expect(markdown.match(/^\d\. /gmu)).toHaveLength(2)
    const [again] = read(markdown)
    expect(words(again)).toEqual(words(pie))
    expect(again?.parts.map(({ steps }) => steps.map(({ text: of }) => of))).toEqual(
      pie.parts.map(({ steps }) => steps.map(({ text: of }) => of)),
    )
  })
  it('keeps doings, parts and written words through JSON-LD', () => {
    const file = toJsonLd(pie, null)
    expect((JSON.parse(file) as { recipeInstructions: unknown[] }).recipeInstructions).toHaveLength(2)
    const [again] = read(file)
    expect(words(again)).toEqual(words(pie))
    const named = new Map(again?.parts.flatMap(({ steps }) => steps.map((step) => [step.id, step.text])))
    expect(again?.written.map(({ stepIds }) => stepIds.map((id) => named.get(id)))).toEqual(
      pie.written.map(({ stepIds }) =>
        stepIds.map((id) => pie.parts.flatMap(({ steps }) => steps).find((step) => step.id === id)?.text),
      ),
    )
  })
  it('shows the words of its doings where one was changed since', () => {
    const [first, ...more] = pie.parts
    if (first === undefined) throw new Error('no part')
    const [step, ...steps] = first.steps
    if (step === undefined) throw new Error('no step')
    const changed = {
      ...pie,
      parts: [{ ...first, steps: [{ ...step, text: 'Rub the oil in' }, ...steps] }, ...more],
    }
    expect(toMarkdown(changed)).toContain(
      '1. Rub the oil in. Chill 30 minutes. Mash the beans with the salt.',
    )
    expect(toMarkdown(changed)).toContain('2. Roll out the pastry, fill with the beans and bake')
  })
})

describe('how many it serves', () => {
  const portions = (said: string): number | undefined =>
    read(`Bean balls\n${said}\n\n${LIST.join('\n')}\n\nMethod\nMash everything.`)[0]?.aim.portions
  it.each([
    ['Serves 6', 6],
    ['Serves 4-6', 5],
    ['Makes 20, serves 4', 4],
    ['1 block, 10 servings', 10],
    ['1 large or 2 small servings', 2],
    ['2 dozen balls', 24],
    ['8 buns', 8],
    ['Makes about 600 g', 4],
    ['1 loaf', 4],
  ])('%s: %d', (said, count) => {
    expect(portions(said)).toBe(count)
  })

  it('is found in what is told above the list', () => {
    expect(portions('My neighbour asked for this one. It makes about 10 servings.')).toBe(10)
  })

  it.each(['Serves 0', 'Makes -2'])('“%s” is asked, and 4 are assumed', (said) => {
    const [dish] = read(`Bean balls\n${said}\n\n${LIST.join('\n')}`)
    expect(dish?.aim.portions).toBe(4)
    expect(dish?.note).toBe(`“${said}” is no number of portions: 4 are assumed. Set them in Aim.`)
    expect(dish?.parts[0]?.lines).toHaveLength(3)
  })

  it.each([0, -2, '-2 servings'])('%s of a page is asked, too', (recipeYield) => {
    const [dish] = read(
      JSON.stringify({ '@type': 'Recipe', name: 'Dip', recipeIngredient: LIST, recipeYield }),
    )
    expect(dish?.aim.portions).toBe(4)
    expect(dish?.note).toContain('is no number of portions')
  })
})

describe('a list as others write it', () => {
  const lists = (text: string) => shape(read(text))
  it('has its amounts last', () => {
    expect(
      lists('Beans\nPortions: 20\n\nBeans, white 600 g\nOil 120 g\n\nMash the beans with the oil.'),
    ).toEqual([['Beans', 2]])
  })
  it('stands in one sentence after what it serves', () => {
    const [dish] = read(
      'Dip\nServes 4. You need: 400 g white beans; 2 tbsp oil; 1 tsp salt\n\nMash the beans with the oil.',
    )
    expect(dish?.parts[0]?.lines).toHaveLength(3)
    expect(dish?.aim.portions).toBe(4)
  })
  it('goes on below a group that has ended', () => {
    expect(
      lists(
        'Buns\n\n400 g white beans\n\nFor the glaze:\n2 tbsp oil\n1 tsp salt\n\n4 onions\n\nMethod\nMash the beans.',
      ),
    ).toEqual([['Buns', 2, 2]])
  })
  it('has what is served beside as a list of its own', () => {
    const [dish] = read(
      'Pie\n\n400 g white beans\n\nTo serve:\n2 tbsp oil\n\nMash the beans.\nChill for an hour.',
    )
    expect(dish?.parts.map(({ name, lines }) => [name, lines.length])).toEqual([
      ['Main', 1],
      ['To serve', 1],
    ])
    expect(dish?.written).toHaveLength(2)
  })
  it('has a title that begins with a number in words', () => {
    expect(read('Five-bean mash\nYield: about 700 g\n\n400 g white beans\n\nMethod\nMash.')[0]?.name).toBe(
      'Five-bean mash',
    )
  })
})

it('a title with a hash above plain lines is plain text', () => {
  const [dish] = read(
    '# Bean dip\n\n400 g white beans, cooked\n2 tbsp oil\n1 tsp salt\n\nBlend the beans. Salt it and chill 1 hour.\n',
  )
  expect(dish?.name).toBe('Bean dip')
  expect(dish?.parts[0]?.lines).toHaveLength(3)
  expect(words(dish)?.length).toBeGreaterThan(0)
})
