import { type Tasting, type TastingSettings, PROTOCOLS } from '@frijol/core/model'
import {
  blocks,
  cannotBegin,
  chanceWords,
  DIFFERENCES,
  mustNotTaste,
  needOf,
  protocolTable,
} from '@frijol/core/sensory'
import { clsx } from 'clsx'
import { RadioGroup } from 'radix-ui'
import { useLibrary } from '../../store'
import { beginTasting, keepPanel, runTasting, tastingCommands } from '../../store/tasting'
import { Button, Card, CardTitle, Choice, HeaderActions, NumberField, toast } from '../../ui'
import { Asked } from './Asked'
import { Samples } from './Samples'
import { Serving } from './Serving'
import { Tasters } from './Tasters'
import { within } from './within'

/** What is settled before anybody tastes: the question, the samples, who, how many, and what so few can show. */
export function PlanTasting({ tasting, onDrop }: { tasting: Tasting; onDrop: () => void }) {
  const { settings } = tasting
  const { allergens } = useLibrary()
  const mustNot = mustNotTaste(
    settings.tasters,
    settings.samples,
    (id) => allergens.get(id)?.name.toLowerCase() ?? id,
  )
  const blocked = mustNot.filter(blocks)
  const faults = [
    ...cannotBegin(settings),
    ...(blocked.length > 0 ? ['Somebody is down to taste what they must not: see Who tastes.'] : []),
  ]
  const begin = () => {
    if (faults[0] !== undefined) {
      toast(faults[0])
      return
    }
    const refused = beginTasting()
    if (refused !== null) toast(refused)
    else keepPanel(settings.tasters)
  }
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[390px_minmax(0,1fr)]">
      <HeaderActions>
        <Button tone="quiet" onClick={onDrop}>
          Take it away
        </Button>
        <Button tone="primary" onClick={begin}>
          Set it out
        </Button>
      </HeaderActions>
      <div className="grid gap-3">
        <Question settings={settings} />
        <NeedCard settings={settings} faults={faults} />
      </div>
      <div className="grid gap-3">
        <Samples settings={settings} />
        {protocolTable(settings.protocol).kind === 'scores' && <Asked settings={settings} />}
        <Tasters settings={settings} mustNot={mustNot} />
        <Serving settings={settings} />
      </div>
    </div>
  )
}

/** Which way of tasting, by the question that it answers. */
function Question({ settings }: { settings: TastingSettings }) {
  return (
    <Card className="px-3 py-3">
      <CardTitle title="What do you want to know?" />
      <RadioGroup.Root
        aria-label="What do you want to know?"
        className="grid gap-0.5"
        value={settings.protocol}
        onValueChange={(next) => {
          const protocol = PROTOCOLS.find((one) => one === next)
          if (protocol !== undefined) runTasting(tastingCommands.takeProtocol(protocol))
        }}
      >
        {PROTOCOLS.map((id) => {
          const { name, answers, leaves } = protocolTable(id)
          const isOn = id === settings.protocol
          return (
            <RadioGroup.Item key={id} value={id} asChild>
              <button
                type="button"
                className={clsx(
                  'rounded-lg px-2.5 py-1.5 text-left text-sm leading-snug',
                  isOn ? 'bg-aubergine-soft' : 'hover:bg-husk/60',
                )}
              >
                <span className="flex justify-between gap-3">
                  <span className={isOn ? 'font-semibold' : ''}>{answers}</span>
                  <span className="shrink-0 text-[13px] text-ink-2">{name}</span>
                </span>
                {isOn && <span className="mt-0.5 block text-[13px] text-ink-2">{leaves}</span>}
              </button>
            </RadioGroup.Item>
          )
        })}
      </RadioGroup.Root>
    </Card>
  )
}
const DETECTS = DIFFERENCES.map(({ word }) => word)

/** How many tastings the difference that matters asks for, and what these few can show. */
function NeedCard({ settings, faults }: { settings: TastingSettings; faults: readonly string[] }) {
  const { kind, name } = protocolTable(settings.protocol)
  const need = needOf(settings)
  const isForced = kind === 'forced'
  const word = DIFFERENCES.find(({ dPrime }) => dPrime === settings.detects)?.word ?? 'plain'
  const set = (change: Partial<TastingSettings>, merge: string) =>
    runTasting(tastingCommands.changePlan('set the difference that matters', change, merge))
  return (
    <Card className="grid gap-2 px-4 py-3" aria-label="What so few can show">
      <CardTitle title="What so few can show" />
      {kind === 'scores' ? (
        <div className="grid grid-cols-2 gap-2">
          <NumberField
            label="Difference that matters"
            unit="points"
            value={settings.detects}
            onChange={(value) => within(value, 0.1, 9, (detects) => set({ detects }, 'detects'))}
          />
          <NumberField
            label="One taster’s scatter"
            unit="points"
            value={settings.scatter}
            onChange={(value) => within(value, 0.1, 5, (scatter) => set({ scatter }, 'scatter'))}
          />
        </div>
      ) : (
        <Choice
          label="The difference that matters"
          value={word}
          options={DETECTS}
          onChange={(next) => {
            const found = DIFFERENCES.find((one) => one.word === next)
            if (found !== undefined) set({ detects: found.dPrime }, 'detects')
          }}
        />
      )}
      <p className="m-0 text-[15px] leading-snug">
        {need.power === null ? (
          'Say who tastes, and it is worked out here.'
        ) : (
          <>
            {isForced
              ? `${need.planned} ${name.toLowerCase()} tasting${need.planned === 1 ? '' : 's'} find `
              : `${need.people} tasters find `}
            <b>{kind === 'scores' ? `${settings.detects} points` : `a ${word} difference`}</b>{' '}
            {need.power < 0.005 ? 'hardly ever' : chanceWords(need.power)}.
          </>
        )}
      </p>
      <p className="m-0 text-sm text-ink-2">
        {need.stable === null
          ? 'To be fairly sure of it, more would be needed than a kitchen can seat.'
          : `To be fairly sure of it (8 times in 10): ${need.stable} ${isForced ? 'tastings' : 'tasters'}.`}{' '}
        {need.finds !== null &&
          need.unit === 'points' &&
          `These find ${need.finds.toFixed(1)} points so surely.`}
        {need.finds !== null && need.unit === 'd′' && `These find d′ ${need.finds.toFixed(1)} so surely.`}
        {isForced &&
          need.critical !== null &&
          ` ${need.critical} of ${need.planned} must be right to show anything.`}
        {isForced &&
          need.planned > 0 &&
          need.critical === null &&
          ' Whatever they say, so few can show nothing.'}
      </p>
      {isForced && settings.protocol !== 'paired' && settings.protocol !== 'own' && (
        <Choice
          label="Whether a match is to be shown"
          value={settings.similarPd === null ? 'differ' : 'match'}
          options={['differ', 'match'] as const}
          names={{ differ: 'Show a difference', match: 'Show a match' }}
          onChange={(next) => set({ similarPd: next === 'match' ? 0.3 : null }, 'similar')}
        />
      )}
      {settings.similarPd !== null && (
        <NumberField
          label="It still counts as a match if so many tell"
          unit="%"
          value={Math.round(100 * settings.similarPd)}
          onChange={(value) =>
            within(value, 5, 60, (share) => set({ similarPd: share / 100 }, 'similar share'))
          }
        />
      )}
      {faults.length > 0 && (
        <ul className="m-0 list-none p-0 text-sm text-adzuki-deep">
          {faults.map((fault) => (
            <li key={fault}>{fault}</li>
          ))}
        </ul>
      )}
    </Card>
  )
}
