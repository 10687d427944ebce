import { CLASS_WORDS, FILLINGS, PIECE_WORDS, PRODUCT_WORDS, SIDE_WORDS, VESSELS } from './lexicon/things'
import type { Mention, Role, Scene } from './mentions'
import { madeBy, isDet, namedAt, POURED_WORDS } from './naming'
import { type Fit, type Named, TOO_COMMON } from './named'
import { ALL_OF_IT, type Said, saidOf } from './said'
import type { Token } from './tokens'

const PRONOUNS = new Set(['it', 'them', 'this', 'these', 'those', 'both', 'that'])

const MARKED =
  /\b(?:cooking|soaking|pasta|starchy|reserved|kept|saved|drained|drawn|that|strained|poaching|boiling pot)\b[^,.;]{0,16}$/iu

/** What stands in a group's words: "all the custard ingredients", "the rest of the dry ingredients". */
function groupAt(
  tokens: readonly Token[],
  index: number,
  scene: Scene,
): Extract<Mention, { kind: 'group' }> | null {
  const around = tokens.slice(Math.max(0, index - 7), index)
  const words = around.map(({ text }) => text)
  const cut = Math.max(words.lastIndexOf(','), words.lastIndexOf('with'), words.lastIndexOf('in'))
  const near = around.slice(cut + 1)
  const has = (word: RegExp): boolean => near.some(({ text }) => word.test(text))
  const parts = near.flatMap(({ stem }) =>
    (scene.names.get(stem) ?? []).filter(({ kind }) => kind === 'part'),
  )
  const which = has(/^dry$/)
    ? 'dry'
    : has(/^(?:wet|liquid)$/)
      ? 'wet'
      : has(/^(?:rest|remaining|other|remainder|else)$/)
        ? 'rest'
        : 'all'
  const [named] = parts
  // "The wet ingredients", where the list has a part of that name: all of it.
  const isNamedSo = named?.names.some((name) => name.includes(which)) === true
  return {
    kind: 'group',
    which: isNamedSo ? 'all' : which,
    isList: true,
    part: named?.part ?? null,
    at: tokens[index]?.at ?? 0,
    role: 'object',
    said: ALL_OF_IT,
  }
}

/** A mention and how many words it takes. */
export interface Met {
  readonly mention: Mention
  readonly length: number
}

interface Here {
  readonly tokens: readonly Token[]
  readonly index: number
  readonly token: Token
  readonly next: Token | undefined
  readonly role: Role
  readonly before: string
  readonly after: string
  readonly scene: Scene
  readonly at: number
}

/** A rule's answer: a mention, nothing is named here, or ask the next rule. */
type Answer = Met | 'nothing' | null
const met = (mention: Mention, length = 1): Met => ({ mention, length })
const saidHere = ({ before, after, scene }: Here, of: Named | null = null): Said =>
  saidOf(before, after, of, scene.kitchen, scene.reading)
const whole = ({ at, role }: Here) => ({ at, role, said: ALL_OF_IT })

function pronoun(here: Here): Answer {
  const { token, next, before, at, role } = here
  const { text } = token
  if (text === 'lot' && /\bthe $/iu.test(before))
    return met({ kind: 'pronoun', word: 'it', isAll: false, ...whole(here) })
  // "In they go": those that were cut one after another.
  if (text === 'they' && /^(?:go|went)$/.test(next?.text ?? ''))
    return met({ kind: 'pronoun', word: 'they', isAll: false, ...whole(here) })
  if (!PRONOUNS.has(text)) return null
  const isBeforeNoun = next?.kind === 'word'
  // "Both pastes": the word after it says which.
  if (text === 'both' && isBeforeNoun && /^[\p{L}-]{3,}s$/u.test(next.text)) return 'nothing'
  // "Let them swim in that half an hour".
  const isTimeNext = /^(?:a|an|for|half|until|till|while|\d.*)$/.test(next?.text ?? '')
  if (text === 'that' && isBeforeNoun && !isTimeNext) return 'nothing'
  if (
    /^(?:this|these|those)$/.test(text) &&
    isBeforeNoun &&
    !/^(?:with|into|in|over|to|and|on|through)$/.test(next.text)
  )
    return 'nothing'
  return met({ kind: 'pronoun', word: text, isAll: next?.text === 'all', at, role, said: saidHere(here) })
}

