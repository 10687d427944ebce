import fc from 'fast-check'
import { expect, it } from 'vitest'
import { calendarOf } from './calendar'

/** Windows that lie apart, and whether a minute is in one. */
const windows = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 })), { maxLength: 4 })
  .map((steps) => {
    let time = 0
    return steps.map(([gap, length]): [number, number] => {
      const from = time + gap
      time = from + length
      return [from, time]
    })
  })
const isOpen = (away: readonly (readonly [number, number])[], minute: number): boolean =>
  !away.some(([from, to]) => from <= minute && minute < to)

it('counts open minutes, and says when work begun is done and when it must begin, as counting one by one does', () => {
  fc.assert(
    fc.property(
      windows,
      fc.integer({ min: 0, max: 200 }),
      fc.integer({ min: 0, max: 200 }),
      fc.integer({ min: 1, max: 60 }),
      (away, a, b, work) => {
        const calendar = calendarOf(away)
        const [start, end] = [Math.min(a, b), Math.max(a, b)]
        let open = 0
        for (let minute = start; minute < end; minute += 1) if (isOpen(away, minute)) open += 1
        expect(calendar.open(start, end)).toBe(open)
        let done = start
        for (let left = work; left > 0; done += 1) if (isOpen(away, done)) left -= 1
        expect(calendar.end(start, work)).toBe(done)
        let begun = end
        for (let left = work; left > 0; begun -= 1) if (isOpen(away, begun - 1)) left -= 1
        expect(calendar.begin(end, work)).toBe(begun)
      },
    ),
  )
})
