import { type Verb, verbOf } from './lexicon/verbs'
import type { Scene } from './mentions'
import { type Fit, fitAt, type Named, TOO_COMMON } from './named'
import { stemsOf, type Token } from './tokens'

/** "The grated potatoes": those that the list has grated. */
const MADE_SO =
  /\b(grated|cut|sliced|diced|chopped|cooked|raw|whole|mashed|crushed|ground|shredded)\s+(?:[a-zß-ɏ]+\s+)?$/iu
/** "The dried mushrooms": those that the list calls so, and not the fresh. */
const COMES_SO =
  /\b(dried|dry|fresh|frozen|tinned|canned|raw|cooked|smoked|green|red|white|black)\s+(?:[a-zß-ɏ]+\s+)?$/iu
const isCalledSo = ({ line }: Named, before: string): boolean => {
  const word = COMES_SO.exec(before)?.[1]
  if (word === undefined) return false
  const text = line?.line.text ?? ''
  return /^fresh$/iu.test(word)
    ? !/\bdr(?:y|ied)\b/iu.test(text)
    : new RegExp(`\\b${word}\\b`, 'iu').test(text)
}
function isPreparedAs(prep: string, before: string): boolean {
  const word = MADE_SO.exec(before)?.[1]
  return word !== undefined && new RegExp(`\\b${word}\\b`, 'iu').test(prep)
}

const MORE_FOR_THE_PAN = 60
/** Scores a fit: the longer run wins, then the whole name, its head, the part in question, what is still unused. */
function weight({ of, run, coverage, isHead, isOwn }: Fit, scene: Scene, before: string): number {
  const isHere = scene.part !== null && of.part === scene.part
  const isNear = scene.part === null && scene.bench.inHand(null)?.part === of.part
  const isLeft = of.kind === 'line' && scene.bench.left(of.id) > 1e-9
  const amount =
    /((?:\d+[\d.,/]*|[½¼¾])\s*(?:g|ml|tbsp|tsp|cups?|tablespoons?|teaspoons?|litres?|l|oz))\b[^,;.]{0,10}$/iu.exec(
      before,
    )?.[1]
  const isAmount =
    amount !== undefined && of.line?.line.text.toLowerCase().startsWith(amount.toLowerCase()) === true
  return (
    run * 100 +
    (coverage >= 1 ? (isOwn ? 40 : 15) : 0) +
    (isHead ? (isOwn ? 30 : 8) : 0) +
    (isAmount ? 16 : 0) +
    (of.kind === 'part' || isLeft ? 6 : isHere ? -10 : -45) +
    (isHere ? 12 : isNear ? (isLeft ? 24 : 3) : 0) +
    (of.kind === 'line' ? 1 : 0) +
    (isPreparedAs(of.line?.line.prep ?? '', before) ? 25 : 0) +
    (of.kind === 'line' && isCalledSo(of, before) ? 35 : 0) -
    (of.purpose !== null && of.purpose !== scene.verb ? 5 : 0) -
    // "The oil", where the list measures one and has some more for the pan.
    (of.purpose === 'fry' && of.line?.mass == null && /\bthe\s+$/iu.test(before) ? MORE_FOR_THE_PAN : 0)
  )
}

const COLOURS = new Set(['black', 'white', 'brown', 'golden', 'yellow', 'dark', 'pink'])

/** Foods themselves: before another word of a name they tell what it is made of. */
const PRODUCTS_THEMSELVES = new Set([
  'cream',
  'milk',
  'oil',
  'water',
  'butter',
  'cheese',
  'flour',
  'paste',
  'stock',
  'juice',
])

function isAccepted(fit: Fit, word: string, rivals: number, before: string): boolean {
  if (fit.of.kind === 'part') return fit.coverage >= 1 || (fit.isHead && fit.run >= 1 && fit.coverage >= 0.5)
  if (fit.run >= 2 || fit.coverage >= 1) return true
  if (/\b(?:an?)\s+(?:\w+\s+)?$/iu.test(before) && TOO_COMMON.has(word)) return false
  // "Black spots" are no black beans.
  if (COLOURS.has(word) && !fit.isHead) return false
  // "The cream" is no cream of tartar.
  if (PRODUCTS_THEMSELVES.has(word) && !fit.isHead) return false
  if (TOO_COMMON.has(word)) return rivals === 1
  return fit.coverage >= 1 / 3 || rivals === 1
}

