import { resolveLines, type ResolvedLine } from '../composition'
import type { Kitchen, Library, LineReading, Original, Part, PartAssessment } from '../model'
import { sumCooked, sumLines, type Sums, totalsPer } from '../nutrition'
import { type Finished, type MethodRun, runMethod } from '../process'
import {
  type Found,
  lineFindings,
  lineSlips,
  listAgainstSteps,
  methodRules,
  ratioFindings,
  safetyFindings,
  unitSlips,
} from '../rules'
import { distanceTo, familyModel, partState, type PartState, readFamily, waterSlack } from '../texture'

/** All that is known of one part before the dish's aim is looked at. */
export interface PartWork {
  readonly lines: readonly ResolvedLine[]
  readonly state: PartState
  readonly method: MethodRun
  readonly finished: Finished
  readonly sums: Sums
  readonly original: Original | null
  readonly assessment: PartAssessment
  readonly findings: readonly Found[]
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

function methodFindings(method: MethodRun, isJudged: boolean): Found[] {
  const found: Found[] = []
  if (method.impossibleG > 0.5) {
    found.push({
      rule: 'cooked-mass-impossible',
      severity: 'caution',
      message: `The cooked mass asks for ${Math.ceil(method.impossibleG)} g more water to leave than there is.`,
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

/** What other parts of the dish are, where this part may take from them. */
export interface Others {
  readonly works: readonly PartWork[]
  readonly parts: readonly Part[]
}
const NO_OTHERS: Others = { works: [], parts: [] }

/** What was taken from other parts, as shares of them. */
const takenShares = (method: MethodRun, works: readonly PartWork[]) =>
  works.flatMap(({ sums, finished }) => {
    const massG = method.taken.get(finished.partId) ?? 0
    return massG > 0 && finished.massG > 0 ? [{ sums, share: massG / finished.massG }] : []
  })

function work(part: Part, library: Library, kitchen: Kitchen, others: Others): PartWork {
  const lines = resolveLines(part, library, kitchen)
  const model = familyModel(part.family)
  const method = runMethod({
    part,
    lines,
    library,
    kitchen,
    others: others.works.map(({ finished }) => finished),
    otherParts: others.parts,
    usualYield: model?.usualYield.fraction ?? null,
  })
  const state = partState(method.mixed, method.cooked)
  const original = part.originalId === null ? null : (library.originals.get(part.originalId) ?? null)
  let rawMassG = 0
  for (const { mass } of lines) rawMassG += mass?.value ?? 0
  for (const massG of method.taken.values()) rawMassG += massG
  const hasMass = rawMassG > 0
  const readings =
    model === null || !hasMass ? { ratios: [], attributes: [] } : readFamily(model, state, lines, original)
  const sums = sumCooked(sumLines(lines, kitchen), method.items, takenShares(method, others.works))
  const cookedMassG = method.cooked.massG
  const assessment: PartAssessment = {
    partId: part.id,
    name: part.name,
    family: part.family,
    originalId: part.originalId,
    originalName: original?.name ?? null,
    rawMassG,
    cookedMassG,
    cookedBasis: method.basis,
    water: {
      totalG: state.water.totalG,
      heldG: state.water.heldG,
      freeG: state.water.freeG,
      cookedOffG: state.water.cookedOffG,
      slackPct: waterSlack(state.raw, 'cold'),
    },
    ratios: readings.ratios,
    attributes: readings.attributes,
    distance: distanceTo(original, readings.attributes),
    viscosityPaS: hasMass ? (model?.viscosityPaS?.(state) ?? null) : null,
    lines: lineReadings(lines, rawMassG),
    steps: method.trace.map(({ reading }) => reading),
    start: method.start,
    unused: [...method.unused],
    time: method.time,
    takenG: 0,
    leftoverG: 0,
    totals: totalsPer(sums, 1, cookedMassG),
  }
  const stepTexts = part.steps.map(({ text }) => text)
  const findings = [
    ...lineFindings(lines, library, kitchen),
    ...safetyFindings(lines, method),
    ...unitSlips(lines, rawMassG, kitchen),
    ...lineSlips(lines, stepTexts, rawMassG, kitchen),
    ...listAgainstSteps(lines, part.steps, kitchen),
    ...(model === null ? [] : ratioFindings(model, readings.ratios, lines)),
    ...methodRules({ part, lines, method, state, kitchen, rawMassG }),
    ...methodFindings(method, model !== null && hasMass),
  ]
  const finished: Finished = { partId: part.id, name: part.name, items: method.items, massG: cookedMassG }
  return { lines, state, method, sums, original, assessment, findings, finished }
}

interface Memo {
  readonly library: Library
  readonly kitchen: Kitchen
  readonly others: Others
  readonly done: PartWork
}
const memo = new WeakMap<Part, Memo>()

const isSame = (a: Others, b: Others): boolean =>
  a.works.length === b.works.length &&
  a.works.every((work, at) => work === b.works[at]) &&
  a.parts.every((part, at) => part.id === b.parts[at]?.id && part.name === b.parts[at].name)

/**
 * Works a part out; memoised by identity, so editing one part recomputes one part, and those that take from it.
 * @param others parts that it may take, worked out before it
 */
export function workPart(
  part: Part,
  library: Library,
  kitchen: Kitchen,
  others: Others = NO_OTHERS,
): PartWork {
  const known = memo.get(part)
  if (
    known !== undefined &&
    known.library === library &&
    known.kitchen === kitchen &&
    isSame(known.others, others)
  )
    return known.done
  const done = work(part, library, kitchen, others)
  memo.set(part, { library, kitchen, others, done })
  return done
}
