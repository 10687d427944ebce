import type { Ingredient } from '../model'

const FREE_OF = new Set([
  'dairy',
  'milk',
  'egg',
  'meat',
  'gluten',
  'wheat',
  'nut',
  'soy',
  'sugar',
  'fat',
  'oil',
  'salt',
])
const WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    eggless: 'eggfree',
    meatless: 'meatfree',
    dairyless: 'dairyfree',
    nondairy: 'dairyfree',
    flourless: 'glutenfree',
    milkfree: 'dairyfree',
  }),
)
/** "no added salt", "reduced salt": said of a food, not another food. */
const LESS_SALT = new Set(['low', 'reduced', 'less', 'no', 'added', 'lower', 'without'])

/**
 * Joins the words of a claim into one: "gluten free", "non dairy" and "eggless" become "glutenfree", "dairyfree" and
 * "eggfree", so that what a food is free of never counts as naming it; "reduced salt" becomes "reduced sodium".
 * @param tokens words of a food's name, as `foodTokens` splits them
 */
export function joinClaims(tokens: readonly string[]): string[] {
  const joined: string[] = []
  for (let at = 0; at < tokens.length; at += 1) {
    const token = tokens[at] ?? ''
    const next = tokens[at + 1] ?? ''
    if (next === 'free' && FREE_OF.has(token)) {
      joined.push(WORDS.get(`${token}free`) ?? `${token}free`)
      at += 1
    } else if (token === 'non' && FREE_OF.has(next)) {
      joined.push(WORDS.get(`${next}free`) ?? `${next}free`)
      at += 1
    } else if (token === 'salt' && LESS_SALT.has(tokens[at - 1] ?? '')) joined.push('sodium')
    else joined.push(WORDS.get(token) ?? token)
  }
  return joined
}

type Has = (food: Ingredient) => boolean

const holds =
  (pattern: RegExp): Has =>
  ({ allergens }) =>
    allergens.some((id) => pattern.test(id))
const ANIMAL_CLASSES: ReadonlySet<string> = new Set(['egg', 'dairy', 'meat', 'fish'])
const isAnimal: Has = (food) =>
  ANIMAL_CLASSES.has(food.foodClass) || holds(/^(?:milk|egg|fish|crustaceans|molluscs)$/)(food)

/** What a food must not be, or have, once its name says so. */
const EXCLUDED: ReadonlyMap<string, Has> = new Map(
  Object.entries<Has>({
    vegan: isAnimal,
    plant: isAnimal,
    mock: isAnimal,
    faux: isAnimal,
    meatfree: isAnimal,
    dairyfree: holds(/^milk$/),
    eggfree: holds(/^egg$/),
    glutenfree: holds(/^gluten-(?!oats)/),
    wheatfree: holds(/^gluten-wheat$/),
    nutfree: holds(/^(?:tree-nut|peanut|pine-nut)/),
    soyfree: holds(/^soy$/),
  }),
)

/**
 * Whether a food goes against what the words claim: "vegan bacon" is no bacon, "gluten-free flour" no wheat flour.
 * @param tokens words after `joinClaims`
 */
export function goesAgainst(tokens: readonly string[], food: Ingredient): boolean {
  return tokens.some((token) => EXCLUDED.get(token)?.(food) === true)
}
