import { regionOf, toPseudo } from '../experiment'
import type { Series, SeriesFactor } from '../model'

/** A setting of a series: one value for each factor, in the factor's own unit. */
export type Setting = readonly number[]

type Shape = Pick<Series, 'factors' | 'model'>

export const isShare = ({ kind }: SeriesFactor): boolean => kind === 'share'

/** Places of the shares, and of all else. */
export const placesOf = ({ factors }: Pick<Series, 'factors'>) => ({
  shares: factors.flatMap((factor, at) => (isShare(factor) ? [at] : [])),
  others: factors.flatMap((factor, at) => (isShare(factor) ? [] : [at])),
})

/** What is wrong with bounds; null where the series can be laid out. */
export function boundsFault({ factors }: Pick<Series, 'factors'>): string | null {
  const shares = factors.filter(isShare)
  if (shares.length === 1) return 'One share alone cannot vary: what it gains, another must lose. Add a line.'
  if (shares.length === 0) return null
  const region = regionOf(
    shares.map(({ low }) => low),
    shares.map(({ high }) => high),
  )
  if (!region.feasible)
    return 'No blend keeps these bounds: the lower ones must sum to 1 at most, the upper ones to 1 at least.'
  return null
}

/** Stated bounds of shares that no blend reaches: usually a slip. */
export function unreached({ factors }: Pick<Series, 'factors'>): string[] {
  const shares = factors.filter(isShare)
  if (shares.length < 2) return []
  const { impliedLower, impliedUpper } = regionOf(
    shares.map(({ low }) => low),
    shares.map(({ high }) => high),
  )
  const percent = (value: number): string => `${Math.round(100 * value)} %`
  return shares.flatMap(({ name, low, high }, at) => {
    const [least, most] = [impliedLower[at] ?? low, impliedUpper[at] ?? high]
    return Math.abs(least - low) < 1e-9 && Math.abs(most - high) < 1e-9
      ? []
      : [`${name} can only be ${percent(least)} to ${percent(most)}, for the others leave no more room.`]
  })
}

const coded = ({ low, high }: SeriesFactor, value: number): number => (2 * value - low - high) / (high - low)
const uncoded = ({ low, high }: SeriesFactor, z: number): number => (low + high + z * (high - low)) / 2

/** A setting as coordinates: shares above their lower bounds, all else from -1 to 1. */
export function coordinates({ factors }: Pick<Series, 'factors'>, setting: Setting): number[] {
  const { shares } = placesOf({ factors })
  const lower = shares.map((at) => factors[at]?.low ?? 0)
  const pseudo = toPseudo(
    shares.map((at) => setting[at] ?? 0),
    lower,
  )
  return factors.map((factor, at) =>
    isShare(factor) ? (pseudo[shares.indexOf(at)] ?? 0) : coded(factor, setting[at] ?? 0),
  )
}

/** A term of the model: its name in words, and its value at coordinates. */
export interface Term {
  readonly name: string
  readonly at: readonly number[]
}
export const termValue = ({ at }: Term, of: readonly number[]): number =>
  at.reduce((product, place) => product * (of[place] ?? 0), 1)

/**
 * Terms of a series' model. Shares: Scheffe's, without an intercept; beside times and heats each linear share times each
 * of them. Without shares: an intercept, each factor, and for a quadratic their products and squares.
 * @source experiments page, sections 3 to 5
 */
export function termsFor({ factors, model }: Shape): Term[] {
  const { shares, others } = placesOf({ factors })
  const name = (at: readonly number[]): string => at.map((place) => factors[place]?.name ?? '').join(' × ')
  const term = (...at: number[]): Term => ({ name: at.length === 0 ? 'middle' : name(at), at })
  const pairs = (of: readonly number[]): [number, number][] =>
    of.flatMap((a, index) => of.slice(index + 1).map((b): [number, number] => [a, b]))
  if (shares.length === 0)
    return [
      term(),
      ...others.map((at) => term(at)),
      ...(model === 'linear'
        ? []
        : [...pairs(others).map(([a, b]) => term(a, b)), ...others.map((at) => term(at, at))]),
    ]
  return [
    ...shares.map((at) => term(at)),
    ...(model === 'linear' ? [] : pairs(shares).map(([a, b]) => term(a, b))),
    ...(model === 'specialCubic'
      ? shares.flatMap((a, index) => pairs(shares.slice(index + 1)).map(([b, c]) => term(a, b, c)))
      : []),
    ...others.flatMap((z) => shares.map((at) => term(at, z))),
  ]
}

const mean = (points: readonly (readonly number[])[]): number[] =>
  (points[0] ?? []).map((_, at) => points.reduce((sum, point) => sum + (point[at] ?? 0), 0) / points.length)

/** Blends worth trying: corners, the middles between two, the centre, and halfway to each corner. @source experiments page 2.1 */
function blends(shares: readonly SeriesFactor[]): number[][] {
  const { vertices, centroid } = regionOf(
    shares.map(({ low }) => low),
    shares.map(({ high }) => high),
  )
  if (centroid === null) return []
  const corners = vertices.map((point) => [...point])
  const middles = corners.flatMap((a, at) => corners.slice(at + 1).map((b) => mean([a, b])))
  const axial = corners.map((corner) => mean([corner, [...centroid]]))
  const seen = new Set<string>()
  return [...corners, ...middles, [...centroid], ...axial].filter((point) => {
    const key = point.map((value) => value.toFixed(6)).join()
    return !seen.has(key) && seen.add(key)
  })
}

const MOST_CANDIDATES = 260

/** Settings that runs are chosen from. */
export function candidateSettings({ factors, model }: Shape): number[][] {
  const { shares, others } = placesOf({ factors })
  const mixes = shares.length === 0 ? [[]] : blends(shares.flatMap((at) => factors[at] ?? []))
  const levels = model === 'linear' && others.length > 1 ? [-1, 1] : [-1, 0, 1]
  const process = others.reduce<number[][]>(
    (all, at) => {
      const factor = factors[at]
      return factor === undefined
        ? all
        : all.flatMap((one) => levels.map((z) => [...one, uncoded(factor, z)]))
    },
    [[]],
  )
  return mixes
    .flatMap((mix) =>
      process.map((set) => factors.map((_, at) => mix[shares.indexOf(at)] ?? set[others.indexOf(at)] ?? 0)),
    )
    .slice(0, MOST_CANDIDATES)
}

/** The middle of everything. */
export function centreOf({ factors }: Pick<Series, 'factors'>): number[] {
  const { shares } = placesOf({ factors })
  const own = shares.flatMap((at) => factors[at] ?? [])
  const { centroid } = regionOf(
    own.map(({ low }) => low),
    own.map(({ high }) => high),
  )
  return factors.map((factor, at) =>
    isShare(factor) ? (centroid?.[shares.indexOf(at)] ?? 0) : (factor.low + factor.high) / 2,
  )
}

const SLACK = 1e-6
/** Whether a setting keeps every bound. */
export const isInside = ({ factors }: Pick<Series, 'factors'>, setting: Setting): boolean =>
  factors.every(({ low, high }, at) => {
    const width = high - low
    const value = setting[at] ?? 0
    return value >= low - SLACK * width && value <= high + SLACK * width
  })
