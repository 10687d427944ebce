import type { Original } from '../model'

/** What originals usually hold, by what they are made of. */
const BY_GROUP: Readonly<Record<string, readonly string[]>> = {
  dairy: ['milk'],
  egg: ['egg'],
  fish: ['fish'],
}
/** Those that hold more, or other things, than their group says. */
const BY_ID: Readonly<Record<string, readonly string[]>> = {
  meatball: ['egg', 'gluten-wheat'],
  meatloaf: ['egg', 'gluten-wheat'],
  chicken_fried: ['gluten-wheat', 'egg'],
  sausage_fresh: ['gluten-wheat', 'sulphites'],
  sausage_hot_smoked: ['milk', 'celery', 'mustard'],
  cured_fatty_ham: ['sulphites'],
  custard_quiche: ['egg', 'milk'],
  egg_lemon_sauce: ['egg', 'celery'],
  sauce_white: ['milk', 'gluten-wheat'],
  sauce_cheese: ['milk', 'gluten-wheat', 'mustard'],
  dressing_anchovy_cheese: ['fish', 'egg', 'milk', 'mustard'],
  gravy_brown: ['gluten-wheat', 'celery'],
}

/**
 * Allergens that an original usually holds, for asking who may taste it: the label of what is bought, and the recipe of
 * what is made, have the last word.
 * @source Regulation (EU) 1169/2011 Annex II; usual recipes, practice
 */
export const originalAllergens = ({ id, group }: Pick<Original, 'id' | 'group'>): readonly string[] =>
  BY_ID[id] ?? BY_GROUP[group] ?? []
