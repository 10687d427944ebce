import { describe, expect, it } from 'vitest'
import { answersOf, original, sample, scored, seats, settings, setOut } from '../../../test/tastings'
import type { Tasting, TastingAnswer } from '../../model'
import { faultsOf, isRight, openMarks, resultOf, tastedOf } from '../index'

/** A tasting in which so many of the answers are right, the first ones. */
function right(tasting: Tasting, many: number): Tasting {
  const servings = (tasting.design?.servings ?? []).filter(({ round }) => round > 0)
  const answers = servings.map((serving, at): TastingAnswer => {
    const codes = serving.glasses.map(({ code }) => code)
    const options =
      tasting.settings.protocol === 'tetrad'
        ? [0, 1, 2].map((other) => [0, other + 1])
        : codes.map((_, one) => [one])
    const picks = options.map((places) => places.map((place) => codes[place] ?? 0))
    const picked = picks.find((one) => isRight(tasting.settings, serving, one) === at < many) ?? []
    return { servingId: serving.id, at: 1, by: 'tablet', picked, marks: [], comment: '', isWhole: true }
  })
  return { ...tasting, answers }
}
const verdict = (tasting: Tasting) => resultOf(tasting).verdict

describe('answers that are right or wrong', () => {
  it('says the sentence first, and neither "different" nor "the same" where neither is shown', () => {
    const { headline, plain, method } = verdict(right(setOut(settings('triangle')), 5))
    expect(headline).toBe('Five of eight picked the odd one. Chance alone does that 9 times in 100.')
    expect(plain[0]).toBe(
      'Not shown to differ, and not shown to match either: eight tasters see a difference for sure only when six or more pick the odd one.',
    )
    expect(method).toContain('one-sided, p 0.09')
    expect(method).toContain('44 %, between 0 % and 83 %')
    expect(method).toContain('57 tastings')
  })

  it('says that they can tell', () => {
    expect(verdict(right(setOut(settings('triangle')), 6)).plain).toEqual(['Shown to differ: they can tell.'])
    expect(verdict(right(setOut(settings('tetrad')), 8)).headline).toMatch(
      /^Eight of eight put the right two together/,
    )
  })

  it('says when a test cannot show anything, whatever comes', () => {
    const four = setOut(settings('duotrio', { tasters: seats(4) }))
    expect(verdict(right(four, 4)).plain[0]).toContain(
      'four tasters cannot show a difference, whatever they say',
    )
    const two = setOut(settings('triangle', { tasters: seats(2) }))
    expect(verdict(right(two, 2)).plain[0]).toContain('Fewer than three people')
  })

  it('shows a match only against the limit that was set before', () => {
    const asked = settings('triangle', { tasters: seats(30), similarPd: 0.4 })
    expect(verdict(right(setOut(asked), 10)).plain[0]).toContain(
      'Shown to match within the limit that was set: no more than 40 %',
    )
    expect(verdict(right(setOut({ ...asked, similarPd: null }), 10)).plain.join(' ')).not.toContain(
      'Shown to match',
    )
  })

  it('warns of far too few right answers', () => {
    expect(
      verdict(right(setOut(settings('triangle', { tasters: seats(9) })), 0)).cautions.join(' '),
    ).toContain('check the codes')
  })

  it('tells repeats from people, and who carries a result', () => {
    const tasting = setOut(settings('triangle', { tasters: seats(5), rounds: 4 }))
    const answers = right(tasting, 20).answers.map((answer) => {
      const by = Number(/^P(\d)/.exec(answer.servingId)?.[1])
      const serving = tasting.design?.servings.find(({ id }) => id === answer.servingId)
      const isGood = by === 1 || by === 2 || answer.servingId.endsWith('-1')
      const wrong = serving?.glasses.find(({ code }) => !isRight(tasting.settings, serving, [code]))
      return isGood ? answer : { ...answer, picked: [wrong?.code ?? 0] }
    })
    const { cautions } = verdict({ ...tasting, answers })
    expect(cautions[0]).toBe('These are 20 answers of five people: the result speaks of these people only.')
  })

  it('reads a preference both ways', () => {
    const tasting = setOut(settings('paired', { tasters: seats(10) }))
    expect(verdict(right(tasting, 1)).headline).toMatch(
      /^Nine of ten liked the lamb better\. Chance alone does that, one way or the other,/,
    )
    expect(verdict(right(tasting, 9)).headline).toMatch(/^Nine of ten liked Trial 3 better/)
  })
})

