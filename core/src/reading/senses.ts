import { verbOf } from './lexicon/verbs'
import type { OperationId } from '../model'
import type { Clause, Parsed } from './clauses'
import { HOT, VESSEL_ONLY } from './lexicon/things'
import type { Verb } from './lexicon/verbs'
import { TAKES_SO_LONG } from './stepTimes'
import { BEFORE_DAY, IN_WATER, TO_COOL, WATER, fragment, lets, puts, timeIn } from './fragments'

/** What a clause is within the chain of a text. */
export type Role = 'do' | 'put' | 'fat' | 'go-on' | 'none'

export interface Read {
  readonly clause: Clause
  readonly role: Role
  readonly operation: OperationId | null
  readonly words: string
}

const FAT = /\b(?:oil|fat|margarine|ghee|lard|butter)\b/iu

const SEPARATES =
  /\b(?:out of|from) the (?:liquid|liquor|water|marinade|brine|stock|bath)\b|\bout with a (?:slotted|skimmer|tea strainer)|\bout on(?:to)? (?:some |a |the |plenty of |sheets of )*(?:paper|kitchen|towels?)\b/iu

const INTO_PAN = /\binto the (?:\w+ )?(?:pan|pot|skillet|wok|kadhai|soup|stew|sauce)\b/iu
const LIES_IN =
  /\bin (?:the|its|their) (?:hot |cooking |own )?(?:stock|liquid|liquor|water|marinade|brine|syrup|bath|broth)\b|\bin the (?:hot|cold) oil\b|^\s*oil back\b/iu

type Told = readonly [role: Role, operation: OperationId | null]
const NOTHING: Told = ['none', null]
const does = (operation: OperationId): Told => ['do', operation]

/** "Toss, 5 more": it goes on. */
const SO_MUCH_MORE =
  /^\W*(?:(?:it|them|everything|well|once|over|and|then|for|another)\W+)*(?:\d+|two|three|four|five|six|eight|ten)\s*(?:min|mins|minutes?)?\s*(?:more|longer)\b/iu

/** A clause with a verb, and its words. */
interface Said {
  readonly verb: Verb
  /** Words after the verb, without its subordinates. */
  readonly rest: string
  /** The same with its subordinates. */
  readonly full: string
  readonly words: string
  /** From the verb on. */
  readonly fromVerb: string
  readonly parsed: Parsed
  readonly clause: Clause
  readonly next: Clause | undefined
  readonly previous: Clause | undefined
}

const NAMES_NO_FOOD =
  /^\s*(?:out with|out\W*$|out (?:on|in)?to\b|(?:[a-zß-ɏ]+ ){0,2}(?:wok|pan|skillet|griddle) (?:on|over)\b|lid|\S+ \w+s (?:the|a|an|it|them)\b|done|right|bowls?(?!\s*:)|jar|bottle|natural release|days?\b|ok)\b/iu

/** "1 Tbsp oil." after a wok or a pan: it is put in to fry. */
const OIL_ALONE =
  /^\W*(?:[\d½¼¾./]+\s*)?(?:(?:tbsps?|tsps?|tablespoons?|teaspoons?|g|ml|rest|half|splash|film|drizzle|glug|more|a|an|the|of|little|other)\s+)*(?:[a-zß-ɏ]+\s)?(?:oil|fat|ghee)\W*(?:in)?\W*$/iu
const PAN_WORD = /\b(?:wok|pan|skillet|tawa|tava|griddle|kadhai)\b/iu

const INTO_WATER =
  /\binto (?:a (?:big |large )?(?:pan|pot) of |plenty of )?(?:cold |boiling |hot )*(?:salted )?(?:cold |boiling )?water\b/iu