/** "Everything", "all", "everything else". */
function everything(here: Here): Answer {
  const { token, next, tokens, index } = here
  const isAll =
    token.text === 'all' &&
    !/^(?:the|of|over|but|round|around|sides|your|my)$/.test(next?.text ?? '') &&
    // "Combine all with the rice", but not "at all".
    (tokens[index - 1]?.kind !== 'word' || (/^(?:with|in|into|to)$/.test(next?.text ?? '') && index <= 1))
  // "Blend the lot", "whizz the whole lot".
  const isLot = token.text === 'lot' && /\bthe (?:whole )?$/iu.test(here.before)
  if (token.text !== 'everything' && !isAll && !isLot) return null
  const isElse = next?.text === 'else'
  // "Blend everything wet": the liquid things, or the part that is called so.
  const kind = next?.text === 'dry' || next?.text === 'wet' ? next.text : null
  if (kind !== null) {
    const part = (here.scene.names.get(kind) ?? []).find((of) => of.kind === 'part')?.part ?? null
    const which = part === null ? kind : 'all'
    return met({ kind: 'group', which, part, isList: part !== null, ...whole(here) }, 2)
  }
  return met(
    { kind: 'group', which: isElse ? 'rest' : 'all', part: null, isList: false, ...whole(here) },
    isElse ? 2 : 1,
  )
}

const OF_THE_LOT =
  /\b(?:half|third|quarter|thirds|quarters|most)\s+(?:of\s+)?(?:the|this|your)\s+$|\b(?:half|third|quarter|thirds|quarters|most)\s+of\s+$/iu
/** "Blend a third of the batch": of what is in hand. */
function shareOfLot(here: Here): Answer {
  const { token, before, at, role } = here
  if (
    !/^(?:batch|pot|pan|lot|whole|potful|panful|soup|stew|curry|chilli|chili|dal|daal|dhal|ragu|bolognese|chowder|goulash)$/.test(
      token.text,
    ) ||
    !OF_THE_LOT.test(before)
  )
    return null
  return met({ kind: 'pronoun', word: 'it', isAll: false, at, role, said: saidHere(here) })
}

/** How many words "what is left" takes here; 0 = it does not stand here. */
function leftWords({ token, tokens, index }: Here): number {
  if (!token.text.startsWith('what')) return 0
  const word = (by: number): string => tokens[index + by]?.text ?? ''
  const isLeft = (by: number): boolean => /^(?:left|remains|remaining|over)$/.test(word(by))
  if (/^(?:what|whatever)$/.test(token.text)) {
    if (word(1) === 'remains') return 2
    return word(1) === 'is' && isLeft(2) ? 3 : 0
  }
  return /^what(?:ever)?'s$/.test(token.text) && isLeft(1) ? 2 : 0
}

/** "The rest", "the other half". */
function remainder(here: Here): Answer {
  const { token, next, before } = here
  const { text } = token
  const isRest =
    /^(?:half|rest|remainder|third)$/.test(text) &&
    /\b(?:the other|the|another) $/iu.test(before) &&
    next?.text !== 'of' &&
    (text !== 'half' || /other $/iu.test(before)) &&
    (text !== 'third' || /another $/iu.test(before))
  // "What is left", "whatever remains".
  const left = leftWords(here)
  if (left > 0) return met({ kind: 'remainder', isRest: true, ...whole(here) }, left)
  const said: Said = text === 'third' ? { share: 1 / 3, isStated: true } : ALL_OF_IT
  return isRest
    ? met({ kind: 'remainder', isRest: text === 'rest' || text === 'remainder', ...whole(here), said })
    : null
}

