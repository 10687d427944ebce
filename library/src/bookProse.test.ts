import { describe, expect, it } from 'vitest'
import { assessed } from '../test/pasted'
import { pasted, takesOf } from '../test/readTakes'

const takes = (list: string, method: string) => takesOf(`A trial dish\n\n${list}\n\n${method}`)
const partsOf = (list: string) =>
  pasted(`A trial dish\n\n${list}\n\nMix everything.`).parts.map(({ name, lines }) => [name, lines.length])

describe('a heading within a list, without mark or gap', () => {
  it.each([
    'Wet ingredients',
    'To assemble',
    'Crisp topping',
    'Spice mix',
    'To finish',
    'The filling',
    'Cheesy sauce',
    'Sauce',
  ])('%s', (head) => {
    const parts = partsOf(`200 g red lentils\n1 tsp salt\n${head}\n100 ml soy milk\n2 tbsp olive oil`)
    expect(parts.map(([, count]) => count)).toEqual([2, 2])
  })
  it.each(['Soy sauce', 'Sweet chilli sauce', 'Black pepper', 'Chilli crisp', 'Oil to fry'])(
    'is none in “%s”',
    (line) => {
      const parts = partsOf(`200 g red lentils\n1 tsp salt\n${line}\n100 ml soy milk\n2 tbsp olive oil`)
      expect(parts.map(([, count]) => count)).toEqual([5])
    },
  )
})

describe('dry and wet as parts of the list', () => {
  const LIST =
    'Dry mix\n200 g chickpea flour\n1 tsp baking powder\n1 tsp salt\nWet mix\n150 ml soy milk\n2 tbsp olive oil'
  const METHOD =
    'Sift the dry mix into a bowl. Whisk the soy milk and oil, pour into the dry mix and beat for 2 minutes. Bake at 180 °C for 35 minutes.'
  it('come together where one is poured into the other', () => {
    const { parts } = assessed(LIST, METHOD)
    const last = parts.flatMap(({ steps }) => steps).find(({ operation }) => operation === 'roast')
    expect(last).toBeDefined()
    // 200 g flour, 150 ml milk, oil, salt and powder, less what bakes off.
    expect(last?.massG).toBeGreaterThan(300)
  })
  it('are not called raw where they are baked later', () => {
    const { findings } = assessed(LIST, METHOD)
    expect(findings.map(({ rule }) => rule)).not.toContain('pulse-flour-raw')
  })
  it('are, where nothing bakes them', () => {
    const { findings } = assessed(LIST, METHOD.replace(/Bake.*/u, ''))
    expect(findings.map(({ rule }) => rule)).toContain('pulse-flour-raw')
  })
})

describe('covering', () => {
  const LIST = '400 g tin tomatoes\n300 ml water\n150 g red lentils\n200 g dried penne\n2 courgettes'
  const layered = (words: string) =>
    takes(
      LIST,
      `Simmer the tomatoes, water and lentils for 20 minutes. Spread half of it in a dish, ${words}.`,
    )
  it.each(['cover with the penne', 'cover it with the sliced courgettes'])(
    'with a food brings it: %s',
    (words) => expect(layered(words).at(-1)).toMatch(/^mix: .*(?:penne|courgette)/u),
  )
  it.each(['cover with a lid', 'cover tightly with a double layer of foil', 'cover with a clean tea towel'])(
    'with a lid brings nothing: %s',
    (words) => expect(layered(words)).toHaveLength(2),
  )
})

describe('a vessel that is dipped in water', () => {
  const LIST = '400 ml coconut milk\n1 tsp agar powder\n40 g sugar'
  it.each([
    'To turn out, dip each mould briefly into hot water and invert on to a plate.',
    'Dip the base of the tin in warm water for a few seconds, then turn out.',
    'Dip a sharp knife in hot water to loosen the edges.',
  ])('soaks nothing: %s', (words) => {
    const steps = assessed(LIST, `Boil everything for 2 minutes. Chill for 3 hours. ${words}`).parts.flatMap(
      (part) => part.steps,
    )
    expect(steps.map(({ operation }) => operation)).not.toContain('soak')
  })
})

describe('what is stirred through a part that is called by its name', () => {
  it('goes to what was made of it before', () => {
    const read = takes(
      'For the tofu ricotta\n400 g firm tofu\n2 tbsp lemon juice\n100 g spinach\n\nFor the sauce\n400 g tin tomatoes',
      'For the tofu ricotta, blend the tofu with the lemon juice. Wilt the spinach in a dry pan for 2 minutes, chop and stir through the ricotta. Simmer the tomatoes for 10 minutes.',
    )
    expect(read).toContain('mix: 1, 3')
  })
})

