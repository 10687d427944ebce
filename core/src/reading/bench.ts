import type { FoodClass, OperationId } from '../model'
import { PIECE_WORDS, PRODUCTS } from './lexicon/things'
import { stemsOf } from './tokens'

/** What a doing made, while it lies on the bench. */
export interface Lot {
  readonly stepId: string
  readonly part: number
  readonly operation: OperationId | null
  /** Lines that are in it. */
  readonly holds: ReadonlySet<string>
  /** What it may be called. */
  readonly words: ReadonlySet<string>
  /** What its words say that it became. */
  readonly called: ReadonlySet<string>
  readonly classes: ReadonlySet<FoodClass>
  /** Taken off the heat or out of the pan: what comes next does not join it unasked. */
  isAside: boolean
  /** Fat, with no more than spices in it: what is fried next is fried in it. */
  readonly isFatBase: boolean
  /** It lies in water that is not listed, or in a listed liquid. */
  readonly isInWater: boolean
  /** What was poured off and kept. */
  readonly isSide: boolean
  /** A side of unlisted water. */
  readonly isTap: boolean
  /** Mostly liquid: a sauce, a marinade. */
  readonly isLiquid: boolean
  left: number
  /** Grams or millilitres that the words say there is of it. */
  readonly statedG: number | null
  /** The lot that a part of was taken for it, and that lies there still. */
  readonly of: Lot | null
  /** Share that is kept back for later. */
  reserved: number
  readonly order: number
}

/** What a doing says of the lot that it makes. */
export type NewLot = Omit<Lot, 'order' | 'left' | 'reserved' | 'of'>

const INTO =
  /\b(?:(?:in)?to|as|make|makes|form|you (?:have|get)|until it is|cut|shape) (?:a |an |the )?((?:[a-zß-ɏ-]+ ){0,4}?[a-zß-ɏ-]+)(?=[,.;:]|$| (?:and|with|in|on|that|until|for|about|over|of)\b)/giu

/** "A texture like ricotta", "until it looks like mince", "resembles breadcrumbs". */
const MAY_LIKEN = /\blike\b|\bresembl/iu
const LIKE =
  /\b(?:(?:texture|consistency|looks?|something|a bit) (?:like|of)|resembl(?:es?|ing)) (?:a |an |the |fine |coarse |wet |soft |thick |loose |minced )*([a-zß-ɏ-]+)/giu

const CUT_COUNT =
  /\b(?:cut|make|form|slice|shape|roll|pull|divide)\b[^.;]{0,24}?\b(?:\d+|two|three|four|six|eight|ten|twelve|a|an|into|out)\s+((?:[a-zß-ɏ-]+\s*){1,3})/giu
const SMALL = new Set(
  'the and for with all its two six ten out off hot cold low high boil simmer minute hour side half end top each one any own sure'.split(
    ' ',
  ),
)

/** What a doing's lot may be called, by what was done and what the words say it became. */
export const wordsFor = (operation: OperationId | null, called: ReadonlySet<string>): Set<string> =>
  new Set([...(operation === null ? [] : stemsOf(PRODUCTS[operation] ?? '')), ...called])

/** What the words say that it became: "to a paste", "cut into 8 wedges". */
export function calledIn(operation: OperationId | null, text: string): Set<string> {
  const words = new Set<string>()
  if (operation === 'trim' && /\b(?:flesh|pulp)\b/iu.test(text))
    for (const word of ['flesh', 'pulp']) words.add(word)
  if (
    operation === 'shape' &&
    /\b(?:tart|pie|flan|quiche|springform)\b|\b(?:over|into) the base\b|\bup the sides\b/iu.test(text)
  )
    for (const word of ['case', 'crust', 'shell', 'base']) words.add(word)
  for (const match of text.matchAll(CUT_COUNT))
    for (const word of stemsOf(match[1] ?? '')) if (PIECE_WORDS.has(word)) words.add(word)
  for (const match of MAY_LIKEN.test(text) ? text.matchAll(LIKE) : [])
    for (const word of stemsOf(match[1] ?? '')) if (word.length > 3 && !SMALL.has(word)) words.add(word)
  for (const match of text.matchAll(INTO))
    for (const word of stemsOf(match[1] ?? '')) if (word.length > 2 && !SMALL.has(word)) words.add(word)
  return words
}

/** What of a lot changes while it lies there. */
interface Lying {
  readonly lot: Lot
  readonly left: number
  readonly isAside: boolean
  readonly reserved: number
}
/** A bench as it stood between two doings. */
export interface BenchMark {
  readonly left: ReadonlyMap<string, number>
  readonly lots: readonly Lying[]
  readonly gone: readonly Lying[]
  readonly into: readonly (readonly [Lot, Lot])[]
  readonly order: number
}

