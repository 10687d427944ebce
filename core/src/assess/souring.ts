import type { Behaviour } from '../model'
import { cultureNear, hoursToPH, type PartRun } from '../process'

/** Cultured food is kept below this. @source pH 4.6, the usual bound of acid foods */
const SAFE_PH = 4.6
/** The curve is no surer than this, pH. Practice. */
const MODEL_PH = 0.25
/** It must be sour by then, h. @source 12 h from 35 C, 24 h below; practice */
const limitH = (tempC: number): number => (tempC >= 35 ? 12 : 24)
const MIN_PER_H = 60

const hours = (value: number): string => (value < 10 ? value.toFixed(1) : String(Math.round(value)))

/** When a culture is sour enough to keep, with its band, against the time that it may take. */
export function souringOf({ trace, program }: PartRun): Behaviour[] {
  return trace.flatMap(({ spec, tempC, reading }): Behaviour[] => {
    if (spec?.id !== 'culture' || reading.massG <= 0) return []
    const at = tempC ?? spec.usualC ?? 38
    const culture = cultureNear(program.library.facts.cultures.values(), at)
    const after = culture === null ? null : hoursToPH(SAFE_PH, at, culture)
    if (culture === null || after === null) return []
    const soonest = hoursToPH(SAFE_PH + MODEL_PH, at, culture) ?? after
    const latest = hoursToPH(SAFE_PH - MODEL_PH, at, culture)
    const limit = limitH(at)
    const isShort = reading.minutes / MIN_PER_H < after
    return [
      {
        id: 'sour-after',
        label: `pH ${SAFE_PH} after`,
        value: `about ${hours(after)} h at ${Math.round(at)} °C (${hours(soonest)} to ${latest === null ? 'never' : hours(latest)})${after > limit ? `; more than the ${limit} h it may take` : isShort ? '; this method stops before' : ''}`,
        confirm: `measure it: above ${SAFE_PH} after ${limit} h, throw it out, and never rescue it with acid. Follow your local food code`,
      },
    ]
  })
}
