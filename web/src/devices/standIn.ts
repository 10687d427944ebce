import { type DeviceAdapter, ProbeReadings, ScaleReading } from './adapter'

const ADDRESS = '/api/devices'
/** A stream that is this long silent is lost, ms. */
const SILENT_MS = 2500

/** What the stand-ins of the server are told. */
export type StandInCommand = Readonly<Record<string, unknown>> & { readonly act: string }

/** Tells a stand-in what to do. @returns what it answers in words where it refuses, null where it did it */
export async function tellStandIn(
  device: 'scale' | 'probe',
  command: StandInCommand,
): Promise<string | null> {
  try {
    const response = await fetch(`${ADDRESS}/${device}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(command),
    })
    if (response.ok) return null
    const body = (await response.json().catch(() => null)) as { error?: unknown } | null
    return typeof body?.error === 'string' ? body.error : 'The stand-in refused.'
  } catch {
    return 'The server with the stand-ins does not answer. Start it, and try again.'
  }
}

const parsed = (data: string): unknown => {
  try {
    return JSON.parse(data) as unknown
  } catch {
    return null
  }
}

/** The simulated scale and probe that the server brings along. */
export const standIn: DeviceAdapter = {
  name: 'simulated scale and probe',
  listen: ({ onScale, onProbe, onLink }) => {
    const source = new EventSource(`${ADDRESS}/events`)
    let heard = Date.now()
    let link: 'on' | 'lost' | null = null
    const tell = (next: 'on' | 'lost'): void => {
      if (link === next) return
      link = next
      onLink(next)
    }
    const taking =
      <T>(
        read: (value: unknown) => { success: true; data: T } | { success: false },
        on: (value: T) => void,
      ) =>
      ({ data }: MessageEvent<string>): void => {
        heard = Date.now()
        const reading = read(parsed(data))
        // What does not read as a reading is none: the next one is a fifth of a second away.
        if (!reading.success) return
        tell('on')
        on(reading.data)
      }
    source.addEventListener(
      'scale',
      taking((value) => ScaleReading.safeParse(value), onScale),
    )
    source.addEventListener(
      'probe',
      taking((value) => ProbeReadings.safeParse(value), onProbe),
    )
    source.addEventListener('error', () => tell('lost'))
    const timer = setInterval(() => {
      if (Math.abs(Date.now() - heard) > SILENT_MS) tell('lost')
    }, 1000)
    return () => {
      clearInterval(timer)
      source.close()
    }
  },
  follow: async (channel, curve) => {
    await tellStandIn('probe', { act: 'follow', channel, curve })
  },
}
