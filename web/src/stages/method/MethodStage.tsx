import type { Part, PartAssessment, Step } from '@frijol/core/model'
import { rereadStep, stepFrom } from '@frijol/core/process'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { toast } from 'sonner'
import { commands, keepPartAsFood, newId, partOf, run, useAssessment, useDish } from '../../store'
import { Button, Card, CardTitle, Empty, NumberField, TextArea } from '../../ui'
import { StepRow } from './StepRow'

const BASIS: Record<PartAssessment['cookedBasis'], string> = {
  weighed: 'weighed',
  steps: 'from the steps',
  family: 'usual for the family, not weighed',
  raw: 'nothing cooks off yet',
}

/** Method: what happens to mass and water on the way. */
export function MethodStage() {
  const dish = useDish()
  const assessment = useAssessment()
  const [params, setParams] = useSearchParams()
  const part = dish.parts.find(({ id }) => id === params.get('part')) ?? dish.parts[0]
  const reading = part === undefined ? null : partOf(assessment, part.id)
  if (part === undefined || reading === null) return null
  return (
    <div className="grid flex-1 items-start gap-4 pb-4 lg:grid-cols-[minmax(0,1fr)_320px]">
      <Card className="overflow-hidden" aria-label="Steps">
        {dish.parts.length > 1 && (
          <div
            className="flex flex-wrap gap-1.5 border-b border-line px-3 py-2"
            role="group"
            aria-label="Parts"
          >
            {dish.parts.map(({ id, name }) => (
              <Button
                key={id}
                tone={id === part.id ? 'primary' : 'quiet'}
                aria-pressed={id === part.id}
                onClick={() => setParams({ part: id }, { replace: true })}
              >
                {name}
              </Button>
            ))}
          </div>
        )}
        <Steps key={part.id} part={part} reading={reading} />
      </Card>
      <Yield part={part} reading={reading} />
    </div>
  )
}

function Steps({ part, reading }: { part: Part; reading: PartAssessment }) {
  const [text, setText] = useState('')
  const replace = (at: number, change: Partial<Step>, merge?: string) =>
    run(
      commands.setSteps(
        part.id,
        part.steps.map((step, index) => (index === at ? { ...step, ...change } : step)),
        'change a step',
        merge,
      ),
    )
  const move = (at: number, by: number) => {
    const steps = [...part.steps]
    const [step] = steps.splice(at, 1)
    if (step !== undefined) steps.splice(at + by, 0, step)
    run(commands.setSteps(part.id, steps, 'move a step'))
  }
  const add = () => {
    if (text.trim() === '') return
    run(commands.setSteps(part.id, [...part.steps, stepFrom(text.trim(), newId())], 'add a step'))
    setText('')
  }
  return (
    <>
      {part.steps.length === 0 && (
        <Empty sentence="Write what is done to the mix, one step at a time. Say what share of its mass a step keeps, and water and yield follow." />
      )}
      <ol className="m-0 list-none ps-0">
        {part.steps.map((step, at) => (
          <StepRow
            key={step.id}
            step={step}
            number={at + 1}
            rawMassG={reading.rawMassG}
            reading={reading.steps[at] ?? null}
            isFirst={at === 0}
            isLast={at === part.steps.length - 1}
            onText={(value) => replace(at, rereadStep(step, value.slice(0, 4000)), `step ${step.id}`)}
            onKeeps={(fraction) =>
              replace(
                at,
                { until: fraction === null ? null : { kind: 'keeps', fraction } },
                `keeps ${step.id}`,
              )
            }
            onMove={(by) => move(at, by)}
            onRemove={() =>
              run(
                commands.setSteps(
                  part.id,
                  part.steps.filter(({ id }) => id !== step.id),
                  'take out a step',
                ),
              )
            }
          />
        ))}
      </ol>
      <form
        className="flex items-end gap-2 p-3.5"
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <TextArea
          aria-label="Add a step"
          placeholder="Brown the mushrooms in a dry pan until no steam rises, 9 minutes."
          value={text}
          maxLength={4000}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" tone="primary" disabled={text.trim() === ''}>
          Add
        </Button>
      </form>
    </>
  )
}

function Yield({ part, reading }: { part: Part; reading: PartAssessment }) {
  const change = (massG: number | null): string | null => {
    if (massG !== null && (massG <= 0 || massG > 1e6)) return 'Enter a mass above 0 g, or clear it.'
    run(commands.setCookedMass(part.id, massG))
    return null
  }
  const { rawMassG, cookedMassG, cookedBasis, water } = reading
  const keep = async () => {
    const kept = await keepPartAsFood(part.id)
    toast(
      kept.ok ? `${kept.value.name} is in the pantry.` : (kept.issues[0]?.message ?? 'It could not be kept.'),
    )
  }
  return (
    <Card className="grid gap-3 p-4">
      <CardTitle title="Yield" aside={BASIS[cookedBasis]} />
      <p className="m-0 text-sm">
        <b className="font-display text-xl">{Math.round(cookedMassG)} g</b> cooked of {Math.round(rawMassG)} g
        raw
        {water.cookedOffG > 0.5 && `; ${Math.round(water.cookedOffG)} g of water leaves`}.
      </p>
      <NumberField
        label="Weighed after cooking"
        unit="g"
        value={part.cookedMassG}
        onChange={change}
        hint="Weigh the cooked part once; the weighed mass wins over the steps. Clear it to follow the steps again."
      />
      <Button onClick={() => void keep()}>Keep this part as an ingredient</Button>
      <p className="m-0 text-xs text-ink-2">
        Only water leaves a step here: salt, protein and fat stay in the food. Follow your local food code for
        core temperatures and cooling.
      </p>
    </Card>
  )
}
