export { type Swap, swapped, swapsOf } from './alternatives'
export { assess } from './assess'
export {
  compare,
  type ComparedFigure,
  type ComparedLine,
  type ComparedStep,
  type Comparison,
  type Row,
  type Worked,
} from './compare'
export { type Contributor, contributors, type Contributors } from './contributors'
export { explain } from './explain'
export type { Asked, Explained, Explanation, PortionFigure } from './explanation'
export { leversOf, pulled } from './explainReading'
export { workDish } from './workDish'
export type { PartWork } from './workPart'
export { type Attendance, attendanceOf, closeness, isInEveryBand } from './judgements'
export { nextAct, type NextAct, type StageId } from './nextAct'
export {
  type LeftLine,
  methodReading,
  type MethodReading,
  type ReadDoing,
  type ReadWritten,
  WELL_READ_SHARE,
} from './reading'
export { type BesideRow, besideOriginal, type BesideStanding, standingOf } from './besideOriginal'
export { type ReadingOrder, readingOrder } from './readingOrder'
export { likelyOriginals } from './likelyOriginals'
export { colourOf, type ColourReading } from './colourOf'
export type { AromaNote, AromaOffer, AromaReading } from './aromaOf'
export { flavourOf, type FlavourReading, type TasteSource } from './flavourOf'
export { addedSugarsG, type LabelExtras, labelExtras } from './labelExtras'
export { type TraceReading, tracesOf } from './tracesOf'
export { proteinOf, type ProteinReading } from './proteinOf'