const fromVerbAt = (words: string, verb: string): number => {
  const at = words.toLowerCase().indexOf(verb)
  return at < 0 ? 0 : at
}
/** So many marks before a clause tell where the food lies. */
const LATELY = 100
const ON_A_GRILL = /\b(?:on|onto|over|to) (?:a |the )?(?:hot )?(?:grill|barbecue|bbq|coals|grates?)\b/iu
const GOES_IN =
  /^\W*(?:then |now |and )?(?:the )?(?!in\b)[a-zß-ɏ][a-zß-ɏ ,&+-]{1,60}?\s(?:back )?in(?:\s*,|\s+for)\s*(?:the |another |a )?/iu
function withoutVerb(words: string, before: string, lately: string): Told {
  if (OIL_ALONE.test(words) && (PAN_WORD.test(before) || /\bout\W*$/iu.test(before))) return ['fat', null]
  const operation = fragment(words)
  // "Flip onto the grill. 3 minutes a side."
  if (operation === 'shallow-fry' && ON_A_GRILL.test(lately)) return does('grill')
  if (operation !== null) return does(operation)
  // "Spices in, 2 minutes", "beans in for the last 10".
  if (GOES_IN.test(words)) return ['put', null]
  if (timeIn(words) !== null) return ['go-on', null]
  if (FAT.test(words) && /\b(?:pan|skillet|griddle|tawa|wok|kadhai)\b/iu.test(words)) return ['fat', null]
  return NAMES_NO_FOOD.test(words) || !/\p{L}/u.test(words) ? NOTHING : ['put', null]
}

const READIES_A_VESSEL =
  /^(?:heat|warm|get|bring|put|lay|cover|set|brush|place|peel|grease|oil|line|return|rub|wipe|preheat|turn|take|reduce|lower)$/

const ON_A_TRAY = /\b(?:tray|sheet|oven|rack)\b/iu
const OVEN_HOT = /\b(?:1[4-9]|2[0-6])\d\s*°?\s*C\b|\b[34]\d\d\s*°?\s*F\b|\bgas (?:mark )?\d/u
/** "Spread on a tray, 200 C, 15 min": it is roasted there. */
const isIntoOven = (words: string): boolean =>
  ON_A_TRAY.test(words) && OVEN_HOT.test(words) && timeIn(words) !== null

const WITH_PASTRY =
  /\bwith (?:the |your |half |a sheet of )*(?:[a-zß-ɏ-]+ ){0,2}(?:pastry|dough|filo|phyllo)\b/iu
/** "Heat a pan", "return it to the oven for 10 minutes". */
function onVessel({ verb, rest }: Said): Told | null {
  if (!VESSEL_ONLY.test(rest) || WATER.test(rest) || !READIES_A_VESSEL.test(verb.word)) return null
  if (verb.word === 'line' && WITH_PASTRY.test(rest)) return null
  // "Brush the edges with some of the milk".
  if (verb.word === 'brush' && /\bedges?\b[^.;]*\bwith\b/iu.test(rest)) return null
  if (verb.word === 'bring' && /\b(?:boil|simmer|bubble)\b/iu.test(rest)) return null
  const isBake = timeIn(rest) !== null && /\boven\b/iu.test(rest) && /^(?:return|put|set)$/.test(verb.word)
  return isBake ? does('roast') : NOTHING
}

const FLAVOURINGS_OUT =
  /^\s*out the (?:\w+ )?(?:bay|cardamom|cinnamon|star anise|leaf|leaves|pods?|sprigs?|stalks?|herbs|spices|lemongrass|clove|garlic|kombu|rind)/iu
const LIQUID_AWAY = /^\s*(?:away )?the (?:\w+ )?(?:brine|marinade|water|liquid|liquor|soaking)/iu
const OUT = /^\s*(?:it |them |the [\w ]{1,24})?out\b(?! of the (?:pan|oven|tin))/iu

const INTO_A_MOULD =
  /^\s*(?:it |them |the [\w ]{1,24})?(?:in)?to (?:a|an|the|your) (?:[a-zß-ɏ\d.-]+ ){0,5}(?:basin|tin|mould|mold|terrine|ramekins?|pie dish|baking dish|gratin dish|ovenproof dish)\b/iu

