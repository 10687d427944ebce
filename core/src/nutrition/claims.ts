import type { Totals } from '../model'
import { DAILY } from './intakes'
import { euEnergy, usEnergyKcal } from './label'

/** A claim whose threshold holds, with the figure that it rests on. */
export interface Claim {
  readonly id: string
  readonly words: string
  readonly why: string
  /** What the law asks to be said beside it. */
  readonly note: string | null
}

interface Rule {
  readonly id: string
  readonly words: string
  /** What it rests on: all of it must be known whole. */
  readonly needs: readonly string[]
  readonly holds: (at: Figures) => boolean
  readonly why: (at: Figures) => string
  readonly note?: (at: Figures) => string | null
}

interface Figures {
  readonly totals: Totals
  readonly kcal: number
  readonly pdcaas: number | null
}

const g = (value: number | null): number => value ?? Number.NaN
const shown = (value: number): string => String(Number(value.toPrecision(3)))

const EU: readonly Rule[] = [
  {
    id: 'source-of-protein',
    words: 'Source of protein',
    needs: ['proteinG', 'energyKcal'],
    holds: ({ totals, kcal }) => kcal > 0 && (400 * g(totals.proteinG)) / kcal >= 12,
    why: ({ totals, kcal }) => `${shown((400 * g(totals.proteinG)) / kcal)} % of the energy, from 12 %`,
  },
  {
    id: 'high-protein',
    words: 'High protein',
    needs: ['proteinG', 'energyKcal'],
    holds: ({ totals, kcal }) => kcal > 0 && (400 * g(totals.proteinG)) / kcal >= 20,
    why: ({ totals, kcal }) => `${shown((400 * g(totals.proteinG)) / kcal)} % of the energy, from 20 %`,
  },
  {
    id: 'source-of-fibre',
    words: 'Source of fibre',
    needs: ['fibreG', 'energyKcal'],
    holds: ({ totals, kcal }) =>
      g(totals.fibreG) >= 3 || (kcal > 0 && (100 * g(totals.fibreG)) / kcal >= 1.5),
    why: ({ totals }) => `${shown(g(totals.fibreG))} g in 100 g, from 3 g (or 1.5 g in 100 kcal)`,
  },
  {
    id: 'high-fibre',
    words: 'High fibre',
    needs: ['fibreG', 'energyKcal'],
    holds: ({ totals, kcal }) => g(totals.fibreG) >= 6 || (kcal > 0 && (100 * g(totals.fibreG)) / kcal >= 3),
    why: ({ totals }) => `${shown(g(totals.fibreG))} g in 100 g, from 6 g (or 3 g in 100 kcal)`,
  },
  {
    id: 'low-fat',
    words: 'Low fat',
    needs: ['fatG'],
    holds: ({ totals }) => g(totals.fatG) <= 3,
    why: ({ totals }) => `${shown(g(totals.fatG))} g in 100 g, up to 3 g`,
  },
  {
    id: 'low-saturated-fat',
    words: 'Low saturated fat',
    needs: ['saturatedFatG', 'energyKcal'],
    holds: ({ totals, kcal }) =>
      g(totals.saturatedFatG) <= 1.5 && kcal > 0 && (900 * g(totals.saturatedFatG)) / kcal <= 10,
    why: ({ totals, kcal }) =>
      `${shown(g(totals.saturatedFatG))} g in 100 g, up to 1.5 g; ${shown((900 * g(totals.saturatedFatG)) / kcal)} % of the energy, up to 10 %`,
  },
  {
    id: 'low-sugars',
    words: 'Low sugars',
    needs: ['sugarsG'],
    holds: ({ totals }) => g(totals.sugarsG) <= 5,
    why: ({ totals }) => `${shown(g(totals.sugarsG))} g in 100 g, up to 5 g`,
  },
  {
    id: 'low-sodium',
    words: 'Low salt',
    needs: ['sodiumMg'],
    holds: ({ totals }) => g(totals.sodiumMg) <= 120,
    why: ({ totals }) => `${shown(g(totals.sodiumMg))} mg of sodium in 100 g, up to 120 mg`,
  },
  ...(
    [
      ['iron', 'ironMg'],
      ['calcium', 'calciumMg'],
      ['potassium', 'potassiumMg'],
    ] as const
  ).map(([name, figure]): Rule => ({
    id: `source-of-${name}`,
    words: `Source of ${name}`,
    needs: [figure],
    holds: ({ totals }) => g(totals[figure]) >= 0.15 * DAILY[figure].eu,
    why: ({ totals }) =>
      `${Math.round((100 * g(totals[figure])) / DAILY[figure].eu)} % of the reference value in 100 g, from 15 %`,
  })),
]

/** Fat of a fibre claim is said, unless the food is low in fat. */
const LOW_FAT_G = 3

