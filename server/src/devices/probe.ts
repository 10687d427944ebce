/** What one channel of a probe thermometer tells, as it goes over the wire. */
export interface ProbeReading {
  readonly channel: 1 | 2
  /** C; null while it is not plugged in. */
  readonly c: number | null
  readonly state: 'ok' | 'unplugged'
}

export type ProbeAct =
  /** Puts the probe into what follows a curve of minutes and C from now on. */
  | {
      readonly act: 'follow'
      readonly channel: 1 | 2
      readonly curve: readonly (readonly [number, number])[]
    }
  /** Lies about in the room. */
  | { readonly act: 'room' | 'unplug' | 'plug-in'; readonly channel: 1 | 2 }
  /** Runs the curves so many times as fast, for trying things out. */
  | { readonly act: 'speed'; readonly times: number }

const ROOM_C = 20
const NOISE_C = 0.1
/** The tip of a probe takes so long to tell most of a change, s. */
const TIP_S = 4

interface Channel {
  curve: readonly (readonly [number, number])[] | null
  /** Minutes along the curve. */
  minutes: number
  tipC: number
  isPlugged: boolean
}

function along(curve: readonly (readonly [number, number])[], minutes: number): number {
  const after = curve.findIndex(([time]) => time >= minutes)
  if (after < 0) return curve.at(-1)?.[1] ?? ROOM_C
  const [time = 0, value = ROOM_C] = curve[after] ?? []
  const [before = time, from = value] = curve[after - 1] ?? []
  return time === before ? value : from + ((value - from) * (minutes - before)) / (time - before)
}

/** A simulated thermometer with two probes. What they are in comes from whoever cooks; it knows no food. */
export class SimulatedProbe {
  private readonly channels: readonly [Channel, Channel]
  private at: number
  private speed = 1
  private readonly random: () => number

  constructor(now: number, random: () => number = Math.random) {
    this.at = now
    this.random = random
    const idle = (): Channel => ({ curve: null, minutes: 0, tipC: ROOM_C, isPlugged: true })
    this.channels = [idle(), idle()]
  }

  private moveTo(now: number): void {
    const seconds = Math.max(0, now - this.at) / 1000
    this.at = now
    for (const channel of this.channels) {
      channel.minutes += (seconds * this.speed) / 60
      const around = channel.curve === null ? ROOM_C : along(channel.curve, channel.minutes)
      channel.tipC += (around - channel.tipC) * (1 - Math.exp((-seconds * this.speed) / TIP_S))
    }
  }

  do(now: number, command: ProbeAct): void {
    this.moveTo(now)
    if (command.act === 'speed') {
      this.speed = command.times
      return
    }
    const channel = this.channels[command.channel - 1]
    if (channel === undefined) return
    if (command.act === 'follow') Object.assign(channel, { curve: command.curve, minutes: 0 })
    else if (command.act === 'room') channel.curve = null
    else channel.isPlugged = command.act === 'plug-in'
  }

  read(now: number): ProbeReading[] {
    this.moveTo(now)
    return this.channels.map(({ tipC, isPlugged }, at) => ({
      channel: at === 0 ? 1 : 2,
      c: isPlugged ? Number((tipC + (this.random() * 2 - 1) * NOISE_C).toFixed(1)) : null,
      state: isPlugged ? 'ok' : 'unplugged',
    }))
  }
}
