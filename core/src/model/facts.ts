import type { FoodClass, ProteinClass, StarchClass } from './ingredient'

/** Parts of a whole food that are not eaten. */
export const REFUSE_PARTS = ['peel', 'core', 'seed', 'stem', 'shell'] as const
export type RefusePart = (typeof REFUSE_PARTS)[number]

/** What the engine and the rules know of one food beside its composition: one row of the library's facts table. */
export interface FoodFact {
  /** Foods of a group behave alike in water and heat: the yields table names the same groups. */
  readonly group: string
  /** Marks by which rules and laws find it: "raw-phaseolus", "watery", "cooked". */
  readonly traits: ReadonlySet<string>
  /** Rest that its gel needs before it holds, min; null where it makes none. */
  readonly restMin: number | null
  /** Least temperature at which it is cooked, C. */
  readonly cookedC: number | null
  /** Size of its whole pieces where it differs from its class's, mm; 0 for a powder or a paste. */
  readonly pieceMm: number | null
  /** Share of the whole food as bought that each part is, 0 to 1; null where the food is all eaten. */
  readonly refuse: Readonly<Record<RefusePart, number>> | null
}

/** A gelling or thickening agent. */
export interface Agent {
  readonly foodId: string
  /** Kind of agent that rules speak of: "agar", "carrageenan". */
  readonly family: string
  /** Gel strength per gram against the family's best powder. */
  readonly strength: number
  /** What it needs to dissolve: heat, or a rest in the cold. */
  readonly hydrates: 'hot' | 'cold'
  readonly hydrateC: number
  readonly hydrateMin: number
  readonly sets: 'cooling' | 'heating' | 'calcium' | 'none'
  readonly setC: number | null
  readonly meltC: number | null
  /** Below this pH, heat cuts its chains; what is left of its strength after a boil. */
  readonly acidPH: number
  readonly acidKeeps: number
  /** Least share of the water phase that sets, %. */
  readonly floorPct: number
  readonly source: string
}

/** How a kind of starch swells, and when it thins again. */
export interface StarchFact {
  readonly lowC: number
  readonly highC: number
  /** Swollen volume in excess water, mL per g. */
  readonly swellingMlPerG: number
  readonly isAmylose: boolean
  /** From this temperature on it thins, with this time constant; null where boiling does it no harm. */
  readonly thinsC: number | null
  readonly thinsMin: number | null
  readonly source: string
}

/** Sizes of a class of foods: whole pieces, ground, and after a strong blender. */
export interface ParticleFact {
  /** Whole pieces, mm; 0 for what is a powder or a liquid. */
  readonly pieceMm: number
  /** Coarse end of its particles when ground or mashed, and after long blending, um. */
  readonly groundUm: number
  readonly blendedUm: number
  /** How much of its particle size the tongue feels, 0 to 1. */
  readonly hardness: number
  /** Hydrated volume of a gram of its dry solids as fine particles, mL. */
  readonly volumeMlPerG: number
}

/** What foods of a class usually hold, where a food's own row is silent: a guess with its scatter, never 0. */
export interface ClassUsual {
  /** Free glutamate, mg per 100 g, and its standard deviation. */
  readonly glutamateMg: number
  readonly glutamateSd: number
  /** Most sodium that is to be expected, mg per 100 g. */
  readonly sodiumMostMg: number
}

/** A culture that sours a base. */
export interface Culture {
  readonly id: string
  readonly bestC: number
  readonly halfwayH: number
  readonly spreadH: number
  readonly freshPH: number
  readonly ripePH: number
}

/** Notes that foods bring: each as a dose on a scale of its own, a gram of the food at a time. */
export const AROMAS = [
  /** g of smoked paprika. */
  'smoke',
  /** g of dried seaweed. */
  'marine',
  /** g of ground warm spice. */
  'warmSpice',
  /** Dose of butter notes. */
  'buttery',
  /** g of black salt. */
  'sulphur',
  /** Points of bitterness. */
  'bitter',
  /** Roasted notes that the food brings ready made. */
  'roast',
  /** g of lactic acid. */
  'lactic',
  /** Culture notes. */
  'cultured',
] as const
export type Aroma = (typeof AROMAS)[number]

/** Temperatures at which the solid fat of a food is stated, C, rising. */
export const FAT_TEMPS = [5, 12, 18, 20, 22, 25, 35] as const

