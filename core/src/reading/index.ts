export { proposeSteps, splitInstructions } from './instructions'
export { LEXICON, type OperationWords, wordsOf } from './lexicon'
export {
  followWords,
  type HandChange,
  readStep,
  rereadStep,
  setByHand,
  type StepFacts,
  stepFrom,
} from './readStep'
export { cutSizeMm, type LineWords, piecesOfStep, refuseIn, type StepPieces, wordsOfLine } from './pieces'
export { statesHeat } from './stepTimes'
export { usesOf } from './uses'
