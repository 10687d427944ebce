import {
  type Assessment,
  attributeName,
  type AttributeReading,
  type Dish,
  type LineReading,
  type Part,
  type PartAssessment,
  type Step,
} from '../model'

/** A dish, or a trial of one, with what it comes to. */
export interface Worked {
  readonly dish: Dish
  readonly assessment: Assessment
}

/** One thing on both sides; null where a side has none. */
export interface Pair<T> {
  /** Part that it belongs to; null for the dish as a whole. */
  readonly part: string | null
  readonly label: string
  readonly left: T | null
  readonly right: T | null
  readonly isSame: boolean
}

export interface ComparedLine {
  readonly text: string
  /** null where the line says no mass. */
  readonly massG: number | null
}

export interface ComparedStep {
  readonly text: string
  /** What it weighs after it. */
  readonly massG: number | null
  readonly minutes: number | null
}

export interface ComparedFigure {
  readonly value: number
  readonly sd: number
  readonly unit: string
  /** Signed distance from the original's band; null where there is none. */
  readonly gap: number | null
}

export interface Comparison {
  readonly lines: readonly Pair<ComparedLine>[]
  readonly steps: readonly Pair<ComparedStep>[]
  readonly readings: readonly Pair<ComparedFigure>[]
}

/** Masses that a kitchen scale would not tell apart, g. */
const SAME_G = 0.05

type Keyed<T> = readonly (readonly [key: string, label: string, value: T])[]

/** Items of both sides by key, in the order of the left one, with what only the right has at the end. */
function pairs<T>(
  part: string | null,
  left: Keyed<T>,
  right: Keyed<T>,
  isSame: (left: T, right: T) => boolean,
): Pair<T>[] {
  const others = new Map(right.map(([key, label, value]) => [key, { label, value }]))
  const found = left.map(([key, label, value]): Pair<T> => {
    const other = others.get(key)
    others.delete(key)
    return {
      part,
      label,
      left: value,
      right: other?.value ?? null,
      isSame: other !== undefined && isSame(value, other.value),
    }
  })
  const added = [...others.values()].map(({ label, value }): Pair<T> => ({
    part,
    label,
    left: null,
    right: value,
    isSame: false,
  }))
  return [...found, ...added]
}

/** Lines by their id where both sides have it, else by their food: a line that was typed anew is still that food. */
function lineKeys(own: readonly LineReading[], others: readonly LineReading[]): string[] {
  const ids = new Set(others.map(({ lineId }) => lineId))
  const taken = new Set<string>()
  return own.map(({ lineId, foodId, name }) => {
    const key = ids.has(lineId) ? lineId : `food ${foodId ?? name}`
    if (!taken.has(key)) {
      taken.add(key)
      return key
    }
    return lineId
  })
}

const keyedLines = (own: PartAssessment | null, other: PartAssessment | null): Keyed<ComparedLine> => {
  const lines = own?.lines ?? []
  const keys = lineKeys(lines, other?.lines ?? [])
  return lines.map(({ name, text, massG }, at) => [keys[at] ?? '', name, { text, massG }] as const)
}

/** Steps by their id where both have it, else by their place. */
function keyedSteps(
  part: Part | null,
  reading: PartAssessment | null,
  others: readonly Step[],
): Keyed<ComparedStep> {
  const ids = new Set(others.map(({ id }) => id))
  return (part?.steps ?? []).map((step, at) => {
    const known = reading?.steps[at]
    const value = { text: step.text, massG: known?.massG ?? null, minutes: known?.minutes ?? null }
    return [ids.has(step.id) ? step.id : `step ${at}`, `Step ${at + 1}`, value] as const
  })
}

const wordsOf = (id: AttributeReading['id']): string => {
  const words = attributeName(id)
  return words.charAt(0).toUpperCase() + words.slice(1)
}

