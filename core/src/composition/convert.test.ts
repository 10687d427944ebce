import { describe, expect, it } from 'vitest'
import { testLibrary } from '../../test/foods'
import { conversionOf, converted } from './convert'

describe('converted', () => {
  const found = conversionOf(testLibrary, 'kidney-beans-cooked')
  it('goes both ways and returns where it began', () => {
    if (found === null) throw new Error('no conversion')
    const dry = converted(found.conversion, 500, 'back')
    expect(dry).toMatchObject({ foodId: 'kidney-beans-dry', massG: 200 })
    expect(dry.lowG).toBeLessThan(dry.massG)
    expect(dry.highG).toBeGreaterThan(dry.massG)
    expect(converted(found.conversion, dry.massG, 'forward').massG).toBeCloseTo(500, 9)
  })
  it('knows which way a food goes', () => {
    expect(found?.direction).toBe('back')
    expect(conversionOf(testLibrary, 'kidney-beans-dry')?.direction).toBe('forward')
    expect(conversionOf(testLibrary, 'walnut')).toBeNull()
  })
})
