import { CookDay } from '@frijol/core/model'
import { dayRepository } from '../../data'
import { createDocument, type Command as DocumentCommand } from '../document'
import { openDoor, useDayDoor } from '../documentDoor'
import { nowIso } from '../ids'

/** A named change of the open day. */
export type DayCommand = DocumentCommand<CookDay>

const document = createDocument<CookDay>({
  repository: dayRepository,
  // What two tabs log of one day is joined entry by entry; where both changed one, the later stands.
  onClash: 'mine',
  check: (day) => {
    const checked = CookDay.safeParse(day)
    return checked.success
      ? null
      : `${checked.error.issues[0]?.message ?? 'This does not fit.'} Nothing was changed.`
  },
  parse: (value) => {
    const checked = CookDay.safeParse(value)
    return checked.success ? checked.data : null
  },
  stamp: (day) => ({ ...day, updatedAt: nowIso() }),
})

/** The open day, its history and whether it is saved. */
export const useOpenDay = document.use
export const {
  open: openDay,
  close: closeDayDocument,
  run: runDay,
  undo: undoDay,
  redo: redoDay,
  flush: flushDay,
} = document

openDoor(useDayDoor, document)
