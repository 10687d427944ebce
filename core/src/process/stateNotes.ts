import { AROMAS, FAT_TEMPS } from '../model'
import { FAT, type FoodEntry, PROTEIN, SOLID, SOLUBLE, STARCH, WATER } from '../program'
import { BROWNED, COARSE, GEL, HOT_MIN, LOOSE, PIECE_MM, STRAND } from './workspace'

/** Sulphur notes leave with this time constant above 80 C, min; those of garlic and onion to a third. @source dose tables of the sauces; practice */
const SULPHUR_TAU_MIN = 8
const SULPHUR_STAYS = 0.33
const SULPHUR = AROMAS.indexOf('sulphur')
/** A cultured milk gives a weaker gel than a pressed curd of as much protein: as if it were so much of it. @source gel index 0.013 p2 against 0.08 p2; practice */
const SOURED_GEL = 0.4
/** Dry gluten flour holds this share of protein. @source gluten powder 75 to 82 % */
const GLUTEN_IN_FLOUR = 0.8
/** Crumbs of a curd are no larger than this, mm. Practice. */
const CRUMB_MM = 20
/** Crumbling leaves 0.3 of a gel: that counts as all crumbs. */
const CRUMBED = 1 / 0.7

/** Notes, solid fat, strands and gels of a part, g and doses: summed row by row. */
export class Notes {
  readonly aromas = new Float64Array(AROMAS.length)
  /** Fat that is solid at each of FAT_TEMPS when it has had time to set, g. */
  readonly solidFatG = new Float64Array(FAT_TEMPS.length)
  /** Dry matter that parts in strands, g. */
  strandG = 0
  /** Of them neither gluten nor mushroom. */
  plantStrandG = 0
  /** Chewy sheets, dry matter, g. */
  sheetG = 0
  gelProteinG = 0
  /** Mass of curds, and of those that are in crumbs, g. */
  crumbG = 0
  foamerG = 0
  foamLiquidG = 0
  glutenFlourG = 0
  /** Water that all but the gluten holds when cold, g. */
  otherHoldG = 0
  /** Browned foods that flavour the rest, as g of browned vegetables. */
  brownedG = 0
  soyDrinkProteinG = 0
  soyDrinkG = 0
}

/** What is left of sulphur notes after so long above 80 C, 0 to 1. @param isVolatile all of them leave, as black salt's do */
export function sulphurLeft(hotMin: number, isVolatile: boolean): number {
  const fresh = Math.exp(-hotMin / SULPHUR_TAU_MIN)
  return isVolatile ? fresh : SULPHUR_STAYS + (1 - SULPHUR_STAYS) * fresh
}

const poolIn = (rows: Float64Array, from: number, pool: number): number =>
  (rows[from + pool] ?? 0) + (rows[from + LOOSE + pool] ?? 0)

/** Browned foods that flavour what they are in, against a vegetable of the same mass. @source 0.03 vegetables, 0.06 toasted nuts and roux flour; dose tables, practice */
const BROWNS_SAVOURY: Readonly<Partial<Record<string, number>>> = {
  vegetable: 1,
  mushroom: 1.5,
  flour: 2,
  nut: 2,
  seed: 2,
}

function addAromas(
  notes: Notes,
  { aromas, aromaPool, isVolatile }: FoodEntry,
  rows: Float64Array,
  from: number,
): void {
  if (aromas === null) return
  const carrier = poolIn(rows, from, aromaPool)
  const sulphur = sulphurLeft(rows[from + HOT_MIN] ?? 0, isVolatile)
  for (let at = 0; at < aromas.length; at += 1) {
    const kept = at === SULPHUR ? sulphur : 1
    notes.aromas[at] = (notes.aromas[at] ?? 0) + (aromas[at] ?? 0) * carrier * kept
  }
}

/** Adds what a row brings. @param isSoured the part was soured by a culture */
export function addNotes(
  notes: Notes,
  entry: FoodEntry,
  isWashed: boolean,
  rows: Float64Array,
  from: number,
  massG: number,
  isSoured: boolean,
): void {
  addAromas(notes, entry, rows, from)
  const protein = poolIn(rows, from, PROTEIN)
  const solids =
    protein + poolIn(rows, from, STARCH) + poolIn(rows, from, SOLID) + poolIn(rows, from, SOLUBLE)
  if (entry.solidFat !== null) {
    const fat = poolIn(rows, from, FAT)
    for (let at = 0; at < entry.solidFat.length; at += 1)
      notes.solidFatG[at] = (notes.solidFatG[at] ?? 0) + fat * (entry.solidFat[at] ?? 0)
  }
  const strand = rows[from + STRAND] ?? 0
  if (entry.isGluten || isWashed) {
    const flour = protein / GLUTEN_IN_FLOUR
    notes.glutenFlourG += flour
    notes.strandG += flour * strand
  } else {
    notes.otherHoldG += entry.holdCold * poolIn(rows, from, entry.matter)
    if (strand > 0) notes.strandG += solids * strand
    if (strand > 0 && entry.food?.foodClass !== 'mushroom') notes.plantStrandG += solids * strand
  }
  if (entry.isSheet) notes.sheetG += solids
  const gel = rows[from + GEL] ?? 0
  if (gel > 0) notes.gelProteinG += protein * gel * (entry.gels === 'curdling' && isSoured ? SOURED_GEL : 1)
  // A block that is only cut keeps its gel; crumbs have lost it.
  if (entry.gels === 'stands' && (rows[from + PIECE_MM] ?? 0) < CRUMB_MM)
    notes.crumbG += massG * (rows[from + COARSE] ?? 0) * Math.min(1, CRUMBED * (1 - gel))
  if (entry.gels === 'curdling') {
    notes.soyDrinkProteinG += protein
    notes.soyDrinkG += protein + poolIn(rows, from, WATER)
  }
  if (entry.isFoamer) {
    notes.foamerG += solids
    notes.foamLiquidG += solids + poolIn(rows, from, WATER)
  }
  const savoury = BROWNS_SAVOURY[entry.food?.foodClass ?? ''] ?? 0
  notes.brownedG += savoury * massG * (rows[from + BROWNED] ?? 0)
}
