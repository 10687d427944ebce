import { assess } from '../assess'
import { type Dish, fail, type Kitchen, type Library, ok, type Result } from '../model'
import { resolveLines } from '../composition'
import { scaleDish } from './scaleDish'

/** Vessels that bound a batch: how full they may be, and whether the raw or the cooked batch fills them. Practice. */
export const VESSELS = {
  mould: { label: 'Mould or tin', fill: 0.95, fills: 'raw' },
  tray: { label: 'Tray, one layer', fill: 1, fills: 'raw' },
  blender: { label: 'Blender jug', fill: 0.65, fills: 'raw' },
  processor: { label: 'Food processor', fill: 0.5, fills: 'raw' },
  pot: { label: 'Pot', fill: 0.7, fills: 'raw' },
  tub: { label: 'Storage tub', fill: 0.95, fills: 'cooked' },
} as const
export type VesselId = keyof typeof VESSELS

/** Bulk density of a mix by what it is, g per mL. Loose crumbs lie light, sauces and pastes dense. Practice. */
const LOOSE_G_PER_ML = 0.6
const DENSE_G_PER_ML = 1.03
const LOOSE_FAMILIES: ReadonlySet<string> = new Set(['crumble-mince', 'shreddable', 'flaked', 'hard-grate'])

/** What a dish is scaled to. */
export type ScaleTarget =
  | { readonly to: 'portions'; readonly portions: number }
  | { readonly to: 'mass'; readonly cookedMassG: number }
  | { readonly to: 'have'; readonly have: readonly { readonly foodId: string; readonly massG: number }[] }
  | { readonly to: 'vessel'; readonly vessel: VesselId; readonly capacityML: number; readonly partId: string }

export interface ScaleFactor {
  readonly factor: number
  /** What decides, in words: "Walnuts are short: 60 of 100 g". */
  readonly reason: string
}

/** Share of the wanted mass at which the search for a factor ends, and its most rounds. */
const CLOSE_ENOUGH = 1e-4
const MOST_ROUNDS = 8

const refuse = (code: string, message: string): Result<ScaleFactor> => fail({ code, path: [], message })
const round = (grams: number): string =>
  String(grams >= 100 ? Math.round(grams) : Number(grams.toPrecision(3)))

function byHave(
  dish: Dish,
  library: Library,
  kitchen: Kitchen,
  have: Extract<ScaleTarget, { to: 'have' }>['have'],
): Result<ScaleFactor> {
  const needed = new Map<string, number>()
  for (const part of dish.parts) {
    for (const { food, mass } of resolveLines(part, library, kitchen)) {
      if (food !== null && mass !== null) needed.set(food.id, (needed.get(food.id) ?? 0) + mass.value)
    }
  }
  let limiting: (ScaleFactor & { factor: number }) | null = null
  for (const { foodId, massG } of have) {
    const name = library.ingredients.get(foodId)?.name ?? foodId
    const needG = needed.get(foodId) ?? 0
    if (needG <= 0)
      return refuse(
        'not-in-formula',
        `${name} is not in this formula with a mass. Choose one of its ingredients.`,
      )
    if (!(massG > 0)) return refuse('nothing-there', `Enter more than 0 g of ${name.toLowerCase()}.`)
    const factor = massG / needG
    if (limiting === null || factor < limiting.factor) {
      limiting = {
        factor,
        reason: `Limited by ${name.toLowerCase()}: ${round(massG)} g are there, the formula takes ${round(needG)} g.`,
      }
    }
  }
  return limiting === null
    ? refuse('nothing-named', 'Name at least one ingredient and how much of it is there.')
    : ok(limiting)
}

function byVessel(
  dish: Dish,
  library: Library,
  kitchen: Kitchen,
  target: Extract<ScaleTarget, { to: 'vessel' }>,
): Result<ScaleFactor> {
  const part = assess(dish, library, kitchen).parts.find(({ partId }) => partId === target.partId)
  if (part === undefined) return refuse('no-part', 'Choose the part that goes into it.')
  const vessel = VESSELS[target.vessel]
  const massG = vessel.fills === 'raw' ? part.rawMassG : part.cookedMassG
  if (!(massG > 0)) return refuse('no-mass', `${part.name} has no mass yet. Write its formula first.`)
  if (!(target.capacityML > 0)) return refuse('no-capacity', 'Enter how much it holds, above 0 mL.')
  const density =
    part.family !== null && LOOSE_FAMILIES.has(part.family) && target.vessel !== 'blender'
      ? LOOSE_G_PER_ML
      : DENSE_G_PER_ML
  const holdsG = target.capacityML * vessel.fill * density
  return ok({
    factor: holdsG / massG,
    reason: `${vessel.label}: ${round(target.capacityML)} mL filled to ${Math.round(vessel.fill * 100)} % takes about ${round(holdsG)} g.`,
  })
}

/** Pans and trays do not grow with the batch, so its yield moves: the factor is sought until the cooked mass is met. */
function factorForMass(dish: Dish, library: Library, kitchen: Kitchen, wantedG: number): number {
  let factor = 1
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const { cookedMassG } = assess(scaleDish(dish, factor), library, kitchen)
    factor *= wantedG / cookedMassG
    if (Math.abs(cookedMassG / wantedG - 1) < CLOSE_ENOUGH) break
  }
  return factor
}

/**
 * The factor that brings a dish to a target.
 * @returns a factor above 0 with what decides it; an issue that says what to enter where there is none
 */
export function scaleFactor(
  dish: Dish,
  library: Library,
  kitchen: Kitchen,
  target: ScaleTarget,
): Result<ScaleFactor> {
  switch (target.to) {
    case 'portions':
      return target.portions > 0
        ? ok({
            factor: target.portions / dish.aim.portions,
            reason: `${round(target.portions)} portions instead of ${round(dish.aim.portions)}.`,
          })
        : refuse('no-portions', 'Enter a number of portions above 0.')
    case 'mass': {
      const { cookedMassG } = assess(dish, library, kitchen)
      if (!(cookedMassG > 0)) return refuse('no-mass', 'The dish has no mass yet. Write its formula first.')
      return target.cookedMassG > 0
        ? ok({
            factor: factorForMass(dish, library, kitchen, target.cookedMassG),
            reason: `${round(target.cookedMassG)} g finished instead of ${round(cookedMassG)} g.`,
          })
        : refuse('no-mass', 'Enter a finished mass above 0 g.')
    }
    case 'have':
      return byHave(dish, library, kitchen, target.have)
    case 'vessel':
      return byVessel(dish, library, kitchen, target)
  }
}
