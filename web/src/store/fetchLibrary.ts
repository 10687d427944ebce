import type { Library } from '@frijol/core/model'
import { type LibraryContent, libraryFrom } from '@frijol/library/from'
import address from '@frijol/library/library.json?url'

let fetched: Promise<Library> | null = null

async function fetchOnce(): Promise<Library> {
  const response = await fetch(address)
  if (!response.ok) throw new Error(`the library could not be fetched: ${response.status}`)
  // It was checked against its schemas when it was built, and is shipped with this build.
  return libraryFrom((await response.json()) as LibraryContent)
}

/** The shipped library: data beside the code, fetched once and cached by the browser. */
export function fetchLibrary(): Promise<Library> {
  fetched ??= fetchOnce().catch((error: unknown) => {
    fetched = null
    throw error
  })
  return fetched
}
