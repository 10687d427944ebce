/** What tastings need of the statistics: fetched with the screens that show them, not at the start. */
export * as tastingCommands from './tastingCommands'
export {
  flushTasting,
  openTasting,
  redoTasting,
  runTasting,
  undoTasting,
  useOpenTasting,
} from './openTasting'
export {
  answersCsv,
  beginTasting,
  dropTasting,
  forgetTasting,
  giveToTune,
  keepPanel,
  learnFrom,
  missedOf,
  type Moved,
  newTasting,
  otherSample,
  partTasted,
  sampleOf,
  sampleOfOriginal,
  takeAnswer,
  takeTable,
  useMoved,
  useResult,
  useTastings,
} from './tasting'
