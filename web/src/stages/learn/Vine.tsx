import { type PartKey, partIn, type VineEntry } from '@frijol/core/history'
import { clsx } from 'clsx'
import { useEffect, useMemo, useRef, useState } from 'react'
import { formatDay } from '../../ui'
import { layVine, type Proposal, rowHeight, type Seed, stemPath, TOP, type VineLayout } from './vineLayout'
import { didWords, distanceWords, stemWords } from './words'

export interface VineProps {
  entries: readonly VineEntry[]
  proposals: readonly (Proposal & { readonly words: string; readonly isBold: boolean })[]
  part: PartKey
  chosen: string
  onChoose: (key: string) => void
}

/** Rows beyond the window that are drawn as well. */
const SPARE = 3

/** Width of an element, and which of its rows are in the window that it scrolls in. */
function useWindow(count: number) {
  const box = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(760)
  const [row, setRow] = useState(() => rowHeight(count, 0))
  const [range, setRange] = useState<readonly [number, number]>([0, 12])
  useEffect(() => {
    const element = box.current
    if (element === null) return
    const look = () => {
      const high = rowHeight(count, element.clientHeight)
      const first = Math.max(0, Math.floor((element.scrollTop - TOP) / high) - SPARE)
      const last = Math.ceil((element.scrollTop + element.clientHeight) / high) + SPARE
      setWidth(element.clientWidth)
      setRow(high)
      setRange((now) => (now[0] === first && now[1] === last ? now : [first, last]))
    }
    look()
    element.addEventListener('scroll', look, { passive: true })
    const observer = typeof ResizeObserver === 'undefined' ? null : new ResizeObserver(look)
    observer?.observe(element)
    return () => {
      element.removeEventListener('scroll', look)
      observer?.disconnect()
    }
  }, [count])
  const hasBegun = useRef(false)
  useEffect(() => {
    // The latest is what is looked at first.
    const element = box.current
    if (hasBegun.current || count === 0 || element === null) return
    hasBegun.current = true
    element.scrollTop = element.scrollHeight
  }, [count])
  return { box, width, row, range }
}

/**
 * The record of a part: trials as seeds, time from above, distance from the original across; on each stem what changed and
 * what it did. Only what is in the window is drawn.
 */
export function Vine({ entries, proposals, part, chosen, onChoose }: VineProps) {
  const { box, width, row, range } = useWindow(entries.length + proposals.length)
  const layout = useMemo(
    () => layVine(entries, proposals, part, width, row),
    [entries, proposals, part, width, row],
  )
  const shown = layout.seeds.slice(range[0], range[1] + 1)
  const inWindow = ({ y }: Seed) => y >= row * range[0] && y <= TOP + row * (range[1] + 1)
  const stems = layout.stems.filter(
    ({ from, to }) => inWindow(to) || inWindow(from) || (from.y < row * range[0] && to.y > row * range[1]),
  )
  const byNumber = useMemo(() => new Map(entries.map((entry) => [entry.number, entry])), [entries])
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <Axis layout={layout} />
      <div
        ref={box}
        className="relative min-h-56 flex-1 overflow-x-hidden overflow-y-auto max-lg:max-h-[70dvh]"
        tabIndex={-1}
      >
        <div className="relative" style={{ height: layout.height }}>
          <svg aria-hidden="true" className="absolute inset-0 size-full">
            <rect
              x={layout.bandX}
              y={4}
              width={Math.max(20, width - layout.bandX - 6)}
              height={Math.max(0, layout.height - 8)}
              rx={14}
              className="fill-aubergine-soft"
            />
            {layout.ticks.map(({ distance, x }) => (
              <line
                key={distance}
                x1={x}
                x2={x}
                y1={0}
                y2={layout.height}
                strokeDasharray="2 6"
                className="stroke-line"
              />
            ))}
            {stems.map((stem) => (
              <path
                key={stem.key}
                d={stemPath(stem, row)}
                fill="none"
                strokeWidth={stem.to.state === 'made' ? 4.5 : 3.5}
                strokeLinecap="round"
                strokeDasharray={stem.to.state === 'made' ? undefined : '1 9'}
                className={stem.to.state === 'made' ? 'stroke-mung/60' : 'stroke-aubergine/40'}
              />
            ))}
            {shown.map(({ key, x, y, tastedX }) =>
              tastedX === null ? null : (
                <g key={key} className="stroke-ink-2">
                  <line x1={x} x2={tastedX} y1={y} y2={y} strokeWidth={1.5} />
                  <circle cx={tastedX} cy={y} r={5.5} strokeWidth={2} className="fill-paper" />
                </g>
              ),
            )}
          </svg>
          <ol aria-label="Trials" className="absolute inset-0 m-0 list-none p-0">
            {shown.map((seed) => (
              <Row
                key={seed.key}
                seed={seed}
                before={seed.fromNumber === null ? undefined : byNumber.get(seed.fromNumber)}
                proposal={proposals.find(({ key }) => key === seed.key) ?? null}
                part={part}
                width={width}
                row={row}
                isChosen={seed.key === chosen}
                onChoose={onChoose}
              />
            ))}
          </ol>
        </div>
      </div>
    </div>
  )
}

