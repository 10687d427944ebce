import { leversOf, pulled, type PartWork, workDish } from '@frijol/core/assess'
import { blankDish, defaultKitchen, type Dish, type FamilyId, type Part } from '@frijol/core/model'
import { familyTable, served, valuesOf } from '@frijol/core/texture'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { written } from '../test/dishes'
import { library } from '.'

/** How many changes are tried; `LEVER_RUNS` for a longer look. */
const RUNS = Number(process.env['LEVER_RUNS'] ?? 200)

const grams = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true })
const crumble = fc
  .tuple(
    grams(80, 400),
    grams(20, 120),
    grams(60, 300),
    grams(5, 40),
    grams(2, 9),
    grams(4, 25),
    grams(20, 60),
  )
  .map(([beans, walnuts, mushrooms, oil, salt, fry, bake]): [FamilyId, string[], string[]] => [
    'crumble-mince',
    [
      `${beans.toFixed(1)} g cooked black beans`,
      `${walnuts.toFixed(1)} g walnuts`,
      `${mushrooms.toFixed(1)} g button mushrooms`,
      `${oil.toFixed(1)} g olive oil`,
      `${salt.toFixed(2)} g salt`,
      '45 g vital wheat gluten',
      '30 g soy sauce',
    ],
    [
      'Chop the mushrooms.',
      `Fry the mushrooms in the oil for ${fry.toFixed(0)} minutes.`,
      'Mash the beans.',
      'Mix in the walnuts, gluten, soy sauce and salt.',
      `Spread on a tray and bake at 180 C for ${bake.toFixed(0)} minutes.`,
    ],
  ])
const sauce = fc
  .tuple(grams(200, 700), grams(15, 80), grams(10, 60), grams(10, 60), grams(2, 8), grams(2, 20))
  .map(([milk, cashews, flour, oil, salt, minutes]): [FamilyId, string[], string[]] => [
    'coating-sauce',
    [
      `${milk.toFixed(0)} g soy milk`,
      `${cashews.toFixed(1)} g raw cashews`,
      `${flour.toFixed(1)} g wheat flour`,
      `${oil.toFixed(1)} g olive oil`,
      `${salt.toFixed(2)} g salt`,
      '12 g nutritional yeast',
    ],
    [
      'Blend the soy milk with the cashews for 3 minutes.',
      'Whisk in the flour, oil, salt and nutritional yeast.',
      `Simmer, stirring, for ${minutes.toFixed(0)} minutes.`,
    ],
  ])

const dishWith = (part: Part): Dish => ({ ...blankDish('d', 'Tried', '2026-06-14T12:00:00Z'), parts: [part] })
const worked = (part: Part): PartWork => {
  const [work] = workDish(dishWith(part), library, defaultKitchen)
  if (work === undefined) throw new Error('no part')
  return work
}
function readings(work: PartWork, state = work.state): number[] {
  const table = familyTable(work.assessment.family)
  if (table === null) throw new Error('no table')
  const { ratios, attributes } = valuesOf(table, served(table, state, work.goal))
  return [...ratios, ...attributes]
}

it('each lever of “why?” says what the whole dish, worked out anew with it, says', () => {
  fc.assert(
    fc.property(fc.oneof(crumble, sauce), fc.nat(), ([family, lines, steps], which) => {
      const part = written(lines, steps, family)
      const work = worked(part)
      const levers = leversOf(work.method)
      const lever = levers[which % levers.length]
      if (lever === undefined) throw new Error('no lever')
      const { change } = lever
      const changed: Part =
        change.kind === 'line'
          ? {
              ...part,
              steps: [...part.steps],
              lines: written(
                lines.map((text, at) =>
                  at === change.line ? text.replace(/^[\d.]+/, String(change.massG)) : text,
                ),
                [],
                family,
              ).lines,
            }
          : {
              ...part,
              steps: part.steps.map((step, at) =>
                change.kind === 'setting' && at === change.op ? { ...step, durationMin: change.value } : step,
              ),
            }
      const now = readings(work)
      const foreseen = readings(work, pulled(work.method, lever))
      const anew = readings(worked(changed))
      foreseen.forEach((value, at) => {
        const moved = (anew[at] ?? 0) - (now[at] ?? 0)
        expect(Math.abs(value - (now[at] ?? 0) - moved), lever.label).toBeLessThanOrEqual(
          Math.max(0.02, 0.02 * Math.abs(moved)),
        )
      })
    }),
    { numRuns: RUNS },
  )
})
