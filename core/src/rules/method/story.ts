import type { ResolvedLine } from '../../composition'
import type { Ingredient, Kitchen, OperationId, Part } from '../../model'
import type { PartRun, PartState, Traced } from '../../process'
import { foodEntry, type FoodEntry } from '../../program'

/** Warming up does not count as time at a temperature. @source practice */
export const AT_TEMPERATURE = 0.7

export interface StoryInput {
  readonly part: Part
  readonly lines: readonly ResolvedLine[]
  readonly method: PartRun
  readonly state: PartState
  readonly kitchen: Kitchen
  readonly rawMassG: number
}

/** One listed food with a mass. */
export interface Told {
  readonly id: string
  readonly food: Ingredient
  /** What the library's facts tables say of it. */
  readonly entry: FoodEntry
  readonly massG: number
  readonly prep: string
}

/** A mark of the facts table, a family of agents, or a test of the food. */
export type Which = string | ((food: Ingredient) => boolean)

/** Listed liquid that a shaped mix is cooked in and lifted out of, g. */
function brothOf({ program }: PartRun): number {
  let grams = 0
  for (const { spec, phaseBefore, takes } of program.ops) {
    if (spec?.medium !== 'liquid' || phaseBefore !== 'body') continue
    for (const { kind, rows } of takes)
      if (kind === 'line')
        for (const row of rows)
          if (program.rows[row]?.source.entry.isLiquid === true) grams += program.rawG[row] ?? 0
  }
  return grams
}

/** Whether a food carries a mark of the facts table, or is an agent of a family. */
export const hasMark = ({ traits, agent }: FoodEntry, mark: string): boolean =>
  traits.has(mark) || agent?.family === mark

/** A part's method as rules ask about it: what met what, when, how hot and for how long. */
export class Story {
  readonly part: Part
  readonly trace: readonly Traced[]
  readonly state: PartState
  readonly method: PartRun
  readonly kitchen: Kitchen
  readonly rawMassG: number
  readonly foods: readonly Told[]
  /** Mass of the mix without the broth that it is cooked in, g. */
  readonly #mixG: number
  readonly #first = new Map<string, number>()

  constructor({ part, lines, method, state, kitchen, rawMassG }: StoryInput) {
    this.part = part
    this.trace = method.trace
    this.state = state
    this.method = method
    this.kitchen = kitchen
    this.rawMassG = rawMassG
    this.#mixG = rawMassG - brothOf(method)
    this.foods = lines.flatMap(({ line, food, mass }) =>
      food === null || mass === null || mass.value <= 0
        ? []
        : [
            {
              id: line.id,
              food,
              entry: foodEntry(food, method.program.library.facts),
              massG: mass.value,
              prep: `${line.food} ${line.prep}`.toLowerCase(),
            },
          ],
    )
    method.trace.forEach(({ added }, at) => {
      for (const { id } of added) if (!this.#first.has(id)) this.#first.set(id, at)
    })
  }

  get hasSteps(): boolean {
    return this.trace.length > 0
  }

  of(which: Which): Told[] {
    return this.foods.filter(({ food, entry }) =>
      typeof which === 'function' ? which(food) : hasMark(entry, which),
    )
  }

  pct(...told: readonly Told[]): number {
    return this.#mixG > 0 ? (100 * told.reduce((sum, { massG }) => sum + massG, 0)) / this.#mixG : 0
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

  /** Minutes that a line spends at a core of so much or more; in one medium, where it is named. */
  minutesAt(told: Told, tempC: number, medium?: 'liquid'): number {
    return this.through(told).reduce(
      (sum, { reading, spec }) =>
        sum +
        (spec !== null && isIn(spec.medium, medium) && reading.state.coreC >= tempC
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

const isIn = (medium: string, wanted: string | undefined): boolean =>
  wanted === undefined ? medium !== 'none' : medium === wanted

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
