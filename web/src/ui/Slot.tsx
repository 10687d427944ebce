import { createContext, type ReactNode, useContext } from 'react'
import { createPortal } from 'react-dom'

/** The element that a page's own actions are put into. */
export const ActionSlot = createContext<HTMLElement | null>(null)

/** Actions of the present screen, shown in the frame's header. */
export function HeaderActions({ children }: { children: ReactNode }) {
  const slot = useContext(ActionSlot)
  return slot === null ? null : createPortal(children, slot)
}
