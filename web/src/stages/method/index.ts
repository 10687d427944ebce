export { MethodStage } from './MethodStage'
