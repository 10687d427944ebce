import { takeNamed } from './meanings'
import type { Mention } from './mentions'
import type { Lot } from './bench'
import type { Taking } from './takes'

const CUT: ReadonlySet<string> = new Set(['chop', 'trim', 'grate', 'rinse', 'drain'])

/** "It", "them", "both", "everything": the lots that are meant. */
export function takePronoun(
  t: Taking,
  mention: Extract<Mention, { kind: 'pronoun' }>,
  before: boolean,
): void {
  const { bench } = t.stage
  if (t.antecedent !== null && !before && t.takes.lines.length === 0) {
    takeNamed(t, t.antecedent)
    return
  }
  if (mention.word === 'both') {
    const [second, first] = bench.lots.filter(({ isSide }) => !isSide).reverse()
    // "Cut the squash and the onions. Toss both": they were cut together.
    if (second !== undefined && second.holds.size === 2 && CUT.has(second.operation ?? '')) {
      t.lot(second, null, mention.role)
      return
    }
    if (t.takes.lines.length === 0)
      for (const lot of [first, second]) if (lot !== undefined) t.lot(lot, null, mention.role)
    return
  }
  if (mention.word === 'they') {
    takeThose(t, mention)
    return
  }
  if (mention.isAll) {
    for (const lot of bench.lots)
      if (!lot.isSide && lot.part === t.hand()?.part) t.lot(lot, null, mention.role)
    return
  }
  // "Pour it over them": one is what was made last, the other what was made before it.
  if (t.pronounSaid !== null && t.pronounSaid !== mention.word && !before) {
    const other = bench.lots.filter((lot) => !lot.isSide && !t.isTaken(lot)).at(-1)
    if (other !== undefined) t.lot(other, null, 'into')
    return
  }
  t.pronounSaid = mention.word
  // What the doing itself named before is meant: "put the dough in a bowl and cover it".
  const hand = t.hand()
  // "Heat the oil and fry them": in it.
  const isInFat =
    t.takes.lots.length + t.takes.parts.length === 0 &&
    t.takes.lines.every(({ of }) => of.foodClass === 'fat') &&
    mention.role === 'object'
  if (
    !isInFat &&
    (before || ((t.takes.lots.length > 0 || t.takes.lines.length > 0) && mention.role === 'object'))
  )
    return
  if (hand !== null && t.isTaken(hand)) {
    // "Fry the paste in it": in what lay there.
    const other =
      mention.role === 'in' || mention.role === 'into' ? t.lastLot((lot) => !t.isTaken(lot)) : undefined
    if (other !== undefined) t.lot(other, null, 'into')
    return
  }
  if (hand === null) return
  t.takes.base = hand
  t.lot(hand, mention.said.share, mention.role)
}

/** "Grate the carrot and snip the onions. In they go.": what was cut one after another, to what was made before it. */
function takeThose(t: Taking, { role }: Extract<Mention, { kind: 'pronoun' }>): void {
  const lots = t.stage.bench.lots.filter(({ isSide, part }) => !isSide && part === t.hand()?.part)
  const begun = lots.findLastIndex(({ operation }) => !isCut(operation))
  const cut = lots.slice(begun + 1)
  for (const lot of cut.length > 0 ? cut : lots.slice(-1)) t.lot(lot, null, role)
  const base = cut.length > 0 ? lots[begun] : lots.at(-2)
  if (base !== undefined) t.join(base)
}
const isCut = (operation: Lot['operation']): boolean =>
  operation !== null && (CUT.has(operation) || operation === 'squeeze' || operation === 'press')
