import type { LibraryContent } from '@frijol/library/from'
import address from '@frijol/library/library.json?url'

let fetched: Promise<LibraryContent> | null = null

async function fetchOnce(): Promise<LibraryContent> {
  const response = await fetch(address)
  if (!response.ok) throw new Error(`the library could not be fetched: ${response.status}`)
  // It was checked against its schemas when it was built, and is shipped with this build.
  return (await response.json()) as LibraryContent
}

/** The shipped library: data beside the code, fetched once and cached by the browser. */
export function fetchLibrary(): Promise<LibraryContent> {
  fetched ??= fetchOnce().catch((error: unknown) => {
    fetched = null
    throw error
  })
  return fetched
}
