import { spell } from '@frijol/core/day'
import { acceptPlan } from '../store/day'
import { BigButton } from './Big'
import { clockAt, clockOf } from './clock'
import type { LivePlan } from './useCounter'

/** So many minutes are no lateness: the clock goes on while the next thing is taken up. */
const GRACE_MIN = 2

/** When it is served: what a slip does to it is said first, and taken when the cook says so. */
export function Serving({
  plan: { plan, isFresh, fault, serveMin, live },
  now,
}: {
  plan: LivePlan
  now: number
}) {
  const laterMin = plan?.laterMin ?? 0
  const isLate = laterMin > GRACE_MIN
  return (
    <section aria-label="Serving" className="rounded-card bg-husk p-5">
      <div className="flex items-baseline justify-between text-[18px]">
        <span className="text-ink-2">Serving</span>
        <span className={isLate || fault !== null ? 'text-turmeric-deep' : 'text-mung-deep'} role="status">
          {fault !== null ? 'no plan fits' : isLate ? `${spell(laterMin)} later` : 'on time'}
        </span>
      </div>
      <div className="flex items-baseline justify-between gap-3">
        <b className="font-display text-[44px] leading-none tabular-nums">
          {clockAt(isLate && plan !== null ? plan.serveMin : serveMin)}
        </b>
        <span className="text-[17px] text-ink-2">now {clockOf(now)}</span>
      </div>
      {isLate && plan !== null && (
        <div className="mt-3">
          <p className="m-0 mb-2 text-[17px]">
            In place of {clockAt(serveMin)}. What is left is planned for it.
          </p>
          <BigButton tone="primary" disabled={!isFresh} onClick={() => acceptPlan(plan.tasks, plan.serveMin)}>
            Serve at {clockAt(plan.serveMin)}
          </BigButton>
        </div>
      )}
      {fault !== null && <p className="m-0 mt-2 text-[17px]">{fault}</p>}
      {(plan?.broken ?? []).map((words) => (
        <p key={words} className="m-0 mt-2 text-[16px] text-turmeric-deep">
          {words}
        </p>
      ))}
      {live.isClockBack && (
        <p className="m-0 mt-2 text-[16px] text-turmeric-deep">
          The clock of this device was set back: times are taken from it as it stands now, and nothing is
          lost.
        </p>
      )}
    </section>
  )
}
