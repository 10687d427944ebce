/** First coefficient of the one-term solution for a piece heated from outside. @source Carslaw and Jaeger; cylinder, Biot about 5 */
const FIRST_TERM = 1.5
const POINTS = 24

export interface HeatingStep {
  readonly startC: number
  /** Of the air, oil, steam or bath. */
  readonly mediumC: number
  /** In the middle at the end, as the step's reading says. */
  readonly endC: number
  /** Above 0. */
  readonly minutes: number
}

/**
 * Temperature in the middle of what is heated, from the beginning to the end of a step: nothing happens at first, then it
 * draws near the medium, ever slower.
 * @returns minutes and C, from 0 on, the last point at the step's end
 * @source one-term conduction, theta = min(1, a e^-kt), with k from the step's own end
 */
export function heatingCurve({
  startC,
  mediumC,
  endC,
  minutes,
}: HeatingStep): readonly (readonly [number, number])[] {
  const whole = mediumC - startC
  // What is as warm as what is around it stays so; an end beyond the medium is the medium.
  const left = Math.abs(whole) < 0.5 ? 1 : Math.min(1, Math.max(0.01, (mediumC - endC) / whole))
  const rate = Math.log(FIRST_TERM / Math.min(left, FIRST_TERM)) / minutes
  return Array.from({ length: POINTS + 1 }, (_, at): [number, number] => {
    const time = (at * minutes) / POINTS
    const theta = left >= 1 ? 1 : Math.min(1, FIRST_TERM * Math.exp(-rate * time))
    return [Number(time.toFixed(3)), Number((mediumC - whole * theta).toFixed(2))]
  })
}
