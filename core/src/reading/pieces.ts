import type { FormulaLine, RefusePart, Step } from '../model'
import { SLOW_COOKER } from './lexicon/things'

const MM = /(\d+(?:\.\d+)?)\s*-?\s*mm\b/i
const CM = /(\d+(?:\.\d+)?|half an?|½)\s*-?\s*(?:cm|centimet)/i
const INCH = /(\d+(?:\.\d+)?|half an?|½|¼)\s*-?\s*(?:inch|in\b)/i
const MM_PER_INCH = 25.4
const WORDS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25 }
const sized = (word: string): number => WORDS[word] ?? (/^half/i.test(word) ? 0.5 : Number(word))

/** Sizes that cooks mean by their words, mm. @source practice */
const CUTS: readonly (readonly [RegExp, number])[] = [
  [/\b(?:minced|mince|very finely|riced|grated|grate|microplaned)\b/i, 3],
  [/\b(?:pulsed?|crumbs)\b/i, 4],
  [/\b(?:finely|fine|small) (?:chop|dice|cut|slice|shred)/i, 3],
  [/\b(?:shredded|shred|julienned?|thinly slice|thinly)/i, 4],
  [/\b(?:coarsely|roughly|chunks?|chunky)\b|\b(?:large|big) (?:cubes?|pieces?|dice|cuts?)\b/i, 18],
  [/\b(?:cubes?|cubed)\b/i, 18],
  [/\b(?:diced?|dice)\b/i, 10],
  [/\b(?:crumbled?|torn|tear|broken up|break up)\b/i, 10],
  [/\b(?:sliced?|slices)\b/i, 6],
  [/\b(?:chopped|chop|cut)\b/i, 9],
  [/\b(?:halved|halves|quartered|quarters)\b/i, 25],
]

/** Size of the pieces that a text names, mm; null where it names none. */
export function cutSizeMm(text: string): number | null {
  const mm = MM.exec(text)
  if (mm !== null) return Number(mm[1])
  const cm = CM.exec(text)
  if (cm !== null) return sized(cm[1] ?? '1') * 10
  const inch = INCH.exec(text)
  if (inch !== null) return sized(inch[1] ?? '1') * MM_PER_INCH
  return CUTS.find(([words]) => words.test(text))?.[1] ?? null
}

const REFUSE: readonly (readonly [RegExp, RefusePart])[] = [
  [/\b(?:peel|skin)\b/i, 'peel'],
  [/\bcore\b/i, 'core'],
  [/\b(?:de-?seed|seeds?|pit|stones?|de-?stone|scoop out)\b/i, 'seed'],
  [/\b(?:stem|trim|top and tail|de-?stem|root)\b/i, 'stem'],
  [/\b(?:shell|hull|shuck|pod)\b/i, 'shell'],
]
/** What a trimming step cuts away, as its words say; the ends where they say no more than "trim". */
export const refuseIn = (text: string): RefusePart[] =>
  REFUSE.flatMap(([words, part]) => (words.test(text) ? [part] : []))

/** Words of a line that state what is eaten: nothing of it is cut away any more. */
const PREPARED =
  /\b(?:peeled|trimmed|cored|de-?seeded|seeded|seedless|pitted|stoned|de-?stoned|shelled|hulled|skinned|skinless|boned|podded|stemmed|destemmed|florets?|flesh|prepared|net|edible|kernels?|ready|cooked|canned|tinned|frozen|roasted|puree|purée|leaves only|picked)\b/i
const statesEaten = (text: string): boolean => PREPARED.test(text)

const LIQUOR =
  /\b(?:marinade|liquid|liquor|juices?|brine|broth|stock|sauce|everything|contents|whole lot|pour)\b/i
/** A step that names the liquor goes on with it. */
const namesLiquor = (text: string): boolean => LIQUOR.test(text)

const MASHED = /\b(?:mashed|pur[eé]ed?|ground|paste|blended)\b/i
const HALF = /\b(?:half|partly|lightly|roughly|coarsely)[ -](?:mashed|ground|blended)/i
/** How much of a line's words say is mashed, 0 to 1. */
const mashedShare = (text: string): number => (HALF.test(text) ? 0.5 : MASHED.test(text) ? 1 : 0)

const SOAKED = /\bsoak(?:ed|ing)?\b/i
const SOAKED_HOURS = /(\d+(?:\.\d+)?)\s*(?:-|to)?\s*(?:\d+\s*)?h(?:ours?|rs?)?\b/i
const OVERNIGHT_MIN = 600
const SOAKED_MIN = 360

