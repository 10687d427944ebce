import type { Tasting } from '../../model'
import { answered, isRight, testedId } from '../answers'
import {
  type Discrimination,
  analyseForced,
  criticalNumber,
  type Similarity,
  similarityOf,
} from '../discrimination'
import { binomialBelow } from '../../statistics'
import { needOf, type Need } from '../need'
import { isTwoSided, protocolTable } from '../protocols'
import type { Forced } from '../psychometric'
import { askName, capital, chanceWords, countWord, pWords, percent, people, tasters } from './words'

export interface ByTaster {
  readonly tasterId: string
  readonly right: number
  readonly of: number
}
/** What answers that are right or wrong come to. */
export interface ForcedResult {
  readonly forced: Forced
  readonly correct: number
  readonly n: number
  readonly analysis: Discrimination
  /** Right answers from which a difference is shown; null = none would do. */
  readonly critical: number | null
  /** Up to so many right answers come by chance in 9 of 10 tastings. */
  readonly mostlyByChance: number
  readonly isShown: boolean
  readonly similarity: Similarity | null
  readonly need: Need
  readonly byTaster: readonly ByTaster[]
}
/** A result in words: the sentence first, what it means, what to mind, how it was worked out. */
export interface Verdict {
  readonly headline: string
  readonly plain: readonly string[]
  readonly cautions: readonly string[]
  readonly method: string
}

function mostlyByChance(n: number, guess: number): number {
  let most = 0
  while (most < n && binomialBelow(most, n, guess) < 0.9) most += 1
  return most
}

/** Fewer right answers than this share of tastings without any difference gives: the key is to be looked at. */
const FAR_BELOW = 0.1

export function forcedResult(tasting: Tasting): ForcedResult | null {
  const { settings } = tasting
  const { forced } = protocolTable(settings.protocol)
  if (forced === null) return null
  const by = new Map<string, { right: number; of: number }>()
  for (const { serving, answer } of answered(tasting)) {
    if (answer === null || answer.picked.length === 0) continue
    const one = by.get(serving.tasterId) ?? { right: 0, of: 0 }
    one.of += 1
    if (isRight(settings, serving, answer.picked) === true) one.right += 1
    by.set(serving.tasterId, one)
  }
  const byTaster = [...by].map(([tasterId, counts]) => ({ tasterId, ...counts }))
  const correct = byTaster.reduce((sum, { right }) => sum + right, 0)
  const n = byTaster.reduce((sum, { of }) => sum + of, 0)
  const side = isTwoSided(settings) ? 'two.sided' : 'greater'
  const analysis = analyseForced(forced, correct, n, side)
  const critical = n === 0 ? null : criticalNumber(n, analysis.guess, settings.alpha, side)
  return {
    forced,
    correct,
    n,
    analysis,
    critical,
    mostlyByChance: mostlyByChance(n, analysis.guess),
    isShown: analysis.pValue !== null && analysis.pValue <= settings.alpha,
    similarity:
      n === 0 || settings.similarPd === null || forced === 'twoafc'
        ? null
        : similarityOf(forced, correct, n, settings.similarPd, 0.05),
    need: needOf(settings),
    byTaster,
  }
}

/** Who it rests on: without this person alone, nothing would be shown. */
function carriedBy({ byTaster, forced, isShown }: ForcedResult, tasting: Tasting): string | null {
  if (!isShown || byTaster.length < 3) return null
  const side = isTwoSided(tasting.settings) ? 'two.sided' : 'greater'
  const carries = byTaster.filter(({ right, of }) => {
    const rest = byTaster.reduce((sum, one) => ({ right: sum.right + one.right, of: sum.of + one.of }), {
      right: -right,
      of: -of,
    })
    const { pValue } = analyseForced(forced, rest.right, rest.of, side)
    return of > 1 && pValue !== null && pValue > tasting.settings.alpha
  })
  return carries.length === 1 ? (carries[0]?.tasterId ?? null) : null
}

const labelOf = ({ settings }: Tasting, id: string | undefined): string =>
  settings.samples.find((sample) => sample.id === id)?.label ?? 'the other'

/** What right answers did: "picked the odd one", "pick the odd one". */
const DO: Readonly<Record<Exclude<Forced, 'twoafc'>, readonly [did: string, does: string]>> = {
  triangle: ['picked the odd one', 'pick the odd one'],
  tetrad: ['put the right two together', 'put the right two together'],
  duotrio: ['found the original again', 'find the original again'],
  threeafc: ['picked it', 'pick it'],
}

/** The two words for a test: of a paired comparison, what was found in which sample. */
function doing({ settings }: Tasting, forced: Forced, label: string): readonly [did: string, does: string] {
  if (forced !== 'twoafc') return DO[forced]
  return settings.by === null
    ? [`liked ${label} better`, `like ${label} better`]
    : [`found more ${askName(settings.by)} in ${label}`, `find more ${askName(settings.by)} in ${label}`]
}

const noneOf = (count: number): string => (count === 0 ? 'none' : countWord(count))

