import { useEffect, useState } from 'react'

const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })
const MINUTE_MS = 60_000

export const clockOf = (ms: number): string => CLOCK.format(new Date(ms))
export const clockAt = (minute: number): string => clockOf(minute * MINUTE_MS)
export const dayOf = (at: Date): string => DAY.format(at)

/** "41:10" under an hour, "1:22 h" from an hour on; rounded up, so that 0:00 is the end and not before. */
export function countdown(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000))
  const pad = (value: number): string => String(value).padStart(2, '0')
  if (seconds >= 3600) return `${Math.floor(seconds / 3600)}:${pad(Math.floor((seconds % 3600) / 60))} h`
  return `${Math.floor(seconds / 60)}:${pad(seconds % 60)}`
}

/** The time, told every second. Nothing is counted: whatever is late, is late by the clock. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const tick = () => setNow(Date.now())
    const timer = setInterval(tick, 1000)
    document.addEventListener('visibilitychange', tick)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', tick)
    }
  }, [])
  return now
}

/** "12.4 g", "48 g", "1,240 g": as fine as a scale shows it. */
export const grams = (value: number, step = 0.1): string =>
  `${value.toFixed(step < 1 && Math.abs(value) < 100 ? 1 : 0)} g`
