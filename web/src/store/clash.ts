import type { Dish } from '@frijol/core/model'
import { useMemo } from 'react'
import type { Conflict } from './document'
import { useOpenDish } from './openDish'

/** One place that two tabs changed, in words for the person who chooses. */
export interface ClashPlace {
  readonly place: string
  readonly mine: string
  readonly theirs: string
}

const SETTINGS: Readonly<Record<string, string>> = {
  name: 'Name',
  menu: 'Menu',
  note: 'Note',
  trial: 'Trial',
  portions: 'Portions',
  portionMassG: 'Portion, g',
  sodiumMgMax: 'Sodium limit, mg',
  proteinGMin: 'Protein aim, g',
  costMax: 'Cost limit',
  excluded: 'Exclusions',
  matters: 'What matters',
  never: 'What must not be',
  originalId: 'Original',
  cookedMassG: 'Weighed mass, g',
  order: 'Order',
  written: 'Method as written',
  settled: 'Settled finding',
}

const shown = (value: unknown): string => {
  if (value === null || value === undefined) return 'nothing'
  if (typeof value === 'string') return value === '' ? 'empty' : value
  if (typeof value === 'number' || typeof value === 'boolean') return String(value)
  if (typeof value === 'object' && 'text' in value && typeof value.text === 'string') return value.text
  if (typeof value === 'object' && 'name' in value && typeof value.name === 'string') return value.name
  return Array.isArray(value) ? `${value.length} entries` : 'a change'
}

/** A line's or a step's words in one of the two dishes; null where it was taken out there. */
function wordsOf(dish: Dish, kind: 'lines' | 'steps', id: string): string | null {
  for (const part of dish.parts) for (const one of part[kind]) if (one.id === id) return one.text
  return null
}

/** The places where two tabs changed a dish differently; a line or a step once, however much of it differs. */
export function clashPlaces(conflicts: readonly Conflict[], mine: Dish, theirs: Dish): ClashPlace[] {
  const places = new Map<string, ClashPlace>()
  for (const { path, ...sides } of conflicts) {
    const at = path.findIndex((step) => step === 'lines' || step === 'steps')
    const kind = path[at] as 'lines' | 'steps'
    const id = at < 0 ? undefined : path[at + 1]
    if (id !== undefined && id !== 'order') {
      const words = (dish: Dish): string => wordsOf(dish, kind, id) ?? 'taken out'
      places.set(id, {
        place: kind === 'lines' ? 'Line' : 'Step',
        mine: words(mine),
        theirs: words(theirs),
      })
      continue
    }
    const name = path.findLast((step) => step in SETTINGS)
    places.set(path.join('/'), {
      place: name === undefined ? 'A setting' : (SETTINGS[name] ?? 'A setting'),
      mine: shown(sides.mine),
      theirs: shown(sides.theirs),
    })
  }
  return [...places.values()]
}

/** The places where the open dish meets another tab's changes. */
export function useClashPlaces(): readonly ClashPlace[] {
  const { conflicts, value, theirs } = useOpenDish()
  return useMemo(
    () => (value === null || theirs === null ? [] : clashPlaces(conflicts, value, theirs)),
    [conflicts, value, theirs],
  )
}
