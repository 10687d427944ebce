import { clsx } from 'clsx'
import { Slider } from 'radix-ui'
import { useId } from 'react'

/** A line from nothing to most, by halves of a point; nothing stands on it until it is touched. */
export function LineScale({
  label,
  hint,
  ends,
  middle = null,
  value,
  onChange,
}: {
  label: string
  hint: string
  ends: readonly [none: string, most: string]
  middle?: string | null
  value: number | null
  onChange: (value: number) => void
}) {
  const id = useId()
  return (
    <div>
      <p id={id} className="m-0 text-xl">
        <b className="inline-block first-letter:uppercase">{label}</b>{' '}
        <span className="text-base text-ink-2">{hint.toLowerCase()}</span>
      </p>
      <Slider.Root
        min={0}
        max={10}
        step={0.5}
        value={[value ?? 5]}
        onValueChange={([next]) => next !== undefined && onChange(next)}
        // A tap on the middle, where the seed would stand, is an answer too.
        onPointerDown={() => value === null && onChange(5)}
        className="relative flex h-14 touch-none items-center"
      >
        <Slider.Track className="relative grid h-7 grow place-items-center rounded-full bg-husk text-[14px] text-ink-2 shadow-[inset_0_0_0_1.5px_var(--color-edge)]">
          {value === null && 'tap where it lies'}
        </Slider.Track>
        <Slider.Thumb
          aria-labelledby={id}
          aria-valuetext={value === null ? 'not answered' : `${value} of 10`}
          className={clsx(
            'seed-shape block size-10 border-[3px]',
            // A seed that stands somewhere before it is touched would draw answers to it.
            value === null
              ? 'border-edge bg-paper opacity-0 focus-visible:opacity-100'
              : 'border-paper bg-aubergine shadow-md',
          )}
        />
      </Slider.Root>
      <div className="flex justify-between gap-4 text-[15px] text-ink-2">
        <span className="max-w-[30%]">{ends[0]}</span>
        {middle !== null && <span className="max-w-[36%] text-center">{middle}</span>}
        <span className="max-w-[30%] text-right">{ends[1]}</span>
      </div>
    </div>
  )
}
