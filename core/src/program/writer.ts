import type { ResolvedLine } from '../composition'
import type { Kitchen, Library, OperationId, Part, Step, StepUse } from '../model'
import { COUNT_WORDS } from '../measure'
import { wordsOfLine } from '../reading'
import { Decisions } from './decisions'
import { type FoodEntry, foodEntry } from './foods'
import { freshLot, type LotShape } from './lotShape'
import type {
  FinalLot,
  Inputs,
  LineInput,
  Op,
  Overdrawn,
  Program,
  Row,
  RowCopy,
  Source,
  Take,
} from './program'
import { rateFor } from './rates'
import { uptakeTau } from './uptake'

/** What a part's program is made from. */
export interface CompileInput {
  readonly part: Part
  readonly lines: readonly ResolvedLine[]
  /** What each step takes, as read or assigned. */
  readonly uses: readonly (readonly StepUse[])[]
  readonly library: Library
  readonly kitchen: Kitchen
  /** Programs of the parts that it may take. */
  readonly others: readonly Program[]
  /** Share of the whole that each part-use is granted, in order of its uses: see `allocateParts`. */
  readonly granted: readonly number[]
}

/** Foods that soak into something else when a line says that they were soaked. */
const SOAKING: ReadonlySet<string> = new Set(['bean', 'lentil', 'soybean', 'nut', 'grain', 'dried-mushroom'])
const MASS_UNITS: ReadonlySet<string> = new Set(['g', 'kg', 'mg', 'oz', 'lb'])
const FINELY: ReadonlySet<OperationId> = new Set(['mash', 'blend', 'rice'])
const EDGE = 1e-9
/** So many times its own weight of broth is what a dough is cooked in, and no sauce to it. Practice. */
const FAR_MORE = 2

/** The state of a part while its program is written: rows, their grams as listed, and what is left of everything. */
export class Writer {
  readonly rows: Row[] = []
  readonly rawG: number[] = []
  readonly ops: Op[] = []
  readonly overdrawn: Overdrawn[] = []
  readonly decisions = new Decisions()
  readonly copies: RowCopy[] = []
  readonly bench = new Map<string, LotShape>()
  readonly takenShares: Float64Array
  readonly lines: LineInput[] = []
  readonly input: CompileInput
  readonly names: ReadonlyMap<string, string>
  readonly #lineLeft: number[] = []
  readonly #lineAt = new Map<string, number>()
  readonly #isWorkedLater: boolean
  #granted = 0

