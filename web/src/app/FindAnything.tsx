import { useNavigate } from 'react-router'
import { useKitchenStore, useOpenDish, useDishNames } from '../store'
import { Finder, Sheet } from '../ui'
import { STAGES } from './stages'

export interface FindAnythingProps {
  isOpen: boolean
  onClose: () => void
}

/** One field that finds dishes, ingredients and places. */
export const FindAnything = ({ isOpen, onClose }: FindAnythingProps) => (
  <Sheet title="Find" isOpen={isOpen} onClose={onClose} width="wide">
    <Search onClose={onClose} />
  </Sheet>
)

function Search({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate()
  const library = useKitchenStore((state) => state.library)
  const names = useDishNames()
  const dishId = useOpenDish((state) => state.value?.id ?? null)
  const go = (path: string) => {
    onClose()
    void navigate(path)
  }
  const stages = dishId === null ? [] : STAGES
  return (
    <Finder
      label="Find anything"
      placeholder="A dish, an ingredient, a place"
      onPick={go}
      groups={[
        {
          heading: 'Dishes',
          items: names.map(({ id, name }) => ({ id: `/dish/${id}/mix`, label: name })),
        },
        {
          heading: 'Places',
          items: [
            ...stages.map(({ id, label }) => ({ id: `/dish/${dishId ?? ''}/${id}`, label })),
            { id: '/', label: 'Shelf' },
            { id: '/pantry', label: 'Pantry' },
            { id: '/kitchen', label: 'Kitchen', words: ['backup', 'restore', 'settings', 'units'] },
          ],
        },
        {
          heading: 'Ingredients',
          items: [...(library?.ingredients.values() ?? [])].map((food) => ({
            id: `/pantry?food=${food.id}`,
            label: food.name,
            detail: food.foodClass.replace('-', ' '),
            words: food.otherNames,
          })),
        },
      ]}
    />
  )
}
