import type { Totals } from '../model'
import { DAILY, type DailyFigure } from './intakes'
import {
  euGrams,
  euSalt,
  euSaturates,
  nearest,
  usCholesterol,
  usEnergy,
  usFat,
  usGrams,
  usPercent,
  usSodium,
} from './rounding'
import { type Energetic, energyKcal } from './totals'

export type LabelRegion = 'us' | 'eu'

/** One line of a label, rounded as its law asks. */
export interface LabelRow {
  readonly id: string
  readonly label: string
  /** "8 g", "<0.5 g", "≥ 12 g" where some food has no figure; null where nothing is known. */
  readonly amount: string | null
  /** % of the daily value or reference intake; null where none is set or nothing is known. */
  readonly percent: string | null
  /** "of which": stands under the row before it. */
  readonly isOf: boolean
}

/** kJ per g: factors of their own, not the kcal times 4.184. @source Regulation (EU) 1169/2011 Annex XIV */
const ENERGY_KJ_PER_G = {
  proteinG: 17,
  fatG: 37,
  carbohydrateG: 17,
  fibreG: 8,
  alcoholG: 29,
  organicAcidG: 13,
} as const

/** Energy by the EU factors, kcal and kJ; null unless protein, fat and carbohydrate are known. */
export function euEnergy(totals: Energetic): { kcal: number; kJ: number } | null {
  const kcal = energyKcal(totals)
  if (kcal === null) return null
  const kJ = Object.entries(ENERGY_KJ_PER_G).reduce(
    (sum, [name, factor]) => sum + factor * (totals[name as keyof Energetic] ?? 0),
    0,
  )
  return { kcal, kJ }
}

/** Soluble share of fibre, where nothing says better. Practice. */
const SOLUBLE_SHARE = 1 / 3

/**
 * Energy by the US methods, kcal.
 * @param method B: 4, 4 and 9 on total carbohydrate; C: fibre taken out, its soluble part at 2
 * @source 21 CFR 101.9(c)(1)(i)
 */
export function usEnergyKcal(
  totals: Energetic,
  method: 'B' | 'C',
  solubleFibreG = SOLUBLE_SHARE * (totals.fibreG ?? 0),
): number | null {
  const { proteinG, fatG, carbohydrateG } = totals
  if (proteinG === null || fatG === null || carbohydrateG === null) return null
  const fibreG = totals.fibreG ?? 0
  const rest = 4 * proteinG + 9 * fatG + 7 * (totals.alcoholG ?? 0)
  return method === 'B' ? rest + 4 * (carbohydrateG + fibreG) : rest + 4 * carbohydrateG + 2 * solubleFibreG
}

/** Salt that is declared for sodium, g per mg. @source Regulation (EU) 1169/2011 Annex I: sodium × 2.5 */
export const SALT_G_PER_SODIUM_MG = 2.5 / 1000

/** What a label is made of: totals of a portion or of 100 g, and the protein's quality where it is known. */
export interface LabelInput {
  readonly totals: Totals
  /** PDCAAS, 0 to 1 or above; null where amino acids are not known. */
  readonly pdcaas: number | null
  /** Without animal foods there is no cholesterol; with them it is not known here. */
  readonly isPlantBased: boolean
  /** What totals do not carry, of the same portion; null where it is not known. */
  readonly addedSugarsG?: number | null
  readonly vitaminDUg?: number | null
}

const percentOf = (value: number, figure: DailyFigure, region: LabelRegion): number | null => {
  const day = DAILY[figure][region]
  return day === null ? null : (100 * value) / day
}

/** Builds rows: what is not known is null, what is known in part is a lower bound. */
function builder({ totals }: LabelInput) {
  const rows: LabelRow[] = []
  const add = (
    row: Pick<LabelRow, 'id' | 'label'> & { readonly isOf?: boolean },
    figure: string,
    value: number | null,
    declared: (value: number) => string,
    percent: (value: number) => string | null = () => null,
  ): void => {
    const bound = totals.atLeast.includes(figure) ? '≥ ' : ''
    rows.push({
      isOf: false,
      ...row,
      amount: value === null ? null : `${bound}${declared(value)}`,
      percent: value === null ? null : percent(value),
    })
  }
  return { rows, add }
}

