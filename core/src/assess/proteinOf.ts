import type { ResolvedLine } from '../composition'
import {
  type ScoredAminoAcid,
  SCORED_AMINO_ACIDS,
  type Dish,
  type Kitchen,
  type Library,
  type ProteinClass,
} from '../model'
import { complementOf, type Protein, proteinQuality } from '../nutrition'
import { workDish } from './workDish'

/** How good a part's protein is, as far as its amino acids are known. */
export interface ProteinReading {
  readonly pdcaas: number
  readonly stricter: number
  /** 1 = 100 %. */
  readonly diaas: number
  readonly limiting: ScoredAminoAcid
  /** Kind of protein that would complement it; null where none would by much. */
  readonly complement: ProteinClass | null
  /** Share of the protein whose amino acids are known, 0 to 1. */
  readonly known: number
  /** Some of it by its class's usual pattern, not by the food's own. */
  readonly isTypical: boolean
}

/** Below this share of the protein nothing is said. @source 90 %; practice */
const LEAST_KNOWN = 0.9

/** Own amino acids of a food, mg per g of its protein; null where they are not listed. */
function ownPattern({ food }: ResolvedLine): Protein['mgPerG'] | null {
  const listed = food?.aminoAcidsGPer100g
  const protein = food?.per100g.proteinG ?? 0
  if (listed == null || protein <= 0) return null
  const of = (...ids: (keyof typeof listed)[]): number =>
    (1000 * ids.reduce((sum, id) => sum + (listed[id] ?? 0), 0)) / protein
  const pattern: Record<ScoredAminoAcid, number> = {
    his: of('his'),
    ile: of('ile'),
    leu: of('leu'),
    lys: of('lys'),
    saa: of('met', 'cys'),
    aaa: of('phe', 'tyr'),
    thr: of('thr'),
    trp: of('trp'),
    val: of('val'),
  }
  return SCORED_AMINO_ACIDS.every((id) => pattern[id] > 0) ? pattern : null
}

/**
 * Protein quality of a part by its lines.
 * @returns null where amino acids are known for less than 90 % of its protein
 */
export function proteinOf(
  dish: Dish,
  partId: string,
  library: Library,
  kitchen: Kitchen,
): ProteinReading | null {
  const work = workDish(dish, library, kitchen).find(({ assessment }) => assessment.partId === partId)
  if (work === undefined) return null
  const { proteins: facts } = library.facts
  const known: Protein[] = []
  let all = 0
  let isTypical = false
  for (const line of work.lines) {
    const proteinG = ((line.food?.per100g.proteinG ?? 0) * (line.mass?.value ?? 0)) / 100
    all += proteinG
    if (line.food === null || proteinG <= 0) continue
    const fact = facts.get(line.food.proteinClass)
    if (fact === undefined) continue
    const own = ownPattern(line)
    isTypical ||= own === null
    known.push({ proteinG, digestibility: fact.digestibility, ileal: fact.ileal, mgPerG: own ?? fact.mgPerG })
  }
  const knownG = known.reduce((sum, { proteinG }) => sum + proteinG, 0)
  const quality = proteinQuality(known)
  if (quality === null || knownG < LEAST_KNOWN * all) return null
  return { ...quality, complement: complementOf(known, facts), known: knownG / all, isTypical }
}
