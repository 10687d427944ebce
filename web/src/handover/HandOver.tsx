import type { Tasting } from '@frijol/core/model'
import { clsx } from 'clsx'
import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { listed } from '@frijol/core/sensory'
import { useLibrary, useRefusal } from '../store'
import { Button, toast } from '../ui'
import { OnePage } from './OnePage'
import { nextPage, useTastingOf } from './useTasting'

/** The tablet that goes round: one taster at a time, nothing of the others, no way back. */
export function HandOver() {
  const { tastingId = '' } = useParams()
  const { tasting, missing } = useTastingOf(tastingId)
  const [tasterId, setTasterId] = useState<string | null>(null)
  useEffect(
    () =>
      useRefusal.subscribe((refused) => {
        if (refused !== null) toast(refused.words)
      }),
    [],
  )
  if (tasting?.design == null || tasting.closedAt !== null)
    return (
      <main id="page" className="grid min-h-dvh place-items-center p-6 text-lg">
        {tasting === null && missing === null ? (
          <p role="status" className="m-0">
            Opening the tasting …
          </p>
        ) : (
          <p className="m-0 max-w-[48ch]">
            {tasting === null
              ? 'There is no such tasting here. '
              : tasting.closedAt !== null
                ? 'This tasting is closed. '
                : 'This tasting is not set out yet. '}
            <Link
              className="underline"
              to={tasting === null ? '/' : `/dish/${tasting.dishId}/taste?tasting=${tasting.id}`}
            >
              {tasting === null ? 'Go to the shelf' : 'Go to it'}
            </Link>
          </p>
        )}
      </main>
    )
  const next = tasterId === null ? null : nextPage(tasting, tasterId)
  return (
    <main
      id="page"
      tabIndex={-1}
      className="mx-auto flex min-h-dvh max-w-[860px] flex-col gap-5 px-5 py-6 outline-none"
    >
      {tasterId === null ? (
        <WhoIsIt tasting={tasting} onTake={setTasterId} />
      ) : next === null ? (
        <Thanks onNext={() => setTasterId(null)} />
      ) : (
        <Seated
          key={tasterId}
          tasting={tasting}
          tasterId={tasterId}
          next={next}
          onLeave={() => setTasterId(null)}
        />
      )}
    </main>
  )
}

/** Whose turn it is. Who has answered is not asked again. */
function WhoIsIt({ tasting, onTake }: { tasting: Tasting; onTake: (id: string) => void }) {
  const left = tasting.settings.tasters.filter(({ id }) => nextPage(tasting, id) !== null).length
  return (
    <>
      <div>
        <h1 className="m-0 text-[34px]">{left === 0 ? 'All have tasted' : 'Whose turn is it?'}</h1>
        <p className="m-0 mt-1 text-lg text-ink-2">
          {left === 0
            ? 'Give the tablet back to the kitchen.'
            : 'Take your mark. Taste alone and in silence; talk afterwards.'}
        </p>
      </div>
      <div role="group" aria-label="Tasters" className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {tasting.settings.tasters.map(({ id }) => {
          const next = nextPage(tasting, id)
          const isBegun = next !== null && next.at > 0
          return (
            <button
              key={id}
              type="button"
              disabled={next === null}
              onClick={() => onTake(id)}
              className={clsx(
                'grid min-h-24 place-items-center rounded-card border-2 px-3 py-4 text-center',
                next === null
                  ? 'border-line bg-husk text-ink-2'
                  : 'border-aubergine bg-paper hover:bg-aubergine-soft',
              )}
            >
              <b className="font-display text-[28px]">{id}</b>
              <span className="text-[15px]">{next === null ? 'done' : isBegun ? 'goes on' : 'to taste'}</span>
            </button>
          )
        })}
      </div>
      <div className="mt-auto">
        <Link className="text-ink-2 underline" to={`/dish/${tasting.dishId}/taste?tasting=${tasting.id}`}>
          Back to the kitchen
        </Link>
      </div>
    </>
  )
}

function Thanks({ onNext }: { onNext: () => void }) {
  return (
    <div className="grid flex-1 place-content-center gap-4 text-center">
      <h1 className="m-0 text-[40px]">Thank you</h1>
      <p className="m-0 text-xl text-ink-2">Hand the tablet on.</p>
      <Button tone="primary" className="min-h-16 px-8 text-xl" onClick={onNext}>
        Next taster
      </Button>
    </div>
  )
}

/** First what is in it and whether one may, then glass after glass. */
function Seated({
  tasting,
  tasterId,
  next,
  onLeave,
}: {
  tasting: Tasting
  tasterId: string
  next: NonNullable<ReturnType<typeof nextPage>>
  onLeave: () => void
}) {
  const { allergens } = useLibrary()
  const [mayTaste, setMayTaste] = useState(next.at > 0)
  const { samples } = tasting.settings
  const held = [...new Set(samples.flatMap((sample) => sample.allergens))].map((id) =>
    (allergens.get(id)?.name ?? id).replace(/ \(.*\)$/, '').toLowerCase(),
  )
  const isAnimal = samples.some((sample) => sample.isAnimal)
  if (!mayTaste)
    return (
      <>
        <h1 className="m-0 text-[34px]">{tasterId}, before you taste</h1>
        <p className="m-0 rounded-card border border-line bg-paper p-5 text-[24px] leading-snug">
          {held.length === 0
            ? 'No allergen is known to be in these samples.'
            : `One or more of these samples hold ${listed(held)}.`}
          {isAnimal && ' One of them is of animals.'}
        </p>
        <p className="m-0 text-lg text-ink-2">
          If you avoid any of it, do not taste: tell the kitchen. Stop at any reaction. You may spit
          everything out.
        </p>
        <div className="mt-auto grid gap-3 sm:grid-cols-2">
          <Button tone="primary" className="min-h-16 text-xl" onClick={() => setMayTaste(true)}>
            I may taste these
          </Button>
          <Button className="min-h-16 text-xl" onClick={onLeave}>
            I do not taste
          </Button>
        </div>
      </>
    )
  const { serving, glass } = next.page
  return (
    <OnePage
      key={`${serving.id} ${glass ?? ''}`}
      tasting={tasting}
      page={next.page}
      at={next.at}
      of={next.of}
      onLeave={onLeave}
    />
  )
}
