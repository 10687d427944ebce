import type { PartPoint, VineEntry } from '@frijol/core/history'
import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { Vine } from './Vine'
import { layVine, rowHeight, stemPath } from './vineLayout'
import { didWords, distanceWords, stemWords } from './words'

const part = { partId: 'p', part: 'Mince' }
const point = (known: Partial<PartPoint> = {}): PartPoint => ({
  ...part,
  originalName: 'Lamb',
  predicted: { value: 1, sd: 0.3 },
  tasted: null,
  isInEveryBand: false,
  changes: [],
  effects: [],
  tastedEffects: [],
  tastedGaps: [],
  cookedMassG: 100,
  ...known,
})
const entry = (number: number, known: Partial<VineEntry> = {}, own: Partial<PartPoint> = {}): VineEntry => ({
  key: `t${number}`,
  number,
  fromNumber: number === 1 ? null : number - 1,
  state: 'made',
  date: '2026-06-12',
  parts: [point(own)],
  madeOtherwise: [],
  notes: '',
  decision: '',
  why: [],
  costPerPortion: null,
  sodiumMgPerPortion: null,
  ...known,
})

describe('the vine', () => {
  it('puts what is nearer to the original further right, and time downwards', () => {
    const { seeds, stems, ticks } = layVine(
      [
        entry(1, {}, { predicted: { value: 2, sd: 0.3 } }),
        entry(2, {}, { predicted: { value: 0.4, sd: 0.3 } }),
      ],
      [],
      part,
      760,
      90,
    )
    expect(seeds[1]?.x).toBeGreaterThan(seeds[0]?.x ?? Infinity)
    expect(seeds[1]?.y).toBeGreaterThan(seeds[0]?.y ?? Infinity)
    expect(stems.map(({ from, to }) => [from.number, to.number])).toEqual([[1, 2]])
    expect(ticks.map(({ distance }) => distance)).toEqual([0.5, 1, 1.5, 2])
  })

  it('draws proposals after the last, from the trial that they go on from', () => {
    const { seeds, stems } = layVine(
      [entry(1)],
      [{ key: 'n', number: 2, fromNumber: 1, distance: 0.3 }],
      part,
      760,
      90,
    )
    expect(seeds.at(-1)).toMatchObject({ state: 'next', number: 2 })
    expect(stems).toHaveLength(1)
  })

  it('bows a branch out that would run past another seed', () => {
    const { stems } = layVine([entry(1), entry(2), entry(3, { fromNumber: 1 })], [], part, 760, 90)
    const [straight, past] = stems.map((stem) => stemPath(stem, 90))
    expect(straight).not.toEqual(past)
    expect(past?.split(' ').length).toBe(straight?.split(' ').length)
  })

  it('stands wide where there are few trials, and never too close', () => {
    expect(rowHeight(3, 500)).toBe(128)
    expect(rowHeight(300, 500)).toBe(84)
  })

  it('of three hundred trials draws those in the window', async () => {
    const all = Array.from({ length: 300 }, (_, at) => entry(at + 1))
    const onChoose = vi.fn()
    render(<Vine entries={all} proposals={[]} part={part} chosen="t300" onChoose={onChoose} />)
    const seeds = within(screen.getByRole('list', { name: 'Trials' })).getAllByRole('button')
    expect(seeds.length).toBeLessThan(40)
    await userEvent.click(seeds[0] as HTMLElement)
    expect(onChoose).toHaveBeenCalledOnce()
  })
})

describe('the words on a stem', () => {
  const effect = (change: number) => ({
    attribute: 'chewiness' as const,
    before: 4,
    after: 4 + change,
    change,
    weight: 2,
    gapBefore: -2,
    gapAfter: 0,
  })
  it('say what changed and what it did, as tasted where it was', () => {
    const own = point({
      predicted: { value: 0.4, sd: 0.3 },
      effects: [effect(1)],
      tastedEffects: [effect(2)],
    })
    expect(stemWords(entry(1), own)).toBe('the first formula')
    expect(stemWords(entry(2), own)).toBe('this part unchanged')
    expect(didWords(entry(2), own, point())).toEqual({ text: 'tasted: chewiness +2.0', tone: 'nearer' })
  })

  it('say why a trial was set aside: by its decision, else by its notes', () => {
    const aside = (decision: string, notes = '') =>
      didWords(entry(4, { state: 'set-aside', decision, notes }), point(), point()).text
    expect(aside('Set aside: reads as sausage.')).toBe('set aside: reads as sausage')
    expect(aside('Set aside. No soy again.')).toBe('set aside: no soy again')
    expect(aside('Set aside.', 'Cardboard edges. Beany.')).toBe('set aside: cardboard edges')
    expect(aside('')).toBe('set aside')
  })

  it('tell a part without an original from one that could not be judged', () => {
    expect(distanceWords(point({ predicted: null, originalName: null }))).toBe('no original yet')
    expect(distanceWords(point({ predicted: null }))).toContain('not judged')
    expect(distanceWords(point({ tasted: { value: 0.4, sd: 0.1 } }))).toBe(
      '1.0 from the original ± 0.3 by the model, 0.4 ± 0.1 as tasted',
    )
  })
})
