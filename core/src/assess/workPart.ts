import { type ResolvedLine, resolveLines } from '../composition'
import type { Kitchen, Library, LineReading, Part, PartAssessment, SecondReading, StepUse } from '../model'
import { sumCooked, sumLines, type Sums, totalsPer } from '../nutrition'
import { madeOf, massWith, type PartRun, type PartState, runPart, scattersOf, stateWith } from '../process'
import { compile, type Granted, withWords } from '../program'
import {
  type Found,
  lineFindings,
  lineSlips,
  listAgainstSteps,
  methodRules,
  ratioFindings,
  runFindings,
  labelFindings,
  safetyFindings,
  unitSlips,
} from '../rules'
import {
  behaviourOf,
  type Calibrations,
  calibrationsOf,
  distanceTo,
  type FamilyTable,
  familyTable,
  type Goal,
  goalOf,
  readFamily,
  type Readings,
  served,
  spreadOf,
  viscosityAt,
  waterBudget,
  waterSlack,
} from '../texture'
import { type SecondState, secondState } from './alsoServed'
import { souringOf } from './souring'
import { askedInstead } from './asked'

/** All that is known of one part before the dish's aim is looked at. */
export interface PartWork {
  readonly lines: readonly ResolvedLine[]
  readonly state: PartState
  readonly method: PartRun
  readonly sums: Sums
  readonly goal: Goal
  /** What this kitchen's tastings say of the family's attributes. */
  readonly calibrations: Calibrations
  readonly assessment: PartAssessment
  readonly findings: readonly Found[]
  /** The part as it is served the second way; null where it is served in one. */
  readonly second: SecondState | null
  /** Share of each other part that this one takes, by its id. */
  readonly takes: ReadonlyMap<string, number>
  /** The standard deviations are those of an earlier assessment. */
  readonly isBetween: boolean
}

/** What a part is worked out from, beside itself. */
export interface PartInput {
  readonly part: Part
  /** Lines that its steps work with: its own, less what it lends, and what it borrows of others. */
  readonly lines: readonly ResolvedLine[]
  readonly uses: readonly (readonly StepUse[])[]
  readonly granted: Granted
  /** Parts that it may take, worked out before it. */
  readonly others: readonly PartWork[]
}

const lineReadings = (lines: readonly ResolvedLine[], rawMassG: number): LineReading[] =>
  lines.map(({ line, food, mass }) => ({
    lineId: line.id,
    text: line.text,
    foodId: food?.id ?? null,
    name: food?.name ?? line.food,
    massG: mass?.value ?? null,
    sdG: mass?.sd ?? null,
    share: mass === null || rawMassG === 0 ? null : mass.value / rawMassG,
  }))

/** States with one scatter applied after another; the variance of the cooked mass is summed on the way. */
function* neighbours(method: PartRun, variance: { massG2: number }): Generator<PartState> {
  for (const { change } of scattersOf(method)) {
    const state = stateWith(method, [change])
    variance.massG2 += (state.cooked.massG - method.massG) ** 2
    yield state
  }
}

/** The variance of the cooked mass alone, where no family reads the state. */
function massVariance(method: PartRun): number {
  let sum = 0
  for (const { change } of scattersOf(method)) sum += (massWith(method, change) - method.massG) ** 2
  return sum
}

type Spreads = Pick<PartAssessment, 'cookedSdG' | 'ratios' | 'attributes'>

const NOTHING_READ: Readings = { ratios: [], attributes: [] }

/** Follows every scatter of a part: how sure its cooked mass and its readings are. */
function spreadsOf(
  method: PartRun,
  table: FamilyTable | null,
  goal: Goal,
  calibrations: Calibrations,
): Spreads {
  const variance = { massG2: 0 }
  if (table === null) variance.massG2 = massVariance(method)
  const { ratios, attributes } =
    table === null
      ? NOTHING_READ
      : readFamily(
          table,
          method.state,
          goal,
          spreadOf(table, method.state, neighbours(method, variance), goal, calibrations),
          calibrations,
        )
  // What is followed from is large, and a document's history holds many runs.
  method.snapshots = null
  return { cookedSdG: Math.sqrt(variance.massG2), ratios, attributes }
}

