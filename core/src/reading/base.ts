import type { Lot } from './bench'
import type { Clause } from './clauses'
import { HOT, ON_HEAT, VESSELS } from './lexicon/things'
import { takeNamed } from './meanings'
import type { Taking, Takes } from './takes'
import { stemsOf } from './tokens'

const TO_PAN = /\b(?:in|(?:in)?to) the (?:same |hot )?(?:pan|pot|skillet|wok|casserole|kadhai)\b/iu
const hasTargetIn = ({ lots }: Takes): boolean => lots.some(({ role }) => role === 'into' || role === 'in')
/** Nothing is said of what it goes in or over. */
const OVER =
  /^\s*(?:(?:it|them|this|these|the lot)\s+)?(?:in|over|through|on top|back in)\s*(?:[.,;]|$|in \w+ goes|gradually|slowly|bit by bit|now\b|well\b|thoroughly|gently|at the end)|^\s*over (?:each|every|the (?:bowls?|plates?|top))\b/iu
const SPREADS =
  /^(?:press|sprinkle|scatter|strew|spread|pile|spoon|dot|brush|pour|drizzle|arrange|top|smear|lay|tip|crumble)$/
/** "Over the base of an ovenproof dish": nothing is there yet. */
const INSIDE_OF_A_DISH =
  /\b(?:base|bottom|inside|floor|sides) of (?:a|an|your|two|four|the) (?:[a-zß-ɏ\d-]+ ){0,4}(?:dish|tin|pan|tray|casserole|jar|glass(?:es)?|bowl|ramekins?)\b/iu
/** It goes into or over a thing that no word names: what is in hand. */
function hasOpenTarget({ verb }: Clause, rest: string): boolean {
  if (verb === null || !SPREADS.test(verb.word)) return false
  if (INSIDE_OF_A_DISH.test(rest)) return false
  const found = /\b(?:into|onto|over|on)\s+(?:the|each|every|all|its|them|top)\b\s*([a-zß-ɏ-]*)/iu.exec(rest)
  return found !== null && !VESSELS.has(stemsOf(found[1] ?? '')[0] ?? '')
}
const IN_A_VESSEL =
  /\b(?:in|into)\s+(?:a|an|the|another|your|its own|two|six)\s+(?:[a-zß-ɏ\d]+[ -]){0,4}?(?:bowl|blender|processor|saucepan|pan|pot|jug|jar|dish|tray|tin|cooker|mixer|box|wok|stockpot|skillet|casserole|kadhai)\b/iu
/** "The milk in a second bowl, the panko into a third": a bowl of its own. */
const IN_ANOTHER =
  /\b(?:in|into|on)\s+(?:(?:a|the)\s+)?(?:another|second|third|fourth)(?:\s+(?:one|plate))?\W*$/iu
/** Whether a clause brings what it names to the lot in hand. */
function joinsHand(clause: Clause, rest: string, isPut: boolean): boolean {
  const { verb } = clause
  if (verb === null) return !IN_A_VESSEL.test(rest) && !/:/u.test(rest)
  if (
    /^(?:put|place|lay|arrange|go|tip|throw)$/.test(verb.word) &&
    (IN_A_VESSEL.test(rest) || IN_ANOTHER.test(rest)) &&
    !/\bback\b|\bthe (?:same )?pan\b/iu.test(rest)
  )
    return false
  if (verb.joins) return true
  if (
    /^\s*(?:in|through|over|on|back|together with)\b(?! (?:a|the|your) (?:[a-zß-ɏ]+ ){0,2}(?:pan|bowl|processor|blender|pot|skillet|tray|oven|saucepan|mortar|jug)\b)/iu.test(
      rest,
    )
  )
    return true
  if (
    /\b(?:in|through|over|back|on top)\s*(?:$|[,.;]|\b(?:at|off|gradually|bit|slowly|while|and)\b)/iu.test(
      rest,
    )
  )
    return true
  return isPut && !/^(?:cover|submerge|drown|immerse)$/.test(verb.word)
}

