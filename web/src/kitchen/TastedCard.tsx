import { attributeName, FAMILIES, type Kitchen } from '@frijol/core/model'
import { familyTable, learnedOf, learnedShift } from '@frijol/core/texture'
import { forgetTasted } from '../store'
import { Button, Card, CardTitle } from '../ui'

/** The shift is shown for what stands in the middle of the scale. */
const MIDDLE = 5
const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`

/** What tastings have taught of each family's attributes, with the error before and after. */
export function TastedCard({ kitchen }: { kitchen: Kitchen }) {
  const rows = FAMILIES.flatMap((id) => {
    const table = familyTable(id)
    return table === null ? [] : [...learnedOf(table, kitchen).values()]
  })
  return (
    <Card className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2 p-4">
      <CardTitle title="Learned by tasting and measuring" />
      {rows.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">
          Nothing yet. Taste a mix blind beside its original in Taste, or measure one at the counter (line
          spread, press, sieve …), and what the model says of that family’s attributes leans towards it.
        </p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full border-collapse text-sm">
            <thead>
              <tr className="border-b border-line text-left text-[12.5px] text-ink-2">
                {['Attribute', 'Reads', 'Times', 'Error'].map((head) => (
                  <th key={head} scope="col" className="py-1 pr-2 font-normal">
                    {head}
                  </th>
                ))}
                <td />
              </tr>
            </thead>
            <tbody>
              {rows.map((one) => (
                <tr key={`${one.family} ${one.attribute}`} className="border-b border-line/60">
                  <td className="py-1.5 pr-2">
                    <span className="inline-block first-letter:uppercase">
                      {attributeName(one.attribute)}
                    </span>
                    <span className="text-ink-2"> of {one.family.replaceAll('-', ' ')}</span>
                  </td>
                  <td className="pr-2">
                    {signed(learnedShift(one, MIDDLE))}{' '}
                    <span className="text-ink-2">±{one.sd.toFixed(1)}</span>
                  </td>
                  <td className="pr-2">{one.tastings}</td>
                  <td className="pr-2">
                    {one.before === null || one.after === null
                      ? '–'
                      : `${one.before.toFixed(1)} → ${one.after.toFixed(1)}`}
                  </td>
                  <td className="text-right">
                    <Button
                      tone="quiet"
                      className="min-h-7"
                      onClick={() => forgetTasted(one.family, one.attribute)}
                    >
                      Reset
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Card>
  )
}