const Axis = ({ layout: { ticks, bandX } }: { layout: VineLayout }) => (
  <div className="relative h-8 shrink-0 border-b border-line text-[13px] text-ink-2">
    <span className="absolute top-1.5 left-4 max-sm:hidden">distance</span>
    {ticks.map(({ distance, x }) => (
      <span key={distance} className="absolute top-1.5 -translate-x-1/2" style={{ left: x }}>
        {distance}
      </span>
    ))}
    <span className="absolute top-1.5 font-semibold text-aubergine" style={{ left: bandX }}>
      in band
    </span>
  </div>
)

interface RowProps {
  seed: Seed
  before: VineEntry | undefined
  proposal: { readonly words: string; readonly isBold: boolean } | null
  part: PartKey
  width: number
  row: number
  isChosen: boolean
  onChoose: (key: string) => void
}

const TONES = { nearer: 'text-mung-deep', further: 'text-adzuki-deep', even: 'text-ink-2' } as const
const SEED_W = 48
const BAND_W = 84

function Row({ seed, before, proposal, part, width, row, isChosen, onChoose }: RowProps) {
  const { entry, x, y, number, state, tastedX } = seed
  const point = entry === null ? undefined : partIn(entry.parts, part)
  const did =
    entry === null || point === undefined
      ? null
      : didWords(entry, point, before === undefined ? undefined : partIn(before.parts, part))
  // Words stand where there is more room beside the seed and where tasters put it.
  const [left, right] = [Math.min(x, tastedX ?? x), Math.max(x, tastedX ?? x)]
  const isRight = width - BAND_W - right > left
  const gap = SEED_W / 2 + 12
  const words =
    entry === null
      ? (proposal?.words ?? '')
      : point === undefined
        ? 'this part was not in it'
        : stemWords(entry, point)
  const when =
    entry === null
      ? proposal?.isBold === true
        ? 'bold'
        : 'safe'
      : entry.date === null
        ? 'in work'
        : formatDay(entry.date).replace(/ \d{4}$/, '')
  const label = `${entry === null ? `Proposed trial ${number}` : state === 'now' ? `Trial ${number}, in work` : `Trial ${number}, ${when}${state === 'set-aside' ? ', set aside' : ''}`}${point === undefined ? '' : `: ${distanceWords(point)}`}`
  return (
    <li className="absolute inset-x-0" style={{ top: y - row / 2, height: row }}>
      <button
        type="button"
        aria-pressed={isChosen}
        aria-label={label}
        onClick={() => onChoose(seed.key)}
        className="absolute top-1/2 z-10 grid h-11 -translate-x-1/2 -translate-y-1/2 place-items-center"
        style={{ left: x, width: SEED_W }}
      >
        <SeedShape state={state} isChosen={isChosen} />
        <span
          className={clsx(
            'relative text-[15px] font-[650]',
            state === 'made' ? 'text-paper' : state === 'set-aside' ? 'text-adzuki-deep' : 'text-aubergine',
          )}
        >
          {number}
        </span>
      </button>
      <div
        className={clsx(
          'absolute top-1/2 -translate-y-1/2 text-[13.5px] leading-snug',
          !isRight && 'text-right',
        )}
        style={
          isRight ? { left: right + gap, right: BAND_W } : { left: 10, width: Math.max(60, left - gap - 10) }
        }
      >
        <span className="text-[12.5px] text-ink-2">{when}</span>
        <span className="line-clamp-2 font-semibold [text-shadow:0_0_3px_var(--color-paper),0_0_3px_var(--color-paper)]">
          {words}
        </span>
        {did !== null && did.text !== '' && (
          <span
            className={clsx(
              'line-clamp-1 font-semibold [text-shadow:0_0_3px_var(--color-paper)]',
              TONES[did.tone],
            )}
          >
            {did.text}
          </span>
        )}
      </div>
    </li>
  )
}

const SeedShape = ({ state, isChosen }: { state: Seed['state']; isChosen: boolean }) => (
  <svg aria-hidden="true" viewBox="-27 -22 54 44" className="absolute inset-0 size-full overflow-visible">
    {isChosen && (
      <path
        d="M-26 0 C-26 -25 26 -25 26 0 C26 25 -26 25 -26 0Z"
        transform="rotate(-14)"
        className="fill-none stroke-aubergine"
        strokeWidth={2.5}
      />
    )}
    <path
      d="M-21 0 C-21 -19 21 -19 21 0 C21 19 -21 19 -21 0Z"
      transform="rotate(-14)"
      strokeWidth={2.5}
      strokeDasharray={state === 'now' || state === 'next' ? '4 4' : undefined}
      className={clsx(
        state === 'made' && 'fill-mung stroke-paper',
        state === 'set-aside' && 'fill-paper stroke-adzuki',
        (state === 'now' || state === 'next') && 'fill-paper stroke-aubergine',
      )}
    />
  </svg>
)
