import { attributeName, type PartAssessment } from '@frijol/core/model'
import type { Answer } from '@frijol/core/tune'
import { BeforeAndAfter, Card, CardTitle } from '../../../ui'

/** How far a value is outside its band. */
const beyond = (value: number, { low, high }: { low: number; high: number }): number =>
  value < low ? value - low : value > high ? value - high : 0
const offWords = (off: number): string =>
  Math.abs(off) < 0.05 ? 'in' : `${Math.abs(off).toFixed(1)} ${off < 0 ? 'low' : 'high'}`

/** "1.8 → 0.4 high", "0.6 low → in". */
function movedWords(was: number, is: number): string {
  const isOneSide = Math.sign(was) === Math.sign(is) && Math.abs(is) >= 0.05 && Math.abs(was) >= 0.05
  return isOneSide ? `${Math.abs(was).toFixed(1)} → ${offWords(is)}` : `${offWords(was)} → ${offWords(is)}`
}

/** What an answer does to every attribute that counts. */
export function Movement({
  answer,
  after,
  name,
}: {
  answer: Answer
  after: PartAssessment | null
  name: string
}) {
  return (
    <Card className="px-3.5 py-3">
      <CardTitle title="Before and after" aside={name} />
      {[...answer.attributes]
        .sort((a, b) => b.weight - a.weight)
        .map(({ id, before, after: promised, target }) => {
          const value = after?.attributes.find((one) => one.id === id)?.value ?? promised
          const [was, is] = [beyond(before, target), beyond(value, target)]
          const same = offWords(was) === offWords(is)
          const way =
            Math.abs(is) < 0.05 ? 'in' : same ? 'same' : Math.abs(is) < Math.abs(was) ? 'nearer' : 'further'
          return (
            <BeforeAndAfter
              key={id}
              label={attributeName(id)}
              min={0}
              max={10}
              before={before}
              after={value}
              band={target}
              way={way}
              words={same ? (way === 'in' ? 'stays in' : `stays ${offWords(is)}`) : movedWords(was, is)}
            />
          )
        })}
    </Card>
  )
}
