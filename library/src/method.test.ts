import { NO_SETTINGS, OPERATIONS, type Part, type Step } from '@frijol/core/model'
import { POOL_COUNT, SALT } from '@frijol/core/program'
import { rowMass } from '@frijol/core/process'
import { stepFrom } from '@frijol/core/reading'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kitchenWith, runOf, written } from '../test/dishes'
import { FOODS } from '../test/randomDishes'

const run = runOf

const step = (id: string, known: Partial<Step>): Step => ({ ...stepFrom('', id), ...known })
const anyStep = fc.record({
  operation: fc.constantFrom(...OPERATIONS, null),
  durationMin: fc.option(fc.double({ min: 0, max: 600, noNaN: true })),
  tempC: fc.option(fc.double({ min: 20, max: 230, noNaN: true })),
  until: fc.option(
    fc.oneof(
      fc.record({ kind: fc.constant('mass' as const), massG: fc.double({ min: 1, max: 2000, noNaN: true }) }),
      fc.record({
        kind: fc.constant('keeps' as const),
        fraction: fc.double({ min: 0.1, max: 1.5, noNaN: true }),
      }),
      fc.record({ kind: fc.constant('dry' as const) }),
    ),
    { freq: 4 },
  ),
  weighedG: fc.option(fc.double({ min: 10, max: 2500, noNaN: true }), { freq: 5 }),
  share: fc.double({ min: 0.1, max: 1, noNaN: true }),
  settings: fc.record({
    isDrained: fc.boolean(),
    isWrapped: fc.boolean(),
    lid: fc.constantFrom('on' as const, 'ajar' as const, 'off' as const, null),
    form: fc.constantFrom(
      'pieces' as const,
      'patty' as const,
      'crumble' as const,
      'log' as const,
      'breaded' as const,
      null,
    ),
    waterG: fc.option(fc.double({ min: 0, max: 800, noNaN: true }), { freq: 4 }),
  }),
})

/** A part of some foods in which each step takes a share of every line and all that was made before. */
const anyPart = fc
  .record({
    foods: fc.uniqueArray(fc.constantFrom(...FOODS), { minLength: 1, maxLength: 6 }),
    steps: fc.array(anyStep, { minLength: 1, maxLength: 6 }),
  })
  .map(({ foods, steps }): Part => {
    const part = written(foods, [])
    return {
      ...part,
      steps: steps.map(({ share, settings, ...known }, at) =>
        step(`s${at}`, {
          ...known,
          settings: { ...NO_SETTINGS, ...settings },
          uses: [
            ...(at === 0
              ? []
              : [{ kind: 'step' as const, id: `s${at - 1}`, share: at % 3 === 2 ? 0.5 : null }]),
            ...part.lines.map(({ id }) => ({
              kind: 'line' as const,
              id,
              share: at === steps.length - 1 ? null : share / steps.length,
            })),
          ],
        }),
      ),
    }
  })

const sum = (moves: readonly { massG: number }[]): number =>
  moves.reduce((total, { massG }) => total + massG, 0)

