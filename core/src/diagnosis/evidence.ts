import { foodWords } from '../history'
import type { Deviation } from './deviation'
import { isOf } from './foodGroups'
import { type PartFacts, shareOf } from './side'
import type { Look } from './symptom'

/** What one look at the record says of a cause. */
export interface Sign {
  /** How far off, in what kitchens usually vary by; below 0 = off the other way, or plainly in order. */
  readonly z: number
  /** Whether the record can show it at all. */
  readonly isSeen: boolean
  readonly words: string
  readonly deviations: readonly Deviation[]
  /** Lines and steps that it was seen at. */
  readonly about: readonly string[]
}

export interface Record {
  readonly own: PartFacts
  /** The trial that it came from, else its plan; null where there is neither. */
  readonly other: PartFacts | null
  readonly deviations: readonly Deviation[]
}

const UNSEEN: Sign = { z: 0, isSeen: false, words: '', deviations: [], about: [] }
const sign = (
  z: number,
  words: string,
  deviations: readonly Deviation[] = [],
  about: readonly string[] = [],
): Sign => ({
  z,
  isSeen: true,
  words,
  deviations,
  about: [...about, ...deviations.flatMap((one) => one.about)],
})
/** A figure that has been off before, and did no harm then, says less. Practice. */
const OFF_BEFORE = 0.35
const MOST_ABSOLUTE = 3.5
/** Nothing is off where it would show. Practice. */
const IN_ORDER = -0.6
const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value))
const round = (value: number): string => String(Number(value.toPrecision(3)))

/** The largest of some deviations on a side; off the other way counts against. */
function fromDeviations(found: readonly Deviation[], side: -1 | 1): Sign | null {
  const along = found.filter((one) => one.side === side).sort((a, b) => b.z - a.z)
  const [first] = along
  if (first !== undefined && first.z >= 0.5)
    return sign(first.z, first.words, along.filter(({ z }) => z >= 0.5 * first.z).slice(0, 3))
  const against = found.filter((one) => one.side === -side).sort((a, b) => b.z - a.z)[0]
  if (against !== undefined && against.z >= 1) return sign(-Math.min(2, against.z / 2), against.words)
  return first === undefined ? null : sign(first.z, first.words, [first])
}

/** Foods beyond the doses that are usual for them. */
function doseSign(own: PartFacts, look: Extract<Look, { kind: 'foods' }>): Sign {
  let best: Sign = UNSEEN
  for (const { lineId, name, share } of own.reading.lines) {
    const food = own.foodOf(lineId)
    if (food === null || share === null || !isOf(food, look.of) || food.functional === null) continue
    const { usualLowPct, usualHighPct } = food.functional
    // The lower end is for what a food is mostly used for; only salt and gums are dosed as narrowly as that.
    const isDosed = look.side > 0 || food.foodClass === 'gum' || food.foodClass === 'salt'
    const bound = look.side > 0 ? usualHighPct : isDosed ? usualLowPct : null
    if (bound === null || bound <= 0 || share <= 0) continue
    const z = clamp((0.7 * look.side * Math.log((100 * share) / bound)) / 0.35, IN_ORDER, 2.5)
    if (z > best.z || !best.isSeen)
      best = sign(
        z,
        z > 0.3
          ? `${foodWords(name)} is ${round(100 * share)} % of the mix; ${look.side > 0 ? 'up to' : 'from'} ${round(bound)} % is usual`
          : '',
        [],
        z > 0.3 ? [lineId] : [],
      )
  }
  return best
}

function foodsSign({ own, other, deviations }: Record, look: Extract<Look, { kind: 'foods' }>): Sign {
  const found = deviations.filter(({ kind, food }) => kind === 'line' && food !== null && isOf(food, look.of))
  const [best, whole] = [
    fromDeviations(found, look.side),
    other === null ? null : wholeSign(own, other, look),
  ]
  const dose = doseSign(own, look)
  if (other === null) return dose
  // A swap within the group leaves the group as it was.
  if (best !== null && best.z > 0.5 && whole !== null && best.deviations.length > 0) {
    const isMoved = whole > 0.4 * best.z
    return isMoved ? best : { ...best, z: 0.35 * best.z }
  }
  if (best !== null && best.z < 0) return best
  return dose.isSeen && dose.z > 0
    ? { ...dose, z: OFF_BEFORE * dose.z }
    : sign(best?.z ?? IN_ORDER, best?.words ?? '')
}

/** How far the whole group moved, along the side, in what kitchens vary by. */
function wholeSign(own: PartFacts, other: PartFacts, { of, side }: Extract<Look, { kind: 'foods' }>): number {
  const [was, is] = [shareOf(other, of), shareOf(own, of)]
  if (was <= 0 && is <= 0) return 0
  if (was <= 0 || is <= 0) return (is > was ? 1 : -1) * side * 5
  return (side * Math.log(is / was)) / 0.12
}

