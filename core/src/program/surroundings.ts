import type { OperationId, Step } from '../model'
import { piecesOfStep } from '../reading'
import { foodEntry } from './foods'
import { type Listed, listedOf, type LotShape } from './lotShape'
import type { OperationSpec } from './operations'
import type { Op, Take } from './program'
import type { Writer } from './writer'

/** Water of the tap that food lies in where none is listed, g per g. @source process 3.1 to 3.7: pasta 10, pulses 3 to 4; practice */
const TAP_RATIO: Partial<Record<OperationId, number>> = {
  soak: 4,
  hydrate: 3,
  desalt: 10,
  boil: 4,
  'pressure-cook': 3,
  simmer: 3,
  absorb: 2.5,
}
const PASTA_RATIO = 10
/** These take water from the tap for dry foods only. */
const FOR_DRY: ReadonlySet<OperationId> = new Set(['hydrate', 'simmer', 'absorb'])
/** Loose food that is fried and goes on in the same pan keeps its fat, unless it swims in it; lifted food leaves the rest in the pan. Practice. */
const SHALLOW_SHARE = 0.6
const LIFTED_FORMS: ReadonlySet<string> = new Set([
  'patty',
  'ball',
  'log',
  'loaf',
  'breaded',
  'strip',
  'cube',
])

/** An ingredient of the library that a step brings in by itself. */
export function bornRow(writer: Writer, id: string, name: string): number {
  const food = writer.input.library.ingredients.get(id) ?? null
  if (food === null) return -1
  return writer.row({ id, name, entry: foodEntry(food, writer.input.library.facts), food }, {}, 0)
}

/** More salt than this share of the food is no seasoning: the food is baked in it. Practice. */
const BED_SHARE = 0.25
/** Rows of salt that food is baked in and broken out of. */
export function bedRows(writer: Writer, spec: OperationSpec, lot: LotShape, listed: Listed): number[] {
  if (spec.id !== 'roast') return []
  const salt = lot.rows.filter((row) => writer.rows[row]?.source.entry.food?.foodClass === 'salt')
  const saltG = salt.reduce((sum, row) => sum + (writer.rawG[row] ?? 0), 0)
  return writer.decisions.larger(saltG, BED_SHARE * (listed.massG - saltG)) ? salt : []
}

export const isFat = (writer: Writer, row: number): boolean =>
  writer.rows[row]?.source.entry.food?.foodClass === 'fat'

/** Rows of fat that food is fried in and lifted out of. */
export function mediumRows(writer: Writer, spec: OperationSpec, lot: LotShape, listed: Listed): number[] {
  if (spec.id !== 'deep-fry' && spec.id !== 'shallow-fry') return []
  const fats = lot.rows.filter((row) => isFat(writer, row))
  const fatG = fats.reduce((sum, row) => sum + (writer.rawG[row] ?? 0), 0)
  const isMedium =
    spec.id === 'deep-fry' ||
    LIFTED_FORMS.has(lot.form) ||
    fats.some((row) => writer.rows[row]?.isForFrying === true) ||
    writer.decisions.larger(fatG, SHALLOW_SHARE * listed.massG)
  return isMedium ? fats : []
}

/** The unlisted water of the tap that the food of a step lies in, g per g; 0 where it lies in none. */
export function tapRatio(writer: Writer, spec: OperationSpec, lot: LotShape, listed: Listed): number {
  const ratio = TAP_RATIO[spec.id] ?? 0
  if (ratio === 0 || lot.hasLiquor || lot.phase === 'liquid') return 0
  // Mashed in its own water it needs none of the tap.
  if (lot.phase === 'body' && listed.liquidG > listed.dryG) return 0
  // What is not known may be the liquid: a juice that the library does not hold.
  const isUnsure = lot.rows.some((row) => writer.rows[row]?.source.entry.food === null)
  if (FOR_DRY.has(spec.id) && (listed.dryG <= 0 || isUnsure)) return 0
  if (spec.id === 'pressure-cook' && isUnsure) return 0
  const isPasta = lot.rows.some((row) => writer.rows[row]?.source.entry.group === 'pasta')
  return isPasta && spec.id === 'boil' ? PASTA_RATIO : ratio
}

/** What is dropped into a setting bath: of what is brought together, that which is least water. */
export function droppedRows(writer: Writer, takes: readonly Take[]): number[] {
  let best: Take | null = null
  let least = 2
  for (const take of takes) {
    const { massG, waterG } = listedOf(take.rows, writer.rows, writer.rawG)
    const share = massG > 0 ? waterG / massG : 2
    if (share < least) {
      best = take
      least = share
    }
  }
  return best === null ? [] : [...best.rows]
}

/** Flour and crumbs by which coated food is breaded, share of its mass. Practice. */
const BREADED_SHARE = 0.06
const BREADS: ReadonlySet<string> = new Set(['flour', 'starch', 'grain'])
/** What is dredged in flour, drawn through batter or rolled in crumbs. */
export function isBreaded(writer: Writer, takes: readonly Take[], lot: LotShape): boolean {
  if (lot.form === 'breaded' || lot.phase === 'liquid') return lot.form === 'breaded'
  const grams = (rows: readonly number[]): number =>
    rows.reduce((sum, row) => sum + (writer.rawG[row] ?? 0), 0)
  const dry = takes
    .filter((take) => take.kind !== 'step')
    .flatMap(({ rows }) =>
      rows.filter((row) => BREADS.has(writer.rows[row]?.source.entry.food?.foodClass ?? '')),
    )
  return writer.decisions.larger(grams(dry), BREADED_SHARE * grams(lot.rows))
}

export function handlingOf(step: Step): Pick<Op, 'stretch' | 'pulls' | 'crumbles' | 'tool'> {
  const { stretch, pulls, crumbles, tool } = piecesOfStep(step)
  return { stretch, pulls, crumbles, tool }
}
