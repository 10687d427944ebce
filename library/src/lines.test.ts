import { readFileSync } from 'node:fs'
import { indexFoods, lineMass, type LineReader, readLine } from '@frijol/core/measure'
import { defaultKitchen } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { library } from './index'

const reader: LineReader = {
  index: indexFoods(library.ingredients.values()),
  ingredients: library.ingredients,
  kitchen: defaultKitchen,
}

/** Line as people write it, food, and the grams that a careful reader would accept. */
const LINES: readonly (readonly [text: string, foodId: string, lowG: number, highG: number])[] = [
  ['1 1/2 cups cooked chickpeas', 'chickpeas-cooked', 230, 262],
  ['a good glug of extra virgin olive oil (about 3 tbsp)', 'olive-oil', 38, 43],
  ['a splash of soy milk (2 tbsp)', 'soy-milk', 29, 33],
  ['half a dozen sun-dried tomatoes in oil', 'sun-dried-tomato-oil', 12, 40],
  ['juice & zest 1 unwaxed lemon', 'lemon-juice', 23, 68],
  ['6 tbsp (90 ml) aquafaba from a tin of chickpeas', 'aquafaba', 85, 95],
  ['1 jar roasted red peppers (460 g, drained 300 g)', 'roasted-peppers', 299, 301],
  ['1 med. onion', 'onion', 80, 160],
  ['2 lg. carrots', 'carrot', 140, 260],
  ['100g TVP mince (dry)', 'textured-soy-protein', 99, 101],
  ['6 c. veg broth', 'vegetable-stock', 1380, 1500],
  ['1½ cups vital wheat gluten', 'vital-wheat-gluten', 150, 215],
  ['2 cups black-eyed peas, cooked, half mashed', 'black-eyed-peas-cooked', 310, 375],
  ['250 g oyster mushrooms, torn', 'mushrooms-oyster', 249, 251],
  ['1 cup walnuts, chopped', 'walnuts', 85, 120],
  ['1 cup chopped walnuts', 'walnuts', 100, 135],
  ['6 tbsp vital wheat gluten', 'vital-wheat-gluten', 36, 58],
  ['1 medium onion, fine dice', 'onion', 80, 160],
  ['2 large onions, sliced', 'onion', 220, 380],
  ['1 small red onion', 'onion-red', 50, 100],
  ['2 tbsp tomato paste', 'tomato-paste', 28, 37],
  ['1 1/2 tbsp red miso', 'miso-red', 21, 32],
  ['1 Tbsp. olive oil', 'olive-oil', 12.5, 15],
  ['3 T extra-virgin olive oil', 'olive-oil', 38, 43],
  ['1 t salt', 'salt', 5, 7],
  ['1 ½ tsp ground cinnamon', 'cinnamon', 2.8, 5.1],
  ['1/2 teaspoon smoked paprika', 'smoked-paprika', 0.8, 1.5],
  ['1 (14 oz) can chickpeas, drained and rinsed', 'chickpeas-canned', 215, 260],
  ['1 (15-ounce) can black beans, drained', 'black-beans-canned', 235, 275],
  ['one 14-oz can coconut milk', 'coconut-milk', 380, 425],
  ['2 x 400 g tins chopped tomatoes', 'tomatoes-canned', 770, 830],
  ['400g/14oz tin butter beans', 'butter-beans-canned', 215, 255],
  ['1 tin of kidney beans', 'kidney-beans-red-canned', 215, 265],
  ['a 400 g can of lentils, drained', 'lentils-canned', 220, 260],
  ['500g/1lb 2oz firm tofu', 'tofu-firm', 499, 511],
  ['1 block (14 oz) extra-firm tofu, pressed', 'tofu-extra-firm', 380, 415],
  ['1 14-oz package firm tofu, drained', 'tofu-firm', 380, 415],
  ['200g smoked tofu', 'tofu-smoked', 199, 201],
  ['1 pack silken tofu', 'tofu-silken', 310, 370],
  ['8 oz tofu', 'tofu-firm', 226, 228],
  ['8 oz vegetable stock', 'vegetable-stock', 220, 255],
  ['1 cup (240 ml) water', 'water', 230, 250],
  ['500 ml (2 cups) soy milk', 'soy-milk', 490, 540],
  ['100 g (about 1 cup) dry breadcrumbs', 'breadcrumbs-dry', 99, 101],
  ['2 tbsp plus 1 tsp soy sauce', 'soy-sauce', 36, 44],
  ['1 cup less 1 tbsp plain flour', 'wheat-flour', 95, 140],
  ['3/4 cup plus 2 tbsp aquafaba', 'aquafaba', 195, 225],
  ['juice of half a lemon', 'lemon-juice', 11, 34],
  ['juice of 1 lemon', 'lemon-juice', 23, 68],
  ['1 lemon, juiced', 'lemon-juice', 23, 68],
  ['zest of 1 lemon', 'lemon-zest', 1, 9],
  ['2 tbsp freshly squeezed lemon juice', 'lemon-juice', 27, 34],
  ['3 cloves garlic, minced', 'garlic-raw', 4, 15],
  ['2 garlic cloves, crushed', 'garlic-raw', 2.5, 10],
  ['1 head of garlic', 'garlic-raw', 16, 65],
  ['1,5 dl soy milk', 'soy-milk', 145, 165],
  ['1 heaping tbsp nutritional yeast', 'nutritional-yeast-fortified', 3, 15],
  ['2 rounded tablespoons cornflour', 'corn-starch', 14, 34],
  ['1 scant cup rice flour', 'rice-flour', 115, 176],
  ['1 cup packed brown sugar', 'sugar-brown', 195, 245],
  ['1 cup brown sugar, packed', 'sugar-brown', 195, 250],
  ['1/2 cup loosely packed basil leaves', 'basil-fresh', 8, 28],
  ['2–3 tbsp lemon juice', 'lemon-juice', 30, 46],
  ['1 to 2 tsp black salt (kala namak)', 'black-salt', 5, 12],
  ['a pinch of turmeric', 'turmeric', 0.02, 0.4],
  ['pinch of salt', 'salt', 0.05, 0.7],
  ['a handful of parsley', 'parsley-fresh', 3, 18],
  ['1 bunch coriander', 'coriander-fresh', 20, 125],
  ['1 bunch cilantro, chopped', 'coriander-fresh', 20, 125],
  ['2 sprigs thyme', 'thyme-fresh', 0, 4],
  ['1 tbsp fresh dill, chopped', 'dill-fresh', 0.1, 4],
  ['2 tsp dried oregano', 'oregano-dried', 1, 3],
  ['1 tsp thyme', 'thyme', 0.5, 1.6],
  ['1 tsp ground cumin', 'cumin-ground', 1.6, 2.9],
  ['1 tsp cumin seeds', 'cumin-seed', 1.6, 2.7],
  ['1/4 tsp freshly ground black pepper', 'black-pepper', 0.4, 0.8],
  ['½ tsp cayenne pepper', 'cayenne', 0.6, 1.3],
  ['1 tsp chili flakes', 'chilli-flakes', 1, 2.7],
  ['2 large carrots, grated', 'carrot', 85, 260],
  ['1 carrot, peeled', 'carrot', 25, 100],
  ['2 celery stalks, diced', 'celery', 35, 130],
  ['1 stick celery', 'celery', 15, 65],
  ['1 stick vegan butter', 'plant-butter', 112, 115],
  ['2 courgettes, grated', 'courgette', 160, 640],
  ['500 g eggplant, cubed', 'aubergine', 499, 501],
  ['1 medium zucchini', 'courgette', 75, 320],
  ['450 g rutabaga', 'swede', 449, 451],
  ['1 red bell pepper, diced', 'bell-pepper-red', 55, 185],
  ['3 scallions, sliced', 'spring-onion', 10, 80],
  ['1 kg floury potatoes, peeled', 'potato', 995, 1005],
  ['2 lb potatoes', 'potato', 900, 915],
  ['1½ lbs. cauliflower florets', 'cauliflower', 675, 686],
  ['1 head cauliflower', 'cauliflower', 290, 890],
  ['200 g baby spinach', 'spinach-raw', 199, 201],
  ['2 cups spinach, packed', 'spinach-raw', 50, 200],
  ['1 beetroot, grated', 'beetroot', 30, 135],
  ['300 g fresh tomatoes', 'tomato-fresh', 298, 302],
  ['2 tomatoes, chopped', 'tomato-fresh', 120, 370],
  ['10 cherry tomatoes', 'tomato-cherry', 85, 255],
  ['50 g sun-dried tomatoes in oil, drained', 'sun-dried-tomato-oil', 49, 51],
  ['1/2 cup sun-dried tomatoes', 'sun-dried-tomato', 18, 36],
  ['1 cup frozen peas', 'green-peas-frozen', 120, 150],
  ['1 cup sweetcorn (frozen)', 'sweetcorn', 120, 170],
  ['250g mushrooms, sliced', 'mushrooms-button', 249, 251],
  ['4 cups sliced cremini mushrooms', 'mushrooms-button', 200, 380],
  ['2 king oyster mushrooms', 'mushrooms-king-oyster', 30, 280],
  ['10 g dried shiitake', 'shiitake-dried', 9.5, 10.5],
  ['3 dried shiitake mushrooms', 'shiitake-dried', 3, 19],
  ['4 portobello mushrooms', 'mushrooms-portobello', 160, 510],
  ['1 can young jackfruit in brine', 'jackfruit-young', 200, 310],
  ['1 cup lentils', 'lentils-brown-dry', 170, 215],
  ['1 cup red lentils, rinsed', 'lentils-red-dry', 175, 210],
  ['¾ cup cooked green lentils, drained', 'lentils-green-cooked', 125, 170],
  ['200 g dried chickpeas, soaked overnight', 'chickpeas-dry', 199, 201],
  ['1 cup dry black beans', 'black-beans-dry', 175, 212],
  ['250 g cooked quinoa', 'quinoa-cooked', 249, 251],
  ['1/2 cup uncooked quinoa', 'quinoa-dry', 78, 92],
  ['1 cup cooked brown rice', 'rice-brown-cooked', 165, 230],
  ['1 cup basmati rice', 'rice-white-dry', 165, 205],
  ['1/2 cup bulgur', 'bulgur-dry', 60, 80],
  ['1/2 cup raw cashews, soaked overnight', 'cashews-raw', 58, 79],
  ['1 cup soaked cashews', 'cashews-soaked', 125, 175],
  ['1 cup raw almonds', 'almonds', 125, 160],
  ['½ cup slivered almonds', 'almonds', 45, 65],
  ['100 g ground almonds', 'almond-flour', 99, 101],
  ['1 cup almond flour', 'almond-flour', 80, 120],
  ['1 cup unsweetened almond milk', 'almond-milk', 220, 258],
  ['2 cups unsweetened soy or oat milk', 'soy-milk', 460, 515],
  ['1½ cups cooked chickpeas (or one 15 oz can, drained)', 'chickpeas-cooked', 220, 272],
  ['between 2 and 3 cups of water', 'water', 470, 712],
  ['1/8th tsp turmeric', 'turmeric', 0.25, 0.5],
  ['three quarters of a cup of oat milk', 'oat-milk', 170, 196],
  ['a third of a cup of sugar', 'sugar-white', 61, 72],
  ['several leaves of basil', 'basil-fresh', 0.4, 4],
  ['Wheat gluten ... 150g', 'vital-wheat-gluten', 149, 151],
  ['½ lemon (juice)', 'lemon-juice', 11, 34],
  ['2 tbsp low salt soy sauce', 'soy-sauce-reduced-sodium', 29, 38],
  ['4 free-range eggs', 'egg-whole', 170, 230],
  ['1 cup non dairy yogurt', 'plant-yogurt-cultured', 220, 275],
  ['1 tbsp gluten-free soy sauce', 'tamari', 15, 20],
  ['1 cup gluten-free oats', 'oats-rolled', 69, 93],
  ['1 can chickpeas with their liquid', 'chickpeas-canned', 384, 417],
  ['1 cup ground walnuts', 'walnuts', 64, 97],
  ['1 tsp dried coriander', 'coriander-leaf-dried', 0.3, 0.95],
  ['1 tbsp chopped coriander', 'coriander-fresh', 1.5, 4],
  ['1 tsp fenugreek leaves', 'fenugreek-leaf-dried', 0.18, 0.85],
  ['1 cube fresh yeast (42 g)', 'yeast-fresh', 35, 49],
  ['1 bunch asparagus', 'asparagus', 150, 450],
  ['1 tsp Italian seasoning', 'mixed-herbs-dried', 0.6, 1.5],
  ['1/2 cup marinara sauce', 'tomato-sauce-seasoned', 105, 140],
  ['scant 1 cup soy milk', 'soy-milk', 200, 247],
  ['heaping ½ tsp smoked paprika', 'smoked-paprika', 1.1, 3.6],
  ['1 packet of active dry yeast', 'yeast-dry', 6.5, 7.5],
  ['4 slices wholemeal bread', 'bread-wholemeal', 78, 147],
  ['the zest of half an orange', 'orange-zest', 0.9, 8.2],
  ['2cm knob ginger, peeled', 'ginger-fresh', 1.9, 17.5],
  ['5cm piece of ginger', 'ginger-fresh', 4.7, 43.5],
  ['1 (2-inch) piece fresh ginger', 'ginger-fresh', 4.8, 44],
  ['2" piece ginger', 'ginger-fresh', 4.8, 44],
  ['1 "block" firm tofu', 'tofu-firm', 360, 430],
  ['1 bulb of garlic', 'garlic-raw', 16, 64],
  ['10 peppercorns', 'black-pepper', 0.15, 0.65],
  ['1 strip kombu (10 cm)', 'kelp-dried', 1.1, 11],
  ['2 green chillies, finely chopped', 'chilli-green', 8, 48],
  ['2 red chillies', 'chilli-red', 2, 46],
  ['1 cup frozen spinach', 'spinach-frozen', 130, 182],
  ['1½ cups (180g) vital wheat gluten flour', 'vital-wheat-gluten', 179, 181],
  ['1 cup cooked farro', 'farro-cooked', 160, 228],
  ['400 g tofu, cut in 2 cm cubes', 'tofu-firm', 398, 402],
  ['1 cup 1-inch cubed potatoes', 'potato', 120, 180],
  ['1 tbsp soy sauce or tamari', 'soy-sauce', 15, 19],
  ['3 tbsp low-sodium soy sauce', 'soy-sauce-reduced-sodium', 43, 56],
  ['1 tbsp tamari', 'tamari', 15.5, 20],
  ['2 tablespoons white miso paste', 'miso-white', 27, 42],
  ['1 tbsp tahini', 'tahini', 12, 18],
  ['1/4 cup peanut butter', 'peanut-butter', 54, 74],
  ['2 tbsp ground flaxseed', 'flaxseed-ground', 10, 18],
  ['1 tbsp flax meal', 'flaxseed-ground', 5, 9],
  ['1 tbsp chia seeds', 'chia-seed', 10, 14],
  ['2 tbsp psyllium husk', 'psyllium-husk', 5.5, 13.5],
  ['1 cup rolled oats', 'oats-rolled', 69, 93],
  ['3/4 cup panko breadcrumbs', 'panko', 31, 52],
  ['2 slices bread', 'bread-white', 38, 75],
  ['1 cup all-purpose flour', 'wheat-flour', 102, 148],
  ['1 cup sifted flour', 'wheat-flour', 95, 135],
  ['1 cup flour, sifted', 'wheat-flour', 102, 148],
  ['1 cup chickpea flour', 'chickpea-flour', 70, 116],
  ['100 g besan', 'chickpea-flour', 99, 101],
  ['1/4 cup tapioca starch', 'tapioca-starch', 24, 37],
  ['2 tbsp cornstarch', 'corn-starch', 11, 21],
  ['1 tbsp arrowroot powder', 'arrowroot-starch', 5.5, 10.5],
  ['2 tsp agar agar powder', 'agar-powder', 3, 7],
  ['1 tbsp agar flakes', 'agar-flakes', 0.7, 5.5],
  ['5g kappa carrageenan', 'kappa-carrageenan', 4.7, 5.3],
  ['1 tsp xanthan gum', 'xanthan', 1.9, 4],
  ['1 cup textured vegetable protein', 'textured-soy-protein', 72, 108],
  ['200 g tempeh, crumbled', 'tempeh', 199, 201],
  ['1 (8 oz) package tempeh', 'tempeh', 215, 240],
  ['1 tbsp maple syrup', 'maple-syrup', 17, 22],
  ['1 tsp liquid smoke', 'liquid-smoke', 4, 6],
  ['1 tbsp apple cider vinegar', 'vinegar-cider', 13.5, 16.5],
  ['1/2 cup dry white wine', 'wine-white', 110, 124],
  ['1 tsp dijon mustard', 'mustard-strong', 4, 6.5],
  ['1 tbsp capers, rinsed', 'capers', 5.5, 12],
  ['1 sheet nori', 'nori-dried', 2, 3.2],
  ['2 bay leaves', 'bay-leaf', 0.1, 0.8],
  ['1 cinnamon stick', 'cinnamon', 0.7, 6.5],
  ['4 lasagne sheets', 'lasagne-sheets', 50, 95],
  ['6 rice paper wrappers', 'rice-paper', 33, 63],
  ['1 vegetable stock cube', 'stock-powder', 8, 12],
  ['Flour: 200 g', 'wheat-flour', 199, 201],
  ['salt - 1 tsp', 'salt', 5, 7],
  ['chickpeas, cooked, 400g', 'chickpeas-cooked', 398, 402],
  ['courgettes, 2 medium, grated', 'courgette', 160, 640],
  ['eggs x 2', 'egg-whole', 85, 115],
  ['- [ ] 2 tbsp sesame oil', 'sesame-oil', 25, 30],
  ['• 1 cup hummus', 'hummus', 220, 272],
  ['half an onion', 'onion', 25, 85],
  ['half a cup of cooked couscous', 'couscous-cooked', 62, 95],
  ['a dozen medjool dates', 'dates', 155, 375],
  ['1 thumb-sized piece of ginger, grated', 'ginger-fresh', 2, 22],
  ['1 onion (about 150 g), diced', 'onion', 120, 180],
  ['60 g plant-based butter, melted', 'plant-butter', 59, 61],
  ['1 cup chikpeas, cooked', 'chickpeas-cooked', 145, 182],
  ['200 g vitl wheat gluten', 'vital-wheat-gluten', 199, 201],
  ['1 avacado', 'avocado', 75, 230],
  ['1 tbsp white wine or cider vinegar', 'vinegar-wine', 13, 17],
  ['2 400g tins plum tomatoes', 'tomatoes-plum-canned', 780, 820],
  ['1 vegetable stock cube dissolved in 500 ml boiling water', 'stock-powder', 8, 12],
  ['1 bunch (about 60 g) flat-leaf parsley, chopped', 'parsley-fresh', 50, 70],
  ['2 carrots (approx. 150g), peeled and grated', 'carrot', 126, 174],
  ['1 pkg. tempeh (8 oz)', 'tempeh', 215, 240],
]

