import { type PartKey, partIn, type VineEntry } from '@frijol/core/history'

/** Height of one trial's row, px: few trials stand wider apart. */
const ROW = { least: 84, most: 128 } as const
export const rowHeight = (count: number, room: number): number =>
  Math.min(ROW.most, Math.max(ROW.least, Math.floor((room - 2 * TOP) / Math.max(1, count))))
/** Room for the axis above the first row, and on both sides of the scale. */
export const TOP = 14
const LEFT = 92
const RIGHT = 78

/** A trial, or a proposal, as it is drawn. */
export interface Seed {
  readonly key: string
  readonly number: number
  readonly fromNumber: number | null
  readonly state: VineEntry['state'] | 'next'
  readonly entry: VineEntry | null
  /** null where the part is not judged, or not in this trial. */
  readonly distance: number | null
  readonly tasted: number | null
  readonly x: number
  readonly y: number
  readonly tastedX: number | null
}

/** A stem from the seed that another came from. */
export interface Stem {
  readonly key: string
  readonly from: Seed
  readonly to: Seed
}

export interface Proposal {
  readonly key: string
  readonly fromNumber: number
  readonly number: number
  readonly distance: number
}

export interface VineLayout {
  readonly seeds: readonly Seed[]
  readonly stems: readonly Stem[]
  readonly height: number
  /** Distances with a line, and where it is drawn. */
  readonly ticks: readonly { readonly distance: number; readonly x: number }[]
  /** Where the band of those that are in every band begins. */
  readonly bandX: number
}

/** The scale ends at a half or whole distance that takes in every trial. */
const mostOf = (distances: readonly number[]): number =>
  Math.max(1, Math.ceil(2 * Math.max(0, ...distances)) / 2)
const stepOf = (most: number): number => (most <= 2 ? 0.5 : most <= 5 ? 1 : 2)

/** Trials in their order from above, the nearer to the original the further right; proposals at the end. */
export function layVine(
  entries: readonly VineEntry[],
  proposals: readonly Proposal[],
  part: PartKey,
  width: number,
  row: number,
): VineLayout {
  const points = entries.map((entry) => partIn(entry.parts, part))
  const most = mostOf([
    ...points.flatMap((point) => [point?.predicted?.value ?? 0, point?.tasted?.value ?? 0]),
    ...proposals.map(({ distance }) => distance),
  ])
  const span = Math.max(120, width - LEFT - RIGHT)
  const xOf = (distance: number): number => LEFT + span * (1 - distance / most)
  const seeds: Seed[] = entries.map((entry, at) => {
    const point = points[at]
    const distance = point?.predicted?.value ?? null
    const tasted = point?.tasted?.value ?? null
    return {
      key: entry.key,
      number: entry.number,
      fromNumber: entry.fromNumber,
      state: entry.state,
      entry,
      distance,
      tasted,
      x: xOf(Math.min(most, distance ?? most)),
      y: TOP + row * (at + 0.5),
      tastedX: tasted === null ? null : xOf(Math.min(most, tasted)),
    }
  })
  proposals.forEach(({ key, number, fromNumber, distance }, at) =>
    seeds.push({
      key,
      number,
      fromNumber,
      state: 'next',
      entry: null,
      distance,
      tasted: null,
      x: xOf(Math.min(most, distance)),
      y: TOP + row * (entries.length + at + 0.5),
      tastedX: null,
    }),
  )
  const kept = new Map(seeds.filter(({ state }) => state !== 'next').map((seed) => [seed.number, seed]))
  const step = stepOf(most)
  return {
    seeds,
    stems: seeds.flatMap((to): Stem[] => {
      const from = to.fromNumber === null ? undefined : kept.get(to.fromNumber)
      return from === undefined || from === to ? [] : [{ key: to.key, from, to }]
    }),
    height: TOP + row * seeds.length + TOP,
    ticks: Array.from({ length: Math.floor(most / step) }, (_, at) => ({
      distance: step * (at + 1),
      x: xOf(step * (at + 1)),
    })),
    bandX: xOf(0) - 6,
  }
}

/** How far a branch bows out where it would lie on another stem, px. */
const BOW = 40
const NEAR = 40

/** A stem as a path: down and across, leaving and arriving upright; a branch that would run straight past others bows out. */
export function stemPath({ from, to }: Stem, row: number): string {
  const middle = (from.y + to.y) / 2
  const isPast = to.y - from.y > 1.5 * row && Math.abs(to.x - from.x) < NEAR
  if (!isPast) return `M${from.x} ${from.y} C${from.x} ${middle} ${to.x} ${middle} ${to.x} ${to.y}`
  const side = Math.max(from.x, to.x) + BOW
  return `M${from.x} ${from.y} C${side} ${from.y + row * 0.5} ${side} ${to.y - row * 0.5} ${to.x} ${to.y}`
}
