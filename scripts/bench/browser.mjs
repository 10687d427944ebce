// Time from a key to the painted readings in Chromium, against a bare React input in the same run.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import express from 'express'
import { build } from 'vite'
import { openBrowser, sampleKeys, startServer } from '../chromium.mjs'
import { root } from '../run.mjs'

const PORT = 4675
const BARE_PORT = 4676
const FRAME_MS = 1000 / 60
const KEYS = 120

const outDir = mkdtempSync(join(tmpdir(), 'frijol-bare-'))
await build({
  configFile: false,
  root: join(root, 'scripts/bench/bare'),
  logLevel: 'warn',
  build: { outDir, emptyOutDir: true },
})
const bare = express().use(express.static(outDir)).listen(BARE_PORT, '127.0.0.1')
const { server } = await startServer(PORT)
const browser = await openBrowser()

/** Types digits into a field; each sample is from the key's event to the task after the next frame. */
async function typeInto(page, field) {
  await sampleKeys(page)
  await field.focus()
  for (let at = 0; at < KEYS; at += 1) {
    await page.keyboard.press('ControlOrMeta+a')
    await page.keyboard.type(`${40 + (at % 50)} g`)
    await page.waitForTimeout(8)
  }
  const samples = (await page.evaluate(() => window.samples)).sort((a, b) => a - b)
  const at = (share) => samples[Math.floor(samples.length * share)] ?? 0
  return { median: at(0.5), p95: at(0.95), count: samples.length }
}

/** Scrolls and searches a pantry of 2,000 own items and reads the longest frame. */
async function pantryBench(page) {
  const rows = Array.from(
    { length: 2000 },
    (_unused, at) => `House mix ${at},${5 + (at % 20)},${at % 15},${30 + (at % 20)}`,
  )
  await page.goto(`http://127.0.0.1:${PORT}/pantry`)
  await page.getByLabel('Pantry file').setInputFiles({
    name: 'own.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`name,protein,fat,carb\n${rows.join('\n')}\n`),
  })
  await page.getByRole('button', { name: 'Take over 2000 rows' }).click()
  await page.getByText(/^2\d{3} fit/).waitFor()
  const longestFrame = async (act) => {
    await page.evaluate(() => {
      window.frames = []
      let last = performance.now()
      const tick = (now) => {
        window.frames.push(now - last)
        last = now
        window.frameId = requestAnimationFrame(tick)
      }
      window.frameId = requestAnimationFrame(tick)
    })
    await act()
    return page.evaluate(() => {
      cancelAnimationFrame(window.frameId)
      return {
        longest: Math.max(...window.frames.slice(2)),
        over: window.frames.slice(2).filter((ms) => ms > 50).length,
        count: window.frames.length,
      }
    })
  }
  const idle = await longestFrame(() => page.waitForTimeout(1500))
  const box = page.getByRole('region', { name: 'List of ingredients' })
  await box.hover()
  const scroll = await longestFrame(async () => {
    for (let at = 0; at < 60; at += 1) {
      await page.mouse.wheel(0, 900)
      await page.waitForTimeout(16)
    }
  })
  const search = await longestFrame(async () => {
    await page.getByLabel('Search the pantry').pressSequentially('house mix 19', { delay: 60 })
  })
  const said = ({ longest, over, count }) =>
    `longest frame ${longest.toFixed(0)} ms, ${over} of ${count} over 50 ms`
  console.log(
    `pantry of 2,000 own items and the library: idle ${said(idle)}; scrolling ${said(scroll)}; searching ${said(search)}   (aim: none over 50 ms)`,
  )
}

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`http://127.0.0.1:${BARE_PORT}/`)
  const base = await typeInto(page, page.getByLabel('bare'))
  await page.goto(`http://127.0.0.1:${PORT}/dish/moussaka/mix`)
  const mix = await typeInto(page, page.getByRole('textbox', { name: /^Amount of vital wheat gluten/ }))
  await page.goto(`http://127.0.0.1:${BARE_PORT}/`)
  const again = await typeInto(page, page.getByLabel('bare'))
  const bareMedian = (base.median + again.median) / 2
  console.log(
    `key to painted readings on Mix against a bare React input (medians of ${mix.count} and ${base.count + again.count} keys):`,
  )
  console.log(
    `  x${(mix.median / bareMedian).toFixed(2)}; ${((mix.median - bareMedian) / FRAME_MS).toFixed(2)} frames of 16.7 ms later   (aim: within 1 frame)`,
  )
  console.log(
    `  95th percentile: ${((mix.p95 - Math.max(base.p95, again.p95)) / FRAME_MS).toFixed(2)} frames later than the bare input's`,
  )
  await pantryBench(await browser.newPage({ viewport: { width: 1280, height: 800 } }))
} finally {
  await browser.close()
  server.kill('SIGTERM')
  bare.close()
  rmSync(outDir, { recursive: true })
}
