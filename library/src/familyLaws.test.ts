import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { type AttributeId, defaultKitchen, type Dish, FamilyId, type FormulaLine } from '@frijol/core/model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { ownMixes } from '../test/ownMixes'
import { library } from '.'

/** Mixes of every family through their own methods; the reading is made once, the masses are changed. */
const dishes = ownMixes.map(({ text, family, original, id }) => {
  const recipes = readRecipes(text, mixContext())
  const dish = recipes.ok ? recipes.value[0] : undefined
  if (dish === undefined) throw new Error(`${id} cannot be read`)
  const parts = dish.parts.map((part, at) =>
    at > 0 ? part : { ...part, family: FamilyId.parse(family), originalId: original },
  )
  return { id, family, dish: { ...dish, parts } }
})

const foodOf = ({ ingredientId }: FormulaLine) =>
  ingredientId === null ? undefined : library.ingredients.get(ingredientId)
const isLiquid = (line: FormulaLine): boolean =>
  ['water', 'vegetable-stock'].includes(line.ingredientId ?? '')
const isSalt = (line: FormulaLine): boolean =>
  foodOf(line)?.foodClass === 'salt' && line.ingredientId !== 'black-salt'
const isFat = (line: FormulaLine): boolean => foodOf(line)?.foodClass === 'fat'

/** The dish with some lines times a factor. */
const times = (dish: Dish, which: (line: FormulaLine) => boolean, factor: number): Dish => ({
  ...dish,
  parts: dish.parts.map((part) => ({
    ...part,
    lines: part.lines.map((line) =>
      which(line) && line.amount !== null
        ? {
            ...line,
            amount: {
              ...line.amount,
              terms: line.amount.terms.map((term) => ({
                ...term,
                low: term.low * factor,
                high: term.high * factor,
              })),
            },
          }
        : line,
    ),
  })),
})
interface Read {
  readonly value: number | undefined
  /** What steps take and in how many loads: where a mass turns that, another dish is made. */
  readonly road: string
}
function read(dish: Dish, id: AttributeId): Read {
  const part = assess(dish, library, defaultKitchen).parts[0]
  return {
    value: part?.attributes.find((one) => one.id === id)?.value,
    road: JSON.stringify(part?.steps.map(({ loads, takes }) => [loads, takes.map((take) => take.id).sort()])),
  }
}

const has = (dish: Dish, which: (line: FormulaLine) => boolean): boolean =>
  dish.parts[0]?.lines.some(which) === true
/** Points within which a reading has not moved: amounts in the words of steps are shares that a changed list turns. */
const STILL = 0.08

function neverMoves(
  which: (line: FormulaLine) => boolean,
  id: AttributeId,
  to: 'up' | 'down',
  families: (family: string) => boolean = () => true,
): void {
  const known = dishes.filter(({ dish, family }) => has(dish, which) && families(family))
  expect(known.length).toBeGreaterThan(8)
  fc.assert(
    fc.property(
      fc.constantFrom(...known),
      fc.double({ min: 1.02, max: 1.6, noNaN: true }),
      ({ dish }, factor) => {
        const { value: before, road } = read(dish, id)
        const { value: after, road: other } = read(times(dish, which, factor), id)
        if (before === undefined || after === undefined || road !== other) return
        if (to === 'up') expect(after).toBeLessThanOrEqual(before + STILL)
        else expect(after).toBeGreaterThanOrEqual(before - STILL)
      },
    ),
    { numRuns: 120 },
  )
}

describe('laws of every family, through methods', () => {
  it('more water never firms', () => neverMoves(isLiquid, 'firmness', 'up'))
  it('more salt never tastes less salty', () => neverMoves(isSalt, 'saltiness', 'down'))
  it('more salt never tastes less savoury', () => neverMoves(isSalt, 'umami', 'down'))
  it('more fat never reads leaner', () => neverMoves(isFat, 'richness', 'down'))
  it('more water never thickens what pours', () =>
    neverMoves(isLiquid, 'thickness', 'up', (family) => /sauce|spread|cultured|yolk/.test(family)))

  it('keeps every attribute within 0 and 10, whatever the masses', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...dishes),
        fc.array(fc.double({ min: 0.01, max: 12, noNaN: true }), { minLength: 14, maxLength: 14 }),
        ({ dish }, factors) => {
          let changed = dish
          dish.parts[0]?.lines.forEach((line, at) => {
            changed = times(changed, ({ id }) => id === line.id, factors[at % factors.length] ?? 1)
          })
          for (const { value, sd } of assess(changed, library, defaultKitchen).parts[0]?.attributes ?? []) {
            expect(value).toBeGreaterThanOrEqual(0)
            expect(value).toBeLessThanOrEqual(10)
            expect(Number.isFinite(sd)).toBe(true)
          }
        },
      ),
      { numRuns: 150 },
    )
  })

  it('mass, not the order of listing, decides', () => {
    for (const { dish, id } of dishes) {
      const turned = {
        ...dish,
        parts: dish.parts.map((part) => ({ ...part, lines: [...part.lines].reverse() })),
      }
      for (const attribute of ['firmness', 'umami', 'saltiness', 'richness'] as const) {
        const { value: before, road } = read(dish, attribute)
        const { value: after, road: other } = read(turned, attribute)
        if (before === undefined || after === undefined || road !== other) continue
        expect(Math.abs(after - before), `${id} ${attribute}`).toBeLessThan(0.02)
      }
    }
  })
})
