export {
  dietsOf,
  equipmentFindings,
  exclusionFindings,
  exclusionName,
  isAnimal,
  isExcluded,
  limitFindings,
  type PartTime,
  timeFindings,
} from './aim'
export { doseFindings, type Portion, type PortionFood } from './doses'
export { byHarm, findingKey, type Found } from './finding'
export { type Kept, keeps, keptTooLong, type PutAway, saidToKeep } from './keeping'
export { lineFindings } from './lines'
export { runFindings } from './run'
export { labelFindings, safetyFindings } from './safety'
export { lineSlips } from './lineSlips'
export { listAgainstSteps, usedUnlisted } from './methodSlips'
export { unitSlips } from './slips'
export { usualMostPct } from './usualShare'
export { METHOD_RULES, methodRules } from './method'
export { ratioFindings } from './texture'
export { findingKind, isOfMethod } from './kinds'
