import type { Tasting } from '@frijol/core/model'
import { evennessOf, type ForcedResult, resultOf, type TastingResult } from '@frijol/core/sensory'
import { clsx } from 'clsx'
import { useMemo } from 'react'
import { Link, useNavigate } from 'react-router'
import { useDish } from '../../store'
import {
  answersCsv,
  giveToTune,
  missedOf,
  newTasting,
  partTasted,
  runTasting,
  tastingCommands,
} from '../../store/tasting'
import { Button, buttonClass, Card, HeaderActions, saveFile, toast } from '../../ui'
import { JarCharts } from './JarCharts'
import { LikingChart } from './LikingChart'
import { Missed } from './Missed'
import { RankOrder } from './RankOrder'
import { Taught } from './Taught'
import { againstWords } from './words'

/** The verdict first, the figures second, the method third. */
export function Result({ tasting, onAgain }: { tasting: Tasting; onAgain: (id: string) => void }) {
  const dish = useDish()
  const navigate = useNavigate()
  const result = useMemo(() => resultOf(tasting), [tasting])
  const ours = tasting.settings.samples.find((one) => one.partId !== null)
  const partId = (ours === undefined ? null : partTasted(dish, tasting, ours.id)) ?? dish.parts[0]?.id ?? ''
  const shown = missedOf(result).length > 0
  const give = () => {
    const given = giveToTune(dish, tasting, result)
    if (given.length === 0) {
      toast('Nothing that was shown is a reading of this mix.')
      return
    }
    void navigate(`/dish/${dish.id}/mix?part=${partId}&do=tune`)
  }
  const attributes = result.asks.filter(({ ask }) => ask !== 'liking' && ask !== 'difference')
  const liking = result.asks.find(({ ask }) => ask === 'liking')
  return (
    <div className="grid gap-4">
      <HeaderActions>
        <Link to={`/taste/${tasting.id}/sheets`} className={buttonClass()}>
          Code sheet
        </Link>
        <Button
          onClick={() => void answersCsv(tasting).then((text) => saveFile('tasting.csv', 'text/csv', text))}
        >
          Save answers
        </Button>
        <Button onClick={() => void newTasting(dish, partId, tasting).then(onAgain)}>Taste again</Button>
        {shown && (
          <Button tone="primary" onClick={give}>
            Give it to Tune
          </Button>
        )}
      </HeaderActions>
      <div className="grid items-start gap-4 lg:grid-cols-[410px_minmax(0,1fr)]">
        <VerdictCard tasting={tasting} result={result} />
        <div className="grid gap-4">
          {result.forced !== null && <ByTaster result={result.forced} tasting={tasting} />}
          {attributes.length > 0 && <Missed tasting={tasting} asks={attributes} />}
          {result.asks.some(({ ask }) => ask === 'difference') && (
            <Missed tasting={tasting} asks={result.asks.filter(({ ask }) => ask === 'difference')} />
          )}
          {result.jar.length > 0 && <JarCharts tasting={tasting} results={result.jar} />}
          {liking !== undefined && <LikingChart tasting={tasting} liking={liking} />}
          {result.ranks !== null && result.ranks.n > 0 && <RankOrder result={result.ranks} />}
          {attributes.length > 0 && <Taught tasting={tasting} result={result} />}
          <People result={result} />
        </div>
      </div>
      <Facts tasting={tasting} result={result} />
    </div>
  )
}

function VerdictCard({ tasting, result }: { tasting: Tasting; result: TastingResult }) {
  const { verdict, forced } = result
  return (
    <Card className="grid content-start gap-3 px-5 py-4" aria-label="Verdict">
      <div className="text-sm text-ink-2">{againstWords(tasting.settings)}</div>
      <h2 className="m-0 text-[25px] leading-[1.2]">{verdict.headline}</h2>
      {verdict.plain.map((sentence) => (
        <p key={sentence} className="m-0 text-[15px] text-ink-2">
          {sentence}
        </p>
      ))}
      {forced !== null && forced.n > 0 && <ByChance result={forced} />}
      {verdict.cautions.length > 0 && (
        <ul className="m-0 grid list-none gap-1 p-0 text-sm">
          {verdict.cautions.map((caution) => (
            <li key={caution} className="rounded-lg bg-turmeric-soft px-2.5 py-1.5">
              {caution}
            </li>
          ))}
        </ul>
      )}
      <p className="m-0 border-t border-line pt-3 text-sm text-ink-2">{verdict.method}</p>
      {result.comments.length > 0 && (
        <ul aria-label="What they wrote" className="m-0 list-none border-t border-line p-0 pt-2 text-sm">
          {result.comments.map(({ tasterId, text }) => (
            <li key={`${tasterId} ${text}`} className="py-0.5">
              <b>{tasterId}</b> {text}
            </li>
          ))}
        </ul>
      )}
      <div>
        <Button tone="quiet" className="-ml-3" onClick={() => runTasting(tastingCommands.closeTasting(null))}>
          Open it again for answers
        </Button>
      </div>
    </Card>
  )
}