/** The readings as they are now, as sure as they were before. */
function spreadsBetween(
  method: PartRun,
  table: FamilyTable | null,
  goal: Goal,
  calibrations: Calibrations,
  before: Spreads,
): Spreads {
  const { ratios, attributes } =
    table === null ? NOTHING_READ : readFamily(table, method.state, goal, null, calibrations)
  const sds = new Map<string, number>([...before.ratios, ...before.attributes].map(({ id, sd }) => [id, sd]))
  return {
    cookedSdG: before.cookedSdG,
    ratios: ratios.map((one) => ({ ...one, sd: sds.get(one.id) ?? one.sd })),
    attributes: attributes.map((one) => ({ ...one, sd: sds.get(one.id) ?? one.sd })),
  }
}

/** The part as it is served the second way, against the original that it stands for then. */
function secondReading(
  { method, table, goal, original, calibrations }: SecondState,
  before: SecondReading | null,
): SecondReading {
  const { cookedSdG, ratios, attributes } =
    before === null
      ? spreadsOf(method, table, goal, calibrations)
      : spreadsBetween(method, table, goal, calibrations, { ...before, cookedSdG: 0 })
  const { servingC } = served(table, method.state, goal)
  return {
    originalId: original.id,
    originalName: original.name,
    family: table.id,
    servingC,
    massG: method.massG,
    massSdG: cookedSdG,
    ratios,
    attributes,
    distance: distanceTo(goal, attributes),
    behaviour: behaviourOf(table, method.state, goal),
    viscosityPaS: table.isPoured ? viscosityAt(method.state, servingC) : null,
  }
}

/** The family that reads a part; null where none does, or nothing is there to read. */
const judgedBy = ({ part }: PartInput, rawMassG: number): FamilyTable | null =>
  rawMassG > 0 ? familyTable(part.family) : null

/** Shares of other parts that a part takes, by id. */
const takesOf = ({ program }: PartRun): ReadonlyMap<string, number> =>
  new Map(program.others.map(({ part }, at) => [part.id, program.takenShares[at] ?? 0]))

/** Others that make up less than this of a part are its seasoning, and no layer. Practice. */
const LEAST_LAYER = 0.08

/** What the readings of a part are of, where it holds others that are judged by other tables. */
function judgedOf(
  { family }: Part,
  others: readonly PartWork[],
  takes: ReadonlyMap<string, number>,
  cookedMassG: number,
): string | null {
  const layers = others.flatMap(({ assessment }) => {
    const share = ((takes.get(assessment.partId) ?? 0) * assessment.cookedMassG) / Math.max(1, cookedMassG)
    return share >= LEAST_LAYER && assessment.family !== family ? [{ name: assessment.name, share }] : []
  })
  if (layers.length === 0) return null
  const inside = layers.map(({ name, share }) => `${name} (${Math.round(100 * share)} %)`).join(' and ')
  return `The whole is judged as one bite, with ${inside} in it; each of those is judged alone as a part of its own.`
}

/** What lists, words and the run itself give cause to say. */
function findingsOf(
  input: PartInput,
  { method, lines, assessment }: Pick<PartWork, 'method' | 'lines' | 'assessment'>,
  library: Library,
  kitchen: Kitchen,
): Found[] {
  const { part, granted } = input
  const { rawMassG, ratios } = assessment
  const table = familyTable(part.family)
  const stepTexts = part.steps.map(({ text }) => text)
  const findings = [
    ...lineFindings(lines, library, kitchen),
    ...safetyFindings(lines, method),
    ...labelFindings(lines, library.allergens),
    ...unitSlips(lines, rawMassG, kitchen, part.name, method),
    ...lineSlips(lines, stepTexts, rawMassG, kitchen),
    ...listAgainstSteps(lines, part.steps, kitchen),
    ...(table === null ? [] : ratioFindings(table, ratios, lines)),
    ...methodRules({ part, lines, method, state: method.state, kitchen, rawMassG }),
    ...runFindings(method, granted, judgedBy(input, rawMassG) !== null),
  ]
  return askedInstead(findings, method)
}

