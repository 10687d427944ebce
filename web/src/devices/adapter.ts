import { z } from 'zod'

/** A reading of a scale. */
export const ScaleReading = z.object({
  at: z.number(),
  /** Net mass as its display shows it, g; null while it shows none. */
  g: z.number().nullable(),
  isStable: z.boolean(),
  state: z.enum(['ok', 'overload', 'unplugged']),
  stepG: z.number().positive(),
  /** What was tared away on the scale itself, g. */
  tareG: z.number(),
  /** Since when it has been on, ms. */
  onSince: z.number(),
})
export type ScaleReading = z.infer<typeof ScaleReading>

export const ProbeReadings = z.object({
  at: z.number(),
  channels: z.array(
    z.object({
      channel: z.number().int().min(1).max(8),
      c: z.number().nullable(),
      state: z.enum(['ok', 'unplugged']),
    }),
  ),
})
export type ProbeReadings = z.infer<typeof ProbeReadings>

export interface DeviceListener {
  readonly onScale: (reading: ScaleReading) => void
  readonly onProbe: (readings: ProbeReadings) => void
  /** `lost`: nothing is heard of the devices; it is tried again by itself. */
  readonly onLink: (link: 'on' | 'lost') => void
}

/** What stands between the application and devices on the counter. A real scale is one more of these. */
export interface DeviceAdapter {
  readonly name: string
  /** Listens until the returned way to stop is called. */
  readonly listen: (listener: DeviceListener) => () => void
  /** Tells the probe's stand-in what its tip is in: minutes and C from now on. Real probes need no telling. */
  readonly follow?: (channel: 1 | 2, curve: readonly (readonly [number, number])[]) => Promise<void>
}
