import { type AttributeId, attributeName, type Tasting } from '../../model'
import { answered } from '../answers'
import { type Penalty, penaltyOf } from '../jar'
import { capital, countWord, listed, percent, points } from './words'

/** One attribute of one sample on the just-about-right scale. */
export interface JarResult {
  readonly sampleId: string
  readonly attribute: AttributeId
  /** How many said each of the five. */
  readonly counts: readonly number[]
  readonly penalty: Penalty
  /** Who said too little, and who too much. */
  readonly tooLittle: readonly string[]
  readonly tooMuch: readonly string[]
}

/** Below this many answers the line of 20 % is one to three people: they are named, and not ranked. @source ASTM MNL63; practice */
export const MENTIONS_BELOW = 20

export function jarResults(tasting: Tasting): JarResult[] {
  const { samples, attributes } = tasting.settings
  return samples.flatMap(({ id: sampleId }) =>
    attributes.map((attribute) => {
      const said = answered(tasting).flatMap(({ serving, answer }) => {
        const code = serving.glasses.find((glass) => glass.sampleId === sampleId)?.code
        const of = (ask: string) =>
          answer?.marks.find((mark) => mark.code === code && mark.ask === ask)?.value
        const jar = of(attribute)
        const liking = of('liking')
        // Both are needed: the one is read beside the other.
        return jar === undefined || liking === undefined ? [] : [{ tasterId: serving.tasterId, jar, liking }]
      })
      const names = (is: (jar: number) => boolean) => [
        ...new Set(said.filter(({ jar }) => is(jar)).map(({ tasterId }) => tasterId)),
      ]
      return {
        sampleId,
        attribute,
        counts: [1, 2, 3, 4, 5].map((value) => said.filter(({ jar }) => jar === value).length),
        penalty: penaltyOf(
          said.map(({ jar }) => jar),
          said.map(({ liking }) => liking),
        ),
        tooLittle: names((jar) => jar < 3),
        tooMuch: names((jar) => jar > 3),
      }
    }),
  )
}

/** What one attribute comes to, in a sentence; null where nobody minds. */
export function jarWords({ attribute, penalty, tooLittle, tooMuch }: JarResult): string | null {
  const name = attributeName(attribute)
  const { n } = penalty
  const little = penalty.tooLittle.overThreshold
  const much = penalty.tooMuch.overThreshold
  if (!little && !much) return null
  if (n < MENTIONS_BELOW) {
    const parts = [
      ...(little ? [`too little ${name} for ${listed(tooLittle)}`] : []),
      ...(much ? [`too much for ${listed(tooMuch)}`] : []),
    ]
    const both = little && much ? ': they differ, and one change cannot please both' : ''
    return `${capital(little ? parts.join('; ') : `too much ${name} for ${listed(tooMuch)}`)}${both}.`
  }
  const side = (which: 'tooLittle' | 'tooMuch', word: string): string => {
    const { share, penalty: cost, opportunity } = penalty[which]
    const costs =
      cost === null || opportunity === null
        ? ''
        : `, who like it ${points(cost)} points less: ${points(opportunity)} points of the whole panel's liking at best`
    return `${word} ${name} for ${percent(share)}${costs}`
  }
  const parts = [
    ...(little ? [side('tooLittle', 'too little')] : []),
    ...(much ? [side('tooMuch', 'too much')] : []),
  ]
  return `${capital(parts.join('; '))}.`
}

const howMany = (some: number, of: number): string =>
  some === of ? `all ${countWord(of)}` : `${countWord(some)} of ${countWord(of)}`

/** The headline of a just-about-right tasting. */
export function jarHeadline(results: readonly JarResult[]): string {
  const minded = results.filter(
    ({ penalty }) => penalty.tooLittle.overThreshold || penalty.tooMuch.overThreshold,
  )
  if (results.every(({ penalty }) => penalty.n === 0)) return 'Nobody has answered yet.'
  if (minded.length === 0) return 'Nobody much minds anything that was asked.'
  if (minded.length > 2)
    return `${capital(countWord(minded.length))} things are not just right: ${listed(minded.map(({ attribute }) => attributeName(attribute)))}.`
  const said = minded.map(({ attribute, penalty }) => {
    const { tooLittle, tooMuch } = penalty
    const way =
      tooLittle.overThreshold && tooMuch.overThreshold
        ? 'too little for some and too much for others'
        : tooLittle.overThreshold
          ? `too little for ${howMany(tooLittle.n, penalty.n)}`
          : `too much for ${howMany(tooMuch.n, penalty.n)}`
    return `${attributeName(attribute)} ${way}`
  })
  return `${capital(said.join('; '))}.`
}
