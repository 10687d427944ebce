export { FindingRow } from './FindingRow'
export { FindingsCard } from './FindingsCard'
