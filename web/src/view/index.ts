export { CompareView } from './CompareView'
export { DishView } from './DishView'
