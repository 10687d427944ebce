import { closeness, type Worked } from '@frijol/core/assess'
import { formatGrams } from '@frijol/core/measure'

export interface DishViewProps {
  /** Any dish or trial, open or not, with what it comes to. */
  worked: Worked
}

/** A dish or a trial as it stands, to look at: lines in grams, steps with what is left of them, how close it is. */
export function DishView({ worked: { dish, assessment } }: DishViewProps) {
  const { rawMassG, cookedMassG, perPortion, parts } = assessment
  return (
    <div className="grid gap-3 text-sm">
      <p className="m-0 text-ink-2">
        {Math.round(rawMassG)} g raw, {Math.round(cookedMassG)} g cooked · {dish.aim.portions} portions of{' '}
        {Math.round(perPortion.massG)} g
      </p>
      {parts.map((part, at) => (
        <section key={part.partId} aria-label={part.name}>
          <h4 className="m-0 mb-1 flex justify-between gap-3 text-[15px]">
            {part.name}
            <span className="text-[13px] font-normal text-ink-2">{closeness(part.distance)}</span>
          </h4>
          <ul className="m-0 list-none ps-0">
            {part.lines.map(({ lineId, name, massG, sdG }) => (
              <li key={lineId} className="flex gap-3 border-t border-line/60 py-0.5">
                <span className="w-16 shrink-0 text-right font-semibold">
                  {massG === null ? '–' : formatGrams({ value: massG, sd: sdG ?? 0 })}
                </span>
                <span className="min-w-0">{name}</span>
              </li>
            ))}
          </ul>
          <ol className="mt-1.5 mb-0 ps-5">
            {(dish.parts[at]?.steps ?? []).map(({ id, text }, number) => (
              <li key={id}>
                {text}{' '}
                <span className="text-ink-2">
                  {part.steps[number] === undefined ? '' : `→ ${Math.round(part.steps[number].massG)} g`}
                </span>
              </li>
            ))}
          </ol>
        </section>
      ))}
    </div>
  )
}
