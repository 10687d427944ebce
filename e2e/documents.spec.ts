import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Browser, type BrowserContext, chromium, expect, type Page, test } from '@playwright/test'
import { openFile, waitSaved } from './bench'

const lineNames = (page: Page) => page.getByRole('textbox', { name: /^Amount of/ })
const status = (page: Page) => page.getByRole('region', { name: /^Saving of/ }).getByRole('status')

/** Starts an empty dish and waits for its first line. @returns its address */
async function startDish(page: Page, ...lines: string[]): Promise<string> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  await expect(page.getByLabel('Add a line')).toBeVisible()
  for (const line of lines) await addLine(page, line)
  await waitSaved(page)
  return page.url()
}

async function addLine(page: Page, line: string): Promise<void> {
  await page.getByLabel('Add a line').fill(line)
  await page.keyboard.press('Enter')
}

async function secondTab(context: BrowserContext, address: string): Promise<Page> {
  const page = await context.newPage()
  await page.goto(address)
  await expect(page.getByLabel('Add a line')).toBeVisible()
  return page
}

test('edits 120 ms apart in two tabs are both kept, and shown in both', async ({ page, context }) => {
  const address = await startDish(page, '200 g white beans')
  const other = await secondTab(context, address)
  await addLine(page, '1 tsp salt')
  await page.waitForTimeout(120)
  await addLine(other, '2 tbsp olive oil')
  for (const tab of [page, other]) {
    await expect(lineNames(tab)).toHaveCount(3)
    await waitSaved(tab)
  }
  await page.reload()
  await expect(lineNames(page)).toHaveCount(3)
})

test('one line changed in two tabs is asked about, and either answer leaves both tabs alike', async ({
  page,
  context,
}) => {
  const address = await startDish(page, '200 g white beans')
  const other = await secondTab(context, address)
  // Typed in both before either is saved.
  for (const tab of [page, other]) await tab.clock.install()
  for (const [tab, amount] of [
    [page, '210 g'],
    [other, '220 g'],
  ] as const) {
    await lineNames(tab).first().fill(amount)
    await lineNames(tab).first().press('Enter')
  }
  for (const tab of [page, other]) await tab.clock.resume()
  await page.waitForTimeout(1200)
  const asked = (await status(page).innerText()) === 'Waits for you' ? page : other
  const alert = asked.getByRole('alert')
  await expect(alert).toContainText('210 g white beans')
  await expect(alert).toContainText('220 g white beans')
  await asked.getByRole('button', { name: 'Keep this tab’s' }).click()
  await waitSaved(asked)
  const kept = await lineNames(asked).first().inputValue()
  const still = asked === page ? other : page
  await expect(lineNames(still).first()).toHaveValue(kept)
})

