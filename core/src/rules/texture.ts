import type { ResolvedLine } from '../composition'
import type { RatioReading } from '../model'
import type { FamilyTable } from '../texture'
import type { Found } from './finding'

const shown = (value: number, unit: string): string =>
  `${Number(value.toPrecision(2))}${unit === '' ? '' : unit === '%' ? ' %' : ` ${unit}`}`

/** Ratios out of what works, and ratios that spoons make uncertain across a bound. */
export function ratioFindings(
  table: FamilyTable,
  ratios: readonly RatioReading[],
  lines: readonly ResolvedLine[],
): Found[] {
  return ratios.flatMap((ratio): Found[] => {
    const definition = table.ratios.find(({ id }) => id === ratio.id)
    if (definition === undefined) return []
    const { value, low, high, bestLow, bestHigh, unit, label, sd } = ratio
    if (ratio.state === 'out') {
      const isLow = value < low
      return [
        {
          rule: `ratio-${ratio.id}`,
          severity: 'caution',
          message: `${label} is ${shown(value, unit)}; ${shown(bestLow, unit)} to ${shown(bestHigh, unit)} works well.`,
          remedy: isLow ? definition.raise : definition.lower,
        },
      ]
    }
    const isUnsure =
      ratio.state === 'in' &&
      (value - 2 * sd < low || value + 2 * sd > high) &&
      sd > 0.1 * (bestHigh - bestLow)
    if (!isUnsure) return []
    const loosest = [...lines].sort((a, b) => (b.mass?.sd ?? 0) - (a.mass?.sd ?? 0))[0]
    return [
      {
        rule: 'weigh-this',
        severity: 'info',
        ...(loosest === undefined ? {} : { lineId: loosest.line.id }),
        message: `${label} may lie outside its window as this is measured (${shown(value, unit)} ± ${shown(sd, unit)}).`,
        remedy: `Weigh ${loosest?.food?.name.toLowerCase() ?? 'the ingredients'}.`,
      },
    ]
  })
}
