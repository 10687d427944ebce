import type { Tasting } from '../../model'
import { answered, asksOf } from '../answers'
import { pointsFound } from '../need'
import { protocolTable } from '../protocols'
import { type ForcedResult, forcedResult, forcedVerdict, type Verdict } from './forced'
import { type Observed, observedOf } from './gaps'
import { jarHeadline, jarResults, type JarResult, jarWords, MENTIONS_BELOW } from './jar'
import { panelWords, type TasterWords } from './panel'
import { type RankResult, rankResult, rankVerdict } from './ranks'
import { askResult, type AskResult } from './scores'
import {
  askName,
  capital,
  countWord,
  listed,
  people,
  percent,
  points,
  pWords,
  signed,
  spoken,
  tasters,
} from './words'

/** What a tasting comes to. */
export interface TastingResult {
  readonly verdict: Verdict
  readonly people: number
  /** Servings that were asked about, and those answered. */
  readonly asked: number
  readonly given: number
  readonly forced: ForcedResult | null
  readonly asks: readonly AskResult[]
  readonly jar: readonly JarResult[]
  readonly ranks: RankResult | null
  readonly panel: readonly TasterWords[]
  /** Where the attributes of the samples were put: for the formula. */
  readonly observed: readonly Observed[]
  readonly comments: readonly { readonly tasterId: string; readonly text: string }[]
}

/** Names of what was found, by verdict: "juiciness (0.9)". */
const named = (asks: readonly AskResult[], is: (verdict: string, difference: number) => boolean): string[] =>
  asks.flatMap(({ ask, against }) => {
    const [first] = against
    return first !== undefined && is(first.verdict, first.difference)
      ? [`${askName(ask)} (${points(first.difference)})`]
      : []
  })

function profileHeadline(tasting: Tasting, asks: readonly AskResult[]): string {
  const { samples, controlId } = tasting.settings
  const control = samples.find(({ id }) => id === controlId)
  if (samples.length === 1)
    return `Rated by ${tasters(Math.max(0, ...asks.map((one) => one.people)))}: ${listed(
      asks.flatMap(({ ask, samples: [only] }) =>
        only?.mean == null ? [] : [`${askName(ask)} ${only.mean.toFixed(1)}`],
      ),
    )}.`
  const base = control?.label ?? samples[0]?.label ?? 'the first'
  const missed = named(asks, (verdict) => verdict === 'less')
  const over = named(asks, (verdict) => verdict === 'more')
  const parts = [
    ...(missed.length > 0 ? [`they miss ${listed(missed)}`] : []),
    ...(over.length > 0 ? [`find too much ${listed(over)}`] : []),
  ]
  if (parts.length === 2) return `${capital(parts.join(', and '))}, beside ${base}.`
  if (parts.length === 1)
    return `${capital(missed.length > 0 ? (parts[0] ?? '') : `they ${parts[0] ?? ''}`)}, beside ${base}.`
  return `No difference from ${base} is shown in ${countWord(asks.length)} ${asks.length === 1 ? 'question' : 'questions'}.`
}

/** What scores come to in words, for one question that is not many. */
function scoreHeadline(asks: readonly AskResult[]): string {
  const [only] = asks
  if (only === undefined || only.people === 0) return 'Nobody has answered yet.'
  const [first] = only.against
  if (first === undefined) {
    const [sample] = only.samples
    return `${sample?.label ?? 'It'} is liked ${sample?.mean?.toFixed(1) ?? '?'} of 9 by ${tasters(only.people)}.`
  }
  if (only.ask === 'difference') {
    const base = only.samples[0]?.label ?? 'the control'
    const said = only.against.map(({ sampleId, difference }, at) => {
      const label = only.samples.find((one) => one.sampleId === sampleId)?.label ?? ''
      const way = difference >= 0 ? 'further' : 'nearer'
      return at === 0
        ? `${label} is ${points(difference)} points ${way} from ${base} than ${base} itself under a code`
        : `${label} ${points(difference)} ${way}`
    })
    return `${capital(said.join('; '))}.`
  }
  const said = only.samples.map(({ label, mean }) => `${label} ${mean?.toFixed(1) ?? '–'}`)
  return `Liked of 9: ${said.join(', ')}.`
}

