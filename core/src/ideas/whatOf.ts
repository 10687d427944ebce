import type { IdeaWhat, OperationId, PartAssessment, Step } from '../model'

/** A change of a trial against the one before it, as far as an idea needs it. */
export interface IdeaChange {
  readonly kind:
    | 'batch'
    | 'amount'
    | 'new-food'
    | 'gone-food'
    | 'prep'
    | 'swap'
    | 'step'
    | 'reworded'
    | 'new-step'
    | 'gone-step'
    | 'order'
  /** Line or step that it is about; null for the batch. */
  readonly id: string | null
  /** Line of the trial before that it stands in for. */
  readonly wasId?: string
}

interface Side {
  readonly reading: PartAssessment
  readonly steps: readonly Step[]
}

const pctOf = ({ reading }: Side, foodId: string): number =>
  100 * reading.lines.reduce((sum, line) => sum + (line.foodId === foodId ? (line.share ?? 0) : 0), 0)

/** Halfway between what was and what is: on its side the idea is repeated. */
const between = (a: number, b: number): number => Number(((a + b) / 2).toPrecision(3))

function methodIdea(operation: OperationId, before: Step | undefined, after: Step): IdeaWhat {
  const plain = { kind: 'method' as const, operation, foodId: null, foodName: '' }
  for (const [field, was, is] of [
    ['minutes', before?.durationMin, after.durationMin],
    ['tempC', before?.tempC, after.tempC],
  ] as const)
    if (was != null && is !== null && was !== is && field === 'minutes')
      return { ...plain, field, side: is > was ? 'above' : 'below', value: between(was, is) }
  return { ...plain, field: null, side: 'any', value: 0 }
}

/**
 * What a change is as an idea to keep in mind: the food, how much of it, or the doing.
 * @returns null where it is nothing that could be met again: a larger batch, other words, another order
 */
export function whatOf(change: IdeaChange, before: Side | null, after: Side): IdeaWhat | null {
  if (change.id === null) return null
  const line = after.reading.lines.find(({ lineId }) => lineId === change.id)
  if ((change.kind === 'new-food' || change.kind === 'amount') && line?.foodId != null) {
    const plain = { kind: 'food' as const, foodId: line.foodId, name: line.name }
    if (change.kind === 'new-food' || before === null) return { ...plain, side: 'any', pct: 0 }
    const [was, is] = [pctOf(before, line.foodId), pctOf(after, line.foodId)]
    return { ...plain, side: is > was ? 'above' : 'below', pct: between(was, is) }
  }
  const was = before?.reading.lines.find(({ lineId }) => lineId === change.wasId)
  if (change.kind === 'swap' && line?.foodId != null && was?.foodId != null)
    return { kind: 'swap', fromId: was.foodId, toId: line.foodId, fromName: was.name, toName: line.name }
  const step = after.steps.find(({ id }) => id === change.id)
  if ((change.kind === 'step' || change.kind === 'new-step') && step?.operation != null) {
    const stepWas =
      before?.steps.find(({ id }) => id === step.id) ??
      before?.steps.find(({ operation }) => operation === step.operation)
    const idea = methodIdea(step.operation, change.kind === 'new-step' ? undefined : stepWas, step)
    if (change.kind === 'step' && idea.kind === 'method' && idea.field === null) return null
    const reading = after.reading.steps.find(({ stepId }) => stepId === step.id)
    const taken = reading?.takes.filter(({ kind }) => kind === 'line').sort((a, b) => b.massG - a.massG)[0]
    const food = after.reading.lines.find(({ lineId }) => lineId === taken?.id)
    return idea.kind === 'method' && food?.foodId != null
      ? { ...idea, foodId: food.foodId, foodName: food.name }
      : idea
  }
  return null
}

/** A ratio that moves by less of its window's width with a change is not what the change was about. Practice. */
const MATTERS = 0.08
const MOST_RATIOS = 3

/**
 * What a change of foods may be about in a wider sense: ratios of the part that it moved, the furthest across their
 * windows first, each halfway between what was and what is.
 */
export function ratioIdeasOf(change: IdeaChange, before: Side | null, after: Side): IdeaWhat[] {
  if (before === null || !['amount', 'new-food', 'gone-food', 'swap'].includes(change.kind)) return []
  return after.reading.ratios
    .flatMap((is): { moved: number; what: IdeaWhat }[] => {
      const was = before.reading.ratios.find(({ id }) => id === is.id)
      const moved = was === undefined ? 0 : (is.value - was.value) / Math.max(1e-9, is.high - is.low)
      return was === undefined || !(Math.abs(moved) >= MATTERS)
        ? []
        : [
            {
              moved: Math.abs(moved),
              what: {
                kind: 'ratio',
                ratioId: is.id,
                label: is.label,
                side: moved > 0 ? 'above' : 'below',
                value: between(was.value, is.value),
                unit: is.unit,
              },
            },
          ]
    })
    .sort((a, b) => b.moved - a.moved)
    .slice(0, MOST_RATIOS)
    .map(({ what }) => what)
}

const round = (value: number): string => String(Number(value.toPrecision(3)))

/** What an idea is about, in words: "Smoked paprika above 0.5 %". */
export function whatWords(what: IdeaWhat, operationName: (id: OperationId) => string): string {
  switch (what.kind) {
    case 'food':
      return what.side === 'any' ? what.name : `${what.name} ${what.side} ${round(what.pct)} %`
    case 'swap':
      return `${what.toName} for ${what.fromName}`
    case 'ratio':
      return `${what.label} ${what.side} ${round(what.value)} ${what.unit}`.trim()
    case 'method': {
      const doing = `${operationName(what.operation)}${what.foodName === '' ? '' : `: ${what.foodName.toLowerCase()}`}`
      if (what.field === null) return doing
      return `${doing}, ${what.side} ${round(what.value)} ${what.field === 'minutes' ? 'min' : '°C'}`
    }
  }
}
