/** What a day's intake is set to by each law; null = none is set. */
export interface DailyIntake {
  /** US daily value of adults. @source 21 CFR 101.9(c)(8), (9), 2016 */
  readonly us: number | null
  /** EU reference intake, or nutrient reference value. @source Regulation (EU) 1169/2011 Annex XIII */
  readonly eu: number | null
}

/** By the figure's name in totals and in trace nutrients. */
export const DAILY = {
  energyKcal: { us: 2000, eu: 2000 },
  fatG: { us: 78, eu: 70 },
  saturatedFatG: { us: 20, eu: 20 },
  /** US: total carbohydrate with fibre; EU: available. */
  carbohydrateG: { us: 275, eu: 260 },
  sugarsG: { us: null, eu: 90 },
  fibreG: { us: 28, eu: null },
  proteinG: { us: 50, eu: 50 },
  sodiumMg: { us: 2300, eu: 2400 },
  potassiumMg: { us: 4700, eu: 2000 },
  calciumMg: { us: 1300, eu: 800 },
  ironMg: { us: 18, eu: 14 },
  zincMg: { us: 11, eu: 10 },
  iodineUg: { us: 150, eu: 150 },
  seleniumUg: { us: 55, eu: 55 },
  b12Ug: { us: 2.4, eu: 2.5 },
  vitaminDUg: { us: 20, eu: 5 },
  addedSugarsG: { us: 50, eu: null },
} as const satisfies Readonly<Record<string, DailyIntake>>
export type DailyFigure = keyof typeof DAILY
