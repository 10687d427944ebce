export { MixStage } from './MixStage'
