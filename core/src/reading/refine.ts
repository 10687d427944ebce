import type { FoodClass, OperationId } from '../model'
import type { DoingText } from './doings'
import { HOT, SLOW_COOKER } from './lexicon/things'
import { isCoagulant } from './kinds'
import type { Named } from './named'
import type { Takes } from './takes'
import { durationsIn } from './stepTimes'

/** They take no time that could go on: what was on the heat before goes on. */
const NOT_ON: ReadonlySet<OperationId> = new Set([
  'coat',
  'mix',
  'shape',
  'chop',
  'drain',
  'strain',
  'mash',
  'trim',
])
const PIECES: ReadonlySet<FoodClass> = new Set([
  'pulse',
  'grain',
  'vegetable',
  'mushroom',
  'soy',
  'nut',
  'seaweed',
])
const LIQUID: ReadonlySet<FoodClass> = new Set(['water', 'plant-milk', 'acid'])
/** Stock, passata, tins in juice: what cooks in them simmers. */
const isWetFood = ({ line, foodClass }: Named): boolean =>
  line?.food != null &&
  (line.food.per100g.waterG ?? 0) > 86 &&
  (line.mass?.value ?? 0) > 60 &&
  (foodClass === 'savoury' || line.food.state === 'canned' || /passata|juice/u.test(line.food.id))
const DISSOLVES: ReadonlySet<FoodClass> = new Set([
  'fat',
  'sweetener',
  'salt',
  'spice',
  'herb',
  'flour',
  'starch',
  'leavening',
  'gum',
])
const isDryFood = ({ line, foodClass }: Named): boolean =>
  line?.food != null &&
  (line.food.per100g.waterG ?? 100) < 16 &&
  foodClass !== null &&
  !DISSOLVES.has(foodClass)
const isPouredFood = ({ line, foodClass }: Named): boolean =>
  line?.food != null &&
  (line.food.per100g.waterG ?? 0) > 80 &&
  foodClass !== null &&
  (LIQUID.has(foodClass) || foodClass === 'savoury')
const FRIES: ReadonlySet<OperationId> = new Set(['brown', 'sear', 'shallow-fry', 'grill'])
const A_DAY = 1440
const STARCHY: ReadonlySet<FoodClass> = new Set(['flour', 'starch'])
const BOILS =
  /\bto (?:a|the) (?:gentle |rolling |full |slow |good )*(?:boil|bubble)\b|\bup slowly\b|^\s*boil/iu
const SIMMERS = /\bto (?:a|the) (?:gentle |bare )*simmer\b/iu
const LOW = /\b(?:gently|gentle|low|slowly|lid on|covered|soft|softens?|translucent|limp|flop)\b/iu
const CRUSTS = /\b(?:crust\w*|crisp\w*|brown\w*|golden|char\w*)\b/iu
const BROWNS = /\b(?:brown(?:ed|s)?|golden|char\w*|colou?r|high heat|fierce|crisp|caramel\w*)\b/iu

/**
 * The operation as the things at hand make it: "cook" in fat is sweating, in liquid simmering; what lies in water soaks.
 * @param before operation of the doing before it: what was going on goes on
 */
