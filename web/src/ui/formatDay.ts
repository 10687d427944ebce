const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })

/** A day as words: “14 June 2026”. @param iso ISO date, or date and time */
export const formatDay = (iso: string): string => DAY.format(new Date(iso))
