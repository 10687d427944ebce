import type { FoodClass, OperationId } from '../model'
import type { Lot } from './bench'
import { takeClass, takeGroup } from './groups'
import { isWater } from './kinds'
import { isBrine } from './lots'
import type { Verb } from './lexicon/verbs'
import type { Named } from './named'
import type { Mention } from './mentions'
import { judge, together } from './rests'
import type { Taking } from './takes'
import { takeEvery, takeWord } from './wordMeanings'

const AMOUNTS_TO_NOTHING: ReadonlySet<FoodClass> = new Set([
  'fat',
  'salt',
  'spice',
  'water',
  'acid',
  'sweetener',
  'herb',
])
const WATERY: ReadonlySet<OperationId> = new Set(['rinse', 'wash-gluten', 'steam', 'desalt'])
const BATHES: ReadonlySet<OperationId> = new Set([
  'soak',
  'boil',
  'simmer',
  'hydrate',
  'heat',
  'rest',
  'pressure-cook',
])

const MAKES: ReadonlySet<OperationId> = new Set([
  'mix',
  'blend',
  'rice',
  'mash',
  'knead',
  'heat',
  'whip',
  'simmer',
  'boil',
])

export function takeMention(t: Taking, mention: Exclude<Mention, { kind: 'pronoun' }>): void {
  switch (mention.kind) {
    case 'named':
      takeNamed(t, mention)
      break
    case 'word':
      if (takeMade(t, mention.made, mention)) break
      if (mention.isEvery && takeEvery(t, mention)) break
      takeWord(t, mention.word, mention)
      break
    case 'side':
      takeSide(t, mention)
      break
    case 'class':
      if (takeMade(t, mention.made, mention)) break
      takeClass(t, mention)
      break
    case 'group':
      takeGroup(t, mention)
      break
    case 'water':
      t.takes.hasTap = true
      break
    case 'step': {
      const { bench } = t.stage
      const made = [...bench.lots, ...bench.gone()].find(
        ({ stepId, isSide }) => stepId === mention.stepId && !isSide,
      )
      const lot = made === undefined ? undefined : bench.now(made)
      if (lot !== undefined && bench.lots.includes(lot)) t.lot(lot, null, mention.role)
      break
    }
    case 'remainder': {
      const { bench, lines } = t.stage
      // "Spread half of the salt in a tin and bury the carrots in the rest": all of it.
      const begunHere = t.takes.lines.findIndex(({ share }) => share !== null)
      const begun = t.takes.lines[begunHere]
      if (begun !== undefined && mention.isRest) {
        t.takes.lines[begunHere] = { ...begun, share: null }
        break
      }
      const part = bench.lots.filter((lot) => !lot.isSide && lot.left < 0.99).at(-1)
      if (part !== undefined) t.lot(part, mention.said.share, mention.role)
      else {
        const open = lines.filter((of) => bench.left(of.id) > 1e-9 && bench.left(of.id) < 0.99)
        if (open.length === 1 && open[0] !== undefined) t.line(open[0], null, mention.role)
        else if (mention.isRest) takeRest(t, mention)
      }
      break
    }
  }
}

/** "Add the rest": all of the list that was not taken yet; where that is nothing, what stands beside what is in hand. */
function takeRest(t: Taking, mention: Extract<Mention, { kind: 'remainder' }>): void {
  const before = t.takes.lines.length
  takeGroup(t, { ...mention, kind: 'group', which: 'rest', part: null, isList: false })
  if (t.takes.lines.length > before) return
  const part = t.hand()?.part
  for (const lot of t.stage.bench.lots)
    if (!lot.isSide && lot.part === part && !t.isTaken(lot)) t.lot(lot, null, mention.role)
}

/** "The strained liquid": what that doing made. */
function takeMade(t: Taking, verb: Verb | null, { said, role }: Pick<Mention, 'said' | 'role'>): boolean {
  if (verb === null) return false
  const lot = t.stage.bench.lots
    .filter(
      (one) =>
        !one.isSide && verb.senses.some(({ operation }) => operation !== null && operation === one.operation),
    )
    .at(-1)
  if (lot !== undefined) t.lot(lot, said.share, role, said.amountG)
  return lot !== undefined
}