export function refined(
  doing: DoingText,
  takes: Takes,
  before: OperationId | null,
  lastHeat: OperationId | null,
): OperationId | null {
  const { operation } = doing
  const words = doing.parsed.text.slice(doing.main.from, doing.main.to)
  const bare = doing.parsed.bare.slice(doing.main.verbTo, doing.main.to)
  const has = (classes: ReadonlySet<FoodClass>): boolean =>
    takes.lines.some(({ of }) => of.foodClass !== null && classes.has(of.foodClass)) ||
    takes.lots.some(({ lot }) => [...lot.classes].some((one) => classes.has(one)))
  const joined = takes.lots.map(({ lot }) => lot)
  const inWater = takes.hasTap || joined.some((lot) => lot.isInWater)
  const isWet = inWater || has(LIQUID) || takes.lines.some(({ of }) => isWetFood(of))
  const last = joined.find((lot) => lot === takes.base)?.operation ?? joined[0]?.operation ?? null
  const verb = doing.main.verb?.word ?? ''
  // "Add the water, lock the lid, high pressure for 25 minutes."
  if (
    (operation === null || operation === 'mix') &&
    durationsIn(words).length > 0 &&
    /\b(?:high|low|full) pressure\b/iu.test(doing.parsed.text.slice(doing.from, doing.to))
  )
    return 'pressure-cook'
  // "Set the pot to sauté. Add the oil and onion; 5 minutes, stirring.": it is hot by now.
  const isSauteed = (): boolean =>
    SAUTES.test(doing.parsed.text.slice(0, doing.main.from + 60)) &&
    has(new Set(['fat'])) &&
    has(PIECES) &&
    durationsIn(doing.parsed.text.slice(doing.from, doing.to)).length > 0
  if (operation === null) {
    // Days in a cool or warm place ripen it.
    if (
      (durationsIn(words)[0]?.minutes ?? 0) >= A_DAY &&
      !/\b(?:fridge|freezer|refrigerator)\b/iu.test(words)
    )
      return 'culture'
    const own = last ?? before
    const goesOn = own !== null && NOT_ON.has(own) ? lastHeat : own
    if (goesOn === 'heat' || goesOn === 'boil') return 'simmer'
    if (goesOn === 'sweat' && CRUSTS.test(doing.parsed.text.slice(doing.main.from, doing.to))) return 'brown'
    if (goesOn === null && isSauteed()) return 'sweat'
    // "In the mixer, dry ingredients, 1 min": nothing goes on yet.
    return goesOn ?? (takes.lines.length + takes.lots.length > 1 ? 'mix' : null)
  }
  if (operation === 'heat') {
    if (
      verb === 'cook' &&
      takes.hasTap &&
      /\b(?:tbsp|tablespoons?|splash\w*|spoonfuls?) of (?:the )?water\b/iu.test(
        doing.parsed.text.slice(doing.from, doing.to),
      )
    )
      return 'water-saute'
    if (verb === 'cook')
      return cooks(doing.parsed.text.slice(doing.from, doing.main.to), {
        isOnStew:
          joined.length > 1 &&
          joined.some((lot) => (lot.operation === 'simmer' || lot.operation === 'boil') && lot.isInWater),
        isWet:
          isWet ||
          joined.some(
            (lot) => lot.operation === 'blend' || (lot.operation === 'mix' && lot.isLiquid && !lot.isFatBase),
          ),
        last,
        has,
        isInFat: hasFatClause(doing),
        isBody: takes.lines.every(({ of }) => of.foodClass === 'fat'),
        isGoingOn: takes.lines.length === 0,
        lastHeat,
        isUnderPressure: UP_TO_PRESSURE.test(
          doing.parsed.text.slice(Math.max(0, doing.main.from - 70), doing.main.verbFrom),
        ),
      })
    if (BOILS.test(bare) || BOILS.test(words))
      return (inWater || has(new Set(['water']))) && has(PIECES) && !has(new Set(['plant-milk']))
        ? 'boil'
        : 'heat'
    if (SIMMERS.test(bare)) return 'heat'
    return 'heat'
  }
  if (operation === 'rest') {
    // "Bring to a bubble, then turn right down and leave for 50 min": it goes on, low.
    const goesOn = durationsIn(words).length > 0 && (last === 'heat' || last === 'boil' || last === 'simmer')
    if (goesOn && TURNED_DOWN.test(beforeIt(doing)) && !OFF_IT.test(`${beforeIt(doing)} ${words}`))
      return 'simmer'
    if (last === 'soak' || last === 'hydrate') return inWater ? 'soak' : 'rest'
    if (takes.lines.some(({ of }) => of.foodClass === 'water')) return 'soak'
    if (takes.lines.some(({ of }) => isDryFood(of)) && takes.lines.some(({ of }) => isPouredFood(of)))
      return 'hydrate'
    if (
      takes.hasTap &&
      !joined.some((lot) => lot.isInWater && lot.operation !== 'mix' && lot.operation !== 'soak')
    )
      return 'soak'
    if (joined.some((lot) => lot.operation === 'mix' && lot.isInWater && lot.holds.size <= 2)) return 'soak'
    return 'rest'
  }
  // "Pour in the wine and boil until it has gone": what was fried lies in it, and stays.
  if (
    operation === 'boil' &&
    takes.lines.some(({ of }) => /wine|sherry|brandy|beer|vermouth/u.test(of.line?.food?.id ?? '')) &&
    joined.some((lot) => lot.operation !== null && FRIED.has(lot.operation)) &&
    durationsIn(words).length === 0
  )
    return 'reduce'
  // "Knead the dough under the water": of flour and water, its starch goes.
  if (operation === 'rinse' && verb === 'knead' && has(new Set(['flour']))) return 'wash-gluten'
  if (
    operation === 'toast' &&
    takes.lines.some(({ of }) => of.foodClass === 'vegetable') &&
    !takes.lines.some(({ of }) => of.foodClass === 'spice' || of.foodClass === 'nut')
  )
    return 'sweat'
  if (
    operation === 'mix' &&
    // Water that joins now, not what a sauce was made with: "cover with lasagne sheets".
    (takes.hasTap || takes.lines.some(({ of }) => of.foodClass === 'water')) &&
    /^(?:cover|submerge|drown|immerse)$/.test(verb)
  )
    return 'soak'
  // "Tomato paste + paprika, roast 1 min", in the pan where the rest is.
  if (
    operation === 'roast' &&
    last !== null &&
    HOT.has(last) &&
    (durationsIn(words)[0]?.minutes ?? (/\bbriefly\b/iu.test(words) ? 1 : 99)) <= 5 &&
    !/\b(?:oven|tray|sheet)\b|°|\d\d\d/iu.test(words)
  )
    return 'toast'
  // "Let them cook till soft": in the pot where they boil.
  if (operation === 'sweat' && (last === 'boil' || last === 'simmer') && takes.lines.length === 0)
    return 'simmer'
  // "Add the sugar and continue whisking until stiff": it goes on to be whipped.
  if (
    operation === 'mix' &&
    last === 'whip' &&
    /\b(?:whisk|whip|beat)/iu.test(doing.parsed.text.slice(doing.from, doing.to)) &&
    /\b(?:stiff|peaks?|glossy)\b/iu.test(doing.parsed.text.slice(doing.from, doing.to))
  )
    return 'whip'
  const isTimed = durationsIn(words).length > 0
  // "Cook for 40 minutes until the lentils are tender and the sauce has thickened": it simmers, and thickens by that.
  if (operation === 'thicken' && verb === 'cook' && has(PIECES) && !has(STARCHY) && isTimed) return 'simmer'
  // "Return to the heat and stir until thickened".
  if (
    operation === 'mix' &&
    (verb === 'stir' || verb === 'whisk') &&
    THICKENS.test(words) &&
    (ON_THE_HEAT.test(doing.parsed.text.slice(doing.from, doing.to)) || ON_THE_HEAT.test(beforeIt(doing)))
  )
    return 'thicken'
  if (operation === 'mix' && doing.main.verb?.kind === 'put' && isSauteed()) return 'sweat'
  // "Stir 4 min" in the pan where it fries: the heat goes on.
  if (
    operation === 'mix' &&
    ((verb === 'stir' && (durationsIn(words)[0]?.minutes ?? 0) >= 2) ||
      (verb === 'toss' && isTimed && takes.lines.length > 0)) &&
    joined.some((lot) => lot.operation !== null && FRIED.has(lot.operation)) &&
    !/\boff the heat\b/iu.test(words)
  )
    return 'sweat'
  // Water poured over dry food and left to stand.
  if (
    operation === 'mix' &&
    isTimed &&
    doing.main.verb?.kind === 'put' &&
    has(new Set(['water'])) &&
    !has(new Set(['fat']))
  )
    return 'soak'
  if (operation === 'mix' && isTimed && /\b(?:low|medium|gentle|high|moderate) heat\b/iu.test(words))
    return has(STARCHY) ? 'thicken' : 'heat'
  if (operation === 'hold' && isTimed && /\bthere\b|\bat \d/iu.test(words) && (isWet || last === 'heat'))
    return 'heat'
  if (
    operation === 'shallow-fry' &&
    (/\b(?:1[4-9]\d)\s*°?\s*C\b|\b3[0-9]\d\s*°?\s*F\b/u.test(doing.parsed.text.slice(doing.from, doing.to)) ||
      takes.lines.some(
        ({ of }) =>
          of.foodClass === 'fat' &&
          (of.line?.mass?.value ?? 0) > 250 &&
          takes.lines.length + takes.lots.length > 1,
      ))
  )
    return 'deep-fry'
  // "Dust with paprika", in the pan where it fries.
  if (
    operation === 'coat' &&
    verb === 'dust' &&
    last !== null &&
    HOT.has(last) &&
    takes.lines.length > 0 &&
    takes.lines.every(({ of }) => of.foodClass === 'spice')
  )
    return 'mix'
  if (operation === 'mix' && verb === 'work' && (last === 'knead' || before === 'knead')) return 'knead'
  // "Pour the dissolved nigari over the milk": a coagulant in hot soy milk curdles it.
  if (
    operation === 'mix' &&
    joined.length > 0 &&
    joined.some((lot) => lot.operation !== null && WARMED.has(lot.operation)) &&
    (takes.lines.some(({ of }) => isCoagulant(of)) || joined.some((lot) => lot.words.has('coagulant')))
  )
    return 'coagulate'
  if (
    operation === 'mix' &&
    last === 'heat' &&
    has(new Set(['acid'])) &&
    has(new Set(['plant-milk'])) &&
    joined.some((lot) => [...lot.classes].every((one) => one === 'plant-milk'))
  )
    return 'coagulate'
  return operation
}

