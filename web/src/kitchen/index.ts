export { KitchenPage } from './KitchenPage'
