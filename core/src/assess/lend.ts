import type { ResolvedLine } from '../composition'
import type { StepUse } from '../model'

/** A part with its lines, and what its steps take. */
export interface Listed {
  readonly partId: string
  readonly lines: readonly ResolvedLine[]
  readonly uses: readonly (readonly StepUse[])[]
}

const scaled = new WeakMap<ResolvedLine, Map<number, ResolvedLine>>()
/** A line with a share of its mass. The same object for the same share, so that what rests on it can be kept. */
function withShare(line: ResolvedLine, share: number): ResolvedLine {
  if (share >= 1 || line.mass === null) return line
  const known = scaled.get(line)?.get(share)
  if (known !== undefined) return known
  const made = { ...line, mass: { value: line.mass.value * share, sd: line.mass.sd * share } }
  const of = scaled.get(line) ?? new Map<number, ResolvedLine>()
  scaled.set(line, of.set(share, made))
  return made
}

const EDGE = 1e-9

interface Loan {
  readonly line: ResolvedLine
  readonly owner: string
  /** Share of the line that each part's steps take, where another part takes any. */
  readonly shares: ReadonlyMap<string, number>
}

/** Lines that steps of another part take, and how much of them each part takes. */
function loansIn(parts: readonly Listed[]): Loan[] {
  const owners = new Map(
    parts.flatMap(({ partId, lines }) => lines.map((line) => [line.line.id, { partId, line }] as const)),
  )
  const asked = new Map<string, { partId: string; share: number | null }[]>()
  for (const { partId, uses } of parts)
    for (const { kind, id, share } of uses.flat())
      if (kind === 'line' && owners.has(id)) asked.set(id, [...(asked.get(id) ?? []), { partId, share }])
  return [...asked].flatMap(([id, all]): Loan[] => {
    const owner = owners.get(id)
    if (owner === undefined || all.every(({ partId }) => partId === owner.partId)) return []
    const stated = all.reduce((sum, { share }) => sum + (share ?? 0), 0)
    const fit = stated > 1 ? 1 / stated : 1
    let rest = Math.max(0, 1 - stated * fit)
    const shares = new Map<string, number>()
    for (const { partId, share } of all) {
      shares.set(partId, (shares.get(partId) ?? 0) + (share === null ? rest : share * fit))
      if (share === null) rest = 0
    }
    return [{ line: owner.line, owner: owner.partId, shares }]
  })
}

/**
 * Gives every part the lines that its steps take, wherever they are listed: a line that two parts use is split between
 * them by what they take; what nobody takes stays with the part that lists it.
 *
 * @param parts lines and uses as the document states them
 * @returns the same parts, lines scaled and uses as shares of the scaled lines; untouched where nothing is lent
 */
export function lent(parts: readonly Listed[]): Listed[] {
  const loans = loansIn(parts)
  if (loans.length === 0) return [...parts]
  return parts.map(({ partId, lines, uses }) => {
    const own = new Map<string, number>()
    for (const { line, owner, shares } of loans) {
      const mine = shares.get(partId) ?? 0
      const others = [...shares].reduce((sum, [id, share]) => sum + (id === partId ? 0 : share), 0)
      if (owner === partId) own.set(line.line.id, Math.max(0, 1 - others))
      else if (mine > EDGE) own.set(line.line.id, mine)
    }
    if (own.size === 0) return { partId, lines, uses }
    const listed = lines.map((line) => withShare(line, own.get(line.line.id) ?? 1))
    const borrowed = loans.flatMap(({ line, owner }) => {
      const share = owner === partId ? 0 : (own.get(line.line.id) ?? 0)
      return share > EDGE ? [withShare(line, share)] : []
    })
    return {
      partId,
      lines: [...listed, ...borrowed],
      uses: uses.map((of) =>
        of.map((use): StepUse => {
          const whole = use.kind === 'line' ? own.get(use.id) : undefined
          if (whole === undefined || use.share === null) return use
          const share = whole <= EDGE ? 1 : use.share / whole
          return { ...use, share: share >= 1 - 1e-6 ? null : share }
        }),
      ),
    }
  })
}
