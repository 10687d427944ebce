import type { Highs } from 'highs'

/** A row of a linear programme: lower <= sum of value times column <= upper. */
export interface LinearRow {
  readonly lower: number
  readonly upper: number
  readonly terms: readonly (readonly [column: number, value: number])[]
}

/** A linear programme to be minimised; whole numbers where `integer` names a column. Infinite bounds are bounds that are not there. */
export interface LinearProgram {
  readonly cost: readonly number[]
  readonly lower: readonly number[]
  readonly upper: readonly number[]
  readonly rows: readonly LinearRow[]
  /** Columns that take whole numbers only. */
  readonly integer?: readonly number[]
}

export interface LinearSolution {
  readonly x: Float64Array
  readonly objective: number
  /** What the objective would change by, for one unit more of a row's bound; null where some columns are whole numbers. */
  readonly rowDual: Float64Array | null
}

/** Minimises a linear programme; null where no answer keeps every row. Deterministic. */
export type SolveLinear = (program: LinearProgram) => LinearSolution | null

const CONTINUOUS = 0
const INTEGER = 1
const OPTIMAL = 7
/** A search over whole numbers is cut here, by work and not by the clock: the same answer on any machine. */
const MOST_NODES = 200
/** An answer in whole numbers that may be this much above the best is good enough. */
const WHOLE_GAP = 0.01
const WHOLE_GAP_ABSOLUTE = 0.002

function solveWith(
  highs: Highs,
  { cost, lower, upper, rows, integer = [] }: LinearProgram,
): LinearSolution | null {
  const bound = (value: number): number =>
    value === Number.POSITIVE_INFINITY
      ? highs.infinity
      : value === Number.NEGATIVE_INFINITY
        ? -highs.infinity
        : value
  const starts = [0]
  const indices: number[] = []
  const values: number[] = []
  for (const { terms } of rows) {
    for (const [column, value] of terms) {
      if (value === 0) continue
      indices.push(column)
      values.push(value)
    }
    starts.push(indices.length)
  }
  const whole = new Set(integer)
  return highs.withModel(
    {
      numCols: cost.length,
      numRows: rows.length,
      sense: highs.constants.objectiveSense.minimize,
      colCost: [...cost],
      colLower: lower.map(bound),
      colUpper: upper.map(bound),
      rowLower: rows.map((row) => bound(row.lower)),
      rowUpper: rows.map((row) => bound(row.upper)),
      matrix: { format: 'csr', numRows: rows.length, numCols: cost.length, starts, indices, values },
      ...(whole.size > 0 ? { integrality: cost.map((_, at) => (whole.has(at) ? INTEGER : CONTINUOUS)) } : {}),
    },
    (model) => {
      model.options.set({
        output_flag: false,
        presolve: whole.size > 0 ? 'on' : 'off',
        mip_max_nodes: MOST_NODES,
        mip_rel_gap: WHOLE_GAP,
        mip_abs_gap: WHOLE_GAP_ABSOLUTE,
      })
      model.run()
      if (model.getModelStatus() !== OPTIMAL) return null
      const { colValue, rowDual } = model.getSolution()
      const x = Float64Array.from(colValue)
      let objective = 0
      cost.forEach((one, at) => {
        objective += one * (x[at] ?? 0)
      })
      return { x, objective, rowDual: whole.size > 0 ? null : Float64Array.from(rowDual) }
    },
  )
}

/**
 * Loads HiGHS, the linear and mixed-integer solver, once.
 * @param wasmUrl address of its compiled code; a program outside the browser finds it by itself
 */
export async function createSolver({ wasmUrl }: { readonly wasmUrl?: string } = {}): Promise<SolveLinear> {
  const { default: load } = await import('highs')
  const highs = await load(wasmUrl === undefined ? {} : { locateFile: () => wasmUrl })
  return (program) => solveWith(highs, program)
}
