import { assess } from '@frijol/core/assess'
import type { Assessment, Dish } from '@frijol/core/model'
import type { Answer, TuneAsk, Tuned } from '@frijol/core/tune'
import { useEffect, useMemo, useRef, useState } from 'react'
import { runJob } from '../workers'
import { useDish } from './assessed'
import { takeOver } from './commands'
import { useKitchenStore, useLibrary } from './kitchen'
import { run } from './openDish'
import { keepTrial } from './trials'

/** How a search stands. */
export interface Tuning {
  readonly state: 'looking' | 'done' | 'stopped' | 'refused' | 'failed'
  readonly evaluations: number
  readonly seconds: number
  /** What has been found so far: the first answer comes before the search ends. */
  readonly answers: readonly Answer[]
  readonly tuned: Tuned | null
  /** Why nothing can be looked for, or what went wrong. */
  readonly message: string
  readonly hint: string
}

const BEGINNING: Tuning = {
  state: 'looking',
  evaluations: 0,
  seconds: 0,
  answers: [],
  tuned: null,
  message: '',
  hint: '',
}

/** Looks for amounts that bring a part to its goal, beside the screen; looks again when the dish or what is asked changes. */
export function useTuning(ask: TuneAsk): { tuning: Tuning; stop: () => void } {
  const dish = useDish()
  const { kitchen, own } = useKitchenStore()
  const [kept, setKept] = useState<{ dish: Dish; ask: TuneAsk; tuning: Tuning }>({
    dish,
    ask,
    tuning: BEGINNING,
  })
  const stopper = useRef<AbortController | null>(null)
  // What was found for another dish, or another question, is no answer to this one.
  const tuning = kept.dish === dish && kept.ask === ask ? kept.tuning : BEGINNING
  useEffect(() => {
    const control = new AbortController()
    stopper.current = control
    const began = performance.now()
    const seconds = () => (performance.now() - began) / 1000
    const setTuning = (change: (now: Tuning) => Tuning) =>
      setKept((now) => ({
        dish,
        ask,
        tuning: change(now.dish === dish && now.ask === ask ? now.tuning : BEGINNING),
      }))
    runJob(
      'tune',
      { dish, ask, kitchen, own },
      {
        signal: control.signal,
        onProgress: ({ evaluations, answer }) => {
          if (control.signal.aborted) return
          setTuning((now) => ({
            ...now,
            evaluations,
            seconds: seconds(),
            answers: answer === null ? now.answers : [answer],
          }))
        },
      },
    ).then(
      (result) => {
        if (control.signal.aborted) return
        setTuning((now) =>
          result.ok
            ? {
                ...now,
                state: 'done',
                evaluations: result.tuned.evaluations,
                seconds: seconds(),
                answers: result.tuned.answers,
                tuned: result.tuned,
              }
            : { ...now, state: 'refused', message: result.message, hint: result.hint },
        )
      },
      (error: unknown) => {
        if (control.signal.aborted) return
        console.error(error)
        setTuning((now) => ({
          ...now,
          state: 'failed',
          message: 'The search broke off.',
          hint: 'The formula is as it was. Try again; if it happens again, change what is held.',
        }))
      },
    )
    return () => control.abort()
  }, [dish, ask, kitchen, own])
  const stop = () => {
    stopper.current?.abort()
    setKept({ dish, ask, tuning: tuning.state === 'looking' ? { ...tuning, state: 'stopped' } : tuning })
  }
  return { tuning, stop }
}

/** An answer without some of its changes: those lines and steps stay as they are. */
export function withoutChanges(dish: Dish, answer: Answer, refused: ReadonlySet<string>): Dish {
  if (refused.size === 0) return answer.dish
  return {
    ...answer.dish,
    parts: answer.dish.parts.map((part) => {
      const own = dish.parts.find(({ id }) => id === part.id)
      const isNew = (id: string) => own?.lines.every((line) => line.id !== id) === true
      return {
        ...part,
        lines: part.lines
          .filter(({ id }) => !(refused.has(id) && isNew(id)))
          .map((line) =>
            refused.has(line.id) ? (own?.lines.find(({ id }) => id === line.id) ?? line) : line,
          ),
        steps: part.steps.map((step) => {
          const kept = refused.has(step.id) ? (own?.steps.find(({ id }) => id === step.id) ?? step) : step
          return kept.uses === null
            ? kept
            : { ...kept, uses: kept.uses.filter(({ id }) => !(refused.has(id) && isNew(id))) }
        }),
      }
    }),
    written:
      refused.size > 0 && answer.process.some(({ stepId }) => refused.has(stepId))
        ? dish.written
        : answer.dish.written,
  }
}

/** What an answer would come to without some of its changes; null without an answer. */
export function useTaken(
  answer: Answer | null,
  refused: ReadonlySet<string>,
): { dish: Dish; assessment: Assessment } | null {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  return useMemo(() => {
    if (answer === null) return null
    // Taken whole, it was assessed beside the screen.
    if (refused.size === 0) return { dish: answer.dish, assessment: answer.assessment }
    const proposed = withoutChanges(dish, answer, refused)
    return { dish: proposed, assessment: assess(proposed, library, kitchen) }
  }, [answer, refused, dish, library, kitchen])
}

/** Whether something of the present trial was weighed: a change is then the next trial's. */
export const isCooked = ({ parts }: Pick<Dish, 'parts'>): boolean =>
  parts.some(
    ({ cookedMassG, steps }) => cookedMassG !== null || steps.some(({ weighedG }) => weighedG !== null),
  )

/**
 * Takes a proposal over. What was cooked is kept as a trial first, with the reason, and the proposal is the next one.
 * @returns what to tell the person; null where nothing was taken over
 */
export async function takeProposal(dish: Dish, proposed: Dish, reason: string): Promise<string | null> {
  if (!isCooked(dish)) return run(takeOver(proposed, reason)) ? 'Taken over. Undo with U.' : null
  const kept = await keepTrial('made', '', `Then ${reason}.`)
  if (kept === null) return null
  const parts = proposed.parts.map((part) => ({
    ...part,
    cookedMassG: null,
    steps: part.steps.map((step) => ({ ...step, weighedG: null })),
  }))
  return run(takeOver({ ...proposed, parts }, reason)) ? `Trial ${kept} is kept; this is the next one.` : null
}
