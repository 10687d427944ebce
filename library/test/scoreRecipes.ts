import { readFileSync } from 'node:fs'
import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { type Assessment, defaultKitchen } from '@frijol/core/model'
import { readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { library } from '../src'
import { reader } from './dishes'

/** What a doing of a recipe takes, as its reader should find it. */
interface GoldTake {
  readonly line?: number
  readonly doing?: string
  readonly part?: number
  readonly share?: number
}
export interface GoldDoing {
  readonly id: string
  readonly part: number
  /** Operations that are right, the best first. */
  readonly operation: string
  readonly takes: readonly GoldTake[]
  readonly minutes: number | null
  readonly isOptional: boolean
}
export interface GoldRecipe {
  readonly id: string
  readonly style: string
  readonly text: string
  /** Words of the listed lines, in order; empty where the list's own order counts. */
  readonly lines: readonly string[]
  readonly doings: readonly GoldDoing[]
  readonly cookedMassG: readonly [low: number, high: number] | null
}

interface PublicRecipe {
  id: string
  style: string
  text: string
  cookedMassG: [number, number]
  lines: { n: number; text: string }[]
  doings: (Omit<GoldDoing, 'isOptional'> & { optional: boolean })[]
}

/** The corpus of many styles that the project was given. */
export const publicRecipes = (): GoldRecipe[] =>
  (JSON.parse(readFileSync(new URL('./recipes/public.json', import.meta.url), 'utf8')) as PublicRecipe[]).map(
    ({ lines, doings, ...recipe }) => ({
      ...recipe,
      lines: lines.map(({ text }) => text),
      doings: doings.map(({ optional, ...doing }) => ({ ...doing, isOptional: optional })),
    }),
  )

/** "sweat|brown 8: 4, <1*0.5": operations, minutes, lines by number and doings before it. */
function doingFrom(text: string, at: number): GoldDoing {
  const [head = '', tail = ''] = text.split(':')
  const [operation = '', minutes] = head.trim().split(/\s+/)
  const takes = tail.split(',').flatMap((one): GoldTake[] => {
    const found = /^\s*(<?)(\d+)(?:\*([\d.]+))?\s*$/.exec(one)
    if (found === null) return []
    const share = found[3] === undefined ? {} : { share: Number(found[3]) }
    return [found[1] === '<' ? { doing: `d${found[2]}`, ...share } : { line: Number(found[2]), ...share }]
  })
  return {
    id: `d${at + 1}`,
    part: 0,
    operation: operation.replace(/\d+/g, ''),
    takes,
    minutes: minutes === undefined ? null : Number(minutes),
    isOptional: false,
  }
}

/** Recipes of our own with their gold beside them; see library/test/recipes/README.md. */
export const ownRecipes = (file: string): GoldRecipe[] =>
  readFileSync(new URL(`./recipes/${file}`, import.meta.url), 'utf8')
    .split(/^@ style: /m)
    .filter((block) => block.trim() !== '')
    .map((block, at) => {
      const [style = '', ...rest] = block.split('\n')
      const isGold = (line: string): boolean => line.startsWith('= ') || line.startsWith('~ ')
      const mass = rest.map((line) => /^~ (\d+)-(\d+)$/u.exec(line)).find((found) => found !== null)
      return {
        id: `${file.replace('.txt', '')}-${at + 1}`,
        style,
        text: rest.filter((line) => !isGold(line)).join('\n'),
        lines: [],
        doings: rest
          .filter((line) => line.startsWith('= '))
          .map((line, index) => doingFrom(line.slice(2), index)),
        cookedMassG: mass == null ? null : [Number(mass[1]), Number(mass[2])],
      }
    })

type Count = [right: number, all: number]
export interface Score {
  operation: Count
  extra: Count
  takes: Count
  share: Count
  minutes: Count
  mass: Count
  noStop: Count
}
const none = (): Score => ({
  operation: [0, 0],
  extra: [0, 0],
  takes: [0, 0],
  share: [0, 0],
  minutes: [0, 0],
  mass: [0, 0],
  noStop: [0, 0],
})

const norm = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}½¼¾⅓⅔⅛]+/gu, ' ')
    .trim()

type Holds = ReadonlySet<number>

