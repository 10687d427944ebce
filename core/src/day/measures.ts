import type { DayMeasure, FamilyId, OperationId } from '../model'
import { familyTable, KITCHEN_CHECKS } from '../texture'

type Kind = DayMeasure['kind']

const BY_OPERATION: Readonly<Partial<Record<OperationId, readonly Kind[]>>> = {
  culture: ['pH'],
  coagulate: ['step-mass'],
  roast: ['step-mass', 'core'],
  steam: ['core', 'step-mass'],
  'pressure-cook': ['core'],
  heat: ['core'],
  chill: ['core'],
  cool: ['core'],
  drain: ['step-mass'],
  strain: ['step-mass'],
  squeeze: ['step-mass'],
  press: ['step-mass'],
  brown: ['step-mass'],
  reduce: ['step-mass', 'line-spread'],
  thicken: ['line-spread'],
  simmer: ['step-mass', 'line-spread'],
}
/** What a part of a kind is told by at the counter. @source kitchen measurements by family; practice */
const BY_FAMILY: Readonly<Partial<Record<FamilyId, readonly Kind[]>>> = {
  'pourable-sauce': ['line-spread'],
  'coating-sauce': ['line-spread'],
  spreadable: ['line-spread', 'pH'],
  'cultured-thick': ['pH', 'line-spread'],
  'crumbly-brined': ['press', 'pH'],
  'sliceable-gel': ['press'],
  'custard-gel': ['press', 'core'],
  'bound-dough-slice': ['press'],
  'bound-patty': ['press', 'core'],
  'stretch-melt': ['line-spread'],
}
/** Checks of what a family is judged by. */
const checksOf = (family: FamilyId): Kind[] => {
  const judged = new Set(familyTable(family)?.attributes.map(({ id }) => id))
  return KITCHEN_CHECKS.flatMap(({ attribute, kind }) => (judged.has(attribute) ? [kind] : []))
}
const EVERYWHERE: readonly Kind[] = ['step-mass', 'yield', 'core', 'line-spread', 'press', 'pH', 'portions']

/**
 * What can be measured after a step, what belongs there first; checks of texture at the end of a part that is judged by
 * them.
 * @param isLast whether nothing of the part comes after it: then the yield comes first
 */
export function measuresFor(
  operation: OperationId | null,
  family: FamilyId | null,
  isLast: boolean,
): readonly Kind[] {
  const first = [
    ...(isLast ? (['yield'] as const) : []),
    ...(operation === null ? [] : (BY_OPERATION[operation] ?? [])),
    ...(family === null || !isLast ? [] : [...(BY_FAMILY[family] ?? []), ...checksOf(family)]),
  ]
  return [...new Set([...first, ...EVERYWHERE])]
}
