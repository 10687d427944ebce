import { assess, workDish } from '../assess'
import { VOLUME_UNITS, weighingStep } from '../measure'
import {
  attributeName,
  type Assessment,
  type Dish,
  type FormulaLine,
  type Kitchen,
  type PartAssessment,
} from '../model'
import { energyKcal } from '../nutrition'
import { nutrientsOf, partState, placeAll, scratchFor } from '../process'
import { CARRIED_NUTRIENTS, type Program } from '../program'
import { familyTable, served, valuesOf, viscosityAt } from '../texture'
import { aimLimits, type Bench, LIMITED, type Limit, type LimitedId, type TuneAsk, TuneFault } from './ask'
import { consistencyOf, consistencyOutput, consistencyPoints } from './consistency'
import type { Knob, Output, Problem } from './problemTypes'
import { countedBy, mayChange } from './focus'
import { settingKnobs } from './settings'

/** A line comes to at least and at most so much of what it is; a food that makes up much of the mix stays its body, but where a sauce is thinned or thickened to what is stated. Practice. */
const RANGE = { small: [0.15, 3], body: [0.5, 1.8], thinned: [0.3, 5] } as const
/** From this share of the batch on a line is of its body. Practice. */
const BODY_SHARE = 0.12
/** A line of less than this share of the batch is moved in steps of that. */
const LEAST_SCALE = 0.004
/** The cooked batch stays within this share of what it is: a portion stays a portion. Practice. */
const BATCH_SHARE = 0.08
/** A food that comes in may be so much of the batch where the table states no dose. Practice. */
const NEW_SHARE = 0.12
/** A sauce that is thinned becomes more, by so much at most. Practice. */
const THINNED_SHARE = 1.5
const DOSE_ABOVE_USUAL = 1.5
const TEASPOONS_BELOW = 3
/** More than four tablespoons are weighed. Practice. */
const MOST_SPOONED_ML = 62

/** mL per gram of a line in spoons and cups; null for one that is weighed or counted. */
function spoonedMl({ amount }: FormulaLine, massG: number, { region }: Kitchen): number | null {
  if (amount === null || massG <= 0) return null
  let mL = 0
  for (const { unit, low, high, sign, qualifier, size } of amount.terms) {
    const spoon = unit === 'tsp' || unit === 'tbsp' || unit === 'cup' ? VOLUME_UNITS[unit] : undefined
    if (spoon === undefined || low !== high || qualifier !== null || size !== null) return null
    mL += sign * low * spoon.mL[region]
  }
  return mL > 0 && mL <= MOST_SPOONED_ML ? mL / massG : null
}

function lineKnobs(
  dish: Dish,
  ask: TuneAsk,
  program: Program,
  batchG: number,
  { kitchen, library }: Bench,
): Knob[] {
  const part = dish.parts.find(({ id }) => id === ask.partId)
  const held = new Set(ask.hold)
  const bounds = new Map(ask.bounds.map((bound) => [bound.lineId, bound]))
  return program.lines.flatMap(({ id, massG, entry }, at): Knob[] => {
    const line = part?.lines.find((one) => one.id === id)
    if (line === undefined || held.has(id) || entry.food === null) return []
    if (!mayChange(entry.food, ask.focus)) return []
    const isNew = ask.allow.length > 0 && line.id.startsWith(NEW_LINE)
    if (massG <= 0 && !isNew) return []
    const usual = library.ingredients.get(entry.food.id)?.functional?.usualHighPct ?? null
    const newG = batchG * (usual === null ? NEW_SHARE : Math.min(0.4, (DOSE_ABOVE_USUAL * usual) / 100))
    const own = bounds.get(id)
    const isBody = massG > BODY_SHARE * batchG && entry.food.foodClass !== 'water'
    const isThinned = ask.focus === 'thickness' && ask.consistency !== null
    const [least, most] = RANGE[isThinned ? 'thinned' : isBody ? 'body' : 'small']
    const mLPerG = isNew ? null : spoonedMl(line, massG, kitchen)
    const quarter = (VOLUME_UNITS.tsp?.mL[kitchen.region] ?? 5) / 4
    return [
      {
        kind: 'line',
        id,
        name: entry.food.name,
        at,
        now: isNew ? 0 : massG,
        low: own?.leastG ?? (isNew ? 0 : least * massG),
        high: own?.mostG ?? (isNew ? newG : most * massG),
        scale: isNew ? newG / 3 : Math.max(massG, LEAST_SCALE * batchG),
        step:
          mLPerG === null
            ? weighingStep(isNew ? newG / 3 : massG, kitchen)
            : (massG * mLPerG < 4 * TEASPOONS_BELOW * quarter ? quarter : 6 * quarter) / mLPerG,
        mLPerG,
      },
    ]
  })
}
/** Ids of lines that a search brings in begin with this. */
export const NEW_LINE = 'new-'

