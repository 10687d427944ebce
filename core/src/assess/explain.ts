import type { ResolvedLine } from '../composition'
import { formatAmount, formatGrams, formatSpread } from '../measure'
import type { Composition, Dish, Kitchen, Library } from '../model'
import { ENERGY_KCAL_PER_G } from '../nutrition'
import { assess } from './assess'
import type { Asked, Explanation, PortionFigure } from './explanation'
import { explainReading } from './explainReading'
import { explainStep } from './explainStep'
import { workDish } from './workDish'
import type { PartWork } from './workPart'

const round = (value: number, digits = 3): string => String(Number(value.toPrecision(digits)))
const MOST_INPUTS = 8
/** What cooking takes or brings is named from this share on. */
const NOTABLE_SHARE = 0.005

function explainLine(work: PartWork, lineId: string): Explanation | null {
  const found = work.lines.find(({ line }) => line.id === lineId)
  const amount = found?.line.amount ?? null
  if (found?.food == null || found.mass === null || amount === null) return null
  const { food, line, mass } = found
  const measured = [...food.volumes.slice(0, 1), ...food.counts.slice(0, 1)]
  return {
    title: `${food.name}: ${formatGrams(mass)} g ${formatSpread(mass)}`.trim(),
    equation: 'amount × volume of the unit × density, or amount × mass of one piece',
    inputs: [
      { label: 'As written', value: line.text, source: 'the formula' },
      { label: 'Read as', value: formatAmount(amount), source: 'the formula' },
      ...measured.map((row) =>
        'gPerMl' in row
          ? {
              label: 'Density',
              value: `${round(row.gPerMl)} g/mL ± ${Math.round(row.rsd * 100)} %`,
              source: row.source,
            }
          : {
              label: `One ${row.unit}`,
              value: `${round(row.massG)} g ± ${Math.round(row.rsd * 100)} %`,
              source: row.source,
            },
      ),
    ],
    levers: [],
    source: `composition: ${food.source}`,
  }
}

const UNITS: Record<PortionFigure, string> = {
  proteinG: 'g',
  fatG: 'g',
  saturatedFatG: 'g',
  carbohydrateG: 'g',
  fibreG: 'g',
  sodiumMg: 'mg',
  energyKcal: 'kcal',
  cost: '',
}

function energyPer100g(c: Composition): number {
  const e = ENERGY_KCAL_PER_G
  return (
    (c.proteinG ?? 0) * e.protein +
    (c.fatG ?? 0) * e.fat +
    (c.carbohydrateG ?? 0) * e.carbohydrate +
    (c.fibreG ?? 0) * e.fibre +
    (c.alcoholG ?? 0) * e.alcohol +
    (c.organicAcidG ?? 0) * e.organicAcid
  )
}

function contribution(
  { food, mass }: ResolvedLine,
  nutrient: PortionFigure,
  kitchen: Kitchen,
): number | null {
  if (food === null || mass === null) return null
  if (nutrient === 'cost') {
    const price = kitchen.prices.find(({ ingredientId }) => ingredientId === food.id)
    return price === undefined ? null : (price.price * mass.value) / price.perG
  }
  if (nutrient === 'energyKcal') return (energyPer100g(food.per100g) * mass.value) / 100
  const per100g = food.per100g[nutrient]
  return per100g === null ? null : (per100g * mass.value) / 100
}

function explainPortion(
  dish: Dish,
  works: readonly PartWork[],
  nutrient: PortionFigure,
  library: Library,
  kitchen: Kitchen,
): Explanation {
  const { portions } = dish.aim
  const rows = works
    .flatMap(({ lines }) => lines)
    .flatMap((line) => {
      const value = contribution(line, nutrient, kitchen)
      return value === null || line.food === null
        ? []
        : [{ line, name: line.food.name, source: line.food.source, each: value / portions }]
    })
    .sort((a, b) => b.each - a.each)
  const total = rows.reduce((sum, { each }) => sum + each, 0)
  const served = assess(dish, library, kitchen).perPortion[nutrient] ?? total
  const left = total - served
  const unit = nutrient === 'cost' ? kitchen.currency : UNITS[nutrient]
  return {
    title: `${round(served)} ${unit} a portion`,
    equation: `sum over the lines of mass × value per 100 g, ÷ ${portions} portions; less what is drained, pressed or left behind`,
    inputs: [
      ...rows.slice(0, MOST_INPUTS).map(({ name, each, source }) => ({
        label: name,
        value: `${round(each)} ${unit} (${total > 0 ? Math.round((100 * each) / total) : 0} %)`,
        source: nutrient === 'cost' ? 'your price' : source,
      })),
      ...(Math.abs(left) > NOTABLE_SHARE * Math.abs(total)
        ? [
            {
              label: left > 0 ? 'Drained, pressed out, left over or on the tools' : 'Taken up in cooking',
              value: `${left > 0 ? '−' : '+'}${round(Math.abs(left))} ${unit}`,
              source: 'the method',
            },
          ]
        : []),
    ],
    levers: [],
    source:
      nutrient === 'energyKcal'
        ? 'factors: Regulation (EU) 1169/2011 Annex XIV'
        : nutrient === 'cost'
          ? 'prices of your pantry'
          : 'compositions as listed',
  }
}

/**
 * Answers "why?" for one figure of an assessment.
 * @returns null where the figure does not exist in the dish
 */
export function explain(dish: Dish, library: Library, kitchen: Kitchen, asked: Asked): Explanation | null {
  const works = workDish(dish, library, kitchen)
  if (asked.kind === 'portion') return explainPortion(dish, works, asked.nutrient, library, kitchen)
  const work = works.find(({ assessment }) => assessment.partId === asked.partId)
  if (work === undefined) return null
  switch (asked.kind) {
    case 'line':
      return explainLine(work, asked.lineId)
    case 'step': {
      const part = dish.parts.find(({ id }) => id === asked.partId)
      return part === undefined
        ? null
        : explainStep(part, work, asked.stepId, library, kitchen, (changed) =>
            workDish(
              { ...dish, parts: dish.parts.map((one) => (one.id === changed.id ? changed : one)) },
              library,
              kitchen,
            ).find(({ assessment }) => assessment.partId === changed.id),
          )
    }
    default:
      return explainReading(work, asked.kind, asked.id)
  }
}
