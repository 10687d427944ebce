import { type Composition, FoodClass, type Ingredient, type Issue, type Nutrient } from '@frijol/core/model'
import { useState } from 'react'
import { keepOwnFood, useLibrary } from '../store'
import { Button, Field, NumberField, SelectInput, Sheet, TextInput, toast } from '../ui'

const FIELDS: readonly (readonly [Nutrient, string, string])[] = [
  ['proteinG', 'Protein', 'g'],
  ['fatG', 'Fat', 'g'],
  ['saturatedFatG', 'of which saturated', 'g'],
  ['carbohydrateG', 'Carbohydrate, without fibre', 'g'],
  ['sugarsG', 'of which sugars', 'g'],
  ['starchG', 'of which starch', 'g'],
  ['fibreG', 'Fibre', 'g'],
  ['sodiumMg', 'Sodium (salt g × 400)', 'mg'],
  ['waterG', 'Water, if it is stated', 'g'],
]
const ALLERGENS = [
  'gluten-wheat',
  'gluten-barley',
  'gluten-rye',
  'gluten-oats',
  'soy',
  'peanut',
  'tree-nut-almond',
  'tree-nut-cashew',
  'tree-nut-walnut',
  'tree-nut-hazelnut',
  'sesame',
  'mustard',
  'celery',
  'lupin',
  'milk',
  'egg',
]

export interface OwnFoodSheetProps {
  /** The ingredient to change, or null for a new one. */
  food: Ingredient | null
  isOpen: boolean
  onClose: () => void
  onKept: (id: string) => void
}

/** An ingredient of one's own, from its label per 100 g. */
export const OwnFoodSheet = (props: OwnFoodSheetProps) => (
  <Sheet
    title={props.food === null ? 'Your own ingredient' : `Change ${props.food.name.toLowerCase()}`}
    description="From the label, per 100 g. What the label leaves out stays unknown and is never counted as 0."
    isOpen={props.isOpen}
    onClose={props.onClose}
    width="wide"
  >
    <OwnFoodForm {...props} />
  </Sheet>
)

function OwnFoodForm({ food, onClose, onKept }: OwnFoodSheetProps) {
  const library = useLibrary()
  const [name, setName] = useState(food?.name ?? '')
  const [kind, setKind] = useState<FoodClass>(food?.foodClass ?? 'savoury')
  const [values, setValues] = useState<Partial<Composition>>(food?.per100g ?? {})
  const [allergens, setAllergens] = useState<readonly string[]>(food?.allergens ?? [])
  const [issues, setIssues] = useState<readonly Issue[]>([])

  const keep = async () => {
    const kept = await keepOwnFood(
      { name, foodClass: kind, per100g: values, allergens, source: 'your label' },
      food?.id ?? null,
    )
    if (!kept.ok) {
      setIssues(kept.issues)
      return
    }
    toast(`${kept.value.name} is in the pantry.`)
    onKept(kept.value.id)
    onClose()
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
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
        <Field label="Kind">
          {(props) => (
            <SelectInput
              {...props}
              value={kind}
              onChange={(event) => setKind(FoodClass.parse(event.target.value))}
            >
              {FoodClass.options.map((option) => (
                <option key={option} value={option}>
                  {option.replace('-', ' ')}
                </option>
              ))}
            </SelectInput>
          )}
        </Field>
      </div>
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-2">
        {FIELDS.map(([nutrient, label, unit]) => (
          <NumberField
            key={nutrient}
            label={label}
            unit={unit}
            value={values[nutrient] ?? null}
            onChange={(value) => {
              if (value !== null && value < 0) return 'A value cannot be below 0.'
              setValues({
                ...values,
                [nutrient]: value,
                ...(nutrient === 'waterG' ? {} : { waterG: null, ashG: null }),
              })
              return null
            }}
          />
        ))}
      </div>
      <fieldset className="m-0 border-0 p-0">
        <legend className="mb-1 text-[13px] font-semibold text-ink-2">Allergens on the label</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {ALLERGENS.map((id) => (
            <label key={id} className="flex min-h-7 items-center gap-1.5 text-sm">
              <input
                type="checkbox"
                className="size-4 accent-aubergine"
                checked={allergens.includes(id)}
                onChange={(event) =>
                  setAllergens(
                    event.target.checked ? [...allergens, id] : allergens.filter((one) => one !== id),
                  )
                }
              />
              {library.allergens.get(id)?.name ?? id}
            </label>
          ))}
        </div>
      </fieldset>
      {issues.length > 0 && (
        <div role="alert" className="rounded-lg bg-adzuki-soft p-2.5 text-sm text-adzuki-deep">
          {issues.map(({ message }) => (
            <p key={message} className="m-0">
              {message}
            </p>
          ))}
        </div>
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button type="submit" tone="primary">
          Keep it
        </Button>
      </div>
    </form>
  )
}
