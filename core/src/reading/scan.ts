import type { Kitchen } from '../model'
import type { Bench } from './bench'
import type { Clause, Parsed } from './clauses'
import { CLASS_WORDS, PIECE_WORDS, PRODUCT_WORDS, SIDE_WORDS, VESSELS } from './lexicon/things'
import { type Verb, verbOf } from './lexicon/verbs'
import { type Fit, fitAt, type Named, type Names, TOO_COMMON } from './named'
import { ALL_OF_IT, type Reading, type Said, saidOf } from './said'
import { stemsOf, type Token, tokensOf } from './tokens'

/** How a thing stands in its clause: what is worked, what goes with it, what it goes into, what is left out. */
export type Role = 'object' | 'with' | 'into' | 'in' | 'for' | 'except'

interface Base {
  readonly at: number
  readonly role: Role
  readonly said: Said
}
/** What words of a clause name. */
export type Mention = Base &
  (
    | {
        readonly kind: 'named'
        readonly of: readonly Named[]
        readonly isWhole: boolean
        readonly word: string
        readonly made: Verb | null
        readonly product: string | null
      }
    | { readonly kind: 'word'; readonly word: string; readonly made: Verb | null }
    | { readonly kind: 'side'; readonly word: string; readonly isMarked: boolean }
    | { readonly kind: 'pronoun'; readonly word: string; readonly isAll: boolean }
    | { readonly kind: 'class'; readonly word: string; readonly made: Verb | null }
    | {
        readonly kind: 'group'
        readonly which: 'all' | 'rest' | 'dry' | 'wet'
        readonly part: number | null
        readonly isList: boolean
      }
    | { readonly kind: 'remainder' }
    | { readonly kind: 'water'; readonly isThe: boolean }
  )

/** What scanning a clause needs to know beside its words. */
export interface Scene {
  readonly names: Names
  readonly kitchen: Kitchen
  readonly reading: Reading
  readonly bench: Bench
  /** Part that the words are about, where headings or the list say so. */
  readonly part: number | null
  /** Stem of the verb in hand, as purposes name it: "fry", "dust". */
  readonly verb: string | null
}

const ROLES: Readonly<Record<string, Role>> = {
  with: 'with',
  plus: 'with',
  using: 'with',
  adding: 'with',
  alongside: 'with',
  w: 'with',
  into: 'into',
  onto: 'into',
  to: 'into',
  over: 'into',
  through: 'into',
  on: 'into',
  under: 'in',
  in: 'in',
  inside: 'in',
  for: 'for',
  except: 'except',
  bar: 'except',
  excluding: 'except',
  from: 'into',
}
/** After these "in" and "over" belong to the verb: "stir in the peas", "pour over the brine". */
const PARTICLE_VERBS =
  /^(?:pour|stir|whisk|fold|mix|beat|work|knead|slide|tip|sprinkle|scatter|strew|blend|add|crumble|drop|press|put|rub|shake|stream|trickle|drizzle|spoon|ladle|pile|bring|cook|save|squeeze|grate)$/
const PRONOUNS = new Set(['it', 'them', 'this', 'these', 'those', 'both', 'that'])
const MARKED =
  /\b(?:cooking|soaking|pasta|starchy|reserved|kept|saved|drained|drawn|that|strained|poaching|boiling pot)\b[^,.;]{0,16}$/iu

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
    (isHead ? (isOwn ? 20 : 8) : 0) +
    (isAmount ? 16 : 0) +
    (of.kind === 'part' || isLeft ? 6 : isHere ? -10 : -45) +
    (isHere ? 12 : isNear ? 3 : 0) +
    (of.kind === 'line' ? 1 : 0) -
    (of.purpose !== null && of.purpose !== scene.verb ? 5 : 0)
  )
}

function isAccepted(fit: Fit, word: string, rivals: number, before: string): boolean {
  if (fit.of.kind === 'part') return fit.coverage >= 1 || (fit.isHead && fit.run >= 1 && fit.coverage >= 0.5)
  if (fit.run >= 2 || fit.coverage >= 1) return true
  if (/\b(?:an?)\s+(?:\w+\s+)?$/iu.test(before) && TOO_COMMON.has(word)) return false
  if (TOO_COMMON.has(word)) return rivals === 1
  return fit.coverage >= 1 / 3 || rivals === 1
}

