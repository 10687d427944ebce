import { type Dose, type NoteStanding, signatureOf } from '../flavour'
import type { Aim, Library, SignatureRow } from '../model'
import { foodsCarried, sulphurLeft } from '../process'
import { isExcluded } from '../rules'
import { souring } from '../texture'
import type { PartWork } from './workPart'

/** A food that would carry a note, and how much of it: what is there is counted in. */
export interface AromaOffer {
  readonly foodId: string
  readonly name: string
  readonly lowG: number
  readonly highG: number
  /** Has to be browned, or to be stirred in off the heat. */
  readonly how: 'browned' | 'late' | null
  /** None of it is in the part; some is, and more would do; or as much is as it takes, handled as `how` says. */
  readonly there: 'none' | 'some' | 'enough'
}

export interface AromaNote {
  readonly note: string
  readonly standing: NoteStanding
  /** What carries it, the strongest first; low and high are its window, % of the mix. A culture has no window. */
  readonly carriers: readonly {
    readonly name: string
    readonly pct: number
    readonly window: readonly [low: number, high: number] | null
  }[]
  /** What would carry it, where it is missing or faint. */
  readonly offers: readonly AromaOffer[]
}

/** The aroma of an original, note by note. */
export interface AromaReading {
  readonly notes: readonly AromaNote[]
  /** Foods of which there is so much that they read as something else. */
  readonly turned: readonly {
    readonly name: string
    readonly pct: number
    readonly badPct: number
    readonly turns: string
  }[]
}

const MOST_OFFERS = 3
/** What is there is offered first. */
const THERE: readonly AromaOffer['there'][] = ['enough', 'some', 'none']
const CULTURE = 'its own culture'

/** What of each food reaches the nose, by food id. */
function dosesOf({ method }: PartWork, mixedG: number): ReadonlyMap<string, Dose> {
  const sums = new Map<string, { massG: number; browned: number; left: number }>()
  for (const { entry, massG, browned, hotMin } of foodsCarried(method)) {
    if (entry.food === null) continue
    const sum = sums.get(entry.food.id) ?? { massG: 0, browned: 0, left: 0 }
    sum.massG += massG
    sum.browned += massG * browned
    sum.left += massG * sulphurLeft(hotMin, true)
    sums.set(entry.food.id, sum)
  }
  return new Map(
    [...sums].map(([id, { massG, browned, left }]) => [
      id,
      { pct: (100 * massG) / mixedG, browned: browned / massG, left: left / massG },
    ]),
  )
}

interface Asking {
  readonly mixedG: number
  readonly aim: Aim
  readonly library: Library
  readonly doses: ReadonlyMap<string, Dose>
}

/** Foods that bring a note to its window, those that are there first, none that the aim excludes, one of a name. */
function offersOf(
  rows: readonly SignatureRow[],
  strength: number,
  { mixedG, aim, library, doses }: Asking,
): AromaOffer[] {
  const kinds = new Set<string>()
  return rows
    .flatMap(({ foodId, lowPct, highPct, asks }): AromaOffer[] => {
      const food = foodId === null ? undefined : library.ingredients.get(foodId)
      if (food === undefined) return []
      if (aim.excluded.some((id) => isExcluded(food, id, library))) return []
      const grams = (pct: number): number => (pct * mixedG) / 100
      const pct = doses.get(food.id)?.pct ?? 0
      const how = asks === 'browned' ? 'browned' : asks === 'fades' ? 'late' : null
      const isEnough = how !== null && pct >= (1 - strength) * lowPct
      const there = pct > 0 ? (isEnough ? 'enough' : 'some') : 'none'
      const [lowG, highG] = [grams((1 - strength) * lowPct), grams(highPct - strength * lowPct)]
      return [{ foodId: food.id, name: food.name, lowG, highG, how, there }]
    })
    .sort((a, b) => THERE.indexOf(a.there) - THERE.indexOf(b.there))
    .filter(({ name }) => {
      const kind = name.split(',')[0] ?? name
      return !kinds.has(kind) && kinds.add(kind)
    })
    .slice(0, MOST_OFFERS)
}

/**
 * Which notes of its original's aroma a part carries, what would carry the others, and what turns.
 * @returns null where the part stands for no original, or its original has no signature of its own
 */
export function aromaOf(work: PartWork, aim: Aim, library: Library): AromaReading | null {
  const { assessment, state } = work
  const rows =
    assessment.originalId === null ? undefined : library.facts.signatures.get(assessment.originalId)
  if (rows === undefined || state.mixed.massG <= 0) return null
  const mixedG = state.mixed.massG
  const doses = dosesOf(work, mixedG)
  const nameOf = (id: string | null): string =>
    id === null ? CULTURE : (library.ingredients.get(id)?.name ?? id)
  const { notes, turned } = signatureOf(rows, doses, souring(state))
  return {
    notes: notes.map(({ note, standing, strength, carriers, rows: of }) => ({
      note,
      standing,
      carriers: carriers.map(({ row, pct }) => ({
        name: nameOf(row.foodId),
        pct,
        window: row.foodId === null ? null : [row.lowPct, row.highPct],
      })),
      offers:
        standing === 'missing' || standing === 'faint'
          ? offersOf(of, strength, { mixedG, aim, library, doses })
          : [],
    })),
    turned: turned.map(({ row, pct }) => ({
      name: nameOf(row.foodId),
      pct,
      badPct: row.badPct ?? pct,
      turns: row.turns,
    })),
  }
}
