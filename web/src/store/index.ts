export * as commands from './commands'
export * as methodCommands from './methodCommands'
export { useProposedPart, useWays, type WayReading } from './proposed'
export { forgetLearned, watchWeighings } from './weighings'
export {
  type Command,
  closeDish,
  flush,
  flushOnLeave,
  openDish,
  redo,
  run,
  settleForeign,
  type SaveState,
  undo,
  useOpenDish,
} from './openDish'
export {
  changeKitchen,
  kitchenWords,
  lineReader,
  loadKitchen,
  teachName,
  teachWord,
  useKitchenStore,
  useLibrary,
} from './kitchen'
export { nudged, pastedLines, rereadLine, typedLine, typedLines, withAmountText, withGrams } from './lines'
export { nextActOf, partOf, useAssessment, useDish, useExplanation } from './selectors'
export {
  addBlankDish,
  backupText,
  checkBackup,
  importFile,
  importText,
  openDemoKitchen,
  openDemoOnFirstStart,
  restoreBackup,
  takeOffShelf,
  useShelf,
} from './shelf'
export { keepTrial, useTrials } from './trials'
export { newId } from './ids'
export { askWhy, useWhy } from './why'
export { type ScaledDish, useScaled, useShopping } from './scaling'
export {
  guessColumns,
  importPantry,
  keepOwnFood,
  keepPartAsFood,
  PANTRY_FIELDS,
  type PantryField,
  pantryCsv,
  type PantryRow,
  pantryRows,
  removeOwnFood,
} from './pantry'
