import type { Assessment, PartAssessment } from '@frijol/core/model'

/** One thing that a cook would swear to of a mix. */
export type Expectation =
  | { readonly attribute: string; readonly min: number; readonly max: number }
  | { readonly attribute: string; readonly versus: string; readonly atLeastLower: number }
  | { readonly attribute: string; readonly versus: string; readonly atLeastHigher: number }
  | { readonly ratio: string; readonly state: 'in' | 'notIn' | 'low' | 'high' }
  | { readonly cookedMassG: readonly [number, number] }
  | { readonly viscosityPaS: readonly [number, number] }
  | { readonly viscosityVersus: string; readonly timesLower: number }
  | { readonly viscosityVersus: string; readonly timesHigher: number }
  | { readonly finding: string; readonly severity?: readonly string[] }
  | { readonly noFinding: string; readonly severity?: readonly string[] }
  | { readonly perPortion: keyof Assessment['perPortion']; readonly range: readonly [number, number] }

export interface Mix {
  readonly id: string
  readonly family: string
  readonly original: string | null
  readonly text: string
  readonly expect: readonly Expectation[]
}

const near = (value: number | null | undefined, [low, high]: readonly [number, number]): boolean =>
  value !== null && value !== undefined && value >= low && value <= high

/** The part of the mix's family, else the last. */
const partOf = (assessment: Assessment | undefined, { family }: Mix): PartAssessment | undefined =>
  assessment?.parts.find((part) => part.family === family) ?? assessment?.parts.at(-1)

export type KindOfExpectation =
  'attribute' | 'versus' | 'ratio' | 'mass' | 'viscosity' | 'finding' | 'noFinding' | 'portion'

export function kindOf(one: Expectation): KindOfExpectation {
  if ('versus' in one) return 'versus'
  if ('attribute' in one) return 'attribute'
  if ('ratio' in one) return 'ratio'
  if ('cookedMassG' in one) return 'mass'
  if ('viscosityPaS' in one || 'viscosityVersus' in one) return 'viscosity'
  if ('finding' in one) return 'finding'
  return 'noFinding' in one ? 'noFinding' : 'portion'
}

/** Whether an assessment bears out what a cook would swear to. @param others assessments of all mixes, by id */
export function holds(
  one: Expectation,
  mix: Mix,
  assessment: Assessment,
  others: ReadonlyMap<string, { readonly mix: Mix; readonly assessment: Assessment }>,
): boolean {
  const part = partOf(assessment, mix)
  const of = (id: string) => {
    const other = others.get(id)
    return other === undefined ? undefined : partOf(other.assessment, other.mix)
  }
  const value = (at: PartAssessment | undefined, id: string) =>
    at?.attributes.find((attribute) => attribute.id === id)?.value
  const found = (words: string, severity: readonly string[] = ['info', 'caution', 'stop']): boolean =>
    assessment.findings.some(
      (finding) =>
        new RegExp(words, 'i').test(`${finding.rule} ${finding.message}`) &&
        severity.includes(finding.severity),
    )
  if ('versus' in one) {
    const here = value(part, one.attribute)
    const there = value(of(one.versus), one.attribute)
    if (here === undefined || there === undefined) return false
    return 'atLeastLower' in one ? here <= there - one.atLeastLower : here >= there + one.atLeastHigher
  }
  if ('attribute' in one) return near(value(part, one.attribute), [one.min, one.max])
  if ('ratio' in one) {
    const ratio = part?.ratios.find(({ id }) => id === one.ratio)
    if (ratio === undefined) return false
    if (one.state === 'in') return ratio.state !== 'out'
    if (ratio.state === 'in') return false
    const side = ratio.value < ratio.bestLow ? 'low' : 'high'
    return one.state === 'notIn' || side === one.state
  }
  if ('cookedMassG' in one) return near(assessment.cookedMassG, one.cookedMassG)
  if ('viscosityPaS' in one) return near(part?.viscosityPaS, one.viscosityPaS)
  if ('viscosityVersus' in one) {
    const here = part?.viscosityPaS
    const there = of(one.viscosityVersus)?.viscosityPaS
    if (here == null || there == null) return false
    return 'timesLower' in one ? here * one.timesLower <= there : here >= there * one.timesHigher
  }
  if ('finding' in one) return found(one.finding, one.severity)
  if ('noFinding' in one) return !found(one.noFinding, one.severity)
  const figure: unknown = assessment.perPortion[one.perPortion]
  return typeof figure === 'number' && near(figure, one.range)
}

export interface Score {
  readonly held: number
  readonly all: number
  readonly byKind: ReadonlyMap<KindOfExpectation, readonly [held: number, all: number]>
  readonly missed: readonly string[]
}

/** Counts what is borne out. */
export function scoreMixes(mixes: readonly Mix[], assessOne: (mix: Mix) => Assessment): Score {
  const others = new Map(mixes.map((mix) => [mix.id, { mix, assessment: assessOne(mix) }]))
  const byKind = new Map<KindOfExpectation, [number, number]>()
  const missed: string[] = []
  for (const { mix, assessment } of others.values())
    for (const one of mix.expect) {
      const kind = kindOf(one)
      const count = byKind.get(kind) ?? [0, 0]
      const isHeld = holds(one, mix, assessment, others)
      count[0] += isHeld ? 1 : 0
      count[1] += 1
      byKind.set(kind, count)
      if (!isHeld) missed.push(`${mix.id}: ${JSON.stringify(one)}`)
    }
  const sum = (at: 0 | 1): number => [...byKind.values()].reduce((total, count) => total + count[at], 0)
  return { held: sum(0), all: sum(1), byKind, missed }
}
