import type { CookSession } from '@frijol/core/model'
import { useOpenDay, usePhotos } from '../store/day'
import { clockOf } from './clock'

/** What was noted, with its minute, its step and its picture. */
export function Notes({ session, dishId }: { session: CookSession; dishId: string | null }) {
  const dayId = useOpenDay((state) => state.value?.id ?? '')
  const photos = usePhotos(dayId, session.notes.length)
  const notes = session.notes.filter((note) => dishId === null || note.dishId === dishId)
  const labels = new Map(session.tasks.map(({ id, label }) => [id, label]))
  if (notes.length === 0) return null
  return (
    <ul aria-label="Notes so far" className="m-0 mt-3 list-none border-t border-line p-0 pt-2 text-[16px]">
      {notes.map(({ id, at, text, photoId, taskId }) => {
        const photo = photoId === null ? undefined : photos.get(photoId)
        const label = taskId === null ? '' : (labels.get(taskId) ?? '')
        return (
          <li key={id} className="py-1.5">
            <b className="tabular-nums">{clockOf(at)}</b> {text}
            <span className="text-ink-2"> {label}</span>
            {photo !== undefined && (
              <img
                src={photo.dataUrl}
                width={photo.width}
                height={photo.height}
                alt={`Picture taken at ${clockOf(at)}${label === '' ? '' : `, ${label}`}`}
                className="mt-1 block h-auto max-h-48 w-auto rounded-lg"
              />
            )}
          </li>
        )
      })}
    </ul>
  )
}