function keyedReadings(reading: PartAssessment | null): Keyed<ComparedFigure> {
  if (reading === null) return []
  const { distance, attributes, ratios, cookedMassG, cookedSdG } = reading
  return [
    ...(distance === null
      ? []
      : [
          [
            'distance',
            'Distance from the original',
            { value: distance, sd: 0, unit: '', gap: null },
          ] as const,
        ]),
    ['cooked', 'Cooked mass', { value: cookedMassG, sd: cookedSdG, unit: 'g', gap: null }] as const,
    ...attributes.map(
      ({ id, value, sd, gap, target }) =>
        [id, wordsOf(id), { value, sd, unit: '', gap: target === null ? null : gap }] as const,
    ),
    ...ratios.map(
      ({ id, label, value, sd, unit }) => [`ratio ${id}`, label, { value, sd, unit, gap: null }] as const,
    ),
  ]
}

function keyedTotals({
  perPortion: { energyKcal, proteinG, fatG, sodiumMg, cost },
}: Assessment): Keyed<ComparedFigure> {
  const figure = (key: string, label: string, value: number | null, unit: string): Keyed<ComparedFigure> =>
    value === null ? [] : [[key, label, { value, sd: 0, unit, gap: null }]]
  return [
    ...figure('energy', 'Energy a portion', energyKcal, 'kcal'),
    ...figure('protein', 'Protein a portion', proteinG, 'g'),
    ...figure('fat', 'Fat a portion', fatG, 'g'),
    ...figure('sodium', 'Sodium a portion', sodiumMg, 'mg'),
    ...figure('cost', 'Cost a portion', cost, ''),
  ]
}

const sameLine = (left: ComparedLine, right: ComparedLine): boolean =>
  left.massG === null || right.massG === null
    ? left.text === right.text
    : Math.abs(left.massG - right.massG) < SAME_G
/** Shown to three figures: what those do not tell apart is the same. */
const sameFigure = (left: ComparedFigure, right: ComparedFigure): boolean =>
  left.value === right.value || left.value.toPrecision(3) === right.value.toPrecision(3)

const differencesFirst = <T>(all: readonly Pair<T>[]): Pair<T>[] => [
  ...all.filter(({ isSame }) => !isSame),
  ...all.filter(({ isSame }) => isSame),
]

/** Parts of both sides: by id, else by name. */
function partPairs(left: Worked, right: Worked): [PartAssessment | null, PartAssessment | null][] {
  const rest = new Map(right.assessment.parts.map((part) => [part.partId, part]))
  const found = left.assessment.parts.map((part): [PartAssessment, PartAssessment | null] => {
    const other = rest.get(part.partId) ?? [...rest.values()].find(({ name }) => name === part.name) ?? null
    if (other !== null) rest.delete(other.partId)
    return [part, other]
  })
  return [...found, ...[...rest.values()].map((part): [null, PartAssessment] => [null, part])]
}

/**
 * Two dishes, or two trials of one, side by side: lines, steps and readings, what differs first in each.
 * Masses closer than a scale reads, and figures alike to three digits, count as the same.
 */
export function compare(left: Worked, right: Worked): Comparison {
  const partOf = ({ dish }: Worked, reading: PartAssessment | null): Part | null =>
    dish.parts.find(({ id }) => id === reading?.partId) ?? null
  const all = partPairs(left, right).map(([own, other]) => {
    const name = own?.name ?? other?.name ?? ''
    const [ownPart, otherPart] = [partOf(left, own), partOf(right, other)]
    return {
      lines: pairs(name, keyedLines(own, other), keyedLines(other, own), sameLine),
      steps: pairs(
        name,
        keyedSteps(ownPart, own, otherPart?.steps ?? []),
        keyedSteps(otherPart, other, ownPart?.steps ?? []),
        (a, b) => a.text === b.text,
      ),
      readings: pairs(name, keyedReadings(own), keyedReadings(other), sameFigure),
    }
  })
  return {
    lines: differencesFirst(all.flatMap(({ lines }) => lines)),
    steps: differencesFirst(all.flatMap(({ steps }) => steps)),
    readings: differencesFirst([
      ...pairs(null, keyedTotals(left.assessment), keyedTotals(right.assessment), sameFigure),
      ...all.flatMap(({ readings }) => readings),
    ]),
  }
}
