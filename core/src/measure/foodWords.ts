import { joinClaims } from './claims'

/** Words of a recipe line that say how a food is cut or handled; they do not name it. */
const PREP = `chopped diced sliced minced grated shredded crushed peeled crumbled cubed torn halved quartered pitted
trimmed rinsed drained melted softened beaten toasted mashed julienned thawed deseeded seeded squeezed pressed stemmed
cored blanched finely roughly coarsely thinly freshly lightly well thickly broken cut cooled chilled warmed warm cold hot
boiling divided heaping packed washed scrubbed picked bruised smashed pureed blended separated reserved sifted
crosswise lengthwise rough fine loosely tightly firmly quick stripped slivered strained shelled hulled skinned bite sized chunky
iced snipped juiced zested whisked mixed dissolved prepared room temperature lukewarm tepid unpeeled unsifted hand`

/** Words that praise or bound without changing what the food is. */
const WEAK = `very really quite of the their its liquid a an and or in with from for each about optional organic good quality best store bought shop homemade home made
your my favourite favorite our any type kind style vegan plant based dairy free range dairyfree eggfree
glutenfree wheatfree nutfree soyfree large small medium big giant miniature day old stale plain natural pure
ripe unripe extra premium local unsalted salted unsweetened sweetened low sodium reduced no added sugar regular
standard ordinary young baby mini new whole piece pieces chunk chunks clove cloves stalk stalks stick sticks sprig
sprigs sheet sheets head heads bunch cap caps slice slices leaf leaves block blocks can cans tin tins pack packs floret
florets cube cubes segment wedge wedges strip strips ring rings cm mm inch inches thick tbsp tsp total weight net roughly
live culture cultures active food grade if desired needed other like such as per preferably ideally plus more some little bit bits few
virgin cold pressed refined light dark mild hot sharp strong soft firm flat fat thin long short round red green yellow white
black brown golden purple orange heirloom vine beefsteak floury waxy fluffy crunchy smooth runny thick clear
dry raw fresh uncooked coarse medium unbleached overripe underripe easy cook cooking jumbo stoneground unwaxed waxed rustic artisan
high tender firmish trimmed english french italian greek spanish japanese korean chinese thai indian mexican sicilian persian turkish
rolled pinhead creamy crumbly silky squishy everyday basic simple proper value brioche vacuum slurry bought cooked-in paneer leafy seasonal farmed fair trade fairtrade`

const STATES: Record<string, string> = {
  dry: 'dry',
  dried: 'dry',
  uncooked: 'dry',
  cooked: 'cooked',
  precooked: 'cooked',
  boiled: 'cooked',
  steamed: 'cooked',
  leftover: 'cooked',
  canned: 'canned',
  tinned: 'canned',
  jarred: 'canned',
  frozen: 'frozen',
  fresh: 'fresh',
  soaked: 'soaked',
  hydrated: 'hydrated',
  rehydrated: 'hydrated',
}

/** A word that makes another food of the one before it: "almond milk" is not almonds. */
const CHANGERS = `milk oil flour butter paste sauce powder juice vinegar syrup cream cheese yogurt yoghurt stock broth bread
soup salad noodle pasta starch seed zest peel sprout chip crisp cracker cake pie dip jam wine beer liqueur extract
essence protein isolate burger sausage mince egg bran germ puree ketchup dressing pickle pickled candied smoked
fermented bouillon cube gravy crumb dough wrap tortilla roll biscuit cookie candy chocolate marinade seasoning blend mix
rub glaze spread pate loaf curry stew tea coffee liquor brine water sugar pudding custard ice nugget jerky bacon ham
steak fillet meat fish chicken beef lamb pork turkey duck shrimp prawn tuna salmon gelatin honey mayonnaise mayo salt greens fry creamer`

const list = (words: string): readonly string[] => words.split(/\s+/).filter((word) => word !== '')

/**
 * A food word reduced for comparing: lower case, no accents or apostrophes, singular.
 * Applied to both sides, so an odd singular does no harm ("chilli" and "chillies" both give "chilly").
 */
export function foodStem(word: string): string {
  if (word.endsWith('i') && word.length > 4) return `${word.slice(0, -1)}y`
  if (word === 'greens') return word
  if (word.length < 4 || !word.endsWith('s') || /(?:ss|us|is|as)$/.test(word)) return word
  if (word.endsWith('ies') && word.length > 4) return `${word.slice(0, -3)}y`
  if (word === 'leaves' || word === 'halves' || word === 'loaves') return `${word.slice(0, -3)}f`
  if (/(?:oes|ches|shes|xes|sses)$/.test(word)) return word.slice(0, -2)
  return word.slice(0, -1)
}

/** Splits a food's name into comparable words. */
export function foodTokens(text: string): string[] {
  const plain = text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f'’`]/g, '')
  return joinClaims(plain.split(/[^a-z0-9]+/).flatMap((word) => (word === '' ? [] : [foodStem(word)])))
}

const stems = (words: string): ReadonlySet<string> => new Set(list(words).map(foodStem))

export const PREP_WORDS: ReadonlySet<string> = stems(PREP)
export const WEAK_WORDS: ReadonlySet<string> = stems(`${WEAK} ${PREP}`)
export const CHANGER_WORDS: ReadonlySet<string> = stems(CHANGERS)
/** The state that a word names, by its comparable form. */
export const STATE_WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries(STATES).map(([word, state]) => [foodStem(word), state]),
)