/** Amino acids that a body cannot make; those that stand in for one another are one. */
export const SCORED_AMINO_ACIDS = ['his', 'ile', 'leu', 'lys', 'saa', 'aaa', 'thr', 'trp', 'val'] as const
export type ScoredAminoAcid = (typeof SCORED_AMINO_ACIDS)[number]

/** What a gram of a class of protein usually holds, mg, and how much of it is digested, 0 to 1. */
export interface ProteinFact {
  readonly mgPerG: Readonly<Record<ScoredAminoAcid, number>>
  readonly digestibility: number
  /** Share of lysine, of the sulphur amino acids and of the others that is taken up by the end of the small bowel, 0 to 1. */
  readonly ileal: { readonly lys: number; readonly saa: number; readonly others: number }
  readonly source: string
}

/** What heat and acid do something to. */
export const PIGMENTS = ['betalain', 'anthocyanin', 'chlorophyll', 'carotenoid', 'curcumin'] as const
export type Pigment = (typeof PIGMENTS)[number]

/** Colour of a food as it is, CIE L*, a*, b*, and how strongly a gram of its solids tints a mix. */
export interface ColourFact {
  readonly lab: readonly [l: number, a: number, b: number]
  readonly strength: number
  readonly pigment: Pigment | null
}

/** Trace nutrients of 100 g of a food's dry matter. */
export interface TraceFact {
  readonly zincMg: number
  readonly seleniumUg: number
  readonly iodineUg: number
  readonly iodineLowUg: number
  readonly iodineHighUg: number
  /** 0 for all plants, algae and fungi that are not fortified. */
  readonly b12Ug: number
  /** 0 for all plants and algae that are not fortified; mushrooms that saw light hold some. */
  readonly vitaminDUg: number
  readonly source: string
}

/** What a food needs before it carries its note: to be browned, not to have been hot for long, or (no food) the part's own culture. */
export const SIGNATURE_ASKS = ['browned', 'fades', 'culture'] as const
export type SignatureAsk = (typeof SIGNATURE_ASKS)[number]

/** A food that can carry a note of an original's aroma, and in what dose, % of the mix as it would weigh uncooked. */
export interface SignatureRow {
  /** null: it carries none, and is only watched for too much. */
  readonly note: string | null
  /** null: the part's own culture, whose dose is how far it has soured, 0 to 1. */
  readonly foodId: string | null
  readonly lowPct: number
  readonly highPct: number
  /** From this dose on it reads as something else; null where no such dose is known. */
  readonly badPct: number | null
  /** What it reads as then. */
  readonly turns: string
  readonly asks: SignatureAsk | null
  readonly source: string
}

/** Tables of facts that ship with the library: each fact stands once. */
export interface Facts {
  readonly foods: ReadonlyMap<string, FoodFact>
  /** Group of a food that has no row of its own, by its class. */
  readonly classGroups: ReadonlyMap<FoodClass, string>
  readonly agents: ReadonlyMap<string, Agent>
  readonly starches: ReadonlyMap<StarchClass, StarchFact>
  readonly particles: ReadonlyMap<FoodClass, ParticleFact>
  readonly cultures: ReadonlyMap<string, Culture>
  readonly usual: ReadonlyMap<FoodClass, ClassUsual>
  readonly proteins: ReadonlyMap<ProteinClass, ProteinFact>
  /** Share of a food's sugars that are added ones by law, 0 to 1; foods without a row have none. */
  readonly addedSugars: ReadonlyMap<string, number>
  /** Notes of a gram of the food, in the order of AROMAS; foods without a row bring none. */
  readonly aromas: ReadonlyMap<string, readonly number[]>
  /** Share of the food's fat that is solid at each of FAT_TEMPS, 0 to 1; foods without a row are oil. */
  readonly solidFats: ReadonlyMap<string, readonly number[]>
  /** By food id, else by "class:" and its class. */
  readonly colours: ReadonlyMap<string, ColourFact>
  readonly traces: ReadonlyMap<string, TraceFact>
  /** What bites, as mg of capsaicin in a gram of the food; foods without a row do not bite. */
  readonly pungency: ReadonlyMap<string, number>
  /** Beany and grassy notes of a gram of solids, raw ground soy = 1; by food id, else by "class:" and its class. */
  readonly beany: ReadonlyMap<string, number>
  /** What carries the aroma of an original, by its id; originals without a signature have none. */
  readonly signatures: ReadonlyMap<string, readonly SignatureRow[]>
}
