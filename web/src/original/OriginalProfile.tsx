import { attributeName, ATTRIBUTES, type Original } from '@frijol/core/model'
import { BAND_HALF_WIDTH, bandAround } from '@frijol/core/texture'

const WEIGHTS = ['', 'counts once', 'counts twice', 'counts three times']
const LEAST_SHOWN = 1

const Fact = ({ label, value }: { label: string; value: string }) => (
  <div>
    <dt className="text-xs text-ink-2">{label}</dt>
    <dd className="m-0 font-semibold">{value}</dd>
  </div>
)

/** What the original is: its attributes with the weight of each, and its composition. */
export function OriginalProfile({ original }: { original: Original }) {
  const rows = ATTRIBUTES.flatMap((id) => {
    const value = original.attributes[id]
    const weight = original.importance[id] ?? 0
    return value === undefined || (value < LEAST_SHOWN && weight === 0) ? [] : [{ id, value, weight }]
  }).sort((a, b) => b.weight - a.weight || b.value - a.value)
  return (
    <>
      <dl className="m-0 mb-3 flex flex-wrap gap-x-6 gap-y-2 text-sm">
        <Fact label="Water" value={`${original.waterPct.typical} %`} />
        <Fact label="Protein" value={`${original.proteinPct.typical} %`} />
        <Fact label="Fat" value={`${original.fatPct.typical} %`} />
        <Fact label="Sodium" value={`${original.sodiumMgPer100g.typical} mg`} />
        {original.viscosityPaS !== null && (
          <Fact label="Thickness" value={`${original.viscosityPaS.typical} Pa·s`} />
        )}
        <Fact label="Served at" value={`${original.servingTempC} °C`} />
      </dl>
      <ul className="m-0 grid list-none grid-cols-2 gap-x-6 gap-y-1 ps-0 max-sm:grid-cols-1">
        {rows.slice(0, 14).map(({ id, value, weight }) => (
          <li key={id} className="grid grid-cols-[104px_1fr_22px] items-center gap-2 text-sm">
            <span className={weight > 0 ? 'font-semibold first-letter:uppercase' : 'first-letter:uppercase'}>
              {attributeName(id)}
            </span>
            <span className="relative h-3 rounded-lg bg-husk" aria-hidden="true">
              <i
                className="absolute inset-y-0 rounded-lg bg-aubergine-soft shadow-[inset_0_0_0_1.5px_var(--color-aubergine-line)]"
                style={{
                  left: `${bandAround(value).low * 10}%`,
                  width: `${(bandAround(value).high - bandAround(value).low) * 10}%`,
                }}
              />
            </span>
            <span className="text-right" title={WEIGHTS[weight] ?? ''}>
              {value}
              {weight > 0 && <span className="sr-only">, {WEIGHTS[weight]}</span>}
            </span>
          </li>
        ))}
      </ul>
      <p className="m-0 mt-2.5 text-xs text-ink-2">
        0 to 10; a band is the target ± {BAND_HALF_WIDTH}, what trained cooks do not tell apart. Bold counts
        in the distance. {original.source}; tastes are practice, to be corrected by your own panel.
      </p>
    </>
  )
}
