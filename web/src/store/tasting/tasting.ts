import {
  type AttributeId,
  type Dish,
  dishOfTrial,
  type Original,
  type Seat,
  type Serving,
  type Taster,
  type Tasting,
  type TastingAnswer,
  type TastingSample,
  type TastingSettings,
  type Trial,
} from '@frijol/core/model'
import {
  designTasting,
  faultsOf,
  originalAllergens,
  resultOf,
  tastedOf,
  type TastingResult,
} from '@frijol/core/sensory'

import { learnedOf, familyTable, type Learned } from '@frijol/core/texture'
import { useEffect, useMemo, useState } from 'react'
import { addTasting, type ReadTastings, removeTasting, watchTastings } from '../../data'
import { newId, nowIso } from '../ids'
import { changeKitchen, useKitchenStore } from '../kitchen'
import { run } from '../openDish'
import { weighAttribute } from '../goalCommands'
import { flushTasting, openTasting, runTasting, shutTasting, useOpenTasting } from './openTasting'
import * as commands from './tastingCommands'

const NONE: ReadTastings = { tastings: [], bad: [] }

/** The tastings of a dish, newest first; null until they are read. Follows every tab. */
export function useTastings(dishId: string): ReadTastings | null {
  const [read, setRead] = useState<{ dishId: string; read: ReadTastings } | null>(null)
  useEffect(() => watchTastings(dishId, (found) => setRead({ dishId, read: found })), [dishId])
  return read === null ? null : read.dishId === dishId ? read.read : NONE
}

/** A part of a dish, as it is or as a trial of it, to be tasted: where the model puts it before it learned anything here. */
export function sampleOf(dish: Dish, trial: Trial | null, partId: string): TastingSample {
  const { engine, library, kitchen } = useKitchenStore.getState()
  const shown = trial === null ? dish : dishOfTrial(dish, trial)
  const assessment =
    engine === null || library === null ? null : engine.assess(shown, library, { ...kitchen, tasted: [] })
  const part = shown.parts.find(({ id }) => id === partId) ?? shown.parts[0]
  const ofPart = shown.parts.length > 1 && part !== undefined ? `, ${part.name.toLowerCase()}` : ''
  const reading = assessment?.parts.find((one) => one.partId === part?.id)
  const number = trial?.number ?? dish.trial.number
  return {
    id: newId(),
    kind: trial === null ? 'mix' : 'trial',
    label: `Trial ${number}${ofPart}`,
    trialNumber: number,
    partId: part?.id ?? null,
    originalId: part?.originalId ?? null,
    family: part?.family ?? null,
    allergens: assessment?.allergens ?? [],
    isAnimal: false,
    predicted: Object.fromEntries(
      (reading?.attributes ?? []).map(({ id, value, sd }) => [id, { value, sd }]),
    ),
  }
}

/** The original as it is bought or cooked for the tasting. */
export const sampleOfOriginal = (original: Original): TastingSample => ({
  id: newId(),
  kind: 'original',
  label: original.name,
  trialNumber: null,
  partId: null,
  originalId: original.id,
  family: original.family,
  allergens: [...originalAllergens(original)],
  isAnimal: true,
  predicted: Object.fromEntries(
    Object.entries(original.attributes).map(([id, value]) => [id, { value, sd: 0 }]),
  ),
})

/** What is served now, or anything else that is brought to the table. */
export const otherSample = (label: string): TastingSample => ({
  id: newId(),
  kind: 'other',
  label,
  trialNumber: null,
  partId: null,
  originalId: null,
  family: null,
  allergens: [],
  isAnimal: false,
  predicted: {},
})

/** Tasters' marks as they are counted: P1 to P8. */
export const usualPanel = (count: number): Taster[] =>
  Array.from({ length: count }, (_, at) => ({ id: `P${at + 1}`, avoids: [], eats: 'everything' }))

const seated = (taster: Taster): Seat => ({ ...taster, agreesToAnimal: false })
const USUAL_PANEL = 8
const MOST_ASKED = 6

