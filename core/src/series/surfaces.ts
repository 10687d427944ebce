import type { AttributeId, Series } from '../model'
import { analyse, type Analysis, bestGuess, type BestGuess, controlsOf, gridOf, predictAt } from './analysis'
import { isInside, placesOf, type Setting } from './space'

type Three = readonly [number, number, number]

/** A response over three shares, all else as the best guess has it. */
export interface TernarySurface {
  readonly kind: 'ternary'
  /** So many steps along a side. */
  readonly steps: number
  /** Values on the grid, at shares above their lower bounds; `grams` are those of the three lines. */
  readonly points: readonly {
    readonly at: Three
    readonly value: number
    readonly grams: readonly number[]
  }[]
  readonly marks: readonly { readonly at: Three; readonly kind: 'made' | 'open' | 'best' }[]
  /** What stands at each corner, and the share that it has there. */
  readonly corners: readonly { readonly name: string; readonly share: number }[]
}

/** A response along one factor, the others as the best guess has them. */
export interface Slice {
  readonly name: string
  readonly unit: 'g' | 'min' | '°C'
  readonly now: number
  readonly points: readonly { readonly x: number; readonly y: number }[]
}

export type Surface = TernarySurface | { readonly kind: 'slices'; readonly slices: readonly Slice[] }

const STEPS = 32
const SLICE_POINTS = 15

function ternary(series: Series, attribute: AttributeId, at: Setting, isBest: boolean): TernarySurface {
  const { shares } = placesOf(series)
  const own = shares.flatMap((place) => series.factors[place] ?? [])
  const free = 1 - own.reduce((sum, { low }) => sum + low, 0)
  const above = (setting: Setting): Three => {
    const of = shares.map((place, index) => ((setting[place] ?? 0) - (own[index]?.low ?? 0)) / free)
    return [of[0] ?? 0, of[1] ?? 0, of[2] ?? 0]
  }
  const grid = gridOf({ factors: own }, STEPS).map((blend) =>
    series.factors.map((_, place) => blend[shares.indexOf(place)] ?? at[place] ?? 0),
  )
  const predicted = predictAt(series, attribute, grid) ?? []
  return {
    kind: 'ternary',
    steps: STEPS,
    points: grid.map((setting, index) => ({
      at: above(setting),
      value: predicted[index]?.value ?? 0,
      grams: shares.map((place) => (setting[place] ?? 0) * series.variableG),
    })),
    marks: [
      ...series.runs.map(({ setting, scores }) => ({
        at: above(setting),
        kind: scores[attribute] === undefined ? ('open' as const) : ('made' as const),
      })),
      ...(isBest ? [{ at: above(at), kind: 'best' as const }] : []),
    ],
    corners: own.map(({ name, low }) => ({ name, share: low + free })),
  }
}

/** Each factor from its lower to its upper bound; of shares the others give way alike. Nothing outside of the bounds is drawn. */
function slices(series: Series, attribute: AttributeId, at: Setting): Slice[] {
  const { shares } = placesOf(series)
  return series.factors.map((factor, place) => {
    const rest = shares.filter((one) => one !== place)
    const left = rest.reduce((sum, one) => sum + (at[one] ?? 0), 0)
    const settings = Array.from({ length: SLICE_POINTS }, (_, index) => {
      const value = factor.low + ((factor.high - factor.low) * index) / (SLICE_POINTS - 1)
      return series.factors.map((_one, other) => {
        if (other === place) return value
        if (factor.kind !== 'share' || !shares.includes(other)) return at[other] ?? 0
        return left > 0 ? ((at[other] ?? 0) / left) * (1 - value) : (1 - value) / rest.length
      })
    }).filter((setting) => isInside(series, setting))
    const predicted = predictAt(series, attribute, settings) ?? []
    const by = factor.kind === 'share' ? series.variableG : 1
    return {
      name: factor.name,
      unit: factor.kind === 'minutes' ? 'min' : factor.kind === 'tempC' ? '°C' : 'g',
      now: (at[place] ?? factor.low) * by,
      points: settings.map((setting, index) => ({
        x: (setting[place] ?? 0) * by,
        y: predicted[index]?.value ?? 0,
      })),
    }
  })
}

/** What the runs of a series say of one response. */
export interface ResponseReading {
  readonly attribute: AttributeId
  readonly analysis: Analysis
  /** null while it cannot be fitted. */
  readonly surface: Surface | null
  readonly controls: ReturnType<typeof controlsOf>
}

export interface SeriesReading {
  readonly best: BestGuess | null
  readonly responses: readonly ResponseReading[]
}

/** All that the runs of a series say so far. */
export function readSeries(series: Series): SeriesReading {
  const best = bestGuess(series)
  const at = best?.setting ?? series.runs[0]?.setting ?? []
  const isOfThree = placesOf(series).shares.length === 3
  return {
    best,
    responses: series.goals.map(({ attribute }) => {
      const analysis = analyse(series, attribute)
      const isFitted = analysis.fit.coefficients !== null
      return {
        attribute,
        analysis,
        controls: controlsOf(series, attribute),
        surface: !isFitted
          ? null
          : isOfThree
            ? ternary(series, attribute, at, best !== null)
            : { kind: 'slices', slices: slices(series, attribute, at) },
      }
    }),
  }
}