  constructor(input: CompileInput) {
    this.input = input
    this.takenShares = new Float64Array(input.others.length)
    this.names = namesIn(input)
    this.#isWorkedLater = input.part.steps.some(
      ({ operation }) => operation !== null && FINELY.has(operation),
    )
    input.lines.forEach((line, at) => {
      this.#lineAt.set(line.line.id, at)
      this.#lineLeft.push(1)
      this.lines.push({
        id: line.line.id,
        entry: this.entry(line),
        massG: Math.max(0, line.mass?.value ?? 0),
        sdG: line.mass?.sd ?? 0,
      })
    })
  }

  entry({ food }: ResolvedLine): FoodEntry {
    return foodEntry(food, this.input.library.facts)
  }

  /** Adds a row and tells its index. */
  row(source: Source, known: Partial<Omit<Row, 'source'>>, rawG: number): number {
    this.rows.push({
      source,
      line: -1,
      fraction: 0,
      presoak: null,
      isWhole: false,
      isBig: false,
      pieceMm: null,
      mashed: 0,
      isSoaked: false,
      isPulled: false,
      isForFrying: false,
      isForCooking: false,
      isWashed: false,
      isMilled: false,
      ...known,
    })
    this.rawG.push(rawG)
    return this.rows.length - 1
  }

  /** Flour of these rows is washed out: what stays is gluten. */
  wash(rows: readonly number[]): void {
    for (const at of rows) {
      const row = this.rows[at]
      if (row?.source.entry.hasGluten === true) this.rows[at] = { ...row, isWashed: true }
    }
  }

  /** Pulses that are ground before any heat has set them. */
  mill(rows: readonly number[]): void {
    for (const at of rows) {
      const row = this.rows[at]
      const isRaw = row?.source.entry.isDry === true && !this.#heated.has(at)
      if (isRaw && row.source.food?.foodClass === 'pulse') this.rows[at] = { ...row, isMilled: true }
    }
  }

  readonly #heated = new Set<number>()
  /** Heat has come to these rows: what is ground after it is a paste of cooked food. */
  heat(rows: readonly number[]): void {
    for (const at of rows) this.#heated.add(at)
  }

  /** What lies in a broth for cooking, or as a dough in far more than its own weight of it, is served without it. */
  #liftOut(): void {
    for (const { op: at, rows, hasLiquor, isDough } of this.bench.values()) {
      const op = this.ops[at]
      if (op?.spec == null || op.isDrained || !hasLiquor) continue
      if (this.#isForCooking(rows) || (isDough && this.#isFarMore(op)))
        this.ops[at] = { ...op, isDrained: true }
    }
  }

  /** Whether more of it than not is a liquid that was listed for cooking: oil for the pan is none. */
  #isForCooking(rows: readonly number[]): boolean {
    let brothG = 0
    let restG = 0
    for (const at of rows) {
      const row = this.rows[at]
      const isBroth =
        row?.isForCooking === true && row.source.entry.isLiquid && row.source.food?.foodClass !== 'fat'
      if (isBroth) brothG += this.rawG[at] ?? 0
      else restG += this.rawG[at] ?? 0
    }
    return brothG > 0 && this.decisions.larger(brothG, restG)
  }

  /** Whether the liquid that a dough was laid in is far more than the dough. */
  #isFarMore(last: Op): boolean {
    let laid = last
    for (let [only] = laid.takes; laid.takes.length === 1 && only?.kind === 'step'; [only] = laid.takes) {
      const before = this.ops[only.op]
      if (before === undefined) return false
      laid = before
    }
    if (laid.spec?.medium !== 'liquid') return false
    let liquidG = 0
    let doughG = 0
    for (const take of laid.takes) {
      const isDough = take.kind === 'step' && take.op === laid.mainOp
      for (const row of take.rows) {
        const grams = this.rawG[row] ?? 0
        if (isDough) doughG += grams
        else if (this.rows[row]?.source.entry.isLiquid === true) liquidG += grams
      }
    }
    return this.decisions.larger(liquidG, FAR_MORE * doughG)
  }

  /** A row of a line: so much of it as is wanted and left. -1 where it is not there, or has no mass. */
  line(id: string, share: number | null, step: Step): number {
    const at = this.#lineAt.get(id)
    const line = at === undefined ? undefined : this.input.lines[at]
    const input = at === undefined ? undefined : this.lines[at]
    if (at === undefined || line === undefined || input === undefined || input.massG <= 0) return -1
    const left = this.#lineLeft[at] ?? 0
    const asked = share ?? left
    if (share !== null && share > left + 1e-6)
      this.overdrawn.push({
        stepId: step.id,
        kind: 'line',
        id,
        name: this.names.get(id) ?? '',
        asked: share,
        got: left,
      })
    const got = asked >= left - EDGE ? left : asked
    if (got <= EDGE) return -1
    this.#lineLeft[at] = left - got
    return this.#lineRow(at, line, got)
  }

  #lineRow(at: number, line: ResolvedLine, fraction: number): number {
    const entry = this.entry(line)
    const words = wordsOfLine(line.line)
    const source = { id: line.line.id, name: line.food?.name ?? line.line.food, entry, food: line.food }
    const isByMass = isWeighed(line)
    return this.row(
      source,
      {
        line: at,
        fraction,
        presoak: presoakOf(entry, words.soakedMin, this.input.library),
        isWhole: isByMass && (entry.fact?.refuse ?? null) !== null && !words.isEaten,
        isBig: isBig(line) && words.cutMm === null && !words.isEaten,
        pieceMm: words.cutMm,
        // What a step does is not done twice: "half mashed" in the list tells of the step.
        mashed: this.#isWorkedLater ? 0 : words.mashed,
        isPulled: words.isPulled,
        isForFrying: words.isForFrying,
        isForCooking: words.isForCooking,
        isSoaked: words.soakedMin !== null || entry.group === 'soaked-nut',
      },
      fraction * (line.mass?.value ?? 0),
    )
  }

  /** The lot that a step made, or the share of it that is wanted; null where nothing of it is left. */
  lot(use: StepUse, step: Step): { lot: LotShape; take: Take } | null {
    const lot = this.bench.get(use.id)
    if (lot === undefined) return null
    const wanted = use.share ?? lot.left
    if (use.share !== null && use.share > lot.left + 1e-6)
      this.overdrawn.push({
        stepId: step.id,
        kind: 'step',
        id: use.id,
        name: this.names.get(use.id) ?? '',
        asked: use.share,
        got: lot.left,
      })
    const base = { kind: 'step' as const, id: use.id, share: use.share, op: lot.op }
    if (wanted >= lot.left - EDGE) {
      this.bench.delete(use.id)
      return { lot, take: { ...base, rows: [...lot.rows], from: null, moved: 1 } }
    }
    const moved = wanted / lot.left
    lot.left -= wanted
    const rows = lot.rows.map((from) => this.#copy(from, moved))
    return {
      lot: { ...lot, rows, left: 1 },
      take: { ...base, rows: rows, from: [...lot.rows], moved },
    }
  }

  #copy(from: number, share: number): number {
    const row = this.rows[from]
    if (row === undefined) throw new Error(`compile: no row ${from}`)
    const whole = this.rawG[from] ?? 0
    const to = this.row(row.source, { ...row, line: -1, fraction: 0, presoak: null }, whole * share)
    this.rawG[from] = whole * (1 - share)
    if (this.#heated.has(from)) this.#heated.add(to)
    this.copies.push({ from, to, share })
    return to
  }

  /** What another part gives: rows of its own, by the share that the dish grants. */
  part(use: StepUse): { lot: LotShape; take: Take } | null {
    const index = this.input.others.findIndex(({ part }) => part.id === use.id)
    const other = this.input.others[index]
    const moved = this.input.granted[this.#granted] ?? 0
    this.#granted += 1
    if (other === undefined || moved <= EDGE) return null
    this.takenShares[index] = (this.takenShares[index] ?? 0) + moved
    const lot = freshLot(-1)
    for (const from of other.finalRows) {
      const row = other.rows[from]
      if (row === undefined) continue
      lot.rows.push(
        this.row(
          row.source,
          { ...row, line: -1, fraction: 0, presoak: null },
          (other.rawG[from] ?? 0) * moved,
        ),
      )
    }
    const last = other.ops.at(-1)
    lot.isMixed = true
    lot.phase = last?.phase ?? 'pieces'
    lot.form = last?.form ?? 'pieces'
    lot.hasLiquor = lot.phase !== 'body'
    return {
      lot,
      take: {
        kind: 'part',
        id: use.id,
        share: use.share,
        part: index,
        from: other.finalRows,
        rows: [...lot.rows],
        moved,
      },
    }
  }

  finish(): Program {
    this.#liftOut()
    const unusedLines: { line: number; row: number; share: number }[] = []
    this.input.lines.forEach((line, at) => {
      const left = this.#lineLeft[at] ?? 0
      if ((this.lines[at]?.massG ?? 0) <= 0 || left <= EDGE) return
      unusedLines.push({ line: at, row: this.#lineRow(at, line, left), share: left })
    })
    const lots = [...this.bench.values()]
    const finals: FinalLot[] = lots.map(({ op, rows }) => ({ op, rows: rows }))
    if (unusedLines.length > 0) finals.push({ op: -1, rows: unusedLines.map(({ row }) => row) })
    const { part, library, kitchen, others, lines: resolved } = this.input
    const lastId = part.steps.at(-1)?.id
    return {
      part,
      library,
      kitchen,
      resolved,
      others,
      lines: this.lines,
      rows: this.rows,
      entries: this.rows.map(({ source }) => source.entry),
      rawG: this.rawG,
      ops: this.ops,
      finals,
      finalRows: finals.flatMap(({ rows }) => [...rows]),
      unusedLines: part.steps.length === 0 ? [] : unusedLines,
      looseStepIds: [...this.bench.keys()].filter((id) => id !== lastId),
      overdrawn: this.overdrawn,
      takenShares: this.takenShares,
      slack: this.decisions.slack,
      names: this.names,
      copies: this.copies,
      inputs: inputsOf(this.lines, this.ops),
    }
  }
}

/** Whether a line states a mass: by volume or by the piece, what is eaten is meant. */
export const isWeighed = ({ line }: ResolvedLine): boolean =>
  line.amount?.terms.every(({ unit }) => unit !== null && MASS_UNITS.has(unit)) ?? false

/** From here on a piece that nobody cuts roasts as a whole one, g. Practice. */
const BIG_G = 120
/** "1 large cauliflower (about 900 g)": the mass is what is read. */
const COUNTED =
  /^\s*(\d+|an?|one|two|three|four|five|six)\s+(?:[a-zß-ɏ]+[ -]){0,3}[a-zß-ɏ]+,?\s*\([^)]*\d\s*k?g\b/iu
/** "4 baking potatoes", "1 large cauliflower (about 900 g)". */
function isBig({ line, mass }: ResolvedLine): boolean {
  const [term, ...more] = line.amount?.terms ?? []
  if (term === undefined || more.length > 0 || mass === null) return false
  const bracketed = COUNTED.exec(line.text)?.[1]
  if (bracketed !== undefined)
    return mass.value / (COUNT_WORDS[bracketed.toLowerCase()] ?? Number(bracketed)) >= BIG_G
  const count = (term.low + term.high) / 2
  return (term.unit === null || term.unit === 'head') && count > 0 && mass.value / count >= BIG_G
}

const namesIn = ({ part, others, lines }: CompileInput): ReadonlyMap<string, string> =>
  new Map<string, string>([
    ...part.steps.map(({ id }, at) => [id, `step ${at + 1}`] as const),
    ...others.map(({ part: other }) => [other.id, other.name] as const),
    ...lines.map(({ line, food }) => [line.id, line.food === '' ? (food?.name ?? '') : line.food] as const),
  ])

/** "60 g raw cashews, soaked 4 hours" is listed dry: it comes to its first step soaked. */
function presoakOf(entry: FoodEntry, minutes: number | null, library: Library): Row['presoak'] {
  if (minutes === null || !entry.isDry || !SOAKING.has(entry.group)) return null
  const rate = rateFor(library.rates, 'soak', entry.food?.id ?? null, entry.group)
  if (rate === null) return null
  return { minutes, saturation: rate.value, tauMin: uptakeTau('soak', entry.group, 20), lost: 0 }
}

function inputsOf(lines: readonly LineInput[], ops: readonly Op[]): Inputs {
  const of = (read: (op: Op) => number | null): Float64Array =>
    Float64Array.from(ops, (op) => read(op) ?? Number.NaN)
  return {
    masses: Float64Array.from(lines, ({ massG }) => massG),
    minutes: of(({ step }) => step.durationMin),
    tempC: of(({ step, spec }) => step.tempC ?? spec?.usualC ?? null),
    end: of(({ step: { until } }) =>
      until === null || until.kind === 'dry' ? null : until.kind === 'mass' ? until.massG : until.fraction,
    ),
    weighedG: of(({ step }) => step.weighedG),
  }
}
