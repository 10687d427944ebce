import type { Tuned } from '@frijol/core/tune'
import { Link } from 'react-router'
import type { Tuning } from '../../../store'
import { buttonClass } from '../../../ui'
import { figure } from './words'

/** While nothing is found yet, or where nothing can be. */
export function Waiting({ tuning, partId }: { tuning: Tuning; partId: string }) {
  const { state, message, hint, tuned } = tuning
  if (tuned?.collisions != null) return <Collide collisions={tuned.collisions} />
  if (state === 'refused' || state === 'failed')
    return (
      <div role="alert" className="p-5">
        <p className="m-0 font-semibold">{message}</p>
        <p className="m-0 mt-1 text-ink-2">{hint}</p>
        {state === 'refused' && (
          <Link className={`${buttonClass()} mt-3`} to={`../aim?part=${partId}`} relative="path">
            Go to Aim
          </Link>
        )}
      </div>
    )
  return (
    <p role="status" className="m-0 p-5 text-ink-2">
      {state === 'stopped'
        ? 'Stopped before an answer was found. The formula is as it was.'
        : 'Looking for closer amounts …'}
    </p>
  )
}

function Collide({ collisions }: { collisions: NonNullable<Tuned['collisions']> }) {
  const { collide, loosen } = collisions
  return (
    <div role="alert" className="p-5">
      <h2 className="m-0 text-[15px]">These cannot all be kept</h2>
      <p className="m-0 mt-1">{collide.map(({ label }) => label).join(', ')}.</p>
      {loosen.length > 0 && (
        <>
          <h3 className="mt-3 mb-1 text-sm">The least to loosen</h3>
          <ul className="m-0 pl-5">
            {loosen.map(({ id, label, unit, asked, possible }) => (
              <li key={id}>
                <span className="first-letter:uppercase">{label}</span>: asked {figure(asked)} {unit},
                possible{' '}
                <b>
                  {figure(possible)} {unit}
                </b>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="m-0 mt-3 text-ink-2">
        Loosen it in Aim, let a held line go, or let a food in that brings what is missing.
      </p>
    </div>
  )
}
