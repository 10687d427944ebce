export { DamagedRow } from './DamagedRow'
export { PartTabs } from './PartTabs'