test('steps done otherwise on one day in two tabs are both kept', async ({ page, context }) => {
  await page.goto('/')
  await openFile(
    page,
    'two-pots.md',
    '# Two pots\n\nServes 4\n\n## Beans\n\n### Ingredients\n\n- 600 g canned black beans\n- 400 ml water\n\n### Method\n\n1. Simmer the beans in the water for 90 minutes.\n\n## Sauce\n\n### Ingredients\n\n- 500 g canned tomatoes\n- 200 g carrots, diced\n\n### Method\n\n1. Simmer the tomatoes and carrots for 80 minutes.\n',
  )
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Two pots')
  await page.keyboard.press('Alt+4')
  await page.getByLabel('Served at').fill('2026-06-18T13:00')
  const offers = (tab: Page) =>
    tab.getByRole('button', { name: /^Pressure-cook instead of simmer: .*: do it so$/ })
  const asWritten = (tab: Page) => tab.getByRole('button', { name: /^Pressure-cook.*: as written$/ })
  await expect(offers(page)).toHaveCount(2)
  await waitSaved(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(offers(other)).toHaveCount(2)
  // Each before the other's is saved.
  for (const tab of [page, other]) await tab.clock.install()
  await offers(page).first().click()
  await offers(other).last().click()
  for (const tab of [page, other]) await tab.clock.resume()
  for (const tab of [page, other]) {
    await expect(asWritten(tab)).toHaveCount(2)
    await waitSaved(tab)
  }
  await page.reload()
  await expect(asWritten(page)).toHaveCount(2)
})

test('a step taken out in each of two tabs: both are gone, the third stays', async ({ page, context }) => {
  await page.goto('/')
  await openFile(
    page,
    'stew.md',
    '# Stew\n\n## Ingredients\n\n- 400 g canned white beans\n- 1 onion\n- 20 g olive oil\n\n## Method\n\n1. Fry the onion in the oil for 8 minutes.\n2. Rinse the beans.\n3. Add the beans and simmer for 10 minutes.\n',
  )
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Stew')
  await page.keyboard.press('Alt+3')
  const steps = (tab: Page) => tab.getByRole('textbox', { name: /^Step \d+$/ })
  await expect(steps(page)).toHaveCount(3)
  await waitSaved(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(steps(other)).toHaveCount(3)
  for (const tab of [page, other]) await tab.clock.install()
  await page.getByRole('button', { name: 'Take out step 2' }).click()
  await other.getByRole('button', { name: 'Take out step 1' }).click()
  for (const tab of [page, other]) await tab.clock.resume()
  for (const tab of [page, other]) {
    await expect(steps(tab)).toHaveCount(1)
    await waitSaved(tab)
  }
  await page.reload()
  await expect(steps(page)).toHaveCount(1)
  await expect(steps(page).first()).toHaveValue(/Add the beans/)
})

test('a price, a weighing and a word of three tabs all stay', async ({ page, context }) => {
  const address = await startDish(page, '500 g firm tofu')
  const [third, priceTab] = [await context.newPage(), await context.newPage()]
  await third.goto('/kitchen')
  await priceTab.goto('/pantry?food=salt')
  await priceTab.getByRole('textbox', { name: /^Price/ }).fill('1.20')
  await page.goto(address.replace(/mix.*/, 'method'))
  await page.getByRole('textbox', { name: 'Add a step' }).fill('roast 200C fan 25 min, single layer')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Details of step 1' }).click()
  await page.getByLabel('Weighed after this step, g').fill('380')
  await expect(page.getByText(/The model said \d+ g/)).toBeVisible()
  await waitSaved(page)
  await waitSaved(priceTab)
  await third.getByRole('textbox', { name: 'Name of the kitchen' }).fill('Bench three')
  await waitSaved(third)
  await third.reload()
  await expect(third.getByRole('textbox', { name: 'Name of the kitchen' })).toHaveValue('Bench three')
  await expect(third.getByRole('row', { name: /^Roast in oven tray/ })).toBeVisible()
  await priceTab.reload()
  await expect(priceTab.getByRole('textbox', { name: /^Price/ })).toHaveValue('1.2')
})

test('a dish taken off the shelf in one tab is told in the other, and can be kept', async ({
  page,
  context,
}) => {
  const address = await startDish(page, '200 g white beans')
  const shelf = await context.newPage()
  await shelf.goto('/')
  await shelf.getByRole('button', { name: /off the shelf/ }).click()
  await expect(page.getByRole('alert')).toContainText('taken off the shelf in another tab')
  await addLine(page, '1 tsp salt')
  await page.waitForTimeout(900)
  await expect(shelf.getByRole('heading', { level: 2 })).toHaveCount(0)
  await page.getByRole('button', { name: 'Keep mine as a new dish' }).click()
  await expect(page).not.toHaveURL(address)
  await expect(lineNames(page)).toHaveCount(2)
  await expect(shelf.getByRole('heading', { level: 2 })).toHaveCount(1)
})

test('a restored backup reaches an open tab and is not undone by its next key', async ({ page, context }) => {
  const address = await startDish(page, '200 g white beans')
  const kitchen = await context.newPage()
  await kitchen.goto('/kitchen')
  const [download] = await Promise.all([
    kitchen.waitForEvent('download'),
    kitchen.getByRole('button', { name: 'Save a backup' }).click(),
  ])
  const file = await download.path()
  await addLine(page, '1 tsp salt')
  await waitSaved(page)
  await kitchen.getByLabel('Backup file').setInputFiles(file)
  await kitchen.getByRole('button', { name: 'Restore it' }).click()
  await expect(lineNames(page)).toHaveCount(1)
  await addLine(page, '2 tbsp olive oil')
  await waitSaved(page)
  await page.goto(address)
  await expect(lineNames(page)).toHaveCount(2)
})

/** From now on the page's storage is full, until `makeRoom`. */
const fillStorage = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const store = IDBObjectStore.prototype
    const kept = Object.getOwnPropertyDescriptor(store, 'put') ?? {}
    store.put = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    Object.assign(window, { makeRoom: () => Object.defineProperty(store, 'put', kept) })
  })
const makeRoom = (page: Page): Promise<void> =>
  page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom())

test('a kitchen’s change that is refused is told, kept, and tried again', async ({ page }) => {
  await startDish(page, '200 g white beans')
  await page.goto('/kitchen')
  const name = page.getByRole('textbox', { name: 'Name of the kitchen' })
  await expect(name).toBeVisible()
  await fillStorage(page)
  await name.fill('Full kitchen')
  await expect(page.getByRole('alert')).toContainText('The kitchen’s change is not saved.')
  await page.getByRole('link', { name: 'Pantry' }).click()
  await expect(page.getByRole('alert')).toContainText('not saved')
  await makeRoom(page)
  await page.getByRole('button', { name: 'Try again' }).click()
  await waitSaved(page)
  await page.goto('/kitchen')
  await expect(name).toHaveValue('Full kitchen')
})

