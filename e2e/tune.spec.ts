import { expect, test } from '@playwright/test'
import { openMoussaka, waitSaved } from './bench'

test('tune: the closest is found beside the screen, taken in part, and undone', async ({ page }) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+2')
  await page.getByRole('button', { name: 'Tune', exact: true }).click()
  await expect(page.getByText(/mixes tried in/)).toBeVisible({ timeout: 60_000 })
  const table = page.getByRole('table', { name: /The formula now/ })
  await expect(table.getByRole('button', { name: /^Closest/ })).toHaveAttribute('aria-pressed', 'true')
  // The totals show what it would come to.
  await expect(page.getByLabel('Totals')).toContainText('→')
  const mushrooms = table.getByRole('button', { name: 'Take the change of Mushrooms, oyster' })
  await mushrooms.click()
  await expect(mushrooms).toHaveAttribute('aria-pressed', 'false')
  await page.getByRole('button', { name: /^Take closest/ }).click()
  await expect(page.getByText('Taken over. Undo with U.')).toBeVisible()
  await expect(page.getByLabel('Totals')).not.toContainText('→')
  await expect(page.getByRole('spinbutton', { name: 'Grams of Mushrooms, oyster' })).toHaveAttribute(
    'aria-valuenow',
    /^250/,
  )
  await expect(
    page.getByRole('spinbutton', { name: 'Grams of Vital wheat gluten (powder)' }),
  ).not.toHaveAttribute('aria-valuenow', /^45/)
  await waitSaved(page)
  await page.keyboard.press('u')
  await expect(
    page.getByRole('spinbutton', { name: 'Grams of Vital wheat gluten (powder)' }),
  ).toHaveAttribute('aria-valuenow', /^45/)
})

test('tune: a held line stays, a limit that cannot be kept is named, the search can be stopped', async ({
  page,
}) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+2')
  await page.getByRole('button', { name: 'Tune', exact: true }).click()
  await expect(page.getByText(/mixes tried in/)).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Hold Walnuts' }).click()
  await expect(page.getByText('walnuts held')).toBeVisible()
  await expect(page.getByRole('row', { name: /Walnuts/ })).toContainText('held', { timeout: 60_000 })
  // Asked for anew, it can be stopped before it is done: what is there stands.
  await page.getByRole('button', { name: 'Hold Onion' }).click()
  await page.getByRole('button', { name: 'Stop looking' }).click()
  await expect(page.getByText(/Stopped before|stopped, so closer/)).toBeVisible()
  await page.getByRole('button', { name: 'Leave as it is' }).click()
  await page.keyboard.press('Alt+1')
  await page.getByLabel('Protein, at least').fill('80')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Alt+2')
  await page.getByRole('button', { name: 'Tune', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'These cannot all be kept' })).toBeVisible({
    timeout: 60_000,
  })
  await expect(page.getByRole('alert')).toContainText('protein: asked 80 g')
})

test('tune: the page answers while it looks', async ({ page }) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+2')
  await page.evaluate(() => {
    const long: number[] = []
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) long.push(duration)
    }).observe({ type: 'longtask' })
    Object.assign(window, { longTasks: long })
  })
  await page.getByRole('button', { name: 'Tune', exact: true }).click()
  await page.getByText(/Looking: \d+ mixes/).waitFor()
  // Looking keeps going; a key press is answered at once.
  await page.getByRole('button', { name: 'change', exact: true }).click()
  await expect(page.getByRole('dialog', { name: 'What may change' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText(/mixes tried in/)).toBeVisible({ timeout: 60_000 })
})

test('thin or thicken: a sauce to a stated thickness, hot or cooled, by keyboard, kept over a reload', async ({
  page,
}) => {
  await openMoussaka(page)
  await page.keyboard.press('Alt+2')
  await page.getByRole('tab', { name: 'White sauce' }).click()
  await page.getByRole('button', { name: 'Tune', exact: true }).click()
  await page.getByRole('radio', { name: 'Thickness', exact: true }).click()
  await page.getByRole('radio', { name: /hot \(65/ }).focus()
  await page.keyboard.press('Space')
  const field = page.getByRole('textbox', { name: 'Thickness' })
  await field.fill('0.4')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/coats a spoon; flows/).first()).toBeVisible()
  await expect(page.getByText('wanted 0.4 Pa·s')).toBeVisible({ timeout: 60_000 })
  await field.fill('900')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Give 0.001 to 200 Pa·s.')).toBeVisible()
  // A reload in the middle of a search loses nothing: the formula is as it was, and it is looked for anew.
  await page.reload()
  await expect(page.getByText(/mixes tried in/)).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: /^Take closest/ }).click()
  await waitSaved(page)
  await page.getByRole('button', { name: /^Trial \d/ }).click()
  await expect(page.getByRole('list', { name: 'Came by' })).toContainText('tune white sauce')
})
