import type { OperationId } from '../model'
import { durationsIn } from './stepTimes'

const FRIDGE = /\b(?:fridge|refrigerator|icebox)\b/iu

const OVEN = /\b(?:in|into|to)\b[^.;]{0,16}\boven\b/iu

const UNDER_GRILL = /\bunder (?:a |the )?(?:\w+ ){0,2}(?:grill|broiler)\b/iu

const CUT_TO =
  /\b(?:fine|finely|small|rough|roughly|thin|thinly|coarse|coarsely|big|large|medium)\s+(?:dice|diced|slices?|sliced|chop|chopped|julienne|shreds?|shredded|strips|batons|cubes|cubed|chunks)\b(?!.*[a-zß-ɏ]{3}.*:)|\b\d+(?:[.,]\d+)?\s*-?\s*(?:cm|mm|inch)\s+(?:cubes?|dice|slices?|strips?|slabs?|pieces?|chunks?|batons?)\b/iu

export const WATER = /\bwater\b/iu

export const timeIn = (words: string): number | null => durationsIn(words)[0]?.minutes ?? null

/** "Big pot of water at a rolling boil, gnocchi in". */
const BOILS_WITH = /\bwater\b[^.;,]{0,20}\bboil(?:ing)?\b[^.;]*,\s*[a-zß-ɏ ]{3,24} in\b/iu
/** "Up to the boil, down to a simmer, 40 min". */
const UP_TO_THE_BOIL = /^\W*(?:then |back )?up to (?:the|a) (?:boil|simmer)\b/iu
const DOWN_TO_A_SIMMER = /\bdown to (?:a|the) (?:[a-zß-ɏ]+ )?simmer\b/iu

/** "25 min at a simmer". */
const AT_A_SIMMER = /\bat (?:a|the) (?:[a-zß-ɏ]+ )?simmer\b/iu
/** A large pan with its own heat, set by degrees as an oven is. */
const IN_A_BRATT_PAN = /\b(?:bratt|tilting|braising) pan\b/iu

/** What words without a verb tell to do: "under a hot grill, 12 min", "fridge 2 h". */
export function fragment(words: string): OperationId | null {
  const minutes = timeIn(words)
  if (BOILS_WITH.test(words)) return 'boil'
  if (UP_TO_THE_BOIL.test(words) && !DOWN_TO_A_SIMMER.test(words)) return 'heat'
  if (UNDER_GRILL.test(words)) return 'broil'
  if (CUT_TO.test(words)) return 'chop'
  if (/\b(?:blender|food processor)\b/iu.test(words)) return 'blend'
  if (
    /^\s*\d+ (?:[a-zß-ɏ-]+ )?(?:cakes|balls|patties|burgers|logs|sausages|discs|rounds|dumplings|koftas)\b/iu.test(
      words,
    )
  )
    return 'shape'
  if (FRIDGE.test(words)) return minutes !== null && minutes > 10_000 ? null : 'chill'
  if (minutes === null) return null
  if (DOWN_TO_A_SIMMER.test(words) || AT_A_SIMMER.test(words)) return 'simmer'
  if (IN_A_BRATT_PAN.test(words))
    return /\b(?:brown\w*|colou?r|seal|sear)\b/iu.test(words) ? 'brown' : 'sweat'
  if (/^\W*(?:AF|air[- ]?fryer)\b/u.test(words)) return 'air-fry'
  // "Onions + oil, low, 15 min".
  if (
    /\b(?:oil|margarine|butter)\b[^.;]*\b(?:low|gentle)(?: heat)?\b/iu.test(words) &&
    !/\boven\b/iu.test(words)
  )
    return 'sweat'
  if (/\b(?:high|full|low|at) pressure\b/iu.test(words)) return 'pressure-cook'
  if (/\b(?:plancha|griddle|flat-?top)\b/iu.test(words)) return 'sear'
  if (
    /\boven\b|\b(?:1[4-9]|2[0-6])\d\s*°?\s*(?:C\s*)?fan\b|\bfan\s*(?:1[4-9]|2[0-6])\d\b|\b(?:1[4-9]|2[0-6])\d\s*°?\s*C\b|\b[34]\d\d\s*°?\s*F\b/u.test(
      words,
    )
  )
    return 'roast'
  if (/\bsteamer\b/iu.test(words)) return 'steam'
  if (minutes >= 240 && /\b(?:warm|yog|(?:2[0-9]|3\d|4\d)\s*°?\s*C\b)/iu.test(words)) return 'culture'
  if (WATER.test(words) && minutes >= 10 && !/\b(?:boil|simmer)/iu.test(words)) return 'soak'
  if (/\bhot\b[^,;]*\b(?:oil|fat)\b/iu.test(words)) return 'toast'
  // "In the same pan, garlic, just thirty seconds".
  if (
    /^\W*(?:now |then |and )?(?:in(?:to)? )?the (?:same |hot |empty )+(?:pan|skillet|wok|oil)\b/iu.test(words)
  )
    return 'shallow-fry'
  if (
    /\bpan\b[^,;]*\b(?:oil|fat)\b|\b(?:oil|fat|butter)\b[^,;]{0,30}\bpan\b|\b(?:min|minutes)\s*(?:\/|a |per |each )\s*side\b/iu.test(
      words,
    )
  )
    return 'shallow-fry'
  return null
}

