export { DamagedRow } from './DamagedRow'
export { PartTabs } from './PartTabs'
export { FoodFinder } from './FoodFinder'
