import type { EquipmentKind, OperationId } from '../model'
import { OPERATION_NAMES } from '../reading'

/** What surrounds the food: it sets the heat that the core sees and what limits evaporation. */
export type Medium =
  | 'none'
  | 'pan'
  | 'liquid'
  | 'oven'
  | 'fryer-air'
  | 'grill'
  | 'oil'
  | 'steam'
  | 'pressure'
  | 'dry-air'
  | 'cold'

export interface OperationSpec {
  readonly id: OperationId
  /** The cook's verb, for a heading. */
  readonly name: string
  readonly medium: Medium
  readonly vessel: EquipmentKind | null
  /** Share of its time that needs hands, 0 to 1. */
  readonly hands: number
  readonly usualMin: number
  /** Usual temperature of the medium, C. */
  readonly usualC: number | null
  /** Most minutes that make sense: a longer one is questioned. */
  readonly mostMin: number
  readonly leastC: number
  readonly mostC: number
}

type Row = readonly [
  id: OperationId,
  medium: Medium,
  vessel: EquipmentKind | null,
  hands: number,
  usualMin: number,
  usualC: number | null,
  mostMin: number,
  leastC: number,
  mostC: number,
]

const DAY = 1440
/**
 * Times, shares of hands and temperatures of the unit operations.
 * @source processes 3.1 to 3.32 of the model page: the usual ranges of ordinary kitchens; practice
 */
const ROWS: readonly Row[] = [
  ['soak', 'none', null, 0.02, 600, 20, 3 * DAY, 0, 95],
  ['hydrate', 'none', null, 0.1, 15, 20, DAY, 0, 100],
  ['rinse', 'none', null, 1, 3, 15, 30, 0, 60],
  ['drain', 'none', null, 0.5, 3, 20, DAY, 0, 100],
  ['desalt', 'none', null, 0.05, 60, 20, 3 * DAY, 0, 40],
  ['press', 'none', 'press', 0.05, 30, 20, DAY, 0, 40],
  ['squeeze', 'none', null, 1, 3, 20, 30, 0, 60],
  ['trim', 'none', null, 1, 3, 20, 60, 0, 60],
  ['chop', 'none', null, 1, 4, 20, 60, 0, 60],
  ['grate', 'none', null, 1, 4, 20, 60, 0, 60],
  ['rice', 'none', 'processor', 1, 3, 20, 30, 0, 60],
  ['mash', 'none', null, 1, 3, 20, 30, 0, 90],
  ['blend', 'none', 'blender', 0.9, 2, 25, 20, 0, 95],
  ['mix', 'none', null, 1, 2, 20, 30, 0, 100],
  ['knead', 'none', null, 1, 5, 20, 40, 0, 50],
  ['rest', 'none', null, 0.01, 20, 20, 2 * DAY, 0, 60],
  ['wash-gluten', 'none', null, 0.95, 25, 20, 120, 0, 40],
  ['shape', 'none', null, 1, 8, 20, 90, 0, 60],
  ['wrap', 'none', null, 1, 4, 20, 30, 0, 60],
  ['chill', 'cold', null, 0.01, 60, 4, 3 * DAY, -2, 20],
  ['freeze-thaw', 'cold', null, 0.02, DAY, -18, 90 * DAY, -40, 8],
  ['toast', 'pan', 'pan', 0.7, 6, 165, 40, 100, 230],
  ['sweat', 'pan', 'pan', 0.6, 8, 110, 60, 80, 160],
  ['brown', 'pan', 'pan', 0.6, 12, 160, 90, 100, 240],
  ['water-saute', 'pan', 'pan', 0.8, 12, 102, 60, 90, 130],
  ['boil', 'liquid', 'pot', 0.08, 20, 99, 360, 90, 102],
  ['absorb', 'liquid', 'pot', 0.1, 18, 98, 120, 80, 102],
  ['simmer', 'liquid', 'pot', 0.15, 20, 95, 480, 70, 100],
  ['steam', 'steam', 'steamer', 0.05, 30, 100, 240, 90, 101],
  ['pressure-cook', 'pressure', 'pressure-pot', 0.05, 25, 118, 240, 105, 125],
  ['roast', 'oven', 'tray', 0.08, 30, 190, 480, 80, 280],
  ['air-fry', 'fryer-air', 'air-fryer', 0.15, 14, 195, 90, 80, 240],
  ['grill', 'grill', null, 0.4, 10, 220, 90, 120, 320],
  ['sear', 'pan', 'pan', 0.9, 6, 190, 40, 120, 260],
  ['shallow-fry', 'pan', 'pan', 0.9, 8, 170, 60, 110, 220],
  ['deep-fry', 'oil', 'pot', 0.9, 5, 175, 40, 130, 200],
  ['reduce', 'liquid', 'pot', 0.3, 15, 99, 360, 80, 125],
  ['thicken', 'liquid', 'pot', 0.9, 6, 92, 60, 60, 102],
  ['heat', 'liquid', 'pot', 0.5, 5, 90, 240, 30, 130],
  ['infuse', 'none', null, 0.05, 30, 70, DAY, 0, 100],
  ['dehydrate', 'dry-air', 'dehydrator', 0.02, 300, 57, 2 * DAY, 30, 110],
  ['culture', 'none', null, 0.02, 600, 38, 7 * DAY, 15, 48],
  ['coagulate', 'none', 'pot', 0.5, 20, 78, 120, 50, 95],
  ['whip', 'none', null, 1, 8, 20, 30, 0, 60],
  ['spherify', 'none', null, 0.95, 3, 20, 20, 0, 60],
  ['strain', 'none', null, 0.5, 5, 20, DAY, 0, 95],
  ['marinate', 'cold', null, 0.05, 60, 5, 3 * DAY, -2, 25],
  ['coat', 'none', null, 0.9, 4, 20, 60, 0, 60],
  ['broil', 'grill', 'tray', 0.3, 6, 230, 40, 150, 300],
  ['hold', 'oven', null, 0.02, 60, 65, 480, 55, 90],
  ['cool', 'cold', null, 0.01, 30, 20, DAY, -2, 90],
]

export const SPECS: readonly OperationSpec[] = ROWS.map(
  ([id, medium, vessel, hands, usualMin, usualC, mostMin, leastC, mostC]) => ({
    id,
    name: OPERATION_NAMES[id],
    medium,
    vessel,
    hands,
    usualMin,
    usualC,
    mostMin,
    leastC,
    mostC,
  }),
)
const BY_ID: ReadonlyMap<OperationId, OperationSpec> = new Map(SPECS.map((spec) => [spec.id, spec]))

/** What is known of an operation; throws for an id that the model does not name. */
export function specOf(id: OperationId): OperationSpec {
  const found = BY_ID.get(id)
  if (found === undefined) throw new Error(`specOf: no operation ${id}`)
  return found
}

const HOT: ReadonlySet<Medium> = new Set([
  'pan',
  'liquid',
  'oven',
  'fryer-air',
  'grill',
  'oil',
  'steam',
  'pressure',
])
/** Whether an operation cooks. */
export const isHeating = (id: OperationId | null): boolean => id !== null && HOT.has(specOf(id).medium)

/** Operations that brown in a pan: a crowded one steams instead. */
export const SEARING: ReadonlySet<OperationId> = new Set(['brown', 'sear', 'shallow-fry'])
