/** Minutes after which 63 % of what will leave or cling has done so; 0 = at once. Practice. */
const TAU_MIN: Readonly<Record<string, number>> = {
  press: 25,
  marinate: 60,
  drain: 0.6,
  toast: 8,
  steam: 10,
  'steam-wrapped': 10,
}

/**
 * Fraction of the mass that is there after a parting or a pick-up.
 * @param longTime the fraction after a long time: under 1 leaves, over 1 clings
 */
export function partingFraction(operation: string, longTime: number, minutes: number): number {
  const tau = TAU_MIN[operation] ?? 0
  return tau === 0 ? longTime : 1 + (longTime - 1) * (1 - Math.exp(-minutes / tau))
}

/** The long-time fraction that explains one weighing. */
export function longTimeFraction(operation: string, fraction: number, minutes: number): number {
  const tau = TAU_MIN[operation] ?? 0
  const share = tau === 0 ? 1 : 1 - Math.exp(-Math.max(minutes, 0.1) / tau)
  return Math.max(0.01, 1 + (fraction - 1) / share)
}
