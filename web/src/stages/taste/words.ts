import type { Tasting, TastingSample, TastingSettings } from '@frijol/core/model'
import { listed, protocolTable, spokenLabels } from '@frijol/core/sensory'

/** How a tasting is called in a list: "Tetrad, 8 tasters". */
export function shortName({ settings, design, closedAt, answers }: Tasting): { name: string; state: string } {
  const asked = (design?.servings ?? []).filter(({ round }) => round > 0).length
  return {
    name: protocolTable(settings.protocol).name,
    state:
      design === null
        ? 'planned'
        : closedAt === null
          ? `${answers.filter(({ isWhole }) => isWhole).length} of ${asked}`
          : new Date(design.at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' }),
  }
}

/** What is tasted against what. */
export function againstWords({ samples, controlId }: TastingSettings): string {
  const labels = spokenLabels(samples)
  const control = controlId === null ? undefined : labels.get(controlId)
  const others = samples.filter(({ id }) => id !== controlId).map(({ label }) => label)
  if (others.length === 0) return control ?? 'Nothing yet'
  return control === undefined ? listed(others) : `${listed(others)} against ${control}`
}

export const SAMPLE_KINDS: Readonly<Record<TastingSample['kind'], string>> = {
  original: 'the original',
  trial: 'a kept trial',
  mix: 'the mix as it is now',
  other: 'something else',
}
