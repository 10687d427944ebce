import {
  controlDifferences,
  desirabilityOf,
  dOptimal,
  expectedImprovement,
  fitBlocked,
  fitCrossed,
  fitMixture,
  fraction,
  fromPseudo,
  KERNELS,
  linearKnownNoise,
  linearUnknownNoise,
  MIXTURE_MODELS,
  overallDesirability,
  predictProcess,
  regionOf,
  simplexCentroid,
  simplexLattice,
  termName,
  termsOf,
  termValues,
  toPseudo,
} from '@frijol/core/experiment'
import { z } from 'zod'
import { calculated, calculation } from './calculations'

const number = z.number().min(-1e9).max(1e9)
const share = z
  .number()
  .min(-1e-9)
  .max(1 + 1e-9)
const row = z.array(number).min(1).max(12)
const model = z.enum(MIXTURE_MODELS)
const rows = z
  .array(row)
  .min(1)
  .max(500)
  .refine(
    (all) => all.every((one) => one.length === all[0]?.length),
    'Every row has as many entries as the first.',
  )
const points = rows.refine(
  (all) => all.every((one) => Math.abs(one.reduce((sum, value) => sum + value, 0) - 1) < 1e-3),
  'Proportions sum to 1.',
)
const answers = z.array(number).min(1).max(500)
const asMany = ({ x, y }: { x: readonly unknown[]; y: readonly unknown[] }): boolean => x.length === y.length
const AS_MANY = { message: 'As many answers as runs are needed.', path: ['y'] }
const q = z.number().int().min(2).max(8)
const bounds = z
  .object({ lower: z.array(share).min(2).max(8), upper: z.array(share).min(2).max(8) })
  .refine(
    ({ lower, upper }) => lower.length === upper.length,
    'As many upper bounds as lower ones are needed.',
  )
const day = z.union([z.number(), z.string()])
const weight = z.number().gt(0).max(20)
const wanted = z.discriminatedUnion('kind', [
  z.object({ kind: z.enum(['maximise', 'minimise']), low: number, high: number, weight, importance: weight }),
  z.object({
    kind: z.literal('target'),
    low: number,
    target: number,
    high: number,
    weightLow: weight,
    weightHigh: weight,
    importance: weight,
  }),
])
const square = z
  .array(row)
  .refine((all) => all.every((one) => one.length === all.length), 'A covariance is square.')

/** Rows of term values of a model. */
const termRows = (x: readonly (readonly number[])[], of: z.infer<typeof model>) => {
  const terms = termsOf(x[0]?.length ?? 0, of)
  return (at: readonly (readonly number[])[]) => at.map((point) => termValues(point, terms))
}

