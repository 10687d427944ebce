/** What a scale says, as far as weighing needs it. */
export interface ScaleSays {
  /** Net mass on its display, g; null while it shows none. */
  readonly g: number | null
  readonly isStable: boolean
  readonly state: 'ok' | 'overload' | 'unplugged'
  readonly stepG: number
  readonly tareG: number
  /** Since when it has been on, ms. */
  readonly onSince: number
}

/**
 * One line being weighed. The scale is never told to tare: what counts is what it gained since the line began, so that a
 * scale that goes out, a page that is loaded anew and a bowl that stays on lose nothing.
 */
export interface WeighRun {
  readonly key: string
  /** On the display when it began to count; null until it shows something. */
  readonly startG: number | null
  /** What was counted before that: before the scale went out. */
  readonly baseG: number
  readonly netG: number
  readonly isStable: boolean
  readonly tareG: number
  readonly onSince: number
  readonly state: ScaleSays['state']
  /** What went in at a time, once the display stood still, g. */
  readonly additions: readonly { readonly massG: number; readonly at: number }[]
  /** What was counted when it last stood still. */
  readonly steadyG: number
  /** The scale went out meanwhile, and what was in by then was carried on. */
  readonly isCarried: boolean
}

const MOST_ADDITIONS = 200

/** Begins to weigh a line on whatever stands on the scale, once its display stands still. */
export const beginRun = (key: string, says: ScaleSays | null): WeighRun => ({
  key,
  startG: says?.state === 'ok' && says.isStable ? says.g : null,
  baseG: 0,
  netG: 0,
  isStable: says?.isStable ?? false,
  tareG: says?.tareG ?? 0,
  onSince: says?.onSince ?? 0,
  state: says?.state ?? 'unplugged',
  additions: [],
  steadyG: 0,
  isCarried: false,
})

/** Takes a reading in. @param at ms since 1970 */
export function takeReading(run: WeighRun, says: ScaleSays, at: number): WeighRun {
  const wasOff = run.onSince !== 0 && says.onSince !== run.onSince
  if (says.state !== 'ok' || says.g === null)
    return {
      ...run,
      // Over its load it is still on: it counts on from the same start. Off, it will wake with another zero.
      ...(says.state === 'unplugged' ? { netG: run.steadyG } : {}),
      isStable: false,
      state: says.state,
    }
  let { startG, baseG, isCarried } = run
  if (wasOff) {
    // It woke: what stood on it is its zero, and what was in by then is carried on.
    baseG = run.steadyG
    isCarried = run.steadyG !== 0
    startG = 0
  } else if (startG !== null) startG -= says.tareG - run.tareG
  else if (says.isStable) startG = says.g
  else return { ...run, isStable: false, state: 'ok', tareG: says.tareG, onSince: says.onSince }
  const netG = Number((baseG + says.g - startG).toFixed(2))
  const gained = Number((netG - run.steadyG).toFixed(2))
  const isAddition = says.isStable && Math.abs(gained) >= says.stepG - 1e-9
  return {
    ...run,
    startG,
    baseG,
    netG,
    isCarried,
    isStable: says.isStable,
    tareG: says.tareG,
    onSince: says.onSince,
    state: 'ok',
    steadyG: says.isStable ? netG : run.steadyG,
    additions: isAddition ? [...run.additions, { massG: gained, at }].slice(-MOST_ADDITIONS) : run.additions,
  }
}

/** Counts this line from nothing again: another bowl, or a bowl that was emptied. */
export const recount = (run: WeighRun, says: ScaleSays | null): WeighRun => beginRun(run.key, says)
