import { readFileSync } from 'node:fs'
import { householdMixes } from './mixes/householdMixes'
import { paragraphMixes } from './mixes/paragraphMixes'
import { ownMixes } from './ownMixes'
import type { Mix } from './scoreMixes'

const reference = JSON.parse(
  readFileSync(new URL('referenceMixes.json', import.meta.url), 'utf8'),
) as (Mix & { readonly kind: string })[]

/** What kitchens make with what they have is no stand-in that was worked towards its original. */
const isWorkedOut = ({ id }: Mix): boolean => !(id in householdMixes || id in paragraphMixes)

/** Mixes that a cook would serve for their originals: of both sets, without their spoilt variants. */
export const goodMixes: readonly Mix[] = [
  ...reference.filter(({ kind, original }) => kind === 'good' && original !== null),
  ...ownMixes
    .filter(isWorkedOut)
    .filter(({ id }) => !ownMixes.some((other) => other.id !== id && id.startsWith(`${other.id}-`))),
]
