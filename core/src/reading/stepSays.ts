import type { Step } from '../model'

const ALL =
  /\b(?:all (?:the |of the )?(?:other |remaining )?ingredients|everything(?: else)?|(?:the )?(?:rest|remainder) of (?:the )?ingredients|(?:the )?(?:remaining|other) ingredients)\b/i
const DRY_ONES = /\b(?:the |all (?:the )?)?dry ingredients\b/i
const WET_ONES = /\b(?:the |all (?:the )?)?wet ingredients\b/i
/** What is named is put to what was made before. */
const ADDS =
  /\b(?:add|stir in|stir through|fold in|fold (?:the|through)|whisk in|mix in|beat in|work in|blend in|rub in|tip in|pour (?:in|over|on)|return|combine with|mix with|stir with|blend with|let down|loosen|deglaze|finish|sprinkle|scatter|season|stir (?:the|together with)|top|toss (?:in|with))\b/i
/** What is named first is what the rest is put on: "season the mince with". */
const ONTO = /\b(?:season|sprinkle|toss|top|coat|brush|dust)\b/i
/** Names the target: "fold the peas into the mushrooms". */
export const TARGET = /\b(?:to|into|onto|over|with|through|among)\s+(?:the\s+)?(?:[\p{L}-]+\s+){0,2}$/iu
/** Names what the food lies in, not the food: "simmer in the water", "leave it in the brine". */
export const WITHIN =
  /\b(?:in|into|under|through)\s+(?:(?:the|half of the|(?:the )?rest of the|some of the|plenty of|all of the)\s+)?(?:[\p{L}-]+\s+){0,2}$/iu
/** What was made before, by what it is. */
const MADE =
  /\bthe (?:mixture|mix|brine|marinade|dough|batter|mash|patt(?:y|ies)|balls|logs|loaf|pan|pot|crumble|strips)\b/i
const UNTIL = /\buntil\b[^,.;]*/gi
const TOGETHER =
  /\b(?:combine|mix|fold|bring|assemble|layer)\b.{0,60}\b(?:everything|both|two mixtures|all the parts|together)\b/i

/** What a step's words say of lots and whole groups of lines. Kept for each step object. */
interface Says {
  readonly isAll: boolean
  readonly isDry: boolean
  readonly isWet: boolean
  readonly isTogether: boolean
  readonly isAdded: boolean
  readonly isMade: boolean
  readonly isOnto: boolean
}
const said = new WeakMap<Step, Says>()
export function saysOf(step: Step): Says {
  const known = said.get(step)
  if (known !== undefined) return known
  const { text } = step
  const made: Says = {
    isAll: ALL.test(text),
    isDry: DRY_ONES.test(text),
    isWet: WET_ONES.test(text),
    isTogether: TOGETHER.test(text),
    isAdded: ADDS.test(text),
    // "Until the pan is dry" says when, not what.
    isMade: MADE.test(text.replaceAll(UNTIL, '')),
    isOnto: ONTO.test(text),
  }
  said.set(step, made)
  return made
}
