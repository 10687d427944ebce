import type { SolveLinear } from '../solver'
import type { Output, Problem } from './problemTypes'
import { CLOSEST, type Found, search, type ShouldStop } from './search'

/** One bound that holds the match back, and what loosening it would bring. */
export interface Bind {
  readonly id: string
  readonly label: string
  readonly unit: string
  readonly limit: number
  /** Distance against the bound, loosened and tightened around it. */
  readonly curve: readonly { readonly limit: number; readonly distance: number }[]
  readonly text: string
}

const LEAST_PULL = 1e-6
const MOST_BINDS = 2
/** Parts of the bound at which the trade-off is looked at. */
const SHARES = [0.7, 0.85, 1, 1.1, 1.25, 1.5] as const
/** Gains of less than this in distance are no reason to loosen anything. Practice. */
const LEAST_GAIN = 0.02
const LOOSER = 1.1

const figure = (value: number): string =>
  String(Number(value.toPrecision(Math.abs(value) >= 100 ? 3 : 2))).replace('-', '−')

/** What loosening would move most: "umami +0.7". */
function mostMoved({ outputs }: Problem, before: Float64Array, after: Float64Array): string {
  const lack = ({ low, high }: Output, value: number): number => Math.max(0, low - value, value - high)
  const gains = outputs
    .map((output, at) => ({
      output,
      gain:
        output.kind === 'attribute'
          ? output.weight * (lack(output, before[at] ?? 0) - lack(output, after[at] ?? 0))
          : 0,
      change: (after[at] ?? 0) - (before[at] ?? 0),
    }))
    .sort((a, b) => b.gain - a.gain)
  const best = gains[0]
  if (best === undefined || best.gain <= 0) return ''
  return `, most of it ${best.output.label} (${best.change > 0 ? '+' : '−'}${Math.abs(best.change).toFixed(1)})`
}

/** Which bounds hold the closest mix back, strongest first, each with the trade-off around it. */
export function bindsOf(problem: Problem, best: Found, solve: SolveLinear, shouldStop: ShouldStop): Bind[] {
  const { outputs } = problem
  const bound = outputs
    .map((output, at) => ({ output, at, pull: (best.pull[at] ?? 0) * output.scale }))
    .filter(({ output, pull }) => (output.kind === 'limit' || output.kind === 'window') && pull > LEAST_PULL)
    .sort((a, b) => b.pull - a.pull)
    .slice(0, MOST_BINDS)
  return bound.flatMap(({ output, at }): Bind[] => {
    if (shouldStop()) return []
    const value = best.y[at] ?? 0
    const isMost = Math.abs(value - output.high) < Math.abs(value - output.low)
    const limit = isMost ? output.high : output.low
    const boundsAt = (to: number) => (isMost ? { low: output.low, high: to } : { low: to, high: output.high })
    const from = (to: number): Found =>
      search(problem, best.x, { ...CLOSEST, bounds: new Map([[at, boundsAt(to)]]) }, solve, shouldStop)
    const looser = isMost ? LOOSER * limit : limit / LOOSER
    const loosened = from(looser)
    if (best.distance - loosened.distance < LEAST_GAIN) return []
    const curve = SHARES.map((share) => {
      const to = (isMost ? share : 1 / share) * limit
      return { limit: to, distance: share === 1 ? best.distance : from(to).distance }
    })
    const by = `${figure(Math.abs(looser - limit))} ${output.unit}`.trim()
    return [
      {
        id: output.id,
        label: output.label,
        unit: output.unit,
        limit,
        curve,
        text: `${output.label[0]?.toUpperCase() ?? ''}${output.label.slice(1)} holds it back: ${by} ${isMost ? 'more' : 'less'}${output.kind === 'limit' ? ' a portion' : ''} would bring the distance from ${best.distance.toFixed(2)} to ${loosened.distance.toFixed(2)}${mostMoved(problem, best.y, loosened.y)}.`,
      },
    ]
  })
}
