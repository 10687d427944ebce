import type { FoodClass, OperationId } from '../../model'

/** Done on heat in little fat: what was warmed for it belongs to it. */
export const HOT: ReadonlySet<OperationId> = new Set([
  'sweat',
  'brown',
  'sear',
  'shallow-fry',
  'deep-fry',
  'toast',
  'water-saute',
])

/** On the heat, or in it: what was going on may go on. */
export const ON_HEAT: ReadonlySet<OperationId> = new Set([
  'roast',
  'grill',
  'broil',
  'sear',
  'shallow-fry',
  'deep-fry',
  'brown',
  'sweat',
  'simmer',
  'boil',
  'steam',
  'toast',
  'heat',
  'air-fry',
  'infuse',
  'pressure-cook',
])

/** An object that is a thing of the kitchen and no food: "heat the oven", "put the lid on". */
export const VESSEL_ONLY =
  /^\s*(?:back |up |down |off |on |over |tightly |loosely )*(?:(?:the|a|an|your|its|six|two|another|some)\s+)?(?:(?:lightly|well|greased|oiled|seasoned|buttered|ungreased|fan|wide|large|heavy|deep|small|grill|frying|griddle|dry|non-?stick|air|cast-?iron|loaf|baking|clean|damp|hot|low|medium|pressure|tart|cake|\d+\s*-?\s*cm|\d+\s*g|inch|silicone|stick|cast|iron|non)\s+)*(?:oven|grill|broiler|pan|skillet|wok|kadhai|tava|tawa|pot|lid|plate|cloth|towel|foil|parchment|paper|weight|heat|flame|temperature|barbecue|griddle|steamer|air ?fryer|air-fryer|edges?|blender|tins?|trays?|moulds?|ring|cups|dish|burner|kettle|board|film|oven gloves|bowl over|it down|it up)\b/iu

/** "In the slow cooker", "on low for 7 hours": its two settings. */
export const SLOW_COOKER =
  /\bslow[- ]cooker\b|\bcrock[- ]?pot\b|\bon (?:low|high)(?: for)? (?:about |around )?(?:[3-9]|1[0-2])(?: ?½| 1\/2)?(?: ?(?:-|–|to) ?\d+)? ?(?:h\b|hrs?\b|hours?\b)/iu

/** Things that a step works in or with; never food. */
export const VESSELS = new Set(
  'pan pot saucepan skillet wok kadhai bowl basin tin tray dish mould mold jug jar tub box bag blender processor mixer oven grill broiler griddle hob burner flame heat lid foil cloth towel muslin paper parchment film rack plate board spoon fork knife whisk spatula ladle sieve colander strainer scissor cup glass hand finger side edge bottom middle counter worktop surface fridge freezer refrigerator steamer basket fryer cooker mortar cutter ring steam air bubble blanket time minute hour second day way end point bit corner'.split(
    ' ',
  ),
)

/** Words for whole classes of foods, used where no line is named by the word itself. */
export const CLASS_WORDS: ReadonlyMap<string, readonly FoodClass[]> = new Map(
  Object.entries<readonly FoodClass[]>({
    spice: ['spice'],
    seasoning: ['spice', 'salt', 'savoury', 'herb'],
    aromatic: ['vegetable'],
    herb: ['herb'],
    greens: ['herb', 'vegetable'],
    bean: ['pulse'],
    pulse: ['pulse'],
    lentil: ['pulse'],
    nut: ['nut'],
    seed: ['seed', 'spice'],
    pod: ['spice'],
    mushroom: ['mushroom'],
    vegetable: ['vegetable', 'mushroom'],
    veg: ['vegetable', 'mushroom'],
    fruit: ['fruit'],
    oil: ['fat'],
    fat: ['fat'],
    milk: ['plant-milk'],
    starch: ['starch'],
    flour: ['flour'],
    gluten: ['gluten'],
    tofu: ['soy'],
    grain: ['grain'],
    pasta: ['grain'],
    noodle: ['grain'],
    liquid: ['plant-milk', 'water', 'acid', 'savoury'],
    powder: ['flour', 'starch', 'gum', 'spice', 'salt', 'leavening', 'gluten', 'savoury'],
  }),
)
export const DRY: ReadonlySet<FoodClass> = new Set([
  'flour',
  'starch',
  'gum',
  'spice',
  'herb',
  'salt',
  'leavening',
  'gluten',
  'grain',
])

/** What an operation makes is called by these. @source practice */
export const PRODUCTS: Readonly<Partial<Record<OperationId, string>>> = {
  mix: 'mixture mix batter sauce dressing marinade glaze brine paste slurry blend syrup wet crumble',
  blend:
    'pesto hummus dip puree paste cream sauce mixture blend milk batter marinade dressing smoothie base pulp',
  rice: 'pesto crumb crumble meal powder mixture mince rubble paste',
  knead: 'dough mixture',
  mash: 'mash mixture mince',
  whip: 'foam cream meringue peak',
  shape: 'shape',
  chop: 'piece',
  chill: 'jelly',
  simmer:
    'stock broth liquor sauce liquid gravy glaze stew ragu ragù ragout curry chilli chili soup dal dhal',
  boil: 'stock broth liquid syrup',
  heat: 'liquid milk sauce glaze syrup',
  thicken: 'sauce gravy custard mass',
  reduce: 'glaze sauce syrup reduction',
  drain: 'curd solid',
  strain: 'stock broth liquid liquor milk curd cream',
  squeeze: 'curd pulp',
  coagulate: 'curd',
  'wash-gluten': 'gluten dough',
  culture: 'base culture yogurt',
  grate: 'shred gratings',
  spherify: 'pearl',
  marinate: 'slab slice',
  roast: 'slab loaf roast',
  hydrate: 'gel mixture',
}
/** Pieces that cutting and shaping make: what was cut or shaped last is meant. */
export const PIECE_WORDS = new Set(
  'patty ball cake log roll loaf sausage link slab round disc bundle dumpling burger nugget kofta strip cube slice dice shred wedge chunk cap matchstick rasher oval cutlet fillet steak rope twist parcel pearl piece triangle baton ribbon curl schnitzel escalope roast joint fritter pancake kebab skewer wing block wheel section medallion disk'.split(
    ' ',
  ),
)
/** What goes into or onto another thing, whatever it was made of. */
export const FILLINGS = new Set('filling topping stuffing slaw salad relish salsa'.split(' '))
/** What is poured off, and may be kept. */
export const SIDE_WORDS = new Set(
  'water liquor liquid whey juice brine oil marinade soakings broth wine beer'.split(' '),
)
/** Words for what is made of a food, after its name: "tomato puree", "bean mixture". */
export const PRODUCT_WORDS = new Set(
  'puree mixture mash paste batter crumb meal mix slurry dough filling mince pulp sauce cream'.split(' '),
)
