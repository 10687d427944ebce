import { distance } from 'fastest-levenshtein'
import type { Ingredient } from '../model'
import { goesAgainst } from './claims'
import { CHANGER_WORDS, foodTokens, STATE_WORDS, WEAK_WORDS } from './foodWords'

export interface FoodChoice {
  readonly ingredientId: string
  /** 0 to 1. */
  readonly score: number
}

/** What a food text could be: one sure food, several to choose from, or none. */
export interface FoundFood {
  readonly ingredientId: string | null
  readonly choices: readonly FoodChoice[]
  /** True where the text names no state and the food is kept in several: dry or cooked, say. */
  readonly isStateGuessed: boolean
}

interface Name {
  readonly tokens: readonly string[]
  readonly letters: number
  readonly ingredients: Ingredient[]
}

export interface FoodIndex {
  readonly byToken: ReadonlyMap<string, readonly Name[]>
  readonly vocabulary: readonly string[]
  readonly corrections: Map<string, string | null>
}

/** Score from which a food is taken without asking, and from which it is offered. Practice, set on the line tables of the tests. */
const SURE = 0.7
const OFFERED = 0.4
const MOST_CHOICES = 6

/** A name that a kitchen gave a food: it means that food and no other. */
export interface OwnName {
  readonly name: string
  readonly ingredientId: string
}

/**
 * The index that `findFood` searches: every name of every ingredient, by word. It is worked out when it is first asked:
 * a screen that shows a dish reads no names.
 * @param own names that a kitchen gave: each stands for its food alone, whatever others are called so
 */
export function indexFoods(ingredients: Iterable<Ingredient>, own: readonly OwnName[] = []): FoodIndex {
  const foods = [...ingredients]
  let words: WordIndex | null = null
  const built = (): WordIndex => (words ??= wordsOf(foods, own))
  return {
    get byToken() {
      return built().byToken
    },
    get vocabulary() {
      return built().vocabulary
    },
    corrections: new Map(),
  }
}

type WordIndex = Pick<FoodIndex, 'byToken' | 'vocabulary'>
function wordsOf(foods: readonly Ingredient[], own: readonly OwnName[]): WordIndex {
  const names = new Map<string, Name>()
  const byId = new Map(own.length === 0 ? [] : foods.map((food) => [food.id, food]))
  for (const ingredient of foods) {
    for (const text of [ingredient.name, ...ingredient.otherNames]) {
      const tokens = foodTokens(text)
      if (tokens.length === 0) continue
      const key = tokens.join(' ')
      const known = names.get(key)
      if (known === undefined) {
        names.set(key, { tokens, letters: tokens.join('').length, ingredients: [ingredient] })
      } else if (!known.ingredients.includes(ingredient)) known.ingredients.push(ingredient)
    }
  }
  for (const { name, ingredientId } of own) {
    const food = byId.get(ingredientId)
    const tokens = foodTokens(name)
    if (food !== undefined && tokens.length > 0)
      names.set(tokens.join(' '), { tokens, letters: tokens.join('').length, ingredients: [food] })
  }
  const byToken = new Map<string, Name[]>()
  for (const name of names.values()) {
    for (const token of new Set(name.tokens)) byToken.set(token, [...(byToken.get(token) ?? []), name])
  }
  return { byToken, vocabulary: [...byToken.keys()] }
}

const sortedLetters = (word: string): string => Array.from(word).sort().join('')

/** The known word that a mistyped one most likely is: one slip up to 7 letters, two from 8, same first letter. */
function correction(index: FoodIndex, token: string): string | null {
  const known = index.corrections.get(token)
  if (known !== undefined) return known
  let best: string | null = null
  let bestDistance = token.length >= 8 ? 2 : 1
  for (const word of index.vocabulary) {
    if (word[0] !== token[0] || Math.abs(word.length - token.length) > 2 || word.length < 4) continue
    const isSwap = word.length === token.length && sortedLetters(word) === sortedLetters(token)
    const apart = isSwap ? 1 : distance(word, token)
    if (apart <= bestDistance && (best === null || apart < bestDistance)) {
      best = word
      bestDistance = apart
    }
  }
  if (index.corrections.size < 20_000) index.corrections.set(token, best)
  return best
}

interface Query {
  readonly tokens: readonly string[]
  readonly states: ReadonlySet<string>
  readonly corrected: ReadonlySet<string>
}

function query(index: FoodIndex, text: string, hints: readonly string[]): Query {
  const corrected = new Set<string>()
  const tokens = foodTokens(text)
    .slice(0, 24)
    .map((token) => {
      if (index.byToken.has(token) || WEAK_WORDS.has(token) || STATE_WORDS.has(token)) return token
      if (CHANGER_WORDS.has(token) || token.length < 5 || /\d/.test(token)) return token
      const right = correction(index, token)
      if (right === null) return token
      corrected.add(right)
      return right
    })
  const states = new Set(hints)
  for (const token of tokens) {
    const state = STATE_WORDS.get(token)
    if (state !== undefined) states.add(state)
  }
  return { tokens, states, corrected }
}