/** "The wet things", "the dry stuff". */
const THINGS = new Set(['thing', 'stuff', 'bit', 'item', 'component', 'element', 'part', 'mix', 'mixture'])

function ingredients({ token, tokens, index, scene, role }: Here): Answer {
  const isThings = THINGS.has(token.stem) && /^(?:wet|dry|liquid)$/.test(tokens[index - 1]?.text ?? '')
  if (!/^(?:ingredient|ingred|ingr)$/.test(token.stem) && !isThings) return null
  const group = groupAt(tokens, index, scene)
  return group === null ? 'nothing' : met({ ...group, role })
}

/** "The dry into the wet". */
function dryOrWet(here: Here): Answer {
  const { token, next, tokens, index, scene } = here
  const isPartName = (scene.names.get(token.stem) ?? []).some(
    ({ kind, names }) => kind === 'part' && names[0]?.length === 1,
  )
  const isAlone = next === undefined || next.kind === 'mark' || /^(?:and|into|to|in|with)$/.test(next.text)
  const isSum = /^[+&]$/.test(next?.text ?? '') || /^[+&]$/.test(tokens[index - 1]?.text ?? '')
  if (isPartName || !(isAlone || isSum) || !/^(?:dry|wet)$/.test(token.text)) return null
  // "Add wet to dry".
  const previous = tokens[index - 1]?.text ?? ''
  const isPaired =
    // "Wet into dry".
    (/^(?:into|to|onto|in)$/.test(next?.text ?? '') &&
      /^(?:wet|dry|the)$/.test(tokens[index + 2]?.text ?? '')) ||
    /^(?:add|pour|mix|stir|fold|tip|combine|into|with)$/.test(previous) ||
    // "Leave to dry" is no order to the dry things.
    (/^(?:to|and)$/.test(previous) && /^(?:wet|dry|liquid)$/.test(tokens[index - 2]?.text ?? ''))
  if (!isDet(tokens[index - 1]) && !isSum && !isPaired) return null
  return met({
    kind: 'group',
    which: token.text === 'dry' ? 'dry' : 'wet',
    part: null,
    isList: false,
    ...whole(here),
  })
}

/** "The gourd juice" is juice, not gourd. */
function beforeSide({ token, next, tokens, index, scene, before }: Here): Answer {
  const sides = scene.bench.sides()
  if (next === undefined || sides.length === 0 || isDet(token)) return null
  if (!SIDE_WORDS.has(next.stem) || next.stem === 'oil') return null
  const run = namedAt(tokens, index, scene, before)?.run ?? 2
  return run < 2 && sides.some(({ words }) => words.has(next.stem)) ? 'nothing' : null
}

/** "A splash of the pasta water". */
const A_LITTLE_OF =
  /\b(?:splash|dash|drop|little|bit|ladleful|spoonful)(?: more)? of (?:the |its |their |your )?(?:[a-zß-ɏ-]+ ){0,2}$/iu
const A_LITTLE: Said = { share: 0.1, isStated: true }

/** What was poured off or pressed out and kept: "the liquor", "the soaking water". */
function side(here: Here): Answer {
  const { token, tokens, index, scene, before, at, role } = here
  const { stem } = token
  const sides = scene.bench.sides()
  if (!SIDE_WORDS.has(stem) || sides.length === 0) return null
  // "Lemon juice" is the lemon's, not what the beans lay in.
  if (
    stem === 'juice' &&
    !sides.some(({ words }) => words.has(stem)) &&
    (here.next?.text === 'of' || namedAt(tokens, index - 1, scene, before) !== null)
  )
    return 'nothing'
  const isMarked = MARKED.test(before)
  const isListed = namedAt(tokens, index, scene, before)?.fits.some(
    ({ of, coverage, isHead, isOwn }) =>
      of.kind === 'line' && (coverage >= 1 || (isHead && isOwn)) && scene.bench.left(of.id) > 1e-9,
  )
  const isMeant =
    stem === 'oil'
      ? isListed !== true && sides.some(({ words }) => words.has('oil'))
      : (isMarked || isListed !== true) && (stem !== 'water' || isMarked || isDet(tokens[index - 1]))
  if (!isMeant) return null
  const word =
    /^(?:water|liquid|liquor)$/.test(stem) && /\bsoaking\b/iu.test(before.slice(-24)) ? 'soaking' : stem
  const said = saidHere(here)
  const isALittle = said.amountG === undefined && A_LITTLE_OF.test(before)
  return met({ kind: 'side', word, isMarked, at, role, said: isALittle ? A_LITTLE : said })
}

