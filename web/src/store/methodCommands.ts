import { type HandChange, setByHand } from '@frijol/core/reading'
import type { Step, StepUse } from '@frijol/core/model'
import type { Draft } from 'immer'
import { newId } from './ids'
import { inPart } from './inPart'
import type { Command } from './openDish'

/** Puts a changed step in the place of the one with its id. */
export const replaceStep = (partId: string, step: Step, label: string, merge?: string): Command => ({
  label,
  ...(merge === undefined ? {} : { merge }),
  apply: inPart(partId, (part) => {
    const at = part.steps.findIndex(({ id }) => id === step.id)
    if (at >= 0) part.steps[at] = step
  }),
})

/** Sets facts of a step against its words. `field` names them for joining keystrokes. */
export const setStepFacts = (partId: string, step: Step, change: HandChange): Command =>
  replaceStep(
    partId,
    setByHand(step, change),
    'set a step by hand',
    `${step.id} ${Object.keys(change).join()}`,
  )

export const addSteps = (partId: string, steps: readonly Step[], at?: number): Command => ({
  label: steps.length === 1 ? 'add a step' : `add ${steps.length} steps`,
  apply: inPart(partId, (part) => {
    part.steps.splice(at ?? part.steps.length, 0, ...(steps as Draft<Step>[]))
  }),
})

/** Takes over a proposed method whole. */
export const replaceSteps = (partId: string, steps: readonly Step[]): Command => ({
  label: 'take over a method',
  apply: inPart(partId, (part) => {
    part.steps = steps as Draft<Step>[]
  }),
})

export const moveStep = (partId: string, stepId: string, to: number): Command => ({
  label: 'move a step',
  apply: inPart(partId, (part) => {
    const from = part.steps.findIndex(({ id }) => id === stepId)
    const [step] = from < 0 ? [] : part.steps.splice(from, 1)
    if (step !== undefined) part.steps.splice(to, 0, step)
  }),
})

/** What goes on with a step that is gone goes on with what that step took, where that was set by hand. */
export const removeStep = (partId: string, stepId: string): Command => ({
  label: 'take out a step',
  apply: inPart(partId, (part) => {
    const gone = part.steps.find(({ id }) => id === stepId)
    part.steps = part.steps.filter(({ id }) => id !== stepId)
    for (const step of part.steps) {
      if (!step.uses?.some(({ kind, id }) => kind === 'step' && id === stepId)) continue
      const left = step.uses.filter(({ kind, id }) => kind !== 'step' || id !== stepId)
      const known = new Set(left.map(({ kind, id }) => `${kind} ${id}`))
      const joined = [...(gone?.uses ?? []).filter(({ kind, id }) => !known.has(`${kind} ${id}`)), ...left]
      step.uses = joined.length === 0 ? null : joined
    }
  }),
})

/** Sets what a step takes; null lets its words say it. */
export const setUses = (partId: string, step: Step, uses: readonly StepUse[] | null): Command =>
  replaceStep(
    partId,
    { ...step, uses: uses === null ? null : [...uses] },
    uses === null ? 'let the words say what a step takes' : 'set what a step takes',
    `uses ${step.id}`,
  )

export const weighStep = (partId: string, step: Step, weighedG: number | null): Command =>
  replaceStep(
    partId,
    { ...step, weighedG },
    weighedG === null ? 'clear a weighed step' : 'weigh a step',
    `weighed ${step.id}`,
  )

export const addWay = (partId: string, name: string, steps: readonly Step[]): Command => {
  const id = newId()
  return {
    label: 'add another way',
    apply: inPart(partId, (part) => {
      part.ways.push({ id, name: name.slice(0, 80), steps: steps as Draft<Step>[] })
    }),
  }
}

export const removeWay = (partId: string, wayId: string): Command => ({
  label: 'take out a way',
  apply: inPart(partId, (part) => {
    part.ways = part.ways.filter(({ id }) => id !== wayId)
  }),
})

/** Works by another way; the one in use is kept beside it under a name. */
export const takeWay = (partId: string, wayId: string, nameOfPresent: string): Command => ({
  label: 'work another way',
  apply: inPart(partId, (part) => {
    const at = part.ways.findIndex(({ id }) => id === wayId)
    const way = part.ways[at]
    if (way === undefined) return
    part.ways[at] = { id: way.id, name: nameOfPresent.slice(0, 80), steps: part.steps }
    part.steps = way.steps
  }),
})
