import type { FoodClass, OperationId, Step, StepUse } from '../model'
import { piecesOfStep } from '../reading'
import { fanShiftC } from '../measure'
import { BLENDED, rowConstants } from './constants'
import {
  bathAfter,
  bindingOf,
  freshLot,
  isDough,
  isMixedAfter,
  isOfFlour,
  leavesLiquor,
  listedOf,
  type Listed,
  type LotShape,
  phaseAfter,
  wrappedIn,
} from './lotShape'
import { isHeating, specOf } from './operations'
import type { Op, Source, Take } from './program'
import { rateFor } from './rates'
import {
  bedRows,
  bornRow,
  droppedRows,
  handlingOf,
  isBreaded,
  isFat,
  mediumRows,
  tapRatio,
} from './surroundings'
import { uptakeTau } from './uptake'
import { loadLimit, vesselChoices, vesselKind, vesselOfSize } from './vessels'
import type { Writer } from './writer'

/** Fat that stands for the oil of a fryer where the part lists none. */
const FRYING_OIL_ID = 'oil-neutral-refined'
const WATER_ID = 'water'
const HEAT = { low: 0.45, medium: 0.8, high: 1 } as const
const COVERED = 0.2
const AJAR = 0.6
const DISCARDS: ReadonlySet<OperationId> = new Set(['soak', 'desalt', 'boil', 'pressure-cook', 'hydrate'])
/** Cut without a size. Practice. */
const USUAL_CUT_MM = 9
/** Less water than this is none, g. */
const LEAST_WATER_G = 0.01
const GRATED_MM = 3
const CUTS: ReadonlySet<OperationId> = new Set(['chop', 'grate'])
/** Liquor by which food in a dish is under sauce, share of the lot. Practice. */
const SAUCED_SHARE = 0.15

/** What food is fried in and lifted out of. */
const BATHS: ReadonlySet<string> = new Set(['deep-fry', 'shallow-fry'])
/** A liquid that is poured over food does not give the lot its shape. */
const LIQUOR_WEIGHT = 0.02

interface Gathered {
  readonly lot: LotShape
  readonly takes: Take[]
  readonly mainOp: number
}

/** Brings together what a step takes; shape and phase are those of the larger. */
function gather(writer: Writer, step: Step, at: number, uses: readonly StepUse[]): Gathered {
  const lot = freshLot(at)
  const takes: Take[] = []
  let mainOp = -1
  let mainG = 0
  const weigh = (rows: readonly number[]): number =>
    rows.reduce((sum, row) => sum + (writer.rawG[row] ?? 0), 0)
  for (const use of uses) {
    if (use.kind === 'line') {
      const row = writer.line(use.id, use.share, step)
      if (row < 0) continue
      takes.push({ kind: 'line', id: use.id, share: use.share, rows: [row] })
      lot.rows.push(row)
      const isLiquid = writer.rows[row]?.source.entry.isLiquid ?? false
      lot.hasLiquor ||= isLiquid
      const massG = (writer.rawG[row] ?? 0) * (isLiquid ? LIQUOR_WEIGHT : 1)
      // What is fried in is never what is fried, however much there is of it.
      const isBath = BATHS.has(step.operation ?? '') && isFat(writer, row)
      if (!isBath && writer.decisions.larger(massG, mainG)) {
        mainG = massG
        mainOp = -1
        Object.assign(lot, {
          form: 'pieces',
          thicknessMm: null,
          phase: 'pieces',
          isMixed: false,
          isCut: false,
          isCooked: false,
        })
      }
      continue
    }
    const taken = use.kind === 'step' ? writer.lot(use, step) : writer.part(use)
    if (taken === null) continue
    // A broth that something is laid in weighs as listed broth does.
    const isBroth = isBrothOf(sourcesOf(writer, taken.lot.rows))
    const massG = weigh(taken.lot.rows) * (isBroth ? LIQUOR_WEIGHT : 1)
    takes.push(taken.take)
    lot.rows.push(...taken.lot.rows)
    lot.hasLiquor ||= taken.lot.hasLiquor
    lot.isWrapped ||= taken.lot.isWrapped
    lot.isInBowl ||= taken.lot.isInBowl
    lot.isInDish ||= taken.lot.isInDish
    lot.isDough ||= taken.lot.isDough
    lot.isFoam ||= taken.lot.isFoam
    if (taken.lot.bath !== 'none') lot.bath = taken.lot.bath
    if (writer.decisions.larger(massG, mainG)) {
      const { form, thicknessMm, phase, isMixed, isCut, isCooked } = taken.lot
      Object.assign(lot, { form, thicknessMm, phase, isMixed, isCut, isCooked })
      mainG = massG
      mainOp = taken.lot.op
    }
  }
  return { lot, takes, mainOp }
}

