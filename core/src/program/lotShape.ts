import type { Form, OperationId, Step } from '../model'
import { piecesOfStep } from '../reading'
import type { Decisions } from './decisions'
import type { FoodEntry } from './foods'
import type { OperationSpec } from './operations'
import { FAT, PROTEIN, SOLID, STARCH, WATER } from './pools'
import type { Phase, Row } from './program'

/** A lot as it is known before anything is weighed: its rows with their grams as listed, and how it lies. */
export interface LotShape {
  /** Operation that made it; -1 for lines as they come. */
  readonly op: number
  rows: number[]
  form: Form
  thicknessMm: number | null
  phase: Phase
  isMixed: boolean
  /** Its body is dough of gluten. */
  isDough: boolean
  /** Listed liquid is with it. */
  hasLiquor: boolean
  /** What kind of bath it lies in: its liquor is not food unless a step says so. */
  bath: 'none' | 'soak' | 'marinade' | 'poach'
  /** Wrapped in foil or cloth: what a step did not undo. */
  isWrapped: boolean
  /** It lies in a dish or tin: its juices stay with it, and heat comes through the side. */
  isInDish: boolean
  /** It is in the bowl that it was worked in. */
  isInBowl: boolean
  /** Cut up, or worked to something else than pieces as they grew. */
  isCut: boolean
  /** Heat has softened it. */
  isCooked: boolean
  /** Whipped, and not stirred into anything larger since. */
  isFoam: boolean
  /** Fraction of it that no step has taken yet. */
  left: number
}

export const freshLot = (op: number): LotShape => ({
  op,
  rows: [],
  form: 'pieces',
  thicknessMm: null,
  phase: 'pieces',
  isMixed: false,
  isDough: false,
  hasLiquor: false,
  bath: 'none',
  isWrapped: false,
  isInDish: false,
  isInBowl: false,
  isCut: false,
  isCooked: false,
  isFoam: false,
  left: 1,
})

/** Grams of rows as listed, and what they are made of. */
export interface Listed {
  readonly massG: number
  readonly waterG: number
  readonly glutenG: number
  readonly liquidG: number
  readonly fatG: number
  readonly dryG: number
  /** Dry powders: what makes dough and mash of a mix, g. */
  readonly powderG: number
  /** Liquid that no dry food of the lot can take up, g. */
  readonly freeG: number
}

export function listedOf(rows: readonly number[], table: readonly Row[], rawG: readonly number[]): Listed {
  const sums = { massG: 0, waterG: 0, glutenG: 0, liquidG: 0, fatG: 0, dryG: 0, powderG: 0 }
  let demand = 0
  for (const at of rows) {
    const row = table[at]
    const grams = rawG[at] ?? 0
    if (row === undefined) continue
    const { entry } = row.source
    const water = grams * (entry.pools[WATER] ?? 0)
    sums.massG += grams
    sums.waterG += water
    sums.fatG += grams * (entry.pools[FAT] ?? 0)
    if (entry.isLiquid) sums.liquidG += water
    if (entry.isGluten) sums.glutenG += grams * solidsPerGram(entry)
    if (entry.isDry) sums.dryG += grams
    if (entry.isDry && entry.particle.pieceMm === 0) sums.powderG += grams
    if (entry.isThirsty)
      demand += Math.max(0, grams * (entry.holdCold * (entry.pools[entry.matter] ?? 0)) - water)
  }
  return { ...sums, freeG: Math.max(0, sums.liquidG - demand) }
}

const solidsPerGram = (entry: FoodEntry): number =>
  (entry.pools[PROTEIN] ?? 0) + (entry.pools[STARCH] ?? 0) + (entry.pools[SOLID] ?? 0)

/** Dough holds together from this share of gluten solids on. Practice. */
const DOUGH_SHARE = 0.16
export const isDough = ({ massG, glutenG }: Listed, decisions: Decisions): boolean =>
  massG > 0 && decisions.larger(glutenG, DOUGH_SHARE * massG)

/** With so much flour a mix is a bread dough or a cake batter. Practice. */
const FLOUR_SHARE = 0.28
export const isOfFlour = ({ massG, powderG }: Listed, decisions: Decisions): boolean =>
  massG > 0 && decisions.larger(powderG, FLOUR_SHARE * massG)

/** With less free liquid than this share a mixed lot is one body; blended, with more water than that it pours. Practice. */
const BODY_FREE_SHARE = 0.12
const BODY_POWDER_SHARE = 0.08
const POURS_WATER_SHARE = 0.62

const BINDS: ReadonlySet<OperationId> = new Set(['knead', 'shape', 'mash', 'wash-gluten', 'coagulate'])
const BLENDS: ReadonlySet<OperationId> = new Set(['blend', 'whip'])
const BODY_FORMS: ReadonlySet<Form> = new Set(['patty', 'ball', 'log', 'loaf'])
const MIXES: ReadonlySet<OperationId> = new Set(['mix', 'mash', 'blend', 'knead', 'shape'])

