import type { Dish, Part } from './dish'
import type { Step } from './method'
import type { Written } from './written'

/** A step of a dish, with the place of its part and of the written step that it belongs to; null = of none. */
export interface PlacedStep {
  readonly part: number
  readonly step: Step
  readonly written: number | null
}

/** Steps in the order in which they are done: written ones as written, others after the one before them in their part. */
export function stepsInOrder(
  parts: readonly Pick<Part, 'steps'>[],
  written: readonly Written[],
): PlacedStep[] {
  const place = new Map<string, { written: number; key: number }>()
  let count = 0
  written.forEach(({ stepIds }, at) => {
    for (const id of stepIds) place.set(id, { written: at, key: (count += 1) })
  })
  let tie = 0
  return parts
    .flatMap(({ steps }, part) => {
      let key = -1
      return steps.map((step) => {
        const known = place.get(step.id)
        key = Math.max(known?.key ?? -1, key)
        return { part, step, written: known?.written ?? null, key, tie: (tie += 1) }
      })
    })
    .sort((a, b) => a.key - b.key || a.tie - b.tie)
    .map(({ part, step, written: at }) => ({ part, step, written: at }))
}

/** A step as it is printed or handed on: the written words, or the words of a step that was written by itself. */
export interface MethodEntry {
  readonly heading: string | null
  readonly text: string
  readonly steps: readonly PlacedStep[]
}

/** Whether the steps still say what was written, each in its place. */
function isAsWritten(text: string, steps: readonly PlacedStep[]): boolean {
  let from = 0
  for (const { step } of steps) {
    const at = text.indexOf(step.text, from)
    if (at < 0) return false
    from = at + step.text.length
  }
  return true
}

const asSentence = (text: string): string =>
  `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.!?:;]$/u.test(text) ? '' : '.'}`

/**
 * The method of a dish joined again as it was written: doings of one written step stand under its words. Where doings
 * were changed, taken out or put between since, the words of the doings stand instead.
 */
export function methodEntries({ parts, written }: Pick<Dish, 'parts' | 'written'>): MethodEntry[] {
  const entries: { heading: string | null; written: number | null; steps: PlacedStep[] }[] = []
  for (const placed of stepsInOrder(parts, written)) {
    const last = entries.at(-1)
    if (last !== undefined && placed.written !== null && last.written === placed.written)
      last.steps.push(placed)
    else {
      const heading = placed.written === null ? null : (written[placed.written]?.heading ?? null)
      entries.push({ heading, written: placed.written, steps: [placed] })
    }
  }
  return entries.map(({ heading: above, written: at, steps }): MethodEntry => {
    const one = at === null ? undefined : written[at]
    const isWhole = one !== undefined && one.stepIds.length === steps.length
    const text =
      isWhole && isAsWritten(one.text, steps)
        ? one.text
        : steps.map(({ step }) => (steps.length > 1 ? asSentence(step.text) : step.text)).join(' ')
    return { heading: above, text, steps }
  })
}
