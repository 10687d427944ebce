import { resolveLines } from '../composition'
import type { Dish, Kitchen, Library, Part, StepUse } from '../model'
import { allocateParts, type Granted } from '../program'
import { usesOf } from '../reading'
import { type PartWork, workPart } from './workPart'

/** Names that every recipe has: "main" in a sentence does not mean the part. */
const COMMON = new Set(['main', 'part', 'filling', 'topping', 'base'])
const NOTHING: Granted = { shares: [], short: [], alike: [] }

/** Whether a part's method names another part, or takes it by hand. */
function takes(part: Part, other: Part): boolean {
  const name = other.name.trim().toLowerCase()
  const canBeNamed = name.length > 3 && !COMMON.has(name)
  return part.steps.some(
    ({ uses, text }) =>
      uses?.some(({ kind, id }) => kind === 'part' && id === other.id) ??
      (canBeNamed && text.toLowerCase().includes(name)),
  )
}

/** A part with the parts that it may take, in the order in which they are made. */
interface Ordered {
  readonly part: Part
  readonly others: readonly Part[]
}

/** Parts in the order in which they can be made. Where they take each other in a ring, the ring is cut: neither can be first. */
function inOrder(dish: Dish): Ordered[] {
  const done = new Map<string, Ordered>()
  const open = new Set<string>()
  const visit = (part: Part): boolean => {
    if (done.has(part.id)) return true
    if (open.has(part.id)) return false
    open.add(part.id)
    const others = dish.parts.filter((other) => other.id !== part.id && takes(part, other) && visit(other))
    open.delete(part.id)
    done.set(part.id, { part, others })
    return true
  }
  for (const part of dish.parts) visit(part)
  return [...done.values()]
}

interface RememberedUses {
  readonly library: Library
  readonly kitchen: Kitchen
  readonly others: string
  readonly uses: Uses
}
type Uses = readonly (readonly StepUse[])[]
const remembered = new WeakMap<Part, RememberedUses>()

/** What the steps of a part take, read once for each part as it is. */
function readUses({ part, others }: Ordered, library: Library, kitchen: Kitchen): Uses {
  if (part.steps.length === 0) return []
  const names = others.map(({ id, name }) => `${id} ${name}`).join('|')
  const known = remembered.get(part)
  if (known !== undefined && known.library === library && known.kitchen === kitchen && known.others === names)
    return known.uses
  const uses = usesOf(part, resolveLines(part, library, kitchen), others, kitchen)
  remembered.set(part, { library, kitchen, others: names, uses })
  return uses
}

/**
 * Works every part out, those that others take first; each part is handed out once over the whole dish.
 * @returns one entry a part, in the dish's order
 */
export function workDish(dish: Dish, library: Library, kitchen: Kitchen): PartWork[] {
  const ordered = inOrder(dish)
  const uses = new Map(ordered.map((one) => [one.part.id, readUses(one, library, kitchen)]))
  const granted = allocateParts(
    ordered.map(({ part }) => ({ partId: part.id, uses: uses.get(part.id) ?? [] })),
  )
  const works = new Map<string, PartWork>()
  for (const { part, others } of ordered) {
    const input = {
      part,
      uses: uses.get(part.id) ?? [],
      granted: granted.get(part.id) ?? NOTHING,
      others: others.flatMap(({ id }) => works.get(id) ?? []),
    }
    works.set(part.id, workPart(input, library, kitchen))
  }
  return dish.parts.flatMap(({ id }) => works.get(id) ?? [])
}

/** Share of each part that the others take, by its id: never more than the whole. */
export function takenShares(works: readonly PartWork[]): ReadonlyMap<string, number> {
  const taken = new Map<string, number>()
  for (const { takes: of } of works)
    for (const [id, share] of of) if (share > 0) taken.set(id, (taken.get(id) ?? 0) + share)
  return taken
}

/** How much of each part is served: all of what no other takes, else what its takers serve of it. */
export function servedShares(works: readonly PartWork[]): ReadonlyMap<string, number> {
  const known = new Map<string, number>()
  const taken = takenShares(works)
  const shareOf = (id: string): number => {
    const found = known.get(id)
    if (found !== undefined) return found
    if (!taken.has(id)) return 1
    let share = 0
    for (const work of works) {
      const own = work.takes.get(id) ?? 0
      if (own > 0) share += own * shareOf(work.assessment.partId)
    }
    known.set(id, share)
    return share
  }
  return new Map(works.map(({ assessment }) => [assessment.partId, shareOf(assessment.partId)]))
}
