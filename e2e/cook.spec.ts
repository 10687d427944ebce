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

test('cook: another dish on the same day, a task put elsewhere, undone; all of it survives a reload', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo kitchen' }).click()
  await expect(page.getByRole('link', { name: 'Moussaka' })).toBeVisible()
  await page.goto('/dish/avgolemono/cook')
  await page.locator('input[type="datetime-local"]').fill('2026-06-18T13:00')
  await page
    .getByRole('group', { name: 'Dishes' })
    .getByRole('button', { name: 'Courgette keftedes' })
    .click()
  const list = page.getByRole('group', { name: 'By the clock' })
  await expect(list.getByText('Plate Courgette keftedes')).toBeVisible()
  await expect(list.getByText('Plate Avgolemono')).toBeVisible()
  await expect(page.getByText(/no plan is shorter/)).toBeVisible()
  const blend = list.getByRole('listitem').filter({ hasText: /^\d\d:\d\d.?Blend: silken tofu/ })
  const before = ((await blend.locator('b').textContent()) ?? '').trim()
  // By its pin: what the day would be is shown before it counts.
  await page.getByRole('button', { name: /^Put Blend: silken tofu/ }).click()
  const card = page.getByRole('region', { name: 'Another time' })
  await card.getByRole('button', { name: '5 min earlier' }).click()
  await card.getByRole('button', { name: '5 min earlier' }).click()
  await expect(card.getByRole('status')).toContainText('erved at 13:00 as before')
  await expect(blend.locator('b')).toHaveText(before)
  await card.getByRole('button', { name: 'Put it there' }).click()
  const [hours = 0, minutes = 0] = before.split(':').map(Number)
  const earlier = hours * 60 + minutes - 10
  const wanted = `${String(Math.floor(earlier / 60)).padStart(2, '0')}:${String(earlier % 60).padStart(2, '0')}`
  await expect(blend.locator('b')).toHaveText(wanted)
  await expect(page.getByRole('region', { name: /^Saving of/ }).getByRole('status')).toHaveText('Saved')
  await page.reload()
  await expect(blend.locator('b')).toHaveText(wanted)
  await expect(list.getByText('Plate Courgette keftedes')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(blend.locator('b')).toHaveText(before)
  // By dragging its bar.
  const bar = page
    .getByRole('img')
    .locator('g', { has: page.locator('title', { hasText: 'Chill: courgette keftedes' }) })
    .last()
  const box = await bar.boundingBox()
  if (box === null) throw new Error('no bar')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x - 80, box.y + box.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(card.getByRole('status')).toContainText(/erved at|does not fit/)
  await card.getByRole('button', { name: 'Leave it' }).click()
  await expect(card).toHaveCount(0)
})
