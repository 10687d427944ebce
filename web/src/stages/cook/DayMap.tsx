import type { DayPlan } from '@frijol/core/day'
import { clock } from './clock'
import { layoutOf, WIDTH } from './dayLayout'

/** The day as a map: stations down, the clock across, one line where the cook stands, and what goes by itself under it. */
export function DayMap({ plan, begins }: { plan: DayPlan; begins: number }) {
  const { lanes, path, bars, words, checks, ticks, height, serveX } = layoutOf(plan, begins)
  return (
    <svg
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
      {bars.map(({ id, x, y, width, words: text, full }) => (
        <g key={id}>
          <title>{full}</title>
          <rect x={x} y={y} width={width} height={20} rx={10} className="fill-mung-soft stroke-mung-line" />
          <text x={x + 8} y={y + 14} className="fill-mung-deep text-[11px] font-semibold">
            {text}
          </text>
        </g>
      ))}
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