export function forcedVerdict(tasting: Tasting, result: ForcedResult): Verdict {
  const { settings } = tasting
  const { n, analysis, critical, isShown, byTaster, forced, similarity, need } = result
  const own = settings.protocol === 'own'
  const name = `${protocolTable(settings.protocol).name}${forced === 'twoafc' || own ? '' : ' test'}`
  if (n === 0) return { headline: 'Nobody has answered yet.', plain: [], cautions: [], method: `${name}.` }
  const m = byTaster.length
  const isRepeated = n > m
  const p = analysis.pValue ?? 1
  const twoSided = isTwoSided(settings)
  // Of two that either could be, the one that more went for is named.
  const isOther = twoSided && 2 * result.correct < n
  const correct = isOther ? n - result.correct : result.correct
  const tested = twoSided ? testedId(settings) : (settings.expectedId ?? testedId(settings))
  const named = isOther ? settings.samples.find(({ id }) => id !== tested)?.id : tested
  const [did, does] = doing(tasting, forced, labelOf(tasting, named))
  const cook = byTaster[0]?.tasterId ?? 'the cook'
  const who = own
    ? `${cook} ${did} ${correct === 0 ? 'no time' : correct === 1 ? 'once' : `${countWord(correct)} times`} of ${countWord(n)}`
    : `${capital(noneOf(correct))} of ${countWord(n)}${isRepeated ? ' answers' : ''} ${did}`
  const headline = `${who}. Chance alone does that${twoSided ? ', one way or the other,' : ''} ${chanceWords(p)}.`
  const plain: string[] = []
  const cautions: string[] = []
  const counted = own ? `${countWord(n)} tries` : isRepeated ? `${countWord(n)} answers` : tasters(n)
  if (!own && m < 3) plain.push('Fewer than three people tasted: take it as a note, not as a test.')
  else if (isShown)
    plain.push(
      forced === 'twoafc'
        ? `Shown: more of them ${does}.`
        : own
          ? `Shown to differ to ${cook}.`
          : 'Shown to differ: they can tell.',
    )
  else if (similarity?.similar === true)
    plain.push(
      `Shown to match within the limit that was set: no more than ${percent(settings.similarPd ?? 0)} of people would tell.`,
    )
  else if (critical === null)
    plain.push(
      `Not shown to differ, and it could not be: ${counted} cannot show a difference, whatever they say.`,
    )
  else
    plain.push(
      `Not shown to differ, and not shown to match either: ${counted} see a difference for sure only when ${countWord(critical)} or more ${twoSided ? 'say the same' : does}.`,
    )
  if (similarity !== null && !similarity.similar && !isShown)
    plain.push(
      similarity.maxCorrect === null
        ? `A match within ${percent(settings.similarPd ?? 0)} cannot be shown by so few.`
        : `A match within ${percent(settings.similarPd ?? 0)} would need ${countWord(similarity.maxCorrect)} right answers or fewer.`,
    )
  if (!own && isRepeated)
    cautions.push(`These are ${n} answers of ${people(m)}: the result speaks of these people only.`)
  if (own) cautions.push('It speaks of one taster alone.')
  const carrier = carriedBy(result, tasting)
  if (carrier !== null) cautions.push(`It rests on ${carrier}: without these answers nothing would be shown.`)
  if (
    !twoSided &&
    analysis.pdRaw !== null &&
    analysis.pdRaw < 0 &&
    binomialBelow(result.correct, n, analysis.guess) <= FAR_BELOW
  )
    cautions.push(
      'Fewer were right than guessing gives: check the codes and the key before reading anything into it.',
    )
  const dPrime = `d′ ${shown(analysis.dPrime)} (${shown(analysis.dPrimeLowerExact)} to ${shown(analysis.dPrimeUpperExact)})`
  const method = [
    `${name}, exact binomial, ${twoSided ? 'two-sided' : 'one-sided'}, ${pWords(p)}.`,
    twoSided
      ? null
      : `Share who truly tell: ${percent(analysis.pd ?? 0)}, between ${percent(analysis.pdLowerExact ?? 0)} and ${percent(analysis.pdUpperExact ?? 1)} (95 % on each side); ${dPrime}.`,
    needWords(need, settings.detects),
  ]
    .filter((sentence) => sentence !== null)
    .join(' ')
  return { headline, plain, cautions, method }
}

const shown = (dPrime: number | null): string => (dPrime === null ? 'without bound' : dPrime.toFixed(1))

/** "To be fairly sure of d' 1.5: 57 tastings; these find it 15 times in 100." */
export function needWords({ stable, power, planned, unit }: Need, detects: number): string {
  const difference = unit === 'd′' ? `a difference of d′ ${detects}` : `a difference of ${detects} ${unit}`
  const wanted =
    stable === null
      ? `To be fairly sure of ${difference} more tastings are needed than a kitchen holds`
      : `To be fairly sure of ${difference}: ${stable} ${unit === 'd′' ? 'tastings' : 'tasters'}`
  return power === null
    ? `${wanted}.`
    : `${wanted}; ${unit === 'd′' ? `${planned} planned find` : 'those planned find'} it ${chanceWords(power)}.`
}
