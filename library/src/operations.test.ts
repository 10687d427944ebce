import { type OperationId, OPERATIONS, type StepReading } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { runOf, written } from '../test/dishes'

const trace = (lines: readonly string[], steps: readonly string[]): StepReading[] =>
  runOf(written(lines, steps)).trace.map(({ reading }) => reading)
const last = (lines: readonly string[], ...steps: readonly string[]): StepReading => {
  const reading = trace(lines, steps).at(-1)
  if (reading === undefined) throw new Error('no step')
  return reading
}
const factor = ({ massG, massInG }: StepReading): number => massG / massInG

interface Doing {
  readonly operation: OperationId
  readonly lines: readonly string[]
  readonly text: string
  /** Mass out per mass in. */
  readonly low: number
  readonly high: number
  /** Where the difference is booked; null where nothing leaves or comes in. */
  readonly booked: RegExp | null
}
const doing = (
  operation: OperationId,
  lines: string,
  text: string,
  low: number,
  high: number,
  booked: RegExp | null,
): Doing => ({ operation, lines: lines.split(' / '), text, low, high, booked })

/** What each operation does to a food it is made for. Ranges: the yields table and practice. */
const DOINGS: readonly Doing[] = [
  doing('soak', '200 g dried chickpeas', 'Soak the chickpeas overnight.', 1.8, 2.2, /water taken up/),
  doing(
    'hydrate',
    '100 g textured soy protein',
    'Hydrate the textured soy protein for 15 minutes.',
    2,
    3.5,
    /water taken up/,
  ),
  doing('rinse', '300 g cooked chickpeas / 6 g salt', 'Rinse the chickpeas and salt.', 0.95, 1, /rinsed off/),
  doing(
    'drain',
    '300 g cooked chickpeas / 200 ml vegetable stock',
    'Drain the chickpeas and stock.',
    0.55,
    0.7,
    /drained/,
  ),
  doing('desalt', '100 g capers', 'Desalt the capers for 2 hours.', 0.9, 1.3, /rinsed off/),
  doing('press', '400 g firm tofu', 'Press the tofu for 30 minutes.', 0.75, 0.95, /pressed out/),
  doing('squeeze', '300 g courgette', 'Squeeze the courgette.', 0.4, 0.95, /squeezed out/),
  doing('trim', '300 g carrot', 'Peel the carrot.', 0.85, 0.95, /trimmed/),
  doing('chop', '300 g onion', 'Chop the onion.', 0.95, 1, null),
  doing('grate', '300 g carrot', 'Grate the carrot.', 0.9, 1, null),
  doing('rice', '100 g walnuts', 'Pulse the walnuts.', 0.95, 1, null),
  doing('mash', '300 g cooked white beans', 'Mash the beans.', 0.97, 1, /left on the tools/),
  doing(
    'blend',
    '300 g cooked white beans / 100 ml water',
    'Blend the beans and water for 2 minutes.',
    0.93,
    1,
    /left on the tools/,
  ),
  doing('mix', '300 g cooked white beans / 10 g salt', 'Mix the beans and salt.', 1, 1, null),
  doing(
    'knead',
    '100 g vital wheat gluten / 130 ml water',
    'Knead the gluten and water for 5 minutes.',
    1,
    1,
    null,
  ),
  doing(
    'rest',
    '100 g vital wheat gluten / 130 ml water',
    'Rest the gluten and water for 20 minutes.',
    1,
    1,
    null,
  ),
  doing(
    'wash-gluten',
    '500 g bread flour / 300 ml water',
    'Wash the dough of flour and water to gluten.',
    0.15,
    0.6,
    /starch and water/,
  ),
  doing('shape', '300 g cooked black beans', 'Form the beans into patties.', 1, 1, null),
  doing('wrap', '300 g cooked black beans', 'Wrap the beans tightly.', 1, 1, null),
  doing('chill', '300 g cooked black beans', 'Chill the beans for 60 minutes.', 1, 1, null),
  doing('freeze-thaw', '400 g firm tofu', 'Freeze the tofu, then thaw it.', 0.7, 1, /./),
  doing('toast', '100 g almonds', 'Toast the almonds for 8 minutes.', 0.93, 0.995, /evaporated/),
  doing('sweat', '200 g onion', 'Sweat the onion for 10 minutes.', 0.6, 0.95, /evaporated/),
  doing('brown', '250 g button mushrooms', 'Brown the mushrooms for 10 minutes.', 0.35, 0.75, /evaporated/),
  doing(
    'water-saute',
    '200 g onion',
    'Sauté in splashes of water: the onion, 5 additions of 20 ml, 10 minutes.',
    0.6,
    0.95,
    /evaporated/,
  ),
  doing('boil', '200 g dried lentils', 'Boil the lentils for 25 minutes.', 2, 3, /water taken up/),
  doing('absorb', '200 g quinoa', 'Cook the quinoa for 15 minutes.', 2, 3.6, /water taken up/),
  doing('simmer', '500 ml soy milk', 'Simmer the soy milk for 10 minutes.', 0.8, 0.99, /evaporated/),
  doing('steam', '300 g carrot', 'Steam the carrot for 15 minutes.', 0.85, 1.02, null),
  doing(
    'pressure-cook',
    '200 g dried chickpeas',
    'Pressure-cook the chickpeas for 40 minutes.',
    1.9,
    2.7,
    /water taken up/,
  ),
  doing(
    'roast',
    '400 g cauliflower',
    'Roast the cauliflower at 200 °C for 25 minutes.',
    0.5,
    0.85,
    /evaporated/,
  ),
  doing('air-fry', '300 g firm tofu', 'Air-fry the tofu at 195 °C for 15 minutes.', 0.6, 0.92, /evaporated/),
  doing('grill', '300 g aubergine', 'Grill the aubergine for 10 minutes.', 0.5, 0.95, /evaporated/),
  doing('sear', '300 g firm tofu', 'Sear the tofu for 5 minutes.', 0.75, 0.98, /evaporated/),
  doing('shallow-fry', '300 g firm tofu', 'Fry the tofu for 8 minutes.', 0.7, 1.02, /evaporated/),
  doing(
    'deep-fry',
    '300 g firm tofu',
    'Deep-fry the tofu at 175 °C for 4 minutes.',
    0.7,
    1.05,
    /frying oil|evaporated/,
  ),
  doing('reduce', '500 ml vegetable stock', 'Reduce the stock for 15 minutes.', 0.5, 0.95, /evaporated/),
  doing(
    'thicken',
    '500 ml soy milk / 30 g cornflour',
    'Thicken the milk with the cornflour for 5 minutes.',
    0.9,
    1,
    /evaporated/,
  ),
  doing('heat', '500 ml soy milk', 'Warm the soy milk through for 5 minutes.', 0.95, 1, /evaporated/),
  doing('infuse', '500 ml vegetable stock', 'Infuse the stock for 30 minutes.', 0.98, 1, null),
  doing(
    'dehydrate',
    '300 g button mushrooms',
    'Dehydrate the mushrooms at 57 °C for 8 hours.',
    0.08,
    0.3,
    /evaporated/,
  ),
  doing('culture', '500 ml soy milk', 'Culture the soy milk at 40 °C for 10 hours.', 1, 1, null),
  doing('coagulate', '1 l soy milk', 'Curdle the soy milk at 80 °C.', 0.1, 0.4, /whey/),
  doing('whip', '120 ml aquafaba', 'Whip the aquafaba for 8 minutes.', 1, 1, null),
  doing(
    'spherify',
    '200 ml water / 2 g sodium alginate',
    'Spherify the water and alginate for 2 minutes.',
    0.8,
    1.1,
    null,
  ),
  doing(
    'strain',
    '100 g almonds, soaked overnight / 400 ml water',
    'Strain the almonds and water.',
    0.5,
    1,
    /strained off/,
  ),
  doing(
    'marinate',
    '300 g firm tofu / 30 ml soy sauce',
    'Marinate the tofu in the soy sauce for 2 hours.',
    0.99,
    1.1,
    null,
  ),
  doing('coat', '300 g firm tofu / 30 g cornflour', 'Coat the tofu with the cornflour.', 1, 1, null),
  doing('broil', '300 g bell pepper', 'Broil the pepper for 8 minutes.', 0.5, 0.98, /evaporated/),
  doing('hold', '300 g cooked black beans', 'Hold warm the beans for 60 minutes.', 0.9, 1, null),
  doing('cool', '300 g cooked black beans', 'Cool the beans for 30 minutes.', 1, 1, null),
]

