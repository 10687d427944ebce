import { useMemo } from 'react'
import { useLibrary } from '../store'
import { Finder } from '../ui'

export interface FoodFinderProps {
  label: string
  placeholder: string
  onPick: (id: string) => void
}

/** Any food of the library by its names. */
export function FoodFinder({ label, placeholder, onPick }: FoodFinderProps) {
  const library = useLibrary()
  const groups = useMemo(
    () => [
      {
        heading: 'Foods',
        items: [...library.ingredients.values()].map(({ id, name, otherNames }) => ({
          id,
          label: name,
          words: otherNames,
        })),
      },
    ],
    [library],
  )
  return <Finder label={label} placeholder={placeholder} groups={groups} onPick={onPick} />
}