/** What "let it …" lets happen: the first that its words fit. */
const LETS: readonly (readonly [when: RegExp, operation: OperationId | null])[] = [
  [/\b(?:take (?:on |up )?flavou?r|get to know)\b/iu, 'simmer'],
  [/\bevaporat/iu, 'reduce'],
  [/\bcomes?\b[^.;]{0,16}\bto (?:the|a) (?:boil|simmer)\b/iu, 'heat'],
  [/\b(?:excess|extra)\b[^.;]*\b(?:run|drip|drain|fall)\b/iu, null],
  [/(?=.*\b(?:flame|hob|low heat|medium heat)\b).*\bset\b/isu, 'shallow-fry'],
  // "Let them bubble away for 25 minutes": it simmers.
  [/\b(?:bubble|boil|cook|simmer|tick|putter)\w*\b[^.;]{0,12}\baway\b[^.;]{0,6}\bfor\b/iu, 'simmer'],
  [/\b(?:bubble|boil|cook|simmer|reduce)\w*\b[^.;]{0,24}\b(?:away|down|off)\b/iu, 'reduce'],
  [/\breduces?\b/iu, 'reduce'],
  [/\b(?:limp|soft|translucent|wilt|collapse|sweat|soften|flop)\w*\b/iu, 'sweat'],
  [/\b(?:sizzle|crackle|splutter|pop|foam)\b/iu, 'toast'],
  [
    /\b(?:brown|colour|color|caramelise|caramelize|catch|char|toast|blister)\b|\b(?:black|dark|brown) (?:spots|patches|edges)\b/iu,
    'brown',
  ],
  [/\bmelt\b/iu, 'heat'],
  [/\bdown with\b/iu, 'mix'],
  [/\bboil\b/iu, 'boil'],
  [/\b(?:simmer|bubble|blip|tick|plop|stew|drink up)\b/iu, 'simmer'],
  [/\b(?:ferment|culture)\b/iu, 'culture'],
  [/\b(?:run|whizz)\b/iu, 'blend'],
  [/\bsoak (?:it |them )?(?:up|in)\b/iu, 'rest'],
  [/\bsoak\b/iu, 'soak'],
  [/\b(?:infuse|steep)\b/iu, 'infuse'],
  [/\bmarinate\b/iu, 'marinate'],
  [/\b(?:excess|extra)\b/iu, null],
  [/\b(?:drain|drip)\b/iu, 'drain'],
  [/\bknead\b/iu, 'knead'],
  [/\b(?:thaw|defrost)\b/iu, 'freeze-thaw'],
  [/\b(?:fridge|refrigerator|icebox|chill)\b/iu, 'chill'],
  [/\b(?:cool(?! room)|cold|hand-?warm|(?<!at (?:cool )?)room temperature|lukewarm)\b/iu, 'cool'],
  [/\b(?:stand|sit|rest|swell|absorb|settle|drink|relax|thicken|set|firm|prove|rise|dry|steam)\b/iu, 'rest'],
]

