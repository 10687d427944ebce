import type { FoodClass } from '../model'
import type { Lot } from './bench'
import { CLASS_WORDS } from './lexicon/things'
import { isDry, isSpread, isWater } from './kinds'
import type { Named } from './named'
import type { Mention } from './mentions'
import type { Taking } from './takes'

/** Pieces between wet things: no cook means them by that. */
const isPiece = (of: Named): boolean =>
  of.foodClass !== null &&
  !isSpread(of) &&
  /^(?:vegetable|herb|nut|seed|fruit|mushroom|pulse)$/.test(of.foodClass)

const SMALL_CLASSES = new Set(['spice', 'herb', 'seasoning', 'aromatic', 'seed'])

/** It seasons in the end: nobody means it by "the spices". */
const SALT_AND_PEPPER = /\bsalt\b[^,;]{0,20}(?:\band\b|&|\+)[^,;]{0,30}\bpepper\b/iu

/** "The oil": what the list measures, before what it has for the pan besides. */
function measuredFat(fats: readonly Named[]): readonly Named[] {
  const measured = fats.filter(({ purpose, line }) => purpose === null && line?.mass != null)
  return measured.length === 0
    ? fats
    : fats.filter(({ purpose, line }) => purpose === null || line?.mass != null)
}

export function takeClass(t: Taking, mention: Extract<Mention, { kind: 'class' }>): void {
  const { bench, lines } = t.stage
  const classes = new Set<FoodClass>(CLASS_WORDS.get(mention.word) ?? [])
  // Dried herbs that no word names stand among the spices.
  const isDriedHerb = (of: Named): boolean =>
    mention.word === 'spice' &&
    of.foodClass === 'herb' &&
    of.line?.food?.state === 'dry' &&
    !t.stage.lastNamed.has(of.id)
  const fits = (of: Named): boolean =>
    of.foodClass !== null &&
    (classes.has(of.foodClass) || isDriedHerb(of)) &&
    !t.excepted.has(of.id) &&
    (mention.word !== 'powder' || isDry(of)) &&
    !(mention.word === 'spice' && SALT_AND_PEPPER.test(of.line?.line.text ?? ''))
  const part = t.part ?? (lines.some((of) => fits(of) && bench.left(of.id) > 1e-9) ? null : t.part)
  // What goes over the vegetables is not the garlic that it holds itself.
  const isOwn = (of: Named): boolean =>
    mention.role === 'into' && t.takes.lots.some(({ lot }) => lot.holds.has(of.id))
  const some = lines.filter((of) => fits(of) && !isOwn(of) && (part === null || of.part === part))
  const elsewhere =
    some.length === 0 && SMALL_CLASSES.has(mention.word)
      ? lines.filter((of) => fits(of) && bench.left(of.id) > 1e-9)
      : // "Spoon the sauce over the hot vegetables": those of another part.
        some.length === 0 && mention.role === 'into'
        ? lines.filter((of) => fits(of) && !isOwn(of) && bench.left(of.id) <= 1e-9)
        : some
  const all = elsewhere.some((of) => !t.isLater(of)) ? elsewhere.filter((of) => !t.isLater(of)) : elsewhere
  const fresh = all.filter((of) => bench.left(of.id) > 1e-9)
  const [first] = fresh
  const near = part === null && first !== undefined ? fresh.filter((of) => of.part === first.part) : fresh
  const here = classes.has('fat') ? measuredFat(near) : near
  if (here.length > 0) {
    for (const of of here) t.line(of, mention.said.share, mention.role)
    return
  }
  const unknown = lines.filter(
    (of) =>
      of.line?.food === null &&
      bench.left(of.id) > 1e-9 &&
      t.takes.lines.some((one) => one.of.part === of.part),
  )
  if (SMALL_CLASSES.has(mention.word) && unknown.length > 0) {
    for (const of of unknown) t.line(of, null, mention.role)
    return
  }
  const dry =
    mention.word === 'powder' ? bench.lots.filter((lot) => lot.words.has('powder')).at(-1) : undefined
  // "The seeds": what was toasted of them alone, before a paste that has some in it.
  const pure = bench.lots.filter(
    (one) =>
      !one.isSide && one.holds.size > 0 && [...one.holds].every((id) => all.some((of) => of.id === id)),
  )
  const lot =
    dry ??
    pure.at(-1) ??
    bench.lots.filter((one) => !one.isSide && one.words.has(mention.word)).at(-1) ??
    bench.lots.filter((one) => !one.isSide && all.some((of) => one.holds.has(of.id))).at(-1)
  // "Brush with a little oil", where all of the list's is in the dough: more oil, and no dough.
  const isMoreFat =
    classes.has('fat') && mention.role !== 'object' && lot !== undefined && !pure.includes(lot)
  if (lot !== undefined && !isMoreFat) t.lot(lot, mention.said.share, mention.role)
}

