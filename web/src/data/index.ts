export type { ChangeRecord, DishRow } from './database'
export {
  addDishes,
  countDishes,
  readDish,
  readTrials,
  removeDish,
  removeTrial,
  restoreDish,
  saveDish,
  saveTrial,
  watchDish,
  watchDishes,
} from './dishes'
export {
  clashes,
  readAll,
  readKitchen,
  removeIngredient,
  restoreAll,
  saveIngredients,
  saveKitchen,
} from './kitchen'
export { forgetUnsaved, keepUnsaved, takeUnsaved } from './unsaved'
