import type { OperationId } from '../model'
import type { Bench, Lot } from './bench'
import type { DoingText } from './doings'
import type { Named } from './named'
import type { Mention, Scene } from './mentions'

/** What is known of a whole method while its doings are read one after another. */
export interface Stage {
  readonly bench: Bench
  readonly lines: readonly Named[]
  readonly parts: readonly Named[]
  /** Text, by its place in the method, where a line is named last; -1 where none names it. */
  readonly lastNamed: ReadonlyMap<string, number>
  /** Text where water is named last. */
  readonly lastWater: number
  /** Whether a later text takes everything that is left. */
  readonly hasEverythingAfter: (text: number) => boolean
  /** Whether a later text takes everything that is listed. */
  readonly hasAllAfter: (text: number) => boolean
  /** Whether this text, or the next, pours off what food lay in. */
  readonly isPouredOff: (text: number) => boolean
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

const FRIES: ReadonlySet<OperationId> = new Set(['shallow-fry', 'deep-fry', 'roast', 'steam'])
/** "The schnitzels": some thing, and not what is poured. */
const NAMED_OBJECT = /^\s*(?:the|your)\s+(?!batter|mixture|mix|rest|remaining|sauce)[a-zß-ɏ-]+/iu
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
const TAKEN_OUT = /\b(?:remove|take|takes|transfer|lift|scoop|ladle|tip|pour|put|spoon out|set aside)\b/iu
const RESERVED = /\b(?:reserved|kept|saved|set aside|held back)\b/iu

/** What a doing takes before its words are read. */
export const nothingTaken = (): Takes => ({
  lines: [],
  lots: [],
  parts: [],
  hasTap: false,
  tapG: 0,
  topic: null,
  base: null,
  isEmpty: true,
})

const BEGINS =
  /^\W*(?:meanwhile,? |now,? |next,? )?for the (filling|stuffing|sauce|gravy|dressing|topping|glaze|crust|marinade|batter|slaw|salsa|tempering|tadka)\b/iu
/** What one doing takes, while its clauses are read. */
export class Taking {
  readonly takes: Takes = nothingTaken()
  readonly stage: Stage
  readonly scene: Scene
  readonly doing: DoingText
  readonly operation: OperationId | null
  /** Place in the method. */
  readonly text: number
  readonly excepted = new Set<string>()
  pronounSaid: string | null = null
  antecedent: Extract<Mention, { kind: 'named' }> | null = null
  /** What a verb that does nothing names: "prick the aubergines". */
  readied: Extract<Mention, { kind: 'named' }> | null = null
  /** What the words turn to: "remove the bay leaf from the lentils and …". */
  turnedTo: Lot | null = null

  constructor(stage: Stage, scene: Scene, doing: DoingText, operation: OperationId | null, text: number) {
    this.stage = stage
    this.scene = scene
    this.doing = doing
    this.operation = operation
    this.text = text
  }

  get hasAny(): boolean {
    return this.takes.lines.length + this.takes.lots.length + this.takes.parts.length > 0 || this.takes.hasTap
  }
  get part(): number | null {
    return this.takes.topic ?? this.scene.part
  }

  line(of: Named, share: number | null, role: Mention['role']): void {
    if (this.takes.lines.some((one) => one.of === of)) return
    const left = this.stage.bench.left(of.id)
    if (left <= 1e-9) return
    this.takes.lines.push({ of, share: share === null || share >= left - 1e-9 ? null : share, role })
  }
  /** "Crush half the beans with the back of a spoon": in the pan, where the rest of it lies. */
  isCrushedInPlace({ holds }: Lot): boolean {
    const words = this.doing.parsed.text.slice(this.doing.from, this.doing.to)
    return this.operation === 'mash' && holds.size > 1 && !TAKEN_OUT.test(words)
  }

  lot(lot: Lot, of: number | null, role: Mention['role'], amountG?: number): void {
    const said = this.isCrushedInPlace(lot) ? null : of
    const share =
      amountG !== undefined && lot.statedG !== null && amountG < 0.97 * lot.statedG
        ? amountG / lot.statedG
        : said
    const known = this.takes.lots.find((one) => one.lot === lot)
    // Of a pot of tap water so much as is said, here or where it was kept.
    const tapG = amountG ?? (share === null && known === undefined ? lot.statedG : null)
    if (lot.isSide && lot.isTap && tapG !== null) this.takes.tapG += tapG
    const isKept =
      lot.reserved > 0 &&
      (share === null || share >= lot.left - 1e-6) &&
      !RESERVED.test(this.doing.parsed.text.slice(this.doing.from, this.doing.to))
    if (known === undefined)
      this.takes.lots.push({ lot, share: isKept ? Math.max(0.05, lot.left - lot.reserved) : share, role })
    else if (known.share !== null)
      known.share = share === null ? null : known.share + share >= 0.99 ? null : known.share + share
  }
  join(lot: Lot): void {
    this.takes.base = lot
    this.lot(lot, null, 'into')
  }
  /** Whether all that a lot holds is said to stay out. */
  isExcepted(lot: Lot): boolean {
    return lot.holds.size > 0 && [...lot.holds].every((id) => this.excepted.has(id))
  }

  hand(): Lot | null {
    if (this.turnedTo !== null) return this.turnedTo
    const part = this.part
    const { bench, lines } = this.stage
    // "For the filling you fry the onion": something new, and not what lies there.
    const begun = BEGINS.exec(this.doing.parsed.text.slice(this.doing.from, this.doing.to))
    if (begun !== null && !bench.lots.some((lot) => lot.words.has((begun[1] ?? '').toLowerCase())))
      return null
    // A part that is begun now has nothing in hand yet.
    const isNew =
      part !== null && bench.inHand(part) === null && !bench.gone().some((lot) => lot.part === part)
    if (isNew && lines.some((of) => of.part === part && bench.left(of.id) > 1e-9)) return null
    const held = (part === null ? null : bench.inHand(part)) ?? bench.inHand(null)
    // "Everything but the tofu" leaves the crumbled tofu where it is.
    const hand = held !== null && this.isExcepted(held) ? null : held
    // A sauce is not threaded, sliced or grilled: the last thing that is no liquid is meant.
    const isSolid =
      this.operation !== null &&
      (SOLIDS.has(this.operation) ||
        (FRIES.has(this.operation) &&
          NAMED_OBJECT.test(this.doing.parsed.bare.slice(this.doing.main.verbTo, this.doing.main.to))))
    if (hand !== null && hand.isLiquid && isSolid) {
      const solid = bench.lots.filter((lot) => !lot.isSide && !lot.isLiquid).at(-1)
      if (solid !== undefined) return solid
    }
    return hand
  }

  /** The live lot that was made last, of those that pass. */
  lastLot(passes: (lot: Lot) => boolean): Lot | undefined {
    return this.stage.bench.lots.filter((lot) => !lot.isSide && passes(lot)).at(-1)
  }
  isTaken(lot: Lot): boolean {
    return this.takes.lots.some((one) => one.lot === lot)
  }
  /** A line that a later text names too. */
  isLater(of: Named): boolean {
    return (this.stage.lastNamed.get(of.id) ?? -1) > this.text
  }
}
