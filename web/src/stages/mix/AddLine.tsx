import { formatAmount, formatGrams, formatSpread, lineMass } from '@frijol/core/measure'
import { type ClipboardEvent, useMemo, useRef, useState } from 'react'
import { commands, lineReader, pastedLines, run, typedLine, useLibrary } from '../../store'
import { useShortcut } from '../../ui'

/** How a line would be understood, while it is typed. */
function useReading(text: string): string {
  const library = useLibrary()
  return useMemo(() => {
    if (text.trim() === '') return ''
    const line = typedLine(text)
    const food = line.ingredientId === null ? undefined : library.ingredients.get(line.ingredientId)
    const amount = line.amount === null ? 'no amount' : formatAmount(line.amount)
    if (food === undefined) return line.food === '' ? amount : `${amount} · “${line.food}” is not known yet`
    const mass =
      line.amount === null
        ? null
        : lineMass(line.amount, food, line.food.toLowerCase(), lineReader().kitchen).mass
    const grams = mass === null ? '' : ` → ${formatGrams(mass)} g ${formatSpread(mass)}`
    return `${amount} · ${food.name}${line.prep === '' ? '' : ` · ${line.prep}`}${grams}`
  }, [text, library])
}

/** One field that adds lines: typed one by one, or pasted many at once. Shows how each is understood. */
export function AddLine({ partId, isEmpty }: { partId: string; isEmpty: boolean }) {
  const [text, setText] = useState('')
  const input = useRef<HTMLInputElement>(null)
  const reading = useReading(text)
  useShortcut('a', () => input.current?.focus())
  const add = () => {
    if (text.trim() === '') return
    run(commands.addLines(partId, [typedLine(text.slice(0, 500))]))
    setText('')
  }
  const paste = (event: ClipboardEvent) => {
    const pasted = event.clipboardData.getData('text')
    if (!/\n./.test(pasted.trim())) return
    event.preventDefault()
    run(commands.addLines(partId, pastedLines(pasted)))
    setText('')
  }
  return (
    <form
      className="px-3.5 py-2.5"
      onSubmit={(event) => {
        event.preventDefault()
        add()
      }}
    >
      {isEmpty && (
        <p className="m-0 mb-2 text-sm text-ink-2">
          Write the formula one line at a time, in cups, spoons, tins or grams; or paste a whole list. Each
          line shows how it is read.
        </p>
      )}
      <div className="flex items-center gap-2.5">
        <input
          ref={input}
          aria-label="Add a line"
          aria-describedby="add-line-reading"
          className="min-h-9 flex-1 rounded-lg border border-transparent bg-transparent px-1.5 placeholder:text-ink-2 hover:border-line focus:border-aubergine"
          placeholder="Add: “¾ cup cooked green lentils, drained”"
          maxLength={500}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onPaste={paste}
        />
        <kbd className="rounded-md border border-line bg-paper px-1.5 text-xs text-ink-2" aria-hidden="true">
          A
        </kbd>
      </div>
      <p id="add-line-reading" aria-live="polite" className="m-0 min-h-5 px-1.5 text-[13px] text-sky-deep">
        {reading}
      </p>
    </form>
  )
}
