export {
  type AdjustedAnova,
  adjustedAnova,
  meanOf,
  type MixedAnova,
  mixedAnova,
  type Scores,
  sdOf,
} from './anova'
export {
  type Alternative,
  analyseForced,
  answersNeeded,
  criticalNumber,
  type Difference,
  type Discrimination,
  dPrimeFound,
  type Needed,
  type Power,
  powerOf,
  shareAt,
  type Similarity,
  similarityOf,
} from './discrimination'
export { differenceFromControl, type FromControl } from './fromControl'
export { type Penalty, penaltyOf, type Side } from './jar'
export { meanWithin, type MeanWithin, type Paired, pairedLiking } from './liking'
export { blindingCodes, checkOrders, LEAST_CODE, MOST_CODE, type OrderCheck, williams } from './orders'
export { type Performance, performanceOf } from './performance'
export { dPrimeOf, type Forced, FORCED, GUESS, shareRight, slopeRight } from './psychometric'
export { type Friedman, friedman } from './ranking'
export {
  answered,
  asksOf,
  faultsOf,
  isRight,
  openMarks,
  picksOf,
  scaleOf,
  scoresOf,
  testedId,
} from './answers'
export { originalAllergens } from './originalAllergens'
export { blocks, mustNotTaste, type MustNot } from './consent'
export { cannotBegin, designTasting, type Evenness, evennessOf, orderedSamples, preparation } from './design'
export { type Need, needOf, pointsFound, WANTED_POWER } from './need'
export {
  DIFFERENCES,
  isTwoSided,
  JAR_WORDS,
  LIKING_WORDS,
  NOT_FOR_JAR,
  PROTOCOL_TABLES,
  protocolTable,
  type ProtocolTable,
} from './protocols'
export { resultOf, type TastingResult } from './result'
export { type ByTaster, type ForcedResult, needWords, type Verdict } from './result/forced'
export { type Observed, tastedOf } from './result/gaps'
export { type JarResult, jarWords, MENTIONS_BELOW } from './result/jar'
export { ATTENTION } from './jar'
export type { TasterWords } from './result/panel'
export type { RankResult } from './result/ranks'
export { type AgainstControl, type AskResult, type Dot, MATTERS, type SampleScore } from './result/scores'
export { askName, chanceWords, countWord, listed, people, spokenLabels } from './result/words'
