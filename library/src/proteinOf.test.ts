import { proteinOf } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { defaultKitchen } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { library } from '.'

const qualityOf = (lines: readonly string[]) => {
  const read = readRecipes(
    ['# Mix', '', '## Ingredients', '', ...lines.map((line) => `- ${line}`)].join('\n'),
    mixContext(),
  )
  const dish = read.ok ? read.value[0] : undefined
  const part = dish?.parts[0]
  if (dish === undefined || part === undefined) throw new Error('the mix cannot be read')
  return proteinOf(dish, part.id, library, defaultKitchen)
}

describe('protein of a part', () => {
  it('of gluten wants lysine, and pulses or soy complement it', () => {
    const quality = qualityOf(['100 g vital wheat gluten'])
    expect(quality?.pdcaas).toBeGreaterThan(0.25)
    expect(quality?.pdcaas).toBeLessThan(0.32)
    expect(quality?.limiting).toBe('lys')
    expect(['soy', 'pulse']).toContain(quality?.complement)
  })
  it('rises where gluten meets chickpeas above either of them', () => {
    const both = qualityOf(['80 g vital wheat gluten', '450 g cooked chickpeas'])?.pdcaas ?? 0
    expect(both).toBeGreaterThan(qualityOf(['100 g vital wheat gluten'])?.pdcaas ?? 1)
    expect(both).toBeGreaterThan(0.5)
  })
  it('of tofu is nearly whole and of dry pulses by their own amino acids', () => {
    expect(qualityOf(['200 g firm tofu'])?.pdcaas).toBeGreaterThan(0.85)
    const beans = qualityOf(['100 g dry red lentils'])
    expect(beans?.isTypical).toBe(false)
    expect(beans?.pdcaas).toBeGreaterThan(0.3)
  })
  it('is not told where too much of the protein is unknown', () => {
    expect(qualityOf(['10 g vital wheat gluten', '600 g kale'])).toBeNull()
    expect(qualityOf(['100 g sugar'])).toBeNull()
  })
})
