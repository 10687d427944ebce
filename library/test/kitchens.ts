import { assess } from '@frijol/core/assess'
import { randomFrom } from '@frijol/core/chance'
import { resolveLines } from '@frijol/core/composition'
import { gramsLine } from '@frijol/core/measure'
import {
  type AttributeId,
  defaultKitchen,
  type Dish,
  type Kitchen,
  type PartAssessment,
  type Tasted,
} from '@frijol/core/model'
import { type NextTrial, nextTrials, type TriedPart } from '@frijol/core/nextTrial'
import { library } from '../src'

/** A kitchen whose tongues and pans are hidden: what its tasters say follows laws that no one outside knows. */
export interface HiddenKitchen {
  readonly dish: Dish
  readonly partId: string
  /** How far a dish really is from the original here, points; without the noise of a panel. */
  readonly truth: (dish: Dish) => number
  /** What a panel says of a dish, attribute by attribute. */
  readonly taste: (dish: Dish) => ReadonlyMap<AttributeId, { readonly value: number; readonly sd: number }>
  /** Near enough: a quarter of what can be gained is left. */
  readonly target: number
}

const NOISE = 0.4
const partOf = (dish: Dish, partId: string): PartAssessment | undefined =>
  assess(dish, library, defaultKitchen).parts.find((one) => one.partId === partId)

const gramsOf = (dish: Dish, partId: string): ReadonlyMap<string, number> => {
  const part = dish.parts.find(({ id }) => id === partId)
  return new Map(
    part === undefined
      ? []
      : resolveLines(part, library, defaultKitchen).map(({ line, mass }) => [line.id, mass?.value ?? 0]),
  )
}

export const withGrams = (dish: Dish, partId: string, grams: ReadonlyMap<string, number>): Dish => ({
  ...dish,
  parts: dish.parts.map((part) =>
    part.id !== partId
      ? part
      : {
          ...part,
          lines: part.lines.map((line) => {
            const to = grams.get(line.id)
            return to === undefined || to <= 0 ? line : gramsLine(line, Number(to.toPrecision(3)))
          }),
        },
  ),
})

/** Hidden constants by seed: offset, tilt and a wave over the shares of the lines for each attribute. */
export function hiddenKitchen(dish: Dish, partId: string, seed: number): HiddenKitchen {
  const random = randomFrom(seed * 7919 + 13)
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const attributes = (partOf(dish, partId)?.attributes ?? []).filter(
    ({ weight, target }) => weight > 0 && target !== null,
  )
  const lineIds = [...gramsOf(dish, partId).keys()]
  const laws = new Map(
    attributes.map(({ id }) => [
      id,
      {
        offset: 0.8 * normal(),
        tilt: 1 + 0.15 * normal(),
        size: 0.5 * random(),
        phase: 6.28 * random(),
        waves: new Map(lineIds.map((line) => [line, 3 * normal()])),
      },
    ]),
  )
  const really = (of: Dish): ReadonlyMap<AttributeId, number> => {
    const part = partOf(of, partId)
    const grams = gramsOf(of, partId)
    const whole = [...grams.values()].reduce((sum, value) => sum + value, 0)
    return new Map(
      (part?.attributes ?? []).flatMap(({ id, value }) => {
        const law = laws.get(id)
        if (law === undefined) return []
        const turn = [...grams].reduce(
          (sum, [line, mass]) => sum + ((law.waves.get(line) ?? 0) * mass) / whole,
          law.phase,
        )
        const here = 5 + law.offset + law.tilt * (value - 5) + law.size * Math.sin(3 * turn)
        return [[id, Math.min(10, Math.max(0, here))] as const]
      }),
    )
  }
  const distanceOf = (values: ReadonlyMap<AttributeId, number>): number => {
    let [sum, weights] = [0, 0]
    for (const { id, weight, target } of attributes) {
      if (target === null) continue
      const value = values.get(id) ?? 0
      sum += weight * Math.max(0, target.low - value, value - target.high)
      weights += weight
    }
    return weights === 0 ? 0 : sum / weights
  }
  const truth = (of: Dish): number => distanceOf(really(of))
  // The best that a patient search finds, to know what can be gained at all.
  let [best, at] = [truth(dish), gramsOf(dish, partId)]
  for (let round = 0; round < 260; round += 1) {
    const moved = new Map(at)
    for (let move = 0; move < 1 + Math.floor(2 * random()); move += 1) {
      const line = lineIds[Math.floor(random() * lineIds.length)] ?? ''
      moved.set(line, (moved.get(line) ?? 0) * Math.exp(0.35 * normal()))
    }
    const then = truth(withGrams(dish, partId, moved))
    if (then < best) [best, at] = [then, moved]
  }
  const start = truth(dish)
  return {
    dish,
    partId,
    truth,
    target: best + 0.35 * (start - best),
    taste: (of) =>
      new Map([...really(of)].map(([id, value]) => [id, { value: value + NOISE * normal(), sd: NOISE }])),
  }
}

