import type { Dish, Kitchen, Library, Part } from '../model'
import { type PartWork, workPart } from './assessPart'

/** Names that every recipe has: "main" in a sentence does not mean the part. */
const COMMON = new Set(['main', 'part', 'filling', 'topping', 'base'])

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

/**
 * Works every part out, those that others take first. Parts that take each other in a ring are left apart where the ring
 * closes: neither can be made first.
 * @returns one entry a part, in the dish's order
 */
export function workDish(dish: Dish, library: Library, kitchen: Kitchen): PartWork[] {
  const done = new Map<string, PartWork>()
  const open = new Set<string>()
  const visit = (part: Part): PartWork | null => {
    const known = done.get(part.id)
    if (known !== undefined) return known
    if (open.has(part.id)) return null
    open.add(part.id)
    const parts: Part[] = []
    const works: PartWork[] = []
    for (const other of dish.parts) {
      if (other.id === part.id || !takes(part, other)) continue
      const work = visit(other)
      if (work === null) continue
      parts.push(other)
      works.push(work)
    }
    open.delete(part.id)
    const made =
      parts.length === 0
        ? workPart(part, library, kitchen)
        : workPart(part, library, kitchen, { works, parts })
    done.set(part.id, made)
    return made
  }
  return dish.parts.flatMap((part) => visit(part) ?? [])
}

/** Grams that the other parts take of each part, by its id. */
export function takenFrom(works: readonly PartWork[]): ReadonlyMap<string, number> {
  const taken = new Map<string, number>()
  for (const { method } of works)
    for (const [id, massG] of method.taken) taken.set(id, (taken.get(id) ?? 0) + massG)
  return taken
}
