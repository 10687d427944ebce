import { type PartWork, workDish, assess } from '../assess'
import type {
  Assessment,
  Dish,
  Finding,
  Ingredient,
  Kitchen,
  Library,
  Part,
  PartAssessment,
  Step,
} from '../model'
import { familyTable, type InputId, inputOf, isInput, type Served, served } from '../texture'
import { isOf } from './foodGroups'
import type { FoodGroup } from './foodGroups'

export interface Bench {
  readonly library: Library
  readonly kitchen: Kitchen
}

/** One part of one trial with everything that a cause may show in. */
export interface PartFacts {
  readonly dish: Dish
  readonly assessment: Assessment
  readonly part: Part
  readonly reading: PartAssessment
  readonly foodOf: (lineId: string) => Ingredient | null
  readonly findings: readonly Finding[]
  /** A figure of the mix; null where nothing judges the part. */
  readonly input: (id: InputId) => number | null
}

const servedOf = (work: PartWork): Served | null => {
  const table = familyTable(work.assessment.family)
  return table === null ? null : served(table, work.state, work.goal)
}

/** @returns null where the dish has no such part */
export function partFacts(
  dish: Dish,
  partId: string,
  name: string,
  { library, kitchen }: Bench,
): PartFacts | null {
  const part = dish.parts.find(({ id }) => id === partId) ?? dish.parts.find((one) => one.name === name)
  if (part === undefined) return null
  const assessment = assess(dish, library, kitchen)
  const reading = assessment.parts.find((one) => one.partId === part.id)
  const work = workDish(dish, library, kitchen).find((one) => one.assessment.partId === part.id)
  if (reading === undefined || work === undefined) return null
  const foods = new Map(work.lines.map(({ line, food }) => [line.id, food]))
  const shown = servedOf(work)
  return {
    dish,
    assessment,
    part,
    reading,
    foodOf: (lineId) => foods.get(lineId) ?? null,
    findings: assessment.findings.filter((finding) => finding.part === part.id),
    input: (id) => {
      if (shown === null || !isInput(id)) return null
      const value = inputOf(id).value(shown)
      return Number.isFinite(value) ? value : null
    },
  }
}

/** Foods that a step works with: its own lines, and those of the steps that it takes. */
export function foodsOfStep({ reading, foodOf }: PartFacts, step: Step): Ingredient[] {
  const found = new Map<string, Ingredient>()
  const seen = new Set<string>()
  const follow = (stepId: string): void => {
    if (seen.has(stepId)) return
    seen.add(stepId)
    for (const { kind, id } of reading.steps.find((one) => one.stepId === stepId)?.takes ?? []) {
      if (kind === 'step') follow(id)
      const food = kind === 'line' ? foodOf(id) : null
      if (food !== null) found.set(food.id, food)
    }
  }
  follow(step.id)
  return [...found.values()]
}

/** Share of the raw mass that foods of some groups make up, 0 to 1. */
export const shareOf = ({ reading, foodOf }: PartFacts, groups: readonly FoodGroup[]): number =>
  reading.lines.reduce((sum, { lineId, share }) => {
    const food = foodOf(lineId)
    return food !== null && share !== null && isOf(food, groups) ? sum + share : sum
  }, 0)
