import type { Tasting } from '@frijol/core/model'
import { type AskResult, LIKING_WORDS } from '@frijol/core/sensory'
import { useMemo } from 'react'
import { type Segment, StackedChart } from '../../charts'
import { Card } from '../../ui'

/** Nine points in five kinds, so that few tasters can be read. */
const KINDS: readonly (Segment & { readonly from: number; readonly to: number })[] = [
  { label: 'dislike', tone: 'bad', from: 1, to: 3 },
  { label: 'dislike slightly', tone: 'high', from: 4, to: 4 },
  { label: 'neither', tone: 'low', from: 5, to: 5 },
  { label: 'like slightly', tone: 'middle-soft', from: 6, to: 6 },
  { label: 'like', tone: 'middle', from: 7, to: 9 },
]

/** How many like it, how many do not; each taster's own word is in the table of answers. */
export function LikingChart({ tasting, liking }: { tasting: Tasting; liking: AskResult }) {
  const rows = useMemo(
    () =>
      liking.samples.map(({ label, dots, mean }) => ({
        label: mean === null ? label : `${label}, ${mean.toFixed(1)}`,
        counts: KINDS.map(
          ({ from, to }) =>
            dots.filter(({ value }) => Math.round(value) >= from && Math.round(value) <= to).length,
        ),
      })),
    [liking],
  )
  if (liking.people === 0) return null
  return (
    <Card className="px-5 py-4">
      <h3 className="m-0 mb-1 text-base">How they like it</h3>
      <StackedChart
        title="Tasters by how they like it, mean of 9 beside the name"
        of="Sample"
        rows={rows}
        segments={KINDS}
      />
      <details className="mt-1 text-sm">
        <summary className="min-h-6 text-[13px] text-ink-2">Each taster</summary>
        <table className="w-full border-collapse text-sm">
          <caption className="sr-only">Liking by taster</caption>
          <thead>
            <tr className="text-left text-[13px] text-ink-2">
              <th scope="col" className="font-normal">
                Taster
              </th>
              {liking.samples.map(({ sampleId, label }) => (
                <th key={sampleId} scope="col" className="font-normal">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {tasting.settings.tasters.map(({ id }) => (
              <tr key={id} className="border-t border-line/60">
                <th scope="row" className="py-0.5 text-left font-semibold">
                  {id}
                </th>
                {liking.samples.map(({ sampleId, dots }) => {
                  const value = dots.find(({ tasterId }) => tasterId === id)?.value
                  return (
                    <td key={sampleId}>
                      {value === undefined
                        ? '–'
                        : `${value.toFixed(value % 1 === 0 ? 0 : 1)}, ${LIKING_WORDS[Math.round(value) - 1] ?? ''}`}
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </Card>
  )
}
