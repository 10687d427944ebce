import type { Original, PartAssessment } from '../model'

/** One figure of a part beside that of the food it replaces, in 100 g of each. */
export interface BesideRow {
  readonly label: string
  readonly unit: string
  readonly mine: number | null
  readonly theirs: { readonly typical: number; readonly low: number; readonly high: number }
  /** Gained or lost against the typical original; null where the part's own is not known. */
  readonly change: number | null
  /** Within what originals range over. */
  readonly isWithin: boolean
}

/** Energy of originals differs so much from cut to cut. Practice. */
const ENERGY_RANGE = 0.2

/**
 * Composition of a part beside that of its original, per 100 g as served: what is gained and what is lost.
 * @returns nothing for a part without mass
 */
export function besideOriginal(part: PartAssessment, original: Original): BesideRow[] {
  const { totals, cookedMassG, water } = part
  if (cookedMassG <= 0) return []
  const per100 = (value: number | null): number | null =>
    value === null ? null : (100 * value) / cookedMassG
  const row = (label: string, unit: string, mine: number | null, theirs: BesideRow['theirs']): BesideRow => ({
    label,
    unit,
    mine,
    theirs,
    change: mine === null ? null : mine - theirs.typical,
    isWithin: mine !== null && mine >= theirs.low && mine <= theirs.high,
  })
  const { energyKcal } = original
  return [
    row('Energy', 'kcal', per100(totals.energyKcal), {
      typical: energyKcal,
      low: energyKcal * (1 - ENERGY_RANGE),
      high: energyKcal * (1 + ENERGY_RANGE),
    }),
    row('Water', 'g', per100(water.totalG - water.cookedOffG), original.waterPct),
    row('Protein', 'g', per100(totals.proteinG), original.proteinPct),
    row('Fat', 'g', per100(totals.fatG), original.fatPct),
    row('Saturated fat', 'g', per100(totals.saturatedFatG), original.saturatedFatPct),
    row('Carbohydrate', 'g', per100(totals.carbohydrateG), original.carbohydratePct),
    row('Sodium', 'mg', per100(totals.sodiumMg), original.sodiumMgPer100g),
  ]
}
