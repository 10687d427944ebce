import type { Serving, Tasting } from '@frijol/core/model'
import {
  askName,
  asksOf,
  JAR_WORDS,
  LIKING_WORDS,
  picksOf,
  preparation,
  protocolTable,
} from '@frijol/core/sensory'
import { Printer } from 'lucide-react'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useLibrary } from '../store'
import { Button, Choice } from '../ui'
import { useTastingOf } from './useTasting'

const WHICH = ['kitchen', 'key', 'tasters'] as const
const NAMES = { kitchen: 'What to prepare', key: 'Code sheet', tasters: 'Tasters’ sheets' } as const

/** What is printed: the list for who prepares, the key apart from it, and the tasters' sheets without it. */
export function Sheets() {
  const { tastingId = '' } = useParams()
  const { tasting, missing } = useTastingOf(tastingId)
  const [which, setWhich] = useState<(typeof WHICH)[number]>('kitchen')
  if (tasting?.design == null)
    return (
      <main id="page" className="grid min-h-dvh place-items-center p-6">
        <p role="status" className="m-0">
          {tasting === null && missing === null
            ? 'Opening the tasting …'
            : tasting === null
              ? 'There is no such tasting here.'
              : 'This tasting is not set out yet: it has no codes.'}{' '}
          <Link className="underline" to={tasting === null ? '/' : `/dish/${tasting.dishId}/taste`}>
            Go back
          </Link>
        </p>
      </main>
    )
  return (
    <main
      id="page"
      tabIndex={-1}
      className="mx-auto max-w-[820px] px-5 py-5 outline-none print:max-w-none print:p-0"
    >
      <div className="no-print mb-4 flex flex-wrap items-center justify-between gap-3">
        <Choice label="Which sheet" value={which} options={WHICH} names={NAMES} onChange={setWhich} />
        <div className="flex gap-2">
          <Link
            className="inline-flex min-h-9 items-center px-2 text-sm text-ink-2 underline"
            to={`/dish/${tasting.dishId}/taste?tasting=${tasting.id}`}
          >
            Back to the tasting
          </Link>
          <Button tone="primary" onClick={() => window.print()}>
            <Printer size={16} aria-hidden="true" /> Print
          </Button>
        </div>
      </div>
      {which === 'kitchen' && <Prepare tasting={tasting} servings={tasting.design.servings} />}
      {which === 'key' && <Key tasting={tasting} servings={tasting.design.servings} />}
      {which === 'tasters' && <TasterSheets tasting={tasting} servings={tasting.design.servings} />}
    </main>
  )
}

interface SheetProps {
  tasting: Tasting
  servings: readonly Serving[]
}

const TH = 'border-b border-ink/40 py-1.5 pr-3 text-left font-semibold'
const TD = 'border-b border-line py-1.5 pr-3 align-top'

function Title({ tasting, children }: { tasting: Tasting; children: string }) {
  return (
    <header className="mb-3">
      <p className="m-0 text-sm text-ink-2">
        {tasting.name}, {protocolTable(tasting.settings.protocol).name.toLowerCase()},{' '}
        {new Date(tasting.design?.at ?? 0).toLocaleDateString('en-GB', {
          day: 'numeric',
          month: 'long',
          year: 'numeric',
        })}
      </p>
      <h1 className="m-0 text-2xl">{children}</h1>
    </header>
  )
}