describe('amounts that are no slips', () => {
  it('is the lemon juice of a fresh cheese', () => {
    const { findings } = assessed(
      '200 g blanched almonds\n60 ml lemon juice\n3 tbsp olive oil\n1 tsp salt\n125 ml water',
      'Blend everything until smooth.',
    )
    expect(findings.map(({ rule }) => rule)).not.toContain('unit-slip')
  })
  it('asks no cook whether pinches were meant by millilitres', () => {
    const { findings } = assessed('200 g white beans\n200 ml lemon juice', 'Blend everything.')
    const slip = findings.find(({ rule }) => rule === 'unit-slip')
    expect(slip?.message).toMatch(/reads like a unit slip/)
    expect(slip?.message).not.toMatch(/pinch/)
  })
  it('reads the oven’s heat for what goes into it, with its fan in brackets', () => {
    const { parts, findings } = assessed(
      '400 g firm tofu\n1 tbsp oil',
      'Heat the oven to 180 °C (160 °C fan). Set the tofu in an oiled dish and flatten it to 2 cm. Bake for 30 minutes.',
    )
    expect(findings.map(({ rule }) => rule)).not.toContain('heat-not-read')
    expect(parts[0]?.steps.at(-1)).toMatchObject({ operation: 'roast' })
  })
})

describe('pastry and its filling', () => {
  const LIST =
    'Shortcrust\n250 g plain flour\n120 g cold margarine\n75 ml cold water\nFilling\n2 leeks, sliced\n1 tbsp oil\n400 g tin butter beans, drained'
  const made = (end: string) =>
    takes(
      LIST,
      `Rub the margarine into the flour and stir in the water. Chill for 20 minutes. Sweat the leeks in the oil for 10 minutes, stir in the beans and leave to cool. Divide the pastry into 4 and roll out. ${end} Bake at 200 °C for 25 minutes.`,
    )
  it('is called pastry by flour and fat, whatever its heading says', () => {
    const [rolled] = made('Fill and fold over.').filter((step) => step.startsWith('shape'))
    // The chilled lot, not the leeks that were last in hand.
    expect(rolled).toBe('shape: 3')
  })
  it.each([
    'Put a quarter of the filling in the centre of each, bring the edges together and crimp to seal.',
    'Spoon the filling on to one half of each, brush the rims with a little water, fold over and press with a fork to seal.',
  ])('takes all of both: %s', (end) => {
    const steps = made(end)
    expect(steps.filter((step) => /^(?:heat|press|coat)/.test(step))).toEqual([])
    const last = steps.filter((step) => step.startsWith('shape')).at(-1)
    expect(last).toMatch(/Filling/)
    expect(last).not.toMatch(/0\.25/)
  })
})

describe('three bowls to bread in', () => {
  it.each(['tip the crumbs into a third', 'put the crumbs in another', 'place the crumbs on a third plate'])(
    'are kept apart: %s',
    (words) => {
      const steps = takes(
        '400 g firm tofu\n40 g flour\n100 ml soy milk\n1 tsp cider vinegar\n100 g panko crumbs',
        `Slice the tofu. Put the flour in a shallow bowl. Mix the soy milk with the vinegar in a second bowl and ${words}. Coat the slices in the flour, dip in the milk mixture and press into the crumbs. Bake at 200 °C for 25 minutes.`,
      )
      expect(steps).toContain('mix: soy milk, cider vinegar')
      expect(steps).toContain('mix: panko crumbs')
    },
  )
})

describe('the size of a vessel', () => {
  it.each(['a greased 3-litre baking dish', 'a 900 g loaf tin', 'a 2 litre ovenproof dish'])(
    'is no amount of a food: %s',
    (vessel) => {
      const { findings } = assessed(
        '28 g plant butter\n400 g firm tofu\n30 g flour\n300 ml oat milk',
        `Melt the butter, add the flour and the milk and simmer for 5 minutes. Combine with the tofu in ${vessel}. Bake at 200 °C for 20 minutes.`,
      )
      expect(findings.map(({ rule }) => rule)).not.toContain('list-step-disagree')
    },
  )
  it('leaves the food that is in one', () => {
    const { findings } = assessed(
      '200 g tomatoes\n400 g firm tofu',
      'Simmer 400 g tomatoes with the tofu for 10 minutes.',
    )
    expect(findings.map(({ rule }) => rule)).toContain('list-step-disagree')
  })
})

describe('half of a pot that is crushed', () => {
  const LIST = '1 tbsp oil\n1 onion\n400 g tin black beans, drained\n200 ml water'
  const made = (words: string) =>
    takes(
      LIST,
      `Fry the onion in the oil for 5 minutes. Add the beans and water and simmer for 10 minutes. ${words}`,
    )
  it('lies in the pot with the rest', () => {
    expect(made('Lightly crush half the beans with the back of a spoon. Serve.').at(-1)).toBe('mash: 2')
    expect(made('Mash some of the beans against the side of the pan.').at(-1)).toBe('mash: 2')
  })
  it('does not where it is taken out', () => {
    expect(made('Take out half of the beans and mash them.').at(-1)).toMatch(/mash: 2 0\.5/)
  })
})
