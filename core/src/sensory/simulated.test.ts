import { describe, expect, it } from 'vitest'
import { answersOf, original, sample, seats, settings, setOut, type Perception } from '../../test/tastings'
import type { TastingSettings } from '../model'
import { isRight, needOf, resultOf } from './index'
import { askResult, type AskResult } from './result/scores'

const nobodyCan: Perception = { place: () => 5, scatter: 1.2, leans: 0.8 }
const apart = (d: number): Perception => ({
  place: (sampleId) => (sampleId === 'original' ? 0 : d),
  scatter: 1.2,
  leans: 0.8,
})

/** Share of simulated panels in which something is shown under one question. */
function sharePanels(
  of: TastingSettings,
  how: Perception,
  panels: number,
  isShown: (result: AskResult) => boolean,
): number {
  const ask = of.protocol === 'control' ? 'difference' : 'juiciness'
  let shown = 0
  for (let panel = 0; panel < panels; panel += 1) {
    const tasting = setOut({ ...of, seed: panel })
    if (isShown(askResult({ ...tasting, answers: answersOf(tasting, how, panel + 1) }, ask))) shown += 1
  }
  return shown / panels
}
const isApart = ({ against }: AskResult): boolean =>
  against.some(({ low, high }) => (low ?? 0) > 0 || (high ?? 0) < 0)

/** The same for answers that are right or wrong: as many right answers of as many are one result. */
function shareForced(of: TastingSettings, how: Perception, panels: number): number {
  const known = new Map<number, boolean>()
  let shown = 0
  for (let panel = 0; panel < panels; panel += 1) {
    const tasting = setOut({ ...of, seed: panel })
    const answers = answersOf(tasting, how, panel + 1)
    const by = new Map(answers.map((answer) => [answer.servingId, answer]))
    const right = (tasting.design?.servings ?? []).filter(
      (serving) => isRight(of, serving, by.get(serving.id)?.picked ?? []) === true,
    ).length
    const isShown = known.get(right) ?? resultOf({ ...tasting, answers }).forced?.isShown === true
    known.set(right, isShown)
    if (isShown) shown += 1
  }
  return shown / panels
}

describe('2,000 panels that cannot tell anything apart', () => {
  it.each([
    ['triangle', 8],
    ['triangle', 24],
    ['tetrad', 8],
    ['duotrio', 12],
    ['paired', 12],
  ] as const)('%s, %i tasters: false alarms at most alpha and 1 %', (protocol, count) => {
    const of = settings(protocol, { tasters: seats(count) })
    expect(shareForced(of, nobodyCan, 2000)).toBeLessThanOrEqual(0.06)
  })

  it('paired, one-sided, when it is said before who has more', () => {
    const of = settings('paired', { tasters: seats(14), expectedId: '3' })
    expect(shareForced(of, nobodyCan, 2000)).toBeLessThanOrEqual(0.06)
  })

  it('a profile of two samples and one question', () => {
    const of = settings('profile', { attributes: ['juiciness'] })
    expect(sharePanels(of, nobodyCan, 2000, isApart)).toBeLessThanOrEqual(0.06)
  })

  it('a profile of four samples: over all comparisons at once', () => {
    const of = settings('profile', {
      attributes: ['juiciness'],
      samples: [original(), sample('2'), sample('3'), sample('4')],
    })
    // The range is found anew for each panel: a quarter of the panels is enough to see it.
    expect(sharePanels(of, nobodyCan, 300, isApart)).toBeLessThanOrEqual(0.06)
  })

  it('difference from control, two trials against a blind control', () => {
    const of = settings('control', { samples: [original(), sample('2'), sample('3')] })
    const shown = ({ against }: AskResult) => against.some(({ p }) => p !== null && p <= 0.05)
    expect(sharePanels(of, nobodyCan, 300, shown)).toBeLessThanOrEqual(0.08)
  })

  it('ranking of four', () => {
    const of = settings('ranking', {
      samples: [sample('1'), sample('2'), sample('3'), sample('4')],
      controlId: null,
      tasters: seats(6),
    })
    let shown = 0
    for (let panel = 0; panel < 200; panel += 1) {
      const tasting = setOut({ ...of, seed: panel })
      const answers = answersOf(tasting, nobodyCan, panel + 1)
      if (resultOf({ ...tasting, answers }).ranks?.isShown === true) shown += 1
    }
    expect(shown / 200).toBeLessThanOrEqual(0.085)
  })
})

describe('panels that can: as often found as stated, within 3 %', () => {
  it.each([
    ['triangle', 24, 2],
    ['tetrad', 12, 1.5],
    ['duotrio', 24, 2],
  ] as const)('%s, %i tasters, d′ %d', (protocol, count, d) => {
    const of = settings(protocol, { tasters: seats(count), detects: d })
    const stated = needOf(of).power ?? 0
    expect(Math.abs(shareForced(of, apart(d), 4000) - stated)).toBeLessThanOrEqual(0.03)
  })

  it('paired, one-sided', () => {
    const of = settings('paired', { tasters: seats(13), expectedId: '3', detects: 1.5 })
    const stated = needOf(of).power ?? 0
    expect(Math.abs(shareForced(of, apart(1.5), 4000) - stated)).toBeLessThanOrEqual(0.03)
  })

  it('a profile: the smallest difference that is promised in 8 of 10 cases is found so often', () => {
    // Differences of one taster scatter by sqrt 2 times one score.
    const scatter = Math.SQRT2 * 1.2
    const of = settings('profile', { attributes: ['juiciness'], scatter, detects: 1.5, tasters: seats(12) })
    const { power } = needOf(of)
    const how: Perception = { place: (id) => (id === 'original' ? 4 : 5.5), scatter: 1.2, leans: 0.5 }
    const shown = ({ against }: AskResult) => (against[0]?.low ?? 0) > 0
    // Scores go by halves of a point, which adds a little scatter.
    expect(Math.abs(sharePanels(of, how, 3000, shown) - (power ?? 0))).toBeLessThanOrEqual(0.03)
  })
})

describe('how many tastings', () => {
  it.each([
    ['triangle', 1.5, 53, 57],
    ['tetrad', 2, 7, 9],
    ['duotrio', 2, 26, 28],
  ] as const)('%s at d′ %d: %i, and from %i on always', (protocol, detects, first, stable) => {
    expect(needOf(settings(protocol, { detects }))).toMatchObject({ first, stable })
  })

  it.each([
    [1, 1.5, 20],
    [1, 2, 34],
    [1.5, 2, 16],
    [2, 1.5, 7],
  ])('%d points with a scatter of %d: %i people', (detects, scatter, people) => {
    expect(needOf(settings('liking', { detects, scatter })).first).toBe(people)
  })

  it('says that six triangles find only what is plain to most, and two find nothing', () => {
    const six = needOf(settings('triangle', { tasters: seats(6), detects: 1 }))
    expect(six.power).toBeCloseTo(0.05, 2)
    expect(six.critical).toBe(5)
    expect(six.finds).toBeGreaterThan(3)
    const two = needOf(settings('triangle', { tasters: seats(2) }))
    expect(two).toMatchObject({ critical: null, finds: null, power: 0 })
  })
})
