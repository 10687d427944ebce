import { pourWords, troughFlowCm } from '@frijol/core/texture'
import { type Answer, CONSISTENCIES, type Consistency } from '@frijol/core/tune'
import { Card, CardTitle, Choice, NumberField } from '../../../ui'
import { changeAsk, useAsk } from './useAsk'

const { leastPaS, mostPaS, hotC, coolC } = CONSISTENCIES
const AIMS = ['original', 'hot', 'cool'] as const
const AIM_NAMES = {
  original: "To the original's",
  hot: `To a thickness, hot (${hotC} °C)`,
  cool: `To a thickness, cooled (${coolC} °C)`,
} as const
const TEMPERATURES = { hot: hotC, cool: coolC } as const

export const paSText = (paS: number): string => `${Number(paS.toPrecision(2))} Pa·s`

/** What a thickness is in the hand. */
const inTheHand = (paS: number): string =>
  `${pourWords(paS)}; flows ${troughFlowCm(paS).toFixed(0)} cm ± 2 in 30 s`

/** Thin or thicken to what: the original's thickness, or one that is stated, hot or cooled. @param nowPaS as it is served */
export function ThickTo({ partId, nowPaS }: { partId: string; nowPaS: number | null }) {
  const { consistency } = useAsk(partId)
  if (nowPaS === null) return null
  const aim = consistency === null ? 'original' : consistency.tempC >= hotC ? 'hot' : 'cool'
  const to = (next: Consistency | null) => changeAsk(partId, { consistency: next })
  return (
    <div className="flex flex-wrap items-end gap-x-3 pb-2">
      <Choice
        label="Thin or thicken to"
        value={aim}
        options={AIMS}
        names={AIM_NAMES}
        onChange={(next) =>
          to(
            next === 'original'
              ? null
              : { paS: consistency?.paS ?? Number(nowPaS.toPrecision(2)), tempC: TEMPERATURES[next] },
          )
        }
      />
      {consistency !== null && (
        <div className="flex items-end gap-2 pb-2">
          <NumberField
            key={consistency.paS}
            label="Thickness"
            unit="Pa·s"
            value={consistency.paS}
            onChange={(paS) => {
              if (paS === null || paS < leastPaS || paS > mostPaS)
                return `Give ${leastPaS} to ${mostPaS} Pa·s.`
              to({ ...consistency, paS })
              return null
            }}
          />
          <span className="pb-1.5 text-[13px] text-ink-2">{inTheHand(consistency.paS)}</span>
        </div>
      )}
    </div>
  )
}

/** What an answer makes of a stated thickness. */
export const Thickened = ({
  reached: { before, after },
  wanted: { paS, tempC },
}: {
  reached: NonNullable<Answer['consistency']>
  wanted: Consistency
}) => (
  <Card className="px-3.5 py-3">
    <CardTitle title={`Thickness at ${Math.round(tempC)} °C`} aside={`wanted ${paSText(paS)}`} />
    <p className="m-0 text-sm">
      {paSText(before)} → <b>{paSText(after)}</b>
    </p>
    <p className="m-0 text-sm text-ink-2">{inTheHand(after)}.</p>
  </Card>
)