describe('a profile against the original', () => {
  const asked = settings('profile', {
    attributes: ['juiciness', 'chewiness', 'umami'],
    samples: [
      original({ predicted: { juiciness: { value: 6, sd: 0 }, chewiness: { value: 5, sd: 0 } } }),
      sample('3', { predicted: { juiciness: { value: 5.5, sd: 1 }, chewiness: { value: 7, sd: 1 } } }),
    ],
  })
  const lean = (taster: string) => (Number(taster.slice(1)) % 4) - 1.5
  const noise = (taster: string, sampleId: string) =>
    sampleId === '3' && Number(taster.slice(1)) % 2 === 0 ? 0.5 : 0
  const tasting = setOut(asked)
  const whole = {
    ...tasting,
    answers: scored(tasting, (taster, sampleId, ask) => {
      const at =
        ask === 'juiciness'
          ? sampleId === '3'
            ? 3
            : 5
          : ask === 'chewiness'
            ? sampleId === '3'
              ? 6
              : 5
            : 6
      return at + lean(taster) + noise(taster, sampleId)
    }),
  }

  it('names what is missed and what is too much, the rest with how sure', () => {
    const { headline, plain, cautions } = verdict(whole)
    expect(headline).toBe('They miss juiciness (1.8), and find too much chewiness (1.3), beside the lamb.')
    expect(plain).toEqual(['As the lamb, within a point: umami.'])
    expect(cautions.join(' ')).toContain(
      'Three questions were asked: chance alone calls at least one of them different in 14 %',
    )
  })

  it('puts a sample on the scale by the original: who scores everything high moves nothing', () => {
    const observed = resultOf(whole).observed
    expect(observed.find(({ attribute }) => attribute === 'juiciness')).toMatchObject({
      observed: 6 - 1.75,
      isShown: true,
    })
    const kept = tastedOf(whole, observed, '2026-06-12')
    expect(kept.map(({ attribute, predicted }) => [attribute, predicted])).toEqual([
      ['juiciness', 5.5],
      ['chewiness', 7],
    ])
  })

  it('takes missing scores, says so, and still compares fairly', () => {
    const answers = whole.answers.map((answer, at) =>
      at === 2 ? { ...answer, marks: answer.marks.filter((_, mark) => mark !== 0) } : answer,
    )
    const result = resultOf({ ...whole, answers: answers.slice(0, -1) })
    expect(result.verdict.cautions[0]).toContain('One of 8 answers is missing')
    const juicy = result.asks.find(({ ask }) => ask === 'juiciness')
    expect(juicy?.against[0]?.difference).toBeCloseTo(-1.75, 0)
    expect(juicy?.against[0]?.verdict).toBe('less')
  })

  it('tests nothing with two tasters, and no figure is ever no number', () => {
    for (const count of [1, 2, 3]) {
      const few = setOut({ ...asked, tasters: seats(count) })
      const result = resultOf({ ...few, answers: scored(few, () => 5) })
      expect(JSON.stringify(result)).not.toMatch(/NaN|Infinity/)
      if (count < 3) {
        expect(result.observed).toEqual([])
        expect(result.verdict.plain[0]).toContain('take it as notes')
      }
    }
  })

  it('speaks kindly of who reads higher, and of who repeats', () => {
    const twice = setOut({ ...asked, rounds: 2 })
    const answers = answersOf(
      twice,
      { place: (id, ask) => (id === '3' && ask === 'juiciness' ? 3 : 5), scatter: 0.4, leans: 0 },
      3,
    ).map((answer) =>
      answer.servingId.startsWith('P5')
        ? {
            ...answer,
            marks: answer.marks.map((mark) => ({ ...mark, value: Math.min(10, mark.value + 2.5) })),
          }
        : answer,
    )
    const panel = resultOf({ ...twice, answers }).panel
    expect(panel.find(({ tasterId }) => tasterId === 'P5')?.words).toContain(
      'scores everything higher than the rest: kept, it cancels',
    )
    expect(panel.every(({ repeats }) => repeats !== null && repeats < 1)).toBe(true)
  })
})

