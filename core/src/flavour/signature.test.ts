import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SignatureRow } from '../model'
import { type Dose, signatureOf } from './signature'

const row = (over: Partial<SignatureRow>): SignatureRow => ({
  note: 'savour',
  foodId: 'a',
  lowPct: 1,
  highPct: 3,
  badPct: null,
  turns: '',
  asks: null,
  source: 'test',
  ...over,
})
const dose = (pct: number, over: Partial<Dose> = {}): Dose => ({ pct, browned: 0, left: 1, ...over })
const TWO = [row({}), row({ foodId: 'b', lowPct: 0.4, highPct: 1.2 })]

describe('signatureOf', () => {
  it.each([
    ['nothing', {}, 'missing'],
    ['a trace', { a: 0.1 }, 'missing'],
    ['less than the window', { a: 0.6 }, 'faint'],
    ['within it', { a: 2 }, 'carried'],
    ['half of each', { a: 0.5, b: 0.2 }, 'carried'],
    ['both at their most', { a: 3, b: 1.2 }, 'strong'],
    ['one alone far above', { b: 2 }, 'strong'],
  ])('calls %s by its standing', (_what, given, standing) => {
    const doses = new Map(Object.entries(given).map(([id, pct]) => [id, dose(pct)]))
    expect(signatureOf(TWO, doses, 0).notes.map((note) => note.standing)).toEqual([standing])
  })

  it('asks for browning where the note comes of it, and for what heat has left where it fades', () => {
    const browned = [row({ asks: 'browned' })]
    const fading = [row({ asks: 'fades', badPct: 4, turns: 'sharp' })]
    const pale = new Map([['a', dose(2)]])
    expect(signatureOf(browned, pale, 0).notes[0]?.standing).toBe('missing')
    expect(signatureOf(browned, new Map([['a', dose(2, { browned: 0.4 })]]), 0).notes[0]?.standing).toBe(
      'carried',
    )
    expect(signatureOf(fading, pale, 0).notes[0]?.standing).toBe('carried')
    const boiled = new Map([['a', dose(5, { left: 0.1 })]])
    expect(signatureOf(fading, boiled, 0)).toMatchObject({ notes: [{ standing: 'faint' }], turned: [] })
  })

  it('counts the part’s own culture where a row stands for it', () => {
    const tang = [row({ foodId: null, asks: 'culture', lowPct: 0.4, highPct: 2 })]
    expect(signatureOf(tang, new Map(), 0.8).notes[0]?.standing).toBe('carried')
    expect(signatureOf(tang, new Map(), 0).notes[0]?.standing).toBe('missing')
  })

  it('tells each food that turns once, whether it carries a note or is only watched', () => {
    const rows = [
      row({ badPct: 5, turns: 'bitter' }),
      row({ note: 'depth', badPct: 4, turns: 'bitter' }),
      row({ note: null, foodId: 'root', lowPct: 0, highPct: 7, badPct: 7, turns: 'earthy' }),
    ]
    const { notes, turned } = signatureOf(
      rows,
      new Map([
        ['a', dose(4.5)],
        ['root', dose(7)],
      ]),
      0,
    )
    expect(notes.map(({ note }) => note)).toEqual(['savour', 'depth'])
    expect(turned.map((one) => [one.row.foodId, one.row.badPct])).toEqual([
      ['a', 4],
      ['root', 7],
    ])
  })

  it('never loses a note by more of what carries it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (a, b, more) => {
          const order = ['missing', 'faint', 'carried', 'strong']
          const standing = (of: number): number => {
            const { notes } = signatureOf(
              TWO,
              new Map([
                ['a', dose(of)],
                ['b', dose(b)],
              ]),
              0,
            )
            return order.indexOf(notes[0]?.standing ?? '')
          }
          expect(standing(a + more)).toBeGreaterThanOrEqual(standing(a))
        },
      ),
    )
  })
})
