import type { ColourFact, Pigment } from '../model'
import type { Coloured, Lab } from './mix'

/** What cooking did to a part that pigments mind. */
export interface Cooked {
  readonly peakC: number
  readonly pH: number
}

/** A rise from 0 to 1 between two values. */
const between = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)))

/** What is left of a pigment's strength, and what it turns into as it goes. */
interface Change {
  /** Share of the strength that is kept, 0 to 1. */
  readonly kept: number
  /** What the rest has turned into; null = it has faded. */
  readonly into: Lab | null
}

const OLIVE: Lab = [44, -1, 24]
const BLUE: Lab = [30, 4, -14]
const RED: Lab = [36, 38, 10]

/**
 * What heat and acid do to a pigment.
 * @source betalain fades above 60 C and outside pH 4 to 6; chlorophyll turns olive in heat, sooner in acid; anthocyanin is
 *   red in acid and blue above pH 7; carotenoids and curcumin stand. Shares are practice
 */
function changeOf(pigment: Pigment, { peakC, pH }: Cooked): Change {
  switch (pigment) {
    case 'betalain': {
      const heat = 1 - 0.55 * between(peakC, 60, 95)
      const acid = 1 - 0.4 * Math.max(between(4 - pH, 0, 1), between(pH - 6, 0, 1.5))
      return { kept: heat * acid, into: null }
    }
    case 'chlorophyll': {
      const turned = (0.6 + 0.3 * between(5.8 - pH, 0, 1.5)) * between(peakC, 60, 90)
      return { kept: 1 - turned, into: OLIVE }
    }
    case 'anthocyanin': {
      const blue = 0.7 * between(pH, 6.5, 8)
      const red = 0.7 * between(5 - pH, 0, 1.5)
      return blue > 0 ? { kept: 1 - blue, into: BLUE } : { kept: 1 - red, into: RED }
    }
    case 'carotenoid':
    case 'curcumin':
      return { kept: 1, into: null }
  }
}

/** The colours of a food in a mix, before cooking, or after it. @param solidsG what of it is no water, g */
export function coloursOf(fact: ColourFact, solidsG: number, cooked: Cooked | null): Coloured[] {
  const weight = solidsG * fact.strength
  if (fact.pigment === null || cooked === null) return [{ lab: fact.lab, weight }]
  const { kept, into } = changeOf(fact.pigment, cooked)
  if (kept >= 1) return [{ lab: fact.lab, weight }]
  const rest: Coloured[] = into === null ? [] : [{ lab: into, weight: weight * (1 - kept) }]
  return [{ lab: fact.lab, weight: weight * kept }, ...rest]
}

/** What browning paints over a surface. @source crust of bread and of roasts between them; practice */
const BROWN: Lab = [34, 13, 21]
/** A surface that is said to be fully browned still shows so much of what is under it. Practice. */
const SHOWS_THROUGH = 0.25

/** How much of a surface is brown. @param browned 0 to 1 */
export const brownShare = (browned: number): number => (1 - SHOWS_THROUGH) * Math.min(1, Math.max(0, browned))
export const BROWNED: Lab = BROWN
