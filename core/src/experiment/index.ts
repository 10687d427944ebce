export {
  expectedImprovement,
  type GaussianProcess,
  KERNELS,
  linearKnownNoise,
  type LinearPosterior,
  linearUnknownNoise,
  predictProcess,
  type ProcessPrediction,
  type UnknownNoise,
} from './bayes'
export { desirabilityOf, overallDesirability, type Wanted } from './desirability'
export { dOptimal, type Exchange, exchanged } from './dOptimal'
export { type Fraction, fraction } from './factorial'
export {
  type ControlDifference,
  controlDifferences,
  type Fit,
  fitBlocked,
  fitCrossed,
  fitMixture,
  fitRows,
  type Fitted,
  type NoFit,
  type Prediction,
} from './fit'
export {
  fromPseudo,
  type Point,
  type Region,
  regionOf,
  simplexCentroid,
  simplexLattice,
  toPseudo,
} from './mixtures'
export { MIXTURE_MODELS, type MixtureModel, termName, termsOf, termValues } from './terms'
