import { expect, type Locator, type Page, test } from '@playwright/test'

const RECIPE = `Walnut mince with tahini sauce
Serves 4

For the mince
200 g walnuts
400 g chestnut mushrooms
1 onion, chopped
2 tbsp olive oil
1 tbsp soy sauce

For the sauce
80 g tahini
120 ml water
2 tbsp lemon juice
1/2 tsp salt

Method
1. Pulse the walnuts to a coarse crumb. Fry the onion in half of the oil for 8 minutes, add the mushrooms and the rest of the oil and cook for 10 minutes more.
2. Stir in the walnuts and the soy sauce and rest for 10 minutes.
3. For the sauce, whisk the tahini with the water, lemon juice and salt.
4. Serve the mince with the sauce.
`

async function paste(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Paste a recipe' }).click()
  await page.getByLabel('Recipe', { exact: true }).fill(RECIPE)
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByRole('list', { name: 'Written steps' })).toBeVisible()
}
const doingsOf = (page: Page, written: number): Locator =>
  page.getByRole('list', { name: `Doings of written step ${written}` }).getByRole('listitem')

/** Says what an opened doing is, by hand. */
async function pickOperation(page: Page, doing: Locator, name: string): Promise<void> {
  await doing.getByLabel('What is done').click()
  await page.getByPlaceholder('Soak, simmer, press …').fill(name)
  await page
    .getByRole('option', { name: new RegExp(`^${name}`) })
    .first()
    .click()
}

test('a pasted recipe of two parts shows what was understood, doing by doing', async ({ page }) => {
  await paste(page)
  const summary = page.getByText(/doings read from 4 written steps/)
  await expect(summary).toContainText('6 doings')
  await expect(summary).toContainText('100 %')
  await expect(doingsOf(page, 1)).toHaveCount(3)
  await expect(doingsOf(page, 1).nth(1)).toContainText('onion, olive oil 50 %')
  await expect(doingsOf(page, 3).first()).toContainText('tahini, water, lemon juice, salt')
  await expect(page.getByRole('list', { name: 'Written steps' })).toContainText('Nothing is done here.')
})

test('what the page says is taken is what the ribbon takes', async ({ page }) => {
  await paste(page)
  const said: string[][] = []
  for (const written of [1, 2]) {
    const rows = doingsOf(page, written)
    await expect(rows.first()).toContainText(/\S/)
    for (let at = 0; at < (await rows.count()); at += 1)
      said.push(await rows.nth(at).locator('span.font-semibold').allInnerTexts())
  }
  await page.getByRole('button', { name: 'It is read right' }).click()
  const steps = page.getByRole('list', { name: /^Steps of/ })
  await expect(page.getByRole('textbox', { name: `Step ${said.length}` })).toBeVisible()
  for (const [at, foods] of said.entries()) {
    const row = steps.locator(':scope > li').nth(at)
    await expect.poll(() => row.locator('p span.font-semibold').allInnerTexts()).toEqual(foods)
  }
})

test('one doing is mended, undone, and keeps its mend while a line is edited', async ({ page }) => {
  await paste(page)
  const rest = doingsOf(page, 2).nth(1)
  await expect(rest).toContainText('Rest')
  await rest.getByRole('button', { name: 'Mend Rest' }).click()
  await pickOperation(page, rest, 'Chill')
  await expect(doingsOf(page, 2).nth(1)).toContainText('Chill ✎')
  await page.getByRole('button', { name: 'Close Chill' }).click()

  await page.keyboard.press('u')
  await expect(doingsOf(page, 2).nth(1)).not.toContainText('✎')
  await expect(doingsOf(page, 2).nth(1)).toContainText('Rest')
  await page.keyboard.press('Shift+U')
  await expect(doingsOf(page, 2).nth(1)).toContainText('Chill ✎')

  // The list changes; the mend stays, and so do the other doings.
  await page.keyboard.press('Alt+2')
  await page
    .getByRole('button', { name: /^Walnuts/i })
    .first()
    .click()
  await page.getByLabel('The whole line').fill('240 g walnuts, toasted')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Alt+3')
  await page.getByRole('button', { name: 'As written' }).click()
  await expect(doingsOf(page, 2).nth(1)).toContainText('Chill ✎')
  await expect(doingsOf(page, 1).first()).toContainText('walnuts')
  await expect(page.getByText(/doings read from 4 written steps/)).toContainText('100 %')
})

test('a food that no doing takes is asked for, and given to one', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Paste a recipe' }).click()
  await page
    .getByLabel('Recipe', { exact: true })
    .fill(
      'Beans\n\n300 g cooked white beans\n120 g cashews\n1 tsp salt\n\nMethod\n1. Mash the beans with the salt.\n2. Chill for 1 hour.',
    )
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText('the method is partly read')).toBeVisible()
  await page.getByLabel('Which doing takes the cashews (120 g)?').selectOption({ index: 1 })
  await expect(page.getByText('the method is partly read')).toBeHidden()
  await expect(doingsOf(page, 1).first()).toContainText('cashews')
})

test('a word set by hand is taught, and the next recipe is read with it', async ({ page }) => {
  const recipe = (name: string) =>
    `${name}\n\n200 g leeks\n1 tbsp olive oil\n\nMethod\n1. Frizzle the leeks in the oil for 6 minutes.`
  const read = async (name: string) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Paste a recipe' }).click()
    await page.getByLabel('Recipe', { exact: true }).fill(recipe(name))
    await page.getByRole('button', { name: 'Read it' }).click()
    await expect(page.getByRole('list', { name: 'Written steps' })).toBeVisible()
  }
  await read('First leeks')
  await doingsOf(page, 1).first().getByRole('button', { name: /^Mend/ }).click()
  await pickOperation(page, doingsOf(page, 1).first(), 'Fry')
  await page.getByRole('button', { name: 'In this kitchen, “frizzle” is always Fry' }).click()
  await read('Second leeks')
  await expect(doingsOf(page, 1).first()).toContainText('Fry')
  await expect(doingsOf(page, 1).first()).toContainText('6 min')
  await page.goto('/kitchen')
  await expect(page.getByRole('list', { name: 'Words of this kitchen' })).toContainText('“frizzle” is Fry')
})
