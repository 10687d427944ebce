import equal from 'fast-deep-equal'

type Json = unknown
type Fields = Readonly<Record<string, Json>>

/** A place that both sides changed, each in its own way. */
export interface Conflict {
  /** From the document down; items of a list by their id. */
  readonly path: readonly string[]
  readonly mine: unknown
  readonly theirs: unknown
}

export interface Merged<T> {
  /** Both sides' changes together; in a place of conflict the preferred side's. */
  readonly value: T
  readonly conflicts: readonly Conflict[]
}

type Side = 'mine' | 'theirs'

interface Context {
  readonly prefer: Side
  readonly conflicts: Conflict[]
}

const ABSENT = Symbol('absent')
/** A value, or `ABSENT`. */
type Maybe = Json

const isFields = (value: Maybe): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The fields by which items of a list are told apart, the first that they have. */
export const KEYS: readonly (readonly string[])[] = [
  ...['id', 'ingredientId', 'servingId', 'key', 'word', 'name', 'stepId', 'attribute'].map((name) => [name]),
  ['code', 'ask'],
  ['replaces', 'foodId'],
  // The recipe's own sentences.
  ['text'],
]

function keyOf(item: Json): string | null {
  if (typeof item === 'string') return item
  if (!isFields(item)) return null
  // A number tells items apart as well (a glass by its code); bare numbers do not: they are told by their place.
  const isName = (value: Json): boolean => typeof value === 'string' || typeof value === 'number'
  const key = KEYS.find((names) => names.every((name) => isName(item[name])))
  return key === undefined ? null : key.map((name) => String(item[name])).join('\n')
}

/** Items by key, or null where they cannot be told apart. */
function keyed(list: readonly Json[]): ReadonlyMap<string, Json> | null {
  const items = new Map<string, Json>()
  for (const item of list) {
    const key = keyOf(item)
    if (key === null || items.has(key)) return null
    items.set(key, item)
  }
  return items
}

/** A range is one thing: the low end of one side with the high end of the other could cross. */
const isRange = (fields: Fields): boolean => 'low' in fields && 'high' in fields

const same = (a: Maybe, b: Maybe): boolean => a === b || (a !== ABSENT && b !== ABSENT && equal(a, b))

/** One place of the document: what neither, one or both sides changed. */
function mergeAt(base: Maybe, mine: Maybe, theirs: Maybe, path: readonly string[], context: Context): Maybe {
  if (same(mine, theirs) || same(base, theirs)) return mine
  if (same(base, mine)) return theirs
  if (isFields(mine) && isFields(theirs) && !isRange(mine))
    return mergeFields(isFields(base) ? base : {}, mine, theirs, path, context)
  if (Array.isArray(mine) && Array.isArray(theirs)) {
    const merged = mergeLists(Array.isArray(base) ? base : [], mine, theirs, path, context)
    if (merged !== null) return merged
  }
  const shown = (value: Maybe): unknown => (value === ABSENT ? null : value)
  context.conflicts.push({ path, mine: shown(mine), theirs: shown(theirs) })
  return context.prefer === 'mine' ? mine : theirs
}

function mergeFields(
  base: Fields,
  mine: Fields,
  theirs: Fields,
  path: readonly string[],
  context: Context,
): Fields {
  const at = (fields: Fields, name: string): Maybe => (name in fields ? fields[name] : ABSENT)
  const merged: Record<string, Json> = {}
  for (const name of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = mergeAt(at(base, name), at(mine, name), at(theirs, name), [...path, name], context)
    if (value !== ABSENT) merged[name] = value
  }
  return merged
}

/** Lists of items with keys are merged item by item; null where the items have none. */
function mergeLists(
  base: readonly Json[],
  mine: readonly Json[],
  theirs: readonly Json[],
  path: readonly string[],
  context: Context,
): Json[] | null {
  const [was, here, there] = [keyed(base), keyed(mine), keyed(theirs)]
  if (was === null || here === null || there === null) return null
  const at = (items: ReadonlyMap<string, Json>, key: string): Maybe =>
    items.has(key) ? items.get(key) : ABSENT
  const kept = new Map<string, Json>()
  for (const key of new Set([...here.keys(), ...there.keys()])) {
    const item = mergeAt(at(was, key), at(here, key), at(there, key), [...path, key], context)
    if (item !== ABSENT) kept.set(key, item)
  }
  const order = mergeOrder([...was.keys()], [...here.keys()], [...there.keys()], path, context)
  return order.flatMap((key) => (kept.has(key) ? [kept.get(key)] : []))
}

/** The order of the side that moved items, with what the other added after the neighbour it stood behind. */
function mergeOrder(
  base: readonly string[],
  mine: readonly string[],
  theirs: readonly string[],
  path: readonly string[],
  context: Context,
): string[] {
  const common = new Set(base.filter((key) => mine.includes(key) && theirs.includes(key)))
  const sequence = (keys: readonly string[]): string => keys.filter((key) => common.has(key)).join('\n')
  const [was, here, there] = [sequence(base), sequence(mine), sequence(theirs)]
  if (here !== was && there !== was && here !== there)
    context.conflicts.push({ path: [...path, 'order'], mine, theirs })
  const leads: Side =
    here === there ? 'theirs' : there === was ? 'mine' : here === was ? 'theirs' : context.prefer
  const [skeleton, other] = leads === 'mine' ? [mine, theirs] : [theirs, mine]
  const order = [...skeleton]
  other.forEach((key, index) => {
    if (order.includes(key)) return
    const before = other.slice(0, index).findLast((one) => order.includes(one))
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key)
  })
  return order
}

/**
 * Joins two sets of changes of one document. Lists whose items have an id (or are words) are joined by item, so
 * that an added line here and a changed one there both stay.
 * @param base what both started from
 * @param prefer whose change stands where both changed one place
 */
export function merge<T>(base: T, mine: T, theirs: T, prefer: Side): Merged<T> {
  const context: Context = { prefer, conflicts: [] }
  const value = mergeAt(base, mine, theirs, [], context) as T
  return { value, conflicts: context.conflicts }
}
