import type { Ingredient, Library } from '../model'
import type { Found } from './finding'

/** A food of the dish, and how much of it a portion holds, g. */
export interface PortionFood {
  readonly food: Ingredient
  readonly lineId: string
  readonly massG: number
}

const CODE = 'Ask before you serve the pregnant, the ill or children, and follow your local food code.'

/** Adults' daily upper limits. @source EFSA for iodine and selenium (2023); the US allows 1100 and 400 ug */
const IODINE_UL_UG = 600
const SELENIUM_UL_UG = 255
/** Ground cassia, mg a gram; tolerable in a day, mg a kg of body. @source EFSA 2008; content 2 to 7 */
const COUMARIN_MG_PER_G = 3
const COUMARIN_LIMIT_MG_PER_KG = 0.1
const ADULT_KG = 70
/** Nutmeg in a portion, g: harm is told from about 5 g. @source poison centre reports; practice */
const NUTMEG_MUCH_G = 1
const NUTMEG_TOXIC_G = 5
/** Ground raw linseed in a portion, g. @source cyanide it releases; practice */
const LINSEED_MOST_G = 15
/** Liquid smoke, % of the mass as served. @source usual use 0.1 to 0.5 %; practice */
const SMOKE_MOST_PCT = 0.5
/** Glutamic acid of MSG, mg a kg of body in a day. @source EFSA 2017; molar masses */
const GLUTAMIC_PER_MSG = 0.786
const GLUTAMATE_ADI_MG_PER_KG = 30
const EATER_KG = 60
/** A sudden load of fibre, g a portion. Practice. */
const FIBRE_MUCH_G = 15

const round = (value: number): string => String(Number(value.toPrecision(value >= 100 ? 3 : 2)))

/** Mass of the foods that pass, with the line that brings most of them. */
function sumOf(
  foods: readonly PortionFood[],
  passes: (food: Ingredient) => boolean,
): { massG: number; lineId: string | undefined; name: string } {
  const of = foods.filter(({ food }) => passes(food)).sort((a, b) => b.massG - a.massG)
  return {
    massG: of.reduce((sum, { massG }) => sum + massG, 0),
    lineId: of[0]?.lineId,
    name: of[0]?.food.name ?? '',
  }
}

type Dose = (
  foods: readonly PortionFood[],
  library: Library,
  portion: Portion,
) => (Omit<Found, 'lineId'> & { lineId: string | undefined }) | null

/** What else of a portion doses are held against. */
export interface Portion {
  readonly massG: number
  readonly fibreG: number | null
}

/** Iodine of seaweeds: every kind differs tenfold, so both ends are held against the limit. */
const iodine: Dose = (foods, { facts }) => {
  let low = 0
  let high = 0
  for (const { food, massG } of foods) {
    if (food.foodClass !== 'seaweed') continue
    const fact = facts.traces.get(food.id) ?? facts.traces.get('class:seaweed')
    const solids = massG * (1 - (food.per100g.waterG ?? 0) / 100)
    low += (solids * (fact?.iodineLowUg ?? 0)) / 100
    high += (solids * (fact?.iodineHighUg ?? 0)) / 100
  }
  if (high <= IODINE_UL_UG) return null
  const { lineId, name } = sumOf(foods, ({ foodClass }) => foodClass === 'seaweed')
  // An ordinary kelp broth is above the limit: a caution, said plainly, and no stop.
  return {
    rule: 'dose-iodine',
    severity: 'caution',
    lineId,
    message: `A portion ${low > IODINE_UL_UG ? 'holds' : 'may hold'} ${round(low)} to ${round(high)} µg of iodine from ${name.toLowerCase()}; a day’s limit is ${IODINE_UL_UG} µg in the EU.`,
    remedy: `Less of it, a seaweed with less iodine, or one whose supplier states it. ${CODE}`,
  }
}

const selenium: Dose = (foods, { facts }) => {
  let ug = 0
  for (const { food, massG } of foods)
    if (food.cautions.includes('selenium'))
      ug +=
        ((facts.traces.get(food.id)?.seleniumUg ?? 0) * massG * (1 - (food.per100g.waterG ?? 0) / 100)) / 100
  if (ug <= SELENIUM_UL_UG) return null
  return {
    rule: 'dose-selenium',
    severity: 'caution',
    lineId: sumOf(foods, ({ cautions }) => cautions.includes('selenium')).lineId,
    message: `A portion may hold ${round(ug)} µg of selenium from Brazil nuts; a day’s limit is ${SELENIUM_UL_UG} µg in the EU.`,
    remedy: 'Keep to two or three nuts a portion: they differ a hundredfold.',
  }
}

