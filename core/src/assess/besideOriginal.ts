import type { Original, PartAssessment } from '../model'
import { DAILY, type DailyFigure, type DailyIntake } from '../nutrition'
import type { TraceReading } from './tracesOf'

/** How a figure stands against the original's: a good thing gained or lost, a thing to limit better or worse. */
export type BesideStanding = 'gained' | 'lost' | 'better' | 'worse'

/** One figure of a part beside that of the food it replaces, in as much of each. */
export interface BesideRow {
  readonly label: string
  readonly unit: string
  readonly mine: number | null
  readonly theirs: { readonly typical: number; readonly low: number; readonly high: number }
  /** Gained or lost against the typical original; null where the part's own is not known. */
  readonly change: number | null
  /** Within what originals range over. */
  readonly isWithin: boolean
  /** null where it makes no difference worth a word, or is neither good nor bad. */
  readonly standing: BesideStanding | null
  /** What to know of the figure: "absorbed less than from meat". */
  readonly note: string | null
}

/** Energy of originals differs so much from cut to cut. Practice. */
const ENERGY_RANGE = 0.2
/** Minerals do, too. Practice. */
const TRACE_RANGE = 0.3

/** @source ratio below 0.8 lost, above 1.2 gained, where it is a tenth of the daily value; a twentieth for what is to be limited. Practice */
const LESS = 0.8
const MORE = 1.2
const NOTABLE = { good: 0.1, limited: 0.05 } as const

/** Standing of two amounts as eaten. @param kind whether more of it is wanted, or less */
export function standingOf(
  mine: number | null,
  theirs: number,
  figure: DailyFigure,
  kind: 'good' | 'limited',
): BesideStanding | null {
  const { us, eu }: DailyIntake = DAILY[figure]
  const day = us ?? eu
  if (mine === null || day === null) return null
  const least = NOTABLE[kind] * day
  const ratio = theirs > 0 ? mine / theirs : mine > 0 ? Infinity : 1
  if (kind === 'limited') {
    if (Math.max(mine, theirs) < least) return null
    return ratio < LESS ? 'better' : ratio > MORE ? 'worse' : null
  }
  if (ratio < LESS && theirs >= least) return 'lost'
  return ratio > MORE && mine >= least ? 'gained' : null
}

/**
 * Composition of a part beside that of its original, in as much of each as served: what is gained and what is lost.
 * @param massG how much of each, g
 * @param traces of the whole part; null leaves the rarer minerals out
 * @returns nothing for a part without mass
 */
export function besideOriginal(
  part: PartAssessment,
  original: Original,
  massG = 100,
  traces: TraceReading | null = null,
): BesideRow[] {
  const { totals, cookedMassG, water } = part
  if (cookedMassG <= 0) return []
  const share = massG / 100
  const scaled = (value: number | null): number | null =>
    value === null ? null : (massG * value) / cookedMassG
  const row = (
    label: string,
    unit: string,
    mine: number | null,
    theirs: BesideRow['theirs'],
    standing: BesideStanding | null = null,
    note: string | null = null,
  ): BesideRow => ({
    label,
    unit,
    mine,
    theirs,
    change: mine === null ? null : mine - theirs.typical,
    isWithin: mine !== null && mine >= theirs.low && mine <= theirs.high,
    standing,
    note,
  })
  const range = ({ typical, low, high }: BesideRow['theirs']) => ({
    typical: share * typical,
    low: share * low,
    high: share * high,
  })
  const around = (typical: number, by: number) =>
    range({ typical, low: typical * (1 - by), high: typical * (1 + by) })
  const plain = (label: string, unit: string, value: number | null, theirs: BesideRow['theirs']) =>
    row(label, unit, scaled(value), range(theirs))
  const judged = (
    label: string,
    unit: string,
    figure: DailyFigure,
    kind: 'good' | 'limited',
    value: number | null,
    theirs: BesideRow['theirs'],
    note: string | null = null,
  ): BesideRow => {
    const mine = scaled(value)
    return row(label, unit, mine, range(theirs), standingOf(mine, share * theirs.typical, figure, kind), note)
  }
  const rows = [
    row('Energy', 'kcal', scaled(totals.energyKcal), around(original.energyKcal, ENERGY_RANGE)),
    plain('Water', 'g', water.totalG - water.cookedOffG, original.waterPct),
    judged('Protein', 'g', 'proteinG', 'good', totals.proteinG, original.proteinPct),
    plain('Fat', 'g', totals.fatG, original.fatPct),
    judged('Saturated fat', 'g', 'saturatedFatG', 'limited', totals.saturatedFatG, original.saturatedFatPct),
    plain('Carbohydrate', 'g', totals.carbohydrateG, original.carbohydratePct),
    judged('Fibre', 'g', 'fibreG', 'good', totals.fibreG, { typical: 0, low: 0, high: 0 }),
    judged('Sodium', 'mg', 'sodiumMg', 'limited', totals.sodiumMg, original.sodiumMgPer100g),
  ]
  const theirs = original.traces
  if (theirs === null) return rows
  const mineral = (
    label: string,
    unit: string,
    figure: DailyFigure,
    value: number | null,
    typical: number,
    note: string | null = null,
  ): BesideRow =>
    judged(
      label,
      unit,
      figure,
      'good',
      value,
      { typical, low: typical * (1 - TRACE_RANGE), high: typical * (1 + TRACE_RANGE) },
      note,
    )
  rows.push(
    mineral(
      'Iron',
      'mg',
      'ironMg',
      totals.ironMg,
      theirs.ironMg,
      original.group === 'meat' ? 'absorbed less than from meat; vitamin C helps' : null,
    ),
    mineral('Calcium', 'mg', 'calciumMg', totals.calciumMg, theirs.calciumMg),
    mineral('Potassium', 'mg', 'potassiumMg', totals.potassiumMg, theirs.potassiumMg),
  )
  if (traces === null) return rows
  const { iodineLowUg, iodineHighUg } = traces
  const spread = (iodineHighUg - iodineLowUg) * (massG / cookedMassG)
  rows.push(
    mineral('Zinc', 'mg', 'zincMg', traces.zincMg, theirs.zincMg, 'absorbed less beside phytate'),
    mineral('Selenium', 'µg', 'seleniumUg', traces.seleniumUg, theirs.seleniumUg, 'follows the soil'),
    mineral(
      'Iodine',
      'µg',
      'iodineUg',
      traces.iodineUg,
      theirs.iodineUg,
      spread > DAILY.iodineUg.us / 2
        ? `anywhere from ${Math.round((massG * iodineLowUg) / cookedMassG)} to ${Math.round((massG * iodineHighUg) / cookedMassG)} µg: seaweed differs`
        : 'salt is taken as not iodised',
    ),
    mineral('Vitamin B12', 'µg', 'b12Ug', traces.b12Ug, theirs.b12Ug, 'from fortified food alone'),
    mineral(
      'Vitamin D',
      'µg',
      'vitaminDUg',
      traces.vitaminDUg,
      theirs.vitaminDUg,
      'from fortified food, and mushrooms that saw light',
    ),
  )
  return rows
}
