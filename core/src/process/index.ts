export { conversionOf, converted, type Converted } from './convert'
export { dialC, fanAirC } from './laws/conduction'
export { fitRates, predictedFactor } from './laws/fit'
export { type Fit, lawOf, rateFor, shrunk } from './laws/rates'
export { batchOf, type Item, keptOf, massOf, type Pool } from './lots/item'
export { fitOf, observationId } from './operations/context'
export { type Guidance, guidanceOf } from './operations/cues'
export { isHeating, type Medium, type OperationSpec, SPECS, specOf } from './operations/specs'
export { SEARING } from './operations/vessel'
export { proposeSteps, splitInstructions } from './read/instructions'
export {
  followWords,
  type HandChange,
  setByHand,
  statesHeat,
  readStep,
  rereadStep,
  type StepFacts,
  stepFrom,
} from './read/readStep'
export { usesOf } from './read/uses'
export { type Finished, type MethodInput, type MethodRun, runMethod, type Traced } from './runMethod'
