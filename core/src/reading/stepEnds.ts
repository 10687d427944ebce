import type { OperationId, Until } from '../model'

const PERCENT_LIGHTER =
  /(\d{1,2})\s*%\s*(?:lighter|less|of (?:its|the|their) (?:weight|mass|water) (?:is |has )?(?:gone|lost))|loses?\s+(\d{1,2})\s*%/i
const PERCENT_LEFT =
  /\bto\s+(\d{1,2})\s*%\s*(?:of (?:its|the|their))?|(\d{1,2})\s*% (?:of (?:its|the|their) (?:\w+ )?(?:mass|weight) )?(?:is |are )?(?:left|remains?)|\b(?:keeps?|retains?)\s+(?:only )?(\d{1,2})\s*%/i
const TO_MASS =
  /\b(?:until you have|to|until (?:it |they )?(?:weighs?|shows?)|down to|weighing)\s+(?:about\s+)?(\d+(?:[.,]\d+)?)\s*(g|kg|grams?|ml)\b(?!\s*(?:each|pieces?|balls?|patties|portions?|per|of ))/i
const COMES_OUT =
  /\b(?:you (?:need|should have|want|will have)|it should (?:weigh|measure))\s+(?:about |around |roughly )?(\d+(?:\.\d+)?)\s*(g|kg|ml|l)\b|\b(\d+(?:\.\d+)?)\s*(g|kg|ml|l)\b should (?:come|run|drip) (?:through|out)/i
const BY_FRACTION: readonly (readonly [RegExp, number])[] = [
  [
    /\b(?:reduced? )?by (?:a |one )?half\b|\buntil (?:it (?:is|has) )?(?:reduced (?:by|to) )?half(?:ed)?\b|\bhalved\b|\breduce to half\b/i,
    0.5,
  ],
  [/\bby (?:a |one )?third\b/i, 2 / 3],
  [/\bby (?:a |one )?quarter\b/i, 0.75],
  [/\bby two[- ]thirds\b/i, 1 / 3],
]
/** What is in it stays: the liquid round it goes. */
const LIQUID_GOES =
  /\b(?:liquid|liquor|stock|broth|dashi|juices?|wine|cooking water)\b[^.;]{0,24}\b(?:reduced?|halved|by)\b|\breduce (?:the )?(?:liquid|liquor|stock|broth|juices?|wine)\b/i
/** "Until it has lost a third": of the whole, where no water or liquid is named. */
const HAS_LOST =
  /\b(?:until|till)\b[^.;]{0,24}\b(?:lost|loses|given (?:up|off)|gives (?:up|off)|shed|sheds)\s+(?:about |around |nearly |roughly )?(?:a |one |the )?(half|third|quarter|fifth|two[- ]thirds)\b(?! (?:of )?(?:its|the|their) (?:water|liquid|moisture))/i
const LOST: Readonly<Record<string, number>> = { half: 0.5, third: 1 / 3, quarter: 0.25, fifth: 0.2 }
const MOSTLY_GONE =
  /\b(?:until|till)\b[^.;]*\b(?:most|nearly all|almost all) (?:of )?(?:the |its |their )?(?:cooking )?(?:liquid|water|stock|broth|wine|juices?)\b[^.;,]{0,16}\b(?:absorbed|gone|evaporated|cooked (?:off|away)|boiled (?:off|away)|taken up|soaked up)\b|\b(?:until|till) (?:it|the (?:wine|liquid|stock|sherry|beer|brandy|vermouth)) (?:has|have|is) (?:all but|almost|nearly|mostly) (?:\w+ )?(?:gone|evaporated|disappeared|away|absorbed)\b/i
/** What is left of it then. Practice. */
const MOSTLY_LEFT = 0.2
const DRY_PAN =
  /\buntil (?:the )?(?:pan|mushrooms?|mix|mince|bottom|water|liquid|juices?|they|it)?\s*(?:is|are|has|have|runs?)?\s*(?:completely |all |quite )?(?:dry|evaporated|cooked off|boiled off|gone(?! (?:to|past|soft|golden|limp|brown|a |the )))\b|\bno (?:more )?steam\b|\buntil dry\b/i

/** What ends a step besides the clock. */
export function untilIn(text: string, operation: OperationId | null): Until | null {
  const lighter = PERCENT_LIGHTER.exec(text)
  if (lighter !== null) {
    const fraction = 1 - Number(lighter[1] ?? lighter[2]) / 100
    return fraction >= 0.02 ? { kind: 'keeps', fraction } : null
  }
  const left = PERCENT_LEFT.exec(text)
  if (left !== null)
    return { kind: 'keeps', fraction: Math.max(0.02, Number(left[1] ?? left[2] ?? left[3]) / 100) }
  const lost = HAS_LOST.exec(text)
  if (lost !== null) return { kind: 'keeps', fraction: 1 - (LOST[(lost[1] ?? '').toLowerCase()] ?? 2 / 3) }
  const mass = operation === 'shape' || operation === 'mix' ? null : TO_MASS.exec(text)
  if (mass !== null) {
    const massG = Number((mass[1] ?? '').replace(',', '.')) * (/^kg/i.test(mass[2] ?? '') ? 1000 : 1)
    if (massG > 0 && massG <= 1e6) return { kind: 'mass', massG }
  }
  if (operation === 'reduce' || operation === 'simmer')
    for (const [words, fraction] of BY_FRACTION)
      if (words.test(text))
        return { kind: 'keeps', fraction, ...(LIQUID_GOES.test(text) ? { of: 'liquid' } : {}) }
  // "Until the lentils are tender and most of the liquid has been absorbed".
  if ((operation === 'reduce' || operation === 'simmer') && MOSTLY_GONE.test(text))
    return { kind: 'keeps', fraction: MOSTLY_LEFT, of: 'liquid' }
  return DRY_PAN.test(text) ? { kind: 'dry' } : null
}

/** What the words say there is to be after it: "you need 240 g of liquor", "about 300 g should come through". */
export function comesOut(text: string): Until | null {
  const through = COMES_OUT.exec(text)
  if (through === null) return null
  const unit = through[2] ?? through[4] ?? ''
  const massG = Number(through[1] ?? through[3]) * (/^(?:kg|l)/i.test(unit) ? 1000 : 1)
  return massG > 0 && massG <= 1e6 ? { kind: 'mass', massG } : null
}
