import type { FamilyId } from '../model'
import type { FamilyTable } from './family'
import { coatingSauce } from './tables/coatingSauce'
import { crumble } from './tables/crumble'

const TABLES: readonly FamilyTable[] = [crumble, coatingSauce]
const BY_ID: ReadonlyMap<FamilyId, FamilyTable> = new Map(TABLES.map((table) => [table.id, table]))

/** How a family is judged; null for the families that have no table yet. */
export const familyTable = (id: FamilyId | null): FamilyTable | null =>
  id === null ? null : (BY_ID.get(id) ?? null)

/** The families that are judged. */
export const judgedFamilies = (): FamilyId[] => TABLES.map(({ id }) => id)
