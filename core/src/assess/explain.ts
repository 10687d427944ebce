import type { ResolvedLine } from '../composition'
import { formatAmount, formatGrams, formatSpread } from '../measure'
import type { Composition, Dish, Kitchen, Library } from '../model'
import { ENERGY_KCAL_PER_G } from '../nutrition'
import { familyModel, perturbed } from '../texture'
import { assess } from './assess'
import type { PartWork } from './assessPart'
import type { Asked, Explained, Explanation, PortionFigure } from './explanation'
import { explainStep } from './explainStep'
import { workDish } from './workDish'

const round = (value: number, digits = 3): string => String(Number(value.toPrecision(digits)))
const signed = (value: number): string => `${value >= 0 ? '+' : '−'}${round(Math.abs(value), 2)}`
const MOST_INPUTS = 8
/** What cooking takes or brings is named from this share on. */
const NOTABLE_SHARE = 0.005

/** What one more tenth of each line does to a reading, strongest first. */
function leversOn(
  work: PartWork,
  read: (state: PartWork['state']) => number,
  unit: string,
): Explanation['levers'] {
  const now = read(work.state)
  return work.lines
    .flatMap((line) => {
      const mass = line.mass?.value ?? 0
      if (line.food === null || mass === 0) return []
      return [
        { label: `${line.food.name} +10 %`, change: read(perturbed(work.state, line, mass * 0.1)) - now },
      ]
    })
    .sort((a, b) => Math.abs(b.change) - Math.abs(a.change))
    .filter(({ change }) => Math.abs(change) > 1e-4)
    .slice(0, 3)
    .map(({ label, change }) => ({ label, change: `${signed(change)}${unit === '' ? '' : ` ${unit}`}` }))
}

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

function explainReading(work: PartWork, kind: 'ratio' | 'attribute', id: string): Explanation | null {
  const model = familyModel(work.assessment.family)
  if (model === null) return null
  if (kind === 'ratio') {
    const ratio = model.ratios.find((one) => one.id === id)
    const reading = work.assessment.ratios.find((one) => one.id === id)
    if (ratio === undefined || reading === undefined) return null
    return {
      title: `${ratio.label}: ${round(reading.value)} ${ratio.unit}`.trim(),
      equation: ratio.equation,
      inputs: [
        {
          label: 'Works well',
          value: `${round(reading.bestLow)} to ${round(reading.bestHigh)} ${ratio.unit}`,
          source: ratio.source,
        },
        {
          label: 'Works',
          value: `${round(reading.low)} to ${round(reading.high)} ${ratio.unit}`,
          source: ratio.source,
        },
        {
          label: 'Uncertainty',
          value: `± ${round(reading.sd, 2)} ${ratio.unit}`,
          source: 'measuring scatter of the lines',
        },
        ...massInputs(work),
      ],
      levers: leversOn(work, ratio.value, ratio.unit),
      source: ratio.source,
    }
  }
  const attribute = model.attributes.find((one) => one.id === id)
  const reading = work.assessment.attributes.find((one) => one.id === id)
  if (attribute === undefined || reading === undefined) return null
  const goal = reading.target
  return {
    title: `${id.replaceAll('_', ' ')}: ${reading.value.toFixed(1)} ± ${reading.sd.toFixed(1)}`,
    equation: attribute.equation,
    inputs: [
      ...(goal === null || work.original === null
        ? []
        : [
            { label: work.original.name, value: `${goal.low} to ${goal.high}`, source: work.original.source },
          ]),
      { label: 'Model', value: `± ${attribute.sd}`, source: 'before it learns from your tastings; practice' },
      ...massInputs(work),
    ],
    levers: leversOn(work, attribute.value, 'points'),
    source: attribute.source,
  }
}

const massInputs = ({ assessment }: PartWork): Explained[] => [
  { label: 'Raw mass', value: `${round(assessment.rawMassG)} g`, source: 'sum of the lines' },
  {
    label: 'Cooked mass',
    value: `${round(assessment.cookedMassG)} g`,
    source: {
      weighed: 'weighed',
      steps: 'the steps',
      family: 'usual for the family; practice',
      raw: 'nothing cooks off',
    }[assessment.cookedBasis],
  },
]

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
