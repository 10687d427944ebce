import { assess } from '@frijol/core/assess'
import { findFood, indexFoods } from '@frijol/core/measure'
import type { Dish, Kitchen } from '@frijol/core/model'
import { createSolver } from '@frijol/core/solver'
import {
  aimLimits,
  type Answer,
  CONSISTENCIES,
  FOCUSES,
  isLimited,
  type Limit,
  LIMITED,
  tune,
  type Tuned,
  TuneFault,
  usualAsk,
} from '@frijol/core/tune'
import { library } from '@frijol/library'
import { InputFault, type Options } from './options'

/** "sodiumMg<=400" as a limit of a portion. */
export function readLimit(text: string): Limit {
  const found = /^\s*([A-Za-z]+)\s*(<=|>=|<|>)\s*(\d+(?:\.\d+)?)\s*$/.exec(text)
  const [, id = '', sign = '', value = ''] = found ?? []
  const known = isLimited(id)
    ? id
    : (Object.keys(LIMITED) as (keyof typeof LIMITED)[]).find(
        (one) => one.replace(/(?:Mg|G|Kcal)$/, '').toLowerCase() === id.toLowerCase(),
      )
  if (found === null || known === undefined)
    throw new InputFault(
      `--limit is “${text}”.`,
      '--limit',
      `Write --limit "sodiumMg<=400", with one of ${Object.keys(LIMITED).join(', ')}.`,
    )
  const isMost = sign.startsWith('<')
  return { id: known, least: isMost ? null : Number(value), most: isMost ? Number(value) : null }
}

/** A food of the library by its id or its name. */
export function foodId(text: string, option: string): string {
  if (library.ingredients.has(text)) return text
  const { ingredientId } = findFood(indexFoods(library.ingredients.values()), text)
  if (ingredientId === null)
    throw new InputFault(`“${text}” is not in the library.`, option, 'Search with: frijol library WORD')
  return ingredientId
}

/** The lines that a person holds: by food, or by words of the line. */
function heldLines(dish: Dish, names: readonly string[]): string[] {
  return names.flatMap((name) => {
    const words = name.toLowerCase()
    const lines = dish.parts.flatMap(({ lines }) => lines)
    const named = lines.filter(
      ({ food, ingredientId, text }) =>
        ingredientId === name || food.toLowerCase().includes(words) || text.toLowerCase().includes(words),
    )
    const id = named.length > 0 ? null : findFood(indexFoods(library.ingredients.values()), name).ingredientId
    const found =
      named.length > 0 ? named : lines.filter(({ ingredientId }) => ingredientId === id && id !== null)
    if (found.length === 0)
      throw new InputFault(`No line holds “${name}”.`, '--hold', 'Name a food of the recipe.')
    return found.map(({ id: lineId }) => lineId)
  })
}

/** Parts that can be tuned: the one that is asked for, else each that has a goal. */
function partsOf(dish: Dish, kitchen: Kitchen, { part }: Options): string[] {
  if (part !== null) {
    const found = dish.parts.find(({ name, id }) => id === part || name.toLowerCase() === part.toLowerCase())
    if (found === undefined)
      throw new InputFault(
        `There is no part “${part}”.`,
        '--part',
        `Use one of ${dish.parts.map(({ name }) => name).join(', ')}.`,
      )
    return [found.id]
  }
  const read = assess(dish, library, kitchen).parts.filter(({ distance }) => distance !== null)
  if (read.length === 0)
    throw new InputFault(
      'No part has an original to be tuned to.',
      '--original',
      `Give --original ID: ${[...library.originals.keys()].join(', ')}.`,
    )
  return read.map(({ partId }) => partId)
}

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length

/** Passes over the parts of a dish: what one takes of a limit, another may spare. */
const PASSES = 2

