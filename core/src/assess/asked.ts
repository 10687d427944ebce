import type { PartRun } from '../process'
import type { Found } from '../rules'

/** Stops that rest on what the steps do to one food. */
const RESTS_ON_COOKING: ReadonlySet<string> = new Set(['pulse-not-cooked', 'beans-not-boiled'])

/** Lines whose way through the method is not read to its end: they are in a lot that is left standing, or in a step without a doing. */
function lostLines({ program }: PartRun): ReadonlySet<string> {
  const loose = new Set(program.looseStepIds)
  const lost = new Set<string>()
  const lose = (rows: readonly number[]): void => {
    for (const row of rows) {
      const id = program.rows[row]?.source.id
      if (id !== undefined) lost.add(id)
    }
  }
  for (const { op, rows } of program.finals) {
    const stepId = program.ops[op]?.step.id
    if (stepId !== undefined && loose.has(stepId)) lose(rows)
  }
  for (const { spec, rows } of program.ops) if (spec === null) lose(rows)
  return lost
}

/**
 * Where a stop depends on a food that the reading lost on its way, it is a question: the method may well cook it.
 *
 * @param method of the part that the findings are of
 */
export function askedInstead(findings: readonly Found[], method: PartRun): Found[] {
  const stops = findings.some(({ rule, severity }) => severity === 'stop' && RESTS_ON_COOKING.has(rule))
  if (!stops) return [...findings]
  const lost = lostLines(method)
  return findings.map((finding) => {
    const { rule, severity, lineId } = finding
    if (severity !== 'stop' || !RESTS_ON_COOKING.has(rule) || lineId === undefined || !lost.has(lineId))
      return finding
    const name = method.program.names.get(lineId) ?? 'it'
    return {
      ...finding,
      severity: 'caution',
      message: `Which step cooks the ${name}? None that was read takes it to its end. ${finding.message}`,
      remedy: `Say in Method what the last steps take. ${finding.remedy}`,
    }
  })
}
