import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test } from '@playwright/test'

async function openDemo(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo kitchen' }).click()
  await expect(page.getByRole('link', { name: 'Moussaka' })).toBeVisible()
}

const VIEWS = [
  ['shelf', '/', 'from the original'],
  ['aim', '/dish/moussaka/aim', 'Minced lamb, cooked'],
  ['mix', '/dish/moussaka/mix', 'Vital wheat gluten'],
  ['method', '/dish/moussaka/method', 'Yield'],
  ['cook', '/dish/moussaka/cook', 'By the clock'],
  ['taste', '/dish/moussaka/taste?tasting=tasting-moussaka-profile', 'What they miss'],
  ['share', '/dish/moussaka/share', 'As a file'],
  ['pantry', '/pantry?food=walnuts', 'In 100 g'],
  ['kitchen', '/kitchen', 'Measuring'],
  ['recovery', '/recovery', 'Carry everything out'],
] as const
/** What opens over a view by a button, with what stands in it. */
const OPENED = [
  ['tune', '/dish/moussaka/mix', 'Tune', 'mixes tried in'],
  ['swap', '/dish/moussaka/mix', 'Swap Walnuts', 'What can stand in'],
  ['another way', '/dish/moussaka/mix', 'Another way …', 'without'],
] as const

/** What a theme alone can break: the same page has passed every rule in the other. */
const COLOUR_RULES = ['color-contrast', 'link-in-text-block']
/** Nobody reads which elements passed, and no page has a frame. */
const axe = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })

/** axe in both themes where it is wide, in the screen's own where it is narrow (colours are the same), and nothing cut off sideways. */
async function expectSound(page: Page, name: string): Promise<void> {
  const own = await page.evaluate(() => document.documentElement.getAttribute('data-theme') ?? '')
  const isWide = (page.viewportSize()?.width ?? 0) > 1000
  for (const theme of isWide ? ['', 'service'] : [own]) {
    await page.evaluate((chosen) => document.documentElement.setAttribute('data-theme', chosen), theme)
    const { violations } = await (theme === own ? axe(page) : axe(page).withRules(COLOUR_RULES)).analyze()
    expect(violations.map(({ id, nodes }) => `${name} ${theme}: ${id} ${nodes[0]?.html ?? ''}`)).toEqual([])
  }
  await page.evaluate((theme) => document.documentElement.setAttribute('data-theme', theme), own)
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  )
  expect(overflow, name).toBeLessThanOrEqual(0)
}

for (const viewport of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
]) {
  test(`axe finds nothing at ${viewport.width} px, and nothing is cut off sideways`, async ({ page }) => {
    await page.setViewportSize(viewport)
    // Eight views in two themes: on a busy machine a view takes its time.
    test.setTimeout(400_000)
    await openDemo(page)
    for (const [name, path, landmark] of VIEWS) {
      await page.goto(path)
      await expect(page.getByText(landmark).first()).toBeVisible()
      await expectSound(page, name)
    }
    for (const [name, path, button, landmark] of OPENED) {
      await page.goto(path)
      await page.getByRole('button', { name: button, exact: true }).first().click()
      await expect(page.getByText(landmark).or(page.getByLabel(landmark)).first()).toBeVisible({
        timeout: 60_000,
      })
      await expectSound(page, name)
    }
    await page.goto('/dish/moussaka/cook')
    await page.getByRole('radio', { name: 'Somebody always' }).click()
    await page.getByRole('button', { name: 'Start cooking' }).click()
    await expect(page.getByRole('region', { name: 'Now' })).toBeVisible()
    await expectSound(page, 'counter')
    await page.getByRole('button', { name: 'Weigh everything in' }).click()
    await expect(page.getByLabel('Grams on your scale')).toBeVisible()
    await expectSound(page, 'weigh in')
    await page.getByRole('button', { name: 'Close the day' }).click()
    await page.getByRole('button', { name: 'Write a tub label' }).click()
    await expectSound(page, 'close the day')
    await page.goto('/dish/brined-white-block/taste')
    await expect(page.getByText('Too little, too much')).toBeVisible()
    await expectSound(page, 'just about right')
    await page.getByRole('button', { name: 'New tasting' }).click()
    await page.getByRole('radio', { name: /Attribute profile/ }).click()
    await page.getByRole('button', { name: 'Take P8 off' }).click()
    await expectSound(page, 'a planned tasting')
    await page.getByRole('button', { name: 'Set it out' }).click()
    await page.getByRole('link', { name: 'Sheets' }).click()
    await page.getByRole('radio', { name: 'Tasters’ sheets' }).click()
    await expectSound(page, 'sheets')
    await page.getByRole('link', { name: 'Back to the tasting' }).click()
    await expectSound(page, 'a tasting that runs')
    await page.getByRole('link', { name: 'Hand the tablet round' }).click()
    await page.getByRole('button', { name: /^P1/ }).click()
    await page.getByRole('button', { name: 'I may taste these' }).click()
    await expect(page.getByRole('slider').first()).toBeVisible()
    await expectSound(page, 'the tablet')
    await page.goto('/stand-in')
    await expect(page.getByLabel('Display')).toBeVisible()
    await expectSound(page, 'stand-in')
  })
}

test('no console error and no request leaves the machine', async ({ page }) => {
  const errors: string[] = []
  const foreign: string[] = []
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()))
  page.on('pageerror', (error) => errors.push(error.message))
  page.on('request', (request) => {
    if (!/^(?:http:\/\/127\.0\.0\.1:|data:|blob:)/.test(request.url())) foreign.push(request.url())
  })
  await openDemo(page)
  for (const [, path, landmark] of VIEWS) {
    await page.goto(path)
    await expect(page.getByText(landmark).first()).toBeVisible()
  }
  expect(errors).toEqual([])
  expect(foreign).toEqual([])
})
