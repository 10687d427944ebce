import equal from 'fast-deep-equal'

/** For `memo`: props that say the same are the same, though the engine made them anew. */
export function sameProps<P extends object>(before: Readonly<P>, now: Readonly<P>): boolean {
  const names = Object.keys(now) as (keyof P)[]
  return (
    names.length === Object.keys(before).length &&
    names.every((name) => before[name] === now[name] || equal(before[name], now[name]))
  )
}
