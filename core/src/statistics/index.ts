export {
  betaAt,
  binomial,
  binomialAbove,
  binomialBelow,
  chi2Above,
  dunnettAbove,
  fAbove,
  normalAt,
  normalBelow,
  normalDensity,
  pairedPower,
  rangeAbove,
  rangeAt,
  tAbove,
  tAt,
  tTwoSided,
} from './distributions'
export { integrate, ruleOn } from './quadrature'