/** Water: of the list, or of the tap. */
function water(here: Here): Answer {
  const { token, next, tokens, index, scene, before, at, role } = here
  if (token.stem !== 'water' && !(token.stem === 'ice' && next?.stem === 'water')) return null
  const fits = namedAt(tokens, index, scene, before)?.fits ?? []
  const lines = fits.filter(
    ({ of, coverage, isHead, isOwn }) =>
      of.kind === 'line' && (coverage >= 1 || (isHead && isOwn) || of.foodClass === 'water'),
  )
  if (lines.length === 0) return met({ kind: 'water', isThe: isDet(tokens[index - 1]), ...whole(here) })
  const said = saidHere(here, lines[0]?.of ?? null)
  const isThe =
    /\b(?:the|its|that) (?:(?!(?:in|with|of|into|over|to|on|and|for|under)\b)[a-zß-ɏ\d]+ ){0,3}$/iu.test(
      before.slice(-30),
    ) ||
    said.isStated ||
    /[\d½¼¾]\s*(?:g|ml|l|litres?|cups?|tbsp|tsp|tablespoons?)\b[^,;.]{0,12}$/iu.test(before)
  return met({
    kind: 'named',
    of: lines.map(({ of }) => of),
    isWhole: isThe,
    word: 'water',
    made: null,
    product: null,
    at,
    role,
    said,
  })
}

/** A bottle of the list that is still unused: "barbecue sauce". */
const isListedPoured = (fit: Fit | undefined, { bench }: Scene): boolean =>
  fit?.of.kind === 'line' &&
  fit.isHead &&
  fit.isOwn &&
  POURED_WORDS.has(fit.of.names[0]?.at(-1) ?? '') &&
  bench.left(fit.of.id) > 1e-9

/** "The tomatoes and paste": among others of the list, and not used yet. */
const isNextInList = ({ tokens, index, scene }: Here, fit: Fit | undefined): boolean =>
  fit?.of.kind === 'line' &&
  fit.isHead &&
  fit.isOwn &&
  /^(?:and|&|\+)$/.test(tokens[index - 1]?.text ?? '') &&
  scene.bench.left(fit.of.id) > 1e-9

