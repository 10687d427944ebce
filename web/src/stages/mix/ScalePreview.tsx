import type { Dish } from '@frijol/core/model'
import type { ScaledDish } from '../../store'
import { Tag } from '../../ui'

export interface ScalePreviewProps {
  before: Dish
  scaled: ScaledDish
  factor: number
  reason: string
}

const NOTABLE_ERROR = 0.02
const percent = (share: number): string => `${share > 0 ? '+' : '−'}${Math.abs(share * 100).toFixed(1)} %`

/** The scaled formula beside the present one, line by line, with what rounding costs and what does not scale. */
export function ScalePreview({ before, scaled, factor, reason }: ScalePreviewProps) {
  const errors = new Map(scaled.lines.map((line) => [line.lineId, line]))
  return (
    <div className="grid gap-2">
      <p className="m-0 text-sm" role="status">
        <b className="font-display text-lg">×{Number(factor.toPrecision(3))}</b> {reason}
      </p>
      {scaled.notes.map(({ code, message }) => (
        <p key={code} className="m-0 flex items-start gap-2 text-sm">
          <Tag tone="turmeric">Watch</Tag> {message}
        </p>
      ))}
      <div
        className="max-h-[34dvh] overflow-auto rounded-lg border border-line"
        tabIndex={0}
        role="region"
        aria-label="Difference"
      >
        <table className="w-full border-collapse text-sm">
          <thead className="sticky top-0 bg-paper text-left text-[12.5px] text-ink-2">
            <tr>
              <th scope="col" className="px-2 py-1 font-normal">
                Now
              </th>
              <th scope="col" className="px-2 py-1 font-normal">
                Scaled
              </th>
              <th scope="col" className="px-2 py-1 text-right font-normal">
                Rounding
              </th>
            </tr>
          </thead>
          <tbody>
            {before.parts.flatMap((part, index) =>
              part.lines.map((line, at) => {
                const rounding = errors.get(line.id)
                const after = scaled.dish.parts[index]?.lines[at]
                return (
                  <tr key={line.id} className="border-t border-line/70 align-top">
                    <td className="px-2 py-1 text-ink-2">{line.text}</td>
                    <td className="px-2 py-1">{after?.text}</td>
                    <td className="px-2 py-1 text-right whitespace-nowrap text-ink-2">
                      {rounding === undefined
                        ? ''
                        : rounding.kept === 'ratio'
                          ? 'kept, for a ratio'
                          : Math.abs(rounding.errorFraction) < NOTABLE_ERROR
                            ? 'under 2 %'
                            : percent(rounding.errorFraction)}
                    </td>
                  </tr>
                )
              }),
            )}
          </tbody>
        </table>
      </div>
    </div>
  )
}
