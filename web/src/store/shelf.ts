import { type BackupContent, blankDish, type Dish, fail, ok, type Result } from '@frijol/core/model'
import { useEffect, useState } from 'react'
import {
  addDishes,
  type BadRow,
  countDishes,
  dishNames,
  dishRepository,
  everything,
  type Found,
  readDishes,
  watchDishIds,
} from '../data'
import { type ImportReport, type JobOptions, runJob } from '../workers'
import { newId, nowIso } from './ids'
import { useKitchenStore } from './kitchen'
import { benchReady, refreshFoods } from './load'
import { useOpenDish } from './openDish'

const readEverything = async () => (await everything()).readAll()

/** Reading and writing files is fetched when it is first needed. */
const interchange = () => import('@frijol/core/interchange')

/** Ids of every dish of this browser, newest first; null until they are read. */
export function useShelf(): readonly string[] | null {
  const [ids, setIds] = useState<readonly string[] | null>(null)
  useEffect(() => watchDishIds(setIds, (error) => console.error(error)), [])
  return ids
}

/** A dish of the shelf, or its damaged row, as any tab changes it; null until it is read. */
export function useShelved(id: string): Found<Dish> | null {
  const [found, setFound] = useState<Found<Dish> | null>(null)
  useEffect(() => dishRepository.watch(id, setFound), [id])
  return found
}

/** Every dish but the open one, read once; for what one dish asks of the others. */
export function useOtherDishes(id: string): readonly Dish[] {
  const [others, setOthers] = useState<readonly Dish[]>([])
  useEffect(() => {
    let isCurrent = true
    void readDishes().then(({ dishes }) => {
      if (isCurrent) setOthers(dishes.flatMap(({ value }) => (value.id === id ? [] : [value])))
    })
    return () => {
      isCurrent = false
    }
  }, [id])
  return others
}

/** Names of every dish, for finding one. */
export function useDishNames(): readonly { id: string; name: string }[] {
  const [names, setNames] = useState<readonly { id: string; name: string }[]>([])
  useEffect(() => {
    let isCurrent = true
    void dishNames().then((found) => {
      if (isCurrent) setNames(found)
    })
    return () => {
      isCurrent = false
    }
  }, [])
  return names
}

/** A new, empty dish. Returns its id. */
export async function addBlankDish(name: string): Promise<string> {
  const dish = blankDish(newId(), name, nowIso())
  await addDishes([dish], [])
  return dish.id
}

/** A dish read from a file gets an id of its own unless it is new here. */
async function added(dishes: readonly Dish[]): Promise<Dish[]> {
  const fresh = dishes.map((dish) => ({ ...dish, id: newId() }))
  await addDishes(fresh, [])
  return fresh
}

/** Reads recipes from text and puts them on the shelf; on any fault nothing is changed. */
export async function importText(text: string): Promise<Result<Dish[]>> {
  const [{ readRecipes }, { readContext }] = await Promise.all([
    interchange(),
    import('./reading'),
    benchReady(),
  ])
  const read = readRecipes(text, readContext())
  return read.ok ? ok(await added(read.value)) : read
}

/** A backup holds every trial of a kitchen, and so may be far larger than a recipe. Bytes. */
const LARGEST_BACKUP = 400e6

/** Reads a file's text unless it is too large to be a recipe. */
async function fileText(file: File, largestBytes?: number): Promise<Result<string>> {
  const { LARGEST_FILE, tooLarge } = await interchange()
  if (file.size > (largestBytes ?? LARGEST_FILE)) return tooLarge(file.size / 1e6)
  try {
    return ok(await file.text())
  } catch {
    return fail({
      code: 'unreadable',
      path: [file.name],
      message: `“${file.name}” could not be read. Nothing was changed. Try it again.`,
    })
  }
}

export async function importFile(file: File): Promise<Result<Dish[]>> {
  const text = await fileText(file)
  return text.ok ? importText(text.value) : text
}

