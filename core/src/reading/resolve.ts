import type { FoodClass, OperationId, StepUse } from '../model'
import type { Bench, Lot } from './bench'
import type { Clause } from './clauses'
import type { DoingText } from './doings'
import { CLASS_WORDS, DRY, HOT, ON_HEAT, PIECE_WORDS, VESSELS } from './lexicon/things'
import type { Verb } from './lexicon/verbs'
import type { Named } from './named'
import { type Mention, scan, type Scene } from './scan'
import { stemsOf } from './tokens'

/** What is known of a whole method while its doings are read one after another. */
export interface Stage {
  readonly bench: Bench
  readonly lines: readonly Named[]
  readonly parts: readonly Named[]
  /** Text, by its place in the method, where a line is named last; -1 where none names it. */
  readonly lastNamed: ReadonlyMap<string, number>
  /** Text where water is named last. */
  readonly lastWater: number
}

interface Took {
  readonly lot: Lot
  share: number | null
  role: Mention['role']
}
/** What a doing takes. */
export interface Takes {
  readonly lines: { readonly of: Named; readonly share: number | null; readonly role: Mention['role'] }[]
  readonly lots: Took[]
  readonly parts: { readonly of: Named; readonly share: number | null }[]
  /** It takes water of the tap, or lies in it. */
  hasTap: boolean
  /** Water of the tap that was kept from an earlier pot and is taken now, g. */
  tapG: number
  /** Part that "for the sauce" names. */
  topic: number | null
  /** The lot that the doing goes on with. */
  base: Lot | null
  isEmpty: boolean
}

const AMOUNTS_TO_NOTHING: ReadonlySet<FoodClass> = new Set([
  'fat',
  'salt',
  'spice',
  'water',
  'acid',
  'sweetener',
  'herb',
])
const WATERY: ReadonlySet<OperationId> = new Set(['rinse', 'wash-gluten', 'steam', 'desalt'])
const BATHES: ReadonlySet<OperationId> = new Set([
  'soak',
  'boil',
  'simmer',
  'hydrate',
  'heat',
  'rest',
  'pressure-cook',
])

const isWater = (of: Named): boolean =>
  of.foodClass === 'water' || of.names.slice(0, of.own).some((name) => name.at(-1) === 'water')
const MAKES: ReadonlySet<OperationId> = new Set(['mix', 'blend', 'knead', 'heat', 'whip', 'simmer', 'boil'])

/** A method may begin with these and name no food: it is the first of the list. */
const STARTS: ReadonlySet<OperationId> = new Set([
  'rinse',
  'soak',
  'drain',
  'press',
  'chop',
  'trim',
  'grate',
  'boil',
  'mash',
  'freeze-thaw',
])

const SEASONING =
  /^(?:[\d\s./½¼]*(?:tsp|pinch|g)?\s*)?(?:\w+ ){0,2}(?:salt|pepper|salt and (?:\w+ ){0,2}pepper)\b/iu
const SALTED = /\bsalt(?:ed|y)\s+(?:\w+\s+)?water\b/iu
const GENERIC = new Set([
  'block',
  'mixture',
  'mix',
  'lot',
  'food',
  'whole',
  'main',
  'package',
  'pack',
  'piece',
])
const isGeneric = (word: string): boolean => {
  const stem = stemsOf(word)[0] ?? ''
  return GENERIC.has(stem) || PIECE_WORDS.has(stem)
}
const FRIES: ReadonlySet<OperationId> = new Set(['shallow-fry', 'deep-fry', 'roast', 'steam'])
/** "The schnitzels": some thing, and not what is poured. */
const NAMED_OBJECT = /^\s*(?:the|your)\s+(?!batter|mixture|mix|rest|remaining|sauce)[\p{L}-]+/iu
const SOLIDS: ReadonlySet<OperationId> = new Set([
  'shape',
  'chop',
  'grill',
  'broil',
  'sear',
  'press',
  'grate',
  'wrap',
  'air-fry',
])
const TO_PAN = /\b(?:in)?to the (?:same |hot )?(?:pan|pot|skillet|wok|casserole|kadhai)\b/iu
const RESERVED = /\b(?:reserved|kept|saved|set aside|held back)\b/iu
const SMALL_CLASSES = new Set(['spice', 'herb', 'seasoning', 'aromatic', 'seed'])
/** Reads what one doing takes, clause by clause. */
class Reader {
  readonly takes: Takes = {
    lines: [],
    lots: [],
    parts: [],
    hasTap: false,
    tapG: 0,
    topic: null,
    base: null,
    isEmpty: true,
  }
  readonly #stage: Stage
  readonly #scene: Scene
  readonly #doing: DoingText
  readonly #operation: OperationId | null
  readonly #text: number
  readonly #excepted = new Set<string>()
  #pronounSaid: string | null = null
  #antecedent: Extract<Mention, { kind: 'named' }> | null = null

