import { colourOf, flavourOf, tracesOf } from '@frijol/core/assess'
import { defaultKitchen, type Dish } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { aimedMix as dishOf } from '../test/aimedMix'
import { library } from '.'

const first = (dish: Dish): string => dish.parts[0]?.id ?? ''
function colour(dish: Dish) {
  const reading = colourOf(dish, first(dish), library, defaultKitchen)
  if (reading === null) throw new Error('no colour')
  return reading
}
function flavour(dish: Dish) {
  const reading = flavourOf(dish, first(dish), library, defaultKitchen)
  if (reading === null) throw new Error('no flavour')
  return reading
}
function traces(dish: Dish) {
  const reading = tracesOf(dish, first(dish), library, defaultKitchen)
  if (reading === null) throw new Error('no traces')
  return reading
}

const SCRAMBLE = ['400 g soft tofu', '30 g soy milk', '10 g olive oil']
const FRIED = ['Crumble the tofu into a pan and cook over medium heat for 5 minutes, stirring.']

describe('the colour of a part', () => {
  it('comes nearer to egg with turmeric, and darker with soy sauce', () => {
    const plain = colour(dishOf(SCRAMBLE, FRIED, 'egg_scrambled'))
    const gold = colour(dishOf([...SCRAMBLE, '1/2 tsp turmeric'], FRIED, 'egg_scrambled'))
    const brown = colour(dishOf([...SCRAMBLE, '2 tbsp soy sauce'], FRIED, 'egg_scrambled'))
    expect(gold.target?.deltaE).toBeLessThan(plain.target?.deltaE ?? 0)
    expect(plain.target?.words).toContain('less yellow')
    expect(brown.inside[0]).toBeLessThan(plain.inside[0] - 8)
    expect(gold.target?.compared).toBe('inside')
  })
  it('browns outside and not inside, and is laid beside the site of its original', () => {
    const dish = dishOf(
      ['300 g cooked brown lentils', '100 g mushrooms', '40 g vital wheat gluten', '10 g soy sauce'],
      ['Mash the lentils and mix everything.', 'Shape into balls and roast at 210 °C for 30 minutes.'],
      'meatball',
    )
    const reading = colour(dish)
    expect(reading.browned).toBeGreaterThan(0.3)
    expect(reading.surface[0]).toBeLessThan(reading.inside[0])
    expect(reading.target).toMatchObject({ compared: 'surface', site: 'browned surface' })
  })
  it('is whiter with air', () => {
    const lines = ['150 g aquafaba', '200 g icing sugar']
    const still = colour(dishOf(lines, ['Stir together.']))
    const whipped = colour(dishOf(lines, ['Whip the aquafaba and the sugar to stiff peaks, 8 minutes.']))
    expect(whipped.inside[0]).toBeGreaterThan(still.inside[0] + 5)
  })
  it('is not greyed by dark pieces as by a dark paste', () => {
    const lines = ['300 g firm tofu', '60 g black olives']
    const chopped = colour(
      dishOf(lines, ['Blend the tofu until smooth.', 'Chop the olives roughly.', 'Fold the olives in.']),
    )
    const blended = colour(dishOf(lines, ['Blend everything until smooth.']))
    expect(chopped.inside[0]).toBeGreaterThan(blended.inside[0] + 4)
  })
  it('has no target without an original', () => {
    expect(colour(dishOf(SCRAMBLE, FRIED)).target).toBeNull()
  })
})

