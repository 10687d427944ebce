import { describe, expect, it } from 'vitest'
import { beans, water } from '../../test/foods'
import { runMix } from '../../test/mixes'
import { AROMAS, FAT_TEMPS } from '../model'
import type { AgentState, PartState } from '../process'
import { behaviourOf, troughFlowCm } from './behaviour'
import { familyTable } from './families'
import { setFatPct } from './fats'
import { filmStrength, packedFraction } from './foams'
import { agentPct, gelAt, weepRisk } from './gels'
import { NO_GOAL } from './goal'
import { bitterIndex, butteryIndex, cultured, dosePct, lacticPct, roastIndex, sourPct } from './notes'

/** A part of water and a little bean, with what is set by hand. */
const plain = runMix([
  [water, 95],
  [beans, 5],
]).state
const without: PartState = {
  ...plain,
  starch: { ...plain.starch, amyloseG: 0, waxyG: 0, swollenG: 0 },
  notes: { ...plain.notes, gelProteinG: 0 },
}
const state = (known: Partial<PartState>): PartState => ({ ...without, ...known })
const agent = (family: string, pct: number, known: Partial<AgentState> = {}): AgentState => ({
  family,
  massG: (pct / 100) * plain.cooked.massG,
  activeG: (pct / 100) * plain.cooked.massG,
  hydrated: 1,
  acidKept: 1,
  setC: 36,
  meltsC: 88,
  setsHot: false,
  ...known,
})
const cold = { coldH: 12, coldestC: 4 }
const agar = (pct: number, known: Partial<AgentState> = {}) =>
  state({ agents: [agent('agar', pct, known)], cooling: cold })

describe('gels', () => {
  it('follow the square of the dose above its floor', () => {
    expect(gelAt(agar(0.1), 12).index).toBeLessThan(0.6)
    expect(gelAt(agar(0.7), 12).index).toBeGreaterThan(14)
    expect(gelAt(agar(0.7), 12).index).toBeLessThan(22)
    const [half, whole] = [gelAt(agar(0.65), 12).index, gelAt(agar(1.15), 12).index]
    expect(whole / half).toBeCloseTo(4, 0)
    expect(agentPct(agar(0.7), 'agar')).toBeCloseTo(0.7, 9)
  })

  it('need a boil, the cold, and melt where they melt', () => {
    expect(gelAt(agar(0.8, { activeG: 0 }), 12).index).toBeLessThan(1e-9)
    expect(gelAt({ ...agar(0.8), cooling: { coldH: 0, coldestC: 70 } }, 70).index).toBeLessThan(0.1)
    expect(gelAt(agar(0.8), 60).index).toBeGreaterThan(10)
    expect(gelAt(agar(0.8), 98).index).toBeLessThan(1)
    expect(gelAt(agar(0.8), 12).meltsC).toBeCloseTo(88, 0)
  })

  it('of methylcellulose stand hot and let go cold', () => {
    const mix = state({ agents: [agent('methylcellulose', 2, { setC: 52, meltsC: 40, setsHot: true })] })
    expect(gelAt(mix, 70).index).toBeGreaterThan(gelAt(mix, 15).index + 5)
  })

  it('of protein and cooled starch hold without an agent, and grow with both', () => {
    const protein = (grams: number) => state({ notes: { ...without.notes, gelProteinG: grams } })
    expect(gelAt(protein(15), 20).index).toBeGreaterThan(12)
    expect(gelAt(protein(15), 20).index).toBeLessThan(18)
    expect(gelAt(protein(3), 20).index).toBeLessThan(gelAt(protein(6), 20).index)
    const starch = state({ starch: { ...without.starch, amyloseG: 6, swollenG: 6 } })
    expect(gelAt(starch, 70).index).toBeLessThan(gelAt(starch, 8).index)
  })

  it('weep with much agar, and where a culture was not heated or went too far', () => {
    expect(weepRisk(agar(0.7), 12)).toBeLessThan(0.3)
    expect(weepRisk(agar(2), 12)).toBeGreaterThan(weepRisk(agar(1), 12) + 0.2)
    const soured = (known: Partial<PartState>) => weepRisk({ ...agar(0.5), culturePH: 4.4, ...known }, 8)
    expect(soured({ peakC: 40 })).toBeGreaterThan(soured({ peakC: 92 }) + 0.2)
    expect(soured({ peakC: 92, culturePH: 3.9 })).toBeGreaterThan(soured({ peakC: 92 }) + 0.2)
  })
})

