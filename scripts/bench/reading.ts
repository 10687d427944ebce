// npm run reading: how well whole recipes are read, by set and by style. Locked recipes show counts alone.
import {
  type GoldRecipe,
  ownRecipes,
  publicRecipes,
  type Score,
  scoreAll,
  scoreRecipe,
} from '../../library/test/scoreRecipes'

const COLUMNS: readonly (readonly [keyof Score, string])[] = [
  ['operation', 'doings'],
  ['extra', 'extra'],
  ['takes', 'holds'],
  ['share', 'shares'],
  ['minutes', 'minutes'],
  ['mass', 'cooked'],
  ['noStop', 'no stop'],
]
const SETS: readonly (readonly [name: string, recipes: readonly GoldRecipe[], isLocked: boolean])[] = [
  ['The given corpus', publicRecipes(), false],
  ['Our own recipes', ownRecipes('open.txt'), false],
  ['Our locked recipes', ownRecipes('locked.txt'), true],
]
const wantsFaults = process.argv.includes('--faults')
const cell = ([right, all]: readonly [number, number], width: number): string =>
  (all === 0 ? '–' : `${right}/${all}`).padStart(width)
const percent = ([right, all]: readonly [number, number], width: number): string =>
  (all === 0 ? '–' : `${((100 * right) / all).toFixed(1)} %`).padStart(width)

for (const [name, recipes, isLocked] of SETS) {
  const { score } = scoreAll(recipes)
  console.log(`\n${name}: ${recipes.length} recipes`)
  console.log(`${''.padEnd(58)}${COLUMNS.map(([, head]) => head.padStart(10)).join('')}`)
  for (const recipe of recipes) {
    const one = scoreRecipe(recipe)
    console.log(
      `${`${recipe.id} ${recipe.style}`.slice(0, 57).padEnd(58)}${COLUMNS.map(([what]) => cell(one.score[what], 10)).join('')}`,
    )
    if (wantsFaults && !isLocked) for (const fault of one.faults) console.log(`    ${fault}`)
  }
  console.log(`${'together'.padEnd(58)}${COLUMNS.map(([what]) => cell(score[what], 10)).join('')}`)
  console.log(`${''.padEnd(58)}${COLUMNS.map(([what]) => percent(score[what], 10)).join('')}`)
}
