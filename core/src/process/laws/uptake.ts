/**
 * Water in a food after it lay in water.
 * @param ratio g water per g solids at the start
 * @param saturation the same after a long time, at least 0
 * @param minutes 0 or more; longer always comes nearer to saturation
 */
export const uptakeAfter = (ratio: number, saturation: number, minutes: number, tauMin: number): number =>
  saturation + (ratio - saturation) * Math.exp(-minutes / tauMin)

/** The saturation that explains one weighing; null where the time is too short to tell. */
export function saturationFrom(ratio: number, after: number, minutes: number, tauMin: number): number | null {
  const left = Math.exp(-minutes / tauMin)
  if (left > 0.95) return null
  const saturation = (after - ratio * left) / (1 - left)
  return saturation > 0 ? saturation : null
}
