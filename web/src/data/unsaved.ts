import { Dish } from '@frijol/core/model'

const KEY = 'frijol-unsaved'

/** Keeps a dish that could not be saved before the page went away. Small and at once, unlike IndexedDB. */
export function keepUnsaved(dish: Dish): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(dish))
  } catch (error) {
    console.error('The last change could not be kept aside', error)
  }
}

export const forgetUnsaved = (): void => localStorage.removeItem(KEY)

/** The dish kept aside, if it is whole and is this one. */
export function takeUnsaved(id: string): Dish | null {
  const text = localStorage.getItem(KEY)
  if (text === null) return null
  try {
    const parsed = Dish.safeParse(JSON.parse(text))
    if (!parsed.success || parsed.data.id !== id) return null
    localStorage.removeItem(KEY)
    return parsed.data
  } catch {
    localStorage.removeItem(KEY)
    return null
  }
}
