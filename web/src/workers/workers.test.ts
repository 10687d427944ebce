import { library } from '@frijol/library'
import { indexFoods } from '@frijol/core/measure'
import { defaultKitchen } from '@frijol/core/model'
import { readRecipeMethod, stepFrom } from '@frijol/core/reading'
import type { ReadContext } from '@frijol/core/interchange'
import { expose } from 'comlink'
import { describe, expect, it, vi } from 'vitest'
import { runJob } from './door'
import { importRecipes } from './importRecipes'
import { isRecipeFile, type NamedFile } from './recipeFiles'
import { JOBS } from './jobs'

let count = 0
const context: ReadContext = {
  reader: {
    index: indexFoods(library.ingredients.values()),
    ingredients: library.ingredients,
    kitchen: defaultKitchen,
  },
  newId: () => `w${(count += 1)}`,
  now: '2026-06-14T12:00:00Z',
  readStep: stepFrom,
  readMethod: readRecipeMethod,
}
const file = (name: string, text: string, size = text.length): NamedFile => ({
  name,
  size,
  text: () => Promise.resolve(text),
})
const SOUP = '# Bean soup\n\n- 200 g white beans\n- 4 g salt\n\n1. Simmer for 20 minutes.\n'

describe('a folder of recipes', () => {
  it('comes in file by file; a bad one spoils no other and says why', async () => {
    const told = vi.fn()
    const { dishes, read, failed } = await importRecipes(
      [
        file('soup.md', SOUP),
        file('broken.json', '{"a":'),
        file('huge.md', SOUP, 30e6),
        { name: 'gone.md', size: 3, text: () => Promise.reject(new DOMException('x', 'NotReadableError')) },
        file('again.md', SOUP),
      ],
      context,
      told,
    )
    expect(dishes.map(({ name }) => name)).toEqual(['Bean soup', 'Bean soup'])
    expect(new Set(dishes.map(({ id }) => id)).size).toBe(2)
    expect(read).toEqual([
      { file: 'soup.md', count: 1 },
      { file: 'again.md', count: 1 },
    ])
    expect(failed.map(({ file: name }) => name)).toEqual(['broken.json', 'huge.md', 'gone.md'])
    expect(failed[1]?.reason).toMatch(/MB/)
    expect(told.mock.calls).toEqual([1, 2, 3, 4, 5].map((done) => [done, 5]))
  })

  it('passes over what is no recipe by its name', () => {
    expect(['a.md', 'b.JSONLD', 'c.html', 'd.png', 'notes'].map(isRecipeFile)).toEqual([
      true,
      true,
      true,
      false,
      false,
    ])
  })
})

/** A worker of the same jobs over a channel, in this thread. */
function channelWorker(): Worker {
  const { port1, port2 } = new MessageChannel()
  expose(JOBS, port2)
  port1.start()
  return Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker
}

describe('the door to the workers', () => {
  const input = { files: [], kitchen: defaultKitchen, own: [] }

  it('gives back what the job found', async () => {
    const report = await runJob('importRecipes', input, {}, channelWorker)
    expect(report).toEqual({ dishes: [], read: [], failed: [] })
  })

  it('rejects when it is stopped, and ends its worker', async () => {
    const stop = new AbortController()
    const ended = vi.fn()
    const idle = () =>
      Object.assign(channelWorker(), { postMessage: () => undefined, terminate: ended }) as unknown as Worker
    const job = runJob('importRecipes', input, { signal: stop.signal }, idle)
    stop.abort()
    await expect(job).rejects.toMatchObject({ name: 'AbortError' })
    expect(ended).toHaveBeenCalledOnce()
    await expect(runJob('importRecipes', input, { signal: stop.signal }, idle)).rejects.toMatchObject({
      name: 'AbortError',
    })
  })
})
