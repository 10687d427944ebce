/** A usual question of a kitchen, and what an experienced cook would take first. Written before the table was tuned on it. */
export interface SwapQuestion {
  readonly line: string
  readonly family: string | null
  readonly without: readonly string[]
  /** Foods of which one is in the first answer. */
  readonly accepted: readonly string[]
}

const q = (line: string, family: string | null, without: string, accepted: string): SwapQuestion => ({
  line,
  family,
  without: without === '' ? [] : without.split(' '),
  accepted: accepted.split(' '),
})

export const SWAP_QUESTIONS: readonly SwapQuestion[] = [
  // Eggs, by what they do.
  q('1 egg, beaten', 'bound-patty', 'animal', 'flaxseed-ground chia-seed chickpea-flour psyllium-husk'),
  q('2 eggs', 'bound-patty', 'animal seed-other', 'chickpea-flour potato-starch psyllium-husk aquafaba'),
  q('6 eggs', 'egg-curd', 'animal', 'tofu-soft tofu-firm tofu-silken chickpea-flour'),
  q('6 eggs', 'egg-curd', 'animal soy', 'chickpea-flour mung-beans-soaked-ground'),
  q('3 eggs', 'custard-gel', 'animal', 'tofu-silken corn-starch chickpea-flour'),
  q('3 egg whites', 'foam', 'animal', 'aquafaba potato-protein-isolate'),
  q('2 egg yolks', 'coating-sauce', 'animal', 'tofu-silken soy-milk soy-lecithin'),
  q('1 egg', 'emulsified-sausage', 'animal', 'flaxseed-ground chickpea-flour psyllium-husk potato-starch'),
  // Milk, cream, butter, cheese.
  q('300 ml whole milk', 'coating-sauce', 'animal', 'soy-milk oat-milk'),
  q('300 ml whole milk', 'coating-sauce', 'animal soy', 'oat-milk pea-milk'),
  q('300 ml whole milk', 'coating-sauce', 'animal soy gluten', 'pea-milk almond-milk cashew-milk'),
  q('200 ml heavy cream', 'foam', 'animal', 'coconut-cream'),
  q('200 ml heavy cream', 'pourable-sauce', 'animal', 'cashews-soaked soy-cream oat-cream'),
  q('200 ml heavy cream', 'pourable-sauce', 'animal tree-nuts', 'soy-cream oat-cream coconut-milk'),
  q('100 g butter', 'coating-sauce', 'animal', 'plant-butter margarine olive-oil'),
  q('100 g butter', 'solid-fat', 'animal', 'plant-butter coconut-oil-refined'),
  q('50 g parmesan, grated', null, 'animal', 'nutritional-yeast-fortified cashews-raw'),
  q(
    '50 g parmesan, grated',
    null,
    'animal tree-nuts',
    'nutritional-yeast-fortified miso-white sunflower-seeds plant-cheese-brined',
  ),
  q('200 g mozzarella', 'stretch-melt', 'animal', 'cashews-soaked coconut-starch-cheese soy-milk'),
  q('200 g feta cheese', 'crumbly-brined', 'animal', 'tofu-firm plant-cheese-brined'),
  q('200 g feta cheese', 'crumbly-brined', 'animal soy', 'almonds plant-cheese-brined'),
  q('250 g ricotta', 'spreadable', 'animal', 'tofu-firm cashews-soaked almonds'),
  q('200 g plain yogurt', 'pourable-sauce', 'animal', 'soy-yogurt plant-yogurt-cultured coconut-yogurt'),
  q('100 g sour cream', 'pourable-sauce', 'animal', 'plant-sour-cream cashews-soaked soy-yogurt'),
  q('1 tbsp honey', null, 'animal honey', 'maple-syrup agave-syrup date-syrup'),
  // Meat and fish.
  q(
    '500 g ground beef',
    'crumble-mince',
    'animal',
    'lentils-brown-cooked textured-soy-protein mushrooms-button',
  ),
  q(
    '500 g ground beef',
    'crumble-mince',
    'animal tree-nuts',
    'textured-soy-protein lentils-brown-cooked pea-protein-textured',
  ),
  q(
    '400 g chicken breast',
    'shreddable',
    'animal',
    'mushrooms-king-oyster tofu-extra-firm seitan jackfruit-young',
  ),
  q('400 g chicken breast', 'bound-dough-slice', 'animal', 'seitan tofu-extra-firm vital-wheat-gluten'),
  q('150 g bacon', 'crisp-strip', 'animal', 'tempeh mushrooms-king-oyster tofu-smoked'),
  q('1 can tuna, drained (150 g)', 'flaked', 'animal', 'chickpeas-cooked palm-hearts jackfruit-young'),
  q('2 tbsp fish sauce', null, 'animal', 'soy-sauce tamari dulse-dried'),
  q('500 ml chicken stock', null, 'animal', 'vegetable-stock mushroom-stock'),
  q('8 g gelatine', 'sliceable-gel', 'animal', 'agar-powder kappa-carrageenan iota-carrageenan'),
  // Gluten.
  q('2 tbsp soy sauce', null, 'gluten', 'tamari coconut-aminos liquid-aminos'),
  q('2 tbsp soy sauce', null, 'soy', 'coconut-aminos'),
  q('80 g breadcrumbs', 'bound-patty', 'gluten-wheat', 'oats-rolled rice-cooked quinoa-cooked'),
  q('40 g plain flour', 'coating-sauce', 'gluten', 'rice-flour corn-starch potato-starch'),
  q('60 g plain flour', 'bound-patty', 'gluten', 'chickpea-flour rice-flour'),
  q(
    '100 g vital wheat gluten',
    'bound-patty',
    'gluten',
    'soy-protein-isolate psyllium-husk chickpea-flour textured-soy-protein',
  ),
  q(
    '300 g seitan',
    'shreddable',
    'gluten',
    'tofu-extra-firm tempeh mushrooms-king-oyster textured-soy-protein-hydrated',
  ),
  q('200 g couscous, cooked', null, 'gluten', 'quinoa-cooked millet-cooked'),
  // Nuts, seeds, soy.
  q('150 g cashews, soaked', 'coating-sauce', 'tree-nuts', 'sunflower-seeds tofu-silken white-beans-cooked'),
  q('150 g cashews, soaked', 'coating-sauce', 'tree-nuts seed-other', 'tofu-silken white-beans-cooked'),
  q('80 g walnuts', 'crumble-mince', 'tree-nuts', 'sunflower-seeds pumpkin-seeds'),
  q('60 g peanut butter', null, 'peanut', 'almond-butter cashew-butter sunflower-butter tahini'),
  q('60 g tahini', 'spreadable', 'sesame', 'sunflower-butter cashew-butter almond-butter'),
  q('400 g firm tofu', 'egg-curd', 'soy', 'chickpea-flour'),
  q('500 ml soy milk', 'coating-sauce', 'soy', 'pea-milk oat-milk'),
  q('30 g white miso', 'coating-sauce', 'soy', 'nutritional-yeast-fortified yeast-extract tahini'),
  // Fat, sugar, acid, salt, starch, gels, flavour.
  q('30 ml olive oil', 'coating-sauce', 'added-oil', 'tahini cashews-soaked avocado vegetable-stock'),
  q('30 ml sunflower oil', 'crumble-mince', 'added-oil', 'walnuts vegetable-stock'),
  q(
    '100 g coconut oil, refined',
    'solid-fat',
    'coconut coconut-oil-refined',
    'cocoa-butter shea-butter palm-oil plant-butter vegetable-shortening',
  ),
  q('20 g cornstarch', 'coating-sauce', 'corn-starch', 'potato-starch arrowroot-starch tapioca-starch'),
  q('30 g tapioca starch', 'stretch-melt', 'tapioca-starch', 'glutinous-rice-flour potato-starch'),
  q('2 tbsp lemon juice', null, '', 'lime-juice vinegar-cider'),
  q('4 g agar powder', 'sliceable-gel', '', 'agar-flakes kappa-carrageenan'),
  q(
    '15 g nutritional yeast',
    'coating-sauce',
    'nutritional-yeast',
    'miso-white mushroom-powder yeast-extract',
  ),
  q('1 tsp liquid smoke', null, '', 'smoked-paprika smoked-salt'),
  q(
    '15 g ground flaxseed',
    'bound-patty',
    'seed-other flaxseed-ground',
    'psyllium-husk potato-starch chickpea-flour',
  ),
]
