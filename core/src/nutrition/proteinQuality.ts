import { type ScoredAminoAcid, SCORED_AMINO_ACIDS, type ProteinClass, type ProteinFact } from '../model'

/** What a gram of protein should hold, mg. @source FAO/WHO 1991, all ages from 1 year: the pattern of PDCAAS */
export const PATTERN: Readonly<Record<ScoredAminoAcid, number>> = {
  his: 19,
  ile: 28,
  leu: 66,
  lys: 58,
  saa: 25,
  aaa: 63,
  thr: 34,
  trp: 11,
  val: 35,
}

/** What a gram of protein should hold, mg, from 3 years on. @source FAO 2013: the pattern of DIAAS */
export const PATTERN_2013: Readonly<Record<ScoredAminoAcid, number>> = {
  his: 16,
  ile: 30,
  leu: 61,
  lys: 48,
  saa: 23,
  aaa: 41,
  thr: 25,
  trp: 6.6,
  val: 40,
}

/** One protein of a mix: its grams, what a gram of it holds, mg, and its true faecal digestibility, 0 to 1. */
export interface Protein {
  readonly proteinG: number
  readonly mgPerG: Readonly<Record<ScoredAminoAcid, number>>
  readonly digestibility: number
  /** True ileal digestibility of its amino acids, 0 to 1. */
  readonly ileal: ProteinFact['ileal']
}

export interface ProteinQuality {
  /** Amino acid score times digestibility; not capped. */
  readonly pdcaas: number
  /** The same with each amino acid digested by itself: the stricter reading. */
  readonly stricter: number
  /** Digestible indispensable amino acid score, 1 = 100 %; not capped. */
  readonly diaas: number
  readonly limiting: ScoredAminoAcid
}

const scoreOf = (
  mgPerG: (id: ScoredAminoAcid) => number,
  pattern: typeof PATTERN = PATTERN,
): { score: number; limiting: ScoredAminoAcid } => {
  let limiting: ScoredAminoAcid = 'lys'
  let score = Infinity
  for (const id of SCORED_AMINO_ACIDS) {
    const of = mgPerG(id) / pattern[id]
    if (of >= score) continue
    score = of
    limiting = id
  }
  return { score, limiting }
}

const ilealOf = ({ ileal }: Protein, id: ScoredAminoAcid): number =>
  id === 'lys' ? ileal.lys : id === 'saa' ? ileal.saa : ileal.others

/**
 * Protein quality of a mix: amino acids and digestibility weighed by the share of the protein; scores are never averaged.
 * @returns null for a mix without protein
 * @source FAO/WHO 1991, protein digestibility-corrected amino acid score; FAO 2013, digestible indispensable amino acid score
 */
export function proteinQuality(proteins: readonly Protein[]): ProteinQuality | null {
  const all = proteins.reduce((sum, { proteinG }) => sum + proteinG, 0)
  if (all <= 0) return null
  const mean = (value: (protein: Protein) => number): number =>
    proteins.reduce((sum, protein) => sum + protein.proteinG * value(protein), 0) / all
  const { score, limiting } = scoreOf((id) => mean(({ mgPerG }) => mgPerG[id]))
  const strict = scoreOf((id) => mean(({ mgPerG, digestibility }) => mgPerG[id] * digestibility))
  const ileal = scoreOf((id) => mean((protein) => protein.mgPerG[id] * ilealOf(protein, id)), PATTERN_2013)
  return {
    diaas: ileal.score,
    pdcaas: score * mean(({ digestibility }) => digestibility),
    stricter: strict.score,
    limiting,
  }
}

/** More protein of a kind by this share of the whole, to see what would complement it. */
const MORE = 0.25
/** A complement is named where it raises the score by so much at least. Practice. */
const LEAST_GAIN = 0.03

/** The class of protein of which a quarter more would raise the score most; null where none would by much. */
export function complementOf(
  proteins: readonly Protein[],
  classes: ReadonlyMap<ProteinClass, ProteinFact>,
): ProteinClass | null {
  const now = proteinQuality(proteins)
  if (now === null || now.pdcaas >= 1) return null
  const all = proteins.reduce((sum, { proteinG }) => sum + proteinG, 0)
  let best: ProteinClass | null = null
  let most = now.pdcaas + LEAST_GAIN
  for (const [id, { mgPerG, digestibility, ileal }] of classes) {
    if (id === 'animal') continue
    const then = proteinQuality([...proteins, { proteinG: MORE * all, mgPerG, digestibility, ileal }])
    if (then === null || then.pdcaas <= most) continue
    best = id
    most = then.pdcaas
  }
  return best
}
