export { HandOver } from './HandOver'
export { Sheets } from './Sheets'