const US: readonly Rule[] = [
  {
    id: 'low-sodium',
    words: 'Low sodium',
    needs: ['sodiumMg'],
    holds: ({ totals }) => g(totals.sodiumMg) <= 140,
    why: ({ totals }) => `${shown(g(totals.sodiumMg))} mg, up to 140 mg`,
  },
  {
    id: 'low-fat',
    words: 'Low fat',
    needs: ['fatG'],
    holds: ({ totals }) => g(totals.fatG) <= LOW_FAT_G,
    why: ({ totals }) => `${shown(g(totals.fatG))} g, up to 3 g`,
  },
  {
    id: 'low-saturated-fat',
    words: 'Low saturated fat',
    needs: ['saturatedFatG', 'energyKcal'],
    holds: ({ totals, kcal }) =>
      g(totals.saturatedFatG) <= 1 && kcal > 0 && (900 * g(totals.saturatedFatG)) / kcal <= 15,
    why: ({ totals, kcal }) =>
      `${shown(g(totals.saturatedFatG))} g, up to 1 g; ${shown((900 * g(totals.saturatedFatG)) / kcal)} % of the energy, up to 15 %`,
  },
  ...(['good', 'high'] as const).flatMap((level): Rule[] => [
    {
      id: `${level}-fibre`,
      words: level === 'high' ? 'High fiber' : 'Good source of fiber',
      needs: ['fibreG'],
      holds: ({ totals }) => isLevel(level, (100 * g(totals.fibreG)) / DAILY.fibreG.us),
      why: ({ totals }) => `${Math.round((100 * g(totals.fibreG)) / DAILY.fibreG.us)} % of the daily value`,
      note: ({ totals }) =>
        g(totals.fatG) <= LOW_FAT_G ? null : `say the total fat beside it: ${shown(g(totals.fatG))} g`,
    },
    {
      id: `${level}-protein`,
      words: level === 'high' ? 'High protein' : 'Good source of protein',
      needs: ['proteinG', 'pdcaas'],
      holds: (at) => isLevel(level, proteinPercent(at)),
      why: (at) =>
        `${Math.round(proteinPercent(at))} % of the daily value after its quality (PDCAAS ${shown(Math.min(1, g(at.pdcaas)))})`,
    },
    ...(
      [
        ['iron', 'ironMg'],
        ['calcium', 'calciumMg'],
        ['potassium', 'potassiumMg'],
      ] as const
    ).map(([name, figure]): Rule => ({
      id: `${level}-${name}`,
      words: level === 'high' ? `High in ${name}` : `Good source of ${name}`,
      needs: [figure],
      holds: ({ totals }) => isLevel(level, (100 * g(totals[figure])) / DAILY[figure].us),
      why: ({ totals }) => `${Math.round((100 * g(totals[figure])) / DAILY[figure].us)} % of the daily value`,
    })),
  ]),
]
/** @source 21 CFR 101.54: high from 20 %, good source 10 to 19 % of the daily value */
function isLevel(level: 'good' | 'high', percent: number): boolean {
  return level === 'high' ? percent >= 20 : percent >= 10 && percent < 20
}
function proteinPercent({ totals, pdcaas }: Figures): number {
  return (100 * g(totals.proteinG) * Math.min(1, g(pdcaas))) / DAILY.proteinG.us
}

/** What a disclosure is due for, per reference amount. @source 21 CFR 101.13(h) */
const DISCLOSED = [
  ['fatG', 13, 'g of fat'],
  ['saturatedFatG', 4, 'g of saturated fat'],
  ['sodiumMg', 480, 'mg of sodium'],
] as const

function claimsBy(rules: readonly Rule[], at: Figures): Claim[] {
  const { totals, pdcaas } = at
  const isKnown = (figure: string): boolean =>
    figure === 'pdcaas'
      ? pdcaas !== null
      : !totals.atLeast.includes(figure) && totals[figure as keyof Totals] !== null
  const found = rules.filter(({ needs, holds }) => needs.every(isKnown) && holds(at))
  const ids = new Set(found.map(({ id }) => id))
  // A stronger claim says the weaker one, too.
  return found
    .filter(({ id }) => !(id.startsWith('source-of-') && ids.has(id.replace('source-of-', 'high-'))))
    .map(({ id, words, why, note }) => ({ id, words, why: why(at), note: note?.(at) ?? null }))
}

/**
 * Claims whose thresholds hold in the EU, on unrounded values in 100 g of a solid food.
 * @source Regulation (EC) 1924/2006 Annex. No legal advice
 */
export function euClaims(per100g: Totals): Claim[] {
  return claimsBy(EU, { totals: per100g, kcal: euEnergy(per100g)?.kcal ?? 0, pdcaas: null })
}

/**
 * Claims whose thresholds hold in the US, on unrounded values of a reference amount.
 * @param reference totals of the amount customarily consumed
 * @returns claims, and what must be disclosed beside any of them
 * @source 21 CFR 101.13, .54, .61, .62. No legal advice
 */
export function usClaims(reference: Totals, pdcaas: number | null): { claims: Claim[]; disclose: string[] } {
  return {
    claims: claimsBy(US, { totals: reference, kcal: usEnergyKcal(reference, 'B') ?? 0, pdcaas }),
    disclose: DISCLOSED.flatMap(([figure, most, words]) => {
      const value = reference[figure]
      return value !== null && value > most ? [`${shown(value)} ${words}`] : []
    }),
  }
}
