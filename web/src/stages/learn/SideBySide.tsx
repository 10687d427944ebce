import { effectWords, NOW, partIn, type PartKey, type VineEntry } from '@frijol/core/history'
import type { Dish, Trial } from '@frijol/core/model'
import { useMemo, useState } from 'react'
import { useWorkedAll } from '../../store'
import { Button, Card, formatDay, HeaderActions } from '../../ui'
import { CompareView } from '../../view'
import { Photos } from './Photos'
import { distanceWords } from './words'

export interface SideBySideProps {
  dish: Dish
  trials: readonly Trial[]
  part: PartKey
  entries: readonly VineEntry[]
  /** Chosen on the vine. */
  first: string
  onClose: () => void
}

const MOST = 4

/** Two to four trials beside each other, what differs first. */
export function SideBySide({ dish, trials, part, entries, first, onClose }: SideBySideProps) {
  const before = trials.find(({ id }) => id === first)?.fromNumber ?? trials.at(-1)?.number ?? null
  const parent =
    trials.find(({ number, id }) => number === before && id !== first)?.id ??
    trials.find(({ id }) => id !== first)?.id
  // Until the person chooses: the trial of the vine beside the one that it came from.
  const [picked, setPicked] = useState<readonly string[] | null>(null)
  const usual = useMemo(() => [parent ?? NOW, first], [parent, first])
  const chosen = picked ?? usual
  const keys = [...trials.map(({ id }) => id), NOW]
  const shown = useMemo(() => trials.filter(({ id }) => chosen.includes(id)), [trials, chosen])
  const worked = useWorkedAll(dish, shown, chosen.includes(NOW))
  const nameOf = (key: string): string =>
    key === NOW ? `Now (${dish.trial.number})` : `Trial ${trials.find(({ id }) => id === key)?.number ?? ''}`
  const columns = useMemo(
    () =>
      worked?.map(({ key, worked: one }) => ({
        name: key === NOW ? `Now (${dish.trial.number})` : `Trial ${one.dish.trial.number}`,
        worked: one,
      })) ?? [],
    [worked, dish.trial.number],
  )
  const inOrder = worked?.map(({ key }) => key) ?? []
  const entryOf = (key: string) => entries.find((entry) => entry.key === key)
  const pointOf = (key: string) => {
    const entry = entryOf(key)
    return entry === undefined ? undefined : partIn(entry.parts, part)
  }
  const toggle = (key: string) =>
    setPicked(
      chosen.includes(key)
        ? chosen.filter((one) => one !== key)
        : chosen.length < MOST
          ? [...chosen, key]
          : [...chosen.slice(1), key],
    )
  return (
    <Card aria-label="Trials side by side" className="min-w-0 p-4">
      <HeaderActions>
        <Button onClick={onClose}>Back to the vine</Button>
      </HeaderActions>
      <h2 className="sr-only">Trials side by side</h2>
      <div
        role="group"
        aria-label="Trials to lay side by side, two to four"
        className="mb-3 flex max-h-28 flex-wrap gap-1.5 overflow-y-auto"
      >
        {keys.map((key) => (
          <Button
            key={key}
            className="min-h-8"
            tone={chosen.includes(key) ? 'primary' : 'plain'}
            aria-pressed={chosen.includes(key)}
            onClick={() => toggle(key)}
          >
            {nameOf(key)}
          </Button>
        ))}
      </div>
      {chosen.length < 2 ? (
        <p className="m-0 text-sm text-ink-2">Choose two to four.</p>
      ) : columns.length < 2 ? (
        <p role="status" className="m-0 text-sm text-ink-2">
          Setting them out …
        </p>
      ) : (
        <CompareView
          columns={columns}
          more={[
            {
              label: 'When',
              values: inOrder.map((key) =>
                entryOf(key)?.date == null ? 'in work' : formatDay(entryOf(key)?.date ?? ''),
              ),
            },
            {
              label: 'From the original',
              values: inOrder.map((key) => {
                const point = pointOf(key)
                return point === undefined ? null : distanceWords(point)
              }),
            },
            {
              label: 'As tasted, its change did',
              values: inOrder.map((key) => effectWords(pointOf(key)?.tastedEffects ?? [], 6)),
            },
            {
              label: 'Made otherwise than planned',
              values: inOrder.map((key) => entryOf(key)?.madeOtherwise.join(', ') ?? ''),
            },
            {
              label: 'Photos',
              values: inOrder.map((key) => {
                const ids = trials.find(({ id }) => id === key)?.photoIds ?? []
                return ids.length === 0 ? '' : <Photos ids={ids} of={nameOf(key)} />
              }),
            },
            {
              label: 'Notes',
              values: inOrder.map((key) => (
                <span className="whitespace-pre-line">{entryOf(key)?.notes}</span>
              )),
            },
            { label: 'Decision', values: inOrder.map((key) => entryOf(key)?.decision ?? '') },
            { label: 'Came by', values: inOrder.map((key) => entryOf(key)?.why.join('; ') ?? '') },
          ]}
        />
      )}
    </Card>
  )
}
