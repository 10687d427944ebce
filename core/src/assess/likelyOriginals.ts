import type { Dish, FamilyId, Ingredient, Library, Original, Part } from '../model'

/** Words of titles and what they are made in place of: by the original's id. @source usual names of dishes; practice */
const NAMES: Readonly<Record<string, readonly string[]>> = {
  beef_mince: ['mince', 'bolognese', 'ragu', 'cottage', 'crumbles', 'taco'],
  lamb_mince: ['moussaka', 'lamb', 'shepherd', 'kofta'],
  spiced_mince: ['chilli', 'taco', 'keema', 'larb', 'spiced'],
  beef_patty: ['burger', 'patty', 'patties'],
  meatball: ['meatball', 'ball', 'balls', 'kofte', 'polpette', 'dumpling'],
  meatloaf: ['meatloaf', 'loaf', 'nut', 'terrine'],
  steak_medium: ['steak', 'sirloin', 'fillet', 'cutlet'],
  beef_griddled: ['gyro', 'kebab', 'shawarma', 'doner', 'stir', 'sliced', 'beef', 'bulgogi'],
  pulled_pork: ['pulled', 'jackfruit', 'bbq', 'carnitas', 'pork', 'barbecue'],
  bacon_crisp: ['bacon', 'rasher', 'rashers', 'lardons', 'crisp'],
  cured_fatty_ham: ['ham', 'pancetta', 'cured', 'prosciutto', 'carpaccio'],
  sausage_fresh: ['sausage', 'sausages', 'bratwurst', 'merguez', 'chipolata'],
  sausage_hot_smoked: ['frankfurter', 'hot', 'wiener', 'chorizo', 'smoked', 'dog', 'dogs'],
  chicken_poached: ['chicken', 'breast', 'poached'],
  chicken_thigh: ['chicken', 'thigh', 'roast', 'tikka'],
  chicken_fried: ['nugget', 'nuggets', 'schnitzel', 'fried', 'katsu', 'popcorn', 'crumbed'],
  turkey_roast: ['turkey', 'roast', 'seitan'],
  tuna_flaked: ['tuna', 'niçoise', 'salad'],
  white_fish: ['fish', 'cod', 'fillet', 'fishcake'],
  egg_scrambled: ['scramble', 'scrambled', 'bhurji'],
  egg_omelette: ['omelette', 'frittata', 'tortilla', 'flatcake'],
  egg_white_fried: ['white', 'fried', 'egg'],
  egg_yolk_jammy: ['yolk', 'jammy'],
  egg_yolk_runny: ['yolk', 'runny', 'dip'],
  custard_quiche: ['quiche', 'tart', 'custard', 'flan'],
  meringue_foam: ['meringue', 'pavlova', 'macaron'],
  egg_binder: ['binder', 'egg', 'replacer'],
  egg_lemon_sauce: ['avgolemono', 'lemon', 'hollandaise'],
  cream_pouring: ['cream', 'pouring', 'single'],
  cream_whipped: ['whipped', 'whip', 'chantilly'],
  sauce_white: ['white', 'bechamel', 'béchamel', 'lasagne'],
  sauce_cheese: ['cheese', 'mac', 'queso', 'rarebit', 'fondue'],
  cheese_stretch: ['mozzarella', 'stretch', 'pizza', 'melty', 'pull'],
  cheese_brined: ['feta', 'brined', 'greek', 'crumble'],
  cheese_hard_grate: ['parmesan', 'grated', 'sprinkle', 'hard', 'topping'],
  cheese_curd_fresh: ['ricotta', 'curd', 'cottage', 'fresh'],
  cheese_spread: ['spread', 'cream', 'bagel'],
  yogurt_thick: ['yogurt', 'yoghurt', 'labneh', 'skyr', 'raita'],
  butter: ['butter', 'block'],
  dressing_anchovy_cheese: ['caesar', 'dressing', 'ranch'],
  gravy_brown: ['gravy', 'jus', 'brown'],
}

/** Words of a title, each as it stands and without its plural. */
const wordsIn = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .flatMap((word) => (word === '' ? [] : /[^s]s$/u.test(word) ? [word, word.slice(0, -1)] : [word]))

/** What the main foods speak for, by family. Practice. */
function foodsSpeakFor(
  foods: readonly { food: Ingredient; massG: number }[],
): Partial<Record<FamilyId, number>> {
  const whole = foods.reduce((sum, { massG }) => sum + massG, 0)
  if (whole <= 0) return {}
  const share = (is: (food: Ingredient) => boolean): number =>
    foods.reduce((sum, { food, massG }) => sum + (is(food) ? massG : 0), 0) / whole
  const gluten = share(({ proteinClass }) => proteinClass === 'gluten')
  const fat = share(({ foodClass }) => foodClass === 'fat')
  const milk = share(({ foodClass }) => foodClass === 'plant-milk' || foodClass === 'water')
  const textured = share(({ isTexturised }) => isTexturised)
  const gum = share(({ isGum }) => isGum)
  return {
    'bound-dough-slice': gluten > 0.2 ? 2 : 0,
    'emulsified-sausage': gluten > 0.15 ? 1 : 0,
    'crumble-mince': textured > 0.08 ? 2 : 0,
    'solid-fat': fat > 0.5 ? 3 : 0,
    'pourable-sauce': milk > 0.6 ? 1 : 0,
    'coating-sauce': milk > 0.5 ? 1 : 0,
    'sliceable-gel': gum > 0.003 && milk < 0.8 ? 1 : 0,
  }
}

/**
 * Originals that a part is likely to replace, by the dish's title, the part's name and its main foods.
 * @param most how many, at most
 * @returns the likeliest first; empty where nothing speaks for any
 */
export function likelyOriginals(
  dish: Pick<Dish, 'name' | 'parts'>,
  part: Part,
  masses: ReadonlyMap<string, number>,
  library: Library,
  most = 4,
): Original[] {
  const own = new Set(wordsIn(part.name))
  const title = new Set(wordsIn(dish.name))
  const foods = part.lines.flatMap(({ id, ingredientId }) => {
    const food = ingredientId === null ? undefined : library.ingredients.get(ingredientId)
    return food === undefined ? [] : [{ food, massG: masses.get(id) ?? 0 }]
  })
  const spoken = foodsSpeakFor(foods)
  // A part that has a name of its own is named by it; the title tells of the dish's first.
  const isFirst = dish.parts[0]?.id === part.id
  const scoreOf = ({ id, name, family }: Original): number => {
    const words = new Set([...(NAMES[id] ?? []), ...wordsIn(name).filter((word) => word.length > 3)])
    let score = spoken[family] ?? 0
    for (const word of words) {
      if (own.has(word)) score += 4
      if (title.has(word)) score += isFirst ? 3 : 1
    }
    return score
  }
  return [...library.originals.values()]
    .map((original) => ({ original, score: scoreOf(original) }))
    .filter(({ score }) => score >= 2)
    .sort((a, b) => b.score - a.score || a.original.name.localeCompare(b.original.name))
    .slice(0, most)
    .map(({ original }) => original)
}
