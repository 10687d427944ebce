import type { Batch, ResolvedLine } from '../composition'
import type { Kitchen, Library, Part, Step, StepReading, StepUse } from '../model'
import {
  type Item,
  itemOf,
  massOf,
  portionOf,
  type Source,
  sourceOf,
  splitOff,
  batchOf,
  withVapour,
} from './lots/item'
import { emptyLot, Ledger, type Lot, lotSums, pour } from './lots/lot'
import { fill } from './operations/liquid'
import type { OperationSpec } from './operations/specs'
import type { Placed } from './operations/vessel'
import { usesOf } from './read/uses'
import { runStep } from './runStep'

/** What a part has become, for another part to take and for its own totals. */
export interface Finished {
  readonly partId: string
  readonly name: string
  readonly items: readonly Item[]
  readonly massG: number
}

/** One step as rules see it. */
export interface Traced {
  readonly step: Step
  readonly spec: OperationSpec | null
  readonly placed: Placed | null
  readonly tempC: number | null
  readonly reading: StepReading
  /** What the lot holds during the step, and what joined it now: ids of lines. */
  readonly holds: readonly Source[]
  readonly added: readonly Source[]
  readonly isMixed: boolean
  readonly form: Lot['form']
}

/** The batch after a method, what each step did to it, and what the cooked mass rests on. */
export interface MethodRun {
  readonly cooked: Batch
  /** The cooked batch with its vapour put back: the mix as it would weigh uncooked. */
  readonly mixed: Batch
  readonly items: readonly Item[]
  readonly trace: readonly Traced[]
  /** Mass and water of the lines as they come to the first step, g. */
  readonly start: { readonly massG: number; readonly waterG: number }
  readonly basis: 'weighed' | 'steps' | 'family' | 'raw'
  /** Grams that a stated mass asks to leave and that are not there. */
  readonly impossibleG: number
  /** What of the lines no step takes, and lots that no later step goes on with. */
  readonly unused: readonly { readonly lineId: string; readonly name: string; readonly massG: number }[]
  readonly looseStepIds: readonly string[]
  /** Taken from other parts, g. */
  readonly taken: ReadonlyMap<string, number>
  readonly time: { readonly handsMin: number; readonly totalMin: number; readonly energyKWh: number }
}

export interface MethodInput {
  readonly part: Part
  readonly lines: readonly ResolvedLine[]
  readonly library: Library
  readonly kitchen: Kitchen
  /** Parts that this one may take, finished. */
  readonly others: readonly Finished[]
  readonly otherParts: readonly Part[]
  /** Cooked per raw mass where no step changes it; null when the family has none. */
  readonly usualYield: number | null
}

const SOAKED = /\bsoak(?:ed|ing)?\b/i
const SOAKED_HOURS = /(\d+(?:\.\d+)?)\s*(?:-|to)?\s*(?:\d+\s*)?h(?:ours?|rs?)?\b/i
const OVERNIGHT_MIN = 600
const SOAKED_MIN = 360

/** "60 g raw cashews, soaked 4 hours" is listed dry: it comes to its first step soaked. */
function soakFirst(item: Item, line: ResolvedLine, input: MethodInput): void {
  const said = `${line.line.prep} ${line.line.food}`
  if (!item.source.kind.isDry || !SOAKED.test(said) || /-soaked|-cooked/.test(line.food?.id ?? '')) return
  if (!['bean', 'lentil', 'soybean', 'nut', 'grain', 'dried-mushroom'].includes(item.source.kind.group))
    return
  const hours = SOAKED_HOURS.exec(said)
  const minutes = /overnight/i.test(said)
    ? OVERNIGHT_MIN
    : hours === null
      ? SOAKED_MIN
      : Number(hours[1]) * 60
  fill(
    { operation: 'soak', tempC: 20, rates: input.library.rates, lnRatio: 0, ledger: new Ledger() },
    item,
    minutes,
    [],
  )
}

/** The part's lines and what it may take of others, by what is still unused. */
class Store {
  readonly #items = new Map<string, { item: Item; wholeG: number }>()
  readonly sources: Source[] = []
  readonly taken = new Map<string, number>()
  readonly used = new Set<string>()
  readonly #others: ReadonlyMap<string, Finished>
  readonly #otherLeft = new Map<string, number>()

