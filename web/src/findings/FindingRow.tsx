import type { Finding } from '@frijol/core/model'
import { findingKey, findingKind } from '@frijol/core/rules'
import { memo, useState } from 'react'
import { commands, run } from '../store'
import { Button, type ChipTone, sameProps, Tag, TextInput } from '../ui'

const TONES: Record<Finding['severity'], ChipTone> = { stop: 'adzuki', caution: 'turmeric', info: 'sky' }

/** One finding, with its cause and remedy; it can be settled with a reason. */
export const FindingRow = memo(function FindingRow({ finding }: { finding: Finding }) {
  const [isSettling, setSettling] = useState(false)
  const [reason, setReason] = useState('')
  const settle = () => {
    if (reason.trim() !== '') run(commands.settleFinding(findingKey(finding), reason.trim().slice(0, 500)))
  }
  return (
    <li className="far-row flex items-start gap-2 py-1 text-sm [contain-intrinsic-size:auto_50px] max-sm:flex-wrap">
      <Tag tone={TONES[finding.severity]}>{findingKind(finding)}</Tag>
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
}, sameProps)