describe('each operation', () => {
  it('has a row here', () => {
    expect(DOINGS.map(({ operation }) => operation).sort()).toEqual([...OPERATIONS].sort())
  })

  it.each(DOINGS)('$operation: $text', ({ operation, lines, text, low, high, booked }) => {
    const reading = last(lines, text)
    expect(reading.operation).toBe(operation)
    expect(factor(reading)).toBeGreaterThanOrEqual(low - 1e-9)
    expect(factor(reading)).toBeLessThanOrEqual(high + 1e-9)
    const moves = [...reading.gained, ...reading.lost].map(({ what }) => what)
    if (booked !== null) expect(moves.join(', ')).toMatch(booked)
    expect(reading.minutes).toBeGreaterThan(0)
    expect(reading.handsMin).toBeLessThanOrEqual(reading.minutes + 1e-9)
    expect(reading.energyKWh).toBeGreaterThanOrEqual(0)
  })
})

describe('how it is done', () => {
  const milk = ['500 ml soy milk']
  it('a lid keeps vapour in, a wide pot lets more out, a stated temperature below the boil less', () => {
    const open = factor(last(milk, 'Simmer the soy milk for 20 minutes.'))
    expect(factor(last(milk, 'Simmer the soy milk covered for 20 minutes.'))).toBeGreaterThan(open)
    expect(factor(last(milk, 'Simmer the soy milk in a 32 cm pot for 20 minutes.'))).toBeLessThan(open)
    expect(factor(last(milk, 'Simmer the soy milk at 75 °C for 20 minutes.'))).toBeGreaterThan(open)
  })

  it('a hotter oven and a thinner piece dry more; a wrap less', () => {
    const bake = (words: string) =>
      factor(last(['300 g cooked black beans'], `Bake the beans ${words} for 20 minutes.`))
    expect(bake('as 20 mm patties at 220 °C')).toBeLessThan(bake('as 20 mm patties at 180 °C'))
    expect(bake('as 10 mm patties at 190 °C')).toBeLessThan(bake('as 30 mm patties at 190 °C'))
    expect(bake('wrapped in foil at 190 °C')).toBeGreaterThan(bake('at 190 °C'))
  })

  it('a still oven cooks as a fan oven 20 °C lower', () => {
    const still = factor(
      last(['400 g cauliflower'], 'Roast the cauliflower at 210 °C conventional for 25 minutes.'),
    )
    const fan = factor(last(['400 g cauliflower'], 'Roast the cauliflower at 190 °C fan for 25 minutes.'))
    expect(still).toBeCloseTo(fan, 2)
  })

  it('water poured in is booked, and drained again with what it took along', () => {
    const reading = last(
      ['200 g dried lentils', '4 g salt'],
      'Boil the lentils and salt with 800 ml water for 20 minutes, then drain.',
    )
    expect(reading.gained.map(({ what }) => what)).toContain('water poured in')
    expect(reading.lost.reduce((sum, { massG }) => sum + massG, 0)).toBeGreaterThan(100)
  })

  it('twice the load in one pan takes two loads and twice the time', () => {
    const one = last(['300 g button mushrooms'], 'Brown the mushrooms in a 32 cm pan for 10 minutes.')
    const two = last(['600 g button mushrooms'], 'Brown the mushrooms in a 32 cm pan for 10 minutes.')
    expect([one.loads, two.loads]).toEqual([1, 2])
    expect(two.minutes).toBeCloseTo(2 * one.minutes, 9)
  })
})