export interface ImportedMany {
  readonly count: number
  readonly failed: ImportReport['failed']
}

/**
 * Reads many files beside the screen and puts their dishes on the shelf together; stopped, nothing is added.
 * Files that are no recipe by their name are passed over.
 */
export async function importFiles(files: readonly File[], options: JobOptions): Promise<ImportedMany> {
  const { kitchen, own } = useKitchenStore.getState()
  const { dishes, failed } = await runJob('importRecipes', { files: [...files], kitchen, own }, options)
  options.signal?.throwIfAborted()
  await addDishes(dishes, [])
  return { count: dishes.length, failed }
}

/**
 * Puts the dishes of the demo kitchen beside what is here; nothing of one's own is replaced.
 * @returns how many came; those that are here already stay as they are
 */
export async function openDemoKitchen(): Promise<number> {
  const [{ demoKitchen }, { addMissing }] = await Promise.all([import('@frijol/demo'), everything()])
  const added = await addMissing(demoKitchen())
  await refreshFoods()
  return added.length
}

/** Whether the application was started here before; marks that it is now. */
function hasStarted(): boolean {
  try {
    if (localStorage.getItem('frijol-started') !== null) return true
    localStorage.setItem('frijol-started', 'yes')
    return false
  } catch {
    // A browser that keeps nothing starts anew every time.
    return false
  }
}

/** On a first start that asks for it, the demo kitchen is opened. */
export async function openDemoOnFirstStart(): Promise<void> {
  if (hasStarted() || (await countDishes()) > 0) return
  const health = await fetch('/api/health')
    .then((response) => (response.ok ? (response.json() as Promise<unknown>) : null))
    .catch(() => null)
  const wants =
    typeof health === 'object' && health !== null && 'opensDemo' in health && health.opensDemo === true
  if (wants) await openDemoKitchen()
}

export interface MadeBackup {
  readonly text: string
  /** Rows that are damaged, and so are not in it. */
  readonly skipped: readonly BadRow[]
}

/** Everything in one file, but for rows that are damaged: those are named. */
export async function makeBackupFile(): Promise<MadeBackup> {
  const [{ makeBackup }, { content, bad }] = await Promise.all([interchange(), readEverything()])
  return { text: makeBackup(content, nowIso()), skipped: bad }
}

/** Every row as it is stored, readable or not, as a JSON file that nothing was taken out of. */
export async function rawText(): Promise<string> {
  return `${JSON.stringify({ format: 'frijol/rows', savedAt: nowIso(), tables: await (await everything()).readRaw() }, null, 1)}\n`
}

/** Rows that cannot be read, of every table. */
export const damagedRows = async (): Promise<readonly BadRow[]> => (await readEverything()).bad

/** Takes a damaged row away; returns the way to put it back. */
export const takeAwayDamaged = async (row: BadRow): Promise<() => Promise<void>> =>
  (await everything()).removeBad(row)

/** What a backup would replace, before it is restored. */
export async function checkBackup(
  file: File,
): Promise<Result<{ content: BackupContent; replaces: string[] }>> {
  const text = await fileText(file, LARGEST_BACKUP)
  if (!text.ok) return text
  const [{ readBackup }, { clashes }] = await Promise.all([interchange(), everything()])
  const read = readBackup(text.value)
  return read.ok ? ok({ content: read.value, replaces: await clashes(read.value) }) : read
}

/** Puts a backup in, all or nothing; tabs that show what it replaces follow. */
export async function restoreBackup(content: BackupContent): Promise<void> {
  await (await everything()).restoreAll(content)
  await refreshFoods()
}

/** What this tab shows and storage refused, as a backup file of the open dish and the settings. */
export async function unsavedFile(): Promise<string> {
  const { makeBackup } = await interchange()
  const dish = useOpenDish.getState().value
  const { kitchen, own } = useKitchenStore.getState()
  const content = { kitchen, dishes: dish === null ? [] : [dish], trials: [], ingredients: [...own] }
  return makeBackup(content, nowIso())
}
