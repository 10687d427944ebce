import { formatAmount, formatGrams, formatSpread, lineMass } from '@frijol/core/measure'
import type { FormulaLine, Library } from '@frijol/core/model'
import { memo, useMemo, useState } from 'react'
import { commands, lineReader, pastedLines, run, typedLines, useLibrary } from '../../store'
import { AddField } from '../../ui'

function asRead(line: FormulaLine, library: Library): string {
  const food = line.ingredientId === null ? undefined : library.ingredients.get(line.ingredientId)
  const amount = line.amount === null ? 'no amount' : formatAmount(line.amount)
  if (food === undefined) return line.food === '' ? amount : `${amount} · “${line.food}” is not known yet`
  const mass =
    line.amount === null
      ? null
      : lineMass(line.amount, food, line.food.toLowerCase(), lineReader().kitchen).mass
  const grams = mass === null ? '' : ` → ${formatGrams(mass)} g ${formatSpread(mass)}`
  return `${amount} · ${food.name}${line.prep === '' ? '' : ` · ${line.prep}`}${grams}`
}

/** How a line would be understood, while it is typed. */
function useReading(text: string): string {
  const library = useLibrary()
  return useMemo(() => {
    return text.trim() === ''
      ? ''
      : typedLines(text)
          .map((line) => asRead(line, library))
          .join(' + ')
  }, [text, library])
}

/** One field that adds lines: typed one by one, or pasted many at once. Shows how each is understood. */
export const AddLine = memo(function AddLine({ partId, isEmpty }: { partId: string; isEmpty: boolean }) {
  const [text, setText] = useState('')
  const reading = useReading(text)
  const add = () => {
    if (text.trim() === '') return
    run(commands.addLines(partId, typedLines(text.slice(0, 500))))
    setText('')
  }
  const paste = (pasted: string): boolean => {
    const isMany = /\n./.test(pasted.trim())
    if (isMany) {
      run(commands.addLines(partId, pastedLines(pasted)))
      setText('')
    }
    return isMany
  }
  return (
    <>
      {isEmpty && (
        <p className="m-0 px-3.5 pt-2.5 text-sm text-ink-2">
          Write the formula one line at a time, in cups, spoons, tins or grams; or paste a whole list. Each
          line shows how it is read.
        </p>
      )}
      <AddField
        label="Add a line"
        placeholder="Add: “¾ cup cooked green lentils, drained”"
        maxLength={500}
        value={text}
        reading={reading}
        readingId="add-line-reading"
        onChange={setText}
        onAdd={add}
        onPaste={paste}
      />
    </>
  )
})
