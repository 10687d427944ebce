import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { defaultKitchen, type Dish, FamilyId, type Ingredient, type Kitchen } from '@frijol/core/model'
import { convert, keeps, proposeSwaps, type SwapMatch, type SwapProposal } from '@frijol/core/swap'
import { isExcluded } from '@frijol/core/rules'
import { createSolver, type SolveLinear } from '@frijol/core/solver'
import { tune, usualAsk } from '@frijol/core/tune'
import { beforeAll, describe, expect, it } from 'vitest'
import { ANIMAL_RECIPES } from '../test/animalRecipes'
import { mixContext } from '../test/mixContext'
import { SWAP_QUESTIONS, type SwapQuestion } from '../test/swapQuestions'
import { library } from '.'

const bench = { library, kitchen: defaultKitchen }
/** What a question's food is cooked with. */
const AROUND = ['200 g cooked brown lentils', '1 onion, finely chopped', '1 tsp salt']

function read(text: string): Dish {
  const found = readRecipes(text, mixContext())
  const [dish] = found.ok ? found.value : []
  if (dish === undefined) throw new Error(`not read: ${text}`)
  return dish
}
function dishFor({ line, family }: Pick<SwapQuestion, 'line' | 'family'>): Dish {
  const dish = read(
    `# Dish\n\nServes 4\n\n## Ingredients\n\n- ${[line, ...AROUND].join('\n- ')}\n\n## Method\n\n1. Mix everything.\n2. Cook for 10 minutes.\n`,
  )
  return {
    ...dish,
    parts: dish.parts.map((part) => ({ ...part, family: family === null ? null : FamilyId.parse(family) })),
  }
}
function answersTo(question: SwapQuestion): SwapProposal[] {
  const dish = dishFor(question)
  return proposeSwaps(dish, { lineId: dish.parts[0]?.lines[0]?.id ?? '', without: question.without }, bench)
}

describe('usual swap questions', () => {
  it('are answered first as an experienced cook would: 90 of 100', () => {
    const wrong = SWAP_QUESTIONS.filter((question) => {
      const [first] = answersTo(question)
      return first?.with.some(({ food }) => question.accepted.includes(food.id)) !== true
    })
    const told = wrong.map(
      (question) =>
        `${question.line} (${question.family ?? 'any'}; without ${question.without.join(', ')}): ${
          answersTo(question)[0]
            ?.with.map(({ food }) => food.id)
            .join(' + ') ?? 'nothing'
        }`,
    )
    expect(SWAP_QUESTIONS.length).toBeGreaterThanOrEqual(60)
    expect(1 - wrong.length / SWAP_QUESTIONS.length, told.join('\n')).toBeGreaterThanOrEqual(0.9)
  })

  it.each(
    SWAP_QUESTIONS.filter((_, at) => at % 4 === 0).map((question) => [question.line, question] as const),
  )('%s: nothing barred comes in, the dish is as it was told, and every line is taken', (_, question) => {
    const answers = answersTo(question)
    for (const { dish, assessment, with: parts, score, differences } of answers) {
      for (const { food, massG } of parts) {
        expect(massG).toBeGreaterThan(0)
        for (const barred of question.without) expect(isExcluded(food, barred, library), food.id).toBe(false)
      }
      expect(score).toBeGreaterThan(0)
      expect(score).toBeLessThanOrEqual(1)
      for (const change of Object.values(differences)) expect(Number.isFinite(change)).toBe(true)
      const again = assess(dish, library, defaultKitchen)
      expect(again.perPortion).toEqual(assessment.perPortion)
      // What stands in is taken where the food was taken.
      expect(again.parts[0]?.unused.map(({ lineId }) => lineId)).toEqual([])
    }
    expect(answers.map(({ score }) => score)).toEqual(answers.map(({ score }) => score).sort((a, b) => b - a))
  })
})

