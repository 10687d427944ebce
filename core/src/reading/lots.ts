import type { OperationId } from '../model'
import { calledIn, type NewLot, wordsFor } from './bench'
import type { DoingText } from './doings'
import { isCoagulant, isDry, isWater } from './kinds'
import { PIECE_WORDS } from './lexicon/things'
import type { Named } from './named'
import { judgeLiquid, type Reading } from './rests'
import { keptG } from './roughly'
import type { Takes } from './takes'

/** "Until you have about 900 ml", "you need 240 g". */
function statedIn(text: string): number | null {
  if (!/\d/.test(text)) return null
  const found =
    /\b(?:until (?:you have|there is|it measures|you are left with)|you (?:need|should have|want))\s+(?:about |around |just )?(\d+(?:\.\d+)?)\s*(ml|l|litres?|g|kg)\b/iu.exec(
      text,
    )
  if (found === null) return null
  return Number(found[1]) * (/^(?:l|kg)/iu.test(found[2] ?? '') ? 1000 : 1)
}

const POURED: ReadonlySet<OperationId> = new Set([
  'mix',
  'blend',
  'simmer',
  'heat',
  'boil',
  'strain',
  'reduce',
  'thicken',
  'cool',
  'rest',
  'soak',
])

const SHAPES: ReadonlySet<string> = new Set([...PIECE_WORDS, 'case', 'crust', 'shell', 'base'])

const LIQUIDS = new Set(['stock', 'broth', 'liquor', 'liquid', 'sauce', 'milk', 'cream', 'syrup', 'wet'])

const SOAKS: ReadonlySet<OperationId> = new Set(['soak', 'hydrate', 'rinse', 'rest'])

const SIDES = {
  soaked: ['soaking'],
  squeeze: ['juice', 'liquor', 'liquid', 'whey'],
  drain: ['liquor', 'liquid', 'water', 'whey', 'soaking', 'brine', 'marinade', 'broth'],
}

const FAT_BASE = new Set(['fat', 'spice', 'herb', 'salt'])

/** What was fried or baked lies in water no more. */
const DRIES: ReadonlySet<OperationId> = new Set([
  'brown',
  'sear',
  'shallow-fry',
  'deep-fry',
  'roast',
  'grill',
  'broil',
  'air-fry',
  'dehydrate',
])
const KEEPS_SIDE: ReadonlySet<OperationId> = new Set(['drain', 'squeeze', 'wash-gluten', 'coagulate'])

const ASIDE =
  /(?:^|[.;,]\s*)out (?:on|in)?to (?:a |the )?(?:[a-zß-ɏ]+ )?(?:plates?|bowl|rack|paper)\b|\bget\b[^.;]{0,24}\bout on(?:to)? (?:some |a |the )?(?:kitchen )?(?:paper|plates?|rack)|\b(?:set|put|leave|tip|lift|move|transfer|take|remove|scoop|slide|keep)\b[^.;]{0,40}\b(?:aside|to one side|out\b(?! of the oven)|(?:on)?to (?:a |the )?(?:plates?|warm|bowl|rack)|into (?:a |another )bowl|from the pan|from the heat and set)\b/iu

/** "Fry the tofu until golden; remove." */
const isTakenOut = ({ clauses, main, parsed }: DoingText): boolean =>
  clauses.some(
    ({ verb, verbTo, from, to }) =>
      verb?.word === 'remove' &&
      from >= main.from &&
      /^\s*(?:it|them)?\s*(?:with a slotted spoon|from the pan)?\s*(?:and (?:keep|reserve|set aside)\b.*)?[.;,]?\s*$/iu.test(
        parsed.bare.slice(verbTo, to),
      ),
  )

const isPutAside = (doing: DoingText): boolean =>
  isTakenOut(doing) ||
  doing.clauses.some(
    (clause) =>
      (clause !== doing.main || clause.verb?.kind === 'put' || clause.verb?.kind === 'give') &&
      clause.from >= doing.main.from &&
      ASIDE.test(doing.parsed.bare.slice(clause.from, clause.to)),
  ) ||
  (doing.main.verb !== null &&
    /\band (?:set|put) (?:it |them )?(?:aside|to one side)\b/iu.test(
      doing.parsed.text.slice(doing.from, doing.to),
    ))

/** "Add to the seitan" that waits on its plate: it waits with it. */
const joinsAside = ({ operation, takes, doing }: Laid): boolean =>
  operation === 'mix' &&
  doing.main.verb?.kind === 'put' &&
  takes.lines.length === 0 &&
  takes.lots.length === 2 &&
  takes.lots.some(({ lot }) => lot.isAside) &&
  takes.lots.some(({ lot }) => !lot.isAside && lot.operation !== null && DRIES.has(lot.operation))

/** A doing that is laid on the bench, with the lines that are in what it takes. */
export interface Laid {
  readonly stepId: string
  readonly part: number
  readonly operation: OperationId | null
  readonly takes: Takes
  readonly doing: DoingText
  readonly lines: readonly Named[]
}

const GELS: ReadonlySet<OperationId> = new Set([
  'mix',
  'heat',
  'boil',
  'simmer',
  'thicken',
  'hydrate',
  'blend',
])

const SIDE_NAMES: ReadonlySet<string> = new Set(['liquor', 'liquid', 'broth', 'stock'])

const wordsOfDoing = ({ doing }: Laid): string => doing.parsed.text.slice(doing.from, doing.to)
const CUTS: ReadonlySet<OperationId> = new Set(['chop', 'trim', 'grate', 'press'])

