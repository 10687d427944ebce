export { BesideOriginal } from './BesideOriginal'
export { OriginalProfile } from './OriginalProfile'
export { useLikelyOriginals } from './useLikelyOriginals'
