import type { ResolvedLine } from '../composition'
import type { Equipment, Form, Ingredient, Kitchen, Library, Part, Step, StepUse } from '../model'
import type { FoodEntry } from './foods'
import type { OperationSpec } from './operations'

/** Where a row comes from: a line of this part or of another, or something that a step brought in. */
export interface Source {
  readonly id: string
  readonly name: string
  readonly entry: FoodEntry
  readonly food: Ingredient | null
}

/** Water that a dry line has taken up before the first step: "cashews, soaked 4 hours". */
export interface Uptake {
  /** g water per g solids at saturation. */
  readonly saturation: number
  /** Time constant at 20 C, min; shorter when warm. */
  readonly tauMin: number
  /** Solids that go into the water meanwhile, share. */
  readonly lost: number
}

/** One portion of one food: what a step can take apart from the rest. Rows are known before anything is weighed. */
export interface Row {
  readonly source: Source
  /** Index of the line that fills it at the start, and how much of the line; -1 where an operation fills it. */
  readonly line: number
  readonly fraction: number
  readonly presoak: (Uptake & { readonly minutes: number }) | null
  /** Its line states the whole food as bought: peel and core are still on it. */
  readonly isWhole: boolean
  /** It is listed by large pieces, and as they grew. */
  readonly isBig: boolean
  /** Size of its pieces as listed, mm; null where the words name none. */
  readonly pieceMm: number | null
  /** How much of it is listed mashed, 0 to 1. */
  readonly mashed: number
  readonly isSoaked: boolean
  /** It is listed torn or shredded along its strands. */
  readonly isPulled: boolean
  /** The list keeps it for frying. */
  readonly isForFrying: boolean
  readonly isForCooking: boolean
  /** Its flour was washed: its protein is gluten. */
  readonly isWashed: boolean
  /** A dry pulse that was soaked and ground raw: it binds and sets as its flour does. */
  readonly isMilled: boolean
}

interface TakeBase {
  readonly id: string
  /** As said: share of the whole, null = all that is left. */
  readonly share: number | null
  /** Rows in the lot that hold what was taken. */
  readonly rows: readonly number[]
}
/** What an operation takes. `from` are the rows that are split; the share moves, the rest stays. */
export type Take =
  | (TakeBase & { readonly kind: 'line' })
  | (TakeBase & {
      readonly kind: 'step'
      readonly op: number
      /** Rows split off, and how much of what is left in them; null where the lot goes on whole. */
      readonly from: readonly number[] | null
      readonly moved: number
    })
  | (TakeBase & {
      readonly kind: 'part'
      /** Index among the parts that this one may take. */
      readonly part: number
      readonly from: readonly number[]
      /** Share of the finished part. */
      readonly moved: number
    })

/** A vessel that an operation can be done in, and most that one load of it takes, g; infinite where nothing limits it. */
export interface VesselChoice {
  readonly vessel: Equipment
  readonly limitG: number
}

/** How the food of a lot lies: apart in its liquid, as one body, or as one liquid. */
export type Phase = 'pieces' | 'body' | 'liquid'

/** Constants of one operation for each of its rows, in their order; NaN where nothing is known. */
export interface RowConstants {
  readonly saturation: readonly number[]
  readonly tauMin: readonly number[]
  readonly lost: readonly number[]
  /** Drying constant, 1/min. */
  readonly perMin: readonly number[]
  /** Fraction kept after a long time. */
  readonly keeps: readonly number[]
  /** Share that is cut away. */
  readonly refuse: readonly number[]
  /** sd of the logarithm of whichever of these counts. */
  readonly lnSd: readonly number[]
}

