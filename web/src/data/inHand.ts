/** What is being weighed just now on a day, kept at once and outside of the database: a page that goes away loses nothing. */
const keyOf = (dayId: string): string => `frijol-in-hand/${dayId}`

export function keepInHand(dayId: string, value: unknown): void {
  try {
    if (value === null) localStorage.removeItem(keyOf(dayId))
    else localStorage.setItem(keyOf(dayId), JSON.stringify(value))
  } catch (error) {
    // Weighing goes on; only a page that goes away in the middle of a line would begin that line anew.
    console.error('What is being weighed could not be kept aside', error)
  }
}

/** What was being weighed when the page went away; null where nothing was, or it cannot be read. */
export function readInHand(dayId: string): unknown {
  try {
    const text = localStorage.getItem(keyOf(dayId))
    return text === null ? null : (JSON.parse(text) as unknown)
  } catch {
    return null
  }
}
