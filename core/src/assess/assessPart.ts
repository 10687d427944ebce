import { addInto, batchPerGram, emptyBatch, resolveLines, type ResolvedLine } from '../composition'
import type { Kitchen, Library, LineReading, Original, Part, PartAssessment } from '../model'
import { sumLines, type Sums, totalsPer } from '../nutrition'
import { type MethodRun, runSteps } from '../process'
import {
  type Found,
  lineFindings,
  lineSlips,
  listAgainstSteps,
  ratioFindings,
  safetyFindings,
  unitSlips,
  unusedLines,
} from '../rules'
import { distanceTo, familyModel, partState, type PartState, readFamily, waterSlack } from '../texture'

/** All that is known of one part before the dish's aim is looked at. */
export interface PartWork {
  readonly lines: readonly ResolvedLine[]
  readonly state: PartState
  readonly method: MethodRun
  readonly sums: Sums
  readonly original: Original | null
  readonly assessment: PartAssessment
  readonly findings: readonly Found[]
}

function rawBatch(lines: readonly ResolvedLine[]) {
  const batch = emptyBatch()
  for (const { food, mass } of lines) {
    if (mass === null) continue
    if (food === null) {
      batch.massG += mass.value
      batch.unknownG += mass.value
    } else addInto(batch, batchPerGram(food), mass.value)
  }
  return batch
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

function work(part: Part, library: Library, kitchen: Kitchen): PartWork {
  const lines = resolveLines(part, library, kitchen)
  const raw = rawBatch(lines)
  const model = familyModel(part.family)
  const method = runSteps(part, raw, model?.usualYield.fraction ?? null)
  const state = partState(raw, method.cooked)
  const original = part.originalId === null ? null : (library.originals.get(part.originalId) ?? null)
  const hasMass = raw.massG > 0
  const readings =
    model === null || !hasMass ? { ratios: [], attributes: [] } : readFamily(model, state, lines, original)
  const sums = sumLines(lines, kitchen)
  const cookedMassG = method.cooked.massG
  const assessment: PartAssessment = {
    partId: part.id,
    name: part.name,
    family: part.family,
    originalId: part.originalId,
    originalName: original?.name ?? null,
    rawMassG: raw.massG,
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
    lines: lineReadings(lines, raw.massG),
    steps: [...method.steps],
    totals: totalsPer(sums, 1, cookedMassG),
  }
  const stepTexts = part.steps.map(({ text }) => text)
  const findings = [
    ...lineFindings(lines, library, kitchen),
    ...safetyFindings(lines),
    ...unitSlips(lines, raw.massG, kitchen),
    ...lineSlips(lines, stepTexts, raw.massG, kitchen),
    ...unusedLines(lines, stepTexts),
    ...listAgainstSteps(lines, part.steps, kitchen),
    ...(model === null ? [] : ratioFindings(model, readings.ratios, lines)),
    ...methodFindings(method, model !== null && hasMass),
  ]
  return { lines, state, method, sums, original, assessment, findings }
}

interface Memo {
  readonly library: Library
  readonly kitchen: Kitchen
  readonly done: PartWork
}
const memo = new WeakMap<Part, Memo>()

/** Works a part out; memoised by identity, so editing one part recomputes one part. */
export function workPart(part: Part, library: Library, kitchen: Kitchen): PartWork {
  const known = memo.get(part)
  if (known !== undefined && known.library === library && known.kitchen === kitchen) return known.done
  const done = work(part, library, kitchen)
  memo.set(part, { library, kitchen, done })
  return done
}
