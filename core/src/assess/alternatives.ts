import type { OperationId, Part, PartAssessment, Step } from '../model'
import { specOf } from '../program'
import { followWords, setByHand } from '../reading'

/** What does the work of an operation by other means. Practice. */
const INSTEAD: Readonly<Partial<Record<OperationId, readonly OperationId[]>>> = {
  steam: ['pressure-cook', 'simmer', 'roast'],
  'pressure-cook': ['steam', 'boil', 'simmer'],
  simmer: ['steam', 'pressure-cook'],
  boil: ['pressure-cook', 'simmer'],
  absorb: ['boil', 'pressure-cook'],
  roast: ['air-fry', 'dehydrate', 'shallow-fry', 'grill'],
  'air-fry': ['roast', 'shallow-fry', 'deep-fry'],
  dehydrate: ['roast', 'air-fry'],
  brown: ['water-saute', 'roast', 'air-fry'],
  sweat: ['water-saute', 'roast'],
  'water-saute': ['sweat', 'brown'],
  'shallow-fry': ['roast', 'air-fry', 'deep-fry'],
  'deep-fry': ['air-fry', 'shallow-fry', 'roast'],
  grill: ['roast', 'sear'],
  sear: ['grill', 'roast'],
}

export interface Swap {
  readonly at: number
  readonly operation: OperationId
  readonly label: string
}

/** What each cooking step of a method could be done by instead. */
export const swapsOf = ({ steps }: Pick<Part, 'steps'>): Swap[] =>
  steps.flatMap(({ operation }, at) => {
    if (operation === null) return []
    return (INSTEAD[operation] ?? []).map((other) => ({
      at,
      operation: other,
      label: `Step ${at + 1}: ${specOf(other).name.toLowerCase()} instead of ${specOf(operation).name.toLowerCase()}`,
    }))
  })

const DRYING: ReadonlySet<string> = new Set(['oven', 'pan', 'fryer-air', 'dry-air', 'grill', 'oil'])

/**
 * The method with one step done by other means: at the usual temperature, and to the same mass where both dry the food,
 * so that the times can be compared; for the usual time elsewhere. What each step takes stays.
 *
 * @param newId makes an id for each step of the copy
 */
export function swapped(
  part: Part,
  reading: PartAssessment,
  { at, operation }: Swap,
  newId: () => string,
): Step[] {
  const ids = new Map(part.steps.map(({ id }) => [id, newId()]))
  return part.steps.map((step, index): Step => {
    const here = reading.steps[index]
    const uses = (step.uses ?? here?.takes ?? []).map(({ kind, id, share }) => ({
      kind,
      id: kind === 'step' ? (ids.get(id) ?? id) : id,
      share,
    }))
    const copy: Step = { ...step, id: ids.get(step.id) ?? newId(), uses, weighedG: null }
    if (index !== at) return copy
    const spec = specOf(operation)
    const from = step.operation === null ? null : specOf(step.operation)
    const dries = DRYING.has(spec.medium) && from !== null && DRYING.has(from.medium)
    const words = `${spec.name}${spec.usualC === null ? '' : ` at ${spec.usualC} °C`}.`
    return setByHand(followWords({ ...copy, text: words, cue: null, remedy: null }), {
      operation,
      tempC: spec.usualC,
      durationMin: dries ? null : spec.usualMin,
      until: dries && here !== undefined && here.massG > 0 ? { kind: 'mass', massG: here.massG } : null,
      form: step.settings.form,
      thicknessMm: step.settings.thicknessMm,
      isWrapped: step.settings.isWrapped,
    })
  })
}