export function lets(words: string): OperationId | null {
  const found = LETS.find(([when]) => when.test(words))
  if (found !== undefined) return found[1]
  return timeIn(words) === null ? null : 'rest'
}

export const IN_WATER =
  /\b(?:in|into|with) (?:plenty of |lots of |enough |a bowl of )?(?:cold |cool |fresh |tepid )*water\b/iu
export const BEFORE_DAY = /\b(?:night before|overnight|day before)\b/iu
export const TO_COOL = /\bto (?:cool|go cold|get cold)\b/iu

/** "Put the bread to soak in the milk". */
const PUT_TO =
  /^(?:put|set|lay|leave|place)\b[^.;,]*?\bto (soak|drain|boil|simmer|marinate|infuse|steep|sweat|prove|rise|thaw)\b/iu
const PUTS_TO: Readonly<Record<string, OperationId>> = {
  soak: 'soak',
  drain: 'drain',
  boil: 'boil',
  simmer: 'simmer',
  marinate: 'marinate',
  infuse: 'infuse',
  steep: 'infuse',
  sweat: 'sweat',
  prove: 'rest',
  rise: 'rest',
  thaw: 'freeze-thaw',
}
/** A put-in clause that says where: into the fridge, the oven, or nowhere special. */
export function puts(words: string, clauseText: string): OperationId | null {
  const minutes = timeIn(words)
  if (TO_COOL.test(clauseText)) return 'cool'
  const purpose = PUT_TO.exec(clauseText)?.[1]
  if (purpose !== undefined) return PUTS_TO[purpose.toLowerCase()] ?? null
  if (/\bin the cold(?=\s*(?:[.,;]|$|for|until|over))/iu.test(words)) return 'chill'
  if (FRIDGE.test(words)) return 'chill'
  if (/\bfreezer\b/iu.test(words)) return 'freeze-thaw'
  if (UNDER_GRILL.test(words) && minutes !== null) return 'broil'
  if (OVEN.test(words) && minutes !== null) return 'roast'
  if (/\b(?:to one side|aside)\b/iu.test(words) && minutes !== null) return 'rest'
  if (/\b(?:sieve|colander)\b/iu.test(words) && minutes !== null) return 'drain'
  if (
    /\b(?:pour|tip) (?:(?:the|its|that|this|all the) (?:\w+ )?(?:water|liquid|liquor|brine|juices?|fat|oil) )?(?:off|away)\b/iu.test(
      clauseText,
    )
  )
    return 'drain'
  if (
    /\b(?:brine|marinade)\b/iu.test(clauseText) &&
    !/\b(?:reserved|remaining|left|leftover|saved|kept|rest of the)\b/iu.test(clauseText) &&
    !/\b(?:tbsp|tablespoons?|tsp|teaspoons?|splash|spoonfuls?|ladles?|ladlefuls?|half)\b/iu.test(
      clauseText,
    ) &&
    /^(?:pour|lay|put|place|submerge|cover|tip|slide|drop)/iu.test(clauseText)
  )
    return 'marinate'
  if (/\b(?:in|into) the (?:\w+ )?(?:sauce|gravy|stock|broth|soup)\b/iu.test(clauseText) && minutes !== null)
    return 'simmer'
  if (/\binto (?:a |the |\w+ )*moulds?\b/iu.test(clauseText)) return 'shape'
  if (/\bcalcium\b|\balginate bath\b/iu.test(words) && /^drop/iu.test(clauseText)) return 'spherify'
  return null
}
