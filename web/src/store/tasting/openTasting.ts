import { Tasting } from '@frijol/core/model'
import { tastingRepository } from '../../data'
import { createDocument, type Command as DocumentCommand } from '../document'
import { openDoor, useTastingDoor } from '../documentDoor'
import { nowIso } from '../ids'

/** A named change of the open tasting. */
export type TastingCommand = DocumentCommand<Tasting>

const document = createDocument<Tasting>({
  repository: tastingRepository,
  // Answers that two tablets take are joined one by one; where both took the same, the later stands.
  onClash: 'mine',
  check: (tasting) => {
    const checked = Tasting.safeParse(tasting)
    return checked.success
      ? null
      : `${checked.error.issues[0]?.message ?? 'This does not fit.'} Nothing was changed.`
  },
  parse: (value) => {
    const checked = Tasting.safeParse(value)
    return checked.success ? checked.data : null
  },
  stamp: (tasting) => ({ ...tasting, updatedAt: nowIso() }),
})

/** The open tasting, its history and whether it is saved. */
export const useOpenTasting = document.use
export const {
  open: openTasting,
  close: shutTasting,
  run: runTasting,
  undo: undoTasting,
  redo: redoTasting,
  flush: flushTasting,
} = document

openDoor(useTastingDoor, document)
