import type { Bind, Tuned } from '@frijol/core/tune'
import { CurveChart } from '../../../charts'
import { figure } from './words'

/** Which bound holds the match back, and the trade-off around it. */
export function HoldsBack({ tuned: { binds, answers, best } }: { tuned: Tuned }) {
  if (answers.length === 0) return null
  const [first, ...others] = binds
  return (
    <div className="grid items-start gap-4 p-4 sm:grid-cols-[minmax(0,1fr)_260px]">
      <p className="m-0 text-ink-2">
        {first === undefined ? (
          best.distance < 0.05 ? (
            'Nothing holds it back: every attribute that counts can come into its band.'
          ) : (
            <>
              <b className="text-ink">No limit holds it back.</b> These foods and this method come no closer
              than {best.distance.toFixed(2)}; let a food in that brings what is missing.
            </>
          )
        ) : (
          <>
            <b className="text-ink">What holds it back.</b> {first.text}{' '}
            {others.map(({ text }) => text).join(' ')}
          </>
        )}
      </p>
      {first !== undefined && <TradeOff bind={first} />}
    </div>
  )
}

const TradeOff = ({ bind }: { bind: Bind }) => (
  <CurveChart
    title={`Distance against ${bind.label}${bind.unit === '' ? '' : `, ${bind.unit}`}`}
    heads={[bind.label, 'Distance']}
    points={bind.curve.map(({ limit, distance }) => ({ x: limit, y: distance }))}
    now={bind.limit}
    shownX={figure}
  />
)
