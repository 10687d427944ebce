import type { Step } from '../model'

const MINUTES = /(\d+(?:\.\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:\.\d+)?))?\s*(minutes?|mins?|hours?|hrs?|h)\b/i
const CELSIUS = /(\d{2,3})\s*(?:°|º|degrees?)?\s*C\b/
const FAHRENHEIT = /(\d{3})\s*(?:°|º|degrees?)?\s*F\b/

/** The first duration (middle of a range) and temperature that a step's text states. */
export function durationAndTemperature(text: string): Pick<Step, 'durationMin' | 'tempC'> {
  const time = MINUTES.exec(text)
  const low = Number(time?.[1] ?? Number.NaN)
  const high = time?.[2] === undefined ? low : Number(time[2])
  const perUnit = /^h/i.test(time?.[3] ?? '') ? 60 : 1
  const celsius = CELSIUS.exec(text)
  const fahrenheit = celsius === null ? FAHRENHEIT.exec(text) : null
  const tempC =
    celsius !== null
      ? Number(celsius[1])
      : fahrenheit !== null
        ? Math.round(((Number(fahrenheit[1]) - 32) * 5) / 9)
        : null
  return {
    durationMin: Number.isFinite(low) ? Math.min(100_000, ((low + high) / 2) * perUnit) : null,
    tempC: tempC !== null && tempC >= -40 && tempC <= 400 ? tempC : null,
  }
}