/** What is cultured is a milk where so much of it is liquid; else pieces that stay pieces. Practice. */
const CURD_LIQUID_SHARE = 0.6

/** How a lot lies after an operation. */
export function phaseAfter(
  phase: Phase,
  operation: OperationId,
  form: Form,
  listed: Listed,
  decisions: Decisions,
): Phase {
  if (listed.massG <= 0) return phase
  if (BLENDS.has(operation))
    return decisions.larger(listed.waterG, POURS_WATER_SHARE * listed.massG) ? 'liquid' : 'body'
  // What was dropped into a bath lies in it in pieces; what is cut has set.
  if (operation === 'spherify') return 'pieces'
  if (BINDS.has(operation) || BODY_FORMS.has(form)) return 'body'
  if (phase === 'liquid' && SETS.has(operation)) return 'body'
  // A milk that sours sets to a curd.
  if (operation === 'culture' && decisions.larger(listed.liquidG, CURD_LIQUID_SHARE * listed.massG))
    return 'body'
  if (
    operation === 'mix' &&
    decisions.larger(listed.powderG, BODY_POWDER_SHARE * listed.massG) &&
    !decisions.larger(listed.freeG, BODY_FREE_SHARE * listed.massG)
  )
    return 'body'
  // Flour whisked into water, with nothing in pieces in it, is one liquid: what is cut of it later has set.
  if (
    SLURRIES.has(operation) &&
    phase === 'pieces' &&
    decisions.larger(listed.powderG, BODY_POWDER_SHARE * listed.massG) &&
    decisions.larger(listed.liquidG + listed.powderG + listed.fatG, SLURRY_SHARE * listed.massG)
  )
    return 'liquid'
  return phase
}

/** Liquid, flour and fat that make one liquid when they are whisked, share of the whole. Practice. */
const SLURRY_SHARE = 0.9
const SLURRIES: ReadonlySet<OperationId> = new Set(['mix', 'heat', 'simmer', 'boil', 'thicken', 'reduce'])

const SETS: ReadonlySet<OperationId> = new Set(['chop', 'grate'])
const WORKS: ReadonlySet<OperationId> = new Set([...BINDS, ...BLENDS, ...SETS, 'mix', 'culture'])

/** What working a lot does to the liquid that lies loose in it. */
export const bindingOf = (operation: OperationId, phase: Phase): 'body' | 'liquid' | 'none' =>
  WORKS.has(operation) && phase !== 'pieces' ? phase : 'none'

export const isMixedAfter = (isMixed: boolean, operation: OperationId, form: Form): boolean =>
  isMixed || MIXES.has(operation) || BODY_FORMS.has(form)

const DRY_HEAT: ReadonlySet<OperationSpec['medium']> = new Set([
  'pan',
  'oven',
  'fryer-air',
  'grill',
  'oil',
  'dry-air',
])
const LIFTED_FOR: ReadonlySet<OperationId> = new Set(['coat', 'press', 'squeeze', 'chop', 'shape', 'grate'])

/** Whether the food is lifted out of the liquor that it lay in before a step begins. */
export function leavesLiquor(lot: LotShape, step: Step, spec: OperationSpec): boolean {
  if (lot.bath === 'none' || !lot.hasLiquor || piecesOfStep(step).namesLiquor) return false
  if (lot.bath === 'soak') return DRY_HEAT.has(spec.medium)
  return DRY_HEAT.has(spec.medium) || LIFTED_FOR.has(spec.id)
}

const KEEPS_WRAP: ReadonlySet<OperationId> = new Set([
  'wrap',
  'steam',
  'roast',
  'simmer',
  'boil',
  'pressure-cook',
  'rest',
  'chill',
  'cool',
  'hold',
  'drain',
  'press',
])

/** Whether a lot is still wrapped in an operation: what is cut, browned or stirred is not. */
export const wrappedIn = (lot: LotShape, step: Step, operation: OperationId): boolean =>
  step.settings.isWrapped ||
  (operation === 'wrap' && !piecesOfStep(step).unwraps && !piecesOfStep(step).isEdibleWrap) ||
  (lot.isWrapped && KEEPS_WRAP.has(operation) && !piecesOfStep(step).unwraps)

/** The bath that an operation leaves a lot in. */
export function bathAfter(lot: LotShape, spec: OperationSpec, doughInBroth: boolean): LotShape['bath'] {
  switch (spec.id) {
    case 'soak':
    case 'desalt':
    case 'hydrate':
      return 'soak'
    case 'marinate':
      return 'marinade'
    case 'simmer':
    case 'boil':
    case 'pressure-cook':
      return doughInBroth ? 'poach' : lot.bath
    case 'chill':
    case 'cool':
    case 'rest':
    case 'hold':
    case 'heat':
      return lot.bath
    default:
      return 'none'
  }
}