/** The rest of the sentence, with what is said by the way. */
const sentenceAfter = ({ text }: Parsed, { verbTo }: Clause): string =>
  /^[^.;!?]*/u.exec(text.slice(verbTo))?.[0] ?? ''
/** "Pat dry, keeping the liquor". */
const KEEPS_LIQUOR =
  /\b(?:keep|keeping|reserve|reserving|save|saving)\b[^.;]*\b(?:liquor|liquid|marinade|juices?|brine|stock|broth)\b/iu
/** What is lifted out drips: it lay in something. */
const DRIPS_OFF = /\b(?:drip|drips|dripping|drain|excess)\b/iu
/** "In breadcrumbs", "them through the flour". */
const INTO_CRUMBS =
  /^\s*(?:it |them |each |the [\w ]{1,20} )?(?:in|through) (?:\w+ ){0,5}(?:breadcrumbs?|crumbs?|flour|panko|semolina|sesame|seeds)\b/iu
/** Verbs that change nothing by themselves: turning, lifting out, throwing away. */
function changesNothing({ verb: { word, senses }, rest, full, parsed, clause }: Said): Told {
  if (FLAVOURINGS_OUT.test(rest)) return NOTHING
  const sense = senses.find(({ when }) => when?.test(rest) === true)?.operation
  if (sense != null) return does(sense)
  if (word === 'pass' && INTO_CRUMBS.test(rest)) return does('coat')
  if (/^(?:move|transfer|put|return)$/.test(word) && /\b(?:warm|low) oven\b/iu.test(rest)) return does('hold')
  if (/^(?:discard|bin|throw)$/.test(word) && LIQUID_AWAY.test(rest)) return does('drain')
  const lay = parsed.bare.slice(Math.max(0, clause.from - 70), clause.from)
  const isLiftedOut =
    /^(?:lift|take|remove|scoop)$/.test(word) &&
    OUT.test(rest) &&
    (LIES_IN.test(lay) ||
      DRIPS_OFF.test(sentenceAfter(parsed, clause)) ||
      POURS_OIL_OFF.test(sentenceAfter(parsed, clause)) ||
      KEEPS_LIQUOR.test(sentenceAfter(parsed, clause)))
  if (SEPARATES.test(rest) || isLiftedOut || (word === 'fish' && /\bout\b/u.test(rest))) return does('drain')
  if (/^(?:pat|blot)$/.test(word) && KEEPS_LIQUOR.test(sentenceAfter(parsed, clause))) return does('drain')
  // "Shake in the rest of the sugar and carry on till it is stiff".
  if (
    /^(?:carry|continue|keep)$/.test(word) &&
    /^\s*(?:on|going)\b/iu.test(rest) &&
    /\b(?:until|till|for)\b/iu.test(full)
  )
    return ['go-on', null]
  // "Turn daily for 12 days".
  if (
    /^(?:turn|flip)$/.test(word) &&
    /\b(?:daily|every day|once a day)\b/iu.test(rest) &&
    timeIn(rest) !== null
  )
    return ['go-on', null]
  // "Flip, 2 min": it goes on.
  if (
    /^(?:turn|flip)$/.test(word) &&
    /^\W*(?:it|them|over|once|and)?\W*\d/iu.test(rest) &&
    timeIn(rest) !== null
  )
    return ['go-on', null]
  // "Turn into a greased basin".
  if (/^(?:turn|transfer|move)$/.test(word) && INTO_A_MOULD.test(rest)) return does('shape')
  if (/^(?:turn|take|lift|remove|transfer|move|unmould|unmold)$/.test(word) && TO_COOL.test(rest))
    return does('cool')
  if (word !== 'turn') return NOTHING
  // "Turn in breadcrumbs".
  if (INTO_CRUMBS.test(rest)) return does('coat')
  return [/^\s*(?:it|them|the \w+) in the\b/iu.test(rest) ? 'do' : 'none', 'coat']
}

const COVERS =
  /\b(?:with|in) (?:the |some |plenty of )?(?:\w+ )?(?:crumbs|breadcrumbs|panko|sesame|seeds|chopped nuts|flaked almonds|desiccated coconut|polenta|cornmeal)\b/iu