const NONE = Number.POSITIVE_INFINITY
const NOTHING_TO_CHANGE = {
  seasoning: 'Nothing here seasons: no salt, acid, sweetener, spice or savoury food that may change.',
  thickness: 'Nothing here thins or thickens: no liquid, starch, flour or gum that may change.',
} as const

/** Bounds of a figure that is outside them are not passed any further, and wanted back. */
function windowOutputs(part: PartAssessment, ids: readonly string[]): Output[] {
  return ids.flatMap((id): Output[] => {
    const ratio = part.ratios.find((one) => one.id === id)
    if (ratio === undefined) return []
    return [
      {
        kind: 'window',
        id,
        label: ratio.label,
        unit: ratio.unit,
        low: Math.min(ratio.low, ratio.value),
        high: Math.max(ratio.high, ratio.value),
        weight: 0,
        scale: Math.max(
          1e-6,
          Math.min(ratio.high - ratio.low, Math.max(Math.abs(ratio.low), 0.02 * (ratio.high - ratio.low))),
        ),
      },
    ]
  })
}

function limitOutputs(limits: readonly Limit[], before: Assessment, { currency }: Kitchen): Output[] {
  return limits.map(({ id, least, most }): Output => {
    if (before.perPortion[id] === null)
      throw new TuneFault(
        `The ${LIMITED[id].label} of a portion is not known, so it cannot be kept.`,
        id === 'cost'
          ? 'Set prices in Pantry, or leave the cost open.'
          : 'Find the foods that have no figure in Mix.',
      )
    return {
      kind: 'limit',
      id,
      label: LIMITED[id].label,
      unit: id === 'cost' ? currency : LIMITED[id].unit,
      low: least ?? -NONE,
      high: most ?? NONE,
      weight: 0,
      scale: Math.max(1e-6, Math.abs(most ?? least ?? 1)),
    }
  })
}

/** Both bounds on one figure, the tighter of each side. */
function merged(limits: readonly Limit[]): Limit[] {
  const known = new Map<LimitedId, Limit>()
  const tighter = (pick: typeof Math.min, a: number | null, b: number | null): number | null =>
    a === null ? b : b === null ? a : pick(a, b)
  for (const { id, least, most } of limits) {
    const before = known.get(id)
    known.set(id, {
      id,
      least: tighter(Math.max, before?.least ?? null, least),
      most: tighter(Math.min, before?.most ?? null, most),
    })
  }
  return [...known.values()]
}

const at = (name: (typeof CARRIED_NUTRIENTS)[number]): number => CARRIED_NUTRIENTS.indexOf(name)
const PROTEIN = at('proteinG')
const FAT = at('fatG')
const CARBOHYDRATE = at('carbohydrateG')
const FIBRE = at('fibreG')
const ALCOHOL = at('alcoholG')
const ACID = at('organicAcidG')

