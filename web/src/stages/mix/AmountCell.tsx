import { formatAmount } from '@frijol/core/measure'
import type { FormulaLine } from '@frijol/core/model'
import { type KeyboardEvent, useState } from 'react'
import { commands, nudged, run, withAmountText } from '../../store'
import { LoneField, toast } from '../../ui'

const OPEN: Readonly<Record<string, string>> = {
  'to-taste': 'to taste',
  'for-frying': 'for frying',
  'as-needed': 'as needed',
  'for-dusting': 'for dusting',
  'to-serve': 'to serve',
  unstated: '',
}

const amountText = ({ amount, open }: FormulaLine): string =>
  amount === null ? (OPEN[open ?? 'unstated'] ?? '') : formatAmount(amount)

/** The amount as measured. Typing changes it as soon as it reads as an amount; arrow keys step it. */
export function AmountCell({ partId, line }: { partId: string; line: FormulaLine }) {
  const [draft, setDraft] = useState<string | null>(null)
  const [isWrong, setWrong] = useState(false)

  const type = (text: string) => {
    setDraft(text)
    const next = withAmountText(line, text)
    setWrong(next === null)
    if (next !== null && text.trim() !== '') run(commands.rewriteLine(partId, next, `amount ${line.id}`))
  }
  const leave = () => {
    if (draft !== null && draft.trim() === '' && line.amount !== null) {
      const emptied = withAmountText(line, '')
      if (emptied !== null) run(commands.rewriteLine(partId, emptied))
    }
    if (isWrong && draft !== null) {
      const kept = amountText(line)
      toast(
        `“${draft.trim()}” does not read as an amount. ${kept === '' ? 'The line stays without one' : `It stays ${kept}`}.`,
      )
    }
    setDraft(null)
    setWrong(false)
  }
  const key = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter' || event.key === 'Escape') {
      event.currentTarget.blur()
      return
    }
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
    event.preventDefault()
    const next = nudged(line, event.key === 'ArrowUp' ? 1 : -1, event.shiftKey ? 10 : 1)
    setDraft(null)
    setWrong(false)
    run(commands.rewriteLine(partId, next, `nudge ${line.id}`))
  }
  return (
    <LoneField>
      <input
        aria-label={`Amount of ${line.food === '' ? 'this line' : line.food}`}
        aria-invalid={isWrong}
        title={isWrong ? 'This does not read as an amount; the last one is kept' : undefined}
        placeholder="amount"
        className="quiet-input w-full text-ink-2 placeholder:text-ink-2 focus:text-ink max-sm:col-start-2 max-sm:row-start-2"
        value={draft ?? amountText(line)}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => type(event.target.value)}
        onBlur={leave}
        onKeyDown={key}
      />
    </LoneField>
  )
}
