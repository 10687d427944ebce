import { type Ask, attributeName, type Serving, type Tasting } from '@frijol/core/model'
import { askName, asksOf, faultsOf, picksOf, scaleOf } from '@frijol/core/sensory'
import { useState } from 'react'
import { runTasting, takeAnswer, tastingCommands } from '../../store/tasting'
import { Button, Sheet, TextInput, toast } from '../../ui'

/** Answers from paper, serving by serving, in the order of the sheets. */
export function Typing({
  tasting,
  isOpen,
  onClose,
}: {
  tasting: Tasting
  isOpen: boolean
  onClose: () => void
}) {
  const servings = (tasting.design?.servings ?? []).filter(({ round }) => round > 0)
  const done = new Set(tasting.answers.filter(({ isWhole }) => isWhole).map(({ servingId }) => servingId))
  const [at, setAt] = useState(0)
  const serving = servings[at]
  const next = () => {
    const open = servings.findIndex(({ id }, place) => place > at && !done.has(id))
    if (open < 0) onClose()
    else setAt(open)
  }
  return (
    <Sheet
      title="Type from paper"
      description="As it stands on the taster’s sheet. What was not answered stays empty."
      isOpen={isOpen}
      onClose={onClose}
      width="wide"
    >
      <div role="group" aria-label="Sheets" className="mb-3 flex flex-wrap gap-1.5">
        {servings.map(({ id, tasterId, round }, place) => (
          <Button
            key={id}
            tone={place === at ? 'primary' : done.has(id) ? 'quiet' : 'plain'}
            className="min-h-8 px-2.5 text-[13px]"
            onClick={() => setAt(place)}
          >
            {tasterId}
            {tasting.settings.rounds > 1 && `, ${round}`}
            {done.has(id) && ' ✓'}
          </Button>
        ))}
      </div>
      {serving !== undefined && (
        <OnePaper key={serving.id} tasting={tasting} serving={serving} onDone={next} />
      )}
    </Sheet>
  )
}

function OnePaper({ tasting, serving, onDone }: { tasting: Tasting; serving: Serving; onDone: () => void }) {
  const { settings } = tasting
  const before = tasting.answers.find(({ servingId }) => servingId === serving.id)
  const [picked, setPicked] = useState<readonly number[]>(before?.picked ?? [])
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(
    new Map(before?.marks.map(({ code, ask, value }) => [`${code} ${ask}`, String(value)])),
  )
  const [comment, setComment] = useState(before?.comment ?? '')
  const [fault, setFault] = useState<string | null>(null)
  const picks = picksOf(settings)
  const asks = asksOf(settings)
  const keep = () => {
    const marks = serving.glasses.flatMap(({ code }) =>
      asks.flatMap((ask) => {
        const text = (typed.get(`${code} ${ask}`) ?? '').trim().replace(',', '.')
        return text === '' ? [] : [{ code, ask, value: Number(text) }]
      }),
    )
    if (marks.some(({ value }) => !Number.isFinite(value))) {
      setFault('An answer is no number.')
      return
    }
    const [wrong] = faultsOf(settings, serving, { picked: [...picked], marks })
    if (wrong !== undefined) {
      setFault(wrong)
      return
    }
    takeAnswer(serving, { by: 'paper', picked: [...picked], marks, comment: comment.trim(), isWhole: true })
    toast(`${serving.tasterId} is kept.`)
    onDone()
  }
  const toggle = (code: number) => {
    setFault(null)
    setPicked((now) =>
      now.includes(code) ? now.filter((one) => one !== code) : [...now, code].slice(-picks),
    )
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        keep()
      }}
    >
      {picks > 0 ? (
        <div role="group" aria-label="Codes" className="flex flex-wrap gap-2">
          {serving.glasses.map(({ code }) => (
            <Button
              key={code}
              tone={picked.includes(code) ? 'primary' : 'plain'}
              aria-pressed={picked.includes(code)}
              className="min-h-11 min-w-20 text-lg tabular-nums"
              onClick={() => toggle(code)}
            >
              {code}
            </Button>
          ))}
        </div>
      ) : (
        <div className="overflow-x-auto">
          <table className="border-collapse text-sm">
            <caption className="sr-only">Answers of {serving.tasterId}</caption>
            <thead>
              <tr>
                <td />
                {serving.glasses.map(({ code }) => (
                  <th key={code} scope="col" className="px-1 text-center text-base tabular-nums">
                    {code}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {asks.map((ask) => (
                <tr key={ask}>
                  <th scope="row" className="pr-3 text-left font-normal first-letter:uppercase">
                    {nameOf(ask)}{' '}
                    <span className="text-ink-2">{rangeWords(tasting, ask, serving.glasses.length)}</span>
                  </th>
                  {serving.glasses.map(({ code }) => (
                    <td key={code} className="px-1 py-0.5">
                      <TextInput
                        aria-label={`${nameOf(ask)} of ${code}`}
                        inputMode="decimal"
                        className="w-20 text-center tabular-nums"
                        value={typed.get(`${code} ${ask}`) ?? ''}
                        onChange={({ target }) => {
                          setFault(null)
                          setTyped((now) => new Map(now).set(`${code} ${ask}`, target.value))
                        }}
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <TextInput
        aria-label="What was written beside it"
        placeholder="What was written beside it"
        className="mt-3"
        value={comment}
        onChange={({ target }) => setComment(target.value.slice(0, 1000))}
      />
      {fault !== null && (
        <p role="alert" className="m-0 mt-2 text-sm text-adzuki-deep">
          {fault}
        </p>
      )}
      <div className="mt-3 flex gap-2">
        <Button type="submit" tone="primary">
          Keep {serving.tasterId}
        </Button>
        {before !== undefined && (
          <Button
            tone="quiet"
            onClick={() => {
              runTasting(tastingCommands.takeBackAnswer(serving.id))
              onDone()
            }}
          >
            Take this answer back
          </Button>
        )}
      </div>
    </form>
  )
}

const nameOf = (ask: Ask): string =>
  ask === 'liking' || ask === 'difference' || ask === 'rank' ? askName(ask) : attributeName(ask)

function rangeWords({ settings }: Tasting, ask: Ask, glasses: number): string {
  const { least, most } = scaleOf(settings.protocol, ask, glasses)
  return `${least} to ${most}`
}
