import { expect, type Page, test } from '@playwright/test'
import { waitSaved } from './bench'

/** Goes with Tab until the focused element has this name; fails when it is not reached. */
async function tabTo(page: Page, name: RegExp, most = 60): Promise<void> {
  for (let count = 0; count < most; count += 1) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const element = document.activeElement
      return element === null ? '' : (element.getAttribute('aria-label') ?? element.textContent)
    })
    if (name.test(focused)) return
  }
  throw new Error(`${String(name)} is not reached by Tab`)
}

const focusedLabel = (page: Page): Promise<string> =>
  page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.id ?? '')

test('by keyboard alone, from the shelf to the printed card', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Start a dish' }).first()).toBeVisible()
  await tabTo(page, /^Start a dish$/)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Add a line')).toBeVisible()
  await page.keyboard.press('a')
  for (const line of ['200 g white beans', '2 tbsp olive oil', '1 tsp salt']) {
    await page.keyboard.type(line)
    await page.keyboard.press('Enter')
  }
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+1')
  await expect(page.getByRole('button', { name: 'Choose the original' })).toBeVisible()
  await tabTo(page, /^Choose the original$/)
  await page.keyboard.press('Enter')
  await page.keyboard.type('hummus')
  await expect(page.getByRole('option').first()).toBeVisible()
  await page.keyboard.press('Escape')
  // A sheet gives focus back to what opened it.
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.textContent))
    .toBe('Choose the original')
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('textbox', { name: 'Add a step' })).toBeVisible()
  await page.keyboard.press('a')
  await page.keyboard.type('Mash the beans with the oil and salt')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Step 1' })).toBeVisible()
  await waitSaved(page)
  await page.keyboard.press('Alt+7')
  await tabTo(page, /Print the card/)
  await expect(page.getByRole('button', { name: 'Recipe, JSON-LD' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    tabTo(page, /^Recipe, JSON-LD$/).then(() => page.keyboard.press('Enter')),
  ])
  expect(download.suggestedFilename()).toMatch(/jsonld$/)
})

test('after a line is taken out, focus is on its neighbour and the act is told with its undo', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  for (const line of ['200 g white beans', '2 tbsp olive oil', '1 tsp salt']) {
    await page.getByLabel('Add a line').fill(line)
    await page.keyboard.press('Enter')
  }
  await page.getByRole('button', { name: /^Take out Olive oil/ }).focus()
  await page.keyboard.press('Enter')
  await expect.poll(() => focusedLabel(page)).toMatch(/^Take out Salt/)
  await expect(page.getByText(/Olive oil.* is taken out/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await expect(page.getByRole('textbox', { name: /^Amount of/ })).toHaveCount(3)
})

test('single letters are shortcuts where no sheet is open, and can be switched off', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start a dish' }).first().click()
  await expect(page.getByLabel('Add a line')).toBeVisible()
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await page.keyboard.press('k')
  const keys = page.getByRole('dialog', { name: 'Keys' })
  await expect(keys).toBeVisible()
  await page.keyboard.press('/')
  await expect(page.getByRole('dialog')).toHaveCount(1)
  await keys.getByRole('checkbox').uncheck()
  await page.keyboard.press('Escape')
  await expect(keys).toHaveCount(0)
  await page.keyboard.press('k')
  await page.waitForTimeout(200)
  await expect(keys).toHaveCount(0)
  await page.getByRole('button', { name: 'Keys' }).click()
  await keys.getByRole('checkbox').check()
})

test.describe('by touch', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } })

  test('a swipe over a figure scrolls, a sideways drag changes it, and the readings are one tap away', async ({
    page,
    context,
  }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Open the demo kitchen' }).tap()
    await page.getByRole('link', { name: 'Moussaka' }).tap()
    const figure = page.getByRole('spinbutton', { name: /^Grams of Walnuts/ })
    await expect(figure).toBeVisible()
    const before = await figure.getAttribute('aria-valuenow')
    const box = await figure.boundingBox()
    if (box === null) throw new Error('no figure')
    const device = await context.newCDPSession(page)
    const swipe = async (dx: number, dy: number) => {
      const at = await figure.boundingBox()
      const [x, y] = [(at?.x ?? box.x) + 20, (at?.y ?? box.y) + 10]
      await device.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] })
      for (let step = 1; step <= 8; step += 1) {
        await device.send('Input.dispatchTouchEvent', {
          type: 'touchMove',
          touchPoints: [{ x: x + (dx * step) / 8, y: y + (dy * step) / 8 }],
        })
        await page.waitForTimeout(16)
      }
      await device.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    }
    await swipe(2, -160)
    await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(40)
    expect(await figure.getAttribute('aria-valuenow')).toBe(before)
    await swipe(6, 0)
    // Less than 10 px sideways is a tap: it asks why, and changes nothing.
    const why = page.getByRole('dialog')
    await expect(why).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(why).toHaveCount(0)
    expect(await figure.getAttribute('aria-valuenow')).toBe(before)
    await swipe(60, 2)
    expect(await figure.getAttribute('aria-valuenow')).not.toBe(before)

    const line = page.getByRole('button', { name: /^Readings/ })
    await expect(line).toBeInViewport()
    await page
      .getByRole('textbox', { name: /^Amount of/ })
      .first()
      .focus()
    await expect(line).toBeInViewport()
    await line.click()
    await expect(page.getByRole('dialog', { name: 'Readings' })).toBeVisible()
  })
})
