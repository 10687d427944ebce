export { PartTabs } from './PartTabs'