test('storage that refuses is told on every screen, with a file and another try', async ({ page }) => {
  await startDish(page, '200 g white beans')
  await fillStorage(page)
  await addLine(page, '1 tsp salt')
  await expect(page.getByRole('alert')).toContainText('no room left')
  await expect(status(page)).toHaveText('Not saved')
  await page.keyboard.press('Alt+1')
  await expect(page.getByRole('alert')).toContainText('This dish is not saved')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a file' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('frijol-unsaved.json')
  await expect(page.getByRole('button', { name: 'Try again' })).toBeVisible()
  await makeRoom(page)
  // It tries by itself, too, and may have been first.
  await page
    .getByRole('button', { name: 'Try again' })
    .click({ timeout: 2000 })
    .catch(() => undefined)
  await waitSaved(page)
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('a browser without storage works from memory and says so', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError')
    }
  })
  await page.goto('/')
  await expect(page.getByRole('alert')).toContainText('does not let Frijol keep anything')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  await addLine(page, '200 g white beans')
  await waitSaved(page)
  await page.getByRole('link', { name: 'frijol' }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'New dish' })).toBeVisible()
})

/** Writes rows into the browser's database as they are. */
const putRaw = (page: Page, table: string, rows: object[]): Promise<void> =>
  page.evaluate(
    ([store, values]) =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('frijol')
        request.onsuccess = () => {
          const transaction = request.result.transaction(store, 'readwrite')
          for (const value of values) transaction.objectStore(store).put(value)
          transaction.oncomplete = () => {
            request.result.close()
            resolve()
          }
          transaction.onerror = () => reject(new Error('not written'))
        }
      }),
    [table, rows] as const,
  )

test('a damaged row is a card of its own; the rest works, and a backup names it', async ({ page }) => {
  await startDish(page, '200 g white beans')
  await putRaw(page, 'dishes', [{ id: 'broken', value: { name: 3 }, revision: 1, saves: [], savedAt: 1 }])
  await page.goto('/')
  const card = page.getByRole('region', { name: 'A dish, damaged' })
  await expect(card).toContainText('cannot be read')
  await expect(page.getByRole('heading', { level: 2 })).toHaveText('New dish')
  await page.goto('/kitchen')
  const [backup] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ])
  expect(backup.suggestedFilename()).toBe('frijol-backup.json')
  await expect(page.getByRole('alert')).toContainText('“broken”')
  await page.goto('/')
  const [raw] = await Promise.all([
    page.waitForEvent('download'),
    card.getByRole('button', { name: 'Save it as it is' }).click(),
  ])
  expect(raw.suggestedFilename()).toBe('damaged-broken.json')
  await card.getByRole('button', { name: 'Remove it' }).click()
  await expect(card).toHaveCount(0)
})

test('a damaged kitchen is told and never written over; the recovery page works without it', async ({
  page,
}) => {
  await startDish(page, '200 g white beans')
  await putRaw(page, 'kitchen', [{ id: 'kitchen', value: { name: 3 }, revision: 1, saves: [], savedAt: 1 }])
  await page.goto('/kitchen')
  await expect(page.getByRole('alert')).toContainText('stored, but damaged')
  await page.goto('/recovery')
  await expect(page.getByRole('region', { name: 'The kitchen’s settings, damaged' })).toBeVisible()
  const [all] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save all rows as they are' }).click(),
  ])
  expect(all.suggestedFilename()).toBe('frijol-rows.json')
  await page.getByRole('button', { name: 'Remove it' }).click()
  await expect(page.getByText('Every row that is stored here can be read.')).toBeVisible()
})

