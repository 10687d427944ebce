import { randomFrom } from '../src/chance'
import type {
  AttributeId,
  Protocol,
  Seat,
  Tasting,
  TastingAnswer,
  TastingSample,
  TastingSettings,
} from '../src/model'
import { asksOf, designTasting, protocolTable, scaleOf } from '../src/sensory'

export const seat = (id: string, more: Partial<Seat> = {}): Seat => ({
  id,
  avoids: [],
  eats: 'everything',
  agreesToAnimal: true,
  ...more,
})
export const seats = (count: number): Seat[] => Array.from({ length: count }, (_, at) => seat(`P${at + 1}`))

export const sample = (id: string, more: Partial<TastingSample> = {}): TastingSample => ({
  id,
  kind: 'trial',
  label: `Trial ${id}`,
  trialNumber: 1,
  partId: 'part',
  originalId: null,
  family: 'crumble-mince',
  allergens: [],
  isAnimal: false,
  predicted: {},
  ...more,
})
export const original = (more: Partial<TastingSample> = {}): TastingSample =>
  sample('original', {
    kind: 'original',
    label: 'the lamb',
    trialNumber: null,
    originalId: 'minced-lamb-cooked',
    isAnimal: true,
    ...more,
  })

export const settings = (protocol: Protocol, more: Partial<TastingSettings> = {}): TastingSettings => ({
  protocol,
  samples: [original(), sample('3')],
  controlId: 'original',
  by: null,
  expectedId: null,
  attributes: protocol === 'profile' || protocol === 'jar' ? ['juiciness', 'chewiness'] : [],
  asksLiking: protocol === 'jar' || protocol === 'liking',
  tasters: seats(protocol === 'own' ? 1 : 8),
  rounds: protocol === 'own' ? 6 : 1,
  alpha: 0.05,
  detects: 1.5,
  scatter: 1.8,
  similarPd: null,
  seed: 7,
  portionG: 30,
  servedC: 65,
  vessel: 'cups with lids',
  rinse: 'water and plain crackers',
  restS: 60,
  warmsUp: false,
  ...more,
})

/** A tasting that is set out, with nobody's answer yet. */
export function setOut(of: TastingSettings): Tasting {
  const servings = designTasting(of)
  if (!servings.ok) throw new Error(servings.issues.map(({ message }) => message).join(' '))
  return {
    format: 'frijol/tasting',
    version: 1,
    id: 'tasting',
    dishId: 'dish',
    name: 'Tasting',
    createdAt: '2026-06-12T10:00:00.000Z',
    updatedAt: '2026-06-12T10:00:00.000Z',
    settings: of,
    design: { at: 0, servings: servings.value },
    answers: [],
    closedAt: null,
  }
}

const normal = (chance: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())

/** How a made-up taster perceives: each sample at its place on one axis, with the scatter of perception. */
export interface Perception {
  /** Place of a sample, in standard deviations of perception (forced) or points of the scale (scores). */
  place(sampleId: string, ask: string): number
  /** Scatter of one score, points. */
  readonly scatter: number
  /** How far tasters lie apart in all that they score, points. */
  readonly leans: number
}

/** Answers of tasters who follow the decision rules of the tests on one perceived axis. @source Ennis 1993 */
export function answersOf(tasting: Tasting, how: Perception, seed: number): TastingAnswer[] {
  const chance = randomFrom(seed)
  const leans = new Map(tasting.settings.tasters.map(({ id }) => [id, how.leans * normal(chance)]))
  const { forced } = protocolTable(tasting.settings.protocol)
  return (tasting.design?.servings ?? [])
    .filter(({ round }) => round > 0)
    .map((serving): TastingAnswer => {
      const base = { servingId: serving.id, at: 1, by: 'tablet', comment: '', isWhole: true } as const
      const felt = serving.glasses.map(({ code, sampleId }) => ({
        code,
        x: how.place(sampleId, 'felt') + normal(chance),
      }))
      const code = (at: number): number => felt[at]?.code ?? 0
      const x = (at: number): number => felt[at]?.x ?? 0
      if (forced === 'triangle') {
        const gaps = [
          [Math.abs(x(1) - x(2)), 0],
          [Math.abs(x(0) - x(2)), 1],
          [Math.abs(x(0) - x(1)), 2],
        ] as const
        const odd = [...gaps].sort((a, b) => a[0] - b[0])[0]?.[1] ?? 0
        return { ...base, picked: [code(odd)], marks: [] }
      }
      if (forced === 'tetrad') {
        const order = [...felt].sort((a, b) => a.x - b.x)
        return { ...base, picked: order.slice(0, 2).map((one) => one.code), marks: [] }
      }
      if (forced === 'duotrio') {
        const reference = how.place(serving.referenceId ?? '', 'felt') + normal(chance)
        const near = Math.abs(x(0) - reference) <= Math.abs(x(1) - reference) ? 0 : 1
        return { ...base, picked: [code(near)], marks: [] }
      }
      if (forced === 'twoafc') return { ...base, picked: [x(0) > x(1) ? code(0) : code(1)], marks: [] }
      const asks = asksOf(tasting.settings)
      if (asks[0] === 'rank') {
        const order = [...felt].sort((a, b) => b.x - a.x)
        return {
          ...base,
          picked: [],
          marks: order.map((one, at) => ({ code: one.code, ask: 'rank', value: at + 1 })),
        }
      }
      return {
        ...base,
        picked: [],
        marks: serving.glasses.flatMap(({ code: of, sampleId }) =>
          asks.map((ask) => {
            const { least, most, step } = scaleOf(tasting.settings.protocol, ask, serving.glasses.length)
            const value =
              how.place(sampleId, ask) + (leans.get(serving.tasterId) ?? 0) + how.scatter * normal(chance)
            return { code: of, ask, value: Math.min(most, Math.max(least, Math.round(value / step) * step)) }
          }),
        ),
      }
    })
}

/** Every answer the same for each glass of a sample. */
export const scored = (
  tasting: Tasting,
  valueOf: (
    tasterId: string,
    sampleId: string,
    ask: AttributeId | 'liking' | 'difference' | 'rank',
  ) => number | null,
): TastingAnswer[] =>
  (tasting.design?.servings ?? [])
    .filter(({ round }) => round > 0)
    .map((serving) => ({
      servingId: serving.id,
      at: 1,
      by: 'paper',
      picked: [],
      comment: '',
      isWhole: true,
      marks: serving.glasses.flatMap(({ code, sampleId }) =>
        asksOf(tasting.settings).flatMap((ask) => {
          const value = valueOf(serving.tasterId, sampleId, ask)
          return value === null ? [] : [{ code, ask, value }]
        }),
      ),
    }))
