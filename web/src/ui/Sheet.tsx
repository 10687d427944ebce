import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import { type ReactNode, useRef, useState } from 'react'

export interface SheetProps {
  title: string
  description?: string
  isOpen: boolean
  onClose: () => void
  children: ReactNode
  /** Wide sheets stand in the middle, narrow ones at the lower right. */
  width?: 'narrow' | 'wide'
}

/** A sheet over the page; closed by its button, Escape or a click outside. Until it is first opened nothing is made. */
export function Sheet(props: SheetProps) {
  const [wasOpened, setOpened] = useState(props.isOpen)
  if (props.isOpen && !wasOpened) setOpened(true)
  return wasOpened || props.isOpen ? <OpenedSheet {...props} /> : null
}

function OpenedSheet({ title, description, isOpen, onClose, children, width = 'narrow' }: SheetProps) {
  const opener = useRef<Element | null>(null)
  return (
    <Dialog.Root open={isOpen} onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-night/40" />
        <Dialog.Content
          onOpenAutoFocus={() => {
            opener.current = document.activeElement
          }}
          onCloseAutoFocus={(event) => {
            // Back to what opened it; where that is gone, to the page.
            event.preventDefault()
            const from = opener.current
            const back =
              from?.isConnected === true && from !== document.body ? from : document.getElementById('page')
            if (back instanceof HTMLElement) back.focus()
          }}
          {...(description === undefined ? { 'aria-describedby': undefined } : {})}
          className={
            width === 'narrow'
              ? 'fixed right-5 bottom-5 z-50 max-h-[80dvh] w-[min(440px,calc(100vw-24px))] overflow-auto rounded-card border border-line bg-paper p-4 shadow-xl max-sm:inset-x-3 max-sm:bottom-3'
              : 'fixed top-[8dvh] left-1/2 z-50 max-h-[84dvh] w-[min(720px,calc(100vw-24px))] -translate-x-1/2 overflow-auto rounded-card border border-line bg-paper p-5 shadow-xl'
          }
        >
          <div className="mb-2 flex items-start justify-between gap-3">
            <Dialog.Title className="m-0 text-lg first-letter:uppercase">{title}</Dialog.Title>
            <Dialog.Close
              aria-label="Close"
              className="grid size-8 shrink-0 place-items-center rounded-full hover:bg-husk"
            >
              <X size={18} />
            </Dialog.Close>
          </div>
          {description !== undefined && (
            <Dialog.Description className="m-0 mb-3 text-sm text-ink-2">{description}</Dialog.Description>
          )}
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
