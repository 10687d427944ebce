const LOGIT_90 = Math.log(9)

/** Logistic from 0 to 1: 0.1 at x10, 0.9 at x90. Smooth everywhere, so a search has gradients. */
export function rise(x: number, x10: number, x90: number): number {
  const middle = (x10 + x90) / 2
  return 1 / (1 + Math.exp((-2 * LOGIT_90 * (x - middle)) / (x90 - x10)))
}

/** The mirror of `rise`: 0.9 at x90, 0.1 at x10, with x90 below x10. */
export const fall = (x: number, x90: number, x10: number): number => 1 - rise(x, x90, x10)

/** 1 at best, 0.5 at low and high, smooth; log-normal, for ratios above 0. */
export function peak(x: number, low: number, best: number, high: number): number {
  if (x <= 0) return 0
  const side = x < best ? Math.log(best / low) : Math.log(high / best)
  return Math.exp(-Math.LN2 * (Math.log(x / best) / side) ** 2)
}

/** max(0, x) without a corner: 0 up to 0, x - scale far above it. Nothing is there where there is nothing. */
export const smoothFloor = (x: number, scale: number): number => (x <= 0 ? 0 : (x * x) / (x + scale))
