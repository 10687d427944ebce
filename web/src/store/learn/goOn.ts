import { type Dish, MOST_REASONS } from '@frijol/core/model'
import { run } from '../openDish'
import { keepTrial } from '../trials'
import { isCooked, takeProposal } from '../tuning'

/**
 * Makes a proposal the formula in work. What was cooked is kept as a trial first.
 * @param fromNumber the trial that it goes on from; null = the formula in work
 * @returns what to tell the person; null where nothing was taken over
 */
export async function goOn(
  dish: Dish,
  proposed: Dish,
  fromNumber: number | null,
  reason: string,
): Promise<string | null> {
  if (fromNumber === null) return takeProposal(dish, proposed, reason)
  const kept = isCooked(dish) ? await keepTrial('made', '', `Then ${reason}.`) : null
  if (isCooked(dish) && kept === null) return null
  const parts = proposed.parts.map((part) => ({
    ...part,
    cookedMassG: null,
    steps: part.steps.map((step) => ({ ...step, weighedG: null })),
  }))
  const done = run({
    label: `go on from trial ${fromNumber}`,
    apply: (now) => {
      now.parts = structuredClone(parts)
      now.written = structuredClone(proposed.written)
      now.trial.fromNumber = fromNumber
      now.trial.why = [reason.slice(0, 300)].slice(-MOST_REASONS)
    },
  })
  return done
    ? `${kept === null ? '' : `Trial ${kept} is kept. `}The formula in work goes on from trial ${fromNumber}. Undo with U.`
    : null
}