describe('where the taste comes from', () => {
  const broth = (...more: string[]) =>
    dishOf(['1 kg water', '20 g soy sauce', ...more], ['Simmer for 10 minutes.'])
  it('tells umami by contributor, and a nucleotide by what it lifts', () => {
    const plain = flavour(broth())
    expect(plain.umami.lift).toBeLessThan(1.1)
    expect(plain.umami.sources[0]?.name).toContain('Soy sauce')
    const lifted = flavour(broth('8 g dried shiitake'))
    expect(lifted.umami.lift).toBeGreaterThan(1.5)
    expect(lifted.umami.y).toBeGreaterThan(plain.umami.y * 1.5)
    const shiitake = lifted.umami.sources.find(({ name }) => /shiitake/i.test(name))
    expect(shiitake?.share).toBeGreaterThan(0.25)
    expect(lifted.umami.sources.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 1)
  })
  it('has a figure for what is made of soy, tomato, mushroom or seaweed', () => {
    const carriers = [...library.ingredients.values()].filter(
      ({ id, foodClass }) =>
        (foodClass === 'savoury' &&
          /soy-sauce|miso|bean|tomato|mushroom|oyster|teriyaki|kecap|dashi/u.test(id)) ||
        ((foodClass === 'mushroom' || foodClass === 'seaweed') && id !== 'spirulina' && id !== 'mycoprotein'),
    )
    expect(carriers.length).toBeGreaterThan(35)
    expect(carriers.filter(({ umami }) => umami === null).map(({ id }) => id)).toEqual([])
  })
  it('says how hot it is, and by what', () => {
    expect(flavour(broth()).heat).toMatchObject({ words: 'no heat', sources: [] })
    const hot = flavour(broth('1 tsp cayenne pepper'))
    expect(hot.heat.words).toMatch(/warm|gently hot/)
    expect(hot.heat.sources[0]).toMatchObject({ share: 1 })
    expect(flavour(broth('3 tbsp cayenne pepper')).heat.mgPer100g).toBeGreaterThan(hot.heat.mgPer100g * 5)
  })
  it('warns of beans in raw batter more than in one that is baked through', () => {
    const lines = ['120 g chickpea flour', '180 g water', '3 g salt']
    const raw = flavour(dishOf(lines, ['Whisk together.']))
    const baked = flavour(dishOf(lines, ['Whisk together.', 'Bake at 200 °C for 40 minutes.']))
    expect(raw.beany).toMatchObject({ isNoticed: true, words: 'will taste of beans' })
    expect(baked.beany.left).toBeLessThan(raw.beany.left)
    expect(flavour(broth()).beany.isNoticed).toBe(false)
  })
  it('says which notes of the original are missing or overdone', () => {
    const smoked = dishOf(
      ['200 g tofu', '6 g liquid smoke'],
      ['Slice the tofu thinly, brush with the liquid smoke and bake at 190 °C for 20 minutes.'],
      'bacon_crisp',
    )
    expect(flavour(smoked).notes).toContainEqual({ id: 'smokiness', standing: 'overdone' })
    const plain = dishOf(['200 g tofu'], ['Slice the tofu and steam for 10 minutes.'], 'bacon_crisp')
    expect(flavour(plain).notes).toContainEqual({ id: 'smokiness', standing: 'missing' })
  })
})

describe('trace nutrients', () => {
  it('count B12 of fortified food alone', () => {
    const seaweed = dishOf(['200 g tofu', '5 g nori', '50 g mushrooms', '50 g tempeh'], ['Mix.'])
    expect(traces(seaweed).b12Ug).toBe(0)
    const yeast = dishOf(['200 g tofu', '10 g fortified nutritional yeast'], ['Mix.'])
    expect(traces(yeast).b12Ug).toBeGreaterThan(2)
  })
  it('count vitamin D of mushrooms and fortified milk, less what a pot takes of what dissolves', () => {
    expect(traces(dishOf(['200 g tofu'], ['Mix.'])).vitaminDUg).toBe(0)
    const raw = traces(dishOf(['200 g button mushrooms'], ['Slice.']))
    const fried = traces(dishOf(['200 g button mushrooms'], ['Fry over high heat for 8 minutes.']))
    expect(raw.vitaminDUg).toBeGreaterThan(0.2)
    expect(fried.vitaminDUg).toBeCloseTo(raw.vitaminDUg, 1)
  })
  it('give iodine of seaweed as a range', () => {
    const kombu = traces(dishOf(['1 kg water', '5 g kombu'], ['Simmer for 10 minutes.']))
    expect(kombu.iodineUg).toBeGreaterThan(5000)
    expect(kombu.iodineHighUg / kombu.iodineLowUg).toBeCloseTo(8, 0)
    const nori = traces(dishOf(['200 g tofu', '3 g nori'], ['Mix.']))
    expect(nori.iodineLowUg).toBeGreaterThan(25)
    expect(nori.iodineHighUg).toBeLessThan(330)
  })
  it('find selenium in Brazil nuts and zinc in pumpkin seeds', () => {
    const plain = traces(dishOf(['200 g tofu'], ['Mix.']))
    const nuts = traces(dishOf(['200 g tofu', '12 g Brazil nuts'], ['Mix.']))
    const seeds = traces(dishOf(['200 g tofu', '30 g pumpkin seeds'], ['Mix.']))
    expect(nuts.seleniumUg - plain.seleniumUg).toBeGreaterThan(180)
    expect(seeds.zincMg - plain.zincMg).toBeGreaterThan(1.8)
  })
})