/** Soaking and boiling water is this many times what lies in it, at least. Practice. */
const COVERS = 3
const PLENTY =
  /\b(?:plenty|lots|a (?:large|big|deep) (?:pan|pot|bowl)(?:ful)?|a pan|a pot|a bowl) of\b[^.;]{0,20}\bwater\b/iu
/** "In boiling water", and not "in the water": of the list it would be the latter. */
const ANY_WATER =
  /\b(?:in|with|under) (?:(?:very|just|freshly)[- ])?(?:(?:boiling|boiled|hot|warm|cold|cool|lukewarm|tepid|fresh|salted) )?water\b/iu
/** "Boil the cashews in plenty of water", where the list's cup of water is for the blender. */
function isOfTheTap(t: Taking, of: Named, { isWhole }: Extract<Mention, { kind: 'named' }>): boolean {
  if (t.operation === null || !BATHES.has(t.operation)) return false
  const isPlenty = PLENTY.test(t.doing.parsed.text)
  const isLater = t.stage.hasEverythingAfter(t.text)
  // What is poured off again, where "everything" is to come with the list's water in it.
  const isAny =
    ANY_WATER.test(t.doing.parsed.text) && t.stage.isPouredOff(t.text) && t.stage.hasAllAfter(t.text)
  if (isAny || (isPlenty && isLater)) return true
  if (!isPlenty && (isWhole || !isLater)) return false
  const foods = t.takes.lines.map((one) => one.of)
  return judge(t.scene.reading, [...foods, of], (massOf) => {
    const foodG = together(foods, massOf)
    return foodG > 0 && massOf(of.id) < COVERS * foodG
  })
}

/** Of what is kept in hand for it. Practice. */
const A_LITTLE = 0.1
export function takeNamed(t: Taking, mention: Extract<Mention, { kind: 'named' }>): void {
  const { bench, lastWater } = t.stage
  const { said, role } = mention
  const product = mention.product === null ? undefined : madeOf(t, mention)
  if (product !== undefined) {
    t.lot(product, said.share, role, said.amountG)
    return
  }
  for (const of of mention.of) {
    if (t.excepted.has(of.id)) continue
    if (of.kind === 'part') {
      takePart(t, of, mention)
      continue
    }
    if (isWater(of)) {
      const isTap =
        (t.operation === 'drain' && bench.lots.length > 0) ||
        (t.operation !== null && WATERY.has(t.operation)) ||
        (!mention.isWhole && t.operation !== null && BATHES.has(t.operation) && lastWater > t.text)
      // "In the salted water", where all of it is brine by now.
      const brine = bench
        .holding(of.id)
        .filter((lot) => !t.isTaken(lot) && isBrine(t.stage.lines.filter(({ id }) => lot.holds.has(id))))
        .at(-1)
      if (bench.left(of.id) <= 1e-9 && brine !== undefined && t.operation !== 'drain') {
        t.lot(brine, said.share, role, said.amountG)
        continue
      }
      // "In 300 ml of hot water", where the list has two spoonfuls for the starch.
      const isMoreThanListed = said.amountG !== undefined && said.amountG > (of.line?.mass?.value ?? 0)
      if (isTap || isMoreThanListed || bench.left(of.id) <= 1e-9 || isOfTheTap(t, of, mention)) {
        t.takes.hasTap = true
        continue
      }
    }
    const made =
      mention.made === null || said.isStated
        ? undefined
        : bench
            .holding(of.id)
            .filter((lot) => mention.made?.senses.some(({ operation }) => operation === lot.operation))
            .at(-1)
    if (made !== undefined) {
      t.lot(made, null, role)
      continue
    }
    const isForWater =
      of.foodClass === 'salt' &&
      (t.takes.hasTap || role === 'with') &&
      (t.operation === 'soak' || t.operation === 'boil') &&
      t.isLater(of)
    if (isForWater) continue
    if (bench.left(of.id) > 1e-9) {
      // "If it seems dry, loosen with a splash more stock": a little, where a condition holds.
      const isALittle =
        t.doing.isOptional &&
        said.share === null &&
        of.foodClass !== 'salt' &&
        of.line?.line.isOptional !== true
      t.line(of, isALittle ? A_LITTLE : said.share, role)
      continue
    }
    takeUsedUp(t, of, mention)
  }
}

