export { matched, type SwapPart } from './amounts'
export { convert, type Converted } from './convert'
export { proposeSwaps, type SwapAsk, type SwapProposal } from './propose'
export { replaced, type SwapBench } from './replace'
