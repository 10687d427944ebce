import { attributeName, type Tasting } from '@frijol/core/model'
import type { TastingResult } from '@frijol/core/sensory'
import { learnedShift } from '@frijol/core/texture'
import { forgetTasting, learnFrom, useMoved } from '../../store/tasting'
import { Button, Card, toast } from '../../ui'

const signed = (value: number): string => `${Math.abs(value).toFixed(1)} ${value < 0 ? 'lower' : 'higher'}`

/** Predicted and tasted, and what the kitchen learns from it. */
export function Taught({ tasting, result }: { tasting: Tasting; result: TastingResult }) {
  const { moved, isLearned } = useMoved(tasting, result)
  if (moved.length === 0)
    return (
      <Card className="px-5 py-4 text-sm text-ink-2">
        Nothing is learned from it: it takes three people, a mix that has a family, and attributes that the
        model reads.
      </Card>
    )
  const most = Math.max(...moved.map(({ learned }) => learned?.tastings ?? 0))
  return (
    <Card className="px-5 py-4">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="m-0 text-base">Predicted and tasted</h3>
        {isLearned ? (
          <Button tone="quiet" className="min-h-8" onClick={() => forgetTasting(tasting.id)}>
            Forget it again
          </Button>
        ) : (
          <Button
            className="min-h-8"
            onClick={() => toast(`The kitchen learned ${learnFrom(tasting)} values.`)}
          >
            Learn from it
          </Button>
        )}
      </div>
      <p className="m-0 mb-1 text-sm text-ink-2">
        {isLearned
          ? `What the model says of this family’s foods leans towards it from now on.${most === 1 ? ' One tasting so far: whether it reads better is seen with the next.' : ''}`
          : 'Not learned: the model reads as it did.'}
      </p>
      <ul className="m-0 list-none p-0 text-[15px]">
        {moved.map(({ attribute, predicted, observed, learned }) => {
          const shift = learned === null ? 0 : learnedShift(learned, predicted)
          return (
            <li key={attribute} className="border-b border-line/60 py-1 last:border-0">
              The model said <b>{attributeName(attribute)}</b> {predicted.toFixed(1)}, they said{' '}
              {observed.toFixed(1)}
              <span className="text-ink-2">
                {isLearned && learned !== null
                  ? Math.abs(shift) < 0.05
                    ? ': it stays.'
                    : `: from now on it reads ${signed(shift)}.`
                  : '.'}
                {isLearned && learned?.before != null && learned.after !== null
                  ? ` Its error was ${learned.before.toFixed(1)} and is ${learned.after.toFixed(1)}, each of ${learned.tastings} tastings left out in turn.`
                  : ''}
              </span>
            </li>
          )
        })}
      </ul>
    </Card>
  )
}
