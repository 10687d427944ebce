import { POOL_COUNT } from '../program'

/** Where mass leaves to and comes from. Every move is booked under one of these, in every pool. */
export const ACCOUNTS = [
  'evaporated',
  'drained',
  'pressed out',
  'squeezed out',
  'dripped',
  'rinsed off',
  'into the water',
  'strained off',
  'whey drained',
  'starch and water washed out',
  'trimmed',
  'left on the tools',
  'left in the pan',
  'left in its liquor',
  'water taken up',
  'broth taken up',
  'condensed',
  'water poured in',
  'water in additions',
  'frying oil',
] as const
export type Account = (typeof ACCOUNTS)[number]
export const ACCOUNT_COUNT = ACCOUNTS.length
export const BOOK_SIZE = ACCOUNT_COUNT * POOL_COUNT

export const EVAPORATED = 0
export const DRAINED = 1
export const PRESSED = 2
export const SQUEEZED = 3
export const DRIPPED = 4
export const RINSED = 5
export const INTO_WATER = 6
export const STRAINED = 7
export const WHEY = 8
export const WASHED = 9
export const TRIMMED = 10
export const ON_TOOLS = 11
export const IN_PAN = 12
export const IN_LIQUOR = 13
/** From this account on, mass comes in. */
export const FIRST_GAIN = 14
export const TAKEN_UP = 14
export const BROTH_TAKEN_UP = 15
export const CONDENSED = 16
export const POURED = 17
export const ADDITIONS = 18
export const FRYING_OIL = 19

/** Grams booked under an account of an operation, over all pools. */
export function bookedG(books: Float64Array, op: number, account: number): number {
  let sum = 0
  const from = op * BOOK_SIZE + account * POOL_COUNT
  for (let pool = 0; pool < POOL_COUNT; pool += 1) sum += books[from + pool] ?? 0
  return sum
}
