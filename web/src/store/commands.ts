import type { Aim, Dish, FormulaLine, Ingredient, Original, Part, StepUse, Trial } from '@frijol/core/model'
import { blankPart, MOST_REASONS, nothingMoved } from '@frijol/core/model'
import type { Draft } from 'immer'
import { newId } from './ids'
import { inPart } from './inPart'
import { withOwnWords } from './lines'
import type { Command } from './openDish'

const inLine = (partId: string, lineId: string, change: (line: Draft<FormulaLine>) => void) =>
  inPart(partId, (part) => {
    const line = part.lines.find(({ id }) => id === lineId)
    if (line !== undefined) change(line)
  })

export const renameDish = (name: string): Command => ({
  label: 'rename the dish',
  merge: 'name',
  apply: (dish) => {
    dish.name = name
  },
})

export const addLines = (partId: string, lines: readonly FormulaLine[]): Command => ({
  label: lines.length === 1 ? 'add a line' : `add ${lines.length} lines`,
  apply: inPart(partId, (part) => {
    part.lines.push(...(lines as Draft<FormulaLine>[]))
  }),
})

/** Takes something that is gone out of the steps that took it by hand; a step left with nothing reads its words again. */
function forgetUse(part: Draft<Part>, kind: StepUse['kind'], id: string): void {
  for (const step of part.steps) {
    if (step.uses === null || !step.uses.some((use) => use.kind === kind && use.id === id)) continue
    const left = step.uses.filter((use) => use.kind !== kind || use.id !== id)
    step.uses = left.length === 0 ? null : left
  }
}

export const removeLine = (partId: string, lineId: string): Command => ({
  label: 'take out a line',
  apply: inPart(partId, (part) => {
    part.lines = part.lines.filter(({ id }) => id !== lineId)
    ownWords(part)
    forgetUse(part, 'line', lineId)
  }),
})

export const moveLine = (partId: string, lineId: string, to: number): Command => ({
  label: 'move a line',
  apply: inPart(partId, (part) => {
    const from = part.lines.findIndex(({ id }) => id === lineId)
    const [line] = from < 0 ? [] : part.lines.splice(from, 1)
    if (line !== undefined) part.lines.splice(to, 0, line)
    ownWords(part)
  }),
})

const isList = (lines: FormulaLine | readonly FormulaLine[]): lines is readonly FormulaLine[] =>
  Array.isArray(lines)

/** Replaces a line by a new reading of it; its id stays. Words that name more foods bring more lines. */
export const rewriteLine = (
  partId: string,
  lines: FormulaLine | readonly FormulaLine[],
  merge?: string,
): Command => {
  const [line, ...more]: readonly FormulaLine[] = isList(lines) ? lines : [lines]
  return {
    label: 'change a line',
    ...(merge === undefined ? {} : { merge }),
    apply: inPart(partId, (part) => {
      const at = part.lines.findIndex(({ id }) => id === line?.id)
      if (at < 0 || line === undefined) return
      part.lines.splice(at, 1, line, ...(more as Draft<FormulaLine>[]))
      ownWords(part)
    }),
  }
}

/** Lines that shared their written words with one that is gone or changed say their own. */
function ownWords(part: Draft<Part>): void {
  if (part.lines.some(({ sharesText }) => sharesText !== undefined)) part.lines = withOwnWords(part.lines)
}

export const chooseFood = (partId: string, lineId: string, food: Ingredient): Command => ({
  label: `read it as ${food.name.toLowerCase()}`,
  apply: inLine(partId, lineId, (line) => {
    line.ingredientId = food.id
    line.choice = 'chosen'
  }),
})

export const addPart = (name: string): Command => {
  const part = blankPart(newId(), name)
  return {
    label: 'add a part',
    apply: (dish) => {
      dish.parts.push(part)
    },
  }
}

export const removePart = (partId: string): Command => ({
  label: 'take out a part',
  apply: (dish) => {
    if (dish.parts.length <= 1) return
    dish.parts = dish.parts.filter(({ id }) => id !== partId)
    for (const part of dish.parts) forgetUse(part, 'part', partId)
  },
})

export const renamePart = (partId: string, name: string): Command => ({
  label: 'rename a part',
  merge: `part-name ${partId}`,
  apply: inPart(partId, (part) => {
    part.name = name
  }),
})

export const chooseOriginal = (partId: string, original: Original | null): Command => ({
  label: original === null ? 'clear the original' : `aim at ${original.name.toLowerCase()}`,
  apply: inPart(partId, (part) => {
    part.originalId = original?.id ?? null
    const family = original?.family ?? null
    // What was moved was moved from the original before; windows belong to the family.
    part.moved = { ...nothingMoved(), windows: part.family === family ? part.moved.windows : {} }
    part.family = family
  }),
})

export const setCookedMass = (partId: string, massG: number | null): Command => ({
  label: massG === null ? 'clear the weighed mass' : 'enter a weighed mass',
  merge: `cooked ${partId}`,
  apply: inPart(partId, (part) => {
    part.cookedMassG = massG
  }),
})

/** Changes the aim; `merge` names the field while it is typed. */
export const changeAim = (label: string, change: (aim: Draft<Aim>) => void, merge?: string): Command => ({
  label,
  ...(merge === undefined ? {} : { merge }),
  apply: (dish) => {
    change(dish.aim)
  },
})

export const settleFinding = (key: string, reason: string): Command => ({
  label: 'settle a finding',
  apply: (dish) => {
    dish.settled = [...dish.settled.filter((settled) => settled.key !== key), { key, reason }]
  },
})

export const unsettleFinding = (key: string): Command => ({
  label: 'open a finding again',
  apply: (dish) => {
    dish.settled = dish.settled.filter((settled) => settled.key !== key)
  },
})

/** After a trial is kept: work goes on as the next one. */
export const startNextTrial = (number: number, fromNumber: number): Command => ({
  label: `start trial ${number}`,
  apply: (dish) => {
    dish.trial = { number, fromNumber, why: [] }
    // What was weighed belongs to the trial that was kept; the next one is predicted with what was learned.
    for (const part of dish.parts) for (const step of part.steps) step.weighedG = null
  },
})

/** Takes an earlier trial's formula up again. */
export const takeUpTrial = (
  { parts, written }: Pick<Trial, 'parts' | 'written'>,
  fromNumber: number,
): Command => ({
  label: `take up trial ${fromNumber}`,
  apply: (dish) => {
    dish.parts = structuredClone(parts)
    dish.written = structuredClone(written)
    dish.trial.fromNumber = fromNumber
    // What the formula before it came by is not what this one came by.
    dish.trial.why = []
  },
})

/** Takes over what was proposed, and keeps with the trial why. */
export const takeOver = (proposed: Dish, reason: string): Command => {
  const replace = replaceFormula(proposed, reason)
  return {
    ...replace,
    apply: (dish) => {
      replace.apply(dish)
      dish.trial.why = [...dish.trial.why, reason.slice(0, 300)].slice(-MOST_REASONS)
    },
  }
}

/** Takes over a proposal's formula and portions, such as a scaled dish. */
export const replaceFormula = (proposed: Dish, label: string): Command => ({
  label,
  apply: (dish) => {
    dish.parts = proposed.parts
    dish.written = proposed.written
    dish.aim.portions = proposed.aim.portions
  },
})
