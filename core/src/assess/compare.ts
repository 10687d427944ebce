import {
  type Assessment,
  attributeName,
  type AttributeReading,
  type Dish,
  type Part,
  type PartAssessment,
} from '../model'

/** A dish, or a trial of one, with what it comes to. */
export interface Worked {
  readonly dish: Dish
  readonly assessment: Assessment
}

/** One thing in every column; null where a column has none. */
export interface Row<T> {
  /** Part that it belongs to; null for the dish as a whole. */
  readonly part: string | null
  readonly label: string
  readonly values: readonly (T | null)[]
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
  readonly lines: readonly Row<ComparedLine>[]
  readonly steps: readonly Row<ComparedStep>[]
  readonly readings: readonly Row<ComparedFigure>[]
}

/** Masses that a kitchen scale would not tell apart, g. */
const SAME_G = 0.05

/** An item of a column: it joins a row by its key, else by its other name where that row is free in its column. */
interface Item<T> {
  readonly key: string
  readonly other: string | null
  readonly label: string
  readonly value: T
}
type Items<T> = readonly Item<T>[]

/** Items of all columns in rows, in the order of the first; what only a later one has comes at the end. */
function rows<T>(
  part: string | null,
  columns: readonly Items<T>[],
  isSame: (left: T, right: T) => boolean,
): Row<T>[] {
  interface Growing {
    readonly label: string
    readonly other: string | null
    readonly values: (T | null)[]
  }
  const all: Growing[] = []
  const byKey = new Map<string, Growing>()
  columns.forEach((items, column) => {
    // Who has a row of that key takes it, before any other is joined by name.
    const left = items.filter(({ key, value }) => {
      const row = byKey.get(key)
      if (row === undefined || row.values[column] != null) return true
      row.values[column] = value
      return false
    })
    for (const { key, other, label, value } of left) {
      const near = all.find((row) => other !== null && row.other === other && row.values[column] == null)
      const row = near ?? { label, other, values: columns.map(() => null) }
      if (near === undefined) all.push(row)
      row.values[column] = value
      byKey.set(key, row)
    }
  })
  return all.map(({ label, values }): Row<T> => {
    const [first] = values
    const same = values.every((value) => first != null && value !== null && isSame(first, value))
    return { part, label, values, isSame: same }
  })
}

/** Lines by their id, else by their food: a line that was typed anew is still that food. */
const lineItems = (own: PartAssessment | null): Items<ComparedLine> =>
  (own?.lines ?? []).map(({ lineId, foodId, name, text, massG }) => ({
    key: lineId,
    other: `food ${foodId ?? name}`,
    label: name,
    value: { text, massG },
  }))

/** Steps by their id, else by their place. */
const stepItems = (part: Part | null, reading: PartAssessment | null): Items<ComparedStep> =>
  (part?.steps ?? []).map(({ id, text }, at) => {
    const known = reading?.steps[at]
    return {
      key: id,
      other: `step ${at}`,
      label: `Step ${at + 1}`,
      value: { text, massG: known?.massG ?? null, minutes: known?.minutes ?? null },
    }
  })

const wordsOf = (id: AttributeReading['id']): string => {
  const words = attributeName(id)
  return words.charAt(0).toUpperCase() + words.slice(1)
}

const figure = (key: string, label: string, value: ComparedFigure): Item<ComparedFigure> => ({
  key,
  other: null,
  label,
  value,
})

function readingItems(reading: PartAssessment | null): Items<ComparedFigure> {
  if (reading === null) return []
  const { distance, attributes, ratios, cookedMassG, cookedSdG } = reading
  return [
    ...(distance === null
      ? []
      : [figure('distance', 'Distance from the original', { value: distance, sd: 0, unit: '', gap: null })]),
    figure('cooked', 'Cooked mass', { value: cookedMassG, sd: cookedSdG, unit: 'g', gap: null }),
    ...attributes.map(({ id, value, sd, gap, target }) =>
      figure(id, wordsOf(id), { value, sd, unit: '', gap: target === null ? null : gap }),
    ),
    ...ratios.map(({ id, label, value, sd, unit }) =>
      figure(`ratio ${id}`, label, { value, sd, unit, gap: null }),
    ),
  ]
}

function totalItems({ perPortion }: Assessment): Items<ComparedFigure> {
  const { energyKcal, proteinG, fatG, sodiumMg, cost } = perPortion
  const known = (key: string, label: string, value: number | null, unit: string): Items<ComparedFigure> =>
    value === null ? [] : [figure(key, label, { value, sd: 0, unit, gap: null })]
  return [
    ...known('energy', 'Energy a portion', energyKcal, 'kcal'),
    ...known('protein', 'Protein a portion', proteinG, 'g'),
    ...known('fat', 'Fat a portion', fatG, 'g'),
    ...known('sodium', 'Sodium a portion', sodiumMg, 'mg'),
    ...known('cost', 'Cost a portion', cost, ''),
  ]
}

const sameLine = (left: ComparedLine, right: ComparedLine): boolean =>
  left.massG === null || right.massG === null
    ? left.text === right.text
    : Math.abs(left.massG - right.massG) < SAME_G
/** Shown to three figures: what those do not tell apart is the same. */
const sameFigure = (left: ComparedFigure, right: ComparedFigure): boolean =>
  left.value === right.value || left.value.toPrecision(3) === right.value.toPrecision(3)

const differencesFirst = <T>(all: readonly Row<T>[]): Row<T>[] => [
  ...all.filter(({ isSame }) => !isSame),
  ...all.filter(({ isSame }) => isSame),
]

/** Parts of all columns: by id, else by name. */
function partGroups(all: readonly Worked[]): (PartAssessment | null)[][] {
  const groups: (PartAssessment | null)[][] = []
  all.forEach(({ assessment }, column) => {
    const free = (group: readonly (PartAssessment | null)[]): boolean => group[column] == null
    const join = (part: PartAssessment, is: (other: PartAssessment) => boolean): boolean => {
      const group = groups.find((one) => free(one) && one.some((other) => other !== null && is(other)))
      if (group !== undefined) group[column] = part
      return group !== undefined
    }
    const rest = assessment.parts.filter((part) => !join(part, ({ partId }) => partId === part.partId))
    for (const part of rest) {
      if (join(part, ({ name }) => name === part.name)) continue
      groups.push(all.map((_, at) => (at === column ? part : null)))
    }
  })
  return groups
}

/**
 * Dishes, or trials of one, side by side: lines, steps and readings, what differs first in each.
 * Masses closer than a scale reads, and figures alike to three digits, count as the same.
 * @param all two or more
 */
export function compare(all: readonly Worked[]): Comparison {
  const partOf = (column: number, reading: PartAssessment | null): Part | null =>
    all[column]?.dish.parts.find(({ id }) => id === reading?.partId) ?? null
  const groups = partGroups(all).map((group) => {
    const name = group.find((part) => part !== null)?.name ?? ''
    return {
      lines: rows(name, group.map(lineItems), sameLine),
      steps: rows(
        name,
        group.map((part, column) => stepItems(partOf(column, part), part)),
        (a, b) => a.text === b.text,
      ),
      readings: rows(name, group.map(readingItems), sameFigure),
    }
  })
  return {
    lines: differencesFirst(groups.flatMap(({ lines }) => lines)),
    steps: differencesFirst(groups.flatMap(({ steps }) => steps)),
    readings: differencesFirst([
      ...rows(
        null,
        all.map(({ assessment }) => totalItems(assessment)),
        sameFigure,
      ),
      ...groups.flatMap(({ readings }) => readings),
    ]),
  }
}
