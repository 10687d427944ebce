import { attributeName, ATTRIBUTES, type AttributeId, type Original } from '@frijol/core/model'
import { checkOf, type OwnOriginal, ownOriginal } from '@frijol/core/texture'
import { useState } from 'react'
import { keepOwnOriginal, ownOriginalId, useLibrary } from '../store'
import { Button, Field, NumberField, SelectInput, Sheet, TextInput, toast } from '../ui'
import { AttributeWords } from './AttributeWords'

const COMPOSITION = [
  ['waterPct', 'Water'],
  ['proteinPct', 'Protein'],
  ['fatPct', 'Fat'],
  ['saturatedFatPct', 'of which saturated'],
  ['carbohydratePct', 'Carbohydrate'],
] as const

export interface OwnOriginalSheetProps {
  /** The original to change, or null for a new one. */
  original: Original | null
  /** What a new one is begun from. */
  begin: Original | null
  isOpen: boolean
  onClose: () => void
  onKept: (original: Original) => void
}

/** An original of one's own: begun from the nearest, then tasted or measured. */
export const OwnOriginalSheet = (props: OwnOriginalSheetProps) => (
  <Sheet
    title={props.original === null ? 'An original of your own' : `Change ${props.original.name}`}
    description="Begin from the nearest food, then write what you tasted or measured. What you leave empty does not apply."
    isOpen={props.isOpen}
    onClose={props.onClose}
    width="wide"
  >
    <OwnOriginalForm {...props} />
  </Sheet>
)

type Draft = Omit<OwnOriginal, 'id' | 'from' | 'name' | 'source'>

const draftOf = (from: Original): Draft => ({
  servingTempC: from.servingTempC,
  tasted: from.attributes,
  measured: {},
  composition: {
    waterPct: from.waterPct.typical,
    proteinPct: from.proteinPct.typical,
    fatPct: from.fatPct.typical,
    saturatedFatPct: from.saturatedFatPct.typical,
    carbohydratePct: from.carbohydratePct.typical,
  },
  sodiumMgPer100g: from.sodiumMgPer100g.typical,
  viscosityPaS: from.viscosityPaS?.typical ?? null,
})

const without = (measured: Draft['measured'], id: AttributeId): Draft['measured'] =>
  Object.fromEntries(Object.entries(measured).filter(([of]) => of !== id))

/** One attribute: points tasted, or what was measured. */
function AttributeRow({
  id,
  draft,
  change,
}: {
  id: AttributeId
  draft: Draft
  change: (next: Partial<Draft>) => void
}) {
  const check = checkOf(id)
  const measured = draft.measured[id] ?? null
  const points = measured === null || check === null ? (draft.tasted[id] ?? null) : check.points(measured)
  return (
    <div className="grid grid-cols-[1fr_84px_120px] items-end gap-2">
      <AttributeWords id={id} />
      <NumberField
        label={`${attributeName(id)}, 0 to 10`}
        isLabelHidden
        value={points === null ? null : Number(points.toFixed(1))}
        onChange={(value) => {
          if (value !== null && (value < 0 || value > 10)) return '0 to 10'
          change({ tasted: { ...draft.tasted, [id]: value }, measured: without(draft.measured, id) })
          return null
        }}
      />
      {check === null ? (
        <span className="pb-2 text-xs text-ink-2">by tasting</span>
      ) : (
        <NumberField
          label={`${check.label}, ${check.unit}`}
          isLabelSmall
          value={measured}
          onChange={(value) => {
            if (value === null) {
              change({ measured: without(draft.measured, id) })
              return null
            }
            if (value < check.low || value > check.high) return `${check.low} to ${check.high}`
            change({ measured: { ...draft.measured, [id]: value } })
            return null
          }}
        />
      )}
    </div>
  )
}

