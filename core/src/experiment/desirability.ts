/** What is wanted of one response. Set before anything is optimised. */
export type Wanted =
  | {
      readonly kind: 'maximise' | 'minimise'
      readonly low: number
      readonly high: number
      readonly weight: number
      readonly importance: number
    }
  | {
      readonly kind: 'target'
      readonly low: number
      readonly target: number
      readonly high: number
      readonly weightLow: number
      readonly weightHigh: number
      readonly importance: number
    }

const share = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)))

/** How desirable a value is, 0 to 1. @source Derringer & Suich 1980, J. Quality Technol. 12:214 */
export function desirabilityOf(wanted: Wanted, y: number): number {
  if (wanted.kind !== 'target') {
    const { low, high, weight } = wanted
    return (wanted.kind === 'maximise' ? share(y, low, high) : share(y, high, low)) ** weight
  }
  const { low, target, high, weightLow, weightHigh } = wanted
  return y <= target ? share(y, low, target) ** weightLow : share(y, high, target) ** weightHigh
}

/** All responses together: the geometric mean by importance; any zero gives zero. */
export function overallDesirability(wanted: readonly Wanted[], d: readonly number[]): number {
  if (d.some((one) => one === 0)) return 0
  const weights = wanted.reduce((sum, { importance }) => sum + importance, 0)
  const logs = d.reduce((sum, one, at) => sum + (wanted[at]?.importance ?? 0) * Math.log(one), 0)
  return Math.exp(logs / weights)
}
