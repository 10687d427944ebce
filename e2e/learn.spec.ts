import AxeBuilder from '@axe-core/playwright'
import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import { waitSaved } from './bench'

async function openDemo(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo kitchen' }).click()
  await expect(page.getByRole('link', { name: 'Moussaka' })).toBeVisible()
}
const seed = (page: Page, number: number) =>
  page.getByRole('button', { name: new RegExp(`^Trial ${number},`) })

test('the vine tells five trials; a pasty one is diagnosed, and its lever becomes the next trial', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/dish/moussaka/learn')
  for (const number of [1, 2, 3, 4, 5]) await expect(seed(page, number)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Trial 6, in work/ })).toBeVisible()
  await expect(page.getByText('+15 g vital wheat gluten').first()).toBeVisible()
  await expect(page.getByText('set aside: reads as sausage')).toBeVisible()
  await seed(page, 5).click()
  await page.getByLabel('In your words').fill('pasty, no granules')
  const first = page.getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first()
  await expect(first).toContainText(/mashed/i)
  await expect(first).toContainText('finer than in trial 3')
  await first.getByRole('button', { name: 'Make it the next trial' }).click()
  await expect(page.getByText(/goes on from trial 5/)).toBeVisible()
  await waitSaved(page)
  await page.reload()
  await page.getByRole('button', { name: /^Trial 6, in work/ }).click()
  await expect(page.getByText(/Came by: diagnosis of trial 5/)).toBeVisible()
  await page.keyboard.press('u')
})

test('an idea that was set aside is told before it comes back: in Mix, and in a swap', async ({ page }) => {
  await openDemo(page)
  await page.goto('/dish/moussaka/mix')
  await page.getByLabel('Add a line').fill('3 g smoked paprika')
  await page.keyboard.press('Enter')
  await expect(
    page.getByText('Smoked paprika for the lamb note was set aside in trial 4: reads as sausage (P3, P6).'),
  ).toBeVisible()
  await page.goto('/dish/moussaka/learn?trial=moussaka-t3')
  await page.getByRole('button', { name: /Keep in mind: \+0\.95 g allspice/ }).click()
  const sheet = page.getByRole('dialog', { name: 'Keep in mind' })
  await sheet.getByRole('radio', { name: 'Not again' }).click()
  await sheet.getByLabel('Why').fill('too much like pudding')
  await sheet.getByRole('button', { name: 'Keep in mind' }).click()
  await expect(page.getByText('too much like pudding')).toBeVisible()
  await waitSaved(page)
  await page.reload()
  await expect(page.getByText('too much like pudding')).toBeVisible()
  await page.getByRole('button', { name: /^Forget 0\.95 g allspice/ }).click()
  await expect(page.getByText('too much like pudding')).toHaveCount(0)
})

test('trials lie side by side, four at most, and the dish is told as a story', async ({ page }) => {
  await openDemo(page)
  await page.goto('/dish/moussaka/learn?trial=moussaka-t5')
  await page.getByRole('button', { name: 'Lay side by side' }).click()
  await expect(page.getByRole('columnheader', { name: 'Trial 3' }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Trial 2', exact: true }).click()
  await page.getByRole('button', { name: 'Trial 1', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Formula compared' }).getByRole('columnheader')).toHaveText([
    'Trial 1',
    'Trial 2',
    'Trial 3',
    'Trial 5',
  ])
  await expect(page.getByRole('row', { name: /^Notes/ })).toContainText('Pasty again')
  await page.getByRole('button', { name: 'Back to the vine' }).click()
  await page.getByRole('button', { name: 'As a story' }).click()
  await expect(page.getByRole('heading', { name: 'Trial 4, 12 June 2026: set aside' })).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as Markdown' }).click(),
  ])
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('# Moussaka: Mince layer')
  expect(text).toContain('Not again: smoked paprika for the lamb note.')
  expect(text).toMatch(/The best so far is trial \d/)
})

