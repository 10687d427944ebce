import { assess } from '@frijol/core/assess'
import type { Dish } from '@frijol/core/model'
import type { NextTrial } from '@frijol/core/nextTrial'
import { useMemo } from 'react'
import { BroughtBack } from '../../findings'
import { useKitchenStore, useLibrary } from '../../store'
import { goOn, type NextResult } from '../../store/learn'
import { Button, Card, toast } from '../../ui'

export interface NextTrialsProps {
  dish: Dish
  /** The trial that it goes on from; null = the formula in work. */
  fromNumber: number | null
  next: { readonly value: NextResult | null; readonly hasFailed: boolean; readonly isWorking: boolean }
  isAsked: boolean
  onAsk: () => void
}

/** From this distance on, what cannot come closer is no match yet. Practice. */
const FAR = 0.6

/** Which trial to make next: one safe, one bold, each with what it is likely to come to and why. */
export function NextTrials({ dish, fromNumber, next, isAsked, onAsk }: NextTrialsProps) {
  const { value, hasFailed, isWorking } = next
  const from = fromNumber === null ? 'the formula in work' : `trial ${fromNumber}`
  return (
    <Card aria-label="The next trial" className="px-4 py-3">
      <h2 className="m-0 mb-1.5 text-[15px]">What next, from {from}?</h2>
      {!isAsked && <Button onClick={onAsk}>Propose the next trial</Button>}
      {isAsked && isWorking && (
        <p role="status" className="m-0 text-sm text-ink-2">
          Trying mixes …
        </p>
      )}
      {hasFailed && (
        <p className="m-0 text-sm text-adzuki-deep">
          The search broke off. The formula is as it was; ask again.
        </p>
      )}
      {isAsked && value?.ok === false && (
        <p className="m-0 text-sm">
          {value.message} <span className="text-ink-2">{value.hint}</span>
        </p>
      )}
      {isAsked && value?.ok === true && (
        <>
          {value.next.isDone && (
            <p className="m-0 mb-2 rounded-lg bg-mung-soft px-3 py-2 text-sm text-mung-deep">
              {value.next.now.distance < FAR
                ? 'Nothing near it is likely to come closer by what people would notice. Make it again beside the original, blind, before you call it done.'
                : 'Nothing near it comes closer within its windows and limits. It needs another idea: a swap, another binder, another method, or a wider window in Aim.'}
            </p>
          )}
          <div className="grid gap-2.5">
            {(value.next.isDone ? [] : value.next.proposals).map((one) => (
              <Proposed key={one.kind} dish={dish} fromNumber={fromNumber} proposal={one} />
            ))}
          </div>
          <p className="m-0 mt-2 text-[13px] text-ink-2">
            {from.charAt(0).toUpperCase() + from.slice(1)} is likely {value.next.now.distance.toFixed(1)} ±{' '}
            {value.next.now.sd.toFixed(1)} from the original.{' '}
            {value.next.tastings === 0
              ? 'None of its trials was profiled by tasters yet: this is the model alone.'
              : `It rests on ${value.next.tastings} tasted ${value.next.tastings === 1 ? 'trial' : 'trials'} of this dish.`}
          </p>
        </>
      )}
    </Card>
  )
}

interface ProposedProps {
  dish: Dish
  fromNumber: number | null
  proposal: NextTrial
}

function Proposed({ dish, fromNumber, proposal }: ProposedProps) {
  const { kind, changes, distance, sd, reason } = proposal
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const proposed = useMemo(() => assess(proposal.dish, library, kitchen), [proposal.dish, library, kitchen])
  const take = async () => {
    const told = await goOn(dish, proposal.dish, fromNumber, `next trial, ${kind}: ${changes}`)
    if (told !== null) toast(told)
  }
  return (
    <div className="border-t border-line pt-2 first:border-0 first:pt-0">
      <p className="m-0 text-sm">
        <b>{kind === 'safe' ? 'Safe' : 'Bold'}:</b> <b className="font-semibold">{changes}.</b>{' '}
        <span className="text-ink-2">
          Likely {distance.toFixed(1)} ± {sd.toFixed(1)}; {reason}.
        </span>
      </p>
      <BroughtBack proposed={proposed} />
      <Button
        className="mt-1.5 min-h-8"
        tone={kind === 'safe' ? 'primary' : 'plain'}
        onClick={() => void take()}
      >
        Make it the next trial
      </Button>
    </div>
  )
}