/** The foods of some rows. A loop: every operation asks for all that its lot holds. */
function sourcesOf(writer: Writer, rows: readonly number[]): Source[] {
  const sources: Source[] = []
  for (const row of rows) {
    const source = writer.rows[row]?.source
    if (source !== undefined) sources.push(source)
  }
  return sources
}

const DISSOLVES: ReadonlySet<FoodClass> = new Set([
  'water',
  'plant-milk',
  'acid',
  'savoury',
  'sweetener',
  'salt',
  'spice',
  'herb',
  'seaweed',
])
/** Sheets of rice paper, soaked and laid double, mm. Practice. */
const SHEET_MM = 1
/** What is mostly sheets lies as thin as they are, whatever it was dipped in. */
function sheetMm(writer: Writer, rows: readonly number[]): number | null {
  let sheetG = 0
  let restG = 0
  for (const row of rows) {
    const entry = writer.rows[row]?.source.entry
    const grams = writer.rawG[row] ?? 0
    if (entry?.traits.has('chewy-sheet') === true) sheetG += grams
    else if (entry !== undefined && !entry.isLiquid && !entry.isSolute && entry.food?.foodClass !== 'fat')
      restG += grams
  }
  return writer.decisions.larger(sheetG, restG) ? SHEET_MM : null
}

/** A liquid, with no more in it than what seasons it. */
const isBrothOf = (holds: readonly Source[]): boolean =>
  holds.some(({ entry }) => entry.isLiquid) &&
  holds.every(({ food, entry }) => entry.isLiquid || (food !== null && DISSOLVES.has(food.foodClass)))

/** "Boil the water with the salt and the vinegar": it comes to the boil, and what it is for is told next. */
const isLiquidBrought = (
  step: Step,
  spec: ReturnType<typeof specOf> | null,
  holds: readonly Source[],
): boolean => spec?.id === 'boil' && step.durationMin === null && step.until === null && isBrothOf(holds)

/** Water that a step pours in, g. "Mix the flour with 100 ml of water", where the list has it: that water, and no more. */
function pouredG({ rows }: Writer, { settings, byHand }: Step, takes: readonly Take[]): number {
  const takesListed = takes.some(
    (take) => take.kind === 'line' && take.rows.some((row) => rows[row]?.source.food?.foodClass === 'water'),
  )
  return takesListed && !byHand.includes('waterG') ? 0 : (settings.waterG ?? 0)
}

