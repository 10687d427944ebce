import { useSearchParams } from 'react-router'
import { PartTabs } from '../../parts'
import { partOf, useAssessment, useDish } from '../../store'
import { lazy, Suspense, useEffect, useState } from 'react'
import { Button, Card, HeaderActions } from '../../ui'
import { AddLine } from './AddLine'
import { LineTable } from './LineTable'
import { Readings } from './Readings'
import { ReadingsLine } from './ReadingsLine'
import { ScaleSheet } from './ScaleSheet'
import { useSwapping } from './swap/open'

/** What comes next is fetched while nothing else is done, so that it opens at once. */
function useFetchedAhead(): void {
  useEffect(() => {
    // What cannot be fetched now is asked for again, and told, when it is opened.
    const fetchAhead = (): void =>
      void Promise.all([import('./tune'), import('./swap')]).catch(() => undefined)
    if (typeof requestIdleCallback === 'undefined') return
    const asked = requestIdleCallback(fetchAhead, { timeout: 5000 })
    return () => cancelIdleCallback(asked)
  }, [])
}
const SwapSheet = lazy(async () => ({ default: (await import('./swap')).SwapSheet }))
const ConvertSheet = lazy(async () => ({ default: (await import('./swap')).ConvertSheet }))
const TuneView = lazy(async () => ({ default: (await import('./tune')).TuneView }))

/** Mix: if it is made like this, how close is it, and what is out of its window? */
export function MixStage() {
  useFetchedAhead()
  const dish = useDish()
  const assessment = useAssessment()
  const [params, setParams] = useSearchParams()
  const [isScaling, setScaling] = useState(false)
  const [isConverting, setConverting] = useState<boolean | null>(null)
  const wasSwapAsked = useSwapping((state) => state.wasAsked)
  const part = dish.parts.find(({ id }) => id === params.get('part')) ?? dish.parts[0]
  const reading = part === undefined ? null : partOf(assessment, part.id)
  if (part === undefined || reading === null) return null
  if (params.get('do') === 'tune')
    return (
      <Suspense
        fallback={
          <p role="status" className="text-ink-2">
            Setting out …
          </p>
        }
      >
        <TuneView
          key={part.id}
          part={part}
          reading={reading}
          onClose={() => setParams({ part: part.id }, { replace: true })}
        />
      </Suspense>
    )
  return (
    <div className="grid flex-1 items-start gap-4 pb-4 max-lg:pb-14 lg:grid-cols-[minmax(0,1fr)_minmax(380px,468px)]">
      <HeaderActions>
        <Button onClick={() => setScaling(true)}>Scale</Button>
        <Button aria-haspopup="dialog" onClick={() => setConverting(true)}>
          Another way …
        </Button>
        <Button disabled={reading.distance === null} onClick={() => setParams({ part: part.id, do: 'tune' })}>
          Tune
        </Button>
      </HeaderActions>
      <ScaleSheet partId={part.id} isOpen={isScaling} onClose={() => setScaling(false)} />
      <Suspense fallback={null}>
        {wasSwapAsked && <SwapSheet />}
        {isConverting !== null && <ConvertSheet isOpen={isConverting} onClose={() => setConverting(false)} />}
      </Suspense>
      <Card aria-label="Formula" className="overflow-hidden">
        <PartTabs
          parts={dish.parts}
          current={part.id}
          onChange={(id) => setParams({ part: id }, { replace: true })}
        >
          <LineTable part={part} readings={reading.lines} findings={assessment.findings} />
          <AddLine partId={part.id} isEmpty={part.lines.length === 0} />
        </PartTabs>
      </Card>
      <div className="max-lg:hidden">
        <Readings part={part} reading={reading} assessment={assessment} />
      </div>
      <ReadingsLine reading={reading}>
        <Readings part={part} reading={reading} assessment={assessment} />
      </ReadingsLine>
    </div>
  )
}
