import { expect, type Page, test } from '@playwright/test'
import { openFile } from './bench'

/** A made-up supper with six lines, and three things that go by themselves at once. */
const SUPPER = `# Split-pea supper

Serves 4

## Ingredients

- 200 g split peas
- 300 g courgettes, sliced
- 400 g chopped tomatoes
- 12 g olive oil
- 30 g tahini
- 6 g fine salt

## Method

1. Simmer the split peas in 700 g water for 40 minutes.
2. Roast the courgettes with the olive oil at 190 °C for 35 minutes.
3. Simmer the tomatoes with the salt for 30 minutes, stirring now and then.
4. Stir the split peas, courgettes, tomatoes and tahini together.
`

const tell = (page: Page, command: object): Promise<void> =>
  page.evaluate(async (body) => {
    const answer = await fetch('/api/devices/scale', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }, command)

const local = (at: Date): string => {
  const pad = (value: number) => String(value).padStart(2, '0')
  return `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}T${pad(at.getHours())}:${pad(at.getMinutes())}`
}

/** Plans the supper for so many minutes from now, and begins to cook it. */
async function beginSupper(page: Page, minutes = 90): Promise<void> {
  await page.goto('/')
  await openFile(page, 'supper.md', SUPPER)
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Split-pea supper')
  await page.keyboard.press('Alt+4')
  await page.getByRole('radio', { name: 'Somebody always' }).click()
  await page
    .getByRole('textbox', { name: 'Served at' })
    .or(page.locator('input[type="datetime-local"]'))
    .fill(local(new Date(Date.now() + minutes * 60_000)))
  await expect(page.getByText(/in all/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Start cooking' }).click()
  await page.waitForURL(/\/day\//)
  await expect(page.getByRole('region', { name: 'Now' })).toBeVisible()
}

/** Rows of a table of the browser's storage. */
const rows = (page: Page, table: string): Promise<unknown[]> =>
  page.evaluate(
    (name) =>
      new Promise<unknown[]>((resolve, reject) => {
        const open = indexedDB.open('frijol')
        open.onerror = () => reject(new Error('closed'))
        open.onsuccess = () => {
          const all = open.result.transaction(name).objectStore(name).getAll()
          all.onsuccess = () => {
            open.result.close()
            resolve(all.result as unknown[])
          }
        }
      }),
    table,
  )

const display = (page: Page) => page.getByLabel('On the scale for this line')
const next = (page: Page) => page.getByRole('button', { name: /^(?:Next:|Keep it: all)/ })
const secondsOf = (text: string): number => {
  const [minutes = '0', seconds = '0'] = text.trim().split(':')
  return Number(minutes) * 60 + Number(seconds)
}

test.describe('at the counter', () => {
  test('six lines are weighed over an unplugged scale, a reload and an over-pour: nothing is lost', async ({
    page,
  }) => {
    await beginSupper(page)
    await tell(page, { act: 'plug-in' })
    await tell(page, { act: 'take-away' })
    await tell(page, { act: 'zero' })
    await page.getByRole('button', { name: 'At this counter' }).click()
    await page.getByRole('button', { name: 'Connect the scale and the probe' }).click()
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Weigh everything in' }).click()
    const heading = page.getByRole('region', { name: 'Now' }).getByRole('heading')
    const made: Record<string, number> = {}
    const add = async (g: number) => {
      await tell(page, { act: 'add', g })
    }
    const keep = async (g: number) => {
      await expect(display(page)).toContainText(g.toFixed(1))
      await expect(page.getByText('scale: steady')).toBeVisible()
      const before = (await heading.textContent()) ?? ''
      made[before.replace(/\s*\d+ of \d+.*/, '')] = g
      await next(page).click()
      await expect(heading).not.toHaveText(before)
    }
    // The bowl stands on the scale from the beginning, and stays on it.
    await expect(page.getByText('scale: steady')).toBeVisible()
    await add(412.3)
    await expect(display(page)).toContainText('412.3')
    await expect(page.getByText('scale: steady')).toBeVisible()
    await page.getByRole('button', { name: 'Tare' }).click()
    await expect(display(page)).toContainText('0.0')
    await add(200.4)
    await keep(200.4)

    // Unplugged with a part of it in; it wakes with another zero, and goes on where it was.
    await add(150)
    await expect(display(page)).toContainText('150.0')
    await expect(page.getByText('scale: steady')).toBeVisible()
    await tell(page, { act: 'unplug' })
    await expect(page.getByText('scale: off')).toBeVisible()
    await expect(next(page)).toBeDisabled()
    await tell(page, { act: 'plug-in' })
    await expect(page.getByText('Carried on over the break')).toBeVisible()
    await add(149.8)
    await keep(299.8)

    // The page is loaded anew in the middle of a line.
    await add(7)
    await expect(display(page)).toContainText('7.0')
    await expect(page.getByText('scale: steady')).toBeVisible()
    await page.reload()
    await expect(display(page)).toContainText('7.0')
    await add(5.2)
    await keep(12.2)

    // Poured over, and left so.
    await add(520)
    await expect(page.getByText(/over: take some out, or keep it/)).toBeVisible()
    await keep(520)
    await page.getByRole('button', { name: 'Used something else' }).click()
    await page.getByLabel('What was used in its place').fill('sea salt flakes')
    await page.getByRole('button', { name: 'That is it' }).click()
    await add(6.1)
    await expect(display(page)).toContainText('6.1')
    await expect(page.getByText('scale: steady')).toBeVisible()
    await page.locator('body').click({ position: { x: 2, y: 2 } })
    await page.keyboard.press('Space')
    await expect(page.getByRole('heading', { name: /Tahini/i })).toBeVisible()
    await add(31)
    await expect(display(page)).toContainText('31.0')
    await next(page).click()
    await expect(page.getByRole('button', { name: 'Stop weighing' })).toHaveCount(0)

    await page.getByRole('button', { name: 'Close the day' }).click()
    await expect(page.getByText('6 of 6 lines weighed')).toBeVisible()
    const off = page.getByRole('list', { name: /Otherwise than written/ })
    await expect(off).toContainText(/520 g in place of 400 g/)
    await expect(off).toContainText('as sea salt flakes')
    await page.getByRole('button', { name: 'Keep the trial as made' }).click()
    await expect(page.getByRole('heading', { name: 'This day is closed' })).toBeVisible()
    const [trial] = (await rows(page, 'trials')) as {
      asMade: { massG: number; instead: string | null }[]
      parts: { lines: { text: string }[] }[]
      state: string
    }[]
    const masses = trial?.asMade.map(({ massG }) => massG).sort((a, b) => a - b) ?? []
    const expected = [6.1, 12.2, 31, 200.4, 299.8, 520]
    expect(masses).toHaveLength(6)
    masses.forEach((massG, at) => expect(Math.abs(massG - (expected[at] ?? 0))).toBeLessThanOrEqual(0.1001))
    // The written formula stays as it was written.
    expect(trial?.parts[0]?.lines.map(({ text }) => text)).toContain('400 g chopped tomatoes')
    expect(trial?.state).toBe('made')
    expect(Object.keys(made)).toHaveLength(4)
  })

  test('timers go on over a killed tab; a missed look is told once; a clock set back makes nothing negative', async ({
    page,
    context,
  }) => {
    await beginSupper(page)
    const put = async (name: RegExp) => {
      await page.getByRole('button', { name: 'All steps' }).click()
      await page.getByRole('dialog').getByRole('button', { name }).first().click()
      await page.getByRole('button', { name: /^It (?:is on|has begun)$/ }).click()
    }
    await put(/Begin to simmer: split peas/i)
    await put(/Begin to roast/i)
    await put(/Begin to simmer: (?:chopped )?tomatoes/i)
    const timers = page.getByRole('region', { name: 'Running by itself' }).getByRole('timer')
    await expect(timers).toHaveCount(3)
    const before = await timers.allTextContents()
    const at = Date.now()
    await expect(page.getByText('Saved', { exact: true })).toBeVisible()
    const address = page.url()
    await page.close({ runBeforeUnload: false })

    const later = await context.newPage()
    await later.goto(address)
    const again = later.getByRole('region', { name: 'Running by itself' }).getByRole('timer')
    await expect(again).toHaveCount(3)
    const gone = (Date.now() - at) / 1000
    const left = await again.allTextContents()
    left.forEach((text, index) => {
      const was = secondsOf(before[index] ?? '')
      expect(Math.abs(was - secondsOf(text) - gone)).toBeLessThanOrEqual(3)
    })
    await later.close()

    // A quarter of an hour later the first look at the pots was missed, and is told.
    const quarter = await context.newPage()
    await quarter.clock.install({ time: Date.now() + 16 * 60_000 })
    await quarter.goto(address)
    await expect(quarter.getByRole('alert')).toContainText('While nobody looked')
    await expect(quarter.getByText('Saved', { exact: true })).toBeVisible()
    await quarter.reload()
    await expect(quarter.getByRole('region', { name: 'Running by itself' }).getByRole('timer')).toHaveCount(3)
    await expect(quarter.getByText('While nobody looked')).toHaveCount(0)
    await quarter.close()

    const back = await context.newPage()
    await back.clock.install({ time: Date.now() - 3_600_000 })
    await back.goto(address)
    await expect(back.getByText('was set back')).toBeVisible()
    const shown = await back
      .getByRole('region', { name: 'Running by itself' })
      .getByRole('timer')
      .allTextContents()
    expect(shown).toHaveLength(3)
    for (const text of shown) {
      expect(text).not.toContain('-')
      expect(text).not.toContain('−')
      expect(secondsOf(text)).toBeLessThanOrEqual(40 * 60)
    }
  })

  test('a whole day by the keyboard alone, and every target is large enough for wet hands', async ({
    page,
  }) => {
    await beginSupper(page)
    const now = page.getByRole('region', { name: 'Now' })
    for (const { width, height } of [
      { width: 1280, height: 800 },
      { width: 820, height: 1180 },
      { width: 390, height: 844 },
    ]) {
      await page.setViewportSize({ width, height })
      const small = await now
        .getByRole('button')
        .evaluateAll((buttons) =>
          buttons
            .map((button) => ({ text: button.textContent, height: button.getBoundingClientRect().height }))
            .filter((box) => box.height < 56),
        )
      expect(small).toEqual([])
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(wide).toBeLessThanOrEqual(0)
    }
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.keyboard.press('n')
    await page.getByLabel('In your own words').focus()
    await page.keyboard.type('smells sweet')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    // Space begins and ends what the hands do until nothing is left for them.
    const done = page.getByRole('heading', { name: 'Nothing is left for the hands' })
    for (let presses = 0; presses < 40 && (await done.count()) === 0; presses += 1) {
      const before = await now.textContent()
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
      await page.keyboard.press('Space')
      await expect.poll(() => now.textContent()).not.toBe(before)
    }
    await expect(done).toBeVisible()
    await page.keyboard.press('u')
    await expect(done).toHaveCount(0)
    await page.keyboard.press('Shift+U')
    await expect(done).toBeVisible()
    await now.getByRole('button', { name: 'Close the day' }).press('Enter')
    await page.getByLabel('Portions of Split-pea supper').fill('4')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'Write a tub label' }).press('Enter')
    await expect(page.getByRole('list', { name: 'Tub labels' })).toContainText('Use by')
    await expect(page.getByRole('list', { name: 'Tub labels' })).toContainText(/sesame/i)
    await page.getByRole('button', { name: 'Keep the trial as made' }).press('Enter')
    await expect(page.getByRole('heading', { name: 'This day is closed' })).toBeVisible()
    const [trial] = (await rows(page, 'trials')) as { notes: string }[]
    expect(trial?.notes).toContain('smells sweet')
  })

  test('a slip moves the serving only when the cook says so', async ({ page }) => {
    await beginSupper(page, 85)
    const serving = page.getByRole('region', { name: 'Serving' })
    await expect(serving.getByText('on time')).toBeVisible()
    await page.getByRole('button', { name: 'All steps' }).click()
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /Begin to simmer: split peas/i })
      .click()
    await page.getByRole('button', { name: /^It (?:is on|has begun)$/ }).click()
    await page.getByRole('button', { name: 'All steps' }).click()
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^\S+ ?Simmer: split peas/i })
      .click()
    await page.getByRole('button', { name: 'Something went otherwise' }).click()
    await page.getByRole('button', { name: '20 min more' }).click()
    await expect(serving.getByText(/later/)).toBeVisible()
    const proposed = serving.getByRole('button', { name: /Serve at/ })
    await expect(proposed).toBeVisible()
    await proposed.click()
    await expect(serving.getByText('on time')).toBeVisible()
    await page.reload()
    await expect(serving.getByText('on time')).toBeVisible()
  })

  test('two tablets at one counter: what either writes down is on both', async ({ page, context }) => {
    await beginSupper(page)
    const other = await context.newPage()
    await other.goto(page.url())
    await expect(other.getByRole('region', { name: 'Now' })).toBeVisible()
    await page.keyboard.press('n')
    await page.getByRole('button', { name: 'needs salt' }).click()
    await other.keyboard.press('n')
    await other.getByRole('button', { name: 'needs acid' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect
      .poll(async () => {
        const [day] = (await rows(page, 'days')) as { value: { session: { notes: { text: string }[] } } }[]
        return day?.value.session.notes.map(({ text }) => text).sort()
      })
      .toEqual(['needs acid', 'needs salt'])
    // A weighing by hand here is ticked there.
    await page.getByRole('button', { name: 'Weigh everything in' }).click()
    await page.getByLabel('Grams on your scale').fill('201,5')
    await page.getByRole('button', { name: 'Keep 202 g' }).click()
    await expect(other.getByRole('button', { name: /201\.5 g weighed|202 g weighed/ })).toBeVisible()
  })

  test('a picture is made small and kept with its step; what is no picture is told', async ({ page }) => {
    await beginSupper(page)
    await page.keyboard.press('n')
    await page
      .getByLabel('A picture')
      .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
    await expect(page.getByText('is no picture that the browser can open')).toBeVisible()
    await page
      .getByLabel('A picture')
      .setInputFiles(new URL('../docs/screenshots/mix.png', import.meta.url).pathname)
    await expect(page.getByText('The picture is kept with this step.')).toBeVisible()
    const [photo] = (await rows(page, 'photos')) as { dataUrl: string; width: number; height: number }[]
    expect(photo?.width).toBe(1280)
    expect(photo?.dataUrl).toMatch(/^data:image\/jpeg;base64,/)
    expect(photo?.dataUrl.length).toBeLessThan(400_000)
    await page.keyboard.press('n')
    await expect(page.getByRole('img', { name: /^Picture taken at/ })).toBeVisible()
  })

  test('the stand-in is told by its page, and the probe warms with what is put on', async ({ page }) => {
    await page.goto('/stand-in')
    const display = page.getByLabel('Display')
    await page.getByRole('button', { name: 'Plug in' }).first().click()
    await page.getByRole('button', { name: 'Take all away' }).click()
    await page.getByRole('button', { name: 'Zero' }).click()
    await expect(display).toHaveText('0.0 g')
    await page.getByRole('button', { name: 'Add 10 g' }).click()
    await expect(display).toHaveText('10.0 g')
    await page.getByRole('button', { name: 'Unplug' }).first().click()
    await expect(display).toHaveText('off')
    await page.getByRole('button', { name: 'Plug in' }).first().click()
    await page.getByRole('button', { name: 'A minute in a second' }).click()
    await page.getByRole('button', { name: 'Into something hot' }).first().click()
    const probe = page.getByRole('region', { name: 'Probe' })
    await expect(probe.getByText(/1: (?:[5-9]\d)\.\d °C/)).toBeVisible()
    await page.getByRole('button', { name: 'Out of it' }).first().click()
    await page.getByRole('button', { name: 'As it is' }).click()
  })
})
