import { type AttributeId, attributeName, ATTRIBUTES, type Original, type Part } from '@frijol/core/model'
import { bandOf, goalOf, weightOf } from '@frijol/core/texture'
import { clsx } from 'clsx'
import { RotateCcw } from 'lucide-react'
import { useState } from 'react'
import { AttributeWords } from '../../original'
import { goalCommands, run, useTastedPlaces } from '../../store'
import { BandSlider, IconButton, SelectInput } from '../../ui'

const TIMES = ['', 'counts once', 'counts twice', 'counts three times']
/** Attributes that are hardly there and do not count are folded away. */
const LEAST_SHOWN = 3
const STEP = 0.5
/** A band that is begun stands in the middle of the scale. */
const MIDDLE = { low: 4, high: 6 }

/** One seed for each time that the attribute counts. */
function Weight({
  id,
  weight,
  onChange,
}: {
  id: AttributeId
  weight: number
  onChange: (next: number) => void
}) {
  return (
    <span className="flex" role="group" aria-label={`How often ${attributeName(id)} counts`}>
      {[1, 2, 3].map((times) => (
        <button
          key={times}
          type="button"
          aria-pressed={weight >= times}
          aria-label={`${attributeName(id)} ${TIMES[times]}`}
          title={TIMES[times]}
          onClick={() => onChange(times === weight ? times - 1 : times)}
          className="grid size-6 place-items-center rounded-full hover:bg-husk"
        >
          <i
            className={clsx(
              'seed-shape size-3.5 border-[1.5px]',
              weight >= times ? 'border-aubergine bg-aubergine' : 'border-edge bg-paper',
            )}
          />
        </button>
      ))}
    </span>
  )
}

const shown = (value: number): string => String(Number(value.toFixed(1)))

/** Bands and weights of a part: the original's, to be moved. */
export function Targets({ part, original }: { part: Part; original: Original | null }) {
  const goal = goalOf(original, part.moved)
  const places = useTastedPlaces(part)
  const [isWhole, setWhole] = useState(false)
  const rows = ATTRIBUTES.flatMap((id) => {
    const band = bandOf(goal, id)
    if (band === null) return []
    const theirs = original?.attributes[id] ?? 0
    const isMoved = part.moved.bands[id] !== undefined || part.moved.importance[id] !== undefined
    return [{ id, band, weight: weightOf(goal, id), theirs, isMoved, own: original?.importance[id] ?? 0 }]
  }).sort((a, b) => b.own - a.own || b.theirs - a.theirs)
  const isNotable = ({ theirs, own, isMoved }: (typeof rows)[number]): boolean =>
    theirs >= LEAST_SHOWN || own > 0 || isMoved
  const first = rows.filter(isNotable)
  const listed = isWhole ? rows : first
  const others = ATTRIBUTES.filter((id) => bandOf(goal, id) === null)
  return (
    <>
      {rows.length > 0 && (
        <div
          className="grid grid-cols-[128px_1fr_58px_76px_28px] gap-x-2.5 text-xs text-ink-2 max-sm:hidden"
          aria-hidden="true"
        >
          <span />
          <span className="flex justify-between">
            <span>0</span>
            <span>10</span>
          </span>
          <span className="text-right">band</span>
          <span>counts</span>
        </div>
      )}
      <ul className="m-0 list-none ps-0">
        {listed.map(({ id, band, weight, isMoved }) => (
          <li
            key={id}
            className="grid grid-cols-[128px_1fr_58px_76px_28px] items-center gap-x-2.5 text-sm max-sm:grid-cols-[1fr_auto_auto_28px] max-sm:border-b max-sm:border-line max-sm:py-1"
          >
            <AttributeWords id={id} isStrong={weight > 0} />
            {places.has(id) && <span className="sr-only">{places.get(id)?.words}</span>}
            <span className="max-sm:order-last max-sm:col-span-4 max-sm:px-1.5">
              <BandSlider
                label={attributeName(id)}
                {...band}
                min={0}
                max={10}
                step={STEP}
                isMoved={isMoved}
                tasted={places.get(id) ?? null}
                onChange={(next) => run(goalCommands.moveBand(part.id, id, next))}
              />
            </span>
            <span className="text-right tabular-nums">
              {shown(band.low)}–{shown(band.high)}
            </span>
            <Weight
              id={id}
              weight={weight}
              onChange={(next) => run(goalCommands.weighAttribute(part.id, id, next))}
            />
            {isMoved ? (
              <IconButton
                label={`${attributeName(id)}: ${original === null ? 'leave it open' : 'as the original'}`}
                onClick={() => run(goalCommands.moveBand(part.id, id, null))}
              >
                <RotateCcw size={15} />
              </IconButton>
            ) : (
              <span />
            )}
          </li>
        ))}
      </ul>
      {places.size > 0 && <p className="m-0 mt-1 text-[13px] text-ink-2">ring: as your tasters put it</p>}
      <div className="mt-1.5 flex flex-wrap items-center gap-3 text-[13px]">
        {first.length < rows.length && (
          <button type="button" className="min-h-7 text-ink-2 underline" onClick={() => setWhole(!isWhole)}>
            {isWhole ? 'Fewer' : `${rows.length - first.length} more, lower on the scale`}
          </button>
        )}
        {others.length > 0 && (
          <SelectInput
            aria-label="Add a band"
            className="max-w-56 text-[13px]"
            value=""
            onChange={(event) => {
              const id = ATTRIBUTES.find((one) => one === event.target.value)
              if (id !== undefined) run(goalCommands.moveBand(part.id, id, MIDDLE))
            }}
          >
            <option value="">Add a band …</option>
            {others.map((id) => (
              <option key={id} value={id}>
                {attributeName(id)}
              </option>
            ))}
          </SelectInput>
        )}
      </div>
    </>
  )
}
