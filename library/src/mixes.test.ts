import { readFileSync } from 'node:fs'
import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { type Assessment, defaultKitchen, FAMILIES, FamilyId } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { ownMixes } from '../test/ownMixes'
import { holds, type Mix, scoreMixes } from '../test/scoreMixes'
import { library } from '.'

const reference = JSON.parse(
  readFileSync(new URL('../test/referenceMixes.json', import.meta.url), 'utf8'),
) as Mix[]

const context = mixContext()

/** A mix as the command line reads it: the first part takes the original and the family. */
function assessMix({ text, family, original }: Mix): Assessment {
  const read = readRecipes(text, context)
  const dish = read.ok ? read.value[0] : undefined
  if (dish === undefined) throw new Error(`a mix cannot be read: ${text.slice(0, 40)}`)
  const parts = dish.parts.map((part, at) =>
    at > 0 ? part : { ...part, family: FamilyId.parse(family), originalId: original },
  )
  return assess({ ...dish, parts }, library, defaultKitchen)
}

const shareOf = ({ held, all }: { held: number; all: number }): number => held / all

describe('reference mixes: what a cook would swear to', () => {
  const score = scoreMixes(reference, assessMix)
  it('is borne out for 92 of 100', () => {
    expect(score.all).toBe(415)
    expect(shareOf(score), score.missed.join('\n')).toBeGreaterThanOrEqual(0.92)
  })
  it.each([...score.byKind])('is borne out for 85 of 100 in %s', (kind, [held, all]) => {
    expect(held / all, kind).toBeGreaterThanOrEqual(0.85)
  })
})

describe('mixes of our own', () => {
  const open = ownMixes.filter(({ isLocked }) => !isLocked)
  const locked = ownMixes.filter(({ isLocked }) => isLocked)
  it('are more than sixty, a third of them locked', () => {
    expect(ownMixes.length).toBeGreaterThan(60)
    expect(locked.length / ownMixes.length).toBeGreaterThan(0.27)
    expect(new Set(ownMixes.map(({ family }) => family)).size).toBeGreaterThanOrEqual(19)
    for (const { family } of ownMixes) expect(FAMILIES).toContain(family)
  })
  it('are borne out for 92 of 100', () => {
    const score = scoreMixes(open, assessMix)
    expect(shareOf(score), score.missed.join('\n')).toBeGreaterThanOrEqual(0.92)
  })
  it('are borne out for 85 of 100 where they are locked', () => {
    expect(shareOf(scoreMixes(locked, assessMix))).toBeGreaterThanOrEqual(0.85)
  })
  it('are scored by a rule that can fail', () => {
    const [mix] = open
    if (mix === undefined) throw new Error('no mix')
    const assessment = assessMix(mix)
    const others = new Map([[mix.id, { mix, assessment }]])
    expect(holds({ attribute: 'stretch', min: 11, max: 12 }, mix, assessment, others)).toBe(false)
    expect(holds({ attribute: 'stretch', versus: mix.id, atLeastLower: 1 }, mix, assessment, others)).toBe(
      false,
    )
    expect(holds({ cookedMassG: [1, 2] }, mix, assessment, others)).toBe(false)
    expect(holds({ ratio: 'none', state: 'in' }, mix, assessment, others)).toBe(false)
    expect(holds({ finding: 'no such words' }, mix, assessment, others)).toBe(false)
  })
})
