import type { Amount, UnitId } from '../model'
import { takeAmount } from './lineText'

const JUICED =
  /^(?:the\s+)?(?:(finely\s+grated\s+|grated\s+)?(juice|zest|rind))(?:\s+(?:and|&|\+)\s+(juice|zest|rind))?\s+(?:(?:of|from)\s+|(?=[\d½¼]))/i

/** "½ lemon (juice)" */
const JUICE_ASIDE = /\s*\((?:the\s+)?(juice|zest)(?:d|ed)?(?:\s+only)?\)/i

const JUICED_AFTER = /\b(?:juiced|juice only|juice of)\b/i

const ZESTED_AFTER = /\b(?:zested|zest only)\b/i

const CITRUS = /\b(lemon|lime|orange)s?\b/i

/** "juice of 1 lemon", "1 lemon, juiced": the juice, counted by fruit. */
export function readJuiced(
  line: string,
): { amount: Amount; food: string; prep: string; isBoth: boolean } | null {
  const text = line.replace(JUICE_ASIDE, ', $1 only')
  const led = JUICED.exec(text)
  const measured = takeAmount(led === null ? text : text.slice(led[0].length))
  const fruit = CITRUS.exec(measured.rest)
  const term = measured.amount?.terms[0]
  if (fruit === null) return null
  const isBare = term === undefined || (term.unit === null && term.pack === null)
  if (!isBare) return null
  const name = (fruit[1] ?? '').toLowerCase()
  const after = measured.rest.slice(fruit.index + fruit[0].length)
  const isZest =
    led === null
      ? ZESTED_AFTER.test(after) && !JUICED_AFTER.test(after)
      : !/juice/i.test(`${led[2] ?? ''}${led[3] ?? ''}`)
  if (led === null && !isZest && !JUICED_AFTER.test(after)) return null
  const unit: UnitId = isZest ? 'zested' : 'juiced'
  const base = term ?? {
    sign: 1 as const,
    low: 1,
    high: 1,
    unit: null,
    qualifier: null,
    size: null,
    pack: null,
  }
  return {
    amount: { terms: [{ ...base, unit }], isApproximate: measured.amount?.isApproximate ?? false },
    food: `${name} ${isZest ? 'zest' : 'juice'}`,
    prep: after.replace(/^[\s,]+/, ''),
    isBoth: led?.[3] !== undefined || (ZESTED_AFTER.test(after) && JUICED_AFTER.test(after)),
  }
}
