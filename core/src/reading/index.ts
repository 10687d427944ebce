export { type StepFacts } from './facts'
export { OPERATION_NAMES } from './lexicon/operations'
export {
  type MethodText,
  type PartLines,
  proposeSteps,
  readMethod,
  type ReadMethod,
  readUses,
  splitInstructions,
  usesOf,
} from './method'
export { readRecipeMethod } from './methodReader'
export { cutSizeMm, type LineWords, piecesOfStep, refuseIn, type StepPieces, wordsOfLine } from './pieces'
export { followWords, type HandChange, readStep, rereadStep, setByHand, stepFrom } from './readStep'
export { type Piece, piecesOfText } from './shown'
export { statesHeat } from './stepTimes'
