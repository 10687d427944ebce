import { useState } from 'react'
import { commands, run, useDish, useLibrary } from '../../store'
import { OriginalProfile } from '../../original'
import { Button, Card, CardTitle, Field, Sheet, TextArea, TextInput } from '../../ui'
import { ChooseOriginal } from './ChooseOriginal'
import { Exclusions } from './Exclusions'
import { Limits } from './Limits'

/** Aim: what is to be matched, and what may not be done. */
export function AimStage() {
  const dish = useDish()
  const library = useLibrary()
  const [choosingFor, setChoosingFor] = useState<string | null>(null)
  const choosing = dish.parts.find(({ id }) => id === choosingFor)
  const setText = (field: 'matters' | 'never', value: string) =>
    run(
      commands.changeAim(
        'write the aim',
        (aim) => {
          aim[field] = value.slice(0, 1000)
        },
        field,
      ),
    )
  return (
    <div className="grid items-start gap-4 pb-6 lg:grid-cols-[1fr_400px]">
      <div className="grid gap-4">
        {dish.parts.map((part) => {
          const original = part.originalId === null ? undefined : library.originals.get(part.originalId)
          return (
            <Card key={part.id} className="p-4" aria-label={`Original of ${part.name}`}>
              <div className="mb-2 flex flex-wrap items-center gap-3">
                <div className="min-w-0 flex-1">
                  <div className="text-[13px] text-ink-2">{part.name} is to match</div>
                  <h2 className="m-0 text-lg">{original?.name ?? 'nothing yet'}</h2>
                </div>
                <Button
                  tone={original === undefined ? 'primary' : 'plain'}
                  onClick={() => setChoosingFor(part.id)}
                >
                  {original === undefined ? 'Choose the original' : 'Choose another'}
                </Button>
              </div>
              {original === undefined ? (
                <p className="m-0 text-sm text-ink-2">
                  Choose the food that this part replaces. Its bite, juice and salt become the bands that
                  every trial is read against.
                </p>
              ) : (
                <OriginalProfile original={original} />
              )}
            </Card>
          )
        })}
      </div>
      <div className="grid gap-4">
        <Limits />
        <Exclusions />
        <Card className="grid gap-3 p-4">
          <CardTitle title="In words" />
          <Field label="Menu it belongs to">
            {(props) => (
              <TextInput
                {...props}
                value={dish.menu}
                maxLength={200}
                onChange={(event) => {
                  const { value } = event.target
                  run({
                    label: 'name the menu',
                    merge: 'menu',
                    apply: (draft) => {
                      draft.menu = value
                    },
                  })
                }}
              />
            )}
          </Field>
          <Field label="What matters most">
            {(props) => (
              <TextArea
                {...props}
                value={dish.aim.matters}
                maxLength={1000}
                onChange={(event) => setText('matters', event.target.value)}
              />
            )}
          </Field>
          <Field label="What it must never be">
            {(props) => (
              <TextArea
                {...props}
                value={dish.aim.never}
                maxLength={1000}
                onChange={(event) => setText('never', event.target.value)}
              />
            )}
          </Field>
        </Card>
      </div>
      <Sheet
        title="Which original?"
        description="41 foods with their texture, taste and composition."
        isOpen={choosingFor !== null}
        onClose={() => setChoosingFor(null)}
        width="wide"
      >
        {choosing !== undefined && (
          <ChooseOriginal
            part={choosing}
            onChosen={(original) => {
              run(commands.chooseOriginal(choosing.id, original))
              setChoosingFor(null)
            }}
          />
        )}
      </Sheet>
    </div>
  )
}
