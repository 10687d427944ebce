import { clsx } from 'clsx'

/** How a reading stands: inside, just outside, well outside, or with nothing to compare. */
export type Standing = 'in' | 'drift' | 'out' | 'none'

const FILL: Record<Standing, string> = {
  in: 'bg-mung',
  drift: 'bg-turmeric',
  out: 'bg-adzuki',
  none: 'bg-aubergine',
}
const TEXT: Record<Standing, string> = {
  in: 'text-ink-2',
  drift: 'text-turmeric-deep',
  out: 'text-adzuki-deep',
  none: 'text-ink-2',
}

const clamp = (value: number): number => Math.min(100, Math.max(0, value))

export interface BandAndSeedProps {
  label: string
  /** What the reading says beside the mark: "in band", "0.6 low". */
  words: string
  min: number
  max: number
  value: number
  spread: number
  band: { low: number; high: number } | null
  standing: Standing
  /** Where it was tasted: a ring. */
  tasted?: MarkedPlace | null
  onWhy: () => void
}
/** A place on a scale, and what is said of it. */
export interface MarkedPlace {
  readonly value: number
  readonly words: string
}

const Ring = ({ left, title }: { left: number; title: string }) => (
  <i
    title={title}
    className="absolute -top-[3px] -ml-[9px] size-[18px] rounded-full border-2 border-sky"
    style={{ left: `${left}%` }}
  />
)

/** The soft band is the reference, the seed the present value, the whisker one standard deviation, the ring what was tasted. */
export function BandAndSeed({
  label,
  words,
  min,
  max,
  value,
  spread,
  band,
  standing,
  tasted = null,
  onWhy,
}: BandAndSeedProps) {
  const at = (x: number): number => clamp(((x - min) / (max - min)) * 100)
  return (
    <button
      type="button"
      data-why
      onClick={onWhy}
      aria-label={`${label}: ${value.toFixed(1)} plus or minus ${spread.toFixed(1)}, ${words}${tasted === null ? '' : `, ${tasted.words}`}. Why?`}
      className="grid h-[25px] w-full grid-cols-[96px_1fr_66px] items-center gap-2.5 rounded-md px-1 text-left text-sm hover:bg-husk/50"
    >
      <span className="truncate first-letter:uppercase">{label}</span>
      <span className="relative h-3 rounded-lg bg-husk" aria-hidden="true">
        {band !== null && (
          <i
            className="absolute inset-y-0 rounded-lg bg-aubergine-soft shadow-[inset_0_0_0_1.5px_var(--color-aubergine-line)]"
            style={{ left: `${at(band.low)}%`, width: `${at(band.high) - at(band.low)}%` }}
          />
        )}
        <i
          className="absolute top-[5px] h-0.5 bg-ink-2/60"
          style={{ left: `${at(value - spread)}%`, width: `${at(value + spread) - at(value - spread)}%` }}
        />
        <i
          className={clsx('seed-shape absolute -top-0.5 -ml-2 size-4 border-2 border-paper', FILL[standing])}
          style={{ left: `${at(value)}%` }}
        />
        {tasted !== null && <Ring left={at(tasted.value)} title={tasted.words} />}
      </span>
      <span className={clsx('text-right text-[13px]', TEXT[standing])}>{words}</span>
    </button>
  )
}

export interface TastedMarkProps {
  label: string
  words: string
  min: number
  max: number
  value: number
  /** The interval of what it differs by; null where nothing is tested. */
  low: number | null
  high: number | null
  /** What it is held against. */
  band: { low: number; high: number } | null
  standing: Standing
  /** Single scores, each with whose it is. */
  dots: readonly { readonly of: string; readonly value: number }[]
  /** What the model said, hollow. */
  predicted: number | null
}

/** The soft band is the original as it was tasted, the full seed the mix with its interval, the dots each taster, the hollow seed the model. */
export function TastedMark({
  label,
  words,
  min,
  max,
  value,
  low,
  high,
  band,
  standing,
  dots,
  predicted,
}: TastedMarkProps) {
  const at = (x: number): number => clamp(((x - min) / (max - min)) * 100)
  return (
    <div className="grid grid-cols-[112px_1fr_128px] items-start gap-x-3 py-1 text-[15px] max-sm:grid-cols-[88px_1fr_84px]">
      <span className="truncate leading-4 first-letter:uppercase">{label}</span>
      <span className="relative h-[27px]" aria-hidden="true">
        <i className="absolute inset-x-0 top-0.5 h-3 rounded-lg bg-husk" />
        {band !== null && (
          <i
            className="absolute top-0.5 h-3 rounded-lg bg-aubergine-soft shadow-[inset_0_0_0_1.5px_var(--color-aubergine-line)]"
            style={{ left: `${at(band.low)}%`, width: `${at(band.high) - at(band.low)}%` }}
          />
        )}
        {low !== null && high !== null && (
          <i
            className="absolute top-[7px] h-0.5 bg-ink-2"
            style={{ left: `${at(low)}%`, width: `${at(high) - at(low)}%` }}
          />
        )}
        {predicted !== null && (
          <i
            className="seed-shape absolute top-0 -ml-2 size-4 border-2 border-ink-2 bg-transparent"
            style={{ left: `${at(predicted)}%` }}
          />
        )}
        <i
          className={clsx('seed-shape absolute top-0 -ml-2 size-4 border-2 border-paper', FILL[standing])}
          style={{ left: `${at(value)}%` }}
        />
        {dots.map(({ of, value: dot }) => (
          <i
            key={of}
            className="absolute top-[19px] -ml-[3px] size-1.5 rounded-full bg-ink-2/60"
            style={{ left: `${at(dot)}%` }}
          />
        ))}
      </span>
      <span className={clsx('text-right text-[13.5px] leading-4', TEXT[standing])}>{words}</span>
    </div>
  )
}