describe('the state of a lot', () => {
  it('gluten develops with work, and a machine is quicker', () => {
    const dough = ['100 g vital wheat gluten', '130 ml water']
    const worked = (text: string) => last(dough, text).state.glutenDevelopment ?? 0
    expect(worked('Knead the gluten and water for 2 minutes.')).toBeLessThan(
      worked('Knead the gluten and water for 8 minutes.'),
    )
    expect(worked('Knead the gluten and water for 2 minutes in a food processor.')).toBeGreaterThan(
      worked('Knead the gluten and water for 2 minutes.'),
    )
  })

  it('starch swells and protein sets with the heat of the core', () => {
    const sauce = ['400 ml soy milk', '30 g cornflour']
    const warm = last(sauce, 'Warm the soy milk and cornflour to 45 °C for 10 minutes.').state
    const hot = last(sauce, 'Simmer the soy milk and cornflour for 5 minutes.').state
    expect(warm.starchGelatinised).toBeLessThan(0.05)
    expect(hot.starchGelatinised).toBeCloseTo(1, 6)
    expect(hot.proteinSet ?? 0).toBeGreaterThan(warm.proteinSet ?? 0)
  })

  it('agar is dry, then hydrated, then set, and melts only when it is hot again', () => {
    const gels = trace(
      ['400 ml soy milk', '4 g agar powder'],
      [
        'Mix the soy milk and agar.',
        'Boil it for 4 minutes.',
        'Chill it for 3 hours.',
        'Boil it for 5 minutes.',
      ],
    ).map(({ state }) => state.gels[0]?.state)
    expect(gels).toEqual(['dry', 'melted', 'set', 'melted'])
  })

  it('blending brings pieces down, whipping brings air in, a culture brings the pH down', () => {
    const beans = ['300 g cooked white beans', '100 ml water']
    const short = last(beans, 'Blend the beans and water for 20 seconds.').state.particleMm ?? 0
    const long = last(beans, 'Blend the beans and water for 3 minutes.').state.particleMm ?? 0
    expect(long).toBeLessThan(short)
    expect(last(['120 ml aquafaba'], 'Whip the aquafaba for 8 minutes.').state.overrunPct).toBeGreaterThan(
      100,
    )
    const sour = (hours: number) =>
      last(['500 ml soy milk'], `Culture the soy milk at 42 °C for ${hours} hours.`).state.pH ?? 7
    expect(sour(3)).toBeGreaterThan(sour(10))
    expect(sour(12)).toBeLessThan(4.6)
  })

  it('acid lowers the reckoned pH, the more of it the more', () => {
    const pH = (juice: number) =>
      last(['400 ml soy milk', `${juice} ml lemon juice`], 'Mix the soy milk and lemon juice.').state.pH ?? 7
    expect(pH(40)).toBeLessThan(pH(5))
    expect(pH(5)).toBeLessThan(6.6)
  })

  it('the core follows shape and time, stays under the boil while wet, and cools again', () => {
    const core = (...steps: string[]) =>
      last(['400 g cooked black beans'], 'Mash the beans.', ...steps).state.coreC
    const thin = core('Bake as 15 mm patties at 190 °C for 15 minutes.')
    expect(thin).toBeGreaterThan(core('Bake as 40 mm patties at 190 °C for 15 minutes.'))
    expect(core('Bake as 15 mm patties at 230 °C for 12 minutes.')).toBeLessThanOrEqual(100)
    expect(core('Bake as 15 mm patties at 190 °C for 15 minutes.', 'Chill it for 3 hours.')).toBeLessThan(15)
  })
})
