export { AimStage } from './AimStage'
