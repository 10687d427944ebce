import type { Ingredient, Nutrient } from '@frijol/core/model'
import { removeOwnFood, useLibrary } from '../store'
import { similarFoods } from '@frijol/core/composition'
import { useMemo, useState } from 'react'
import { Button, CardTitle, Chip, toast } from '../ui'
import { Convert } from './Convert'
import { OwnFoodSheet } from './OwnFoodSheet'
import { PriceForm } from './PriceForm'

const ROWS: readonly (readonly [Nutrient, string, string])[] = [
  ['waterG', 'Water', 'g'],
  ['proteinG', 'Protein', 'g'],
  ['fatG', 'Fat', 'g'],
  ['saturatedFatG', 'of which saturated', 'g'],
  ['carbohydrateG', 'Available carbohydrate', 'g'],
  ['starchG', 'of which starch', 'g'],
  ['sugarsG', 'of which sugars', 'g'],
  ['fibreG', 'Fibre', 'g'],
  ['sodiumMg', 'Sodium', 'mg'],
  ['potassiumMg', 'Potassium', 'mg'],
  ['calciumMg', 'Calcium', 'mg'],
  ['ironMg', 'Iron', 'mg'],
]
const figure = (value: number | null, unit: string): string =>
  value === null ? '–' : `${Number(value.toPrecision(3))} ${unit}`

/** "heat>=85C hold 15min" in a cook's words. */
const activationWords = (text: string): string =>
  text
    .replaceAll(' + ', ', then ')
    .replace(/(heat|brown|melt)>=(\d+)C/g, '$1 to $2 °C')
    .replace(/set<(\d+)C/g, 'set below $1 °C')
    .replace(/<(\d+)C/g, 'below $1 °C')
    .replace(/hold (\d+)min/g, 'for $1 min')
    .replace(/(\d+(?:-\d+)?)min/g, '$1 min')
    .replace(/\blate\b/g, 'added at the end')

