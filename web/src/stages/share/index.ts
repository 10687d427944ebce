export { ShareStage } from './ShareStage'
