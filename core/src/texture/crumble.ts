import { cookedPct, type FamilyModel, fixedWindow, type PartState } from './family'
import { fall, rise } from './responses'
import { richnessModel, saltinessModel, saltRatio, umamiModel } from './seasoning'

const PRACTICE = 'family model of crumbles and mince; practice'

const freePct = (state: PartState): number => cookedPct(state.water.freeG, state)
const fatPct = (state: PartState): number => cookedPct(state.cooked.fatG, state)
const binderPct = ({ cooked }: PartState): number =>
  cooked.massG > 0 ? (100 * cooked.binderHotEE) / cooked.massG : 0
/** Dry matter without fat: what the teeth meet. */
const solidsPct = (state: PartState): number => cookedPct(state.cooked.dryMatterG - state.cooked.fatG, state)
/** Chewy solids: gluten, texturised protein and mushroom flesh. */
const chewyPct = (state: PartState): number =>
  cookedPct(
    state.cooked.glutenProteinG +
      0.6 * state.cooked.developedGlutenG +
      0.7 * state.cooked.texturisedG +
      1.2 * state.cooked.fungalSolidsG,
    state,
  )
/** Water and liquid fat pressed out on the first bites, g per 100 g. */
const expressiblePct = (state: PartState): number =>
  freePct(state) +
  0.22 * (fatPct(state) - cookedPct(state.cooked.solidFatG, state)) +
  0.3 * cookedPct(state.cooked.solidFatG, state)

/** Crumbles, mince and loose fillings of pieces. */
export const crumble: FamilyModel = {
  id: 'crumble-mince',
  usualYield: { fraction: 0.75, sd: 0.06, source: 'pan or oven to about 25 % weight loss; practice' },
  viscosityPaS: null,
  ratios: [
    {
      id: 'free-water',
      label: 'Free water, cooked',
      unit: '%',
      window: fixedWindow(0, 2, 8, 14),
      value: freePct,
      equation: '(water given up hot − water taken up by dry foods) × (share of water left)² ÷ cooked mass',
      source: 'holding capacities of the library; window practice',
      raise: 'Cook it less far, or add a little stock.',
      lower: 'Cook it drier, or add crumbs, dry textured soy or a dry pulse.',
    },
    {
      id: 'fat',
      label: 'Fat',
      unit: '%',
      window: fixedWindow(3, 8, 16, 25),
      value: fatPct,
      equation: 'fat of every line ÷ cooked mass',
      source: 'window practice',
      raise: 'Add nuts, seeds or oil.',
      lower: 'Swap some nuts or oil for pulses or mushrooms.',
    },
    {
      id: 'binder-hold',
      label: 'Binder hold, hot',
      unit: 'eq',
      window: fixedWindow(0, 0, 0.4, 1),
      value: binderPct,
      equation: '100 × sum of mass × binder strength ÷ cooked mass, in hen’s-egg equivalents per 100 g',
      source: 'binder strengths practice; loose fillings 0 to 0.3',
      raise: 'Add gluten, flax or flour.',
      lower: 'Use less gluten, flour or starch: it will paste together.',
    },
    {
      id: 'gluten-share',
      label: 'Gluten to pulse protein',
      unit: '',
      window: fixedWindow(0, 0, 1.2, 3),
      value: ({ cooked }) => {
        const others = cooked.pulseProteinG + cooked.soyProteinG
        return others + cooked.glutenProteinG <= 0
          ? 0
          : cooked.glutenProteinG / Math.max(others, 0.05 * cooked.glutenProteinG)
      },
      equation: 'gluten protein ÷ (pulse + soy protein)',
      source: 'window practice',
      raise: 'Add gluten for a longer chew.',
      lower: 'Add pulses or tofu: above this it turns springy.',
    },
    saltRatio({ low: 0.5, bestLow: 0.8, bestHigh: 1.4, high: 2 }),
  ],
  attributes: [
    {
      id: 'firmness',
      sd: 1,
      value: (state) =>
        10 *
        (0.7 * rise(solidsPct(state), 8, 52) + 0.3 * rise(chewyPct(state), 0, 16)) *
        fall(freePct(state), 4, 26),
      equation:
        '10 × (0.7 rise(dry matter without fat, 8–52 %) + 0.3 rise(chewy solids, 0–16 %)) × fall(free water, 4–26 %)',
      source: PRACTICE,
    },
    {
      id: 'chewiness',
      sd: 1.2,
      value: (state) => 10 * (0.65 * rise(chewyPct(state), 1, 14) + 0.35 * rise(solidsPct(state), 14, 50)),
      equation:
        '10 × (0.65 rise(chewy solids, 1–14 %) + 0.35 rise(dry matter without fat, 14–50 %)); chewy = gluten, texturised protein, mushroom',
      source: PRACTICE,
    },
    {
      id: 'juiciness',
      sd: 1.2,
      value: (state) => 10 * (1 - Math.exp(-expressiblePct(state) / 6)) * fall(chewyPct(state), 18, 60),
      equation:
        '10 × (1 − exp(−expressible ÷ 6)); expressible = free water + 0.22 × liquid fat + 0.3 × solid fat, % of cooked mass',
      source: 'kitchen measurement P6: 2–4 % reads 3 to 5, 5–8 % reads 6 to 7; practice',
    },
    {
      id: 'crumbliness',
      sd: 1.2,
      value: (state) => 8.4 * fall(binderPct(state), 0.1, 1.5) * fall(freePct(state), 6, 22),
      equation: '8.4 × fall(binder hold, 0.1–1.5) × fall(free water, 6–22 %)',
      source: PRACTICE,
    },
    richnessModel,
    umamiModel,
    saltinessModel,
  ],
}
