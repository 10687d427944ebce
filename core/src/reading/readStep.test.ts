import { describe, expect, it } from 'vitest'
import { NO_SETTINGS, OPERATIONS, Step, upgradeParts } from '../model'
import { guidanceOf, isHeating, SPECS, specOf } from '../program'
import { followWords, readStep, rereadStep, setByHand, stepFrom } from './readStep'
import { statesHeat } from './stepTimes'

const operationIn = (text: string) => readStep(text).operation

describe('the operation of a step', () => {
  it.each([
    ['Brown the mushrooms until no steam rises', 'brown'],
    ['Add the onion and sweat for 6 minutes', 'sweat'],
    ['Fold in the beans', 'mix'],
    ['Fold in the rest', 'mix'],
    ['Spread on a tray and bake at 190 °C', 'roast'],
    ['Blend with the milk until smooth', 'blend'],
    ['Steam the logs for 40 minutes', 'steam'],
    ['Leave overnight', 'rest'],
    ['Sauté the leeks', 'brown'],
    ['Form into patties and bake', 'roast'],
    ['Toss in baking powder', 'mix'],
    ['Serve', null],
  ])('reads %j', (text, operation) => {
    expect(operationIn(text)).toBe(operation)
  })

  it('finds every operation by its own name, and each has a cue and a remedy', () => {
    for (const { id, name } of SPECS) {
      expect(operationIn(`${name}.`), name).toBe(id)
      expect(operationIn(`${name} at 80 °C.`), name).toBe(id)
    }
    for (const id of OPERATIONS) {
      expect(guidanceOf(id).cue).toMatch(/\.$/)
      expect(guidanceOf(id).remedy).toMatch(/\.$/)
      expect(specOf(id).leastC).toBeLessThan(specOf(id).mostC)
    }
  })

  it('knows which operations heat', () => {
    expect(isHeating('roast')).toBe(true)
    expect(isHeating('soak')).toBe(false)
    expect(isHeating(null)).toBe(false)
  })
})

describe('readStep', () => {
  it.each([
    ['Bake at 190 °C for 18 minutes', 18, 190],
    ['simmer 1 to 2 hours', 90, null],
    ['350F oven', null, 177],
    ['roast at gas mark 6, 1 h 20 min', 80, 204],
    ['Bake 25-30 min at 180-200 °C', 27.5, 190],
    ['Turn every 5 minutes and grill for 20 minutes', 20, null],
    ['Blend 90 seconds', 1.5, null],
    ['a quarter of an hour in the steamer', 15, null],
    ['Bake as 15 mm patties at 190 °C for 20 minutes', 20, 190],
    ['Toss as needed', null, null],
    ['Ferment 3 weeks', 30_240, null],
    ['Roast at 1900 °C for 20 minutes', 20, null],
    ['Serve', null, null],
  ])('times and temperatures: %j', (text, durationMin, tempC) => {
    expect(readStep(text)).toMatchObject({ durationMin, tempC })
  })

  it.each([
    ['Reduce by half', { kind: 'keeps', fraction: 0.5 }],
    ['Brown until 40 % lighter', { kind: 'keeps', fraction: 0.6 }],
    ['Bake until it keeps 35 % of its mass', { kind: 'keeps', fraction: 0.35 }],
    ['Roast until 60 % of the weight remains', { kind: 'keeps', fraction: 0.6 }],
    ['Simmer, lid off, to 320 g', { kind: 'mass', massG: 320 }],
    ['Cook down to 1.2 kg', { kind: 'mass', massG: 1200 }],
    ['Brown until the pan is dry', { kind: 'dry' }],
    ['Shape to 90 g patties', null],
  ])('ends: %j', (text, until) => {
    expect(readStep(text).until).toEqual(until)
  })

  it.each([
    ['Roast 200C fan 25 min, single layer', { isFan: true, layer: 'single' }],
    ['Fry in a 28 cm pan over high heat', { vessel: 'pan', vesselCm: 28, heat: 'high' }],
    ['Simmer covered over low heat', { lid: 'on', heat: 'low' }],
    ['Boil 40 minutes and drain', { isDrained: true }],
    ['Drain the beans and boil 40 minutes', { isDrained: null }],
    ['Sweat in splashes of water: 4 additions of 20 ml', { additions: { count: 4, massG: 20 } }],
    ['Pour in 1.5 l of cold water', { waterG: 1500 }],
    ['Wrap in foil and steam', { isWrapped: true }],
    ['Form into 15 mm patties', { form: 'patty', thicknessMm: 15 }],
  ])('settings: %j', (text, settings) => {
    expect(readStep(text).settings).toMatchObject(settings)
  })
})

describe('statesHeat', () => {
  it.each([
    ['Roast at 1900 °C', true],
    ['bake at 900 degrees', true],
    ['Roast at 350F', true],
    ['Cut into 2 cm cubes, 300 g each', false],
    ['Roast until brown', false],
  ])('%s: %s', (text, states) => {
    expect(statesHeat(text)).toBe(states)
  })
})

describe('a step set by hand', () => {
  const read = stepFrom('Bake 20 minutes at 180 °C', 's')
  it('keeps what was set when its words change, and follows them again when asked', () => {
    const set = setByHand(read, { durationMin: 35, heat: 'low' })
    expect(set.byHand).toEqual(['durationMin', 'heat'])
    const changed = rereadStep(set, 'Roast 50 minutes at 200 °C fan')
    expect(changed).toMatchObject({ durationMin: 35, tempC: 200, settings: { heat: 'low', isFan: true } })
    expect(followWords(changed)).toMatchObject({ durationMin: 50, byHand: [], settings: { heat: null } })
  })
  it('is a whole step of the document', () => {
    expect(Step.parse(setByHand(read, { until: { kind: 'dry' } }))).toMatchObject({ byHand: ['until'] })
    expect(stepFrom('x'.repeat(9000), 's').text).toHaveLength(4000)
  })
})

describe('a stored step of the first shape', () => {
  const old = { id: 's', text: 'Fry', operation: 'fry', durationMin: 5, tempC: null, keepsFraction: null }
  it('comes over, and one of the present shape is left alone', () => {
    expect(Step.parse(old)).toMatchObject({ operation: 'shallow-fry', until: null, settings: NO_SETTINGS })
    expect(Step.parse({ ...old, keepsFraction: 0.7, operation: 'sing' })).toMatchObject({
      operation: null,
      until: { kind: 'keeps', fraction: 0.7 },
      byHand: ['until'],
    })
    const present = stepFrom('Fry 5 minutes', 's')
    expect(Step.parse(present)).toEqual(present)
  })
  it('is upgraded inside parts without touching anything else', () => {
    expect(upgradeParts([{ id: 'p', steps: [old], other: 1 }])).toMatchObject([
      { id: 'p', ways: [], other: 1, steps: [{ operation: 'shallow-fry' }] },
    ])
    expect(upgradeParts([null, { id: 'p' }, 'x'])).toEqual([null, { id: 'p' }, 'x'])
    expect(upgradeParts('nonsense')).toBe('nonsense')
  })
})