/** "Water + bay, bring to boil": what stands before a verb without an object is put in. */
function isLead(t: Taking, clause: Clause): boolean {
  if (clause.verb === null) return false
  const { bare } = t.doing.parsed
  const lead = bare.slice(clause.from, clause.verbFrom)
  if (
    /:/u.test(lead) ||
    !/[\p{L}]{3}/u.test(lead) ||
    /^\s*(?:in|with|for|from|on|meanwhile|to)\b/iu.test(lead)
  )
    return false
  return !/^\s*(?:the|a|an|it|them|half|all)\b/iu.test(bare.slice(clause.verbTo, clause.to))
}

/** What they put on goes on what was made before it. */
const WORKS_WITH =
  /^(?:brush|glaze|coat|top|fill|spread|drizzle|baste|dress|cover|sandwich|stuff|line|paint|smear|toss|rub|serve|finish)$/
/** Cut straight into the pan, a food is put there. */
const CUTS_IN = /^(?:flake|crumble|tear|grate|slice|snip|break|shred|chop|cut)$/

/** What a clause has named before the lot it goes on with is asked for. */
export interface Said {
  readonly hasObject: boolean
  readonly hasPronoun: boolean
  /** The doing took something in an earlier clause. */
  readonly before: boolean
  /** An object stands before the verb. */
  readonly hasLead: boolean
  /** It names fat, salt or the like, all of which is used: some more of it. */
  readonly isMoreOf: boolean
}

interface At extends Said {
  readonly t: Taking
  readonly clause: Clause
  readonly hand: Lot
  /** Words after the verb. */
  readonly rest: string
  /** The lot in hand is taken already. */
  readonly isMet: boolean
  readonly isPut: boolean
}

/** Takes what it goes into or over, where there is such a lot. */
function takeInto(t: Taking, lot: Lot | undefined): void {
  if (lot !== undefined) t.lot(lot, null, 'into')
}

/** "Stir in." "Pour it over." "Sprinkle over each bowl.": what is in hand goes to what was made before it. */
function isOver({ t, clause, hand, rest, before, isMet, hasObject, hasPronoun }: At): boolean {
  // "Warm through": how far, and not into what.
  if (/^(?:warm|heat|cook|bake|steam)$/.test(clause.verb?.word ?? '') && /^\s*through\b/iu.test(rest))
    return false
  if (OVER.test(rest) && before && !isMet) {
    t.join(hand)
    return true
  }
  // "Pour over the dhokla": a name that no list knows.
  const isOverName =
    clause.verb?.word === 'pour' &&
    !hasObject &&
    !hasPronoun &&
    /^\s*over (?:the|your)\s+[a-zß-ɏ-]+\W*$/iu.test(rest)
  // "Pour this over the pot": over what is in it.
  const isOverPot =
    hasPronoun && /^\s*(?:it|this|them|that)(?: all)? over (?:the|your) (?:pot|pan|bowl|dish)\b/iu.test(rest)
  if (isOverPot) {
    takeInto(
      t,
      t.lastLot((lot) => lot !== hand && !t.isTaken(lot)),
    )
    return true
  }
  const isAdded =
    clause.verb?.word === 'add' &&
    (hasPronoun || (rest.trim() === '' && !hasObject)) &&
    !/\bto an? /iu.test(rest)
  if (!(OVER.test(rest) || isAdded || isOverName) || before || hasTargetIn(t.takes)) return false
  if (!hasObject) t.join(hand)
  // "Loosen it with a ladleful of the broth and stir it in": into the broth.
  const whole = hand.of !== null && t.stage.bench.lots.includes(hand.of) ? hand.of : undefined
  const other = whole ?? t.lastLot((lot) => !t.isTaken(lot))
  if ((!hasObject || isMet || isAdded) && other !== undefined) takeInto(t, other)
  else if (hasObject && !isMet && !hand.isAside) t.join(hand)
  return true
}

