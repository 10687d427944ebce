import { type DishClosing, differenceWords, tubLabel } from '@frijol/core/day'
import type { CookSession, Leftover } from '@frijol/core/model'
import { useState } from 'react'
import { newId, useKitchenStore } from '../store'
import { closeDay, dropLeftover, keepLeftover, useClosings, writeMeasure } from '../store/day'
import { Choice, Field, NumberField, SelectInput, TextInput, toast } from '../ui'
import { BigButton } from './Big'
import { clockOf, dayOf, grams } from './clock'

/** The end of a day: what it came to, what is left and where it is, and the trial as it was made. */
export function CloseDay({ session, onBack }: { session: CookSession; onBack: () => void }) {
  const closings = useClosings(session)
  const [isClosing, setClosing] = useState(false)
  const close = async () => {
    setClosing(true)
    const isClosed = await closeDay(clockOf)
    setClosing(false)
    if (isClosed) toast('The day is closed. Each dish is kept as a trial, as it was made.')
  }
  return (
    <div className="mx-auto grid w-full max-w-[920px] gap-4 p-5 text-[17px]">
      <h1 className="m-0 text-[32px]">Close the day</h1>
      {closings.map((closing) => (
        <OneDish key={closing.dish.id} closing={closing} />
      ))}
      <Leftovers session={session} />
      <div className="no-print flex flex-wrap gap-3">
        <BigButton tone="primary" disabled={isClosing} onClick={() => void close()}>
          {isClosing
            ? 'Closing …'
            : session.dishes.length === 1
              ? 'Keep the trial as made'
              : `Keep ${session.dishes.length} trials as made`}
        </BigButton>
        <BigButton onClick={onBack}>Back to the counter</BigButton>
      </div>
    </div>
  )
}

