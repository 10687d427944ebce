import { type Assessment, attributeName, type Dish } from '../model'

export type StageId = 'aim' | 'mix' | 'method' | 'share'

/** The one next act of a dish: what to do, why, and at which stage. */
export interface NextAct {
  readonly stage: StageId
  readonly act: string
  readonly reason: string
}

const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`

/** The gap of a dish to its originals that weighs most, of the attributes that count. */
function largestGap(dish: Assessment): { name: string; gap: number } | null {
  const gaps = dish.parts.flatMap(({ attributes }) =>
    attributes.map(({ id, gap, weight }) => ({ name: attributeName(id), gap, weight })),
  )
  const [first] = gaps
    .filter(({ weight }) => weight > 0)
    .sort((a, b) => b.weight * Math.abs(b.gap) - a.weight * Math.abs(a.gap))
  return first === undefined || first.gap === 0 ? null : first
}

/** Gap beyond the band from which a change is worth a trial. Practice. */
const NOTABLE_GAP = 0.5

/**
 * What to do next with a dish, in the order of the work: write, aim, settle, weigh, tune, share.
 * @param assessment of this very dish
 */
export function nextAct(dish: Dish, assessment: Assessment): NextAct {
  const lines = dish.parts.reduce((count, part) => count + part.lines.length, 0)
  if (lines === 0)
    return { stage: 'mix', act: 'Write the formula', reason: 'No ingredient stands in it yet.' }
  if (dish.parts.every(({ originalId }) => originalId === null)) {
    return { stage: 'aim', act: 'Choose the original', reason: 'Nothing to compare with yet.' }
  }
  const open = assessment.findings.filter(({ settled }) => settled === null)
  const stop = open.find(({ severity }) => severity === 'stop')
  if (stop !== undefined) return { stage: 'mix', act: 'Settle a stop', reason: stop.message }
  const unknown = open.filter(({ rule }) => rule === 'unknown-food' || rule === 'missing-ingredient').length
  if (unknown > 0)
    return {
      stage: 'mix',
      act: `Name ${plural(unknown, 'food')}`,
      reason: 'Their water, salt and nutrition are not counted.',
    }
  const slip = open.find(({ rule }) => rule === 'unit-slip')
  if (slip !== undefined) return { stage: 'mix', act: 'Check an amount', reason: slip.message }
  const gap = largestGap(assessment)
  if (gap !== null && Math.abs(gap.gap) >= NOTABLE_GAP) {
    return {
      stage: 'mix',
      act: `Bring ${gap.name} ${gap.gap < 0 ? 'up' : 'down'}`,
      reason: `It stands ${Math.abs(gap.gap).toFixed(1)} ${gap.gap < 0 ? 'below' : 'above'} the original’s band.`,
    }
  }
  const unweighed = assessment.parts.find(({ cookedBasis }) => cookedBasis === 'family')
  if (unweighed !== undefined) {
    return {
      stage: 'method',
      act: `Weigh the cooked ${unweighed.name.toLowerCase()}`,
      reason: 'Its cooked mass is the usual one, not yours.',
    }
  }
  return { stage: 'share', act: 'Print the card', reason: 'It stands close to the original.' }
}
