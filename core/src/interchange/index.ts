export { makeBackup, readBackup } from './backup'
export { toCsv } from './csv'
export { toJsonLd } from './jsonLd'
export { toMarkdown } from './markdown'
export {
  guessColumns,
  PANTRY_FIELDS,
  pantryCsv,
  type PantryField,
  pantryRows,
  type PantryRow,
} from './pantryTable'
export { formatOf, type RecipeFormat, readRecipes } from './read'
export type { ReadContext } from './recipe'
export { numberCell, readTable, type TextTable } from './readTable'
export { type ReadAnswers, readTastingTable, tastingTable } from './tastingTable'
export { LARGEST_FILE, tooLarge } from './safeJson'
export { tidied } from './tidyPaste'