/** @source 21 CFR 101.9(c), (d): order of the panel, amounts and % daily values; methods B for energy */
function usRows(input: LabelInput): LabelRow[] {
  const { totals, pdcaas } = input
  const { rows, add } = builder(input)
  const grams = (declared: (value: number) => string) => (value: number) => `${declared(value)} g`
  const percent = (figure: DailyFigure) => (value: number) => {
    const share = percentOf(value, figure, 'us')
    return share === null ? null : `${nearest(share, 1)} %`
  }
  const mineral = (figure: DailyFigure) => (value: number) =>
    `${usPercent(percentOf(value, figure, 'us') ?? 0)} %`
  const { fibreG, carbohydrateG } = totals
  const total = carbohydrateG === null ? null : carbohydrateG + (fibreG ?? 0)
  add({ id: 'energy', label: 'Calories' }, 'energyKcal', usEnergyKcal(totals, 'B'), usEnergy)
  add({ id: 'fat', label: 'Total fat' }, 'fatG', totals.fatG, grams(usFat), percent('fatG'))
  add(
    { id: 'saturates', label: 'Saturated fat', isOf: true },
    'saturatedFatG',
    totals.saturatedFatG,
    grams(usFat),
    percent('saturatedFatG'),
  )
  add(
    { id: 'trans', label: 'Trans fat', isOf: true },
    'trans',
    // Hardened fats may not be used since 2018; what refining makes of oils rounds to 0.
    input.isPlantBased ? 0 : null,
    grams(usFat),
  )
  add(
    { id: 'cholesterol', label: 'Cholesterol' },
    'cholesterol',
    input.isPlantBased ? 0 : null,
    (mg) => `${usCholesterol(mg)} mg`,
  )
  add(
    { id: 'sodium', label: 'Sodium' },
    'sodiumMg',
    totals.sodiumMg,
    (mg) => `${usSodium(mg)} mg`,
    percent('sodiumMg'),
  )
  add(
    { id: 'carbohydrate', label: 'Total carbohydrate' },
    'carbohydrateG',
    total,
    grams(usGrams),
    percent('carbohydrateG'),
  )
  add(
    { id: 'fibre', label: 'Dietary fiber', isOf: true },
    'fibreG',
    fibreG,
    grams(usGrams),
    percent('fibreG'),
  )
  add({ id: 'sugars', label: 'Total sugars', isOf: true }, 'sugarsG', totals.sugarsG, grams(usGrams))
  add(
    { id: 'added-sugars', label: 'Includes added sugars', isOf: true },
    'sugarsG',
    input.addedSugarsG ?? null,
    grams(usGrams),
    percent('addedSugarsG'),
  )
  add({ id: 'protein', label: 'Protein' }, 'proteinG', totals.proteinG, grams(usGrams), (value) =>
    pdcaas === null ? null : `${nearest(percentOf(value * Math.min(1, pdcaas), 'proteinG', 'us') ?? 0, 1)} %`,
  )
  add(
    { id: 'vitamin-d', label: 'Vitamin D' },
    'vitaminDUg',
    input.vitaminDUg ?? null,
    (ug) => `${nearest(ug, 0.1)} µg`,
    mineral('vitaminDUg'),
  )
  add(
    { id: 'calcium', label: 'Calcium' },
    'calciumMg',
    totals.calciumMg,
    (mg) => `${nearest(mg, 10)} mg`,
    mineral('calciumMg'),
  )
  add(
    { id: 'iron', label: 'Iron' },
    'ironMg',
    totals.ironMg,
    (mg) => `${nearest(mg, 0.1)} mg`,
    mineral('ironMg'),
  )
  add(
    { id: 'potassium', label: 'Potassium' },
    'potassiumMg',
    totals.potassiumMg,
    (mg) => `${nearest(mg, 10)} mg`,
    mineral('potassiumMg'),
  )
  return rows
}

/** @source Regulation (EU) 1169/2011 Annex XV: order; minerals are shown from 15 % of the reference value in 100 g */
const SIGNIFICANT_PCT = 15
function euRows(input: LabelInput): LabelRow[] {
  const { totals } = input
  const { rows, add } = builder(input)
  const grams = (declared: (value: number) => string) => (value: number) => `${declared(value)} g`
  const percent = (figure: DailyFigure) => (value: number) => {
    const share = percentOf(value, figure, 'eu')
    return share === null ? null : `${nearest(share, 1)} %`
  }
  const energy = euEnergy(totals)
  add(
    { id: 'energy', label: 'Energy' },
    'energyKcal',
    energy?.kcal ?? null,
    (kcal) => `${nearest(energy?.kJ ?? 0, 1)} kJ / ${nearest(kcal, 1)} kcal`,
    percent('energyKcal'),
  )
  add({ id: 'fat', label: 'Fat' }, 'fatG', totals.fatG, grams(euGrams), percent('fatG'))
  add(
    { id: 'saturates', label: 'of which saturates', isOf: true },
    'saturatedFatG',
    totals.saturatedFatG,
    grams(euSaturates),
    percent('saturatedFatG'),
  )
  add(
    { id: 'carbohydrate', label: 'Carbohydrate' },
    'carbohydrateG',
    totals.carbohydrateG,
    grams(euGrams),
    percent('carbohydrateG'),
  )
  add(
    { id: 'sugars', label: 'of which sugars', isOf: true },
    'sugarsG',
    totals.sugarsG,
    grams(euGrams),
    percent('sugarsG'),
  )
  add({ id: 'fibre', label: 'Fibre' }, 'fibreG', totals.fibreG, grams(euGrams))
  add({ id: 'protein', label: 'Protein' }, 'proteinG', totals.proteinG, grams(euGrams), percent('proteinG'))
  add(
    { id: 'salt', label: 'Salt' },
    'sodiumMg',
    totals.sodiumMg === null ? null : totals.sodiumMg * SALT_G_PER_SODIUM_MG,
    grams(euSalt),
    (salt) => `${nearest((100 * salt) / EU_SALT_G, 1)} %`,
  )
  for (const [id, label, figure] of EU_MINERALS) {
    const value = totals[figure]
    const share = value === null ? 0 : (percentOf(value, figure, 'eu') ?? 0)
    if (share >= SIGNIFICANT_PCT)
      add(
        { id, label },
        figure,
        value,
        (mg) => `${Number(mg.toPrecision(2))} mg`,
        () => `${nearest(share, 1)} %`,
      )
  }
  return rows
}
/** @source Regulation (EU) 1169/2011 Annex XIII part B */
const EU_SALT_G = 6
const EU_MINERALS = [
  ['calcium', 'Calcium', 'calciumMg'],
  ['iron', 'Iron', 'ironMg'],
  ['potassium', 'Potassium', 'potassiumMg'],
] as const

/** Rows of a nutrition label as a region's law rounds and orders them. A draft to check against the local law, no legal advice. */
export const labelRows = (input: LabelInput, region: LabelRegion): LabelRow[] =>
  region === 'us' ? usRows(input) : euRows(input)