const lying = (lot: Lot): Lying => ({
  lot,
  left: lot.left,
  isAside: lot.isAside,
  reserved: lot.reserved,
})
const sameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean =>
  a === b || (a.size === b.size && [...a].every((one) => b.has(one)))
/** Whether a later doing would see the same in both. */
const isAlike = (lot: Lot, { lot: other, left, isAside, reserved }: Lying): boolean =>
  lot.left === left &&
  lot.isAside === isAside &&
  lot.reserved === reserved &&
  (lot === other ||
    (lot.order === other.order &&
      lot.stepId === other.stepId &&
      lot.part === other.part &&
      lot.operation === other.operation &&
      lot.isFatBase === other.isFatBase &&
      lot.isInWater === other.isInWater &&
      lot.isSide === other.isSide &&
      lot.isTap === other.isTap &&
      lot.isLiquid === other.isLiquid &&
      lot.statedG === other.statedG &&
      lot.of?.order === other.of?.order &&
      sameSet(lot.holds, other.holds) &&
      sameSet(lot.words, other.words) &&
      sameSet(lot.called, other.called) &&
      sameSet(lot.classes, other.classes)))

/** Follows what is still unused and which lots are live, from the first doing to the last. */
export class Bench {
  readonly #left = new Map<string, number>()
  lots: Lot[] = []
  /** Lots that were taken up, by the lot that holds them now. */
  readonly #into = new Map<Lot, Lot>()
  #order = 0

  left(id: string): number {
    return this.#left.get(id) ?? 1
  }

  take(id: string, share: number | null): void {
    this.#left.set(id, share === null ? 0 : Math.max(0, this.left(id) - share))
  }

  /** The lot in hand: the last that was made, of a part where one is given. */
  inHand(part: number | null): Lot | null {
    return this.lots.filter((lot) => !lot.isSide && (part === null || lot.part === part)).at(-1) ?? null
  }

  holding(id: string): Lot[] {
    return this.lots.filter((lot) => !lot.isSide && lot.holds.has(id))
  }

  sides(): Lot[] {
    return this.lots.filter((lot) => lot.isSide)
  }

  /** The live lot that one was taken up into. */
  now(lot: Lot): Lot {
    let at = lot
    for (let next = this.#into.get(at); next !== undefined; next = this.#into.get(at)) at = next
    return at
  }
  gone(): Lot[] {
    return [...this.#into.keys()]
  }

  mark(): BenchMark {
    return {
      left: new Map(this.#left),
      lots: this.lots.map(lying),
      gone: this.gone().map(lying),
      into: [...this.#into],
      order: this.#order,
    }
  }
  /** Lays everything back as it was. */
  goBack({ left, lots, gone, into, order }: BenchMark): void {
    this.#left.clear()
    for (const [id, share] of left) this.#left.set(id, share)
    this.#into.clear()
    for (const [from, to] of into) this.#into.set(from, to)
    for (const { lot, ...were } of [...gone, ...lots]) Object.assign(lot, were)
    this.lots = lots.map(({ lot }) => lot)
    this.#order = order
  }
  /** Whether a later doing would find here what it would have found then. */
  isAs({ left, lots, gone, into, order }: BenchMark): boolean {
    const goneNow = this.gone()
    return (
      this.#order === order &&
      this.lots.length === lots.length &&
      goneNow.length === gone.length &&
      this.#left.size === left.size &&
      [...left].every(([id, share]) => this.#left.get(id) === share) &&
      lots.every((one, at) => isAlike(this.lots[at] ?? one.lot, one)) &&
      gone.every((one, at) => isAlike(goneNow[at] ?? one.lot, one)) &&
      into.every(([from, to], at) => {
        const now = goneNow[at]
        return now?.order === from.order && this.#into.get(now)?.order === to.order
      })
    )
  }

  /** Takes a lot off again that was none: what it took up lies there as before, put aside where it was. */
  undo(made: Lot, taken: readonly Lot[]): void {
    this.lots = this.lots.filter((one) => one !== made)
    for (const lot of taken) {
      this.#into.delete(lot)
      if (!this.lots.includes(lot)) this.lots.push(lot)
      lot.isAside = made.isAside
    }
  }

  put(lot: NewLot, taken: readonly { lot: Lot; share: number | null }[]): Lot {
    const parted = taken.find(({ lot: from, share }) => share !== null && share < from.left - 1e-6)
    const made: Lot = {
      ...lot,
      left: 1,
      of: parted?.lot ?? null,
      reserved: 0,
      order: (this.#order += 1),
    }
    for (const { lot: from, share } of taken) {
      if (share !== null && share < from.left - 1e-6) {
        from.left -= share
        continue
      }
      this.lots = this.lots.filter((one) => one !== from)
      this.#into.set(from, made)
    }
    this.lots.push(made)
    return made
  }
}