const SAUTES =
  /\b(?:set|turn|switch|on|to|select|press)\b[^.;]{0,40}\bsaut[eé](?![a-zß-ɏ])|\b(?:pan|pot|oil|it|display)\b[^.;]{0,20}\b(?:says|reads|is|gets|shows) hot\b/iu
const WARMED: ReadonlySet<OperationId> = new Set(['heat', 'boil', 'simmer', 'strain'])
const FRIED: ReadonlySet<OperationId> = new Set(['shallow-fry', 'sweat', 'brown', 'toast', 'water-saute'])

/** "Add a little more oil". */
const MORE_OIL =
  /^\s*(?:a (?:little|bit|splash|drizzle|touch|film)|some|another [a-zß-ɏ]+)\b[^,;]{0,16}\b(?:oil|butter|fat)\W*$/iu

/** Fat is heated in the same doing: what is cooked is cooked in it. */
const hasFatClause = ({ clauses, parsed }: DoingText): boolean =>
  clauses.some(
    ({ verb, verbTo, to }) =>
      (/^(?:heat|warm|melt|get)$/.test(verb?.word ?? '') &&
        /\b(?:oil|butter|fat)\b/iu.test(parsed.bare.slice(verbTo, to))) ||
      (verb?.word === 'add' && MORE_OIL.test(parsed.bare.slice(verbTo, to))),
  )

