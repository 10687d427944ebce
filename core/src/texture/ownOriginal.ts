import { type AttributeId, ATTRIBUTES, fail, ok, Original, type Result } from '../model'
import { checkOf } from './checks'

/** What a kitchen states of an original of its own. Composition per 100 g as served. */
export interface OwnOriginal {
  readonly id: string
  readonly name: string
  /** The shipped or own original that it is begun from: what is not stated here is as there. */
  readonly from: Original
  readonly servingTempC: number
  /** Points on the scale of 0 to 10; null = it does not apply. */
  readonly tasted: Partial<Record<AttributeId, number | null>>
  /** Measurements in the unit of the attribute's check: they stand in place of points. */
  readonly measured: Partial<Record<AttributeId, number>>
  readonly composition: Readonly<
    Record<'waterPct' | 'proteinPct' | 'fatPct' | 'saturatedFatPct' | 'carbohydratePct', number>
  >
  readonly sodiumMgPer100g: number
  /** At 50 1/s as served; null where it does not flow. */
  readonly viscosityPaS: number | null
  /** Who tasted, and what it was measured by. */
  readonly source: string
}

/** One food of one's own ranges less than a kind of food. Practice. */
const RANGE = 0.15
const VISCOSITY_RANGE = 2
/** kcal per g. @source Regulation (EU) 1169/2011 Annex XIV */
const KCAL = { proteinPct: 4, fatPct: 9, carbohydratePct: 4 } as const

const around = (typical: number) => ({
  typical,
  low: typical * (1 - RANGE),
  high: typical * (1 + RANGE),
})

/**
 * An original of a kitchen's own, profiled by tasting or by measuring.
 * @returns the original as the library keeps them, or what does not fit
 */
export function ownOriginal(own: OwnOriginal): Result<Original> {
  const name = own.name.trim()
  if (name === '') return fail({ code: 'no-name', path: ['name'], message: 'Name the original.' })
  const attributes: Partial<Record<AttributeId, number>> = {}
  for (const id of ATTRIBUTES) {
    const measured = own.measured[id]
    const tasted = own.tasted[id]
    const check = checkOf(id)
    if (measured !== undefined && check !== null) {
      if (measured < check.low || measured > check.high)
        return fail({
          code: 'out-of-range',
          path: ['measured', id],
          message: `${check.label}: between ${check.low} and ${check.high} ${check.unit}.`,
        })
      attributes[id] = Number(check.points(measured).toFixed(1))
    } else if (tasted !== undefined && tasted !== null) {
      if (tasted < 0 || tasted > 10)
        return fail({ code: 'out-of-range', path: ['tasted', id], message: 'The scale goes from 0 to 10.' })
      attributes[id] = tasted
    }
  }
  const { composition } = own
  const sum = Object.entries(composition).reduce(
    (of, [key, value]) => of + (key === 'saturatedFatPct' ? 0 : value),
    0,
  )
  if (Object.values(composition).some((value) => value < 0) || sum > 103)
    return fail({
      code: 'composition',
      path: ['composition'],
      message: `Water, protein, fat and carbohydrate come to ${Math.round(sum)} g in 100 g.`,
    })
  if (composition.saturatedFatPct > composition.fatPct)
    return fail({
      code: 'composition',
      path: ['composition', 'saturatedFatPct'],
      message: 'Saturated fat is part of the fat.',
    })
  const made = Original.safeParse({
    ...own.from,
    id: own.id,
    name,
    group: 'own',
    servingTempC: own.servingTempC,
    ...Object.fromEntries(Object.entries(composition).map(([key, value]) => [key, around(value)])),
    sodiumMgPer100g: around(own.sodiumMgPer100g),
    energyKcal: Math.round(
      composition.proteinPct * KCAL.proteinPct +
        composition.fatPct * KCAL.fatPct +
        composition.carbohydratePct * KCAL.carbohydratePct,
    ),
    viscosityPaS:
      own.viscosityPaS === null
        ? null
        : {
            typical: own.viscosityPaS,
            low: own.viscosityPaS / VISCOSITY_RANGE,
            high: own.viscosityPaS * VISCOSITY_RANGE,
          },
    attributes,
    importance: Object.fromEntries(
      Object.entries(own.from.importance).filter(([id]) => attributes[id as AttributeId] !== undefined),
    ),
    source: own.source.trim() === '' ? 'this kitchen’s own profile' : own.source.trim(),
    confidence: 'C',
  })
  if (made.success) return ok(made.data)
  const [first] = made.error.issues
  return fail({
    code: 'does-not-fit',
    path: (first?.path ?? []).map(String),
    message: first?.message ?? 'This does not fit.',
  })
}
