import { assess } from '@frijol/core/assess'
import { resolveLines } from '@frijol/core/composition'
import { gramsLine } from '@frijol/core/measure'
import type { Dish } from '@frijol/core/model'
import { createSolver, type SolveLinear } from '@frijol/core/solver'
import { type Answer, tune, TuneFault, usualAsk } from '@frijol/core/tune'
import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { pricedKitchen, type TuneProblem, tuneProblems } from '../test/tuneProblems'
import { library } from '.'

const bench = { library, kitchen: pricedKitchen }
const problems = tuneProblems(16)
const open = problems.filter(({ collides }) => !collides)
const colliding = problems.filter(({ collides }) => collides)
let solve: SolveLinear
beforeAll(async () => {
  solve = await createSolver()
})

const few = (dish: Dish, ask: TuneProblem['ask']) => tune(dish, { ...ask, starts: 2 }, bench, solve)
const massesOf = (dish: Dish): Map<string, number> =>
  new Map(
    dish.parts.flatMap((part) =>
      resolveLines(part, library, pricedKitchen).map(
        ({ line, mass }) => [line.id, mass?.value ?? 0] as const,
      ),
    ),
  )

/** What every proposal must be, whatever was asked. */
function expectHonest(answer: Answer, { dish, ask }: Pick<TuneProblem, 'dish' | 'ask'>): void {
  const again = assess(answer.dish, library, pricedKitchen)
  const before = assess(dish, library, pricedKitchen)
  const part = again.parts.find(({ partId }) => partId === ask.partId)
  const was = before.parts.find(({ partId }) => partId === ask.partId)
  for (const { id, most, least } of ask.limits) {
    if (most !== null) expect(again.perPortion[id], id).toBeLessThanOrEqual(most + 1e-6)
    if (least !== null) expect(again.perPortion[id], id).toBeGreaterThanOrEqual(least - 1e-6)
  }
  for (const { holds } of answer.limits) expect(holds).toBe(true)
  for (const { id, after } of answer.attributes)
    expect(Math.abs((part?.attributes.find((one) => one.id === id)?.value ?? 0) - after), id).toBeLessThan(
      0.15,
    )
  expect(part?.distance).toBeCloseTo(answer.objective.after, 9)
  for (const { id, value, low, high } of part?.ratios ?? []) {
    const then = was?.ratios.find((one) => one.id === id)?.value ?? value
    expect(value, id).toBeGreaterThanOrEqual(Math.min(low, then) - 1e-6)
    expect(value, id).toBeLessThanOrEqual(Math.max(high, then) + 1e-6)
  }
  const stops = (of: typeof again) =>
    of.findings.filter(({ severity }) => severity === 'stop').map(({ rule }) => rule)
  for (const rule of stops(again)) expect(stops(before)).toContain(rule)
}

