import { type Effect, foodWords, gramsWords, minutesWords, predictedEffects, verbOf } from '../history'
import { gramsLine, weighingStep } from '../measure'
import type { Dish } from '../model'
import type { Deviation } from './deviation'
import type { Record } from './evidence'
import { mends, readingOf } from './explains'
import { isOf } from './foodGroups'
import type { Bench, PartFacts } from './side'
import { COOKING, type Look, type Symptom } from './symptom'

/** A change that should mend it, worked out by the engine. */
export interface Lever {
  /** "Oats 40 to 32 g". */
  readonly words: string
  /** The trial's formula with it. */
  readonly dish: Dish
  /** What it does, what counts first. */
  readonly effects: readonly Effect[]
  /** Lines or steps that it turns. */
  readonly about: readonly string[]
}

/** A step that a look allows, and what it would do. */
export interface Turned extends Lever {
  /** Points of what is wrong that it mends. */
  readonly mended: number
  /** Points of distance that it comes nearer. */
  readonly nearer: number
}

interface Found {
  readonly deviations: readonly Deviation[]
  readonly look: Look | null
}

const LESS = [0.9, 0.8, 0.7, 0.6, 0.5] as const
const MORE = [1.1, 1.25, 1.5, 1.75, 2, 2.5, 3] as const
const LONGER = [1.2, 1.35, 1.5, 1.75, 2, 2.5] as const
const SHORTER = [0.85, 0.7, 0.55, 0.4] as const
const HEAT = [5, 10, 20, 30] as const
/** Points of distance that one point of what is wrong is worth, and that a whole doubling costs. Practice. */
const DISTANCE_WEIGHT = 0.8
const STEP_COST = 0.25
/** It must do so much to be offered, points. Practice. */
const LEAST_GOOD = 0.1

interface Option {
  readonly words: string
  readonly dish: Dish
  readonly cost: number
  readonly about: string
}

function lineOptions(facts: PartFacts, look: Extract<Look, { kind: 'foods' }>, { kitchen }: Bench): Option[] {
  const lines = facts.reading.lines
    .filter(({ lineId, massG }) => {
      const food = facts.foodOf(lineId)
      return food !== null && massG !== null && massG > 0 && isOf(food, look.of)
    })
    .sort((a, b) => (b.massG ?? 0) - (a.massG ?? 0))
    .slice(0, 2)
  return lines.flatMap(({ lineId, massG, name }) =>
    (look.side > 0 ? LESS : MORE).flatMap((factor): Option[] => {
      const now = massG ?? 0
      const grain = weighingStep(now, kitchen)
      const to = Math.round((now * factor) / grain) * grain
      if (to <= 0 || Math.abs(to - now) < 0.5 * grain) return []
      return [
        {
          words: `${foodWords(name)} ${gramsWords(now).replace(' g', '')} to ${gramsWords(to)}`,
          cost: Math.abs(Math.log2(to / now)),
          about: lineId,
          dish: withPart(facts.dish, facts.part.id, (part) => ({
            ...part,
            lines: part.lines.map((line) =>
              line.id === lineId ? gramsLine(line, Number(to.toFixed(2))) : line,
            ),
          })),
        },
      ]
    }),
  )
}

const withPart = (
  dish: Dish,
  partId: string,
  change: (part: Dish['parts'][number]) => Dish['parts'][number],
): Dish => ({
  ...dish,
  parts: dish.parts.map((part) => (part.id === partId ? change(part) : part)),
})

