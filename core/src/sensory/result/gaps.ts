import type { AttributeId, Tasted, Tasting } from '../../model'
import { isAttribute } from './words'
import type { AskResult } from './scores'

/** One attribute as it was tasted, on the kitchen's scale, beside what the model said. */
export interface Observed {
  readonly sampleId: string
  readonly attribute: AttributeId
  readonly observed: number
  readonly sd: number
  readonly people: number
  /** Signed difference from the control; null where there was none. */
  readonly difference: number | null
  readonly isShown: boolean
}

/** Scatter of one taster's difference where too few repeated to tell it, points. Practice. */
const USUAL_SCATTER = 1.8
/** No panel knows a mean better than this, points. Practice. */
const LEAST_SD = 0.3

/**
 * Where a tasting puts each attribute of each sample on the scale: the original's own place and how far from it the
 * tasters put the sample, so that a taster who scores everything high moves nothing; without an original, their mean.
 * Fewer than three people place nothing.
 */
export function observedOf({ settings }: Tasting, asks: readonly AskResult[]): Observed[] {
  const control = settings.samples.find(({ id }) => id === settings.controlId)
  return asks.flatMap(({ ask, samples, against, people, scatter }) => {
    if (!isAttribute(ask) || people < 3 || settings.protocol !== 'profile') return []
    return samples.flatMap((score): Observed[] => {
      if (score.sampleId === control?.id || score.mean === null) return []
      const of = against.find(({ sampleId }) => sampleId === score.sampleId)
      const stands = control?.kind === 'original' ? control.predicted[ask]?.value : undefined
      const isBeside = stands !== undefined && control !== undefined && of !== undefined
      const own = score.ciHigh === null ? USUAL_SCATTER / Math.sqrt(people) : (score.ciHigh - score.mean) / 2
      const sd = isBeside ? (of.se ?? (scatter ?? USUAL_SCATTER) / Math.sqrt(people)) : own
      return [
        {
          sampleId: score.sampleId,
          attribute: ask,
          observed: isBeside ? stands + of.difference : score.mean,
          sd: Math.max(LEAST_SD, sd),
          people,
          difference: control === undefined ? null : (of?.difference ?? null),
          isShown: of?.verdict === 'more' || of?.verdict === 'less',
        },
      ]
    })
  })
}

/** What the kitchen keeps of a tasting, so that its families learn from it. */
export function tastedOf(tasting: Tasting, observed: readonly Observed[], date: string): Tasted[] {
  return observed.flatMap(({ sampleId, attribute, observed: value, sd, people }): Tasted[] => {
    const sample = tasting.settings.samples.find(({ id }) => id === sampleId)
    const said = sample?.predicted[attribute]
    if (sample?.family == null || said === undefined) return []
    return [
      {
        id: `${tasting.id}/${sampleId}/${attribute}`,
        tastingId: tasting.id,
        family: sample.family,
        attribute,
        predicted: said.value,
        observed: Math.min(20, Math.max(-10, value)),
        sd,
        people,
        label: sample.label,
        date,
        dishId: tasting.dishId,
        trialNumber: sample.trialNumber,
        partId: sample.partId,
        by: 'tasters',
      },
    ]
  })
}
