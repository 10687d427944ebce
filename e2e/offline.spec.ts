import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import { expect, test } from '@playwright/test'
import { waitSaved } from './bench'

const root = fileURLToPath(new URL('..', import.meta.url))
const PORT = 4674

/** Code that the page needs before it shows anything, gzip kB. */
const MOST_FIRST_KB = 230

test('the first load holds no engine, no charts and no readers of files', () => {
  const folder = new URL('../web/dist/', import.meta.url)
  const html = readFileSync(new URL('index.html', folder), 'utf8')
  const files = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(([, file]) => file ?? '')
  expect(files.length).toBeGreaterThan(2)
  const bytes = files.map((file) => gzipSync(readFileSync(new URL(file, folder))).length)
  expect(bytes.reduce((sum, size) => sum + size, 0) / 1000).toBeLessThan(MOST_FIRST_KB)
})

/** A server of its own, that can be stopped. */
async function startServer(): Promise<{ address: string; server: ChildProcess }> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: root,
    env: { ...process.env, PORT: String(PORT), FRIJOL_DEMO: '' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const address = await new Promise<string>((resolve, reject) => {
    server.stdout.on('data', (data) => {
      const found = /http:\/\/\S+/.exec(String(data))
      if (found !== null) resolve(found[0])
    })
    server.on('exit', () => reject(new Error('the server did not start')))
  })
  return { address, server }
}

test('after the first load it works with the server stopped, and keeps what is done', async ({ page }) => {
  const { address, server } = await startServer()
  const stop = async () => {
    const ended = new Promise((resolve) => server.on('exit', resolve))
    server.kill('SIGTERM')
    await ended
  }
  try {
    await page.goto(address)
    await page.getByRole('button', { name: 'Start a dish' }).first().click()
    await expect(page.getByLabel('Add a line')).toBeVisible()
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready
    })
    // Everything is kept once the worker is active; give it the pages that it opens next.
    await page.reload()
    await expect(page.getByLabel('Add a line')).toBeVisible()
    await stop()

    await page.reload()
    await page.getByLabel('Add a line').fill('200 g white beans')
    await page.keyboard.press('Enter')
    await waitSaved(page)
    await page.keyboard.press('Alt+3')
    await expect(page.getByRole('textbox', { name: 'Add a step' })).toBeVisible()
    await page.reload()
    await expect(page.getByRole('textbox', { name: 'Add a step' })).toBeVisible()
    await page.keyboard.press('Alt+2')
    await expect(page.getByRole('textbox', { name: /^Amount of/ })).toHaveCount(1)
    await page.goto(`${address}/pantry`)
    await expect(page.getByRole('heading', { name: 'Pantry' })).toBeVisible()
  } finally {
    if (server.exitCode === null) await stop()
  }
})
