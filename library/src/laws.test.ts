import { assess, workDish, type PartWork } from '@frijol/core/assess'
import { Assessment, defaultKitchen, type Dish, type Kitchen, noLimits, type Part } from '@frijol/core/model'
import { evaluate, madeOf, poolOf, stateWith, workspaceFor } from '@frijol/core/process'
import { isHeating, POOL_COUNT, POOLS } from '@frijol/core/program'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runOf, written } from '../test/dishes'
import { anyDish } from '../test/randomDishes'
import { library } from '.'

/** How many dishes each law is tried on; `LAW_RUNS` for a longer look. */
const RUNS = Number(process.env['LAW_RUNS'] ?? 500)
const lawful = (law: (dish: Dish) => void, runs = RUNS): void => {
  fc.assert(
    fc.property(anyDish, (dish) => {
      law(dish)
    }),
    { numRuns: runs, endOnFailure: process.env['LAW_RUNS'] !== undefined },
  )
}
const worksOf = (dish: Dish, kitchen: Kitchen = defaultKitchen): PartWork[] =>
  workDish(dish, library, kitchen)

/** How the lots of a part lie, step by step. */
const shapesOf = ({ method }: PartWork) =>
  method.program.ops.map(({ phase, form, isInDish, mainOp, isDough, mediumRows, constants }) => [
    phase,
    form,
    isInDish,
    mainOp,
    isDough,
    mediumRows.length,
    constants.keeps.map(String),
  ])

/** Sums of some rows by pool, g. */
function sums(rows: Float64Array, which: readonly number[]): number[] {
  return POOLS.map((_name, pool) => which.reduce((total, row) => total + poolOf(rows, row, pool), 0))
}
const ACCOUNTS = 20
const FIRST_GAIN = 14
function booked(books: Float64Array, op: number): number[] {
  return POOLS.map((_name, pool) => {
    let net = 0
    for (let account = 0; account < ACCOUNTS; account += 1) {
      const grams = books[(op * ACCOUNTS + account) * POOL_COUNT + pool] ?? 0
      net += account >= FIRST_GAIN ? grams : -grams
    }
    return net
  })
}

describe('mass', () => {
  it('is conserved in every pool, in every operation; nothing is negative or infinite', () => {
    lawful((dish) => {
      for (const { method } of worksOf(dish)) {
        const { program, places, made, usualYield } = method
        const space = workspaceFor(program)
        let before: number[] = []
        evaluate(
          program,
          space,
          { inputs: program.inputs, places, made, lnRates: null, usualYield, from: null },
          {
            before: (op) => {
              before = sums(space.rows, op.rows)
              const placed = places[op.at]
              if (placed === undefined) throw new Error('no place')
              return placed
            },
            after: (op) => {
              const now = sums(space.rows, op.rows)
              const net = booked(space.books, op.at)
              const batch = Math.max(1, ...before)
              now.forEach((grams, pool) => {
                const out = (before[pool] ?? 0) + (net[pool] ?? 0)
                if (Math.abs(grams - out) > 1e-9 * batch || !(grams >= -1e-9 * batch))
                  throw new Error(
                    `${op.step.operation ?? 'no operation'}: ${POOLS[pool] ?? ''} ${grams} g, the books say ${out} g`,
                  )
              })
            },
          },
        )
      }
    })
  })

  it('of a part handed out is never more than the part; of the dish, what was listed less what left', () => {
    lawful((dish) => {
      const works = worksOf(dish)
      const taken = new Map<string, number>()
      for (const { takes } of works)
        for (const [id, share] of takes) taken.set(id, (taken.get(id) ?? 0) + share)
      for (const share of taken.values()) expect(share).toBeLessThanOrEqual(1 + 1e-9)
      for (const { method, assessment } of works) {
        const { program, space } = method
        let massG = method.start.massG
        for (const { reading } of method.trace) {
          for (const take of reading.takes) if (take.kind === 'part') massG += take.massG
          for (const gain of reading.gained) massG += gain.massG
          for (const loss of reading.lost) massG -= loss.massG
        }
        const left = sums(space.rows, program.finalRows).reduce((total, grams) => total + grams, 0)
        // A weighed or usual yield of the whole part is the one change that no step books.
        if (program.part.cookedMassG === null && program.ops.length > 0)
          expect(Math.abs(left - massG)).toBeLessThan(1e-6 * Math.max(1, massG))
        expect(assessment.cookedMassG).toBeCloseTo(left, 6)
      }
    })
  })

  it('the assessment passes its own schema', () => {
    lawful((dish) => {
      const parsed = Assessment.safeParse(assess(dish, library, defaultKitchen))
      expect(parsed.error?.issues ?? []).toEqual([])
    })
  })
})

