import type { FamilyId } from '../model'
import { coatingSauce } from './coatingSauce'
import { crumble } from './crumble'
import type { FamilyModel } from './family'

const MODELS: readonly FamilyModel[] = [crumble, coatingSauce]
const BY_ID: ReadonlyMap<FamilyId, FamilyModel> = new Map(MODELS.map((model) => [model.id, model]))

/** How a family is judged; null for the families that have no model yet. */
export const familyModel = (id: FamilyId | null): FamilyModel | null =>
  id === null ? null : (BY_ID.get(id) ?? null)

/** The families that are judged. */
export const modelledFamilies = (): FamilyId[] => MODELS.map(({ id }) => id)
