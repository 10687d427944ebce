import { type Ask, attributeName, type Mark, type Tasting } from '@frijol/core/model'
import { asksOf, JAR_WORDS, LIKING_WORDS, picksOf, protocolTable } from '@frijol/core/sensory'
import { ATTRIBUTE_SCALES } from '@frijol/core/texture'
import { clsx } from 'clsx'
import { useState } from 'react'
import { flushTasting, takeAnswer } from '../store/tasting'
import { Button } from '../ui'
import { LineScale } from './LineScale'
import type { Page } from './useTasting'

interface OnePageProps {
  tasting: Tasting
  page: Page
  at: number
  of: number
  onLeave: () => void
}

/** One page: pick, rank or rate, then on. What is left behind does not come back. */
export function OnePage({ tasting, page, at, of, onLeave }: OnePageProps) {
  const { settings } = tasting
  const { serving, glass } = page
  const isWarmUp = serving.round === 0
  const picks = isWarmUp ? 0 : picksOf(settings)
  const asks = isWarmUp ? [] : asksOf(settings)
  const codes = glass === null ? serving.glasses.map(({ code }) => code) : [serving.glasses[glass]?.code ?? 0]
  const isRank = asks[0] === 'rank'
  const [picked, setPicked] = useState<readonly number[]>([])
  const [order, setOrder] = useState<readonly number[]>([])
  const [values, setValues] = useState<ReadonlyMap<Ask, number>>(new Map())
  const [comment, setComment] = useState('')
  const isReady = isWarmUp
    ? true
    : picks > 0
      ? picked.length === picks
      : isRank
        ? order.length === codes.length
        : asks.every((ask) => values.has(ask))
  const isLast = glass === null || glass === serving.glasses.length - 1
  const [isSaving, setSaving] = useState(false)
  const goOn = async () => {
    setSaving(true)
    const before = tasting.answers.find(({ servingId }) => servingId === serving.id)
    const marks: Mark[] = isRank
      ? order.map((code, place) => ({ code, ask: 'rank', value: place + 1 }))
      : asks.flatMap((ask) => {
          const value = values.get(ask)
          return value === undefined ? [] : [{ code: codes[0] ?? 0, ask, value }]
        })
    const said = [before?.comment ?? '', comment.trim()].filter((words) => words !== '').join('; ')
    takeAnswer(serving, {
      by: 'tablet',
      picked: [...picked],
      marks: [...(before?.marks ?? []), ...marks],
      comment: said.slice(0, 1000),
      isWhole: isLast,
    })
    // On the disk before the next page: the tablet may go dark in anybody's hands.
    await flushTasting()
  }
  const pick = (code: number) =>
    setPicked((now) =>
      now.includes(code)
        ? now.filter((one) => one !== code)
        : picks === 1
          ? [code]
          : [...now, code].slice(-picks),
    )
  const place = (code: number) =>
    setOrder((now) => (now.includes(code) ? now.filter((one) => one !== code) : [...now, code]))
  const reference = settings.samples.find(({ id }) => id === serving.referenceId)
  return (
    <>
      <header className="flex items-baseline justify-between gap-4 text-lg text-ink-2">
        <b className="text-ink">{serving.tasterId}</b>
        <span>
          {at + 1} of {of}
        </span>
      </header>
      <h1 className="m-0 text-[30px] leading-tight">{isWarmUp ? 'Taste this first' : taskOf(tasting)}</h1>
      {isWarmUp && (
        <p className="m-0 text-xl">
          Glass <b className="tabular-nums">{codes[0]}</b>. It is for getting used to; nothing is asked.
        </p>
      )}
      {reference !== undefined && (
        <p className="m-0 text-lg">
          The one with its name on, <b>{reference.label}</b>, is tasted first, and again whenever you like.
        </p>
      )}
      {!isWarmUp && (
        <p className="m-0 text-lg text-ink-2">
          {codes.length > 1 ? `Taste from left to right: ${codes.join(', ')}. ` : ''}
          Rinse with {settings.rinse}
          {settings.restS > 0 ? `, and wait ${settings.restS} seconds between` : ''}.
        </p>
      )}
      {picks > 0 && (
        <div role="group" aria-label="Glasses" className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {codes.map((code) => (
            <Code
              key={code}
              code={code}
              isOn={picked.includes(code)}
              note={null}
              onPress={() => pick(code)}
            />
          ))}
        </div>
      )}
      {isRank && (
        <div role="group" aria-label="Glasses" className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {codes.map((code) => {
            const at = order.indexOf(code)
            return (
              <Code
                key={code}
                code={code}
                isOn={at >= 0}
                note={at < 0 ? 'tap in order' : at === 0 ? 'most' : `place ${at + 1}`}
                onPress={() => place(code)}
              />
            )
          })}
        </div>
      )}
      {!isWarmUp && picks === 0 && !isRank && (
        <div className="grid gap-5">
          <p className="m-0 font-display text-[40px] font-[650] tabular-nums">{codes[0]}</p>
          {asks.map((ask) => (
            <Question
              key={ask}
              ask={ask}
              isJar={settings.protocol === 'jar'}
              value={values.get(ask) ?? null}
              onChange={(value) => setValues((now) => new Map(now).set(ask, value))}
            />
          ))}
        </div>
      )}
      {!isWarmUp && isLast && (
        <input
          aria-label="Anything to say, if you like"
          placeholder="Anything to say, if you like"
          className="min-h-12 rounded-lg border border-edge bg-paper px-3 text-lg"
          value={comment}
          onChange={({ target }) => setComment(target.value.slice(0, 300))}
        />
      )}
      <div className="mt-auto flex flex-wrap items-center justify-between gap-3 pt-2">
        <Button tone="quiet" className="min-h-14 text-base" onClick={onLeave}>
          I have to leave for a moment
        </Button>
        <Button
          tone="primary"
          className="min-h-16 min-w-48 px-8 text-xl"
          disabled={!isReady || isSaving}
          onClick={() => void goOn()}
        >
          {at + 1 === of ? 'Done' : 'Next'}
        </Button>
      </div>
    </>
  )
}

