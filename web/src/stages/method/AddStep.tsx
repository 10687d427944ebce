import type { OperationId, Part } from '@frijol/core/model'
import { specOf } from '@frijol/core/program'
import { setByHand, splitInstructions, stepFrom } from '@frijol/core/reading'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import { kitchenWords, methodCommands, newId, run, useProposedPart } from '../../store'
import { AddField, Button } from '../../ui'
import { factsOf, grams, spoken, takenWords } from './format'
import { PickOperation } from './PickOperation'

/** How a step would be understood, and what it would do, while it is typed. */
function usePreview(part: Part, text: string): string {
  const proposed = useMemo(
    () => (text.trim() === '' ? null : [...part.steps, stepFrom(text.trim(), 'being-typed', kitchenWords())]),
    [part.steps, text],
  )
  const reading = useProposedPart(part.id, proposed)?.steps.at(-1) ?? null
  const step = proposed?.at(-1)
  if (step === undefined || reading === null) return ''
  const { takes } = reading
  return [
    step.operation === null ? 'not read as an operation' : specOf(step.operation).name,
    ...factsOf(step, reading),
    spoken(reading.minutes),
    takes.length === 0 ? 'takes nothing yet' : `takes ${takenWords(takes)}`,
    ...(takes.length === 0 ? [] : [`→ ${grams(reading.massG)}`]),
  ].join(' · ')
}

export interface AddStepProps {
  part: Part
  /** Called with a text of several steps that was pasted. */
  onPasteMany: (text: string) => void
}

/** One field that adds steps: typed, or picked from the operations; a paste of many goes to its sheet. */
export function AddStep({ part, onPasteMany }: AddStepProps) {
  const [text, setText] = useState('')
  const [isPicking, setPicking] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const preview = usePreview(part, useDeferredValue(text))
  const add = () => {
    if (text.trim() === '') return
    run(methodCommands.addSteps(part.id, [stepFrom(text.trim(), newId(), kitchenWords())]))
    setText('')
  }
  const pick = (operation: OperationId) => {
    const words = text.trim() === '' ? `${specOf(operation).name}.` : text.trim()
    run(
      methodCommands.addSteps(part.id, [setByHand(stepFrom(words, newId(), kitchenWords()), { operation })]),
    )
    setText('')
    input.current?.focus()
  }
  const paste = (pasted: string): boolean => {
    const isMany = splitInstructions(pasted).length > 1
    if (isMany) onPasteMany(pasted)
    return isMany
  }
  return (
    <AddField
      label="Add a step"
      placeholder="Add: “roast 200 °C fan 25 min, single layer”"
      maxLength={4000}
      value={text}
      reading={preview}
      readingId="add-step-reading"
      onChange={setText}
      onAdd={add}
      onPaste={paste}
      inputRef={input}
    >
      <Button tone="quiet" onClick={() => setPicking(true)}>
        or pick an operation
      </Button>
      <PickOperation
        isOpen={isPicking}
        onClose={() => setPicking(false)}
        onPick={(operation) => {
          setPicking(false)
          if (operation !== null) pick(operation)
        }}
      />
    </AddField>
  )
}
