import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { gramsOfLines, openFile, openMoussaka, waitSaved } from './bench'

test('from a recipe to an assessed formula and back to a file', async ({ page }) => {
  await openMoussaka(page)
  const totals = page.getByLabel('Totals')
  const readings = page.getByRole('group', { name: 'Readings' })
  const chew = readings.getByRole('button', { name: /^chewiness:/ })
  const salt = readings.getByRole('button', { name: /^Salt, all sources:/ })
  const gluten = page.getByRole('textbox', { name: /^Amount of vital wheat gluten/ })
  const share = page.locator('li', { has: gluten }).locator('[data-share]')

  await expect(gluten).toHaveValue('6 tbsp')
  const before = {
    totals: await totals.innerText(),
    chew: await chew.getAttribute('aria-label'),
    salt: await salt.getAttribute('aria-label'),
    share: await share.getAttribute('style'),
  }

  // By keyboard alone: to the cell, type, leave.
  await gluten.focus()
  await page.keyboard.type('60 g')
  await page.keyboard.press('Enter')
  await expect(
    page.getByRole('spinbutton', { name: 'Grams of Vital wheat gluten (powder)' }),
  ).toHaveAttribute('aria-valuenow', '60')
  expect(await totals.innerText()).not.toBe(before.totals)
  expect(await chew.getAttribute('aria-label')).not.toBe(before.chew)
  expect(await salt.getAttribute('aria-label')).not.toBe(before.salt)
  expect(await share.getAttribute('style')).not.toBe(before.share)
  await share.hover()
  await expect(share).toHaveAttribute('title', /^\d+\.\d %$/)

  // Undo, and do it again.
  await page.keyboard.press('u')
  await expect(gluten).toHaveValue('6 tbsp')
  expect(await chew.getAttribute('aria-label')).toBe(before.chew)
  await page.keyboard.press('Shift+U')
  await expect(gluten).toHaveValue('60 g')

  // Reload: the state and the undo history are kept.
  await waitSaved(page)
  await page.reload()
  await expect(gluten).toHaveValue('60 g')
  const masses = await gramsOfLines(page)
  expect(Object.keys(masses).length).toBe(13)
  await page.keyboard.press('u')
  await expect(gluten).toHaveValue('6 tbsp')
  await page.keyboard.press('Shift+U')
  await expect(gluten).toHaveValue('60 g')

  // Export, open the export, compare.
  await page.keyboard.press('Alt+7')
  await expect(page.getByRole('button', { name: 'Recipe, JSON-LD' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Recipe, JSON-LD' }).click(),
  ])
  const exported = readFileSync(await download.path(), 'utf8')
  expect(JSON.parse(exported)).toMatchObject({ '@type': 'Recipe', name: 'Moussaka' })
  await page.goto('/')
  await openFile(page, 'again.jsonld', exported)
  await expect(gluten).toHaveValue('60 g')
  const again = await gramsOfLines(page)
  expect(Object.keys(again)).toEqual(Object.keys(masses))
  for (const [name, grams] of Object.entries(masses))
    expect(Math.abs((again[name] ?? NaN) - grams), name).toBeLessThan(0.1)
})

test('lines are typed, pasted, moved and taken out', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  await expect(page.getByLabel('Add a line')).toBeVisible()
  await page.keyboard.press('a')
  await page.keyboard.type('¾ cup cooked green lentils, drained')
  await expect(page.locator('#add-line-reading')).toContainText('Green lentils, cooked · drained')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('spinbutton', { name: 'Grams of Green lentils, cooked' })).toBeVisible()

  await page.getByLabel('Add a line').evaluate((input) => {
    const data = new DataTransfer()
    data.setData('text', '2 tbsp olive oil\n1 tsp salt\n3 zorbels')
    input.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
  })
  const lines = page.getByRole('list', { name: /^Lines of/ }).getByRole('listitem')
  await expect(lines).toHaveCount(4)
  await expect(page.getByRole('button', { name: 'choose the food' })).toBeVisible()

  // The unknown food is chosen by name.
  await page.getByRole('button', { name: 'choose the food' }).click()
  await page.getByPlaceholder('Search the library').fill('walnuts')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'choose the food' })).toHaveCount(0)
  await expect(page.getByRole('spinbutton', { name: 'Grams of Walnuts' })).toBeVisible()

  // Moved with the keyboard.
  await page.getByRole('button', { name: 'Move Salt (sodium chloride)' }).focus()
  for (const key of ['Space', 'ArrowUp', 'ArrowUp', 'Space']) {
    await page.keyboard.press(key)
    await page.waitForTimeout(250)
  }
  await expect(lines.first()).toContainText('Salt')

  // Arrow keys on a figure, and taking out with undo.
  const oil = page.getByRole('spinbutton', { name: 'Grams of Olive oil, extra virgin' })
  const was = Number(await oil.getAttribute('aria-valuenow'))
  await oil.focus()
  await page.keyboard.press('ArrowUp')
  await expect.poll(async () => Number(await oil.getAttribute('aria-valuenow'))).toBeGreaterThan(was)
  await page.getByRole('button', { name: 'Take out Olive oil, extra virgin' }).click()
  await expect(lines).toHaveCount(3)
  await page.keyboard.press('u')
  await expect(lines).toHaveCount(4)
})

