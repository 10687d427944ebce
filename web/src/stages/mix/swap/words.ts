import { ATTRIBUTES, attributeName, type AttributeId } from '@frijol/core/model'
import type { SwapMatch, Toward } from '@frijol/core/swap'

const FIGURES: Readonly<Record<string, readonly [label: string, unit: string, digits: number]>> = {
  energyKcal: ['energy', 'kcal', 0],
  proteinG: ['protein', 'g', 1],
  fatG: ['fat', 'g', 1],
  saturatedFatG: ['saturated fat', 'g', 1],
  fibreG: ['fibre', 'g', 1],
  sodiumMg: ['sodium', 'mg', 0],
  cost: ['cost', '', 2],
}
const isAttribute = (id: string): id is AttributeId => ATTRIBUTES.some((one) => one === id)

/** Kinds that most kitchens do without, as chips. */
export const KINDS: readonly (readonly [id: string, label: string])[] = [
  ['animal', 'animal foods'],
  ['gluten', 'gluten'],
  ['soy', 'soy'],
  ['tree-nuts', 'tree nuts'],
  ['peanut', 'peanut'],
  ['sesame', 'sesame'],
  ['added-oil', 'added oil'],
  ['nutritional-yeast', 'nutritional yeast'],
]

/** Ways that a whole dish can go. */
export const TOWARD_KINDS: readonly (readonly [id: Toward, label: string])[] = [
  ['lower-sodium', 'lower in sodium'],
  ['cheaper', 'cheaper'],
  ['pantry', 'of what has a price or a pack in Pantry'],
]

/** "without gluten, soy, cheaper". */
export function conversionWords(without: readonly string[], toward: readonly Toward[]): string {
  const kinds = KINDS.filter(([id]) => without.includes(id)).map(([, label]) => label)
  const ways = TOWARD_KINDS.filter(([id]) => toward.includes(id)).map(([, label]) => label)
  return [...(kinds.length > 0 ? [`without ${kinds.join(', ')}`] : []), ...ways].join(', ')
}

/** What amounts can be matched by. */
export const MATCH_NAMES: Readonly<Record<SwapMatch, string>> = {
  usual: 'by its job',
  sodium: 'as salty',
  umami: 'as savoury',
  volume: 'as many spoons',
}

const signed = (value: number, digits: number): string =>
  `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`

export interface Difference {
  readonly id: string
  readonly text: string
}

const MOST_ATTRIBUTES = 5

/** What moves, the most first: attributes in points, then figures of a portion. */
export function differenceWords(differences: Readonly<Record<string, number>>): Difference[] {
  const entries = Object.entries(differences)
  const points = entries
    .filter(([id]) => isAttribute(id))
    .sort(([, a], [, b]) => Math.abs(b) - Math.abs(a))
    .slice(0, MOST_ATTRIBUTES)
    .map(([id, value]) => ({
      id,
      text: `${isAttribute(id) ? attributeName(id).toLowerCase() : id} ${signed(value, 1)}`,
    }))
  const figures = entries.flatMap(([id, value]): Difference[] => {
    const known = FIGURES[id]
    if (known === undefined) return []
    const [label, unit, digits] = known
    if (Number(value.toFixed(digits)) === 0) return []
    return [{ id, text: `${label} ${signed(value, digits)}${unit === '' ? '' : ` ${unit}`}` }]
  })
  return [...points, ...figures]
}

/** "12.5 g ground flaxseed and 37.5 g water". */
export function partsWords(parts: readonly { readonly name: string; readonly massG: number }[]): string {
  const texts = parts.map(({ name, massG }) => {
    const digits = massG >= 20 ? 0 : massG >= 1 ? 1 : 2
    return `${Number(massG.toFixed(digits))} g ${name}`
  })
  const last = texts.at(-1) ?? ''
  return texts.length <= 1 ? last : `${texts.slice(0, -1).join(', ')} and ${last}`
}

/** How well it does the job, in a word. */
export const fitWord = (score: number): string =>
  score >= 0.85
    ? 'does it well'
    : score >= 0.7
      ? 'does most of it'
      : score >= 0.5
        ? 'does some of it'
        : 'a makeshift'
