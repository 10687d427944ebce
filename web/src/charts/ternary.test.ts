import { describe, expect, it } from 'vitest'
import { between, placeOf, type TernaryPoint, triangles } from './ternary'

const grid = (steps: number): TernaryPoint[] =>
  Array.from({ length: steps + 1 }, (_, c) =>
    Array.from({ length: steps + 1 - c }, (_one, b): TernaryPoint => ({
      at: [(steps - b - c) / steps, b / steps, c / steps],
      value: b + 10 * c,
    })),
  ).flat()

describe('a surface over three shares', () => {
  it('has its corners where they belong', () => {
    expect(placeOf([1, 0, 0])).toEqual([0, 0])
    expect(placeOf([0, 1, 0])).toEqual([1, 0])
    expect(placeOf([0, 0, 1])[1]).toBeCloseTo(Math.sqrt(3) / 2, 9)
  })

  it('is covered by small triangles once', () => {
    const cells = triangles(grid(8), 8)
    expect(cells).toHaveLength(64)
    const area = cells.reduce((sum, { corners: [a, b, c] }) => {
      const [[ax, ay], [bx, by], [cx, cy]] = [a ?? [0, 0], b ?? [0, 0], c ?? [0, 0]]
      return sum + Math.abs((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2
    }, 0)
    expect(area).toBeCloseTo(Math.sqrt(3) / 4, 9)
  })

  it('leaves out what lies beyond the bounds', () => {
    expect(
      triangles(
        grid(4).filter(({ at }) => at[2] < 0.6),
        4,
      ).length,
    ).toBeLessThan(16)
    expect(triangles([], 4)).toEqual([])
  })

  it('mixes colours', () => {
    expect(between('#000000', '#ffffff', 0.5)).toBe('#808080')
    expect(between('#ebe3d3', '#4d2a52', 0)).toBe('#ebe3d3')
  })
})
