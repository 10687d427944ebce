import { resolveLines } from '@frijol/core/composition'
import type { Part } from '@frijol/core/model'
import { specOf } from '@frijol/core/program'
import { proposeSteps } from '@frijol/core/reading'
import { useEffect, useMemo, useState } from 'react'
import { methodCommands, newId, run, useKitchenStore, useLibrary, useProposedPart } from '../../store'
import { Button, Field, Sheet, TextArea } from '../../ui'
import { factsOf, spoken, takenWords } from './format'

export interface PasteStepsProps {
  part: Part
  initial: string
  onClose: () => void
}

/** A paste in the lines that were meant, as soon as the readers of files are here. */
function useTidied(text: string): string {
  const [tidied, setTidied] = useState<((text: string) => string) | null>(null)
  useEffect(() => {
    void import('@frijol/core/interchange').then((readers) => setTidied(() => readers.tidied))
  }, [])
  return useMemo(() => (tidied === null ? text : tidied(text)), [text, tidied])
}

/** A recipe's instruction text, the method that is read from it, and what each step would take and weigh. */
export function PasteSteps({ part, initial, onClose }: PasteStepsProps) {
  const [text, setText] = useState(initial)
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const kitchen = useKitchenStore((state) => state.kitchen)
  const library = useLibrary()
  const lines = useMemo(() => resolveLines(part, library, kitchen), [part, library, kitchen])
  const words = useTidied(text)
  const all = useMemo(
    () => proposeSteps(words, newId, { part, lines }, kitchen),
    [words, part, lines, kitchen],
  )
  const steps = useMemo(() => all.filter((_step, at) => !left.has(at)), [all, left])
  const reading = useProposedPart(part.id, steps.length === 0 ? null : steps)
  const hasOld = part.steps.length > 0
  const take = (isAdded: boolean) => {
    run(isAdded ? methodCommands.addSteps(part.id, steps) : methodCommands.replaceSteps(part.id, steps))
    onClose()
  }
  return (
    <Sheet
      title="Paste steps"
      description="Each doing becomes a step, and the list’s ingredients go where the words name them. Nothing changes until you take it over."
      isOpen
      onClose={onClose}
      width="wide"
    >
      <Field label="Instructions as written">
        {(props) => (
          <TextArea
            {...props}
            rows={5}
            autoFocus
            value={text}
            maxLength={100_000}
            placeholder="Soak the beans overnight, drain and boil for 40 minutes. Mash half and stir in the gluten …"
            onChange={(event) => {
              setText(event.target.value)
              setLeft(new Set())
            }}
          />
        )}
      </Field>
      {all.length > 0 && (
        <ol className="m-0 mt-3 grid list-none gap-0 ps-0" aria-label="Proposed steps">
          {all.map((step, at) => {
            const isLeft = left.has(at)
            const here = reading?.steps.find(({ stepId }) => stepId === step.id) ?? null
            return (
              <li key={step.id} className="flex gap-2.5 border-b border-line/70 py-1.5 text-sm">
                <input
                  type="checkbox"
                  className="mt-1 size-4 accent-aubergine"
                  aria-label={`Take step ${at + 1} over`}
                  checked={!isLeft}
                  onChange={() => {
                    const next = new Set(left)
                    if (isLeft) next.delete(at)
                    else next.add(at)
                    setLeft(next)
                  }}
                />
                <div className={isLeft ? 'min-w-0 text-ink-2 line-through' : 'min-w-0'}>
                  <p className="m-0">
                    <b>{step.operation === null ? 'Not read' : specOf(step.operation).name}</b>{' '}
                    <span className="text-ink-2">{step.text}</span>
                  </p>
                  {here !== null && (
                    <p className="m-0 text-[13px] text-sky-deep">
                      {[
                        ...factsOf(step, here),
                        spoken(here.minutes),
                        here.takes.length === 0 ? 'takes nothing' : takenWords(here.takes),
                      ].join(' · ')}
                    </p>
                  )}
                </div>
              </li>
            )
          })}
        </ol>
      )}
      {reading !== null && reading.unused.length > 0 && (
        <p className="m-0 mt-2 text-sm text-turmeric-deep">
          In no step: {reading.unused.map(({ name }) => name.replace(/,.*$/, '')).join(', ')}.
        </p>
      )}
      <div className="mt-3 flex flex-wrap justify-end gap-2">
        {hasOld && (
          <Button disabled={steps.length === 0} onClick={() => take(true)}>
            Add after the present steps
          </Button>
        )}
        <Button tone="primary" disabled={steps.length === 0} onClick={() => take(false)}>
          {hasOld ? `Replace by ${steps.length} steps` : `Take ${steps.length} steps over`}
        </Button>
      </div>
    </Sheet>
  )
}