/** Writes one step as an operation. */
export function compileOp(writer: Writer, step: Step, at: number, uses: readonly StepUse[]): void {
  const { lot, takes, mainOp } = gather(writer, step, at, uses)
  const { settings } = step
  const { library, kitchen } = writer.input
  const spec = step.operation === null || lot.rows.length === 0 ? null : specOf(step.operation)
  const phaseBefore = lot.phase
  const leaves = spec !== null && leavesLiquor(lot, step, spec)
  if (leaves) {
    lot.hasLiquor = false
    lot.bath = 'none'
  }
  const waterG = pouredG(writer, step, takes)
  const waterRow =
    spec !== null && (waterG > LEAST_WATER_G || settings.additions !== null)
      ? bornRow(writer, WATER_ID, 'Water')
      : -1
  if (waterRow >= 0) {
    lot.rows.push(waterRow)
    lot.hasLiquor ||= waterG > 0
  }
  const tap = spec === null ? 0 : tapRatio(writer, spec, lot, listedOf(lot.rows, writer.rows, writer.rawG))
  // "Spread over a tray": a mince lies there as crumbs, batons of carrot as what they are.
  const isSpread =
    settings.form === 'crumble' &&
    !step.byHand.includes('form') &&
    !piecesOfStep(step).crumbles &&
    phaseBefore === 'pieces' &&
    lot.form === 'pieces'
  const form =
    (isSpread ? null : settings.form) ??
    (spec?.id === 'coat' && isBreaded(writer, takes, lot) ? 'breaded' : lot.form)
  const thicknessMm = settings.thicknessMm ?? lot.thicknessMm ?? sheetMm(writer, lot.rows)
  const listed = listedOf(lot.rows, writer.rows, writer.rawG)
  const medium = spec === null ? [] : mediumRows(writer, spec, { ...lot, form }, listed)
  const hasFat = lot.rows.some((row) => isFat(writer, row))
  const isFrying = spec?.id === 'deep-fry' || (spec?.id === 'shallow-fry' && !hasFat)
  const oilRow = isFrying && medium.length === 0 ? bornRow(writer, FRYING_OIL_ID, 'Frying oil') : -1
  if (oilRow >= 0) lot.rows.push(oilRow)
  const dough = lot.isDough || isDough(listed, writer.decisions)
  const isMixed = spec === null ? lot.isMixed : isMixedAfter(lot.isMixed, spec.id, settings.form ?? lot.form)
  const phase = spec === null ? phaseBefore : phaseAfter(lot.phase, spec.id, form, listed, writer.decisions)
  const inWrap = spec !== null && wrappedIn(lot, step, spec.id)
  const bed = spec === null ? [] : bedRows(writer, spec, lot, listed)
  // Under a crust of salt it keeps its water as in foil.
  const isWrapped = bed.length > 0 || (inWrap && (spec.id === 'roast' || spec.id === 'steam'))
  const rateKey = spec === null ? '' : isWrapped ? `${spec.id}-wrapped` : spec.id
  const oven =
    spec?.medium === 'oven' ? (kitchen.equipment.find(({ kind }) => kind === 'oven') ?? null) : null
  const isSauced = lot.hasLiquor && writer.decisions.larger(listed.liquidG, SAUCED_SHARE * listed.massG)
  const isPoured = lot.isMixed && lot.phase !== 'pieces' && form === 'pieces' && !dough
  lot.isInDish =
    piecesOfStep(step).isInDish ||
    (lot.isInDish && !(spec !== null && (OUT_OF_DISH.has(spec.id) || isDipped(spec.id, step))))
  const isBready = lot.isMixed && isOfFlour(listed, writer.decisions)
  const isHeld = lot.isInDish && lot.isMixed && !isBready
  // A foam holds its liquid and stands on its tray.
  const stands = lot.isFoam && !lot.isInDish && isFoamAlone(writer, lot.rows)
  const isInDish =
    (spec?.medium === 'oven' || spec?.id === 'broil') && !stands && (isSauced || isPoured || isHeld)
  const lying = { form, isMixed: lot.isMixed, isInDish }
  const kind = spec === null ? null : vesselKind(step, spec)
  const gluten = lot.rows.find((row) => writer.rows[row]?.source.entry.isGluten)
  const swell =
    spec !== null && dough && gluten !== undefined
      ? rateFor(library.rates, spec.id, writer.rows[gluten]?.source.entry.food?.id ?? null, 'gluten')
      : null
  const isDrained = settings.isDrained === true
  const named =
    kind !== null && settings.vesselCm !== null ? vesselOfSize(kitchen, kind, settings.vesselCm) : null
  const op: Op = {
    at,
    step,
    spec,
    takes,
    holds: sourcesOf(writer, lot.rows),
    added: takes.flatMap((take) => (take.kind === 'step' ? [] : sourcesOf(writer, take.rows))),
    rows: [...lot.rows],
    waterRow,
    oilRow,
    mediumRows: medium,
    bedRows: bed,
    mainOp,
    constants: rowConstants({
      rates: library.rates,
      key: rateKey,
      form: isInDish && (isPoured || isHeld) ? 'loaf' : lot.form,
      rows: lot.rows.flatMap((row) => writer.rows[row] ?? []),
      isInBowl: lot.isInBowl,
      isDough: dough,
      isBready: isBready || (dough && lot.isMixed),
      isFoam: stands,
      isMixed: lot.isMixed,
      isWrapped,
      refuse: piecesOfStep(step).refuse,
      isCooked: lot.isCooked,
      isUncut: !lot.isCut,
      saysWhole: piecesOfStep(step).saysWhole,
    }),
    thinKeeps:
      spec?.id === 'blend' && !lot.isInBowl
        ? (rateFor(library.rates, 'blend', null, BLENDED.thin)?.value ?? 1)
        : Number.NaN,
    form,
    thicknessMm,
    phaseBefore,
    phase,
    binds: spec === null ? 'none' : bindingOf(spec.id, phase),
    isMixed,
    hasPieces: lot.rows.some((row) => {
      const entry = writer.rows[row]?.source.entry
      return entry !== undefined && !entry.isLiquid && entry.particle.pieceMm > 0
    }),
    isDough: dough && lot.isMixed,
    leavesLiquor: leaves,
    tapRatio: tap,
    isTapDiscarded: spec !== null && DISCARDS.has(spec.id),
    isWrapped: inWrap,
    gelRows: spec?.id === 'spherify' ? droppedRows(writer, takes) : [],
    isLeathery: spec?.id === 'dehydrate' && piecesOfStep(step).isLeathery,
    isRise: piecesOfStep(step).isRise || isLiquidBrought(step, spec, sourcesOf(writer, lot.rows)),
    reachesBoil: piecesOfStep(step).reachesBoil,
    isDrained,
    lasts: piecesOfStep(step).lasts,
    rateKey,
    airShiftC:
      spec?.medium === 'oven'
        ? fanShiftC(step.tempC === null || (settings.isFan ?? oven?.isFan ?? true), oven?.offsetC ?? 0)
        : 0,
    isSlow: piecesOfStep(step).isSlow,
    isBready,
    isFoam: stands,
    lidFactor: settings.lid === 'on' ? COVERED : settings.lid === 'ajar' ? AJAR : 1,
    heatFactor: spec?.medium === 'pan' && settings.heat !== null ? HEAT[settings.heat] : 1,
    waterG: waterG > LEAST_WATER_G ? waterG : 0,
    additionsG:
      settings.additions === null || spec?.medium !== 'pan'
        ? 0
        : settings.additions.count * settings.additions.massG,
    cutMm:
      spec !== null && CUTS.has(spec.id)
        ? (piecesOfStep(step).cutMm ?? (spec.id === 'grate' ? GRATED_MM : USUAL_CUT_MM))
        : Number.NaN,
    vessels:
      kind === null || spec === null || named !== null ? [] : vesselChoices(kitchen, kind, spec, lying),
    namedVessel: named,
    namedLimitG: named === null || spec === null ? Number.POSITIVE_INFINITY : loadLimit(spec, lying, named),
    oven,
    isInDish,
    ...handlingOf(step),
    swellSaturation: swell?.value ?? Number.NaN,
    swellTauMin: spec === null ? 1 : uptakeTau(spec.id, 'gluten', 95),
  }
  writer.ops.push(op)
  if (spec?.id === 'wash-gluten') writer.wash(lot.rows)
  if (spec !== null && MILLS.has(spec.id)) writer.mill(lot.rows)
  if (spec !== null && isHeating(spec.id)) writer.heat(lot.rows)
  settle(writer, lot, op, listed)
}

