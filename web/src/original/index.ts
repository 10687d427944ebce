export { BesideOriginal } from './BesideOriginal'
export { OriginalProfile } from './OriginalProfile'