  constructor(stage: Stage, scene: Scene, doing: DoingText, operation: OperationId | null, text: number) {
    this.#stage = stage
    this.#scene = scene
    this.#doing = doing
    this.#operation = operation
    this.#text = text
  }

  get #hasAny(): boolean {
    return this.takes.lines.length + this.takes.lots.length + this.takes.parts.length > 0 || this.takes.hasTap
  }
  get #part(): number | null {
    return this.takes.topic ?? this.#scene.part
  }

  line(of: Named, share: number | null, role: Mention['role']): void {
    if (this.takes.lines.some((one) => one.of === of)) return
    const left = this.#stage.bench.left(of.id)
    if (left <= 1e-9) return
    this.takes.lines.push({ of, share: share === null || share >= left - 1e-9 ? null : share, role })
  }
  lot(lot: Lot, said: number | null, role: Mention['role'], amountG?: number): void {
    const share =
      amountG !== undefined && lot.statedG !== null && amountG < 0.97 * lot.statedG
        ? amountG / lot.statedG
        : said
    if (lot.isSide && lot.isTap && amountG !== undefined) this.takes.tapG += amountG
    const known = this.takes.lots.find((one) => one.lot === lot)
    const isKept =
      lot.reserved > 0 &&
      (share === null || share >= lot.left - 1e-6) &&
      !RESERVED.test(this.#doing.parsed.text.slice(this.#doing.from, this.#doing.to))
    if (known === undefined)
      this.takes.lots.push({ lot, share: isKept ? Math.max(0.05, lot.left - lot.reserved) : share, role })
    else if (known.share !== null)
      known.share = share === null ? null : known.share + share >= 0.99 ? null : known.share + share
  }

  clause(clause: Clause, shared: readonly Mention[] | null): void {
    const own = scan(this.#doing.parsed, clause, { ...this.#scene, part: this.#part })
    const topic = own.find((one) => one.role === 'for' && one.kind === 'named' && one.of[0]?.kind === 'part')
    if (topic?.kind === 'named') this.takes.topic = topic.of[0]?.part ?? null
    const mentions = (shared ?? own).filter((one) => one.role !== 'for')
    for (const one of mentions)
      if (one.role === 'except' && one.kind === 'named') for (const of of one.of) this.#excepted.add(of.id)
    const before = this.#hasAny
    const kept = mentions.filter((one) => one.role !== 'except')
    let hasObject = false
    let hasPronoun = false
    let hasTarget = false
    let hasLineTarget = false
    for (const mention of kept) {
      const count = this.takes.lines.length + this.takes.lots.length + this.takes.parts.length
      const isPronoun = mention.kind === 'pronoun'
      if (isPronoun) {
        hasPronoun = true
        this.#pronoun(mention, before)
        continue
      }
      const lots = this.takes.lots.length + this.takes.parts.length
      this.#mention(mention)
      const hasMore = this.takes.lines.length + this.takes.lots.length + this.takes.parts.length > count
      if (hasMore && mention.role === 'object') hasObject = true
      if (hasMore && mention.role === 'into' && this.takes.lots.length + this.takes.parts.length === lots)
        hasLineTarget = true
      if (
        hasMore &&
        mention.role !== 'object' &&
        mention.role !== 'with' &&
        this.takes.lots.length + this.takes.parts.length > lots
      )
        hasTarget = true
    }
    if ((hasTarget && (hasObject || hasPronoun || before)) || (hasLineTarget && hasObject)) return
    const hasLead = kept.some(
      (one) => clause.verb !== null && one.at < clause.verbFrom && one.role === 'object',
    )
    this.#base(clause, { hasObject, hasPronoun, before, hasLead })
  }

  #base(
    clause: Clause,
    {
      hasObject,
      hasPronoun,
      before,
      hasLead,
    }: { hasObject: boolean; hasPronoun: boolean; before: boolean; hasLead: boolean },
  ): void {
    const hand = this.#hand()
    const rest = this.#doing.parsed.bare.slice(clause.verbTo, clause.to)
    if (hand === null) return
    const isMet = this.takes.lots.some(({ lot }) => lot === hand)
    if (OVER.test(rest) && before && !isMet) {
      this.#join(hand)
      return
    }
    const isAdded = clause.verb?.word === 'add' && hasPronoun && !hasTargetIn(this.takes)
    if ((OVER.test(rest) || isAdded) && !before && !hasTargetIn(this.takes)) {
      // "Stir in." "Pour it over." "Sprinkle over each bowl.": what is in hand goes to what was made before it.
      if (!hasObject) this.#join(hand)
      const other = this.#stage.bench.lots
        .filter((lot) => !lot.isSide && !this.takes.lots.some((one) => one.lot === lot))
        .at(-1)
      if ((!hasObject || isMet || isAdded) && other !== undefined) this.lot(other, null, 'into')
      else if (hasObject && !isMet && !hand.isAside) this.#join(hand)
      return
    }
    if (hasPronoun) return
    const isPut = clause.verb === null || clause.verb.kind === 'put'
    // "Brush with half of the glaze": what is brushed was made before it.
    const met = this.takes.lots.find(({ lot }) => lot === hand)
    if (met?.role === 'with' && !hasObject && !before) {
      const other = this.#stage.bench.lots
        .filter((lot) => !lot.isSide && lot !== hand && !lot.isLiquid)
        .at(-1)
      if (other !== undefined) this.lot(other, null, 'into')
      return
    }
    if (isMet) {
      // "Butter in": what was just made goes into what lay there before it.
      const goesIn = clause.verb === null || (isPut && /^\s*in\b/iu.test(rest))
      if (goesIn && this.takes.lines.length === 0 && !hasTargetIn(this.takes)) {
        const other = this.#stage.bench.lots
          .filter((lot) => !lot.isSide && lot !== hand && !lot.isAside)
          .at(-1)
        if (other !== undefined) this.lot(other, null, 'into')
      }
      return
    }
    // "Add to the pan": what is on the heat there, not what was made beside it.
    if (isPut && TO_PAN.test(rest) && this.takes.lots.length + this.takes.parts.length === 0) {
      const panned = this.#stage.bench.lots
        .filter((lot) => !lot.isSide && !lot.isAside && lot.operation !== null && ON_HEAT.has(lot.operation))
        .at(-1)
      if (panned !== undefined && panned !== hand) this.lot(panned, null, 'into')
      if (!hasObject || panned === undefined || panned === hand) this.#join(hand)
      return
    }
    if (!hasObject && !before) {
      this.#join(hand)
      return
    }
    // What the doing itself began is gone on with, not what lies in hand.
    if (before || hand.isAside) return
    const isOwnFat =
      this.#operation !== null &&
      HOT.has(this.#operation) &&
      this.takes.lines.some(({ of }) => of.foodClass === 'fat')
    if (
      clause.verb === null &&
      (isOwnFat || (/\bback\b/iu.test(rest) && this.takes.lots.some(({ lot }) => lot.isSide)))
    )
      return
    if (joinsHand(clause, rest, isPut) || (hasLead && this.#isLead(clause)) || hasOpenTarget(clause, rest)) {
      const hasLots = this.takes.lots.some(({ role }) => role === 'object') || this.takes.parts.length > 0
      if (!(hasLots && !isPut && !/^\s*(?:in|through|over|back)\b/iu.test(rest))) this.#join(hand)
      return
    }
    const isFrying =
      this.#operation !== null &&
      (HOT.has(this.#operation) || (this.#operation === 'heat' && /^cook$/.test(clause.verb?.word ?? '')))
    if (isFrying && hand.isFatBase && !this.takes.lines.some(({ of }) => of.foodClass === 'fat'))
      this.#join(hand)
  }
  /** "Water + bay, bring to boil": what stands before a verb without an object is put in. */
  #isLead(clause: Clause): boolean {
    if (clause.verb === null) return false
    const { bare } = this.#doing.parsed
    const lead = bare.slice(clause.from, clause.verbFrom)
    if (
      /:/u.test(lead) ||
      !/[\p{L}]{3}/u.test(lead) ||
      /^\s*(?:in|with|for|from|on|meanwhile|to)\b/iu.test(lead)
    )
      return false
    return !/^\s*(?:the|a|an|it|them|half|all)\b/iu.test(bare.slice(clause.verbTo, clause.to))
  }
  #join(lot: Lot): void {
    this.takes.base = lot
    this.lot(lot, null, 'into')
  }
  #hand(): Lot | null {
    const part = this.#part
    const { bench, lines } = this.#stage
    // A part that is begun now has nothing in hand yet.
    const isNew =
      part !== null && bench.inHand(part) === null && !bench.gone().some((lot) => lot.part === part)
    if (isNew && lines.some((of) => of.part === part && bench.left(of.id) > 1e-9)) return null
    const hand = (part === null ? null : bench.inHand(part)) ?? bench.inHand(null)
    // A sauce is not threaded, sliced or grilled: the last thing that is no liquid is meant.
    const isSolid =
      this.#operation !== null &&
      (SOLIDS.has(this.#operation) ||
        (FRIES.has(this.#operation) &&
          NAMED_OBJECT.test(this.#doing.parsed.bare.slice(this.#doing.main.verbTo, this.#doing.main.to))))
    if (hand !== null && hand.isLiquid && isSolid) {
      const solid = bench.lots.filter((lot) => !lot.isSide && !lot.isLiquid).at(-1)
      if (solid !== undefined) return solid
    }
    return hand
  }

  /** "Set aside a quarter of the marinade": what is kept back is not taken by what comes next. */
  reserve(clause: Clause): void {
    if (!/^(?:set|reserve|save|keep)$/.test(clause.verb?.word ?? '')) return
    for (const one of scan(this.#doing.parsed, clause, { ...this.#scene, part: this.#part })) {
      const { share } = one.said
      if (share === null || one.role !== 'object') continue
      const word = one.kind === 'word' || one.kind === 'side' ? one.word : null
      const lot =
        word === null
          ? null
          : this.#stage.bench.lots.filter((lot) => !lot.isSide && lot.words.has(word)).at(-1)
      if (lot != null) lot.reserved = share
    }
  }

  /** "I take my carrot and …": what a clause that does nothing names is what "it" means next. */
  antecedent(clause: Clause): void {
    if (!/^(?:take|start|begin|open|get|remember|use)$/.test(clause.verb?.word ?? '')) return
    for (const one of scan(this.#doing.parsed, clause, { ...this.#scene, part: this.#part }))
      if (one.kind === 'named' && (one.role === 'object' || one.role === 'with')) {
        if (one.of[0]?.kind === 'part') this.takes.topic ??= one.of[0].part
        this.#antecedent = one
        return
      }
  }

  #pronoun(mention: Extract<Mention, { kind: 'pronoun' }>, before: boolean): void {
    const { bench } = this.#stage
    if (this.#antecedent !== null && !before && this.takes.lines.length === 0) {
      this.#named(this.#antecedent)
      return
    }
    if (mention.word === 'both') {
      const [second, first] = bench.lots.filter(({ isSide }) => !isSide).reverse()
      if (this.takes.lines.length === 0)
        for (const lot of [first, second]) if (lot !== undefined) this.lot(lot, null, mention.role)
      return
    }
    if (mention.isAll) {
      for (const lot of bench.lots)
        if (!lot.isSide && lot.part === this.#hand()?.part) this.lot(lot, null, mention.role)
      return
    }
    // "Pour it over them": one is what was made last, the other what was made before it.
    if (this.#pronounSaid !== null && this.#pronounSaid !== mention.word && !before) {
      const other = bench.lots
        .filter((lot) => !lot.isSide && !this.takes.lots.some((one) => one.lot === lot))
        .at(-1)
      if (other !== undefined) this.lot(other, null, 'into')
      return
    }
    this.#pronounSaid = mention.word
    // What the doing itself named before is meant: "put the dough in a bowl and cover it".
    const hand = this.#hand()
    if (before || ((this.takes.lots.length > 0 || this.takes.lines.length > 0) && mention.role === 'object'))
      return
    if (this.takes.lots.some(({ lot }) => lot === hand)) return
    if (hand === null) return
    this.takes.base = hand
    this.lot(hand, mention.said.share, mention.role)
  }

  /** What no word names and the doing cannot do without: what the list keeps for it; the first food of a method that names none. */
  unsaid(): void {
    const { bench, lines } = this.#stage
    const { verb } = this.#scene
    const unused = lines.filter(
      (of) => bench.left(of.id) > 1e-9 && (this.#part === null || of.part === this.#part),
    )
    this.#verbFood(unused)
    if (verb !== null && !this.takes.lines.some(({ of }) => of.purpose === verb)) {
      const hasFat = this.takes.lines.some(({ of }) => of.foodClass === 'fat')
      for (const of of unused)
        if (of.purpose === verb && !(verb === 'fry' && hasFat)) this.line(of, null, 'with')
    }
    if (
      this.#operation !== null &&
      /-fry$/.test(this.#operation) &&
      !this.takes.lines.some(({ of }) => of.foodClass === 'fat') &&
      !this.takes.lots.some(({ lot }) => lot.isFatBase)
    ) {
      const isLater = (of: Named): boolean => (this.#stage.lastNamed.get(of.id) ?? -1) > this.#text
      const fat = unused.find((of) => of.foodClass === 'fat' && !isLater(of))
      if (fat !== undefined) this.line(fat, null, 'with')
    }
    const salt = unused.find(
      (of) => of.foodClass === 'salt' && (this.#stage.lastNamed.get(of.id) ?? -1) <= this.#text,
    )
    if (salt !== undefined && SALTED.test(this.#doing.parsed.text.slice(this.#doing.from, this.#doing.to)))
      this.line(salt, null, 'with')
    const hand = this.#hand()
    const isOnlyFat =
      this.#operation !== null &&
      HOT.has(this.#operation) &&
      this.takes.lines.length > 0 &&
      this.takes.lots.length + this.takes.parts.length === 0 &&
      this.takes.lines.every(({ of }) => of.foodClass === 'fat')
    if (isOnlyFat && hand !== null && !hand.isAside) this.#join(hand)
    const isFirst = ![...bench.lots, ...bench.gone()].some(
      (lot) => this.#part === null || lot.part === this.#part,
    )
    if (
      isFirst &&
      this.takes.lines.length + this.takes.parts.length + this.takes.lots.length === 0 &&
      this.#operation !== null &&
      this.#operation !== 'heat'
    ) {
      const [first] = unused
      const rest = this.#doing.parsed.bare.slice(this.#doing.main.verbTo, this.#doing.main.to)
      const object = /^\s*(?:the|a|an|your)\s+([\p{L}-]+)\s*([\p{L}-]*)/iu.exec(rest)
      const isOther = object !== null && ![object[1], object[2]].some((word) => isGeneric(word ?? ''))
      if (!isOther && first !== undefined && (STARTS.has(this.#operation) || lines.length === 1))
        this.line(first, null, 'object')
    }
  }

  /** Verbs that name their food: "salt the slices", "season", "oil the cups". */
  #verbFood(unused: readonly Named[]): void {
    const isLater = (of: Named): boolean => (this.#stage.lastNamed.get(of.id) ?? -1) > this.#text
    for (const clause of this.#doing.clauses) {
      const word = clause.verb?.word ?? ''
      if (clause.isRemark || !/^(?:salt|oil|season|grease|butter)$/.test(word)) continue
      if (word === 'salt' && this.takes.lines.some(({ of }) => of.foodClass === 'salt')) continue
      const found = unused.filter((of) =>
        word === 'salt'
          ? of.foodClass === 'salt'
          : word === 'season'
            ? SEASONING.test(of.line?.line.text ?? '') &&
              !isLater(of) &&
              !/\bwith\b/iu.test(this.#doing.parsed.bare.slice(clause.verbTo, clause.to)) &&
              this.takes.lines.length === 0
            : of.foodClass === 'fat' && !isLater(of),
      )
      const kept = word === 'season' ? found : found.slice(0, 1)
      for (const of of kept) this.line(of, null, 'with')
    }
  }

  #mention(mention: Exclude<Mention, { kind: 'pronoun' }>): void {
    switch (mention.kind) {
      case 'named':
        this.#named(mention)
        break
      case 'word':
        if (this.#made(mention.made, mention)) break
        this.#word(mention.word, mention)
        break
      case 'side':
        this.#side(mention)
        break
      case 'class':
        if (this.#made(mention.made, mention)) break
        this.#class(mention)
        break
      case 'group':
        this.#group(mention)
        break
      case 'water':
        this.takes.hasTap = true
        break
      case 'remainder': {
        const { bench, lines } = this.#stage
        const part = bench.lots.filter((lot) => !lot.isSide && lot.left < 0.99).at(-1)
        if (part !== undefined) this.lot(part, null, mention.role)
        else {
          const begun = lines.filter((of) => bench.left(of.id) > 1e-9 && bench.left(of.id) < 0.99)
          if (begun.length === 1 && begun[0] !== undefined) this.line(begun[0], null, mention.role)
        }
        break
      }
    }
  }

  /** "The strained liquid": what that doing made. */
  #made(verb: Verb | null, { said, role }: Pick<Mention, 'said' | 'role'>): boolean {
    if (verb === null) return false
    const lot = this.#stage.bench.lots
      .filter(
        (one) =>
          !one.isSide &&
          verb.senses.some(({ operation }) => operation !== null && operation === one.operation),
      )
      .at(-1)
    if (lot !== undefined) this.lot(lot, said.share, role, said.amountG)
    return lot !== undefined
  }

  #named(mention: Extract<Mention, { kind: 'named' }>): void {
    const { bench, lastWater } = this.#stage
    const { said, role } = mention
    for (const of of mention.of) {
      if (this.#excepted.has(of.id)) continue
      if (of.kind === 'part') {
        this.#partOf(of, mention)
        continue
      }
      if (isWater(of)) {
        const isTap =
          (this.#operation !== null && WATERY.has(this.#operation)) ||
          (!mention.isWhole &&
            this.#operation !== null &&
            BATHES.has(this.#operation) &&
            lastWater > this.#text)
        if (isTap || bench.left(of.id) <= 1e-9) {
          this.takes.hasTap = true
          continue
        }
      }
      const made =
        mention.made === null || said.isStated
          ? undefined
          : bench
              .holding(of.id)
              .filter((lot) => mention.made?.senses.some(({ operation }) => operation === lot.operation))
              .at(-1)
      if (made !== undefined) {
        this.lot(made, null, role)
        continue
      }
      const isForWater =
        of.foodClass === 'salt' &&
        (this.takes.hasTap || role === 'with') &&
        (this.#operation === 'soak' || this.#operation === 'boil') &&
        (this.#stage.lastNamed.get(of.id) ?? -1) > this.#text
      if (isForWater) continue
      if (bench.left(of.id) > 1e-9) {
        this.line(of, said.share, role)
        continue
      }
      this.#usedUp(of, mention)
    }
  }
  /** A line that is in a lot already stands for the lot. */
  #usedUp(of: Named, { role, said, word, product }: Extract<Mention, { kind: 'named' }>): void {
    const { bench } = this.#stage
    const made =
      product === null
        ? undefined
        : bench
            .holding(of.id)
            .filter((lot) => lot.words.has(product))
            .at(-1)
    if (made !== undefined) {
      this.lot(made, said.share, role, said.amountG)
      return
    }
    // "The rest of the flour", where all of it is used: more of it, not what it went into.
    if (role === 'with' && said.isStated && said.share === null) return
    if (role !== 'object' && of.foodClass !== null && AMOUNTS_TO_NOTHING.has(of.foodClass)) {
      if (!bench.lots.some((lot) => lot.holds.has(of.id) && lot.holds.size <= 2)) return
    }
    if (this.takes.lots.some(({ lot }) => lot.holds.has(of.id))) return
    const holding = bench.holding(of.id).sort((a, b) => a.holds.size - b.holds.size || b.order - a.order)
    const byWord = bench.lots.filter((lot) => !lot.isSide && lot.words.has(word)).at(-1)
    const [lot] = holding
    const chosen = byWord !== undefined && byWord.holds.has(of.id) ? byWord : lot
    if (chosen !== undefined) this.lot(chosen, said.isStated ? said.share : null, role)
  }
  #partOf(of: Named, { role, said, word }: Extract<Mention, { kind: 'named' }>): void {
    const { bench } = this.#stage
    const isTaken = (lot: Lot): boolean => this.takes.lots.some((one) => one.lot === lot)
    const every = bench.lots.filter((lot) => lot.part === of.part && !lot.isSide)
    const free = every.filter((lot) => !isTaken(lot))
    const lots = free.length > 0 ? free : every
    const byWord = bench.lots.filter((lot) => !lot.isSide && lot.words.has(word)).at(-1)
    if (lots.length === 0) {
      const gone = bench
        .gone()
        .filter((lot) => lot.part === of.part)
        .map((lot) => bench.now(lot))
        .filter((lot) => bench.lots.includes(lot))
        .at(-1)
      if (byWord !== undefined) this.lot(byWord, said.share, role, said.amountG)
      else if (gone !== undefined) this.lot(gone, said.share, role)
      else this.#unmade(of, said.share, role)
      return
    }
    const last = lots.filter((lot) => lot.words.has(word)).at(-1) ?? lots.at(-1)
    if (last !== undefined) this.lot(last, said.share, role, said.amountG)
  }

  /** A part that no doing has begun: its foods where it is worked itself, else the part as it is. */
  #unmade(of: Named, share: number | null, role: Mention['role']): void {
    const { lines, bench } = this.#stage
    const all = lines.filter((one) => one.part === of.part && bench.left(one.id) > 1e-9)
    // A part named for its main food: "the onions" of the onions with their pickle.
    const alike = all.filter((one) =>
      one.names.slice(0, one.own).some((name) => of.names[0]?.some((word) => name.at(-1) === word)),
    )
    const own = alike.length > 0 ? alike : all
    const isWorked =
      alike.length > 0 ||
      of.part === this.#scene.part ||
      (role === 'object' && own.length > 0 && this.#operation !== null && MAKES.has(this.#operation))
    if (isWorked) for (const one of own) this.line(one, null, role)
    else if (!this.takes.parts.some((one) => one.of === of)) this.takes.parts.push({ of, share })
  }

  #word(word: string, { said, role }: { said: Mention['said']; role: Mention['role'] }): void {
    const { bench } = this.#stage
    const live = bench.lots.filter((lot) => !lot.isSide && lot.words.has(word))
    const here = live.filter((lot) => lot.part === this.#part)
    const hand = this.#hand()
    const lot =
      (hand !== null && live.includes(hand) ? hand : undefined) ??
      here.at(-1) ??
      live.at(-1) ??
      bench
        .gone()
        .filter((one) => one.words.has(word))
        .map((one) => bench.now(one))
        .filter((one) => bench.lots.includes(one))
        .at(-1)
    const isPiece = (one: Lot): boolean =>
      !one.isSide && (one.operation === 'chop' || one.operation === 'shape')
    const cut =
      lot ??
      (PIECE_WORDS.has(word) ? (bench.lots.filter(isPiece).at(-1) ?? this.#wasPiece(isPiece)) : undefined)
    if (cut !== undefined) this.lot(cut, said.share, role, said.amountG)
  }
  /** The live lot that what was cut or shaped last went into. */
  #wasPiece(isPiece: (lot: Lot) => boolean): Lot | undefined {
    const { bench } = this.#stage
    return bench
      .gone()
      .filter(isPiece)
      .map((lot) => bench.now(lot))
      .filter((lot) => bench.lots.includes(lot))
      .at(-1)
  }
  #side({ word, said, role }: Extract<Mention, { kind: 'side' }>): void {
    const { bench } = this.#stage
    const sides = bench.sides()
    const side =
      sides.filter((lot) => lot.words.has(word)).at(-1) ??
      (word === 'juice' || word === 'liquor' || word === 'liquid'
        ? sides.filter(({ words }) => words.size > 1).at(-1)
        : undefined)
    const live = bench.lots
      .filter((lot) => !lot.isSide && lot.words.has(word) && lot.order > (side?.order ?? 0))
      .at(-1)
    const lot = live ?? side
    if (lot !== undefined) this.lot(lot, said.share, role, said.amountG)
    else if (word === 'water') this.takes.hasTap = true
    else this.#word(word, { said, role })
  }

  #class(mention: Extract<Mention, { kind: 'class' }>): void {
    const { bench, lines } = this.#stage
    const classes = new Set<FoodClass>(CLASS_WORDS[mention.word] ?? [])
    const fits = (of: Named): boolean =>
      of.foodClass !== null &&
      classes.has(of.foodClass) &&
      !this.#excepted.has(of.id) &&
      (mention.word !== 'powder' || isDry(of))
    const part = this.#part ?? (lines.some((of) => fits(of) && bench.left(of.id) > 1e-9) ? null : this.#part)
    const isLater = (of: Named): boolean => (this.#stage.lastNamed.get(of.id) ?? -1) > this.#text
    const some = lines.filter((of) => fits(of) && (part === null || of.part === part))
    const all = some.some((of) => !isLater(of)) ? some.filter((of) => !isLater(of)) : some
    const fresh = all.filter((of) => bench.left(of.id) > 1e-9)
    const [first] = fresh
    const here = part === null && first !== undefined ? fresh.filter((of) => of.part === first.part) : fresh
    if (here.length > 0) {
      for (const of of here) this.line(of, mention.said.share, mention.role)
      return
    }
    const unknown = lines.filter(
      (of) =>
        of.line?.food === null &&
        bench.left(of.id) > 1e-9 &&
        this.takes.lines.some((one) => one.of.part === of.part),
    )
    if (SMALL_CLASSES.has(mention.word) && unknown.length > 0) {
      for (const of of unknown) this.line(of, null, mention.role)
      return
    }
    const dry =
      mention.word === 'powder' ? bench.lots.filter((lot) => lot.words.has('powder')).at(-1) : undefined
    const lot =
      dry ??
      bench.lots.filter((one) => !one.isSide && one.words.has(mention.word)).at(-1) ??
      bench.lots.filter((one) => !one.isSide && all.some((of) => one.holds.has(of.id))).at(-1)
    if (lot !== undefined) this.lot(lot, mention.said.share, mention.role)
  }

  #group({ which, part, role, isList }: Extract<Mention, { kind: 'group' }>): void {
    const { bench, lines, lastNamed } = this.#stage
    const verb = this.#doing.main.verb?.word ?? ''
    // What the doing brought together itself is everything.
    if (which === 'all' && part === null && this.#hasAny) return
    const at = part ?? this.#part ?? this.#soleePart()
    const isLater = (of: Named): boolean => !isWater(of) && (lastNamed.get(of.id) ?? -1) > this.#text
    const fresh = lines.filter(
      (of) => bench.left(of.id) > 1e-9 && (at === null || of.part === at) && !this.#excepted.has(of.id),
    )
    const wanted = fresh.filter((of) =>
      which === 'dry'
        ? isDry(of)
        : which === 'wet'
          ? !isDry(of)
          : part !== null || this.takes.topic !== null || (isList && which === 'all') || !isLater(of),
    )
    const lots = bench.lots.filter((lot) => !lot.isSide && (at === null || lot.part === at))
    if (which === 'dry' || which === 'wet') {
      const byWord = bench.lots.filter((lot) => lot.words.has(which)).at(-1)
      if (byWord !== undefined) this.lot(byWord, null, role)
      else for (const of of wanted) this.line(of, null, role)
      return
    }
    const isMoved = /^(?:tip|scrape|pour|transfer|return|cool|chill|bring|spoon|spread|turn)$/.test(verb)
    const hand = this.#hand()
    if (which === 'all' && part === null && hand !== null && isMoved) {
      this.takes.base = hand
      this.lot(hand, null, role)
      return
    }
    for (const of of wanted) this.line(of, null, role)
    if (which === 'all' && part === null && !isList) for (const lot of lots) this.lot(lot, null, role)
  }
  #soleePart(): number | null {
    const { parts, lines, bench } = this.#stage
    if (parts.length <= 1) return null
    const hand = bench.inHand(null)
    if (hand !== null && !hand.isAside) return hand.part
    return lines.find((of) => bench.left(of.id) > 1e-9)?.part ?? null
  }
}

/** Foods without loose water: what cooks call the dry ingredients. */
export const isDry = (of: Named): boolean => {
  const food = of.line?.food
  if (food == null) return false
  return (
    DRY.has(food.foodClass) ||
    ((food.per100g.waterG ?? 100) < 16 &&
      food.foodClass !== 'fat' &&
      food.foodClass !== 'sweetener' &&
      food.foodClass !== 'nut')
  )
}

const hasTargetIn = ({ lots }: Takes): boolean => lots.some(({ role }) => role === 'into' || role === 'in')
/** Nothing is said of what it goes in or over. */
const OVER =
  /^\s*(?:(?:it|them|this|these|the lot)\s+)?(?:in|over|through|on top|back in)\s*(?:[.,;]|$|in \w+ goes|gradually|slowly|bit by bit)|^\s*over (?:each|every|the (?:bowls?|plates?|top))\b/iu
const SPREADS =
  /^(?:press|sprinkle|scatter|strew|spread|pile|spoon|dot|brush|pour|drizzle|arrange|top|smear|lay|tip|crumble)$/
/** It goes into or over a thing that no word names: what is in hand. */
function hasOpenTarget({ verb }: Clause, rest: string): boolean {
  if (verb === null || !SPREADS.test(verb.word)) return false
  const found = /\b(?:into|onto|over|on)\s+(?:the|each|every|all|its|them|top)\b\s*([\p{L}-]*)/iu.exec(rest)
  return found !== null && !VESSELS.has(stemsOf(found[1] ?? '')[0] ?? '')
}
/** "Heat the oil to 180 C" beside something else: the oil waits for what is fried. */
const isBathClause = (doing: DoingText, { verb, verbTo, to }: Clause): boolean =>
  verb?.word === 'heat' &&
  /\b(?:oil|fat)\b[^.;]*\b(?:1[4-9]\d\s*°?\s*C|3[0-9]\d\s*°?\s*F)\b/u.test(
    doing.parsed.bare.slice(verbTo, to),
  )
const IN_A_VESSEL =
  /\b(?:in|into)\s+(?:a|an|the|another|your|its own|two|six)\s+(?:[\p{L}\d]+[ -]){0,4}?(?:bowl|blender|processor|saucepan|pan|pot|jug|jar|dish|tray|tin|cooker|mixer|box|wok|stockpot|skillet|casserole|kadhai)\b/iu
/** Whether a clause brings what it names to the lot in hand. */
function joinsHand(clause: Clause, rest: string, isPut: boolean): boolean {
  const { verb } = clause
  if (verb === null) return !IN_A_VESSEL.test(rest) && !/:/u.test(rest)
  if (
    /^(?:put|place|lay|arrange|go|tip|throw)$/.test(verb.word) &&
    IN_A_VESSEL.test(rest) &&
    !/\bback\b|\bthe (?:same )?pan\b/iu.test(rest)
  )
    return false
  if (verb.joins) return true
  if (
    /^\s*(?:in|through|over|on|back|together with)\b(?! (?:a|the|your) (?:[\p{L}]+ ){0,2}(?:pan|bowl|processor|blender|pot|skillet|tray|oven|saucepan|mortar|jug)\b)/iu.test(
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

/**
 * What a doing takes: lines and their shares, lots, water.
 * @param operation as read or set by hand
 * @param text its place in the method
 * @param next the doing after it, whose object it may share
 */
export function takesOf(
  stage: Stage,
  scene: Scene,
  doing: DoingText,
  operation: OperationId | null,
  text: number,
  next: DoingText | null,
): Takes {
  const reader = new Reader(stage, scene, doing, operation, text)
  const shared =
    doing.sharesNext && next !== null
      ? scan(next.parsed, next.main, scene).filter(
          ({ role, kind }) => role === 'object' && kind !== 'pronoun',
        )
      : []
  for (const clause of doing.clauses) {
    if (clause.isRemark) continue
    const isActive =
      doing.active.includes(clause) &&
      !(isBathClause(doing, clause) && operation !== 'shallow-fry' && operation !== 'deep-fry')
    if (!isActive) {
      reader.antecedent(clause)
      reader.reserve(clause)
    } else reader.clause(clause, clause === doing.main && shared.length > 0 ? shared : null)
  }
  const { takes } = reader
  if (doing.clauses.some(({ verb }) => verb?.word === 'repeat'))
    for (const one of takes.lots) one.share = null
  reader.unsaid()
  takes.isEmpty = takes.lines.length + takes.lots.length + takes.parts.length === 0
  return takes
}

/** What a doing takes, as the document states it. */
export const asUses = ({ lines, lots, parts }: Takes): StepUse[] => [
  ...lots.map(({ lot, share }): StepUse => ({ kind: 'step', id: lot.stepId, share })),
  ...lines.map(({ of, share }): StepUse => ({ kind: 'line', id: of.id, share })),
  ...parts.map(({ of, share }): StepUse => ({ kind: 'part', id: of.id, share })),
]
