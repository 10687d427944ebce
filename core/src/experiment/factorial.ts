const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H', 'I', 'J']

export interface Fraction {
  /** -1 and 1 by run and factor, standard order, A fastest. */
  readonly runs: readonly (readonly number[])[]
  readonly definingWords: readonly string[]
  /** Length of the shortest word; null for a full factorial. */
  readonly resolution: number | null
  readonly mainEffects: readonly number[] | null
  readonly twoFactorNames: readonly string[]
  /** Contrasts of two-factor interactions: each stands for all that it is aliased with. */
  readonly twoFactorContrasts: readonly number[] | null
}

/** Letters that two words do not share. */
const times = (a: string, b: string): string =>
  LETTERS.filter((letter) => a.includes(letter) !== b.includes(letter)).join('')

/**
 * A two-level fraction 2^(k - f).
 * @param factors 2 to 10
 * @param generators base columns that are multiplied for each added factor: ["ABC"] makes D = ABC
 * @param y of the runs in standard order; null without
 */
export function fraction(
  factors: number,
  generators: readonly string[],
  y: readonly number[] | null,
): Fraction {
  const base = factors - generators.length
  const runs = Array.from({ length: 2 ** base }, (_, run) => {
    const own = Array.from({ length: base }, (_one, at) => ((run >> at) % 2 === 1 ? 1 : -1))
    const added = generators.map((word) =>
      LETTERS.reduce(
        (product, letter, at) => (word.includes(letter) ? product * (own[at] ?? 1) : product),
        1,
      ),
    )
    return [...own, ...added]
  })
  const words = generators.map((word, at) => times(word, LETTERS[base + at] ?? ''))
  const defining = new Set<string>()
  for (let mask = 1; mask < 2 ** words.length; mask += 1)
    defining.add(
      words.reduce((product, word, at) => ((mask >> at) % 2 === 1 ? times(product, word) : product), ''),
    )
  const definingWords = [...defining].sort((a, b) => a.length - b.length || (a < b ? -1 : 1))
  const pairs = Array.from({ length: factors }, (_, a) =>
    Array.from({ length: factors - a - 1 }, (_one, b) => [a, a + 1 + b] as const),
  ).flat()
  const contrast = (signOf: (run: readonly number[]) => number): number =>
    (2 / runs.length) * runs.reduce((sum, run, at) => sum + signOf(run) * (y?.[at] ?? 0), 0)
  return {
    runs,
    definingWords,
    resolution: definingWords[0]?.length ?? null,
    mainEffects:
      y === null ? null : Array.from({ length: factors }, (_, at) => contrast((run) => run[at] ?? 0)),
    twoFactorNames: pairs.map(([a, b]) => `${LETTERS[a] ?? ''}${LETTERS[b] ?? ''}`),
    twoFactorContrasts:
      y === null ? null : pairs.map(([a, b]) => contrast((run) => (run[a] ?? 0) * (run[b] ?? 0))),
  }
}