/** What `frijol tune` prints: the closest proposal, what it keeps, and the other ways there. */
export async function tuned(dish: Dish, kitchen: Kitchen, options: Options) {
  const began = performance.now()
  const limits = options.limit.map(readLimit)
  const hold = heldLines(dish, options.hold)
  const allow = options.allow.map((name) => foodId(name, '--allow'))
  const partIds = partsOf(dish, kitchen, options)
  const consistency =
    options.viscosity === null ? null : { paS: options.viscosity, tempC: options.at ?? CONSISTENCIES.hotC }
  const asked = options.focus ?? (consistency === null ? 'all' : 'thickness')
  const focus = FOCUSES.find((one) => one === asked)
  if (focus === undefined)
    throw new InputFault(`--focus is “${options.focus ?? ''}”.`, '--focus', `Use ${FOCUSES.join(', ')}.`)
  const solve = await createSolver()
  const before = assess(dish, library, kitchen)
  let now = dish
  let evaluations = 0
  let last: { tuned: Tuned; partId: string } | null = null
  const binds: string[] = []
  const additions: {
    part: string
    food: string
    addG: number
    stopG: number
    moves: readonly string[]
    why: string
  }[] = []
  const process: Answer['process'][number][] = []
  const others: { kind: string; part: string; objective: Answer['objective']; lines: unknown }[] = []
  const ask = (partId: string) => ({
    ...usualAsk(partId),
    hold,
    limits,
    allow,
    method: !options.amountsOnly,
    focus,
    consistency,
    seed: options.seed ?? 1,
  })
  try {
    for (let pass = 0; pass < (partIds.length > 1 ? PASSES : 1); pass += 1)
      for (const partId of partIds) {
        const found = tune(now, ask(partId), { library, kitchen }, solve)
        evaluations += found.evaluations
        last = { tuned: found, partId }
        now = found.answers[0]?.dish ?? found.collisions?.nearest ?? now
        binds.push(...found.binds.map(({ text }) => text))
        process.push(...(found.answers[0]?.process ?? []))
        const name = dish.parts.find(({ id }) => id === partId)?.name ?? ''
        if (pass === 0)
          for (const { name: food, addG, stopG, moves, why } of found.additions)
            additions.push({ part: name, food, addG, stopG, moves, why })
        for (const other of found.answers.slice(1))
          others.push({
            kind: other.kind,
            part: name,
            objective: other.objective,
            lines: other.lines
              .filter(({ beforeG, afterG }) => Math.abs(afterG - beforeG) > 1e-9)
              .map(({ text, foodId: food, beforeG, afterG }) => ({ text, foodId: food, beforeG, afterG })),
          })
      }
  } catch (error) {
    if (error instanceof TuneFault) throw new InputFault(error.message, 'arguments', error.hint)
    throw error
  }
  const after = assess(now, library, kitchen)
  const kept = [...aimLimits(dish), ...limits].flatMap(({ id, least, most }) => {
    const value = after.perPortion[id]
    if (value === null) return []
    return [
      ...(most === null ? [] : [{ id, value, limit: most, holds: value <= most + 1e-6 }]),
      ...(least === null ? [] : [{ id, value, limit: least, holds: value >= least - 1e-6 }]),
    ]
  })
  const collisions = last?.tuned.collisions ?? null
  if (kept.some(({ holds }) => !holds) || (collisions !== null && partIds.length === 1)) {
    const ids = new Set([
      ...(collisions?.collide.map(({ id }) => id) ?? []),
      ...kept.filter(({ holds }) => !holds).map(({ id }) => id),
    ])
    throw new InputFault(
      `These cannot all be kept: ${[...ids].join(', ')}.`,
      '--limit',
      (collisions?.loosen ?? [])
        .map(({ label, unit, possible }) =>
          `${label} could come to ${Number(possible.toPrecision(3))} ${unit}`.trim(),
        )
        .join('; ') || 'Loosen one of them, or allow a food that helps.',
      {
        collide: [...ids],
        loosen: collisions?.loosen ?? [],
        nearest: kept,
      },
    )
  }
  const partName = new Map(dish.parts.map(({ id, name }) => [id, name]))
  const massBefore = new Map(
    before.parts.flatMap(({ lines }) => lines.map((line) => [line.lineId, line.massG])),
  )
  const tunedParts = after.parts.filter(({ partId }) => partIds.includes(partId))
  return {
    lines: after.parts.flatMap(({ lines }) =>
      lines.flatMap(({ lineId, text, foodId: food, massG }) =>
        massG === null ? [] : [{ text, foodId: food, beforeG: massBefore.get(lineId) ?? 0, afterG: massG }],
      ),
    ),
    process: process.map(({ step, parameter, before: was, after: is }) => ({
      step,
      parameter,
      before: was,
      after: is,
    })),
    attributes: tunedParts.flatMap((part) =>
      part.attributes.flatMap(({ id, value, target, weight }) =>
        target === null
          ? []
          : [
              {
                id,
                part: partName.get(part.partId) ?? '',
                before:
                  before.parts
                    .find(({ partId }) => partId === part.partId)
                    ?.attributes.find((one) => one.id === id)?.value ?? value,
                after: value,
                target,
                weight,
              },
            ],
      ),
    ),
    objective: (consistency !== null && last?.tuned.answers[0]?.objective) || {
      before: mean(
        before.parts.flatMap(({ partId, distance }) =>
          partIds.includes(partId) && distance !== null ? [distance] : [],
        ),
      ),
      after: mean(tunedParts.flatMap(({ distance }) => (distance === null ? [] : [distance]))),
    },
    consistency: last?.tuned.answers[0]?.consistency ?? null,
    limits: kept,
    binds: [...new Set(binds)],
    others,
    additions,
    evaluations,
    seconds: (performance.now() - began) / 1000,
    dish: now,
  }
}
