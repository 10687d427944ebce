import { assess, attendanceOf, swapped, swapsOf } from '@frijol/core/assess'
import { blankDish, blankPart, defaultKitchen, type Part } from '@frijol/core/model'
import { stepFrom } from '@frijol/core/reading'
import { lineFrom } from '@frijol/core/measure'
import { beforeAll, describe, expect, it } from 'vitest'
import { lineReader, loadKitchen, newId, useKitchenStore } from '../../store'
import { grams, spoken, wayName } from './format'

beforeAll(loadKitchen)

const readingOf = (part: Part) => {
  const { library } = useKitchenStore.getState()
  if (library === null) throw new Error('no library')
  const dish = { ...blankDish('d', 'D', '2026-06-14T12:00:00Z'), parts: [part] }
  const [reading] = assess(dish, library, defaultKitchen).parts
  if (reading === undefined) throw new Error('no part')
  return reading
}
const part = (): Part => ({
  ...blankPart('p', 'Main'),
  lines: [lineFrom('400 g button mushrooms', { reader: lineReader(), newId })],
  steps: [
    stepFrom('Mix the mushrooms.', 's1'),
    stepFrom('Roast at 190 °C for 20 minutes.', 's2'),
    stepFrom('Steam for 10 minutes.', 's3'),
  ],
})

describe('swapped', () => {
  it('names what each cooking step could be done by instead', () => {
    const labels = swapsOf(part()).map(({ label }) => label)
    expect(labels).toContain('Step 2: air-fry instead of roast')
    expect(labels).toContain('Step 3: pressure-cook instead of steam')
    expect(labels.every((label) => !label.startsWith('Step 1'))).toBe(true)
  })

  it('dries to the same mass, so that the times can be compared', () => {
    const before = part()
    const reading = readingOf(before)
    const steps = swapped(before, reading, { at: 1, operation: 'air-fry', label: '' }, newId)
    const after = readingOf({ ...before, steps })
    expect(after.steps[1]?.massG).toBeCloseTo(reading.steps[1]?.massG ?? 0, 6)
    expect(after.steps[1]?.minutes).toBeGreaterThan(1)
    expect(after.steps[1]?.minutes).not.toBeCloseTo(reading.steps[1]?.minutes ?? 0, 1)
    expect(new Set(steps.map(({ id }) => id)).size).toBe(3)
    expect(steps.some(({ id }) => id === 's2')).toBe(false)
  })

  it('takes the usual time where the other way does not dry', () => {
    const before = part()
    const steps = swapped(before, readingOf(before), { at: 2, operation: 'pressure-cook', label: '' }, newId)
    expect(steps[2]).toMatchObject({ operation: 'pressure-cook', until: null, durationMin: 25 })
  })
})

describe('words', () => {
  it.each([
    [0, '0 min'],
    [0.75, '45 s'],
    [1.5, '1.5 min'],
    [12.4, '12 min'],
    [60, '1 h'],
    [110, '1 h 50'],
    [605, '10 h 05'],
  ])('%d minutes are %s', (minutes, words) => {
    expect(spoken(minutes)).toBe(words)
  })
  it('say masses, ways and how much of the cook a step needs', () => {
    expect([grams(0.954), grams(9.96), grams(347.6)]).toEqual(['0.95 g', '10 g', '348 g'])
    expect(wayName(part())).toBe('Roast, steam')
    expect(wayName({ steps: [] })).toBe('Cold method')
    const [mix, roast] = readingOf(part()).steps
    if (mix === undefined || roast === undefined) throw new Error('no steps')
    expect([attendanceOf(mix), attendanceOf(roast)]).toEqual(['hands', 'alone'])
  })
})
