import { type Dish, noLimits, type Part } from './dish'
import { nothingMoved } from './goal'

/** An empty part with a name. Ids come from the caller: core has no randomness of its own. */
export const blankPart = (id: string, name: string): Part => ({
  id,
  name,
  family: null,
  originalId: null,
  moved: nothingMoved(),
  alsoServed: null,
  lines: [],
  steps: [],
  ways: [],
  cookedMassG: null,
})

/** An empty dish of one part. `now` is an ISO date and time. */
export const blankDish = (id: string, name: string, now: string): Dish => ({
  format: 'frijol/dish',
  version: 1,
  id,
  name,
  menu: '',
  note: '',
  createdAt: now,
  updatedAt: now,
  trial: { number: 1, fromNumber: null, why: [] },
  aim: {
    matters: '',
    never: '',
    portions: 4,
    portionMassG: null,
    limits: noLimits(),
    excluded: [],
    without: [],
  },
  parts: [blankPart(`${id}-p1`, 'Main')],
  written: [],
  settled: [],
  series: [],
  extra: {},
})
