import { readFileSync, writeFileSync } from 'node:fs'
import { openBrowser, sampleKeys, startServer } from './chromium.mjs'
const src = readFileSync(new URL('./bench/documents.mjs', import.meta.url), 'utf8')
const fillSrc = src.slice(src.indexOf('async function fill'), src.indexOf('const KEYS = 60'))
const fill = new Function(`${fillSrc}; return fill`)()
const where = process.argv[2] ?? 'method'
const { server, address } = await startServer(4676)
const browser = await openBrowser()
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(address)
  await page.getByText('Moussaka').first().waitFor()
  await fill(page, { dishes: 0, trials: 0, lines: 40, steps: 40 })
  const s = await page.context().newCDPSession(page)
  await s.send('Performance.enable'); await s.send('Profiler.enable'); await s.send('Profiler.setSamplingInterval', { interval: 200 })
  await page.goto(`${address}/dish/large/${where}`)
  const field = where === 'method' ? page.getByRole('textbox', { name: 'Step 3', exact: true }) : page.getByRole('textbox', { name: /^Amount of/ }).first()
  const text = where === 'method' ? 'well' : '1234'
  await field.focus(); await page.keyboard.press('End')
  await sampleKeys(page)
  for (let at = 0; at < 16; at++) { await page.keyboard.press(at % 8 < 4 ? text[at % 4] : 'Backspace'); await page.waitForTimeout(60) }
  const metrics = async () => Object.fromEntries((await s.send('Performance.getMetrics')).metrics.map(({ name, value }) => [name, value * 1000]))
  const a = await metrics()
  await s.send('Profiler.start')
  const N = 64
  for (let at = 0; at < N; at++) { await page.keyboard.press(at % 8 < 4 ? text[at % 4] : 'Backspace'); await page.waitForTimeout(60) }
  const { profile } = await s.send('Profiler.stop')
  const b = await metrics()
  for (const k of ['TaskDuration', 'ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration']) console.log(k, ((b[k] - a[k]) / N).toFixed(2))
  const self = new Map(), byId = new Map(profile.nodes.map((n) => [n.id, n]))
  const parent = new Map(); for (const n of profile.nodes) for (const c of n.children ?? []) parent.set(c, n.id)
  const time = new Map()
  profile.samples.forEach((id, i) => time.set(id, (time.get(id) ?? 0) + profile.timeDeltas[i]))
  const total = new Map()
  const name = (n) => `${n.callFrame.functionName || '(anon)'} ${n.callFrame.url.split('/').at(-1).replace(/-[\w-]{8}\.js/, '')}:${n.callFrame.lineNumber}`
  for (const [id, t] of time) {
    const n = byId.get(id); const k = name(n)
    self.set(k, (self.get(k) ?? 0) + t)
    const seen = new Set()
    for (let at = id; at !== undefined; at = parent.get(at)) { const kk = name(byId.get(at)); if (!seen.has(kk)) { seen.add(kk); total.set(kk, (total.get(kk) ?? 0) + t) } }
  }
  const show = (m, c) => [...m].sort((x, y) => y[1] - x[1]).slice(0, c).map(([k, t]) => `${(t / 1000 / N).toFixed(2)} ${k}`).join('\n')
  console.log('--- self\n' + show(self, 40)); console.log('--- total\n' + show(total, 90))
} finally { await browser.close(); server.kill() }