describe('every operation', () => {
  it('conserves mass to 1e-9 of the batch, and no constituent falls below nothing', () => {
    fc.assert(
      fc.property(anyPart, (part) => {
        const ran = run(part)
        const faults = ran.trace.flatMap(({ reading }) => {
          const out = reading.massInG + sum(reading.gained) - sum(reading.lost)
          const isConserved = Math.abs(out - reading.massG) < 1e-9 * Math.max(1, reading.massInG)
          return isConserved && reading.waterG >= -1e-9 ? [] : [reading]
        })
        expect(faults).toEqual([])
        const { rows, finalRows } = { rows: ran.space.rows, finalRows: ran.program.finalRows }
        const stride = rows.length / ran.program.rows.length
        const negative = [...finalRows].filter((row) =>
          rows.subarray(row * stride, row * stride + 2 * POOL_COUNT).some((grams) => grams < -1e-9),
        )
        expect(negative).toEqual([])
        const last = ran.trace.at(-1)?.reading.partMassG ?? 0
        const left = [...finalRows].reduce((total, row) => total + rowMass(rows, row), 0)
        expect(Math.abs(last - left)).toBeLessThan(1e-7)
        expect(Math.abs(ran.state.cooked.massG - left)).toBeLessThan(1e-7)
        expect(
          ran.state.cooked.waterG +
            ran.state.cooked.dryMatterG +
            ran.state.cooked.alcoholG +
            ran.state.cooked.unknownG,
        ).toBeCloseTo(left, 6)
        expect(Object.values(ran.state.cooked).filter((value) => value < -1e-6)).toEqual([])
      }),
      { numRuns: 400 },
    )
  })

  const DRYING = [
    'roast',
    'brown',
    'sweat',
    'dehydrate',
    'air-fry',
    'grill',
    'broil',
    'reduce',
    'simmer',
    'sear',
  ] as const
  it('that only takes water never raises mass, and longer never leaves more', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DRYING),
        fc.constantFrom('500 g button mushrooms', '300 g firm tofu', '100 g onion', '400 ml soy milk'),
        fc.double({ min: 0, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (operation, food, a, b) => {
          const after = (durationMin: number): number =>
            run(
              written(
                [food],
                [step('s', { operation, durationMin, uses: [{ kind: 'line', id: 'w1', share: null }] })],
              ),
            ).state.cooked.massG
          const [short, long] = a < b ? [a, b] : [b, a]
          expect(after(short)).toBeLessThanOrEqual(run(written([food], [])).state.cooked.massG + 1e-9)
          expect(after(long)).toBeLessThanOrEqual(after(short) + 1e-9)
        },
      ),
      { numRuns: 200 },
    )
  })

  it('that drains, twice is once', () => {
    const lines = ['300 g cooked chickpeas', '200 ml vegetable stock', '5 g salt']
    const drains = (times: number): number =>
      run(
        written(
          lines,
          Array.from({ length: times }, (_unused, at) =>
            step(`d${at}`, {
              operation: 'drain',
              uses:
                at === 0
                  ? [1, 2, 3].map((id) => ({ kind: 'line' as const, id: `w${id}`, share: null }))
                  : [{ kind: 'step', id: `d${at - 1}`, share: null }],
            }),
          ),
        ),
      ).state.cooked.massG
    expect(drains(1)).toBeLessThan(350)
    expect(drains(2)).toBeCloseTo(drains(1), 9)
  })

  it('keeps salt: what is drained and what stays is what went in', () => {
    const part = written(
      ['300 g cooked chickpeas', '200 ml vegetable stock', '5 g salt'],
      ['Drain the chickpeas, stock and salt.'],
    )
    const before = run({ ...part, steps: [] }).state.cooked.sodiumMg
    const ran = run(part)
    const after = ran.state.cooked.sodiumMg
    expect(after).toBeLessThan(before * 0.7)
    const poured = ran.space.books.reduce(
      (sum, grams, at) => (at % POOL_COUNT === SALT ? sum + grams : sum),
      0,
    )
    expect(after + poured * 400).toBeCloseTo(before, 6)
  })
})

describe('a stated end', () => {
  const mushrooms = '500 g button mushrooms'
  it.each([
    ['Brown the mushrooms until 40 % lighter', 300],
    ['Brown the mushrooms to 280 g', 280],
  ])('%s', (text, massG) => {
    const ran = run(written([mushrooms], [text]))
    expect(ran.state.cooked.massG).toBeCloseTo(massG, 6)
    expect(ran.trace[0]?.reading.minutes).toBeGreaterThan(3)
  })

  it('takes longer the further it goes', () => {
    const minutes = (text: string): number => run(written([mushrooms], [text])).trace[0]?.reading.minutes ?? 0
    expect(minutes('Brown the mushrooms until 50 % lighter')).toBeGreaterThan(
      minutes('Brown the mushrooms until 30 % lighter'),
    )
  })

  it('says what cannot leave', () => {
    expect(run(written(['100 g walnuts'], ['Roast the walnuts to 50 g'])).impossibleG).toBeGreaterThan(40)
  })
})

