import type { Tasting } from '@frijol/core/model'
import { evennessOf, protocolTable } from '@frijol/core/sensory'
import { clsx } from 'clsx'
import { FileUp, Keyboard, Printer, Tablet } from 'lucide-react'
import { useRef, useState } from 'react'
import { Link } from 'react-router'
import { answersCsv, learnFrom, runTasting, takeTable, tastingCommands } from '../../store/tasting'
import { Button, buttonClass, Card, CardTitle, HeaderActions, saveFile, toast } from '../../ui'
import { Typing } from './Typing'
import { againstWords } from './words'

/** A tasting that is set out: who has answered, and the ways in which answers come. */
export function Running({ tasting }: { tasting: Tasting }) {
  const { settings, design, answers } = tasting
  const [isTyping, setTyping] = useState(false)
  const file = useRef<HTMLInputElement>(null)
  const [faults, setFaults] = useState<readonly string[]>([])
  const servings = (design?.servings ?? []).filter(({ round }) => round > 0)
  const done = new Set(answers.filter(({ isWhole }) => isWhole).map(({ servingId }) => servingId))
  const begun = new Set(answers.map(({ servingId }) => servingId))
  const missing = servings.filter(({ id }) => !done.has(id)).length
  const { name, task } = protocolTable(settings.protocol)
  const close = () => {
    runTasting(tastingCommands.closeTasting(Date.now()))
    const taught = learnFrom(tasting)
    toast(
      taught > 0
        ? 'Closed. The kitchen learns from it: it can be forgotten beside the result.'
        : 'Closed. Undo with U.',
    )
  }
  const readFile = async (chosen: File | undefined) => {
    if (chosen === undefined) return
    const { taken, faults: found } = await takeTable(await chosen.text())
    setFaults(found)
    if (taken > 0) toast(`${taken} answers taken in.`)
  }
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_340px]">
      <HeaderActions>
        <Link to={`/taste/${tasting.id}/sheets`} className={buttonClass()}>
          <Printer size={16} aria-hidden="true" /> Sheets
        </Link>
        <Link to={`/taste/${tasting.id}`} className={buttonClass('primary')}>
          <Tablet size={16} aria-hidden="true" /> Hand the tablet round
        </Link>
      </HeaderActions>
      <Card className="px-4 py-3">
        <CardTitle title={againstWords(settings)} aside={name.toLowerCase()} />
        <p className="m-0 mb-2 text-sm text-ink-2">{task}</p>
        <table className="w-full border-collapse text-[15px]">
          <caption className="sr-only">Who has answered</caption>
          <thead>
            <tr className="border-b border-line text-left text-[13px] text-ink-2">
              <th scope="col" className="py-1 font-normal">
                Taster
              </th>
              {Array.from({ length: settings.rounds }, (_, round) => (
                <th key={round} scope="col" className="py-1 font-normal">
                  {settings.rounds === 1 ? 'Answer' : `Round ${round + 1}`}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {settings.tasters.map(({ id }) => (
              <tr key={id} className="border-b border-line/60">
                <th scope="row" className="py-1.5 text-left font-semibold">
                  {id}
                </th>
                {servings
                  .filter(({ tasterId }) => tasterId === id)
                  .map((serving) => {
                    const state = done.has(serving.id) ? 'given' : begun.has(serving.id) ? 'begun' : 'open'
                    return (
                      <td key={serving.id} className="py-1.5">
                        <span className="inline-flex items-center gap-2 text-sm">
                          <i
                            aria-hidden="true"
                            className={clsx(
                              'seed-shape inline-block size-4 border-2',
                              state === 'given'
                                ? 'border-aubergine bg-aubergine'
                                : state === 'begun'
                                  ? 'border-aubergine bg-aubergine-soft'
                                  : 'border-edge',
                            )}
                          />
                          {state}
                        </span>
                      </td>
                    )
                  })}
              </tr>
            ))}
          </tbody>
        </table>
      </Card>
      <div className="grid gap-3">
        <Card className="grid gap-2 px-4 py-3">
          <CardTitle
            title={
              missing === 0
                ? 'All have answered'
                : `${servings.length - missing} of ${servings.length} answers`
            }
          />
          <p className="m-0 text-sm text-ink-2">
            {missing === 0
              ? 'Close it and read the result.'
              : 'Results are not shown while people still taste: who knows how it stands pours otherwise.'}
          </p>
          <Button tone={missing === 0 ? 'primary' : 'plain'} disabled={done.size === 0} onClick={close}>
            {missing === 0 ? 'Close and read the result' : `Close without the missing ${missing}`}
          </Button>
        </Card>
        <Card className="grid gap-2 px-4 py-3">
          <CardTitle title="Other ways to answer" />
          <Button onClick={() => setTyping(true)} aria-haspopup="dialog">
            <Keyboard size={16} aria-hidden="true" /> Type from paper
          </Button>
          <Button onClick={() => file.current?.click()}>
            <FileUp size={16} aria-hidden="true" /> Answers from a table
          </Button>
          <input
            ref={file}
            type="file"
            accept=".csv,text/csv,text/plain"
            className="sr-only"
            tabIndex={-1}
            aria-label="A table of answers"
            onChange={({ target }) => {
              void readFile(target.files?.[0])
              target.value = ''
            }}
          />
          <Button
            tone="quiet"
            onClick={() => void answersCsv(tasting).then((text) => saveFile('tasting.csv', 'text/csv', text))}
          >
            Save the table to fill in
          </Button>
          {faults.length > 0 && (
            <div role="alert" className="rounded-lg bg-adzuki-soft px-3 py-2 text-sm text-adzuki-deep">
              <p className="m-0 font-semibold">Nothing was taken in.</p>
              <ul className="m-0 list-none p-0">
                {faults.slice(0, 6).map((fault) => (
                  <li key={fault}>{fault}</li>
                ))}
                {faults.length > 6 && <li>and {faults.length - 6} more</li>}
              </ul>
            </div>
          )}
        </Card>
        <Card className="px-4 py-3 text-sm text-ink-2">
          Orders: {evennessOf(settings, design?.servings ?? []).words}.
        </Card>
      </div>
      <Typing tasting={tasting} isOpen={isTyping} onClose={() => setTyping(false)} />
    </div>
  )
}