describe('a salty liquid matched by one thing', () => {
  const dish = read(
    '# Broth\n\nServes 4\n\n## Ingredients\n\n- 40 g soy sauce\n- 600 g water\n- 200 g shiitake mushrooms\n\n## Method\n\n1. Simmer everything for 20 minutes.\n',
  )
  const soySauce = dish.parts[0]?.lines[0]
  const food = library.ingredients.get(soySauce?.ingredientId ?? '')
  const proposals = (match: SwapMatch) =>
    proposeSwaps(dish, { lineId: soySauce?.id ?? '', without: [], match }, bench)
  const held = (amount: (of: Ingredient) => number, parts: SwapProposal['with']) =>
    parts.reduce((sum, one) => sum + (amount(one.food) * one.massG) / 100, 0)

  it.each([
    ['sodium', (of: Ingredient) => of.per100g.sodiumMg ?? 0],
    ['umami', (of: Ingredient) => of.umami?.glutamateMg ?? 0],
    ['volume', (of: Ingredient) => 100 / (of.volumes[0]?.gPerMl ?? 1)],
  ] as const)('%s: as much of it comes in as goes out, and the mix stays as wet', (match, amount) => {
    const found = proposals(match)
    expect(food?.id).toBeDefined()
    expect(found.length).toBeGreaterThan(0)
    if (food === undefined) return
    const wetBefore = 600 + (40 * (food.per100g.waterG ?? 0)) / 100
    for (const { with: parts, dish: changed } of found) {
      expect(held(amount, parts)).toBeCloseTo((amount(food) * 40) / 100, 6)
      const water = assess(changed, library, defaultKitchen).parts[0]?.lines.find(
        ({ lineId }) => lineId === dish.parts[0]?.lines[1]?.id,
      )
      const wet = (water?.massG ?? 0) + held((of) => of.per100g.waterG ?? 0, parts)
      // Water is weighed in steps of the scale.
      expect(Math.abs(wet - wetBefore)).toBeLessThanOrEqual(5)
    }
  })

  it('gives other amounts by other things', () => {
    const byTamari = (match: SwapMatch) =>
      proposals(match).find(({ with: parts }) => parts.length === 1 && parts[0]?.food.id.includes('miso'))
        ?.with[0]?.massG
    expect(new Set([byTamari('sodium'), byTamari('umami'), byTamari('volume')]).size).toBeGreaterThan(1)
  })
})

describe('a whole dish another way', () => {
  const salty = read(
    '# Stew\n\nServes 4\n\n## Ingredients\n\n- 400 g cooked chickpeas\n- 60 g soy sauce\n- 500 g water\n- 1 onion, chopped\n\n## Method\n\n1. Simmer everything for 20 minutes.\n',
  )

  it('lower in sodium: less of it, and the salty line does its job by something milder', () => {
    const before = assess(salty, library, defaultKitchen).perPortion.sodiumMg ?? 0
    const { dish, swaps } = convert(salty, { without: [], toward: ['lower-sodium'] }, bench)
    expect(swaps.map(({ replaces }) => replaces)).toEqual([salty.parts[0]?.lines[1]?.ingredientId])
    expect(assess(dish, library, defaultKitchen).perPortion.sodiumMg).toBeLessThan(0.9 * before)
  })

  it('of what the kitchen keeps: nothing else comes in, and what nothing stands in for is named', () => {
    const kitchen: Kitchen = {
      ...defaultKitchen,
      prices: ['chickpeas-cooked', 'onion', 'miso-white', 'tamari'].flatMap((id) =>
        library.ingredients.has(id) ? [{ ingredientId: id, price: 3, perG: 500 }] : [],
      ),
    }
    const { swaps, left } = convert(salty, { without: [], toward: ['pantry'] }, { library, kitchen })
    const isKept = keeps(kitchen)
    for (const { with: parts } of swaps)
      for (const { food } of parts) expect(isKept(food), food.id).toBe(true)
    expect(swaps.length + left.length).toBeGreaterThan(0)
  })

  it('cheaper: every swap costs less than what it stands for', () => {
    const kitchen: Kitchen = {
      ...defaultKitchen,
      prices: [...library.ingredients.keys()].map((id, at) => ({
        ingredientId: id,
        price: id.startsWith('chickpeas') ? 30 : 1 + (at % 5),
        perG: 500,
      })),
    }
    const before = assess(salty, library, kitchen).perPortion.cost ?? 0
    const { dish, swaps } = convert(salty, { without: [], toward: ['cheaper'] }, { library, kitchen })
    expect(swaps.length).toBeGreaterThan(0)
    expect(assess(dish, library, kitchen).perPortion.cost).toBeLessThan(before)
  })

  it('leaves a dish as it is where nothing stands against what is asked', () => {
    const plain = read(
      '# Lentils\n\nServes 2\n\n## Ingredients\n\n- 200 g cooked brown lentils\n\n## Method\n\n1. Heat the lentils for 5 minutes.\n',
    )
    const { dish, swaps, left } = convert(plain, { without: ['gluten'], toward: ['lower-sodium'] }, bench)
    expect({ swaps, left }).toEqual({ swaps: [], left: [] })
    expect(dish.parts).toEqual(plain.parts)
  })
})

