import { useNavigate } from 'react-router'
import { useLibrary, useOpenDish, useShelf } from '../store'
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
  const library = useLibrary()
  const rows = useShelf() ?? []
  const dishId = useOpenDish((state) => state.dish?.id ?? null)
  const go = (path: string) => {
    onClose()
    void navigate(path)
  }
  const stages = dishId === null ? [] : STAGES.filter(({ isBuilt }) => isBuilt)
  return (
    <Finder
      label="Find anything"
      placeholder="A dish, an ingredient, a place"
      onPick={go}
      groups={[
        {
          heading: 'Dishes',
          items: rows.map(({ dish }) => ({
            id: `/dish/${dish.id}/mix`,
            label: dish.name,
            detail: dish.menu,
          })),
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
          items: [...library.ingredients.values()].map((food) => ({
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