function namedAt(
  tokens: readonly Token[],
  index: number,
  scene: Scene,
  before: string,
): { fits: Fit[]; run: number } | null {
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
  const rivals = fits.filter(
    ({ of, run, isHead }) =>
      of.kind === 'line' && run === best.run && isHead === best.isHead && of.part === best.of.part,
  ).length
  if (!isAccepted(best, token.stem, rivals, before)) return null
  const isPlural = /s$/iu.test(token.text) && token.text !== token.stem
  const alike = isPlural
    ? fits.filter(
        ({ of, run, isHead, coverage }) =>
          of !== best.of &&
          of.kind === 'line' &&
          run === best.run &&
          isHead &&
          best.isHead &&
          coverage < 1 === best.coverage < 1 &&
          of.part === best.of.part &&
          scene.bench.left(of.id) > 1e-9,
      )
    : []
  return { fits: [best, ...alike], run: best.run }
}

/** "The mashed peas": the verb whose doing is told of before a name. */
function madeBy(tokens: readonly Token[], index: number): Verb | null {
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

const isDet = (token: Token | undefined): boolean =>
  token !== undefined && /^(?:the|that|this|its|your|my)$/.test(token.text)

/** What stands in a group's words: "all the custard ingredients", "the rest of the dry ingredients". */
function groupAt(
  tokens: readonly Token[],
  index: number,
  scene: Scene,
): Extract<Mention, { kind: 'group' }> | null {
  const around = tokens.slice(Math.max(0, index - 7), index)
  const words = around.map(({ text }) => text)
  const cut = Math.max(words.lastIndexOf(','), words.lastIndexOf('with'), words.lastIndexOf('in'))
  const near = around.slice(cut + 1)
  const has = (word: RegExp): boolean => near.some(({ text }) => word.test(text))
  const parts = near.flatMap(({ stem }) =>
    (scene.names.get(stem) ?? []).filter(({ kind }) => kind === 'part'),
  )
  const which = has(/^dry$/)
    ? 'dry'
    : has(/^(?:wet|liquid)$/)
      ? 'wet'
      : has(/^(?:rest|remaining|other|remainder|else)$/)
        ? 'rest'
        : 'all'
  return {
    kind: 'group',
    which,
    isList: true,
    part: parts[0]?.part ?? null,
    at: tokens[index]?.at ?? 0,
    role: 'object',
    said: ALL_OF_IT,
  }
}

/** What the words of a clause name, in their order. */
export function scan(parsed: Parsed, clause: Clause, scene: Scene): Mention[] {
  const offset = clause.from
  const words = parsed.bare.slice(clause.from, clause.to)
  const tokens = tokensOf(words)
  const found: Mention[] = []
  let role: Role = 'object'
  let particleAt = -1
  for (let index = 0; index < tokens.length; index += 1) {
    const token = tokens[index]
    if (token === undefined) break
    const at = token.at + offset
    if (clause.verb !== null && at === clause.verbFrom) {
      role = 'object'
      while ((tokens[index + 1]?.at ?? Infinity) + offset < clause.verbTo) index += 1
      particleAt = (tokens[index + 1]?.at ?? -1) + offset
      continue
    }
    if (token.kind !== 'word') {
      if (/[;:.]/.test(token.text) || (token.text === ',' && clause.verb === null)) role = 'object'
      continue
    }
    if (
      token.text === 'but' &&
      /^(?:all|everything)$/.test(tokens[index - 1]?.text ?? '') &&
      !/^(?:a|an|one|\d)/.test(tokens[index + 1]?.text ?? '')
    ) {
      role = 'except'
      continue
    }
    const isParticle =
      at === particleAt &&
      PARTICLE_VERBS.test(clause.verb?.word ?? '') &&
      /^(?:in|over|through|on|up|back)$/.test(token.text)
    if (isParticle) continue
    const next = Object.hasOwn(ROLES, token.text) ? ROLES[token.text] : undefined
    if (next !== undefined) {
      role = next
      continue
    }
    const before = words.slice(at > clause.verbFrom ? clause.verbTo - offset : 0, token.at)
    const after = words.slice(token.end)
    const raw = parsed.text.slice(at > clause.verbFrom ? clause.verbTo : clause.from, at)
    const bracket = /\(([^)]*\d[^)]*)\)\s*of(?: the)?\s*$/u.exec(raw)
    const mention = mentionAt(
      tokens,
      index,
      role,
      bracket === null ? before : `${bracket[1] ?? ''} of the `,
      after,
      scene,
    )
    if (mention === null) continue
    const isTopic =
      role === 'object' &&
      clause.verb !== null &&
      at < clause.verbFrom &&
      /^\s*:/u.test(after) &&
      mention.mention.kind === 'named' &&
      mention.mention.of[0]?.kind === 'part'
    found.push({ ...mention.mention, at, ...(isTopic ? { role: 'for' as const } : {}) })
    index += Math.max(0, mention.length - 1)
  }
  return found
}

