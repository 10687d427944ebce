import { saltPct, umamiOf } from '../flavour'
import { filmStrength, packedFraction } from './foams'
import { gelAt, weepRisk } from './gels'
import { bitterIndex, butteryIndex, cultured, dosePct, lacticPct, roastIndex, sourPct } from './notes'
import {
  agent,
  breakers,
  chewNetwork,
  chewy,
  crust,
  expressible,
  fat,
  flecks,
  free,
  gelIndex,
  hydration,
  listedAgent,
  log10,
  of,
  pct,
  perFat,
  PROTEINS,
  setFat,
  setFatAt,
  softToGluten,
  solids,
  strandShare,
  strandStarch,
  surfaceWater,
  thickness,
  viscosity,
  type Served,
} from './structure'
import { waterSlack } from './water'

export type { Served } from './structure'

/** Which facts of the foods a figure rests on: it is known only as far as they are. */
export type Knowledge = 'composition' | 'sodium' | 'umami'

export interface Input {
  readonly label: string
  readonly unit: string
  readonly source: string
  readonly knows: Knowledge
  readonly value: (served: Served) => number
  /** It is log10 of the input of the same name without "log_". */
  readonly isLog: boolean
}

const BALANCE = 'mass balance of the lines and the method'

const input = (
  label: string,
  unit: string,
  source: string,
  value: Input['value'],
  knows: Knowledge = 'composition',
): Input => ({ label, unit, source, value, knows, isLog: false })
const logOf = ({ label, source, value, knows }: Input): Input => ({
  label: `log10 of ${label.toLowerCase()}`,
  unit: '',
  source,
  value: (served) => log10(value(served)),
  knows,
  isLog: true,
})

const PRACTICE = 'solids and sauce tables; practice'
const METHOD = 'cutting, folding and pulling of the method; practice'
const DOSES = 'dose tables of flavour notes; practice'

const FAT = input('Fat', '%', BALANCE, fat)
const VISCOSITY = input(
  'Thickness at serving',
  'Pa·s',
  'suspension in a thickened liquid; practice',
  viscosity,
)
const GRIT = input('Grit', '%', 'kitchen measurement P14; practice', ({ state }) => state.particles.gritPct)
const FELT = input(
  'Felt particle size',
  'µm',
  'blending of the method; practice',
  ({ state }) => state.particles.feltUm,
)
const EMULSIFIED_FAT = input('Fat held in droplets', '%', 'shear and protein; practice', (served) =>
  pct(served.state.emulsifiedFatG, served),
)
const PIECE = input('Piece size', 'mm', 'cutting and pulsing of the method; practice', ({ state }) =>
  state.particles.coarseShare > 0 ? state.particles.pieceMm : 0,
)
const EXPRESSIBLE = input('Water and fat pressed out', '%', 'kitchen measurement P6; practice', expressible)
const SALT = input(
  'Salt, all sources',
  '%',
  'Regulation (EU) 1169/2011: sodium × 2.5',
  ({ state }) => saltPct(state.cooked),
  'sodium',
)
const SAVOURY = input(
  'Savoury as glutamate',
  'g/100 g',
  'Yamaguchi et al. 1971',
  ({ state }) => umamiOf(state.cooked),
  'umami',
)
const GEL = input(
  'Set strength',
  'kPa-like',
  'gel laws (c − c0)²; Handbook of Hydrocolloids 2009; practice',
  gelIndex,
)
const SET_FAT = input('Set fat on the plate', '%', 'solid fat content by kind of fat; practice', setFat)
const NETWORK = input('Chewy network', '%', PRACTICE, chewNetwork)
const SWEET = input('Sweetness as sugar', '%', 'sugars of the mass balance', of('sugarsG'))
const SOUR = input('Sourness as citric acid', '%', 'acid and pH; practice', ({ state }) => sourPct(state))
const BITTER = input('Bitterness', '', DOSES, ({ state }) => bitterIndex(state))
const SMOKE = input('Smoke as smoked paprika', 'g/100 g', DOSES, ({ state }) => dosePct(state, 'smoke'))
const SULPHUR = input('Sulphur as black salt', 'g/100 g', DOSES, ({ state }) => dosePct(state, 'sulphur'))
const LACTIC = input('Lactic acid', '%', 'foods and the culture of the method; practice', ({ state }) =>
  lacticPct(state),
)
const MARINE = input('Sea as dried seaweed', 'g/100 g', DOSES, ({ state }) => dosePct(state, 'marine'))
const SPICE = input('Warm spice', 'g/100 g', DOSES, ({ state }) => dosePct(state, 'warmSpice'))