/** Salt, and what it is dissolved in: nothing that is eaten by itself. */
const IN_BRINE: ReadonlySet<string> = new Set(['water', 'salt', 'sweetener', 'acid', 'spice', 'herb'])
export const isBrine = (lines: readonly Named[]): boolean =>
  lines.some(isWater) &&
  lines.some(({ foodClass }) => foodClass === 'salt') &&
  lines.every((of) => isWater(of) || (of.foodClass !== null && IN_BRINE.has(of.foodClass)))

/** Flour and fat, with nothing in it that is no dough. */
const isPastry = (lines: readonly Named[]): boolean =>
  lines.some(({ foodClass }) => foodClass === 'flour') &&
  lines.some(({ foodClass }) => foodClass === 'fat') &&
  lines.every((of) => isWater(of) || isDry(of) || of.foodClass === 'fat' || of.foodClass === 'sweetener')

/** Milk that an acid has turned: "the soured milk". */
const isSoured = (lines: readonly Named[]): boolean =>
  lines.length === 2 &&
  lines.some(({ foodClass }) => foodClass === 'plant-milk') &&
  lines.some(({ foodClass }) => foodClass === 'acid' || foodClass === 'fruit')

/** What the lot may be called: by what was done, by what is in it, and by the name it had. */
function callsOf({ operation, lines, takes }: Laid, called: ReadonlySet<string>): Set<string> {
  const words = wordsFor(operation, called)
  if (lines.length > 0 && lines.every(isDry))
    for (const word of ['dry', 'powder', 'meal', 'crumb']) words.add(word)
  else if (takes.lines.length > 0 && takes.lots.length === 0) words.add('wet')
  if (isBrine(lines)) words.add('brine')
  // Fat rubbed into flour.
  if (isPastry(lines)) words.add('pastry')
  if (isSoured(lines)) words.add('soured')
  if (lines.some(isCoagulant) && lines.every((of) => isCoagulant(of) || isWater(of))) words.add('coagulant')
  if (operation !== null && GELS.has(operation) && lines.some(({ foodClass }) => foodClass === 'gum'))
    words.add('gel')
  // What kept liquor went into is called so still.
  for (const { lot } of takes.lots)
    if (lot.isSide && operation !== null && POURED.has(operation))
      for (const word of lot.words) if (SIDE_NAMES.has(word)) words.add(word)
  // What was shaped keeps its name through what is done with it after.
  const isCut = operation !== null && CUTS.has(operation)
  const [only] = takes.lots
  if (only !== undefined && takes.lots.length === 1)
    for (const word of only.lot.words)
      if (takes.lines.length === 0 ? !(isCut && LIQUIDS.has(word)) : SHAPES.has(word)) words.add(word)
  return words
}

const baseOf = ({ stepId, part, operation, lines }: Laid) => ({
  stepId,
  part,
  operation,
  holds: new Set(lines.map(({ id }) => id)),
  classes: new Set(lines.flatMap(({ foodClass }) => foodClass ?? [])),
})

/** What a doing makes. */
export function lotOf(laid: Laid, reading: Reading): NewLot {
  const { operation, takes, doing, lines } = laid
  const words = wordsOfDoing(laid)
  const called = calledIn(operation, words)
  const inWater =
    takes.hasTap ||
    operation === 'simmer' ||
    takes.lots.some(({ lot }) => lot.isInWater) ||
    lines.some(({ foodClass }) => foodClass === 'water')
  const [only] = takes.lots
  const isOneLot = takes.lots.length === 1 && takes.lines.length === 0
  return {
    ...baseOf(laid),
    words: callsOf(laid, called),
    called,
    isAside: isPutAside(doing) || joinsAside(laid),
    isFatBase:
      lines.some(({ foodClass }) => foodClass === 'fat') &&
      lines.every(({ foodClass }) => foodClass !== null && FAT_BASE.has(foodClass)),
    isInWater: !(operation !== null && (KEEPS_SIDE.has(operation) || DRIES.has(operation))) && inWater,
    isSide: false,
    isTap: false,
    statedG: statedIn(words) ?? (isOneLot ? (only?.lot.statedG ?? null) : null),
    isLiquid: operation !== null && POURED.has(operation) && judgeLiquid(lines, reading),
  }
}

const KEEPS =
  /\b(?:keep|save|reserve|keeping|reserving|saving)\b[^.;]{0,24}\b(?:oil|water|liquor|liquid|juice|whey|brine)\b/iu

/** Whether something is poured off that a later doing may take. */
export const keepsSide = (laid: Laid): boolean =>
  laid.operation !== null && (KEEPS_SIDE.has(laid.operation) || KEEPS.test(wordsOfDoing(laid)))

/** What is poured off or pressed out. */
export function sideOf(laid: Laid): NewLot {
  const { operation, takes, lines } = laid
  const isTapOnly =
    takes.lots.some(({ lot }) => lot.operation !== null && SOAKS.has(lot.operation)) &&
    !lines.some(({ foodClass }) => foodClass === 'water') &&
    !/\b(?:keep|save|reserve)/iu.test(wordsOfDoing(laid))
  const hasFat = lines.some(({ foodClass }) => foodClass === 'fat')
  return {
    ...baseOf(laid),
    called: new Set(),
    words: new Set([
      ...(isTapOnly ? SIDES.soaked : SIDES[operation === 'squeeze' ? 'squeeze' : 'drain']),
      ...(hasFat ? ['oil'] : []),
      ...['wine', 'beer'].filter((word) => lines.some(({ line }) => line?.food?.id.includes(word) === true)),
    ]),
    isAside: false,
    isFatBase: hasFat,
    isInWater: true,
    isSide: true,
    isLiquid: true,
    isTap: !lines.some(({ foodClass }) => foodClass === 'water' || foodClass === 'plant-milk'),
    statedG: keptG(wordsOfDoing(laid)),
  }
}
