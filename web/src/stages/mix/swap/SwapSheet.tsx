import { foodPhrase } from '@frijol/core/measure'
import type { Ingredient } from '@frijol/core/model'
import { exclusionName } from '@frijol/core/rules'
import { SWAP_MATCHES, type SwapMatch, type SwapProposal } from '@frijol/core/swap'
import { useState } from 'react'
import {
  isCooked,
  takeBackTurnDown,
  takeProposal,
  turnDown,
  useDish,
  useKitchenStore,
  useLibrary,
  useSwaps,
} from '../../../store'
import { BroughtBack } from '../../../findings'
import { Button, Chip, Choice, Sheet, Tag, TextInput, toast } from '../../../ui'
import { askSwap, useSwapping } from './open'
import { differenceWords, fitWord, MATCH_NAMES, partsWords } from './words'
import { KindChips } from './KindChips'

/** What can stand in for a line's food: in what amount, what else moves, what is done otherwise. */
export function SwapSheet() {
  const lineId = useSwapping((state) => state.lineId)
  const dish = useDish()
  const line = dish.parts.flatMap(({ lines }) => lines).find(({ id }) => id === lineId)
  const close = () => askSwap(null)
  return (
    <Sheet
      title={line === undefined ? 'Swap' : `In place of ${line.food}`}
      description="Amounts are matched to what it does here. Nothing changes until you put one in."
      isOpen={line !== undefined}
      onClose={close}
      width="wide"
    >
      {line?.ingredientId != null && (
        <Candidates key={line.id} lineId={line.id} foodId={line.ingredientId} onClose={close} />
      )}
    </Sheet>
  )
}

interface CandidatesProps {
  lineId: string
  foodId: string
  onClose: () => void
}

const MOST_SHOWN = 8

function Candidates({ lineId, foodId, onClose }: CandidatesProps) {
  const dish = useDish()
  const library = useLibrary()
  const [without, setWithout] = useState<readonly string[]>([])
  const [match, setMatch] = useState<SwapMatch>('usual')
  const { value: proposals, hasFailed } = useSwaps(lineId, foodId, without.join(' '), match)
  const food = library.ingredients.get(foodId)
  const excluded = dish.aim.excluded
  const take = async (proposal: SwapProposal) => {
    const by = proposal.with.map(({ food }) => foodPhrase(food)).join(' and ')
    const told = await takeProposal(
      dish,
      proposal.dish,
      `swap ${library.ingredients.get(foodId)?.name ?? foodId} for ${by}`,
    )
    if (told === null) return
    toast(told)
    onClose()
  }
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-1.5" role="group" aria-label="Without">
        <span className="text-[13px] text-ink-2">without</span>
        <KindChips chosen={without} barred={excluded} onChange={setWithout} />
        {excluded.map((id) => (
          <Chip key={id} tone="adzuki">
            no {exclusionName(id, library).toLowerCase()}, by the aim
          </Chip>
        ))}
      </div>
      {food !== undefined && isSaltyLiquid(food) && (
        <div className="flex items-center gap-1.5">
          <span className="mb-2 text-[13px] text-ink-2">amounts</span>
          <Choice
            label="Amounts are matched"
            value={match}
            options={SWAP_MATCHES}
            names={MATCH_NAMES}
            onChange={setMatch}
          />
        </div>
      )}
      {proposals === null ? (
        <p role={hasFailed ? 'alert' : 'status'} className="m-0 text-ink-2">
          {hasFailed
            ? 'The search broke off. The formula is as it was; close this and try again.'
            : 'Weighing what could stand in …'}
        </p>
      ) : proposals.length === 0 ? (
        <p role="status" className="m-0 text-ink-2">
          Nothing that may come in does this job here. Let one of the kinds in, or choose a food of your own
          in the line.
        </p>
      ) : (
        <ol className="m-0 grid list-none gap-2 p-0" aria-label="What can stand in">
          {proposals
            .filter((proposal, at) => at < MOST_SHOWN || isTurnedDown(proposal))
            .map((proposal, at) => (
              <Candidate
                key={proposal.with.map(({ food }) => food.id).join('+')}
                proposal={proposal}
                isFirst={at === 0}
                isCookedNow={isCooked(dish)}
                onTake={() => void take(proposal)}
              />
            ))}
        </ol>
      )}
    </>
  )
}