const isStirred = (verb: string): boolean =>
  /^(?:stir|toss|mix|fold|cook|fry|simmer|bring|work|rub)$/.test(verb)
/** "Tofu back in, toss it through", "barley in, stir it about": to what is in the pan. */
function isBackIn({ t, clause, hand, isMet }: At): boolean {
  if (clause.verb === null || isMet || !t.hasAny || hasTargetIn(t.takes)) return false
  if (
    !(
      isStirred(clause.verb.word)
        ? /\b(?:in|over the top|on top),?(?:\s+and)?(?:\s+now)?\W*$/iu
        : /\bback in\W*$/iu
    ).test(t.doing.parsed.bare.slice(clause.from, clause.verbFrom))
  )
    return false
  t.join(hand)
  return true
}

const INSIDE = /\b(?:inside|back in|back|in(?:to)? the (?:sauce|pan|pot|soup|stew|gravy|broth|curry))\b/iu
/** "Put the polpette inside": a noun that no list knows, where one thing alone waits for what is in hand. */
function isUnknownPutIn({ t, clause, hand, rest, isPut, hasObject, hasPronoun, before }: At): boolean {
  if (!isPut || hasObject || hasPronoun || before || hasTargetIn(t.takes)) return false
  if (
    !/^\s*(?:the|your|these)\s+(?!(?:pan|pot|dish|lid|bowl|tin|tray)\b)[a-zß-ɏ-]{4,}/iu.test(rest) ||
    !INSIDE.test(rest)
  )
    return false
  const [other, ...more] = t.stage.bench.lots.filter(
    (lot) => !lot.isSide && lot !== hand && !t.isTaken(lot) && lot.holds.size > 1,
  )
  if (clause.verb === null || other === undefined || more.length > 0) return false
  t.lot(other, null, 'object')
  t.join(hand)
  return true
}

/** "Brush with half of the glaze": what is brushed was made before it. "Butter in": what was just made goes into what lay there. */
function isTakenAlready({ t, clause, hand, rest, before, isMet, isPut, hasObject, hasPronoun }: At): boolean {
  if (hasPronoun) return true
  const met = t.takes.lots.find(({ lot }) => lot === hand)
  if (met?.role === 'with' && !hasObject && !before && WORKS_WITH.test(clause.verb?.word ?? '')) {
    takeInto(
      t,
      t.lastLot((lot) => lot !== hand && !lot.isLiquid),
    )
    return true
  }
  const goesIn = clause.verb === null || (isPut && /^\s*in\b/iu.test(rest))
  if (isMet && goesIn && t.takes.lines.length === 0 && !hasTargetIn(t.takes))
    takeInto(
      t,
      t.lastLot((lot) => lot !== hand && !lot.isAside),
    )
  return isMet
}

const BACK = /^(?:return|tip|put)$/
const BRINGS_BACK = /^(?:return|add|tip|stir|scrape|transfer)$/
const TO_BLENDER = /\b(?:in|(?:in)?to) the (?:blender|food processor|processor|jug of the blender)\b/iu
/** "Add the coconut milk to the blender": to what was blended there last. */
function isToBlender({ t, rest, isPut }: At): boolean {
  if (!isPut || !TO_BLENDER.test(rest) || hasTargetIn(t.takes)) return false
  const there = t.lastLot(
    ({ operation, isAside }) => !isAside && (operation === 'blend' || operation === 'rice'),
  )
  if (there === undefined || t.isTaken(there)) return false
  takeInto(t, there)
  return true
}

