import { changeWords, effectWords, type PartPoint, type VineEntry } from '@frijol/core/history'

const TURN = 0.05

/** What a trial's change did, in a line, and whether it came nearer. */
export interface Did {
  readonly text: string
  readonly tone: 'nearer' | 'further' | 'even'
}

export function didWords(entry: VineEntry, point: PartPoint, before: PartPoint | undefined): Did {
  const isTasted = point.tastedEffects.length > 0
  const effects = effectWords(isTasted ? point.tastedEffects : point.effects)
  const setAside = entry.state === 'set-aside' ? `set aside${because(entry)}` : ''
  const [was, is] = [
    before?.tasted?.value ?? before?.predicted?.value ?? null,
    point.tasted?.value ?? point.predicted?.value ?? null,
  ]
  const turn = was === null || is === null ? 0 : was - is
  return {
    text: setAside !== '' ? setAside : effects === '' ? '' : isTasted ? `tasted: ${effects}` : effects,
    tone: setAside !== '' || turn < -TURN ? 'further' : turn > TURN ? 'nearer' : 'even',
  }
}

/** Why it was set aside: what the decision says of it, else what was noted. */
function because({ decision, notes }: VineEntry): string {
  const said = firstSentence(decision.replace(/^\s*set aside[:.,]?\s*/i, ''))
  const reason = said === '' ? firstSentence(notes) : said
  return reason === '' ? '' : `: ${reason.charAt(0).toLowerCase()}${reason.slice(1)}`
}

export const firstSentence = (text: string): string =>
  (text.split(/(?<=[.!?;])\s/)[0] ?? text).replace(/[.;]$/, '')

/** What is on the stem: what changed. */
export const stemWords = ({ fromNumber }: VineEntry, point: PartPoint): string =>
  point.changes.length > 0
    ? changeWords(point.changes)
    : fromNumber === null
      ? 'the first formula'
      : 'this part unchanged'

/** "0.4 ± 0.3 from the original". */
export function distanceWords({ predicted, tasted, isInEveryBand, originalName }: PartPoint): string {
  if (predicted === null)
    return originalName === null ? 'no original yet' : 'not judged: too little is known of it'
  const said = isInEveryBand ? 'in every band' : `${predicted.value.toFixed(1)} from the original`
  return `${said} ± ${predicted.sd.toFixed(1)} by the model${tasted === null ? '' : `, ${tasted.value.toFixed(1)} ± ${tasted.sd.toFixed(1)} as tasted`}`
}