/** A line or a part by its name; with what was made of it: "the spinach puree". */
function named(here: Here): Answer {
  const { token, tokens, index, scene, before, at, role } = here
  const found = namedAt(tokens, index, scene, before)
  if (found === null) return null
  // "Half the sauce": the bottle that is still full, before one that is used up.
  const bottles = POURED_WORDS.has(token.stem) ? found.fits.filter((fit) => isListedPoured(fit, scene)) : []
  const fits = bottles.length > 0 ? bottles : found.fits
  const [first] = fits
  // "Between sheets of kitchen paper" is not the rice paper.
  if (token.stem === 'paper' && /\b(?:kitchen|baking|parchment|greaseproof|paper)\s+$/iu.test(before))
    return 'nothing'
  // "Soften the vegetables" is not done with vegetable stock.
  if (token.text === 'vegetables' && first?.isHead === false) return null
  // "Boiling water": the water is read where it stands.
  if (
    first?.of.foodClass === 'water' &&
    !first.isOwn &&
    tokens.slice(index + 1, index + 3).some(({ stem }) => stem === 'water')
  )
    return 'nothing'
  if (
    first?.of.kind === 'part' &&
    tokens.slice(index + 1, index + 4).some(({ stem }) => stem === 'ingredient')
  )
    return 'nothing'
  const isWeak =
    found.run < 2 &&
    fits.length < 2 &&
    (first?.coverage ?? 0) < 1 &&
    TOO_COMMON.has(token.stem) &&
    !isNextInList(here, first) &&
    scene.bench.lots.some(
      (lot) =>
        !lot.isSide &&
        lot.words.has(token.stem) &&
        // "Some of the sauce" is not the baked slab.
        (lot.isLiquid || !isListedPoured(first, scene)),
    )
  if (isWeak) return null
  const follows = tokens[index + found.run]
  const isProduct = follows?.kind === 'word' && PRODUCT_WORDS.has(follows.stem)
  return met(
    {
      kind: 'named',
      of: fits.map(({ of }) => of),
      isWhole: (first?.coverage ?? 0) >= 1 || found.run >= 2,
      word: token.stem,
      made: madeBy(tokens, index),
      product: isProduct ? follows.stem : null,
      at,
      role,
      said: saidHere(here, first?.of ?? null),
    },
    found.run + (isProduct ? 1 : 0),
  )
}

const SOURED = /\b(?:soured|curdled)\s+(?:[a-zß-ɏ-]+\s+){0,2}$/iu
/** "The soured milk", "the buttermilk" that the cook made of milk and acid: that lot, and not more milk of the list. */
function souredMilk(here: Here): Answer {
  const { token, scene, before, at, role } = here
  const isCalled = (token.stem === 'milk' && SOURED.test(before)) || token.stem === 'buttermilk'
  if (!isCalled || !scene.bench.lots.some((lot) => !lot.isSide && lot.words.has('soured'))) return null
  return met({ kind: 'word', word: 'soured', made: null, isEvery: false, at, role, said: saidHere(here) })
}

const BECOMES = /\b(?:in)?to (?:an?|some) (?:[a-zß-ɏ-]+ ){0,3}$/iu

const EVERY = new Set([
  'sauces',
  'doughs',
  'mixtures',
  'dressings',
  'batters',
  'purees',
  'pastes',
  'creams',
  'glazes',
])

const SEEDS: ReadonlySet<string> = new Set(['flax', 'flaxseed', 'linseed', 'chia'])
/** Water of a seed egg is two to seven times the seed, by mass. Practice. */
const EGG_WATER = [1.8, 7.5] as const

/** "The flax egg": the ground seed and its water, of one line of the list or of two. */
function seedEgg(here: Here): Answer {
  const { token, next, scene, at, role } = here
  if (!SEEDS.has(token.stem) || next?.stem !== 'egg') return null
  const lines = [...new Set([...scene.names.values()].flat())].filter(({ kind }) => kind === 'line')
  const seed = lines.find((of) => of.names.some((name) => name.some((word) => SEEDS.has(word))))
  if (seed === undefined) return null
  const seedG = seed.line?.mass?.value ?? 0
  const isIts = (of: Named): boolean => {
    const massG = of.line?.mass?.value ?? 0
    return (
      of.line?.line.text === seed.line?.line.text ||
      (massG >= EGG_WATER[0] * seedG && massG <= EGG_WATER[1] * seedG)
    )
  }
  const waters = lines.filter((of) => of.foodClass === 'water' && of.part === seed.part)
  // Other masses may be another reading.
  for (const { id, line } of [seed, ...waters]) scene.reading.amounts.set(id, line?.mass?.value ?? 0)
  const water = waters.find(isIts)
  const of = water === undefined ? [seed] : [seed, water]
  return met(
    { kind: 'named', of, isWhole: true, word: 'egg', made: null, product: null, at, role, said: ALL_OF_IT },
    2,
  )
}

