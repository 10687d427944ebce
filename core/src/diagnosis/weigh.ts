import type { Deviation } from './deviation'
import { type Record, type Sign, signOf } from './evidence'
import { isOf } from './foodGroups'
import { turned } from './lever'
import type { Bench } from './side'
import type { Look, Symptom } from './symptom'
import type { Met } from './words'

/** Prior of a cause by its rank in the table. Practice. */
const RANK = [1, 0.72, 0.52, 0.4, 0.32, 0.26, 0.22] as const
/** That it is something off that the table does not name for the symptom. Practice. */
const UNNAMED = 0.3
/** Log likelihood ratio of a sign by how far off it is: nothing off speaks against, three times the usual speaks for. Practice. */
const LN_AT_ZERO = -1.1
const LN_PER_Z = 0.85
const LN_UNSEEN = -0.8
const MOST_LN = 3.6
/** From so far off on a sign shows something. */
export const SHOWN_Z = 0.8
const lnOf = ({ z, isSeen }: Sign): number =>
  isSeen ? Math.min(MOST_LN, LN_AT_ZERO + LN_PER_Z * z) : LN_UNSEEN

/** A cause with its signs, and how much it weighs against the others. */
export interface Weighed {
  /** Off in the record, and every sign that says so. */
  readonly deviations: readonly Deviation[]
  readonly about: readonly string[]
  readonly words: string
  readonly symptom: Symptom
  readonly signs: readonly { readonly look: Look; readonly sign: Sign }[]
  readonly best: Sign
  readonly look: Look | null
  readonly weight: number
  readonly explained: number | null
}

/** What the engine says of a change put back, as a log likelihood ratio: it mends the symptom, or does nothing to it. */
function lnExplained(points: number | null): number {
  if (points === null) return 0
  if (points < -0.15) return -1.6
  return Math.min(1.3, 1.4 * (points - 0.25))
}

/** Without anything to hold a trial against, what a turn of a look would do by the engine is the sign. Practice. */
function turnSign(record: Record, look: Look, symptom: Symptom, bench: Bench): Sign | null {
  if (record.other !== null) return null
  const found = turned(look, symptom, record.own, bench)
  if (found === null || found.nearer < LEAST_NEARER) return null
  const z = Math.min(
    MOST_TURN_Z,
    2 * Math.min(1, found.nearer) + 0.6 * Math.min(2, Math.max(0, found.mended)),
  )
  return {
    z,
    isSeen: true,
    deviations: [],
    about: found.about,
    words: `${found.words} would come ${found.nearer.toFixed(1)} nearer to the original by the model`,
  }
}
const LEAST_NEARER = 0.1
const MOST_TURN_Z = 2.6

const signFor = (record: Record, look: Look, symptom: Symptom, bench: Bench): Sign => {
  const seen = signOf(record, look)
  if (seen.isSeen && seen.z > 1.5) return seen
  const turn = turnSign(record, look, symptom, bench)
  return turn !== null && (!seen.isSeen || turn.z > seen.z) ? turn : seen
}

/** Lines and steps of a cause: where it was seen, else the largest line of the foods that it is about. */
function aboutOf({ own }: Record, all: readonly Look[], off: readonly { readonly sign: Sign }[]): string[] {
  const seen = [...new Set(off.flatMap(({ sign }) => sign.about))]
  if (seen.length > 0 || !off.some(({ sign }) => sign.isSeen && sign.z >= SHOWN_Z)) return seen
  const groups = all.flatMap((look) => (look.kind === 'foods' ? look.of : []))
  const [largestLine] = own.reading.lines
    .filter(({ lineId }) => {
      const food = own.foodOf(lineId)
      return food !== null && isOf(food, groups)
    })
    .sort((a, b) => (b.massG ?? 0) - (a.massG ?? 0))
  return largestLine === undefined ? [] : [largestLine.lineId]
}

/** A sign from so far off on is named with a cause. */
const NAMED_Z = 1

export function weighedCauses(
  record: Record,
  met: Met,
  explainedBy: (one: Deviation) => number | null,
  bench: Bench,
): Weighed[] {
  const { symptom } = met
  const causes = symptom.causes.map(({ words, looks }, rank): Weighed => {
    const signs = looks.map((look) => ({ look, sign: signFor(record, look, symptom, bench) }))
    const best = [...signs].sort((a, b) => lnOf(b.sign) - lnOf(a.sign))[0]
    const also = signs.filter((one) => one !== best && one.sign.isSeen && one.sign.z >= 1.5).length
    const sign = best?.sign ?? { z: 0, isSeen: false, words: '', deviations: [], about: [] }
    const off = signs.filter((one) => one === best || (one.sign.isSeen && one.sign.z >= NAMED_Z))
    const deviations = [...new Set(off.flatMap((one) => one.sign.deviations))]
    const explained = largest(deviations.map(explainedBy))
    const prior = RANK[Math.min(rank, RANK.length - 1)] ?? 0.2
    return {
      words,
      symptom,
      signs,
      deviations,
      about: aboutOf(record, looks, off),
      best: sign,
      look: best?.look ?? null,
      explained,
      weight: prior * Math.exp(lnOf(sign) + 0.25 * Math.min(2, also) + lnExplained(explained)),
    }
  })
  const named = new Set(causes.flatMap(({ deviations }) => deviations.map(({ key }) => key)))
  const rest = record.deviations
    .filter(({ key, z, kind }) => z >= 1 && kind !== 'yield' && !named.has(key))
    .map((one): Weighed => {
      const explained = explainedBy(one)
      const sign: Sign = { z: one.z, isSeen: true, words: one.words, deviations: [one], about: one.about }
      // What is off and named for nothing must at least move what is wrong.
      const relevance = explained === null ? 0.12 : explained < 0.25 ? 0.05 : 1
      return {
        words: one.words.charAt(0).toUpperCase() + one.words.slice(1),
        symptom,
        signs: [],
        deviations: [one],
        about: one.about,
        best: sign,
        look: null,
        explained,
        weight: UNNAMED * relevance * Math.exp(lnOf(sign) + lnExplained(explained)),
      }
    })
  return [...causes, ...rest]
}

const largest = (values: readonly (number | null)[]): number | null => {
  const known = values.filter((value) => value !== null)
  return known.length === 0 ? null : Math.max(...known)
}
