import { readRecipes } from '@frijol/core/interchange'
import type { Dish } from '@frijol/core/model'
import { library } from '../src'
import { mixContext } from './mixContext'

/** The dish that a pasted text is, its first part aimed at an original. */
export function aimedDish(text: string, original: string | null = null): Dish {
  const read = readRecipes(text, mixContext())
  const dish = read.ok ? read.value[0] : undefined
  if (dish === undefined) throw new Error('the mix cannot be read')
  const of = original === null ? undefined : library.originals.get(original)
  return {
    ...dish,
    parts: dish.parts.map((part, at) =>
      at > 0 || of === undefined ? part : { ...part, originalId: of.id, family: of.family },
    ),
  }
}

/** A dish of one part for two, aimed at an original. */
export const aimedMix = (
  lines: readonly string[],
  steps: readonly string[],
  original: string | null = null,
): Dish =>
  aimedDish(
    [
      '# Mix',
      'Serves 2',
      '## Ingredients',
      ...lines.map((line) => `- ${line}`),
      '## Method',
      ...steps.map((step, at) => `${at + 1}. ${step}`),
    ].join('\n\n'),
    original,
  )