/** "Cover with the olive oil", "with the penne": with a food, and not with a lid. */
const COVERS_WITH = /^\s*(?:it |them |the [\w ]{1,20}? )?with\b/iu
const LIDS =
  /\bwith\b[^.;,]*\b(?:lids?|foil|plates?|cloths?|towels?|film|wrap|cling|plastic|papers?|parchment|cartouche|saucers?|pan|pot|tray|bowl|muslin|bags?|tin|board|napkin|blankets?|weights?|baking sheet)\b/iu
/** "A layer of salt, cover with the rest": with the rest of that, which is taken already. */
const WITH_THE_REST = /^\s*with the (?:rest|remainder)\W*$/iu
const coversOver = (rest: string): boolean =>
  COVERS_WITH.test(rest) && !LIDS.test(rest) && !WITH_THE_REST.test(rest)
/** "Rain in the sugar, whipping for another 8 min": whipped it is. */
const MEANWHILE = /,\s*(?:still |all the while )?(whipping|whisking|beating|blending|kneading)\b[^.;]*/iu
const POURS_OIL_OFF = /\bpour (?:off|away)\b[^.;]*\b(?:oil|fat)\b/iu
const OFF_SOME_FAT =
  /^\s*(?:off|away) (?:all but|most of|some of|any|the excess|any excess)\b[^.;]*\b(?:oil|fat)\b/iu
export const TREMBLES =
  /\bin(?:to)? the (?:[a-zß-ɏ]+ )?(?:stock|broth|water|sauce|milk)\b[^.;]{0,24}\b(?:trembl|simmer|shiver|barely mov|just mov|bubbl)\w*/iu
/** Verbs that put things somewhere: into the fridge, the oven, the blender, or nowhere special. */
function putsIn({ verb, rest, words, fromVerb, parsed, clause, next }: Said): Told {
  const sense = verb.senses.find(({ when }) => when?.test(rest) === true)
  if (sense?.operation != null) return does(sense.operation)
  if (verb.word === 'go' && /\baway\b/u.test(rest)) return does('rest')
  const meanwhile = MEANWHILE.exec(sentenceAfter(parsed, clause))
  if (meanwhile !== null && timeIn(meanwhile[0]) !== null && timeIn(rest) === null) {
    const how = verbOf(meanwhile[1] ?? '')?.verb.senses.find((one) => one.when === null)?.operation
    if (how != null) return does(how)
  }
  // "Add to the kettle under high shear, 3 min".
  if (/\b(?:under|with|at) high shear\b/iu.test(words)) return does('blend')
  const isSkimmed =
    /^(?:ladle|scoop)$/.test(verb.word) && /\b(?:out|up|off)\b[^.;]*\b(?:water|liquid|liquor)\b/iu.test(rest)
  if (verb.word === 'cover' && COVERS.test(rest)) return does('coat')
  const isLid = verb.word === 'cover' && !WATER.test(rest) && !coversOver(rest)
  if (/^pour$/.test(verb.word) && OFF_SOME_FAT.test(rest)) return NOTHING
  const isThrown =
    /^\s*(?:the )?(?:\w+ ){0,3}(?:away|down the (?:sink|drain))\b/iu.test(rest) &&
    !/^\s*(?:off|away)/iu.test(rest)
  // "Cover, low heat 5 mins": under the lid it goes on.
  if (isLid && timeIn(rest) !== null)
    return /\b(?:heat|flame|low|gas)\b/iu.test(rest) ? ['go-on', null] : does('rest')
  if (isSkimmed || isLid || isThrown) return NOTHING
  const isLeft =
    /^(?:leave|let|stand|rest|soak|sit)$/.test(next?.verb?.word ?? '') && next?.sentence === clause.sentence
  if (!isLeft && IN_WATER.test(words) && BEFORE_DAY.test(words)) return does('soak')
  const operation = puts(words, fromVerb)
  return operation === null ? ['put', null] : does(operation)
}

