import { decidedBy, ratiosWith, weighedOf, type WeighLine } from '@frijol/core/day'
import type { CookSession } from '@frijol/core/model'
import { clsx } from 'clsx'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useKitchenStore } from '../store'
import { countAnew, startWeighing, takeTyped, takeWeighed, useDevices, useWeighing } from '../store/day'
import { useSettled } from '../ui'
import { BigButton } from './Big'
import { Bowl } from './Bowl'
import { grams } from './clock'
import { useSpaceBar } from './useCounter'

export interface WeighInProps {
  session: CookSession
  /** All there is to weigh on the day. */
  lines: readonly WeighLine[]
  /** Those that are gone through now, in their order. */
  queue: readonly WeighLine[]
  line: WeighLine
  onLine: (key: string | null) => void
}

/** After this long an unsteady display is taken as it is, ms. */
const PATIENCE_MS = 2500

/** One line at a time: the bowl fills to its line, the next comes with one tap. */
export function WeighIn({ session, lines, queue, line, onLine }: WeighInProps) {
  const { link, scale } = useDevices()
  const run = useWeighing((state) => state.run)
  const [instead, setInstead] = useState<string | null>(null)
  const [isTaking, setTaking] = useState(false)
  const weighed = useMemo(() => weighedOf(session.weighings), [session.weighings])
  const { key, targetG, toleranceG } = line
  const hasScale = link === 'on' && scale !== null
  useEffect(() => {
    if (hasScale) startWeighing(key)
  }, [key, hasScale])
  const own = run?.key === key ? run : null
  const massG = own?.netG ?? 0
  const at = queue.findIndex((one) => one.key === key)
  const next = [...queue.slice(at + 1), ...queue.slice(0, at)].find((one) => !weighed.has(one.key)) ?? null
  const standing = massG < targetG - toleranceG ? 'below' : massG <= targetG + toleranceG ? 'right' : 'over'
  const goOn = (isWritten: boolean) => {
    setTaking(false)
    if (!isWritten) return
    setInstead(null)
    onLine(next?.key ?? null)
  }
  const take = () => goOn(takeWeighed(line, instead))
  // What moves on the display is waited for: it stands still soon.
  const wantsToTake = useRef(take)
  useEffect(() => {
    wantsToTake.current = take
  })
  const isStable = own?.isStable === true
  useEffect(() => {
    if (!isTaking) return
    if (isStable) {
      wantsToTake.current()
      return
    }
    const timer = setTimeout(() => wantsToTake.current(), PATIENCE_MS)
    return () => clearTimeout(timer)
  }, [isTaking, isStable])
  const canTake = hasScale && own !== null && own.state === 'ok'
  useSpaceBar(canTake ? () => setTaking(true) : null)
  return (
    <div className="flex h-full flex-col gap-4">
      <header className="flex flex-wrap items-start justify-between gap-3">
        <div className="min-w-0">
          <p className="m-0 text-[18px] text-ink-2">
            Weigh in, {line.dish.toLowerCase()}
            {line.part === line.dish ? '' : ` · ${line.part.toLowerCase()}`}
          </p>
          <h1 className="m-0 text-[32px] leading-tight">
            {instead ?? line.name}{' '}
            <span className="font-sans text-[20px] font-normal text-ink-2">
              {at + 1} of {queue.length}
            </span>
          </h1>
          <p className="m-0 text-[17px] text-ink-2">{line.text}</p>
        </div>
        <div className="flex items-center gap-2">
          <ScaleState />
          <BigButton tone="quiet" onClick={() => onLine(null)}>
            Stop weighing
          </BigButton>
        </div>
      </header>
      {weighed.has(key) && (
        <p role="status" className="m-0 rounded-lg bg-mung-soft px-3 py-2 text-[17px] text-mung-deep">
          Weighed before: {grams(weighed.get(key)?.massG ?? 0)}. A new weighing takes its place.
        </p>
      )}
      {hasScale ? (
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,260px)_minmax(0,1fr)] items-center gap-8 max-sm:grid-cols-[minmax(0,1fr)] max-sm:gap-3">
          <div className="flex h-[320px] justify-center max-sm:h-[170px]">
            <Bowl {...{ massG, targetG, toleranceG, standing }} />
          </div>
          <div className="min-w-0">
            <p
              aria-label="On the scale for this line"
              className="m-0 font-display text-[88px] leading-none font-bold tabular-nums max-sm:text-[64px]"
            >
              {massG.toFixed(1)} <span className="text-[36px] font-normal text-ink-2">g</span>
            </p>
            <p
              role="status"
              className={clsx(
                'm-0 mt-2 text-[22px]',
                standing === 'right' && 'text-mung-deep',
                standing === 'over' && 'text-adzuki-deep',
              )}
            >
              {own?.isCarried === true && 'Carried on over the break. '}
              {standing === 'below'
                ? `${grams(targetG - massG)} to go`
                : standing === 'right'
                  ? 'As it is written'
                  : `${grams(massG - targetG)} over: take some out, or keep it`}
            </p>
            <p className="m-0 text-[18px] text-ink-2">
              {grams(targetG)} ± {grams(toleranceG)}
            </p>
            <Additions additions={own?.additions ?? []} />
            <Deciding {...{ session, lines, line, massG }} />
          </div>
        </div>
      ) : (
        <ByHand
          key={key}
          line={line}
          isLost={link === 'lost'}
          onMass={(typed) => goOn(takeTyped(line, typed, instead))}
          deciding={(typed) => <Deciding {...{ session, lines, line, massG: typed }} />}
        />
      )}
      <footer className="flex flex-wrap items-center gap-3">
        {hasScale && (
          <>
            <BigButton tone="primary" disabled={!canTake} onClick={() => setTaking(true)}>
              {isTaking && !isStable
                ? 'The scale settles …'
                : next === null
                  ? 'Keep it: all is weighed'
                  : `Next: ${next.name} ${grams(next.targetG)}`}
            </BigButton>
            <BigButton onClick={countAnew}>Tare</BigButton>
          </>
        )}
        <Instead value={instead} onChange={setInstead} />
        {hasScale && <span className="text-[16px] text-ink-2 max-lg:hidden">space bar = next</span>}
      </footer>
    </div>
  )
}

