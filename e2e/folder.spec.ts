import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'

const recipe = (at: number): string =>
  `# Bean pot ${at}\n\n- ${200 + at} g white beans\n- 1 tsp salt\n\n1. Simmer for 20 minutes.\n`

test('a folder of recipes is read beside the screen, with a report of what could not be', async ({
  page,
}, info) => {
  const folder = info.outputPath('recipes')
  mkdirSync(folder, { recursive: true })
  for (let at = 0; at < 60; at += 1) writeFileSync(join(folder, `pot-${at}.md`), recipe(at))
  writeFileSync(join(folder, 'broken.json'), '{"a":')
  writeFileSync(join(folder, 'picture.png'), 'no recipe')
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Open a folder' })).toBeVisible()
  await page.getByLabel('Recipe folder').setInputFiles(folder)
  const sheet = page.getByRole('dialog', { name: 'Read recipes' })
  await expect(sheet.getByText('60 dishes are on the shelf. 1 file could not be read:')).toBeVisible({
    timeout: 30_000,
  })
  await expect(sheet.getByRole('row', { name: /broken\.json/ })).toBeVisible()
  await sheet.getByRole('button', { name: 'To the shelf' }).click()
  await expect(page.getByRole('listitem')).not.toHaveCount(0)
  await page.keyboard.press('/')
  await page.getByPlaceholder('A dish, an ingredient, a place').fill('bean pot 59')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Bean pot 59')
})

test('reading a folder can be stopped, and then adds nothing', async ({ page }, info) => {
  const folder = info.outputPath('many')
  mkdirSync(folder, { recursive: true })
  for (let at = 0; at < 900; at += 1) writeFileSync(join(folder, `pot-${at}.md`), recipe(at).repeat(8))
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Open a folder' })).toBeVisible()
  await page.getByLabel('Recipe folder').setInputFiles(folder)
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('Stopped. Nothing was added.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText('Nothing is in work yet.')).toBeVisible()
})
