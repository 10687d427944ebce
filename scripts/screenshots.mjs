// npm run screenshots [-- folder [narrow]]: pictures of the main views of the built application, from the demo kitchen.
import { mkdirSync } from 'node:fs'
import { openBrowser, startServer } from './chromium.mjs'
import { root } from './run.mjs'

const folder = process.argv[2] ?? `${root}docs/screenshots`
const isNarrow = process.argv[3] === 'narrow'
const viewport = isNarrow ? { width: 390, height: 844 } : { width: 1280, height: 800 }
const PORT = 4671
mkdirSync(folder, { recursive: true })

const { server, address } = await startServer(PORT)
let browser
try {
  browser = await openBrowser()
  const page = await browser.newPage({ viewport })
  page.on('console', (message) => message.type() === 'error' && console.error('console:', message.text()))
  const views = [
    ['shelf', '/'],
    ['aim', '/dish/moussaka/aim'],
    ['mix', '/dish/moussaka/mix'],
    ['method', '/dish/moussaka/method'],
    ['share', '/dish/moussaka/share'],
    ['taste', '/dish/moussaka/taste?tasting=tasting-moussaka-profile'],
    ['series', '/dish/moussaka/learn?part=moussaka-white-sauce&show=series'],
    ['pantry', '/pantry?food=vital-wheat-gluten'],
    ['kitchen', '/kitchen'],
  ]
  for (const [name, path] of views) {
    await page.goto(address + path)
    await page.waitForSelector('main h1, main h2')
    await page.waitForTimeout(400)
    await page.screenshot({ path: `${folder}/${name}.png` })
  }
  // What went wrong with the fifth trial.
  await page.goto(`${address}/dish/moussaka/learn?trial=moussaka-t5`)
  await page.getByLabel('In your words').fill('pasty, no granules')
  await page.getByRole('list', { name: 'Likely causes' }).waitFor()
  await page.getByText(/more are being worked out/).waitFor({ state: 'detached' })
  await page.evaluate(() => window.scrollTo(0, 0))
  await page.waitForTimeout(400)
  await page.screenshot({ path: `${folder}/learn.png` })
  // The day of three dishes with one oven, served at a time that does not change, and then at the counter.
  await page.clock.setFixedTime('2026-06-18T10:40:00')
  await page.goto(`${address}/dish/moussaka/cook`)
  for (const dish of ['Souvlaki strips', 'Courgette keftedes'])
    await page.getByRole('group', { name: 'Dishes' }).getByRole('button', { name: dish }).click()
  await page.locator('input[type="datetime-local"]').fill('2026-06-18T13:00')
  await page.getByText(/no plan is shorter/).waitFor({ timeout: 60_000 })
  await page.waitForTimeout(400)
  await page.screenshot({ path: `${folder}/cook.png` })
  await page.getByRole('button', { name: 'Start cooking' }).click()
  const now = page.getByRole('region', { name: 'Now' })
  await now.waitFor()
  const put = async (words) => {
    await page.getByRole('button', { name: 'All steps' }).click()
    await page.getByRole('dialog').getByRole('button', { name: words }).first().click()
    await now.getByRole('button', { name: 'It is on' }).click()
  }
  await put(/Begin to roast: crumb/i)
  await put(/Begin to steam/i)
  await page.clock.setFixedTime('2026-06-18T10:44:00')
  await page.waitForTimeout(1500)
  await page.screenshot({ path: `${folder}/counter.png` })
  await page.getByRole('button', { name: 'At this counter' }).click()
  await page.getByRole('button', { name: 'Connect the scale' }).click()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'All steps' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Blend: butter beans/i })
    .click()
  await now.getByRole('button', { name: /^Weigh Water/ }).click()
  await page.waitForTimeout(1500)
  await page.request.post(`${address}/api/devices/scale`, { data: { act: 'add', g: 164.2 } })
  await page.getByText('164.2').waitFor()
  await page.getByText('scale: steady').waitFor()
  await page.waitForTimeout(600)
  await page.screenshot({ path: `${folder}/weigh-in.png` })
  await page.clock.resume()
  // Ways to get closer, and what can stand in for a line.
  await page.goto(`${address}/dish/moussaka/mix`)
  await page.getByRole('button', { name: 'Tune', exact: true }).click()
  await page.getByText(/mixes tried in/).waitFor({ timeout: 60_000 })
  await page.waitForTimeout(400)
  await page.screenshot({ path: `${folder}/tune.png` })
  await page.goto(`${address}/dish/moussaka/mix`)
  await page.getByRole('button', { name: 'Swap Walnuts' }).click()
  await page.getByRole('list', { name: 'What can stand in' }).waitFor()
  await page.waitForTimeout(400)
  await page.screenshot({ path: `${folder}/swap.png` })
  // Two trials of the demo beside each other.
  await page.goto(`${address}/dish/moussaka/mix`)
  await page.getByRole('button', { name: /^Trial 6/ }).click()
  await page.getByRole('button', { name: 'Side by side' }).click()
  await page.getByRole('region', { name: 'Formula compared' }).waitFor()
  await page.getByRole('dialog').evaluate((sheet) => sheet.scrollTo(0, 330))
  await page.waitForTimeout(300)
  await page.screenshot({ path: `${folder}/trials.png` })
  // The demo's recipe as a file: what was understood of it.
  await page.goto(address)
  await page.getByLabel('Recipe file').setInputFiles(`${root}demo/files/moussaka.md`)
  await page.getByRole('list', { name: 'Written steps' }).waitFor()
  await page.waitForTimeout(400)
  await page.screenshot({ path: `${folder}/reading.png` })
} finally {
  await browser?.close()
  server.kill('SIGTERM')
}
