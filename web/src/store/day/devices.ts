import { create } from 'zustand'
import { type ProbeReadings, type ScaleReading, standIn } from '../../devices'

interface Devices {
  /** `off`: masses are typed. */
  readonly link: 'off' | 'on' | 'lost'
  readonly name: string
  readonly scale: ScaleReading | null
  readonly probe: ProbeReadings | null
}

/** Devices on the counter, and what they said last. */
export const useDevices = create<Devices>(() => ({
  link: 'off',
  name: standIn.name,
  scale: null,
  probe: null,
}))

const WANTED = 'frijol-devices'
let stop: (() => void) | undefined

/** Whether devices were connected when this browser was here last. */
export function wantsDevices(): boolean {
  try {
    return localStorage.getItem(WANTED) === 'yes'
  } catch {
    return false
  }
}
function remember(isWanted: boolean): void {
  try {
    if (isWanted) localStorage.setItem(WANTED, 'yes')
    else localStorage.removeItem(WANTED)
  } catch {
    // It is asked again next time.
  }
}

/** Listens to the devices until `disconnectDevices`. */
export function connectDevices(): void {
  if (stop !== undefined) return
  remember(true)
  useDevices.setState({ link: 'lost' })
  stop = standIn.listen({
    onScale: (scale) => useDevices.setState({ scale }),
    onProbe: (probe) => useDevices.setState({ probe }),
    onLink: (link) => useDevices.setState(link === 'on' ? { link } : { link, scale: null, probe: null }),
  })
}

/** From now on masses are typed. */
export function disconnectDevices(): void {
  stop?.()
  stop = undefined
  remember(false)
  useDevices.setState({ link: 'off', scale: null, probe: null })
}

/** Tells the probe's stand-in what its tip is in. */
export async function probeFollows(
  channel: 1 | 2,
  curve: readonly (readonly [number, number])[],
): Promise<void> {
  if (stop !== undefined) await standIn.follow?.(channel, curve)
}
export { type StandInCommand, tellStandIn } from '../../devices'
