import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { type AttributeId, defaultKitchen, FamilyId, type PartAssessment } from '@frijol/core/model'
import { familyTable } from '@frijol/core/texture'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { goodMixes } from '../test/goodMixes'
import { library } from '.'

const parts = goodMixes.flatMap(({ text, family, original }) => {
  const recipes = readRecipes(text, mixContext())
  const dish = recipes.ok ? recipes.value[0] : undefined
  const stated = original === null ? undefined : library.originals.get(original)
  if (dish === undefined || stated === undefined) return []
  const judged = dish.parts.map((part, at) =>
    at > 0 ? part : { ...part, family: FamilyId.parse(family), originalId: original },
  )
  const { parts: read } = assess({ ...dish, parts: judged }, library, defaultKitchen)
  const part: PartAssessment | undefined = read.find((one) => one.family === family)
  return part === undefined ? [] : [{ part, stated }]
})

/** Ranks from 0; those that are equal share the middle of theirs. */
function ranks(values: readonly number[]): number[] {
  return values.map((value) => {
    const below = values.filter((other) => other < value).length
    const alike = values.filter((other) => other === value).length
    return below + (alike - 1) / 2
  })
}
function correlation(a: readonly number[], b: readonly number[]): number {
  const mean = (of: readonly number[]): number => of.reduce((sum, value) => sum + value, 0) / of.length
  const [middleA, middleB] = [mean(a), mean(b)]
  let both = 0
  let ofA = 0
  let ofB = 0
  a.forEach((value, at) => {
    const [x, y] = [value - middleA, (b[at] ?? 0) - middleB]
    both += x * y
    ofA += x * x
    ofB += y * y
  })
  return both / Math.sqrt(ofA * ofB)
}
function rankCorrelation(id: AttributeId): number {
  const pairs = parts.flatMap(({ part, stated }) => {
    const predicted = part.attributes.find((one) => one.id === id)?.value
    const goal = stated.attributes[id]
    return predicted === undefined || goal === undefined ? [] : [[predicted, goal] as const]
  })
  expect(pairs.length, id).toBeGreaterThan(30)
  return correlation(ranks(pairs.map(([predicted]) => predicted)), ranks(pairs.map(([, goal]) => goal)))
}

describe('good plant analogues against the originals that they replace', () => {
  it('are of at least thirty originals', () => {
    expect(new Set(parts.map(({ stated }) => stated.id)).size).toBeGreaterThanOrEqual(30)
  })
  it.each([
    'firmness',
    'chewiness',
    'juiciness',
    'creaminess',
    'saltiness',
    'umami',
    'tenderness',
    'richness',
    'smokiness',
  ] as const)('rank by %s as their originals do', (id) => {
    expect(rankCorrelation(id)).toBeGreaterThanOrEqual(0.7)
  })
})

it('every original is judged, in every attribute of its profile', () => {
  for (const original of library.originals.values()) {
    const own = new Set(familyTable(original.family)?.attributes.map(({ id }) => id))
    for (const id of Object.keys(original.attributes)) expect(own, `${original.id} ${id}`).toContain(id)
  }
})