describe('a weighed step', () => {
  const lines = ['440 g cooked white beans']
  const bake = (weighedG: number | null): Step =>
    step('s', {
      operation: 'roast',
      tempC: 190,
      durationMin: 15,
      settings: { ...NO_SETTINGS, form: 'patty' },
      weighedG,
      uses: [{ kind: 'line', id: 'w1', share: null }],
    })

  it('takes the scale’s word and fits the constant', () => {
    const model = run(written(lines, [bake(null)])).state.cooked.massG
    const ran = run(written(lines, [bake(model - 20)]))
    expect(ran.state.cooked.massG).toBeCloseTo(model - 20, 9)
    const fit = ran.trace[0]?.reading.fit
    expect(fit?.predictedG).toBeCloseTo(model, 6)
    expect(fit?.lnRatio).toBeGreaterThan(0.1)
  })

  it('improves the next prediction, and more so with each weighing', () => {
    const part = written(lines, [bake(null)])
    const model = run(part).state.cooked.massG
    const observed = (times: number) =>
      kitchenWith({
        observations: Array.from({ length: times }, (_unused, at) => ({
          id: `o${at}`,
          operation: 'roast' as const,
          vessel: 'tray',
          lnRatio: 0.4,
          sd: 0.13,
        })),
      })
    const once = run(part, observed(1)).state.cooked.massG
    const often = run(part, observed(6)).state.cooked.massG
    expect(once).toBeLessThan(model)
    expect(often).toBeLessThan(once)
    expect(run(part, observed(6)).trace[0]?.reading.observations).toBe(6)
  })
})

describe('parts of a method', () => {
  it('a pan takes so much at once: the rest waits, and the time with it', () => {
    const one = run(written(['200 g button mushrooms'], ['Brown the mushrooms in a 28 cm pan for 9 minutes']))
      .trace[0]?.reading
    const two = run(written(['500 g button mushrooms'], ['Brown the mushrooms in a 28 cm pan for 9 minutes']))
      .trace[0]?.reading
    expect(one).toMatchObject({ loads: 1, minutes: 9 })
    expect(two).toMatchObject({ loads: 3, minutes: 27 })
  })

  it('dry beans drink, and lose a little to the pot', () => {
    const ran = run(
      written(
        ['200 g dried chickpeas'],
        ['Soak the chickpeas 12 hours and drain.', 'Boil the chickpeas 75 minutes, then drain.'],
      ),
    )
    const [soaked, boiled] = ran.trace.map(({ reading }) => reading.massG)
    expect(soaked).toBeGreaterThan(380)
    expect(soaked).toBeLessThan(430)
    expect(boiled).toBeGreaterThan(410)
    expect(boiled).toBeLessThan(490)
  })

  it('dough gains in broth, not in its wrap', () => {
    const lines = ['120 g vital wheat gluten', '130 g water']
    const gain = (text: string): number => {
      const ran = run(written(lines, ['Knead the gluten with the water for 5 minutes.', text]))
      return (ran.trace[1]?.reading.massG ?? 0) / (ran.trace[0]?.reading.massG ?? 1)
    }
    expect(gain('Simmer the dough 50 minutes.')).toBeGreaterThan(1.15)
    expect(gain('Wrap the dough and steam it 45 minutes.')).toBeCloseTo(1.01, 1)
  })

  it('wine loses its alcohol', () => {
    const ran = run(written(['100 g white wine'], ['Simmer the wine 15 minutes.']))
    const raw = run(written(['100 g white wine'], []))
    expect(ran.state.cooked.alcoholG / raw.state.cooked.alcoholG).toBeCloseTo(0.4, 2)
  })
})
