import { shownIn, whatWords } from '@frijol/core/ideas'
import type { Dish, Idea, Part } from '@frijol/core/model'
import { OPERATION_NAMES } from '@frijol/core/reading'
import { X } from 'lucide-react'
import { forgetIdea, keepIdea, useKitchenStore } from '../../store'
import { Card, formatDay, IconButton, toast } from '../../ui'

const isHere = ({ scope, dishId }: Idea, dish: Dish, part: Part): boolean =>
  dishId === dish.id || scope.kind === 'kitchen' || (scope.kind === 'family' && scope.family === part.family)

const WHERE = {
  dish: 'in this dish',
  family: 'in dishes of this family',
  kitchen: 'everywhere in this kitchen',
} as const

/** Ideas that were tried and are kept in mind: one that was set aside is asked about before it comes back. */
export function KeptInMind({ dish, part }: { dish: Dish; part: Part }) {
  const ideas = useKitchenStore((state) => state.kitchen.ideas)
  const shown = ideas.filter((idea) => isHere(idea, dish, part))
  const forget = (idea: Idea) => {
    if (!forgetIdea(idea.id)) return
    toast('No longer kept in mind.', {
      action: { label: 'Keep it after all', onClick: () => keepIdea(idea) },
    })
  }
  return (
    <Card aria-label="Kept in mind" className="px-4 py-3">
      <h2 className="m-0 mb-1 text-[15px]">Kept in mind</h2>
      {shown.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">
          Nothing yet. Mark a change of a trial, and you are told before it comes back: in Mix, in a swap, in
          Tune.
        </p>
      ) : (
        <ul className="m-0 list-none p-0 text-sm">
          {shown.map((idea) => (
            <li
              key={idea.id}
              className="flex items-start gap-2 border-t border-line/60 py-1.5 first:border-0"
            >
              <div className="min-w-0 flex-1">
                <b className="font-semibold first-letter:uppercase">{idea.words}</b>
                <span className={idea.verdict === 'rejected' ? 'text-adzuki-deep' : 'text-mung-deep'}>
                  {idea.verdict === 'rejected' ? ', not again' : ', good'}
                </span>
                <span className="block text-ink-2">
                  “{idea.reason}”, {shownIn(idea, dish)}, {formatDay(idea.date)}.{' '}
                  {whatWords(idea.what, (id) => OPERATION_NAMES[id])}, {WHERE[idea.scope.kind]}.
                </span>
              </div>
              <IconButton label={`Forget ${idea.words}`} onClick={() => forget(idea)}>
                <X size={15} aria-hidden="true" />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
    </Card>
  )
}
