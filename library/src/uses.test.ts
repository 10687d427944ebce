import { resolveLines } from '@frijol/core/composition'
import { blankPart, defaultKitchen, type Part } from '@frijol/core/model'
import { usesOf } from '@frijol/core/reading'
import { describe, expect, it } from 'vitest'
import { written } from '../test/dishes'
import { library } from '.'

const OTHERS: Part[] = [
  { ...blankPart('other-sauce', 'White sauce') },
  { ...blankPart('other-crumb', 'Crumb top') },
]

/** What each step takes, in words: "onion", "oil ×0.50", "<1" for what step 1 made, "[White sauce]". */
function taken(lines: string, steps: string): string[] {
  const part = written(lines.split(' / '), steps.split(' / '))
  const name = (kind: string, id: string): string =>
    kind === 'line'
      ? (part.lines.find((line) => line.id === id)?.food ?? '?')
      : kind === 'step'
        ? `<${part.steps.findIndex((step) => step.id === id) + 1}`
        : `[${OTHERS.find((other) => other.id === id)?.name ?? '?'}]`
  return usesOf(part, resolveLines(part, library, defaultKitchen), OTHERS, defaultKitchen).map((uses) =>
    uses
      .map(({ kind, id, share }) => `${name(kind, id)}${share === null ? '' : ` ×${share.toFixed(2)}`}`)
      .sort()
      .join(', '),
  )
}

const BASE =
  '300 g cooked black beans / 100 g onion / 60 g vital wheat gluten / 40 g olive oil / 8 g salt / 2 tsp smoked paprika'
const MILK = '600 ml soy milk / 40 g plain flour / 30 g olive oil / 60 g raw cashews / 4 g salt'

