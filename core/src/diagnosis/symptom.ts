import type { AttributeId, FamilyId, OperationId } from '../model'
import type { InputId } from '../texture'
import type { FoodGroup } from './foodGroups'

/** Which way something is off: too little, too short, too cool, too fine; or too much. */
export type Side = -1 | 1

/** Where a cause would show in the record of a trial. */
export type Look =
  /** Too much or too little of some foods. */
  | { readonly kind: 'foods'; readonly of: readonly FoodGroup[]; readonly side: Side }
  /** A figure of the mix beyond a bound of the table. `width` is what counts as clearly beyond. */
  | {
      readonly kind: 'input'
      readonly id: InputId
      readonly side: Side
      readonly bound: number
      readonly width: number
    }
  /** A doing that took too long or too short, or was too hot or too cool; a bound in min or C where the table has one. */
  | {
      readonly kind: 'step'
      readonly of: readonly OperationId[]
      readonly field: 'minutes' | 'tempC'
      readonly side: Side
      readonly bound: number | null
    }
  /** A doing that is not there. */
  | { readonly kind: 'missing'; readonly of: readonly OperationId[] }
  /** The hottest that the core came to, C. */
  | { readonly kind: 'core'; readonly side: Side; readonly bound: number }
  /** A rule of the method that was broken. */
  | { readonly kind: 'rule'; readonly ids: readonly string[] }
  /** Cut, mashed or blended too fine or too coarse. */
  | { readonly kind: 'cut'; readonly side: Side }
  /** Not in the record: only the check tells. */
  | { readonly kind: 'unseen' }

/** A likely cause of a symptom; how it would show, in the order of how plainly. */
export interface Cause {
  readonly words: string
  readonly looks: readonly Look[]
}

/** Something wrong with a trial as a cook would say it. */
export interface Symptom {
  readonly id: string
  readonly words: string
  /** Beginnings of words that people say of it, all of one phrase in any order: "fall apart". */
  readonly said: readonly string[]
  /** Where it is met; empty = anywhere. */
  readonly families: readonly FamilyId[]
  /** Attributes that a tasting would show off, and which way. */
  readonly triggers: readonly { readonly attribute: AttributeId; readonly side: Side }[]
  /** The likeliest first. */
  readonly causes: readonly Cause[]
  /** What to look at, to tell one cause from another. */
  readonly check: string
  /** What is usually done, per 100 g of the mix. */
  readonly levers: string
  /** What too much of it brings. */
  readonly risk: string
}

const more = (...of: FoodGroup[]): Look => ({ kind: 'foods', of, side: 1 })
const less = (...of: FoodGroup[]): Look => ({ kind: 'foods', of, side: -1 })
const over = (id: InputId, bound: number, width: number): Look => ({
  kind: 'input',
  id,
  side: 1,
  bound,
  width,
})
const under = (id: InputId, bound: number, width: number): Look => ({
  kind: 'input',
  id,
  side: -1,
  bound,
  width,
})
const step =
  (field: 'minutes' | 'tempC', side: Side) =>
  (of: OperationId | readonly OperationId[], bound: number | null = null): Look => ({
    kind: 'step',
    of: typeof of === 'string' ? [of] : of,
    field,
    side,
    bound,
  })
const rule = (...ids: string[]): Look => ({ kind: 'rule', ids })
const missing = (...of: OperationId[]): Look => ({ kind: 'missing', of })

/** Words for tables of symptoms. */
export const looks = {
  more,
  less,
  over,
  under,
  longer: step('minutes', 1),
  shorter: step('minutes', -1),
  hotter: step('tempC', 1),
  cooler: step('tempC', -1),
  missing,
  rule,
  coreBelow: (bound: number): Look => ({ kind: 'core', side: -1, bound }),
  coreAbove: (bound: number): Look => ({ kind: 'core', side: 1, bound }),
  finer: { kind: 'cut', side: -1 } as Look,
  coarser: { kind: 'cut', side: 1 } as Look,
  unseen: { kind: 'unseen' } as Look,
} as const

export const cause = (words: string, ...own: Look[]): Cause => ({
  words,
  looks: own.length === 0 ? [looks.unseen] : own,
})
export const low = (attribute: AttributeId) => ({ attribute, side: -1 as const })
export const high = (attribute: AttributeId) => ({ attribute, side: 1 as const })

/** Doings that cook a shaped part through. */
export const COOKING: readonly OperationId[] = [
  'steam',
  'roast',
  'simmer',
  'boil',
  'pressure-cook',
  'air-fry',
  'sear',
  'shallow-fry',
  'deep-fry',
  'grill',
  'broil',
]
/** Doings that thicken a sauce or set a custard. */
export const SETTING: readonly OperationId[] = [
  'thicken',
  'simmer',
  'heat',
  'boil',
  'reduce',
  'roast',
  'steam',
]
/** Doings that drive water off in dry heat. */
export const DRYING: readonly OperationId[] = [
  'brown',
  'roast',
  'toast',
  'sear',
  'air-fry',
  'dehydrate',
  'grill',
  'broil',
]
