import { expect, test } from '@playwright/test'
import { openMoussaka, waitSaved } from './bench'

test.beforeEach(async ({ page }) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('list', { name: 'Steps of Mince layer' })).toBeVisible()
})

test('every planted mistake of the demo is found on its step', async ({ page }) => {
  const steps = page.getByRole('list', { name: 'Steps of Mince layer' })
  await expect(steps.getByText(/in the pan before the mushrooms have browned/)).toBeVisible()
  await expect(steps.getByText(/steam instead of browning/)).toBeVisible()
  await expect(page.getByText(/in the list but no step uses it/)).toBeVisible()
  await page.getByRole('tab', { name: 'White sauce' }).click()
  await expect(
    page.getByRole('list', { name: 'Steps of White sauce' }).getByText(/50 g/).first(),
  ).toBeVisible()
})

test('an ingredient is dragged onto a step, and a step into another place', async ({ page }) => {
  const chip = page.getByRole('button', { name: 'fresh mint: drag onto a step' })
  const target = page.getByRole('textbox', { name: 'Step 2' })
  const from = await chip.boundingBox()
  const to = await target.boundingBox()
  if (from === null || to === null) throw new Error('nothing to drag')
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
  await page.mouse.down()
  await page.mouse.move(from.x + 20, from.y + 20, { steps: 4 })
  await page.mouse.move(to.x + 60, to.y + 8, { steps: 8 })
  await page.mouse.up()
  await expect(page.getByText('In no step yet:')).toHaveCount(0)
  await expect(page.getByText('fresh mint')).toBeVisible()

  // By keyboard: the second step goes up.
  const words = await target.inputValue()
  await page.getByRole('button', { name: 'Move step 2' }).focus()
  await page.keyboard.press('Space')
  await page.waitForTimeout(200)
  await page.keyboard.press('ArrowUp')
  await page.waitForTimeout(200)
  await page.keyboard.press('Space')
  await expect(page.getByRole('textbox', { name: 'Step 1' })).toHaveValue(words)
})

test('a step is typed, weighed, learned from, and forgotten again', async ({ page }) => {
  await page.keyboard.press('a')
  await page.keyboard.type('roast 200C fan 25 min, single layer')
  await expect(page.locator('#add-step-reading')).toContainText('Roast · oven tray 45 × 35 cm · 200 °C fan')
  await page.keyboard.press('Enter')
  const last = page.getByRole('textbox', { name: 'Step 8' })
  await expect(last).toHaveValue('roast 200C fan 25 min, single layer')
  const cooked = page.getByLabel('Totals')
  const before = await cooked.innerText()

  await page.getByRole('button', { name: 'Details of step 7' }).click()
  await page.getByLabel('Weighed after this step, g').fill('600')
  await expect(page.getByText(/The model said \d+ g/)).toBeVisible()
  expect(await cooked.innerText()).not.toBe(before)
  await waitSaved(page)

  await page.goto('/kitchen')
  const row = page.getByRole('row', { name: /^Roast in oven tray/ })
  await expect(row).toContainText('×')
  await row.getByRole('button', { name: 'Reset' }).click()
  await expect(row).toHaveCount(0)
})

test('a kitchen’s own oven and pans change the method', async ({ page }) => {
  await page.goto('/kitchen')
  await page.getByRole('button', { name: 'Change Oven', exact: true }).click()
  await page.getByLabel('Above its dial, °C').fill('-20')
  await page.getByRole('button', { name: 'Close Oven', exact: true }).click()
  await expect(page.getByText('runs −20 °C')).toBeVisible()
  await page.goBack()
  await page.getByRole('button', { name: 'Details of step 7' }).click()
  await expect(page.getByText('dial 210 °C on your oven')).toBeVisible()
})

test('a new dish takes a pasted recipe’s method', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  await page.getByLabel('Add a line').fill('250 g dried chickpeas')
  await page.keyboard.press('Enter')
  await page.getByLabel('Add a line').fill('8 g salt')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Alt+3')
  await page.getByRole('button', { name: 'Paste steps' }).click()
  await page
    .getByLabel('Instructions as written')
    .fill('1. Soak the chickpeas overnight, then drain.\n2. Boil for 75 minutes and drain. Stir in the salt.')
  const sheet = page.getByRole('dialog', { name: 'Paste steps' })
  await expect(sheet.getByRole('checkbox')).toHaveCount(5)
  await sheet.getByRole('button', { name: 'Take 5 steps over' }).click()
  await expect(page.getByRole('textbox', { name: 'Step 5' })).toHaveValue('Stir in the salt.')
  await expect(page.getByText(/g out, 2\d\d %/)).toBeVisible()
})
