import { type Ingredient, Pack, Price } from '@frijol/core/model'
import { useState } from 'react'
import { changeKitchen, useKitchenStore } from '../store'
import { CardTitle, NumberField } from '../ui'

/** What this kitchen pays for an ingredient, and the pack it buys. Clearing a figure forgets it. */
export function PriceForm({ food }: { food: Ingredient }) {
  const currency = useKitchenStore((state) => state.kitchen.currency)
  const known = useKitchenStore((state) =>
    state.kitchen.prices.find(({ ingredientId }) => ingredientId === food.id),
  )
  const pack = useKitchenStore((state) =>
    state.kitchen.packs.find(({ ingredientId }) => ingredientId === food.id),
  )
  /** The mass that a price not yet given will be for; a price that is there is always the stored one. */
  const [plannedG, setPlannedG] = useState<number | null>(1000)
  const price = known?.price ?? null
  const perG = known?.perG ?? plannedG

  const save = (nextPrice: number | null, nextPerG: number | null): string | null => {
    const checked =
      nextPrice === null ? null : Price.safeParse({ ingredientId: food.id, price: nextPrice, perG: nextPerG })
    if (checked !== null && !checked.success) return checked.error.issues[0]?.message ?? 'This does not fit.'
    changeKitchen(
      checked === null ? 'forget a price' : 'set a price',
      (kitchen) => ({
        ...kitchen,
        prices: [
          ...kitchen.prices.filter(({ ingredientId }) => ingredientId !== food.id),
          ...(checked === null ? [] : [checked.data]),
        ],
      }),
      `price ${food.id}`,
    )
    return null
  }
  const savePack = (massG: number | null): string | null => {
    const checked = massG === null ? null : Pack.safeParse({ ingredientId: food.id, massG, label: 'pack' })
    if (checked !== null && !checked.success) return checked.error.issues[0]?.message ?? 'This does not fit.'
    changeKitchen(
      checked === null ? 'forget a pack' : 'set a pack',
      (kitchen) => ({
        ...kitchen,
        packs: [
          ...kitchen.packs.filter(({ ingredientId }) => ingredientId !== food.id),
          ...(checked === null ? [] : [checked.data]),
        ],
      }),
      `pack ${food.id}`,
    )
    return null
  }
  return (
    <div>
      <CardTitle title="Price and pack" aside="yours, kept in this browser" />
      <div className="grid grid-cols-3 gap-3">
        <NumberField label="Price" unit={currency} value={price} onChange={(value) => save(value, perG)} />
        <NumberField
          label="for"
          unit="g"
          value={perG}
          onChange={(value) => {
            setPlannedG(value)
            return price === null ? null : save(price, value)
          }}
        />
        <NumberField label="In a pack" unit="g" value={pack?.massG ?? null} onChange={savePack} />
      </div>
      <p className="m-0 mt-1 text-xs text-ink-2">
        The pack is what is eaten of it, drained if it is drained. “1 pack” or “1 can” on a line then means
        this mass.
      </p>
    </div>
  )
}