/** The clause before it readies a pan and nothing else. */
const isAfterVessel = ({ previous, parsed }: Said): boolean =>
  previous?.verb != null && VESSEL_ONLY.test(parsed.bare.slice(previous.verbTo, previous.to))

/** Verbs that work a food, in the sense that their object gives them. */
function works(said: Said): Told {
  const { verb, rest, full, parsed, next, previous } = said
  // "Put the pan in the oven and heat it": nothing is heated but the pan.
  if (/^(?:heat|warm)$/.test(verb.word) && /^\s*it\b/iu.test(rest) && isAfterVessel(said)) return NOTHING
  // "Heat a grill pan and brush it with oil": the pan is brushed.
  if (
    /^(?:brush|oil|grease|coat)$/.test(verb.word) &&
    /^\s*(?:it|this)\b/iu.test(rest) &&
    /^(?:heat|get|warm|take|light)$/.test(previous?.verb?.word ?? '') &&
    isAfterVessel(said)
  )
    return ['fat', null]
  // "Pack the carrots with the dill into a jar".
  if (
    verb.word === 'pack' &&
    /\b(?:jars?|crock|bowl|tub)\b/iu.test(rest) &&
    !/^\s*(?:in|into)\b/iu.test(rest)
  )
    return ['put', null]
  // "Flake the tofu into the pan" puts it there.
  if (/^(?:flake|crumble|tear|grate|slice|snip|break|shred|chop|cut)$/.test(verb.word) && INTO_PAN.test(rest))
    return ['put', null]
  // "Crush in the garlic": it goes to the rest.
  if (
    /^(?:crush|snip|tear|grind|grate)$/.test(verb.word) &&
    /^\s*in\s+(?:[a-zß-ɏ\d]+ ){0,3}(?:garlic|cloves?|ginger|chill?i(?:es)?|basil|parsley|mint|chives|herbs|spices)\b/iu.test(
      rest,
    )
  )
    return ['put', null]
  // "Grate over some nutmeg", "snip over the chives".
  if (/^(?:grate|snip|tear|grind|crumble)$/.test(verb.word) && /^\s*over\b/iu.test(rest)) return ['put', null]
  if (
    verb.word === 'shake' &&
    /^\s*(?:in|over|on)\b(?! (?:a|an|the) (?:\w+ )?(?:jar|bottle|bag|tub|shaker))/iu.test(rest)
  )
    return ['put', null]
  if (verb.word === 'crumble' && /\b(?:stock|bouillon) cubes?\b/iu.test(rest)) return ['put', null]
  if (/^(?:crush|rub)$/.test(verb.word) && /\bbetween (?:your|the) (?:palms|fingers|hands)\b/iu.test(rest))
    return ['put', null]
  if (isFat(verb.word, rest, next)) return isBath(verb.word, rest, parsed.text) ? NOTHING : ['fat', null]
  // "Meanwhile, make the dumplings. Mix the flour …": what the next sentences are about.
  if (verb.word === 'make' && IS_TOPIC.test(rest) && next?.verb != null && BEGINS_ANEW.test(next.verb.word))
    return NOTHING
  // "Sit the dumplings on top of the stew and cover": put there.
  if (
    /^(?:sit|rest|stand|set)$/.test(verb.word) &&
    /^\s*(?:the|your|each|them)\b[^.;]*\b(?:on top of|on the|over the|onto|in the|in a)\b/iu.test(rest) &&
    timeIn(full) === null &&
    next?.sentence === said.clause.sentence
  )
    return ['put', null]
  const sense = verb.senses.find(
    ({ when }) => when === null || when.test(/until|where/.test(when.source) ? full : rest),
  )
  // "Spread the beans on a baking sheet and bake": what is baked is named here.
  const namesIt =
    /^(?:spread|lay|arrange|scatter|set|sit|line up)$/.test(verb.word) &&
    /^\s*(?:out )?(?:the|your|all|both|these)\s+[a-zß-ɏ]{3}/iu.test(rest) &&
    next?.verb != null &&
    next.sentence === said.clause.sentence &&
    !/^\s*(?:the|a|an|your|it|them)\b/iu.test(parsed.bare.slice(next.verbTo, next.to))
  if (sense?.operation == null && namesIt) return ['put', null]
  // "Set aside for 10 minutes to thicken".
  if (verb.word === 'set' && /\b(?:aside|to one side)\b/iu.test(rest) && timeIn(full) !== null)
    return does('rest')
  // "Small heaps into hot oil, flatten, 3 min/side".
  if (sense?.operation === 'shape' && A_SIDE.test(said.full)) return does('shallow-fry')
  if (sense?.operation === 'drain' && SQUEEZED.test(sentenceAfter(parsed, said.clause)))
    return does('squeeze')
  return sense?.operation == null ? NOTHING : does(sense.operation)
}
const IS_TOPIC = /^\s*(?:the|your|a|some)\s+(?:[a-zß-ɏ]+\s+){0,2}[a-zß-ɏ]+\W*$/iu
const BEGINS_ANEW =
  /^(?:mix|combine|whisk|stir|sift|beat|rub|blend|put|place|melt|heat|warm|add|crumble|mash|cream|chop|fry|toast|soak)$/