function ScaleState() {
  const { link, scale } = useDevices()
  const words =
    link === 'off'
      ? 'by hand'
      : link === 'lost' || scale === null
        ? 'scale: not heard'
        : scale.state === 'unplugged'
          ? 'scale: off'
          : scale.state === 'overload'
            ? 'scale: too much on it'
            : scale.isStable
              ? 'scale: steady'
              : 'scale: moves'
  const isTroubled = link === 'lost' || scale?.state === 'unplugged' || scale?.state === 'overload'
  return (
    <span
      role="status"
      className={clsx(
        'rounded-xl px-3.5 py-2 text-[17px]',
        isTroubled ? 'bg-turmeric-soft text-turmeric-deep' : 'bg-husk',
      )}
    >
      {words}
    </span>
  )
}

const MOST_SHOWN = 4

/** What went in little by little. */
const Additions = ({ additions }: { additions: readonly { massG: number; at: number }[] }) =>
  additions.length < 2 ? null : (
    <p className="m-0 mt-2 text-[16px] text-ink-2">
      {additions.length} additions:{' '}
      {additions
        .slice(-MOST_SHOWN)
        .map(({ massG }) => `${massG > 0 ? '+' : '−'}${Math.abs(massG).toFixed(1)}`)
        .join(', ')}{' '}
      g
    </p>
  )

interface DecidingProps {
  session: CookSession
  lines: readonly WeighLine[]
  line: WeighLine
  massG: number
}

/** How often the ratio is worked out while the display runs, ms. */
const SETTLED_MS = 150

