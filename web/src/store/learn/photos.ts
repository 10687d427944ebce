import type { Photo } from '@frijol/core/model'
import { useEffect, useState } from 'react'
import { photosByIds } from '../../data'

interface Read {
  readonly key: string
  readonly photos: ReadonlyMap<string, Photo>
}

/** Pictures by their ids, as they are kept; null while they are read. */
export function usePhotosByIds(ids: readonly string[]): ReadonlyMap<string, Photo> | null {
  const [read, setRead] = useState<Read | null>(null)
  const key = ids.join('\n')
  useEffect(() => {
    if (key === '') return undefined
    let isCurrent = true
    photosByIds(key.split('\n')).then(
      (photos) => {
        if (isCurrent) setRead({ key, photos })
      },
      (error: unknown) => console.error('The pictures of a trial could not be read', error),
    )
    return () => {
      isCurrent = false
    }
  }, [key])
  return read?.key === key ? read.photos : null
}
