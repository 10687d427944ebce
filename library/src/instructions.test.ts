import { resolveLines } from '@frijol/core/composition'
import { defaultKitchen, type Part, type StepUse } from '@frijol/core/model'
import { proposeSteps, readStep, splitInstructions, usesOf } from '@frijol/core/reading'
import { describe, expect, it } from 'vitest'
import { written } from '../test/dishes'
import { type InstructionText, TEXTS } from '../test/instructionTexts'
import { library } from '.'

const usesIn = (part: Part): StepUse[][] =>
  usesOf(part, resolveLines(part, library, defaultKitchen), [], defaultKitchen)

const spokenUse = (food: string, share: number | null): string =>
  share === null ? food : `${food} ×${share.toFixed(2)}`

function read({ lines, text }: InstructionText) {
  const part = written(lines, [text])
  const { operation, durationMin, tempC } = readStep(text)
  const [uses = []] = usesIn(part)
  return {
    operation,
    minutes: durationMin,
    tempC,
    uses: uses
      .map(({ id, share }) => spokenUse(part.lines.find((line) => line.id === id)?.food ?? '?', share))
      .sort(),
  }
}

const wanted = ({ operation, minutes, tempC, uses }: InstructionText) => ({
  operation,
  minutes,
  tempC,
  uses: uses.map((use) => (typeof use === 'string' ? use : spokenUse(...use))).sort(),
})

describe('forty instruction texts', () => {
  it('are forty', () => {
    expect(TEXTS).toHaveLength(40)
  })

  it.each(['operation', 'minutes', 'tempC', 'uses'] as const)(
    '%s: at least nine of ten are right',
    (field) => {
      const wrong = TEXTS.flatMap((text) => {
        const [got, want] = [read(text)[field], wanted(text)[field]]
        return JSON.stringify(got) === JSON.stringify(want) ? [] : [{ text: text.text, got, want }]
      })
      expect(wrong.length / TEXTS.length, JSON.stringify(wrong, null, 1)).toBeLessThanOrEqual(0.1)
    },
  )
})

describe('pasted instructions', () => {
  const BEANS = [
    '250 g dried white beans',
    '60 g vital wheat gluten',
    '1 onion',
    '2 tbsp olive oil',
    '8 g salt',
  ]
  const PASTE = `Preheat the oven to 190C fan. Soak the beans overnight, then drain and boil them for 40 minutes.
2. Peel and dice the onion and fry it in the oil for 8 minutes.
3. Mash half of the beans; fold in the rest with the onion, gluten and salt. Knead for 5 minutes and rest for 20 minutes.
To finish:
- Form into patties, chill for 30 minutes and bake for 25 minutes. They should be firm.`

  const proposed = (newId: () => string) => {
    const part = written(BEANS, [])
    return proposeSteps(
      PASTE,
      newId,
      { part, lines: resolveLines(part, library, defaultKitchen) },
      defaultKitchen,
    )
  }

  it('are cut into single doings, in order', () => {
    expect(proposed(() => 'x').map(({ operation }) => operation)).toEqual([
      'soak',
      'drain',
      'boil',
      'trim',
      'chop',
      'shallow-fry',
      'mash',
      'mix',
      'knead',
      'rest',
      'shape',
      'chill',
      'roast',
    ])
  })

  it('give the oven’s temperature to the baking, and what only tells how to the step before', () => {
    const last = proposed(() => 'x').at(-1)
    expect(last).toMatchObject({ tempC: 190, durationMin: 25, settings: { isFan: true } })
    expect(last?.text).toContain('They should be firm.')
  })

  it('carry every ingredient through to the end, each once', () => {
    let count = 0
    const part = { ...written(BEANS, []), steps: proposed(() => `s${(count += 1)}`) }
    const taken = new Map<string, number>()
    for (const { kind, id, share } of usesIn(part).flat())
      if (kind === 'line') taken.set(id, (taken.get(id) ?? 0) + (share ?? 1))
    expect([...taken.keys()].sort()).toEqual(part.lines.map(({ id }) => id).sort())
    const bakedFrom = usesIn(part).at(-1)
    expect(bakedFrom).toEqual([{ kind: 'step', id: part.steps.at(-2)?.id, share: null }])
  })

  it('of one doing stay one, and of none give none', () => {
    expect(splitInstructions('Add the onion and sweat 6 minutes.')).toHaveLength(1)
    expect(splitInstructions('Peel and dice the onion.')).toHaveLength(2)
    expect(splitInstructions('For the sauce:\n\n')).toEqual([])
    expect(splitInstructions('Bake 5 min. then cool.')).toHaveLength(2)
  })
})
