export { BesideOriginal } from './BesideOriginal'
export { OriginalProfile } from './OriginalProfile'
export { ProteinLine } from './ProteinLine'
export { useLikelyOriginals } from './useLikelyOriginals'