const coumarin: Dose = (foods) => {
  const { massG, lineId } = sumOf(foods, ({ id }) => id === 'cinnamon')
  const mg = COUMARIN_MG_PER_G * massG
  const limit = COUMARIN_LIMIT_MG_PER_KG * ADULT_KG
  return mg <= limit
    ? null
    : {
        rule: 'dose-coumarin',
        severity: 'caution',
        lineId,
        message: `A portion holds about ${round(mg)} mg of coumarin if the cinnamon is cassia; ${round(limit)} mg a day is the limit for ${ADULT_KG} kg.`,
        remedy: 'Use Ceylon cinnamon, or less. Children’s limit is lower by their weight.',
      }
}

const nutmeg: Dose = (foods) => {
  const { massG, lineId } = sumOf(foods, ({ id }) => id === 'nutmeg' || id === 'mace')
  if (massG <= NUTMEG_MUCH_G) return null
  return {
    rule: 'dose-nutmeg',
    severity: massG >= NUTMEG_TOXIC_G ? 'stop' : 'caution',
    lineId,
    message: `A portion holds ${round(massG)} g of nutmeg; harm is told from about ${NUTMEG_TOXIC_G} g.`,
    remedy: 'Check the amount: a portion takes less than 0.2 g.',
  }
}

const linseed: Dose = (foods) => {
  const { massG, lineId } = sumOf(foods, ({ id }) => id === 'flaxseed-ground')
  return massG <= LINSEED_MOST_G
    ? null
    : {
        rule: 'dose-linseed',
        severity: 'caution',
        lineId,
        message: `A portion holds ${round(massG)} g of ground linseed: raw, it releases cyanide.`,
        remedy: `Keep to ${LINSEED_MOST_G} g a portion, and less for small children.`,
      }
}

const smoke: Dose = (foods, _library, { massG: portionG }) => {
  const { massG, lineId } = sumOf(foods, ({ id }) => id === 'liquid-smoke')
  const share = portionG > 0 ? (100 * massG) / portionG : 0
  return share <= SMOKE_MOST_PCT
    ? null
    : {
        rule: 'dose-smoke',
        severity: 'caution',
        lineId,
        message: `Liquid smoke is ${round(share)} % of the dish; ${SMOKE_MOST_PCT} % is the usual most.`,
        remedy:
          'Less, with smoked paprika or tea beside it. The EU is phasing smoke flavourings out: check what holds for you.',
      }
}

const glutamate: Dose = (foods) => {
  const { massG, lineId } = sumOf(foods, ({ id }) => id === 'msg')
  const mgPerKg = (1000 * GLUTAMIC_PER_MSG * massG) / EATER_KG
  return mgPerKg <= GLUTAMATE_ADI_MG_PER_KG
    ? null
    : {
        rule: 'dose-glutamate',
        severity: 'info',
        lineId,
        message: `A portion holds ${round(mgPerKg)} mg of added glutamic acid a kg of body at ${EATER_KG} kg; ${GLUTAMATE_ADI_MG_PER_KG} is acceptable in a day.`,
        remedy: 'Declare it; most people tolerate ordinary use.',
      }
}

const fibre: Dose = (_foods, _library, { fibreG }) =>
  fibreG === null || fibreG <= FIBRE_MUCH_G
    ? null
    : {
        rule: 'dose-fibre',
        severity: 'info',
        lineId: undefined,
        message: `A portion holds ${Math.round(fibreG)} g of fibre: much at once for who is not used to it.`,
        remedy: 'Raise it slowly, with something to drink.',
      }

/** Not for eating by the advice of several food agencies. */
const arsenic: Dose = (foods) => {
  const { massG, lineId } = sumOf(foods, ({ id }) => id === 'hijiki-dried')
  return massG <= 0
    ? null
    : {
        rule: 'dose-arsenic',
        severity: 'stop',
        lineId,
        message: 'Hijiki holds much inorganic arsenic; several food agencies advise not to eat it.',
        remedy: 'Take wakame, arame or dulse in its place.',
      }
}

/** Foods that some dose is about. */
const DOSED: ReadonlySet<string> = new Set([
  'cinnamon',
  'nutmeg',
  'mace',
  'flaxseed-ground',
  'liquid-smoke',
  'msg',
  'hijiki-dried',
])

const DOSES: readonly Dose[] = [iodine, arsenic, nutmeg, selenium, coumarin, linseed, smoke, glutamate, fibre]

/**
 * Foods that do harm by their dose, a portion of the dish against a day's limit of an adult.
 * @param foods with the grams that a portion holds
 */
export function doseFindings(foods: readonly PortionFood[], library: Library, portion: Portion): Found[] {
  // Most dishes hold none of them: the rest of the lines is looked at no further.
  const dosed = foods.filter(
    ({ food }) => DOSED.has(food.id) || food.foodClass === 'seaweed' || food.cautions.includes('selenium'),
  )
  return DOSES.flatMap((dose): Found[] => {
    const found = dose(dosed, library, portion)
    if (found === null) return []
    const { lineId, ...rest } = found
    return [lineId === undefined ? rest : { ...rest, lineId }]
  })
}
