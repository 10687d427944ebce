import { type ResolvedLine, resolveLines } from '../composition'
import type { Assessment, Dish, Kitchen, Library, Part, Step, StepUse, Written } from '../model'
import { allocateParts, type Granted } from '../program'
import { type Reading, readUses, type ReadWhole, stillHolds } from '../reading'
import { lent } from './lend'
import { type PartWork, workPart } from './workPart'

const NOTHING: Granted = { shares: [], short: [], alike: [] }

/** A part with the parts that it may take, in the order in which they are made. */
interface Ordered {
  readonly part: Part
  readonly others: readonly Part[]
}

/** Parts in the order in which they can be made. Where they take each other in a ring, the ring is cut: neither can be first. */
function inOrder(dish: Dish, uses: Uses): Ordered[] {
  const done = new Map<string, Ordered>()
  const open = new Set<string>()
  const visit = (part: Part): boolean => {
    if (done.has(part.id)) return true
    if (open.has(part.id)) return false
    open.add(part.id)
    const taken = new Set(
      (uses.get(part.id) ?? []).flatMap((of) => of.flatMap(({ kind, id }) => (kind === 'part' ? [id] : []))),
    )
    const others = dish.parts.filter((other) => other.id !== part.id && taken.has(other.id) && visit(other))
    open.delete(part.id)
    done.set(part.id, { part, others })
    return true
  }
  for (const part of dish.parts) visit(part)
  return [...done.values()]
}

/** Minutes, heat and ends of a step do not change what its words take. */
const saysTheSame = (a: readonly Step[], b: readonly Step[]): boolean =>
  a === b ||
  (a.length === b.length &&
    a.every((step, at) => {
      const other = b[at]
      return (
        step === other ||
        (step.id === other?.id &&
          step.text === other.text &&
          step.uses === other.uses &&
          step.operation === other.operation)
      )
    }))

type Uses = ReadonlyMap<string, readonly (readonly StepUse[])[]>

interface RememberedUses {
  readonly methods: readonly (readonly Step[])[]
  readonly written: readonly Written[]
  readonly library: Library
  readonly kitchen: Kitchen
  readonly names: string
  readonly reading: Reading
  readonly uses: Uses
}
/** The uses of a dish as they were read last, by its first method. */
const remembered = new WeakMap<readonly Step[], RememberedUses>()
/** What was read last: an edit of a setting makes a new method with the same words. */
let latest: RememberedUses | null = null
/** The method that was read last, step by step, against what lists: a word more reads its own step again. */
let latestWhole:
  (Pick<RememberedUses, 'library' | 'kitchen' | 'names'> & { readonly whole: ReadWhole }) | null = null

/** What the uses of steps depend on beside their words: which foods are listed by which names, and the parts' names. */
const namesOf = (dish: Dish, lines: readonly (readonly ResolvedLine[])[]): string =>
  dish.parts
    .map(({ id, name }, at) =>
      [
        `${id}\u0001${name}`,
        ...(lines[at] ?? []).map(
          ({ line, food, mass }) =>
            `${line.id}\u0001${line.food}\u0001${food?.id ?? ''}\u0001${mass !== null && mass.value > 0 ? 1 : 0}`,
        ),
      ].join('\u0002'),
    )
    .join('\u0003')

/** Masses of all lines, by their ids. */
function massIn(lines: readonly (readonly ResolvedLine[])[]): (lineId: string) => number {
  const masses = new Map(
    lines.flatMap((of) => of.map(({ line, mass }) => [line.id, mass?.value ?? 0] as const)),
  )
  return (id) => masses.get(id) ?? 0
}

