import { formatGrams, isRough, kitchenMeasure, prepBeside } from '@frijol/core/measure'
import {
  type Dish,
  type FormulaLine,
  type LineReading,
  methodEntries,
  type PartAssessment,
  type Totals,
} from '@frijol/core/model'
import { useAssessment, useDish, useKitchenStore, useLibrary } from '../../store'
import { Card } from '../../ui'

/** The card that another cook works from: grams first, cups beside them, steps, nutrition, allergens, cautions. */
export function DishCardSheet({ withCups }: { withCups: boolean }) {
  const dish = useDish()
  const assessment = useAssessment()
  const library = useLibrary()
  const allergens = assessment.allergens.map((id) => library.allergens.get(id)?.name ?? id)
  const cautions = assessment.findings.filter(
    ({ rule, settled }) => rule.startsWith('safety-') && settled === null,
  )
  return (
    <Card className="print-plain p-6" aria-label="Card">
      <p className="m-0 text-sm text-ink-2">{dish.menu}</p>
      <h2 className="m-0 text-2xl">{dish.name}</h2>
      <p className="m-0 mt-1 text-sm text-ink-2">
        Trial {dish.trial.number} · {dish.aim.portions} portions of {Math.round(assessment.perPortion.massG)}{' '}
        g · {Math.round(assessment.rawMassG)} g raw, {Math.round(assessment.cookedMassG)} g cooked
      </p>
      {dish.note !== '' && <p className="m-0 mt-2">{dish.note}</p>}
      {assessment.parts.map((part, at) => (
        <section key={part.partId} className="mt-5 break-inside-avoid">
          <h3 className="m-0 mb-1 text-lg">{part.name}</h3>
          <LineTable part={part} lines={dish.parts[at]?.lines ?? []} withCups={withCups} />
          {dish.written.length === 0 && (
            <ol className="mt-2 mb-0 list-decimal space-y-1 ps-6">
              {(dish.parts[at]?.steps ?? []).map(({ id, text }) => (
                <li key={id}>{text}</li>
              ))}
            </ol>
          )}
        </section>
      ))}
      {dish.written.length > 0 && <Method dish={dish} />}
      <Nutrition portion={assessment.perPortion} per100g={assessment.per100g} />
      <p className="mt-3 mb-0 text-sm">
        <b>Allergens: </b>
        {allergens.length === 0 ? 'none that the library marks' : allergens.join(', ')}. Check the label of
        every product.
      </p>
      {cautions.map(({ rule, message, remedy }) => (
        <p key={rule} className="m-0 mt-1 text-sm">
          {message} {remedy}
        </p>
      ))}
      <p className="mt-3 mb-0 text-xs text-ink-2">
        Cool cooked food quickly, keep it at 5 °C or below, and heat it through to 74 °C or above before
        serving again; times and temperatures of your local food code come first. Figures are computed from
        composition tables, not analysed.
      </p>
    </Card>
  )
}

/** The method as it was written; its doings stand under its words. */
function Method({ dish }: { dish: Dish }) {
  return (
    <section className="mt-5">
      <h3 className="m-0 mb-1 text-lg">Method</h3>
      <ol className="mt-2 mb-0 list-decimal space-y-1 ps-6">
        {methodEntries(dish).map(({ heading, text, steps }, at) => (
          <li key={steps[0]?.step.id ?? at} className="break-inside-avoid">
            {heading !== null && <b className="block font-display">{heading}</b>}
            {text}
          </li>
        ))}
      </ol>
    </section>
  )
}

const prepOf = (line: FormulaLine | undefined, name: string): string =>
  line === undefined ? '' : prepBeside(line, name)

function LineTable({
  part,
  lines,
  withCups,
}: {
  part: PartAssessment
  lines: readonly FormulaLine[]
  withCups: boolean
}) {
  return (
    <table className="w-full border-collapse text-[15px]">
      <caption className="sr-only">Ingredients of {part.name}</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">Grams</th>
          {withCups && <th scope="col">Cups and spoons</th>}
          <th scope="col">Ingredient</th>
        </tr>
      </thead>
      <tbody>
        {part.lines.map((line, at) => (
          <Row key={line.lineId} line={line} prep={prepOf(lines[at], line.name)} withCups={withCups} />
        ))}
      </tbody>
    </table>
  )
}

function Row({ line, prep, withCups }: { line: LineReading; prep: string; withCups: boolean }) {
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const food = line.foodId === null ? undefined : library.ingredients.get(line.foodId)
  const cups =
    !withCups || food === undefined || line.massG === null ? null : kitchenMeasure(line.massG, food, kitchen)
  const isOff = cups !== null && isRough(cups)
  return (
    <tr className="border-t border-line/70 align-baseline">
      <td className="w-20 py-1 pr-3 text-right font-semibold whitespace-nowrap">
        {line.massG === null ? '–' : `${formatGrams({ value: line.massG, sd: 0.5 })} g`}
      </td>
      {withCups && (
        <td className="w-36 py-1 pr-3 text-ink-2">
          {cups?.text}
          {isOff &&
            ` (${cups.errorFraction > 0 ? '+' : '−'}${Math.abs(Math.round(cups.errorFraction * 100))} %)`}
        </td>
      )}
      <td className="py-1">
        {line.massG === null ? line.text : line.name}
        {line.massG !== null && prep !== '' && <span className="text-ink-2">, {prep}</span>}
      </td>
    </tr>
  )
}

const ROWS: readonly (readonly [keyof Totals, string, string, number])[] = [
  ['energyKcal', 'Energy', 'kcal', 0],
  ['fatG', 'Fat', 'g', 1],
  ['saturatedFatG', 'of which saturates', 'g', 1],
  ['carbohydrateG', 'Carbohydrate', 'g', 1],
  ['sugarsG', 'of which sugars', 'g', 1],
  ['fibreG', 'Fibre', 'g', 1],
  ['proteinG', 'Protein', 'g', 1],
  ['sodiumMg', 'Sodium', 'mg', 0],
]

function Nutrition({ portion, per100g }: { portion: Totals; per100g: Totals }) {
  const shown = (totals: Totals, key: keyof Totals, unit: string, digits: number): string => {
    const value = totals[key]
    if (typeof value !== 'number') return '–'
    return `${totals.atLeast.includes(key) ? '≥ ' : ''}${value.toFixed(digits)} ${unit}`
  }
  return (
    <table className="mt-5 w-full max-w-md border-collapse text-sm break-inside-avoid">
      <caption className="pb-1 text-left font-display text-base font-[650]">Nutrition, computed</caption>
      <thead>
        <tr className="text-left text-ink-2">
          <td />
          <th scope="col" className="text-right font-normal">
            a portion
          </th>
          <th scope="col" className="text-right font-normal">
            100 g
          </th>
        </tr>
      </thead>
      <tbody>
        {ROWS.map(([key, label, unit, digits]) => (
          <tr key={key} className="border-t border-line/70">
            <th scope="row" className="py-0.5 text-left font-normal">
              {label}
            </th>
            <td className="text-right">{shown(portion, key, unit, digits)}</td>
            <td className="text-right">{shown(per100g, key, unit, digits)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
