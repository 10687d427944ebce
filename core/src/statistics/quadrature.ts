const NODES = 32

/** Roots of the Legendre polynomial and their weights, by Newton's method. @source Abramowitz & Stegun 25.4.29 */
function legendre(n: number): readonly (readonly [x: number, weight: number])[] {
  return Array.from({ length: n }, (_, index) => {
    let x = Math.cos((Math.PI * (index + 0.75)) / (n + 0.5))
    let slope = 1
    for (let round = 0; round < 100; round += 1) {
      let before = 1
      let now = x
      for (let order = 2; order <= n; order += 1)
        [before, now] = [now, ((2 * order - 1) * x * now - (order - 1) * before) / order]
      slope = (n * (x * now - before)) / (x * x - 1)
      const step = now / slope
      x -= step
      if (Math.abs(step) < 1e-15) break
    }
    return [x, 2 / ((1 - x * x) * slope * slope)] as const
  })
}
const RULE = legendre(NODES)

/** Places and weights of Gauss-Legendre sums on `panels` equal pieces from `low` to `high`, 32 places each. */
export function ruleOn(
  low: number,
  high: number,
  panels: number,
): readonly (readonly [x: number, weight: number])[] {
  const half = (high - low) / panels / 2
  return Array.from({ length: panels }, (_, panel) =>
    RULE.map(([x, weight]) => [low + half * (2 * panel + 1 + x), half * weight] as const),
  ).flat()
}

/** The integral of a smooth function. */
export function integrate(low: number, high: number, panels: number, of: (x: number) => number): number {
  let sum = 0
  for (const [x, weight] of ruleOn(low, high, panels)) sum += weight * of(x)
  return sum
}
