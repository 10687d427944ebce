import type { Found } from '../finding'
import { BATH_RULES } from './baths'
import { CARE_RULES } from './care'
import { GEL_RULES } from './gels'
import { GLUTEN_RULES } from './gluten'
import { HAZARD_RULES } from './hazards'
import { HEAT_RULES } from './heat'
import { PULSE_RULES } from './pulses'
import { STARCH_RULES } from './starch'
import { Story, type StoryInput } from './story'
import { USE_RULES } from './use'

/** Every rule about order, activation and use, in the order in which they are asked. */
export const METHOD_RULES = [
  ...HAZARD_RULES,
  ...PULSE_RULES,
  ...GEL_RULES,
  ...BATH_RULES,
  ...STARCH_RULES,
  ...GLUTEN_RULES,
  ...HEAT_RULES,
  ...CARE_RULES,
  ...USE_RULES,
]

/** What the order and the heat of a method do to its foods that they should not. */
export function methodRules(input: StoryInput): Found[] {
  if (input.part.steps.length === 0 && input.part.family === null) return []
  const story = new Story(input)
  return METHOD_RULES.flatMap((rule) =>
    rule.find(story).map((hit): Found => ({ rule: rule.id, severity: rule.severity, ...hit })),
  )
}