const A_SIDE = /\d\s*(?:min|mins|minutes?)\s*(?:\/|a |per |each )\s*side\b/iu
/** "Drain, squeezing out as much as you can". */
const SQUEEZED = /\b(?:squeez|wring)ing\b/iu

const KEEPS_GOING =
  /^\s*(?:it|them|everything|the pan)?\s*(?:moving|stirring|going|turning|tossing|cooking|bubbling|simmering)\b/iu

const isBoiling = ({ previous, parsed }: Said): boolean =>
  previous != null && /\b(?:boil|simmer)\b/iu.test(parsed.bare.slice(previous.from, previous.to))
const HOLDS_ON =
  /^\s*(?:it |them )?(?:there )?(?:for )?(?:about )?(?:\d|one|two|three|five|ten|a minute)(?!.*\b(?:warm|hot|\d\d\s*°?\s*C)\b)/iu

const CARRIES = /^(?:scoop|transfer|move|spoon|ladle|scrape|decant|lift)$/
const INTO_A_VESSEL =
  /\b(?:in)?to (?:a|an|the|your) (?:[a-zß-ɏ-]+ ){0,3}(?:blender|processor|jug|pan|pot|bowl|saucepan|wok|skillet)\b[^.;]*\b(?:with|plus|and|along)\b/iu

const MACHINE_RUNS =
  /\b(?:machine|motor|blender|processor|mixer)\b[^.;,]{0,12}\b(?:running|on|going|still turning)\b/iu
function sentenceFrom({ text }: Parsed, { from }: Clause): number {
  let at = from
  while (at > 0 && !'.;!?'.includes(text.charAt(at - 1))) at -= 1
  return at
}
const SQUEEZED_TOGETHER =
  /^\s*(?:(?:it|them|everything|the mix(?:ture)?|handfuls(?: of (?:it|the mix(?:ture)?))?)\s+)?(?:well\s+|firmly\s+|tightly\s+)?(?:together|into (?:a |an |the |\d+ |small |firm |tight |even )*(?:balls?|patt(?:y|ies)|burgers?|shapes?|sausages?|logs?|clumps?|cakes?|ovals?))\b/iu
const WETNESS = /\b(?:water|liquid|moisture|juices?|dry)\b/iu
const INTO_SHAPE = /\binto\b/iu
const THROUGH_A_MILL =
  /\bthrough (?:a|an|the|your) (?:[a-zß-ɏ-]+ ){0,2}(?:ricer|mouli|food mill|mouli-légumes|potato press)\b/iu

const THROUGH_A_CLOTH =
  /^\s*(?:it |them |this |that |everything |all |the [a-zß-ɏ -]{1,24})?through (?:a|an|the|your|some|two) (?:[a-zß-ɏ-]+ ){0,3}(?:sieve|strainer|muslin|cheesecloth|cloth|filter|bag|colander)\b/iu

