import type { Batch } from '../composition'
import { saltPct, umamiOf } from '../flavour'
import type { PartState } from '../process'
import { viscosityAt } from './viscosity'
import type { WaterBudget } from './water'

/** A part as a reading sees it: its state, where its water is, and how warm it comes to the table. */
export interface Served {
  readonly state: PartState
  readonly water: WaterBudget
  readonly servingC: number
}

/** Which facts of the foods a figure rests on: it is known only as far as they are. */
export type Knowledge = 'composition' | 'sodium' | 'umami'

export interface Input {
  readonly label: string
  readonly unit: string
  readonly source: string
  readonly knows: Knowledge
  readonly value: (served: Served) => number
}

const pct = (grams: number, { state }: Served): number =>
  state.cooked.massG > 0 ? (100 * grams) / state.cooked.massG : 0
const of = (field: keyof Batch) => (served: Served) => pct(served.state.cooked[field], served)
const fat = of('fatG')
const solids = of('dryMatterG')
const free = (served: Served): number => pct(served.water.freeG, served)
const log10 = (value: number): number => Math.log10(value + 0.001)
const BALANCE = 'mass balance of the lines and the method'
const viscosity = (served: Served): number => viscosityAt(served.state, served.servingC)

/** Chewy solids: worked gluten, texturised protein and mushroom flesh. @source solids tables; practice */
const chewy = (served: Served): number => {
  const { cooked, glutenNetworkG } = served.state
  return pct(1.3 * glutenNetworkG + 0.7 * cooked.texturisedG + 1.2 * cooked.fungalSolidsG, served)
}

/** Water and melted fat pressed out on the first bites. @source kitchen measurement P6; practice */
const expressible = (served: Served): number => {
  const solidFat = of('solidFatG')(served)
  return free(served) + 0.22 * (fat(served) - solidFat) + 0.3 * solidFat
}

/** Curds and beads that the eye finds in a smooth sauce, 0 to 1. @source sauce tables: soy protein above 70 C below pH 5.8; practice */
const CURDLES_C = 70
const CURDLES_PH = 5.9
function flecks(served: Served): number {
  const { state } = served
  const soy = Math.min(1, of('soyProteinG')(served))
  const hot = 1 / (1 + Math.exp((CURDLES_C - state.peakC) / 3))
  const curdled = (0.6 * soy * hot) / (1 + Math.exp((state.pH.value - CURDLES_PH) / 0.12))
  const beads = 0.4 * state.surface.oilFilm
  return 1 - 0.96 * (1 - curdled) * (1 - beads)
}

const input = (
  label: string,
  unit: string,
  source: string,
  value: Input['value'],
  knows: Knowledge = 'composition',
): Input => ({ label, unit, source, value, knows })

/** Named functions of a part's state: what the families' tables speak of. Masses are % of the cooked mass. */
export const INPUTS = {
  fat: input('Fat', '%', BALANCE, fat),
  log_fat: input('log10 of fat', '', BALANCE, (served) => log10(fat(served))),
  dry_solids: input('Dry matter', '%', BALANCE, solids),
  dry_solids_no_fat: input('Dry matter without fat', '%', BALANCE, (served) => solids(served) - fat(served)),
  free_hot: input('Free water, hot', '%', 'water budget: holding capacities, vapour that left', free),
  expressible: input('Water and fat pressed out', '%', 'kitchen measurement P6; practice', expressible),
  chew_solids: input('Chewy solids', '%', 'worked gluten, texturised protein, mushroom; practice', chewy),
  binder_hot: input(
    'Binder hold, hot',
    'eq',
    'binder strengths, as far as they are switched on; practice',
    of('binderHotEE'),
  ),
  coarse_share: input(
    'Pieces',
    '%',
    'cutting, pulsing, mashing and blending of the method; practice',
    ({ state }) => 100 * state.particles.coarseShare,
  ),
  piece_mm: input(
    'Piece size',
    'mm',
    'cutting and pulsing of the method; practice',
    ({ state }) => state.particles.pieceMm,
  ),
  visc_serve: input('Thickness at serving', 'Pa·s', 'suspension in a thickened liquid; practice', viscosity),
  log_visc_serve: input('log10 of thickness', '', 'suspension in a thickened liquid; practice', (served) =>
    Math.log10(viscosity(served) + 1e-5),
  ),
  grit: input('Grit', '%', 'kitchen measurement P14; practice', ({ state }) => state.particles.gritPct),
  log_grit: input('log10 of grit', '', 'kitchen measurement P14; practice', ({ state }) =>
    log10(state.particles.gritPct),
  ),
  log_felt_um: input('log10 of felt particle size', '', 'blending of the method; practice', ({ state }) =>
    log10(state.particles.feltUm),
  ),
  emulsified_fat: input('Fat held in droplets', '%', 'shear and protein; practice', (served) =>
    pct(served.state.emulsifiedFatG, served),
  ),
  log_emulsified_fat: input('log10 of fat held in droplets', '', 'shear and protein; practice', (served) =>
    log10(pct(served.state.emulsifiedFatG, served)),
  ),
  gel_starch: input('Cooked starch', '%', 'heat of the method against gelatinisation', (served) =>
    pct(served.state.starch.swollenG, served),
  ),
  flecks: input('Flecks', '', 'curdling and oil beads; practice', flecks),
  salt: input(
    'Salt, all sources',
    '%',
    'Regulation (EU) 1169/2011: sodium × 2.5',
    ({ state }) => saltPct(state.cooked),
    'sodium',
  ),
  log_salt: input('log10 of salt', '', 'sodium × 2.5', ({ state }) => log10(saltPct(state.cooked)), 'sodium'),
  msg_eq: input(
    'Savoury as glutamate',
    'g/100 g',
    'Yamaguchi et al. 1971',
    ({ state }) => umamiOf(state.cooked),
    'umami',
  ),
  log_msg_eq: input(
    'log10 of savoury',
    '',
    'Yamaguchi et al. 1971',
    ({ state }) => log10(umamiOf(state.cooked)),
    'umami',
  ),
} as const satisfies Record<string, Input>
export type InputId = keyof typeof INPUTS

export const inputOf = (id: InputId): Input => INPUTS[id]
export const isInput = (id: string): id is InputId => Object.hasOwn(INPUTS, id)
