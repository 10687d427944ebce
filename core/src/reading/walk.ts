import type { Kitchen, OperationId, Step, StepUse } from '../model'
import { Bench, type BenchMark, type Lot } from './bench'
import { asOne } from './asOne'
import type { DoingText } from './doings'
import { refined } from './refine'
import { fitAt, type Named, type Names, namesBy, TOO_COMMON } from './named'
import { keepsSide, type Laid, lotOf, sideOf } from './lots'
import { asUses, takesOf } from './resolve'
import { nothingTaken, type Stage, type Takes } from './takes'
import type { Reading } from './rests'
import type { Scene } from './mentions'
import { ON_HEAT } from './lexicon/things'
import { type Token, tokensOf } from './tokens'

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

/** Where a walk stands between two doings. */
export interface WalkMark {
  readonly bench: BenchMark
  readonly last: Doing | null
  readonly lastHeat: OperationId | null
}

const DRAINS_OFF = /\b(?:drain|strain|rinse|discard the water|pour off|tip away)/iu

/** Where in a method things are named last; -1 where they are not. */
export interface Ahead {
  readonly lastNamed: ReadonlyMap<string, number>
  readonly lastWater: number
  readonly lastEverything: number
  /** Where everything is taken, and not only what was made. */
  readonly lastAll: number
  /** For each text, whether something is poured off in it: 1 or 0. */
  readonly drains: string
}

/** What a text of the method names, before it is read. */
interface Glance {
  readonly ids: readonly string[]
  readonly hasWater: boolean
  readonly hasEverything: boolean
  readonly hasLot: boolean
  readonly drains: boolean
}
/** Texts as they were glanced at before, against the same names. */
export type Glances = Map<string, Glance>

/** "A little cold water", "2 tablespoons of water": of the tap, and not what the list keeps for a pot. */
const isALittle = (tokens: readonly Token[], at: number): boolean =>
  tokens
    .slice(Math.max(0, at - 4), at)
    .some(({ text }) => /^(?:little|splash|drop|dash|bit|tbsp|tablespoons?|tsp|teaspoons?)$/.test(text))

/** Lines that a text names surely enough that an earlier one leaves them some. */
function glanceAt(text: string, names: Names): Glance {
  const tokens = tokensOf(text)
  const ids = new Set<string>()
  tokens.forEach((token, index) => {
    for (const of of names.get(token.stem) ?? []) {
      // "Drizzle with more oil": of the bottle, and not what the list measures.
      const isMore = of.foodClass === 'fat' && /^(?:more|extra)$/.test(tokens[index - 1]?.text ?? '')
      const fit = of.kind === 'line' && !ids.has(of.id) && !isMore ? fitAt(of, tokens, index) : null
      if (
        fit !== null &&
        (fit.coverage >= 1 ||
          fit.run >= 2 ||
          (fit.isOwn && fit.isHead && !TOO_COMMON.has(token.stem)) ||
          of.foodClass === 'fat' ||
          of.foodClass === 'salt')
      )
        ids.add(of.id)
    }
  })
  return {
    ids: [...ids],
    hasWater: tokens.some(({ stem }, at) => stem === 'water' && !isALittle(tokens, at)),
    hasEverything: tokens.some(
      ({ stem }, at) =>
        stem === 'everything' ||
        // "Put all the ingredients in a blender".
        (stem === 'ingredient' &&
          tokens.slice(Math.max(0, at - 3), at).some(({ text: word }) => word === 'all')),
    ),
    drains: DRAINS_OFF.test(text),
    hasLot: tokens.some(({ text: word }) => word === 'lot'),
  }
}

const AGAINST = /\bagainst the (?:sides?|wall|edge|pot|pan)\b/iu

/** Walks a method from its first doing to its last. */
export class Walk {
  readonly bench = new Bench()
  /** What the whole method names, by the last text that does. */
  readonly ahead: Ahead
  readonly #named: readonly Named[]
  readonly #stage: Stage
  readonly #names: Names
  readonly #narrow = new Map<number, Names>()
  #scene: Omit<Scene, 'part' | 'only' | 'verb'>
  #only: number | null = null
  #last: Doing | null = null
  readonly #made: Doing[] = []
  #lastHeat: OperationId | null = null

