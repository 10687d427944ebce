import { predictProcess } from '../experiment'
import type { AttributeId, PartAssessment } from '../model'

/** What tasters said of one attribute, points of the scale. */
export interface TastedPoint {
  readonly value: number
  readonly sd: number
}

/** A trial that was made: what it comes to by the model, and what tasters said. */
export interface TriedPart {
  readonly number: number
  readonly reading: PartAssessment
  readonly tasted: ReadonlyMap<AttributeId, TastedPoint>
}

/** A ratio and what one unit of the scale that trials are told apart on is in it. */
export interface Axis {
  readonly id: string
  readonly scale: number
}

/** The dish's own ratios as axes: half the width of each window is one. */
export const axesOf = ({ ratios }: Pick<PartAssessment, 'ratios'>): Axis[] =>
  ratios.map(({ id, low, high }) => ({ id, scale: Math.max(1e-6, (high - low) / 2) }))

export const placeOf = ({ ratios }: Pick<PartAssessment, 'ratios'>, axes: readonly Axis[]): number[] =>
  axes.map(({ id, scale }) => (ratios.find((one) => one.id === id)?.value ?? 0) / scale)

/** Trials within so many half windows of each other err alike. @source 0.3 to 0.5 of the range, experiments page; practice */
const LENGTH = 0.9
/** The least that the model may err by, points. Practice. */
const LEAST_SIGNAL = 0.35

export interface Residual {
  /** To be added to what the model says, points. */
  readonly mean: number[]
  readonly sd: number[]
}

/**
 * What the model errs by at some mixes, learned from the tastings of the dish's own trials: a Gaussian process on the
 * dish's ratios with fixed scales, so that a handful of trials cannot bend it to their noise.
 *
 * @param modelSd how far the model may be off for this attribute before any tasting of the dish, points
 * @param at places of the mixes, on the axes
 * @source Rasmussen & Williams 2006; scales: practice
 */
export function residualAt(
  attribute: AttributeId,
  tried: readonly TriedPart[],
  axes: readonly Axis[],
  modelSd: number,
  at: readonly (readonly number[])[],
): Residual {
  const signalSd = Math.max(LEAST_SIGNAL, modelSd)
  const known = tried.flatMap(({ reading, tasted }) => {
    const said = tasted.get(attribute)
    const value = reading.attributes.find(({ id }) => id === attribute)?.value
    return said === undefined || value === undefined
      ? []
      : [{ place: placeOf(reading, axes), error: said.value - value, sd: said.sd }]
  })
  if (known.length === 0) return { mean: at.map(() => 0), sd: at.map(() => signalSd) }
  const noiseSd = Math.sqrt(known.reduce((sum, { sd }) => sum + sd ** 2, 0) / known.length)
  const { mean, sd } = predictProcess(
    known.map(({ place }) => place),
    known.map(({ error }) => error),
    at,
    {
      kernel: 'matern52',
      lengthScales: axes.map(() => LENGTH * Math.sqrt(Math.max(1, axes.length / 2))),
      signalSd,
      noiseSd,
      priorMean: 0,
    },
  )
  return { mean, sd }
}
