import { FAT, type FoodEntry, type Inputs, INERT, type Op, POOL_COUNT, type Program, WATER } from '../program'
import { BOOK_SIZE, EVAPORATED } from './accounts'
import { EVAPORATED_G, LOOSE, LOT_STRIDE, type Placed, rowMass, STRIDE, type Workspace } from './workspace'

/**
 * One operation at work on its lot: the rows it holds, its settings as numbers, and the books. Made once an evaluation
 * and pointed at one operation after another.
 */
export class Bench {
  readonly program: Program
  readonly rows: Float64Array
  readonly lots: Float64Array
  readonly books: Float64Array
  readonly records: Float64Array
  op!: Op
  placed!: Placed
  /** Stated minutes; NaN where the operation's usual ones hold. */
  minutes = Number.NaN
  /** Temperature of air, oil, pan or bath, C; fan air for ovens. NaN where there is none. */
  tempC = Number.NaN
  end = Number.NaN
  weighedG = Number.NaN
  /** ln of the factor on its constants: this kitchen's, and a search's or a scatter's. */
  lnRate = 0
  /** What this operation left undone of a stated end, g. */
  impossibleG = 0
  // Sums of the lot, filled by `sum`.
  massG = 0
  waterG = 0
  heldWaterG = 0
  looseWaterG = 0
  looseG = 0
  solidsG = 0
  /** Something moved since the lot was summed. */
  isStale = true

  constructor(program: Program, space: Workspace) {
    this.program = program
    this.rows = space.rows
    this.lots = space.lots
    this.books = space.books
    this.records = space.records
  }

  /** Points the bench at an operation. */
  at(op: Op, placed: Placed, inputs: Inputs, lnRate: number): void {
    this.op = op
    this.placed = placed
    this.minutes = inputs.minutes[op.at] ?? Number.NaN
    this.tempC = (inputs.tempC[op.at] ?? Number.NaN) + op.airShiftC
    this.end = inputs.end[op.at] ?? Number.NaN
    this.weighedG = inputs.weighedG[op.at] ?? Number.NaN
    this.lnRate = placed.fit.lnRatio + lnRate
    this.impossibleG = 0
  }

  get lotAt(): number {
    return this.op.at * LOT_STRIDE
  }

  /** Sums the lot. Solids are all but water, alcohol and fat: they hold water back while a food dries. */
  sum(): void {
    if (!this.isStale) return
    this.isStale = false
    const { rows, op } = this
    let held = 0
    let heldWater = 0
    let loose = 0
    let looseWater = 0
    let other = 0
    const which = op.rows
    for (let at = 0; at < which.length; at += 1) {
      const from = (which[at] ?? 0) * STRIDE
      const outside = from + LOOSE
      heldWater += rows[from] ?? 0
      looseWater += rows[outside] ?? 0
      other +=
        (rows[from + 1] ?? 0) + (rows[outside + 1] ?? 0) + (rows[from + 2] ?? 0) + (rows[outside + 2] ?? 0)
      other += (rows[from + INERT] ?? 0) + (rows[outside + INERT] ?? 0)
      for (let pool = 0; pool < POOL_COUNT; pool += 1) {
        held += rows[from + pool] ?? 0
        loose += rows[outside + pool] ?? 0
      }
    }
    this.massG = held + loose
    this.heldWaterG = heldWater
    this.looseWaterG = looseWater
    this.waterG = heldWater + looseWater
    this.looseG = loose
    this.solidsG = this.massG - this.waterG - other
  }

  heldG(row: number): number {
    const from = row * STRIDE
    let sum = 0
    for (let pool = 0; pool < POOL_COUNT; pool += 1) sum += this.rows[from + pool] ?? 0
    return sum
  }

  /** Solids of a row that hold water: all but water, alcohol and fat. */
  solidsOf(row: number): number {
    const from = row * STRIDE
    let sum = 0
    for (let pool = FAT + 1; pool < INERT; pool += 1)
      sum += (this.rows[from + pool] ?? 0) + (this.rows[from + LOOSE + pool] ?? 0)
    return sum
  }

  massOf(row: number): number {
    return rowMass(this.rows, row)
  }

  /** Books grams of a pool under an account. */
  book(account: number, pool: number, grams: number): void {
    const at = this.op.at * BOOK_SIZE + account * POOL_COUNT + pool
    this.books[at] = (this.books[at] ?? 0) + grams
  }

  /** Takes a share of a cell away and books it. */
  shed(row: number, cell: number, share: number, account: number): number {
    const at = row * STRIDE + cell
    const grams = (this.rows[at] ?? 0) * share
    if (grams === 0) return 0
    this.isStale = true
    this.rows[at] = (this.rows[at] ?? 0) - grams
    this.book(account, cell % POOL_COUNT, grams)
    return grams
  }

  /** A share of everything that lies loose in a row leaves. */
  shedLoose(row: number, share: number, account: number): void {
    for (let pool = 0; pool < POOL_COUNT; pool += 1) this.shed(row, LOOSE + pool, share, account)
  }

  /** A share of the whole row leaves: trimmings, what sticks to a bowl. */
  shedAll(row: number, share: number, account: number): void {
    for (let cell = 0; cell < EVAPORATED_G; cell += 1) this.shed(row, cell, share, account)
    const at = row * STRIDE + EVAPORATED_G
    this.rows[at] = (this.rows[at] ?? 0) * (1 - share)
  }

  /** Grams come into a cell from outside. */
  gain(row: number, cell: number, grams: number, account: number): void {
    const at = row * STRIDE + cell
    this.isStale = true
    this.rows[at] = (this.rows[at] ?? 0) + grams
    this.book(account, cell % POOL_COUNT, grams)
  }

  /** Water of a cell leaves as vapour. */
  evaporate(row: number, cell: number, grams: number): void {
    const from = row * STRIDE
    const left = Math.min(grams, this.rows[from + cell] ?? 0)
    if (left === 0) return
    this.isStale = true
    this.rows[from + cell] = (this.rows[from + cell] ?? 0) - left
    this.rows[from + EVAPORATED_G] = (this.rows[from + EVAPORATED_G] ?? 0) + left
    this.book(EVAPORATED, WATER, left)
  }

  /** Moves grams of a row between what it holds and what lies loose. */
  move(row: number, from: number, to: number, grams: number): void {
    if (grams === 0) return
    const base = row * STRIDE
    this.isStale = true
    this.rows[base + from] = (this.rows[base + from] ?? 0) - grams
    this.rows[base + to] = (this.rows[base + to] ?? 0) + grams
  }

  entry(row: number): FoodEntry {
    return this.program.entries[row] as FoodEntry
  }
}
