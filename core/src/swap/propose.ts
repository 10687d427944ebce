import { assess } from '../assess'
import type { Assessment, AttributeId, Dish, FamilyId, Ingredient, Library, SwapRow } from '../model'
import { isExcluded } from '../rules'
import { matched, type SwapMatch, type SwapPart } from './amounts'
import { waterEvened } from './evened'
import { replaced, type SwapBench } from './replace'

/** What can stand in for a line's food here, and what it would do. */
export interface SwapProposal {
  readonly lineId: string
  readonly replaces: string
  readonly with: readonly SwapPart[]
  /** How well it does the job in this dish, 0 to 1. */
  readonly score: number
  /** What is done otherwise. */
  readonly process: readonly string[]
  /** What moves: attributes of the part in points, figures of a portion in their units. */
  readonly differences: Readonly<Record<string, number>>
  readonly reasons: readonly string[]
  /** The table knows it; else it is a food of the same kind. */
  readonly isKnown: boolean
  readonly allergens: { readonly brings: readonly string[]; readonly spares: readonly string[] }
  readonly dish: Dish
  readonly assessment: Assessment
}

export interface SwapAsk {
  readonly lineId: string
  /** Allergens, kinds and foods that may not come in, beside those of the dish's aim. */
  readonly without: readonly string[]
  /** What amounts are matched by; a match of one's own keeps the water of the mix, too. */
  readonly match?: SwapMatch
  /** Foods or swaps that this kitchen has turned down, with the reason: told, and put behind the others. */
  readonly turnedDown?: readonly { readonly foodId: string; readonly reason: string }[]
}

/** A swap for this family comes before one that does anywhere. Practice. */
const ELSEWHERE = 0.12
/** Foods of the same class with the same jobs, where the table knows nothing better. Practice. */
const KIN_FIT = 0.45
const MOST_KIN = 4
const KIN_SOURCE = 'composition and roles'
/** How much of the score is what the engine foretells; the rest is the table's. Practice. */
const FORETOLD = 0.15
/** An attribute that moves by so much all over is another food. */
const FAR = 3
const MOST_TRIED = 10
const TURNED_DOWN = 0.5
const LEAST_SHOWN = { points: 0.1, share: 0.02 } as const

interface Candidate {
  readonly row: SwapRow
  readonly fit: number
}

/** Rows of the table for a food in a family, the best first. */
function rowsFor(food: Ingredient, family: FamilyId | null, { swaps }: Library): Candidate[] {
  return swaps.flatMap((row): Candidate[] => {
    if (
      !row.from.includes(food.id) ||
      row.with.some(({ foodId, share }) => foodId === food.id && share > 0.5)
    )
      return []
    const isHome = family !== null && row.families.includes(family)
    if (isHome) return [{ row, fit: row.fit }]
    // A row for some families is no answer in others; without a family the best use of the food is not known.
    if (!row.isAnywhere && family !== null) return []
    const isSpecial = row.families.length > 0
    return [{ row, fit: isSpecial ? row.fit - ELSEWHERE : row.fit }]
  })
}

/** Foods of the same class that do the same jobs and are made of the same. */
function kinOf(food: Ingredient, library: Library): Candidate[] {
  const roles = new Set(food.functional?.roles ?? [])
  const near: { other: Ingredient; near: number }[] = []
  for (const other of library.ingredients.values()) {
    if (other.id === food.id || other.foodClass !== food.foodClass || other.state !== food.state) continue
    const shared = (other.functional?.roles ?? []).filter((role) => roles.has(role)).length
    near.push({ other, near: alike(food, other) + 0.1 * shared })
  }
  return near
    .sort((a, b) => b.near - a.near || a.other.id.localeCompare(b.other.id))
    .slice(0, MOST_KIN)
    .map(({ other, near: closeness }) => ({
      row: {
        from: [food.id],
        with: [{ foodId: other.id, share: 1 }],
        basis: 'mass',
        ratio: 1,
        families: [],
        isAnywhere: true,
        does: ['of the same kind'],
        process: '',
        readies: [],
        fit: KIN_FIT,
        source: KIN_SOURCE,
      },
      fit: KIN_FIT * Math.min(1, 0.6 + 0.4 * closeness),
    }))
}

/** How alike two foods are made, 0 to 1. */
function alike({ per100g: a }: Ingredient, { per100g: b }: Ingredient): number {
  let apart = 0
  for (const nutrient of ['waterG', 'proteinG', 'fatG', 'carbohydrateG'] as const)
    apart += Math.abs((a[nutrient] ?? 0) - (b[nutrient] ?? 0))
  return Math.max(0, 1 - apart / 120)
}

const FIGURES = ['energyKcal', 'proteinG', 'fatG', 'saturatedFatG', 'fibreG', 'sodiumMg', 'cost'] as const

/** What moves between two assessments, in the part and in a portion. */
function differences(before: Assessment, after: Assessment, partId: string): Record<string, number> {
  const found: Record<string, number> = {}
  const was = before.parts.find((one) => one.partId === partId)
  const is = after.parts.find((one) => one.partId === partId)
  for (const { id, value } of is?.attributes ?? []) {
    const then = was?.attributes.find((one) => one.id === id)?.value
    if (then !== undefined && Math.abs(value - then) >= LEAST_SHOWN.points) found[id] = value - then
  }
  for (const figure of FIGURES) {
    const [then, now] = [before.perPortion[figure], after.perPortion[figure]]
    if (then === null || now === null) continue
    // A food without a figure is no saving.
    if (after.perPortion.atLeast.includes(figure) && !before.perPortion.atLeast.includes(figure)) continue
    if (Math.abs(now - then) > LEAST_SHOWN.share * Math.max(1e-6, Math.abs(then))) found[figure] = now - then
  }
  return found
}