describe('set fat', () => {
  const fatty = (liquidG: number, known: Partial<PartState> = {}) => {
    const solidFatG = Float64Array.from([0.88, 0.72, 0.46, 0.36, 0.2, 0.03, 0], (share) => 30 * share)
    const cooked = { ...plain.cooked, massG: 100, fatG: 30 + liquidG }
    return state({ cooked, notes: { ...without.notes, solidFatG }, cooling: cold, ...known })
  }
  it('follows the temperature of the fat, and needs hours in the cold', () => {
    expect(FAT_TEMPS).toHaveLength(7)
    const at = (tempC: number) => setFatPct(fatty(0), 5, tempC)
    expect(at(5)).toBeGreaterThan(25)
    expect(at(18)).toBeCloseTo(30 * 0.46 * (1 - 0.35 * 0.12), 0)
    expect(at(36)).toBe(0)
    for (let tempC = 5; tempC < 40; tempC += 1) expect(at(tempC + 1)).toBeLessThanOrEqual(at(tempC))
    expect(setFatPct(fatty(0, { cooling: { coldH: 0, coldestC: 20 } }), 20, 20)).toBeLessThan(0.1)
  })
  it('is softened by oil', () => {
    expect(setFatPct(fatty(30), 18, 18)).toBeLessThan(setFatPct(fatty(0), 18, 18))
  })
  it('packs a foam, and strengthens its films', () => {
    expect(packedFraction(state({ overrunPct: 400 }), 0)).toBeCloseTo(0.8, 6)
    expect(packedFraction(state({ overrunPct: 100 }), 30)).toBeGreaterThan(0.7)
    expect(filmStrength(plain, 28)).toBeGreaterThan(filmStrength(plain, 0) + 0.9)
  })
})

describe('notes', () => {
  const noted = (doses: Partial<Record<(typeof AROMAS)[number], number>>, known: Partial<PartState> = {}) =>
    state({
      notes: { ...without.notes, aromas: Float64Array.from(AROMAS, (id) => doses[id] ?? 0) },
      cooked: { ...plain.cooked, massG: 100 },
      ...known,
    })
  it('are doses in 100 g', () => {
    expect(dosePct(noted({ smoke: 0.5 }), 'smoke')).toBeCloseTo(0.5, 9)
    expect(butteryIndex(noted({ buttery: 0.8 }))).toBeCloseTo(5.5, 1)
    expect(bitterIndex(noted({ bitter: 4 }))).toBeGreaterThan(bitterIndex(noted({})) + 2)
    expect(roastIndex(noted({}, { surface: { dry: 1, browned: 0.8, oilFilm: 0 } }))).toBeGreaterThan(5)
  })
  it('of a culture come with its acid; what is buffered away is not sour', () => {
    const soured = noted({}, { culturePH: 4.3 })
    expect(lacticPct(soured)).toBeCloseTo(0.8, 6)
    expect(cultured(soured)).toBeGreaterThan(0.9)
    expect(cultured(noted({}))).toBe(0)
    const acid = { ...plain.cooked, massG: 100, organicAcidG: 1 }
    const sour = (value: number) => sourPct(noted({}, { cooked: acid, pH: { value, sd: 0.2 } }))
    expect(sour(3.5)).toBeGreaterThan(0.8)
    expect(sour(6)).toBeLessThan(0.1)
  })
})

describe('behaviour at the counter', () => {
  it('flows less the thicker it is, through the bands of the trough', () => {
    expect(troughFlowCm(0.3)).toBeGreaterThan(5)
    expect(troughFlowCm(0.3)).toBeLessThan(10)
    expect(troughFlowCm(0.05)).toBeGreaterThan(10)
    expect(troughFlowCm(50)).toBe(0)
    let before = Infinity
    for (let x = -4; x < 3; x += 0.1) {
      const cm = troughFlowCm(10 ** x)
      expect(cm).toBeLessThanOrEqual(before)
      before = cm
    }
  })
  it('says what sets, what stands and what has a skin, and how to confirm it', () => {
    const said = (id: 'sliceable-gel' | 'foam' | 'liquid-yolk' | 'cultured-thick', of: PartState) => {
      const table = familyTable(id)
      if (table === null) throw new Error(`no ${id}`)
      return new Map(behaviourOf(table, of, NO_GOAL).map((one) => [one.id, one]))
    }
    expect(said('sliceable-gel', agar(0.7)).get('set')?.value).toBe('slices cleanly')
    expect(said('sliceable-gel', agar(0.7)).get('set')?.confirm).toContain('below 36 °C')
    expect(said('sliceable-gel', agar(0.05)).get('set')?.value).toBe('not set')
    expect(said('foam', state({ overrunPct: 500 })).get('air')?.value).toContain('it stands')
    expect(said('foam', state({ overrunPct: 40 })).get('air')?.value).toContain('it slumps')
    expect(said('liquid-yolk', state({ bathMin: 2 })).get('skin')?.value).toContain('bursts')
    expect(said('liquid-yolk', state({})).has('skin')).toBe(false)
    expect(said('cultured-thick', state({ culturePH: 5.4 })).get('sour')?.value).toContain('not sour enough')
    expect(said('cultured-thick', state({ culturePH: 4.3 })).get('sour')?.value).not.toContain('not sour')
  })
})
