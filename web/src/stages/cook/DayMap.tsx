import type { DayPlan } from '@frijol/core/day'
import { clsx } from 'clsx'
import { type PointerEvent, useMemo, useRef, useState } from 'react'
import { clock } from './clock'
import { dishTone } from './dishTone'
import { layoutOf, WIDTH } from './dayLayout'

export interface DayMapProps {
  plan: DayPlan
  begins: number
  /** Tasks that a person has put at a time. */
  held: ReadonlySet<string>
  /** A task was dragged to another time. */
  onMove: (taskId: string, startMin: number) => void
}

const STEP_MIN = 5
/** A press that moves less is no drag, units of the picture. */
const LEAST_DRAG = 6

/** What is being dragged, and how far. */
interface Dragged {
  readonly id: string
  readonly fromX: number
  readonly by: number
}

/** The day as a map: stations down, the clock across, one line where the cook stands, and what goes by itself under it. */
export function DayMap({ plan, begins, held, onMove }: DayMapProps) {
  const { lanes, path, bars, words, checks, ticks, height, serveX, minutesPerUnit } = useMemo(
    () => layoutOf(plan, begins),
    [plan, begins],
  )
  const svg = useRef<SVGSVGElement | null>(null)
  const [drag, setDrag] = useState<Dragged | null>(null)
  /** Where a pointer is, in units of the picture. */
  const at = (event: PointerEvent): number =>
    (event.clientX * WIDTH) / Math.max(1, svg.current?.getBoundingClientRect().width ?? WIDTH)
  const rounded = (by: number): number => Math.round((by * minutesPerUnit) / STEP_MIN) * STEP_MIN
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full max-sm:hidden"
      role="img"
      aria-label={`The cook's way between ${lanes.length} stations from ${clock(begins)} to ${clock(plan.serveMin)}; the same stands in the list below.`}
    >
      {ticks.map(({ x, minute }) => (
        <g key={minute}>
          <line x1={x} y1={26} x2={x} y2={height - 10} className="stroke-line" strokeDasharray="2 5" />
          <text x={x} y={16} textAnchor="middle" className="fill-ink-2 text-[12px] tabular-nums">
            {clock(minute)}
          </text>
        </g>
      ))}
      {lanes.map(({ label, y }) => (
        <g key={y}>
          <text x={4} y={y + 4} className="fill-ink text-[12px] font-semibold">
            {label}
          </text>
          <rect x={108} y={y - 7} width={WIDTH - 118} height={14} rx={7} className="fill-husk" />
        </g>
      ))}
      <line x1={serveX} y1={26} x2={serveX} y2={height - 10} className="stroke-aubergine" strokeWidth={1.5} />
      <path
        d={path}
        className="fill-none stroke-paper"
        strokeWidth={8}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <path
        d={path}
        className="fill-none stroke-aubergine"
        strokeWidth={4}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {bars.map(({ id, x, y, width, words: text, full, dish, startMin }) => {
        const tone = dishTone(dish)
        const by = drag?.id === id ? drag.by : 0
        return (
          <g
            key={id}
            className="cursor-grab touch-pan-y"
            transform={by === 0 ? undefined : `translate(${by} 0)`}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId)
              setDrag({ id, fromX: at(event), by: 0 })
            }}
            onPointerMove={(event) => {
              if (drag?.id === id) setDrag({ ...drag, by: at(event) - drag.fromX })
            }}
            onPointerCancel={() => setDrag(null)}
            onPointerUp={() => {
              setDrag(null)
              if (Math.abs(by) >= LEAST_DRAG && rounded(by) !== 0) onMove(id, startMin + rounded(by))
            }}
          >
            <title>{full}</title>
            <rect
              x={x}
              y={y}
              width={width}
              height={20}
              rx={10}
              strokeWidth={held.has(id) ? 2.5 : 1}
              className={tone.bar}
            />
            <text x={x + 8} y={y + 14} className={clsx('text-[11px] font-semibold', tone.word)}>
              {by === 0 ? text : clock(startMin + rounded(by))}
            </text>
          </g>
        )
      })}
      {checks.map(({ id, x, y, label }) => (
        <ellipse
          key={id}
          cx={x}
          cy={y}
          rx={8}
          ry={5}
          transform={`rotate(-20 ${x} ${y})`}
          className="fill-turmeric stroke-paper"
          strokeWidth={2}
        >
          <title>{label}</title>
        </ellipse>
      ))}
      {words.map(({ id, x, y, words: text }) => (
        <text
          key={id}
          x={x}
          y={y}
          paintOrder="stroke"
          strokeWidth={4}
          className="fill-aubergine stroke-paper text-[11px] font-semibold"
        >
          {text}
        </text>
      ))}
    </svg>
  )
}