/** What is cut, dipped, or lies on heat of another kind, is out of its dish. */
const OUT_OF_DISH: ReadonlySet<OperationId> = new Set([
  'chop',
  'grill',
  'shallow-fry',
  'deep-fry',
  'blend',
  'mash',
])
const isDipped = (id: OperationId, step: Step): boolean =>
  id === 'coat' && piecesOfStep(step).isDipped && !piecesOfStep(step).isInDish
/** What was blended or mashed has left its share on the bowl: the same bowl takes no second one. */
const BOWLED: ReadonlySet<OperationId> = new Set(['blend', 'mash', 'rice'])
/** Blades and mills that break raw cells. */
const MILLS: ReadonlySet<OperationId> = new Set(['blend', 'rice', 'grate', 'mash'])
const DRAINS: ReadonlySet<OperationId> = new Set(['drain', 'rinse', 'desalt'])

/** More than this of nuts, flour or fat, and it is a batter with air in it. Practice. */
const FOLDED_IN = 0.15
const OF_FOAM: ReadonlySet<FoodClass> = new Set(['sweetener', 'acid', 'leavening', 'salt', 'spice', 'water'])
/** A liquid and sugar, whipped: what is folded in is little. */
function isFoamAlone(writer: Writer, rows: readonly number[]): boolean {
  let massG = 0
  let foldedG = 0
  for (const row of rows) {
    const grams = writer.rawG[row] ?? 0
    const entry = writer.rows[row]?.source.entry
    massG += grams
    if (entry?.isLiquid !== true && !OF_FOAM.has(entry?.food?.foodClass ?? 'nut')) foldedG += grams
  }
  return writer.decisions.larger(FOLDED_IN * massG, foldedG)
}

