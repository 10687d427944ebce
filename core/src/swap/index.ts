export { matched, SWAP_MATCHES, type SwapMatch, type SwapPart } from './amounts'
export { convert, type ConvertAsk, type Converted, keeps, type Toward, TOWARDS } from './convert'
export { proposeSwaps, type SwapAsk, type SwapProposal } from './propose'
export { replaced, type SwapBench } from './replace'