/** What a tasting is planned by before anything of it is set: this mix against its original. */
export function usualPlan(dish: Dish, partId: string): TastingSettings {
  const { library, kitchen } = useKitchenStore.getState()
  const part = dish.parts.find(({ id }) => id === partId) ?? dish.parts[0]
  const original = part?.originalId == null ? undefined : library?.originals.get(part.originalId)
  const ours = sampleOf(dish, null, partId)
  const theirs = original === undefined ? null : sampleOfOriginal(original)
  const asked = (Object.entries(original?.importance ?? {}) as [AttributeId, number][])
    .filter(([id]) => id in ours.predicted)
    .sort((a, b) => b[1] - a[1])
    .slice(0, MOST_ASKED)
    .map(([id]) => id)
  const panel = kitchen.panel.length > 0 ? kitchen.panel : usualPanel(USUAL_PANEL)
  return {
    protocol: theirs === null ? 'liking' : 'tetrad',
    samples: theirs === null ? [ours] : [theirs, ours],
    controlId: theirs?.id ?? null,
    by: null,
    expectedId: null,
    attributes: asked,
    asksLiking: theirs === null,
    tasters: panel.map(seated),
    rounds: 1,
    alpha: 0.05,
    detects: 1.5,
    scatter: 1.8,
    similarPd: null,
    // Told with the tasting: the same seed gives the same orders and codes.
    seed: crypto.getRandomValues(new Uint32Array(1))[0] ?? 1,
    portionG: 30,
    servedC: part?.moved.servingTempC ?? original?.servingTempC ?? 60,
    vessel: 'small cups, all alike',
    rinse: 'water and plain unsalted bread',
    restS: 60,
    warmsUp: false,
  }
}

/** Puts a new tasting in and opens it. @returns its id */
export async function newTasting(dish: Dish, partId: string, from: Tasting | null = null): Promise<string> {
  const now = nowIso()
  const usual = usualPlan(dish, partId)
  const tasting: Tasting = {
    format: 'frijol/tasting',
    version: 1,
    id: newId(),
    dishId: dish.id,
    name: dish.name,
    createdAt: now,
    updatedAt: now,
    // Tasted again: planned as before, with new codes and orders.
    settings: from === null ? usual : { ...from.settings, seed: usual.seed },
    design: null,
    answers: [],
    closedAt: null,
  }
  await flushTasting()
  await addTasting(tasting)
  await openTasting(tasting.id)
  return tasting.id
}

/** Takes the open tasting away. @returns the way back */
export async function dropTasting(id: string): Promise<() => Promise<void>> {
  await flushTasting()
  await shutTasting()
  return removeTasting(id)
}

/** Draws orders and codes. @returns why it cannot begin, null where it has */
export function beginTasting(): string | null {
  const tasting = useOpenTasting.getState().value
  if (tasting === null) return 'No tasting is open.'
  const servings = designTasting(tasting.settings)
  if (!servings.ok) return servings.issues[0]?.message ?? 'This tasting cannot begin.'
  return runTasting(commands.setOut(servings.value, Date.now())) ? null : 'This tasting cannot begin.'
}

/** Writes the answer of one serving down, as it came by tablet or from paper. @returns whether it fits */
export const takeAnswer = (
  serving: Pick<Serving, 'id' | 'tasterId'>,
  answer: Omit<TastingAnswer, 'servingId' | 'at'>,
): boolean =>
  runTasting(
    commands.answer(
      [{ servingId: serving.id, at: Date.now(), ...answer }],
      `take the answer of ${serving.tasterId}`,
    ),
  )

/** The kitchen keeps who tastes here, with what they avoid. */
export function keepPanel(tasters: readonly Seat[]): void {
  changeKitchen('keep who tastes here', ({ panel, ...kitchen }) => ({
    ...kitchen,
    panel: [
      ...panel.filter(({ id }) => tasters.every((one) => one.id !== id)),
      ...tasters.map(({ id, avoids, eats }) => ({ id, avoids, eats })),
    ].sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true })),
  }))
}

/** What a tasting comes to, from its answers as they stand. */
export const useResult = (tasting: Tasting | null): TastingResult | null =>
  useMemo(() => (tasting === null || tasting.design === null ? null : resultOf(tasting)), [tasting])

const dayOf = (tasting: Tasting): string =>
  new Date(tasting.design?.at ?? Date.parse(tasting.createdAt)).toISOString().slice(0, 10)

/** Lets the kitchen's families learn from a tasting, in the place of what it taught before. @returns how many values */
export function learnFrom(tasting: Tasting): number {
  const tasted = tastedOf(tasting, resultOf(tasting).observed, dayOf(tasting))
  changeKitchen('learn from a tasting', (kitchen) => ({
    ...kitchen,
    tasted: [...kitchen.tasted.filter(({ tastingId }) => tastingId !== tasting.id), ...tasted],
  }))
  return tasted.length
}

