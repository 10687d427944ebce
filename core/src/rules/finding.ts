import type { Finding } from '../model'

/** A finding before it is placed and settled. */
export interface Found {
  readonly rule: string
  readonly severity: Finding['severity']
  readonly message: string
  readonly remedy: string
  readonly lineId?: string
  readonly stepId?: string
}

/** The name under which a person settles a finding: rule, part, and its line, or its step where it is of none. */
export const findingKey = (finding: Pick<Finding, 'rule' | 'part' | 'line' | 'step'>): string =>
  [
    finding.rule,
    finding.part ?? '',
    finding.line ?? '',
    finding.line === null ? (finding.step ?? '') : '',
  ].join('|')

const ORDER = { stop: 0, caution: 1, info: 2 } as const

/** In order of harm, then as they stand in the dish. */
export const byHarm = (a: Finding, b: Finding): number => ORDER[a.severity] - ORDER[b.severity]