  constructor(input: MethodInput) {
    for (const line of input.lines) {
      const massG = line.mass?.value ?? 0
      if (massG <= 0) continue
      const source = sourceOf(line.line.id, line.food?.name ?? line.line.food, line.food)
      const item = itemOf(source, massG)
      soakFirst(item, line, input)
      this.sources.push(source)
      this.#items.set(line.line.id, { item, wholeG: massOf(item) })
    }
    this.#others = new Map(input.others.map((other) => [other.partId, other]))
  }

  sums(): { massG: number; waterG: number } {
    let massG = 0
    let waterG = 0
    for (const { item } of this.#items.values()) {
      massG += massOf(item)
      waterG += item.waterG
    }
    return { massG, waterG }
  }

  line(id: string, share: number | null): Item | null {
    const known = this.#items.get(id)
    if (known === undefined) return null
    this.used.add(id)
    const left = massOf(known.item)
    const wanted = share === null ? left : share * known.wholeG
    if (wanted >= left - 1e-9) {
      this.#items.delete(id)
      return known.item
    }
    return splitOff(known.item, wanted / left)
  }

  part(id: string, share: number | null): Lot | null {
    const other = this.#others.get(id)
    if (other === undefined) return null
    const left = this.#otherLeft.get(id) ?? 1
    const part = Math.min(left, share ?? left)
    this.#otherLeft.set(id, left - part)
    this.taken.set(id, (this.taken.get(id) ?? 0) + part * other.massG)
    const lot = emptyLot(null)
    lot.isMixed = true
    lot.items = other.items.map((item) => takenFrom(item, part))
    return lot
  }