test('a series is laid out, made run by run, scored, and read as a surface', async ({ page }) => {
  await openDemo(page)
  await page.goto('/dish/moussaka/learn?part=moussaka-white-sauce&show=series')
  await expect(page.getByRole('heading', { name: 'The best guess so far' })).toBeVisible()
  await expect(page.getByText(/pure noise would give/)).toBeVisible()
  await page.getByRole('button', { name: 'as a table' }).first().click()
  await expect(page.getByRole('columnheader', { name: 'predicted' })).toBeVisible()
  await page.getByRole('button', { name: 'Make this batch' }).first().click()
  await expect(page.getByText(/is this batch: plan and cook it/)).toBeVisible()
  await page.getByRole('button', { name: 'New series' }).click()
  await page.getByRole('checkbox', { name: /^Cashews/ }).check()
  await expect(page.getByText('Vary one more thing.')).toBeVisible()
  await page.getByRole('checkbox', { name: /^Wheat flour/ }).check()
  await page.getByLabel('Cashews, from').fill('90')
  await expect(page.getByText('An upper bound lies below its lower one.')).toBeVisible()
  await page.getByLabel('Cashews, from').fill('40')
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page.getByText(/batches over .* laid out/)).toBeVisible()
  await expect(page.getByText('Nothing yet: score more batches than the model has terms.')).toBeVisible()
  await page.getByLabel('thickness').first().fill('5.5')
  await waitSaved(page)
  await page.reload()
  await expect(page.getByText(/1 of \d+ scored/)).toBeVisible()
})

test('the next trial is proposed, safe and bold, and shown on the vine', async ({ page }) => {
  await openDemo(page)
  await page.goto('/dish/souvlaki-strips/learn?trial=now')
  await page.getByRole('button', { name: 'Propose the next trial' }).click()
  await expect(page.getByText('Safe:')).toBeVisible({ timeout: 20_000 })
  await expect(page.getByText('Bold:')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Proposed trial 5/ })).toHaveCount(2)
  await page.getByRole('button', { name: 'Make it the next trial' }).first().click()
  await expect(page.getByText('Taken over. Undo with U.')).toBeVisible()
})

for (const [name, path] of [
  ['the vine', '/dish/moussaka/learn?trial=moussaka-t5'],
  ['side by side', '/dish/moussaka/learn?show=beside'],
  ['the story', '/dish/moussaka/learn?show=story'],
  ['a series', '/dish/moussaka/learn?part=moussaka-white-sauce&show=series'],
] as const)
  test(`axe finds nothing on ${name}, wide and narrow`, async ({ page }) => {
    await openDemo(page)
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 })
      await page.goto(path)
      await page.waitForTimeout(1200)
      const { violations } = await new AxeBuilder({ page }).analyze()
      expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual(
        [],
      )
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
    }
  })

const SERIES = '/dish/moussaka/learn?part=moussaka-white-sauce&show=series'