interface Met {
  readonly mention: Mention
  readonly length: number
}

function mentionAt(
  tokens: readonly Token[],
  index: number,
  role: Role,
  before: string,
  after: string,
  scene: Scene,
): Met | null {
  const token = tokens[index]
  if (token === undefined) return null
  const { text, stem } = token
  const one = (mention: Mention, length = 1): Met => ({ mention, length })
  const at = token.at
  if (PRONOUNS.has(text)) {
    if (text === 'that' && tokens[index + 1]?.kind === 'word') return null
    if (
      /^(?:this|these|those|both)$/.test(text) &&
      tokens[index + 1]?.kind === 'word' &&
      !/^(?:with|into|in|over|to|and|on|through)$/.test(tokens[index + 1]?.text ?? '') &&
      text !== 'both'
    )
      return null
    return one({
      kind: 'pronoun',
      word: text,
      isAll: tokens[index + 1]?.text === 'all',
      at,
      role,
      said: saidOf(before, after, null, scene.kitchen, scene.reading),
    })
  }
  if (text === 'lot' && /\bthe $/iu.test(before))
    return one({ kind: 'pronoun', word: 'it', isAll: false, at, role, said: ALL_OF_IT })
  if (
    text === 'everything' ||
    (text === 'all' &&
      !/^(?:the|of|over|but|round|around|sides|your|my)$/.test(tokens[index + 1]?.text ?? '') &&
      tokens[index - 1]?.kind !== 'word')
  ) {
    const isElse = tokens[index + 1]?.text === 'else'
    return one(
      { kind: 'group', which: isElse ? 'rest' : 'all', part: null, isList: false, at, role, said: ALL_OF_IT },
      isElse ? 2 : 1,
    )
  }
  if (
    /^(?:half|rest|remainder|third)$/.test(text) &&
    /\b(?:the other|the|another) $/iu.test(before) &&
    tokens[index + 1]?.text !== 'of' &&
    (text !== 'half' || /other $/iu.test(before)) &&
    (text !== 'third' || /another $/iu.test(before))
  )
    return one({ kind: 'remainder', at, role, said: ALL_OF_IT })
  if (stem === 'ingredient') {
    const group = groupAt(tokens, index, scene)
    return group === null ? null : one({ ...group, role })
  }
  const isPartName = (scene.names.get(stem) ?? []).some(
    ({ kind, names }) => kind === 'part' && names[0]?.length === 1,
  )
  if (
    !isPartName &&
    /^(?:dry|wet)$/.test(text) &&
    isDet(tokens[index - 1]) &&
    !/^(?:ingredients?|pan|frying|skillet|mix|mixture|kadhai|hot)$/.test(tokens[index + 1]?.text ?? '') &&
    (tokens[index + 1] === undefined ||
      tokens[index + 1]?.kind === 'mark' ||
      /^(?:and|into|to|in|with)$/.test(tokens[index + 1]?.text ?? ''))
  )
    return one({
      kind: 'group',
      which: text === 'dry' ? 'dry' : 'wet',
      part: null,
      isList: false,
      at,
      role,
      said: ALL_OF_IT,
    })
  const isMarked = MARKED.test(before)
  // "The gourd juice" is juice, not gourd.
  if (
    tokens[index + 1] !== undefined &&
    SIDE_WORDS.has(tokens[index + 1]?.stem ?? '') &&
    tokens[index + 1]?.stem !== 'oil' &&
    scene.bench.sides().length > 0 &&
    !isDet(token)
  ) {
    const whole = namedAt(tokens, index, scene, before)
    if (
      whole !== null &&
      whole.run < 2 &&
      scene.bench.sides().some(({ words }) => words.has(tokens[index + 1]?.stem ?? ''))
    )
      return null
  }
  if (SIDE_WORDS.has(stem) && scene.bench.sides().length > 0) {
    const named = namedAt(tokens, index, scene, before)
    const isListed =
      named !== null &&
      named.fits.some(
        ({ of, coverage, isHead, isOwn }) =>
          of.kind === 'line' && (coverage >= 1 || (isHead && isOwn)) && scene.bench.left(of.id) > 1e-9,
      )
    if (
      (isMarked || !isListed) &&
      (stem !== 'water' || isMarked || isDet(tokens[index - 1])) &&
      stem !== 'oil'
    )
      return one({
        kind: 'side',
        word: stem === 'water' && /\bsoaking\b/iu.test(before.slice(-24)) ? 'soaking' : stem,
        isMarked,
        at,
        role,
        said: saidOf(before, after, null, scene.kitchen, scene.reading),
      })
    if (stem === 'oil' && !isListed && scene.bench.sides().some(({ words }) => words.has('oil')))
      return one({
        kind: 'side',
        word: stem,
        isMarked,
        at,
        role,
        said: saidOf(before, after, null, scene.kitchen, scene.reading),
      })
  }
  if (stem === 'water' || (stem === 'ice' && tokens[index + 1]?.stem === 'water')) {
    const said = namedAt(tokens, index, scene, before)
    const lines =
      said?.fits.filter(
        ({ of, coverage, isHead, isOwn }) =>
          of.kind === 'line' && (coverage >= 1 || (isHead && isOwn) || of.foodClass === 'water'),
      ) ?? []
    if (lines.length > 0) {
      const [best] = lines
      const share = saidOf(before, after, best?.of ?? null, scene.kitchen, scene.reading)
      const isThe =
        /\b(?:the|its|that) (?:[\p{L}\d]+ ){0,3}$/iu.test(before.slice(-30)) ||
        share.isStated ||
        /[\d½¼¾]\s*(?:g|ml|l|litres?|cups?|tbsp|tsp|tablespoons?)\b[^,;.]{0,12}$/iu.test(before)
      return one({
        kind: 'named',
        of: lines.map(({ of }) => of),
        isWhole: isThe,
        word: 'water',
        made: null,
        product: null,
        at,
        role,
        said: share,
      })
    }
    return one({ kind: 'water', isThe: isDet(tokens[index - 1]), at, role, said: ALL_OF_IT })
  }
  const named = namedAt(tokens, index, scene, before)
  if (
    named?.fits[0]?.of.kind === 'part' &&
    tokens.slice(index + 1, index + 4).some((one) => one.stem === 'ingredient')
  )
    return null
  const isWeak =
    named !== null &&
    named.run < 2 &&
    (named.fits[0]?.coverage ?? 0) < 1 &&
    TOO_COMMON.has(stem) &&
    scene.bench.lots.some((lot) => !lot.isSide && lot.words.has(stem))
  if (named !== null && !isWeak) {
    const of = named.fits.map((fit) => fit.of)
    // "The spinach puree": where the spinach is used, what was made of it.
    const follows = tokens[index + named.run]
    const isProduct = follows?.kind === 'word' && PRODUCT_WORDS.has(follows.stem)
    const [first] = named.fits
    return one(
      {
        kind: 'named',
        of,
        isWhole: (first?.coverage ?? 0) >= 1 || named.run >= 2,
        word: stem,
        made: madeBy(tokens, index),
        product: isProduct ? follows.stem : null,
        at,
        role,
        said: saidOf(before, after, of[0] ?? null, scene.kitchen, scene.reading),
      },
      named.run + (isProduct ? 1 : 0),
    )
  }
  if (VESSELS.has(stem)) return null
  if (stem in CLASS_WORDS)
    return one({
      kind: 'class',
      word: stem,
      made: madeBy(tokens, index),
      at,
      role,
      said: saidOf(before, after, null, scene.kitchen, scene.reading),
    })
  const hasLot =
    scene.bench.lots.some(({ words }) => words.has(stem)) ||
    scene.bench.gone().some(({ words }) => words.has(stem))
  return hasLot || PIECE_WORDS.has(stem)
    ? one({
        kind: 'word',
        word: stem,
        made: madeBy(tokens, index),
        at,
        role,
        said: saidOf(before, after, null, scene.kitchen, scene.reading),
      })
    : null
}
