import {
  BEANY_NOTICED,
  beanyLeft,
  beanyWords,
  equivalentUmami,
  heatWords,
  saltPct,
  umamiOf,
} from '../flavour'
import { AROMAS, type AttributeId, type Dish, type Kitchen, type Library } from '../model'
import { aromaOf, type AromaReading } from './aromaOf'
import { type FoodIn, foodsIn } from './foodsIn'
import { workDish } from './workDish'

/** What one food of a part brings of a taste. */
export interface TasteSource {
  readonly name: string
  readonly lineId: string
  /** Of the whole, 0 to 1. */
  readonly share: number
}

export interface FlavourReading {
  /** Salt from every source, % of the mass as served. */
  readonly saltPct: number
  readonly umami: {
    /** MSG that would taste as savoury, g in 100 g. */
    readonly y: number
    /** Free glutamate alone, mg in 100 g. */
    readonly glutamateMg: number
    /** How many times nucleotides lift it; 1 = not at all. */
    readonly lift: number
    /** By what the whole would lose without it: a nucleotide counts by what it lifts. */
    readonly sources: readonly TasteSource[]
  }
  readonly heat: {
    readonly mgPer100g: number
    readonly words: string
    readonly sources: readonly TasteSource[]
  }
  readonly beany: {
    readonly left: number
    readonly words: string
    readonly isNoticed: boolean
    readonly sources: readonly TasteSource[]
  }
  readonly bitter: { readonly sources: readonly TasteSource[] }
  /** Notes of the original that the part carries, misses or overdoes. */
  readonly notes: readonly {
    readonly id: AttributeId
    readonly standing: 'carried' | 'missing' | 'overdone'
  }[]
  /** The original's aroma by what carries it; null where nothing is known of that. */
  readonly aroma: AromaReading | null
}

/** Attributes that the nose tells apart. */
const NOTES: readonly AttributeId[] = [
  'roasted',
  'smokiness',
  'buttery',
  'lactic_tangy',
  'sulphury',
  'marine',
  'spice_warm',
]
/** A note that is to be weaker than this need not be carried. */
const LEAST_NOTE = 2
const MOST_SOURCES = 6
const LEAST_SHARE = 0.02
const BITTER = AROMAS.indexOf('bitter')

/** The strongest first; crumbs are left out. */
function ranked(lines: readonly FoodIn[], valueOf: (line: FoodIn) => number): TasteSource[] {
  const values = lines.map((line) => ({ line, value: valueOf(line) })).filter(({ value }) => value > 0)
  const whole = values.reduce((sum, { value }) => sum + value, 0)
  return values
    .map(({ line: { food, lineId }, value }) => ({ name: food.name, lineId, share: value / whole }))
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((a, b) => b.share - a.share)
    .slice(0, MOST_SOURCES)
}

/** Umami without each line, against the whole. Foods of which nothing is known bring nothing here. */
function umamiSources(lines: readonly FoodIn[], massG: number): TasteSource[] {
  const of = (foods: readonly FoodIn[]): number => {
    const sum = { glutamateMg: 0, impMg: 0, gmpMg: 0, ampMg: 0 }
    for (const { food, massG: grams } of foods) {
      const { umami } = food
      if (umami === null) continue
      sum.glutamateMg += (umami.glutamateMg * grams) / 100
      sum.impMg += (umami.impMg * grams) / 100
      sum.gmpMg += (umami.gmpMg * grams) / 100
      sum.ampMg += (umami.ampMg * grams) / 100
    }
    const per100 = (mg: number): number => mg / 10 / massG
    return equivalentUmami({
      glutamateGPer100g: per100(sum.glutamateMg),
      impGPer100g: per100(sum.impMg),
      gmpGPer100g: per100(sum.gmpMg),
      ampGPer100g: per100(sum.ampMg),
    })
  }
  const whole = of(lines)
  return ranked(lines, (line) =>
    line.food.umami === null ? 0 : whole - of(lines.filter((one) => one !== line)),
  )
}

/**
 * Where a part's taste comes from, and what may be wrong with it.
 * @returns null for a part without mass
 */
export function flavourOf(
  dish: Dish,
  partId: string,
  library: Library,
  kitchen: Kitchen,
): FlavourReading | null {
  const { facts } = library
  const works = workDish(dish, library, kitchen)
  const work = works.find(({ assessment }) => assessment.partId === partId)
  if (work === undefined || work.assessment.cookedMassG <= 0) return null
  const { state, assessment } = work
  const { cooked } = state
  const lines = foodsIn(work, works)
  const per100 = (sum: number): number => (100 * sum) / assessment.cookedMassG
  const y = umamiOf(cooked)
  const glutamateMg = per100(cooked.glutamateMg)
  const bite = ({ food, massG }: FoodIn): number => (facts.pungency.get(food.id) ?? 0) * massG
  const beany = ({ food, solidsG }: FoodIn): number => {
    const dose = facts.beany.get(food.id) ?? facts.beany.get(`class:${food.foodClass}`) ?? 0
    return dose * solidsG
  }
  const attribute = (id: AttributeId): number =>
    assessment.attributes.find((one) => one.id === id)?.value ?? 0
  const heatMg = per100(lines.reduce((sum, line) => sum + bite(line), 0))
  const left = beanyLeft({
    dosePer100g: per100(lines.reduce((sum, line) => sum + beany(line), 0)),
    peakC: state.peakC,
    roasted: attribute('roasted'),
    spiceWarm: attribute('spice_warm'),
    smokiness: attribute('smokiness'),
  })
  return {
    saltPct: saltPct(cooked),
    umami: {
      y,
      glutamateMg,
      lift: glutamateMg > 0 ? (1000 * y) / glutamateMg : 1,
      sources: umamiSources(lines, assessment.cookedMassG),
    },
    heat: { mgPer100g: heatMg, words: heatWords(heatMg), sources: ranked(lines, bite) },
    beany: {
      left,
      words: beanyWords(left),
      isNoticed: left >= BEANY_NOTICED,
      sources: ranked(lines, beany),
    },
    bitter: {
      sources: ranked(lines, ({ food, massG }) => (facts.aromas.get(food.id)?.[BITTER] ?? 0) * massG),
    },
    aroma: aromaOf(work, dish.aim, library),
    notes: NOTES.flatMap((id): FlavourReading['notes'] => {
      const reading = assessment.attributes.find((one) => one.id === id)
      if (reading?.target == null) return []
      const { gap, target } = reading
      if (gap > 0) return [{ id, standing: 'overdone' }]
      if (target.high < LEAST_NOTE) return []
      return [{ id, standing: gap < 0 ? 'missing' : 'carried' }]
    }),
  }
}
