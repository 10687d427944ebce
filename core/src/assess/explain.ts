import { formatAmount, formatGrams, formatSpread } from '../measure'
import type { Dish, Kitchen, Library } from '../model'
import { contributorsOf } from './contributors'
import type { Asked, Explanation, PortionFigure } from './explanation'
import { explainReading } from './explainReading'
import { explainStep } from './explainStep'
import { workDish } from './workDish'
import { inSecondState, type PartWork } from './workPart'

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

function explainPortion(
  dish: Dish,
  works: readonly PartWork[],
  nutrient: PortionFigure,
  library: Library,
  kitchen: Kitchen,
): Explanation {
  const { portions } = dish.aim
  const {
    rows,
    servedEach: served,
    leftEach: left,
    unit,
  } = contributorsOf(dish, works, nutrient, library, kitchen)
  const total = served + left
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
    default: {
      const asServed = asked.isSecond === true ? inSecondState(work) : work
      return asServed === null ? null : explainReading(asServed, asked.kind, asked.id)
    }
  }
}
