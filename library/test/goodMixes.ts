import { readFileSync } from 'node:fs'
import { ownMixes } from './ownMixes'
import type { Mix } from './scoreMixes'

const reference = JSON.parse(
  readFileSync(new URL('referenceMixes.json', import.meta.url), 'utf8'),
) as (Mix & { readonly kind: string })[]

/** Mixes that a cook would serve: of both sets, without their spoilt variants. */
export const goodMixes: readonly Mix[] = [
  ...reference.filter(({ kind, original }) => kind === 'good' && original !== null),
  ...ownMixes.filter(({ id }) => !ownMixes.some((other) => other.id !== id && id.startsWith(`${other.id}-`))),
]
