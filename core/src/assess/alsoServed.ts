import { madeOf, type PartRun, runPart } from '../process'
import { compile, type Granted } from '../program'
import type { ResolvedLine } from '../composition'
import {
  type Kitchen,
  type Library,
  NO_SETTINGS,
  type Original,
  type Part,
  type Step,
  type StepUse,
} from '../model'
import {
  type Calibrations,
  calibrationsOf,
  familyTable,
  type FamilyTable,
  type Goal,
  goalOf,
} from '../texture'

/** The part in its second state: chilled as long as it rests, and read against the original that it stands for then. */
export interface SecondState {
  readonly method: PartRun
  readonly table: FamilyTable
  readonly goal: Goal
  readonly original: Original
  readonly calibrations: Calibrations
}

/** What a part is worked out from; of the parts that it takes, their run. */
interface SecondInput {
  readonly part: Part
  readonly lines: readonly ResolvedLine[]
  readonly uses: readonly (readonly StepUse[])[]
  readonly granted: Granted
  readonly others: readonly { readonly method: PartRun }[]
}

/** Cold of a fridge, C. @source local food codes: 5 C or below */
const FRIDGE_C = 4
const MIN_PER_H = 60
const ID = 'also-served'

/** A rest in the cold, as a step behind all others. */
const rest = (coldH: number): Step => ({
  id: ID,
  text: 'Chill.',
  operation: 'chill',
  durationMin: coldH * MIN_PER_H,
  tempC: FRIDGE_C,
  until: null,
  settings: NO_SETTINGS,
  byHand: [],
  uses: null,
  weighedG: null,
  cue: null,
  remedy: null,
})

/** What the rest takes: what the last step made; without a method, all that is listed. */
function restTakes({ steps }: Part, lines: readonly ResolvedLine[]): StepUse[] {
  const last = steps.at(-1)
  return last === undefined
    ? lines.map(({ line }): StepUse => ({ kind: 'line', id: line.id, share: null }))
    : [{ kind: 'step', id: last.id, share: null }]
}

/**
 * Works a part out in the second way in which it is served.
 * @returns null where it is served in one way, or its second original is not in the library
 */
export function secondState(input: SecondInput, library: Library, kitchen: Kitchen): SecondState | null {
  const { part, lines, uses, granted, others } = input
  const also = part.alsoServed
  const original = also === null ? undefined : library.originals.get(also.originalId)
  if (also === null || original === undefined) return null
  const table = familyTable(original.family)
  if (table === null) return null
  const isChilled = also.coldH > 0
  const program = compile({
    part: isChilled ? { ...part, steps: [...part.steps, rest(also.coldH)] } : part,
    lines,
    uses: isChilled ? [...uses, restTakes(part, lines)] : uses,
    library,
    kitchen,
    others: others.map(({ method }) => method.program),
    granted: granted.shares,
  })
  const method = runPart(
    { program, made: others.map(({ method: of }) => madeOf(of)), usualYield: table.usualYield.fraction },
    true,
  )
  return { method, table, goal: goalOf(original), original, calibrations: calibrationsOf(table, kitchen) }
}
