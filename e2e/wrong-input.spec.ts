import { expect, type Page, test } from '@playwright/test'
import { demoFile, openFile } from './bench'

async function refuses(page: Page, name: string, content: string, message: RegExp): Promise<void> {
  await openFile(page, name, content)
  await expect(page.getByRole('alert')).toContainText(message)
  await expect(page.getByText('Nothing is in work yet.')).toBeVisible()
}

test('wrong files get a clear message and change nothing', async ({ page }) => {
  const dialogs: string[] = []
  page.on('dialog', (dialog) => {
    dialogs.push(dialog.message())
    void dialog.dismiss()
  })
  await page.goto('/')
  await expect(page.getByText('Nothing is in work yet.')).toBeVisible()

  await refuses(page, 'broken.json', '{"@type": "Recipe", "name": ', /not valid JSON.*Nothing was changed/)
  await refuses(page, 'list.json', '{"shopping": ["beans"]}', /holds no recipe.*Nothing was changed/)
  await refuses(page, 'empty.txt', '  \n ', /empty/)
  await refuses(page, 'page.html', '<!doctype html><title>About us</title><p>Hello</p>', /holds no recipe/)
  await refuses(
    page,
    'proto.json',
    '{"@type":"Recipe","name":"x","recipeIngredient":["1 egg"],"__proto__":{"a":1}}',
    /refused/,
  )
  await refuses(
    page,
    'large.json',
    `{"@type":"Recipe","name":"${'x'.repeat(30_000_000)}"}`,
    /30 MB.*up to 20 MB/,
  )
  await openFile(
    page,
    'markup.json',
    JSON.stringify({
      '@type': 'Recipe',
      name: '<img src=x onerror="alert(1)">Soup',
      recipeIngredient: ['1 onion'],
    }),
  )
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Soup')
  expect(dialogs).toEqual([])
})

test('markup inside lines and steps stays text', async ({ page }) => {
  let isRun = false
  page.on('dialog', (dialog) => {
    isRun = true
    void dialog.dismiss()
  })
  await page.goto('/')
  await openFile(
    page,
    'recipe.html',
    `<!doctype html><script>alert('page')</script><script type="application/ld+json">${JSON.stringify({
      '@context': 'https://schema.org',
      '@graph': [
        {
          '@type': ['Recipe'],
          name: 'Bean & leek soup',
          recipeYield: ['4'],
          recipeIngredient: ['<b>2 cups</b> cooked white beans', '1 leek'],
          recipeInstructions: 'Chop.<script>alert(2)<\\/script>',
        },
      ],
    })}</script>`,
  )
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Bean & leek soup')
  await page.keyboard.press('Alt+2')
  await expect(page.getByRole('spinbutton', { name: 'Grams of White beans, cooked' })).toBeVisible()
  expect(isRun).toBe(false)
})

test('a damaged backup restores nothing', async ({ page }) => {
  await page.goto('/kitchen')
  const damaged = demoFile('saltmarsh-row.backup.json').replace('"Moussaka"', '"Mussaka"')
  await page
    .getByLabel('Backup file')
    .setInputFiles({ name: 'b.json', mimeType: 'application/json', buffer: Buffer.from(damaged) })
  await expect(page.getByRole('alert')).toContainText('changed or damaged')
  await page.goto('/')
  await expect(page.getByText('Nothing is in work yet.')).toBeVisible()
})

test('a backup is shown before it replaces anything', async ({ page }) => {
  await page.goto('/kitchen')
  await page.getByLabel('Backup file').setInputFiles({
    name: 'b.json',
    mimeType: 'application/json',
    buffer: Buffer.from(demoFile('saltmarsh-row.backup.json')),
  })
  await expect(page.getByRole('alert')).toContainText('6 dishes, 13 trials')
  await page.getByRole('button', { name: 'Restore it' }).click()
  await expect(page.getByLabel('Name of the kitchen')).toHaveValue('Saltmarsh Row Test Kitchen')
  await page.goto('/')
  await expect(page.getByRole('link', { name: 'Moussaka' })).toBeVisible()
})

test('unknown addresses and missing dishes say so', async ({ page }) => {
  await page.goto('/nowhere')
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  await page.goto('/dish/gone/mix')
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
})