function goldHolds({ doings }: GoldRecipe): Map<string, Holds> {
  const lastOfPart = new Map<number, string>()
  const holds = new Map<string, Set<number>>()
  for (const { id, part, takes } of doings) {
    const own = new Set<number>()
    for (const take of takes) {
      if (take.line !== undefined) own.add(take.line)
      const from = take.doing ?? (take.part === undefined ? undefined : lastOfPart.get(take.part))
      for (const line of from === undefined ? [] : (holds.get(from) ?? [])) own.add(line)
    }
    holds.set(id, own)
    lastOfPart.set(part, id)
  }
  return holds
}

interface ReadStep {
  readonly operation: string | null
  readonly minutes: number
  readonly loads: number
  readonly holds: Holds
  readonly shares: ReadonlyMap<number, number>
}

/** What each read step holds, in the order in which it was written. */
function readHolds({ parts }: Assessment, { lines, text: whole }: GoldRecipe): ReadStep[] {
  const numbers = new Map<string, number>()
  const left = new Map<string, number[]>()
  lines.forEach((text, at) => left.set(norm(text), [...(left.get(norm(text)) ?? []), at + 1]))
  let count = 0
  let before = ''
  // In the order of the text: a group in one line may stand between lines of another part.
  const from = new Map<string, number>()
  const placeOf = (text: string, isMore: boolean): number => {
    const last = from.get(text)
    // The same words in two lists are two lines; a written line of two foods is one.
    const place = last === undefined ? whole.indexOf(text) : isMore ? last : whole.indexOf(text, last + 1)
    if (place >= 0) from.set(text, place)
    return place
  }
  const written = parts
    .flatMap((part) =>
      part.lines.map((line, at) => ({ ...line, isMore: part.lines[at - 1]?.text === line.text })),
    )
    .map((line, at) => ({ ...line, at, place: placeOf(line.text, line.isMore) }))
    .sort((a, b) => (a.place < 0 || b.place < 0 ? a.at - b.at : a.place - b.place || a.at - b.at))
  for (const { lineId, text, place } of written) {
    // A written line of two foods is two lines of the same words.
    if (`${text} ${place}` !== before) count += 1
    before = `${text} ${place}`
    const known = left.get(norm(text)) ?? []
    const number = lines.length === 0 ? count : known.length > 1 ? known.shift() : known[0]
    if (number !== undefined) numbers.set(lineId, number)
  }
  const holds = new Map<string, Set<number>>()
  const lastOfPart = new Map<string, string>()
  // A part may take one that stands after it: a few passes settle it.
  for (let pass = 0; pass < 4; pass += 1)
    for (const part of parts)
      for (const { stepId, takes } of part.steps) {
        const own = new Set<number>()
        for (const { kind, id } of takes) {
          const line = numbers.get(id)
          if (kind === 'line' && line !== undefined) own.add(line)
          const from = kind === 'step' ? id : kind === 'part' ? lastOfPart.get(id) : undefined
          for (const one of from === undefined ? [] : (holds.get(from) ?? [])) own.add(one)
        }
        holds.set(stepId, own)
        lastOfPart.set(part.partId, stepId)
      }
  return parts
    .flatMap(({ steps }) => steps)
    .sort((a, b) => (a.written ?? 0) - (b.written ?? 0))
    .map(({ stepId, operation, minutes, loads, takes }) => ({
      operation,
      minutes,
      loads,
      holds: holds.get(stepId) ?? new Set(),
      shares: new Map(
        takes.flatMap(({ kind, id, share }): [number, number][] => {
          const line = numbers.get(id)
          return kind === 'line' && line !== undefined ? [[line, share ?? 1]] : []
        }),
      ),
    }))
}

const f1 = (a: Holds, b: Holds): number => {
  if (a.size + b.size === 0) return 1
  let both = 0
  for (const one of a) if (b.has(one)) both += 1
  return (2 * both) / (a.size + b.size)
}

/** The best pairing of gold and read doings that keeps their order. */
function paired(
  gold: readonly GoldDoing[],
  read: readonly ReadStep[],
  holds: ReadonlyMap<string, Holds>,
): Map<number, number> {
  const worth = (i: number, j: number): number => {
    const [doing, step] = [gold[i], read[j]]
    if (
      doing === undefined ||
      step === undefined ||
      !doing.operation.split('|').includes(step.operation ?? '')
    )
      return 0
    return 1 + f1(holds.get(doing.id) ?? new Set(), step.holds)
  }
  const best = Array.from({ length: gold.length + 1 }, () => new Float64Array(read.length + 1))
  const at = (i: number, j: number): number => best[i]?.[j] ?? 0
  for (let i = gold.length - 1; i >= 0; i -= 1)
    for (let j = read.length - 1; j >= 0; j -= 1) {
      const own = worth(i, j)
      const row = best[i]
      if (row !== undefined)
        row[j] = Math.max(at(i + 1, j), at(i, j + 1), own > 0 ? own + at(i + 1, j + 1) : 0)
    }
  const pairs = new Map<number, number>()
  for (let i = 0, j = 0; i < gold.length && j < read.length;) {
    const own = worth(i, j)
    if (own > 0 && Math.abs(at(i, j) - own - at(i + 1, j + 1)) < 1e-9) pairs.set(i++, j++)
    else if (at(i + 1, j) >= at(i, j + 1)) i += 1
    else j += 1
  }
  return pairs
}

