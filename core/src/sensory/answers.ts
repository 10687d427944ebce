import type { Ask, Mark, Serving, Tasting, TastingAnswer, TastingSettings } from '../model'
import { isTwoSided, protocolTable, SCALES } from './protocols'

/** What is asked of each glass, in order: liking before everything else. @source Lawless & Heymann 2010 */
export function asksOf({ protocol, attributes, asksLiking }: TastingSettings): Ask[] {
  const { kind } = protocolTable(protocol)
  if (kind === 'forced') return []
  if (kind === 'ranks') return ['rank']
  if (protocol === 'control') return ['difference']
  if (protocol === 'liking') return ['liking']
  return [...(asksLiking ? (['liking'] as const) : []), ...attributes]
}

/** The scale of a question. */
export function scaleOf(protocol: TastingSettings['protocol'], ask: Ask, glasses: number) {
  if (ask === 'rank') return { least: 1, most: glasses, step: 1 }
  if (ask === 'liking') return SCALES.liking
  if (ask === 'difference') return SCALES.difference
  return protocol === 'jar' ? SCALES.jar : SCALES.attribute
}

/** How many glasses are picked. */
export const picksOf = ({ protocol }: TastingSettings): number => {
  const { forced } = protocolTable(protocol)
  return forced === null ? 0 : forced === 'tetrad' ? 2 : 1
}

/** What an answer still lacks or has wrong, as sentences; empty where it is whole. Forced choice: there is no "don't know". */
export function faultsOf(
  settings: TastingSettings,
  serving: Serving,
  { picked, marks }: Pick<TastingAnswer, 'picked' | 'marks'>,
): string[] {
  if (serving.round === 0) return []
  const codes = new Set(serving.glasses.map(({ code }) => code))
  const found: string[] = []
  const picks = picksOf(settings)
  if (picked.length !== picks || new Set(picked).size !== picks)
    found.push(
      picks === 1 ? 'One code is picked.' : picks === 2 ? 'Two codes are picked.' : 'No code is picked here.',
    )
  for (const code of [...picked, ...marks.map((mark) => mark.code)])
    if (!codes.has(code)) found.push(`${code} is no code of ${serving.tasterId}, round ${serving.round}.`)
  const asks = asksOf(settings)
  for (const { code, ask, value } of marks) {
    const { least, most } = scaleOf(settings.protocol, ask, serving.glasses.length)
    if (!asks.includes(ask)) found.push(`${ask} is not asked in this tasting.`)
    else if (value < least || value > most)
      found.push(`${code}, ${ask}: ${value} lies outside of ${least} to ${most}.`)
  }
  if (new Set(marks.map(({ code, ask }) => `${code} ${ask}`)).size < marks.length)
    found.push('A question has two answers for one glass.')
  return found
}

/** Questions without an answer, of those that a serving asks. An answer may be kept without them: missing data are allowed. */
export const openMarks = (
  settings: TastingSettings,
  serving: Serving,
  marks: readonly Mark[],
): { readonly code: number; readonly ask: Ask }[] =>
  serving.round === 0
    ? []
    : serving.glasses.flatMap(({ code }) =>
        asksOf(settings)
          .filter((ask) => !marks.some((mark) => mark.code === code && mark.ask === ask))
          .map((ask) => ({ code, ask })),
      )

/** Servings that ask something, each with its answer where there is one. */
export function answered({
  design,
  answers,
}: Tasting): { readonly serving: Serving; readonly answer: TastingAnswer | null }[] {
  const by = new Map(answers.map((answer) => [answer.servingId, answer]))
  return (design?.servings ?? [])
    .filter(({ round }) => round > 0)
    .map((serving) => ({ serving, answer: by.get(serving.id) ?? null }))
}

/** Whether the picked codes are right; null where nothing is right or wrong: nobody expected anything. */
export function isRight(
  settings: TastingSettings,
  serving: Serving,
  picked: readonly number[],
): boolean | null {
  const sampleOf = (code: number | undefined) =>
    serving.glasses.find((glass) => glass.code === code)?.sampleId
  const [one, other] = picked
  switch (protocolTable(settings.protocol).forced) {
    case 'triangle':
      return serving.glasses.filter(({ sampleId }) => sampleId === sampleOf(one)).length === 1
    case 'tetrad':
      return sampleOf(one) !== undefined && sampleOf(one) === sampleOf(other)
    case 'duotrio':
      return sampleOf(one) === serving.referenceId
    case 'twoafc':
      return sampleOf(one) === (isTwoSided(settings) ? testedId(settings) : settings.expectedId)
    default:
      return null
  }
}

/** The sample that is held against the control; of two without a control, the second. */
export const testedId = ({ samples, controlId }: TastingSettings): string | undefined =>
  controlId === null ? samples[1]?.id : samples.find(({ id }) => id !== controlId)?.id

/** Scores of one question: by taster (those who answered), sample (in the order given) and round. */
export function scoresOf(
  tasting: Tasting,
  ask: Ask,
  sampleIds: readonly string[],
): { readonly tasterId: string; readonly scores: readonly (readonly number[])[] }[] {
  const by = new Map<string, number[][]>()
  for (const { serving, answer } of answered(tasting)) {
    if (answer === null) continue
    for (const { code, sampleId } of serving.glasses) {
      const value = answer.marks.find((mark) => mark.code === code && mark.ask === ask)?.value
      const at = sampleIds.indexOf(sampleId)
      if (value === undefined || at < 0) continue
      const row = by.get(serving.tasterId) ?? sampleIds.map(() => [])
      row[at]?.push(value)
      by.set(serving.tasterId, row)
    }
  }
  return [...by].map(([tasterId, scores]) => ({ tasterId, scores }))
}
