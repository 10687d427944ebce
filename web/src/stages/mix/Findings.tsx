import type { Assessment, Finding } from '@frijol/core/model'
import { findingKey } from '@frijol/core/rules'
import { useState } from 'react'
import { commands, run, useLibrary } from '../../store'
import { Button, Card, CardTitle, type ChipTone, Tag, TextInput } from '../../ui'

const KINDS: readonly (readonly [RegExp, string])[] = [
  [/^unit-slip/, 'Slip'],
  [/^limit-|^portion-mass/, 'Limit'],
  [/^allergen-conflict/, 'Aim'],
  [/^safety-/, 'Safety'],
  [/^ratio-/, 'Ratio'],
  [/^weigh-this|^below-scale|^fluid|^liquid|^drained/, 'Measure'],
  [/^unknown|^missing|^amount|^no-/, 'Line'],
  [/^listed-unused/, 'Method'],
]
const kindOf = (rule: string): string => KINDS.find(([pattern]) => pattern.test(rule))?.[1] ?? 'Note'
const TONES: Record<Finding['severity'], ChipTone> = { stop: 'adzuki', caution: 'turmeric', info: 'sky' }

/** What to look at before cooking: sentences with a cause and a remedy, in order of harm. */
export function Findings({ assessment, partId }: { assessment: Assessment; partId: string }) {
  const library = useLibrary()
  const here = assessment.findings.filter(({ part }) => part === null || part === partId)
  const open = here.filter(({ settled }) => settled === null)
  const settled = here.filter(({ settled: reason }) => reason !== null)
  const allergens = assessment.allergens.map((id) => library.allergens.get(id)?.name ?? id)
  return (
    <Card className="px-3.5 py-3" aria-label="Before you cook">
      <CardTitle title="Before you cook" aside={open.length === 0 ? 'nothing open' : `${open.length} open`} />
      <ul className="m-0 list-none ps-0">
        {open.map((finding) => (
          <Row key={findingKey(finding)} finding={finding} />
        ))}
        {allergens.length > 0 && (
          <li className="flex items-start gap-2 py-1 text-sm">
            <Tag tone="sky">Allergens</Tag>
            <span>{allergens.join(', ')}</span>
          </li>
        )}
      </ul>
      {settled.length > 0 && (
        <details className="mt-1 text-sm">
          <summary className="text-[13px] text-ink-2">{settled.length} settled on purpose</summary>
          <ul className="m-0 mt-1 list-none ps-0">
            {settled.map((finding) => (
              <li key={findingKey(finding)} className="flex items-start gap-2 py-1">
                <span className="flex-1">
                  {finding.message} <span className="text-ink-2">“{finding.settled}”</span>
                </span>
                <Button tone="quiet" onClick={() => run(commands.unsettleFinding(findingKey(finding)))}>
                  Open again
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </Card>
  )
}

function Row({ finding }: { finding: Finding }) {
  const [isSettling, setSettling] = useState(false)
  const [reason, setReason] = useState('')
  const settle = () => {
    if (reason.trim() !== '') run(commands.settleFinding(findingKey(finding), reason.trim().slice(0, 500)))
  }
  return (
    <li className="flex items-start gap-2 py-1 text-sm">
      <Tag tone={TONES[finding.severity]}>{kindOf(finding.rule)}</Tag>
      <div className="min-w-0 flex-1">
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
