import type { Original } from '@frijol/core/model'
import { X } from 'lucide-react'
import { useState } from 'react'
import { OwnOriginalSheet } from '../original'
import { removeOwnOriginal, undoKitchen, useOwnOriginals } from '../store'
import { Button, Card, CardTitle, IconButton, toast } from '../ui'

/** Originals that this kitchen has profiled itself. */
export function OriginalsCard() {
  const originals = useOwnOriginals()
  const [open, setOpen] = useState<Original | 'new' | null>(null)
  return (
    <Card className="grid gap-2 p-4">
      <CardTitle
        title="Originals of your own"
        aside={originals.length === 0 ? '' : String(originals.length)}
      />
      {originals.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">
          None yet. Taste or measure a food that the library does not have, and aim dishes at it.
        </p>
      ) : (
        <ul className="m-0 list-none ps-0 text-sm">
          {originals.map((original) => (
            <li key={original.id} className="flex items-center gap-2 border-t border-line py-1">
              <span className="min-w-0 flex-1 truncate">
                <b>{original.name}</b> <span className="text-ink-2">{original.source}</span>
              </span>
              <Button tone="quiet" className="min-h-7" onClick={() => setOpen(original)}>
                Change
              </Button>
              <IconButton
                label={`Take away ${original.name}`}
                onClick={() => {
                  removeOwnOriginal(original.id)
                  toast(`${original.name} is taken away.`, {
                    action: { label: 'Undo', onClick: undoKitchen },
                  })
                }}
              >
                <X size={15} />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
      <Button className="justify-self-start" aria-haspopup="dialog" onClick={() => setOpen('new')}>
        Make one
      </Button>
      <OwnOriginalSheet
        key={open === null || open === 'new' ? 'new' : open.id}
        original={open === 'new' ? null : open}
        begin={null}
        isOpen={open !== null}
        onClose={() => setOpen(null)}
        onKept={() => setOpen(null)}
      />
    </Card>
  )
}
