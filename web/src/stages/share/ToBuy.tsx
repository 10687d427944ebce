import type { ShoppingItem } from '@frijol/core/scale'
import { useLibrary, useShopping } from '../../store'
import { Card, CardTitle } from '../../ui'

const grams = (value: number): string => `${value >= 10 ? Math.round(value) : Number(value.toPrecision(2))} g`
const hours = (minutes: number): string =>
  minutes >= 90 ? `${Math.ceil(minutes / 30) / 2} h` : `${minutes} min`

/** What to buy: packs and what is left of them, and the dry food behind a cooked one. */
export function ToBuy() {
  const items = useShopping()
  if (items.length === 0) return null
  return (
    <Card className="p-4">
      <CardTitle title="To buy" aside={`${items.length} foods`} />
      <ul className="m-0 list-none ps-0 text-sm">
        {items.map((item) => (
          <Item key={item.food.id} item={item} />
        ))}
      </ul>
      <p className="m-0 mt-2 text-xs text-ink-2">Packs are the ones in your pantry.</p>
    </Card>
  )
}

function Item({ item: { food, massG, packs, dry, uses } }: { item: ShoppingItem }) {
  const library = useLibrary()
  const dryFood = dry === null ? undefined : library.ingredients.get(dry.foodId)
  const start = dry === null ? 0 : dry.conversion.soakMin + dry.conversion.cookMin
  return (
    <li className="border-t border-line/70 py-1 first:border-0">
      <div className="flex justify-between gap-3">
        <span>{food.name}</span>
        <span className="shrink-0 font-semibold">{grams(massG)}</span>
      </div>
      {packs !== null && (
        <div className="text-[13px] text-ink-2">
          {packs.count} {packs.label === '' ? 'pack' : packs.label} of {grams(packs.massG)}
          {packs.leftG >= 5 ? `; ${grams(packs.leftG)} left over` : '; nothing left over'}
          {uses.length > 0 &&
            `, for ${uses.map(({ name, massG: takes }) => `${name} (${grams(takes)})`).join(' or ')}`}
        </div>
      )}
      {dry !== null && dryFood !== undefined && (
        <div className="text-[13px] text-ink-2">
          or {grams(dry.massG)} {dryFood.name.toLowerCase()}, started about {hours(start)} before
        </div>
      )}
    </li>
  )
}
