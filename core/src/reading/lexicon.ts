import type { OperationId } from '../model'

/** A unit operation by its name and the words that name it in an instruction. */
export interface OperationWords {
  readonly id: OperationId
  /** The cook's verb, for a heading. */
  readonly name: string
  readonly words: RegExp
}

const ROWS: readonly (readonly [id: OperationId, name: string, words: RegExp])[] = [
  ['soak', 'Soak', /\b(?:pre-?)?soak(?:ing)?\b|\bcover(?:ed)? with (?:cold|plenty of|fresh) water/i],
  ['hydrate', 'Hydrate', /\b(?:re)?hydrat(?:e|ing)\b|\breconstitute\b|\bbloom\b/i],
  ['rinse', 'Rinse', /\brins(?:e|ing)\b/i],
  ['drain', 'Drain', /\bdrain(?:ing)?\b(?!ed)/i],
  ['desalt', 'Desalt', /\bdesalt\b|\bsoak (?:out|away) the salt|\bchange the (?:soaking )?water/i],
  ['press', 'Press', /\bpress\b(?! (?:together|down|into|onto|the mix|flat|out into|the dough|it into))/i],
  ['squeeze', 'Squeeze', /\bsqueez(?:e|ing)\b(?! (?:of|over|in))|\bwring\b/i],
  ['trim', 'Trim', /\b(?:trim|peel|core|stem|pit|hull|deseed|skin)\b(?!s)/i],
  ['chop', 'Cut', /\b(?:chop|dice|slice|cut|shred|tear|mince|cube|halve|quarter|break up|pull apart)\b/i],
  ['grate', 'Grate', /\bgrate\b/i],
  ['rice', 'Pulse', /\b(?:pulse|pulsing|rice the|crumble)\b/i],
  ['mash', 'Mash', /\bmash(?:ing)?\b|\bcrush\b/i],
  ['blend', 'Blend', /\b(?:blend|pur[eé]e|whizz|liquidi[sz]e|blitz)\b|\bprocess (?:until|to)\b/i],
  [
    'mix',
    'Mix',
    /\b(?:mix|stir|fold|combine|whisk|toss|season|add|beat|work|sprinkle|scatter|pour|top|layer|return|tip)\b/i,
  ],
  ['knead', 'Knead', /\bknead(?:ing)?\b/i],
  ['rest', 'Rest', /\b(?:rest|stand|leave|set aside|let (?:it |them )?sit)\b/i],
  [
    'wash-gluten',
    'Wash to gluten',
    /\bwash (?:the|out|it)\b(?=.*(?:dough|starch|gluten))|\bwash(?:ing)? the dough/i,
  ],
  [
    'shape',
    'Shape',
    /\b(?:shape|form|roll (?:in)?to|mou?ld|portion|divide|scoop|pat into|press (?:together|into|flat|down|the mix|out into)|twist|knot|fill the)\b/i,
  ],
  ['wrap', 'Wrap', /\bwrap\b/i],
  [
    'chill',
    'Chill',
    /\b(?:chill|refrigerate|fridge)\b|\b(?:let|leave|allow)\b.{0,24}\bset\b|\bset (?:in|over)\b/i,
  ],
  ['freeze-thaw', 'Freeze and thaw', /\bfreeze\b|\bthaw\b|\bdefrost\b/i],
  ['toast', 'Toast', /\b(?:dry-?roast|toast)\b/i],
  ['sweat', 'Sweat', /\b(?:sweat|soften)\b/i],
  ['brown', 'Brown', /\b(?:brown|saut[eé]|caramelis|carameliz|stir-?fry|cook down)(?:e|ing)?(?!\p{L})/iu],
  [
    'water-saute',
    'Sauté in water',
    /\b(?:water|stock|broth)[- ]saut[eé]|\bsplash(?:es)? of (?:water|stock|broth)|\b(?:water|stock) in (?:small )?additions/i,
  ],
  [
    'boil',
    'Boil',
    /\b(?:boil|blanch|parboil|cook the (?:pasta|noodles|spaghetti))(?:ing)?\b(?! (?:water|kettle)\b)/i,
  ],
  [
    'absorb',
    'Cook by absorption',
    /\babsorb(?:ed)?\b|\bcook the (?:rice|quinoa|bulgur|couscous|millet|polenta|grain)/i,
  ],
  ['simmer', 'Simmer', /\b(?:simmer|poach|stew|braise|bubble)(?:ing)?\b/i],
  ['steam', 'Steam', /\bsteam\b(?! (?:rises|is|escapes|comes|stops|off|leaves))(?<!no steam)|\bsteamer\b/i],
  ['pressure-cook', 'Pressure-cook', /\bpressure[- ]?(?:cook|pot)|\bat (?:high )?pressure\b/i],
  ['roast', 'Roast', /\b(?:bake|roast|oven)(?:ing)?\b(?!d)/i],
  ['air-fry', 'Air-fry', /\bair-?[ ]?fr(?:y|ier|yer)/i],
  ['grill', 'Grill', /\b(?:grill|barbecue|griddle)\b/i],
  ['sear', 'Sear', /\bsear\b/i],
  ['shallow-fry', 'Fry', /\b(?:shallow-?[ ]?fry|pan-?[ ]?fry|fry)(?:ing)?\b/i],
  ['deep-fry', 'Deep-fry', /\bdeep-?[ ]?fr(?:y|ying)/i],
  ['reduce', 'Reduce', /\breduc(?:e|ing)\b|\bboil down\b/i],
  ['thicken', 'Thicken', /\bthicken\b|\buntil (?:it |thick|the sauce )(?:thick|coats)/i],
  ['heat', 'Heat', /\b(?:warm|reheat|heat)(?: (?:through|gently|up|the|until|to))\b|\bcook\b|\bmelt\b/i],
  ['infuse', 'Infuse', /\b(?:infuse|steep)\b/i],
  ['dehydrate', 'Dry', /\bdehydrat(?:e|or|ing)\b|\bdry (?:in|at|the)\b/i],
  ['culture', 'Culture', /\b(?:culture|ferment|incubate)\b/i],
  ['coagulate', 'Set to curd', /\b(?:coagulate|curdle)\b|\bstir in the (?:nigari|coagulant|gypsum)/i],
  ['whip', 'Whip', /\bwhip\b|\bwhisk (?:to|until).{0,14}(?:peaks|foam)/i],
  ['spherify', 'Spherify', /\bspherif|\bdrop into the (?:calcium|alginate)/i],
  ['strain', 'Strain', /\b(?:strain|sieve|filter)\b/i],
  ['marinate', 'Marinate', /\bmarinat(?:e|ing)\b/i],
  [
    'coat',
    'Coat',
    /\b(?:glaze|baste|coat|brush|bread|dredge|batter|dip)\b(?!s the| a spoon| the (?:back|spoon))/i,
  ],
  ['broil', 'Brown under the grill', /\b(?:broil|gratin[eé]?|brown under)/iu],
  ['hold', 'Hold', /\bhold (?:warm|hot|at)\b|\bkeep (?:warm|hot)\b/i],
  ['cool', 'Cool', /\bcool\b/i],
]

export const LEXICON: readonly OperationWords[] = ROWS.map(([id, name, words]) => ({ id, name, words }))
const BY_ID: ReadonlyMap<OperationId, OperationWords> = new Map(LEXICON.map((one) => [one.id, one]))

/** The words of an operation; throws for an id that the lexicon does not name. */
export function wordsOf(id: OperationId): OperationWords {
  const found = BY_ID.get(id)
  if (found === undefined) throw new Error(`wordsOf: no operation ${id}`)
  return found
}
