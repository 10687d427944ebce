import { FAT, type FoodEntry, INERT, type Program, PROTEIN, type Row, SOLID, STARCH, WATER } from '../program'
import {
  ACID_KEPT,
  BROWNED,
  COARSE,
  DEVELOPMENT,
  EMULSIFIED,
  HYDRATED,
  LOOSE,
  PARTICLE_UM,
  PEAK_C,
  PIECE_MM,
  PROTEIN_SET,
  rowMass,
  SOAKED,
  STRIDE,
  SWOLLEN,
  THINNED,
} from './workspace'

import { addNotes, Notes } from './stateNotes'
import type { AgentState } from './stateTypes'

const COARSE_MM = 2
const MM_TO_UM = 1000
/** Grit is felt from so many um on; hard pieces are grit as a whole. @source P14 residue; sauce tables */
const GRIT_UM = 60
/** Wet grit weighs twice its dry matter. */
const WET_GRIT = 2
/** Soaked kernels feel half as hard. @source felt size of the sauce tables */
const SOAKED_HARDNESS = 0.5
/** Flour is felt raw, hardly when it is cooked. */
const COOKED_SOFTENS = 0.85
const isFloury = (entry: FoodEntry): boolean => entry.matter === STARCH || entry.isGluten
/** Curds up to about this size make the body of a spread, and leave so much of their mass on a fine sieve. @source fresh curds read 3 to 5 on P14; practice */
const SMALL_CURD_MM = 6
const CURD_GRIT = 0.03
/** Starch inside cooked pulse cells swells out for this share only. */
const CELL_STARCH = 0.3
/** @source working gluten of the solids tables */
const NETWORK = { raw: 0.35, developed: 0.65, unset: 0.25, set: 0.75 } as const
/** From this share on, a food of a class that is no pure starch, fat or salt can surprise: its glutamate counts as known or guessed. */
const LEAST = 1e-12

export class Sums {
  massG = 0
  coarseG = 0
  pieceG = 0
  fineG = 0
  metG = 0
  d90G = 0
  feltG = 0
  gritG = 0
  volumeMl = 0
  kernelG = 0
  innerFatG = 0
  /** Pieces of any size. */
  pieceAnyG = 0
  anyG = 0
  kernelHotG = 0
  swollenG = 0
  amyloseG = 0
  waxyG = 0
  rawStarchG = 0
  swollenMl = 0
  thinnedG = 0
  proteinG = 0
  setG = 0
  glutenG = 0
  developedG = 0
  networkG = 0
  emulsifiedG = 0
  fatG = 0
  peakG = 0
  brownedG = 0
  unknownG = 0
  sodiumUnknownG = 0
  sodiumMostMg = 0
  glutamateVar = 0
  glutamateGuessG = 0
  umamiUnknownG = 0
  readonly agents: AgentState[] = []
  readonly notes = new Notes()
}

const poolIn = (rows: Float64Array, from: number, pool: number): number =>
  (rows[from + pool] ?? 0) + (rows[from + LOOSE + pool] ?? 0)

function addParticles(sums: Sums, entry: FoodEntry, rows: Float64Array, from: number, massG: number): void {
  const coarse = (rows[from + COARSE] ?? 0) * ((rows[from + PIECE_MM] ?? 0) > COARSE_MM ? 1 : 0)
  sums.coarseG += massG * coarse
  sums.pieceG += massG * coarse * (rows[from + PIECE_MM] ?? 0)
  const { particle } = entry
  const inPieces = rows[from + COARSE] ?? 0
  const pulseStarch = entry.food?.foodClass === 'pulse' ? poolIn(rows, from, STARCH) : 0
  const rawStarch = poolIn(rows, from, STARCH) * (1 - (rows[from + SWOLLEN] ?? 0))
  const solids = poolIn(rows, from, PROTEIN) + poolIn(rows, from, SOLID)
  if (solids + rawStarch <= LEAST) return
  const kernel = entry.food?.foodClass === 'nut' || entry.food?.foodClass === 'seed'
  const softened = kernel
    ? SOAKED_HARDNESS * (rows[from + SOAKED] ?? 0)
    : isFloury(entry)
      ? COOKED_SOFTENS * (rows[from + SWOLLEN] ?? 0)
      : 0
  const hardness = particle.hardness * (1 - softened)
  const um = (rows[from + PARTICLE_UM] ?? 0) + inPieces * (rows[from + PIECE_MM] ?? 0) * MM_TO_UM * 0.1
  const felt = um * hardness
  const fine = (solids + rawStarch) * (1 - inPieces)
  sums.fineG += fine
  // Hard pieces in a smooth phase are its coarsest particles; soft curds are not felt as such.
  const met = fine + (solids + rawStarch) * inPieces * hardness
  sums.metG += met
  sums.d90G += met * um
  sums.feltG += fine * felt
  sums.gritG += (WET_GRIT * fine * felt * felt) / (felt * felt + GRIT_UM * GRIT_UM)
  sums.gritG += WET_GRIT * (solids + rawStarch) * inPieces * hardness ** 2
  const mm = rows[from + PIECE_MM] ?? 0
  const isCurd = entry.gels === 'stands'
  const small = isCurd ? 1 / (1 + (mm / SMALL_CURD_MM) ** 4) : 0
  if (isCurd) sums.gritG += CURD_GRIT * massG * inPieces * small
  sums.pieceAnyG += massG * inPieces * mm
  sums.anyG += massG * inPieces
  const swelling = particle.volumeMlPerG * (solids + pulseStarch + rawStarch)
  // Small curds are the body of a spread: they pack as particles do.
  const packed = 1 - inPieces * (1 - small)
  sums.volumeMl += (swelling + (kernel ? poolIn(rows, from, FAT) / 0.92 : 0)) * packed
  if (!kernel) return
  sums.innerFatG += poolIn(rows, from, FAT) * (1 - inPieces)
  sums.kernelG += solids * (1 - inPieces)
  sums.kernelHotG +=
    solids * (1 - inPieces) * (poolIn(rows, from, STARCH) > 0 ? (rows[from + SWOLLEN] ?? 0) : 0)
}

