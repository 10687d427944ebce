import type { Part, Step, StepReading, StepUse } from '@frijol/core/model'
import { X } from 'lucide-react'
import { methodCommands, run, useDish } from '../../store'
import { Button, IconButton, NumberField, SelectInput } from '../../ui'

/** What a step takes now, in the form in which it is set by hand. */
export const usesNow = (step: Step, reading: StepReading | null): StepUse[] =>
  step.uses ?? (reading?.takes ?? []).map(({ kind, id, share }): StepUse => ({ kind, id, share }))

const keyOf = ({ kind, id }: Pick<StepUse, 'kind' | 'id'>): string => `${kind} ${id}`

interface Choice {
  readonly key: string
  readonly use: StepUse
  readonly name: string
}

/** Everything that a step could take: lines of its part, what earlier steps made, other parts. */
function choicesFor(part: Part, step: Step, others: readonly Part[]): Choice[] {
  const before = part.steps.slice(
    0,
    part.steps.findIndex(({ id }) => id === step.id),
  )
  const whole = (kind: StepUse['kind'], id: string, name: string): Choice => {
    const use = { kind, id, share: null }
    return { key: keyOf(use), use, name }
  }
  return [
    ...part.lines.map(({ id, food }) => whole('line', id, food)),
    ...before.map(({ id }, at) => whole('step', id, `what step ${at + 1} made`)),
    ...others.map(({ id, name }) => whole('part', id, name)),
  ]
}

export interface TakesProps {
  part: Part
  step: Step
  reading: StepReading | null
}

/** What a step takes, each whole or by a share, so that one ingredient can be split across steps. */
export function Takes({ part, step, reading }: TakesProps) {
  const dish = useDish()
  const uses = usesNow(step, reading)
  const choices = choicesFor(
    part,
    step,
    dish.parts.filter(({ id }) => id !== part.id),
  )
  const taken = new Set(uses.map(keyOf))
  const set = (next: readonly StepUse[]) => run(methodCommands.setUses(part.id, step, next))
  const share = (use: StepUse, percent: number | null): string | null => {
    if (percent !== null && (percent <= 0 || percent > 100))
      return 'Enter 1 to 100 %, or clear it for all that is left.'
    set(uses.map((one) => (one === use ? { ...one, share: percent === null ? null : percent / 100 } : one)))
    return null
  }
  return (
    <fieldset className="m-0 min-w-0 border-0 p-0">
      <legend className="mb-1 flex w-full items-baseline gap-2 p-0 text-[13px] font-semibold text-ink-2">
        Takes
        <span className="font-normal">
          {step.uses === null ? 'as the words say' : 'set by hand'}; % of each, empty for all that is left
        </span>
        {step.uses !== null && (
          <Button
            tone="quiet"
            className="ml-auto min-h-7"
            onClick={() => run(methodCommands.setUses(part.id, step, null))}
          >
            Follow the words
          </Button>
        )}
      </legend>
      <ul className="m-0 grid list-none gap-1 ps-0">
        {uses.map((use) => {
          const name =
            choices.find(({ key }) => key === keyOf(use))?.name ??
            reading?.takes.find((one) => keyOf(one) === keyOf(use))?.name ??
            'something that is gone'
          const massG = reading?.takes.find((one) => keyOf(one) === keyOf(use))?.massG
          return (
            <li key={keyOf(use)} className="grid grid-cols-[minmax(0,1fr)_72px_28px] items-center gap-2">
              <span className="truncate text-sm">
                {name}
                {massG !== undefined && <span className="text-ink-2"> {Math.round(massG)} g</span>}
              </span>
              <NumberField
                label={`Percent of ${name} that step takes`}
                className="[&_label]:sr-only"
                value={use.share === null ? null : Number((use.share * 100).toFixed(1))}
                onChange={(percent) => share(use, percent)}
              />
              <IconButton
                label={`Step takes no ${name}`}
                onClick={() => set(uses.filter((one) => one !== use))}
              >
                <X size={15} />
              </IconButton>
            </li>
          )
        })}
      </ul>
      <SelectInput
        aria-label="Add to what this step takes"
        className="mt-1.5"
        value=""
        onChange={(event) => {
          const choice = choices.find(({ key }) => key === event.target.value)
          if (choice !== undefined) set([...uses, choice.use])
        }}
      >
        <option value="">Add an ingredient, a step or a part …</option>
        {choices
          .filter(({ key }) => !taken.has(key))
          .map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
      </SelectInput>
    </fieldset>
  )
}
