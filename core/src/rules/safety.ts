import type { ResolvedLine } from '../composition'
import type { Allergen } from '../model'
import type { PartRun } from '../process'
import type { Found } from './finding'

const LOCAL_CODE = 'Follow your local food code.'

interface Caution {
  readonly severity: Found['severity']
  readonly message: (name: string) => string
  readonly remedy: string
}

/** Usual cautions by the ingredient's mark. Not a replacement for the local food code or for licensed practice. */
const CAUTIONS: Readonly<Record<string, Caution>> = {
  // FDA Bad Bug Book: phytohaemagglutinin
  'raw-kidney-bean': {
    severity: 'stop',
    message: (name) => `${name} hold a toxin until they are boiled.`,
    remedy: `Soak 5 hours or more, drain, boil hard for 30 minutes, then cook to tender; never start them in a slow cooker. ${LOCAL_CODE}`,
  },
  'raw-pulse': {
    severity: 'caution',
    message: (name) => `${name} must be cooked through to tender.`,
    remedy: `Soak where usual and simmer for 15 minutes or more, to tender. ${LOCAL_CODE}`,
  },
  favism: {
    severity: 'caution',
    message: (name) => `${name} can harm people with G6PD deficiency (favism).`,
    remedy: 'Name it to the people you serve.',
  },
  'bitter-lupin': {
    severity: 'stop',
    message: (name) => `${name} of bitter kinds hold alkaloids.`,
    remedy: `Use sweet lupin, or soak and rinse for days until no bitterness is left. ${LOCAL_CODE}`,
  },
  'garlic-in-oil': {
    severity: 'info',
    message: () => 'Raw garlic kept in oil can grow botulism.',
    remedy: `Use it the same day, or keep it at 4 °C or below and no longer than 4 days. ${LOCAL_CODE}`,
  },
  'cooked-rice': {
    severity: 'info',
    message: () => 'Cooked rice left warm grows Bacillus cereus.',
    remedy: `Cool it quickly, keep it at 4 °C or below and use it within a day. ${LOCAL_CODE}`,
  },
}

/** From this mass on, garlic is more than a seasoning. g, practice. */
const NOTABLE_G: Readonly<Record<string, number>> = {
  'garlic-in-oil': 30,
}

/** Raw pulses: where a method cooks them, its own rules judge how well. */
const JUDGED_BY_METHOD: ReadonlySet<string> = new Set(['raw-kidney-bean', 'raw-pulse'])

const isCooked = (lineId: string, method: PartRun | null): boolean =>
  method?.trace.some(({ spec, holds }) =>
    spec?.medium === 'liquid' || spec?.medium === 'pressure' ? holds.some(({ id }) => id === lineId) : false,
  ) ?? false

/** The usual cautions for the raw and the risky among the lines. One a caution, on its first line. */
export function safetyFindings(lines: readonly ResolvedLine[], method: PartRun | null = null): Found[] {
  const seen = new Set<string>()
  return lines.flatMap(({ food, mass, line }): Found[] => {
    if (food === null) return []
    return food.cautions.flatMap((id): Found[] => {
      const caution = CAUTIONS[id]
      const key = `${id} ${caution?.severity === 'stop' ? food.id : ''}`
      if (caution === undefined || seen.has(key)) return []
      if ((mass?.value ?? 0) < (NOTABLE_G[id] ?? 0)) return []
      if (JUDGED_BY_METHOD.has(id) && isCooked(line.id, method)) return []
      seen.add(key)
      return [
        {
          rule: `safety-${id}`,
          severity: caution.severity,
          lineId: line.id,
          message: caution.message(food.name),
          remedy: caution.remedy,
        },
      ]
    })
  })
}

const list = (names: readonly string[]): string => names.join(', ')

/**
 * Allergens that bought kinds of the foods often hold, beside those that the part is known to hold: one finding, on the
 * first such line.
 * @source practice; labels of bought sauces, stocks, pastes and spreads
 */
export function labelFindings(
  lines: readonly ResolvedLine[],
  allergens: ReadonlyMap<string, Allergen>,
): Found[] {
  const held = new Set(lines.flatMap(({ food }) => food?.allergens ?? []))
  const doubtful = lines.flatMap(({ food, line }) => {
    const more = (food?.mayHold ?? []).filter((id) => !held.has(id))
    return food === null || more.length === 0 ? [] : [{ line, food, more }]
  })
  const [first] = doubtful
  if (first === undefined) return []
  const named = new Map(
    doubtful.map(({ food, more }) => [
      food.name,
      list(more.map((id) => (allergens.get(id)?.name ?? id).toLowerCase())),
    ]),
  )
  return [
    {
      rule: 'read-the-label',
      severity: 'info',
      lineId: first.line.id,
      message: `Bought kinds may hold allergens that are not counted here: ${[...named]
        .map(([name, more]) => `${name} (${more})`)
        .join('; ')}.`,
      remedy: 'Read the label of the one you use, and name what it holds.',
    },
  ]
}