describe('a tuned mix', () => {
  it.each(open.map((problem) => [problem.name, problem] as const))(
    '%s: comes closer, keeps what must hold, and is what was promised',
    (_, problem) => {
      const { answers, collisions } = few(problem.dish, problem.ask)
      expect(collisions).toBeNull()
      expect(answers.length).toBeGreaterThan(0)
      for (const answer of answers) expectHonest(answer, problem)
      const [closest, ...others] = answers
      // No other answer is nearer than the closest.
      for (const { objective } of others)
        expect(objective.after).toBeGreaterThanOrEqual((closest?.objective.after ?? 0) - 0.02)
      const isKept = assess(problem.dish, library, pricedKitchen)
      const wasLegal = problem.ask.limits.every(
        ({ id, most }) => most === null || (isKept.perPortion[id] ?? 0) <= most,
      )
      if (wasLegal)
        expect(closest?.objective.after).toBeLessThanOrEqual((closest?.objective.before ?? 0) + 1e-9)
      for (const other of others) expect(other.kind).not.toBe('closest')
    },
  )

  it.each(colliding.map((problem) => [problem.name, problem] as const))(
    '%s: limits that collide are named, with the fewest to loosen',
    (_, { dish, ask }) => {
      const { answers, collisions } = few(dish, ask)
      expect(answers).toEqual([])
      expect(collisions?.collide.length).toBeGreaterThan(0)
      expect(collisions?.loosen.length).toBeGreaterThan(0)
      // With those loosened to what is possible, there is an answer.
      const limits = ask.limits.map((limit) => {
        const found = collisions?.loosen.find(({ id }) => id === limit.id)
        if (found === undefined) return limit
        const room = 0.02 * Math.abs(found.possible) + 0.05
        return {
          ...limit,
          most: limit.most === null ? null : Math.max(limit.most, found.possible + room),
          least: limit.least === null ? null : Math.min(limit.least, found.possible - room),
        }
      })
      expect(few(dish, { ...ask, limits }).collisions).toBeNull()
    },
  )

  it('gives the same answers for the same seed', () => {
    const [first] = open
    if (first === undefined) throw new Error('no problem')
    const texts = () =>
      few(first.dish, first.ask).answers.map(({ dish }) =>
        dish.parts.map(({ lines }) => lines.map(({ text }) => text)),
      )
    expect(texts()).toEqual(texts())
  })

  it('holds a line, keeps bounds, and leaves the method alone where it is told to', () => {
    const problem = open.find(({ name }) => name === 'ball-lentil') ?? open[0]
    if (problem === undefined) throw new Error('no problem')
    const before = massesOf(problem.dish)
    const [held = '', bounded = ''] = [...before.keys()]
    const leastG = 0.9 * (before.get(bounded) ?? 1)
    const mostG = 1.05 * (before.get(bounded) ?? 1)
    const { answers } = few(problem.dish, {
      ...problem.ask,
      hold: [held],
      bounds: [{ lineId: bounded, leastG, mostG }],
      method: false,
    })
    expect(answers.length).toBeGreaterThan(0)
    for (const { dish, process } of answers) {
      const after = massesOf(dish)
      expect(after.get(held)).toBeCloseTo(before.get(held) ?? 0, 9)
      expect(after.get(bounded)).toBeGreaterThanOrEqual(leastG - 1e-6)
      expect(after.get(bounded)).toBeLessThanOrEqual(mostG + 1e-6)
      expect(process).toEqual([])
    }
  })

  it('weighs as the scale shows, and writes it so', () => {
    for (const { dish, ask } of open.slice(0, 4))
      for (const { lines } of few(dish, { ...ask, method: false }).answers)
        for (const { text, beforeG, afterG } of lines) {
          if (Math.abs(afterG - beforeG) < 1e-6 || !/^[\d.]+ g /.test(text)) continue
          expect(Number(text.split(' ')[0])).toBeCloseTo(afterG, 6)
          expect(Math.abs(afterG * 10 - Math.round(afterG * 10)), text).toBeLessThan(1e-6)
        }
  })

  it('lets a food in that brings what is missing, and writes it into a step', () => {
    const problem = open.find(({ name }) => name === 'cream-cashew') ?? open[0]
    if (problem === undefined) throw new Error('no problem')
    const alone = few(problem.dish, { ...problem.ask, limits: [] })
    const allowed = few(problem.dish, {
      ...problem.ask,
      limits: [],
      allow: ['coconut-oil-refined', 'nutritional-yeast', 'white-miso'].filter((id) =>
        library.ingredients.has(id),
      ),
    })
    expect(allowed.best.distance).toBeLessThan(alone.best.distance - 0.02)
    const [closest] = allowed.answers
    if (closest === undefined) throw new Error('no answer')
    const added = closest.dish.parts[0]?.lines.filter(({ id }) => id.startsWith('new-')) ?? []
    expect(added.length).toBeGreaterThan(0)
    const used = closest.dish.parts[0]?.steps.flatMap(({ uses }) => uses?.map(({ id }) => id) ?? []) ?? []
    for (const { id } of added) expect(used).toContain(id)
    expectHonest(closest, { dish: problem.dish, ask: { ...problem.ask, limits: [] } })
  })

  it('seasons to match: tastes come nearer, and only what seasons changes', () => {
    const problem = problems.find(({ name }) => name === 'ball-lentil') ?? open[0]
    if (problem === undefined) throw new Error('no problem')
    const { answers } = few(problem.dish, { ...problem.ask, limits: [], focus: 'seasoning' })
    const [closest] = answers
    expect(closest?.objective.after).toBeLessThan(closest?.objective.before ?? 0)
    for (const { beforeG, afterG, foodId } of closest?.lines ?? []) {
      const kind = library.ingredients.get(foodId ?? '')?.foodClass ?? ''
      if (Math.abs(afterG - beforeG) > 1e-6)
        expect(['salt', 'acid', 'sweetener', 'savoury', 'spice', 'herb', 'seaweed']).toContain(kind)
    }
    expect(closest?.process).toEqual([])
    for (const { id } of closest?.attributes ?? [])
      expect([
        'saltiness',
        'umami',
        'sweetness',
        'sourness',
        'bitterness',
        'smokiness',
        'spice_warm',
      ]).toContain(id)
  })

  it('thins or thickens: a sauce comes to its thickness by liquid and thickener alone', () => {
    const problem = problems.find(({ family }) => family === 'coating-sauce')
    if (problem === undefined) throw new Error('no sauce')
    const [closest] = few(problem.dish, { ...problem.ask, limits: [], focus: 'thickness' }).answers
    expect(closest?.attributes.map(({ id }) => id)).toEqual(['thickness'])
    expect(closest?.objective.after).toBeLessThanOrEqual(closest?.objective.before ?? 0)
  })

  it.each([
    { paS: 0.12, tempC: 65 },
    { paS: 1, tempC: 65 },
    { paS: 1.5, tempC: 20 },
  ])('brings a sauce to $paS Pa·s at $tempC °C, whatever its original is', (consistency) => {
    const problem = problems.find(({ family }) => family === 'coating-sauce')
    if (problem === undefined) throw new Error('no sauce')
    const [closest] = few(problem.dish, {
      ...problem.ask,
      limits: [],
      focus: 'thickness',
      consistency,
    }).answers
    const after = closest?.consistency?.after ?? 0
    expect(Math.abs(Math.log10(after / consistency.paS))).toBeLessThan(0.1)
    expect(closest?.attributes).toEqual([])
    expect(closest?.objective.after).toBeLessThan(0.2)
  })

  it.each([
    [{ paS: 1e6, tempC: 65 }, /No sauce comes to/],
    [{ paS: 1, tempC: 140 }, /not foretold/],
  ])('refuses a thickness that nothing can have: %o', (consistency, why) => {
    const problem = problems.find(({ family }) => family === 'coating-sauce')
    if (problem === undefined) throw new Error('no sauce')
    expect(() => few(problem.dish, { ...problem.ask, focus: 'thickness', consistency })).toThrow(why)
  })

  it('says of a part that does not pour that it has no thickness to be brought to', () => {
    const problem = problems.find(({ family }) => family === 'bound-patty')
    if (problem === undefined) throw new Error('no patty')
    expect(() =>
      few(problem.dish, { ...problem.ask, focus: 'thickness', consistency: { paS: 1, tempC: 65 } }),
    ).toThrow(/does not pour/)
  })

  it('says what to add next, little by little, and where to stop', () => {
    let told = 0
    for (const { dish, ask } of open.slice(0, 5)) {
      const { additions } = few(dish, { ...ask, limits: [], method: false })
      const before = massesOf(dish)
      const now = assess(dish, library, pricedKitchen).parts[0]?.distance ?? 0
      for (const { lineId, addG, stopG, gain, why } of additions) {
        told += 1
        expect(addG).toBeGreaterThan(0)
        expect(stopG).toBeGreaterThanOrEqual(addG)
        expect(why).not.toBe('')
        const added: Dish = {
          ...dish,
          parts: dish.parts.map((part) => ({
            ...part,
            lines: part.lines.map((line) =>
              line.id === lineId ? gramsLine(line, (before.get(lineId) ?? 0) + addG) : line,
            ),
          })),
        }
        const then = assess(added, library, pricedKitchen).parts[0]?.distance ?? 0
        expect(now - then).toBeCloseTo(gain, 1)
      }
    }
    expect(told).toBeGreaterThan(3)
  })

  it('can be stopped, and gives what it has', () => {
    const [first] = open
    if (first === undefined) throw new Error('no problem')
    let looks = 0
    const { isCut, answers } = tune(first.dish, first.ask, bench, solve, {
      shouldStop: () => (looks += 1) > 4,
    })
    expect(isCut).toBe(true)
    for (const answer of answers) expectHonest(answer, { ...first, ask: first.ask })
  })

  it('says what is missing where there is nothing to be tuned to', () => {
    const [first] = open
    if (first === undefined) throw new Error('no problem')
    const aimless = { ...first.dish, parts: first.dish.parts.map((part) => ({ ...part, originalId: null })) }
    expect(() => tune(aimless, first.ask, bench, solve)).toThrow(TuneFault)
    expect(() => tune(first.dish, usualAsk('nowhere'), bench, solve)).toThrow('no such part')
    const free = { ...bench, kitchen: { ...pricedKitchen, prices: [] } }
    expect(() =>
      tune(first.dish, { ...first.ask, limits: [{ id: 'cost', least: null, most: 2 }] }, free, solve),
    ).toThrow('not known')
  })
})