/** One doing with every use, constant and setting resolved to numbers. */
export interface Op {
  readonly at: number
  readonly step: Step
  readonly spec: OperationSpec | null
  readonly takes: readonly Take[]
  /** What the lot holds, and what joins it now from the list or another part. */
  readonly holds: readonly Source[]
  readonly added: readonly Source[]
  /** Rows of the lot while it runs, poured water and frying oil included. */
  readonly rows: readonly number[]
  readonly waterRow: number
  readonly oilRow: number
  /** Rows of fat that is the medium of frying. */
  readonly mediumRows: readonly number[]
  /** Rows of salt that the food is baked in. */
  readonly bedRows: readonly number[]
  /** Take that the lot goes on from: its form, vessel and sourness. -1 where it is fresh. */
  readonly mainOp: number
  readonly constants: RowConstants
  /** Fraction that leaves the jug when what is blended runs like milk; NaN where nothing is blended. */
  readonly thinKeeps: number
  readonly form: Form
  readonly thicknessMm: number | null
  readonly phaseBefore: Phase
  readonly phase: Phase
  /** What its working does to loose liquid: takes it into the body, or makes all of it one liquid. */
  readonly binds: 'body' | 'liquid' | 'none'
  readonly isMixed: boolean
  /** Something in it lies in pieces: what heat has to get through. */
  readonly hasPieces: boolean
  readonly isDough: boolean
  /** The liquor that the food lay in stays behind before this begins. */
  readonly leavesLiquor: boolean
  /** Unlisted water of the tap that it lies in, g per g of the food; 0 where it lies in none. */
  readonly tapRatio: number
  readonly isTapDiscarded: boolean
  /** Rows that a bath sets to a gel; the bath stays round them. */
  readonly gelRows: readonly number[]
  /** It is dried until it bends, not until it snaps. */
  readonly isLeathery: boolean
  /** It comes to the boil and no more. */
  readonly isRise: boolean
  /** It goes on until it boils, however long that takes. */
  readonly reachesBoil: boolean
  readonly isWrapped: boolean
  readonly isDrained: boolean
  /** Beside the usual minutes, where the words state none: done briefly, or until it is silky. */
  readonly lasts: number
  /** Operation whose constants hold. */
  readonly rateKey: string
  /** Added to a stated temperature to have the fan air that heats alike, C. */
  readonly airShiftC: number
  readonly lidFactor: number
  /** In a slow cooker: hot, hardly bubbling, under its lid. */
  readonly isSlow: boolean
  /** A dough or batter of flour: it gives off vapour as bread does. */
  readonly isBready: boolean
  /** A foam by itself, on its tray: light, it covers much of it. */
  readonly isFoam: boolean
  readonly heatFactor: number
  readonly waterG: number
  readonly additionsG: number
  /** Pieces that it cuts to, mm; NaN where it does not cut. */
  readonly cutMm: number
  readonly vessels: readonly VesselChoice[]
  /** Vessel that its words name by size, before any other. */
  readonly namedVessel: Equipment | null
  readonly namedLimitG: number
  readonly oven: Equipment | null
  /** It lies under its own sauce in a dish. */
  readonly isInDish: boolean
  /** How far it draws dough out into strands, and whether it pulls food apart or breaks curds into crumbs. */
  readonly stretch: number
  readonly pulls: boolean
  readonly crumbles: boolean
  readonly tool: 'spoon' | 'whisk' | 'blade'
  readonly swellSaturation: number
  readonly swellTauMin: number
}

/** What a step asked for beyond what there was. */
export interface Overdrawn {
  readonly stepId: string
  readonly kind: StepUse['kind']
  readonly id: string
  readonly name: string
  /** Shares of the whole. */
  readonly asked: number
  readonly got: number
}

/** A share of a row that another took, as listed. */
export interface RowCopy {
  readonly from: number
  readonly to: number
  readonly share: number
}

/** What remains on the bench at the end: lots and lines that nothing takes. */
export interface FinalLot {
  /** Operation that made it; -1 for what no step takes. */
  readonly op: number
  readonly rows: readonly number[]
}

export interface LineInput {
  readonly id: string
  readonly entry: FoodEntry
  readonly massG: number
  readonly sdG: number
}

/** A part as numbers: foods, masses, operations, uses. Evaluation reads nothing else. */
export interface Program {
  readonly part: Part
  readonly library: Library
  readonly kitchen: Kitchen
  readonly lines: readonly LineInput[]
  readonly resolved: readonly ResolvedLine[]
  readonly rows: readonly Row[]
  /** The food of each row: what evaluation looks up most. */
  readonly entries: readonly FoodEntry[]
  /** Grams of each row as listed. */
  readonly rawG: readonly number[]
  readonly ops: readonly Op[]
  readonly finals: readonly FinalLot[]
  readonly finalRows: readonly number[]
  readonly unusedLines: readonly { readonly line: number; readonly row: number; readonly share: number }[]
  readonly looseStepIds: readonly string[]
  readonly overdrawn: readonly Overdrawn[]
  /** Parts that it may take, in the order in which takes name them. */
  readonly others: readonly Program[]
  /** Share of each of them that it takes. */
  readonly takenShares: Float64Array
  /** How far its masses may change before a choice of its shape would turn: see `Decisions`. */
  readonly slack: number
  /** What lines, steps and parts are called, by id. */
  readonly names: ReadonlyMap<string, string>
  readonly copies: readonly RowCopy[]
  /** Masses and settings as the document states them: the inputs of `evaluate`. */
  readonly inputs: Inputs
}

/** What a search may change: masses of lines, minutes, temperatures and ends of operations. NaN = not stated. */
export interface Inputs {
  readonly masses: Float64Array
  readonly minutes: Float64Array
  readonly tempC: Float64Array
  /** g for an end by mass, share for "keeps"; unused for others. */
  readonly end: Float64Array
  readonly weighedG: Float64Array
}
