import { type Ask, type AttributeId, attributeName, type Tasting, type TastingSample } from '../../model'

const COUNTS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
] as const
/** "five", "23". */
export const countWord = (count: number): string => COUNTS[count] ?? String(count)
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
export const people = (count: number): string => `${countWord(count)} ${count === 1 ? 'person' : 'people'}`
export const tasters = (count: number): string => `${countWord(count)} ${count === 1 ? 'taster' : 'tasters'}`

/** How often chance alone does something: "9 times in 100". */
export function chanceWords(p: number): string {
  if (p >= 0.995) return 'nearly always'
  if (p >= 0.0095) {
    const times = Math.round(100 * p)
    return times === 1 ? 'once in 100 times' : `${times} times in 100`
  }
  const times = Math.round(1000 * p)
  return times < 1
    ? 'less than once in 1,000 times'
    : times === 1
      ? 'once in 1,000 times'
      : `${times} times in 1,000`
}

export const percent = (share: number): string => `${Math.round(100 * share)} %`
export const points = (value: number): string => Math.abs(value).toFixed(1)
/** With a minus sign where it is below 0. */
export const signed = (value: number): string => `${value < 0 && value <= -0.05 ? '−' : ''}${points(value)}`
/** "p 0.03", never 0. */
export const pWords = (p: number | null): string =>
  p === null ? 'no p' : p < 0.001 ? 'p below 0.001' : `p ${p.toFixed(p < 0.0095 ? 3 : 2)}`

/** "a, b and c". */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1] ?? ''}`

export function askName(ask: Ask): string {
  if (ask === 'liking') return 'liking'
  if (ask === 'difference') return 'difference'
  if (ask === 'rank') return 'rank'
  return attributeName(ask)
}
export const isAttribute = (ask: Ask): ask is AttributeId =>
  ask !== 'liking' && ask !== 'difference' && ask !== 'rank'

/** What samples are called in a sentence: "the minced lamb", "Trial 3"; whole where two would be called alike. */
export function spokenLabels(samples: readonly TastingSample[]): ReadonlyMap<string, string> {
  const short = ({ label }: TastingSample): string => (label.split(',')[0] ?? label).trim()
  return new Map(
    samples.map((sample) => {
      const isAlone = samples.filter((one) => short(one) === short(sample)).length === 1
      const said = isAlone && short(sample) !== '' ? short(sample) : sample.label
      const isNamed = sample.kind === 'original' && !/^(?:the|our|a|an) /i.test(said)
      return [sample.id, isNamed ? `the ${said.charAt(0).toLowerCase()}${said.slice(1)}` : said]
    }),
  )
}

/** A tasting whose samples are called as in a sentence. */
export function spoken(tasting: Tasting): Tasting {
  const labels = spokenLabels(tasting.settings.samples)
  const samples = tasting.settings.samples.map((sample) => ({
    ...sample,
    label: labels.get(sample.id) ?? sample.label,
  }))
  return { ...tasting, settings: { ...tasting.settings, samples } }
}