describe('just about right, liking, ranking, difference from control', () => {
  it('names who said what where they are few, and says when one change cannot please both', () => {
    const tasting = setOut(settings('jar', { samples: [sample('3')], controlId: null }))
    const answers = scored(tasting, (taster, _, ask) => {
      if (ask === 'liking') return taster === 'P1' ? 4 : 7
      if (ask === 'juiciness') return ['P1', 'P2'].includes(taster) ? 2 : 3
      return taster < 'P4' ? 4 : taster > 'P6' ? 2 : 3
    })
    const { headline, plain } = verdict({ ...tasting, answers })
    expect(headline).toBe(
      'Juiciness too little for two of eight; chewiness too little for some and too much for others.',
    )
    expect(plain[0]).toBe('Too little juiciness for P1 and P2.')
    expect(plain[1]).toContain('they differ, and one change cannot please both')
  })

  it('never calls a few tasters a market', () => {
    const tasting = setOut(settings('liking'))
    const answers = scored(
      tasting,
      (taster, sampleId) => (sampleId === 'original' ? 8 : 6) - (Number(taster.slice(1)) % 2),
    )
    const { headline, cautions, plain } = verdict({ ...tasting, answers })
    expect(headline).toBe('Liked of 9: the lamb 7.5, Trial 3 5.5.')
    expect(cautions[0]).toContain('no market')
    expect(plain.join(' ')).not.toContain('NaN')
  })

  it('puts trials in order, and says which are apart', () => {
    const tasting = setOut(
      settings('ranking', {
        samples: ['1', '2', '3', '4'].map((id) => sample(id)),
        controlId: null,
        by: 'juiciness',
      }),
    )
    const order = ['3', '1', '4', '2']
    const answers = scored(tasting, (_, sampleId) => order.indexOf(sampleId) + 1)
    const { headline, plain } = verdict({ ...tasting, answers })
    expect(headline).toBe('By juiciness, most first: Trial 3, Trial 1, Trial 4, Trial 2.')
    expect(plain.join(' ')).toContain('Trial 3 from Trial 2')
  })

  it('holds trials against the original under a code, never against nothing', () => {
    const tasting = setOut(settings('control', { samples: [original(), sample('2'), sample('3')] }))
    const answers = scored(
      tasting,
      (taster, sampleId) =>
        (sampleId === 'original' ? 2 : sampleId === '2' ? 2.5 : 5) +
        (Number(taster.slice(1)) % 3) * (sampleId === '3' ? 0.5 : 1),
    )
    const { headline, plain } = verdict({ ...tasting, answers })
    expect(headline).toMatch(
      /^Trial 2 is 0\.5 points further from the lamb than the lamb itself under a code; Trial 3 2\.4 further/,
    )
    expect(plain[1]).toContain('Trial 3 is shown to be different')
  })
})

describe('what an answer lacks', () => {
  it('is said in words', () => {
    const tasting = setOut(settings('triangle'))
    const [serving] = tasting.design?.servings ?? []
    if (serving === undefined) throw new Error('Nothing was set out.')
    const faults = (picked: number[]) => faultsOf(tasting.settings, serving, { picked, marks: [] })
    expect(faults([serving.glasses[0]?.code ?? 0])).toEqual([])
    expect(faults([])).toEqual(['One code is picked.'])
    expect(faults([99])[0]).toContain('99 is no code of')
    const profile = setOut(settings('profile'))
    const [rated] = profile.design?.servings ?? []
    if (rated === undefined) throw new Error('Nothing was set out.')
    const code = rated.glasses[0]?.code ?? 0
    expect(
      faultsOf(profile.settings, rated, {
        picked: [],
        marks: [
          { code, ask: 'umami', value: 5 },
          { code, ask: 'juiciness', value: 5 },
        ],
      }),
    ).toEqual(['umami is not asked in this tasting.'])
    expect(openMarks(profile.settings, rated, [{ code, ask: 'juiciness', value: 5 }])).toHaveLength(3)
  })
})
