export { isHeating, operationIn } from './operations'
export { type MethodRun, runSteps } from './runSteps'