const SOFTENS: ReadonlySet<OperationId> = new Set([
  'boil',
  'simmer',
  'steam',
  'pressure-cook',
  'roast',
  'grill',
  'broil',
  'heat',
])
const KEEPS_FOAM: ReadonlySet<OperationId> = new Set([
  'mix',
  'shape',
  'chill',
  'rest',
  'roast',
  'dehydrate',
  'cool',
])

/** Puts what the operation made on the bench. */
function settle(writer: Writer, lot: LotShape, op: Op, listed: Listed): void {
  const { spec, step } = op
  lot.form = op.form
  lot.thicknessMm = op.thicknessMm
  lot.phase = op.phase
  lot.isMixed = op.isMixed
  lot.isWrapped = op.isWrapped
  lot.isCut ||= op.isMixed || (spec !== null && (CUTS.has(spec.id) || BOWLED.has(spec.id)))
  lot.isCooked ||= spec !== null && SOFTENS.has(spec.id)
  lot.isFoam = spec !== null && (spec.id === 'whip' || (lot.isFoam && KEEPS_FOAM.has(spec.id)))
  lot.isInBowl =
    spec !== null && (BOWLED.has(spec.id) || (lot.isInBowl && spec.medium === 'none' && spec.id === 'mix'))
  lot.isDough = op.binds === 'body' ? isDough(listed, writer.decisions) : lot.isDough
  if (spec !== null) {
    // What is wrapped lies in the broth as a dough does.
    const doughInBroth = (op.isDough || op.isWrapped) && lot.hasLiquor
    lot.bath = bathAfter(lot, spec, doughInBroth || (op.phaseBefore === 'body' && listed.liquidG > 0))
    if (op.isDrained || DRAINS.has(spec.id) || op.phase === 'body') lot.hasLiquor &&= keepsLiquor(op)
    // What was dipped carries a film, no sauce.
    if (isDipped(spec.id, step)) lot.hasLiquor = false
    if (!lot.hasLiquor) lot.bath = 'none'
  }
  if (lot.rows.length > 0) writer.bench.set(step.id, { ...lot, left: 1 })
}

/** A body holds its own liquid; what is drained has none. Only a body that lay in broth keeps the broth beside it. */
const keepsLiquor = (op: Op): boolean =>
  !op.isDrained &&
  op.spec !== null &&
  !DRAINS.has(op.spec.id) &&
  op.phaseBefore === 'body' &&
  op.phase === 'body'
