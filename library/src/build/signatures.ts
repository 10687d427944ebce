import { SIGNATURE_ASKS, type SignatureRow } from '@frijol/core/model'
import type { StoredSignatures } from '../signatures'
import { listIn, numberIn, readTable, type Row } from './table'

const data = (name: string): URL => new URL(`../../data/${name}`, import.meta.url)
const filled = (text: string | undefined): string | null => (text === undefined || text === '' ? null : text)

function signatureRow(row: Row, foodIds: ReadonlySet<string>): SignatureRow {
  const note = filled(row['note'])
  const foodId = filled(row['food'])
  const low = numberIn(row, 'low_pct')
  const high = numberIn(row, 'high_pct')
  const bad = numberIn(row, 'bad_pct')
  const turns = row['turns'] ?? ''
  const source = row['source'] ?? ''
  const asks = SIGNATURE_ASKS.find((one) => one === row['asks']) ?? null
  const fault = (what: string): Error =>
    new Error(`signatures: ${row['signature'] ?? '?'}, ${note ?? 'watched'}, ${foodId ?? 'culture'}: ${what}`)
  if (foodId !== null && !foodIds.has(foodId)) throw fault('no such food')
  if ((foodId === null) !== (asks === 'culture')) throw fault('a culture, and it alone, has no food')
  if (source === '') throw fault('no source')
  if ((bad === null) !== (turns === ''))
    throw fault('a dose that is too much, and what it turns to, go together')
  if (note === null) {
    if (bad === null) throw fault('nothing to watch for')
    return { note, foodId, lowPct: 0, highPct: bad, badPct: bad, turns, asks, source }
  }
  if (low === null || high === null || !(low > 0 && low < high)) throw fault('no sound window')
  if (bad !== null && bad < high) throw fault('too much before its window ends')
  return { note, foodId, lowPct: low, highPct: high, badPct: bad, turns, asks, source }
}

/** Reads the signatures and whose they are; throws where a row is not sound or a signature is nobody's. */
export function readSignatures(foodIds: ReadonlySet<string>): StoredSignatures {
  const rows = new Map<string, SignatureRow[]>()
  for (const row of readTable(data('signatures.csv'))) {
    const id = row['signature'] ?? ''
    rows.set(id, [...(rows.get(id) ?? []), signatureRow(row, foodIds)])
  }
  const originals = readTable(data('original-signatures.csv')).map(
    (row) => [row['id'] ?? '', listIn(row, 'signatures')] as const,
  )
  const used = new Set(originals.flatMap(([, signatures]) => signatures))
  for (const id of used) if (!rows.has(id)) throw new Error(`original-signatures: no signature ${id}`)
  for (const id of rows.keys()) if (!used.has(id)) throw new Error(`signatures: no original has ${id}`)
  return { rows: [...rows], originals }
}
