import type { Kitchen } from '@frijol/core/model'
import { specOf } from '@frijol/core/program'
import { X } from 'lucide-react'
import { changeKitchen, useLibrary } from '../store'
import { Card, CardTitle, IconButton } from '../ui'

/** Words that this kitchen has taught the reader: its verbs, and its names for foods. */
export function WordsCard({ kitchen: { words, names } }: { kitchen: Kitchen }) {
  const library = useLibrary()
  const entries = [
    ...words.map(({ word, operation }) => ({
      key: `verb ${word}`,
      said: word,
      means: specOf(operation).name,
      forget: (kitchen: Kitchen) => ({ ...kitchen, words: kitchen.words.filter((one) => one.word !== word) }),
    })),
    ...names.map(({ name, ingredientId }) => ({
      key: `name ${name}`,
      said: name,
      means: library.ingredients.get(ingredientId)?.name ?? 'a food that is gone',
      forget: (kitchen: Kitchen) => ({ ...kitchen, names: kitchen.names.filter((one) => one.name !== name) }),
    })),
  ]
  return (
    <Card className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2 p-4">
      <CardTitle title="Words of this kitchen" />
      {entries.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">
          None yet. Set by hand what a step does, or choose the food of a line, and the word can be kept here:
          from then on recipes are read with it.
        </p>
      ) : (
        <ul className="m-0 list-none ps-0 text-sm" aria-label="Words of this kitchen">
          {entries.map(({ key, said, means, forget }) => (
            <li key={key} className="flex items-center gap-2 border-b border-line/60 py-0.5 last:border-0">
              <span className="min-w-0 flex-1">
                “{said}” is <b>{means}</b>
              </span>
              <IconButton label={`Forget ${said}`} onClick={() => changeKitchen(`forget ${said}`, forget)}>
                <X size={15} />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
    </Card>
  )
}