for (const version of [1, 2]) {
  test(`a browser that holds the ${version === 1 ? 'first' : 'second'} shape comes over`, async ({
    page,
  }) => {
    // The old application's rows, in a page of the same origin that runs no code of ours.
    await page.goto('/api/health')
    const step = {
      id: 's1',
      text: 'Fry for 5 minutes',
      operation: 'fry',
      durationMin: 5,
      tempC: null,
      keepsFraction: null,
    }
    const line = {
      id: 'l1',
      text: '200 g white beans',
      amount: null,
      open: 'unstated',
      food: 'white beans',
      prep: '',
      ingredientId: null,
      choice: 'read',
      isOptional: false,
    }
    const part = {
      id: 'p1',
      name: 'Main',
      family: null,
      originalId: null,
      lines: [line],
      steps: version === 1 ? [step] : [],
      ...(version === 1 ? {} : { ways: [] }),
      cookedMassG: null,
    }
    const dish = {
      format: 'frijol/dish',
      version: 1,
      id: 'old',
      name: 'From before',
      menu: '',
      note: '',
      createdAt: '2026-01-01T10:00:00Z',
      updatedAt: '2026-01-01T10:00:00Z',
      trial: { number: 1, fromNumber: null },
      aim: {
        matters: '',
        never: '',
        portions: 4,
        portionMassG: null,
        limits: { sodiumMgMax: null, proteinGMin: null, costMax: null },
        excluded: [],
      },
      parts: [part],
      settled: [],
      extra: {},
    }
    await page.evaluate(
      ([old, shape]) =>
        new Promise<void>((resolve, reject) => {
          const request = indexedDB.open('frijol', shape * 10)
          request.onupgradeneeded = () => {
            const database = request.result
            database.createObjectStore('dishes', { keyPath: 'id' }).createIndex('savedAt', 'savedAt')
            database.createObjectStore('trials', { keyPath: 'id' }).createIndex('dishId', 'dishId')
            database.createObjectStore('ingredients', { keyPath: 'id' })
            database.createObjectStore('kitchen', { keyPath: 'id' })
          }
          request.onerror = () => reject(new Error('not opened'))
          request.onsuccess = () => {
            const transaction = request.result.transaction('dishes', 'readwrite')
            const row = { id: 'old', dish: old, past: [], future: [], savedBy: 'tab', savedAt: 1 }
            transaction.objectStore('dishes').put(row)
            transaction.oncomplete = () => {
              request.result.close()
              resolve()
            }
          }
        }),
      [dish, version] as const,
    )
    await page.goto('/dish/old/mix')
    await expect(page.getByLabel('Name of the dish')).toHaveValue('From before')
    await addLine(page, '1 tsp salt')
    await waitSaved(page)
    await page.reload()
    await expect(lineNames(page)).toHaveCount(2)
  })
}

/** A browser of its own that can be killed like one that crashes, and started again on what it kept. */
async function startBrowser(folder: string): Promise<{ browser: Browser; process: ChildProcess }> {
  const child = spawn(
    process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    [
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--no-first-run',
      '--disable-background-networking',
      '--remote-debugging-port=0',
      `--user-data-dir=${folder}`,
      'about:blank',
    ],
    { stdio: ['ignore', 'ignore', 'pipe'] },
  )
  const address = await new Promise<string>((resolve, reject) => {
    let told = ''
    child.stderr.on('data', (data) => {
      told += String(data)
      const found = /ws:\/\/\S+/.exec(told)
      if (found !== null) resolve(found[0])
    })
    child.on('exit', () => reject(new Error('the browser did not start')))
  })
  return { browser: await chromium.connectOverCDP(address), process: child }
}

test('a killed browser holds what it called saved, and lost no more than half a second', async ({
  baseURL,
}) => {
  test.setTimeout(180_000)
  const folder = mkdtempSync(join(tmpdir(), 'frijol-kill-'))
  const kill = async (child: ChildProcess) => {
    const ended = new Promise((resolve) => child.on('exit', resolve))
    child.kill('SIGKILL')
    await ended
  }
  const origin = baseURL ?? ''
  let address = ''
  let expected = 0
  try {
    for (const delayMs of [50, 100, 300, 600]) {
      const { browser, process: child } = await startBrowser(folder)
      const context = browser.contexts()[0] ?? (await browser.newContext())
      const page = await context.newPage()
      if (address === '') {
        await page.goto(`${origin}/`)
        await page.getByRole('button', { name: 'Start a dish' }).first().click()
        await expect(page.getByLabel('Add a line')).toBeVisible()
        address = page.url()
      } else await page.goto(address)
      await expect(lineNames(page)).toHaveCount(expected)
      await addLine(page, `${delayMs} g white beans`)
      await page.waitForTimeout(delayMs)
      const isSaved = (await status(page).innerText()) === 'Saved'
      await kill(child)
      const again = await startBrowser(folder)
      const kept = again.browser.contexts()[0] ?? (await again.browser.newContext())
      const view = await kept.newPage()
      await view.goto(address)
      await expect(view.getByLabel('Add a line')).toBeVisible()
      await view.waitForTimeout(300)
      const count = await lineNames(view).count()
      if (isSaved) expect(count, `killed ${delayMs} ms after a line that was called saved`).toBe(expected + 1)
      // The ceiling is 500 ms: after 600 it is saved, whatever the screen said in the moment.
      expect(count).toBeGreaterThanOrEqual(expected)
      expected = count
      await kill(again.process)
    }
    expect(expected).toBeGreaterThan(0)
  } finally {
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
})
