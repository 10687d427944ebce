import type { Amount, AmountTerm, CountMeasure, Ingredient, Kitchen, UnitId } from '../model'
import { APPROXIMATE_RSD, handfulG, HEAPED_CUP, PACKED_LEAVES, QUALIFIERS, SIZE_FACTORS } from './qualifiers'
import type { LineMass, MeasureNote } from './massTypes'
import { GESTURE_RSD, GRAMS_PER, LENGTH_MM, PACK_UNITS, VOLUME_UNITS } from './units'

interface TermMass {
  readonly lowG: number
  readonly highG: number
  readonly rsd: number
  readonly notes: readonly MeasureNote[]
}

const LIQUID_CLASSES: ReadonlySet<string> = new Set(['water', 'plant-milk', 'acid', 'fat', 'sweetener'])
const isLiquid = (food: Ingredient): boolean =>
  (LIQUID_CLASSES.has(food.foodClass) || food.foodClass === 'savoury' || food.foodClass === 'dairy') &&
  (food.volumes[0]?.gPerMl ?? 0) >= 0.86 &&
  ((food.per100g.waterG ?? 0) > 60 || food.foodClass === 'fat')

/** Bulk density where a food has none of its own, g per mL with rsd. Practice. */
const CLASS_DENSITY: Partial<Record<Ingredient['foodClass'], readonly [number, number]>> = {
  water: [1, 0.03],
  'plant-milk': [1.02, 0.04],
  acid: [1.02, 0.05],
  flour: [0.5, 0.14],
  gum: [0.6, 0.2],
  spice: [0.45, 0.15],
  herb: [0.18, 0.25],
  mushroom: [0.35, 0.15],
  seaweed: [0.25, 0.3],
  vegetable: [0.55, 0.15],
  leavening: [0.9, 0.1],
  soy: [0.8, 0.12],
  grain: [0.5, 0.15],
  salt: [1.2, 0.08],
  fat: [0.95, 0.06],
  meat: [0.95, 0.08],
  fish: [0.9, 0.1],
}

/** The volume row whose form the words name ("chopped walnuts"), else the usual state's. */
function densityOf(food: Ingredient, words: string): { gPerMl: number; rsd: number } | null {
  const named = food.volumes.find(({ form }) => form !== null && words.includes(form.replaceAll('-', ' ')))
  const usual = named ?? food.volumes.find(({ form }) => form === null) ?? food.volumes[0]
  if (usual !== undefined) return usual
  const fallback = CLASS_DENSITY[food.foodClass]
  return fallback === undefined ? null : { gPerMl: fallback[0], rsd: fallback[1] }
}

/** Spoons are filled less exactly than cups. Practice: 1.25 times the cup's rsd. */
const SPOON_RSD_FACTOR = 1.25

function qualifierOf(
  food: Ingredient,
  term: AmountTerm,
  words: string,
): { factor: number; rsd: number; isLiquid: boolean } {
  const { qualifier, unit } = term
  if (qualifier === null) return { factor: 1, rsd: 0, isLiquid: false }
  const isHeaped = qualifier === 'heaping' || qualifier === 'rounded'
  if (isHeaped && isLiquid(food)) return { factor: 1, rsd: 0.03, isLiquid: true }
  if (qualifier === 'heaping' && unit !== null && /cup/.test(unit)) return { ...HEAPED_CUP, isLiquid: false }
  if (
    qualifier === 'packed' &&
    words.includes('packed') &&
    food.volumes.some(({ form }) => form === 'packed')
  ) {
    return { factor: 1, rsd: 0, isLiquid: false }
  }
  if (qualifier === 'packed' || qualifier === 'firmly-packed') {
    const isLeaf = food.foodClass === 'herb' || food.foodClass === 'vegetable'
    if (isLeaf) return { ...PACKED_LEAVES, isLiquid: false }
    if (food.foodClass === 'flour' || food.foodClass === 'starch') {
      return { ...QUALIFIERS['firmly-packed'], isLiquid: false }
    }
    if (food.foodClass !== 'sweetener') return { factor: 1.1, rsd: 0.05, isLiquid: false }
    return { ...QUALIFIERS.packed, isLiquid: false }
  }
  return { ...QUALIFIERS[qualifier], isLiquid: false }
}