interface Pan {
  readonly isWet: boolean
  /** Something is laid on what simmers. */
  readonly isOnStew: boolean
  readonly last: OperationId | null
  readonly has: (classes: ReadonlySet<FoodClass>) => boolean
  readonly isInFat: boolean
  readonly isBody: boolean
  readonly isGoingOn: boolean
  readonly lastHeat: OperationId | null
  /** The lid is locked, or it was brought up to pressure. */
  readonly isUnderPressure: boolean
}
const THICKENS = /\b(?:until|till)\b[^.;]*\b(?:thick|thicken\w*|coats?)\b/iu
const ON_THE_HEAT =
  /\b(?:to|on|over) (?:the|a|an?) (?:(?:very )?(?:low|medium|gentle|moderate|high) )?(?:heat|hob|stove|flame)\b/iu
/** The rest of the sentence before the doing. */
const beforeIt = ({ parsed, main }: DoingText): string =>
  /[^.!?]*$/u.exec(parsed.text.slice(Math.max(0, main.from - 90), main.verbFrom))?.[0] ?? ''
const TURNED_DOWN =
  /\b(?:turn|turned|lower|reduce|take|drop|heat)\b[^.;]{0,30}\b(?:down|low|lowest|heat|flame)\b/iu
const OFF_IT = /\b(?:off the heat|to cool|aside|cold|fridge)\b/iu
const UP_TO_PRESSURE =
  /\b(?:(?:up )?to (?:full |high |low )?pressure|lock (?:on )?the lid|seal the (?:pot|lid))\b[^.;]{0,24}$|\b(?:high|low|full) pressure\b/iu
