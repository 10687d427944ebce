import type { Finding } from '@frijol/core/model'
import { findingKey, METHOD_RULES } from '@frijol/core/rules'
import { useState } from 'react'
import { commands, run } from '../store'
import { Button, type ChipTone, Tag, TextInput } from '../ui'

const KINDS: readonly (readonly [RegExp, string])[] = [
  [/^unit-slip/, 'Slip'],
  [/^limit-|^portion-mass/, 'Limit'],
  [/^allergen-conflict/, 'Aim'],
  [/^safety-/, 'Safety'],
  [/^ratio-/, 'Ratio'],
  [/^weigh-this|^below-scale|^fluid|^liquid|^drained/, 'Measure'],
  [/^list-step-disagree|^used-unlisted/, 'Method'],
  [/^unknown|^missing|^amount|^no-/, 'Line'],
]
const OF_METHOD: ReadonlySet<string> = new Set(METHOD_RULES.map(({ id }) => id))
const kindOf = (rule: string): string =>
  OF_METHOD.has(rule) ? 'Method' : (KINDS.find(([pattern]) => pattern.test(rule))?.[1] ?? 'Note')
const TONES: Record<Finding['severity'], ChipTone> = { stop: 'adzuki', caution: 'turmeric', info: 'sky' }

/** Whether a finding is about order, heat or use in the method. */
export const isOfMethod = ({ rule, step }: Finding): boolean => OF_METHOD.has(rule) || step !== null

/** One finding, with its cause and remedy; it can be settled with a reason. */
export function FindingRow({ finding }: { finding: Finding }) {
  const [isSettling, setSettling] = useState(false)
  const [reason, setReason] = useState('')
  const settle = () => {
    if (reason.trim() !== '') run(commands.settleFinding(findingKey(finding), reason.trim().slice(0, 500)))
  }
  return (
    <li className="flex items-start gap-2 py-1 text-sm max-sm:flex-wrap">
      <Tag tone={TONES[finding.severity]}>{kindOf(finding.rule)}</Tag>
      <div className="min-w-0 flex-1 max-sm:min-w-[70%]">
        <p className="m-0">
          {finding.message} <span className="text-ink-2">{finding.remedy}</span>
        </p>
        {isSettling && (
          <form
            className="mt-1 flex gap-2"
            onSubmit={(event) => {
              event.preventDefault()
              settle()
            }}
          >
            <TextInput
              autoFocus
              aria-label="Why it is on purpose"
              placeholder="Known, on purpose: why?"
              value={reason}
              maxLength={500}
              onChange={(event) => setReason(event.target.value)}
            />
            <Button type="submit" disabled={reason.trim() === ''}>
              Settle
            </Button>
          </form>
        )}
      </div>
      {!isSettling && (
        <button
          type="button"
          className="shrink-0 rounded px-1 text-[13px] text-ink-2 underline underline-offset-2"
          onClick={() => setSettling(true)}
        >
          on purpose
        </button>
      )}
    </li>
  )
}
