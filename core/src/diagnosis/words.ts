import type { AttributeId, FamilyId } from '../model'
import { symptomsOfGap, SYMPTOMS } from './symptoms'
import type { Symptom } from './symptom'

/** A symptom that was met, and how much it counts. */
export interface Met {
  readonly symptom: Symptom
  /** 0 to 1; those of one diagnosis sum to 1. */
  readonly weight: number
}

const NEGATIONS = new Set(['not', 'no', "isn't", "wasn't", "didn't", "doesn't", 'never', 'without', 'less'])
const tokens = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/[’‘]/g, "'")
    .match(/[\p{L}'-]+/gu) ?? []
const stem = (word: string): string => word.replace(/(?:ing|ed|s|y)$/u, '')
/** A word of a phrase is the beginning of one that is not much longer: "bread" is not in "breadcrumbs". */
const LONGEST_END = 4
/** Words of a phrase may stand so far apart. */
const SPREAD = 4

/** Whether all words of a phrase begin a word of the text, near each other and not denied. */
function isSaid(said: readonly string[], phrase: string): boolean {
  const wanted = tokens(phrase)
  const denies = wanted.some((word) => NEGATIONS.has(word))
  const places = wanted.map((word) =>
    said.flatMap((one, at) =>
      (one.startsWith(word) && one.length - word.length <= LONGEST_END) ||
      (word.length > 4 && one.length >= word.length && stem(one) === stem(word))
        ? [at]
        : [],
    ),
  )
  const [first] = places
  if (first === undefined || places.some((all) => all.length === 0)) return false
  return first.some((at) => {
    const isNear = places.every((all) => all.some((place) => Math.abs(place - at) <= SPREAD))
    const denied = !denies && said.slice(Math.max(0, at - 2), at).some((word) => NEGATIONS.has(word))
    return isNear && !denied
  })
}

const isHere = ({ families }: Symptom, family: FamilyId | null): boolean =>
  families.length === 0 || (family !== null && families.includes(family))

const shared = (found: readonly { symptom: Symptom; score: number }[], most = 3): Met[] => {
  const kept = [...found].sort((a, b) => b.score - a.score).slice(0, most)
  const sum = kept.reduce((total, { score }) => total + score, 0)
  return sum <= 0 ? [] : kept.map(({ symptom, score }) => ({ symptom, weight: score / sum }))
}

/** Symptoms in a cook's words: "it fell apart when I flipped it, and dry inside". The best first; empty where none is known. */
export function symptomsIn(text: string, family: FamilyId | null): Met[] {
  const said = tokens(text)
  return shared(
    SYMPTOMS.flatMap((symptom) => {
      const phrases = symptom.said.filter((phrase) => isSaid(said, phrase))
      if (phrases.length === 0) return []
      // The longest phrase tells most; a symptom of the part's own family comes before one of any.
      const longest = Math.max(...phrases.map((phrase) => tokens(phrase).length))
      const home = isHere(symptom, family) ? (symptom.families.length > 0 ? 1.4 : 1) : 0.12
      return [{ symptom, score: (longest + 0.3 * (phrases.length - 1)) * home }]
    }),
  )
}

/** A gap that a tasting or a measured check showed, points; below 0 = too low. */
export interface Gap {
  readonly attribute: AttributeId
  readonly gap: number
}
/** Smaller gaps are inside the repeatability of three to five cooks. @source originals page */
const LEAST_GAP = 1

/** Symptoms that gaps of attributes lead to. */
export function symptomsOfGaps(gaps: readonly Gap[], family: FamilyId | null): Met[] {
  const scores = new Map<Symptom, number>()
  for (const { attribute, gap } of gaps) {
    if (Math.abs(gap) < LEAST_GAP) continue
    const side = gap < 0 ? -1 : 1
    symptomsOfGap(attribute, side).forEach((id, at) => {
      const symptom = SYMPTOMS.find((one) => one.id === id)
      if (symptom === undefined || !isHere(symptom, family)) return
      const size = Math.min(4, Math.abs(gap)) / (1 + 0.35 * at)
      // It fits, too, by what else is off.
      const also = symptom.triggers.filter((trigger) =>
        gaps.some(
          (one) =>
            one.attribute === trigger.attribute &&
            Math.sign(one.gap) === trigger.side &&
            Math.abs(one.gap) >= LEAST_GAP,
        ),
      ).length
      scores.set(symptom, (scores.get(symptom) ?? 0) + size * (1 + 0.3 * also))
    })
  }
  return shared([...scores].map(([symptom, score]) => ({ symptom, score })))
}

/** Symptoms that may be met in a family, to be tapped: its own first. */
export function symptomsFor(family: FamilyId | null): Symptom[] {
  const own = SYMPTOMS.filter((symptom) => symptom.families.length > 0 && isHere(symptom, family))
  return [...own, ...SYMPTOMS.filter(({ families }) => families.length === 0)]
}

/** Symptoms that were tapped, each as much as the others. */
export function tapped(ids: readonly string[]): Met[] {
  const found = SYMPTOMS.filter(({ id }) => ids.includes(id))
  return found.map((symptom) => ({ symptom, weight: 1 / found.length }))
}
