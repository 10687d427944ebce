import { useState } from 'react'
import { usePhotosByIds } from '../../store/learn'
import { formatDay, Sheet } from '../../ui'

export interface PhotosProps {
  ids: readonly string[]
  /** What is on them: "Trial 3". */
  of: string
}

/** Pictures of a trial, small; one is opened large. Those that are gone are left out and said. */
export function Photos({ ids, of }: PhotosProps) {
  const photos = usePhotosByIds(ids)
  const [open, setOpen] = useState<string | null>(null)
  if (ids.length === 0 || photos === null) return null
  const shown = ids.flatMap((id) => photos.get(id) ?? [])
  const large = shown.find(({ id }) => id === open)
  const missing = ids.length - shown.length
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      {shown.map(({ id, dataUrl, takenAt }, at) => (
        <button
          key={id}
          type="button"
          aria-label={`${of}, picture ${at + 1} of ${shown.length}, ${formatDay(new Date(takenAt).toISOString().slice(0, 10))}: show it large`}
          className="overflow-hidden rounded-md border border-edge"
          onClick={() => setOpen(id)}
        >
          <img src={dataUrl} alt="" className="block h-20 w-24 object-cover" />
        </button>
      ))}
      {missing > 0 && (
        <span className="text-[13px] text-ink-2">
          {missing === 1 ? 'one picture is' : `${missing} pictures are`} not kept here
        </span>
      )}
      {large !== undefined && (
        <Sheet
          title={of}
          description={formatDay(new Date(large.takenAt).toISOString().slice(0, 10))}
          isOpen
          onClose={() => setOpen(null)}
          width="wide"
        >
          <img
            src={large.dataUrl}
            alt={`${of} as it was made`}
            className="block max-h-[70dvh] max-w-full rounded-lg"
          />
        </Sheet>
      )}
    </div>
  )
}
