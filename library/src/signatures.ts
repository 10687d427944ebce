import type { SignatureRow } from '@frijol/core/model'

/** Signatures as they stand in the generated file: the rows of each, and which of them an original has. */
export interface StoredSignatures {
  readonly rows: readonly (readonly [signature: string, rows: readonly SignatureRow[]])[]
  readonly originals: readonly (readonly [originalId: string, signatures: readonly string[]])[]
}

/** What carries the aroma of each original: the rows of all its signatures. */
export function signaturesFrom({
  rows,
  originals,
}: StoredSignatures): ReadonlyMap<string, readonly SignatureRow[]> {
  const bySignature = new Map(rows)
  return new Map(
    originals.map(([id, signatures]) => [id, signatures.flatMap((one) => bySignature.get(one) ?? [])]),
  )
}