function scoresVerdict(tasting: Tasting, asks: readonly AskResult[], jar: readonly JarResult[]): Verdict {
  const { settings } = tasting
  const { protocol, samples, controlId, alpha } = settings
  const most = Math.max(0, ...asks.map((one) => one.people), ...jar.map(({ penalty }) => penalty.n))
  const name = protocolTable(protocol).name
  if (most === 0) return { headline: 'Nobody has answered yet.', plain: [], cautions: [], method: `${name}.` }
  const control = samples.find(({ id }) => id === controlId)?.label ?? null
  const attributes = asks.filter(({ ask }) => ask !== 'liking' && ask !== 'difference')
  const headline =
    protocol === 'jar'
      ? jarHeadline(jar)
      : protocol === 'profile'
        ? profileHeadline(tasting, attributes)
        : scoreHeadline(asks)
  const plain: string[] = []
  const cautions: string[] = []
  if (most < 3) plain.push('Fewer than three people tasted: take it as notes, not as a test.')
  if (protocol === 'jar') plain.push(...jar.flatMap((one) => jarWords(one) ?? []))
  if (protocol === 'profile' && samples.length > 1 && most >= 3) {
    const alike = named(attributes, (verdict) => verdict === 'as' || verdict === 'small')
    const perhaps = named(attributes, (verdict) => verdict === 'perhaps')
    const open = named(attributes, (verdict) => verdict === 'open')
    const bare = (list: readonly string[]) => listed(list.map((one) => one.replace(/ \(.*\)$/, '')))
    if (alike.length > 0) plain.push(`As ${control ?? 'the first'}, within a point: ${bare(alike)}.`)
    if (perhaps.length > 0) plain.push(`Perhaps, but not shown: ${listed(perhaps)}.`)
    if (open.length > 0) plain.push(`Neither shown to differ nor to match: ${bare(open)}.`)
  }
  if (protocol === 'control') {
    const [only] = asks
    for (const { sampleId, p, verdict } of only?.against ?? []) {
      const label = samples.find(({ id }) => id === sampleId)?.label ?? ''
      if (verdict === 'no-test') continue
      plain.push(
        p !== null && p <= alpha
          ? `${label} is shown to be different from ${control ?? 'the control'} (${pWords(p)}).`
          : `${label} is not shown to be further away than the original itself under a code (${pWords(p)}); that is not shown to match, either.`,
      )
    }
  }
  if (protocol === 'liking' && most >= 3)
    for (const { sampleId, difference, low, high } of asks[0]?.against ?? []) {
      const label = samples.find(({ id }) => id === sampleId)?.label ?? ''
      const base = asks[0]?.samples[0]?.label ?? ''
      if (low === null || high === null) continue
      plain.push(
        low > 0 || high < 0
          ? `${label} is liked ${difference > 0 ? 'more' : 'less'} than ${base}: by ${points(difference)} points, between ${signed(low)} and ${signed(high)}.`
          : `${label} and ${base} are not shown to be liked differently: the difference lies between ${signed(low)} and ${signed(high)} points.`,
      )
    }
  const isLikingAsked = asks.some(({ ask }) => ask === 'liking')
  if (isLikingAsked && most < 60)
    cautions.push(`${capital(people(most))} are no market: they say how they like it, and nobody else.`)
  if (protocol === 'jar' && most < MENTIONS_BELOW)
    cautions.push('So few mentions are not ranked. They show what goes together, not what causes what.')
  if (attributes.length > 1 && protocol === 'profile' && samples.length > 1)
    cautions.push(
      `${capital(countWord(attributes.length))} questions were asked: chance alone calls at least one of them different in ${percent(1 - 0.95 ** attributes.length)} of such tastings.`,
    )
  if (protocol === 'profile' && samples.length === 1)
    cautions.push('Without the original beside it people rate from memory: put it in under a code, too.')
  if (settings.rounds > 1)
    cautions.push(
      `Each tasted ${settings.rounds === 2 ? 'twice' : `${countWord(settings.rounds)} times`}: the result speaks of these ${people(most)} only.`,
    )
  const scatters = asks.flatMap(({ scatter }) => (scatter === null ? [] : [scatter]))
  const scatter = scatters.length === 0 ? null : scatters.reduce((sum, one) => sum + one, 0) / scatters.length
  const found = scatter === null || scatter === 0 ? null : pointsFound(most, scatter, alpha)
  const sentence: readonly (string | null)[] = [
    protocol === 'control'
      ? 'Difference from control, analysis of variance with tasters, each against the blind control by Dunnett’s test, one-sided.'
      : protocol === 'jar'
        ? 'Five-point just-about-right scale beside nine-point liking; penalty: mean liking at just about right less that of a side.'
        : samples.length > 2
          ? 'Analysis of variance with tasters; intervals of 95 % over all comparisons at once by Tukey’s range.'
          : samples.length === 2
            ? 'Each taster’s own difference; intervals of 95 % by Student’s t.'
            : 'Means with 95 % intervals by Student’s t.',
    found === null || scatter === null
      ? null
      : `One taster’s differences scatter by ${scatter.toFixed(1)} points: ${tasters(most)} find a difference of ${found.toFixed(1)} in 8 of 10 such tastings.`,
  ]
  return { headline, plain, cautions, method: sentence.filter((one) => one !== null).join(' ') }
}

/** Works a tasting out, from its answers as they stand: unfinished, or with some missing, too. */
export function resultOf(written: Tasting): TastingResult {
  const tasting = spoken(written)
  const { kind } = protocolTable(tasting.settings.protocol)
  const servings = answered(tasting)
  const given = servings.filter(({ answer }) => answer?.isWhole === true)
  const forced = forcedResult(tasting)
  const ranks = kind === 'ranks' ? rankResult(tasting) : null
  const isJar = tasting.settings.protocol === 'jar'
  const asks =
    kind === 'scores'
      ? asksOf(tasting.settings)
          .filter((ask) => !isJar || ask === 'liking')
          .map((ask) => askResult(tasting, ask))
      : []
  const jar = isJar ? jarResults(tasting) : []
  const verdict =
    forced !== null
      ? forcedVerdict(tasting, forced)
      : ranks !== null
        ? rankVerdict(tasting, ranks)
        : scoresVerdict(tasting, asks, jar)
  const missing = servings.length - given.length
  const isMissing = given.length > 0 && missing > 0
  return {
    verdict: isMissing
      ? {
          ...verdict,
          cautions: [
            `${capital(countWord(missing))} of ${servings.length} answers ${missing === 1 ? 'is' : 'are'} missing: what stands here is of those that were given.`,
            ...verdict.cautions,
          ],
        }
      : verdict,
    people: new Set(given.map(({ serving }) => serving.tasterId)).size,
    asked: servings.length,
    given: given.length,
    forced,
    asks,
    jar,
    ranks,
    panel: kind === 'scores' ? panelWords(tasting) : [],
    observed: observedOf(tasting, asks),
    comments: given.flatMap(({ serving, answer }) =>
      answer === null || answer.comment.trim() === ''
        ? []
        : [{ tasterId: serving.tasterId, text: answer.comment.trim() }],
    ),
  }
}
