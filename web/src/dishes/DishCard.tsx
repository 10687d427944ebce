import type { Dish } from '@frijol/core/model'
import { Trash2 } from 'lucide-react'
import { useMemo, useRef } from 'react'
import { Link } from 'react-router'
import { classColour } from '../charts'
import { DamagedRow } from '../parts'
import { takeOffShelf, useKitchenStore, useShelved } from '../store'
import { buttonClass, Card, formatDay, IconButton, toast, useNear } from '../ui'

/** A place on the shelf: empty while it is far below, then its dish, or what is wrong with it. */
export function ShelfPlace({ id }: { id: string }) {
  const place = useRef<HTMLLIElement>(null)
  const isNear = useNear(place)
  return (
    <li ref={place} className="min-h-52">
      {isNear && <Shelved id={id} />}
    </li>
  )
}

function Shelved({ id }: { id: string }) {
  const found = useShelved(id)
  if (found === null || found.kind === 'none') return null
  return found.kind === 'bad' ? <DamagedRow row={found} what="A dish" /> : <DishCard dish={found.row.value} />
}

/** One dish: what stands in it, how near it is, and the next act. */
function DishCard({ dish }: { dish: Dish }) {
  const { engine, library, kitchen } = useKitchenStore()
  const worked = useMemo(() => {
    if (engine === null || library === null) return null
    const assessment = engine.assess(dish, library, kitchen)
    const next = engine.nextAct(dish, assessment)
    return { assessment, library, next, closeness: engine.closeness }
  }, [engine, library, kitchen, dish])

  const takeOff = async () => {
    const putBack = await takeOffShelf(dish.id, dish.name)
    toast(`${dish.name} is off the shelf.`, {
      duration: 10_000,
      ...(putBack === null ? {} : { action: { label: 'Put it back', onClick: putBack } }),
    })
  }
  return (
    <Card className="flex h-full flex-col gap-2.5 p-4">
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <div className="text-[13px] text-ink-2">
            {dish.menu === '' ? `changed ${formatDay(dish.updatedAt)}` : dish.menu}
          </div>
          <h2 className="m-0 text-xl leading-tight">
            <Link to={`/dish/${dish.id}/mix`} className="no-underline hover:underline">
              {dish.name === '' ? 'Untitled dish' : dish.name}
            </Link>
          </h2>
        </div>
        <IconButton label={`Take ${dish.name} off the shelf`} onClick={() => void takeOff()}>
          <Trash2 size={16} />
        </IconButton>
      </div>
      <ul className="m-0 grid list-none gap-2 ps-0">
        {(worked?.assessment.parts ?? []).map((part) => (
          <li key={part.partId} className="text-sm">
            <div className="flex justify-between gap-2">
              <span className="truncate">{part.name}</span>
              <span className="shrink-0 text-[13px] text-ink-2">{worked?.closeness(part.distance)}</span>
            </div>
            <div className="mt-1 flex h-2 overflow-hidden rounded-full bg-husk" aria-hidden="true">
              {part.lines.map(({ lineId, foodId, share }) => (
                <i
                  key={lineId}
                  style={{
                    width: `${(share ?? 0) * 100}%`,
                    background: classColour(
                      foodId === null ? null : (worked?.library.ingredients.get(foodId)?.foodClass ?? null),
                    ),
                  }}
                />
              ))}
            </div>
          </li>
        ))}
      </ul>
      <p className="m-0 text-[13px] text-ink-2">
        Trial {dish.trial.number} · {worked !== null && `${Math.round(worked.assessment.rawMassG)} g raw · `}
        {dish.aim.portions} portions
      </p>
      {worked?.next != null && (
        <div className="mt-auto flex items-center gap-3 border-t border-line pt-3">
          <p className="m-0 line-clamp-2 flex-1 text-[13px] text-ink-2">{worked.next.reason}</p>
          <Link to={`/dish/${dish.id}/${worked.next.stage}`} className={buttonClass('plain')}>
            {worked.next.act}
          </Link>
        </div>
      )}
    </Card>
  )
}