const IN_A_PAN =
  /\b(?:griddle|skillet|frying pan|non-?stick pan|tawa|crepe pan|crêpe pan|waffle iron)\b|\b(?:batter|pancakes?|crepes?|crêpes?|omelettes?|omelets?|blinis?)\b/iu
const STILL_RAW: ReadonlySet<OperationId> = new Set([
  'mix',
  'rest',
  'blend',
  'whip',
  'soak',
  'chill',
  'hydrate',
  'culture',
])
const DRY_PAN = /\b(?:dry|hot|cast-iron|ungreased) (?:frying )?(?:pan|skillet|tawa|griddle)\b/iu
function cooks(
  words: string,
  { isWet, isOnStew, last, has, isInFat, isBody, isGoingOn, lastHeat, isUnderPressure }: Pan,
): OperationId {
  if (SLOW_COOKER.test(words)) return 'simmer'
  if (isUnderPressure) return 'pressure-cook'
  if (/\b(?:grill|grates?|barbecue|griddle|coals)\b/iu.test(words)) return 'grill'
  // Dumplings on a stew cook in it.
  if (isOnStew) return 'simmer'
  // What was shaped or kneaded is cooked as it lies, not as a liquid.
  if (last === 'shape' || last === 'knead') {
    if (DRY_PAN.test(words)) return 'sear'
    if (isBody && has(new Set(['fat']))) return 'shallow-fry'
  }
  if (isInFat && isBody) return 'shallow-fry'
  if (isGoingOn && (last === 'shallow-fry' || last === 'sear')) return last
  // After a toss with spices the frying goes on.
  if (isGoingOn && (last === 'coat' || last === 'mix') && lastHeat !== null && FRIES.has(lastHeat))
    return lastHeat
  // "Pour in a quarter of the batter and cook": it sets in the pan.
  if (IN_A_PAN.test(words) && has(STARCHY) && last !== null && STILL_RAW.has(last)) return 'shallow-fry'
  const hasFat = has(new Set(['fat']))
  if (last === 'boil' || last === 'simmer' || last === 'heat') return 'simmer'
  if (isWet && !(last !== null && HOT.has(last))) return has(STARCHY) && !hasFat ? 'thicken' : 'simmer'
  if (last === 'roast' || last === 'grill') return last
  if (last === 'coat') return lastHeat ?? 'shallow-fry'
  // Flour in fat alone is a roux; over what sweats it is cooked as that is.
  if (has(STARCHY) && hasFat && !(last !== null && FRIED.has(last) && has(PIECES))) return 'heat'
  if (BROWNS.test(words) && !LOW.test(words)) return 'brown'
  if (hasFat || (last !== null && HOT.has(last))) return 'sweat'
  return LOW.test(words) ? 'sweat' : 'heat'
}