describe('what the steps of a method take', () => {
  it.each([
    [
      'the wet things are those of the list that flow; the rest is what nothing took',
      '300 g cooked brown lentils / 80 g rolled oats / 200 ml vegetable stock / 2 tbsp soy sauce / 1 tsp ground cumin / 100 g onion / 14 g olive oil',
      'Fry the onion in the oil for 8 minutes. / Whisk the wet things together in a jug. / Stir the spices into the onion. / Mash the lentils, then add the oats and the rest.',
      [
        'olive oil, onion',
        'soy sauce, vegetable stock',
        '<1, ground cumin',
        '<2, <3, cooked brown lentils, rolled oats',
      ],
    ],
    [
      'what is left is what nothing took',
      '200 g mushrooms / 100 g onion / 30 g olive oil / 30 g plain flour / 500 ml vegetable stock / 1 tsp dried thyme',
      'Soften the mushrooms and onion in the oil for 10 minutes. / Stir in the flour, then the stock. / Add what is left and simmer for 8 minutes.',
      ['mushrooms, olive oil, onion', '<1, plain flour, vegetable stock', '<2, dried thyme'],
    ],
    [
      'everything but the tofu leaves the crumbled tofu where it is; the rest is what waits beside it',
      '300 g firm tofu / 8 g nutritional yeast / 1/2 tsp turmeric / 60 ml soy milk / 14 g olive oil / 10 g fresh chives',
      'Crumble the tofu. / Shake everything but the tofu, oil and chives together in a jar. / Heat the oil, fry the tofu for 4 minutes. / Pour over the rest and cook for 3 minutes more. / Finish with the chives.',
      ['firm tofu', 'nutritional yeast, soy milk, turmeric', '<1, olive oil', '<2, <3', '<4, fresh chives'],
    ],
    [
      'what is kept back is not in the rest',
      '200 g raw cashews / 60 ml water / 30 ml lemon juice / 4 g salt / 20 g coconut oil / 10 g fresh chives',
      'Blend the nuts with the water until smooth. / Blend in the rest, keeping the chives back. / Fold in the herbs.',
      ['raw cashews, water', '<1, coconut oil, lemon juice, salt', '<2, fresh chives'],
    ],
    [
      'a method that begins by joining and names nothing joins all that nothing later names',
      MILK,
      'Whisk together until smooth. / Simmer for 5 minutes. / Stir in the salt.',
      ['olive oil, plain flour, raw cashews, soy milk', '<1', '<2, salt'],
    ],
    [
      'but not where it begins with some other thing',
      MILK,
      'Whisk a slurry. / Simmer the soy milk for 5 minutes.',
      ['', 'soy milk'],
    ],
    [
      'a lot goes on through steps that name nothing',
      BASE,
      'Mash the beans. / Knead for 3 minutes. / Rest 10 minutes.',
      ['cooked black beans', '<1', '<2'],
    ],
    [
      'what is added joins the last lot',
      BASE,
      'Sweat the onion in the oil. / Stir in the paprika.',
      ['olive oil, onion', '<1, smoked paprika'],
    ],
    [
      'what is named without joining starts a lot of its own',
      BASE,
      'Sweat the onion. / Mash the beans.',
      ['onion', 'cooked black beans'],
    ],
    [
      'a food in a lot stands for the lot',
      BASE,
      'Sweat the onion. / Mash the beans. / Fold the onion into the beans.',
      ['onion', 'cooked black beans', '<1, <2'],
    ],
    [
      'halves leave the rest',
      BASE,
      'Mash half of the beans. / Fold in the rest of the beans.',
      ['cooked black beans ×0.50', '<1, cooked black beans'],
    ],
    [
      'thirds and quarters',
      BASE,
      'Sweat the onion in a quarter of the oil. / Fry the beans in two thirds of the oil.',
      ['olive oil ×0.25, onion', 'cooked black beans, olive oil ×0.67'],
    ],
    [
      'amounts become shares of the line',
      MILK,
      'Blend the cashews with 150 ml of the soy milk. / Whisk the flour into the rest of the soy milk.',
      ['raw cashews, soy milk ×0.25', 'plain flour, soy milk'],
    ],
    ['a whole amount is the whole line', MILK, 'Simmer the 600 ml soy milk.', ['soy milk']],
    [
      'everything else',
      BASE,
      'Mash the beans. / Add the remaining ingredients.',
      ['cooked black beans', '<1, olive oil, onion, salt, smoked paprika, vital wheat gluten'],
    ],
    ['dry ingredients', BASE, 'Combine the dry ingredients.', ['salt, smoked paprika, vital wheat gluten']],
    ['a class of foods', BASE, 'Mash the beans with the spices.', ['cooked black beans, smoked paprika']],
    [
      'together joins all lots',
      BASE,
      'Sweat the onion. / Mash the beans. / Combine everything together.',
      ['onion', 'cooked black beans', '<1, <2, olive oil, salt, smoked paprika, vital wheat gluten'],
    ],
    [
      'another part by its name',
      BASE,
      'Mash the beans. / Pour over the white sauce.',
      ['cooked black beans', '<1, [White sauce]'],
    ],
    [
      'seasoning something that is named',
      BASE,
      'Mash the beans. / Season the beans with the salt.',
      ['cooked black beans', '<1, salt'],
    ],
    [
      'the pan that must run dry is no lot',
      BASE,
      'Mix the salt and paprika. / Brown the onion until the pan is dry.',
      ['salt, smoked paprika', 'onion'],
    ],
    [
      'a common word alone names nothing',
      '200 g firm tofu / 20 ml soy sauce',
      'Press the tofu. / Make a sauce.',
      ['firm tofu', '<1'],
    ],
  ])('%s', (_name, lines, steps, expected) => {
    expect(taken(lines, steps)).toEqual(expected)
  })

  it('what was used up is not taken twice', () => {
    expect(taken(BASE, 'Sweat the onion. / Mash the beans. / Brown the onion.')).toEqual([
      'onion',
      'cooked black beans',
      '<1',
    ])
  })

  it('what was set by hand is followed, and off the bench for what comes after', () => {
    const part = written(['100 g onion', '40 g olive oil'], ['Sweat it.', 'Stir in the oil and onion.'])
    const [onion, oil] = part.lines
    const [first, second] = part.steps
    if (onion === undefined || oil === undefined || first === undefined || second === undefined)
      throw new Error('incomplete')
    const own: Part = {
      ...part,
      steps: [
        {
          ...first,
          uses: [
            { kind: 'line', id: onion.id, share: null },
            { kind: 'line', id: oil.id, share: 0.3 },
          ],
        },
        second,
      ],
    }
    const uses = usesOf(own, resolveLines(own, library, defaultKitchen), [], defaultKitchen)
    expect(uses[0]).toEqual(own.steps[0]?.uses)
    expect(uses[1]).toEqual([
      { kind: 'step', id: first.id, share: null },
      { kind: 'line', id: oil.id, share: null },
    ])
  })
})
