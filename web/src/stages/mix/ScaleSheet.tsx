import { scaleFactor, type ScaleTarget, type VesselId, VESSELS } from '@frijol/core/scale'
import { RadioGroup } from 'radix-ui'
import { useState } from 'react'
import { commands, run, useDish, useKitchenStore, useLibrary, useScaled } from '../../store'
import { Button, Field, NumberField, SelectInput, Sheet, toast } from '../../ui'
import { ScalePreview } from './ScalePreview'

type Mode = ScaleTarget['to']
const MODES: readonly (readonly [Mode, string])[] = [
  ['portions', 'Portions'],
  ['mass', 'Finished mass'],
  ['have', 'What is there'],
  ['vessel', 'A vessel'],
]

export interface ScaleSheetProps {
  partId: string
  isOpen: boolean
  onClose: () => void
}

/** Scale: to portions, a finished mass, what is there of an ingredient, or a vessel; shown as a difference first. */
export const ScaleSheet = ({ partId, isOpen, onClose }: ScaleSheetProps) => (
  <Sheet
    title="Scale"
    description="The whole dish, every part alike. Nothing changes until you accept it."
    isOpen={isOpen}
    onClose={onClose}
    width="wide"
  >
    <Scale partId={partId} onClose={onClose} />
  </Sheet>
)

function Scale({ partId, onClose }: { partId: string; onClose: () => void }) {
  const dish = useDish()
  const [mode, setMode] = useState<Mode>('portions')
  const [number, setNumber] = useState<number | null>(null)
  const [foodId, setFoodId] = useState('')
  const [vessel, setVessel] = useState<VesselId>('mould')
  const [isRounded, setRounded] = useState(true)
  const target = targetOf(mode, number, foodId, vessel, partId)
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const found = target === null ? null : scaleFactor(dish, library, kitchen, target)
  const scaled = useScaled(found?.ok === true ? found.value.factor : null, isRounded)

  const choose = (next: Mode) => {
    setMode(next)
    setNumber(null)
  }
  const accept = () => {
    if (scaled === null || found?.ok !== true) return
    run(commands.replaceFormula(scaled.dish, `scale ×${Number(found.value.factor.toPrecision(3))}`))
    toast('Scaled. Undo with U.')
    onClose()
  }
  return (
    <div className="grid gap-3">
      <RadioGroup.Root
        aria-label="Scale to"
        className="flex flex-wrap gap-1.5"
        value={mode}
        onValueChange={(next) => {
          const found = MODES.find(([id]) => id === next)
          if (found !== undefined) choose(found[0])
        }}
      >
        {MODES.map(([id, label]) => (
          <RadioGroup.Item key={id} value={id} asChild>
            <Button tone={mode === id ? 'primary' : 'plain'}>{label}</Button>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        {mode === 'have' && <FoodChoice value={foodId} onChange={setFoodId} />}
        {mode === 'vessel' && (
          <Field label="Vessel">
            {(props) => (
              <SelectInput
                {...props}
                value={vessel}
                onChange={(event) => setVessel(event.target.value as VesselId)}
              >
                {Object.entries(VESSELS).map(([id, { label, fill }]) => (
                  <option key={id} value={id}>
                    {label}, filled to {Math.round(fill * 100)} %
                  </option>
                ))}
              </SelectInput>
            )}
          </Field>
        )}
        <NumberField
          key={mode}
          label={{ portions: 'Portions', mass: 'Finished mass', have: 'There is', vessel: 'It holds' }[mode]}
          {...(mode === 'portions' ? {} : { unit: mode === 'vessel' ? 'mL' : 'g' })}
          value={number}
          onChange={(value) => {
            setNumber(value)
            return null
          }}
        />
      </div>
      <label className="flex min-h-9 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="size-4 accent-aubergine"
          checked={isRounded}
          onChange={(event) => setRounded(event.target.checked)}
        />
        Round to measures that a kitchen has; gels, salt and leavening keep their dose
      </label>
      {found?.ok === false && (
        <p role="alert" className="m-0 text-sm text-adzuki-deep">
          {found.issues[0]?.message}
        </p>
      )}
      {found?.ok === true && scaled !== null && (
        <ScalePreview before={dish} scaled={scaled} factor={found.value.factor} reason={found.value.reason} />
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button tone="primary" disabled={scaled === null} onClick={accept}>
          Scale the dish
        </Button>
      </div>
    </div>
  )
}

function targetOf(
  mode: Mode,
  number: number | null,
  foodId: string,
  vessel: VesselId,
  partId: string,
): ScaleTarget | null {
  if (number === null) return null
  switch (mode) {
    case 'portions':
      return { to: 'portions', portions: number }
    case 'mass':
      return { to: 'mass', cookedMassG: number }
    case 'have':
      return foodId === '' ? null : { to: 'have', have: [{ foodId, massG: number }] }
    case 'vessel':
      return { to: 'vessel', vessel, capacityML: number, partId }
  }
}

/** The foods of the dish, once each. */
function FoodChoice({ value, onChange }: { value: string; onChange: (id: string) => void }) {
  const dish = useDish()
  const library = useLibrary()
  const ids = [
    ...new Set(dish.parts.flatMap(({ lines }) => lines.flatMap(({ ingredientId }) => ingredientId ?? []))),
  ]
  return (
    <Field label="Ingredient">
      {(props) => (
        <SelectInput {...props} value={value} onChange={(event) => onChange(event.target.value)}>
          <option value="">Choose one</option>
          {ids.map((id) => (
            <option key={id} value={id}>
              {library.ingredients.get(id)?.name ?? id}
            </option>
          ))}
        </SelectInput>
      )}
    </Field>
  )
}
