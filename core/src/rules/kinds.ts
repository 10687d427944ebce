import type { Finding } from '../model'
import { METHOD_RULES } from './method'

/** What a finding is about, in one word, by its rule. */
const KINDS: readonly (readonly [RegExp, string])[] = [
  [/^unit-slip/, 'Slip'],
  [/^limit-|^portion-mass/, 'Limit'],
  [/^allergen-conflict|^without-/, 'Aim'],
  [/^safety-|^dose-|^kept-too-long/, 'Safety'],
  [/^ratio-/, 'Ratio'],
  [/^weigh-this|^below-scale|^fluid|^liquid|^drained/, 'Measure'],
  [/^kept-in-mind/, 'Tried'],
  [/^list-step-disagree|^used-unlisted/, 'Method'],
  [/^unknown|^missing|^amount|^no-/, 'Line'],
]
const OF_METHOD: ReadonlySet<string> = new Set(METHOD_RULES.map(({ id }) => id))

/** The kind of a finding, in one word. */
export const findingKind = ({ rule }: Pick<Finding, 'rule'>): string =>
  OF_METHOD.has(rule) ? 'Method' : (KINDS.find(([pattern]) => pattern.test(rule))?.[1] ?? 'Note')

/** Whether a finding is about order, heat or use in the method. */
export const isOfMethod = ({ rule, step }: Pick<Finding, 'rule' | 'step'>): boolean =>
  OF_METHOD.has(rule) || step !== null