describe('a matched amount', () => {
  const first = (line: string, without: string[], foodId: string) => {
    const found = answersTo({ line, family: null, without, accepted: [] }).find(({ with: parts }) =>
      parts.every(({ food }) => food.id === foodId),
    )
    if (found === undefined) throw new Error(`${line}: no ${foodId}`)
    return found
  }
  const per100 = (id: string) => {
    const food = library.ingredients.get(id)
    if (food === undefined) throw new Error(id)
    return food.per100g
  }
  it('of a salty liquid holds as much sodium', () => {
    const { with: parts } = first('30 g soy sauce', ['gluten'], 'tamari')
    expect(((parts[0]?.massG ?? 0) * (per100('tamari').sodiumMg ?? 0)) / 100).toBeCloseTo(
      0.3 * (per100('soy-sauce').sodiumMg ?? 0),
      6,
    )
  })
  it('of a fat holds as much fat, of a sweetener as much sugar, of an acid as much acid', () => {
    const { with: fat } = first('100 g butter', ['animal'], 'olive-oil')
    expect(fat[0]?.massG).toBeCloseTo(
      (100 * (per100('butter').fatG ?? 0)) / (per100('olive-oil').fatG ?? 1),
      6,
    )
    const { with: sweet } = first('20 g honey', [], 'maple-syrup')
    expect(sweet[0]?.massG).toBeCloseTo(
      (20 * (per100('honey').sugarsG ?? 0)) / (per100('maple-syrup').sugarsG ?? 1),
      6,
    )
    const { with: sour } = first('20 g lemon juice', [], 'lime-juice')
    expect(sour[0]?.massG).toBeCloseTo((20 * 5.8) / 6, 6)
  })
  it('is turned down where this kitchen turned it down, with the reason', () => {
    const dish = dishFor({ line: '1 egg, beaten', family: 'bound-patty' })
    const lineId = dish.parts[0]?.lines[0]?.id ?? ''
    const turnedDown = [{ foodId: 'flaxseed-ground', reason: 'too nutty in trial 2' }]
    const answers = proposeSwaps(dish, { lineId, without: ['animal'], turnedDown }, bench)
    expect(answers[0]?.with[0]?.food.id).not.toBe('flaxseed-ground')
    const flax = answers.find(({ with: parts }) => parts[0]?.food.id === 'flaxseed-ground')
    expect(flax?.reasons[0]).toContain('too nutty in trial 2')
  })
})

