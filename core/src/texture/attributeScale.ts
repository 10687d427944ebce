import type { AttributeId } from '../model'

/** What an attribute means, foods that stand at 0, 5 and 10 of its scale, and how to judge it in a kitchen. */
export interface AttributeScale {
  readonly meaning: string
  readonly anchors: readonly [none: string, middle: string, most: string]
  readonly judge: string
}

const scale = (meaning: string, anchors: AttributeScale['anchors'], judge: string): AttributeScale => ({
  meaning,
  anchors,
  judge,
})

/** The scales of 0 to 10. @source attribute definitions and anchors of the kitchen scale; practice, to be moved by your own panel */
export const ATTRIBUTE_SCALES: Readonly<Record<AttributeId, AttributeScale>> = {
  firmness: scale(
    'Force of the first bite between the molars',
    ['whipped cream', 'firm tofu, poached chicken', 'raw carrot'],
    'Bite a cube of 15 mm once',
  ),
  chewiness: scale(
    'Work and time until it can be swallowed',
    ['silken tofu, fewer than 5 chews', 'poached chicken, 20 to 25 chews', 'dried meat strip, over 45 chews'],
    'Count the chews of a 10 mm cube, one a second',
  ),
  cohesion: scale(
    'Holds together when cut, turned or chewed',
    ['dry couscous', 'a moist slice of cake', 'frankfurter, fresh pasta dough'],
    'Turn it with a spatula; drop it 30 cm; bite and look',
  ),
  springiness: scale(
    'Comes back to its shape after a squeeze of a quarter of its height',
    ['butter', 'poached chicken', 'a gelatin gum sweet'],
    'Press a quarter of the height, wait 5 s',
  ),
  juiciness: scale(
    'Water and fat let go in the first five chews',
    ['a dry cracker', 'poached chicken breast', 'a segment of orange'],
    'Chew five times and rate it',
  ),
  tenderness: scale(
    'Ease of biting through and breaking down',
    ['dried meat strip', 'well-done lean roast beef', 'silken tofu'],
    'Cut with the edge of a fork; let a knife sink',
  ),
  fibrousness: scale(
    'Long strands side by side, felt or seen',
    ['silken tofu', 'the base of an asparagus stem', 'braised flank, celery strings'],
    'Pull it along and across; weigh the strands',
  ),
  graininess: scale(
    'Hard or round particles that the palate feels',
    ['double cream', 'fine semolina porridge', 'granulated sugar'],
    'Rub it on the palate; sieve it',
  ),
  creaminess: scale(
    'Fatty, thick and smooth together, melting away slowly and clean',
    ['water', 'plain whole-milk yogurt', 'double cream, mascarpone'],
    'A teaspoon, tongue to palate, wait 5 s',
  ),
  thickness: scale(
    'Resistance to flowing and stirring',
    ['water', 'pourable yogurt', 'nut butter, cream cheese'],
    'The trail of a spoon; spread on a plate; whether a spoon stands',
  ),
  smoothness: scale(
    'No lumps, skins or roughness',
    ['coarse porridge', 'potato mashed with a fork', 'melted chocolate'],
    'A film on glass against the light; the cut face',
  ),
  mouth_coating: scale(
    'Film that stays after swallowing',
    ['water', 'whole-milk yogurt', 'butter, nut butter'],
    'Swallow, wait 10 s, rate; rinse',
  ),
  melt: scale(
    'Softens and flows with heat, or on the tongue',
    ['boiled egg white', 'hard cheese under a grill', 'butter in a hot pan'],
    'A disc in the oven; 2 g on the tongue until liquid',
  ),
  stretch: scale(
    'Pulls strings when it is hot',
    ['mashed potato', 'a string of 10 cm', 'a string of 40 cm'],
    'Melt on toast and lift a fork at 60 to 65 °C',
  ),
  crispness: scale(
    'Breaks at once, with a sound',
    ['fresh bread crumb', 'toast', 'potato crisp'],
    'Bite; bend it slowly and note the angle',
  ),
  crumbliness: scale(
    'Parts into pieces under a light force',
    ['jelly', 'ricotta, moist cake', 'dry shortbread'],
    'Ten strokes with a fork',
  ),
  saltiness: scale(
    'The taste of salt',
    ['rice without salt', 'soup with 0.8 to 0.9 % of salt', 'a brined olive'],
    'Beside potato mash with 0.5, 0.9 and 1.5 % of salt',
  ),
  umami: scale(
    'The savoury taste that fills the mouth',
    ['potato without salt', 'chicken broth', 'aged hard cheese'],
    'Beside a broth; hold the nose to leave the smell out',
  ),
  sweetness: scale(
    'The taste of sugar',
    ['water', '6 % of sugar in water', 'meringue, 15 % of sugar'],
    'Beside sugar water of 2, 4 and 6 %',
  ),
  sourness: scale(
    'The taste of acid',
    ['milk', 'orange juice', 'lemon juice in four parts of water'],
    'Taste beside the pH: acid counts more than pH does',
  ),
  bitterness: scale(
    'The taste of bitterness',
    ['milk', 'grapefruit', 'strong coffee without sugar'],
    'Wait 15 s: it comes late',
  ),
  smokiness: scale(
    'The smell of wood smoke',
    ['none', '0.5 % of smoked paprika in potato mash', 'an infusion of smoked tea'],
    'Smell it warm, then taste',
  ),
  richness: scale(
    'Fat as it is felt altogether',
    ['cucumber', 'omelette with 12 % of fat', 'butter'],
    'Taste beside the fat as computed',
  ),
  roasted: scale(
    'The smell of what was browned',
    ['boiled potato', 'golden toast', 'a very dark sear, not burnt'],
    'Smell the crust',
  ),
  sulphury: scale(
    'The sulphur of egg or of onion and garlic',
    ['none', 'a freshly boiled egg', 'an overboiled egg with a green ring'],
    'Smell it covered at 50 °C',
  ),
  lactic_tangy: scale(
    'The tang and smell of cultured milk',
    ['fresh milk', 'cream cheese', 'thick yogurt, kefir'],
    'Keep it apart from the sharpness of vinegar or lemon',
  ),
  buttery: scale(
    'Milk fat, cream and butter in the nose',
    ['none', 'white sauce made with butter', 'butter'],
    'Warm it to 40 °C and smell',
  ),
  marine: scale('Sea, iodine, fish', ['none', 'a plain sheet of nori', 'anchovy'], 'Smell it cold and warm'),
  spice_warm: scale(
    'Cumin, pepper, chilli and paprika: smell and heat',
    ['none', 'mild bean chilli', 'curry paste'],
    'Taste after 30 s, and again: it builds up',
  ),
}
