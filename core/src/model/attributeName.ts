import type { AttributeId } from './original'

/** Attributes whose name on the scale is no word that a cook would say. */
const SAID: Partial<Record<AttributeId, string>> = {
  mouth_coating: 'mouth coating',
  sulphury: 'egg-like sulphur',
  lactic_tangy: 'cultured tang',
  buttery: 'butter',
  marine: 'sea',
  spice_warm: 'warm spice',
}

/** What an attribute is called in a sentence. */
export const attributeName = (id: AttributeId): string => SAID[id] ?? id.replaceAll('_', ' ')
