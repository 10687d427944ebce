export { behaviourOf, pourWords, troughFlowCm } from './behaviour'
export { ATTRIBUTE_SCALES, type AttributeScale } from './attributeScale'
export { type CheckedValue, checked, checkOf, checkOfKind, KITCHEN_CHECKS, type KitchenCheck } from './checks'
export { attributeEquation, attributeSource, ratioEquation } from './equation'
export { familyTable, judgedFamilies } from './families'
export {
  type AttributeTable,
  attributeValue,
  type Calibration,
  type Calibrations,
  type FamilyTable,
  type RatioTable,
  type Term,
} from './family'
export {
  BAND_HALF_WIDTH,
  bandAround,
  bandOf,
  distanceTo,
  type Goal,
  goalOf,
  NO_GOAL,
  weightOf,
  windowOf,
} from './goal'
export { type Input, type InputId, INPUTS, inputOf, isInput, type Served } from './inputs'
export { calibrationsOf, type Learned, learnedOf, learnedShift } from './learned'
export { type OwnOriginal, ownOriginal } from './ownOriginal'
export { readFamily, type Readings, served, type Spread, spreadOf, type Values, valuesOf } from './readings'
export { souring } from './notes'
export { fall, peak, rise, smoothFloor } from './responses'
export {
  emulsionFactor,
  starchViscosity,
  suspensionFactor,
  thickness,
  viscosityAt,
  viscosityPaS,
} from './viscosity'
export { waterBudget, type WaterBudget, waterSlack } from './water'