describe('ordinary recipe lines', () => {
  it.each(LINES)('%s', (text, foodId, lowG, highG) => {
    const read = readLine(text, reader)
    expect(read.ingredientId).toBe(foodId)
    const food = library.ingredients.get(foodId)
    if (food === undefined || read.amount === null) throw new Error('no food or amount')
    const { mass } = lineMass(read.amount, food, read.food.toLowerCase(), defaultKitchen)
    expect(mass?.value).toBeGreaterThanOrEqual(lowG)
    expect(mass?.value).toBeLessThanOrEqual(highG)
  })

  it('are more than 150', () => {
    expect(LINES.length).toBeGreaterThan(150)
  })
})

/** Lines of other people's recipes, as counted when first seen and mended since: "words => food grams". */
const WRITTEN = readFileSync(new URL('../test/recipeLines.txt', import.meta.url), 'utf8')
  .split('\n')
  .flatMap((row): [string, string, number][] => {
    const found = /^(.+) => (\S+) ([\d.]+)$/u.exec(row)
    return found === null ? [] : [[found[1] ?? '', found[2] ?? '', Number(found[3])]]
  })
/** A mended density or piece moves a mass by less than this. */
const NEAR = 0.12

describe('lines in other people’s words', () => {
  it.each(WRITTEN)('%s', (text, foodId, grams) => {
    const read = readLine(text, reader)
    expect(read.ingredientId).toBe(foodId)
    const food = library.ingredients.get(foodId)
    if (food === undefined || read.amount === null) throw new Error('no food or amount')
    const massG = lineMass(read.amount, food, read.food.toLowerCase(), defaultKitchen).mass?.value ?? 0
    expect(Math.abs(massG - grams)).toBeLessThanOrEqual(NEAR * grams)
  })

  it('are more than 200', () => {
    expect(WRITTEN.length).toBeGreaterThan(200)
  })
})

