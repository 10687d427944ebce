import { lazy, Suspense, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { useKitchenStore, useLibrary } from '../store'
import { Button, Card, Empty, saveFile } from '../ui'
import { FoodList } from './FoodList'
import { OwnFoodSheet } from './OwnFoodSheet'
import { PantryEntry } from './PantryEntry'
import { PantryFilters } from './PantryFilters'
import { noFilter, usePantry } from './usePantry'

/** Reading tables is fetched when one is opened. */
const ImportSheet = lazy(async () => ({ default: (await import('./ImportSheet')).ImportSheet }))

/** Pantry: what an ingredient does, holds and costs, and how that is known. */
export function Pantry() {
  const library = useLibrary()
  const [params, setParams] = useSearchParams()
  const [filter, setFilter] = useState(noFilter)
  const [isAdding, setAdding] = useState(false)
  const [opened, setOpened] = useState<File | null>(null)
  const file = useRef<HTMLInputElement>(null)
  const foods = usePantry(filter)
  const chosen = library.ingredients.get(params.get('food') ?? '')
  const choose = (id: string) => setParams({ food: id }, { replace: true })
  const saveCsv = async () => {
    const { pantryCsv } = await import('@frijol/core/interchange')
    const { kitchen, own } = useKitchenStore.getState()
    saveFile('pantry.csv', 'text/csv', pantryCsv(kitchen, library, own))
  }
  return (
    <div className="flex h-[calc(100dvh-48px)] flex-col py-5 pr-5 pl-1.5 max-md:h-auto max-md:px-3">
      <header className="mb-3 flex flex-wrap items-end gap-3">
        <div>
          <div className="text-sm text-ink-2">{library.ingredients.size} ingredients with their sources</div>
          <h1 className="m-0 text-[26px] leading-tight">Pantry</h1>
        </div>
        <div className="ml-auto flex flex-wrap gap-2">
          <Button onClick={() => file.current?.click()}>Open a CSV</Button>
          <input
            ref={file}
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            aria-label="Pantry file"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              setOpened(event.target.files?.[0] ?? null)
              event.target.value = ''
            }}
          />
          <Button onClick={() => void saveCsv()}>Save as CSV</Button>
          <Button tone="primary" onClick={() => setAdding(true)}>
            Add your own
          </Button>
        </div>
      </header>
      <PantryFilters filter={filter} onChange={setFilter} count={foods.length} />
      <div className="grid min-h-0 flex-1 gap-4 lg:grid-cols-[minmax(0,380px)_minmax(0,1fr)]">
        <Card className="flex min-h-0 flex-col overflow-hidden max-lg:h-[40dvh]" aria-label="Ingredients">
          {foods.length === 0 ? (
            <Empty sentence="No ingredient fits. Try another name, loosen a filter, or add your own." />
          ) : (
            <FoodList foods={foods} chosenId={chosen?.id ?? null} onChoose={choose} />
          )}
        </Card>
        <Card className="overflow-auto p-5" aria-label="Entry" tabIndex={0}>
          {chosen === undefined ? (
            <Empty sentence="Choose an ingredient to see what it holds, does and costs, and where each figure comes from." />
          ) : (
            <PantryEntry key={chosen.id} food={chosen} onChoose={choose} />
          )}
        </Card>
      </div>
      <OwnFoodSheet food={null} isOpen={isAdding} onClose={() => setAdding(false)} onKept={choose} />
      {opened !== null && (
        <Suspense fallback={null}>
          <ImportSheet file={opened} onClose={() => setOpened(null)} />
        </Suspense>
      )}
    </div>
  )
}
