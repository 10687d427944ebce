import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import { openMoussaka } from './bench'

test('cook: the day is planned backwards from serving, anew for other hands, and handed on', async ({
  page,
}) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+4')
  await page.getByLabel('Served at').fill('2026-06-18T13:00')
  const list = page.getByRole('group', { name: 'By the clock' })
  await expect(list.getByRole('heading', { name: 'Thursday 18 June' })).toBeVisible()
  await expect(list.getByRole('listitem').last()).toContainText('Plate Moussaka')
  await expect(page.getByText(/to 13:00/).first()).toBeVisible()
  const alone = await page.getByText(/no plan is shorter: \d+ min in all/).textContent()
  await page.getByRole('radio', { name: 'Two' }).click()
  await expect(page.getByText(/no plan is shorter: \d+ min in all/)).not.toHaveText(alone ?? '')
  await page.getByLabel('Served at').fill('2026-06-18T06:00')
  await expect(page.getByRole('alert')).toContainText('Nobody is there when it is to be served')
  await page.getByLabel('Served at').fill('2026-06-18T13:00')
  await expect(list.getByRole('listitem').last()).toContainText('Plate Moussaka')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Calendar' }).click()
  const calendar = await readFile(await (await download).path(), 'utf8')
  expect(calendar).toContain('BEGIN:VCALENDAR')
  expect(calendar).toContain('SUMMARY:Plate Moussaka')
  const sheet = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Day sheet' }).click()
  expect(await readFile(await (await sheet).path(), 'utf8')).toContain('Plate Moussaka')
})

test('cook: follows the method, and says so where there is none', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  await page.waitForURL(/\/dish\//)
  await page.goto(page.url().replace(/\/[a-z]+(?:\?.*)?$/, '/cook'))
  await expect(page.getByText('Write the method first')).toBeVisible()
})
