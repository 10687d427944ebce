import type { EChartsCoreOption } from 'echarts/core'
import type { Palette } from './bars'

/** A value at a blend of three; shares sum to one. */
export interface TernaryPoint {
  readonly at: readonly [a: number, b: number, c: number]
  readonly value: number
}
/** A batch that was made, or one that is meant. */
export interface TernaryMark {
  readonly label: string
  readonly at: readonly [a: number, b: number, c: number]
  readonly kind: 'made' | 'open' | 'best'
}

const HIGH = Math.sqrt(3) / 2
/** Corners: the first at the lower left, the second at the lower right, the third above. */
export const placeOf = ([, b, c]: TernaryPoint['at']): [number, number] => [b + c / 2, c * HIGH]

/** Small triangles between blends that lie next to each other on a grid of so many steps, each with its mean value. */
export function triangles(
  points: readonly TernaryPoint[],
  steps: number,
): { readonly corners: readonly [number, number][]; readonly value: number }[] {
  const key = (b: number, c: number): string => `${b} ${c}`
  const grid = new Map(
    points.map((point) => [key(Math.round(point.at[1] * steps), Math.round(point.at[2] * steps)), point]),
  )
  const found: { corners: [number, number][]; value: number }[] = []
  const add = (...all: (TernaryPoint | undefined)[]): void => {
    const known = all.filter((one) => one !== undefined)
    if (known.length < all.length) return
    found.push({
      corners: known.map(({ at }) => placeOf(at)),
      value: known.reduce((sum, { value }) => sum + value, 0) / known.length,
    })
  }
  for (const [, { at }] of grid) {
    const [b, c] = [Math.round(at[1] * steps), Math.round(at[2] * steps)]
    add(grid.get(key(b, c)), grid.get(key(b + 1, c)), grid.get(key(b, c + 1)))
    add(grid.get(key(b + 1, c)), grid.get(key(b + 1, c + 1)), grid.get(key(b, c + 1)))
  }
  return found
}

/** Between two colours of six hexadecimal digits. @param share 0 to 1 */
export function between(from: string, to: string, share: number): string {
  const of = (colour: string, at: number): number => Number.parseInt(colour.slice(1 + 2 * at, 3 + 2 * at), 16)
  return `#${[0, 1, 2]
    .map((at) =>
      Math.round(of(from, at) + (of(to, at) - of(from, at)) * share)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}

/** What a custom drawing is given of its place. */
interface Place {
  readonly coord: (at: readonly number[]) => number[]
}

export function ternaryOption(
  points: readonly TernaryPoint[],
  marks: readonly TernaryMark[],
  corners: readonly [string, string, string],
  steps: number,
  palette: Palette,
): EChartsCoreOption {
  const cells = triangles(points, steps)
  const values = cells.map(({ value }) => value)
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const colour = (value: number): string =>
    between(palette.track, palette.bar, high - low < 1e-9 ? 0.3 : 0.06 + 0.9 * ((value - low) / (high - low)))
  const hidden = { show: false, type: 'value' as const }
  const corner = (name: string, at: [number, number], position: string) => ({
    value: at,
    label: { show: true, formatter: name, position, color: palette.ink, fontSize: 13, fontWeight: 600 },
  })
  return {
    animation: false,
    aria: { enabled: false },
    textStyle: { fontFamily: palette.font, color: palette.ink },
    grid: { left: 46, right: 46, top: 26, bottom: 26 },
    xAxis: { ...hidden, min: 0, max: 1 },
    yAxis: { ...hidden, min: 0, max: HIGH },
    series: [
      {
        type: 'custom',
        silent: true,
        data: cells.map((_, at) => [at]),
        renderItem: ({ dataIndex }: { dataIndex: number }, { coord }: Place) => {
          const cell = cells[dataIndex]
          return {
            type: 'polygon',
            shape: { points: (cell?.corners ?? []).map((one) => coord(one)) },
            style: { fill: colour(cell?.value ?? low), stroke: colour(cell?.value ?? low), lineWidth: 1 },
          }
        },
      },
      {
        type: 'line',
        silent: true,
        symbol: 'none',
        lineStyle: { color: palette.quiet, width: 1 },
        data: [
          [0, 0],
          [1, 0],
          [0.5, HIGH],
          [0, 0],
        ],
      },
      {
        type: 'scatter',
        silent: true,
        symbolSize: 0,
        data: [
          corner(corners[0], [0, 0], 'bottom'),
          corner(corners[1], [1, 0], 'bottom'),
          corner(corners[2], [0.5, HIGH], 'top'),
        ],
        labelLayout: { moveOverlap: 'shiftX' },
      },
      {
        type: 'scatter',
        silent: true,
        data: marks.map(({ at, kind, label }) => ({
          name: label,
          value: placeOf(at),
          symbol: kind === 'best' ? 'diamond' : 'circle',
          symbolSize: kind === 'best' ? 18 : 11,
          itemStyle: {
            color: kind === 'made' ? palette.paper : kind === 'best' ? palette.tones.high : 'transparent',
            borderColor: palette.ink,
            borderWidth: 1.5,
          },
        })),
      },
    ],
  }
}
