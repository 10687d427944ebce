import { effectWords, partIn, type PartKey, type VineEntry } from '@frijol/core/history'
import type { Dish, Trial } from '@frijol/core/model'
import { clsx } from 'clsx'
import { Bookmark } from 'lucide-react'
import { useState } from 'react'
import { commands, run } from '../../store'
import { Button, Card, formatDay, IconButton, Tag, toast } from '../../ui'
import { IdeaSheet } from './IdeaSheet'
import { Photos } from './Photos'
import { distanceWords } from './words'

export interface TrialCardProps {
  dish: Dish
  entry: VineEntry
  trial: Trial | null
  part: PartKey
  entries: readonly VineEntry[]
}

const MOST_CHANGES = 3

/** The chosen trial: what changed, what it did, how it was made, and what was said of it. */
export function TrialCard({ dish, entry, trial, part, entries }: TrialCardProps) {
  const point = partIn(entry.parts, part)
  const [isWhole, setWhole] = useState(false)
  const [idea, setIdea] = useState<string | null>(null)
  const changes = point?.changes ?? []
  const shown = isWhole ? changes : changes.slice(0, MOST_CHANGES)
  const parent = entries.find(({ number, state }) => state !== 'now' && number === entry.fromNumber)
  return (
    <Card aria-label={`Trial ${entry.number}`} className="px-4 py-3">
      <div className="mb-1 flex flex-wrap items-baseline gap-2">
        <h2 className="m-0 text-[17px]">Trial {entry.number}</h2>
        <span className="text-[13px] text-ink-2">
          {entry.date === null ? 'in work' : formatDay(entry.date)}
          {entry.fromNumber !== null && `, from ${entry.fromNumber}`}
        </span>
        {entry.state === 'set-aside' && <Tag tone="adzuki">Set aside</Tag>}
        {trial !== null && (
          <Button
            tone="quiet"
            className="-my-1 -mr-3 ml-auto"
            onClick={() => {
              run(commands.takeUpTrial(trial, trial.number))
              toast(`Trial ${trial.number} is taken up again. Undo with U.`)
            }}
          >
            Take up its formula
          </Button>
        )}
      </div>
      {point !== undefined && <p className="m-0 text-sm text-ink-2">{distanceWords(point)}</p>}
      {shown.length > 0 && (
        <ul aria-label="What changed" className="m-0 mt-2 list-none p-0 text-sm">
          {shown.map((change, at) => (
            <li
              key={`${change.words} ${at}`}
              className="flex items-start justify-between gap-2 border-t border-line/60 py-0.5"
            >
              <span className={clsx('min-w-0', change.kind === 'reworded' ? 'text-ink-2' : 'font-semibold')}>
                {change.words}
              </span>
              {change.id !== null && trial !== null && change.kind !== 'reworded' && (
                <IconButton
                  label={`Keep in mind: ${change.words}`}
                  className="-my-0.5"
                  onClick={() => setIdea(`${change.kind} ${change.id ?? ''}`)}
                >
                  <Bookmark size={15} aria-hidden="true" />
                </IconButton>
              )}
            </li>
          ))}
        </ul>
      )}
      {changes.length > MOST_CHANGES && (
        <button
          type="button"
          className="min-h-6 text-[13px] underline underline-offset-2"
          aria-expanded={isWhole}
          onClick={() => setWhole(!isWhole)}
        >
          {isWhole ? 'fewer' : `${changes.length - MOST_CHANGES} more`}
        </button>
      )}
      {point !== undefined && point.effects.length > 0 && (
        <p className="m-0 mt-1.5 text-sm">
          <span className="text-ink-2">By the model: </span>
          {effectWords(point.effects, 5)}
        </p>
      )}
      {point !== undefined && point.tastedEffects.length > 0 && (
        <p className="m-0 text-sm">
          <span className="text-ink-2">As tasted: </span>
          {effectWords(point.tastedEffects, 5)}
        </p>
      )}
      {entry.madeOtherwise.length > 0 && (
        <p className="m-0 mt-1.5 text-sm">
          <span className="text-ink-2">Made otherwise than planned: </span>
          {entry.madeOtherwise.join(', ')}
        </p>
      )}
      {entry.why.length > 0 && (
        <p className="m-0 mt-1.5 text-sm text-ink-2">Came by: {entry.why.join('; ')}</p>
      )}
      {entry.notes !== '' && (
        <p className="m-0 mt-1.5 line-clamp-4 text-sm whitespace-pre-line">{entry.notes}</p>
      )}
      {trial !== null && trial.photoIds.length > 0 && (
        <div className="mt-2">
          <Photos ids={trial.photoIds} of={`Trial ${trial.number}`} />
        </div>
      )}
      {entry.decision !== '' && <p className="m-0 mt-1 text-sm text-ink-2">{entry.decision}</p>}
      {idea !== null && trial !== null && (
        <IdeaSheet
          dish={dish}
          trial={trial}
          part={part}
          change={changes.find(({ kind, id }) => `${kind} ${id ?? ''}` === idea) ?? null}
          parentNumber={parent?.number ?? null}
          onClose={() => setIdea(null)}
        />
      )}
    </Card>
  )
}
