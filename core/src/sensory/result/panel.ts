import type { Ask, Tasting } from '../../model'
import { asksOf, scoresOf } from '../answers'
import { meanOf } from '../anova'
import { performanceOf } from '../performance'
import { orderedSamples } from '../design'
import { askName, isAttribute } from './words'

/** How one taster scored, in kind words, with the figures behind them. */
export interface TasterWords {
  readonly tasterId: string
  /** Scatter of the same glass again, points; null without a second round. */
  readonly repeats: number | null
  /** Correlation with the others over samples, -1 to 1; null with fewer than three samples. */
  readonly agrees: number | null
  readonly words: string
}

/** Repeats within this are steady; beyond the second, a warm-up helps. Practice. */
const STEADY = 0.8
const WIDE = 2
/** A taster's scores lie so far above or below the rest's. Practice. */
const LEANS = 1

/** Repeatability, agreement and lean of each taster, over what was scored. Only those who scored everything are read. */
export function panelWords(tasting: Tasting): TasterWords[] {
  const samples = orderedSamples(tasting.settings)
  const asks = asksOf(tasting.settings).filter((ask) => isAttribute(ask) || ask === 'difference')
  if (tasting.settings.protocol === 'jar') return []
  const by = new Map<string, { ask: Ask; repeats: number | null; agrees: number | null; bias: number }[]>()
  for (const ask of asks) {
    const rows = scoresOf(
      tasting,
      ask,
      samples.map(({ id }) => id),
    )
    const most = Math.max(0, ...rows.flatMap(({ scores }) => scores.map((cell) => cell.length)))
    const whole = rows.filter(({ scores }) => scores.every((cell) => cell.length === most && most > 0))
    if (whole.length < 2) continue
    performanceOf(whole.map(({ scores }) => scores)).forEach(({ repeatabilitySD, agreementR, bias }, at) => {
      const tasterId = whole[at]?.tasterId ?? ''
      const known = by.get(tasterId) ?? []
      known.push({ ask, repeats: repeatabilitySD, agrees: samples.length < 3 ? null : agreementR, bias })
      by.set(tasterId, known)
    })
  }
  return [...by].map(([tasterId, asked]) => {
    const repeated = asked.flatMap(({ repeats }) => (repeats === null ? [] : [repeats]))
    const agreed = asked.flatMap(({ agrees }) => (agrees === null ? [] : [agrees]))
    const repeats = repeated.length === 0 ? null : Math.sqrt(meanOf(repeated.map((sd) => sd * sd)))
    const agrees = agreed.length === 0 ? null : meanOf(agreed)
    const leans = asked.filter(({ bias }) => Math.abs(bias) >= LEANS)
    const all = asked.length > 1 && leans.length === asked.length
    const said: string[] = []
    if (repeats !== null)
      said.push(
        repeats <= STEADY
          ? `repeats within ${repeats.toFixed(1)} points`
          : repeats > WIDE
            ? `is ${repeats.toFixed(1)} points apart from one time to the next: a warm-up may help`
            : `repeats within ${repeats.toFixed(1)} points, as most do`,
      )
    if (agrees !== null && agrees < 0)
      said.push('puts them in the other order than the rest: ask what the word means there')
    else if (agrees !== null && agrees >= 0.7) said.push('in the same order as the rest')
    if (all && leans.every(({ bias }) => bias > 0) === leans.some(({ bias }) => bias > 0))
      said.push(
        `scores everything ${(leans[0]?.bias ?? 0) > 0 ? 'higher' : 'lower'} than the rest: kept, it cancels`,
      )
    else if (leans.length > 0 && leans.length <= 2)
      said.push(
        leans
          .map(
            ({ ask, bias }) =>
              `reads ${askName(ask)} ${Math.abs(bias).toFixed(1)} ${bias > 0 ? 'higher' : 'lower'}`,
          )
          .join(', '),
      )
    const words = said.length === 0 ? 'with the rest' : said.join('; ')
    return { tasterId, repeats, agrees, words }
  })
}