it('every proposal for random aims keeps its limits and its promise', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...open.slice(0, 8)),
      fc.array(fc.tuple(fc.nat(30), fc.integer({ min: 0, max: 3 })), { minLength: 2, maxLength: 5 }),
      fc.double({ min: 0.7, max: 1.2, noNaN: true }),
      ({ dish, ask }, weights, sodium) => {
        const part = assess(dish, library, pricedKitchen).parts.find(({ partId }) => partId === ask.partId)
        const attributes = part?.attributes ?? []
        const importance = Object.fromEntries(
          weights.map(([at, weight]) => [attributes[at % attributes.length]?.id ?? 'firmness', weight]),
        )
        const aimed: Dish = {
          ...dish,
          parts: dish.parts.map((one) =>
            one.id === ask.partId ? { ...one, moved: { ...one.moved, importance } } : one,
          ),
        }
        const now = assess(aimed, library, pricedKitchen).perPortion.sodiumMg ?? 100
        const asked = {
          ...ask,
          starts: 1,
          limits: [{ id: 'sodiumMg' as const, least: null, most: sodium * now + 2 }],
        }
        for (const answer of tune(aimed, asked, bench, solve).answers)
          expectHonest(answer, { dish: aimed, ask: asked })
      },
    ),
    { numRuns: 5, seed: 5 },
  )
})
