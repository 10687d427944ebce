import { describe, expect, it } from 'vitest'
import { keptTooLong, type PutAway, saidToKeep } from '.'

describe('how long words keep a dish in the fridge', () => {
  it.each([
    ['Keeps for up to 3 weeks in the fridge.', 21],
    ['Store in the refrigerator for 10 to 14 days.', 14],
    ['It will keep, chilled and covered, for a week.', 7],
    ['Refrigerated in a sealed jar, it lasts a good two weeks.', 14],
    ['Keeps 5-7 days in the fridge or 3 months in the freezer.', 7],
    ['It stays good for a fortnight in the fridge.', 14],
    ['Any left over keeps in the fridge for a couple of days, and freezes well.', 2],
    ['Can be stored in an airtight box in the fridge for up to four days.', 4],
    ['Leftovers: fridge, use within 3 days.', 3],
    ['Keep in the fridge for one more day.', 1],
    ['It keeps for twenty-one days in the fridge.', 21],
  ])('%s', (words, days) => {
    expect(saidToKeep([words])).toBe(days)
  })

  it.each([
    'Chill in the fridge for 2 days.',
    'Marinate in the fridge for three days, turning once.',
    'Freeze for up to 3 months.',
    'It keeps in the freezer for six weeks.',
    'Keep the dough in the fridge.',
    'Keep stirring for 3 minutes, then refrigerate.',
    'Soak for a day in cold water.',
    'Keep warm while you fry the rest. Chill for two days.',
  ])('is not said by: %s', (words) => {
    expect(saidToKeep([words])).toBeNull()
  })
})

describe('what keeps it for too long', () => {
  const hummus: PutAway = {
    family: 'spreadable',
    classes: ['pulse', 'seed'],
    waterPct: 60,
    fatPct: 12,
    pH: 5.2,
  }
  const fortnight = ['Keeps for 2 weeks in the fridge.']

  it('is told with what is usual, and why', () => {
    const [found] = keptTooLong(fortnight, hummus)
    expect(found).toMatchObject({ rule: 'kept-too-long', severity: 'caution' })
    expect(found?.message).toMatch(/14 days.*4 days are usual.*pulse/)
  })
  it('takes a drink of oats for no cooked grain', () => {
    const oats: PutAway = { family: null, classes: ['grain'], waterPct: 90, fatPct: 1, pH: 6.5 }
    expect(keptTooLong(['Keeps for 4 days in the fridge.'], oats)).toEqual([])
    expect(keptTooLong(['Keeps for 4 days in the fridge.'], { ...oats, waterPct: 65 })).toHaveLength(1)
  })

  it('is not told within a day of what is usual, nor of what keeps by being dry, fat or sour', () => {
    expect(keptTooLong(['Keeps for 5 days in the fridge.'], hummus)).toEqual([])
    expect(keptTooLong(fortnight, { ...hummus, waterPct: 8 })).toEqual([])
    expect(keptTooLong(fortnight, { ...hummus, fatPct: 80, waterPct: 16 })).toEqual([])
    expect(keptTooLong(fortnight, { ...hummus, pH: 3.9 })).toEqual([])
  })
})
