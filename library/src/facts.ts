import type { Facts, FoodClass, FoodFact } from '@frijol/core/model'
import type { StoredFacts } from './build/facts'
import { signaturesFrom } from './signatures'

/** The facts tables of the generated file as the engine looks them up. */
export function factsFrom(stored: StoredFacts, classOf: (foodId: string) => FoodClass | null): Facts {
  const groups = new Map(stored.classGroups)
  return {
    foods: new Map(
      stored.foods.map(({ id, traits, ...fact }): [string, FoodFact] => [
        id,
        { ...fact, traits: new Set(traits) },
      ]),
    ),
    classGroups: groups,
    agents: new Map(stored.agents.map((agent) => [agent.foodId, agent])),
    starches: new Map(stored.starches),
    particles: new Map(stored.particles),
    usual: new Map(stored.usual),
    proteins: new Map(stored.proteins),
    aromas: new Map(stored.aromas),
    solidFats: new Map(stored.solidFats),
    colours: new Map(stored.colours),
    traces: new Map(stored.traces),
    pungency: new Map(stored.pungency),
    beany: new Map(stored.beany),
    addedSugars: new Map(stored.addedSugars),
    signatures: signaturesFrom(stored.signatures, classOf),
    cultures: new Map(stored.cultures.map((culture) => [culture.id, culture])),
  }
}