function OneDish({ closing }: { closing: DishClosing }) {
  const { dish, weighed, toWeigh, yields, portions } = closing
  const words = differenceWords(closing)
  return (
    <section aria-label={dish.name} className="rounded-card bg-paper p-5">
      <h2 className="m-0 text-xl">
        {dish.name}, trial {dish.trial.number}
      </h2>
      <p className="m-0 mt-1 text-ink-2">
        {weighed} of {toWeigh} lines weighed.{' '}
        {words.length === 0 && 'Nothing is known to be otherwise than written.'}
      </p>
      {words.length > 0 && (
        <ul aria-label={`Otherwise than written: ${dish.name}`} className="mt-2 mb-0 pl-5">
          {words.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      )}
      <div className="no-print mt-3 grid gap-3 sm:grid-cols-2">
        {yields.map(({ partId, part, predictedG, sdG, measuredG }) => (
          <MeasuredField
            key={partId}
            label={`${part}, cooked, g (predicted ${grams(predictedG, 1)} ± ${Math.round(sdG)})`}
            value={measuredG}
            onKeep={(value) => writeMeasure({ kind: 'yield', dishId: dish.id, partId, stepId: null, value })}
          />
        ))}
        <MeasuredField
          label={`Portions of ${dish.name} (aim ${dish.aim.portions})`}
          value={portions}
          onKeep={(value) =>
            writeMeasure({ kind: 'portions', dishId: dish.id, partId: null, stepId: null, value })
          }
        />
      </div>
    </section>
  )
}

interface MeasuredFieldProps {
  label: string
  value: number | null
  onKeep: (value: number) => void
}

/** A measured figure: written down once it is whole, not at every key. */
function MeasuredField({ label, value, onKeep }: MeasuredFieldProps) {
  const [text, setText] = useState<string | null>(null)
  const typed = Number((text ?? '').replace(',', '.'))
  const isWrong = text !== null && text.trim() !== '' && !(Number.isFinite(typed) && typed >= 0)
  const keep = () => {
    if (text !== null && text.trim() !== '' && !isWrong && typed !== value) onKeep(typed)
    if (!isWrong) setText(null)
  }
  return (
    <Field label={label} error={isWrong ? 'Enter a number of 0 or more.' : null}>
      {(props) => (
        <TextInput
          {...props}
          inputMode="decimal"
          className="min-h-[56px] text-[18px]"
          value={text ?? (value === null ? '' : String(value))}
          onChange={({ target }) => setText(target.value)}
          onBlur={keep}
          onKeyDown={(event) => {
            if (event.key === 'Enter') keep()
          }}
        />
      )}
    </Field>
  )
}

const PLACES = ['fridge', 'freezer', 'counter'] as const
const PLACE_NAMES = { fridge: 'Fridge', freezer: 'Freezer', counter: 'Stands out' } as const

/** What is left, where it is, and what is written on its tub. */
function Leftovers({ session }: { session: CookSession }) {
  const choices = session.dishes.flatMap((dish) =>
    [dish.name, ...(dish.parts.length > 1 ? dish.parts.map(({ name }) => name) : [])].map((what) => ({
      key: `${dish.id}\n${what}`,
      dishId: dish.id,
      what,
      label: what === dish.name ? what : `${dish.name}: ${what}`,
    })),
  )
  const [chosen, setChosen] = useState(choices[0]?.key ?? '')
  const [massG, setMass] = useState<number | null>(null)
  const [where, setWhere] = useState<Leftover['where']>('fridge')
  const add = () => {
    const one = choices.find(({ key }) => key === chosen)
    if (one === undefined) return
    keepLeftover({ id: newId(), dishId: one.dishId, what: one.what, massG, where })
    setMass(null)
  }
  return (
    <section aria-label="What is left" className="rounded-card bg-paper p-5">
      <h2 className="m-0 mb-2 text-xl">What is left, and where it is</h2>
      <div className="no-print mb-3 flex flex-wrap items-end gap-3">
        <SelectInput
          aria-label="What is left"
          className="min-h-[56px] max-w-64 text-[17px]"
          value={chosen}
          onChange={({ target }) => setChosen(target.value)}
        >
          {choices.map(({ key, label }) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </SelectInput>
        <NumberField
          label="Grams"
          value={massG}
          onChange={(next) => {
            setMass(next)
            return null
          }}
        />
        <Choice label="Where" value={where} options={PLACES} names={PLACE_NAMES} onChange={setWhere} />
        <BigButton onClick={add}>Write a tub label</BigButton>
      </div>
      <ul aria-label="Tub labels" className="m-0 grid list-none gap-3 p-0 sm:grid-cols-2">
        {session.leftovers.map((leftover) => (
          <li key={leftover.id}>
            <Tub leftover={leftover} session={session} />
          </li>
        ))}
      </ul>
      {session.leftovers.length > 0 && (
        <BigButton className="no-print mt-3" onClick={() => window.print()}>
          Print the labels
        </BigButton>
      )}
      <p className="m-0 mt-3 text-[15px] text-ink-2">
        Dates are the usual ones for food that was cooled within two hours and is kept at 5 °C or below. Your
        local food code and your nose go before them: when in doubt, throw it out.
      </p>
    </section>
  )
}

function Tub({ leftover, session }: { leftover: Leftover; session: CookSession }) {
  const { library, kitchen, engine } = useKitchenStore()
  const dish = session.dishes.find(({ id }) => id === leftover.dishId)
  if (library === null || engine === null || dish === undefined) return null
  const label = tubLabel(
    leftover,
    dish,
    engine.assess(dish, library, kitchen),
    { library, kitchen },
    session.closedAt ?? session.begunAt,
  )
  const names = label.allergens.map((id) => library.allergens.get(id)?.name ?? id)
  return (
    <article className="rounded-card border-2 border-ink-2 p-3 text-[16px]">
      <h3 className="m-0 text-[18px]">{label.name}</h3>
      <p className="m-0">
        Made {dayOf(label.madeOn)}
        {label.massG === null ? '' : `, ${grams(label.massG, 1)}`},{' '}
        {PLACE_NAMES[leftover.where].toLowerCase()}
      </p>
      <p className="m-0 font-semibold">
        {label.useBy === null ? 'Do not keep it' : `Use by ${dayOf(label.useBy)}`}
        <span className="font-normal text-ink-2">, {label.because}</span>
      </p>
      <p className="m-0">{names.length === 0 ? 'No listed allergen.' : `Contains: ${names.join(', ')}.`}</p>
      <BigButton tone="quiet" className="no-print mt-1 min-h-11" onClick={() => dropLeftover(leftover.id)}>
        Take it off the list
      </BigButton>
    </article>
  )
}
