export { FindingRow, isOfMethod } from './FindingRow'
export { FindingsCard } from './FindingsCard'