const ELSE = /\b(?:add|tip in|throw in|stir in)\b[^.;]*\beverything else\b/iu
/** What brings several things together. */
const JOINS = /^(?:toss|combine|mix|stir|fold|assemble|dress|tumble|build)$/
export function takeGroup(
  t: Taking,
  { which, part, role, isList }: Extract<Mention, { kind: 'group' }>,
): void {
  const { bench, lines } = t.stage
  const verb = t.doing.main.verb?.word ?? ''
  // What the doing brought together itself is everything.
  if (which === 'all' && part === null && t.hasAny) return
  if (part !== null) t.takes.topic ??= part
  const own = part ?? t.part ?? solePart(t)
  // "Toss everything": where that is one lot alone in its part, it goes with what the other parts still have.
  const isAlone =
    which === 'all' &&
    part === null &&
    t.scene.only === null &&
    own !== null &&
    JOINS.test(verb) &&
    !lines.some((of) => bench.left(of.id) > 1e-9 && of.part === own) &&
    bench.lots.filter((lot) => !lot.isSide && lot.part === own).length === 1
  const at = isAlone ? null : own
  const comesLater = (of: Named): boolean => !isWater(of) && t.isLater(of)
  const fresh = lines.filter(
    (of) => bench.left(of.id) > 1e-9 && (at === null || of.part === at) && !t.excepted.has(of.id),
  )
  const wanted = fresh.filter((of) =>
    which === 'dry'
      ? isDry(of)
      : which === 'wet'
        ? !isDry(of)
        : part !== null || t.takes.topic !== null || (isList && which === 'all') || !comesLater(of),
  )
  const lots = bench.lots.filter((lot) => !lot.isSide && (at === null || lot.part === at))
  if (which === 'dry' || which === 'wet') {
    const byWord = bench.lots.filter((lot) => lot.words.has(which) && !t.isTaken(lot)).at(-1)
    const dry =
      which === 'dry' && wanted.length === 0 ? bench.lots.filter((lot) => isAllDry(t, lot)).at(-1) : undefined
    // "The wet ingredients" are those of the list; what was wetted before is "the wet".
    const listed = which === 'wet' && isList ? wanted.filter((of) => !comesLater(of) && !isPiece(of)) : []
    if (listed.length > 0) {
      for (const of of listed) t.line(of, null, role)
      return
    }
    const lot = byWord ?? dry
    if (lot !== undefined) t.lot(lot, null, role)
    else for (const of of wanted) t.line(of, null, role)
    return
  }
  const isMoved = /^(?:tip|scrape|pour|transfer|return|cool|chill|bring|spoon|spread|turn)$/.test(verb)
  const hand = t.hand()
  if (which === 'all' && part === null && hand !== null && isMoved) {
    t.takes.base = hand
    t.lot(hand, null, role)
    return
  }
  for (const of of wanted) t.line(of, null, role)
  // "Into the dry ingredients", a part of that name whose foods are in a bowl by now: that bowl.
  if (part !== null && wanted.length === 0) {
    const ofPart = lines.filter((of) => of.part === part)
    const made = bench.lots.filter((lot) => !lot.isSide && ofPart.some(({ id }) => lot.holds.has(id))).at(-1)
    if (made !== undefined && !t.isTaken(made)) t.lot(made, null, role)
  }
  // "Add everything else": what was made beside it, too.
  const isElse = which === 'rest' && ELSE.test(t.doing.parsed.text.slice(t.doing.from, t.doing.to))
  // "Cook the lentils. Fry the onion. Add the rest of the ingredients.": the lentils, too.
  if (which === 'rest' && part === null && isList && t.operation !== null && REST_JOINS.has(t.operation))
    for (const lot of lots)
      if (COOKED.has(lot.operation ?? '') && !lot.isAside && !t.isExcepted(lot)) t.lot(lot, null, role)
  const isOfAll = which === 'all' && part === null && (!isList || t.stage.parts.length <= 1)
  if (isOfAll || (isElse && part === null && !isList))
    for (const lot of lots) if (!t.isExcepted(lot)) t.lot(lot, null, role)
}

const REST_JOINS: ReadonlySet<string> = new Set(['mix', 'simmer', 'heat', 'boil'])
/** What waits beside the pan for the rest to come. */
const COOKED: ReadonlySet<string> = new Set(['drain', 'boil', 'simmer', 'absorb', 'pressure-cook'])

const isDrySweet = ({ line }: Named): boolean =>
  line?.food?.foodClass === 'sweetener' && (line.food.per100g.waterG ?? 100) < 16
const isZest = ({ line }: Named): boolean => /\bzest\b|\brind\b/iu.test(line?.line.food ?? '')
/** Made of dry foods, and of some that are not known; a zest makes nothing wet. */
const isAllDry = ({ stage: { lines } }: Taking, lot: Lot): boolean => {
  const held = lines.filter(({ id, line }) => lot.holds.has(id) && line?.food != null)
  return !lot.isSide && held.some(isDry) && held.every((of) => isDry(of) || isDrySweet(of) || isZest(of))
}

function solePart(t: Taking): number | null {
  const { parts, lines, bench } = t.stage
  if (parts.length <= 1) return null
  const hand = bench.inHand(null)
  if (hand !== null && !hand.isAside) return hand.part
  return lines.find((of) => bench.left(of.id) > 1e-9)?.part ?? null
}