const WORKED_UP: ReadonlySet<OperationId> = new Set(['mix', 'blend', 'whip', 'rice', 'mash', 'grate'])

/** "The tofu cream": what was made of any food of that name and does not stand in hand already, be it called so or not. */
function madeOf(t: Taking, { word, product, of }: Extract<Mention, { kind: 'named' }>): Lot | undefined {
  const alike = t.stage.lines.filter((line) => line.names.some((name) => name.includes(word)))
  if (alike.length < 2 || of.some(({ kind }) => kind === 'part')) return undefined
  const made = t.stage.bench.lots.filter(
    (lot) => !lot.isSide && alike.some(({ id }) => lot.holds.has(id)) && !t.isTaken(lot),
  )
  const called = made.filter((lot) => product !== null && lot.words.has(product))
  return (
    called.length > 0
      ? called
      : made.filter(({ operation }) => operation !== null && WORKED_UP.has(operation))
  ).find((lot) => lot !== t.hand())
}

/** A line that is in a lot already stands for the lot. */
function takeUsedUp(
  t: Taking,
  of: Named,
  { role, said, word, product }: Extract<Mention, { kind: 'named' }>,
): void {
  const { bench } = t.stage
  const made =
    product === null
      ? undefined
      : bench
          .holding(of.id)
          .filter((lot) => lot.words.has(product))
          .at(-1)
  if (made !== undefined) {
    t.lot(made, said.share, role, said.amountG)
    return
  }
  // "The rest of the flour", where all of it is used: more of it, not what it went into.
  if (role === 'with' && said.isStated && said.share === null) return
  // "Add a little more oil": some of the bottle, and not what was fried in the rest.
  const isALittle = said.share !== null && said.share <= A_LITTLE
  if ((role !== 'object' || isALittle) && of.foodClass !== null && AMOUNTS_TO_NOTHING.has(of.foodClass)) {
    if (!bench.lots.some((lot) => lot.holds.has(of.id) && lot.holds.size <= 2)) return
  }
  if (t.takes.lots.some(({ lot }) => lot.holds.has(of.id))) {
    const other = role === 'object' ? undefined : mostOf(t, word)
    if (other !== undefined) t.lot(other, said.isStated ? said.share : null, role)
    return
  }
  const holding = bench.holding(of.id).sort((a, b) => a.holds.size - b.holds.size || b.order - a.order)
  const byWord = bench.lots.filter((lot) => !lot.isSide && lot.words.has(word)).at(-1)
  const [lot] = holding
  const chosen = byWord !== undefined && byWord.holds.has(of.id) ? byWord : lot
  if (chosen !== undefined) t.lot(chosen, said.isStated ? said.share : null, role)
}

/** "Into the broth", where some of the broth is in the dumplings: the lot that is broth for its larger part. */
function mostOf(t: Taking, word: string): Lot | undefined {
  const alike = t.stage.lines.filter(({ names, own }) =>
    names.slice(0, own).some((name) => name.at(-1) === word),
  )
  return t.lastLot((lot) => {
    if (t.isTaken(lot)) return false
    const held = t.stage.lines.filter(({ id }) => lot.holds.has(id))
    const own = held.filter((one) => alike.includes(one))
    return (
      own.length > 0 &&
      judge(t.scene.reading, held, (massOf) => {
        const ownG = together(own, massOf)
        return ownG > 0 && ownG > 0.5 * together(held, massOf)
      })
    )
  })
}

/** "Stir through the ricotta": it may be what is stirred in, or what it is stirred into. */
const THROUGH = /\bthrough (?:the|your) (?:\w+ )?$/iu