/** How far tasters put a dish. */
function tastedDistance(
  kitchen: HiddenKitchen,
  said: ReadonlyMap<AttributeId, { readonly value: number }>,
): number {
  const attributes = partOf(kitchen.dish, kitchen.partId)?.attributes ?? []
  let [sum, weights] = [0, 0]
  for (const { id, weight, target } of attributes) {
    const value = said.get(id)?.value
    if (weight === 0 || target === null || value === undefined) continue
    sum += weight * Math.max(0, target.low - value, value - target.high)
    weights += weight
  }
  return weights === 0 ? 0 : sum / weights
}

/**
 * One factor at a time, as the books warn of: each line a quarter more, then a quarter less; kept where tasters put it
 * nearer, and gone on with while they do. @returns trials until it is near enough, at most `most`
 */
export function oneAtATime(kitchen: HiddenKitchen, most: number, seed: number): number {
  const random = randomFrom(seed * 31 + 5)
  const grams = new Map(gramsOf(kitchen.dish, kitchen.partId))
  const lines = [...grams.keys()].sort(() => random() - 0.5)
  let now = kitchen.dish
  let said = tastedDistance(kitchen, kitchen.taste(now))
  let trials = 1
  for (let at = 0; trials < most; at += 1) {
    const line = lines[at % lines.length] ?? ''
    for (const factor of [1.25, 0.8]) {
      for (let again = 0; again < 4 && trials < most; again += 1) {
        const next = new Map(grams)
        next.set(line, (grams.get(line) ?? 0) * factor)
        const dish = withGrams(kitchen.dish, kitchen.partId, next)
        const found = tastedDistance(kitchen, kitchen.taste(dish))
        trials += 1
        if (found >= said) break
        said = found
        now = dish
        grams.set(line, next.get(line) ?? 0)
        if (kitchen.truth(now) <= kitchen.target) return trials
      }
    }
  }
  return most
}

/** Where a kitchen stands after each trial that follows "next trial". */
export interface Followed {
  readonly trials: number
  /** Mean miss of the next mix, points: by the model as shipped, and by what was learned. */
  readonly misses: readonly { readonly before: number; readonly after: number }[]
}

export function followNext(hidden: HiddenKitchen, most: number, seed: number): Followed {
  let now = hidden.dish
  let kitchen: Kitchen = defaultKitchen
  const made: { dish: Dish; number: number; tasted: TriedPart['tasted'] }[] = []
  const misses: { before: number; after: number }[] = []
  for (let trials = 1; trials <= most; trials += 1) {
    const said = hidden.taste(now)
    const raw = partOf(now, hidden.partId)
    const learned = assess(now, library, kitchen).parts.find(({ partId }) => partId === hidden.partId)
    const off = (part: PartAssessment | undefined): number => {
      const known = [...said].flatMap(([id, { value }]) => {
        const reading = part?.attributes.find((one) => one.id === id)
        return reading === undefined ? [] : [Math.abs(reading.value - value)]
      })
      return known.reduce((sum, value) => sum + value, 0) / Math.max(1, known.length)
    }
    misses.push({ before: off(raw), after: off(learned) })
    if (hidden.truth(now) <= hidden.target) return { trials, misses }
    made.push({ dish: now, number: trials, tasted: said })
    kitchen = {
      ...kitchen,
      tasted: [...kitchen.tasted, ...tastedRows(now, hidden.partId, raw, said, trials)],
    }
    const bench = { library, kitchen }
    const tried = made.flatMap(({ dish, number, tasted }): TriedPart[] => {
      const reading = assess(dish, library, kitchen).parts.find(({ partId }) => partId === hidden.partId)
      return reading === undefined ? [] : [{ number, reading, tasted }]
    })
    // It goes on from the trial that tasters put nearest.
    const nearest = [...made].sort(
      (a, b) => tastedDistance(hidden, a.tasted) - tastedDistance(hidden, b.tasted),
    )[0]
    const { proposals } = nextTrials(
      { dish: nearest?.dish ?? now, partId: hidden.partId, tried, method: false, seed: seed + trials },
      bench,
    )
    const taken = [...proposals].sort(
      (a: NextTrial, b: NextTrial) => b.expectedImprovement - a.expectedImprovement,
    )[0]
    if (taken === undefined) return { trials: most, misses }
    now = taken.dish
  }
  return { trials: most, misses }
}

const tastedRows = (
  dish: Dish,
  partId: string,
  raw: PartAssessment | undefined,
  said: TriedPart['tasted'],
  trialNumber: number,
): Tasted[] =>
  [...said].flatMap(([attribute, { value, sd }]): Tasted[] => {
    const predicted = raw?.attributes.find(({ id }) => id === attribute)?.value
    return predicted === undefined || raw?.family == null
      ? []
      : [
          {
            id: `${trialNumber}/${attribute}`,
            tastingId: `tasting ${trialNumber}`,
            family: raw.family,
            attribute,
            predicted,
            observed: value,
            sd,
            people: 6,
            label: '',
            date: '2026-06-14',
            dishId: dish.id,
            trialNumber,
            partId,
            by: 'tasters',
          },
        ]
  })