function inputSign({ own, other }: Record, look: Extract<Look, { kind: 'input' }>): Sign {
  const value = own.input(look.id)
  if (value === null) return UNSEEN
  const beyond = (look.side * (value - look.bound)) / look.width
  const was = other?.input(look.id) ?? null
  const words = `${round(value)}, ${look.side > 0 ? 'above' : 'below'} ${round(look.bound)}`
  if (was === null) return sign(clamp(beyond, -1.5, MOST_ABSOLUTE), beyond > 0 ? words : '')
  const moved = (look.side * (value - was)) / look.width
  // What matters is that it moved over the bound, not that it moves about far inside of it.
  const near = clamp(1 + beyond, 0, 1)
  const z = Math.max(
    OFF_BEFORE * Math.min(beyond, MOST_ABSOLUTE),
    clamp(moved, -2, 4) * (moved > 0 ? near : 1),
  )
  return sign(clamp(z, -1.5, 4), z > 0.5 ? `${words} (${round(was)} before)` : '')
}

function stepSign(record: Record, look: Extract<Look, { kind: 'step' }>): Sign {
  const { own, other, deviations } = record
  const found = deviations.filter(
    ({ kind, operation, field }) =>
      operation !== null &&
      look.of.includes(operation) &&
      ((kind === 'step' && field === look.field) ||
        (kind === 'yield' && look.field === 'minutes') ||
        (kind === 'extra' && look.side > 0)),
  )
  // A lot that weighs more than it should was dried too short.
  const turned = found.map((one) =>
    one.kind === 'yield' ? { ...one, side: one.side === 1 ? (-1 as const) : (1 as const) } : one,
  )
  const best = fromDeviations(turned, look.side)
  if (best !== null && best.z > 0) return best
  const steps = own.part.steps.filter(({ operation }) => operation !== null && look.of.includes(operation))
  if (steps.length === 0) return UNSEEN
  if (look.bound === null) return other === null ? { ...UNSEEN } : (best ?? sign(IN_ORDER, ''))
  const values = steps.flatMap((step) =>
    look.field === 'tempC' ? (step.tempC ?? []) : (step.durationMin ?? []),
  )
  if (values.length === 0) return UNSEEN
  const value = look.side > 0 ? Math.max(...values) : Math.min(...values)
  const beyond = (look.side * Math.log(Math.max(0.1, value) / look.bound)) / 0.35
  const z = clamp(beyond, -1, 3) * (other === null || beyond < 0 ? 1 : OFF_BEFORE)
  return sign(
    z,
    beyond > 0
      ? `${round(value)} ${look.field === 'minutes' ? 'min' : '°C'}; ${look.side > 0 ? 'up to' : 'from'} ${look.bound} is usual`
      : '',
  )
}

function missingSign({ own, other, deviations }: Record, look: Extract<Look, { kind: 'missing' }>): Sign {
  const found = deviations.find(
    ({ kind, operation }) => kind === 'missing' && operation !== null && look.of.includes(operation),
  )
  if (found !== undefined) return sign(found.z, found.words, [found])
  const has = own.part.steps.some(({ operation }) => operation !== null && look.of.includes(operation))
  if (has) return sign(-1, '')
  // It never had one: then it is a habit, not what went wrong this time.
  return other === null ? sign(0.3, '') : sign(-0.2, '')
}

function coreSign({ own, other }: Record, look: Extract<Look, { kind: 'core' }>): Sign {
  const hottest = (facts: PartFacts | null): number | null =>
    facts === null || facts.reading.steps.length === 0
      ? null
      : Math.max(...facts.reading.steps.map(({ state }) => state.coreC))
  const [is, was] = [hottest(own), hottest(other)]
  if (is === null) return UNSEEN
  const beyond = (look.side * (is - look.bound)) / 5
  const z =
    was === null ? beyond : Math.max(OFF_BEFORE * beyond, Math.min(beyond, (look.side * (is - was)) / 4))
  return sign(
    clamp(z, -1, 4),
    z > 0.3
      ? `the core comes to ${Math.round(is)} °C${was === null ? '' : `, ${Math.round(was)} °C before`}`
      : '',
  )
}

function ruleSign({ own, other }: Record, look: Extract<Look, { kind: 'rule' }>): Sign {
  const isOfRule = (rule: string): boolean => look.ids.some((id) => rule === id || rule.startsWith(`${id}-`))
  const found = own.findings.find(({ rule }) => isOfRule(rule))
  if (found === undefined) return sign(-0.4, '')
  const wasToo = other?.findings.some(({ rule }) => isOfRule(rule)) === true
  return sign(wasToo ? 0.3 : 3.5, found.message)
}

function cutSign({ own, other, deviations }: Record, look: Extract<Look, { kind: 'cut' }>): Sign {
  const best = fromDeviations(
    deviations.filter(({ kind }) => kind === 'cut'),
    look.side,
  )
  if (best !== null && best.z > 0) return best
  if (other === null) return UNSEEN
  const [is, was] = [own.input('coarse_share'), other.input('coarse_share')]
  if (is === null || was === null) return UNSEEN
  const moved = (look.side * (is - was)) / 10
  return sign(
    clamp(moved, -1.5, 4),
    moved > 0.5 ? `pieces are ${Math.round(is)} % of the mass, ${Math.round(was)} % before` : '',
  )
}

/** Looks at the record for one sign of a cause. */
export function signOf(record: Record, look: Look): Sign {
  switch (look.kind) {
    case 'foods':
      return foodsSign(record, look)
    case 'input':
      return inputSign(record, look)
    case 'step':
      return stepSign(record, look)
    case 'missing':
      return missingSign(record, look)
    case 'core':
      return coreSign(record, look)
    case 'rule':
      return ruleSign(record, look)
    case 'cut':
      return cutSign(record, look)
    case 'unseen':
      return UNSEEN
  }
}
