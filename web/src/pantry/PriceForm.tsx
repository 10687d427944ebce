import { type Ingredient, Price } from '@frijol/core/model'
import { useState } from 'react'
import { changeKitchen, useKitchenStore } from '../store'
import { CardTitle, NumberField } from '../ui'

/** What this kitchen pays for an ingredient. Both figures are needed; clearing the price forgets it. */
export function PriceForm({ food }: { food: Ingredient }) {
  const currency = useKitchenStore((state) => state.kitchen.currency)
  const known = useKitchenStore((state) =>
    state.kitchen.prices.find(({ ingredientId }) => ingredientId === food.id),
  )
  const [price, setPrice] = useState<number | null>(known?.price ?? null)
  const [perG, setPerG] = useState<number | null>(known?.perG ?? 1000)

  const save = (nextPrice: number | null, nextPerG: number | null): string | null => {
    const next = { ingredientId: food.id, price: nextPrice, perG: nextPerG }
    const checked = nextPrice === null ? null : Price.safeParse(next)
    if (checked !== null && !checked.success) return checked.error.issues[0]?.message ?? 'This does not fit.'
    void changeKitchen((kitchen) => ({
      ...kitchen,
      prices: [
        ...kitchen.prices.filter(({ ingredientId }) => ingredientId !== food.id),
        ...(checked === null ? [] : [checked.data]),
      ],
    }))
    return null
  }
  return (
    <div>
      <CardTitle title="Price" aside="yours, kept in this browser" />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Price"
          unit={currency}
          value={price}
          onChange={(value) => {
            setPrice(value)
            return save(value, perG)
          }}
        />
        <NumberField
          label="for"
          unit="g"
          value={perG}
          onChange={(value) => {
            setPerG(value)
            return price === null ? null : save(price, value)
          }}
        />
      </div>
    </div>
  )
}