/** What comes in bottles of several kinds. */
export const POURED_WORDS: ReadonlySet<string> = new Set([
  'sauce',
  'dressing',
  'glaze',
  'gravy',
  'syrup',
  'marinade',
])

/** Words that stand for several kinds when there are more than one of them. */
const SEVERAL = new Set([
  'flours',
  'sugars',
  'oils',
  'vinegars',
  'milks',
  'starches',
  'salts',
  'stocks',
  'pastes',
  'powders',
])

/** "Both kinds of tofu". */
const EACH_KIND =
  /\b(?:both|all|two|three|all (?:two|three|four|the)) (?:the )?(?:kinds?|types?|sorts?|varieties) of (?:the )?$/iu

interface NamedRun {
  readonly fits: readonly Fit[]
  readonly run: number
}

export function namedAt(
  tokens: readonly Token[],
  index: number,
  scene: Scene,
  before: string,
): NamedRun | null {
  const token = tokens[index]
  if (token === undefined) return null
  const candidates = new Set(stemsOf(token.text).flatMap((stem) => scene.names.get(stem) ?? []))
  const fits = [...candidates].flatMap((of) => fitAt(of, tokens, index) ?? [])
  if (fits.length === 0) return null
  const sorted = fits
    .map((fit) => ({ fit, weight: weight(fit, scene, before) }))
    .sort((a, b) => b.weight - a.weight)
  const best = sorted[0]?.fit
  if (best === undefined) return null
  const isLeft = (of: Named): boolean => of.kind !== 'line' || scene.bench.left(of.id) > 1e-9
  // "Half the sauce": the bottle that is full has no rival in one that is used up.
  const rivals = fits.filter(
    ({ of, run, isHead }) =>
      of.kind === 'line' &&
      run === best.run &&
      isHead === best.isHead &&
      of.part === best.of.part &&
      (isLeft(of) || !isLeft(best.of) || !POURED_WORDS.has(token.stem)),
  ).length
  // "The pastes": both of them; "the powders" are all that is dry.
  const isSeveral = SEVERAL.has(token.text) && token.text !== 'powders' && best.isHead && isLeft(best.of)
  if (!isSeveral && !isAccepted(best, token.stem, rivals, before)) return null
  const isEachKind = EACH_KIND.test(before)
  const isPlural = isEachKind || (/s$/iu.test(token.text) && token.text !== token.stem)
  const alike = isPlural
    ? fits.filter(
        ({ of, run, isHead, coverage }) =>
          of !== best.of &&
          of.kind === 'line' &&
          run === best.run &&
          isHead &&
          best.isHead &&
          isPreparedAs(of.line?.line.prep ?? '', before) ===
            isPreparedAs(best.of.line?.line.prep ?? '', before) &&
          isCalledSo(of, before) === isCalledSo(best.of, before) &&
          (isEachKind || coverage < 1 === best.coverage < 1 || SEVERAL.has(token.text)) &&
          of.part === best.of.part &&
          scene.bench.left(of.id) > 1e-9,
      )
    : []
  return { fits: [best, ...alike], run: best.run }
}

/** "The mashed peas": the verb whose doing is told of before a name. */
export function madeBy(tokens: readonly Token[], index: number): Verb | null {
  for (
    let at = index - 1;
    at >= Math.max(0, index - 3) && tokens[at]?.kind === 'word' && !isDet(tokens[at]);
    at -= 1
  ) {
    const found = verbOf(tokens[at]?.text ?? '')
    if (found?.form === 'past' && found.verb.kind === 'do') return found.verb
  }
  return null
}

export const isDet = (token: Token | undefined): boolean =>
  token !== undefined && /^(?:the|that|this|its|your|my)$/.test(token.text)
