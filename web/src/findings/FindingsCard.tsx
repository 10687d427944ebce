import type { Assessment, Finding } from '@frijol/core/model'
import { findingKey } from '@frijol/core/rules'
import { commands, run, useLibrary } from '../store'
import { Button, Card, CardTitle, Folded, Tag } from '../ui'
import { FindingRow } from './FindingRow'

export interface FindingsCardProps {
  assessment: Assessment
  partId: string
  /** Which findings are this screen's; all of them unless said. */
  keep?: (finding: Finding) => boolean
  withAllergens?: boolean
}

const everything = (): boolean => true

/** Findings that stand open; of a list hardly longer none is folded away, and what stops the dish never is. */
const SHOWN = 8
const HARDLY_LONGER = 2
function folded(open: readonly Finding[]): { shown: readonly Finding[]; more: readonly Finding[] } {
  const stops = open.filter(({ severity }) => severity === 'stop').length
  const count = open.length <= SHOWN + HARDLY_LONGER ? open.length : Math.max(SHOWN, stops)
  return { shown: open.slice(0, count), more: open.slice(count) }
}

/** What to look at before cooking: sentences with a cause and a remedy, in order of harm. */
export function FindingsCard({
  assessment,
  partId,
  keep = everything,
  withAllergens = true,
}: FindingsCardProps) {
  const library = useLibrary()
  const here = assessment.findings.filter(
    (finding) => (finding.part === null || finding.part === partId) && keep(finding),
  )
  const open = here.filter(({ settled }) => settled === null)
  const settled = here.filter(({ settled: reason }) => reason !== null)
  const { shown, more } = folded(open)
  const allergens = assessment.allergens.map((id) => library.allergens.get(id)?.name ?? id)
  return (
    <Card className="px-3.5 py-3" aria-label="Before you cook">
      <CardTitle title="Before you cook" aside={open.length === 0 ? 'nothing open' : `${open.length} open`} />
      <ul className="m-0 list-none ps-0">
        {shown.map((finding) => (
          <FindingRow key={findingKey(finding)} finding={finding} />
        ))}
      </ul>
      {more.length > 0 && (
        <Folded className="mt-1 text-sm" summary={`${more.length} more, less pressing`}>
          {() => (
            <ul className="m-0 mt-1 list-none ps-0">
              {more.map((finding) => (
                <FindingRow key={findingKey(finding)} finding={finding} />
              ))}
            </ul>
          )}
        </Folded>
      )}
      {withAllergens && allergens.length > 0 && (
        <p className="m-0 flex items-start gap-2 py-1 text-sm">
          <Tag tone="sky">Allergens</Tag>
          <span>{allergens.join(', ')}</span>
        </p>
      )}
      {settled.length > 0 && (
        <details className="mt-1 text-sm">
          <summary className="text-[13px] text-ink-2">{settled.length} settled on purpose</summary>
          <ul className="m-0 mt-1 list-none ps-0">
            {settled.map((finding) => (
              <li key={findingKey(finding)} className="flex items-start gap-2 py-1">
                <span className="flex-1">
                  {finding.message} <span className="text-ink-2">“{finding.settled}”</span>
                </span>
                <Button tone="quiet" onClick={() => run(commands.unsettleFinding(findingKey(finding)))}>
                  Open again
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </Card>
  )
}
