import { type DayAsk, type DayPlan, planDay, replan, type Replanned } from '@frijol/core/day'
import { diagnose, type DiagnoseAsk, type Diagnosis } from '@frijol/core/diagnosis'
import { entriesOf, type Entry, NOW, type VineEntry, vineOf } from '@frijol/core/history'
import { indexFoods } from '@frijol/core/measure'
import type { CookSession, Dish, Kitchen, Series, Trial } from '@frijol/core/model'
import { type NextTrials, nextTrials } from '@frijol/core/nextTrial'
import { assess } from '@frijol/core/assess'
import { asMadeDish, tastedOfTrial } from '@frijol/core/history'
import { ownWordsOf, readRecipeMethod, stepFrom } from '@frijol/core/reading'
import type { Ingredient } from '@frijol/core/model'
import { PlanFault } from '@frijol/core/schedule'
import {
  type Designed,
  designSeries,
  readSeries,
  type SeriesPlan,
  type SeriesReading,
  type Setting,
} from '@frijol/core/series'
import { createSolver } from '@frijol/core/solver'
import {
  convert,
  type ConvertAsk,
  type Converted,
  proposeSwaps,
  type SwapAsk,
  type SwapProposal,
} from '@frijol/core/swap'
import { tune, type TuneAsk, type Tuned, TuneFault, type TuneOptions } from '@frijol/core/tune'
import { libraryFrom, withOriginals, withOwn } from '@frijol/library/from'
import wasmUrl from 'highs/runtime?url'
import { nanoid } from 'nanoid'
import { readTrials } from '../data/dishes'
import { fetchLibrary } from '../data/fetchLibrary'
import { importRecipes } from './importRecipes'
import type { ImportReport, NamedFile, Report } from './recipeFiles'
import { shrinkPhoto, type ShrunkPhoto } from './shrinkPhoto'

