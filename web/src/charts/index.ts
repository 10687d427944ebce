export { BarChart } from './BarChart'
export type { Bar } from './bars'
export { classColour } from './classColour'
