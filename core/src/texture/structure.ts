import { type Batch, BATCH_FIELDS } from '../composition'
import type { PartState } from '../process'
import { setFatPct } from './fats'
import { agentPct, gelAt } from './gels'
import { smoothFloor } from './responses'
import { viscosityAt } from './viscosity'
import type { WaterBudget } from './water'

/** A part as a reading sees it: its state, where its water is, and how warm it comes to the table. */
export interface Served {
  readonly state: PartState
  readonly water: WaterBudget
  readonly servingC: number
  /** Slack of the family's mixes when they are right, g per 100 g: where centred slack is 0. */
  readonly slackCentre: number
}

export const pct = (grams: number, { state }: Served): number =>
  state.cooked.massG > 0 ? (100 * grams) / state.cooked.massG : 0
export const of = (field: keyof Batch) => (served: Served) => pct(served.state.cooked[field], served)
export const fat = of('fatG')
export const solids = of('dryMatterG')
export const free = (served: Served): number => pct(served.water.freeG, served)
export const log10 = (value: number): number => Math.log10(value + 0.001)
export const viscosity = (served: Served): number => viscosityAt(served.state, served.servingC)

/** Chewy solids: worked gluten, texturised protein, mushroom flesh, and half of what other plants part in strands. @source solids tables; practice */
export const chewy = (served: Served): number => {
  const { cooked, glutenNetworkG, notes } = served.state
  const chewed = 1.3 * glutenNetworkG + 0.7 * cooked.texturisedG + 1.2 * cooked.fungalSolidsG
  return pct(chewed + 0.6 * notes.plantStrandG, served)
}

/** The teeth press out a little of the water that is held beyond this, % of the mass. Practice. */
const HELD_PRESSED = 0.1
const FIRMLY_HELD_PCT = 30
/** Of the fat that is neither crystallised nor inside particles, this share leaves on the first bites. Practice. */
const FAT_PRESSED = 0.25
/** Water and melted fat pressed out on the first bites. @source kitchen measurement P6; practice */
export const expressible = (served: Served): number => {
  const held = of('waterG')(served) - free(served)
  const bitten = HELD_PRESSED * smoothFloor(held - FIRMLY_HELD_PCT, 8)
  const inside = pct(served.state.particles.innerFatG, served)
  const melted = smoothFloor(
    fat(served) - inside - setFatPct(served.state, served.servingC, served.servingC),
    1,
  )
  return free(served) + bitten + FAT_PRESSED * melted
}

/** Curds and beads that the eye finds in a smooth sauce, 0 to 1. @source sauce tables: soy protein above 70 C below pH 5.8; practice */
const CURDLES_C = 70
const CURDLES_PH = 5.9
export function flecks(served: Served): number {
  const { state } = served
  const soy = Math.min(1, of('soyProteinG')(served))
  const hot = 1 / (1 + Math.exp((CURDLES_C - state.peakC) / 3))
  const curdled = (0.6 * soy * hot) / (1 + Math.exp((state.pH.value - CURDLES_PH) / 0.12))
  const beads = 0.4 * state.surface.oilFilm
  return 1 - 0.96 * (1 - curdled) * (1 - beads)
}

/** Every kind of protein that a batch counts. */
export const PROTEINS = BATCH_FIELDS.filter((field) => field.endsWith('ProteinG'))
const THIN_MM = 6
/** A dry surface holds so little of the water that is inside. Practice. */
const DRIED_SHARE = 0.85
/** A piece of which nothing says how thick it is, mm. */
const USUAL_MM = 15

export const thickness = ({ state }: Served): number => {
  if (!Number.isNaN(state.thicknessMm)) return state.thicknessMm
  return state.particles.coarseShare > 0.5 ? state.particles.pieceMm : USUAL_MM
}

/** Water of the outer 2 mm; of the whole piece where it is thin. @source solids tables; practice */
export const surfaceWater = (served: Served): number => {
  const { surface } = served.state
  const thick = 1 / (1 + Math.exp((THIN_MM - thickness(served)) / 1.5))
  return of('waterG')(served) * (1 - DRIED_SHARE * surface.dry * thick)
}

/** Dry and brown skin, 0 to 1; flour, batter and crumbs crust sooner. Practice. */
export const crust = ({ state }: Served): number => {
  const { dry, browned } = state.surface
  return 1 - (1 - Math.sqrt(dry * browned)) * (1 - 0.6 * state.breaded * dry)
}

/** Dry gluten flour below this share of the mix has no say, %. @source solids tables */
const LEAST_GLUTEN_PCT = 6
const glutenFlour = (served: Served): number => pct(served.state.notes.glutenFlourG, served)

/** Water that the gluten can take per gram of its flour: kneading draws half of what other foods would hold. @source R_eff of the functional ingredients; practice */
const AS_BOUGHT = 1.08
export const hydration = (served: Served): number => {
  const { notes, mixed } = served.state
  if (glutenFlour(served) < LEAST_GLUTEN_PCT) return 0
  return Math.max(0, mixed.waterG - 0.5 * notes.otherHoldG) / (AS_BOUGHT * notes.glutenFlourG)
}
const MOST_SOFT = 5
export const softToGluten = (served: Served): number => {
  const flour = glutenFlour(served)
  if (flour < LEAST_GLUTEN_PCT) return MOST_SOFT
  return Math.min(MOST_SOFT, Math.max(0, (solids(served) - fat(served) - flour) / flour))
}
export const strandShare = (served: Served): number => {
  const dry = solids(served) - fat(served)
  return dry > 0 ? Math.min(100, (100 * pct(served.state.notes.strandG, served)) / dry) : 0
}
export const setFat = (served: Served): number => setFatPct(served.state, served.servingC, served.servingC)
export const setFatAt = (tempC: number) => (served: Served) => setFatPct(served.state, served.servingC, tempC)
export const gelIndex = (served: Served): number => gelAt(served.state, served.servingC).index
export const agent = (family: string) => (served: Served) => agentPct(served.state, family)
/** An agent as it was weighed in, dissolved or not. */
export const listedAgent =
  (family: string) =>
  (served: Served): number => {
    let massG = 0
    for (const one of served.state.agents) if (one.family === family) massG += one.massG
    return pct(massG, served)
  }
export const perFat = (grams: number, { state }: Served): number =>
  state.cooked.fatG > 0 ? grams / state.cooked.fatG : 1
/** Elastic paste: waxy starch that is hot and was not boiled out. @source sauce tables; practice */
export const strandStarch = (served: Served): number =>
  (pct(served.state.starch.waxyG, served) * (1 - 0.6 * served.state.starch.thinned)) /
  (1 + Math.exp((45 - served.servingC) / 5))
export const breakers = (served: Served): number => {
  const { cooked } = served.state
  const particles =
    cooked.nutSolidsG +
    cooked.pulseSolidsG +
    cooked.soySolidsG +
    cooked.vegetableSolidsG +
    cooked.fungalSolidsG
  const kappa = agentPct(served.state, 'carrageenan')
  return pct(particles, served) + 8 * agentPct(served.state, 'agar') + 6 * Math.max(0, kappa - 1.5)
}
/** Sheets, strands and worked gluten that a slice is chewed on. @source sauce tables; practice */
export const chewNetwork = (served: Served): number => {
  const { notes, glutenNetworkG } = served.state
  return pct(notes.strandG + notes.sheetG + glutenNetworkG, served) + 8 * agentPct(served.state, 'konjac')
}