/** Soy sauces, brines, pastes: what they are swapped for can be matched by salt, by savour or by the spoon. Practice. */
const isSaltyLiquid = ({ per100g: { sodiumMg, waterG } }: Ingredient): boolean =>
  (sodiumMg ?? 0) > 1000 && (waterG ?? 0) > 20

/** What was turned down is always told, so that it is not tried again unawares. */
const isTurnedDown = ({ reasons }: SwapProposal): boolean =>
  reasons.some((one) => one.startsWith('turned down'))

interface CandidateProps {
  proposal: SwapProposal
  isFirst: boolean
  isCookedNow: boolean
  onTake: () => void
}

function Candidate({ proposal, isFirst, isCookedNow, onTake }: CandidateProps) {
  const library = useLibrary()
  const turnedDown = useKitchenStore((state) => state.kitchen.turnedDown)
  const [reason, setReason] = useState<string | null>(null)
  const { with: parts, score, process, differences, reasons, allergens, replaces } = proposal
  const main = parts[0]?.food
  const before = turnedDown.find((one) => one.replaces === replaces && one.foodId === main?.id)
  const moved = differenceWords(differences)
  const isListed = (id: string): boolean => {
    const allergen = library.allergens.get(id)
    return allergen?.isEuListed === true || allergen?.isUsListed === true
  }
  const text = partsWords(parts.map(({ food, massG }) => ({ name: foodPhrase(food), massG })))
  const keep = () => {
    if (main === undefined || reason === null || reason.trim() === '') return
    if (turnDown({ replaces, foodId: main.id, reason: reason.trim() })) setReason(null)
  }
  return (
    <li className="rounded-card border border-line p-3">
      <div className="flex flex-wrap items-start justify-between gap-2">
        <div className="min-w-0 flex-1">
          <p className="m-0">
            <b>{text}</b> <Tag tone={score >= 0.7 ? 'mung' : 'husk'}>{fitWord(score)}</Tag>
          </p>
          <p className="m-0 mt-0.5 text-[13px] text-ink-2 first-letter:uppercase">
            {reasons.filter((one) => !one.startsWith('source')).join('; ')}.
          </p>
        </div>
        <Button tone={isFirst ? 'primary' : 'plain'} onClick={onTake} aria-label={`Put in ${text}`}>
          {isCookedNow ? 'Put it in as the next trial' : 'Put it in'}
        </Button>
      </div>
      <BroughtBack proposed={proposal.assessment} />
      {process.length > 0 && <p className="m-0 mt-1 text-sm">{process.join(' ')}</p>}
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {allergens.spares.filter(isListed).map((id) => (
          <Chip key={id} tone="mung">
            no more {library.allergens.get(id)?.name.toLowerCase() ?? id}
          </Chip>
        ))}
        {allergens.brings.filter(isListed).map((id) => (
          <Chip key={id} tone="turmeric">
            brings {library.allergens.get(id)?.name.toLowerCase() ?? id}
          </Chip>
        ))}
        {moved.map(({ id, text: words }) => (
          <Chip key={id}>{words}</Chip>
        ))}
        {moved.length === 0 && <Chip>nothing else moves</Chip>}
      </div>
      <div className="mt-1.5 text-[13px] text-ink-2">
        {reasons.find((one) => one.startsWith('source'))}
        {main !== undefined &&
          (before === undefined ? (
            reason === null && (
              <button
                type="button"
                className="ml-3 min-h-6 underline underline-offset-2 hover:text-ink"
                onClick={() => setReason('')}
              >
                Not in this kitchen
              </button>
            )
          ) : (
            <button
              type="button"
              className="ml-3 min-h-6 underline underline-offset-2 hover:text-ink"
              onClick={() => takeBackTurnDown(replaces, main.id)}
            >
              Let it come first again
            </button>
          ))}
      </div>
      {reason !== null && (
        <form
          className="mt-1.5 flex gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            keep()
          }}
        >
          <TextInput
            autoFocus
            aria-label="Why not"
            placeholder="Why not: too nutty in trial 2"
            value={reason}
            maxLength={200}
            onChange={(event) => setReason(event.target.value)}
          />
          <Button type="submit" disabled={reason.trim() === ''}>
            Keep that in mind
          </Button>
        </form>
      )}
    </li>
  )
}
