import type { RankResult } from '@frijol/core/sensory'
import { useMemo } from 'react'
import { BarChart } from '../../charts'
import { Card } from '../../ui'

/** The order that they put the samples in: the shorter the bar, the more often first. */
export function RankOrder({ result }: { result: RankResult }) {
  const bars = useMemo(
    () => result.order.map(({ label, meanRank }) => ({ label, value: meanRank, shown: meanRank.toFixed(1) })),
    [result],
  )
  return (
    <Card className="px-5 py-4">
      <h3 className="m-0 mb-1 text-base">Mean place, 1 is first</h3>
      <BarChart title="Mean place of each sample" unit="mean place" bars={bars} />
    </Card>
  )
}