/** Minutes that a line's words say it was soaked; null where they do not. */
function soakedMin(text: string): number | null {
  if (!SOAKED.test(text)) return null
  const hours = SOAKED_HOURS.exec(text)
  return /overnight/i.test(text) ? OVERNIGHT_MIN : hours === null ? SOAKED_MIN : Number(hours[1]) * 60
}

/** What a line's words say of the state in which it comes. */
export interface LineWords {
  readonly soakedMin: number | null
  readonly cutMm: number | null
  /** How much of it is mashed, 0 to 1. */
  readonly mashed: number
  /** It states what is eaten: nothing of it is cut away any more. */
  readonly isEaten: boolean
  /** It comes torn or shredded along its strands. */
  readonly isPulled: boolean
  /** The list keeps it for frying: food is lifted out of it. */
  readonly isForFrying: boolean
  /** Broth to cook something in: what is cooked is lifted out of it. */
  readonly isForCooking: boolean
}
const FOR_COOKING =
  /\bfor (?:the )?(?:cooking|simmering|poaching|boiling|pot)\b|\b(?:cooking|simmering|poaching) (?:broth|stock|liquid|liquor|water|dashi)\b/i
const FOR_FRYING = /\b(?:for|to) (?:deep[- ]|shallow[- ])?fry(?:ing)?\b/i
const PULLED = /\b(?:torn|shredded|pulled|flaked|teased)\b/i
const lineWords = new WeakMap<FormulaLine, LineWords>()

/** Read once for each line object. */
export function wordsOfLine(line: FormulaLine): LineWords {
  const known = lineWords.get(line)
  if (known !== undefined) return known
  const said = `${line.prep} ${line.food}`
  const made = {
    soakedMin: soakedMin(said),
    cutMm: cutSizeMm(line.prep === '' ? line.text : line.prep),
    mashed: mashedShare(said),
    isEaten: statesEaten(line.text),
    isPulled: PULLED.test(line.prep),
    isForFrying: FOR_FRYING.test(line.text),
    isForCooking: FOR_COOKING.test(line.text),
  }
  lineWords.set(line, made)
  return made
}

/** What a step's words say of pieces, trimmings, wraps and liquors. */
export interface StepPieces {
  readonly cutMm: number | null
  readonly refuse: readonly RefusePart[]
  readonly namesLiquor: boolean
  readonly unwraps: boolean
  /** It is wrapped in something that is eaten: a leaf, a pastry. */
  readonly isEdibleWrap: boolean
  /** It lies in a dish or tin that holds its juices. */
  readonly isInDish: boolean
  /** It is dried until it bends, not until it snaps. */
  readonly isLeathery: boolean
  /** It only comes to the boil: what goes on there is told next. */
  readonly isRise: boolean
  /** In a slow cooker. */
  readonly isSlow: boolean
  /** It goes on until it boils, however long that takes. */
  readonly reachesBoil: boolean
  /** It is drawn through something and lifted out of it. */
  readonly isDipped: boolean
  /** How far it draws a dough out into strands, 0 to 1. */
  readonly stretch: number
  /** It pulls food apart along its strands. */
  readonly pulls: boolean
  /** It breaks a curd into crumbs. */
  readonly crumbles: boolean
  /** It cooks as it grew: whole, or in its skin. */
  readonly saysWhole: boolean
  /** How long it goes on where no time is said, beside the usual: "briefly", "until completely smooth". */
  readonly lasts: number
  /** How finely it breaks fat into droplets where it mixes: a spoon, a whisk, a running blade. */
  readonly tool: 'spoon' | 'whisk' | 'blade'
}
const stepPieces = new WeakMap<Step, StepPieces>()
const UNWRAPS =
  /\bun-?wrap|\buncover|\b(?:remove|take off|lift off|discard) the (?:foil|cloth|paper)|\bfoil off\b/i
const IN_DISH =
  /\b(?:baking dish|pie dish|gratin dish|oven dish|casserole|ramekins?|loaf (?:tin|pan)|cake tin|tart tin|pie tin|lasagn[ae] dish|(?:\d+(?:\.\d+)?[- ]?(?:cm|inch|in|litre|l|g|x ?\d+)[- ]*)(?:round |square |deep |shallow |oiled |greased )*(?:dish|tin|pan)|(?:deep|shallow|greased|oiled|ovenproof|buttered) dish)\b/i
const LEATHERY = /\b(?:leathery|leather|chewy|pliable|supple|bends?|bendy|tacky|semi-?dried|half-?dried)\b/i
const RISES =
  /\b(?:bring|brought|come|comes|coming|get|up)\b[^.;]{0,48}\b(?:boil|bubble|bubbles|simmer)\b|[,;]\s*(?:then |and )?boil(?=[,.;]|$)|\bboil (?:it |them |everything )?up\b/i