function Facts({ food }: { food: Ingredient }) {
  const facts: (readonly [string, string, string])[] = [
    ...food.volumes.map(
      (row) =>
        [
          `A US cup${row.form === null ? '' : ` ${row.form}`}`,
          `${Math.round(row.gPerMl * 236.588)} g ± ${Math.round(row.rsd * 100)} %`,
          row.source,
        ] as const,
    ),
    ...food.counts.map(
      (row) => [`One ${row.unit}`, `${row.massG} g ± ${Math.round(row.rsd * 100)} %`, row.source] as const,
    ),
    ...food.packs.map((row) => [`A can of ${row.netG} g`, `${row.drainedG} g drained`, row.source] as const),
  ]
  if (food.holding !== null) {
    const source = food.holding.isClassDefault
      ? `usual for its kind; ${food.holding.source}`
      : food.holding.source
    facts.push(
      ['Holds water, cold', `${food.holding.coldGPerG} g per g`, source],
      ['Holds water, hot', `${Number(food.holding.hotGPerG.toPrecision(3))} g per g`, source],
    )
  }
  if (food.binder !== null) facts.push(['Binds, hot', `${food.binder.hotPerG} egg per g`, food.binder.source])
  if (food.umami !== null)
    facts.push(['Free glutamate', `${food.umami.glutamateMg} mg per 100 g`, food.umami.source])
  if (food.functional !== null && food.functional.usualHighPct !== null) {
    facts.push([
      'Usual share',
      `${food.functional.usualLowPct ?? 0} to ${food.functional.usualHighPct} %`,
      food.functional.source,
    ])
    if (food.functional.activation !== '' && food.functional.activation !== 'none')
      facts.push(['Works when', activationWords(food.functional.activation), food.functional.source])
  }
  return (
    <table className="w-full border-collapse text-sm">
      <caption className="pb-1 text-left font-display text-base font-[650]">Measures and functions</caption>
      <tbody>
        {facts.map(([label, value, source], at) => (
          <tr key={`${label} ${at}`} className="border-t border-line/70 align-top">
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              {label}
              <span className="block text-xs text-ink-2">{source}</span>
            </th>
            <td className="py-1 text-right font-semibold">{value}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Foods that do some of the same jobs, with the allergens they bring or spare. */
function Substitutes({ food, onChoose }: { food: Ingredient; onChoose: (id: string) => void }) {
  const library = useLibrary()
  const similar = useMemo(() => similarFoods(food, library), [food, library])
  if (similar.length === 0) return null
  const names = (ids: readonly string[]) =>
    ids.map((id) => library.allergens.get(id)?.name.toLowerCase() ?? id).join(', ')
  return (
    <div>
      <CardTitle title="Does some of the same" aside="amount and process differ" />
      <ul className="m-0 list-none ps-0 text-sm">
        {similar.map(({ food: other, overlap, brings, spares }) => (
          <li
            key={other.id}
            className="flex items-baseline justify-between gap-3 border-t border-line/70 py-1"
          >
            <button
              type="button"
              className="rounded text-left underline underline-offset-2"
              onClick={() => onChoose(other.id)}
            >
              {other.name}
            </button>
            <span className="text-right text-[13px] text-ink-2">
              {Math.round(overlap * 100)} % of the jobs
              {brings.length > 0 && `; brings ${names(brings)}`}
              {spares.length > 0 && `; spares ${names(spares)}`}
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}

/** One ingredient: composition, measures, functions, price; each figure with its source. */
export function PantryEntry({ food, onChoose }: { food: Ingredient; onChoose: (id: string) => void }) {
  const library = useLibrary()
  const [isEditing, setEditing] = useState(false)
  const remove = async () => {
    const putBack = await removeOwnFood(food)
    toast(`${food.name} is out of the pantry.`, {
      duration: 10_000,
      action: { label: 'Put it back', onClick: () => void putBack() },
    })
  }
  return (
    <>
      <div className="flex flex-wrap items-start gap-2">
        <h2 className="m-0 text-xl">{food.name}</h2>
        {food.origin === 'own' && (
          <div className="ml-auto flex gap-2">
            <Button onClick={() => setEditing(true)}>Change</Button>
            <Button tone="danger" onClick={() => void remove()}>
              Take out
            </Button>
          </div>
        )}
      </div>
      {food.origin === 'own' && (
        <OwnFoodSheet food={food} isOpen={isEditing} onClose={() => setEditing(false)} onKept={onChoose} />
      )}
      {food.otherNames.length > 0 && (
        <p className="m-0 mt-0.5 text-sm text-ink-2">also {food.otherNames.slice(0, 8).join(', ')}</p>
      )}
      <div className="mt-2 flex flex-wrap gap-1.5">
        {(food.functional?.roles ?? []).map((role) => (
          <Chip key={role}>{role.replaceAll('-', ' ')}</Chip>
        ))}
        {food.allergens.map((id) => (
          <Chip key={id} tone="adzuki">
            {library.allergens.get(id)?.name ?? id}
          </Chip>
        ))}
      </div>
      <div className="mt-4 grid items-start gap-6 xl:grid-cols-2">
        <table className="w-full border-collapse text-sm">
          <caption className="pb-1 text-left font-display text-base font-[650]">In 100 g</caption>
          <tbody>
            {ROWS.map(([nutrient, label, unit]) => (
              <tr key={nutrient} className="border-t border-line/70">
                <th scope="row" className="py-1 text-left font-normal">
                  {label}
                </th>
                <td className="py-1 text-right font-semibold">{figure(food.per100g[nutrient], unit)}</td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <td colSpan={2} className="pt-1 text-xs text-ink-2">
                {food.source}. A dash is “not stated”, never 0.
              </td>
            </tr>
          </tfoot>
        </table>
        <div className="grid gap-5">
          <Facts food={food} />
          <Convert food={food} />
          <PriceForm food={food} />
          <Substitutes food={food} onChoose={onChoose} />
        </div>
      </div>
    </>
  )
}