function work(input: PartInput, library: Library, kitchen: Kitchen, before: PartAssessment | null): PartWork {
  const { part, lines: at, uses, granted, others } = input
  const lines = resolveLines(part, library, kitchen)
  const table = familyTable(part.family)
  const program = compile({
    part,
    lines: at,
    uses,
    library,
    kitchen,
    others: others.map(({ method }) => method.program),
    granted: granted.shares,
  })
  const method = runPart(
    {
      program,
      made: others.map(({ method: other }) => madeOf(other)),
      usualYield: table?.usualYield.fraction ?? null,
    },
    // Between two keys no scatter is followed, and nothing need be kept for it.
    before === null,
  )
  const { state } = method
  const original = part.originalId === null ? null : (library.originals.get(part.originalId) ?? null)
  const goal = goalOf(original, part.moved)
  const takes = takesOf(method)
  let rawMassG = 0
  for (const { mass } of at) rawMassG += mass?.value ?? 0
  for (const { assessment } of others) rawMassG += (takes.get(assessment.partId) ?? 0) * assessment.rawMassG
  const judge = judgedBy(input, rawMassG)
  const calibrations = calibrationsOf(judge, kitchen)
  const readings =
    before === null
      ? spreadsOf(method, judge, goal, calibrations)
      : spreadsBetween(method, judge, goal, calibrations, before)
  const second = rawMassG > 0 ? secondState(input, library, kitchen) : null
  const sums = sumCooked(
    sumLines(at, kitchen),
    method.nutrients,
    others.map(({ sums: of, assessment }) => ({ sums: of, share: takes.get(assessment.partId) ?? 0 })),
  )
  const water = waterBudget(state.mixed, Math.max(0, state.mixed.waterG - state.cooked.waterG))
  const cookedMassG = method.massG
  const assessment: PartAssessment = {
    partId: part.id,
    name: part.name,
    family: part.family,
    originalId: part.originalId,
    originalName: original?.name ?? null,
    rawMassG,
    cookedMassG,
    cookedSdG: readings.cookedSdG,
    cookedBasis: method.basis,
    water: {
      totalG: water.totalG,
      heldG: water.heldG,
      freeG: water.freeG,
      cookedOffG: water.cookedOffG,
      slackPct: waterSlack(state.mixed, 'cold'),
    },
    ratios: readings.ratios,
    attributes: readings.attributes,
    distance: distanceTo(goal, readings.attributes),
    judged: judge === null ? null : judgedOf(part, others, takes, cookedMassG),
    behaviour: [...(judge === null ? [] : behaviourOf(judge, state, goal)), ...souringOf(method)],
    viscosityPaS: judge?.isPoured === true ? viscosityAt(state, served(judge, state, goal).servingC) : null,
    also: second === null ? null : secondReading(second, before?.also ?? null),
    lines: lineReadings(lines, rawMassG),
    steps: method.trace.map(({ reading }) => reading),
    start: method.start,
    unused: [...method.unused],
    time: method.time,
    takenG: 0,
    besideG: 0,
    leftoverG: 0,
    totals: totalsPer(sums, 1, cookedMassG),
  }
  return {
    lines,
    state,
    method,
    sums,
    goal,
    calibrations,
    assessment,
    findings: findingsOf(input, { method, lines, assessment }, library, kitchen),
    second,
    takes,
    isBetween: before !== null,
  }
}

/** A part in its second state, as a part of its own: what is asked of the first can be asked of it. */
export function inSecondState(work: PartWork): PartWork | null {
  const { second, assessment } = work
  if (second === null || assessment.also === null) return null
  const { family, ratios, attributes, massG, originalId, originalName } = assessment.also
  return {
    ...work,
    state: second.method.state,
    method: second.method,
    goal: second.goal,
    calibrations: second.calibrations,
    assessment: { ...assessment, family, ratios, attributes, originalId, originalName, cookedMassG: massG },
  }
}

