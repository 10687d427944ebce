import type { FamilyId } from '../model'
import type { FamilyTable } from './family'
import { coatingSauce } from './tables/coatingSauce'
import { COMMON } from './tables/common'
import { crumble } from './tables/crumble'
import { crumblyBrined, hardGrate } from './tables/cheeses'
import { culturedThick, pourableSauce, solidFat, spreadable } from './tables/creams'
import { boundDoughSlice, emulsifiedSausage, shreddable } from './tables/doughs'
import { custardGel, eggCurd, liquidYolk } from './tables/eggs'
import { binder, foam } from './tables/foams'
import { sliceableGel, stretchMelt } from './tables/gels'
import { boundPatty, crispStrip, flaked } from './tables/pieces'

const TABLES: readonly FamilyTable[] = [
  crumble,
  coatingSauce,
  boundDoughSlice,
  shreddable,
  emulsifiedSausage,
  flaked,
  crispStrip,
  boundPatty,
  eggCurd,
  custardGel,
  foam,
  binder,
  liquidYolk,
  pourableSauce,
  stretchMelt,
  sliceableGel,
  crumblyBrined,
  hardGrate,
  spreadable,
  culturedThick,
  solidFat,
]
/** A family's own rows first; what it does not read is read as of any food. */
const whole = (table: FamilyTable): FamilyTable => {
  const own = new Set(table.attributes.map(({ id }) => id))
  return { ...table, attributes: [...table.attributes, ...COMMON.filter(({ id }) => !own.has(id))] }
}
const BY_ID: ReadonlyMap<FamilyId, FamilyTable> = new Map(TABLES.map((table) => [table.id, whole(table)]))

/** How a family is judged; null for a part without a family. */
export const familyTable = (id: FamilyId | null): FamilyTable | null =>
  id === null ? null : (BY_ID.get(id) ?? null)

/** The families that are judged. */
export const judgedFamilies = (): FamilyId[] => TABLES.map(({ id }) => id)