describe('one arithmetic', () => {
  it('evaluating the masses as they are gives what assess reports', () => {
    lawful((dish) => {
      for (const { method, assessment } of worksOf(dish))
        expect(stateWith(method, []).cooked.massG).toBeCloseTo(assessment.cookedMassG, 9)
    }, 200)
  })

  it('a changed line gives what assessing the changed dish gives, with weighed and stated ends, too', () => {
    fc.assert(
      fc.property(anyDish, fc.double({ min: 0.7, max: 1.4, noNaN: true }), fc.nat(), (dish, by, which) => {
        const part = dish.parts[which % dish.parts.length]
        const line = part?.lines[which % part.lines.length]
        if (part === undefined || line?.amount == null) return
        const work = worksOf(dish).find(({ assessment }) => assessment.partId === part.id)
        const at = part.lines.indexOf(line)
        const massG = work?.method.program.lines[at]?.massG ?? 0
        if (work === undefined || massG <= 0) return
        const foreseen = stateWith(work.method, [{ kind: 'line', line: at, massG: massG * by }], true)
        const changed: Part = {
          ...part,
          // A fresh method: nothing of the first program is used again.
          steps: [...part.steps],
          lines: part.lines.map((one) =>
            one === line
              ? {
                  ...one,
                  amount: {
                    ...line.amount,
                    isApproximate: false,
                    terms: (line.amount?.terms ?? []).map((term) => ({
                      ...term,
                      low: term.low * by,
                      high: term.high * by,
                    })),
                  },
                }
              : one,
          ),
        }
        const after = worksOf({
          ...dish,
          parts: dish.parts.map((one) => (one === part ? changed : one)),
        }).find(({ assessment }) => assessment.partId === part.id)
        if (after === undefined) throw new Error('no part')
        // Where a choice of shape turned, the dish is another: such lines are the rule's exception.
        if (JSON.stringify(shapesOf(work)) !== JSON.stringify(shapesOf(after))) return
        for (const field of ['massG', 'waterG', 'sodiumMg', 'fatG'] as const) {
          const wanted = after.state.cooked[field]
          expect(Math.abs(foreseen.cooked[field] - wanted)).toBeLessThan(1e-6 * Math.max(1, wanted))
        }
      }),
      { numRuns: RUNS, endOnFailure: process.env['LAW_RUNS'] !== undefined },
    )
  })

  it('an edited amount that uses its program again reads as if it were new', () => {
    fc.assert(
      fc.property(anyDish, fc.double({ min: 0.95, max: 1.05, noNaN: true }), (dish, by) => {
        const scaled = (fresh: boolean): Dish => ({
          ...dish,
          parts: dish.parts.map((part) => ({
            ...part,
            steps: fresh ? [...part.steps] : part.steps,
            lines: part.lines.map((line, at) =>
              at > 0 || line.amount === null
                ? line
                : {
                    ...line,
                    amount: {
                      ...line.amount,
                      terms: line.amount.terms.map((term) => ({
                        ...term,
                        low: term.low * by,
                        high: term.high * by,
                      })),
                    },
                  },
            ),
          })),
        })
        assess(dish, library, defaultKitchen)
        const again = assess(scaled(false), library, defaultKitchen)
        expect(again).toEqual(assess(scaled(true), library, defaultKitchen))
      }),
      { numRuns: Math.min(RUNS, 200) },
    )
  })
})

describe('nothing is invented', () => {
  it('a line that nothing takes changes no lot', () => {
    lawful((dish) => {
      const extra = written(['170 g courgette'], []).lines.map((line) => ({ ...line, id: 'extra' }))
      const [first, ...others] = dish.parts
      if (first === undefined || first.steps.length === 0 || first.cookedMassG !== null) return
      const [plain] = worksOf(dish)
      const [more] = worksOf({ ...dish, parts: [{ ...first, lines: [...first.lines, ...extra] }, ...others] })
      expect(more?.assessment.steps.map(({ massG }) => massG)).toEqual(
        plain?.assessment.steps.map(({ massG }) => massG),
      )
    }, 200)
  })

  it('a weighed mass above what is there is a finding, and no water appears', () => {
    const part = written(['400 g button mushrooms'], ['Brown the mushrooms 8 minutes.'])
    const steps = part.steps.map((step) => ({ ...step, weighedG: 900 }))
    const run = runOf({ ...part, steps })
    expect(run.massG).toBeCloseTo(400, 6)
    expect(run.impossibleG).toBeCloseTo(500, 6)
    expect(runOf({ ...part, cookedMassG: 900 }).massG).toBeLessThanOrEqual(400 + 1e-9)
    const dish = { ...worksDish(part), parts: [{ ...part, steps }] }
    expect(assess(dish, library, defaultKitchen).findings.map(({ rule }) => rule)).toContain(
      'cooked-mass-impossible',
    )
  })
})