const TO_BOIL =
  /\b(?:to|reaches|until|till|at) (?:it (?:starts to |comes to )?)?(?:the |a |full |rolling |gentle |rapid )*(?:boil|boils|boiling|simmer|simmers)\b/i
const DIPS = /\b(?:dip|drag|dredge|draw|roll|dunk|pass)(?:s|ping|ging|ing)?\b/i
const EDIBLE_WRAP = /\b(?:skin|leaf|leaves|rice paper|pastry)\b/i

/** Share of a dough that a way of handling lays in strands. @source lump 0, rolled 0.3, folded 0.55, twisted 0.7, knotted and pulled 0.85; practice */
const STRETCHES: readonly (readonly [words: RegExp, share: number])[] = [
  [/\b(?:knot|braid|plait)/i, 0.85],
  [/\b(?:twist|coil|wring)/i, 0.7],
  [
    /\b(?:stretch|laminat)|\bfold(?:ed|ing)?\b.{0,24}\b(?:three|thirds?|four|half|times?|over|itself)\b/i,
    0.55,
  ],
  [/\broll(?:ed|ing)?\b.{0,16}\b(?:up|tight|log|rope|sausages?)/i, 0.3],
]
const PULLS = /\b(?:shred|pull|tear|torn|flake|tease|pick)(?:s|ed|ing|ding)?\b/i
const MACHINE_RUNS =
  /\bwhile (?:still )?(?:blending|blitzing|processing)\b|\b(?:blender|motor|machine|processor|blades?) (?:is |still )*(?:running|on|going)\b/i
const UNTIL_FINE =
  /\b(?:very|completely|perfectly|totally|absolutely|really|super|ultra|utterly|beautifully) (?:smooth|fine)\b|\b(?:silky|velvety|silken)(?: smooth)?\b(?! tofu)|\bno (?:grains?|grit|bits|lumps)\b/i
const BRIEFLY = /\b(?:briefly|a few (?:short )?(?:pulses|bursts|seconds)|just a (?:few )?seconds?)\b/i
/** Practice: what is to be silky is blended two and a half times as long, what is done briefly an eighth. */
const [FINE_TIMES, BRIEF_TIMES] = [2.5, 0.125]
const WORKED: ReadonlySet<string> = new Set(['blend', 'whip', 'knead', 'mash', 'mix'])
function lastsFor(text: string, operation: Step['operation']): number {
  if (operation === null || !WORKED.has(operation)) return 1
  if (BRIEFLY.test(text)) return BRIEF_TIMES
  return operation === 'blend' && UNTIL_FINE.test(text) ? FINE_TIMES : 1
}
const WHISKS = /\b(?:whisk|beat|shake|emulsif)/i
const WHOLE = /\b(?:whole|unpeeled|skins? on|in (?:their|its|the) (?:skins?|jackets?))\b/i
const CRUMBLES = /\bcrumbl(?:e|es|ed|ing)\b/i

/** Read once for each step object. */
export function piecesOfStep(step: Step): StepPieces {
  const known = stepPieces.get(step)
  if (known !== undefined) return known
  const { text, operation } = step
  const made: StepPieces = {
    cutMm: operation === 'chop' || operation === 'grate' ? cutSizeMm(text) : null,
    refuse: operation === 'trim' ? refuseIn(text) : [],
    namesLiquor: namesLiquor(text),
    unwraps: UNWRAPS.test(text),
    isEdibleWrap: EDIBLE_WRAP.test(text),
    isInDish: IN_DISH.test(text) && !/\bfrying pan\b/i.test(text),
    isLeathery: LEATHERY.test(text),
    isRise: operation === 'boil' && step.durationMin === null && step.until === null && RISES.test(text),
    isSlow: SLOW_COOKER.test(text),
    reachesBoil: (operation === 'boil' || operation === 'heat') && TO_BOIL.test(step.text),
    isDipped: DIPS.test(step.text),
    stretch: STRETCHES.find(([words]) => words.test(text))?.[1] ?? 0,
    pulls: PULLS.test(text),
    crumbles: CRUMBLES.test(text),
    saysWhole: WHOLE.test(text),
    lasts: lastsFor(text, operation),
    tool: MACHINE_RUNS.test(text) ? 'blade' : WHISKS.test(text) ? 'whisk' : 'spoon',
  }
  stepPieces.set(step, made)
  return made
}
