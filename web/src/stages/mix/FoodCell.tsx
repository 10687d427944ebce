import { prepBeside } from '@frijol/core/measure'
import type { Finding, FormulaLine } from '@frijol/core/model'
import { useState } from 'react'
import { commands, rereadLine, run, teachName, useLibrary } from '../../store'
import { Finder, Sheet } from '../../ui'

export interface FoodCellProps {
  partId: string
  line: FormulaLine
  name: string
  colour: string
  finding: Finding | null
}

/** The food as understood. A click opens the whole line for editing in place; an unknown food asks for a choice. */
export function FoodCell({ partId, line, name, colour, finding }: FoodCellProps) {
  const [draft, setDraft] = useState<string | null>(null)
  const [isChoosing, setChoosing] = useState(false)
  const library = useLibrary()
  const isUnknown = line.ingredientId === null
  const leave = (text: string) => {
    setDraft(null)
    if (text.trim() !== '' && text !== line.text) run(commands.rewriteLine(partId, rereadLine(line, text)))
  }
  if (draft !== null) {
    return (
      <input
        autoFocus
        aria-label="The whole line"
        className="min-w-0 rounded-lg border border-aubergine bg-paper px-2 py-1 max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-1"
        value={draft}
        maxLength={500}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={(event) => leave(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') leave(draft)
          if (event.key === 'Escape') setDraft(null)
        }}
      />
    )
  }
  return (
    <div className="flex min-w-0 items-baseline gap-2 max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-1">
      <i
        aria-hidden="true"
        className="inline-block size-2.5 shrink-0 self-center rounded-full"
        style={{ background: colour }}
      />
      <button
        type="button"
        title="Edit the whole line"
        className="min-w-0 rounded-md px-1 text-left leading-tight hover:bg-husk"
        onClick={() => setDraft(line.text)}
      >
        {name === '' ? line.text : name}{' '}
        <small className="text-[13px] text-ink-2">{prepBeside(line, name)}</small>
      </button>
      {isUnknown ? (
        <button
          type="button"
          className="shrink-0 rounded-md bg-turmeric-soft px-2 text-[13px] font-semibold text-turmeric-deep hover:underline"
          onClick={() => setChoosing(true)}
        >
          choose the food
        </button>
      ) : (
        finding !== null &&
        finding.rule === 'unit-slip' && (
          <small className="shrink-0 text-[13px] text-adzuki-deep">unit slip?</small>
        )
      )}
      <Sheet
        title={`Which food is “${line.food}”?`}
        isOpen={isChoosing}
        onClose={() => setChoosing(false)}
        width="wide"
      >
        <ChooseFood
          text={line.food}
          onChosen={(id, isAlways) => {
            setChoosing(false)
            const food = library.ingredients.get(id)
            if (food === undefined) return
            run(commands.chooseFood(partId, line.id, food))
            if (isAlways) teachName(line.food.toLowerCase(), id)
          }}
        />
      </Sheet>
    </div>
  )
}

function ChooseFood({ text, onChosen }: { text: string; onChosen: (id: string, isAlways: boolean) => void }) {
  const library = useLibrary()
  const [isAlways, setAlways] = useState(false)
  return (
    <>
      <label className="mb-3 flex min-h-9 items-center gap-2 text-sm">
        <input type="checkbox" checked={isAlways} onChange={(event) => setAlways(event.target.checked)} />
        In this kitchen, “{text.toLowerCase()}” is always the food I choose
      </label>
      <Finder
        label="Foods"
        placeholder="Search the library"
        initial={text.split(' ').at(-1) ?? ''}
        onPick={(id) => onChosen(id, isAlways)}
        groups={[
          {
            heading: 'Library',
            items: [...library.ingredients.values()].map(({ id, name, otherNames, foodClass }) => ({
              id,
              label: name,
              detail: foodClass.replace('-', ' '),
              words: otherNames,
            })),
          },
        ]}
      />
    </>
  )
}
