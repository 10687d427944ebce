import type { OperationId } from '../model'
import { HOT, PIECE_WORDS } from './lexicon/things'
import type { Named } from './named'
import { takeNamed } from './meanings'
import type { Taking } from './takes'
import { stemsOf } from './tokens'

/** The tray was oiled for it. */
const BAKES: ReadonlySet<OperationId> = new Set(['roast', 'air-fry', 'grill', 'broil'])
/** A method may begin with these and name no food: it is the first of the list. */
const STARTS: ReadonlySet<OperationId> = new Set([
  'rinse',
  'soak',
  'drain',
  'press',
  'chop',
  'trim',
  'grate',
  'boil',
  'mash',
  'freeze-thaw',
])

/** A method may begin with these and name nothing: they are done with all that nothing later names. */
const JOINS: ReadonlySet<OperationId> = new Set([
  'mix',
  'blend',
  'knead',
  'whip',
  'mash',
  'simmer',
  'thicken',
  'coagulate',
])
/** What may stand behind a verb that has no object: how, where, how long. */
const NO_OBJECT =
  /^\s*(?:$|[.,;:(]|\d|(?:well|together|until|till|to|in|into|for|on|over|with|at|by|using|thoroughly|briefly|gently|lightly|smooth|it|all|up|quickly|hard|everything|and|then)\b)/iu
/** With these it goes on the heat, or into something, whole. */
const COOKS: ReadonlySet<OperationId> = new Set([
  'roast',
  'steam',
  'grill',
  'broil',
  'air-fry',
  'sear',
  'brown',
  'sweat',
  'shallow-fry',
  'deep-fry',
  'pressure-cook',
  'marinate',
  'coat',
  'heat',
  'boil',
])
/** "Bring to a simmer": what is brought there is in the list. */
const COMES_UP = /\b(?:boil|simmer|bubble)\b/iu
const OTHER_SIDE = /\bthe (?:other|second) sides?\b/iu
/** "Toss with oil and salt": what is tossed is not named. */
const WITH_ALONE = /^\s*(?:lightly |well |gently |all )?(?:with|in)\b/iu
const IS_JOINED = /\btogether\b|\bcombine\b/iu

const SEASONING =
  /^(?:[\d\s./½¼]*(?:tsp|pinch|g)?\s*)?(?:\w+ ){0,2}(?:salt|pepper|salt and (?:\w+ ){0,2}pepper)\b/iu
const SALTED = /\bsalt(?:ed|y)\s+(?:\w+\s+)?water\b/iu
const GENERIC = new Set([
  'block',
  'mixture',
  'mix',
  'lot',
  'food',
  'whole',
  'main',
  'package',
  'pack',
  'piece',
])
const isGeneric = (word: string): boolean => {
  const stem = stemsOf(word)[0] ?? ''
  return GENERIC.has(stem) || PIECE_WORDS.has(stem)
}

/** What no word names and the doing cannot do without: what the list keeps for it; the first food of a method that names none. */
export function takeUnsaid(t: Taking): void {
  const { bench, lines } = t.stage
  const { verb } = t.scene
  const unused = lines.filter((of) => bench.left(of.id) > 1e-9 && (t.part === null || of.part === t.part))
  takeVerbFood(t, unused)
  takeFilling(t)
  takeCoating(t)
  if (verb !== null && !t.takes.lines.some(({ of }) => of.purpose === verb)) {
    const isFriedOn =
      t.operation !== 'deep-fry' &&
      t.takes.lots.some(({ lot }) => lot.operation !== null && HOT.has(lot.operation))
    const hasFat = isFriedOn || t.takes.lines.some(({ of }) => of.foodClass === 'fat')
    for (const of of unused) if (of.purpose === verb && !(verb === 'fry' && hasFat)) t.line(of, null, 'with')
  }
  if (
    t.operation !== null &&
    /-fry$/.test(t.operation) &&
    t.operation !== 'air-fry' &&
    !t.takes.lines.some(({ of }) => of.foodClass === 'fat') &&
    !t.takes.lots.some(({ lot }) => lot.isFatBase)
  ) {
    const fat = unused.find((of) => of.foodClass === 'fat' && !t.isLater(of))
    if (fat !== undefined) t.line(fat, null, 'with')
  }
  const salt = unused.find((of) => of.foodClass === 'salt' && !t.isLater(of))
  if (salt !== undefined && SALTED.test(t.doing.parsed.text.slice(t.doing.from, t.doing.to)))
    t.line(salt, null, 'with')
  const hand = t.hand()
  const isOnlyFat =
    t.operation !== null &&
    (HOT.has(t.operation) ||
      BAKES.has(t.operation) ||
      (t.operation === 'heat' && t.doing.main.verb?.word === 'cook')) &&
    t.takes.lines.length > 0 &&
    t.takes.lots.length + t.takes.parts.length === 0 &&
    t.takes.lines.every(({ of }) => of.foodClass === 'fat')
  if (isOnlyFat && hand !== null && !hand.isAside) t.join(hand)
  const isFirst = ![...bench.lots, ...bench.gone()].some((lot) => t.part === null || lot.part === t.part)
  // "Half the glaze over the top, … brush the other side": with what is left of it.
  if (
    t.operation === 'coat' &&
    t.takes.lines.length === 0 &&
    OTHER_SIDE.test(t.doing.parsed.text.slice(t.doing.from, t.doing.to))
  ) {
    const begun = unused.filter(({ id }) => bench.left(id) < 0.99)
    if (begun.length === 1 && begun[0] !== undefined) t.line(begun[0], null, 'with')
  }
  // "Prick the aubergines all over and grill for 25 minutes."
  const isNothing = t.takes.lines.length + t.takes.lots.length + t.takes.parts.length === 0
  if (t.readied !== null && isNothing && t.operation !== null) takeNamed(t, { ...t.readied, role: 'object' })
  if (isFirst) takeTheRest(t, unused)
  if (
    isFirst &&
    t.takes.lines.length + t.takes.parts.length + t.takes.lots.length === 0 &&
    t.operation !== null &&
    t.operation !== 'heat'
  ) {
    const [first] = unused
    const rest = t.doing.parsed.bare.slice(t.doing.main.verbTo, t.doing.main.to)
    const object = /^\s*(?:the|a|an|your)\s+([a-zß-ɏ-]+)\s*([a-zß-ɏ-]*)/iu.exec(rest)
    const isOther = object !== null && ![object[1], object[2]].some((word) => isGeneric(word ?? ''))
    const text = t.doing.parsed.bare.slice(t.doing.from, t.doing.to)
    if (JOINS.has(t.operation) && NO_OBJECT.test(rest) && (t.operation !== 'mash' || IS_JOINED.test(text)))
      for (const of of unused.filter((one) => !t.isLater(one))) t.line(of, null, 'object')
    else if (!isOther && first !== undefined && (STARTS.has(t.operation) || lines.length === 1))
      t.line(first, null, 'object')
  }
}
/**
 * "Toss with oil and salt and roast", "bring to a simmer": a method may begin so and name no food, or what goes with it
 * alone. It is done with all that nothing later names.
 */
function takeTheRest(t: Taking, unused: readonly Named[]): void {
  const { takes, operation, doing } = t
  const { verbTo, to, verb } = doing.main
  const rest = doing.parsed.bare.slice(verbTo, to)
  if (operation === null || verb === null || takes.lots.length + takes.parts.length > 0) return
  const open = unused.filter((of) => !t.isLater(of) && !takes.lines.some((one) => one.of === of))
  const isBare =
    takes.lines.length === 0 &&
    !takes.hasTap &&
    COOKS.has(operation) &&
    NO_OBJECT.test(rest) &&
    (operation !== 'heat' || COMES_UP.test(rest)) &&
    (operation !== 'boil' || open.some((of) => of.line?.food != null && isPoured(of)))
  const isWithAlone =
    takes.lines.length > 0 &&
    takes.lines.every(({ role }) => role === 'with') &&
    (operation === 'mix' || COOKS.has(operation)) &&
    WITH_ALONE.test(rest)
  if (isBare || isWithAlone) for (const of of open) t.line(of, null, 'object')
}
/** Something to boil in. */
const isPoured = ({ line }: Named): boolean => (line?.food?.per100g.waterG ?? 0) > 85

/** "Hollow it, fill and close": with what the list makes for it. */
function takeFilling(t: Taking): void {
  const fills = t.doing.clauses.some(
    ({ verb, verbTo, to }) =>
      /^(?:fill|stuff|top|coat|glaze)$/.test(verb?.word ?? '') &&
      !/\p{L}{3}/u.test(
        t.doing.parsed.bare.slice(verbTo, to).replace(/\b(?:and|then|it|them|each|the|well)\b/giu, ''),
      ),
  )
  if (!fills) {
    // "Stuff the peppers": with what was made for it just before.
    const last = t.hand()
    const [only, ...more] = t.takes.lots
    const isStuffed = /^(?:stuff|fill)$/.test(t.doing.main.verb?.word ?? '') && t.takes.lines.length === 0
    const isAlone = only?.role === 'object' && more.length === 0 && t.takes.parts.length === 0
    if (isStuffed && isAlone && last !== null && last !== only.lot && !last.isAside) t.lot(last, null, 'with')
    return
  }
  const word = /\b(?:fill|stuff)/iu.test(t.doing.parsed.text.slice(t.doing.from, t.doing.to))
    ? /fill|stuff/u
    : /top|coat|glaz/u
  const part = t.stage.parts.find(({ names }) => names.some((name) => name.some((one) => word.test(one))))
  if (part === undefined || t.takes.parts.some(({ of }) => of === part)) return
  const lot = t.lastLot((one) => one.part === part.part)
  if (lot !== undefined && !t.isTaken(lot)) t.lot(lot, null, 'with')
}

const IS_COATING = new Set(['marinade', 'sauce', 'glaze', 'batter', 'dressing', 'paste', 'slurry'])

/** "Coat the tofu and marinate": in what was mixed for it just before, where nothing says in what. */
function takeCoating(t: Taking): void {
  if (t.operation !== 'coat' && t.operation !== 'marinate') return
  const { lines, lots, parts, hasTap } = t.takes
  const isTold =
    hasTap ||
    parts.length > 0 ||
    lines.length > 1 ||
    lots.length !== 1 - lines.length ||
    [...lines, ...lots].some(({ role }) => role !== 'object')
  const last = t.lastLot(() => true)
  const isMixed = last?.operation === 'mix' || last?.operation === 'blend'
  if (isTold || last === undefined || !isMixed || last.isAside || t.isTaken(last)) return
  if (last.isLiquid || [...last.words].some((word) => IS_COATING.has(word))) t.lot(last, null, 'with')
}

/** Verbs that name their food: "salt the slices", "season", "oil the cups". */
function takeVerbFood(t: Taking, unused: readonly Named[]): void {
  for (const clause of t.doing.clauses) {
    const word = clause.verb?.word ?? ''
    if (clause.isRemark || !/^(?:salt|oil|season|grease|butter)$/.test(word)) continue
    if (word === 'salt' && t.takes.lines.some(({ of }) => of.foodClass === 'salt')) continue
    const found = unused.filter((of) =>
      word === 'salt'
        ? of.foodClass === 'salt'
        : word === 'season'
          ? SEASONING.test(of.line?.line.text ?? '') &&
            !t.isLater(of) &&
            !/\bwith\b/iu.test(t.doing.parsed.bare.slice(clause.verbTo, clause.to)) &&
            t.takes.lines.length === 0
          : of.foodClass === 'fat' && !t.isLater(of),
    )
    const kept = word === 'season' ? found : found.slice(0, 1)
    for (const of of kept) t.line(of, null, 'with')
  }
}
