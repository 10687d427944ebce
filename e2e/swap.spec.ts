import { expect, test } from '@playwright/test'
import { openMoussaka, waitSaved } from './bench'

test('swap: what stands in is matched, put in by one tap, written into the steps, and undone', async ({
  page,
}) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+2')
  await page.getByRole('button', { name: 'Swap Walnuts' }).click()
  const sheet = page.getByRole('dialog', { name: 'In place of walnuts' })
  const list = sheet.getByRole('list', { name: 'What can stand in' })
  await expect(list.getByRole('listitem').first()).toContainText('sunflower seeds')
  await sheet.getByRole('button', { name: 'Tree nuts' }).click()
  await expect(list).not.toContainText('pecans')
  await list.getByRole('button', { name: /^Put in 100 g hulled sunflower seeds/ }).click()
  await expect(page.getByText('Taken over. Undo with U.')).toBeVisible()
  await expect(page.getByRole('spinbutton', { name: 'Grams of Sunflower seeds' })).toHaveAttribute(
    'aria-valuenow',
    /^100/,
  )
  await waitSaved(page)
  await page.keyboard.press('u')
  await expect(page.getByRole('spinbutton', { name: 'Grams of Walnuts' })).toBeVisible()
})

test('swap: what was not liked comes last, with the reason, after a reload as well', async ({ page }) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+2')
  const open = () => page.getByRole('button', { name: 'Swap Walnuts' }).click()
  await open()
  const first = page.getByRole('list', { name: 'What can stand in' }).getByRole('listitem').first()
  await expect(first).toContainText('sunflower seeds')
  await first.getByRole('button', { name: 'Not in this kitchen' }).click()
  await page.getByRole('textbox', { name: 'Why not' }).fill('tasted of hay in trial 2')
  await page.keyboard.press('Enter')
  await expect(first).not.toContainText('sunflower seeds')
  await page.keyboard.press('Escape')
  await page.waitForTimeout(800)
  await page.reload()
  await open()
  await expect(first).not.toContainText('sunflower seeds')
  await expect(page.getByRole('dialog')).toContainText('tasted of hay in trial 2')
})

test('convert: the whole dish without gluten, shown before it is taken', async ({ page }) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+2')
  await page.getByRole('button', { name: 'Another way …' }).click()
  const sheet = page.getByRole('dialog', { name: 'Make it another way' })
  await sheet.getByRole('button', { name: 'Gluten' }).click()
  await expect(sheet.getByRole('list', { name: 'What changes' })).toContainText('rice flour')
  await sheet.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByText('Taken over. Undo with U.')).toBeVisible()
  await page.getByRole('tab', { name: 'White sauce' }).click()
  await expect(page.getByRole('spinbutton', { name: /Grams of Rice flour/ })).toBeVisible()
})