/** How well a name covers a query, 0 to 1; 0 where a left-over word makes another food of it. */
function nameScore(name: Name, { tokens, corrected }: Query): number {
  const own = new Set(name.tokens)
  let matched = 0
  let missed = 0
  let isChanged = false
  let weak = 0
  for (const token of tokens) {
    if (own.has(token)) matched += token.length
    else if (CHANGER_WORDS.has(token)) isChanged = true
    else if (STATE_WORDS.has(token) || WEAK_WORDS.has(token) || /^\d/.test(token)) weak += 1
    else missed += token.length
  }
  if (matched === 0) return 0
  const coverage = matched / (matched + missed)
  const slip = name.tokens.some((token) => corrected.has(token)) ? 0.92 : 1
  return (isChanged ? 0.3 : 1) * coverage * slip - Math.min(weak, 6) * 0.005
}

/** States that may stand in for each other when the text names one. */
function stateFit(ingredient: Ingredient, { states }: Query): number {
  const own = ingredient.state
  if (own === null) return states.has('cooked') || states.has('canned') || states.has('dry') ? 0.93 : 1
  if (states.has(own)) return 1.02
  if (own === 'cooked' && states.has('canned') && !states.has('dry')) return 0.9
  if (own === 'canned' && states.has('cooked')) return 0.85
  const isNeutral = states.size === 0 || [...states].every((state) => state === 'fresh' || state === 'frozen')
  if (isNeutral) return usualState(ingredient) ? 0.99 : 0.95
  return 0.55
}

/** The state meant when none is written: beans cooked, lentils and grains dry. Practice. */
function usualState(ingredient: Ingredient): boolean {
  if (ingredient.foodClass === 'grain') return ingredient.state === 'dry'
  if (ingredient.foodClass === 'soy') return ingredient.state === 'dry'
  if (ingredient.foodClass === 'herb') {
    const isTender = /parsley|basil|mint|dill|coriander/i.test(ingredient.name)
    return ingredient.state === (isTender ? 'fresh' : 'dry')
  }
  if (ingredient.foodClass !== 'pulse') return ingredient.state === 'fresh' || ingredient.state === 'frozen'
  const isSmall = /lentil|split|hulled|gram/i.test(ingredient.name)
  return ingredient.state === (isSmall ? 'dry' : 'cooked')
}

type Ranked = readonly [Ingredient, { readonly score: number; readonly tokens: number }]

/** One name for several foods, such as "plant milk": the person chooses. States of one food are told apart elsewhere. */
const isTied = ([food, best]: Ranked, next: Ranked | undefined): boolean =>
  next !== undefined &&
  next[0].state === food.state &&
  next[1].tokens === best.tokens &&
  Math.abs(next[1].score - best.score) < 1e-9

/** What was found for a text: lists name the same few hundred foods over and over. Gone with its index. */
const keptBy = new WeakMap<FoodIndex, Map<string, FoundFood>>()
const MOST_KEPT = 5000

/**
 * Finds the food that a text names: synonyms of several regions, plurals, typing mistakes, states ("cooked", "dry").
 *
 * @param index built by `indexFoods`
 * @param text the food of a recipe line, with or without preparation words
 * @param hints states implied elsewhere in the line: a "can" is canned, "drained" too
 * @returns one sure food, or ranked choices, or nothing: never a silent wrong guess
 */
export function findFood(index: FoodIndex, text: string, hints: readonly string[] = []): FoundFood {
  let kept = keptBy.get(index)
  if (kept === undefined) {
    kept = new Map()
    keptBy.set(index, kept)
  }
  const key = `${hints.join(' ')}\n${text}`
  const known = kept.get(key)
  if (known !== undefined) return known
  const found = lookFor(index, text, hints)
  if (kept.size >= MOST_KEPT) kept.clear()
  kept.set(key, found)
  return found
}

function lookFor(index: FoodIndex, text: string, hints: readonly string[]): FoundFood {
  const asked = query(index, text, hints)
  const present = new Set(asked.tokens)
  const scores = new Map<Ingredient, { score: number; tokens: number }>()
  const seen = new Set<Name>()
  for (const token of present) {
    for (const name of index.byToken.get(token) ?? []) {
      if (seen.has(name)) continue
      seen.add(name)
      if (!name.tokens.every((own) => present.has(own))) continue
      const base = nameScore(name, asked)
      if (base < OFFERED / 2) continue
      for (const ingredient of name.ingredients) {
        if (goesAgainst(asked.tokens, ingredient)) continue
        const score = base * stateFit(ingredient, asked)
        const known = scores.get(ingredient)
        if (known === undefined || score > known.score)
          scores.set(ingredient, { score, tokens: name.letters })
      }
    }
  }
  const ranked = [...scores].sort(
    ([a, x], [b, y]) => y.tokens - x.tokens + (y.score - x.score) * 100 || a.id.localeCompare(b.id),
  )
  const best = ranked[0]
  if (best === undefined) return { ingredientId: null, choices: [], isStateGuessed: false }
  const choices = ranked
    .filter(([, { score }]) => score >= OFFERED)
    .slice(0, MOST_CHOICES)
    .map(([{ id }, { score }]) => ({ ingredientId: id, score: Math.min(1, Math.max(0, score)) }))
  const isSure = best[1].score >= SURE && !isTied(best, ranked[1])
  const isStateGuessed =
    isSure &&
    best[0].state !== null &&
    asked.states.size === 0 &&
    best[0].state !== 'fresh' &&
    best[0].state !== 'frozen'
  return { ingredientId: isSure ? best[0].id : null, choices, isStateGuessed }
}
