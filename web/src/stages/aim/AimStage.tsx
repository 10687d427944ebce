import { useState } from 'react'
import type { Original, Part } from '@frijol/core/model'
import { commands, goalCommands, run, useDish, useLibrary } from '../../store'
import { Card, CardTitle, Field, Sheet, TextArea, TextInput } from '../../ui'
import { AimPart, type Choosing } from './AimPart'
import { ChooseOriginal } from './ChooseOriginal'
import { Exclusions } from './Exclusions'
import { Limits } from './Limits'
import { Without } from './Without'

/** A night in the cold, unless it is said otherwise, h. */
const USUAL_COLD_H = 12
function choose(part: Part, which: Choosing['which'], original: Original | null): void {
  if (which === 'first') run(commands.chooseOriginal(part.id, original))
  else {
    const coldH = part.alsoServed?.coldH ?? USUAL_COLD_H
    run(goalCommands.serveAlso(part.id, original === null ? null : { originalId: original.id, coldH }))
  }
}

/** Aim: what is to be matched, and what may not be done. */
export function AimStage() {
  const dish = useDish()
  const library = useLibrary()
  const [choosing, setChoosing] = useState<Choosing | null>(null)
  const part = dish.parts.find(({ id }) => id === choosing?.partId)
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
        {dish.parts.map((part) => (
          <AimPart key={part.id} part={part} onChoose={setChoosing} />
        ))}
      </div>
      <div className="grid gap-4">
        <Limits />
        <Exclusions />
        <Without />
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
        title={choosing?.which === 'second' ? 'Served as what, too?' : 'Which original?'}
        description={`${library.originals.size} foods with their texture, taste and composition.`}
        isOpen={choosing !== null}
        onClose={() => setChoosing(null)}
        width="wide"
      >
        {part !== undefined && choosing !== null && (
          <ChooseOriginal
            part={part}
            onChosen={(original) => {
              choose(part, choosing.which, original)
              setChoosing(null)
            }}
          />
        )}
      </Sheet>
    </div>
  )
}
