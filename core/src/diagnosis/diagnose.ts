import { asMadeDish } from '../history'
import type { Dish, Trial } from '../model'
import { deviationsOf } from './deviations'
import type { Record, Sign } from './evidence'
import { explains } from './explains'
import { type Lever, leverFor } from './lever'
import { type Bench, type PartFacts, partFacts } from './side'
import type { Symptom } from './symptom'
import { SHOWN_Z, type Weighed, weighedCauses } from './weigh'
import type { Met } from './words'

export interface DiagnoseAsk {
  /** The trial as written. */
  readonly dish: Dish
  readonly asMade: Trial['asMade']
  readonly partId: string
  /** The trial that it came from, as it was made; null where there is none. */
  readonly parent: { readonly dish: Dish; readonly asMade: Trial['asMade']; readonly number: number } | null
  readonly met: readonly Met[]
}

/** A cause with what speaks for and against it. */
export interface Suspect {
  readonly words: string
  readonly symptomId: string | null
  /** 0 to 1. */
  readonly probability: number
  readonly evidenceFor: readonly string[]
  readonly evidenceAgainst: readonly string[]
  /** Lines and steps that it is about. */
  readonly about: readonly string[]
  readonly check: string
  /** What to change, worked out; null where only the words of the table help. */
  readonly lever: Lever | null
  readonly levers: string
  readonly risk: string
}

export interface Diagnosis {
  readonly symptoms: readonly Symptom[]
  /** The likeliest first. */
  readonly suspects: readonly Suspect[]
  /** How likely it is that nothing that the record shows is to blame, 0 to 1. */
  readonly notInRecord: number
  /** It is likelier than any suspect. */
  readonly isOpen: boolean
}

/** That it is something that the record cannot show: an oven, a lot of flour, a hand. Practice. */
const ELSEWHERE = 0.34
const MOST_SUSPECTS = 6
const LEAST_SHOWN = 0.02

interface Merged {
  readonly one: Weighed
  probability: number
}

/** Causes of several symptoms that come from one deviation are one suspect. */
function merged(all: readonly { weighed: Weighed; probability: number }[]): Merged[] {
  const found = new Map<string, Merged>()
  for (const { weighed, probability } of all) {
    const [first] = weighed.deviations
    const key = first === undefined ? `words ${weighed.words}` : `${first.key} ${first.side}`
    const known = found.get(key)
    if (known === undefined) found.set(key, { one: weighed, probability })
    else {
      // The likelier wording stands for both.
      found.set(key, {
        one: known.probability >= probability ? known.one : weighed,
        probability: known.probability + probability,
      })
    }
  }
  return [...found.values()].sort((a, b) => b.probability - a.probability)
}

function suspectOf(
  { one, probability }: Merged,
  record: Record,
  bench: Bench,
  plan: PartFacts | null,
): Suspect {
  const seen = one.signs.filter(({ sign }) => sign.isSeen)
  const said = (wanted: (sign: Sign) => boolean) => [
    ...new Set(seen.filter(({ sign }) => wanted(sign) && sign.words !== '').map(({ sign }) => sign.words)),
  ]
  const forIt = one.signs.length === 0 ? [one.best.words] : said(({ z }) => z >= 0.5)
  const against = said(({ z }) => z < 0)
  return {
    words: one.words,
    symptomId: one.symptom.id,
    probability,
    evidenceFor: [
      ...forIt,
      ...(one.explained !== null && one.explained >= 0.3
        ? [`put back, it moves what is wrong by ${one.explained.toFixed(1)} points by the model`]
        : []),
    ],
    evidenceAgainst: [
      ...against,
      ...(forIt.length === 0 && seen.length > 0 ? ['nothing in the record is off there'] : []),
      ...(one.explained !== null && one.explained < -0.15
        ? ['put back, it would make it worse by the model']
        : []),
      ...(seen.length === 0 ? ['the record cannot show it'] : []),
    ],
    about: one.about,
    check: one.symptom.check,
    lever: leverFor({ deviations: one.deviations, look: one.look }, one.symptom, record, plan, bench),
    levers: one.symptom.levers,
    risk: one.symptom.risk,
  }
}

/**
 * Why a part of a trial came out wrong, by Bayes: the prior is the rank of a cause in the symptom table, the likelihood
 * how far each ratio, line, step, rule and weighing that would show it is off against the trial's own plan, the trial
 * that it came from, and what is usual; and whether putting it back moves what is wrong, by the engine.
 *
 * @returns null where the dish has no such part, or no symptom is known
 */
export function diagnose(ask: DiagnoseAsk, bench: Bench): Diagnosis | null {
  const { dish, asMade, partId, met } = ask
  const name = dish.parts.find(({ id }) => id === partId)?.name ?? ''
  const plan = partFacts(dish, partId, name, bench)
  const own = asMade.length === 0 ? plan : partFacts(asMadeDish(dish, asMade), partId, name, bench)
  if (own === null || met.length === 0) return null
  const parent =
    ask.parent === null
      ? null
      : partFacts(asMadeDish(ask.parent.dish, ask.parent.asMade), partId, name, bench)
  const isWeighed = asMade.length > 0 && plan !== null
  const record: Record = {
    own,
    other: parent ?? (isWeighed ? plan : null),
    deviations: deviationsOf(
      own,
      isWeighed ? plan : null,
      parent,
      ask.parent === null ? '' : `trial ${ask.parent.number}`,
    ),
  }
  const all = met.flatMap((one) => {
    const weighed = weighedCauses(
      record,
      one,
      (deviation) => explains(deviation, one.symptom, own, bench),
      bench,
    )
    const sum = weighed.reduce((total, { weight }) => total + weight, 0) + ELSEWHERE
    return weighed.map((each) => ({ weighed: each, probability: (one.weight * each.weight) / sum }))
  })
  const found = merged(all)
  const notInRecord = Math.max(0, 1 - found.reduce((sum, { probability }) => sum + probability, 0))
  // What the record cannot show, and nothing speaks for, is no finding of it.
  const isShown = ({ one }: Merged): boolean => one.best.isSeen && one.best.z >= SHOWN_Z
  const best = found.find(isShown)
  const suspects = [...found.filter(isShown), ...found.filter((one) => !isShown(one))]
    .sort((a, b) => b.probability - a.probability)
    .filter(({ probability }, at) => at < 3 || probability >= LEAST_SHOWN)
    .slice(0, MOST_SUSPECTS)
  const unseen = found.filter((one) => !isShown(one)).reduce((sum, { probability }) => sum + probability, 0)
  return {
    symptoms: met.map(({ symptom }) => symptom),
    suspects: suspects.map((one) => suspectOf(one, record, bench, isWeighed ? plan : null)),
    notInRecord,
    isOpen:
      best === undefined || best.probability < notInRecord + 0.5 * unseen * (best.one.best.z >= 2 ? 0 : 1),
  }
}
