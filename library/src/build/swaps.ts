import { FamilyId, SWAP_BASES, type SwapBasis, type SwapRow } from '@frijol/core/model'
import { listIn, numberIn, readTable } from './table'

const basisOf = (text: string | undefined): SwapBasis => {
  const found = SWAP_BASES.find((one) => one === text)
  if (found === undefined) throw new Error(`swaps: no basis “${text ?? ''}”`)
  return found
}

/** "flaxseed-ground*1+water*3" as foods and their parts of the whole. */
function foodsIn(text: string): SwapRow['with'] {
  const parts = text.split('+').map((one) => {
    const [foodId = '', parts = '1'] = one.split('*')
    return { foodId, parts: Number(parts) }
  })
  const all = parts.reduce((sum, { parts: of }) => sum + of, 0)
  return parts.map(({ foodId, parts: of }) => ({ foodId, share: of / all }))
}

/**
 * What is done, and to which foods: "[tofu-silken] Blend until smooth. [tofu-soft] Break into curds." What names no food
 * makes all of them ready, where there are several.
 */
function processIn(text: string, foods: readonly string[]): Pick<SwapRow, 'process' | 'readies'> {
  const groups = [...text.matchAll(/\[([^\]]+)\]\s*([^[]+)/g)].map(([, ids = '', words = '']) => ({
    foods: ids.split(' ').filter((id) => id !== ''),
    text: words.trim(),
  }))
  if (groups.length > 0) return { process: groups.map(({ text: words }) => words).join(' '), readies: groups }
  return { process: text, readies: text === '' || foods.length === 1 ? [] : [{ foods, text }] }
}

/** The swaps table, checked: every food is known, every family is one, every figure in its range. */
export function readSwaps(file: URL, foods: ReadonlySet<string>): SwapRow[] {
  return readTable(file).map((row) => {
    const families = (row['families'] ?? '').split(' ').filter((one) => one !== '')
    const made: SwapRow = {
      from: (row['from'] ?? '').split(' '),
      with: foodsIn(row['with'] ?? ''),
      basis: basisOf(row['match']),
      ratio: numberIn(row, 'ratio') ?? 0,
      families: families.filter((one) => one !== '*').map((one) => FamilyId.parse(one)),
      isAnywhere: families.includes('*'),
      does: listIn(row, 'does').map((one) => one.trim()),
      ...processIn(
        row['process'] ?? '',
        foodsIn(row['with'] ?? '').map(({ foodId }) => foodId),
      ),
      fit: numberIn(row, 'fit') ?? 0,
      source: row['source'] ?? '',
    }
    const unknown = [...made.from, ...made.with.map(({ foodId }) => foodId)].filter((id) => !foods.has(id))
    if (unknown.length > 0) throw new Error(`swaps: no food ${unknown.join(', ')}`)
    const isSound =
      made.ratio > 0 &&
      made.fit > 0 &&
      made.fit <= 1 &&
      made.source !== '' &&
      made.does.length > 0 &&
      made.with.every(({ share }) => share > 0) &&
      (made.isAnywhere || made.families.length > 0)
    if (!isSound) throw new Error(`swaps: ${row['from'] ?? ''} to ${row['with'] ?? ''} is not sound`)
    return made
  })
}