function stepOptions(
  facts: PartFacts,
  of: readonly string[],
  field: 'minutes' | 'tempC',
  side: -1 | 1,
): Option[] {
  const at = facts.part.steps.findLastIndex(
    (step) =>
      step.operation !== null &&
      of.includes(step.operation) &&
      (field === 'minutes' ? step.durationMin : step.tempC) !== null,
  )
  const step = facts.part.steps[at]
  if (step === undefined) return []
  const verb = verbOf(step)
  const minutes = step.durationMin ?? 0
  const values =
    field === 'minutes'
      ? (side > 0 ? SHORTER : LONGER).map((factor) => ({
          to: Math.max(1, Math.round(minutes * factor)),
          cost: Math.abs(Math.log2(factor)),
        }))
      : HEAT.map((by) => ({ to: (step.tempC ?? 0) - side * by, cost: by / 30 }))
  return values.map(({ to, cost }) => ({
    words:
      field === 'minutes'
        ? `${verb} ${minutesWords(to)} instead of ${minutesWords(minutes)}`
        : `${verb} at ${Math.round(to)} instead of ${Math.round(step.tempC ?? 0)} °C`,
    cost,
    about: step.id,
    dish: withPart(facts.dish, facts.part.id, (part) => ({
      ...part,
      steps: part.steps.map((one) =>
        one.id === step.id
          ? {
              ...one,
              ...(field === 'minutes' ? { durationMin: to } : { tempC: to }),
              text:
                field === 'minutes'
                  ? one.text.replace(new RegExp(`\\b${minutes}(?=[\\s-]*min)`), String(to))
                  : one.text.replace(new RegExp(`\\b${step.tempC ?? 0}(?=\\s*°)`), String(to)),
              byHand: one.byHand.includes(field === 'minutes' ? 'durationMin' : 'tempC')
                ? one.byHand
                : [...one.byHand, field === 'minutes' ? 'durationMin' : 'tempC'],
            }
          : one,
      ),
    })),
  }))
}

function optionsFor(look: Look, facts: PartFacts, bench: Bench): Option[] {
  switch (look.kind) {
    case 'foods':
      return lineOptions(facts, look, bench)
    case 'step':
      return stepOptions(facts, look.of, look.field, look.side)
    case 'core':
      return stepOptions(facts, COOKING, 'minutes', look.side)
    default:
      return []
  }
}

/**
 * The smallest step that a look allows which does most by the engine: for what is wrong, and for the distance.
 * @returns null where there is nothing to turn, or nothing that it would mend
 */
export function turned(look: Look, symptom: Symptom, facts: PartFacts, bench: Bench): Turned | null {
  let best: { turned: Turned; good: number } | null = null
  for (const { words, dish, cost, about } of optionsFor(look, facts, bench)) {
    const after = readingOf(dish, facts.part.id, bench)
    if (after === null) continue
    const mended = mends(facts.reading, after, symptom) ?? 0
    const nearer =
      facts.reading.distance === null || after.distance === null ? 0 : facts.reading.distance - after.distance
    const good = Math.min(2, mended) + DISTANCE_WEIGHT * nearer - STEP_COST * cost
    if (good < LEAST_GOOD || (best !== null && good <= best.good)) continue
    best = {
      good,
      turned: {
        words,
        dish,
        mended,
        nearer,
        about: [about],
        effects: predictedEffects(facts.reading, after),
      },
    }
  }
  return best?.turned ?? null
}

/**
 * The change that mends a cause: what was off put back, else the smallest step of the look that does most by the engine.
 * @returns null where nothing in the record can be turned
 */
export function leverFor(
  { deviations, look }: Found,
  symptom: Symptom,
  { own }: Pick<Record, 'own'>,
  plan: PartFacts | null,
  bench: Bench,
): Lever | null {
  const [first] = deviations
  if (first?.revert != null) {
    // What was weighed otherwise than written is not changed in the formula: it is weighed as written.
    if (first.against === 'plan' && plan !== null)
      return {
        words: 'weigh it as written',
        dish: plan.dish,
        effects: predictedEffects(own.reading, plan.reading),
        about: first.about,
      }
    const dish = first.revert(own.dish)
    const after = readingOf(dish, own.part.id, bench)
    return after === null
      ? null
      : {
          words: first.back,
          dish,
          effects: predictedEffects(own.reading, after),
          about: first.about,
        }
  }
  return look === null ? null : turned(look, symptom, own, bench)
}
