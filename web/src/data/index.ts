export { type Aside, forgetAside, holdTab, keepAside, leftAside } from './aside'
export {
  askToPersist,
  isPersisted,
  type Besides,
  type ChangeRecord,
  openStorage,
  type StorageKind,
} from './database'
export { addTasting, type ReadTastings, removeTasting, tastingRepository, watchTastings } from './tastings'
export {
  addDay,
  addPhoto,
  dayRepository,
  dishesNow,
  openDayOf,
  photosByIds,
  photosOf,
  watchDishes,
  watchOpenDay,
} from './days'
export { keepInHand, readInHand } from './inHand'
export { fetchLibrary } from './fetchLibrary'
export type { BadRow, DocumentRepository, Found, Save, Saved, Stored } from './documents'
export {
  addDishes,
  countDishes,
  dishNames,
  dishRepository,
  type ReadTrials,
  readDishes,
  readTrials,
  type RemovedDish,
  removeDish,
  restoreDish,
  watchDishIds,
  watchTrials,
} from './dishes'
export type { Everything } from './everything'
/** What touches every table at once is fetched when it is first needed. */
export const everything = () => import('./everything')
export {
  KITCHEN_ID,
  kitchenRepository,
  type OwnFoods,
  readOwnFoods,
  removeIngredient,
  saveIngredients,
  watchOwnFoods,
} from './kitchen'
