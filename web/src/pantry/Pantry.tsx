import { findFood } from '@frijol/core/measure'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { classColour } from '../charts'
import { useKitchenStore, useLibrary } from '../store'
import { Card, Empty, TextInput } from '../ui'
import { PantryEntry } from './PantryEntry'

const MOST_SHOWN = 200

/** Pantry: what an ingredient does, holds and costs, and how that is known. */
export function Pantry() {
  const library = useLibrary()
  const reader = useKitchenStore((state) => state.reader)
  const [params, setParams] = useSearchParams()
  const [query, setQuery] = useState('')
  const chosen = library.ingredients.get(params.get('food') ?? '')
  const shown = useMemo(() => {
    const all = [...library.ingredients.values()]
    const words = query.trim().toLowerCase()
    if (words === '' || reader === null) return all.sort((a, b) => a.name.localeCompare(b.name))
    const ranked = findFood(reader.index, words).choices.map(({ ingredientId }) => ingredientId)
    const named = all.filter(({ name, otherNames, foodClass }) =>
      [name, foodClass, ...otherNames].some((text) => text.toLowerCase().includes(words)),
    )
    const ids = new Set([...ranked, ...named.map(({ id }) => id)])
    return [...ids].flatMap((id) => library.ingredients.get(id) ?? [])
  }, [library, query, reader])
  return (
    <div className="flex h-dvh flex-col py-5 pr-5 pl-1.5 max-md:h-auto max-md:px-3">
      <header className="mb-4 flex flex-wrap items-end gap-3">
        <div>
          <div className="text-sm text-ink-2">{library.ingredients.size} ingredients with their sources</div>
          <h1 className="m-0 text-[26px] leading-tight">Pantry</h1>
        </div>
        <TextInput
          type="search"
          aria-label="Search the pantry"
          placeholder="Zucchini, besan, miso …"
          className="ml-auto max-w-80"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
      </header>
      <div className="grid min-h-0 flex-1 gap-4 lg:grid-cols-[minmax(0,380px)_minmax(0,1fr)]">
        <Card className="overflow-auto max-lg:max-h-[40dvh]" aria-label="Ingredients" tabIndex={0}>
          {shown.length === 0 && (
            <Empty sentence="No ingredient fits. Try another name, or a kind such as “pulse”." />
          )}
          <ul className="m-0 list-none ps-0">
            {shown.slice(0, MOST_SHOWN).map((food) => (
              <li key={food.id}>
                <button
                  type="button"
                  aria-current={food.id === chosen?.id}
                  onClick={() => setParams({ food: food.id }, { replace: true })}
                  className="flex min-h-10 w-full items-center gap-2 border-b border-line/60 px-3 text-left hover:bg-oat aria-[current=true]:bg-husk"
                >
                  <i
                    aria-hidden="true"
                    className="size-2.5 shrink-0 rounded-full"
                    style={{ background: classColour(food.foodClass) }}
                  />
                  <span className="min-w-0 flex-1 truncate">{food.name}</span>
                  <span className="shrink-0 text-[13px] text-ink-2">{food.foodClass.replace('-', ' ')}</span>
                </button>
              </li>
            ))}
          </ul>
          {shown.length > MOST_SHOWN && (
            <p className="m-0 px-3 py-2 text-[13px] text-ink-2">
              {shown.length - MOST_SHOWN} more; search to find them.
            </p>
          )}
        </Card>
        <Card className="overflow-auto p-5" aria-label="Entry" tabIndex={0}>
          {chosen === undefined ? (
            <Empty sentence="Choose an ingredient to see what it holds, does and costs, and where each figure comes from." />
          ) : (
            <PantryEntry key={chosen.id} food={chosen} />
          )}
        </Card>
      </div>
    </div>
  )
}