interface Memo {
  readonly library: Library
  readonly kitchen: Kitchen
  readonly input: PartInput
  readonly done: PartWork
}
const memo = new WeakMap<Part, Memo>()
/** The last work of each part, by its id: other words of the same method leave its run as it was. */
const latest = new Map<string, Memo>()
const MOST_LATEST = 24

/** Another part as a taker sees it: how sure its readings are, and the words of its steps, do not matter to it. */
const isAlike = (a: PartWork, b: PartWork | undefined): boolean =>
  a.method.space === b?.method.space && a.sums === b.sums

const isSame = (a: PartInput, b: PartInput): boolean =>
  a.lines.length === b.lines.length &&
  a.lines.every((line, at) => line === b.lines[at]) &&
  (a.uses === b.uses || JSON.stringify(a.uses) === JSON.stringify(b.uses)) &&
  a.others.length === b.others.length &&
  a.others.every((work, at) => isAlike(work, b.others[at])) &&
  a.granted.shares.length === b.granted.shares.length &&
  a.granted.shares.every((share, at) => share === b.granted.shares[at])

/** Whether two parts are one but for what their steps say and how they are done. */
const isSameButSteps = (a: Part, b: Part): boolean =>
  (Object.keys(a) as (keyof Part)[]).every((key) => key === 'steps' || a[key] === b[key])

/** The part as it was worked out last, with other words in its steps; null where they change what is done. */
function reworded(
  { input: before, done, ...last }: Memo,
  input: PartInput,
  library: Library,
  kitchen: Kitchen,
): PartWork | null {
  if (last.library !== library || last.kitchen !== kitchen) return null
  if (!isSameButSteps(before.part, input.part) || !isSame(before, input)) return null
  const program = withWords(done.method.program, input.part)
  if (program === null) return null
  const trace = done.method.trace.map((one, at) => ({ ...one, step: program.ops[at]?.step ?? one.step }))
  const work = { ...done, method: { ...done.method, program, trace } }
  return { ...work, findings: findingsOf(input, work, library, kitchen) }
}

/** A part that was worked out between two keys, with its standard deviations worked out as well. */
function settled(known: PartWork, input: PartInput, library: Library, kitchen: Kitchen): PartWork {
  const { goal, assessment, calibrations } = known
  const { program, made, usualYield } = known.method
  const method = runPart({ program, made, usualYield }, true)
  const spreads = spreadsOf(method, judgedBy(input, assessment.rawMassG), goal, calibrations)
  const second = assessment.also === null ? null : secondState(input, library, kitchen)
  const also = second === null ? null : secondReading(second, null)
  return { ...known, second, assessment: { ...assessment, ...spreads, also }, isBetween: false }
}

/**
 * Works a part out; memoised by identity, so editing one part recomputes one part, and those that take from it.
 * @param before the part as it was, whose standard deviations may stand in for now; null works them out
 */
export function workPart(
  input: PartInput,
  library: Library,
  kitchen: Kitchen,
  before: PartAssessment | null,
): PartWork {
  const known = memo.get(input.part)
  const isKnown =
    known !== undefined &&
    known.library === library &&
    known.kitchen === kitchen &&
    isSame(known.input, input)
  if (isKnown && (before !== null || !known.done.isBetween)) return known.done
  const { family, originalId } = input.part
  const canStand =
    before?.family === family &&
    before.originalId === originalId &&
    (before.also?.originalId ?? null) === (input.part.alsoServed?.originalId ?? null)
  const stands = canStand ? before : null
  const last = latest.get(input.part.id)
  const again = isKnown ? known.done : last === undefined ? null : reworded(last, input, library, kitchen)
  const done =
    again === null
      ? work(input, library, kitchen, stands)
      : again.isBetween && stands === null
        ? settled(again, input, library, kitchen)
        : again
  const made = { library, kitchen, input, done }
  memo.set(input.part, made)
  latest.delete(input.part.id)
  latest.set(input.part.id, made)
  for (const id of latest.keys()) if (latest.size > MOST_LATEST) latest.delete(id)
  return done
}
