import type { FoodClass, SignatureRow } from '@frijol/core/model'

/** Signatures as they stand in the generated file: the rows of each, and which of them an original has. */
export interface StoredSignatures {
  readonly rows: readonly (readonly [signature: string, rows: readonly SignatureRow[]])[]
  readonly originals: readonly (readonly [originalId: string, signatures: readonly string[]])[]
}

/** What is ashy or soapy is so in every dish; too much lemon or coconut depends on the dish. */
const TURNS_ANYWHERE: ReadonlySet<FoodClass> = new Set(['spice', 'herb', 'salt', 'seaweed', 'savoury'])

/** Seasonings that turn wherever they are, from the most that any signature bears: watched, carrying no note. */
function watchedAnywhere(rows: StoredSignatures['rows'], classOf: (foodId: string) => FoodClass | null) {
  const watched = new Map<string, SignatureRow>()
  for (const row of rows.flatMap(([, of]) => of)) {
    const { foodId, badPct } = row
    const foodClass = foodId === null ? null : classOf(foodId)
    if (foodId === null || badPct === null || foodClass === null || !TURNS_ANYWHERE.has(foodClass)) continue
    if (badPct > (watched.get(foodId)?.badPct ?? 0))
      watched.set(foodId, { ...row, note: null, lowPct: 0, highPct: badPct })
  }
  return [...watched.values()]
}

/** What carries the aroma of each original: the rows of all its signatures, and seasonings that turn in any dish. */
export function signaturesFrom(
  { rows, originals }: StoredSignatures,
  classOf: (foodId: string) => FoodClass | null,
): ReadonlyMap<string, readonly SignatureRow[]> {
  const bySignature = new Map(rows)
  const anywhere = watchedAnywhere(rows, classOf)
  return new Map(
    originals.map(([id, signatures]) => {
      const own = signatures.flatMap((one) => bySignature.get(one) ?? [])
      const known = new Set(own.map(({ foodId }) => foodId))
      return [id, [...own, ...anywhere.filter(({ foodId }) => !known.has(foodId))]]
    }),
  )
}
