// A dish of three hundred trials: the longest frame while its vine opens, is scrolled, and while trials are laid side by side.
import { openBrowser, startServer } from '../chromium.mjs'

const PORT = 4679
const TRIALS = 300
const FRAME_MS = 1000 / 60
const { server, address } = await startServer(PORT)
const browser = await openBrowser()

/** Puts trials of the demo's moussaka in, each from the one before it and a little otherwise. */
const fill = (page, count) =>
  page.evaluate(
    (most) =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('frijol')
        open.onerror = () => reject(new Error('closed'))
        open.onsuccess = () => {
          const all = open.result.transaction('trials', 'readwrite').objectStore('trials')
          const read = all.getAll()
          read.onsuccess = () => {
            const like = read.result.find(({ id }) => id === 'moussaka-t3')
            for (let number = 6; number <= most; number += 1) {
              const trial = structuredClone(like)
              trial.id = `many-${number}`
              trial.number = number
              trial.fromNumber = number === 6 ? 3 : number % 7 === 0 ? number - 4 : number - 1
              const line = trial.parts[0].lines[number % 4]
              const [term] = line.amount.terms
              term.low = term.high = term.low * (0.7 + (number % 9) / 12)
              all.put(trial)
            }
            all.transaction.oncomplete = () => {
              open.result.close()
              resolve(null)
            }
          }
        }
      }),
    count,
  )

/** Longest time between two frames while something is done, ms. */
async function longest(page, act) {
  await page.evaluate(() => {
    window.frames_ = []
    let before = performance.now()
    const next = (now) => {
      window.frames_.push(now - before)
      before = now
      window.asked_ = requestAnimationFrame(next)
    }
    window.asked_ = requestAnimationFrame((now) => {
      before = now
      window.asked_ = requestAnimationFrame(next)
    })
  })
  await act()
  const frames = await page.evaluate(() => {
    cancelAnimationFrame(window.asked_)
    return window.frames_
  })
  return { most: Math.max(0, ...frames), count: frames.length, over: frames.filter((one) => one > 50).length }
}

try {
  const context = await browser.newContext({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  })
  const page = await context.newPage()
  await page.goto(address)
  await page.getByText('Moussaka').first().waitFor()
  await page.goto(`${address}/dish/moussaka/mix`)
  await page.getByText('Against the original').first().waitFor()
  const say = (what, { most, count, over }) =>
    console.log(
      `${what}: longest frame ${(most / FRAME_MS).toFixed(1)} x a frame (${most.toFixed(0)} ms) of ${count}; ${over} over 50 ms (aim none)`,
    )
  for (const trials of [5, TRIALS]) {
    if (trials > 5) await fill(page, trials)
    await page.goto(`${address}/dish/moussaka/mix`)
    await page.getByText('Against the original').first().waitFor()
    await page.waitForTimeout(1500)
    const began = Date.now()
    say(
      `opening Learn with ${trials} trials`,
      await longest(page, async () => {
        await page.getByRole('link', { name: /^Learn/ }).click()
        await page.getByRole('list', { name: 'Trials' }).waitFor()
        await page.getByText(/more are being worked out/).waitFor({ state: 'detached', timeout: 120_000 })
        await page.waitForTimeout(300)
      }),
    )
    console.log(`  all ${trials} worked out after ${((Date.now() - began) / 1000).toFixed(1)} s`)
    say(
      '  scrolling the vine',
      await longest(page, async () => {
        await page.mouse.move(500, 450)
        for (let turn = 0; turn < 40; turn += 1) {
          await page.mouse.wheel(0, turn < 20 ? -900 : 900)
          await page.waitForTimeout(16)
        }
      }),
    )
    say(
      '  laying side by side, and two more',
      await longest(page, async () => {
        await page.getByRole('button', { name: 'Lay side by side' }).click()
        await page.getByRole('columnheader').first().waitFor()
        await page.getByRole('button', { name: 'Trial 1', exact: true }).click()
        await page.getByRole('button', { name: 'Trial 2', exact: true }).click()
        await page.waitForTimeout(400)
      }),
    )
  }
} finally {
  await browser.close()
  server.kill()
}
