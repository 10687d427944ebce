import { assess } from '@frijol/core/assess'
import { blankDish, defaultKitchen, type Finding } from '@frijol/core/model'
import { METHOD_RULES } from '@frijol/core/rules'
import { describe, expect, it } from 'vitest'
import { written } from '../test/dishes'
import { RULE_CASES, type Written } from '../test/ruleCases'
import { library } from '.'

const findingsOf = ({ lines, steps, family }: Written): Finding[] => {
  const dish = {
    ...blankDish('d', 'Trial', '2026-06-14T12:00:00Z'),
    parts: [written(lines, steps, family ?? null)],
  }
  return assess(dish, library, defaultKitchen).findings
}

describe('the rules of order, activation and use', () => {
  it('each have a case', () => {
    expect(RULE_CASES.map(({ id }) => id).sort()).toEqual(METHOD_RULES.map(({ id }) => id).sort())
  })

  it.each(RULE_CASES)('$id fires, with its severity, a cause and a remedy', ({ id, fires }) => {
    const found = findingsOf(fires)
    const hit = found.find(({ rule }) => rule === id)
    expect(hit, `only ${found.map(({ rule }) => rule).join(', ')}`).toBeDefined()
    expect(hit?.severity).toBe(METHOD_RULES.find((rule) => rule.id === id)?.severity)
    expect(hit?.message).toMatch(/[a-z].*\.$/)
    expect(hit?.remedy).toMatch(/[a-z].*\.$/)
  })

  it.each(RULE_CASES)('$id keeps quiet where the same is done well', ({ id, quiet }) => {
    expect(findingsOf(quiet).filter(({ rule }) => rule === id)).toEqual([])
  })
})
