import { FAMILIES, type Original, type Part } from '@frijol/core/model'
import { memo } from 'react'
import { goalCommands, run, useLibrary } from '../../store'
import { Button, Card, Field, NumberField, SelectInput } from '../../ui'
import { Targets } from './Targets'
import { Windows } from './Windows'

/** Which original of which part is being chosen. */
export interface Choosing {
  readonly partId: string
  readonly which: 'first' | 'second'
}

export interface AimPartProps {
  part: Part
  /** Opens the choice of the original, or of the second one. */
  onChoose: (choosing: Choosing) => void
}

const familyWords = (id: string): string => id.replaceAll('-', ' ')

function Facts({ original }: { original: Original }) {
  const facts = [
    ['Water', `${original.waterPct.typical} %`],
    ['Protein', `${original.proteinPct.typical} %`],
    ['Fat', `${original.fatPct.typical} %`],
    ['Sodium', `${original.sodiumMgPer100g.typical} mg`],
    ...(original.viscosityPaS === null ? [] : [['Thickness', `${original.viscosityPaS.typical} Pa·s`]]),
  ]
  return (
    <dl className="m-0 flex flex-wrap gap-x-6 gap-y-1 text-sm">
      {facts.map(([label, value]) => (
        <div key={label}>
          <dt className="text-xs text-ink-2">{label}</dt>
          <dd className="m-0 font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  )
}

/** How the part is read: by which family, how warm, and whether it is served a second way. */
function ReadAs({ part, original, onChoose }: AimPartProps & { original: Original | null }) {
  const library = useLibrary()
  const { alsoServed: also } = part
  const second = also === null ? undefined : library.originals.get(also.originalId)
  return (
    <div className="mb-3 grid grid-cols-[1fr_150px] items-end gap-3 max-sm:grid-cols-1">
      <Field label="Read as">
        {(props) => (
          <SelectInput
            {...props}
            value={part.family ?? ''}
            onChange={(event) =>
              run(goalCommands.readAs(part.id, FAMILIES.find((id) => id === event.target.value) ?? null))
            }
          >
            <option value="">nothing: mass and nutrients alone</option>
            {FAMILIES.map((id) => (
              <option key={id} value={id}>
                {familyWords(id)}
                {id === original?.family ? ', as the original' : ''}
              </option>
            ))}
          </SelectInput>
        )}
      </Field>
      <NumberField
        label="Served at"
        unit="°C"
        value={part.moved.servingTempC ?? original?.servingTempC ?? null}
        onChange={(value) => {
          if (value !== null && (value < -30 || value > 120)) return 'Between −30 and 120 °C.'
          run(goalCommands.serveAt(part.id, value === original?.servingTempC ? null : value))
          return null
        }}
      />
      {also === null ? (
        original !== null && (
          <Button
            tone="quiet"
            className="justify-self-start"
            onClick={() => onChoose({ partId: part.id, which: 'second' })}
          >
            It is served a second way, too
          </Button>
        )
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-x-3 text-sm">
            <span>
              Served as <b>{second?.name ?? 'an original that is not here'}</b>, too
            </span>
            <Button
              tone="quiet"
              className="min-h-7"
              onClick={() => onChoose({ partId: part.id, which: 'second' })}
            >
              Another
            </Button>
            <Button
              tone="quiet"
              className="min-h-7"
              onClick={() => run(goalCommands.serveAlso(part.id, null))}
            >
              Only one way
            </Button>
          </div>
          <NumberField
            label="After in the cold"
            unit="h"
            value={also.coldH}
            onChange={(value) => {
              if (value === null || value < 0 || value > 240) return 'Between 0 and 240 h.'
              run(goalCommands.serveAlso(part.id, { ...also, coldH: value }))
              return null
            }}
          />
        </>
      )}
    </div>
  )
}

/** What one part is to match: its original, how it is read, its bands and windows. */
export const AimPart = memo(function AimPart({ part, onChoose }: AimPartProps) {
  const library = useLibrary()
  const original = part.originalId === null ? null : (library.originals.get(part.originalId) ?? null)
  const { bands, importance, windows, servingTempC } = part.moved
  const isMoved = Object.keys({ ...bands, ...importance, ...windows }).length > 0 || servingTempC !== null
  return (
    <Card className="p-4" aria-label={`Original of ${part.name}`}>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <div className="min-w-0 flex-1">
          <div className="text-[13px] text-ink-2">{part.name} is to match</div>
          <h2 className="m-0 text-lg">{original?.name ?? 'nothing yet'}</h2>
        </div>
        <Button
          tone={original === null ? 'primary' : 'plain'}
          onClick={() => onChoose({ partId: part.id, which: 'first' })}
        >
          {original === null ? 'Choose the original' : 'Choose another'}
        </Button>
      </div>
      {original === null ? (
        <p className="m-0 mb-3 text-sm text-ink-2">
          Choose the food that this part replaces: its bite, juice and salt become the bands that every trial
          is read against. Or set a family and bands of your own.
        </p>
      ) : (
        <div className="mb-3">
          <Facts original={original} />
        </div>
      )}
      <ReadAs part={part} original={original} onChoose={onChoose} />
      <Targets part={part} original={original} />
      <Windows part={part} original={original} />
      <div className="mt-2.5 flex flex-wrap items-center justify-between gap-2">
        <p className="m-0 flex-1 basis-64 text-xs text-ink-2">
          {original === null
            ? 'Press a name to read what is meant.'
            : `Press a name to read what is meant. ${original.source}; tastes are practice, to be corrected by your own panel.`}
        </p>
        {isMoved && (
          <Button tone="quiet" className="min-h-7" onClick={() => run(goalCommands.putAllBack(part.id))}>
            Put all back
          </Button>
        )}
      </div>
    </Card>
  )
})