function takePart(t: Taking, of: Named, { at, role, said, word }: Extract<Mention, { kind: 'named' }>): void {
  const { bench } = t.stage
  const isTaken = (lot: Lot): boolean => t.takes.lots.some((one) => one.lot === lot)
  const every = bench.lots.filter((lot) => lot.part === of.part && !lot.isSide)
  const left = every.filter((lot) => !isTaken(lot))
  // "Wilt the spinach, chop and stir through the ricotta", in the part "Ricotta": what is in hand goes to the other.
  const isInto = role === 'into' || THROUGH.test(t.doing.parsed.bare.slice(0, at))
  const hand = isInto && t.takes.lots.length + t.takes.lines.length === 0 ? t.hand() : null
  const free = left.length > 1 ? left.filter((lot) => lot !== hand) : left
  const lots = free.length > 0 ? free : every
  const byWord = bench.lots.filter((lot) => !lot.isSide && lot.words.has(word)).at(-1)
  if (lots.length === 0) {
    const gone = bench
      .gone()
      .filter((lot) => lot.part === of.part)
      .map((lot) => bench.now(lot))
      .filter((lot) => bench.lots.includes(lot))
      .at(-1)
    // "The wet" of a part of that name is its list, not what was wetted.
    if (byWord !== undefined && word !== 'wet' && word !== 'dry')
      t.lot(byWord, said.share, role, said.amountG)
    else if (gone !== undefined) t.lot(gone, said.share, role)
    else takeUnmade(t, of, said.share, role)
    return
  }
  // "Coat the tofu", in the part "Tofu": the slices, not the marinade beside them.
  const ownLine = t.stage.lines.filter(
    (line) => line.part === of.part && line.names.slice(0, line.own).some((name) => name.at(-1) === word),
  )
  const heldBy = lots.filter((lot) => ownLine.some(({ id }) => lot.holds.has(id)))
  const last =
    lots.filter((lot) => lot.words.has(word)).at(-1) ??
    (lots.length > 1 ? heldBy.at(-1) : undefined) ??
    lots.at(-1)
  if (last !== undefined) t.lot(last, said.share, role, said.amountG)
}

/** A part that no doing has begun: its foods where it is worked itself, else the part as it is. */
function takeUnmade(t: Taking, of: Named, share: number | null, role: Mention['role']): void {
  const { lines, bench } = t.stage
  const all = lines.filter((one) => one.part === of.part && bench.left(one.id) > 1e-9)
  // A part named for its main food: "the onions" of the onions with their pickle.
  const alike = all.filter((one) =>
    one.names.slice(0, one.own).some((name) => of.names[0]?.some((word) => name.at(-1) === word)),
  )
  // Oil that the words fry in later is kept for it.
  const kept = all.filter((one) => !(one.foodClass === 'fat' && t.isLater(one)))
  const own = alike.length > 0 ? alike : kept.length > 0 ? kept : all
  const isWorked =
    alike.length > 0 ||
    of.part === t.scene.part ||
    (role === 'object' && own.length > 0 && t.operation !== null && MAKES.has(t.operation))
  if (isWorked) for (const one of own) t.line(one, null, role)
  else if (!t.takes.parts.some((one) => one.of === of)) t.takes.parts.push({ of, share })
}

const COOKS_IN: ReadonlySet<OperationId> = new Set(['boil', 'simmer', 'heat'])
function takeSide(t: Taking, mention: Extract<Mention, { kind: 'side' }>): void {
  const { word, said, role } = mention
  const { bench } = t.stage
  const sides = bench.sides()
  const side =
    sides.filter((lot) => lot.words.has(word)).at(-1) ??
    (word === 'juice' || word === 'liquor' || word === 'liquid'
      ? sides.filter(({ words }) => words.size > 1).at(-1)
      : undefined)
  const live = t.lastLot(
    (lot) =>
      lot.words.has(word) &&
      (side === undefined || lot.order > side.order || (side.isTap && !mention.isMarked)),
  )
  const lot = live ?? side
  // "Cook the pasta in the same water": the pot is what it was.
  const isPot =
    lot?.isTap === true && said.amountG === undefined && t.operation !== null && COOKS_IN.has(t.operation)
  if (isPot && role === 'in') t.takes.hasTap = true
  else if (lot !== undefined) t.lot(lot, said.share, role, said.amountG)
  else if (word === 'water') t.takes.hasTap = true
  else takeWord(t, word, { said, role })
}