test('a day of a series is planned together, measured, photographed, and kept as a trial for each batch', async ({
  page,
}) => {
  // A whole day from its plan to what it taught: half a minute on an idle machine.
  test.setTimeout(120_000)
  await openDemo(page)
  await page.goto(SERIES)
  await page.getByRole('button', { name: 'plan these 4 as one day' }).click()
  await expect(page.getByText('4 batches are on one day, as trials 6 to 9.')).toBeVisible()
  const batches = page.getByLabel('Batches of a series')
  await expect(batches.getByRole('listitem')).toHaveCount(4)
  // A second plan does not push the first off its day; a run that is let go can be made again.
  await waitSaved(page)
  await page.goto(SERIES)
  await page.getByRole('button', { name: 'not planned any more' }).last().click()
  await expect(page.getByRole('button', { name: 'not planned any more' })).toHaveCount(3)
  await page.keyboard.press('u')
  await expect(page.getByRole('button', { name: 'not planned any more' })).toHaveCount(4)
  await waitSaved(page)
  await page.goto('/dish/moussaka/cook')
  await page.getByRole('button', { name: 'Start cooking' }).click()
  await page.getByRole('button', { name: 'Close the day' }).waitFor()
  // The last doing of the first batch: a ring on a glass, twice.
  await page.getByRole('button', { name: 'All steps' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Plate White sauce, batch 2/ })
    .click()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Note', exact: true }).click()
  await page.locator('input[type=file]').setInputFiles({
    name: 'sauce.png',
    mimeType: 'image/png',
    buffer: readFileSync(new URL('../docs/screenshots/shelf.png', import.meta.url)),
  })
  await expect(page.getByText('The picture is kept with this step.')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'All steps' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Simmer: white sauce, batch 2/ })
    .click()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await page.getByLabel('What is measured').selectOption('line-spread')
  const figure = page.getByLabel('Line spread after 60 s, cm')
  await figure.fill('99')
  await expect(page.getByText('Between 0 and 12 cm.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep the figure' })).toBeDisabled()
  await figure.fill('7.6')
  await page.getByRole('button', { name: 'Keep it, and once more' }).click()
  await expect(page.getByText('Written so far: 7.6 cm.')).toBeVisible()
  await figure.fill('8')
  await page.getByRole('button', { name: 'Keep the figure' }).click()
  await page.getByRole('button', { name: 'Close the day' }).click()
  await expect(page.getByText(/spreads: 7\.8 cm, median of 2: thickness 2\.3/)).toBeVisible()
  await page.getByRole('button', { name: 'Keep 4 trials as made' }).click()
  await expect(page.getByText(/Each dish is kept as a trial/)).toBeVisible()

  await page.goto('/dish/moussaka/learn?part=moussaka-white-sauce')
  for (const number of [6, 7, 8, 9]) await expect(seed(page, number)).toBeAttached()
  await seed(page, 7).click()
  await page.getByRole('button', { name: 'What was measured' }).click()
  await expect(page.getByRole('list', { name: 'Likely causes' })).toBeVisible()
  await page.getByRole('button', { name: /^Trial 7, picture 1 of 1/ }).click()
  await expect(page.getByRole('img', { name: 'Trial 7 as it was made' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Lay side by side' }).click()
  await expect(page.getByRole('row', { name: /^Photos/ }).getByRole('button')).toHaveCount(1)

  // What was measured stands ready as a score of the run.
  await page.goto(SERIES)
  await page.getByRole('button', { name: 'As tasted' }).click()
  await expect(page.getByText('11 of 14 scored')).toBeVisible()
  await page.goto('/kitchen')
  await expect(page.getByText('Learned by tasting and measuring')).toBeVisible()
  await expect(page.getByRole('row', { name: /thickness of coating sauce/i })).toBeVisible()
})

test('two tabs score one series, and one is killed: every score is there', async ({ page, context }) => {
  await openDemo(page)
  await page.goto(SERIES)
  const other = await context.newPage()
  await other.goto(SERIES)
  const day = (of: Page) => of.getByRole('region', { name: 'Day 3' })
  const first = (of: Page, at: number) => day(of).getByRole('listitem').nth(at).getByLabel('thickness')
  await first(page, 0).fill('6.1')
  await first(other, 1).fill('5.2')
  await first(page, 2).fill('4.4')
  await first(page, 2).press('Tab')
  await waitSaved(page)
  await waitSaved(other)
  await expect(first(page, 1)).toHaveValue('5.2')
  await expect(first(other, 2)).toHaveValue('4.4')
  await first(other, 3).fill('7.3')
  await first(other, 3).press('Tab')
  await waitSaved(other)
  await other.close({ runBeforeUnload: false })
  await page.reload()
  for (const [at, value] of ['6.1', '5.2', '4.4', '7.3'].entries())
    await expect(first(page, at)).toHaveValue(value)
})

test('the keyboard alone goes from the vine to a diagnosis, an idea and a ratio kept in mind', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/dish/moussaka/learn?trial=moussaka-t3')
  await seed(page, 5).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Trial 5', exact: true })).toBeVisible()
  await page.getByLabel('In your words').focus()
  await page.keyboard.type('pasty')
  await expect(page.getByRole('list', { name: 'Likely causes' })).toBeVisible()
  await seed(page, 3).focus()
  await page.keyboard.press('Enter')
  const keep = page.getByRole('button', { name: /^Keep in mind: / }).first()
  await keep.focus()
  await page.keyboard.press('Enter')
  const sheet = page.getByRole('dialog', { name: 'Keep in mind' })
  await sheet.getByLabel('Met again as').focus()
  await page.keyboard.press('ArrowDown')
  await sheet.getByLabel('Why').focus()
  await page.keyboard.type('too soft')
  await sheet.getByRole('button', { name: 'Keep in mind' }).focus()
  await page.keyboard.press('Enter')
  await expect(sheet).toHaveCount(0)
  await expect(page.getByText('too soft')).toBeVisible()
  // The hand is back where it was.
  await expect(keep).toBeFocused()
})
