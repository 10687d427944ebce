import type { Seat, Taster, TastingSettings } from '@frijol/core/model'
import { blocks, type MustNot } from '@frijol/core/sensory'
import { clsx } from 'clsx'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { useKitchenStore, useLibrary } from '../../store'
import { runTasting, tastingCommands } from '../../store/tasting'
import { Button, Card, CardTitle, Choice, NumberField, Sheet, ToggleChip } from '../../ui'
import { within } from './within'

const EATS = ['everything', 'no-meat-or-fish', 'no-animal'] as const
const EATS_NAMES = {
  everything: 'Eats everything',
  'no-meat-or-fish': 'No meat or fish',
  'no-animal': 'Nothing of animals',
} as const

/** Who tastes; who must not is said first. */
export function Tasters({ settings, mustNot }: { settings: TastingSettings; mustNot: readonly MustNot[] }) {
  const { tasters, rounds, protocol } = settings
  const panel = useKitchenStore((state) => state.kitchen.panel)
  const [editing, setEditing] = useState<string | null>(null)
  const set = (label: string, next: readonly Seat[]) => runTasting(tastingCommands.setTasters(label, next))
  const stopped = mustNot.filter(blocks)
  const asks = mustNot.filter((one) => !blocks(one))
  const free = nextMark(tasters)
  const known = panel.filter(({ id }) => tasters.every((one) => one.id !== id))
  const add = (taster: Taster) => set(`seat ${taster.id}`, [...tasters, { ...taster, agreesToAnimal: false }])
  const one = tasters.find(({ id }) => id === editing)
  return (
    <Card className="px-4 py-3">
      <CardTitle title="Who tastes" aside={`${tasters.length} at the table`} />
      {stopped.length > 0 && (
        <div role="alert" className="mb-2 rounded-lg bg-adzuki-soft px-3 py-2 text-sm text-adzuki-deep">
          {stopped.map(({ message, tasterId, sampleId }) => (
            <p key={`${tasterId} ${sampleId}`} className="m-0">
              {message}
            </p>
          ))}
          <Button
            className="mt-1.5 min-h-8"
            onClick={() =>
              set(
                'take those off who must not taste',
                tasters.filter(({ id }) => stopped.every(({ tasterId }) => tasterId !== id)),
              )
            }
          >
            Take {[...new Set(stopped.map(({ tasterId }) => tasterId))].join(', ')} off
          </Button>
        </div>
      )}
      <div role="group" aria-label="Tasters" className="flex flex-wrap items-center gap-1.5">
        {tasters.map(({ id, avoids, eats, agreesToAnimal }) => {
          const isStopped = stopped.some(({ tasterId }) => tasterId === id)
          const notes = [
            ...(avoids.length > 0 ? ['avoids'] : []),
            ...(eats === 'everything' ? [] : ['diet']),
            ...(agreesToAnimal ? ['agrees'] : []),
          ]
          return (
            <Button
              key={id}
              aria-haspopup="dialog"
              onClick={() => setEditing(id)}
              className={clsx('min-h-9 px-3', isStopped && 'border-adzuki text-adzuki-deep')}
            >
              {id}
              {notes.length > 0 && <span className="text-[12px] font-normal">{notes.join(', ')}</span>}
            </Button>
          )
        })}
        {protocol === 'own' && tasters.length > 0 ? null : (
          <>
            {known.slice(0, 4).map((taster) => (
              <Button key={taster.id} tone="quiet" className="border-line!" onClick={() => add(taster)}>
                + {taster.id}
              </Button>
            ))}
            <Button
              tone="quiet"
              className="border-line!"
              onClick={() => add({ id: free, avoids: [], eats: 'everything' })}
            >
              <Plus size={15} aria-hidden="true" /> {free}, new
            </Button>
          </>
        )}
      </div>
      {asks.length > 0 && (
        <details className="mt-2 text-sm">
          <summary className="min-h-6 text-[13px] text-ink-2">
            {asks.length} to ask or to tell before the tasting
          </summary>
          <ul className="m-0 mt-1 list-none p-0">
            {asks.map(({ message, tasterId, sampleId, kind }) => (
              <li key={`${tasterId} ${sampleId} ${kind}`} className="py-0.5">
                {message}
              </li>
            ))}
          </ul>
          <Button
            className="mt-1 min-h-8"
            onClick={() =>
              set(
                'all have been told and agree',
                tasters.map((taster) =>
                  taster.eats === 'everything' ? { ...taster, agreesToAnimal: true } : taster,
                ),
              )
            }
          >
            All who eat everything have been told and agree
          </Button>
        </details>
      )}
      <div className="mt-2 max-w-48">
        <NumberField
          label="Each tastes the whole"
          unit="times"
          value={rounds}
          onChange={(value) =>
            within(value, 1, 12, (next) =>
              runTasting(
                tastingCommands.changePlan('set the rounds', { rounds: Math.round(next) }, 'rounds'),
              ),
            )
          }
        />
      </div>
      <TasterSheet
        seat={one ?? null}
        onChange={(seat) =>
          set(
            `say what ${seat.id} avoids`,
            tasters.map((taster) => (taster.id === seat.id ? seat : taster)),
          )
        }
        onDrop={() => {
          setEditing(null)
          set(
            `take ${editing ?? ''} off`,
            tasters.filter(({ id }) => id !== editing),
          )
        }}
        onClose={() => setEditing(null)}
      />
    </Card>
  )
}

/** P9 after P8. */
function nextMark(tasters: readonly Taster[]): string {
  let number = 1
  while (tasters.some(({ id }) => id === `P${number}`)) number += 1
  return `P${number}`
}

function TasterSheet({
  seat,
  onChange,
  onDrop,
  onClose,
}: {
  seat: Seat | null
  onChange: (seat: Seat) => void
  onDrop: () => void
  onClose: () => void
}) {
  const { allergens } = useLibrary()
  return (
    <Sheet
      title={seat === null ? 'Taster' : seat.id}
      description="What is kept of a taster: a mark, what is avoided, what is eaten. No name."
      isOpen={seat !== null}
      onClose={onClose}
    >
      {seat !== null && (
        <>
          <Choice
            label="What is eaten"
            value={seat.eats}
            options={EATS}
            names={EATS_NAMES}
            onChange={(eats) => onChange({ ...seat, eats })}
          />
          <ToggleChip
            tone="mung"
            isOn={seat.agreesToAnimal}
            onChange={() => onChange({ ...seat, agreesToAnimal: !seat.agreesToAnimal })}
          >
            has said yes to the original of animals
          </ToggleChip>
          <h3 className="mt-3 mb-1 text-sm">Avoids</h3>
          <div className="flex flex-wrap gap-1.5">
            {[...allergens.values()].map(({ id, name }) => (
              <ToggleChip
                key={id}
                isOn={seat.avoids.includes(id)}
                onChange={() =>
                  onChange({
                    ...seat,
                    avoids: seat.avoids.includes(id)
                      ? seat.avoids.filter((one) => one !== id)
                      : [...seat.avoids, id],
                  })
                }
              >
                {name.replace(/ \(.*\)$/, '')}
              </ToggleChip>
            ))}
          </div>
          <Button tone="danger" className="mt-4" onClick={onDrop}>
            Not at this tasting
          </Button>
        </>
      )}
    </Sheet>
  )
}
