import { type FoodEntry, type Program } from '../program'
import { batchesOf } from './batchOf'
import { pHOf } from './sourness'
import { USUAL_THICKNESS_MM } from './drying'
import {
  BATH_MIN,
  COLD_H,
  COLDEST_C,
  CORE_C,
  CULTURE_PH,
  LOT_STRIDE,
  OVERRUN_PCT,
  rowMass,
  SURFACE_DRY,
  type Workspace,
} from './workspace'

import { addRow, shareOf, Sums } from './stateSums'

import type { PartState } from './stateTypes'

/** A food's pH is known to so much; acids that the table does not state widen it. Practice. */
const PH_SD = 0.4
const PH_SD_UNKNOWN = 1
const OIL_FILM_G = 8
/** From this share on, pieces say how thick what is served is. Practice. */
const LEAST_PIECES = 0.3

/** Warmth, air and surface of what is on the bench at the end, by mass. */
function lotsAtEnd(program: Program, space: Workspace) {
  let mass = 0
  let warm = 0
  let air = 0
  let dry = 0
  let coldH = 0
  let coldest = 0
  let thick = 0
  let known = 0
  let breaded = 0
  let bathMin = 0
  let culture = Number.NaN
  for (const { op, rows } of program.finals) {
    let grams = 0
    for (const row of rows) grams += rowMass(space.rows, row)
    const lot = op * LOT_STRIDE
    mass += grams
    warm += grams * (op < 0 ? 20 : (space.lots[lot + CORE_C] ?? 20))
    coldest += grams * (op < 0 ? 20 : (space.lots[lot + COLDEST_C] ?? 20))
    if (op < 0) continue
    coldH += grams * (space.lots[lot + COLD_H] ?? 0)
    bathMin = Math.max(bathMin, space.lots[lot + BATH_MIN] ?? 0)
    const of = program.ops[op]
    const mm =
      of?.thicknessMm ?? (of === undefined || of.form === 'pieces' ? null : USUAL_THICKNESS_MM[of.form])
    if (of?.form === 'breaded') breaded += grams
    if (mm !== null) {
      thick += grams * mm
      known += grams
    }
    air += grams * (space.lots[lot + OVERRUN_PCT] ?? 0)
    dry += grams * (space.lots[lot + SURFACE_DRY] ?? 0)
    const pH = space.lots[lot + CULTURE_PH] ?? Number.NaN
    if (!Number.isNaN(pH)) culture = Number.isNaN(culture) ? pH : Math.min(culture, pH)
  }
  return {
    servedC: mass > 0 ? warm / mass : 20,
    overrunPct: shareOf(air, mass),
    dry: shareOf(dry, mass),
    culture,
    cooling: { coldH: shareOf(coldH, mass), coldestC: mass > 0 ? coldest / mass : 20 },
    thicknessMm: known > 0 ? thick / known : Number.NaN,
    breaded: shareOf(breaded, mass),
    bathMin,
  }
}

/** What a part is made of and like, from its evaluated rows. */
export function partState(program: Program, space: Workspace): PartState {
  const sums = new Sums()
  const { rows } = space
  const end = lotsAtEnd(program, space)
  const isSoured = !Number.isNaN(end.culture)
  for (const row of program.finalRows) addRow(sums, program, rows, row, isSoured)
  const entryOf = (row: number): FoodEntry => {
    const of = program.rows[row]
    if (of === undefined) throw new Error(`partState: no row ${row}`)
    return of.source.entry
  }
  const acidPH = pHOf({ rows, entry: entryOf }, program.finalRows)
  const { cooked, mixed } = batchesOf(program, rows, program.finalRows)
  cooked.glutamateMg += sums.glutamateGuessG
  const freeFat = Math.max(0, sums.fatG - sums.emulsifiedG)
  return {
    mixed,
    cooked,
    servedC: end.servedC,
    peakC: shareOf(sums.peakG, sums.massG),
    particles: {
      coarseShare: shareOf(sums.coarseG, sums.massG),
      pieceMm: shareOf(sums.pieceG, sums.coarseG),
      d90Um: shareOf(sums.d90G, sums.metG),
      feltUm: shareOf(sums.feltG, sums.fineG),
      gritPct: 100 * shareOf(sums.gritG, sums.massG),
      volumeMl: sums.volumeMl,
      innerFatG: sums.innerFatG,
      heatedKernels: shareOf(sums.kernelHotG, sums.kernelG),
    },
    starch: {
      swollenG: sums.swollenG,
      amyloseG: sums.amyloseG,
      waxyG: sums.waxyG,
      rawG: sums.rawStarchG,
      swollenMl: sums.swollenMl,
      thinned: shareOf(sums.thinnedG, sums.swollenG),
    },
    proteinSet: shareOf(sums.setG, sums.proteinG),
    glutenDevelopment: shareOf(sums.developedG, sums.glutenG),
    glutenNetworkG: sums.networkG,
    emulsifiedFatG: sums.emulsifiedG,
    agents: sums.agents,
    overrunPct: end.overrunPct,
    pH: {
      value: Number.isNaN(end.culture) ? acidPH : Math.min(end.culture, acidPH),
      sd: PH_SD + PH_SD_UNKNOWN * shareOf(sums.unknownG, sums.massG),
    },
    surface: {
      dry: end.dry,
      browned: shareOf(sums.brownedG, sums.massG),
      oilFilm: 1 - Math.exp(-shareOf(100 * freeFat, sums.massG) / OIL_FILM_G),
    },
    notes: sums.notes,
    thicknessMm:
      Number.isNaN(end.thicknessMm) && sums.anyG > LEAST_PIECES * sums.massG
        ? sums.pieceAnyG / sums.anyG
        : end.thicknessMm,
    breaded: end.breaded,
    cooling: end.cooling,
    culturePH: end.culture,
    bathMin: end.bathMin,
    coverage: {
      composition: 1 - shareOf(sums.unknownG, sums.massG),
      sodium: 1 - shareOf(sums.sodiumUnknownG, sums.massG),
      umami: 1 - shareOf(sums.umamiUnknownG, sums.massG),
      glutamateSdMg: Math.sqrt(sums.glutamateVar),
      sodiumMostMg: sums.sodiumMostMg,
    },
  }
}
