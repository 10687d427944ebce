import type { Ingredient, Kitchen } from '../model'
import { formatNumber } from './format'
import { VOLUME_UNITS } from './units'

/** A mass as spoons and cups, with the rounding it costs. */
export interface KitchenMeasure {
  readonly text: string
  /** Signed: measured by this text, the mass is off by this share. */
  readonly errorFraction: number
}

const CUPS = [1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1]
const SPOONS = [1 / 8, 1 / 4, 1 / 2, 3 / 4, 1, 1.5, 2]
const WHOLE_CUPS = [...CUPS, ...[1, 2, 3, 4, 5, 6, 7].flatMap((n) => CUPS.map((part) => n + part))]

function nearest(options: readonly number[], wanted: number): number {
  return options.reduce((best, option) =>
    Math.abs(option - wanted) < Math.abs(best - wanted) ? option : best,
  )
}

/** A cup measure further off than this takes spoons beside it. @source show the rounding over 5 %; practice */
const CLOSE_ENOUGH = 0.04

/** Cups alone where they are close; else a cup measure plus whole tablespoons, two measures at most. */
function measuredCups(
  mL: number,
  cup: number,
  tbsp: number,
  measured: (unit: 'cup' | 'tbsp', quantity: number) => KitchenMeasure,
): KitchenMeasure {
  const alone = measured('cup', nearest(WHOLE_CUPS, mL / cup))
  if (Math.abs(alone.errorFraction) <= CLOSE_ENOUGH) return alone
  const spoons = Math.round(mL / tbsp)
  if (spoons <= 6 && Math.abs((spoons * tbsp) / mL - 1) <= CLOSE_ENOUGH) return measured('tbsp', spoons)
  let best = alone
  for (const cups of WHOLE_CUPS) {
    const extra = Math.round((mL - cups * cup) / tbsp)
    if (extra < 1 || extra > 3) continue
    const errorFraction = (cups * cup + extra * tbsp) / mL - 1
    if (Math.abs(errorFraction) < Math.abs(best.errorFraction) - 0.01) {
      best = { text: `${measured('cup', cups).text} plus ${formatNumber(extra)} tbsp`, errorFraction }
    }
  }
  return best
}

/**
 * A mass in the cups and spoons of the kitchen's region, rounded to measures that exist.
 *
 * @param massG grams, above 0
 * @param food its usual density is used
 * @returns null where the food is not measured by volume, or is under 1/16 tsp or over 8 cups
 * @source rounding steps: kitchen practice (spoons 1/8 to 2 tsp, tbsp to 4, cups from 1/4)
 */
export function kitchenMeasure(massG: number, food: Ingredient, kitchen: Kitchen): KitchenMeasure | null {
  const gPerMl = food.volumes[0]?.gPerMl
  if (gPerMl === undefined || massG <= 0) return null
  const mL = massG / gPerMl
  const size = (unit: 'tsp' | 'tbsp' | 'cup') => VOLUME_UNITS[unit]?.mL[kitchen.region] ?? 1
  const spoon = size('tsp')
  const measured = (unit: 'tsp' | 'tbsp' | 'cup', quantity: number): KitchenMeasure => ({
    text: `${formatNumber(quantity)} ${unit === 'cup' && quantity > 1 ? 'cups' : unit}`,
    errorFraction: (quantity * size(unit)) / mL - 1,
  })
  if (mL < spoon / 16) return null
  if (mL < size('tbsp') * 0.95) return measured('tsp', nearest(SPOONS, mL / spoon))
  if (mL < size('cup') * 0.23) {
    return measured('tbsp', nearest([1, 1.5, 2, 2.5, 3, 3.5, 4], mL / size('tbsp')))
  }
  if (mL > size('cup') * 8.2) return null
  return measuredCups(mL, size('cup'), size('tbsp'), measured)
}
