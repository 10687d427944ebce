import { foodWords, pairedLines, pairedSteps } from '../history'
import type { Dish, OperationId, Step } from '../model'
import { type Against, type Deviation, inPart, MOST_Z } from './deviation'
import type { PartFacts } from './side'
import type { Side } from './symptom'

const CUT_Z = 3

/** How finely a step works, higher = finer. */
const FINENESS: Partial<Record<OperationId, number>> = {
  trim: 0,
  chop: 1,
  grate: 1.5,
  rice: 2,
  mash: 3,
  blend: 4,
}

/** Foods that were cut, mashed or blended otherwise: by their prep, or by how much of them a step takes. */
export function cutDeviations(own: PartFacts, other: PartFacts, against: Against): Deviation[] {
  const finenessOf = (facts: PartFacts, lineId: string): number => {
    const line = facts.part.lines.find(({ id }) => id === lineId)
    let sum = prepFineness(line?.prep ?? '')
    facts.part.steps.forEach((step, at) => {
      const fine = step.operation === null ? undefined : FINENESS[step.operation]
      if (fine === undefined) return
      const take = facts.reading.steps[at]?.takes.find(({ kind, id }) => kind === 'line' && id === lineId)
      if (take !== undefined) sum = Math.max(sum, fine * (0.5 + 0.5 * (take.share ?? 1)))
    })
    return sum
  }
  return pairedLines(other.reading.lines, own.reading.lines).flatMap(({ before, after }): Deviation[] => {
    if (before === null || after === null) return []
    const [was, is] = [finenessOf(other, before.lineId), finenessOf(own, after.lineId)]
    const moved = Math.abs(is - was)
    if (moved < 0.2) return []
    const wasLine = other.part.lines.find(({ id }) => id === before.lineId)
    const side: Side = is > was ? -1 : 1
    return [
      {
        key: `cut ${after.lineId}`,
        kind: 'cut',
        against: against.kind,
        id: after.lineId,
        about: [
          after.lineId,
          ...own.part.steps.flatMap((step, at) =>
            step.operation !== null &&
            FINENESS[step.operation] !== undefined &&
            own.reading.steps[at]?.takes.some(({ id }) => id === after.lineId) === true
              ? [step.id]
              : [],
          ),
        ],
        food: own.foodOf(after.lineId),
        operation: null,
        field: null,
        side,
        z: Math.min(MOST_Z, CUT_Z * Math.min(1.5, moved)),
        words: `${foodWords(after.name)} ${side < 0 ? 'finer' : 'coarser'} than ${against.kind === 'plan' ? 'written' : `in ${against.words}`}`,
        back: `${foodWords(after.name)} ${wasLine?.prep === undefined || wasLine.prep === '' ? 'cut' : wasLine.prep.toLowerCase()} as in ${against.words}`,
        revert: (dish) => cutBack(dish, own, other, before.lineId, after.lineId),
      },
    ]
  })
}

/** The prep of a line, and the steps that cut, mash or blend it, as they were. */
function cutBack(dish: Dish, own: PartFacts, other: PartFacts, wasId: string, lineId: string): Dish {
  const prep = other.part.lines.find(({ id }) => id === wasId)?.prep
  const cuts = ({ operation }: Step | { operation: null }): boolean =>
    operation !== null && FINENESS[operation] !== undefined
  const back = new Map(
    pairedSteps(other.part.steps, own.part.steps).flatMap(({ before, after }) =>
      before !== null && after !== null && (cuts(before) || cuts(after)) ? [[after.id, before] as const] : [],
    ),
  )
  return inPart(dish, own.part.id, (part) => ({
    ...part,
    lines: part.lines.map((line) =>
      line.id !== lineId || prep === undefined || prep === line.prep
        ? line
        : {
            ...line,
            prep,
            text: line.prep === '' ? line.text : line.text.replace(line.prep, prep),
          },
    ),
    steps: part.steps.map((step) => {
      const was = back.get(step.id)
      return was === undefined ? step : { ...was, id: step.id, weighedG: step.weighedG }
    }),
  }))
}

const PREPS: readonly (readonly [RegExp, number])[] = [
  [/\b(all|fully|finely)\s+(mashed|blended|puréed|pureed)|\bpur[ée]e|\bsmooth\b|\bpaste\b/, 4],
  [/\bhalf(?: of (?:it|them))? (?:mashed|blended)|\bcoarsely mashed|\broughly mashed/, 1.8],
  [/\bmashed|\bblended|\bground|\bmilled/, 3.4],
  [/\bgrated|\bpulsed|\bminced|\bcrumb/, 2],
  [/\bfine(ly)?\b/, 1.8],
  [/\bchopped|\bdiced|\bdice\b/, 1.2],
  [/\btorn|\bsliced|\bcoarse/, 0.6],
]
const prepFineness = (prep: string): number =>
  PREPS.find(([pattern]) => pattern.test(prep.toLowerCase()))?.[1] ?? 0
