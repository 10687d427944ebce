// First load, start, keys in a large dish, and a full shelf, as ratios to baselines of the same run.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import express from 'express'
import { build } from 'vite'
import { openBrowser, sampleKeys, startServer } from '../chromium.mjs'
import { root } from '../run.mjs'

const PORT = 4677
const BARE_PORT = 4678
const FRAME_MS = 1000 / 60
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0
const at95 = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? 0

const outDir = mkdtempSync(join(tmpdir(), 'frijol-bare-'))
await build({
  configFile: false,
  root: join(root, 'scripts/bench/bare'),
  logLevel: 'warn',
  build: {
    outDir,
    emptyOutDir: true,
    rolldownOptions: {
      input: ['routed.html', 'index.html'].map((page) => join(root, 'scripts/bench/bare', page)),
      onwarn: () => undefined,
    },
  },
})
const bare = express().use(express.static(outDir)).listen(BARE_PORT, '127.0.0.1')
const { server, address } = await startServer(PORT)
const bareAddress = `http://127.0.0.1:${BARE_PORT}`
const browser = await openBrowser()

/** Code that the page needs before it shows anything, and all that it has fetched by then, gzip kB. */
async function firstLoad() {
  const html = readFileSync(join(root, 'web/dist/index.html'), 'utf8')
  const size = (path) => gzipSync(readFileSync(join(root, 'web/dist', path))).length / 1000
  const entry = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].reduce(
    (sum, [, path]) => sum + size(path),
    0,
  )
  const fetched = async (path, landmark) => {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    const page = await context.newPage()
    const files = new Set()
    page.on('response', (response) => {
      const found = /\/(assets\/[^?]+\.js)$/.exec(response.url())
      if (found !== null) files.add(found[1])
    })
    await page.goto(address + path)
    await page.getByText(landmark).first().waitFor()
    const sum = [...files].reduce((total, file) => total + size(file), 0)
    await context.close()
    return sum
  }
  const shelf = await fetched('/', 'Moussaka')
  const mix = await fetched('/dish/moussaka/mix', 'Against the original')
  console.log(
    `first load, JavaScript in gzip: ${entry.toFixed(0)} kB before anything is shown (aim 230); with what is fetched until the shelf stands ${shelf.toFixed(0)} kB, until Mix stands ${mix.toFixed(0)} kB`,
  )
}

/** Time from navigation until the landmark is in the page, both warm in the cache, alternating. */
async function start() {
  const context = await browser.newContext()
  await context.addInitScript(() => {
    const wanted = /bare|Against the original/
    new MutationObserver((_changes, observer) => {
      const heading = [...document.querySelectorAll('h1, h2')].some(({ textContent }) =>
        wanted.test(textContent),
      )
      if (!heading) return
      observer.disconnect()
      requestAnimationFrame(() => {
        const channel = new MessageChannel()
        channel.port1.onmessage = () => {
          window.shownAt = performance.now()
        }
        channel.port2.postMessage(0)
      })
    }).observe(document, { childList: true, subtree: true, characterData: true })
  })
  const page = await context.newPage()
  const shown = async (url) => {
    await page.goto(url)
    await page.waitForFunction(() => window.shownAt !== undefined)
    return page.evaluate(() => window.shownAt)
  }
  const times = { bare: [], mix: [] }
  for (let at = 0; at < 14; at += 1) {
    const [plain, mix] = [
      await shown(`${bareAddress}/routed.html`),
      await shown(`${address}/dish/moussaka/mix`),
    ]
    // The first two fill the caches.
    if (at > 1) {
      times.bare.push(plain)
      times.mix.push(mix)
    }
  }
  console.log(
    `start of the demo's Mix against a bare React page with the same router: x${(median(times.mix) / median(times.bare)).toFixed(2)} (${median(times.mix).toFixed(0)} and ${median(times.bare).toFixed(0)} ms)   (aim x1.6)`,
  )
  await context.close()
}