function withVerb(said: Said): Told {
  const { verb, rest, full, words, next, parsed, clause } = said
  // "Hold 2 minutes": it goes on as it was.
  if (verb.word === 'hold' && HOLDS_ON.test(full) && timeIn(full) !== null && isBoiling(said))
    return ['go-on', null]
  // "Keep it moving 4 minutes": it goes on.
  if (verb.word === 'keep' && KEEPS_GOING.test(full) && timeIn(full) !== null) return ['go-on', null]
  // "With the machine running, drizzle in the oil".
  if (
    (verb.kind === 'put' || /^(?:drizzle|spoon)$/.test(verb.word)) &&
    MACHINE_RUNS.test(parsed.text.slice(sentenceFrom(parsed, clause), clause.verbFrom)) &&
    !(next?.sentence === clause.sentence && next.verb?.senses.some(({ operation }) => operation === 'blend'))
  )
    return does('blend')
  // "Scoop the vegetables into a blender with the salt" brings them together.
  if (CARRIES.test(verb.word) && INTO_A_VESSEL.test(rest)) return ['put', null]
  if (/^(?:spread|lay|arrange|put|place|scatter|tip|set)$/.test(verb.word) && isIntoOven(words))
    return does('roast')
  // "Scoop out and pour away all but a spoonful of the oil".
  if (verb.word === 'scoop' && OUT.test(rest) && POURS_OIL_OFF.test(sentenceAfter(parsed, clause)))
    return does('drain')
  // "Squeeze it together well": by hand, to make it hold; nothing is squeezed out.
  if (verb.word === 'squeeze' && SQUEEZED_TOGETHER.test(rest) && !WETNESS.test(full))
    return does(INTO_SHAPE.test(rest) ? 'shape' : 'mix')
  // "Pour it through a fine cloth".
  if (/^(?:pass|push|press|put|pour|rub|run|tip|work|force)$/.test(verb.word) && THROUGH_A_CLOTH.test(rest))
    return does('strain')
  // "Pass it through a potato ricer".
  if (/^(?:pass|push|press|put|rub|work|run|force|squeeze)$/.test(verb.word) && THROUGH_A_MILL.test(rest))
    return does('mash')
  if (/^(?:toss|turn|flip|stir|shake)$/.test(verb.word) && SO_MUCH_MORE.test(rest)) return ['go-on', null]
  const vessel = onVessel(said)
  if (vessel !== null) return vessel
  switch (verb.kind) {
    case 'none':
      return changesNothing(said)
    case 'let': {
      // "Add the butter, let it foam": no more than the sign that it is hot.
      if (
        /^\s*(?:the (?:butter|fat|oil|margarine)|it)\s+(?:foam|froth|melt|bubble up|get hot)\b/iu.test(
          rest,
        ) &&
        timeIn(rest) === null &&
        next !== undefined
      )
        return NOTHING
      const operation = lets(full.replace(/\([^)]*\)/gu, ''))
      return operation === null ? NOTHING : does(operation)
    }
    case 'give':
      // "Get those out onto some paper."
      if (verb.word === 'get' && SEPARATES.test(rest)) return does('drain')
      // "Into cold salted water, and they want about thirty-five minutes".
      if (timeIn(words) !== null && INTO_WATER.test(words.slice(0, fromVerbAt(words, verb.word))))
        return does('boil')
      // "They need twenty-five minutes at a lazy simmer".
      if (timeIn(words) !== null && /\bat (?:a|the) (?:[a-zß-ɏ-]+ ){0,2}simmer\b/iu.test(rest))
        return does('simmer')
      if (timeIn(words) !== null) return ['go-on', null]
      return isFat(verb.word, rest, next) ? ['fat', null] : NOTHING
    case 'put':
      return putsIn(said)
    case 'do':
      return works(said)
  }
}

