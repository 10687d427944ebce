export { allocateParts, type Granted, type PartUses } from './allocateParts'
export { compile, withLineMass, withWords } from './compile'
export { type Guidance, guidanceOf } from './cues'
export { foodEntry, type FoodEntry, groupOf } from './foods'
export { fitOf, observationId } from './kitchenFit'
export { isHeating, type Medium, type OperationSpec, SEARING, SPECS, specOf } from './operations'
export {
  ALCOHOL,
  CARRIED_NUTRIENTS,
  type CarriedNutrient,
  FAT,
  INERT,
  POOL_COUNT,
  type PoolName,
  POOLS,
  PROTEIN,
  SALT,
  SOLID,
  SOLUBLE,
  STARCH,
  WATER,
} from './pools'
export type {
  FinalLot,
  Inputs,
  LineInput,
  Op,
  Overdrawn,
  Phase,
  Program,
  Row,
  Source,
  Take,
  VesselChoice,
} from './program'
export { type Fit, lawOf, MODEL_LN_SD, PRIOR_LN_SD, rateFor, shrunk } from './rates'
export { solidsLost, uptakeTau } from './uptake'
export { USUAL_AREA_DM2, vesselKind } from './vessels'
export type { CompileInput } from './writer'