function OwnOriginalForm({ original, begin, onClose, onKept }: OwnOriginalSheetProps) {
  const library = useLibrary()
  const first = original ?? begin ?? [...library.originals.values()][0]
  const [from, setFrom] = useState(first)
  const [name, setName] = useState(original?.name ?? '')
  const [source, setSource] = useState(original?.source ?? '')
  const [draft, setDraft] = useState<Draft | null>(first === undefined ? null : draftOf(first))
  const [fault, setFault] = useState<string | null>(null)
  if (from === undefined || draft === null) return null
  const change = (next: Partial<Draft>) => setDraft({ ...draft, ...next })
  const positive = (set: (value: number) => void) => (value: number | null) => {
    if (value === null || value < 0) return 'Enter 0 or more.'
    set(value)
    return null
  }
  const keep = () => {
    const kept = ownOriginal({ ...draft, from, name, source, id: original?.id ?? ownOriginalId() })
    if (!kept.ok) {
      setFault(kept.issues[0]?.message ?? 'This does not fit.')
      return
    }
    if (!keepOwnOriginal(kept.value)) return
    toast(`${kept.value.name} stands among the originals.`)
    onKept(kept.value)
    onClose()
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        keep()
      }}
    >
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field label="Name">
          {(props) => (
            <TextInput
              {...props}
              value={name}
              maxLength={120}
              onChange={(event) => setName(event.target.value)}
            />
          )}
        </Field>
        <Field label="Begun from">
          {(props) => (
            <SelectInput
              {...props}
              value={from.id}
              onChange={(event) => {
                const next = library.originals.get(event.target.value)
                if (next === undefined) return
                setFrom(next)
                setDraft(draftOf(next))
              }}
            >
              {[...library.originals.values()].map(({ id, name: of }) => (
                <option key={id} value={id}>
                  {of}
                </option>
              ))}
            </SelectInput>
          )}
        </Field>
        <NumberField
          label="Served at"
          unit="°C"
          value={draft.servingTempC}
          onChange={(value) => {
            if (value === null || value < -30 || value > 120) return 'Between −30 and 120 °C.'
            change({ servingTempC: value })
            return null
          }}
        />
        <Field label="Tasted and measured by">
          {(props) => (
            <TextInput
              {...props}
              value={source}
              maxLength={300}
              placeholder="P1 to P4, side by side"
              onChange={(event) => setSource(event.target.value)}
            />
          )}
        </Field>
      </div>
      <div className="grid grid-cols-2 gap-x-6 gap-y-1.5 max-sm:grid-cols-1">
        {ATTRIBUTES.map((id) => (
          <AttributeRow key={id} id={id} draft={draft} change={change} />
        ))}
      </div>
      <h3 className="m-0 text-sm">In 100 g, as served</h3>
      <div className="grid grid-cols-4 gap-3 max-sm:grid-cols-2">
        {COMPOSITION.map(([key, label]) => (
          <NumberField
            key={key}
            label={label}
            unit="g"
            value={draft.composition[key]}
            onChange={positive((value) => change({ composition: { ...draft.composition, [key]: value } }))}
          />
        ))}
        <NumberField
          label="Sodium"
          unit="mg"
          value={draft.sodiumMgPer100g}
          onChange={positive((value) => change({ sodiumMgPer100g: value }))}
        />
        <NumberField
          label="Thickness, if it flows"
          unit="Pa·s"
          value={draft.viscosityPaS}
          onChange={(value) => {
            if (value !== null && value <= 0) return 'Above 0, or empty.'
            change({ viscosityPaS: value })
            return null
          }}
        />
      </div>
      {fault !== null && (
        <p role="alert" className="m-0 text-sm text-adzuki-deep">
          {fault} Nothing was changed.
        </p>
      )}
      <div className="flex justify-end gap-2">
        <Button tone="quiet" onClick={onClose}>
          Leave it
        </Button>
        <Button tone="primary" type="submit">
          Keep it
        </Button>
      </div>
    </form>
  )
}
