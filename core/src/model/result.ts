/** One thing wrong with an input: a stable code, where it is, and a sentence that says what to do. */
export interface Issue {
  readonly code: string
  readonly path: readonly (string | number)[]
  readonly message: string
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] }

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const fail = <T = never>(issue: Issue, ...more: Issue[]): Result<T> => ({
  ok: false,
  issues: [issue, ...more],
})
