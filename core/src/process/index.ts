export { conversionOf, converted, type Converted } from './convert'
export { coreTemperature, dialC, fahrenheitC, FAN_DROP_C, gasMarkC } from './laws/conduction'
export { fitRates, predictedFactor } from './laws/fit'
export { type Fit, lawOf, rateFor, shrunk } from './laws/rates'
export { batchOf, type Item, keptOf, massOf, type Pool } from './lots/item'
export { processKind } from './lots/groups'
export { fitOf } from './operations/context'
export { type Guidance, guidanceOf } from './operations/cues'
export { isHeating, type OperationSpec, SPECS, specOf } from './operations/specs'
export { SEARING } from './operations/vessel'
export { isStrong, STRONG_BLENDER_KW } from './operations/change'
export {
  durationsIn,
  operationIn,
  readStep,
  rereadStep,
  type StepFacts,
  stepFrom,
  temperatureIn,
} from './read/readStep'
export { usesOf } from './read/uses'
export { type Finished, type MethodInput, type MethodRun, runMethod, type Traced } from './runMethod'
