import type { Lot } from './bench'
import { FILLINGS, PIECE_WORDS } from './lexicon/things'
import type { Mention } from './mentions'
import type { Taking } from './takes'

const POURED_WORDS: ReadonlySet<string> = new Set(['sauce', 'dressing', 'glaze', 'gravy', 'custard', 'syrup'])

/** Takes the lot that a word stands for: by what it is called, what it was cut to, or what it fills. */
export function takeWord(
  t: Taking,
  word: string,
  { said, role }: { said: Mention['said']; role: Mention['role'] },
): void {
  const { bench } = t.stage
  const live = bench.lots.filter((lot) => !lot.isSide && lot.words.has(word))
  const here = live.filter((lot) => lot.part === t.part)
  const hand = t.hand()
  const called = live.filter((one) => one.called.has(word)).at(-1)
  // "Pour over the base": over what stands there, not what is poured.
  const base = word === 'base' ? live.filter((one) => one !== hand && !one.isLiquid).at(-1) : undefined
  // "Pour over the white sauce": what is liquid, and not the layers that have some sauce in them.
  const poured =
    POURED_WORDS.has(word) && hand !== null && !hand.isLiquid && live.includes(hand) && role === 'object'
      ? live.filter((one) => one.isLiquid).at(-1)
      : undefined
  // "Drizzle over the rest of the dressing": what was kept of it, not the salad that has some in it.
  const kept =
    said.isStated && said.share === null
      ? live.filter((one) => one.left < 0.99 && one !== hand).at(-1)
      : undefined
  const lot =
    base ??
    kept ??
    poured ??
    (called !== undefined && hand?.called.has(word) !== true ? called : undefined) ??
    (hand !== null && live.includes(hand) ? hand : undefined) ??
    here.at(-1) ??
    live.at(-1) ??
    bench
      .gone()
      .filter((one) => one.words.has(word))
      .map((one) => bench.now(one))
      .filter((one) => bench.lots.includes(one))
      .at(-1)
  const isPiece = (one: Lot): boolean =>
    !one.isSide && (one.operation === 'chop' || one.operation === 'shape')
  const cut =
    lot ??
    (PIECE_WORDS.has(word)
      ? (countedLot(t, word) ?? bench.lots.filter(isPiece).at(-1) ?? wasPiece(t, isPiece))
      : undefined)
  const meant = cut ?? (FILLINGS.has(word) ? fillingOf(t) : undefined)
  if (meant !== undefined) t.lot(meant, said.share, role, said.amountG)
}

const MADE_TO_FILL: ReadonlySet<string> = new Set(['mix', 'mash', 'blend', 'rice', 'simmer', 'sweat', 'cool'])

/** "The filling", "the slaw": what was brought together last and is not in hand; of another part, where there is one. */
function fillingOf(t: Taking): Lot | undefined {
  const hand = t.hand()
  if (hand !== null && hand.holds.size > 2 && MADE_TO_FILL.has(hand.operation ?? '') && !t.isTaken(hand))
    return hand
  const mixed = t.stage.bench.lots.filter(
    (lot) => !lot.isSide && lot !== hand && !t.isTaken(lot) && lot.holds.size > 1,
  )
  return mixed.filter(({ part }) => part !== hand?.part).at(-1) ?? mixed.at(-1)
}

/** "The sauces": all that are called so, where there are several. */
export function takeEvery(t: Taking, { word, said, role }: Extract<Mention, { kind: 'word' }>): boolean {
  const { bench } = t.stage
  const live = bench.lots.filter((lot) => !lot.isSide && !t.isTaken(lot) && lot.words.has(word))
  if (live.length < 2) return false
  for (const lot of live) t.lot(lot, said.share, role)
  return true
}

/** "The slices", where the list says "4 slices of bread". */
function countedLot(t: Taking, word: string): Lot | undefined {
  const counted = t.stage.lines.filter(({ line }) =>
    line?.line.amount?.terms.some(({ unit }) => unit === word),
  )
  return t.lastLot((lot) => lot.holds.size <= 2 && counted.some(({ id }) => lot.holds.has(id)))
}

/** The live lot that what was cut or shaped last went into. */
function wasPiece(t: Taking, isPiece: (lot: Lot) => boolean): Lot | undefined {
  const { bench } = t.stage
  return bench
    .gone()
    .filter(isPiece)
    .map((lot) => bench.now(lot))
    .filter((lot) => bench.lots.includes(lot))
    .at(-1)
}