  rest(): Item[] {
    return [...this.#items.values()].map(({ item }) => item)
  }
}

/** A share of another part's item: its vapour is that part's record. */
function takenFrom(item: Item, share: number): Item {
  const copy = portionOf(item, share)
  copy.evaporatedG = 0
  return copy
}

/** Lots on the bench: what steps made and no later step has taken. */
type Bench = Map<string, { lot: Lot; wholeG: number }>

interface Gathered {
  readonly lot: Lot
  readonly takes: StepReading['takes']
  readonly added: Source[]
  /** Mass that came from other parts, g, and its water. */
  readonly from: { massG: number; waterG: number }
}

function takeLot(bench: Bench, id: string, share: number | null): Lot | null {
  const known = bench.get(id)
  if (known === undefined) return null
  const left = share === null ? 0 : lotSums(known.lot).massG
  const wanted = share === null ? left : share * known.wholeG
  if (wanted >= left - 1e-9) {
    bench.delete(id)
    return known.lot
  }
  const lot: Lot = { ...known.lot, items: known.lot.items.map((item) => splitOff(item, wanted / left)) }
  return lot
}

function gather(
  step: Step,
  uses: readonly StepUse[],
  store: Store,
  bench: Bench,
  names: ReadonlyMap<string, string>,
): Gathered {
  const lot = emptyLot(step.id)
  const takes: StepReading['takes'] = []
  const added: Source[] = []
  const from = { massG: 0, waterG: 0 }
  for (const { kind, id, share } of uses) {
    if (kind === 'line') {
      const item = store.line(id, share)
      if (item === null) continue
      const fresh = emptyLot(null)
      fresh.items.push(item)
      added.push(item.source)
      takes.push({ kind, id, name: names.get(id) ?? item.source.name, share, massG: massOf(item) })
      pour(lot, fresh)
    } else {
      const taken = kind === 'step' ? takeLot(bench, id, share) : store.part(id, share)
      if (taken === null) continue
      const { massG, waterG } = lotSums(taken)
      takes.push({ kind, id, name: names.get(id) ?? '', share, massG })
      if (kind === 'part') {
        from.massG += massG
        from.waterG += waterG
        added.push(...taken.items.map(({ source }) => source))
      }
      pour(lot, taken, massG)
    }
  }
  return { lot, takes, added, from }
}

const holdsOf = (lot: Lot): Source[] => lot.items.map(({ source }) => source)

/** Nothing of the method changes the mass: the family's usual yield stands in. */
function usual(items: readonly Item[], fraction: number): void {
  let massG = 0
  let waterG = 0
  for (const item of items) {
    massG += massOf(item)
    waterG += item.waterG
  }
  const loss = Math.min(waterG, massG * (1 - fraction))
  if (waterG <= 0 || loss <= 0) return
  for (const item of items) {
    const left = (item.waterG * loss) / waterG
    item.waterG -= left
    item.evaporatedG += left
  }
}

/** Brings the finished part to the mass that was weighed. Returns grams that cannot leave. */
function toWeighed(items: readonly Item[], weighedG: number): number {
  let massG = 0
  let waterG = 0
  for (const item of items) {
    massG += massOf(item)
    waterG += item.waterG
  }
  const less = massG - weighedG
  const left = less > 0 ? Math.min(less, waterG) : less
  for (const item of items) {
    const share = waterG > 0 ? item.waterG / waterG : 1 / items.length
    const back = Math.min(item.evaporatedG, Math.max(0, -left * share))
    item.waterG -= left * share
    item.evaporatedG += left > 0 ? left * share : -back
  }
  return Math.max(0, less - left)
}

/**
 * Runs a part's method: each step takes lines, lots or other parts, changes them as its operation does, and leaves a lot
 * for the next. What no step takes is there at the end, too, so that nothing is lost: raw mass = cooked mass + what left
 * − what came in, in every step.
 *
 * A weighed cooked mass wins over the model, a weighed step over its prediction; a method in which nothing changes mass
 * falls back to the family's usual yield.
 *
 * @returns masses in g, times in min, energy in kWh; the items are the run's own
 */
export function runMethod(input: MethodInput): MethodRun {
  const { part, library, kitchen } = input
  const store = new Store(input)
  const bench: Bench = new Map()
  const uses = part.steps.length === 0 ? [] : usesOf(part, input.lines, input.otherParts, kitchen)
  const names = new Map<string, string>([
    ...part.steps.map(({ id }, at) => [id, `step ${at + 1}`] as const),
    ...input.others.map(({ partId, name }) => [partId, name] as const),
    ...input.lines.map(
      ({ line, food }) => [line.id, line.food === '' ? (food?.name ?? '') : line.food] as const,
    ),
  ])
  const raw = store.sums()
  let partMassG = raw.massG
  let partWaterG = raw.waterG
  let impossibleG = 0
  let hasChange = false
  const time = { handsMin: 0, totalMin: 0, energyKWh: 0 }
  const trace: Traced[] = []
  for (const [at, step] of part.steps.entries()) {
    const { lot, takes, added, from } = gather(step, uses[at] ?? [], store, bench, names)
    const ran = runStep(step, lot, takes, library, kitchen)
    const { reading } = ran
    partMassG += from.massG + reading.massG - reading.massInG
    partWaterG += from.waterG
    for (const { waterG } of reading.gained) partWaterG += waterG
    for (const { waterG } of reading.lost) partWaterG -= waterG
    reading.partMassG = partMassG
    reading.partWaterG = partWaterG
    impossibleG += ran.impossibleG
    hasChange ||= reading.lost.length + reading.gained.length > 0 || step.weighedG !== null
    time.handsMin += reading.handsMin
    time.totalMin += reading.minutes
    time.energyKWh += reading.energyKWh
    trace.push({
      step,
      spec: ran.spec,
      placed: ran.placed,
      tempC: ran.tempC,
      reading,
      holds: holdsOf(lot),
      added,
      isMixed: lot.isMixed,
      form: lot.form,
    })
    if (lot.items.length > 0) bench.set(step.id, { lot, wholeG: reading.massG })
  }
  const rest = store.rest()
  const items = [...[...bench.values()].flatMap(({ lot }) => lot.items), ...rest]
  let basis: MethodRun['basis'] = hasChange ? 'steps' : 'raw'
  if (part.cookedMassG !== null && items.length > 0) {
    impossibleG += toWeighed(items, part.cookedMassG)
    basis = 'weighed'
  } else if (!hasChange && input.usualYield !== null) {
    usual(items, input.usualYield)
    basis = 'family'
  }
  const lastId = part.steps.at(-1)?.id
  const cooked = batchOf(items)
  return {
    cooked,
    mixed: withVapour(cooked, items),
    items,
    trace,
    start: raw,
    basis,
    impossibleG,
    unused:
      part.steps.length === 0
        ? []
        : rest.map((item) => ({
            lineId: item.source.id,
            name: names.get(item.source.id) ?? item.source.name,
            massG: massOf(item),
          })),
    looseStepIds: [...bench.keys()].filter((id) => id !== lastId),
    taken: store.taken,
    time,
  }
}