const worksDish = (part: Part): Dish => ({
  format: 'frijol/dish',
  version: 1,
  id: 'd',
  name: 'One',
  menu: '',
  note: '',
  createdAt: '2026-06-14T12:00:00Z',
  updatedAt: '2026-06-14T12:00:00Z',
  trial: { number: 1, fromNumber: null, why: [] },
  aim: {
    matters: '',
    never: '',
    portions: 1,
    portionMassG: null,
    limits: noLimits(),
    excluded: [],
    without: [],
  },
  parts: [part],
  written: [],
  settled: [],
  series: [],
  extra: {},
})

describe('scale', () => {
  /** The kitchen with equipment k times as large. */
  const larger = (k: number): Kitchen => ({
    ...defaultKitchen,
    equipment: defaultKitchen.equipment.map((one) => ({
      ...one,
      areaDm2: one.areaDm2 === null ? null : one.areaDm2 * k,
      capacityG: one.capacityG === null ? null : one.capacityG * k,
      powerKw: one.kind === 'hob' ? (one.powerKw ?? 2) * k : one.powerKw,
    })),
  })
  const scaled = (dish: Dish, k: number): Dish => ({
    ...dish,
    parts: dish.parts.map((part) => ({
      ...part,
      cookedMassG: part.cookedMassG === null ? null : part.cookedMassG * k,
      lines: part.lines.map((line) => ({
        ...line,
        amount:
          line.amount === null
            ? null
            : {
                ...line.amount,
                terms: line.amount.terms.map((term) => ({ ...term, low: term.low * k, high: term.high * k })),
              },
      })),
      steps: part.steps.map((step) => ({
        ...step,
        weighedG: step.weighedG === null ? null : step.weighedG * k,
        until: step.until?.kind === 'mass' ? { ...step.until, massG: step.until.massG * k } : step.until,
        settings: {
          ...step.settings,
          waterG: step.settings.waterG === null ? null : step.settings.waterG * k,
          additions:
            step.settings.additions === null
              ? null
              : { ...step.settings.additions, massG: step.settings.additions.massG * k },
        },
      })),
    })),
  })

  it('of all masses, with equipment that scales, scales every mass and leaves the rest alone', () => {
    fc.assert(
      fc.property(anyDish, fc.constantFrom(0.5, 2, 3), (dish, k) => {
        // Vessels that the kitchen lacks do not grow with it.
        const listed = new Set(defaultKitchen.equipment.map(({ kind }) => kind))
        const plain = worksOf(dish)
        const isOwn = plain.every(({ method }) =>
          method.program.ops.every(
            ({ spec }) =>
              spec === null || (spec.vessel === null ? !isHeating(spec.id) : listed.has(spec.vessel)),
          ),
        )
        if (!isOwn) return
        const more = worksOf(scaled(dish, k), larger(k))
        // Two lots of the very same mass have no larger one: rounding may choose either.
        if (JSON.stringify(plain.map(shapesOf)) !== JSON.stringify(more.map(shapesOf))) return
        plain.forEach(({ assessment }, at) => {
          const other = more[at]?.assessment
          const size = Math.max(1, assessment.cookedMassG)
          expect(Math.abs((other?.cookedMassG ?? 0) / k - assessment.cookedMassG)).toBeLessThan(1e-6 * size)
          assessment.steps.forEach((step, index) => {
            const grown = other?.steps[index]
            expect(Math.abs((grown?.massG ?? 0) / k - step.massG)).toBeLessThan(
              1e-6 * Math.max(1, step.massG),
            )
            expect(grown?.loads).toBe(step.loads)
          })
        })
      }),
      { numRuns: Math.min(RUNS, 300), endOnFailure: process.env['LAW_RUNS'] !== undefined },
    )
  })

  it('loads of the same food at the same load end at the same share, and take each its time', () => {
    const after = (grams: number) => {
      const [reading] = runOf(
        written([`${grams} g button mushrooms`], ['Brown the mushrooms in a 28 cm pan for 9 minutes.']),
      ).trace.map(({ reading: of }) => of)
      if (reading === undefined) throw new Error('no step')
      return reading
    }
    const one = after(248)
    const ten = after(2480)
    expect(ten.loads).toBe(10 * one.loads)
    expect(ten.massG / 2480).toBeCloseTo(one.massG / 248, 9)
    expect(ten.minutes).toBeCloseTo(10 * one.minutes, 9)
  })
})

it('takes nothing of another part that it was not given', () => {
  lawful((dish) => {
    for (const work of worksOf(dish)) expect(madeOf(work.method).rows).toBe(work.method.space.rows)
  }, 20)
})
