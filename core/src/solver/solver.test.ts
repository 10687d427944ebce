import { beforeAll, describe, expect, it } from 'vitest'
import { createSolver, type SolveLinear } from '.'

const INF = Number.POSITIVE_INFINITY
let solve: SolveLinear
beforeAll(async () => {
  solve = await createSolver()
})

describe('the linear solver', () => {
  it('finds the corner of a small programme, and what its row is worth', () => {
    // min 2x + 3y, x + y >= 10, x - y <= 2
    const found = solve({
      cost: [2, 3],
      lower: [0, 0],
      upper: [INF, INF],
      rows: [
        {
          lower: 10,
          upper: INF,
          terms: [
            [0, 1],
            [1, 1],
          ],
        },
        {
          lower: -INF,
          upper: 2,
          terms: [
            [0, 1],
            [1, -1],
          ],
        },
      ],
    })
    expect(Array.from(found?.x ?? [])).toEqual([expect.closeTo(6, 9), expect.closeTo(4, 9)])
    expect(found?.objective).toBeCloseTo(24, 9)
    expect(found?.rowDual?.[0]).toBeCloseTo(2.5, 9)
  })

  it('takes whole numbers where they are asked for', () => {
    // Knapsack: 5, 4, 3 kg worth 10, 40, 30, no more than 7 kg.
    const found = solve({
      cost: [-10, -40, -30],
      lower: [0, 0, 0],
      upper: [1, 1, 1],
      rows: [
        {
          lower: -INF,
          upper: 7,
          terms: [
            [0, 5],
            [1, 4],
            [2, 3],
          ],
        },
      ],
      integer: [0, 1, 2],
    })
    expect(Array.from(found?.x ?? [], Math.round)).toEqual([0, 1, 1])
    expect(found?.rowDual).toBeNull()
  })

  it('says that nothing keeps rows that contradict each other', () => {
    const rows = [
      { lower: 3, upper: INF, terms: [[0, 1]] as const },
      { lower: -INF, upper: 2, terms: [[0, 1]] as const },
    ]
    expect(solve({ cost: [1], lower: [0], upper: [INF], rows })).toBeNull()
  })
})
