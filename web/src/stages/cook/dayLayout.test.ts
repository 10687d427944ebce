import type { DayPlan } from '@frijol/core/day'
import type { TimedTask } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { dayBegins, layoutOf, WIDTH } from './dayLayout'

const task = (id: string, startMin: number, minutes: number, more: Partial<TimedTask> = {}): TimedTask => ({
  id,
  kind: 'work',
  dishId: 'd',
  dish: 'Stew',
  part: 'Stew',
  stepId: id,
  label: id,
  text: '',
  station: 'counter',
  stationLabel: 'counter',
  attendance: 'hands',
  tempC: null,
  startMin,
  endMin: startMin + minutes,
  task: { id, durationMin: minutes, uses: {}, tempC: null, after: [], window: null },
  ...more,
})
function planOf(tasks: readonly TimedTask[]): DayPlan {
  const startMin = Math.min(...tasks.map((one) => one.startMin))
  const serveMin = Math.max(...tasks.map((one) => one.endMin))
  return {
    tasks,
    startMin,
    serveMin,
    spanMin: serveMin - startMin,
    handsMin: 0,
    waits: [],
    stations: [],
    heldBy: [],
    lowerBoundMin: 0,
    isOptimal: true,
    isCut: false,
    otherWays: [],
    stretched: [],
    coldOvens: [],
  }
}
const oven = { station: 'oven', stationLabel: 'Oven', kind: 'by-itself' as const }

describe('the map of a day', () => {
  it('leaves the evening before beside it, and begins where hands are needed again', () => {
    const plan = planOf([
      task('soak', 0, 2),
      task('soaks', 2, 700, { kind: 'by-itself' }),
      task('boil', 702, 5),
      task('plate', 760, 4),
    ])
    expect(dayBegins(plan)).toBe(702)
    expect(dayBegins(planOf([task('chop', 10, 5), task('plate', 40, 4)]))).toBe(10)
  })

  it('stacks what is in one place at the same time, and keeps everything in the picture', () => {
    const plan = planOf([
      task('chop', 0, 10),
      task('one', 10, 40, oven),
      task('two', 20, 40, oven),
      task('three', 60, 20, oven),
      task('plate', 80, 4),
    ])
    const { bars, lanes, height, path } = layoutOf(plan, 0)
    const [one, two, three] = bars
    expect(one?.y).not.toBe(two?.y)
    expect(three?.y).toBe(one?.y)
    expect(lanes.map(({ label }) => label)).toEqual(['Counter', 'Oven'])
    for (const { x, y, width } of bars) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x + width).toBeLessThanOrEqual(WIDTH)
      expect(y + 20).toBeLessThanOrEqual(height)
    }
    expect(path).not.toContain('NaN')
  })

  it('writes no words over others', () => {
    const plan = planOf(
      Array.from({ length: 12 }, (_, at) => task(`a step with a long name ${at}`, 3 * at, 3)),
    )
    const { words } = layoutOf(plan, 0)
    for (const [at, word] of words.entries()) {
      const next = words[at + 1]
      if (next !== undefined) expect(next.x - word.x).toBeGreaterThan(6 * word.words.length)
    }
    expect(words.length).toBeGreaterThan(0)
    expect(words.length).toBeLessThan(12)
  })
})