/** Energy of carried nutrients, kcal. */
const energyOf = (of: Float64Array): number =>
  energyKcal({
    proteinG: of[PROTEIN] ?? 0,
    fatG: of[FAT] ?? 0,
    carbohydrateG: of[CARBOHYDRATE] ?? 0,
    fibreG: of[FIBRE] ?? 0,
    alcoholG: of[ALCOHOL] ?? 0,
    organicAcidG: of[ACID] ?? 0,
  }) ?? 0

/**
 * The problem of bringing one part of a dish to its goal.
 *
 * Every look is the engine's own `evaluate`, with vessels and loads chosen anew: what `assess` would say of the changed
 * dish, without its standard deviations.
 *
 * @param near the dish as a search left it: its method is read and compiled there, for words and vessels may read
 *   otherwise than at the start; what may change, and from where, stays that of `dish`
 * @throws TuneFault where the part has nothing to be tuned to, or a limit rests on what is not known
 */
export function problemOf(dish: Dish, ask: TuneAsk, bench: Bench, near: Dish = dish): Problem {
  const { library, kitchen } = bench
  const workOf = (of: Dish) =>
    workDish(of, library, kitchen).find(({ assessment }) => assessment.partId === ask.partId)
  const own = workOf(dish)
  const work = near === dish ? own : workOf(near)
  const before = assess(dish, library, kitchen)
  const there = near === dish ? before : assess(near, library, kitchen)
  const part = before.parts.find(({ partId }) => partId === ask.partId)
  if (own === undefined || work === undefined || part === undefined)
    throw new TuneFault('There is no such part in this dish.', 'Choose one of its parts.')
  const table = familyTable(part.family)
  if (table === null)
    throw new TuneFault(
      `Nothing says what “${part.name}” is to be like.`,
      'Choose an original, or a family, in Aim.',
    )
  const { program, made, usualYield } = work.method
  const space = scratchFor(program)
  const consistency = consistencyOf(ask)
  if (consistency !== null && !table.isPoured)
    throw new TuneFault(
      `“${part.name}” does not pour, so it has no thickness to be brought to.`,
      'Choose a family that pours in Aim: a sauce, a cream, a milk.',
    )
  const wanted = consistency === null ? countedBy(part.attributes, ask.focus) : []
  if (wanted.length === 0 && consistency === null)
    throw new TuneFault(
      `“${part.name}” has no original and no bands of its own to be tuned to.`,
      'Choose an original in Aim, or set bands there.',
    )
  const aims = aimLimits(dish)
  const unknown = aims.filter(({ id }) => before.perPortion[id] === null)
  const limits = limitOutputs(
    merged([...aims.filter((limit) => !unknown.includes(limit)), ...ask.limits]),
    before,
    kitchen,
  )
  const attributePlace = wanted.map(({ id }) => table.attributes.findIndex((one) => one.id === id))
  const windows = windowOutputs(
    part,
    // A thickness that is asked for takes the place of the original's.
    table.ratios.map(({ id }) => id).filter((id) => consistency === null || id !== 'viscosity'),
  )
  const windowPlace = windows.map(({ id }) => table.ratios.findIndex((one) => one.id === id))
  const cookedG = part.cookedMassG
  const batchShare = consistency === null ? BATCH_SHARE : THINNED_SHARE
  const outputs: Output[] = [
    ...wanted.map(({ id, target, weight }): Output => ({
      kind: 'attribute',
      id,
      label: attributeName(id),
      unit: '',
      low: target.low,
      high: target.high,
      weight,
      scale: 1,
    })),
    ...(consistency === null ? [] : [consistencyOutput(consistency)]),
    ...windows,
    ...limits,
    {
      kind: 'batch',
      id: 'batch',
      label: 'cooked batch',
      unit: 'g',
      low: (1 - batchShare) * cookedG,
      high: (1 + batchShare) * cookedG,
      weight: 0,
      scale: Math.max(1, cookedG),
    },
    {
      kind: 'cost',
      id: 'cost',
      label: 'cost of a portion',
      unit: kitchen.currency,
      low: -NONE,
      high: NONE,
      weight: 0,
      scale: Math.max(1e-6, before.perPortion.cost ?? 1),
    },
  ]
  const knobs: Knob[] = [
    ...lineKnobs(dish, ask, own.method.program, part.rawMassG, bench),
    ...(ask.method && ask.focus === 'all' ? settingKnobs(own.method) : []),
  ].flatMap((knob): Knob[] => {
    const at =
      knob.kind === 'line'
        ? program.lines.findIndex(({ id }) => id === knob.id)
        : program.ops.findIndex(({ step }) => step.id === knob.id)
    return at < 0 ? [] : [{ ...knob, at }]
  })
  if (knobs.length === 0)
    throw new TuneFault(
      ask.focus === 'all' ? 'Every line is held.' : NOTHING_TO_CHANGE[ask.focus],
      ask.focus === 'all' ? 'Let go of at least one line.' : 'Add one to the formula, or let a food in.',
    )
  const prices = program.lines.map(({ entry }) => {
    const price = kitchen.prices.find(({ ingredientId }) => ingredientId === entry.food?.id)
    return price === undefined ? 0 : price.price / price.perG
  })
  // What of this part is served: what others take of it is in them, and is eaten as well.
  const servedShare = part.takenG > 0 && cookedG > 0 ? Math.min(1, (part.takenG + part.besideG) / cookedG) : 1
  const perPortion = servedShare / dish.aim.portions
  const baseNutrients = nutrientsOf(program, work.method.space.rows, program.finalRows)
  const baseEnergy = energyOf(baseNutrients)
  const baseMasses = program.inputs.masses
  const count = { evaluations: 0 }
  const look = (x: Float64Array): Float64Array => {
    count.evaluations += 1
    const masses = program.inputs.masses.slice()
    const minutes = program.inputs.minutes.slice()
    const end = program.inputs.end.slice()
    knobs.forEach((knob, index) => {
      const into = knob.kind === 'line' ? masses : knob.kind === 'minutes' ? minutes : end
      into[knob.at] = x[index] ?? knob.now
    })
    placeAll(program, space, { inputs: { ...program.inputs, masses, minutes, end }, made, usualYield })
    const state = partState(program, space)
    const values = valuesOf(table, served(table, state, work.goal), work.calibrations)
    const nutrients = nutrientsOf(program, space.rows, program.finalRows)
    let costChange = 0
    for (let line = 0; line < prices.length; line += 1)
      costChange += (prices[line] ?? 0) * ((masses[line] ?? 0) - (baseMasses[line] ?? 0))
    const limitOf = (id: string): number => {
      const known = there.perPortion[id as LimitedId] ?? 0
      if (id === 'cost') return known + costChange * perPortion
      if (id === 'energyKcal') return known + (energyOf(nutrients) - baseEnergy) * perPortion
      const place = CARRIED_NUTRIENTS.indexOf(id as (typeof CARRIED_NUTRIENTS)[number])
      return known + ((nutrients[place] ?? 0) - (baseNutrients[place] ?? 0)) * perPortion
    }
    const seen = new Float64Array(outputs.length)
    let next = 0
    for (const place of attributePlace) seen[next++] = values.attributes[place] ?? 0
    if (consistency !== null) seen[next++] = consistencyPoints(viscosityAt(state, consistency.tempC))
    for (const place of windowPlace) seen[next++] = values.ratios[place] ?? 0
    for (const { id } of limits) seen[next++] = limitOf(id)
    seen[next++] = state.cooked.massG
    seen[next] = (there.perPortion.cost ?? 0) + costChange * perPortion
    return seen
  }
  return {
    knobs,
    outputs,
    start: Float64Array.from(knobs, ({ now }) => now),
    look,
    count,
    before,
    part,
    unknown: unknown.map(({ id }) => id),
  }
}
