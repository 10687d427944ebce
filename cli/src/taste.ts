import {
  adjustedAnova,
  analyseForced,
  answersNeeded,
  blindingCodes,
  checkOrders,
  criticalNumber,
  type Difference,
  differenceFromControl,
  dPrimeOf,
  FORCED,
  friedman,
  GUESS,
  LEAST_CODE,
  mixedAnova,
  MOST_CODE,
  pairedLiking,
  penaltyOf,
  performanceOf,
  powerOf,
  shareRight,
  similarityOf,
  slopeRight,
  williams,
} from '@frijol/core/sensory'
import { z } from 'zod'
import { calculated, calculation } from './calculations'

const protocol = z.enum(FORCED)
const count = z.number().int().min(0).max(100_000)
const share = z.number().min(0).max(1)
const level = z.number().gt(0).lt(1)
const score = z.number().min(-1e6).max(1e6)
const grid = <T extends z.ZodType>(of: T) =>
  z
    .array(z.array(of).min(1))
    .min(1)
    .refine(
      (rows) => rows.every((row) => row.length === rows[0]?.length),
      'Every panellist has as many entries as the first: put null where the calculation takes it.',
    )
const replicated = grid(z.array(score).min(1)).refine(
  (rows) => rows.flat().every((cell) => cell.length === rows[0]?.[0]?.length),
  'Every sample has as many replicates as the first.',
)
const difference = z
  .object({ dPrime: z.number().min(0).max(30).nullish(), pd: share.nullish() })
  .refine(({ dPrime, pd }) => (dPrime == null) !== (pd == null), 'Give dPrime or pd, one of the two.')
const asDifference = ({ dPrime, pd }: z.infer<typeof difference>): Difference =>
  dPrime == null ? { pd: pd ?? 0 } : { dPrime }

const alternative = z.enum(['greater', 'two.sided']).default('greater')
const correctOf = z.object({ correct: count, n: count })
const notMore = ({ correct, n }: z.infer<typeof correctOf>): boolean => correct <= n
const MORE_RIGHT = { message: 'More are right than were asked.', path: ['correct'] }

