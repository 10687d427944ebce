import type { Ingredient } from '@frijol/core/model'
import { conversionOf, converted } from '@frijol/core/composition'
import { useState } from 'react'
import { useLibrary } from '../store'
import { CardTitle, NumberField } from '../ui'

const hours = (minutes: number): string =>
  minutes >= 90 ? `${Number((minutes / 60).toFixed(1))} h` : `${minutes} min`

/** Dry to cooked and back: what to buy for a wanted mass, and how long before it must be started. */
export function Convert({ food }: { food: Ingredient }) {
  const library = useLibrary()
  const [massG, setMassG] = useState<number | null>(500)
  const found = conversionOf(library, food.id)
  if (found === null) return null
  const { conversion, direction } = found
  const result = massG === null ? null : converted(conversion, massG, direction)
  const other = library.ingredients.get(direction === 'back' ? conversion.fromId : conversion.toId)
  const times = [
    conversion.soakMin > 0 ? `soak ${hours(conversion.soakMin)}` : '',
    conversion.cookMin > 0 ? `cook about ${hours(conversion.cookMin)}` : '',
  ]
  return (
    <div>
      <CardTitle
        title={direction === 'back' ? 'If you start from dry' : 'What it becomes'}
        aside={conversion.how}
      />
      <div className="grid grid-cols-2 items-end gap-3">
        <NumberField
          label={direction === 'back' ? `Wanted, ${food.state ?? 'ready'}` : 'There is'}
          unit="g"
          value={massG}
          onChange={(value) => {
            if (value !== null && !(value > 0)) return 'Enter more than 0 g.'
            setMassG(value)
            return null
          }}
        />
        {result !== null && (
          <p className="m-0 text-sm" role="status">
            <b className="font-display text-lg">{Math.round(result.massG)} g</b> {other?.name.toLowerCase()}{' '}
            <span className="text-ink-2">
              ({Math.round(result.lowG)} to {Math.round(result.highG)} g)
              {times.some((time) => time !== '') && `; ${times.filter((time) => time !== '').join(', ')}`}
            </span>
          </p>
        )}
      </div>
      <p className="m-0 mt-1 text-xs text-ink-2">
        × {conversion.factor}; {conversion.source}. Weigh once and go by your own.
      </p>
    </div>
  )
}