/** Fills the browser with documents made of the demo's. */
async function fill(page, { dishes, trials, lines, steps }) {
  await page.evaluate(
    ([counts]) =>
      new Promise((resolve, reject) => {
        const request = indexedDB.open('frijol')
        request.onerror = () => reject(new Error('no database'))
        request.onsuccess = () => {
          const transaction = request.result.transaction(['dishes', 'trials'], 'readwrite')
          const store = transaction.objectStore('dishes')
          const read = store.get('moussaka')
          read.onsuccess = () => {
            const row = read.result
            const [part] = row.value.parts
            const times = (list, count) =>
              Array.from({ length: count }, (_unused, at) => ({
                ...list[at % list.length],
                id: `${list[0].id}-${at}`,
                uses: null,
              }))
            const plain = (line) => {
              const copy = { ...line }
              delete copy.uses
              return copy
            }
            const large = {
              ...row.value,
              id: 'large',
              name: 'Large',
              parts: [
                {
                  ...part,
                  lines: times(part.lines, counts.lines).map(plain),
                  steps: times(part.steps, counts.steps),
                },
              ],
            }
            store.put({ ...row, id: 'large', value: large })
            for (let at = 0; at < counts.dishes; at += 1) {
              const id = `copy-${at}`
              store.put({
                ...row,
                id,
                savedAt: row.savedAt + at,
                value: { ...row.value, id, name: `Copy ${at}` },
              })
            }
            for (let at = 0; at < counts.trials; at += 1) {
              const { parts, aim, written } = row.value
              transaction.objectStore('trials').put({
                format: 'frijol/trial',
                version: 1,
                id: `t-${at}`,
                dishId: `copy-${at % Math.max(1, counts.dishes)}`,
                number: 1 + Math.floor(at / Math.max(1, counts.dishes)),
                fromNumber: null,
                state: 'made',
                date: '2026-06-14',
                aim,
                parts,
                written,
                asMade: [],
                notes: '',
                decision: '',
              })
            }
          }
          transaction.oncomplete = () => {
            request.result.close()
            resolve()
          }
        }
      }),
    [{ dishes, trials, lines, steps }],
  )
}

const KEYS = 60
/** Keys into a field: key to paint, and main thread time a key. */
async function typeInto(page, field, text, place = 'End') {
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const busy = async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    return 1000 * (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0)
  }
  await sampleKeys(page)
  await field.focus()
  await page.keyboard.press(place)
  const before = await busy()
  for (let at = 0; at < KEYS; at += 1) {
    await page.keyboard.press(at % 8 < 4 ? text[at % 4] : 'Backspace')
    await page.waitForTimeout(60)
  }
  const used = (await busy()) - before
  const samples = await page.evaluate(() => window.samples)
  return { perKey: used / KEYS, median: median(samples), p95: at95(samples) }
}

async function keys() {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(address)
  await page.getByText('Moussaka').first().waitFor()
  await fill(page, { dishes: 0, trials: 0, lines: 40, steps: 40 })
  await page.goto(`${bareAddress}/index.html`)
  const base = await typeInto(page, page.getByLabel('bare'), '1234')
  const said = (name, one) =>
    console.log(
      `  ${name}: ${one.perKey.toFixed(1)} ms of main thread a key (bare ${base.perKey.toFixed(1)}, aim 16); key to paint ${((one.median - base.median) / FRAME_MS).toFixed(2)} frames later in the middle, ${((one.p95 - base.p95) / FRAME_MS).toFixed(2)} at the 95th percentile (aim 2)`,
    )
  console.log('keys in a dish of 40 lines and 40 steps:')
  await page.goto(`${address}/dish/large/mix`)
  // Digits before the amount: every key is another mass, and nothing stands as it was.
  const amount = page.getByRole('textbox', { name: /^Amount of/ }).first()
  said('Mix', await typeInto(page, amount, '1234', 'Home'))
  await page.goto(`${address}/dish/large/method`)
  said('Method', await typeInto(page, page.getByRole('textbox', { name: 'Step 3', exact: true }), 'well'))
  await page.close()
}

async function shelf() {
  const shown = async (page) => {
    const times = []
    for (let at = 0; at < 7; at += 1) {
      await page.goto(address)
      await page.getByText('from the original').first().waitFor()
      times.push(await page.evaluate(() => performance.now()))
    }
    return median(times)
  }
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto(address)
  await page.getByText('Moussaka').first().waitFor()
  const demo = await shown(page)
  await fill(page, { dishes: 300, trials: 2000, lines: 40, steps: 40 })
  const full = await shown(page)
  console.log(
    `shelf of 300 dishes and 2,000 trials against the demo's: x${(full / demo).toFixed(2)} (${full.toFixed(0)} and ${demo.toFixed(0)} ms)   (aim x2)`,
  )
  await context.close()
}

try {
  await firstLoad()
  await start()
  await keys()
  await shelf()
} finally {
  await browser.close()
  server.kill('SIGTERM')
  bare.close()
  rmSync(outDir, { recursive: true })
}