const CALCULATIONS = new Map(
  Object.entries({
    'psychometric.pc': calculation(
      z.object({ protocol, dPrime: z.array(z.number().min(0).max(30)) }),
      ({ protocol: of, dPrime }) => ({
        pc: dPrime.map((one) => shareRight(of, one)),
        slope: dPrime.map((one) => slopeRight(of, one)),
      }),
    ),
    'psychometric.dPrime': calculation(
      z.object({ protocols: z.array(protocol), pc: z.array(share) }),
      ({ protocols, pc }) => ({ dPrime: protocols.map((of) => pc.map((one) => dPrimeOf(of, one))) }),
    ),
    'discrimination.analyse': calculation(
      correctOf
        .extend({ protocol, alternative, confidence: level.default(0.95) })
        .refine(notMore, MORE_RIGHT)
        .refine(
          ({ protocol: of, alternative: side }) => side === 'greater' || GUESS[of] === 0.5,
          'Only a test with a guess of one half has two sides.',
        ),
      ({ protocol: of, correct, n, alternative: side, confidence }) =>
        analyseForced(of, correct, n, side, confidence),
    ),
    'discrimination.critical': calculation(
      z.object({ n: z.array(count), guess: z.array(share), alpha: z.array(level) }),
      ({ n }) => {
        const by = (guess: number, side: 'greater' | 'two.sided') => ({
          alpha05: n.map((one) => criticalNumber(one, guess, 0.05, side)),
          alpha01: n.map((one) => criticalNumber(one, guess, 0.01, side)),
        })
        return {
          guessThird: by(1 / 3, 'greater'),
          guessHalf: by(1 / 2, 'greater'),
          twoSidedHalf: by(1 / 2, 'two.sided'),
        }
      },
    ),
    'discrimination.power': calculation(
      z.object({ rows: z.array(z.object({ protocol, n: count, alpha: level }).and(difference)) }),
      ({ rows }) => ({
        rows: rows.map(({ protocol: of, n, alpha, ...by }) => powerOf(of, n, alpha, asDifference(by))),
      }),
    ),
    'discrimination.sampleSize': calculation(
      z.object({ rows: z.array(z.object({ protocol, alpha: level, power: level }).and(difference)) }),
      ({ rows }) => ({
        rows: rows.map(({ protocol: of, alpha, power, ...by }) =>
          answersNeeded(of, alpha, power, asDifference(by)),
        ),
      }),
    ),
    'discrimination.similarity': calculation(
      z.object({
        rows: z.array(correctOf.extend({ protocol, pdMax: share, beta: level }).refine(notMore, MORE_RIGHT)),
      }),
      ({ rows }) => ({
        rows: rows.map(({ protocol: of, correct, n, pdMax, beta }) =>
          similarityOf(of, correct, n, pdMax, beta),
        ),
      }),
    ),
    'anova.mixed': calculation(
      z.object({ scores: replicated, alpha: level.default(0.05) }),
      ({ scores, alpha }) => mixedAnova(scores, alpha),
    ),
    'anova.missing': calculation(z.object({ scores: grid(score.nullable()) }), ({ scores }) =>
      adjustedAnova(scores),
    ),
    'ranking.friedman': calculation(
      z.object({ values: grid(score), alpha: level.default(0.05) }),
      ({ values, alpha }) => friedman(values, alpha),
    ),
    'jar.penalty': calculation(
      z
        .object({
          jar: z.array(z.number().int().min(1).max(5)),
          liking: z.array(z.number().min(1).max(9)),
          threshold: share.default(0.2),
        })
        .refine(({ jar, liking }) => jar.length === liking.length, 'As many likings as answers are needed.'),
      ({ jar, liking, threshold }) => penaltyOf(jar, liking, threshold),
    ),
    'panel.performance': calculation(z.object({ scores: replicated }), ({ scores }) => ({
      panellists: performanceOf(scores),
    })),
    'dfc.dunnett': calculation(z.object({ scores: grid(score) }), ({ scores }) =>
      differenceFromControl(scores),
    ),
    'hedonic.paired': calculation(
      z
        .object({
          test: z.array(score).min(1),
          reference: z.array(score).min(1),
          confidence: level.default(0.95),
        })
        .refine(
          ({ test, reference }) => test.length === reference.length,
          'The same people score both: as many scores are needed.',
        ),
      ({ test, reference, confidence }) => pairedLiking(test, reference, confidence),
    ),
    'design.williams': calculation(z.object({ t: z.array(z.number().int().min(1).max(40)) }), ({ t }) => ({
      designs: t.map((of) => {
        const orders = williams(of)
        const { positionCounts, pairCountMin } = checkOrders(of, orders)
        return {
          t: of,
          rows: orders.length,
          positions: of,
          countPerSamplePerPosition: positionCounts[0]?.[0] ?? 0,
          countPerOrderedAdjacentPair: pairCountMin,
          orders,
        }
      }),
    })),
    'design.check': calculation(
      z.object({ t: z.number().int().min(1).max(40), rows: z.array(z.array(z.number().int().min(0))) }),
      ({ t, rows }) => checkOrders(t, rows),
    ),
    'design.codes': calculation(
      z.object({
        samples: z.number().int().min(1),
        panellists: z.number().int().min(1),
        perPanellist: z.boolean().default(false),
        seed: z.number().int().min(0).default(1),
      }),
      ({ samples, panellists, perPanellist, seed }) => {
        const many = perPanellist ? samples * panellists : samples
        const codes = blindingCodes(many, seed)
        const again = blindingCodes(many, seed)
        return {
          count: codes.length,
          // The range that they are drawn from.
          min: LEAST_CODE,
          max: MOST_CODE,
          distinct: new Set(codes).size === codes.length,
          reproducible: codes.join() === again.join(),
          codes,
        }
      },
    ),
  }),
)

/** What a tasting's figures say: one case, or an array of cases in their order. */
export const tasted = (text: string): unknown => calculated(CALCULATIONS, text)
