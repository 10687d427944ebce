export {
  type Command,
  createDocument,
  type DocumentOptions,
  type DocumentState,
  type OpenDocument,
  type SaveState,
} from './createDocument'
export type { Conflict } from './merge'
export { useRefusal } from './refusals'