const rss = (...parts: number[]): number => Math.sqrt(parts.reduce((sum, part) => sum + part * part, 0))

function volumeMass(
  food: Ingredient,
  term: AmountTerm,
  words: string,
  kitchen: Kitchen,
): TermMass | MeasureNote {
  const unit = term.unit === null ? undefined : VOLUME_UNITS[term.unit]
  const withPacked = term.qualifier === 'packed' ? `${words} packed` : words
  const density = densityOf(food, withPacked)
  if (unit === undefined || density === null) {
    return {
      code: 'no-density',
      message: `No density is known for ${food.name.toLowerCase()}.`,
      remedy: 'Weigh it and write grams.',
    }
  }
  const qualifier = qualifierOf(food, term, withPacked)
  const gesture = term.unit === null ? undefined : GESTURE_RSD[term.unit]
  const size = term.size === null ? 1 : SIZE_FACTORS[term.size]
  const perUnit = unit.mL[kitchen.region] * density.gPerMl * qualifier.factor * size
  return {
    lowG: term.low * perUnit,
    highG: term.high * perUnit,
    rsd: rss(density.rsd * (unit.isSpoon ? SPOON_RSD_FACTOR : 1), qualifier.rsd, gesture ?? 0),
    notes: qualifier.isLiquid
      ? [
          {
            code: 'liquid-heaped',
            message: `${food.name} is liquid: a heaped spoon holds no more than a level one.`,
            remedy: 'Write a level measure.',
          },
        ]
      : [],
  }
}

/** One thing bought whole goes by any of these words. */
const SOLD_AS: readonly string[] = ['pack', 'block', 'carton']

/** The piece that an amount counts: by unit name, by size, else the food's usual piece. */
function pieceOf(
  food: Ingredient,
  unit: UnitId | null,
  size: AmountTerm['size'],
  words: string,
): CountMeasure | null {
  const wanted = unit === null ? size : unit
  const names: readonly string[] = wanted === null ? [] : SOLD_AS.includes(wanted) ? SOLD_AS : [wanted]
  const named = food.counts.find((count) => count.unit.split(/[ ,]/).some((word) => names.includes(word)))
  if (named !== undefined) return named
  const byForm = food.counts.find(({ form }) => form !== null && words.includes(form.replaceAll('-', ' ')))
  if (unit === null) return byForm ?? food.counts[0] ?? null
  const isPiece = unit === 'piece' || unit === 'bulb' || unit === 'cap' || unit === 'pod' || unit === 'stalk'
  return isPiece ? (byForm ?? food.counts[0] ?? null) : null
}

/** Pieces that are much alike for every food. g with rsd. Practice. */
const USUAL_PIECES: Partial<Record<UnitId, readonly [number, number]>> = {
  sprig: [1, 0.5],
  leaf: [0.4, 0.5],
  slice: [28, 0.3],
  stalk: [40, 0.35],
  clove: [3, 0.3],
  knob: [15, 0.35],
}

/** A length of a food that has a piece of a known length: "25 mm piece". */
function lengthMass(food: Ingredient, { unit, low, high }: AmountTerm, mm: number): TermMass | MeasureNote {
  for (const { unit: name, massG, rsd } of food.counts) {
    const pieceMm = Number(/^(\d+) mm piece/.exec(name)?.[1])
    if (pieceMm > 0) {
      const perUnit = (massG / pieceMm) * mm
      return { lowG: low * perUnit, highG: high * perUnit, rsd, notes: [] }
    }
  }
  return {
    code: 'no-piece-mass',
    message: `What one ${unit ?? ''} of ${food.name.toLowerCase()} weighs is not known.`,
    remedy: 'Weigh it and write grams.',
  }
}

/** A bunch of herbs; bunches of vegetables differ too much. g with rsd. Practice. */
const HERB_BUNCH = [60, 0.4] as const