const CALCULATIONS = new Map(
  Object.entries({
    'mixture.simplexLattice': calculation(
      z.object({ designs: z.array(z.object({ q, m: z.number().int().min(1).max(12) })) }),
      ({ designs }) => ({
        designs: designs.map((one) => {
          const found = simplexLattice(one.q, one.m)
          return { n: found.length, points: found }
        }),
      }),
    ),
    'mixture.simplexCentroid': calculation(z.object({ q }), (given) => {
      const found = simplexCentroid(given.q)
      return { n: found.length, points: found }
    }),
    'mixture.pseudoComponents': calculation(
      z.object({ lower: z.array(share), x: points }),
      ({ lower, x }) => {
        const pseudo = x.map((point) => toPseudo(point, lower))
        return { pseudo, x: pseudo.map((point) => fromPseudo(point, lower)) }
      },
    ),
    'mixture.extremeVertices': calculation(bounds, ({ lower, upper }) => {
      const { vertices, ...region } = regionOf(lower, upper)
      return { ...region, n: vertices.length, vertices }
    }),
    'mixture.scheffeFit': calculation(
      z.object({ x: points, y: answers, model, predictAt: z.array(row).default([]) }).refine(asMany, AS_MANY),
      ({ x, y, model: of, predictAt }) => fitMixture(x, y, of, predictAt),
    ),
    'mixture.blockedFit': calculation(
      z.object({ x: points, y: answers, block: z.array(day), model }).refine(asMany, AS_MANY),
      ({ x, y, block, model: of }) => fitBlocked(x, y, block, of),
    ),
    'mixture.processCrossedFit': calculation(
      z
        .object({
          x: points,
          z: z.array(z.number().min(-1).max(1)),
          y: answers,
          predictAt: z.array(z.object({ x: row, z: number })).default([]),
        })
        .refine(asMany, AS_MANY),
      ({ x, z: at, y, predictAt }) => fitCrossed(x, at, y, predictAt),
    ),
    'blocks.controlDifference': calculation(
      z.object({ day: z.array(day), treatment: z.array(z.string()), y: answers, control: z.string() }),
      ({ day: days, treatment, y, control }) => controlDifferences(days, treatment, y, control),
    ),
    'mixture.dOptimal': calculation(
      z.object({
        candidates: points,
        model,
        n: z.number().int().min(1).max(60),
        seed: z.number().int().min(0).default(1),
      }),
      ({ candidates, model: of, n, seed }) => {
        const found = dOptimal(candidates, of, n, seed)
        return {
          ...found,
          bestLogDet: found.logDet,
          terms: termsOf(candidates[0]?.length ?? 0, of).map(termName),
          points: found.runs.map((run) => candidates[run]),
        }
      },
    ),
    'factorial.fraction': calculation(
      z.object({
        factors: z.number().int().min(2).max(10),
        generators: z.array(z.string().regex(/^[A-J]{2,}$/, 'Write a generator as ABC.')).default([]),
        y: answers.nullish(),
      }),
      ({ factors, generators, y }) => fraction(factors, generators, y ?? null),
    ),
    desirability: calculation(
      z.object({ responses: z.array(wanted).min(1), y: z.array(row) }),
      ({ responses, y }) => {
        const d = y.map((values) => responses.map((one, at) => desirabilityOf(one, values[at] ?? 0)))
        return { d, overall: d.map((each) => overallDesirability(responses, each)) }
      },
    ),
    'bayes.linearKnownSigma': calculation(
      z
        .object({
          x: points,
          y: answers,
          model,
          priorMean: row,
          priorCovariance: square,
          noiseSd: z.number().positive(),
          predictAt: z.array(row),
        })
        .refine(asMany, AS_MANY),
      ({ x, y, model: of, priorMean, priorCovariance, noiseSd, predictAt }) => {
        const rowsOf = termRows(x, of)
        return linearKnownNoise(
          rowsOf(x),
          y,
          { mean: priorMean, covariance: priorCovariance },
          noiseSd,
          rowsOf(predictAt),
        )
      },
    ),
    'bayes.linearNIG': calculation(
      z
        .object({
          x: points,
          y: answers,
          model,
          m0: row,
          V0: square,
          a0: z.number().positive(),
          b0: z.number().positive(),
          predictAt: z.array(row),
        })
        .refine(asMany, AS_MANY),
      ({ x, y, model: of, m0, V0, a0, b0, predictAt }) => {
        const rowsOf = termRows(x, of)
        return linearUnknownNoise(rowsOf(x), y, { m0, V0, a0, b0 }, rowsOf(predictAt))
      },
    ),
    'gp.predict': calculation(
      z
        .object({
          x: rows,
          y: answers,
          at: rows,
          kernel: z.enum(KERNELS),
          lengthScales: z.array(z.number().positive()),
          signalSd: z.number().positive(),
          noiseSd: z.number().min(0),
          priorMean: number,
          best: number,
          xi: number.default(0),
        })
        .refine(asMany, AS_MANY),
      ({ x, y, at, best, xi, ...process }) => {
        const found = predictProcess(x, y, at, process)
        const ei = found.mean.map((mean, index) => expectedImprovement(mean, found.sd[index] ?? 0, best, xi))
        return { ...found, expectedImprovement: ei, nextIndex: ei.indexOf(Math.max(...ei)) }
      },
    ),
    'gp.expectedImprovement': calculation(
      z.object({
        mean: z.array(number),
        sd: z.array(z.number().min(0)),
        best: number,
        xi: number.default(0),
      }),
      ({ mean, sd, best, xi }) => ({
        ei: mean.map((one, at) => expectedImprovement(one, sd[at] ?? 0, best, xi)),
      }),
    ),
  }),
)

/** What a designed series says: one case, or an array of cases in their order. */
export const experimented = (text: string): unknown => calculated(CALCULATIONS, text)
