import type { OperationId, PartAssessment, Step } from '../model'
import { OPERATION_NAMES } from '../reading'
import { foodWords } from './change'

/** What cooks call an operation beside its own name. */
const SAID: Partial<Record<OperationId, readonly string[]>> = {
  roast: ['bake', 'roast'],
  'shallow-fry': ['fry'],
  'water-saute': ['sauté', 'saute'],
  'pressure-cook': ['pressure-cook'],
  mix: ['fold', 'stir', 'whisk', 'mix'],
  thicken: ['thicken', 'whisk', 'cook'],
  chill: ['chill', 'set'],
  chop: ['pulse', 'chop', 'crumble', 'slice'],
}

/** The word of a step for its doing: its own where it says one, else the operation's. */
export function verbOf({ operation, text }: Pick<Step, 'operation' | 'text'>): string {
  if (operation === null)
    return (text.split(/\s+/)[0] ?? 'step').toLowerCase().replace(/\P{L}/gu, '') || 'step'
  const name = OPERATION_NAMES[operation].toLowerCase()
  const lower = text.toLowerCase()
  return (SAID[operation] ?? []).find((word) => new RegExp(`(?<!\\p{L})${word}`, 'u').test(lower)) ?? name
}

const MOST_NAMED = 1

/** What a part's steps are called in a sentence: the verb, with the food where two steps share it. */
export function stepNames(
  steps: readonly Step[],
  reading: Pick<PartAssessment, 'steps'> | null,
): (step: Step) => string {
  const verbs = steps.map(verbOf)
  return (step) => {
    const verb = verbOf(step)
    if (verbs.filter((other) => other === verb).length < 2) return verb
    const at = steps.findIndex(({ id }) => id === step.id)
    const foods = [...(reading?.steps[at]?.takes ?? [])]
      .filter(({ kind }) => kind === 'line')
      .sort((a, b) => b.massG - a.massG)
      .slice(0, MOST_NAMED)
      .map(({ name }) => foodWords(name))
    return foods.length === 0 ? verb : `${verb} the ${foods.join(' and ')}`
  }
}