function countMass(food: Ingredient, term: AmountTerm, words: string): TermMass | MeasureNote {
  const { unit, size, low, high } = term
  const mm = unit === null ? undefined : LENGTH_MM[unit]
  if (mm !== undefined) return lengthMass(food, term, mm)
  if (unit === 'handful') {
    const each = handfulG(food.foodClass) * (size === null ? 1 : SIZE_FACTORS[size])
    const heaped = term.qualifier === 'heaping' || term.qualifier === 'generous' ? 1.3 : 1
    return { lowG: low * each * heaped, highG: high * each * heaped, rsd: 0.35, notes: [] }
  }
  const piece = pieceOf(food, unit, size, words)
  if (piece !== null) {
    const isOwnSize = size === null || piece.unit.includes(size)
    const usual =
      food.counts.some(({ unit: own }) => own === 'large') &&
      !food.counts.some(({ unit: own }) => own === 'medium')
    const factor = isOwnSize ? 1 : SIZE_FACTORS[size] / (usual ? SIZE_FACTORS.large / 1.2 : 1)
    return { lowG: low * piece.massG * factor, highG: high * piece.massG * factor, rsd: piece.rsd, notes: [] }
  }
  const isHerbBunch = unit === 'bunch' && food.foodClass === 'herb'
  const usual = unit === null ? undefined : isHerbBunch ? HERB_BUNCH : USUAL_PIECES[unit]
  if (usual !== undefined) {
    const factor = size === null ? 1 : SIZE_FACTORS[size]
    return { lowG: low * usual[0] * factor, highG: high * usual[0] * factor, rsd: usual[1], notes: [] }
  }
  return {
    code: 'no-piece-mass',
    message: `What one ${unit ?? 'piece'} of ${food.name.toLowerCase()} weighs is not known.`,
    remedy: 'Weigh it and write grams.',
  }
}

/** Two readings of a can's rest after draining agree to about 4 %. Practice. */
const DRAINED_RSD = 0.04
const DRAINED_SHARE = 0.6
/** A pack holds what it says to about 2 %. Practice. */
const PACK_RSD = 0.02

/** "2 x 400 g tins": what is eaten of them: drained where the liquid is usually poured off. */
function packMass(
  food: Ingredient,
  term: AmountTerm,
  words: string,
  kitchen: Kitchen,
): TermMass | MeasureNote {
  const stated = term.pack
  const can = food.packs[0]
  const own = kitchen.packs.find(({ ingredientId }) => ingredientId === food.id)
  if (stated === null && own !== undefined) {
    return { lowG: term.low * own.massG, highG: term.high * own.massG, rsd: PACK_RSD, notes: [] }
  }
  if (stated === null) {
    const withMass =
      term.unit === 'can' && can !== undefined
        ? { lowG: term.low * can.drainedG, highG: term.high * can.drainedG, rsd: DRAINED_RSD, notes: [] }
        : null
    return withMass ?? countMass(food, term, words)
  }
  const content = termMass(
    food,
    { ...term, low: 1, high: 1, unit: stated.unit, pack: null },
    words,
    kitchen,
    stated.quantity,
  )
  if ('code' in content) return content
  const nearest = [...food.packs].sort(
    (a, b) => Math.abs(a.netG - content.lowG) - Math.abs(b.netG - content.lowG),
  )[0]
  const isDrainedMass = /\bdrained weight\b|\bnet drained\b|\bdrained mass\b/.test(words)
  const isPouredOff = term.unit === 'can' || term.unit === 'jar'
  const canned = food.state === 'canned' ? DRAINED_SHARE : 1
  const share =
    isPouredOff && !isDrainedMass ? (nearest === undefined ? canned : nearest.drainedG / nearest.netG) : 1
  return {
    lowG: term.low * content.lowG * share,
    highG: term.high * content.lowG * share,
    rsd: share < 1 ? DRAINED_RSD : PACK_RSD,
    notes: content.notes,
  }
}

