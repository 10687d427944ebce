export { TasteStage } from './TasteStage'