  constructor(
    named: readonly Named[],
    texts: readonly string[],
    kitchen: Kitchen,
    reading: Reading,
    glances: Glances = new Map(),
  ) {
    this.#named = named
    const names = namesBy(named)
    this.#names = names
    const lastNamed = new Map<string, number>()
    let lastWater = -1
    let lastEverything = -1
    let lastAll = -1
    let drains = ''
    texts.forEach((text, at) => {
      const glance = glances.get(text) ?? glanceAt(text, names)
      glances.set(text, glance)
      for (const id of glance.ids) lastNamed.set(id, at)
      if (glance.hasWater) lastWater = at
      if (glance.hasEverything || (glance.hasLot && at > 0)) lastEverything = at
      if (glance.hasEverything) lastAll = at
      drains += glance.drains ? '1' : '0'
    })
    this.ahead = { lastNamed, lastWater, lastEverything, lastAll, drains }
    this.#stage = {
      bench: this.bench,
      lines: named.filter(({ kind }) => kind === 'line'),
      parts: named.filter(({ kind }) => kind === 'part'),
      lastNamed,
      lastWater,
      hasEverythingAfter: (text) => lastEverything > text,
      hasAllAfter: (text) => lastAll > text,
      isPouredOff: (text) => drains.slice(text, text + 2).includes('1'),
    }
    this.#scene = { names, kitchen, reading, bench: this.bench, stepOf: () => null }
  }

  mark(): WalkMark {
    return { bench: this.bench.mark(), last: this.#last, lastHeat: this.#lastHeat }
  }
  /** Goes on from there. What was made before is not known then: a doing that repeats others needs the whole walk. */
  goBack({ bench, last, lastHeat }: WalkMark): void {
    this.bench.goBack(bench)
    this.#last = last
    this.#lastHeat = lastHeat
  }
  /** Whether the next doing would be read here as it was there. */
  isAs({ bench, last, lastHeat }: WalkMark): boolean {
    return (
      this.#lastHeat === lastHeat &&
      this.#last?.operation === last?.operation &&
      this.#last?.part === last?.part &&
      this.bench.isAs(bench)
    )
  }
  /** Notes from now on go there. */
  noteIn(reading: Reading): void {
    this.#scene = { ...this.#scene, reading }
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
    const takes: Takes = { ...nothingTaken(), isEmpty: uses.length === 0 }
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

  /** The written steps that the words may number, and what each of them made. */
  count(stepOf: Scene['stepOf']): void {
    this.#scene = { ...this.#scene, stepOf }
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
    const scene = { ...this.#scene, part, only: this.#only, verb: purposeOf(doing) }
    const takes = takesOf(this.#stage, scene, doing, doing.operation, text, next)
    const operation =
      known === undefined ? refined(doing, takes, this.#last?.operation ?? null, this.#lastHeat) : known
    if (isRepeat(doing)) this.#repeat(takes)
    // "Mash a ladleful against the side of the pot": the rest is there still, and goes on with it.
    if (AGAINST.test(doing.parsed.text.slice(doing.from, doing.to)))
      for (const one of takes.lots) one.share = null
    if (isLayered(doing))
      for (const one of takes.lines) if ((one.share ?? 0) >= LEAST_LAYER) Object.assign(one, { share: null })
    return this.lay({ doing, text, part, stepId, takes, operation })
  }

  /** "Repeat to make four": what was done with two of the sheets is done with all of them. */
  #repeat({ lots }: Takes): void {
    const ids = new Set(lots.map(({ lot }) => lot.stepId))
    for (const made of [...this.#made].reverse()) {
      if (!ids.has(made.lot.stepId)) continue
      // What was cooked before it is not cooked again.
      if (made.operation !== null && ON_HEAT.has(made.operation)) continue
      for (const { lot } of made.takes.lots) ids.add(lot.stepId)
      for (const one of made.takes.lines) {
        if (one.share === null) continue
        this.bench.take(one.of.id, null)
        const use = made.uses.findIndex(({ kind, id }) => kind === 'line' && id === one.of.id)
        if (use >= 0) made.uses[use] = { kind: 'line', id: one.of.id, share: null }
      }
    }
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
    const laid: Laid = { stepId, part: at, operation, takes, doing, lines: this.#linesIn(takes) }
    const lot = this.bench.put(
      lotOf(laid, this.#scene.reading),
      takes.lots.filter(({ lot: one }) => !one.isSide),
    )
    for (const { lot: side, share } of takes.lots)
      if (side.isSide && (share === null || share > 0.9))
        this.bench.lots = this.bench.lots.filter((one) => one !== side)
    if (keepsSide(laid)) this.bench.put(sideOf(laid), [])
    const made: Doing = { text, doing, operation, part: at, takes, uses, lot }
    this.#last = made
    this.#made.push(made)
    if (operation !== null && ON_HEAT.has(operation)) this.#lastHeat = operation
    return made
  }

  /** Lines that are in what a doing takes. */
  #linesIn({ lines, lots }: Takes): Named[] {
    const holds = new Set<string>(lines.map(({ of }) => of.id))
    for (const { lot } of lots) for (const id of lot.holds) holds.add(id)
    return this.#named.filter(({ kind, id }) => kind === 'line' && holds.has(id))
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

/** "Layer half of the tortillas and half of the cream; repeat": all of it goes in. */
const LEAST_LAYER = 0.3
const isLayered = ({ clauses, parsed }: DoingText): boolean =>
  clauses.some(({ verb }) => verb?.word === 'repeat') &&
  (clauses.some(({ verb }) => verb?.word === 'layer') ||
    clauses.some(
      ({ verb, verbTo, to }) =>
        verb?.word === 'repeat' && /\blayers?\b/iu.test(parsed.bare.slice(verbTo, to)),
    ))
export const isRepeat = ({ clauses }: DoingText): boolean =>
  clauses.some(({ verb }) => verb?.word === 'repeat')

/** What a verb does, as lists say what they keep a food for. */
function purposeOf({ main, operation }: DoingText): string | null {
  const word = main.verb?.word ?? ''
  if (operation === 'shallow-fry' || operation === 'deep-fry') return 'fry'
  return /^(?:dust|brush|coat|sprinkl|drizzl|roll|top|finish|garnish)/.exec(word)?.[0] ?? null
}