function addStarch(sums: Sums, { source: { entry }, isMilled }: Row, rows: Float64Array, from: number): void {
  const grams = poolIn(rows, from, STARCH)
  if (grams <= 0) return
  const isInCells = !isMilled && entry.food?.foodClass === 'pulse' && entry.matter !== STARCH
  const swollen = grams * (rows[from + SWOLLEN] ?? 0) * (isInCells ? CELL_STARCH : 1)
  const thinned = rows[from + THINNED] ?? 0
  const pieces = entry.matter === STARCH ? 0 : (rows[from + COARSE] ?? 0)
  sums.rawStarchG += grams * (1 - (rows[from + SWOLLEN] ?? 0))
  sums.swollenG += swollen
  sums.thinnedG += swollen * thinned
  if (entry.starch.isAmylose) sums.amyloseG += swollen
  else sums.waxyG += swollen
  sums.swollenMl += swollen * entry.starch.swellingMlPerG * (1 - 0.7 * thinned) * (1 - pieces)
}

function addProtein(sums: Sums, entry: FoodEntry, isWashed: boolean, rows: Float64Array, from: number): void {
  const protein = poolIn(rows, from, PROTEIN)
  const set = rows[from + PROTEIN_SET] ?? 0
  sums.proteinG += protein
  sums.setG += protein * set
  if (!entry.isGluten && !isWashed) return
  const developed = Math.max(rows[from + DEVELOPMENT] ?? 0, entry.glutenDevelopment)
  sums.glutenG += protein
  sums.developedG += protein * developed
  sums.networkG +=
    protein * (NETWORK.raw + NETWORK.developed * developed) * (NETWORK.unset + NETWORK.set * set)
}

/** The agent itself: water that it drew while it dissolved is not agent. */
function addAgent(sums: Sums, entry: FoodEntry, rows: Float64Array, from: number, wholeG: number): void {
  const { agent } = entry
  if (agent === null || wholeG <= 0) return
  const water = poolIn(rows, from, WATER)
  const massG = (wholeG - water) / Math.max(0.05, 1 - (entry.pools[WATER] ?? 0))
  const hydrated = rows[from + HYDRATED] ?? 0
  const acidKept = rows[from + ACID_KEPT] ?? 1
  sums.agents.push({
    family: agent.family,
    massG,
    activeG: massG * agent.strength * hydrated * acidKept,
    hydrated,
    acidKept,
    setC: agent.setC,
    meltsC: agent.meltC,
    setsHot: agent.sets === 'heating',
  })
}

function addCoverage(
  sums: Sums,
  program: Program,
  entry: FoodEntry,
  rows: Float64Array,
  from: number,
  massG: number,
): void {
  const { food } = entry
  const inert = poolIn(rows, from, INERT)
  sums.unknownG += inert
  if (food === null) {
    sums.sodiumUnknownG += massG
    sums.umamiUnknownG += massG
    return
  }
  const usual = program.library.facts.usual.get(food.foodClass)
  if (food.per100g.sodiumMg === null) {
    sums.sodiumUnknownG += massG
    sums.sodiumMostMg += (massG * (usual?.sodiumMostMg ?? 500)) / 100
  }
  if (food.umami !== null || usual === undefined) return
  sums.glutamateGuessG += (massG * usual.glutamateMg) / 100
  sums.glutamateVar += ((massG * usual.glutamateSd) / 100) ** 2
}

export function addRow(
  sums: Sums,
  program: Program,
  rows: Float64Array,
  row: number,
  isSoured: boolean,
): void {
  const of = program.rows[row]
  if (of === undefined) return
  const { entry } = of.source
  const from = row * STRIDE
  const massG = rowMass(rows, row)
  if (massG <= 0) return
  sums.massG += massG
  const fat = poolIn(rows, from, FAT)
  sums.fatG += fat
  sums.emulsifiedG += fat * (rows[from + EMULSIFIED] ?? 0)
  sums.peakG += massG * (rows[from + PEAK_C] ?? 0)
  sums.brownedG += massG * (rows[from + BROWNED] ?? 0)
  addParticles(sums, entry, rows, from, massG)
  addStarch(sums, of, rows, from)
  addProtein(sums, entry, of.isWashed, rows, from)
  addAgent(sums, entry, rows, from, massG)
  addCoverage(sums, program, entry, rows, from, massG)
  addNotes(sums.notes, entry, of.isWashed, rows, from, massG, isSoured)
}

export const shareOf = (part: number, whole: number): number => (whole > LEAST ? part / whole : 0)