const TO_BOWL = /\b(?:in|(?:in)?to) the (?:large |big |mixing |other |same |first )*bowl\b/iu
const STIRRED: ReadonlySet<string> = new Set(['mix', 'rinse', 'mash', 'grate', 'rice', 'squeeze', 'chop'])
/** "Whisk the stock in a jug. Pour into the bowl": to what was mixed in the bowl. */
function isToBowl({ t, hand, rest, isPut, hasObject, before }: At): boolean {
  if (!isPut || !TO_BOWL.test(rest) || before || hasTargetIn(t.takes)) return false
  const there = t.lastLot(
    (lot) => lot !== hand && !lot.isAside && !t.isTaken(lot) && STIRRED.has(lot.operation ?? ''),
  )
  if (there === undefined || !(hand.isLiquid || hasObject)) return false
  if (!hasObject) t.join(hand)
  takeInto(t, there)
  return true
}

/** "Add to the pan": what is on the heat there, not what was made beside it. */
function isToPan({ t, clause, hand, rest, isPut, hasObject }: At): boolean {
  if (!isPut || !TO_PAN.test(rest)) return false
  // "Return the tofu to the pan", "add the tofu to the pan with the sauce": to what is on the heat there now.
  const hasOthers = t.takes.lots.length + t.takes.parts.length > 0
  if (hasOthers && (!BRINGS_BACK.test(clause.verb?.word ?? '') || hasTargetIn(t.takes))) return false
  // "Drain, return to the pan and mash": it was their own.
  if (!hasObject && hand.operation === 'drain' && BACK.test(clause.verb?.word ?? '')) {
    t.join(hand)
    return true
  }
  const panned = t.lastLot((lot) => !lot.isAside && lot.operation !== null && ON_HEAT.has(lot.operation))
  if (panned === undefined && hand.isAside) return true
  if (hasOthers) {
    if (panned !== undefined && !t.isTaken(panned)) takeInto(t, panned)
    return true
  }
  if (panned !== hand) takeInto(t, panned)
  if (!hasObject || panned === undefined || panned === hand) t.join(hand)
  return true
}

/** What the doing itself began is gone on with, not what lies in hand. */
function isOwn({ t, clause, hand, rest, before }: At): boolean {
  if (before || hand.isAside) return true
  if (clause.verb !== null) return false
  const isOwnFat =
    t.operation !== null && HOT.has(t.operation) && t.takes.lines.some(({ of }) => of.foodClass === 'fat')
  return isOwnFat || (/\bback\b/iu.test(rest) && t.takes.lots.some(({ lot }) => lot.isSide))
}

/** It says that what it names comes to what is in hand. */
function isJoined(at: At): boolean {
  const { t, clause, hand, rest, isPut, hasLead } = at
  const joins =
    joinsHand(clause, rest, isPut) || (hasLead && isLead(t, clause)) || hasOpenTarget(clause, rest)
  if (!joins) return false
  const hasLots = t.takes.lots.some(({ role }) => role === 'object') || t.takes.parts.length > 0
  const lead = t.doing.parsed.bare.slice(clause.from, clause.verbFrom)
  const goesIn =
    clause.verb?.word === 'incorporate' ||
    /^\s*(?:in|through|over|back)\b/iu.test(rest) ||
    /\bin[\s,]*$/iu.test(lead)
  if (!hasLots || isPut || goesIn || (t.turnedTo === hand && hasOpenTarget(clause, rest))) t.join(hand)
  return true
}

/** What is fried goes into the fat that was heated for it. */
function isFried({ t, clause, hand }: At): boolean {
  const isFrying =
    t.operation !== null &&
    (HOT.has(t.operation) || (t.operation === 'heat' && /^cook$/.test(clause.verb?.word ?? '')))
  if (isFrying && hand.isFatBase && !t.takes.lines.some(({ of }) => of.foodClass === 'fat')) t.join(hand)
  return true
}

