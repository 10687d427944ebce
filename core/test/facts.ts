import type { Facts, FoodClass, FoodFact, StarchClass, StarchFact } from '../src/model'

const fact = (group: string, traits: readonly string[] = [], known: Partial<FoodFact> = {}): FoodFact => ({
  group,
  traits: new Set(traits),
  restMin: null,
  cookedC: null,
  pieceMm: null,
  refuse: null,
  ...known,
})
const starch = (lowC: number, highC: number, swellingMlPerG: number, isAmylose: boolean): StarchFact => ({
  lowC,
  highC,
  swellingMlPerG,
  isAmylose,
  thinsC: null,
  thinsMin: null,
  source: 'test',
})
const CLASSES: readonly (readonly [FoodClass, string, pieceMm: number, volumeMlPerG: number])[] = [
  ['pulse', 'bean', 9, 2.2],
  ['gluten', 'gluten', 0, 3],
  ['flour', 'flour', 0, 3],
  ['starch', 'flour', 0, 1.5],
  ['nut', 'nut', 12, 2],
  ['vegetable', 'firm-vegetable', 60, 7],
  ['mushroom', 'mushroom', 40, 5],
  ['spice', 'spice', 0, 3],
  ['fat', 'fat', 0, 0],
  ['salt', 'salt', 0, 0],
  ['water', 'liquid', 0, 0],
  ['egg', 'other', 40, 2],
]

/** Facts of the made-up foods: round figures. */
export const testFacts: Facts = {
  foods: new Map([
    ['beans', fact('cooked-pulse', ['cooked'])],
    ['gluten-powder', fact('gluten', ['gluten'])],
    ['kidney-beans-dry', fact('bean', ['raw-phaseolus'])],
    ['kidney-beans-cooked', fact('cooked-pulse', ['cooked'])],
  ]),
  classGroups: new Map(CLASSES.map(([foodClass, group]) => [foodClass, group])),
  agents: new Map(),
  starches: new Map<StarchClass, StarchFact>([
    ['wheat', starch(52, 64, 15, true)],
    ['maize', starch(62, 72, 20, true)],
    ['pulse', starch(60, 73, 4, true)],
  ]),
  particles: new Map(
    CLASSES.map(([foodClass, , pieceMm, volumeMlPerG]) => [
      foodClass,
      { pieceMm, groundUm: 100, blendedUm: 40, hardness: 0.5, volumeMlPerG },
    ]),
  ),
  cultures: new Map([
    [
      'thermophilic',
      { id: 'thermophilic', bestC: 43, halfwayH: 4.5, spreadH: 0.9, freshPH: 6.6, ripePH: 4.3 },
    ],
  ]),
  proteins: new Map(),
  aromas: new Map(),
  solidFats: new Map(),
  colours: new Map(),
  traces: new Map(),
  pungency: new Map(),
  beany: new Map(),
  addedSugars: new Map(),
  signatures: new Map(),
  usual: new Map([['vegetable', { glutamateMg: 40, glutamateSd: 35, sodiumMostMg: 300 }]]),
}