const isNear = (read: number, gold: number): boolean => Math.abs(read - gold) <= 0.1 * gold + 0.01

/** Scores one recipe against its gold; faults are told in words. */
export function scoreRecipe(recipe: GoldRecipe): { score: Score; faults: string[] } {
  const score = none()
  const faults: string[] = []
  const add = (what: keyof Score, isRight: boolean, fault: string): void => {
    score[what][1] += 1
    if (isRight) score[what][0] += 1
    else faults.push(fault)
  }
  let count = 0
  const result = readRecipes(recipe.text, {
    reader,
    newId: () => `i${(count += 1)}`,
    now: '2026-06-14T12:00:00Z',
    readStep: stepFrom,
    readMethod: readRecipeMethod,
  })
  const dish = result.ok ? result.value[0] : undefined
  const gold = recipe.doings.filter(({ isOptional }) => !isOptional)
  if (dish === undefined) {
    for (const { id } of gold) add('operation', false, `${id}: the recipe is not read`)
    return { score, faults }
  }
  const assessment = assess(dish, library, defaultKitchen)
  const holds = goldHolds(recipe)
  const read = readHolds(assessment, recipe)
  const pairs = paired(gold, read, holds)
  gold.forEach((doing, at) => {
    const step = read[pairs.get(at) ?? -1]
    add('operation', step !== undefined, `${doing.id} ${doing.operation}: not read`)
    score.takes[1] += 1
    if (step === undefined) return
    const wanted = holds.get(doing.id) ?? new Set()
    if (f1(wanted, step.holds) > 0.94) score.takes[0] += 1
    else
      faults.push(`${doing.id} ${doing.operation}: holds ${[...step.holds].join()} not ${[...wanted].join()}`)
    for (const { line, share } of doing.takes)
      if (line !== undefined && share !== undefined && share < 0.99)
        add('share', Math.abs((step.shares.get(line) ?? -1) - share) <= 0.1, `${doing.id}: share of ${line}`)
    if (doing.minutes !== null)
      add(
        'minutes',
        isNear(step.minutes / step.loads, doing.minutes) || isNear(step.minutes, doing.minutes),
        `${doing.id}: ${step.minutes} min not ${doing.minutes}`,
      )
  })
  const used = new Set(pairs.values())
  const optional = new Set(
    recipe.doings.filter(({ isOptional }) => isOptional).flatMap(({ operation }) => operation.split('|')),
  )
  read.forEach(({ operation }, at) => {
    const isExtra = !used.has(at) && operation !== 'mix' && !optional.has(operation ?? '')
    score.extra[1] += 1
    if (!isExtra) return
    score.extra[0] += 1
    faults.push(`extra ${operation}`)
  })
  if (recipe.cookedMassG !== null) {
    const [low, high] = recipe.cookedMassG
    const { cookedMassG } = assessment
    add(
      'mass',
      cookedMassG >= low && cookedMassG <= high,
      `${Math.round(cookedMassG)} g not ${low} to ${high}`,
    )
  }
  const stop = assessment.findings.find(({ severity }) => severity === 'stop')
  add('noStop', stop === undefined, `stop: ${stop?.message ?? ''}`)
  return { score, faults }
}

/** Scores recipes together. */
export function scoreAll(recipes: readonly GoldRecipe[]): { score: Score; faults: string[] } {
  const sum = none()
  const faults: string[] = []
  for (const recipe of recipes) {
    const one = scoreRecipe(recipe)
    for (const what of Object.keys(sum) as (keyof Score)[]) {
      sum[what][0] += one.score[what][0]
      sum[what][1] += one.score[what][1]
    }
    faults.push(...one.faults.map((fault) => `${recipe.id}: ${fault}`))
  }
  return { score: sum, faults }
}
export const shareOf = ([right, all]: Count): number => (all === 0 ? 1 : right / all)
