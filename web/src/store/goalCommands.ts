import {
  type AlsoServed,
  type AttributeId,
  attributeName,
  type Band,
  type EquipmentKind,
  type FamilyId,
  nothingMoved,
  type RatioWindow,
} from '@frijol/core/model'
import { inPart } from './inPart'
import type { Command } from './openDish'

/** Moves the band of an attribute; null puts the original's back. */
export const moveBand = (partId: string, id: AttributeId, band: Band | null): Command => ({
  label: band === null ? `put back ${attributeName(id)}` : `move the band of ${attributeName(id)}`,
  merge: `band ${partId} ${id}`,
  apply: inPart(partId, ({ moved }) => {
    if (band === null) {
      Reflect.deleteProperty(moved.bands, id)
      Reflect.deleteProperty(moved.importance, id)
    } else moved.bands[id] = band
  }),
})

/** How often an attribute counts in the distance, 0 to 3. */
export const weighAttribute = (partId: string, id: AttributeId, weight: number): Command => ({
  label: `weigh ${attributeName(id)}`,
  apply: inPart(partId, ({ moved }) => {
    moved.importance[id] = weight
  }),
})

/** Moves the window of a ratio; null puts the family's back. */
export const moveWindow = (
  partId: string,
  id: string,
  label: string,
  window: RatioWindow | null,
): Command => ({
  label: `${window === null ? 'put back' : 'move'} the window of ${label.toLowerCase()}`,
  merge: `window ${partId} ${id}`,
  apply: inPart(partId, ({ moved }) => {
    if (window === null) Reflect.deleteProperty(moved.windows, id)
    else moved.windows[id] = window
  }),
})

export const serveAt = (partId: string, tempC: number | null): Command => ({
  label: 'set how warm it is served',
  merge: `served ${partId}`,
  apply: inPart(partId, ({ moved }) => {
    moved.servingTempC = tempC
  }),
})

export const putAllBack = (partId: string): Command => ({
  label: 'put all bands and windows back',
  apply: inPart(partId, (part) => {
    part.moved = nothingMoved()
  }),
})

/** Which family reads the part. Windows belong to a family: those of another are dropped. */
export const readAs = (partId: string, family: FamilyId | null): Command => ({
  label: family === null ? 'read by no family' : `read as ${family.replaceAll('-', ' ')}`,
  apply: inPart(partId, (part) => {
    part.family = family
    part.moved.windows = {}
  }),
})

export const serveAlso = (partId: string, also: AlsoServed | null): Command => ({
  label: also === null ? 'serve it one way' : 'serve it a second way',
  merge: `also ${partId}`,
  apply: inPart(partId, (part) => {
    part.alsoServed = also
  }),
})

/** Leaves a kind of equipment out of the dish, or allows it again. */
export const doWithout = (kind: EquipmentKind, isOut: boolean): Command => ({
  label: `${isOut ? 'do without' : 'allow'} the ${kind.replaceAll('-', ' ')}`,
  apply: ({ aim }) => {
    aim.without = [...aim.without.filter((one) => one !== kind), ...(isOut ? [kind] : [])]
  },
})