describe('a swap in the dish', () => {
  const PATTIES = `# Lentil patties

Serves 4

## Ingredients

- 400 g cooked brown lentils
- 2 eggs, beaten
- 80 g breadcrumbs
- 60 g peanut butter
- 30 g butter

## Method

1. Mash the lentils.
2. Stir in the beaten eggs, breadcrumbs and peanut butter.
3. Shape into 8 patties.
4. Melt the butter in a pan and fry the patties for 8 minutes.
`
  it('writes the new food into the steps, makes ready what must be, and leaves other names alone', () => {
    const dish = read(PATTIES)
    const line = dish.parts[0]?.lines.find(({ ingredientId }) => ingredientId === 'butter')
    const [best] = proposeSwaps(dish, { lineId: line?.id ?? '', without: ['animal'] }, bench)
    const texts = best?.dish.written.map(({ text }) => text) ?? []
    expect(texts.join(' ')).toContain('Melt the plant butter in a pan')
    expect(texts.join(' ')).toContain('peanut butter')
    const eggs = dish.parts[0]?.lines.find(({ ingredientId }) => ingredientId === 'egg-whole')
    const [flax] = proposeSwaps(dish, { lineId: eggs?.id ?? '', without: ['animal'] }, bench)
    expect(flax?.dish.written.map(({ text }) => text)).toContain(
      'Stir the flax into the water and let it stand 10 minutes before it goes in.',
    )
    const steps = flax?.dish.parts[0]?.steps ?? []
    const ready = steps.findIndex(({ id }) => id.includes('-ready-'))
    expect(ready).toBeGreaterThanOrEqual(0)
    expect(steps[ready + 1]?.uses?.map(({ id }) => id)).toContain(steps[ready]?.id)
  })

  it('converts the whole dish, and says what is left', () => {
    const { dish, swaps, left } = convert(
      read(PATTIES),
      { without: ['animal', 'gluten', 'peanut'], toward: [] },
      bench,
    )
    expect(left).toEqual([])
    expect(swaps).toHaveLength(4)
    for (const { ingredientId } of dish.parts.flatMap(({ lines }) => lines)) {
      const food = library.ingredients.get(ingredientId ?? '')
      for (const barred of ['animal', 'gluten', 'peanut'])
        expect(food !== undefined && isExcluded(food, barred, library), ingredientId ?? '').toBe(false)
    }
  })
})

describe('animal dishes as they are pasted', () => {
  let solve: SolveLinear
  beforeAll(async () => {
    solve = await createSolver()
  })
  it.each(ANIMAL_RECIPES.map((recipe) => [recipe.text.split('\n')[0] ?? '', recipe] as const))(
    '%s: nothing of an animal is left, the method reads on, and it comes near the original',
    (_, { text, original }) => {
      const stated = library.originals.get(original)
      if (stated === undefined) throw new Error(original)
      const pasted = read(text)
      const aimed: Dish = {
        ...pasted,
        parts: pasted.parts.map((part, at) =>
          at > 0 ? part : { ...part, family: stated.family, originalId: stated.id },
        ),
      }
      const { dish, left } = convert(aimed, { without: ['animal'], toward: [] }, bench)
      expect(left).toEqual([])
      const foods = dish.parts.flatMap(({ lines }) =>
        lines.flatMap(({ ingredientId }) => library.ingredients.get(ingredientId ?? '') ?? []),
      )
      expect(foods.filter((food) => isExcluded(food, 'animal', library)).map(({ id }) => id)).toEqual([])
      const assessed = assess(dish, library, defaultKitchen)
      expect(assessed.findings.filter(({ severity }) => severity === 'stop')).toEqual([])
      expect(assessed.parts[0]?.unused).toEqual([])
      // Every step still says what it does, and no step speaks of what is gone.
      for (const { text: words, operation } of dish.parts.flatMap(({ steps }) => steps)) {
        expect(operation, words).not.toBeNull()
        expect(words).not.toMatch(/\b(?:beef|pork|eggs?|tuna|cheddar|mince)\b/i)
      }
      const [closest] = tune(dish, { ...usualAsk(dish.parts[0]?.id ?? ''), starts: 3 }, bench, solve).answers
      expect(closest?.objective.after ?? assessed.parts[0]?.distance).toBeLessThanOrEqual(1.5)
    },
  )
})
