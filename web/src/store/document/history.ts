import { applyPatches, enablePatches, type Patch } from 'immer'
import type { Besides, ChangeRecord } from '../../data'

enablePatches()

const isBox = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null

/** The places in which `to` differs from `from`, as patches from one to the other. Lists of another length go whole. */
export function patchesBetween(from: unknown, to: unknown, path: Patch['path'] = []): Patch[] {
  if (from === to) return []
  const isSameKind = isBox(from) && isBox(to) && Array.isArray(from) === Array.isArray(to)
  if (!isSameKind || (Array.isArray(from) && Array.isArray(to) && from.length !== to.length))
    return [{ op: 'replace', path, value: to }]
  const names = [...new Set([...Object.keys(from), ...Object.keys(to)])]
  return names.flatMap((name): Patch[] => {
    const at = [...path, Array.isArray(from) ? Number(name) : name]
    if (!(name in to)) return [{ op: 'remove', path: at }]
    if (!(name in from)) return [{ op: 'add', path: at, value: to[name] }]
    return patchesBetween(from[name], to[name], at)
  })
}

/** A change from one state of a document to another, as it is kept for undo. */
export const changeBetween = (
  label: string,
  from: unknown,
  to: unknown,
  besides?: readonly Besides[],
): ChangeRecord => ({
  label,
  at: Date.now(),
  patches: patchesBetween(from, to),
  inverse: patchesBetween(to, from),
  ...(besides === undefined || besides.length === 0 ? {} : { besides: [...besides] }),
})

const placesOf = (patches: readonly Patch[]): string =>
  patches.map(({ op, path }) => `${op} ${path.join('/')}`).join(' ')

/** Two changes as one. Where the later overwrites the same places, the middle is dropped, so that a drag stays small. */
export function joined(first: ChangeRecord, second: ChangeRecord): ChangeRecord {
  const { label, at } = second
  const isSamePlaces =
    placesOf(first.patches) === placesOf(second.patches) && second.patches.every(({ op }) => op === 'replace')
  return isSamePlaces
    ? { label, at, patches: second.patches, inverse: first.inverse }
    : {
        label,
        at,
        patches: [...first.patches, ...second.patches],
        inverse: [...second.inverse, ...first.inverse],
      }
}

/** The document before, or after, a change; null where the change does not fit it. */
export function applied<T>(value: T, patches: readonly Patch[]): T | null {
  try {
    return applyPatches(value as object, patches) as T
  } catch {
    return null
  }
}
