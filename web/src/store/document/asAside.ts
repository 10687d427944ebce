import type { Aside } from '../../data'

/** A record kept aside, if it is whole: its value and what it was made on pass as documents do. */
export function asAside<T>(record: unknown, parse: (value: unknown) => T | null): Aside<T> | null {
  if (typeof record !== 'object' || record === null) return null
  const kept = record as Partial<Aside<unknown>>
  const [value, base] = [parse(kept.value), parse(kept.base)]
  if (value === null || base === null || typeof kept.id !== 'string') return null
  const list = <R>(rows: readonly R[] | undefined): readonly R[] =>
    Array.isArray(rows) ? (rows as readonly R[]) : []
  return {
    id: kept.id,
    base,
    value,
    revision: Number(kept.revision) || 0,
    past: list(kept.past),
    future: list(kept.future),
    put: list(kept.put),
    remove: list(kept.remove),
    mark: String(kept.mark),
    at: Number(kept.at) || 0,
  }
}
