import type { StepMove, StepReading, StepState } from '../model'
import { type FoodEntry, type Op, POOL_COUNT, PROTEIN, STARCH, WATER } from '../program'
import { ACCOUNT_COUNT, ACCOUNTS, BOOK_SIZE, bookedG, EVAPORATED, FIRST_GAIN } from './accounts'
import type { Bench } from './bench'
import { energyOf } from './energy'
import { reckonedPH } from './sourness'
import {
  COARSE,
  CORE_C,
  DEVELOPMENT,
  FIT_SD,
  HYDRATED,
  IMPOSSIBLE_G,
  LN_RATIO,
  LOT_STRIDE,
  MASS_IN,
  MASS_OUT,
  MINUTES,
  OVERRUN_PCT,
  PARTICLE_UM,
  PEAK_C,
  PIECE_MM,
  type Placed,
  poolOf,
  PREDICTED_G,
  PROTEIN_SET,
  RECORD_STRIDE,
  START_C,
  STRIDE,
  SWOLLEN,
  WATER_OUT,
  type Workspace,
} from './workspace'

const MOST_GELS = 6
const LEAST_G = 0.5
const HYDRATED_ENOUGH = 0.85
const PULVERISED_MM = 0.02
/** Under this much a move is arithmetic, g. */
const LEAST_MOVE_G = 1e-12

type GelReading = StepState['gels'][number]

function gelState(entry: FoodEntry, hydrated: number, peakC: number, coreC: number): GelReading['state'] {
  const { agent } = entry
  if (agent === null || hydrated < HYDRATED_ENOUGH) return 'dry'
  if (agent.setC === null) return 'hydrated'
  if (agent.sets === 'heating') return coreC >= agent.setC ? 'set' : 'hydrated'
  if (coreC <= agent.setC) return 'set'
  return agent.meltC !== null && peakC > agent.meltC && coreC >= agent.meltC ? 'melted' : 'hydrated'
}

/** What the lot at work is like now. */
function stateOf(bench: Bench): StepState {
  const { rows, lots, op } = bench
  const lot = op.at * LOT_STRIDE
  const coreC = lots[lot + CORE_C] ?? 20
  let starch = 0
  let swollen = 0
  let protein = 0
  let set = 0
  let gluten = 0
  let developed = 0
  let coarse = 0
  let size = 0
  let fine = 0
  let um = 0
  const gels: GelReading[] = []
  for (const row of op.rows) {
    const entry = bench.entry(row)
    const { food } = entry
    if (food === null) continue
    const from = row * STRIDE
    const starchG = poolOf(rows, row, STARCH)
    const proteinG = poolOf(rows, row, PROTEIN)
    starch += starchG
    swollen += starchG * (rows[from + SWOLLEN] ?? 0)
    protein += proteinG
    set += proteinG * (rows[from + PROTEIN_SET] ?? 0)
    if (entry.hasGluten) {
      gluten += proteinG
      developed += proteinG * (rows[from + DEVELOPMENT] ?? 0)
    }
    const massG = bench.massOf(row)
    if (entry.particle.pieceMm > 0) {
      const inPieces = rows[from + COARSE] ?? 0
      coarse += massG * inPieces
      size += massG * inPieces * (rows[from + PIECE_MM] ?? 0)
      fine += massG * (1 - inPieces)
      um += massG * (1 - inPieces) * (rows[from + PARTICLE_UM] ?? 0)
    }
    if (entry.agent !== null && gels.length < MOST_GELS)
      gels.push({
        foodId: food.id,
        name: food.name,
        state: gelState(entry, rows[from + HYDRATED] ?? 0, rows[from + PEAK_C] ?? 0, coreC),
      })
  }
  const overrun = lots[lot + OVERRUN_PCT] ?? 0
  return {
    coreC,
    glutenDevelopment: gluten > LEAST_G ? developed / gluten : null,
    starchGelatinised: starch > LEAST_G ? swollen / starch : null,
    proteinSet: protein > LEAST_G ? set / protein : null,
    gels,
    particleMm:
      coarse + fine <= 0
        ? null
        : coarse > 0.02 * (coarse + fine)
          ? size / coarse
          : Math.max(PULVERISED_MM, um / fine / 1000),
    pH: reckonedPH(bench),
    overrunPct: overrun > 0.5 ? overrun : null,
  }
}

function movesOf(books: Float64Array, op: number, from: number, to: number): StepMove[] {
  const found: StepMove[] = []
  for (let account = from; account < to; account += 1) {
    const massG = bookedG(books, op, account)
    if (Math.abs(massG) <= LEAST_MOVE_G) continue
    found.push({
      what: ACCOUNTS[account] ?? '',
      massG,
      waterG: books[op * BOOK_SIZE + account * POOL_COUNT + WATER] ?? 0,
    })
  }
  return found
}

export const gainsOf = (books: Float64Array, op: number): StepMove[] =>
  movesOf(books, op, FIRST_GAIN, ACCOUNT_COUNT)
export const lossesOf = (books: Float64Array, op: number): StepMove[] => movesOf(books, op, 0, FIRST_GAIN)

/** What an operation did, for people: read right after it ran. Masses of the whole part are added by its run. */
export function readingOf(
  op: Op,
  bench: Bench,
  space: Workspace,
  placed: Placed,
  names: ReadonlyMap<string, string>,
  firstTake: number,
): StepReading {
  const { records, books } = space
  const at = op.at * RECORD_STRIDE
  const record = (cell: number): number => records[at + cell] ?? 0
  const minutes = record(MINUTES)
  const { step, spec } = op
  const coreC = space.lots[op.at * LOT_STRIDE + CORE_C] ?? 20
  const ln = record(LN_RATIO)
  return {
    stepId: step.id,
    written: null,
    operation: step.operation,
    takes: op.takes.map(({ kind, id, share }, index) => ({
      kind,
      id,
      name: names.get(id) ?? '',
      share,
      massG: space.takenG[firstTake + index] ?? 0,
    })),
    massInG: record(MASS_IN),
    massG: record(MASS_OUT),
    waterG: record(WATER_OUT),
    partMassG: 0,
    partWaterG: 0,
    gained: gainsOf(books, op.at),
    lost: lossesOf(books, op.at),
    minutes,
    handsMin: minutes * (spec?.hands ?? 1),
    loads: placed.loads,
    vessel: spec === null ? null : (placed.vessel?.label ?? null),
    vesselId: spec === null ? null : (placed.vessel?.id ?? null),
    energyKWh:
      spec === null
        ? 0
        : energyOf(
            spec,
            placed.vessel,
            minutes,
            {
              massG: record(MASS_OUT),
              byK: coreC - record(START_C),
              vapourG: bookedG(books, op.at, EVAPORATED),
            },
            Number.isNaN(bench.tempC) ? null : bench.tempC,
          ),
    state: stateOf(bench),
    fit:
      step.weighedG === null || op.rows.length === 0
        ? null
        : {
            predictedG: record(PREDICTED_G),
            weighedG: step.weighedG,
            lnRatio: spec === null || Number.isNaN(ln) ? null : ln,
            sd: record(FIT_SD),
            impossibleG: record(IMPOSSIBLE_G),
          },
    observations: placed.fit.observations,
  }
}
