export { conversionOf, converted, type Converted } from './convert'
export { isHeating, operationIn } from './operations'
export { type MethodRun, runSteps } from './runSteps'
