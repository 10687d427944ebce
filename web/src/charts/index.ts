export { classColour } from './classColour'
