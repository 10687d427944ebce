const MINUTE_MS = 60_000
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })

/** Time of the clock on the wall. @param minute since 1970 in UTC */
export const clock = (minute: number): string => CLOCK.format(new Date(minute * MINUTE_MS))
export const day = (minute: number): string => DAY.format(new Date(minute * MINUTE_MS))