/** What every step of a dish takes. Read when words change; amounts in the words are read against the masses each time. */
function usesIn(dish: Dish, library: Library, kitchen: Kitchen): Uses {
  const lines = dish.parts.map((part) => resolveLines(part, library, kitchen))
  const names = namesOf(dish, lines)
  const methods = dish.parts.map(({ steps }) => steps)
  const key = methods.find((steps) => steps.length > 0)
  if (key === undefined) return new Map()
  const known = remembered.get(key) ?? latest
  if (
    known !== null &&
    known.library === library &&
    known.kitchen === kitchen &&
    known.names === names &&
    known.written === dish.written &&
    known.methods.length === methods.length &&
    known.methods.every((steps, at) => saysTheSame(steps, methods[at] ?? [])) &&
    stillHolds(known.reading, massIn(lines))
  )
    return known.uses
  const canGoOn =
    latestWhole?.library === library && latestWhole.kitchen === kitchen && latestWhole.names === names
  const {
    uses: read,
    reading,
    whole,
  } = readUses(
    dish.parts.map((part, at) => ({ part, lines: lines[at] ?? [] })),
    dish.written,
    kitchen,
    canGoOn ? latestWhole?.whole : null,
  )
  const uses: Uses = new Map(dish.parts.map(({ id }, at) => [id, read[at] ?? []]))
  latest = { methods, written: dish.written, library, kitchen, names, reading, uses }
  latestWhole = { library, kitchen, names, whole }
  remembered.set(key, latest)
  return uses
}

/** A part worked out, with what its steps take as the words say it. */
export interface ReadWork extends PartWork {
  readonly asRead: readonly (readonly StepUse[])[]
}

/**
 * Works every part out, those that others take first; each part is handed out once over the whole dish.
 * @param before the dish as it was, whose standard deviations may stand in for now
 * @returns one entry a part, in the dish's order
 */
export function workDish(
  dish: Dish,
  library: Library,
  kitchen: Kitchen,
  before: Assessment | null = null,
): ReadWork[] {
  const read = usesIn(dish, library, kitchen)
  const listed = new Map(
    lent(
      dish.parts.map((part) => ({
        partId: part.id,
        lines: resolveLines(part, library, kitchen),
        uses: read.get(part.id) ?? [],
      })),
    ).map((one) => [one.partId, one]),
  )
  const uses: Uses = new Map([...listed].map(([id, { uses: of }]) => [id, of]))
  const ordered = inOrder(dish, uses)
  const granted = allocateParts(
    ordered.map(({ part }) => ({ partId: part.id, uses: uses.get(part.id) ?? [] })),
  )
  const works = new Map<string, PartWork>()
  for (const { part, others } of ordered) {
    const input = {
      part,
      lines: listed.get(part.id)?.lines ?? [],
      uses: uses.get(part.id) ?? [],
      granted: granted.get(part.id) ?? NOTHING,
      others: others.flatMap(({ id }) => works.get(id) ?? []),
    }
    const asItWas = before?.parts.find(({ partId }) => partId === part.id) ?? null
    works.set(part.id, workPart(input, library, kitchen, asItWas))
  }
  return dish.parts.flatMap(({ id }) => {
    const done = works.get(id)
    return done === undefined ? [] : [{ ...done, asRead: read.get(id) ?? [] }]
  })
}

/** Share of each part that the others take, by its id: never more than the whole. */
export function takenShares(works: readonly PartWork[]): ReadonlyMap<string, number> {
  const taken = new Map<string, number>()
  for (const { takes: of } of works)
    for (const [id, share] of of) if (share > 0) taken.set(id, (taken.get(id) ?? 0) + share)
  return taken
}

/** How much of each part is served: all of what no other takes, else what its takers and the table have of it. */
export function servedShares(
  works: readonly PartWork[],
  beside: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const known = new Map<string, number>()
  const taken = takenShares(works)
  const shareOf = (id: string): number => {
    const found = known.get(id)
    if (found !== undefined) return found
    if (!taken.has(id)) return 1
    let share = beside.get(id) ?? 0
    for (const work of works) {
      const own = work.takes.get(id) ?? 0
      if (own > 0) share += own * shareOf(work.assessment.partId)
    }
    known.set(id, share)
    return share
  }
  return new Map(works.map(({ assessment }) => [assessment.partId, shareOf(assessment.partId)]))
}
