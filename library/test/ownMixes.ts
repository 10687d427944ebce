import { dairyMixes } from './mixes/dairyMixes'
import { householdMixes } from './mixes/householdMixes'
import { paragraphMixes } from './mixes/paragraphMixes'
import { sauceMixes } from './mixes/sauceMixes'
import type { Short } from './mixes/shorthand'
import { solidMixes } from './mixes/solidMixes'
import type { Expectation, Mix } from './scoreMixes'

/** The order in which they were written: every third is locked. */
const ORDER: readonly string[] = [
  'melt-tapioca',
  'grate-cashew',
  'yogurt-soy',
  'cream-coconut',
  'meringue-oil',
  'butter-oat',
  'feta-tofu',
  'ricotta-almond',
  'spread-sunflower',
  'ham-agar',
  'quiche-silken',
  'scramble-tofu',
  'omelette-gram',
  'yolk-sauce',
  'binder-flax',
  'gravy-onion',
  'cream-cashew',
  'cheese-sauce-squash',
  'white-sauce',
  'patty-black-bean',
  'ball-lentil',
  'sausage-bean',
  'roast-gluten',
  'pulled-jackfruit',
  'oyster-shreds',
  'flakes-palm',
  'strip-coconut',
  'mince-tvp',
  'mince-walnut',
  'patty-beet-walnut',
  'burger-tofu-oat',
  'mince-lentil-bulgur',
  'mince-frozen-tofu',
  'seitan-simmered',
  'roast-baked-gluten',
  'pulled-oyster-bbq',
  'bacon-rice-paper',
  'sausage-steamed',
  'scramble-silken',
  'quiche-chickpea',
  'meringue-chickpea',
  'whipped-coconut',
  'egg-chia',
  'cream-oat-pouring',
  'gravy-mushroom',
  'bechamel-soy',
  'cheese-sauce-potato',
  'mozzarella-cashew',
  'slices-agar',
  'feta-marinated',
  'parmesan-almond',
  'cream-cheese-cashew',
  'yogurt-cultured-soy',
  'butter-cultured',
  'yolk-carrot-dip',
  'tuna-chickpea',
  'lamb-mince-soya',
  'meatloaf-lentil',
  'chicken-fried-gluten',
  'chicken-thigh-soycurls',
  'steak-mushroom-gluten',
  'ham-glazed-slices',
  'sausage-fresh-bean',
  'fish-banana-blossom',
  'omelette-mung',
  'egg-white-fried',
  'sauce-lemon-egg',
  'ricotta-tofu-lemon',
  'dressing-caesar',
  'whipped-soy-cream',
  'gouda-carrageenan',
  'sauce-white-cauliflower',
]
const SHORTS: Readonly<Record<string, Short>> = {
  ...dairyMixes,
  ...sauceMixes,
  ...solidMixes,
  ...householdMixes,
  ...paragraphMixes,
}

const LOCKED_EVERY = 3

function mixOf(
  id: string,
  of: Short,
  lines: readonly string[],
  steps: readonly string[],
  expect: readonly Expectation[],
): Mix {
  const text = [
    `# ${id.replaceAll('-', ' ')}`,
    '',
    'Serves 4',
    '',
    '## Ingredients',
    '',
    ...lines.filter((line) => line !== '').map((line) => `- ${line}`),
    '',
    '## Method',
    '',
    ...steps.filter((step) => step !== '').map((step, at) => `${at + 1}. ${step}`),
    '',
  ].join('\n')
  return { id, family: of.family, original: of.original, text, expect }
}

/** Every mix of our own. A third is locked: counted, never looked at while tables are tuned. */
export const ownMixes: readonly (Mix & { readonly isLocked: boolean })[] = ORDER.flatMap((id, index) => {
  const of = SHORTS[id]
  if (of === undefined) throw new Error(`no mix ${id}`)
  const isLocked = index % LOCKED_EVERY === 2
  const base = mixOf(id, of, of.lines, of.steps, of.expect)
  const others = Object.entries(of.but ?? {}).map(([name, { lines = {}, steps = {}, expect }]) =>
    mixOf(
      `${id}-${name}`,
      of,
      of.lines.map((line) => lines[line] ?? line),
      of.steps.map((step, at) => steps[at] ?? step),
      expect.map((one) =>
        'versus' in one
          ? { ...one, versus: id }
          : 'viscosityVersus' in one
            ? { ...one, viscosityVersus: id }
            : one,
      ),
    ),
  )
  return [base, ...others].map((mix) => ({ ...mix, isLocked }))
})