describe('one name for several foods', () => {
  it.each([
    ['1 cup plant milk', ['almond-milk', 'oat-milk', 'soy-milk']],
    ['1/2 cup plant cream', ['oat-cream', 'soy-cream']],
  ])('%s is left to the person', (text, choices) => {
    const read = readLine(text, reader)
    expect(read.ingredientId).toBeNull()
    expect(read.choices.map(({ ingredientId }) => ingredientId).sort()).toEqual(choices)
  })
})

describe('foods that must not be taken for others', () => {
  it.each([
    '1 cup almond cake',
    '2 tbsp coconut jam',
    '200 g pumpkin bread',
    '1 cup oat cookies',
    '100 g walnut oil cake',
    '1 jar cashew cheese',
    '1 cup ginger beer',
    '500 g venison haunch',
    '1 cup dragonfruit',
    '3 unicorn tears',
    '1 tbsp shrimp paste',
    '2 cups chickpea pasta',
    '1 lemon tart',
    '1 tsp onion jam',
    'Salt and pepper',
    '1 cup vegan parmesan',
    '1 lb plant-based ground beef',
    '1 vegan egg',
    '200 g vegan halloumi',
    '100 g vegan bacon',
    '1 cup dairy-free milk',
    '1/2 cup vegan heavy cream',
    '1 cup gluten-free flour',
    '1 cup gluten-free breadcrumbs',
    '1 tbsp fat-free yogurt',
    '1 cup mustard greens',
    '1 cup beet greens',
    '1 tsp rosemary salt',
    '1 tsp garlic salt',
    '1 cup sweet potato fries',
  ])('%s', (text) => {
    expect(readLine(text, reader).ingredientId).toBeNull()
  })
})
