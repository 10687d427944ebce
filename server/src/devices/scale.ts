/** What a scale tells, as it goes over the wire. */
export interface ScaleReading {
  /** ms since 1970 by the device. */
  readonly at: number
  /** Net mass as the display shows it, g; null while it shows none. */
  readonly g: number | null
  readonly isStable: boolean
  readonly state: 'ok' | 'overload' | 'unplugged'
  /** Step of the display, g. */
  readonly stepG: number
  /** Net mass that was tared away, g. */
  readonly tareG: number
  /** Since when it has been on, ms: another one means that it was off, and that what stood on it became its zero. */
  readonly onSince: number
}

export type ScaleAct =
  | { readonly act: 'tare' | 'zero' | 'stop' | 'take-away' | 'unplug' | 'plug-in' }
  /** Pours so many grams a second until it is stopped. */
  | { readonly act: 'pour'; readonly gPerS: number }
  /** Puts so many grams on; below 0 takes them off. */
  | { readonly act: 'add'; readonly g: number }
  /** Creeps by so many grams a minute, as a warm load cell does. */
  | { readonly act: 'drift'; readonly gPerMin: number }

const CAPACITY_G = 5000
const STEP_G = 0.1
/** After the last change the display needs so long to stand still, ms. */
const SETTLE_MS = 500
/** While it moves, the display wanders by so many steps each way. */
const WANDER_STEPS = 3

/** A simulated kitchen scale of 5 kg in steps of 0.1 g. It has no clock of its own: whoever reads it says the time. */
export class SimulatedScale {
  private loadG = 0
  private tareG = 0
  private zeroG = 0
  private gPerS = 0
  private driftGPerMin = 0
  private driftG = 0
  private isPlugged = true
  private onSince: number
  private at: number
  private changedAt: number
  private readonly random: () => number

  constructor(now: number, random: () => number = Math.random) {
    this.at = now
    this.onSince = now
    this.changedAt = now - SETTLE_MS
    this.random = random
  }

  private moveTo(now: number): void {
    const ms = Math.max(0, now - this.at)
    this.at = now
    if (this.gPerS !== 0) {
      this.loadG = Math.max(0, this.loadG + (this.gPerS * ms) / 1000)
      this.changedAt = now
    }
    this.driftG += (this.driftGPerMin * ms) / 60_000
  }

  do(now: number, command: ScaleAct): void {
    this.moveTo(now)
    const { act } = command
    if (act === 'pour') this.gPerS = command.gPerS
    else if (act === 'stop') this.gPerS = 0
    else if (act === 'drift') this.driftGPerMin = command.gPerMin
    else if (act === 'add') this.loadG = Math.max(0, this.loadG + command.g)
    else if (act === 'take-away') {
      this.loadG = 0
      this.gPerS = 0
    } else if (act === 'tare') this.tareG = this.loadG + this.driftG - this.zeroG
    else if (act === 'zero') {
      this.zeroG = this.loadG + this.driftG
      this.tareG = 0
    } else if (act === 'unplug') this.isPlugged = false
    else {
      // It wakes as scales do: what stands on it then is its zero.
      this.isPlugged = true
      this.onSince = now
      this.zeroG = this.loadG + this.driftG
      this.tareG = 0
    }
    if (act !== 'drift') this.changedAt = now
  }

  read(now: number): ScaleReading {
    this.moveTo(now)
    const tareG = Number(this.tareG.toFixed(1))
    const base = { at: now, stepG: STEP_G, tareG, onSince: this.onSince }
    if (!this.isPlugged) return { ...base, g: null, isStable: false, state: 'unplugged' }
    if (this.loadG > CAPACITY_G) return { ...base, g: null, isStable: false, state: 'overload' }
    const isStable = now - this.changedAt >= SETTLE_MS
    const net = this.loadG + this.driftG - this.zeroG - this.tareG
    const wander = isStable ? 0 : (this.random() * 2 - 1) * WANDER_STEPS * STEP_G
    const steps = Math.round((net + wander) / STEP_G)
    // No display shows a minus before nothing.
    return { ...base, g: Number((steps * STEP_G).toFixed(1)) + 0, isStable, state: 'ok' }
  }
}
