import type { Ingredient } from '@frijol/core/model'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useRef } from 'react'
import { classColour } from '../charts'

const ROW_PX = 40
const OVERSCAN = 8

export interface FoodListProps {
  foods: readonly Ingredient[]
  chosenId: string | null
  onChoose: (id: string) => void
}

/** A long list of which only the rows in sight stand in the page. */
export function FoodList({ foods, chosenId, onChoose }: FoodListProps) {
  const box = useRef<HTMLDivElement>(null)
  // eslint-disable-next-line react-hooks/incompatible-library -- the React Compiler is not used here
  const rows = useVirtualizer({
    count: foods.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    overscan: OVERSCAN,
  })
  return (
    <div
      ref={box}
      className="min-h-0 flex-1 overflow-auto"
      tabIndex={0}
      role="region"
      aria-label="List of ingredients"
    >
      <ul className="relative m-0 list-none ps-0" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const food = foods[index]
          if (food === undefined) return null
          return (
            <li
              key={food.id}
              className="absolute inset-x-0 top-0"
              style={{ height: ROW_PX, transform: `translateY(${start}px)` }}
              aria-setsize={foods.length}
              aria-posinset={index + 1}
            >
              <button
                type="button"
                aria-current={food.id === chosenId}
                onClick={() => onChoose(food.id)}
                className="flex h-full w-full items-center gap-2 border-b border-line/60 px-3 text-left hover:bg-oat focus-visible:-outline-offset-2 aria-[current=true]:bg-husk"
              >
                <i
                  aria-hidden="true"
                  className="size-2.5 shrink-0 rounded-full"
                  style={{ background: classColour(food.foodClass) }}
                />
                <span className="min-w-0 flex-1 truncate">{food.name}</span>
                <span className="shrink-0 text-[13px] text-ink-2">
                  {food.origin === 'own' ? 'yours' : food.foodClass.replace('-', ' ')}
                </span>
              </button>
            </li>
          )
        })}
      </ul>
    </div>
  )
}
