import { assess } from '../assess'
import { gramsLine, weighingStep } from '../measure'
import type { Assessment, CookSession, Dish, Kitchen, Library, RatioReading, Trial, Weighing } from '../model'

/** One thing to weigh: a line, or the share of it that a step takes. */
export interface WeighLine {
  /** Of the step, or of the part where no step takes it, and the line. */
  readonly key: string
  readonly dishId: string
  readonly dish: string
  readonly partId: string
  readonly part: string
  readonly lineId: string
  readonly stepId: string | null
  readonly name: string
  /** The line as it is written. */
  readonly text: string
  readonly targetG: number
  /** So far off it still counts as it is written, g. */
  readonly toleranceG: number
}

/** A line that is off by less is as written. @source practice: a fiftieth, or one step of the scale */
const TOLERANCE = 0.02

/** Batches of one dish have the same lines: the dish that it is weighed for belongs to the key. */
const keyOf = (dishId: string, stepId: string | null, partId: string, lineId: string): string =>
  `${dishId}:${stepId ?? partId}:${lineId}`

/**
 * What is to be weighed for a dish, in the order in which its steps take it; what no step takes comes last. Lines without
 * a known mass have nothing to weigh.
 */
export function weighLines(dish: Dish, assessment: Assessment, kitchen: Kitchen): WeighLine[] {
  return assessment.parts.flatMap((reading) => {
    const part = dish.parts.find(({ id }) => id === reading.partId)
    if (part === undefined) return []
    const lines = new Map(reading.lines.map((line) => [line.lineId, line]))
    /** Share of each line that steps have not taken yet. */
    const left = new Map(reading.lines.map(({ lineId }) => [lineId, 1]))
    const entry = (lineId: string, stepId: string | null, share: number): WeighLine[] => {
      const line = lines.get(lineId)
      const targetG = (line?.massG ?? 0) * share
      if (line === undefined || targetG <= 0) return []
      return [
        {
          key: keyOf(dish.id, stepId, part.id, lineId),
          dishId: dish.id,
          dish: dish.name,
          partId: part.id,
          part: part.name,
          lineId,
          stepId,
          name: line.name,
          text: line.text,
          targetG,
          toleranceG: Math.max(weighingStep(targetG, kitchen), TOLERANCE * targetG),
        },
      ]
    }
    const taken = reading.steps.flatMap(({ stepId, takes }) =>
      takes.flatMap(({ kind, id, share }) => {
        if (kind !== 'line') return []
        const before = left.get(id) ?? 0
        const used = share === null ? before : Math.min(before, share)
        left.set(id, before - used)
        return entry(id, stepId, used)
      }),
    )
    const LEAST = 1e-6
    const rest = reading.lines.flatMap(({ lineId }) => {
      const share = left.get(lineId) ?? 0
      return share > LEAST ? entry(lineId, null, share) : []
    })
    return [...taken, ...rest]
  })
}

export const weighingKey = ({ dishId, stepId, partId, lineId }: Weighing): string =>
  keyOf(dishId, stepId, partId, lineId)

/** The newest weighing of each thing to weigh, by its key. */
export const weighedOf = (weighings: readonly Weighing[]): ReadonlyMap<string, Weighing> =>
  new Map(weighings.map((one) => [weighingKey(one), one]))

/** Masses of lines as they are: weighed where they were weighed, and as written where not yet. */
function massesOf(lines: readonly WeighLine[], masses: ReadonlyMap<string, number>): Map<string, number> {
  const found = new Map<string, number>()
  const isWeighed = new Set<string>()
  for (const { key, lineId, targetG } of lines) {
    const massG = masses.get(key)
    if (massG !== undefined) isWeighed.add(lineId)
    found.set(lineId, (found.get(lineId) ?? 0) + (massG ?? targetG))
  }
  return new Map([...found].filter(([lineId]) => isWeighed.has(lineId)))
}

/**
 * A dish with what was weighed in the place of what is written; what is not weighed yet stays as written.
 * @param masses g by the key of what was weighed
 */
export function asWeighed(
  dish: Dish,
  lines: readonly WeighLine[],
  masses: ReadonlyMap<string, number>,
): Dish {
  const grams = massesOf(
    lines.filter(({ dishId }) => dishId === dish.id),
    masses,
  )
  if (grams.size === 0) return dish
  return {
    ...dish,
    parts: dish.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => {
        const massG = grams.get(line.id)
        return massG === undefined ? line : gramsLine(line, Number(massG.toFixed(2)))
      }),
    })),
  }
}

const PROBE = 1.1
/** A ratio that moves by less of its window's width is not what this line decides. */
const LEAST_PULL = 0.02

/** The deciding ratio of the part that a tenth more of a line moves most across its window; null where none moves. */
export function decidedBy(
  line: WeighLine,
  dish: Dish,
  lines: readonly WeighLine[],
  library: Library,
  kitchen: Kitchen,
): string | null {
  const ratios = (masses: ReadonlyMap<string, number>): readonly RatioReading[] =>
    ratiosWith(dish, lines, masses, line.partId, library, kitchen)
  const more = ratios(new Map([[line.key, line.targetG * PROBE]]))
  const now = ratios(new Map([[line.key, line.targetG]]))
  let most = LEAST_PULL
  let found: string | null = null
  for (const { id, value, low, high } of now) {
    const moved = more.find((one) => one.id === id)
    const pull = Math.abs((moved?.value ?? value) - value) / Math.max(1e-9, high - low)
    if (pull > most) {
      most = pull
      found = id
    }
  }
  return found
}

/** The deciding ratios of a part as it is weighed so far, with the rest as written. */
export function ratiosWith(
  dish: Dish,
  lines: readonly WeighLine[],
  masses: ReadonlyMap<string, number>,
  partId: string,
  library: Library,
  kitchen: Kitchen,
): readonly RatioReading[] {
  const { parts } = assess(asWeighed(dish, lines, masses), library, kitchen)
  return parts.find((part) => part.partId === partId)?.ratios ?? []
}

/** What was weighed of each line of a dish, as a trial keeps it. Lines that were not weighed are not in it. */
export function asMadeOf(
  { weighings }: Pick<CookSession, 'weighings'>,
  dish: Dish,
  lines: readonly WeighLine[],
): Trial['asMade'] {
  const newest = weighedOf(weighings.filter(({ dishId }) => dishId === dish.id))
  const masses = new Map([...newest].map(([key, { massG }]) => [key, massG]))
  const own = lines.filter(({ dishId }) => dishId === dish.id)
  return [...massesOf(own, masses)].map(([lineId, massG]) => ({
    lineId,
    massG: Number(massG.toFixed(2)),
    instead:
      [...newest.values()].find((one) => one.lineId === lineId && one.instead !== null)?.instead ?? null,
  }))
}