export interface ImportInput {
  readonly files: readonly NamedFile[]
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

export interface TuneInput {
  readonly dish: Dish
  readonly ask: TuneAsk
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

export interface SwapInput {
  readonly dish: Dish
  readonly ask: SwapAsk
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}
export interface ConvertInput {
  readonly dish: Dish
  readonly ask: ConvertAsk
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

export interface PlanInput {
  readonly ask: DayAsk
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

export interface ReplanInput {
  readonly session: CookSession
  readonly cooks: number
  readonly away: DayAsk['away']
  readonly kitchen: Kitchen
  readonly nowMs: number
}

export interface VineInput {
  readonly dish: Dish
  /** The formula in work alone, beside the trial that it came from; null = all kept trials, read here. */
  readonly nowFrom: readonly Trial[] | null
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

export interface DiagnoseInput {
  readonly ask: DiagnoseAsk
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

export interface NextInput {
  /** The formula to go on from. */
  readonly dish: Dish
  readonly partId: string
  readonly trials: readonly Trial[]
  readonly kitchen: Kitchen
  readonly own: readonly Ingredient[]
}

export interface LayOutInput {
  readonly plan: SeriesPlan
  readonly control: Setting
  readonly stepG: number
}

/** What next trials come to, or why none can be looked for. */
export type NextResult =
  | { readonly ok: true; readonly next: NextTrials }
  | { readonly ok: false; readonly message: string; readonly hint: string }

/** So many trials are told at once. */
const VINE_BATCH = 12

/** The library as the person has it, in the worker. */
async function libraryOf(kitchen: Kitchen, own: readonly Ingredient[]) {
  return withOriginals(withOwn(libraryFrom(await fetchLibrary()), own), kitchen.originals)
}

/** What a search brings: answers, or why there is nothing to look for. */
export type TuneResult =
  | { readonly ok: true; readonly tuned: Tuned }
  | { readonly ok: false; readonly message: string; readonly hint: string }

/** Partial plans for a first look at a day: it is there at once, and better ones follow. */
const FIRST_EFFORT = 300

/** A day on the clock, or what stands in its way. */
export type PlanResult =
  | { readonly ok: true; readonly plan: DayPlan }
  | { readonly ok: false; readonly message: string; readonly hint: string }

/** What is left of a day, or what stands in its way. */
export type ReplanResult =
  | { readonly ok: true; readonly plan: Replanned }
  | { readonly ok: false; readonly message: string; readonly hint: string }

/** Everything that is worked out beside the screen: plain data in, plain data out, told how far it is. */
export const JOBS = {
  importRecipes: async ({ files, kitchen, own }: ImportInput, onProgress: Report): Promise<ImportReport> => {
    const { ingredients } = withOwn(libraryFrom(await fetchLibrary()), own)
    const words = ownWordsOf(kitchen)
    const newId = (): string => nanoid(12)
    return importRecipes(
      files,
      {
        reader: { index: indexFoods(ingredients.values(), kitchen.names), ingredients, kitchen },
        newId,
        now: new Date().toISOString(),
        readStep: (text, id) => stepFrom(text, id, words),
        readMethod: readRecipeMethod,
      },
      onProgress,
    )
  },
  tune: async (
    { dish, ask, kitchen, own }: TuneInput,
    onProgress: NonNullable<TuneOptions['onProgress']>,
  ): Promise<TuneResult> => {
    const [library, solve] = await Promise.all([libraryOf(kitchen, own), createSolver({ wasmUrl })])
    try {
      return { ok: true, tuned: tune(dish, ask, { library, kitchen }, solve, { onProgress }) }
    } catch (error) {
      // What the person asked for cannot be looked for: that is an answer, not a defect.
      if (error instanceof TuneFault) return { ok: false, message: error.message, hint: error.hint }
      throw error
    }
  },
  plan: async (
    { ask, kitchen, own }: PlanInput,
    onFirst: (first: PlanResult) => void,
  ): Promise<PlanResult> => {
    const bench = { library: await libraryOf(kitchen, own), kitchen }
    try {
      onFirst({ ok: true, plan: planDay(ask, bench, { effort: FIRST_EFFORT, asksWhy: false }) })
      return { ok: true, plan: planDay(ask, bench) }
    } catch (error) {
      if (error instanceof PlanFault) return { ok: false, message: error.message, hint: error.hint }
      throw error
    }
  },
  replan: ({ session, nowMs, ...bench }: ReplanInput, onProgress: () => void): Promise<ReplanResult> => {
    onProgress()
    try {
      return Promise.resolve({ ok: true, plan: replan(session, bench, nowMs) })
    } catch (error) {
      if (error instanceof PlanFault)
        return Promise.resolve({ ok: false, message: error.message, hint: error.hint })
      throw error
    }
  },
  vine: async (
    { dish, nowFrom, kitchen, own }: VineInput,
    onSome: (some: readonly VineEntry[]) => void,
  ): Promise<readonly VineEntry[]> => {
    const library = await libraryOf(kitchen, own)
    const trials = nowFrom ?? (await readTrials(dish.id)).trials
    const entries: readonly Entry[] = entriesOf(dish, trials)
    const all: VineEntry[] = []
    let told = 0
    for (const entry of vineOf(
      entries,
      { library, kitchen },
      (one) => (one.key === NOW) === (nowFrom !== null),
    )) {
      all.push(entry)
      if (all.length - told < VINE_BATCH) continue
      onSome(all.slice(told))
      told = all.length
    }
    return all
  },
  diagnose: async (
    { ask, kitchen, own }: DiagnoseInput,
    onProgress: () => void,
  ): Promise<Diagnosis | null> => {
    const library = await libraryOf(kitchen, own)
    onProgress()
    return diagnose(ask, { library, kitchen })
  },
  nextTrials: async (
    { dish, partId, trials, kitchen, own }: NextInput,
    onProgress: () => void,
  ): Promise<NextResult> => {
    const [library, solve] = await Promise.all([libraryOf(kitchen, own), createSolver({ wasmUrl })])
    onProgress()
    const name = dish.parts.find(({ id }) => id === partId)?.name
    const tried = trials.flatMap(({ number, asMade, ...trial }) => {
      const made = asMadeDish({ ...dish, parts: trial.parts }, asMade)
      const reading = assess(made, library, kitchen).parts.find(
        (part) => part.partId === partId || part.name === name,
      )
      if (reading === undefined) return []
      return [{ number, reading, tasted: tastedOfTrial(kitchen.tasted, dish.id, number, reading) }]
    })
    try {
      return { ok: true, next: nextTrials({ dish, partId, tried, seed: 1, solve }, { library, kitchen }) }
    } catch (error) {
      if (error instanceof TuneFault) return { ok: false, message: error.message, hint: error.hint }
      throw error
    }
  },
  layOut: ({ plan, control, stepG }: LayOutInput, onProgress: () => void): Promise<Designed> => {
    onProgress()
    return Promise.resolve(designSeries(plan, control, stepG, () => nanoid(12)))
  },
  readSeries: ({ series }: { readonly series: Series }, onProgress: () => void): Promise<SeriesReading> => {
    onProgress()
    return Promise.resolve(readSeries(series))
  },
  shrinkPhoto: ({ file }: { readonly file: Blob }, onProgress: () => void): Promise<ShrunkPhoto> => {
    onProgress()
    return shrinkPhoto(file)
  },
  swap: async ({ dish, ask, kitchen, own }: SwapInput, onProgress: () => void): Promise<SwapProposal[]> => {
    const library = await libraryOf(kitchen, own)
    onProgress()
    return proposeSwaps(dish, ask, { library, kitchen })
  },
  convert: async ({ dish, ask, kitchen, own }: ConvertInput, onProgress: () => void): Promise<Converted> => {
    const library = await libraryOf(kitchen, own)
    onProgress()
    return convert(dish, ask, { library, kitchen })
  },
} as const

export type Jobs = typeof JOBS