/** The ratio that this line decides, as it would be with what is in the bowl and all else as weighed or written. */
function Deciding({ session, lines, line, massG }: DecidingProps) {
  const { library, kitchen } = useKitchenStore()
  const settledG = useSettled(massG, SETTLED_MS)
  const dish = session.dishes.find(({ id }) => id === line.dishId)
  const ratioId = useMemo(
    () => (library === null || dish === undefined ? null : decidedBy(line, dish, lines, library, kitchen)),
    [line, dish, lines, library, kitchen],
  )
  const ratio = useMemo(() => {
    if (library === null || dish === undefined || ratioId === null) return null
    const masses = new Map([...weighedOf(session.weighings)].map(([key, one]) => [key, one.massG]))
    if (settledG > 0) masses.set(line.key, settledG)
    const found = ratiosWith(dish, lines, masses, line.partId, library, kitchen)
    return found.find(({ id }) => id === ratioId) ?? null
  }, [library, kitchen, dish, ratioId, session.weighings, settledG, line, lines])
  if (ratio === null) return null
  const { low, high, value, unit, label, state } = ratio
  const width = high - low
  const [from, to] = [low - 0.6 * width, high + 0.6 * width]
  const place = (x: number): number => Math.max(0, Math.min(100, ((x - from) / (to - from)) * 100))
  const digits = width < 1 ? 2 : width < 20 ? 1 : 0
  return (
    <div className="mt-5 max-w-[360px]">
      <p className="m-0 mb-1.5 text-[17px] text-ink-2">{label}, with what is in now</p>
      <div aria-hidden="true" className="relative h-4 rounded-full bg-husk">
        <i
          className="absolute inset-y-0 rounded-full border-[1.5px] border-mung bg-mung-soft"
          style={{ left: `${place(low)}%`, width: `${place(high) - place(low)}%` }}
        />
        <i
          className={clsx('absolute -inset-y-1 w-1.5 rounded', state === 'in' ? 'bg-mung' : 'bg-turmeric')}
          style={{ left: `calc(${place(value)}% - 3px)` }}
        />
      </div>
      <p
        className={clsx(
          'm-0 mt-1.5 text-[18px] font-semibold',
          state === 'in' ? 'text-mung-deep' : 'text-turmeric-deep',
        )}
      >
        {value.toFixed(digits)} {unit}{' '}
        <span className="font-normal text-ink-2">
          ({low.toFixed(digits)} to {high.toFixed(digits)})
        </span>
      </p>
    </div>
  )
}

interface ByHandProps {
  line: WeighLine
  isLost: boolean
  onMass: (massG: number) => void
  deciding: (massG: number) => React.ReactNode
}

/** A mass read off any scale and typed in. */
function ByHand({ line, isLost, onMass, deciding }: ByHandProps) {
  const [text, setText] = useState('')
  const massG = Number(text.replace(',', '.'))
  const isMass = text.trim() !== '' && Number.isFinite(massG) && massG >= 0 && massG <= 1e6
  return (
    <form
      className="grid flex-1 content-start gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        onMass(isMass ? massG : line.targetG)
      }}
    >
      {isLost && (
        <p role="status" className="m-0 rounded-lg bg-turmeric-soft px-3 py-2 text-[17px] text-turmeric-deep">
          The scale is not heard. What was weighed is kept; type masses until it is back.
        </p>
      )}
      <label className="text-[18px] text-ink-2" htmlFor="typed-mass">
        Grams on your scale
      </label>
      <div className="flex flex-wrap items-center gap-3">
        <input
          id="typed-mass"
          inputMode="decimal"
          autoComplete="off"
          placeholder={line.targetG.toFixed(1)}
          value={text}
          onChange={(event) => setText(event.target.value)}
          aria-invalid={text !== '' && !isMass}
          className="min-h-20 w-56 rounded-card border-2 border-edge bg-oat px-4 font-display text-[44px] font-bold aria-[invalid=true]:border-adzuki"
        />
        <BigButton type="submit" tone="primary" disabled={text !== '' && !isMass}>
          {text === '' ? `As written: ${grams(line.targetG)}` : `Keep ${isMass ? grams(massG) : 'it'}`}
        </BigButton>
      </div>
      <p className="m-0 text-[18px] text-ink-2">
        {grams(line.targetG)} ± {grams(line.toleranceG)}
      </p>
      {deciding(isMass ? massG : line.targetG)}
    </form>
  )
}

/** Used what was there: named in place, while it is weighed. */
function Instead({ value, onChange }: { value: string | null; onChange: (value: string | null) => void }) {
  const [isOpen, setOpen] = useState(false)
  const [text, setText] = useState('')
  if (!isOpen)
    return (
      <>
        <BigButton onClick={() => setOpen(true)}>
          {value === null ? 'Used something else' : `Used: ${value}`}
        </BigButton>
        {value !== null && (
          <BigButton tone="quiet" onClick={() => onChange(null)}>
            No, as written
          </BigButton>
        )}
      </>
    )
  return (
    <form
      className="flex min-w-0 basis-full flex-wrap items-center gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        onChange(text.trim() === '' ? null : text.trim().slice(0, 200))
        setOpen(false)
      }}
    >
      <label className="sr-only" htmlFor="instead">
        What was used in its place
      </label>
      <input
        id="instead"
        autoFocus
        autoComplete="off"
        placeholder="What was used in its place"
        value={text}
        onChange={(event) => setText(event.target.value)}
        className="min-h-[56px] min-w-0 flex-1 rounded-card border-2 border-edge bg-oat px-4 text-[18px]"
      />
      <BigButton type="submit">That is it</BigButton>
    </form>
  )
}
