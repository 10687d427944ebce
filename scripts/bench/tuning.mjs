// The page while it tunes: time to the first answer and to all, and the longest task of the main thread meanwhile.
import { openBrowser, startServer } from '../chromium.mjs'

const RUNS = 4
const { server, address } = await startServer(4674)
const browser = await openBrowser()
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}/dish/moussaka/mix`)
  await page.getByText('Against the original').first().waitFor()
  await page.waitForTimeout(2000)
  for (let run = 1; run <= RUNS; run += 1) {
    await page.evaluate(() => {
      window.longTasks = []
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) window.longTasks.push(Math.round(duration))
      }).observe({ type: 'longtask' })
    })
    const began = performance.now()
    await page.getByRole('button', { name: 'Tune', exact: true }).click()
    await page.getByRole('table', { name: /The formula now/ }).waitFor()
    const first = performance.now() - began
    await page.getByText(/mixes tried in/).waitFor({ timeout: 60_000 })
    const all = performance.now() - began
    const longest = await page.evaluate(() => Math.max(0, ...window.longTasks))
    console.log(
      `tune, run ${run}: first answer at ${(first / all).toFixed(2)} of the whole (${Math.round(all)} ms); longest task ${longest === 0 ? 'under 50' : longest} ms`,
    )
    await page.getByRole('button', { name: 'Leave as it is' }).click()
  }
} finally {
  await browser.close()
  server.kill('SIGTERM')
}
