import type { MeasureRegion, UnitId } from '../model'

/** Grams in one of a mass unit. @source International avoirdupois pound 0.45359237 kg (exact); stick: half a US cup of butter */
export const GRAMS_PER: Partial<Record<UnitId, number>> = {
  g: 1,
  kg: 1000,
  mg: 0.001,
  oz: 28.349523125,
  lb: 453.59237,
  stick: 113.4,
}

interface VolumeUnit {
  /** mL in each region's reading of the unit. */
  readonly mL: Record<MeasureRegion, number>
  /** Spoons and smaller: measured less exactly than cups. */
  readonly isSpoon: boolean
}

const TABLESPOON: VolumeUnit = {
  mL: { us: 14.78676, metric: 15, australian: 20, imperial: 17.7582 },
  isSpoon: true,
}
const CUP: VolumeUnit = {
  mL: { us: 236.588, metric: 250, australian: 250, imperial: 284.131 },
  isSpoon: false,
}

/** What a bare cup and tablespoon hold where a recipe comes from, mL. */
export const regionMeasures = (region: MeasureRegion): { cupMl: number; tbspMl: number } => ({
  cupMl: CUP.mL[region],
  tbspMl: TABLESPOON.mL[region],
})

const everywhere = (mL: number, isSpoon = false): VolumeUnit => ({
  mL: { us: mL, metric: mL, australian: mL, imperial: mL },
  isSpoon,
})

/**
 * Millilitres in one of a volume unit.
 * @source US customary units by law; metric cup and spoons (AS 1325 style, 20 mL Australian tablespoon);
 *   imperial gallon 4.54609 L (exact); pinch, dash, smidgen spoons, splashes, mugs, glasses and ladles: practice
 */
export const VOLUME_UNITS: Partial<Record<UnitId, VolumeUnit>> = {
  mL: everywhere(1),
  cL: everywhere(10),
  dL: everywhere(100),
  L: everywhere(1000),
  tsp: { mL: { us: 4.92892, metric: 5, australian: 5, imperial: 5.9194 }, isSpoon: true },
  tbsp: TABLESPOON,
  cup: CUP,
  'fl-oz': { mL: { us: 29.5735, metric: 29.5735, australian: 28.4131, imperial: 28.4131 }, isSpoon: false },
  pint: { mL: { us: 473.176, metric: 568.261, australian: 568.261, imperial: 568.261 }, isSpoon: false },
  quart: { mL: { us: 946.353, metric: 1136.52, australian: 1136.52, imperial: 1136.52 }, isSpoon: false },
  gallon: { mL: { us: 3785.41, metric: 4546.09, australian: 4546.09, imperial: 4546.09 }, isSpoon: false },
  dessertspoon: everywhere(10, true),
  'au-tbsp': everywhere(20, true),
  'metric-cup': everywhere(250),
  'us-cup': everywhere(236.588),
  go: everywhere(180),
  mug: everywhere(300),
  glass: everywhere(200),
  ladle: everywhere(120),
  tad: everywhere(1.23, true),
  dash: everywhere(0.62, true),
  pinch: everywhere(0.31, true),
  smidgen: everywhere(0.15, true),
  drop: everywhere(0.05, true),
  splash: everywhere(5, true),
  drizzle: everywhere(7, true),
  glug: everywhere(15, true),
}

/** Millimetres in one of a length unit: a length of ginger or seaweed stands for a piece of that length. */
export const LENGTH_MM: Partial<Record<UnitId, number>> = { cm: 10, inch: 25.4 }

/** Relative sd of gestures that no spoon measures. Practice. */
export const GESTURE_RSD: Partial<Record<UnitId, number>> = {
  pinch: 0.4,
  dash: 0.4,
  smidgen: 0.4,
  tad: 0.3,
  drop: 0.3,
  splash: 0.5,
  drizzle: 0.5,
  glug: 0.5,
  handful: 0.35,
  knob: 0.3,
  mug: 0.15,
  glass: 0.2,
  ladle: 0.2,
}

/** Units that hold a stated net content. */
export const PACK_UNITS: ReadonlySet<UnitId> = new Set<UnitId>([
  'can',
  'pack',
  'block',
  'jar',
  'carton',
  'bag',
  'sachet',
])

