import { describe, expect, it } from 'vitest'
import type { ScoredAminoAcid } from '../model'
import { complementOf, type Protein, proteinQuality } from './proteinQuality'

const of = (
  proteinG: number,
  digestibility: number,
  values: readonly number[],
  ileal = { lys: 0.86, saa: 0.9, others: 0.88 },
): Protein => {
  const [his = 0, ile = 0, leu = 0, lys = 0, saa = 0, aaa = 0, thr = 0, trp = 0, val = 0] = values
  const mgPerG: Record<ScoredAminoAcid, number> = { his, ile, leu, lys, saa, aaa, thr, trp, val }
  return { proteinG, digestibility, ileal, mgPerG }
}
const gluten = (grams: number) => of(grams, 0.98, [21, 37, 69, 17, 38, 85, 25, 9, 39])
const chickpea = (grams: number) => of(grams, 0.85, [27.5, 43, 71, 67, 26.5, 78.5, 37, 9.6, 42])

describe('proteinQuality', () => {
  it('of wheat gluten is 0.29, for want of lysine', () => {
    const quality = proteinQuality([gluten(20)])
    expect(quality?.pdcaas).toBeCloseTo(0.2872, 4)
    expect(quality?.limiting).toBe('lys')
    // Digestible lysine 14.62 mg of the 48 of the later pattern.
    expect(quality?.diaas).toBeCloseTo(14.62 / 48, 4)
  })
  it('of chickpea is 0.74, for want of tryptophan', () => {
    expect(proteinQuality([chickpea(1)])?.pdcaas).toBeCloseTo(0.7418, 4)
    expect(proteinQuality([chickpea(1)])?.limiting).toBe('trp')
  })
  it('of both, 60 to 40, is that of the blend, not the mean of their scores', () => {
    const quality = proteinQuality([gluten(60), chickpea(40)])
    expect(quality?.pdcaas).toBeCloseTo(0.592, 4)
    expect(quality?.stricter).toBeCloseTo(0.5651, 4)
    expect(quality?.limiting).toBe('lys')
  })
  it('is best near 65 % chickpea', () => {
    let best = { share: 0, score: 0 }
    for (let share = 0; share <= 1000; share += 1) {
      const score = proteinQuality([gluten(1000 - share), chickpea(share)])?.pdcaas ?? 0
      if (score > best.score) best = { share: share / 10, score }
    }
    expect(best.share).toBeCloseTo(65.1, 5)
    expect(best.score).toBeCloseTo(0.7644, 4)
  })
  it('is none without protein', () => {
    expect(proteinQuality([])).toBeNull()
    expect(proteinQuality([gluten(0)])).toBeNull()
  })
})

describe('complementOf', () => {
  const fact = ({ mgPerG, digestibility, ileal }: Protein) => ({
    mgPerG,
    digestibility,
    ileal,
    source: 'test',
  })
  const classes = new Map([
    ['gluten', fact(gluten(1))],
    ['pulse', fact(chickpea(1))],
  ] as const)
  it('names what brings the amino acid that is short', () => {
    expect(complementOf([gluten(20)], classes)).toBe('pulse')
    expect(complementOf([chickpea(20)], classes)).toBeNull()
  })
})
