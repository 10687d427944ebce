export * as commands from './commands'
export * as goalCommands from './goalCommands'
export * as methodCommands from './methodCommands'
export { useProposedPart, useWays, type WayReading } from './proposed'
export { forgetLearned } from './weighings'
export { forgetTasted, type TastedPlace, useTastedPlaces } from './tasted'
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
export { redoShelf, takeOffShelf, undoShelf, useShelfActs } from './shelfActs'
export { type Conflict, type DocumentState, type SaveState, useRefusal } from './document'
export {
  changeKitchen,
  flushKitchen,
  flushKitchenOnLeave,
  lineReader,
  openKitchen,
  openKitchenStorage,
  redoKitchen,
  teachName,
  teachWord,
  undoKitchen,
  useKitchenDocument,
  useKitchenStore,
  useLibrary,
} from './kitchen'
export { fetchBench, loadKitchen } from './load'
export { nudged, pastedLines, rereadLine, typedLine, typedLines, withAmountText, withGrams } from './lines'
export { partOf, useAssessed, useAssessment, useDish } from './assessed'
export { useExplanation } from './selectors'
export { kitchenWords } from './reading'
export {
  addBlankDish,
  checkBackup,
  damagedRows,
  type ImportedMany,
  importFile,
  importFiles,
  importText,
  makeBackupFile,
  openDemoKitchen,
  openDemoOnFirstStart,
  rawText,
  restoreBackup,
  takeAwayDamaged,
  unsavedFile,
  useDishNames,
  useShelf,
  useShelved,
} from './shelf'
export { keepTrial, useTrials, useWorked, useWorkedAll } from './trials'
export { type BadRow as DamagedEntry, isPersisted } from '../data'
export { holdTab, newId } from './ids'
export { askWhy, useWhy } from './why'
export { type ScaledDish, useScaled, useShopping } from './scaling'
export { keepOwnOriginal, ownOriginalId, removeOwnOriginal, useOwnOriginals } from './originals'
export { importPantry, keepOwnFood, keepPartAsFood, removeOwnFood } from './pantry'
export { type ClashPlace, useClashPlaces } from './clash'
export { isRecipeFile } from '../workers'
export { showProposal, useProposal } from './proposal'
export { type DocumentDoor, useDayDoor, useTastingDoor } from './documentDoor'
export { isCooked, takeProposal, type Tuning, useTaken, useTuning, withoutChanges } from './tuning'
export { forgetIdea, keepIdea, useBroughtBack } from './ideas'
export { takeBackTurnDown, turnDown, useConversion, useSwaps } from './swapping'
