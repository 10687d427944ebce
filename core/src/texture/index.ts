export { behaviourOf, troughFlowCm } from './behaviour'
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
  type Window,
  windowOf,
} from './family'
export { type Input, type InputId, INPUTS, inputOf, isInput, type Served } from './inputs'
export {
  BAND_HALF_WIDTH,
  bandAround,
  distanceTo,
  readFamily,
  type Readings,
  served,
  type Spread,
  spreadOf,
  type Values,
  valuesOf,
} from './readings'
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
