export * as commands from './commands'
export * as methodCommands from './methodCommands'
export { useProposedPart, useWays, type WayReading } from './proposed'
export { forgetLearned, watchWeighings } from './weighings'
export {
  closeDish,
  flush,
  flushOnLeave,
  openDish,
  redo,
  run,
  keepMineAsNew,
  settleClash,
  undo,
  useOpenDish,
} from './openDish'
export { type Conflict, type SaveState, useRefusal } from './document'
export {
  changeKitchen,
  flushKitchen,
  flushKitchenOnLeave,
  kitchenWords,
  lineReader,
  loadKitchen,
  openKitchenStorage,
  redoKitchen,
  teachName,
  teachWord,
  undoKitchen,
  useKitchenDocument,
  useKitchenStore,
  useLibrary,
} from './kitchen'
export { nudged, pastedLines, rereadLine, typedLine, typedLines, withAmountText, withGrams } from './lines'
export { nextActOf, partOf, useAssessment, useDish, useExplanation } from './selectors'
export {
  addBlankDish,
  checkBackup,
  damagedRows,
  importFile,
  importText,
  makeBackupFile,
  openDemoKitchen,
  openDemoOnFirstStart,
  rawText,
  restoreBackup,
  takeAwayDamaged,
  takeOffShelf,
  unsavedFile,
  useDishNames,
  useShelf,
  useShelved,
} from './shelf'
export { keepTrial, useTrials } from './trials'
export { type BadRow as DamagedEntry, isPersisted } from '../data'
export { holdTab, newId } from './ids'
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
export { type ClashPlace, useClashPlaces } from './clash'
