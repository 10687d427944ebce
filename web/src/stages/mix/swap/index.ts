export { ConvertSheet } from './ConvertSheet'
export { SwapSheet } from './SwapSheet'