const KEPT_FOR: ReadonlyMap<string, string> = new Map([
  ['glaze', 'glaz'],
  ['topping', 'top'],
  ['coating', 'coat'],
  ['garnish', 'garnish'],
])

/** "Mix the glaze": the lines that the list keeps for it. */
function keptFor(here: Here): Answer {
  const { token, scene, at, role } = here
  const purpose = KEPT_FOR.get(token.stem)
  if (purpose === undefined) return null
  const every = new Set([...scene.names.values()].flat())
  const of = [...every].filter((one) => one.purpose === purpose && scene.bench.left(one.id) > 1e-9)
  if (of.length < 2) return null
  const base = { isWhole: true, word: token.stem, made: null, product: null }
  return met({ kind: 'named', of, ...base, at, role, said: ALL_OF_IT })
}

const BURSTS =
  /\b(?:(?:\d+|two|three|four|five|six|eight|ten)(?:\s*(?:-|–|to|or)\s*(?:\d+|three|four|five|six|eight|ten))?|a few|several|short|quick|brief|long|couple of|in)\s+$/iu
const OF_A_DISH =
  /^\s*of (?:a|an|your|the|two|four|six) (?:[a-zß-ɏ\d-]+ ){0,4}(?:dish|tin|pan|tray|casserole|jar|glass(?:es)?|bowl|ramekins?)\b/iu

/** A class of foods, or what a doing made. */
function wordFor(here: Here): Answer {
  const { token, tokens, index, scene, at, role } = here
  const { stem } = token
  if (VESSELS.has(stem) || stem === 'dry' || stem === 'wet') return 'nothing'
  // "Blitz in four or five pulses": of the machine.
  if (stem === 'pulse' && BURSTS.test(here.before)) return 'nothing'
  // "Over the base of an oven dish".
  if (stem === 'base' && OF_A_DISH.test(here.after)) return 'nothing'
  // "To a sticky batter" is what it becomes.
  if (!PIECE_WORDS.has(stem) && BECOMES.test(here.before)) return 'nothing'
  const made = madeBy(tokens, index)
  if (CLASS_WORDS.has(stem)) return met({ kind: 'class', word: stem, made, at, role, said: saidHere(here) })
  const hasLot = [...scene.bench.lots, ...scene.bench.gone()].some(({ words }) => words.has(stem))
  // "The soaked soy", which the list calls textured protein.
  const isMade =
    made !== null &&
    isDet(tokens[index - 2]) &&
    scene.bench.lots.some(
      (lot) =>
        !lot.isSide && made.senses.some(({ operation }) => operation !== null && operation === lot.operation),
    )
  return hasLot || isMade || PIECE_WORDS.has(stem) || FILLINGS.has(stem)
    ? met({ kind: 'word', word: stem, made, isEvery: EVERY.has(token.text), at, role, said: saidHere(here) })
    : 'nothing'
}

/** In this order; the first that answers settles what a word names. */
const RULES = [
  pronoun,
  shareOfLot,
  everything,
  remainder,
  ingredients,
  dryOrWet,
  beforeSide,
  side,
  water,
  seedEgg,
  souredMilk,
  named,
  keptFor,
  wordFor,
] as const

/**
 * What the words at a token name.
 *
 * @param role how it stands in its clause
 * @param before words of the clause before it
 * @param after words of the clause after it
 * @returns null where no food, lot or part is named
 */
export function mentionAt(
  tokens: readonly Token[],
  index: number,
  role: Role,
  before: string,
  after: string,
  scene: Scene,
): Met | null {
  const token = tokens[index]
  if (token === undefined) return null
  const here: Here = {
    tokens,
    index,
    token,
    next: tokens[index + 1],
    role,
    before,
    after,
    scene,
    at: token.at,
  }
  for (const rule of RULES) {
    const answer = rule(here)
    if (answer !== null) return answer === 'nothing' ? null : answer
  }
  return null
}
