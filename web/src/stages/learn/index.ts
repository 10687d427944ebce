export { LearnStage } from './LearnStage'