export function forgetTasting(tastingId: string): void {
  changeKitchen('forget what a tasting taught', (kitchen) => ({
    ...kitchen,
    tasted: kitchen.tasted.filter((one) => one.tastingId !== tastingId),
  }))
}

/** What one tasting moved, attribute by attribute: what the model said, what they tasted, what is learned of all tastings. */
export interface Moved {
  readonly attribute: AttributeId
  readonly predicted: number
  readonly observed: number
  readonly learned: Learned | null
}
export function useMoved(
  tasting: Tasting,
  result: TastingResult,
): { moved: readonly Moved[]; isLearned: boolean } {
  const kitchen = useKitchenStore((state) => state.kitchen)
  return useMemo(() => {
    const isLearned = kitchen.tasted.some(({ tastingId }) => tastingId === tasting.id)
    const moved = tastedOf(tasting, result.observed, dayOf(tasting)).map(
      ({ attribute, family, predicted, observed }): Moved => {
        const table = familyTable(family)
        const learned = table === null ? null : (learnedOf(table, kitchen).get(attribute) ?? null)
        return { attribute, predicted, observed, learned }
      },
    )
    return { moved, isLearned }
  }, [kitchen, tasting, result])
}

/** The part of the dish that a sample is of: by its id, else the one of its family; null where it is gone. */
export function partTasted({ parts }: Dish, { settings }: Tasting, sampleId: string): string | null {
  const sample = settings.samples.find(({ id }) => id === sampleId)
  if (sample === undefined) return null
  const found =
    parts.find(({ id }) => id === sample.partId) ??
    parts.find(({ family }) => family !== null && family === sample.family)
  return found?.id ?? null
}

/** Most that an attribute can count. */
const MOST_WEIGHT = 3
/** Fewer people than this say nothing that a mix is tuned by. */
const LEAST_PEOPLE = 3

/** What is to count when the mix is tuned: what a profile shows, and what most of those who mind want the same way. */
export function missedOf({
  observed,
  jar,
}: TastingResult): readonly { sampleId: string; attribute: AttributeId }[] {
  const shown = observed.filter(({ isShown }) => isShown)
  const minded = jar.filter(
    ({ penalty: { n, tooLittle, tooMuch } }) =>
      n >= LEAST_PEOPLE && tooLittle.overThreshold !== tooMuch.overThreshold,
  )
  return [...shown, ...minded]
}

/** Lets what they miss count most when the mix is tuned. @returns what was given over */
export function giveToTune(dish: Dish, tasting: Tasting, result: TastingResult): readonly AttributeId[] {
  const given: AttributeId[] = []
  for (const { sampleId, attribute } of missedOf(result)) {
    const partId = partTasted(dish, tasting, sampleId)
    if (partId === null || given.includes(attribute)) continue
    if (run(weighAttribute(partId, attribute, MOST_WEIGHT))) given.push(attribute)
  }
  return given
}

/** The answers as a table, for a spreadsheet. */
export const answersCsv = async (tasting: Tasting): Promise<string> =>
  (await import('@frijol/core/interchange')).tastingTable(tasting)

/** Takes answers in from a table: all of them or none, since half a table would look like missing tastings. */
export async function takeTable(
  text: string,
): Promise<{ readonly taken: number; readonly faults: readonly string[] }> {
  const { readTastingTable } = await import('@frijol/core/interchange')
  const tasting = useOpenTasting.getState().value
  if (tasting === null) return { taken: 0, faults: ['No tasting is open.'] }
  const { answers, faults: unread } = readTastingTable(text, tasting, Date.now())
  const byId = new Map((tasting.design?.servings ?? []).map((serving) => [serving.id, serving]))
  const unfit = answers.flatMap((answer) => {
    const serving = byId.get(answer.servingId)
    return serving === undefined
      ? []
      : faultsOf(tasting.settings, serving, answer).map(
          (fault) => `${serving.tasterId}, round ${serving.round}: ${fault}`,
        )
  })
  const faults = [...unread, ...unfit]
  if (faults.length > 0) return { taken: 0, faults }
  if (answers.length === 0) return { taken: 0, faults: ['There is no answer in this table.'] }
  const isIn = runTasting(commands.answer(answers, `take ${answers.length} answers in`))
  return { taken: isIn ? answers.length : 0, faults: [] }
}
