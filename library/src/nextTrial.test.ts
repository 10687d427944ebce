import { assess } from '@frijol/core/assess'
import { nextTrials, type TriedPart } from '@frijol/core/nextTrial'
import { describe, expect, it } from 'vitest'
import { followNext, hiddenKitchen, oneAtATime } from '../test/kitchens'
import { pricedKitchen, tuneProblems } from '../test/tuneProblems'
import { library } from '.'

const bench = { library, kitchen: pricedKitchen }
const problems = tuneProblems(30).filter(({ collides }) => !collides)
const problem = (at: number) => {
  const found = problems[at % problems.length]
  if (found === undefined) throw new Error('no problem')
  return found
}
const readingOf = (at: number): TriedPart['reading'] => {
  const { dish, ask } = problem(at)
  const reading = assess(dish, library, pricedKitchen).parts.find(({ partId }) => partId === ask.partId)
  if (reading === undefined) throw new Error('no part')
  return reading
}

describe('the next trial', () => {
  it.each([0, 3, 5])('has a safe and a bold proposal that say what they change, and why (%i)', (at) => {
    const { dish, ask } = problem(at)
    const { proposals, now } = nextTrials(
      { dish, partId: ask.partId, tried: [], method: false, seed: 1 },
      bench,
    )
    expect(proposals.map(({ kind }) => kind)).toEqual(['safe', 'bold'])
    const [safe, bold] = proposals
    expect(safe?.changes).not.toBe('')
    expect(bold?.changes).not.toBe(safe?.changes)
    expect(safe?.sd).toBeGreaterThan(0)
    expect(bold?.expectedImprovement).toBeGreaterThanOrEqual(safe?.expectedImprovement ?? Infinity)
    expect(safe?.distance).toBeLessThan(now.distance + 0.05)
    for (const { chance, dish: next } of proposals) {
      expect(chance).toBeGreaterThan(0)
      const after = assess(next, library, pricedKitchen).parts.find(({ partId }) => partId === ask.partId)
      const before = readingOf(at)
      // No deciding window that was kept is left.
      for (const { id, value, low, high } of after?.ratios ?? []) {
        const was = before.ratios.find((one) => one.id === id)?.value ?? value
        const room = 0.02 * (high - low)
        expect(value, id).toBeGreaterThanOrEqual(Math.min(low, was) - room)
        expect(value, id).toBeLessThanOrEqual(Math.max(high, was) + room)
      }
    }
  })

  it('is the same for the same seed, and holds what is held', () => {
    const { dish, ask } = problem(1)
    const [first] = dish.parts[0]?.lines ?? []
    const asked = {
      dish,
      partId: ask.partId,
      tried: [],
      hold: first === undefined ? [] : [first.id],
      seed: 4,
    }
    const once = nextTrials(asked, bench)
    expect(nextTrials(asked, bench)).toEqual(once)
    for (const { dish: next } of once.proposals)
      expect(next.parts[0]?.lines.find(({ id }) => id === first?.id)).toEqual(first)
  })

  it('goes by what tasters said of the dish, not by the model alone', () => {
    const { dish, ask } = problem(2)
    const reading = readingOf(2)
    const counted = reading.attributes.filter(({ weight, target }) => weight > 0 && target !== null)
    const inBand = new Map(
      counted.map(({ id, target }) => [
        id,
        { value: ((target?.low ?? 0) + (target?.high ?? 0)) / 2, sd: 0.3 },
      ]),
    )
    const blind = nextTrials({ dish, partId: ask.partId, tried: [], method: false, seed: 1 }, bench)
    const told = nextTrials(
      { dish, partId: ask.partId, tried: [{ number: 1, reading, tasted: inBand }], method: false, seed: 1 },
      bench,
    )
    expect(told.now.distance).toBeLessThan(blind.now.distance)
    expect(told.now.sd).toBeLessThan(blind.now.sd)
    expect(told.tastings).toBe(1)
  })

  it('reaches hidden kitchens in far fewer trials than one factor at a time', { timeout: 120_000 }, () => {
    let [next, one, kitchens, nearer] = [0, 0, 0, 0]
    for (let seed = 1; kitchens < 5; seed += 1) {
      const { dish, ask } = problem(seed)
      const hidden = hiddenKitchen(dish, ask.partId, seed)
      if (hidden.truth(dish) - hidden.target < 0.25) continue
      kitchens += 1
      const followed = followNext(hidden, 12, seed)
      next += followed.trials
      one += oneAtATime(hidden, 12, seed)
      const later = followed.misses.slice(1, 7)
      const mean = (of: (miss: (typeof later)[number]) => number) =>
        later.reduce((sum, miss) => sum + of(miss), 0)
      if (mean(({ after }) => after) <= mean(({ before }) => before)) nearer += 1
    }
    expect(next).toBeLessThanOrEqual(0.6 * one)
    expect(nearer).toBeGreaterThanOrEqual(0.7 * kitchens)
  })
})
