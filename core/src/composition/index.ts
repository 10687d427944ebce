export { conversionOf, converted, type Converted } from './convert'
export {
  addInto,
  type Batch,
  BATCH_FIELDS,
  batchFrom,
  type BatchField,
  batchPerGram,
  emptyBatch,
  evaporate,
  type PerGram,
} from './batch'
export { mixedIngredient, type OwnFood, ownIngredient } from './ownIngredient'
export { similarFoods, type SimilarFood } from './similar'
export { type ResolvedLine, resolveLine, resolveLines } from './resolve'
