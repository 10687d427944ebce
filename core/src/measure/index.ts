export { findFood, type FoodChoice, type FoodIndex, type FoundFood, indexFoods } from './findFood'
export { foodTokens } from './foodWords'
export { composeLine, formatAmount, formatGrams, formatNumber, formatSpread } from './format'
export { kitchenMeasure, type KitchenMeasure, volumeMeasure } from './kitchenMeasure'
export { lineMass, type LineMass, type MeasureNote } from './lineMass'
export { prepBeside } from './prepBeside'
export { readAmount, readAmountAt } from './readAmount'
export {
  isMeasuredUnit,
  LONGEST_LINE,
  type LineReader,
  type ReadFinding,
  readLine,
  type ReadLine,
} from './readLine'
export { GRAMS_PER, unitKind, unitLabel, VOLUME_UNITS } from './units'