function weighedMass(term: AmountTerm, scale: number): TermMass {
  const grams = (term.unit === null ? undefined : GRAMS_PER[term.unit]) ?? 1
  return { lowG: term.low * grams * scale, highG: term.high * grams * scale, rsd: 0, notes: [] }
}

function termMass(
  food: Ingredient,
  term: AmountTerm,
  words: string,
  kitchen: Kitchen,
  scale = 1,
): TermMass | MeasureNote {
  const { unit } = term
  const scaled = scale === 1 ? term : { ...term, low: term.low * scale, high: term.high * scale }
  if (unit === 'oz' && isLiquid(food) && food.foodClass !== 'fat') {
    const fluid = volumeMass(food, { ...scaled, unit: 'fl-oz' }, words, kitchen)
    if ('code' in fluid) return fluid
    return {
      ...fluid,
      notes: [
        {
          code: 'fluid-ounce-guess',
          message: 'Ounces of a liquid were read as fluid ounces.',
          remedy: 'Write "fl oz", or grams.',
        },
      ],
    }
  }
  if (unit !== null && GRAMS_PER[unit] !== undefined) return weighedMass(term, scale)
  if (unit !== null && VOLUME_UNITS[unit] !== undefined) {
    const isCounted = unit === 'pinch' || unit === 'drop' || unit === 'dash'
    const own = isCounted ? food.counts.find((count) => count.unit === unit) : undefined
    if (own !== undefined) {
      return { lowG: scaled.low * own.massG, highG: scaled.high * own.massG, rsd: own.rsd, notes: [] }
    }
    return volumeMass(food, scaled, words, kitchen)
  }
  if (unit !== null && PACK_UNITS.has(unit)) return packMass(food, scaled, words, kitchen)
  return countMass(food, scaled, words)
}

/** What a scale adds to one reading: 0.7 of its step. @source rounding d/sqrt(6), with linearity and drift; practice */
const SCALE_SHARE = 0.7
/** Up to this mass a kitchen with a fine scale uses it, g. Practice. */
const FINE_SCALE_TO_G = 200

function scaleSd(massG: number, kitchen: Kitchen): number {
  const step =
    kitchen.fineScaleStepG !== null && massG <= FINE_SCALE_TO_G ? kitchen.fineScaleStepG : kitchen.scaleStepG
  return SCALE_SHARE * step
}

/**
 * Grams of an amount of a food, with the standard deviation of measuring it that way.
 *
 * @param amount as read from the text
 * @param food the ingredient
 * @param words the food's words before any comma, in lower case: they choose the form ("chopped walnuts")
 * @param kitchen region of cups and spoons, scale steps
 * @returns mass in g with sd; null with a note where no density or piece mass is known
 * @source densities and piece masses: library/data/measures.csv; qualifiers and gestures: practice
 */
export function lineMass(amount: Amount, food: Ingredient, words: string, kitchen: Kitchen): LineMass {
  let low = 0
  let high = 0
  let variance = 0
  let isRange = false
  const notes: MeasureNote[] = []
  for (const term of amount.terms) {
    const found = termMass(food, term, words, kitchen)
    if ('code' in found) return { mass: null, low: 0, high: 0, notes: [...notes, found] }
    const mid = (found.lowG + found.highG) / 2
    low += term.sign * (term.sign > 0 ? found.lowG : found.highG)
    high += term.sign * (term.sign > 0 ? found.highG : found.lowG)
    isRange ||= term.high > term.low
    const spread = (found.highG - found.lowG) / 2 / Math.sqrt(3)
    const own = found.rsd === 0 ? scaleSd(mid, kitchen) : found.rsd * mid
    variance += own * own + spread * spread
    notes.push(...found.notes)
  }
  const value = Math.max(0, (low + high) / 2)
  const sd = Math.sqrt(variance + (amount.isApproximate ? (APPROXIMATE_RSD * value) ** 2 : 0))
  const reach = isRange ? 0 : 2 * sd
  return {
    mass: { value, sd },
    low: Math.max(0, (isRange ? Math.min(low, value) : value) - reach),
    high: (isRange ? Math.max(high, value) : value) + reach,
    notes,
  }
}