/** How much of each, how warm, in what, and what must be said to the tasters first. */
function Prepare({ tasting, servings }: SheetProps) {
  const { settings } = tasting
  const { allergens } = useLibrary()
  const needed = new Map(preparation(settings, servings).map((one) => [one.sampleId, one]))
  const held = (ids: readonly string[]): string =>
    ids.length === 0
      ? 'none known'
      : ids.map((id) => (allergens.get(id)?.name ?? id).replace(/ \(.*\)$/, '').toLowerCase()).join(', ')
  return (
    <article>
      <Title tasting={tasting}>What to prepare</Title>
      <table className="w-full border-collapse text-[15px]">
        <thead>
          <tr>
            {['Sample', 'Cups', 'In all', 'Holds'].map((head) => (
              <th key={head} scope="col" className={TH}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {settings.samples.map(({ id, label, allergens: ids, isAnimal }) => (
            <tr key={id}>
              <th scope="row" className={`${TD} text-left`}>
                {label}
              </th>
              <td className={TD}>{needed.get(id)?.cups}</td>
              <td className={TD}>{needed.get(id)?.massG} g</td>
              <td className={TD}>
                {held(ids)}
                {isAnimal && '; of animals'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-4 grid gap-1 pl-5 text-[15px]">
        <li>
          {settings.portionG} g a cup, at {settings.servedC} °C, give or take 2; in {settings.vessel}: the
          same part of the batch, the same shape, the same moment.
        </li>
        <li>Write the code on each cup from the code sheet, which stays in the kitchen.</li>
        <li>
          {settings.rinse} beside each place; {settings.restS} s between samples, longer after chilli, smoke
          or fat.
        </li>
        <li>
          Cold samples at 5 °C or below, hot ones at 60 °C or above; away after two hours. Your local food
          code has the last word.
        </li>
        <li>One clean spoon a taste, a cup to spit into. Nobody ill tastes; stop at any reaction.</li>
        <li>Say aloud before: what is in the samples, and which of them is of animals.</li>
        <li>Who pours does not taste: they know the codes.</li>
      </ul>
    </article>
  )
}

/** The key: which code is what. It stays in the kitchen. */
function Key({ tasting, servings }: SheetProps) {
  const labelOf = (id: string): string => tasting.settings.samples.find((one) => one.id === id)?.label ?? ''
  const most = Math.max(...servings.map(({ glasses }) => glasses.length))
  return (
    <article>
      <Title tasting={tasting}>Code sheet: stays in the kitchen</Title>
      <table className="w-full border-collapse text-[15px]">
        <thead>
          <tr>
            <th scope="col" className={TH}>
              Taster
            </th>
            {Array.from({ length: most }, (_, at) => (
              <th key={at} scope="col" className={TH}>
                {at + 1}.
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {servings.map(({ id, tasterId, round, glasses, referenceId }) => (
            <tr key={id} className="break-inside-avoid">
              <th scope="row" className={`${TD} text-left`}>
                {tasterId}
                {round === 0 ? ', warm-up' : tasting.settings.rounds > 1 ? `, round ${round}` : ''}
                {referenceId !== null && (
                  <span className="block text-[13px] font-normal">with {labelOf(referenceId)} by name</span>
                )}
              </th>
              {glasses.map(({ code, sampleId }) => (
                <td key={code} className={TD}>
                  <b className="text-lg tabular-nums">{code}</b>
                  <span className="block text-[13px]">{labelOf(sampleId)}</span>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </article>
  )
}

/** One sheet a taster and round: codes and boxes, no key. */
function TasterSheets({ tasting, servings }: SheetProps) {
  const { settings } = tasting
  const { task } = protocolTable(settings.protocol)
  const asks = asksOf(settings)
  const picks = picksOf(settings)
  const reference = settings.samples.find(({ id }) => id === settings.controlId)?.label ?? ''
  return (
    <>
      <h1 className="sr-only">Tasters’ sheets</h1>
      {servings
        .filter(({ round }) => round > 0)
        .map(({ id, tasterId, round, glasses, referenceId }) => (
          <article key={id} className="mb-6 break-inside-avoid border-b border-dashed border-edge pb-5">
            <h2 className="m-0 text-xl">
              {tasterId}
              {settings.rounds > 1 && `, round ${round}`}
            </h2>
            <p className="m-0 mt-1 text-[15px]">
              {settings.by === null ? task : `${task} By ${askName(settings.by)}.`}
              {referenceId !== null && ` The named one is ${reference}.`} Rinse with {settings.rinse}; wait{' '}
              {settings.restS} s between. Write in silence.
            </p>
            {picks > 0 || asks[0] === 'rank' ? (
              <div className="mt-3 flex gap-6">
                {glasses.map(({ code }) => (
                  <span key={code} className="grid justify-items-center gap-1">
                    <b className="text-2xl tabular-nums">{code}</b>
                    <i className="block size-8 rounded border-2 border-ink" aria-hidden="true" />
                  </span>
                ))}
                <span className="self-end text-sm text-ink-2">
                  {asks[0] === 'rank'
                    ? '1 is the most'
                    : picks === 2
                      ? 'tick the two that go together'
                      : 'tick one'}
                </span>
              </div>
            ) : (
              <table className="mt-2 border-collapse text-[15px]">
                <thead>
                  <tr>
                    <td />
                    {glasses.map(({ code }) => (
                      <th key={code} scope="col" className="px-4 text-lg tabular-nums">
                        {code}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {asks.map((ask) => (
                    <tr key={ask}>
                      <th scope="row" className="py-1 pr-4 text-left font-normal first-letter:uppercase">
                        {askName(ask)}{' '}
                        <span className="text-[13px] text-ink-2">{scaleWords(settings.protocol, ask)}</span>
                      </th>
                      {glasses.map(({ code }) => (
                        <td key={code} className="px-4 py-1">
                          <i className="block h-8 w-16 rounded border-2 border-ink" aria-hidden="true" />
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </article>
        ))}
    </>
  )
}

function scaleWords(protocol: Tasting['settings']['protocol'], ask: string): string {
  if (ask === 'liking') return `1 ${LIKING_WORDS[0]} to 9 ${LIKING_WORDS[8]}`
  if (ask === 'difference') return '0 none to 10 extreme'
  if (protocol === 'jar') return JAR_WORDS.map((word, at) => `${at + 1} ${word}`).join(', ')
  return '0 none to 10 most'
}
