import type { StepReading } from '../model'

/** How much of a cook a step needs. */
export type Attendance = 'hands' | 'near' | 'alone'

/** Shares of a step's time that hands are on it, from which it takes the cook or keeps the cook near. @source practice */
const MOSTLY_HANDS = 0.45
const SOME_HANDS = 0.12

export function attendanceOf({ handsMin, minutes }: Pick<StepReading, 'handsMin' | 'minutes'>): Attendance {
  const share = minutes > 0 ? handsMin / minutes : 1
  return share >= MOSTLY_HANDS ? 'hands' : share >= SOME_HANDS ? 'near' : 'alone'
}

/** A distance that is shown as 0.0: inside every band that counts. */
const IN_EVERY_BAND = 0.05

/** Whether a part is inside every band of its original that counts. @param distance as assessed, 0 or more */
export const isInEveryBand = (distance: number): boolean => distance < IN_EVERY_BAND

/** How near a part is to its original, in words. @param distance null without an original */
export function closeness(distance: number | null): string {
  if (distance === null) return 'no original yet'
  return isInEveryBand(distance) ? 'in every band' : `${distance.toFixed(1)} from the original`
}