test('a figure is dragged sideways and asked why', async ({ page }) => {
  await openMoussaka(page)
  const walnuts = page.getByRole('spinbutton', { name: 'Grams of Walnuts' })
  const before = Number(await walnuts.getAttribute('aria-valuenow'))
  const box = await walnuts.boundingBox()
  if (box === null) throw new Error('the figure is not on the screen')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 45, box.y + box.height / 2, { steps: 8 })
  await page.mouse.up()
  await expect
    .poll(async () => Number(await walnuts.getAttribute('aria-valuenow')))
    .toBeGreaterThan(before + 20)

  await page.getByRole('button', { name: /^richness:/ }).focus()
  await page.keyboard.press('Shift+?')
  const sheet = page.getByRole('dialog')
  await expect(sheet).toContainText(/Fat.{0,80}1\d(\.\d+)? %/)
  await expect(sheet).toContainText('Walnuts +10 %')
  await page.keyboard.press('Escape')
  await expect(sheet).toHaveCount(0)
})

test('the aim is set, and its limits answer in the mix', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Paste a recipe' }).click()
  await page
    .getByLabel('Recipe', { exact: true })
    .fill(
      'Lentil mince\nServes 4\n\n2 cups cooked green lentils\n100 g walnuts\n1 tbsp soy sauce\n1 tsp salt\n\n1. Chop and brown everything for 10 minutes.',
    )
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByRole('button', { name: 'As written' })).toBeVisible()
  await page.keyboard.press('Alt+2')
  await page.getByRole('link', { name: 'Another original' }).click()
  await page.getByRole('button', { name: 'Choose the original' }).click()
  await page.getByPlaceholder(/^Lamb, egg/).fill('minced beef')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Minced beef, cooked (15-20 % fat raw)' })).toBeVisible()
  await page.getByLabel('Sodium, at most, mg').fill('200')
  await page.getByRole('button', { name: 'Soy', exact: true }).click()
  await page.getByLabel('Portions').fill('0')
  await expect(page.getByText('Enter at least a part of a portion.')).toBeVisible()
  await page.getByLabel('Portions').blur()
  await page.keyboard.press('Alt+2')
  const findings = page.getByLabel('Before you cook')
  await expect(findings).toContainText('mg of sodium; the aim allows 200 mg')
  await expect(findings).toContainText('Soy sauce goes against the aim')
  await expect(page.getByRole('button', { name: /^crumbliness:/ })).toBeVisible()

  // A finding is settled on purpose, with a reason that is kept.
  const limit = findings.getByRole('listitem').filter({ hasText: 'the aim allows 200 mg' })
  await limit.getByRole('button', { name: 'on purpose' }).click()
  await page.keyboard.type('the counter wants it salty')
  await page.keyboard.press('Enter')
  await expect(findings).toContainText('1 settled on purpose')
})

test('a trial is kept and taken up again', async ({ page }) => {
  await openMoussaka(page)
  await page.getByRole('button', { name: /^Trial 1/ }).click()
  await page.getByLabel('Decision and why').fill('Keep: bite is right.')
  await page.getByRole('button', { name: 'Keep as made' }).click()
  await expect(page.getByRole('button', { name: /^Trial 2 from 1/ })).toBeVisible()
  await page.getByRole('button', { name: 'Take out Walnuts' }).click()
  await page.getByRole('button', { name: /^Trial 2 from 1/ }).click()
  await expect(page.getByRole('dialog')).toContainText('Keep: bite is right.')
  await page.getByRole('button', { name: 'Take up its formula' }).click()
  await expect(page.getByRole('spinbutton', { name: 'Grams of Walnuts' })).toBeVisible()
})

test('the dish is scaled to what is there, shown first, then accepted and undone', async ({ page }) => {
  await openMoussaka(page)
  const walnuts = page.locator('[aria-label="Grams of Walnuts"]')
  const before = Number(await walnuts.getAttribute('aria-valuenow'))
  await page.getByRole('button', { name: 'Scale', exact: true }).click()
  await page.getByRole('radio', { name: 'What is there' }).click()
  await page.getByLabel('Ingredient').selectOption({ label: 'Walnuts' })
  await page.getByLabel('There is, g').fill('50')
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('×0.5')
  await expect(page.getByRole('region', { name: 'Difference' })).toContainText('½ cup walnuts')
  expect(Number(await walnuts.getAttribute('aria-valuenow'))).toBe(before)
  await page.getByRole('button', { name: 'Scale the dish' }).click()
  await expect
    .poll(async () => Number(await walnuts.getAttribute('aria-valuenow')))
    .toBeCloseTo(before / 2, 0)
  await page.keyboard.press('u')
  await expect.poll(async () => Number(await walnuts.getAttribute('aria-valuenow'))).toBe(before)
})
