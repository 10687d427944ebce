import type { OperationId } from '../model'
import type { Medium } from '../program'

/** What a step holds of the kitchen beside its own vessel. */
export const STATIONS: Readonly<Record<Medium, readonly ('hob' | 'oven' | 'fridge')[]>> = {
  none: [],
  pan: ['hob'],
  liquid: ['hob'],
  oil: ['hob'],
  steam: ['hob'],
  pressure: ['hob'],
  oven: ['oven'],
  grill: ['oven'],
  'fryer-air': [],
  'dry-air': [],
  cold: ['fridge'],
}

/** A dish goes in together with others at this much above or below its own temperature, C. Practice: cooks' ovens swing as much. */
export const OVEN_BAND_C = 10

/** How fast a kitchen's oven heats, C a minute, from where, and from which temperature on it is waited for. Practice. */
export const PREHEAT_C_PER_MIN = 14
export const ROOM_C = 20
export const PREHEAT_FROM_C = 80
/** An oven is taken for hot so long after food came out, and may stand hot so long before food goes in, min. Practice. */
export const STAYS_HOT_MIN = 15
export const HEAT_WAITS_MIN = 15

/** Putting it on, taking it off: hands at the beginning of what then goes by itself, min. Practice. */
export const SET_UP_MIN = 2

/** How often a step that goes by itself is looked after, min, for how long, and what is done. */
export interface Check {
  readonly everyMin: number
  readonly handsMin: number
  readonly act: string
}

/** @source scheduling brief: stir every 10, baste and top up every 15, flip at half; practice */
const CHECKS: Readonly<Partial<Record<OperationId, Check>>> = {
  simmer: { everyMin: 10, handsMin: 1, act: 'stir; it should just tremble' },
  boil: { everyMin: 20, handsMin: 1, act: 'look that it is covered' },
  reduce: { everyMin: 8, handsMin: 1, act: 'stir the bottom' },
  absorb: { everyMin: 12, handsMin: 1, act: 'look whether water is left' },
  roast: { everyMin: 20, handsMin: 2, act: 'turn the tray; stir or flip' },
  'air-fry': { everyMin: 8, handsMin: 1, act: 'shake' },
  steam: { everyMin: 30, handsMin: 1, act: 'top up the water' },
  sweat: { everyMin: 4, handsMin: 1, act: 'stir' },
  brown: { everyMin: 4, handsMin: 1, act: 'scrape and stir' },
  dehydrate: { everyMin: 120, handsMin: 2, act: 'turn the pieces' },
  grill: { everyMin: 5, handsMin: 1, act: 'turn' },
}
export const checkFor = (operation: OperationId | null): Check | null =>
  operation === null ? null : (CHECKS[operation] ?? null)

/** How long what a step made may wait before the next one takes it, min. */
const WAITS: Readonly<Partial<Record<OperationId, number>>> = {
  // Hot and crisp: it wilts.
  sear: 15,
  'shallow-fry': 15,
  'deep-fry': 10,
  broil: 15,
  grill: 15,
  toast: 60,
  'air-fry': 15,
  // A foam falls.
  whip: 15,
  // It browns, weeps or dries.
  coat: 45,
  blend: 240,
  // Hot food is not left in the danger zone. @source usual guidance: at most 2 h between 5 and 60 C; local codes win
  boil: 120,
  simmer: 120,
  steam: 120,
  'pressure-cook': 120,
  absorb: 120,
  thicken: 60,
  heat: 45,
  reduce: 120,
  roast: 90,
  sweat: 120,
  brown: 120,
  // Soaked and drained pulses are not left warm.
  soak: 120,
  drain: 120,
  rinse: 120,
  // Cold, covered. @source usual keeping of cooked food in the fridge: up to a day for a mix that is to be cooked
  chill: 1440,
  marinate: 1440,
  rest: 240,
  cool: 120,
}
const USUAL_WAIT = 240
export const mostWaitMin = (operation: OperationId | null): number =>
  operation === null ? USUAL_WAIT : (WAITS[operation] ?? USUAL_WAIT)

/** Plating a dish, min. Practice. */
export const PLATE_MIN = 4
/** Steps of less than this are told with it, and not as less. */
export const LEAST_MIN = 1

/** Goes by itself where it takes longer than so many minutes: it drips, or lies under its weight. Practice. */
export const DRIPS: ReadonlySet<OperationId> = new Set(['drain', 'strain', 'press', 'squeeze', 'coagulate'])
export const DRIPS_MIN = 12
/** Hotter than that nothing is dried in a drier: the oven is meant. */
export const DRIER_MOST_C = 90
