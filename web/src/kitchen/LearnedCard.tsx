import type { Kitchen, Observation } from '@frijol/core/model'
import { fitOf, specOf } from '@frijol/core/program'
import { forgetLearned } from '../store'
import { Button, Card, CardTitle } from '../ui'

/** Weighings by operation and vessel, in the order in which they came. */
function groupsOf(observations: readonly Observation[]): (readonly [Observation, number])[] {
  const groups = new Map<string, [Observation, number]>()
  for (const one of observations) {
    const key = `${one.operation} ${one.vessel}`
    const known = groups.get(key)
    if (known === undefined) groups.set(key, [one, 1])
    else known[1] += 1
  }
  return [...groups.values()]
}

/** What weighed steps have taught of this kitchen's pans and ovens. */
export function LearnedCard({ kitchen }: { kitchen: Kitchen }) {
  const groups = groupsOf(kitchen.observations)
  const label = (id: string): string => kitchen.equipment.find((one) => one.id === id)?.label ?? id
  return (
    <Card className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2 p-4">
      <CardTitle title="Learned by weighing" />
      {groups.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">
          Nothing yet. Weigh a step in Method, and its operation in that vessel is predicted by what this
          kitchen does, leaning on the default until several weighings agree.
        </p>
      ) : (
        <table className="w-full border-collapse text-sm">
          <thead>
            <tr className="border-b border-line text-left text-[12.5px] text-ink-2">
              <th scope="col" className="py-1 font-normal">
                Operation
              </th>
              <th scope="col" className="py-1 font-normal">
                Times the default
              </th>
              <th scope="col" className="py-1 font-normal">
                Weighings
              </th>
              <td />
            </tr>
          </thead>
          <tbody>
            {groups.map(([{ operation, vessel }, count]) => {
              const { lnRatio, sd } = fitOf(kitchen, operation, vessel)
              const factor = Math.exp(lnRatio)
              return (
                <tr key={`${operation} ${vessel}`} className="border-b border-line/60">
                  <td className="py-1.5">
                    {specOf(operation).name}
                    {vessel !== '' && <span className="text-ink-2"> in {label(vessel).toLowerCase()}</span>}
                  </td>
                  <td>
                    ×{factor.toFixed(2)} <span className="text-ink-2">±{(factor * sd).toFixed(2)}</span>
                  </td>
                  <td>{count}</td>
                  <td className="text-right">
                    <Button tone="quiet" className="min-h-7" onClick={() => forgetLearned(operation, vessel)}>
                      Reset
                    </Button>
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
    </Card>
  )
}
