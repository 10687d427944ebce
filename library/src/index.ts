import type { Allergen, Conversion, Ingredient, Library, Original, RateConstant } from '@frijol/core/model'
import type { StoredFacts } from './build/facts'
import { factsFrom } from './facts'
import generated from './generated/library.json'

/** The generated file, checked against core's schemas when it was built and again in the tests. */
const content = generated as unknown as {
  ingredients: Ingredient[]
  originals: Original[]
  allergens: Allergen[]
  conversions: Conversion[]
  rates: RateConstant[]
  facts: StoredFacts
}

const byId = <T extends { id: string }>(items: readonly T[]): ReadonlyMap<string, T> =>
  new Map(items.map((item) => [item.id, item]))

/** The ingredients, originals and allergens that ship with Frijol. */
export const library: Library = {
  ingredients: byId(content.ingredients),
  originals: byId(content.originals),
  allergens: byId(content.allergens),
  conversions: content.conversions,
  rates: content.rates,
  facts: factsFrom(content.facts),
}

/** The library with a person's own ingredients; an own one replaces a library one of the same id. */
export const withOwnIngredients = (own: readonly Ingredient[]): Library =>
  own.length === 0
    ? library
    : {
        ...library,
        ingredients: new Map([...library.ingredients, ...own.map((item) => [item.id, item] as const)]),
      }
