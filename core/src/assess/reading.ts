import type { Assessment, Dish, Step } from '../model'
import { type Piece, piecesOfText } from '../reading'

/** A doing of a written step, and the part that it belongs to. */
export interface ReadDoing {
  readonly partId: string
  readonly step: Step
}
/** A step of the method as it was written, with what was read from it. */
export interface ReadWritten {
  readonly number: number
  readonly heading: string | null
  readonly pieces: readonly Piece[]
  readonly doings: readonly ReadDoing[]
}
/** A listed food that no step takes. */
export interface LeftLine {
  readonly partId: string
  readonly lineId: string
  readonly name: string
  readonly massG: number
}
/** How a method was understood, for the one who wrote it. */
export interface MethodReading {
  readonly written: readonly ReadWritten[]
  readonly doingCount: number
  /** Share of the listed mass that some step takes, 0 to 1. */
  readonly takenShare: number
  /** What no step takes, the heaviest first. */
  readonly left: readonly LeftLine[]
}

/** Below this share of the listed mass the method is only partly read. @source practice */
export const WELL_READ_SHARE = 0.95

/**
 * Puts the method as it was written beside the doings that were read from it.
 * @param assessment of the same dish
 */
export function methodReading(dish: Dish, assessment: Assessment): MethodReading {
  const steps = new Map(
    dish.parts.flatMap(({ id: partId, steps: of }) => of.map((step) => [step.id, { partId, step }] as const)),
  )
  const written = dish.written.map(({ heading, text, stepIds }, at): ReadWritten => {
    const doings = stepIds.flatMap((id) => steps.get(id) ?? [])
    return {
      number: at + 1,
      heading,
      pieces: piecesOfText(
        text,
        doings.map(({ step }) => step.text),
      ),
      doings,
    }
  })
  const left = assessment.parts
    .flatMap(({ partId, unused }) =>
      unused.map(({ lineId, name, massG }) => ({ partId, lineId, name, massG })),
    )
    .sort((a, b) => b.massG - a.massG)
  const listedG = assessment.parts.reduce(
    (sum, { lines }) => sum + lines.reduce((total, { massG }) => total + (massG ?? 0), 0),
    0,
  )
  const leftG = left.reduce((sum, { massG }) => sum + massG, 0)
  return {
    written,
    doingCount: written.reduce((sum, { doings }) => sum + doings.length, 0),
    takenShare: listedG > 0 ? Math.max(0, 1 - leftG / listedG) : 1,
    left,
  }
}
