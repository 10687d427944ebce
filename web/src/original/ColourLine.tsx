import { colourOf } from '@frijol/core/assess'
import { hexOf, type Lab } from '@frijol/core/colour'
import { useMemo } from 'react'
import { useDish, useKitchenStore, useLibrary } from '../store'
import { useSettled } from '../ui'

const RESTS_MS = 350

function Swatch({ lab, label }: { lab: Lab; label: string }) {
  const [l, a, b] = lab.map(Math.round)
  return (
    <span className="flex flex-col items-center gap-0.5 text-xs text-ink-2">
      <i
        className="seed-shape size-9 border border-edge"
        style={{ background: hexOf(lab) }}
        role="img"
        aria-label={`${label}: L ${l}, a ${a}, b ${b}`}
        title={`L ${l}, a ${a}, b ${b}`}
      />
      {label}
    </span>
  )
}

/** What a part looks like before and after cooking, beside its original, and how far off it is. */
export function ColourLine({ partId }: { partId: string }) {
  const dish = useSettled(useDish(), RESTS_MS)
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const found = useMemo(() => colourOf(dish, partId, library, kitchen), [dish, partId, library, kitchen])
  if (found === null) return null
  const { before, inside, surface, browned, target, sd } = found
  const isBrowned = browned > 0.1
  return (
    <section className="mt-2 border-t border-line pt-2" aria-label="Colour">
      <div className="flex items-end gap-3">
        <Swatch lab={before} label="raw" />
        <Swatch lab={inside} label={isBrowned ? 'inside' : 'cooked'} />
        {isBrowned && <Swatch lab={surface} label="outside" />}
        {target !== null && (
          <>
            <span className="h-9 w-px bg-line" aria-hidden="true" />
            <Swatch lab={target.lab} label="original" />
          </>
        )}
      </div>
      {target !== null && (
        <p className="m-0 mt-1 text-[13px]">
          <b className="inline-block first-letter:uppercase">{target.words}</b>{' '}
          <span className="text-ink-2">
            (ΔE {Math.round(target.deltaE)} ± {sd}; {target.compared} beside its {target.site})
          </span>
        </p>
      )}
    </section>
  )
}