/** How far a part moved, weighted by what counts, and against its original where it has one. 0 = not at all, 1 = another food. */
function movedBy(before: Assessment, after: Assessment, partId: string): number {
  const was = before.parts.find((one) => one.partId === partId)
  const is = after.parts.find((one) => one.partId === partId)
  if (was === undefined || is === undefined || was.attributes.length === 0) return 0
  let sum = 0
  let weights = 0
  for (const { id, value, weight, gap } of is.attributes) {
    const then = was.attributes.find((one) => one.id === id)
    if (then === undefined) continue
    const counts = 0.2 + weight
    // Nearer to its band is no harm.
    const worse =
      then.target === null ? Math.abs(value - then.value) : Math.max(0, Math.abs(gap) - Math.abs(then.gap))
    sum += counts * Math.min(FAR, worse)
    weights += counts
  }
  return weights === 0 ? 0 : sum / weights / FAR
}

const percent = (share: number): string => `${Math.round(100 * share)} %`

const signedGrams = (grams: number): string =>
  `${grams < 0 ? '−' : '+'}${Number(Math.abs(grams).toPrecision(2))} g`

function reasonsFor(
  row: SwapRow,
  parts: readonly SwapPart[],
  family: FamilyId | null,
  match: SwapMatch,
  waterG: number,
): string[] {
  const basis = {
    umami: 'as much glutamate',
    volume: 'as many spoons',
    mass: null,
    fat: 'as much fat',
    sodium: 'as much sodium',
    sweet: 'as much sugar',
    acid: 'as much acid',
    protein: 'as much protein',
    dry: 'as much dry matter',
    thick: 'as much swollen starch',
  }[match === 'usual' ? row.basis : match]
  const home =
    family !== null && row.families.includes(family) ? `, in a ${family.replaceAll('-', ' ')} above all` : ''
  return [
    `does of it: ${row.does.join(', ')}${home}`,
    ...(basis === null
      ? []
      : [
          `the amount holds ${basis}${row.ratio === 1 || match !== 'usual' ? '' : ` (${percent(row.ratio)})`}`,
        ]),
    ...(waterG === 0 ? [] : [`water ${signedGrams(waterG)}, so that the mix stays as wet`]),
    ...(parts.length > 1 ? [`${parts.length} foods share the work`] : []),
    `source: ${row.source}`,
  ]
}
/**
 * What can stand in for the food of a line, best first.
 *
 * The swaps table says what does the job in this family of dishes and in what amount; foods of the same kind follow. Each
 * is put into the dish and assessed: what moves is told, and what moves much comes later.
 *
 * @returns empty where the line has no food or mass, or nothing may stand in for it
 */
export function proposeSwaps(dish: Dish, ask: SwapAsk, bench: SwapBench): SwapProposal[] {
  const { library, kitchen } = bench
  const part = dish.parts.find(({ lines }) => lines.some(({ id }) => id === ask.lineId))
  const line = part?.lines.find(({ id }) => id === ask.lineId)
  const food = line?.ingredientId == null ? undefined : library.ingredients.get(line.ingredientId)
  if (part === undefined || food === undefined) return []
  const before = assess(dish, library, kitchen)
  const massG =
    before.parts.flatMap(({ lines }) => lines).find(({ lineId }) => lineId === ask.lineId)?.massG ?? null
  if (massG === null || massG <= 0) return []
  const barred = [...dish.aim.excluded, ...ask.without]
  const match = ask.match ?? 'usual'
  const isAllowed = (other: Ingredient): boolean => !barred.some((id) => isExcluded(other, id, library))
  const seen = new Set<string>()
  const candidates = [...rowsFor(food, part.family, library), ...kinOf(food, library)]
    .sort((a, b) => b.fit - a.fit)
    .flatMap(({ row, fit }) => {
      const key = row.with.map(({ foodId }) => foodId).join('+')
      const parts = matched(food, massG, row, library, match)
      if (parts === null || seen.has(key) || !parts.every(({ food: other }) => isAllowed(other))) return []
      seen.add(key)
      return [{ row, fit, parts }]
    })
    .slice(0, MOST_TRIED)
  return candidates
    .map(({ row, fit, parts }): SwapProposal => {
      const swapped = replaced(dish, ask.lineId, parts, row, bench)
      const { dish: changed, waterG } =
        match === 'usual'
          ? { dish: swapped, waterG: 0 }
          : waterEvened(swapped, ask.lineId, { food, massG }, parts, bench)
      const after = assess(changed, library, kitchen)
      const turnedDown = ask.turnedDown?.find(({ foodId }) =>
        parts.some(({ food: other }) => other.id === foodId),
      )
      const score =
        (fit * (1 - FORETOLD) + FORETOLD * (1 - movedBy(before, after, part.id))) *
        (turnedDown === undefined ? 1 : TURNED_DOWN)
      return {
        lineId: ask.lineId,
        replaces: food.id,
        with: parts,
        score,
        process: row.process === '' ? [] : [row.process],
        differences: differences(before, after, part.id),
        reasons: [
          ...(turnedDown === undefined ? [] : [`turned down here before: ${turnedDown.reason}`]),
          ...reasonsFor(row, parts, part.family, match, waterG),
        ],
        isKnown: row.source !== KIN_SOURCE,
        allergens: {
          brings: [...new Set(parts.flatMap(({ food: other }) => other.allergens))].filter(
            (id) => !food.allergens.includes(id),
          ),
          spares: food.allergens.filter(
            (id) => !parts.some(({ food: other }) => other.allergens.includes(id)),
          ),
        },
        dish: changed,
        assessment: after,
      }
    })
    .sort((a, b) => b.score - a.score)
}

/** Names of attributes among the differences. */
export type SwapDifference = AttributeId | (typeof FIGURES)[number]
