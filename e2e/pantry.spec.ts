import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test } from '@playwright/test'
import { demoFile } from './bench'

const openCsv = (page: Page, name: string, text: string) =>
  page.getByLabel('Pantry file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
const list = (page: Page) => page.getByRole('region', { name: 'List of ingredients' })

test('an ingredient is found by another region’s word, and filtered by role and allergen', async ({
  page,
}) => {
  await page.goto('/pantry')
  await page.getByLabel('Search the pantry').fill('zucchini')
  await list(page)
    .getByRole('button', { name: /^Courgette/ })
    .click()
  await expect(page.getByRole('heading', { name: 'Courgette' })).toBeVisible()
  await expect(page.getByText('D077 Zucchini, green')).toBeVisible()
  await page.getByLabel('Search the pantry').fill('')
  await page.getByLabel('Role').selectOption('binder')
  const all = await page.getByRole('status').first().innerText()
  await page.getByLabel('Without').selectOption('gluten')
  await expect(page.getByRole('status').first()).not.toHaveText(all)
  await expect(list(page).getByText('Vital wheat gluten')).toHaveCount(0)
})

test('an own ingredient is made from a label, used in a mix, changed and taken out', async ({ page }) => {
  await page.goto('/pantry')
  await page.getByRole('button', { name: 'Add your own' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Saltmarsh crumbs')
  await page.getByLabel('Protein, g').fill('60')
  await page.getByLabel('Fat, g').fill('30')
  await page.getByLabel('Carbohydrate, without fibre, g').fill('70')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('alert')).toContainText('add up to')
  await page.getByLabel('Protein, g').fill('12')
  await page.getByLabel('Fat, g').fill('5')
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([])
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name: 'Saltmarsh crumbs' })).toBeVisible()

  await page.goto('/')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  await page.getByLabel('Add a line').fill('80 g saltmarsh crumbs')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('spinbutton', { name: 'Grams of Saltmarsh crumbs' })).toBeVisible()

  await page.goto('/pantry')
  await page.getByRole('button', { name: 'yours only' }).click()
  await list(page)
    .getByRole('button', { name: /^Saltmarsh crumbs/ })
    .click()
  await page.getByRole('button', { name: 'Take out' }).click()
  await expect(page.getByRole('status').first()).toHaveText('0 fit')
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('status').first()).toHaveText('1 fits')
})

test('a price list is matched, previewed and taken over; a bad one changes nothing', async ({ page }) => {
  await page.goto('/pantry?food=walnuts')
  await openCsv(page, 'nothing.csv', 'just words')
  await expect(page.getByRole('alert')).toContainText('holds no table')
  await page.keyboard.press('Escape')
  await openCsv(page, 'prices.csv', demoFile('pantry-prices.csv'))
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('22 of 22 rows')
  await page.getByRole('button', { name: 'Take over 22 rows' }).click()
  await page.reload()
  await expect(page.getByLabel('Price, EUR')).toHaveValue('13')
  await openCsv(
    page,
    'own.csv',
    'Name;Protein;Fett;Carb;Preis\nHauskäse;12,5;20,5;5;9,90\nBruch;90;90;5;1\n;1;1;1;1\n',
  )
  await page.getByRole('dialog').getByLabel('Fett').selectOption('fatG')
  await expect(page.getByRole('dialog').getByRole('status')).toContainText(
    '1 of 3 rows can be taken over; numbers are read with a decimal comma',
  )
})

test('dry and cooked convert, and packs show what is left over', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo kitchen' }).click()
  await expect(page.getByRole('link', { name: 'Moussaka' })).toBeVisible()
  await page.goto('/pantry?food=chickpeas-cooked')
  await expect(page.getByText('227 g')).toBeVisible()
  await page.goto('/dish/moussaka/share')
  await expect(page.getByText('1 punnet of 400 g; 150 g left over')).toBeVisible()
  await expect(page.getByText(/or 129 g black-eyed peas, dry/)).toBeVisible()
})
