export { familyModel, modelledFamilies } from './families'
export {
  type AttributeModel,
  type FamilyModel,
  partState,
  type PartState,
  type RatioModel,
  type Window,
} from './family'
export { BAND_HALF_WIDTH, distanceTo, perturbed, readFamily, type Readings } from './readings'
export { fall, peak, rise, softPlus } from './responses'
export { emulsionFactor, starchViscosity, suspensionFactor, thickness, viscosityPaS } from './viscosity'
export { waterBudget, type WaterBudget, waterSlack } from './water'
