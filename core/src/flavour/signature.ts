import type { SignatureRow } from '../model'

/** How much of a food is there for the nose. */
export interface Dose {
  /** % of the mix, as weighed in. */
  readonly pct: number
  /** Share of it that is browned, 0 to 1. */
  readonly browned: number
  /** What heat has left of notes that fade, 0 to 1. */
  readonly left: number
}

/** A food that carries a note, with the dose that counts for it. */
export interface NoteCarrier {
  readonly row: SignatureRow
  /** % of the mix; of the part's own culture, how far it has soured, 0 to 1. */
  readonly pct: number
}

export type NoteStanding = 'missing' | 'faint' | 'carried' | 'strong'

/** A note of an original's aroma in a part. */
export interface SignatureNote {
  readonly note: string
  readonly standing: NoteStanding
  /** Sum of doses, each by the low end of its window: 1 carries the note. */
  readonly strength: number
  /** What carries it, the strongest first. */
  readonly carriers: readonly NoteCarrier[]
  /** All that could, in the order of the table. */
  readonly rows: readonly SignatureRow[]
}

/** A food of which there is so much that it reads as something else. */
export interface TurnedFood {
  readonly row: SignatureRow
  readonly pct: number
}

/** A food counts as browned from this share on. @source onions that are soft and golden; practice */
const BROWNED_ENOUGH = 0.15
/** Carriers add up: half the low dose of two foods is one dose. Together they may pass the ends of their windows by half. Practice. */
const STRONG_FROM = 1.5
/** Below this share of a dose a note is not noticed at all. Practice. */
const FAINT_FROM = 0.15

/** What the nose has of a food, browned or not. */
function smelled({ foodId, asks }: SignatureRow, doses: ReadonlyMap<string, Dose>): number {
  const dose = foodId === null ? undefined : doses.get(foodId)
  if (dose === undefined) return 0
  return asks === 'fades' ? dose.pct * dose.left : dose.pct
}

function counted(row: SignatureRow, doses: ReadonlyMap<string, Dose>, soured: number): number {
  if (row.foodId === null) return soured
  const browned = doses.get(row.foodId)?.browned ?? 0
  return smelled(row, doses) * (row.asks === 'browned' ? Math.min(1, browned / BROWNED_ENOUGH) : 1)
}

function standingOf(strength: number, ofHigh: number): NoteStanding {
  if (strength < FAINT_FROM) return 'missing'
  if (strength < 1) return 'faint'
  return ofHigh > STRONG_FROM ? 'strong' : 'carried'
}

function noteOf(
  note: string,
  rows: readonly SignatureRow[],
  doses: ReadonlyMap<string, Dose>,
  soured: number,
): SignatureNote {
  const carriers = rows
    .map((row) => ({ row, pct: counted(row, doses, soured) }))
    .filter(({ pct }) => pct > 0)
    .sort((a, b) => b.pct / b.row.lowPct - a.pct / a.row.lowPct)
  const strength = carriers.reduce((sum, { row, pct }) => sum + pct / row.lowPct, 0)
  const ofHigh = carriers.reduce((sum, { row, pct }) => sum + pct / row.highPct, 0)
  return { note, standing: standingOf(strength, ofHigh), strength, carriers, rows }
}

/**
 * Which notes of an original's aroma foods carry, and what there is too much of.
 * @param doses by food id
 * @param soured how far the part's own culture has soured it, 0 to 1
 * @source dose table of aromas in library/data/signatures.csv; that carriers of one note add up is practice
 */
export function signatureOf(
  rows: readonly SignatureRow[],
  doses: ReadonlyMap<string, Dose>,
  soured: number,
): { readonly notes: readonly SignatureNote[]; readonly turned: readonly TurnedFood[] } {
  const byNote = new Map<string, SignatureRow[]>()
  const turned = new Map<string, TurnedFood>()
  for (const row of rows) {
    if (row.note !== null) byNote.set(row.note, [...(byNote.get(row.note) ?? []), row])
    const { foodId, badPct } = row
    if (foodId === null || badPct === null) continue
    const pct = smelled(row, doses)
    const known = turned.get(foodId)?.row.badPct ?? Number.POSITIVE_INFINITY
    if (pct >= badPct && badPct < known) turned.set(foodId, { row, pct })
  }
  return {
    notes: [...byNote].map(([note, of]) => noteOf(note, of, doses, soured)),
    turned: [...turned.values()],
  }
}
