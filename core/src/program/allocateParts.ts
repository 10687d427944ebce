import type { StepUse } from '../model'

/** What the steps of one part take, in their order. */
export interface PartUses {
  readonly partId: string
  readonly uses: readonly (readonly StepUse[])[]
}

/** What a part is granted of the others, use by use, and where it asked for more than there was. */
export interface Granted {
  readonly shares: readonly number[]
  readonly short: readonly { readonly id: string; readonly asked: number; readonly got: number }[]
  /** Parts that several take without saying how much: shared alike. */
  readonly alike: readonly string[]
}

interface Filling {
  readonly shares: number[]
  readonly short: { id: string; asked: number; got: number }[]
  readonly alike: string[]
}
interface Asked {
  readonly takerId: string
  readonly index: number
  readonly share: number | null
}

const EDGE = 1e-9

/** Splits one whole among those that ask for it: stated shares as said while there is any, the rest alike. */
function divide(asked: readonly Asked[]): number[] {
  const stated = asked.reduce((sum, { share }) => sum + (share ?? 0), 0)
  const open = asked.filter(({ share }) => share === null).length
  const fit = stated > 1 ? 1 / stated : 1
  const each = open === 0 ? 0 : Math.max(0, 1 - stated * fit) / open
  return asked.map(({ share }) => (share === null ? each : share * fit))
}

/**
 * Hands every part of a dish out once. Two takers of one sauce get what is there: shares as they say, and alike where they
 * say none; together never more than the whole.
 *
 * @param parts in the order in which they are made, each with the uses of its steps
 * @returns by part: a share for each of its uses of other parts, in order
 */
export function allocateParts(parts: readonly PartUses[]): ReadonlyMap<string, Granted> {
  const asked = new Map<string, Asked[]>()
  const counts = new Map<string, number>()
  for (const { partId, uses } of parts) {
    let index = 0
    for (const { kind, id, share } of uses.flat()) {
      if (kind !== 'part') continue
      const known = asked.get(id) ?? []
      known.push({ takerId: partId, index, share })
      asked.set(id, known)
      index += 1
    }
    counts.set(partId, index)
  }
  const granted = new Map<string, Filling>(
    parts.map(({ partId }) => [
      partId,
      { shares: new Array<number>(counts.get(partId) ?? 0).fill(0), short: [], alike: [] },
    ]),
  )
  for (const [id, all] of asked) {
    const open = all.filter(({ share }) => share === null)
    divide(all).forEach((got, at) => {
      const one = all[at]
      const of = one === undefined ? undefined : granted.get(one.takerId)
      if (one === undefined || of === undefined) return
      of.shares[one.index] = got
      if ((one.share ?? EDGE) > got + EDGE) of.short.push({ id, asked: one.share ?? 1, got })
      if (one.share === null && open.length > 1) of.alike.push(id)
    })
  }
  return granted
}