export interface BeforeAndAfterProps {
  label: string
  before: number
  after: number
  min: number
  max: number
  band: { low: number; high: number }
  words: string
  /** It ends in its band, comes nearer, or goes further off. */
  way: 'in' | 'nearer' | 'further' | 'same'
}

/** The soft band is the reference; the hollow seed is where it stands, the full one where it would come to. */
export function BeforeAndAfter({ label, before, after, min, max, band, words, way }: BeforeAndAfterProps) {
  const at = (x: number): number => clamp(((x - min) / (max - min)) * 100)
  const standing: Standing = way === 'in' ? 'in' : way === 'further' ? 'out' : 'drift'
  const [from, to] = [Math.min(at(before), at(after)), Math.max(at(before), at(after))]
  return (
    <div className="grid h-[27px] grid-cols-[96px_1fr_104px] items-center gap-2.5 px-1 text-sm">
      <span className="truncate first-letter:uppercase">{label}</span>
      <span className="relative h-3 rounded-lg bg-husk" aria-hidden="true">
        <i
          className="absolute inset-y-0 rounded-lg bg-aubergine-soft shadow-[inset_0_0_0_1.5px_var(--color-aubergine-line)]"
          style={{ left: `${at(band.low)}%`, width: `${at(band.high) - at(band.low)}%` }}
        />
        <i
          className="absolute top-[5px] h-0.5 bg-ink-2/60"
          style={{ left: `${from}%`, width: `${to - from}%` }}
        />
        <i
          className="seed-shape absolute -top-0.5 -ml-2 size-4 border-2 border-ink-2 bg-paper"
          style={{ left: `${at(before)}%` }}
        />
        <i
          className={clsx('seed-shape absolute -top-0.5 -ml-2 size-4 border-2 border-paper', FILL[standing])}
          style={{ left: `${at(after)}%` }}
        />
      </span>
      <span
        className={clsx(
          'text-right text-[13px]',
          way === 'in' || way === 'same' ? 'text-ink-2' : TEXT[standing],
        )}
      >
        {words}
      </span>
    </div>
  )
}

export interface WindowAndTickProps {
  label: string
  /** The value as read: "0.14 eq". */
  shown: string
  /** What the distance is called: "in its window". */
  words: string
  value: number
  low: number
  bestLow: number
  bestHigh: number
  high: number
  /** True where the scale is better read in decades. */
  isLog?: boolean
  standing: Standing
  onWhy: () => void
}

/** The pale window works well, the tick is the present value. */
export function WindowAndTick({
  label,
  shown,
  words,
  value,
  low,
  bestLow,
  bestHigh,
  high,
  isLog = false,
  standing,
  onWhy,
}: WindowAndTickProps) {
  const scaled = (x: number): number => (isLog ? Math.log10(Math.max(x, low / 20, 1e-6)) : x)
  const span = scaled(high) - scaled(low)
  const start = scaled(low) - 0.25 * span
  const at = (x: number): number => clamp(((scaled(x) - start) / (1.5 * span)) * 100)
  return (
    <button
      type="button"
      data-why
      onClick={onWhy}
      aria-label={`${label}: ${shown}, ${words}. Why?`}
      className="grid h-[27px] w-full grid-cols-[140px_1fr_76px] items-center gap-2.5 rounded-md px-1 text-left text-sm hover:bg-husk/50"
    >
      <span className="truncate">{label}</span>
      <span className="relative h-3 rounded-lg bg-husk" aria-hidden="true">
        <i
          className="absolute inset-y-0 rounded-md bg-mung-soft shadow-[inset_0_0_0_1.5px_var(--color-mung-line)]"
          style={{ left: `${at(bestLow)}%`, width: `${Math.max(2, at(bestHigh) - at(bestLow))}%` }}
        />
        <i
          className={clsx('absolute -top-[3px] -ml-0.5 h-[18px] w-1 rounded-sm', FILL[standing])}
          style={{ left: `${at(value)}%` }}
        />
      </span>
      <span className={clsx('text-right text-[13px]', TEXT[standing])}>{shown}</span>
    </button>
  )
}

export interface StripPart {
  label: string
  share: number
  className: string
}

/** Parts of a whole along one bar; each is named in it, or under it where it is too short. */
export function Strip({ parts, title }: { parts: readonly StripPart[]; title: string }) {
  const shown = parts.filter(({ share }) => share > 0.004)
  const isLong = ({ share, label }: StripPart): boolean => share * 430 > label.length * 6.6 + 34
  const percent = (share: number): string => `${Math.round(share * 100)} %`
  const short = shown.filter((part) => !isLong(part))
  return (
    <figure
      className="m-0"
      aria-label={`${title}: ${shown.map(({ label, share }) => `${label} ${percent(share)}`).join(', ')}`}
    >
      <div className="flex h-[30px] overflow-hidden rounded-[10px]" aria-hidden="true">
        {shown.map((part) => (
          <div
            key={part.label}
            className={clsx(
              'grid place-items-center text-xs font-semibold whitespace-nowrap',
              part.className,
            )}
            style={{ width: `${part.share * 100}%` }}
          >
            {isLong(part) ? `${part.label} ${percent(part.share)}` : ''}
          </div>
        ))}
      </div>
      {short.length > 0 && (
        <figcaption className="mt-1 text-[13px] text-ink-2" aria-hidden="true">
          {short
            .map(({ label, share }) => `${label} ${share < 0.01 ? 'under 1 %' : percent(share)}`)
            .join(' · ')}
        </figcaption>
      )}
    </figure>
  )
}
