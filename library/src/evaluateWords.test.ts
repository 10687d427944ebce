import { workDish } from '@frijol/core/assess'
import { defaultKitchen, type Step } from '@frijol/core/model'
import { evaluate, workspaceFor } from '@frijol/core/process'
import { describe, expect, it } from 'vitest'
import { pasted } from '../test/readTakes'
import { library } from './index'

const RECIPE = `Walnut mince
Serves 4

200 g walnuts
400 g chestnut mushrooms
1 onion, chopped
2 tbsp olive oil
120 ml vegetable stock
4 g agar powder
1 tbsp soy sauce

Method
1. Pulse the walnuts to a coarse crumb and soak them in the stock for 20 minutes.
2. Fry the onion in the oil for 8 minutes, add the mushrooms and cook until dry.
3. Stir in the rest and bring to the boil. Simmer for 3 minutes, covered.
4. Press into a lined tin, bake at 180 C until it has lost a fifth, and chill for 4 hours.`

/** A step whose words must not be read. */
const wordless = (step: Step): Step =>
  new Proxy(step, {
    get(target, key, receiver): unknown {
      if (key === 'text' || key === 'cue' || key === 'remedy') throw new Error(`${key} was read`)
      return Reflect.get(target, key, receiver)
    },
  })

describe('evaluating a method', () => {
  it('reads no words: what they mean was compiled', () => {
    const [work] = workDish(pasted(RECIPE), library, defaultKitchen)
    if (work === undefined) throw new Error('no part')
    const { program, places, made, usualYield } = work.method
    const silent = { ...program, ops: program.ops.map((op) => ({ ...op, step: wordless(op.step) })) }
    expect(silent.ops.length).toBeGreaterThan(8)
    const run = (which: typeof program) => {
      const space = workspaceFor(which)
      evaluate(which, space, {
        inputs: which.inputs,
        places,
        made,
        lnRates: null,
        usualYield,
        from: null,
      })
      return [...space.rows]
    }
    expect(run(silent)).toEqual(run(program))
  })

  it('would fail if it did', () => {
    const [work] = workDish(pasted(RECIPE), library, defaultKitchen)
    const step = work?.method.program.ops[0]?.step
    if (step === undefined) throw new Error('no step')
    expect(() => wordless(step).text).toThrow('text was read')
    expect(wordless(step).settings).toBe(step.settings)
  })
})
