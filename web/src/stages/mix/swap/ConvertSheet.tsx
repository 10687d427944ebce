import { foodPhrase } from '@frijol/core/measure'
import type { Converted, Toward } from '@frijol/core/swap'
import { useState } from 'react'
import { isCooked, takeProposal, useConversion, useDish, useLibrary } from '../../../store'
import { BroughtBack } from '../../../findings'
import { Button, Chip, Sheet, toast } from '../../../ui'
import { conversionWords, partsWords, TOWARD_KINDS } from './words'
import { KindChips } from './KindChips'
import { ToggleChips } from './ToggleChips'

export interface ConvertSheetProps {
  isOpen: boolean
  onClose: () => void
}

/** Convert: the whole dish without some kinds of food, lower in sodium, cheaper, or of what the kitchen keeps; shown before it is taken. */
export const ConvertSheet = ({ isOpen, onClose }: ConvertSheetProps) => (
  <Sheet
    title="Make it another way"
    description="Every line that stands against it gets what does its job best here. Nothing changes until you accept it."
    isOpen={isOpen}
    onClose={onClose}
    width="wide"
  >
    <Conversion onClose={onClose} />
  </Sheet>
)

function Conversion({ onClose }: { onClose: () => void }) {
  const dish = useDish()
  const [without, setWithout] = useState<readonly string[]>([])
  const [toward, setToward] = useState<readonly Toward[]>([])
  const { value, hasFailed } = useConversion(without, toward)
  const asked = conversionWords(without, toward)
  const accept = async () => {
    if (value === null) return
    const told = await takeProposal(dish, value.dish, `make it ${asked}`)
    if (told === null) return
    toast(told)
    onClose()
  }
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Without">
        <span className="w-16 self-center text-[13px] text-ink-2">without</span>
        <KindChips chosen={without} onChange={setWithout} />
      </div>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="And">
        <span className="w-16 self-center text-[13px] text-ink-2">and</span>
        <ToggleChips tone="mung" options={TOWARD_KINDS} chosen={toward} onChange={setToward} />
      </div>
      {without.length + toward.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">Choose what it is to do without, or which way it is to go.</p>
      ) : value === null ? (
        <p role={hasFailed ? 'alert' : 'status'} className="m-0 text-ink-2">
          {hasFailed
            ? 'It broke off. The formula is as it was; choose again.'
            : 'Looking for what stands in …'}
        </p>
      ) : (
        <Changes converted={value} asked={asked} />
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button
          tone="primary"
          disabled={value === null || value.swaps.length === 0}
          onClick={() => void accept()}
        >
          {isCooked(dish) ? 'Take it as the next trial' : 'Take it'}
        </Button>
      </div>
    </div>
  )
}

function Changes({ converted: { swaps, left, dish }, asked }: { converted: Converted; asked: string }) {
  const library = useLibrary()
  const last = swaps.at(-1)?.assessment
  if (swaps.length === 0 && left.length === 0)
    return (
      <p role="status" className="m-0 text-sm text-mung-deep">
        As it is, nothing needs to change to make it {asked}.
      </p>
    )
  return (
    <>
      <ul className="m-0 grid list-none gap-1 p-0" aria-label="What changes">
        {swaps.map(({ lineId, replaces, with: parts, process }) => (
          <li key={lineId} className="border-b border-line/60 py-1.5">
            <s className="text-ink-2">{library.ingredients.get(replaces)?.name ?? replaces}</s>{' '}
            <b>{partsWords(parts.map(({ food, massG }) => ({ name: foodPhrase(food), massG })))}</b>
            {process.length > 0 && <div className="text-sm text-ink-2">{process.join(' ')}</div>}
          </li>
        ))}
      </ul>
      {left.length > 0 && (
        <p role="alert" className="m-0 text-sm text-adzuki-deep">
          Nothing stands in for {left.map(({ name }) => name).join(', ')}: take it out, or write what you use.
        </p>
      )}
      <BroughtBack proposed={last ?? null} />
      {last !== undefined && (
        <div className="flex flex-wrap gap-1.5">
          {last.parts.flatMap(({ partId, name, distance }) =>
            distance === null
              ? []
              : [
                  <Chip key={partId} tone="aubergine">
                    {dish.parts.length > 1 ? `${name}: ` : ''}distance {distance.toFixed(1)}; tune it next
                  </Chip>,
                ],
          )}
        </div>
      )}
    </>
  )
}
