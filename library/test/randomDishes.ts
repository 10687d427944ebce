import {
  blankDish,
  type Dish,
  NO_SETTINGS,
  OPERATIONS,
  type Part,
  type Step,
  type StepUse,
} from '@frijol/core/model'
import { stepFrom } from '@frijol/core/reading'
import fc from 'fast-check'
import { written } from './dishes'

/** Foods of every kind that the engine tells apart: dry, wet, liquid, powder, fat, salt, gum, unknown. */
export const FOODS = [
  '500 g button mushrooms',
  '200 g dried chickpeas',
  '300 g firm tofu',
  '120 g vital wheat gluten',
  '150 ml vegetable stock',
  '400 ml soy milk',
  '60 g raw cashews, soaked 4 hours',
  '30 g olive oil',
  '6 g salt',
  '100 g onion',
  '50 g white wine',
  '20 g cornflour',
  '200 g zorbel',
  '80 g capers',
  '250 g bread flour',
  '4 g agar powder',
  '60 ml lemon juice',
  '80 g walnuts',
  '100 g textured soy protein',
  '400 g cooked white beans',
] as const

const isIn = (share: number | null): StepUse['share'] => (share === null ? null : Math.max(0.05, share))
const share = fc.option(fc.double({ min: 0.1, max: 0.9, noNaN: true }), { freq: 3 })

const anyStep = fc.record({
  operation: fc.option(fc.constantFrom(...OPERATIONS), { freq: 12 }),
  durationMin: fc.option(fc.double({ min: 0, max: 400, noNaN: true })),
  tempC: fc.option(fc.double({ min: 20, max: 230, noNaN: true })),
  until: fc.option(
    fc.oneof(
      fc.record({
        kind: fc.constant('mass' as const),
        massG: fc.double({ min: 20, max: 1500, noNaN: true }),
      }),
      fc.record({
        kind: fc.constant('keeps' as const),
        fraction: fc.double({ min: 0.1, max: 1.2, noNaN: true }),
      }),
      fc.record({ kind: fc.constant('dry' as const) }),
    ),
    { freq: 6 },
  ),
  weighedG: fc.option(fc.double({ min: 20, max: 2500, noNaN: true }), { freq: 8 }),
  lines: share,
  lot: share,
  other: share,
  settings: fc.record({
    isDrained: fc.constantFrom(true, null),
    isWrapped: fc.boolean(),
    lid: fc.constantFrom('on' as const, 'ajar' as const, 'off' as const, null),
    form: fc.constantFrom(
      'pieces' as const,
      'patty' as const,
      'crumble' as const,
      'log' as const,
      'breaded' as const,
      null,
    ),
    waterG: fc.option(fc.double({ min: 1, max: 800, noNaN: true }), { freq: 5 }),
    additions: fc.option(
      fc.record({
        count: fc.integer({ min: 1, max: 6 }),
        massG: fc.double({ min: 5, max: 60, noNaN: true }),
      }),
      { freq: 6 },
    ),
  }),
})

const anyPart = fc.record({
  foods: fc.uniqueArray(fc.constantFrom(...FOODS), { minLength: 1, maxLength: 6 }),
  steps: fc.array(anyStep, { minLength: 0, maxLength: 6 }),
  cookedMassG: fc.option(fc.double({ min: 50, max: 2500, noNaN: true }), { freq: 8 }),
})
type Drawn = typeof anyPart extends fc.Arbitrary<infer T> ? T : never

function stepsOf({ steps }: Drawn, at: number, lines: Part['lines'], taken: readonly string[]): Step[] {
  return steps.map(({ lines: ofLines, lot, other, settings, ...known }, index) => {
    const id = `p${at}s${index}`
    const uses: StepUse[] = [
      ...(index === 0 ? [] : [{ kind: 'step' as const, id: `p${at}s${index - 1}`, share: isIn(lot) }]),
      ...lines
        .filter((_line, of) => (of + index) % 2 === 0 || index === steps.length - 1)
        .map((line) => ({ kind: 'line' as const, id: line.id, share: isIn(ofLines) })),
      ...(index === 0 ? taken.map((part) => ({ kind: 'part' as const, id: part, share: isIn(other) })) : []),
    ]
    return {
      ...stepFrom('', id),
      ...known,
      operation: known.operation,
      settings: { ...NO_SETTINGS, ...settings },
      uses,
    }
  })
}

/** Dishes of one to three parts, in which later parts take shares of earlier ones, lines and lots are used in part, and some steps are weighed. */
export const anyDish: fc.Arbitrary<Dish> = fc.array(anyPart, { minLength: 1, maxLength: 3 }).map((drawn) => {
  const parts = drawn.map((one, at): Part => {
    const part = written(one.foods, [])
    const lines = part.lines.map((line, index) => ({ ...line, id: `p${at}l${index}` }))
    const taken = Array.from({ length: at }, (_unused, of) => `part${of}`)
    return {
      ...part,
      id: `part${at}`,
      name: `Part ${at}`,
      lines,
      cookedMassG: one.cookedMassG,
      steps: stepsOf(one, at, lines, taken),
    }
  })
  return { ...blankDish('dish', 'Random', '2026-06-14T12:00:00Z'), parts }
})
