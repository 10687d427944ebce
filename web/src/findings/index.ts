export { BroughtBack } from './BroughtBack'
export { FindingRow } from './FindingRow'
export { FindingsCard } from './FindingsCard'
