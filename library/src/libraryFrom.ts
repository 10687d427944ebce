import type {
  Allergen,
  Conversion,
  Ingredient,
  Library,
  Original,
  RateConstant,
  SwapRow,
} from '@frijol/core/model'
import type { StoredFacts } from './build/facts'
import { factsFrom } from './facts'

/** The generated file, checked against core's schemas when it was built and again in the tests. */
export interface LibraryContent {
  readonly ingredients: Ingredient[]
  readonly originals: Original[]
  readonly allergens: Allergen[]
  readonly conversions: Conversion[]
  readonly rates: RateConstant[]
  readonly facts: StoredFacts
  readonly swaps: SwapRow[]
}

const byId = <T extends { id: string }>(items: readonly T[]): ReadonlyMap<string, T> =>
  new Map(items.map((item) => [item.id, item]))

/** The library of a generated file, for whoever has fetched it as data. */
export function libraryFrom(content: LibraryContent): Library {
  const ingredients = byId(content.ingredients)
  return {
    ingredients,
    originals: byId(content.originals),
    allergens: byId(content.allergens),
    conversions: content.conversions,
    rates: content.rates,
    facts: factsFrom(content.facts, (id) => ingredients.get(id)?.foodClass ?? null),
    swaps: content.swaps,
  }
}

/** A library with a person's own ingredients; an own one replaces a shipped one of the same id. */
export const withOwn = (library: Library, own: readonly Ingredient[]): Library =>
  own.length === 0
    ? library
    : {
        ...library,
        ingredients: new Map([...library.ingredients, ...own.map((item) => [item.id, item] as const)]),
      }

/** A library with a kitchen's own originals; one of them replaces a shipped one of the same id. */
export const withOriginals = (library: Library, own: readonly Original[]): Library =>
  own.length === 0
    ? library
    : {
        ...library,
        originals: new Map([...library.originals, ...own.map((item) => [item.id, item] as const)]),
      }
