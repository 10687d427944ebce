import { Slider } from 'radix-ui'
import type { MarkedPlace } from './marks'

export interface BandSliderProps {
  /** What the band is of: both ends are named by it. */
  label: string
  low: number
  high: number
  min: number
  max: number
  step: number
  isMoved: boolean
  /** Where it was tasted: a ring. */
  tasted?: MarkedPlace | null
  onChange: (band: { low: number; high: number }) => void
}

const thumb =
  'block h-5 w-2.5 rounded-full border-[1.5px] border-aubergine bg-paper hover:bg-aubergine-soft focus-visible:bg-aubergine'

/** A band with two ends to take hold of, by hand or by arrow keys. */
export function BandSlider({
  label,
  low,
  high,
  min,
  max,
  step,
  isMoved,
  tasted = null,
  onChange,
}: BandSliderProps) {
  return (
    <Slider.Root
      min={min}
      max={max}
      step={step}
      value={[low, high]}
      onValueChange={([from, to]) => {
        if (from !== undefined && to !== undefined) onChange({ low: from, high: to })
      }}
      className="relative flex h-7 w-full touch-none items-center select-none"
    >
      <Slider.Track className="relative h-3 w-full rounded-lg bg-husk">
        <Slider.Range
          className={`absolute h-full rounded-lg ${isMoved ? 'bg-aubergine-line' : 'bg-aubergine-soft shadow-[inset_0_0_0_1.5px_var(--color-aubergine-line)]'}`}
        />
        {tasted !== null && (
          <i
            title={tasted.words}
            className="absolute -top-[3px] -ml-[9px] size-[18px] rounded-full border-2 border-sky"
            style={{ left: `${(100 * (tasted.value - min)) / (max - min)}%` }}
          />
        )}
      </Slider.Track>
      <Slider.Thumb aria-label={`${label}, from`} className={thumb} />
      <Slider.Thumb aria-label={`${label}, to`} className={thumb} />
    </Slider.Root>
  )
}
