import { flavourOf, type TasteSource } from '@frijol/core/assess'
import { useMemo } from 'react'
import { useDish, useKitchenStore, useLibrary } from '../../store'
import { Card, CardTitle, useSettled } from '../../ui'
import { Aroma } from './Aroma'
import { foodWords } from './foodWords'
import { TasteRow } from './TasteRow'

/** Follows once the typing rests: it explains, the bands above it follow every key. */
const RESTS_MS = 350
const sources = (of: readonly TasteSource[], most: number): string =>
  of
    .slice(0, most)
    .map(({ name, share }) => `${foodWords(name)} ${Math.round(100 * share)} %`)
    .join(', ')

/** Each food's share as a bar, so that the longest is seen at once. */
function Bars({ of }: { of: readonly TasteSource[] }) {
  return (
    <ul className="m-0 mt-0.5 list-none ps-0">
      {of.map(({ lineId, name, share }) => (
        <li key={lineId} className="grid grid-cols-[1fr_88px_36px] items-center gap-2 text-xs">
          <span className="truncate">{name}</span>
          <span className="h-2 rounded-lg bg-husk" aria-hidden="true">
            <i className="block h-full rounded-lg bg-aubergine-line" style={{ width: `${100 * share}%` }} />
          </span>
          <span className="text-right tabular-nums">{Math.round(100 * share)} %</span>
        </li>
      ))}
    </ul>
  )
}

/** Where a part's taste comes from: umami by contributor, heat, beans, bitterness, and the aroma of the original. */
export function Flavour({ partId }: { partId: string }) {
  const dish = useSettled(useDish(), RESTS_MS)
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const found = useMemo(() => flavourOf(dish, partId, library, kitchen), [dish, partId, library, kitchen])
  if (found === null) return null
  const { saltPct, umami, heat, beany, bitter, notes, aroma } = found
  return (
    <>
      <Card className="far-row px-3.5 py-3" aria-label="Flavour">
        <CardTitle title="Flavour" aside={`${saltPct.toFixed(2)} % salt, all sources`} />
        <dl className="m-0 grid gap-1.5 text-sm">
          <div className="grid grid-cols-[96px_1fr] gap-x-2">
            <dt className="text-ink-2">Umami</dt>
            <dd className="m-0">
              <span className="font-semibold">
                like {Number((10 * umami.y).toPrecision(2))} g of MSG in 1 kg
              </span>
              {umami.lift >= 1.2 && <>, lifted {umami.lift.toFixed(1)}× by nucleotides</>}
              {umami.sources.length === 0 ? (
                <span className="block text-xs text-ink-2">No food here is known for it.</span>
              ) : (
                <Bars of={umami.sources} />
              )}
            </dd>
          </div>
          {heat.sources.length > 0 && (
            <TasteRow label="Heat" value={heat.words} from={`From ${sources(heat.sources, 3)}`} />
          )}
          {beany.isNoticed && (
            <TasteRow
              label="Beany"
              value={beany.words}
              from={`From ${sources(beany.sources, 2)}. Hold it at 95 °C for 10 minutes, toast flours, discard the soaking water.`}
            />
          )}
          {bitter.sources.length > 0 && (
            <TasteRow
              label="Bitter"
              value={sources(bitter.sources, 3)}
              from="Blanch or swap part of it where it is too much."
            />
          )}
        </dl>
      </Card>
      <Aroma notes={notes} aroma={aroma} />
    </>
  )
}
