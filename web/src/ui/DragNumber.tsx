import { clsx } from 'clsx'
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'

export interface DragNumberProps {
  label: string
  value: number
  /** The figure as read, and its plus-minus. */
  shown: string
  spread: string
  unit: string
  className?: string
  /** Called while dragging and on each arrow key. */
  onChange: (value: number) => void
  onWhy: () => void
}

const PIXELS_PER_STEP = 3
/** A finger must go sideways this far before a figure moves; a swipe up or down always scrolls. Pixels. */
const TOUCH_SLOP = 10

/** A figure that is changed by dragging it sideways or with the arrow keys; a click without a drag asks why. */
export function DragNumber({
  label,
  value,
  shown,
  spread,
  unit,
  className,
  onChange,
  onWhy,
}: DragNumberProps) {
  const drag = useRef<{ x: number; from: number; slop: number; hasMoved: boolean } | null>(null)
  const step = value >= 100 ? 5 : value >= 10 ? 1 : 0.5

  const down = (event: PointerEvent<HTMLDivElement>) => {
    const slop = event.pointerType === 'mouse' ? PIXELS_PER_STEP : TOUCH_SLOP
    drag.current = { x: event.clientX, from: value, slop, hasMoved: false }
  }
  const move = (event: PointerEvent<HTMLDivElement>) => {
    const start = drag.current
    if (start === null) return
    const distance = event.clientX - start.x
    if (!start.hasMoved) {
      if (Math.abs(distance) < start.slop) return
      start.hasMoved = true
      event.currentTarget.setPointerCapture(event.pointerId)
    }
    const steps = Math.trunc(distance / PIXELS_PER_STEP)
    const fromStep = start.from >= 100 ? 5 : start.from >= 10 ? 1 : 0.5
    onChange(Math.max(0, start.from + steps * fromStep))
  }
  const up = () => {
    const start = drag.current
    drag.current = null
    if (start !== null && !start.hasMoved) onWhy()
  }
  const key = (event: KeyboardEvent<HTMLDivElement>) => {
    const times = event.shiftKey ? 10 : 1
    if (event.key === 'ArrowUp' || event.key === 'ArrowRight') onChange(value + step * times)
    else if (event.key === 'ArrowDown' || event.key === 'ArrowLeft')
      onChange(Math.max(0, value - step * times))
    else if (event.key === 'Enter' || event.key === '?') onWhy()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <div
      role="spinbutton"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Number(value.toFixed(2))}
      aria-valuemin={0}
      aria-valuetext={`${shown} ${unit} ${spread}`.trim()}
      title="Drag sideways or use the arrow keys; click for why"
      className={clsx(
        'cursor-ew-resize touch-pan-y rounded-md px-1 text-right select-none hover:bg-husk',
        className,
      )}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        drag.current = null
      }}
      onKeyDown={key}
    >
      <span className="font-[650]">{shown}</span>
      {spread !== '' && <small className="ml-1 text-xs text-ink-2">{spread}</small>}
    </div>
  )
}
