import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import { openFile, openMoussaka, waitSaved } from './bench'

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

test('cook: a long step by other means of the kitchen, for this day; kept over a reload, and as written again', async ({
  page,
}) => {
  await page.goto('/')
  await openFile(
    page,
    'bean-pot.md',
    '# Bean pot\n\nServes 4\n\n## Ingredients\n\n- 600 g canned black beans\n- 400 ml water\n- 1 onion, chopped\n- 20 g olive oil\n\n## Method\n\n1. Sweat the onion in the oil for 8 minutes.\n2. Add the beans and water and simmer for 90 minutes.\n',
  )
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Bean pot')
  await page.keyboard.press('Alt+4')
  await page.getByLabel('Served at').fill('2026-06-18T13:00')
  const list = page.getByRole('group', { name: 'By the clock' })
  await expect(list.getByRole('listitem').filter({ hasText: /^\d\d:\d\d.?Simmer/ })).toHaveCount(1)
  await page.getByRole('button', { name: /^Pressure-cook instead of simmer: .*: do it so$/ }).click()
  await expect(list.getByRole('listitem').filter({ hasText: /^\d\d:\d\d.?Pressure-cook/ })).toHaveCount(1)
  await expect(list.getByRole('listitem').filter({ hasText: /^\d\d:\d\d.?Simmer/ })).toHaveCount(0)
  await waitSaved(page)
  await page.reload()
  const asWritten = page.getByRole('button', { name: /^Pressure-cook.*: as written$/ })
  await expect(asWritten).toBeVisible()
  // The dish itself still says what it said.
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('textbox', { name: 'Step 2', exact: true })).toHaveValue(
    /simmer for 90 minutes/,
  )
  await page.keyboard.press('Alt+4')
  await asWritten.click()
  await expect(list.getByRole('listitem').filter({ hasText: /^\d\d:\d\d.?Simmer/ })).toHaveCount(1)
})
