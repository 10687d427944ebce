import type { PartRun } from '../process'
import type { Granted } from '../program'
import type { Found } from './finding'

const LEAST_IMPOSSIBLE_G = 0.5
const percent = (share: number): string => `${Math.round(100 * share)} %`

/** What asked for more than there was: of a line, of a lot, of another part. */
function overdrawn({ program }: PartRun, granted: Granted): Found[] {
  const names = new Map(program.others.map(({ part }) => [part.id, part.name] as const))
  const found = program.overdrawn.map(({ stepId, kind, id, name, asked, got }): Found => ({
    rule: 'takes-more-than-there-is',
    severity: 'caution',
    stepId,
    ...(kind === 'line' ? { lineId: id } : {}),
    message: `This step asks for ${percent(asked)} of the ${name}; ${percent(got)} is left.`,
    remedy: 'Lower a share, or list more of it.',
  }))
  for (const { id, asked, got } of granted.short)
    found.push({
      rule: 'takes-more-than-there-is',
      severity: 'caution',
      message: `The parts ask for more of the ${names.get(id) ?? 'other part'} than there is: ${percent(got)} instead of ${percent(asked)} comes here.`,
      remedy: 'Make more of it, or say smaller shares.',
    })
  for (const id of new Set(granted.alike))
    found.push({
      rule: 'shared-alike',
      severity: 'info',
      message: `Several steps take the ${names.get(id) ?? 'other part'} without saying how much: it is shared alike.`,
      remedy: 'Say “half of the …”, or give each step its share.',
    })
  return found
}

/** What a run could not do as it was asked, and what it had to assume. */
export function runFindings(method: PartRun, granted: Granted, isJudged: boolean): Found[] {
  const found = overdrawn(method, granted)
  if (method.impossibleG > LEAST_IMPOSSIBLE_G) {
    found.push({
      rule: 'cooked-mass-impossible',
      severity: 'caution',
      message: `A stated or weighed mass is ${Math.ceil(method.impossibleG)} g away from what can be: only the water that is there can leave, and none appears.`,
      remedy: 'Check the weighed mass, or the share of mass that a step keeps.',
    })
  }
  if (method.basis === 'family' && isJudged) {
    found.push({
      rule: 'estimated-yield',
      severity: 'info',
      message: 'The cooked mass is the usual one for this family, not weighed.',
      remedy: 'Weigh the cooked part once and enter it.',
    })
  }
  return found
}
