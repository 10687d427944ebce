import { readFileSync } from 'node:fs'
import { openBrowser, sampleKeys, startServer } from './chromium.mjs'
const src = readFileSync(new URL('./bench/documents.mjs', import.meta.url), 'utf8')
const fill = new Function(`${src.slice(src.indexOf('async function fill'), src.indexOf('const KEYS = 60'))}; return fill`)()
const where = process.argv[2] ?? 'method'
const { server, address } = await startServer(4676)
const browser = await openBrowser()
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(address)
  await page.getByText('Moussaka').first().waitFor()
  await fill(page, { dishes: 0, trials: 0, lines: 40, steps: 40 })
  await page.goto(`${address}/dish/large/${where}`)
  const field = where === 'method' ? page.getByRole('textbox', { name: 'Step 3', exact: true }) : page.getByRole('textbox', { name: /^Amount of/ }).first()
  const text = where === 'method' ? 'well' : '1234'
  await field.focus(); await page.keyboard.press('End')
  await sampleKeys(page)
  for (let at = 0; at < 16; at++) { await page.keyboard.press(at % 8 < 4 ? text[at % 4] : 'Backspace'); await page.waitForTimeout(60) }
  await browser.startTracing(page, { categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', 'toplevel', 'blink', 'cc'] })
  const N = 48
  for (let at = 0; at < N; at++) { await page.keyboard.press(at % 8 < 4 ? text[at % 4] : 'Backspace'); await page.waitForTimeout(60) }
  const trace = JSON.parse((await browser.stopTracing()).toString())
  const ev = trace.traceEvents
  const mains = ev.filter((e) => e.name === 'thread_name' && e.args.name === 'CrRendererMain').map((e) => `${e.pid}:${e.tid}`)
  const busiest = mains.map((m) => [m, ev.filter((e) => `${e.pid}:${e.tid}` === m && e.name === 'FunctionCall').length]).sort((a, b) => b[1] - a[1])[0][0]
  const own = ev.filter((e) => `${e.pid}:${e.tid}` === busiest && e.ph === 'X').sort((a, b) => a.ts - b.ts || b.dur - a.dur)
  const selfT = new Map(), tot = new Map(); const stack = []
  for (const e of own) {
    while (stack.length && stack.at(-1).ts + stack.at(-1).dur <= e.ts) stack.pop()
    const p = stack.at(-1); if (p) selfT.set(p.name, (selfT.get(p.name) ?? 0) - e.dur)
    selfT.set(e.name, (selfT.get(e.name) ?? 0) + e.dur); tot.set(e.name, (tot.get(e.name) ?? 0) + e.dur); stack.push(e)
  }
  const show = (m, c) => [...m].sort((x, y) => y[1] - x[1]).slice(0, c).map(([k, t]) => `${(t / 1000 / N).toFixed(2)} ${k}`).join('\n')
  for (const n of ['ProxyMain::BeginMainFrame','Paint','Layerize','Layout','FunctionCall','TimerFire','FireAnimationFrame','PaintArtifactCompositor::Update']) { const all = own.filter((e) => e.name === n); console.log(n, (all.length / N).toFixed(2), 'per key; mean', (all.reduce((s, e) => s + e.dur, 0) / all.length / 1000).toFixed(2), 'max', Math.max(...all.map((e) => e.dur)) / 1000) }
  console.log('span', ((own.at(-1).ts - own[0].ts) / 1000 / N).toFixed(1))
  console.log('self\n' + show(selfT, 30)); console.log('tot\n' + show(tot, 40))
} finally { await browser.close(); server.kill() }
