import { richness, saltiness, saltPct, umamiOf, umamiScore } from '../flavour'
import type { AttributeModel, RatioModel, Window } from './family'
import { cookedPct } from './family'

/** Attributes that every savoury family shares. */
export const richnessModel: AttributeModel = {
  id: 'richness',
  sd: 1,
  value: (state) => richness(cookedPct(state.cooked.fatG, state)),
  equation: '10 × (fat % of the cooked mass ÷ 82)^0.36',
  source: 'anchors: omelette at 12 % fat reads 5, butter 10; practice',
}
export const saltinessModel: AttributeModel = {
  id: 'saltiness',
  sd: 0.6,
  value: ({ cooked }) => saltiness(saltPct(cooked)),
  equation: '10 × (1 − exp(−(salt % ÷ 1.55)^0.95)), salt from all sources',
  source: 'anchors: soup at 0.85 % salt, brined olive; originals’ sodium; practice',
}
export const umamiModel: AttributeModel = {
  id: 'umami',
  sd: 1.2,
  value: ({ cooked }) => umamiScore(umamiOf(cooked)),
  equation: '10 × (1 − exp(−(Y ÷ 0.55)^0.55)), Y = glutamate + 1218 × glutamate × nucleotides, g per 100 g',
  source: 'Yamaguchi et al. 1971, J. Food Sci. 36:846; scale: practice',
}

/** All-source salt of the cooked part. */
export const saltRatio = (window: Window): RatioModel => ({
  id: 'salt',
  label: 'Salt, all sources',
  unit: '%',
  window: () => window,
  value: ({ cooked }) => saltPct(cooked),
  equation: 'sodium of every line × 2.5 ÷ cooked mass',
  source: 'Regulation (EU) 1169/2011 for salt = sodium × 2.5; window practice',
  raise: 'Add salt, or more of a salty seasoning.',
  lower: 'Cut added salt first, then soy sauce, miso or brine.',
})
