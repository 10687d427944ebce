import type { FoodClass, Kitchen, OperationId, Step, StepUse } from '../model'
import { Bench, type Lot, wordsFor } from './bench'
import { parse } from './clauses'
import { type DoingText, doingsIn } from './doings'
import { refined } from './refine'
import { fitAt, type Named, type Names, namesBy, TOO_COMMON } from './named'
import { asUses, isDry, type Stage, type Takes, takesOf } from './resolve'
import type { Reading } from './said'
import type { Scene } from './scan'
import { ON_HEAT, PIECE_WORDS } from './lexicon/things'
import { tokensOf } from './tokens'

/** A text of the method as it is walked: written words, and the part that a heading gives them. */
export interface Text {
  readonly text: string
  readonly part: number | null
}

/** A doing as read, with what it takes. */
export interface Doing {
  readonly text: number
  readonly doing: DoingText
  readonly operation: OperationId | null
  readonly part: number
  readonly takes: Takes
  readonly uses: StepUse[]
  readonly lot: Lot
}

/** "Until you have about 900 ml", "you need 240 g". */
function statedIn(text: string): number | null {
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
const LIQUID: ReadonlySet<FoodClass> = new Set([
  'water',
  'plant-milk',
  'acid',
  'savoury',
  'fat',
  'sweetener',
  'salt',
  'spice',
])
/** Share of the lines' mass that is liquid or dissolves in it. */
function liquidShare(lines: readonly Named[]): number {
  let all = 0
  let liquid = 0
  for (const { line, foodClass } of lines) {
    const massG = line?.mass?.value ?? 0
    all += massG
    if (foodClass !== null && LIQUID.has(foodClass)) liquid += massG
  }
  return all > 0 ? liquid / all : 0
}
const SHAPES: ReadonlySet<string> = new Set([...PIECE_WORDS, 'case', 'crust', 'shell', 'base'])
const LIQUIDS = new Set(['stock', 'broth', 'liquor', 'liquid', 'sauce', 'milk', 'cream', 'syrup', 'wet'])
const SOAKS: ReadonlySet<OperationId> = new Set(['soak', 'hydrate', 'rinse', 'rest'])
const SIDES = {
  soaked: ['soaking'],
  squeeze: ['juice', 'liquor', 'liquid', 'whey'],
  drain: ['liquor', 'liquid', 'water', 'whey', 'soaking', 'brine', 'marinade', 'broth'],
}
const FAT_BASE = new Set(['fat', 'spice', 'herb', 'salt'])
const KEEPS_SIDE: ReadonlySet<OperationId> = new Set(['drain', 'squeeze', 'wash-gluten', 'coagulate'])

/** Walks a method from its first doing to its last. */
export class Walk {
  readonly bench = new Bench()
  readonly #named: readonly Named[]
  readonly #stage: Stage
  readonly #names: Names
  readonly #narrow = new Map<number, Names>()
  #scene: Omit<Scene, 'part' | 'verb'>
  #only: number | null = null
  #last: Doing | null = null
  #lastHeat: OperationId | null = null

  constructor(named: readonly Named[], texts: readonly string[], kitchen: Kitchen, reading: Reading) {
    this.#named = named
    const names = namesBy(named)
    this.#names = names
    const lastNamed = new Map<string, number>()
    let lastWater = -1
    texts.forEach((text, at) => {
      const tokens = tokensOf(text)
      tokens.forEach((token, index) => {
        if (token.stem === 'water') lastWater = at
        for (const of of names.get(token.stem) ?? []) {
          const fit = of.kind === 'line' ? fitAt(of, tokens, index) : null
          if (
            fit !== null &&
            (fit.coverage >= 1 ||
              fit.run >= 2 ||
              (fit.isOwn && fit.isHead && !TOO_COMMON.has(token.stem)) ||
              of.foodClass === 'fat' ||
              of.foodClass === 'salt')
          )
            lastNamed.set(of.id, at)
        }
      })
    })
    this.#stage = {
      bench: this.bench,
      lines: named.filter(({ kind }) => kind === 'line'),
      parts: named.filter(({ kind }) => kind === 'part'),
      lastNamed,
      lastWater,
    }
    this.#scene = { names, kitchen, reading, bench: this.bench }
  }

  /** From now on only foods of one part, and other parts as they are, can be named; null = all. */
  only(part: number | null): void {
    if (part === this.#only) return
    this.#only = part
    this.#scene = { ...this.#scene, names: part === null ? this.#names : this.#namesOf(part) }
  }
  #namesOf(part: number): Names {
    const known = this.#narrow.get(part)
    if (known !== undefined) return known
    const made = namesBy(this.#named.filter((of) => (of.kind === 'part') !== (of.part === part)))
    this.#narrow.set(part, made)
    return made
  }

  /** Takes what a person assigned by hand off the bench, without reading the words. */
  follow(step: Step, part: number, uses: readonly StepUse[], text: number): void {
    const doing = asOne(step.text) ?? asOne('Mix.')
    if (doing === null) return
    const of = (id: string): Named | undefined => this.#named.find((one) => one.id === id)
    const takes: Takes = {
      lines: [],
      lots: [],
      parts: [],
      hasTap: false,
      tapG: 0,
      topic: null,
      base: null,
      isEmpty: uses.length === 0,
    }
    for (const { kind, id, share } of uses) {
      const named = of(id)
      if (kind === 'step')
        for (const lot of this.bench.lots)
          if (lot.stepId === id) takes.lots.push({ lot, share, role: 'object' })
      if (named === undefined || kind === 'step') continue
      if (kind === 'line') takes.lines.push({ of: named, share, role: 'object' })
      else takes.parts.push({ of: named, share })
    }
    this.lay({ doing, text, part, stepId: step.id, takes, operation: step.operation })
  }

  /** Takes back the last doing that was laid: it was none. */
  undo({ lot, takes }: Doing): void {
    this.bench.undo(
      lot,
      takes.lots.map((one) => one.lot),
    )
  }

  /** Reads one doing and lays what it makes on the bench. */
  doing(
    doing: DoingText,
    text: number,
    part: number | null,
    stepId: string,
    next: DoingText | null,
    known: OperationId | null | undefined,
  ): Doing {
    const scene = { ...this.#scene, part, verb: purposeOf(doing) }
    const takes = takesOf(this.#stage, scene, doing, doing.operation, text, next)
    const operation =
      known === undefined ? refined(doing, takes, this.#last?.operation ?? null, this.#lastHeat) : known
    return this.lay({ doing, text, part, stepId, takes, operation })
  }

  lay({
    doing,
    text,
    part,
    stepId,
    takes,
    operation,
  }: {
    doing: DoingText
    text: number
    part: number | null
    stepId: string
    takes: Takes
    operation: OperationId | null
  }): Doing {
    const at = part ?? takes.topic ?? this.#partOf(takes)
    const uses = asUses(takes)
    for (const { of, share } of takes.lines) this.bench.take(of.id, share)
    const holds = new Set<string>(takes.lines.map(({ of }) => of.id))
    for (const { lot } of takes.lots) for (const id of lot.holds) holds.add(id)
    const lines = this.#named.filter(({ kind, id }) => kind === 'line' && holds.has(id))
    const words = wordsFor(operation, doing.parsed.text.slice(doing.from, doing.to))
    const all = doing.parsed.text.slice(doing.from, doing.to)
    if (lines.length > 0 && lines.every(isDry))
      for (const word of ['dry', 'powder', 'meal', 'crumb']) words.add(word)
    else if (takes.lines.length > 0 && takes.lots.length === 0) words.add('wet')
    // What was shaped keeps its name through what is done with it after.
    const isCut =
      operation !== null &&
      (operation === 'chop' || operation === 'trim' || operation === 'grate' || operation === 'press')
    const [only] = takes.lots
    if (only !== undefined && takes.lots.length === 1)
      for (const word of only.lot.words)
        if (takes.lines.length === 0 ? !(isCut && LIQUIDS.has(word)) : SHAPES.has(word)) words.add(word)
    const base = {
      stepId,
      part: at,
      operation,
      holds,
      classes: new Set(lines.flatMap(({ foodClass }) => foodClass ?? [])),
    }
    const isTapOnly =
      takes.lots.some(({ lot: one }) => one.operation !== null && SOAKS.has(one.operation)) &&
      !lines.some(({ foodClass }) => foodClass === 'water') &&
      !/\b(?:keep|save|reserve)/iu.test(all)
    const inWater = takes.hasTap || takes.lots.some(({ lot }) => lot.isInWater)
    const lot = this.bench.put(
      {
        ...base,
        words,
        isAside: isPutAside(doing),
        isFatBase:
          lines.some(({ foodClass }) => foodClass === 'fat') &&
          lines.every(({ foodClass }) => foodClass !== null && FAT_BASE.has(foodClass)),
        isInWater:
          operation !== null && KEEPS_SIDE.has(operation)
            ? false
            : inWater || lines.some(({ foodClass }) => foodClass === 'water'),
        isSide: false,
        isTap: false,
        statedG:
          statedIn(all) ??
          (takes.lots.length === 1 && takes.lines.length === 0 ? (takes.lots[0]?.lot.statedG ?? null) : null),
        isLiquid: operation !== null && POURED.has(operation) && liquidShare(lines) > 0.6,
      },
      takes.lots.filter(({ lot: one }) => !one.isSide),
    )
    for (const { lot: side, share } of takes.lots)
      if (side.isSide && (share === null || share > 0.9))
        this.bench.lots = this.bench.lots.filter((one) => one !== side)
    if (
      operation !== null &&
      (KEEPS_SIDE.has(operation) ||
        /\b(?:keep|save|reserve|keeping|reserving|saving)\b[^.;]{0,24}\b(?:oil|water|liquor|liquid|juice|whey|brine)\b/iu.test(
          all,
        ))
    )
      this.bench.put(
        {
          ...base,
          words: new Set([
            ...(isTapOnly ? SIDES.soaked : SIDES[operation === 'squeeze' ? 'squeeze' : 'drain']),
            ...(lines.some(({ foodClass }) => foodClass === 'fat') ? ['oil'] : []),
          ]),
          isAside: false,
          isFatBase: lines.some(({ foodClass }) => foodClass === 'fat'),
          isInWater: true,
          isSide: true,
          isLiquid: true,
          isTap: !lines.some(({ foodClass }) => foodClass === 'water' || foodClass === 'plant-milk'),
          statedG: null,
        },
        [],
      )
    const made: Doing = { text, doing, operation, part: at, takes, uses, lot }
    this.#last = made
    if (operation !== null && ON_HEAT.has(operation)) this.#lastHeat = operation
    return made
  }

  #partOf({ lines, lots, base }: Takes): number {
    if (base !== null) return base.part
    const target = lots.find(({ role, lot }) => role !== 'object' && role !== 'with' && !lot.isSide)
    if (target !== undefined) return target.lot.part
    const parts = new Set(lots.filter(({ lot }) => !lot.isSide).map(({ lot }) => lot.part))
    const [line] = lines
    if (line !== undefined && (parts.size !== 1 || lots.every(({ lot }) => lot.isSide)))
      return mainPart(lines)
    return (
      lots.find(({ lot }) => !lot.isSide)?.lot.part ??
      lots[0]?.lot.part ??
      line?.of.part ??
      this.#last?.part ??
      0
    )
  }
}

function mainPart(lines: Takes['lines']): number {
  const count = new Map<number, number>()
  for (const { of } of lines) count.set(of.part, (count.get(of.part) ?? 0) + 1)
  return [...count].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0
}

/** What a verb does, as lists say what they keep a food for. */
function purposeOf({ main, operation }: DoingText): string | null {
  const word = main.verb?.word ?? ''
  if (operation === 'shallow-fry' || operation === 'deep-fry') return 'fry'
  return /^(?:dust|brush|coat|sprinkl|drizzl|roll|top|finish|garnish)/.exec(word)?.[0] ?? null
}

const ASIDE =
  /\b(?:set|put|leave|tip|lift|move|transfer|take|remove|scoop|slide|keep)\b[^.;]{0,40}\b(?:aside|to one side|out\b(?! of the oven)|(?:on)?to (?:a |the )?(?:plates?|warm|bowl|rack)|into (?:a |another )bowl|from the pan|from the heat and set)\b/iu
const isPutAside = (doing: DoingText): boolean =>
  doing.clauses.some(
    (clause) =>
      (clause !== doing.main || clause.verb?.kind === 'put') &&
      clause.from >= doing.main.from &&
      ASIDE.test(doing.parsed.bare.slice(clause.from, clause.to)),
  ) ||
  (doing.main.verb !== null &&
    /\band (?:set|put) (?:it |them )?(?:aside|to one side)\b/iu.test(
      doing.parsed.text.slice(doing.from, doing.to),
    ))

/** The words of a step as one doing, whatever they say: what was set by hand stands even where they say nothing. */
export function asOne(text: string): DoingText | null {
  const all = doingsIn(text)
  const [first] = all
  const last = all.at(-1)
  if (first === undefined || last === undefined) {
    const parsed = parse(text)
    const [main] = parsed.clauses
    return main === undefined
      ? null
      : {
          from: 0,
          to: text.length,
          parsed,
          clauses: parsed.clauses,
          active: [main],
          main,
          operation: null,
          isOptional: false,
          sharesNext: false,
        }
  }
  if (all.length === 1) return first
  const strong = strongest(all)
  return {
    ...strong,
    from: first.from,
    to: last.to,
    clauses: all.flatMap(({ clauses }) => clauses),
    active: all.flatMap(({ active }) => active),
    sharesNext: false,
  }
}

/** Said beside nearly every other operation: they count only where nothing else is said. */
const MINOR: ReadonlySet<OperationId> = new Set([
  'mix',
  'rest',
  'cool',
  'heat',
  'drain',
  'wrap',
  'chop',
  'trim',
  'thicken',
  'hold',
])
/** They tell how, beside one that tells what: "form patties and bake" is baking of patties. */
const LESSER: ReadonlySet<OperationId> = new Set([
  'shape',
  'coat',
  'chill',
  'squeeze',
  'press',
  'toast',
  'whip',
  'absorb',
  'grate',
  'mash',
])

/** The doing of several that changes the food most. */
function strongest(all: readonly DoingText[]): DoingText {
  const real = all.filter(({ operation }) => operation !== null)
  const earnest = real.filter(({ operation }) => operation !== null && !MINOR.has(operation))
  const found =
    earnest.find(({ operation }) => operation !== null && !LESSER.has(operation)) ??
    earnest[0] ??
    real.find(({ operation }) => operation !== 'mix') ??
    real[0] ??
    all[0]
  if (found === undefined) throw new Error('strongest: no doing')
  return found
}

/** The takes of a step that is read without its list. */
export const NOTHING_TAKEN: Takes = {
  lines: [],
  lots: [],
  parts: [],
  hasTap: false,
  tapG: 0,
  topic: null,
  base: null,
  isEmpty: true,
}
