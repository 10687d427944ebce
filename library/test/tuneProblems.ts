import { assess } from '@frijol/core/assess'
import { gramsLine } from '@frijol/core/measure'
import { resolveLines } from '@frijol/core/composition'
import { readRecipes } from '@frijol/core/interchange'
import { defaultKitchen, type Dish, FamilyId, type Kitchen } from '@frijol/core/model'
import { type Limit, type TuneAsk, usualAsk } from '@frijol/core/tune'
import { library } from '../src'
import { goodMixes } from './goodMixes'
import { mixContext } from './mixContext'

/** A mix that was thrown off, and what is asked of a search for it. */
export interface TuneProblem {
  readonly name: string
  readonly family: string
  readonly dish: Dish
  readonly ask: TuneAsk
  /** Its limits cannot all be kept. */
  readonly collides: boolean
}

/** A kitchen with a price for every food, so that cost can be kept: 2 to 11 a kg, by the letters of its id. */
export const pricedKitchen: Kitchen = {
  ...defaultKitchen,
  prices: [...library.ingredients.keys()].map((ingredientId) => ({
    ingredientId,
    price: 2 + ((ingredientId.length * 7) % 10),
    perG: 1000,
  })),
}

/** Factors on the lines of a mix, in turn: what a cook who measures by eye does to it. */
const THROWN: readonly (readonly number[])[] = [
  [1.3, 1, 0.6, 1.4],
  [1, 0.7, 1.5],
  [0.8, 1.4, 1, 1, 0.5],
  [1, 1, 1.8, 0.7],
  [1.2, 0.6],
]

function thrownOff(dish: Dish, by: readonly number[]): Dish {
  return {
    ...dish,
    parts: dish.parts.map((part, at) =>
      at > 0
        ? part
        : {
            ...part,
            lines: resolveLines(part, library, defaultKitchen).map(({ line, mass }, index) => {
              const factor = by[index % by.length] ?? 1
              return mass === null || mass.value <= 0 || factor === 1
                ? line
                : gramsLine(line, Number((mass.value * factor).toPrecision(3)))
            }),
          },
    ),
  }
}

/** Limits that leave some room, and limits that leave none. */
function limitsFor(dish: Dish, collides: boolean, turn: number): Limit[] {
  const { perPortion } = assess(dish, library, pricedKitchen)
  const { sodiumMg, proteinG, fatG, energyKcal, cost } = perPortion
  if (collides) {
    // Much more protein from much less energy; or hardly any sodium, fat or money and none of the foods without.
    return turn % 2 === 0
      ? [
          { id: 'proteinG', least: 3 * (proteinG ?? 1) + 12, most: null },
          { id: 'energyKcal', least: null, most: 1.05 * (energyKcal ?? 100) },
        ]
      : [
          { id: 'cost', least: null, most: 0.2 * (cost ?? 1) },
          { id: 'sodiumMg', least: null, most: 0.9 * (sodiumMg ?? 100) + 5 },
        ]
  }
  return turn % 3 === 0
    ? []
    : turn % 3 === 1
      ? [{ id: 'sodiumMg', least: null, most: 0.9 * (sodiumMg ?? 100) + 5 }]
      : [
          { id: 'fatG', least: null, most: 0.95 * (fatG ?? 1) + 0.2 },
          { id: 'cost', least: null, most: 1.1 * (cost ?? 1) },
        ]
}

/** Tuning problems from good mixes of every family, thrown off; every other one with limits that collide. */
export function tuneProblems(count: number): TuneProblem[] {
  const problems: TuneProblem[] = []
  const mixes = [...goodMixes].sort((a, b) => (a.id < b.id ? -1 : 1))
  // Families in turn, so that a few problems hold many.
  const byFamily = new Map<string, typeof mixes>()
  for (const mix of mixes) byFamily.set(mix.family, [...(byFamily.get(mix.family) ?? []), mix])
  const rounds = Math.max(...[...byFamily.values()].map(({ length }) => length))
  for (let round = 0; round < rounds; round += 1)
    for (const [family, of] of byFamily) {
      const mix = of[round]
      if (mix === undefined || problems.length >= count) continue
      const read = readRecipes(mix.text, mixContext())
      const first = read.ok ? read.value[0] : undefined
      const part = first?.parts[0]
      if (first === undefined || part === undefined) continue
      const turn = problems.length
      const dish = thrownOff(
        {
          ...first,
          parts: first.parts.map((one, at) =>
            at > 0 ? one : { ...one, family: FamilyId.parse(family), originalId: mix.original },
          ),
        },
        THROWN[turn % THROWN.length] ?? [1],
      )
      const distance = assess(dish, library, pricedKitchen).parts[0]?.distance ?? null
      if (distance === null) continue
      const collides = turn % 2 === 1
      problems.push({
        name: mix.id,
        family,
        dish,
        ask: { ...usualAsk(part.id), limits: limitsFor(dish, collides, turn >> 1) },
        collides,
      })
    }
  return problems
}