/** "Don't slice it before it has had a quarter of an hour". */
const NOT_BEFORE =
  /^(?:do not|don['’]t|never|resist)\b[^.;]*\b(?:slic|cut|carv|unmould|unmold|turn|serv|touch|tak)[^.;]*\b(?:before|until|till)\b[^.;]*\b(?:had|has|have|stood|rested|cooled|sat)\b/iu

/** "Now don't touch it for three minutes": on the heat it goes on by itself. */
const NOT_TOUCHED =
  /^\W*(?:(?:now|and|then|but)\W+)*(?:do not|don['’]t|never|resist|no)\b[^.;]{0,30}\b(?:touch|touching|move|moving|stir|stirring|disturb|disturbing|fiddle|poke)\b[^.;]*\bfor (?:(?:about|at least|a good|around) )?(?:\d|two|three|four|five|six|a|an)/iu

/** What a clause is within its text, and what it tells to do. */
export function readClause(
  parsed: Parsed,
  clause: Clause,
  next: Clause | undefined,
  previous: Clause | undefined,
): Read {
  const words = parsed.bare.slice(clause.from, clause.to)
  const told = (): Told => {
    if (clause.isRemark) {
      const full = parsed.text.slice(clause.from, clause.to)
      if (NOT_BEFORE.test(full) && timeIn(full) !== null) return does('rest')
      if (NOT_TOUCHED.test(full)) return ['go-on', null]
      return TAKES_SO_LONG.test(words) ? ['go-on', null] : NOTHING
    }
    if (clause.isBowl === true) return does('mix')
    if (clause.verb === null)
      return withoutVerb(
        words,
        previous === undefined ? '' : parsed.bare.slice(previous.from, previous.to),
        parsed.bare.slice(Math.max(0, clause.from - LATELY), clause.from),
      )
    return withVerb({
      verb: clause.verb,
      rest: parsed.bare.slice(clause.verbTo, clause.to),
      full: parsed.text.slice(clause.verbTo, clause.to),
      words,
      fromVerb: parsed.bare.slice(clause.verbFrom, clause.to),
      parsed,
      clause,
      next,
      previous,
    })
  }
  const [role, operation] = told()
  return { clause, role, operation, words }
}

/** "Heat the passata with a thread of oil": it is not the oil that is heated. */
const WITH_SOME_FAT =
  /^\s*(?:up )?(?:the |your |all )?(?!(?:pan|skillet|wok|pot|saucepan)\b)[a-zß-ɏ-]{3,}(?: [a-zß-ɏ-]+){0,2} with (?:a|an|some|the|half|\d)\b/iu
const heatsFat = (rest: string): boolean => {
  if (!FAT.test(rest)) return false
  const lead = WITH_SOME_FAT.exec(rest)?.[0]
  return lead === undefined || FAT.test(lead) || VESSEL_ONLY.test(lead)
}
/** Fat warmed for what is fried in it next is no doing of its own. */
const isFat = (verb: string, rest: string, next: Clause | undefined): boolean =>
  /^(?:heat|warm|melt|get)$/.test(verb) &&
  heatsFat(rest) &&
  !/\b(?:milk|cream|sugar|flour|water|chocolate|stock)\b/iu.test(rest) &&
  next !== undefined &&
  (verb === 'melt' ? startsHot(next) && !/\d\s*°?\s*[CF]\b/u.test(rest) : true)

/** Oil heated for a bath of frying, said before the food is ready: what is fried takes it. */
const isBath = (verb: string, rest: string, text: string): boolean =>
  verb === 'heat' &&
  /\b1[4-9]\d\s*°?\s*C\b|\b3[0-9]\d\s*°?\s*F\b|\bto 3[2-9]\d\b(?!\s*(?:g|ml))/u.test(rest) &&
  /\bfry\b/iu.test(text)

const startsHot = ({ verb }: Clause): boolean =>
  verb !== null &&
  (verb.kind === 'put' ||
    /^(?:stir|cook|let|whisk)$/.test(verb.word) ||
    verb.senses.some(({ operation }) => operation !== null && HOT.has(operation)))
