import { NOW, partIn, type PartPoint } from '@frijol/core/history'
import type { Dish, Part, Trial } from '@frijol/core/model'
import { lazy, Suspense, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { useDish, useKitchenStore, useTrials } from '../../store'
import { useNextTrials, useVine } from '../../store/learn'
import { Button, Card, Choice, Empty, HeaderActions } from '../../ui'
import { Diagnose } from './Diagnose'
import { KeptInMind } from './KeptInMind'
import { LearnStrip } from './LearnStrip'
import { NextTrials } from './NextTrials'
import { SideBySide } from './SideBySide'
import { StoryView } from './StoryView'
import { TrialCard } from './TrialCard'
import { Vine } from './Vine'

const NO_GAPS: PartPoint['tastedGaps'] = []
const SeriesView = lazy(async () => ({ default: (await import('./series')).SeriesView }))

/** Learn: what did that change do, what went wrong, what next? */
export function LearnStage() {
  const dish = useDish()
  const [params, setParams] = useSearchParams()
  const part = dish.parts.find(({ id }) => id === params.get('part')) ?? dish.parts[0]
  const { trials, bad, isRead } = useTrials(dish.id)
  if (part === undefined) return null
  if (!isRead)
    return (
      <p role="status" className="m-0 text-ink-2">
        Looking for trials …
      </p>
    )
  const set = (key: string, value: string | null) =>
    setParams(
      (now) => {
        if (value === null) now.delete(key)
        else now.set(key, value)
        return now
      },
      { replace: true },
    )
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      {bad.length > 0 && (
        <Card role="alert" className="px-4 py-2 text-sm">
          {bad.length === 1 ? 'A kept trial is' : `${bad.length} kept trials are`} stored, but damaged, and
          left out here. The list of trials has them to be saved or taken away.
        </Card>
      )}
      <Learning
        dish={dish}
        part={part}
        trials={trials}
        show={params.get('show')}
        chosen={params.get('trial')}
        set={set}
      />
    </div>
  )
}

interface LearningProps {
  dish: Dish
  part: Part
  trials: readonly Trial[]
  show: string | null
  chosen: string | null
  set: (key: string, value: string | null) => void
}

function Learning({ dish, part, trials, show, chosen: asked, set }: LearningProps) {
  const vine = useVine(dish, trials)
  const key = useMemo(() => ({ partId: part.id, part: part.name }), [part.id, part.name])
  const [isNextAsked, setNextAsked] = useState(false)
  const last = trials.at(-1)
  const isThere = asked === NOW || trials.some(({ id }) => id === asked)
  const chosen = asked !== null && isThere ? asked : (last?.id ?? NOW)
  const trial = trials.find(({ id }) => id === chosen) ?? null
  const tasted = useKitchenStore((state) => state.kitchen.tasted)
  const gapsBy = useMemo(() => {
    const ways = new Set(
      tasted.filter((one) => one.dishId === dish.id && one.trialNumber === trial?.number).map(({ by }) => by),
    )
    return ways.size > 1 ? 'both' : ways.has('check') ? 'check' : 'tasters'
  }, [tasted, dish.id, trial?.number])
  const base = useMemo(
    () => (trial === null ? dish : { ...dish, parts: trial.parts, written: trial.written }),
    [dish, trial],
  )
  const basePart =
    base.parts.find(({ id }) => id === part.id) ?? base.parts.find(({ name }) => name === part.name)
  const next = useNextTrials(base, basePart?.id ?? '', trials, isNextAsked && basePart !== undefined)
  const fromNumber = trial?.number ?? dish.trial.number
  const highest = Math.max(dish.trial.number, ...trials.map(({ number }) => number))
  const proposals = useMemo(
    () =>
      next.value?.ok === true
        ? next.value.next.proposals.map(({ kind, distance, changes }) => ({
            key: `next ${kind}`,
            fromNumber,
            number: highest + 1,
            distance,
            words: changes,
            isBold: kind === 'bold',
          }))
        : [],
    [next.value, fromNumber, highest],
  )
  if (show === 'story')
    return (
      <StoryView
        dish={dish}
        part={key}
        entries={vine.entries}
        waiting={vine.waiting}
        onClose={() => set('show', null)}
      />
    )
  if (show === 'beside')
    return (
      <SideBySide
        dish={dish}
        trials={trials}
        part={key}
        entries={vine.entries}
        first={chosen}
        onClose={() => set('show', null)}
      />
    )
  if (show === 'series')
    return (
      <Suspense
        fallback={
          <p role="status" className="text-ink-2">
            Setting out …
          </p>
        }
      >
        <SeriesView key={part.id} dish={dish} part={part} trials={trials} onClose={() => set('show', null)} />
      </Suspense>
    )
  const entry = vine.entries.find((one) => one.key === chosen) ?? null
  return (
    <>
      <HeaderActions>
        <Button disabled={trials.length === 0} onClick={() => set('show', 'beside')}>
          Lay side by side
        </Button>
        <Button onClick={() => set('show', 'series')}>Series</Button>
        <Button onClick={() => set('show', 'story')}>As a story</Button>
      </HeaderActions>
      {dish.parts.length > 1 && (
        <Choice
          label="Part"
          value={part.id}
          options={dish.parts.map(({ id }) => id)}
          names={Object.fromEntries(dish.parts.map(({ id, name }) => [id, name]))}
          onChange={(id) => set('part', id)}
        />
      )}
      <div className="grid min-h-0 flex-1 items-start gap-3.5 lg:grid-cols-[minmax(0,1fr)_372px]">
        <Card
          aria-label="What each change did"
          className="flex h-[calc(100dvh-232px)] min-h-90 flex-col overflow-hidden max-lg:h-auto lg:sticky lg:top-3"
        >
          {trials.length === 0 ? (
            <div className="p-4">
              <Empty sentence="No trial is kept yet. Cook one, or keep the formula as it was made: it becomes the first seed here." />
            </div>
          ) : (
            <Vine
              entries={vine.entries}
              proposals={proposals}
              part={key}
              chosen={chosen}
              onChoose={(one) => set('trial', one)}
            />
          )}
          <p className="m-0 mt-auto flex flex-wrap gap-x-3 border-t border-line px-4 py-2 text-[13px] text-ink-2">
            <span>green: made</span>
            <span>red ring: set aside</span>
            <span>dashed: in work, or proposed</span>
            <span>small ring: as tasted</span>
            {vine.waiting > 0 && <span role="status">{vine.waiting} more are being worked out …</span>}
            {vine.hasFailed && (
              <span role="alert">What the trials come to could not be worked out. Open the page again.</span>
            )}
          </p>
        </Card>
        <div className="grid gap-3 pb-4">
          {entry !== null && (
            <TrialCard dish={dish} entry={entry} trial={trial} part={key} entries={vine.entries} />
          )}
          <Diagnose
            key={chosen}
            dish={dish}
            trial={trial}
            trials={trials}
            part={key}
            gaps={(entry === null ? undefined : partIn(entry.parts, key))?.tastedGaps ?? NO_GAPS}
            gapsBy={gapsBy}
          />
          <NextTrials
            dish={dish}
            fromNumber={trial?.number ?? null}
            next={next}
            isAsked={isNextAsked}
            onAsk={() => setNextAsked(true)}
          />
          <KeptInMind dish={dish} part={part} />
        </div>
      </div>
      <LearnStrip entries={vine.entries} part={key} family={part.family} />
    </>
  )
}
