import { clsx } from 'clsx'
import { useMemo } from 'react'
import { NavLink } from 'react-router'
import { useAssessed, useOpenDish } from '../store'
import { STAGES } from './stages'

const SEED =
  'relative grid min-h-[54px] w-[54px] place-items-center rounded-[26px] text-[12.5px] font-semibold max-md:min-h-[50px] max-md:w-auto max-md:flex-1 max-md:text-[11.5px] max-sm:text-[10.5px] max-sm:tracking-tight'

const Mark = ({ className }: { className: string }) => (
  <i aria-hidden="true" className={clsx('seed-shape mx-auto mb-1 block h-3.5 w-5', className)} />
)

/** Stages that have what they need; told as one text, so that the pod is drawn anew only when one of them turns. */
function useReadiness(): ReadonlySet<string> {
  const ready = useAssessed(({ dish, assessment }) =>
    dish === null || assessment === null
      ? ''
      : STAGES.filter((stage) => stage.isReady(dish, assessment))
          .map(({ id }) => id)
          .join(' '),
  )
  return useMemo(() => new Set(ready.split(' ')), [ready])
}

const PLACE = ({ isActive }: { isActive: boolean }): string =>
  clsx(
    'rounded-full px-2 py-1 text-[12.5px] no-underline hover:text-ink max-sm:px-1 max-sm:text-[11px]',
    isActive ? 'bg-paper font-semibold text-aubergine' : 'text-ink-2',
  )

/** The pod: seven seeds for the loop, pantry and kitchen under them, the mark above. It lies down on narrow screens. */
export function Pod({ onKeys }: { onKeys: () => void }) {
  const dishId = useOpenDish((state) => state.value?.id ?? null)
  const ready = useReadiness()
  return (
    <nav
      aria-label="Stages"
      className="no-print sticky top-0 z-30 flex h-dvh flex-col items-center gap-3 py-3.5 max-md:fixed max-md:inset-x-0 max-md:top-auto max-md:bottom-0 max-md:h-auto max-md:flex-row max-md:gap-1 max-md:border-t max-md:border-line max-md:bg-oat max-md:p-1.5"
    >
      <NavLink
        to="/"
        className="font-display text-[15px] font-bold text-aubergine no-underline max-md:hidden"
      >
        frijol
      </NavLink>
      <ol className="m-0 flex w-16 flex-1 list-none flex-col items-center justify-between rounded-[32px] bg-mung-soft py-2 ps-0 shadow-[inset_0_0_0_1.5px_var(--color-mung-line)] max-md:w-auto max-md:flex-row max-md:px-1 max-md:py-0.5">
        {STAGES.map(({ id, label }) => (
          <li key={id} className="max-md:flex max-md:flex-1">
            {dishId !== null ? (
              <NavLink
                to={`/dish/${dishId}/${id}`}
                className={({ isActive }) =>
                  clsx(
                    SEED,
                    'text-center no-underline',
                    isActive
                      ? 'bg-paper text-aubergine shadow-[0_1px_0_var(--color-mung-line)]'
                      : 'text-mung-deep hover:bg-paper/60',
                  )
                }
              >
                {({ isActive }) => (
                  <span>
                    <Mark
                      className={isActive ? 'bg-aubergine' : ready.has(id) ? 'bg-mung' : 'bg-mung-line'}
                    />
                    {label}
                    {ready.has(id) && <span className="sr-only">, has what it needs</span>}
                  </span>
                )}
              </NavLink>
            ) : (
              <span className={clsx(SEED, 'text-center text-mung-deep')} title="Open a dish first">
                <span>
                  <Mark className="bg-transparent shadow-[inset_0_0_0_1.5px_var(--color-mung-line)]" />
                  {label}
                  <span className="sr-only">, open a dish first</span>
                </span>
              </span>
            )}
          </li>
        ))}
      </ol>
      <NavLink to="/" end className={({ isActive }) => clsx(PLACE({ isActive }), 'md:hidden')}>
        Shelf
      </NavLink>
      <NavLink to="/pantry" className={PLACE}>
        Pantry
      </NavLink>
      <NavLink to="/kitchen" className={PLACE}>
        Kitchen
      </NavLink>
      <button
        type="button"
        aria-haspopup="dialog"
        className="rounded-full px-2 py-1 text-[12.5px] text-ink-2 hover:text-ink max-md:hidden"
        onClick={onKeys}
      >
        Keys
      </button>
    </nav>
  )
}