/** Where the count lies between what chance does and what is sure. */
function ByChance({ result }: { result: ForcedResult }) {
  const { n, correct, critical, mostlyByChance } = result
  const at = (count: number): number => (100 * count) / n
  const isSure = critical !== null && correct >= critical
  return (
    <div className="relative mt-1 h-[74px] text-[13px] text-ink-2" aria-hidden="true">
      <i
        className="absolute top-7 h-3.5 rounded-full bg-husk"
        style={{ left: 0, width: `${at(mostlyByChance)}%` }}
      />
      {critical !== null && (
        <i
          className="absolute top-7 h-3.5 rounded-full border-[1.5px] border-mung-line bg-mung-soft"
          style={{ left: `${at(critical)}%`, right: 0, minWidth: 12 }}
        />
      )}
      <i
        className={clsx(
          'absolute top-[21px] -ml-[3px] h-[28px] w-1.5 rounded-full',
          isSure ? 'bg-mung' : 'bg-turmeric',
        )}
        style={{ left: `${at(correct)}%` }}
      />
      <b
        className={clsx(
          'absolute top-0 -ml-2 w-4 text-center text-sm',
          isSure ? 'text-mung-deep' : 'text-turmeric-deep',
        )}
        style={{ left: `${at(correct)}%` }}
      >
        {correct}
      </b>
      <span className="absolute top-[52px] left-0">0 to {mostlyByChance} mostly by chance</span>
      {critical !== null && <span className="absolute top-[52px] right-0">{critical} or more: sure</span>}
    </div>
  )
}

/** Who was right, and how often: one person may carry a result. */
function ByTaster({ result, tasting }: { result: ForcedResult; tasting: Tasting }) {
  const { byTaster } = result
  const isPair = result.forced === 'twoafc'
  return (
    <Card className="px-5 py-4">
      <h3 className="m-0 mb-2 text-base">By taster</h3>
      <ul className="m-0 grid list-none gap-1 p-0 sm:grid-cols-2">
        {tasting.settings.tasters.map(({ id }) => {
          const one = byTaster.find(({ tasterId }) => tasterId === id)
          return (
            <li key={id} className="flex items-center gap-2.5 py-0.5 text-[15px]">
              <b className="w-10">{id}</b>
              {one === undefined ? (
                <span className="text-sm text-ink-2">did not answer</span>
              ) : (
                <>
                  <span className="flex gap-1" aria-hidden="true">
                    {Array.from({ length: one.of }, (_, at) => (
                      <i
                        key={at}
                        className={clsx(
                          'seed-shape inline-block size-[18px] border-2 border-aubergine',
                          at < one.right ? 'bg-aubergine' : 'bg-paper',
                        )}
                      />
                    ))}
                  </span>
                  <span className={one.of > 1 ? 'text-sm text-ink-2' : 'sr-only'}>
                    {one.right} of {one.of} {isPair ? 'for it' : 'right'}
                  </span>
                </>
              )}
            </li>
          )
        })}
      </ul>
      <p className="m-0 mt-2 text-[13px] text-ink-2">
        Full: {isPair ? 'for it' : 'right'}; hollow: {isPair ? 'for the other' : 'not'}. By guessing alone{' '}
        {Math.round(100 * result.analysis.guess)} in 100 are {isPair ? 'for it' : 'right'}.
      </p>
    </Card>
  )
}

/** Who repeats, who agrees, who leans: kind words, for training, never for throwing answers away. */
function People({ result }: { result: TastingResult }) {
  if (result.panel.length === 0) return null
  return (
    <Card className="px-5 py-4">
      <h3 className="m-0 mb-1 text-base">How they tasted</h3>
      <dl className="m-0 grid gap-x-4 text-sm sm:grid-cols-2">
        {result.panel.map(({ tasterId, words }) => (
          <div key={tasterId} className="flex gap-2 border-b border-line/60 py-1">
            <dt className="w-9 font-semibold">{tasterId}</dt>
            <dd className="m-0">{words}</dd>
          </div>
        ))}
      </dl>
      <p className="m-0 mt-2 text-[13px] text-ink-2">
        For talking over the words together. No answer is left out for what it says.
      </p>
    </Card>
  )
}

/** What was done, at the foot: who, how many, how it was served. */
function Facts({ tasting, result }: { tasting: Tasting; result: TastingResult }) {
  const { settings, design } = tasting
  const even = evennessOf(settings, design?.servings ?? [])
  const missing = result.asked - result.given
  const facts: readonly (readonly [string, string])[] = [
    [String(result.people), settings.rounds === 1 ? 'tasters' : `tasters, ${settings.rounds} rounds`],
    [String(result.given), missing === 0 ? 'answers, none missing' : `answers, ${missing} missing`],
    [`${settings.servedC} °C, ${settings.portionG} g`, 'as served to them'],
    [even.isEven ? 'balanced' : 'as even as it goes', even.words],
    [
      new Date(design?.at ?? 0).toLocaleDateString('en-GB', {
        day: 'numeric',
        month: 'long',
        year: 'numeric',
      }),
      'set out',
    ],
  ]
  return (
    <section
      aria-label="What was done"
      data-on-night
      className="flex flex-wrap gap-x-8 gap-y-2 rounded-card bg-night px-5 py-3 text-on-night"
    >
      {facts.map(([value, words]) => (
        <div key={words} className="max-w-72">
          <b className="block font-display text-[19px] leading-tight font-[650]">{value}</b>
          <span className="text-[13px] text-on-night-2">{words}</span>
        </div>
      ))}
    </section>
  )
}
