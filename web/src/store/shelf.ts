import { LARGEST_FILE, makeBackup, readBackup, readRecipes, tooLarge } from '@frijol/core/interchange'
import { type BackupContent, blankDish, type Dish, fail, ok, type Result } from '@frijol/core/model'
import { useEffect, useState } from 'react'
import {
  addDishes,
  clashes,
  countDishes,
  type DishRow,
  readAll,
  removeDish,
  restoreAll,
  restoreDish,
  watchDishes,
} from '../data'
import { newId, nowIso, tabId } from './ids'
import { loadKitchen, readContext } from './kitchen'

/** Every dish of this browser, newest first; null until they are read. */
export function useShelf(): readonly DishRow[] | null {
  const [rows, setRows] = useState<readonly DishRow[] | null>(null)
  useEffect(() => watchDishes(setRows, (error) => console.error(error)), [])
  return rows
}

/** A new, empty dish. Returns its id. */
export async function addBlankDish(name: string): Promise<string> {
  const dish = blankDish(newId(), name, nowIso())
  await addDishes([dish], [], tabId)
  return dish.id
}

/** A dish read from a file gets an id of its own unless it is new here. */
async function added(dishes: readonly Dish[]): Promise<Dish[]> {
  const fresh = dishes.map((dish) => ({ ...dish, id: newId() }))
  await addDishes(fresh, [], tabId)
  return fresh
}

/** Reads recipes from text and puts them on the shelf; on any fault nothing is changed. */
export async function importText(text: string): Promise<Result<Dish[]>> {
  const read = readRecipes(text, readContext())
  return read.ok ? ok(await added(read.value)) : read
}

/** Reads a file's text unless it is too large to be a recipe. */
async function fileText(file: File): Promise<Result<string>> {
  if (file.size > LARGEST_FILE) return tooLarge(file.size / 1e6)
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

/** Takes a dish off the shelf; returns the way to put it back. */
export async function takeOffShelf(id: string): Promise<(() => Promise<void>) | null> {
  const removed = await removeDish(id)
  return removed === null ? null : () => restoreDish(removed)
}

async function putBack(content: BackupContent): Promise<void> {
  await restoreAll(content, tabId)
  await loadKitchen()
}

/** Opens the demo kitchen beside what is here. */
export async function openDemoKitchen(): Promise<void> {
  const { demoKitchen } = await import('@frijol/demo')
  await putBack(demoKitchen())
}

/** On a first start that asks for it, the demo kitchen is opened. */
export async function openDemoOnFirstStart(): Promise<void> {
  if ((await countDishes()) > 0 || localStorage.getItem('frijol-started') !== null) return
  localStorage.setItem('frijol-started', 'yes')
  const health = await fetch('/api/health')
    .then((response) => (response.ok ? (response.json() as Promise<unknown>) : null))
    .catch(() => null)
  const wants =
    typeof health === 'object' && health !== null && 'opensDemo' in health && health.opensDemo === true
  if (wants) await openDemoKitchen()
}

export async function backupText(): Promise<string> {
  return makeBackup(await readAll(), nowIso())
}

/** What a backup would replace, before it is restored. */
export async function checkBackup(
  file: File,
): Promise<Result<{ content: BackupContent; replaces: string[] }>> {
  const text = await fileText(file)
  if (!text.ok) return text
  const read = readBackup(text.value)
  return read.ok ? ok({ content: read.value, replaces: await clashes(read.value) }) : read
}

export const restoreBackup = (content: BackupContent): Promise<void> => putBack(content)
