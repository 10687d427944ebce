import { Toggle } from 'radix-ui'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { isOfMethod } from '@frijol/core/rules'
import { FindingsCard } from '../../findings'
import { PartTabs } from '../../parts'
import { partOf, useAssessment, useDish } from '../../store'
import { Button, Card, Chip, Empty, HeaderActions } from '../../ui'
import { AddStep } from './AddStep'
import { AsWritten } from './AsWritten'
import { grams, spoken } from './format'
import { OtherWays } from './OtherWays'
import { PasteSteps } from './PasteSteps'
import { StepList } from './StepList'
import { STEP_GRID } from './StepRow'
import { Yield } from './Yield'

/** Method: what happens to mass and water on the way, and what is forgotten or ordered wrongly. */
export function MethodStage() {
  const dish = useDish()
  const assessment = useAssessment()
  const [params, setParams] = useSearchParams()
  const [pasted, setPasted] = useState<string | null>(null)
  const [isComparing, setComparing] = useState(false)
  const part = dish.parts.find(({ id }) => id === params.get('part')) ?? dish.parts[0]
  const reading = part === undefined ? null : partOf(assessment, part.id)
  if (part === undefined || reading === null) return null
  const { time, rawMassG, cookedMassG, start } = reading
  const hasSteps = part.steps.length > 0
  const isWritten = params.get('as') === 'written' && dish.written.length > 0
  const show = (as: 'written' | 'steps') =>
    setParams(as === 'written' ? { as, part: part.id } : { part: part.id }, { replace: true })
  return (
    <div className="grid flex-1 content-start items-start gap-4 pb-4">
      <HeaderActions>
        {hasSteps && (
          <Chip tone="aubergine" className="min-h-9 px-3">
            {spoken(time.handsMin)} hands, {spoken(time.totalMin)} in all, {time.energyKWh.toFixed(1)} kWh
          </Chip>
        )}
        {dish.written.length > 0 && (
          <Toggle.Root asChild pressed={isWritten} onPressedChange={(on) => show(on ? 'written' : 'steps')}>
            <Button>As written</Button>
          </Toggle.Root>
        )}
        <Button onClick={() => setPasted('')}>Paste steps</Button>
        <Button onClick={() => setComparing(true)} disabled={!hasSteps}>
          Other ways{part.ways.length > 0 ? ` (${part.ways.length})` : ''}
        </Button>
      </HeaderActions>
      {pasted !== null && <PasteSteps part={part} initial={pasted} onClose={() => setPasted(null)} />}
      <OtherWays part={part} reading={reading} isOpen={isComparing} onClose={() => setComparing(false)} />
      {isWritten ? (
        <AsWritten dish={dish} assessment={assessment} onDone={() => show('steps')} />
      ) : (
        <Card className="overflow-hidden" aria-label="Steps">
          <PartTabs
            parts={dish.parts}
            current={part.id}
            onChange={(id) => setParams({ part: id }, { replace: true })}
          >
            {!hasSteps && (
              <Empty sentence="Write what is done, one step at a time, or paste a recipe’s instructions. Each step is read as you type, and shows what it takes and what is left of it." />
            )}
            {hasSteps && (
              <div className={`${STEP_GRID} px-2 pt-2 text-[12.5px] text-ink-2 max-lg:hidden`}>
                <span className="col-span-3" />
                <span>
                  <b className="text-ink">{grams(start.massG)} in</b> · water {grams(start.waterG)}, solids{' '}
                  {grams(start.massG - start.waterG)}, and what leaves
                </span>
              </div>
            )}
            <StepList key={part.id} part={part} reading={reading} assessment={assessment} />
            {hasSteps && (
              <div className={`${STEP_GRID} px-2 text-[12.5px] text-ink-2`}>
                <div className="col-span-3 -ml-2 max-lg:hidden" />
                <span className="pt-1 max-lg:col-span-3 max-lg:pl-3">
                  <b className="text-ink">
                    {grams(cookedMassG)} out, {rawMassG > 0 ? Math.round((100 * cookedMassG) / rawMassG) : 0}{' '}
                    %
                  </b>{' '}
                  · water {grams(reading.steps.at(-1)?.partWaterG ?? 0)}
                </span>
              </div>
            )}
            <AddStep key={`add ${part.id}`} part={part} onPasteMany={setPasted} />
          </PartTabs>
        </Card>
      )}
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_340px]">
        <FindingsCard
          assessment={assessment}
          partId={part.id}
          keep={(finding) => isOfMethod(finding) && (finding.step === null || finding.settled !== null)}
          withAllergens={false}
        />
        <Yield part={part} reading={reading} />
      </div>
    </div>
  )
}
