export { CookStage } from './CookStage'