function taskOf({ settings }: Tasting): string {
  const { task } = protocolTable(settings.protocol)
  if (settings.protocol === 'paired')
    return settings.by === null
      ? 'Which of the two do you like better?'
      : `Which of the two has more ${attributeName(settings.by)}?`
  if (settings.protocol === 'ranking')
    return settings.by === null
      ? 'Put them in order: the one you like most first.'
      : `Put them in order: the most ${attributeName(settings.by)} first.`
  return task
}

function Code({
  code,
  isOn,
  note,
  onPress,
}: {
  code: number
  isOn: boolean
  note: string | null
  onPress: () => void
}) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      onClick={onPress}
      className={clsx(
        'grid min-h-32 place-content-center rounded-card border-2 text-center',
        isOn ? 'border-aubergine bg-aubergine text-paper' : 'border-edge bg-paper hover:bg-husk',
      )}
    >
      <b className="font-display text-[38px] tabular-nums">{code}</b>
      {note !== null && <span className="text-base">{note}</span>}
    </button>
  )
}

function Question({
  ask,
  isJar,
  value,
  onChange,
}: {
  ask: Ask
  isJar: boolean
  value: number | null
  onChange: (value: number) => void
}) {
  if (ask === 'liking')
    return <Words label="How do you like it?" words={LIKING_WORDS} value={value} onChange={onChange} />
  if (ask === 'difference')
    return (
      <LineScale
        label="How different is it?"
        hint="From no difference to extremely different"
        ends={['no difference', 'extremely different']}
        value={value}
        onChange={onChange}
      />
    )
  if (ask === 'rank') return null
  const { meaning, anchors } = ATTRIBUTE_SCALES[ask]
  return isJar ? (
    <Words
      label={`${attributeName(ask)}: ${meaning.toLowerCase()}`}
      words={JAR_WORDS}
      value={value}
      onChange={onChange}
    />
  ) : (
    <LineScale
      label={attributeName(ask)}
      hint={meaning}
      ends={[anchors[0], anchors[2]]}
      middle={anchors[1]}
      value={value}
      onChange={onChange}
    />
  )
}

/** A scale of words, the least first; the count from 1. */
function Words({
  label,
  words,
  value,
  onChange,
}: {
  label: string
  words: readonly string[]
  value: number | null
  onChange: (value: number) => void
}) {
  return (
    <fieldset className="m-0 border-0 p-0">
      <legend className="mb-2 p-0 text-xl font-semibold first-letter:uppercase">{label}</legend>
      <div className={clsx('grid gap-2', words.length > 5 ? 'sm:grid-cols-3' : 'sm:grid-cols-5')}>
        {words.map((word, at) => (
          <button
            key={word}
            type="button"
            aria-pressed={value === at + 1}
            onClick={() => onChange(at + 1)}
            className={clsx(
              'min-h-14 rounded-lg border-2 px-2 text-lg leading-tight',
              value === at + 1
                ? 'border-aubergine bg-aubergine text-paper'
                : 'border-edge bg-paper hover:bg-husk',
            )}
          >
            {word}
          </button>
        ))}
      </div>
    </fieldset>
  )
}