/** In this order; the first that settles it ends the search. */
const RULES: readonly ((at: At) => boolean)[] = [
  isUnknownPutIn,
  isOver,
  isToBlender,
  isToBowl,
  isToPan,
  isBackIn,
  isTakenAlready,
  ({ t, clause, rest, hand, hasObject, before, isMoreOf }) => {
    if (hasObject || before) return false
    // "Wipe out the pan and add a little more oil": not to what was put on a plate.
    if (isMoreOf && hand.isAside) return true
    t.join(hand)
    // "Combine.": what was mixed beside it, too.
    if (clause.verb?.word === 'combine' && /^\W*(?:together|well|thoroughly|and|the two)?\W*$/iu.test(rest))
      for (const lot of t.stage.bench.lots)
        if (!lot.isSide && !lot.isAside && !t.isTaken(lot) && lot.operation === 'mix')
          t.lot(lot, null, 'object')
    return true
  },
  isOwn,
  isJoined,
  isFried,
]

const SERVES = /^(?:divide|spoon|pile|spread|shape|scoop|transfer|tip|ladle|heap|portion|fill)$/
const UNKNOWN_NOUN =
  /^\s*(?:the |your |this )?(?!(?:it|them|this|these|those|in|into|on|onto|over|out|up|between|evenly|everything|all|half|each|among|among|a|an|some)\b)[a-zß-ɏ-]{4,}/iu

/** "Divide the salad between the toasts": a noun that no list knows is what most foods are in, not the last slice of bread. */
function theDish(t: Taking, { verb }: Clause, hand: Lot, rest: string): Lot | undefined {
  if (!SERVES.test(verb?.word ?? '') || !UNKNOWN_NOUN.test(rest) || hand.holds.size > 2) return undefined
  const [rich] = t.stage.bench.lots
    .filter((lot) => !lot.isSide && lot.holds.size >= 4)
    .sort((a, b) => b.holds.size - a.holds.size)
  return rich
}

const PLUS_FIRST = /^[\s;,>-]*\+/u
const THEN_FIRST = /^\W*(?:and )?then\b/iu
const IN_A_MACHINE: ReadonlySet<string> = new Set(['blend', 'rice'])
const isThenInTheMachine = ({ doing, operation }: Taking, hand: Lot): boolean =>
  operation !== null &&
  IN_A_MACHINE.has(operation) &&
  IN_A_MACHINE.has(hand.operation ?? '') &&
  THEN_FIRST.test(doing.parsed.text.slice(doing.from, doing.to)) &&
  /\bfirst\b/iu.test(doing.parsed.text.slice(0, doing.from))

/** Takes the lot that a clause goes on with: what is in hand, or what its words put it into. */
export function joinBase(t: Taking, clause: Clause, said: Said): void {
  const hand = t.hand()
  if (hand === null) return
  const rest = t.doing.parsed.bare.slice(clause.verbTo, clause.to)
  // "Unroll the pastry and cut in half."
  if (
    t.readied !== null &&
    (clause.verb === null || clause.verb.kind === 'do') &&
    !said.hasObject &&
    !said.hasPronoun &&
    !said.before
  ) {
    takeNamed(t, { ...t.readied, role: 'object' })
    if (t.hasAny) return
  }
  // "Repeat with the walnuts": with them alone.
  if (clause.isBowl === true || (clause.verb?.word === 'repeat' && t.hasAny)) return
  // "Oats first, 10 seconds. Then the beans, pulse": in the machine where the first is.
  if (isThenInTheMachine(t, hand) && !t.isTaken(hand)) {
    t.join(hand)
    return
  }
  // "+ tomatoes + liquor, 10 min": to what is in the pan.
  if (PLUS_FIRST.test(t.doing.parsed.bare.slice(clause.from, clause.to))) {
    if (!t.isTaken(hand)) t.join(hand)
    return
  }
  const rich = said.hasObject || said.before ? undefined : theDish(t, clause, hand, rest)
  if (rich !== undefined) {
    t.join(rich)
    return
  }
  const at: At = {
    ...said,
    t,
    clause,
    hand,
    rest,
    isMet: t.isTaken(hand),
    isPut:
      clause.verb === null ||
      clause.verb.kind === 'put' ||
      (CUTS_IN.test(clause.verb.word) && TO_PAN.test(rest)),
  }
  RULES.some((rule) => rule(at))
}
