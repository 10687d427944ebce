import { assess, type Worked } from '../assess'
import { gramsLine } from '../measure'
import { type Dish, dishOfTrial, type Kitchen, type Library, type Trial } from '../model'

/** A trial, or the formula in work, as one seed of a dish's history. */
export interface Entry {
  /** Id of the trial; "now" for the formula in work. */
  readonly key: string
  readonly number: number
  readonly fromNumber: number | null
  readonly state: Trial['state'] | 'now'
  /** Day it was made; null for the formula in work. */
  readonly date: string | null
  readonly dish: Dish
  readonly asMade: Trial['asMade']
  readonly notes: string
  readonly decision: string
  readonly why: readonly string[]
}

export const NOW = 'now'

/** The kept trials of a dish in their order, and after them the formula in work. */
export function entriesOf(dish: Dish, trials: readonly Trial[]): Entry[] {
  const kept = [...trials]
    .sort((a, b) => a.number - b.number)
    .map((trial): Entry => ({
      key: trial.id,
      number: trial.number,
      fromNumber: trial.fromNumber,
      state: trial.state,
      date: trial.date,
      dish: dishOfTrial(dish, trial),
      asMade: trial.asMade,
      notes: trial.notes,
      decision: trial.decision,
      why: trial.why,
    }))
  return [
    ...kept,
    {
      key: NOW,
      number: dish.trial.number,
      fromNumber: dish.trial.fromNumber,
      state: 'now',
      date: null,
      dish,
      asMade: [],
      notes: '',
      decision: '',
      why: dish.trial.why,
    },
  ]
}

/** A dish with the masses that were really weighed in the place of those that were written. */
export function asMadeDish(dish: Dish, asMade: Trial['asMade']): Dish {
  if (asMade.length === 0) return dish
  const weighed = new Map(asMade.map(({ lineId, massG }) => [lineId, massG]))
  return {
    ...dish,
    parts: dish.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => {
        const massG = weighed.get(line.id)
        return massG === undefined ? line : gramsLine(line, massG)
      }),
    })),
  }
}

/** An entry with what it comes to: as written, and as it was really made. */
export interface WorkedEntry {
  readonly entry: Entry
  readonly written: Worked
  readonly made: Worked
}

export function workedEntry(
  entry: Entry,
  { library, kitchen }: { readonly library: Library; readonly kitchen: Kitchen },
): WorkedEntry {
  const written: Worked = { dish: entry.dish, assessment: assess(entry.dish, library, kitchen) }
  const dish = asMadeDish(entry.dish, entry.asMade)
  return {
    entry,
    written,
    made: dish === entry.dish ? written : { dish, assessment: assess(dish, library, kitchen) },
  }
}
