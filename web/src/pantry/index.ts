export { Pantry } from './Pantry'
