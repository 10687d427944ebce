import type { Batch } from '../composition'
import type { Notes } from './stateNotes'

/** A gelling or thickening agent in a part. */
export interface AgentState {
  readonly family: string
  readonly massG: number
  /** Mass times strength, as far as it dissolved and acid left it whole, g. */
  readonly activeG: number
  readonly hydrated: number
  readonly acidKept: number
  readonly setC: number | null
  readonly meltsC: number | null
  readonly setsHot: boolean
}

/** Starch of a part by what became of it, g. */
export interface StarchState {
  readonly swollenG: number
  readonly amyloseG: number
  readonly waxyG: number
  readonly rawG: number
  /** Swollen volume in excess water, mL; less what boiling or shear broke. */
  readonly swollenMl: number
  /** Share of the swollen starch that has thinned again. */
  readonly thinned: number
}

/** Fine particles of a part, as the tongue and the flow meet them. */
export interface ParticleState {
  /** Share of the mass in pieces above 2 mm, 0 to 1, and their size, mm. */
  readonly coarseShare: number
  readonly pieceMm: number
  /** Coarse end of the smooth phase, um, and as it is felt. */
  readonly d90Um: number
  readonly feltUm: number
  /** Hard particles in the mouth, % of the mass. */
  readonly gritPct: number
  /** Hydrated volume of particles, mL, fat inside them included. */
  readonly volumeMl: number
  /** Fat inside those particles, g. */
  readonly innerFatG: number
  /** Whether kernels with starch were heated after blending, 0 to 1. */
  readonly heatedKernels: number
}

/** For how much of the mass each input is known, 0 to 1, and scatter of what is guessed. */
export interface Coverage {
  readonly composition: number
  readonly sodium: number
  /** sd of the free glutamate that unlisted foods bring, mg. */
  readonly glutamateSdMg: number
  readonly umami: number
  /** Sodium that foods without a figure may bring at most, mg. */
  readonly sodiumMostMg: number
}

/** What texture, flavour and safety see of a part at serving: never its ingredient names, only what it is made of and like. */
export interface PartState {
  /** The mix as it would weigh uncooked, and as it is served. */
  readonly mixed: Batch
  readonly cooked: Batch
  readonly servedC: number
  readonly peakC: number
  readonly particles: ParticleState
  readonly starch: StarchState
  readonly proteinSet: number
  readonly glutenDevelopment: number
  /** Gluten protein times development times set: what bites back, g. */
  readonly glutenNetworkG: number
  readonly emulsifiedFatG: number
  readonly agents: readonly AgentState[]
  readonly overrunPct: number
  readonly pH: { readonly value: number; readonly sd: number }
  readonly surface: { readonly dry: number; readonly browned: number; readonly oilFilm: number }
  readonly coverage: Coverage
  readonly notes: Readonly<Notes>
  /** Size of the piece that is served, mm; NaN where nothing says. */
  readonly thicknessMm: number
  /** Coated in flour, batter or crumbs, share of the mass. */
  readonly breaded: number
  readonly cooling: { readonly coldH: number; readonly coldestC: number }
  /** pH that a culture brought it to; NaN where none did. */
  readonly culturePH: number
  /** Minutes in a setting bath. */
  readonly bathMin: number
}