const NAMES: Record<UnitId, string> = {
  g: 'g gr gm gms gram grams gramme grammes',
  kg: 'kg kgs kilo kilos kilogram kilograms kilogramme',
  mg: 'mg milligram milligrams',
  oz: 'oz ozs ounce ounces',
  lb: 'lb lbs pound pounds',
  stick: 'stick sticks',
  mL: 'ml mls milliliter milliliters millilitre millilitres cc',
  cL: 'cl centiliter centilitre centilitres',
  dL: 'dl deciliter deciliters decilitre decilitres',
  L: 'l ltr litre litres liter liters',
  tsp: 'tsp tsps ts teaspoon teaspoons teaspoonful teaspoonfuls tl',
  tbsp: 'tbsp tbsps tbs tbl tblsp tablespoon tablespoons tablespoonful tablespoonfuls el',
  cup: 'cup cups c cupful cupfuls',
  'fl-oz': 'floz',
  pint: 'pint pints pt pts',
  quart: 'quart quarts qt qts',
  gallon: 'gallon gallons gal',
  dessertspoon: 'dessertspoon dessertspoons dsp dstsp',
  'au-tbsp': '',
  'metric-cup': '',
  'us-cup': '',
  go: '',
  mug: 'mug mugs mugful mugfuls',
  glass: 'glass glasses glassful',
  ladle: 'ladle ladles ladleful ladlefuls',
  tad: 'tad',
  dash: 'dash dashes',
  pinch: 'pinch pinches',
  smidgen: 'smidgen smidgens smidge',
  drop: 'drop drops',
  splash: 'splash splashes',
  drizzle: 'drizzle',
  glug: 'glug glugs',
  handful: 'handful handfuls',
  knob: 'knob knobs',
  can: 'can cans tin tins',
  pack: 'pack packs packet packets package packages pkg pkgs pkt box boxes tub tubs pot pots punnet punnets',
  block: 'block blocks brick bricks cake',
  jar: 'jar jars bottle bottles',
  carton: 'carton cartons',
  bag: 'bag bags',
  clove: 'clove cloves',
  head: 'head heads',
  bunch: 'bunch bunches',
  sprig: 'sprig sprigs',
  stalk: 'stalk stalks stick_of rib ribs',
  leaf: 'leaf leaves',
  slice: 'slice slices',
  sheet: 'sheet sheets',
  piece: 'piece pieces pc pcs',
  cube: 'cube cubes',
  ear: 'ear ears',
  bulb: 'bulb bulbs',
  sachet: 'sachet sachets envelope envelopes',
  cap: 'cap caps',
  pod: 'pod pods',
  bar: 'bar bars',
  strip: 'strip strips',
  cm: 'cm centimetre centimetres centimeter centimeters',
  inch: 'inch inches',
  juiced: '',
  zested: '',
}

const UNIT_BY_NAME = new Map<string, UnitId>(
  Object.entries(NAMES).flatMap(([unit, names]) =>
    names
      .split(' ')
      .filter((name) => name !== '')
      .map((name) => [name, unit as UnitId]),
  ),
)

/**
 * The unit that a written word names. A lone "T" is a tablespoon and a lone "t" a teaspoon; all else ignores case.
 * @param word letters only, a trailing full stop is allowed
 * @returns null when the word is no unit
 */
export function unitNamed(word: string): UnitId | null {
  const bare = word.endsWith('.') ? word.slice(0, -1) : word
  if (bare === 'T' || bare === 'Tb' || bare === 'TB') return 'tbsp'
  if (bare === 't') return 'tsp'
  return UNIT_BY_NAME.get(bare.toLowerCase()) ?? null
}

export type UnitKind = 'mass' | 'volume' | 'count'

/** What a unit measures; a bare count (null) and pieces are "count". */
export function unitKind(unit: UnitId | null): UnitKind {
  if (unit === null) return 'count'
  if (GRAMS_PER[unit] !== undefined) return 'mass'
  return VOLUME_UNITS[unit] === undefined ? 'count' : 'volume'
}

const SHOWN: Partial<Record<UnitId, readonly [string, string]>> = {
  cup: ['cup', 'cups'],
  'us-cup': ['US cup', 'US cups'],
  'metric-cup': ['metric cup', 'metric cups'],
  'au-tbsp': ['tbsp (20 mL)', 'tbsp (20 mL)'],
  'fl-oz': ['fl oz', 'fl oz'],
  leaf: ['leaf', 'leaves'],
  bunch: ['bunch', 'bunches'],
  pinch: ['pinch', 'pinches'],
  dash: ['dash', 'dashes'],
  splash: ['splash', 'splashes'],
  inch: ['inch', 'inches'],
  glass: ['glass', 'glasses'],
}
const UNINFLECTED: ReadonlySet<UnitId> = new Set<UnitId>([
  'g',
  'kg',
  'mg',
  'oz',
  'lb',
  'mL',
  'cL',
  'dL',
  'L',
  'cm',
  'tsp',
  'tbsp',
  'go',
])

/** A unit as a cook writes it, in the singular up to one. */
export function unitLabel(unit: UnitId, quantity: number): string {
  const shown = SHOWN[unit]
  if (shown !== undefined) return quantity > 1 ? shown[1] : shown[0]
  return UNINFLECTED.has(unit) || quantity <= 1 ? unit : `${unit}s`
}
