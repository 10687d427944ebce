import type { ResolvedLine } from '../../composition'
import type { Ingredient, Kitchen, OperationId, Part } from '../../model'
import type { MethodRun, Traced } from '../../process'
import type { PartState } from '../../texture'

/** Warming up does not count as time at a temperature. @source practice */
const AT_TEMPERATURE = 0.7

export interface StoryInput {
  readonly part: Part
  readonly lines: readonly ResolvedLine[]
  readonly method: MethodRun
  readonly state: PartState
  readonly kitchen: Kitchen
  readonly rawMassG: number
}

/** One listed food with a mass. */
export interface Told {
  readonly id: string
  readonly food: Ingredient
  readonly massG: number
  readonly prep: string
}

/** Food ids, or a test of the food. */
export type Which = RegExp | ((food: Ingredient) => boolean)

/** A part's method as rules ask about it: what met what, when, how hot and for how long. */
export class Story {
  readonly part: Part
  readonly trace: readonly Traced[]
  readonly state: PartState
  readonly method: MethodRun
  readonly kitchen: Kitchen
  readonly rawMassG: number
  readonly foods: readonly Told[]
  readonly #first = new Map<string, number>()

  constructor({ part, lines, method, state, kitchen, rawMassG }: StoryInput) {
    this.part = part
    this.trace = method.trace
    this.state = state
    this.method = method
    this.kitchen = kitchen
    this.rawMassG = rawMassG
    this.foods = lines.flatMap(({ line, food, mass }) =>
      food === null || mass === null || mass.value <= 0
        ? []
        : [{ id: line.id, food, massG: mass.value, prep: `${line.food} ${line.prep}`.toLowerCase() }],
    )
    method.trace.forEach(({ added }, at) => {
      for (const { id } of added) if (!this.#first.has(id)) this.#first.set(id, at)
    })
  }

  get hasSteps(): boolean {
    return this.trace.length > 0
  }

  of(which: Which): Told[] {
    const test = typeof which === 'function' ? which : ({ id }: Ingredient) => which.test(id)
    return this.foods.filter(({ food }) => test(food))
  }

  pct(...told: readonly Told[]): number {
    return this.rawMassG > 0 ? (100 * told.reduce((sum, { massG }) => sum + massG, 0)) / this.rawMassG : 0
  }

  /** The step that takes a line first; -1 where none does. */
  joins({ id }: Told): number {
    return this.#first.get(id) ?? -1
  }

  /** Steps during which a line is in the lot. */
  through({ id }: Told): Traced[] {
    return this.trace.filter(({ holds }) => holds.some((source) => source.id === id))
  }

  /** Hottest core that a line reaches, C. */
  maxC(told: Told): number {
    return Math.max(20, ...this.through(told).map(({ reading }) => reading.state.coreC))
  }

  /** Minutes that a line spends at a core of so much or more. */
  minutesAt(told: Told, tempC: number): number {
    return this.through(told).reduce(
      (sum, { reading, spec }) =>
        sum +
        (spec !== null && spec.medium !== 'none' && reading.state.coreC >= tempC
          ? reading.minutes * AT_TEMPERATURE
          : 0),
      0,
    )
  }

  /** Minutes of rest in the lot before the first step of some operations; all of it where none comes. */
  restBefore(told: Told, operations: readonly OperationId[]): number {
    let minutes = 0
    for (const { spec, reading } of this.through(told)) {
      if (spec === null) continue
      if (operations.includes(spec.id)) break
      if (RESTS.has(spec.id)) minutes += reading.minutes
    }
    return minutes
  }

  did(told: Told, ...operations: readonly OperationId[]): Traced[] {
    return this.through(told).filter(({ spec }) => spec !== null && operations.includes(spec.id))
  }

  /** Names of foods for a sentence. */
  static name({ food }: Told): string {
    return food.name
      .replace(/,.*$/, '')
      .replace(/\s*\(.*\)/, '')
      .toLowerCase()
  }
}

const RESTS: ReadonlySet<OperationId> = new Set([
  'rest',
  'chill',
  'soak',
  'hydrate',
  'marinate',
  'cool',
  'freeze-thaw',
])

/** What a rule found, placed. */
export interface Hit {
  readonly lineId?: string
  readonly stepId?: string
  readonly message: string
  readonly remedy: string
}

export interface MethodRule {
  readonly id: string
  readonly severity: 'info' | 'caution' | 'stop'
  /** Which fault it looks for, in words of the field; its cause stands in the message. */
  readonly about: string
  readonly find: (story: Story) => readonly Hit[]
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
export const whole = (value: number): string => String(Math.round(value))