/** Named functions of a part's state: what the families' tables speak of. Masses are % of the cooked mass. */
export const INPUTS = {
  water: input('Water', '%', BALANCE, of('waterG')),
  protein: input('Protein', '%', BALANCE, (served) =>
    PROTEINS.reduce((sum, field) => sum + of(field)(served), 0),
  ),
  fat: FAT,
  log_fat: logOf(FAT),
  liquid_fat: input('Liquid fat', '%', BALANCE, (served) => Math.max(0, fat(served) - setFat(served))),
  fat_to_solids: input(
    'Fat per dry matter',
    'g/g',
    BALANCE,
    (served) => fat(served) / Math.max(0.1, solids(served) - fat(served)),
  ),
  oil_per_solids: input(
    'Oil per dry matter',
    'g/g',
    BALANCE,
    (served) => Math.max(0, fat(served) - setFat(served)) / Math.max(0.1, solids(served) - fat(served)),
  ),
  dry_solids: input('Dry matter', '%', BALANCE, solids),
  dry_solids_no_fat: input('Dry matter without fat', '%', BALANCE, (served) => solids(served) - fat(served)),
  sugars: input('Sugars', '%', BALANCE, of('sugarsG')),
  soluble_fibre: input('Soluble fibre', '%', BALANCE, of('gumG')),
  gluten_protein: input('Gluten protein', '%', BALANCE, of('glutenProteinG')),
  gluten_network: input('Working gluten', '%', 'developed and set gluten; practice', (served) =>
    pct(served.state.glutenNetworkG, served),
  ),
  gluten_development: input(
    'Gluten development',
    '',
    'kneading of the method; practice',
    ({ state }) => state.glutenDevelopment,
  ),
  hydration: input('Water per gluten flour', 'g/g', PRACTICE, hydration),
  soft_to_gluten: input('Soft solids per gluten flour', 'g/g', PRACTICE, softToGluten),
  strand_share: input('Strands in the dry matter', '%', METHOD, strandShare),
  chew_network: NETWORK,
  log_chew_network: logOf(NETWORK),
  protein_set: input(
    'Protein set',
    '',
    'core temperature of the method; kitchen measurement P19',
    ({ state }) => state.proteinSet,
  ),
  free_hot: input('Free water, hot', '%', 'water budget: holding capacities, vapour that left', free),
  slack: input('Slack', 'g/100 g', 'water budget of the rested mix', ({ state }) =>
    waterSlack(state.mixed, 'cold'),
  ),
  centred_slack: input(
    'Centred slack',
    'g/100 g',
    'water budget of the rested mix less the family’s own',
    ({ state, slackCentre }) => waterSlack(state.mixed, 'cold') - slackCentre,
  ),
  surface_water: input('Water near the surface', '%', 'dry heat of the method; practice', surfaceWater),
  crust: input('Crust', '', 'dry heat of the method; practice', crust),
  oil_film: input(
    'Oil film',
    '',
    'fat that is not in droplets; practice',
    ({ state }) => state.surface.oilFilm,
  ),
  expressible: EXPRESSIBLE,
  log_expressible: logOf(EXPRESSIBLE),
  chew_solids: input('Chewy solids', '%', 'worked gluten, texturised protein, mushroom; practice', chewy),
  binder_hot: input(
    'Binder hold, hot',
    'eq',
    'binder strengths, as far as they are switched on; practice',
    of('binderHotEE'),
  ),
  binder_cold: input('Binder hold, cold', 'eq', 'binder strengths, raw; practice', of('binderColdEE')),
  coarse_share: input(
    'Pieces',
    '%',
    'cutting, pulsing, mashing and blending of the method; practice',
    ({ state }) => 100 * state.particles.coarseShare,
  ),
  piece_mm: PIECE,
  log_piece_mm: logOf(PIECE),
  thickness_mm: input('Thickness of the piece', 'mm', 'shaping and slicing of the method', thickness),
  crumb_share: input('Crumbed curd', '%', METHOD, (served) => pct(served.state.notes.crumbG, served)),
  d90_um: input(
    'Particle size (90 %)',
    'µm',
    'blending of the method; practice',
    ({ state }) => state.particles.d90Um,
  ),
  visc_serve: VISCOSITY,
  log_visc_serve: input('log10 of thickness', '', 'suspension in a thickened liquid; practice', (served) =>
    Math.log10(viscosity(served) + 1e-5),
  ),
  grit: GRIT,
  log_grit: logOf(GRIT),
  log_felt_um: logOf(FELT),
  emulsified: input('Share of the fat in droplets', '', 'shear and protein; practice', (served) =>
    perFat(served.state.emulsifiedFatG, served),
  ),
  emulsified_fat: EMULSIFIED_FAT,
  log_emulsified_fat: logOf(EMULSIFIED_FAT),
  gel_starch: input('Cooked starch', '%', 'heat of the method against gelatinisation', (served) =>
    pct(served.state.starch.swollenG, served),
  ),
  waxy_starch: input('Cooked waxy starch', '%', 'heat of the method against gelatinisation', (served) =>
    pct(served.state.starch.waxyG, served),
  ),
  strand_starch: input('Elastic cooked starch', '%', PRACTICE, strandStarch),
  water_per_starch: input(
    'Water to starch',
    'g/g',
    BALANCE,
    (served) => of('waterG')(served) / Math.max(0.05, pct(served.state.starch.swollenG, served)),
  ),
  strand_breakers: input('Thread breakers', '%', PRACTICE, breakers),
  flecks: input('Flecks', '', 'curdling and oil beads; practice', flecks),
  agar: input('Boiled agar', '%', 'agents that dissolved; practice', agent('agar')),
  agar_listed: input('Agar in the mix', '%', BALANCE, listedAgent('agar')),
  carrageenan_listed: input('Carrageenan in the mix', '%', BALANCE, listedAgent('carrageenan')),
  kappa: input('Carrageenan', '%', 'agents that dissolved; practice', agent('carrageenan')),
  gel_index: GEL,
  log_gel_index: logOf(GEL),
  melts_c: input(
    'Melts at',
    '°C',
    'melting points of the gels; practice',
    ({ state, servingC }) => gelAt(state, Math.min(servingC, 20)).meltsC,
  ),
  weep_risk: input('Weeping risk', '', 'kitchen measurement P18; practice', ({ state, servingC }) =>
    weepRisk(state, servingC),
  ),
  set_fat: SET_FAT,
  log_set_fat: logOf(SET_FAT),
  set_fat_22: input('Set fat at 22 °C', '%', 'solid fat content by kind of fat; practice', setFatAt(22)),
  set_fat_35: input('Set fat at 35 °C', '%', 'solid fat content by kind of fat; practice', setFatAt(35)),
  melting_fat: input(
    'Fat that melts on the tongue',
    '%',
    'solid fat content by kind of fat; practice',
    (served) => Math.max(0, setFat(served) - setFatAt(35)(served)),
  ),
  overrun: input('Air', '%', 'whipping of the method; practice', ({ state }) => state.overrunPct),
  packed_fraction: input('Packed volume', '', 'air and clumped fat; practice', (served) =>
    packedFraction(served.state, setFat(served)),
  ),
  film_strength: input('Foam films', '', 'foamer in its liquid, solid fat, sugar; practice', (served) =>
    filmStrength(served.state, setFat(served)),
  ),
  alginate_skin_min: input(
    'Time in the bath',
    'min',
    'setting bath of the method',
    ({ state }) => state.bathMin,
  ),
  ph: input(
    'Acidity',
    'pH',
    'acids of the foods, culture of the method; practice',
    ({ state }) => state.pH.value,
  ),
  salt: SALT,
  log_salt: logOf(SALT),
  msg_eq: SAVOURY,
  log_msg_eq: logOf(SAVOURY),
  sweet_eq: SWEET,
  log_sweet_eq: logOf(SWEET),
  sour_eq: SOUR,
  log_sour_eq: logOf(SOUR),
  log_bitter: logOf(BITTER),
  log_smoke: logOf(SMOKE),
  roast_index: input('Roasted notes', '', DOSES, ({ state }) => roastIndex(state)),
  log_sulphur_dose: logOf(SULPHUR),
  log_lactic_acid: logOf(LACTIC),
  cultured: input('Culture notes', '', DOSES, ({ state }) => cultured(state)),
  buttery_dose: input('Butter notes', '', DOSES, ({ state }) => butteryIndex(state)),
  log_marine_dose: logOf(MARINE),
  log_warm_spice: logOf(SPICE),
} as const satisfies Record<string, Input>
export type InputId = keyof typeof INPUTS

export const inputOf = (id: InputId): Input => INPUTS[id]
/** What a logarithm is taken of, where that is an input itself: a cook reads "fat 12 %", not its logarithm. */
export function plainOf(id: InputId): InputId | null {
  const plain = id.slice('log_'.length)
  return inputOf(id).isLog && isInput(plain) ? plain : null
}
export const isInput = (id: string): id is InputId => Object.hasOwn(INPUTS, id)
