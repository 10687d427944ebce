import { expect, type Page, test } from '@playwright/test'
import { waitSaved } from './bench'

async function openDemo(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo kitchen' }).click()
  await expect(page.getByRole('link', { name: 'Moussaka' })).toBeVisible()
}

/** The tastings that are on the disk. */
interface StoredTasting {
  readonly id: string
  readonly value: {
    readonly settings: { readonly protocol: string; readonly tasters: readonly { readonly id: string }[] }
    readonly design: {
      readonly servings: readonly {
        readonly id: string
        readonly tasterId: string
        readonly glasses: readonly { readonly code: number; readonly sampleId: string }[]
      }[]
    } | null
    readonly answers: readonly {
      readonly servingId: string
      readonly picked: readonly number[]
      readonly isWhole: boolean
    }[]
    readonly closedAt: number | null
  }
}
const stored = (page: Page): Promise<StoredTasting[]> =>
  page.evaluate(
    () =>
      new Promise<StoredTasting[]>((resolve, reject) => {
        const open = indexedDB.open('frijol')
        open.onerror = () => reject(new Error('closed'))
        open.onsuccess = () => {
          const all = open.result.transaction('tastings').objectStore('tastings').getAll()
          all.onsuccess = () => {
            open.result.close()
            resolve(all.result as StoredTasting[])
          }
        }
      }),
  )
const newest = async (page: Page): Promise<StoredTasting> => {
  const found = (await stored(page)).find(({ id }) => !id.startsWith('tasting-'))
  if (found === undefined) throw new Error('no tasting of our own')
  return found
}

/** Plans a triangle of the avgolemono for six and sets it out. */
async function planTriangle(page: Page): Promise<void> {
  await page.goto('/dish/avgolemono/taste')
  await page.getByRole('button', { name: 'New tasting' }).click()
  await page.getByRole('radio', { name: /Triangle/ }).click()
  // P8 eats no meat or fish: it is said first, and nothing begins before it is settled.
  await expect(page.getByText(/P8 eats no meat or fish/)).toBeVisible()
  await page.getByRole('button', { name: 'Set it out' }).click()
  await expect(page.getByText(/must not: see Who tastes/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Take P8 off' }).click()
  await page.getByRole('button', { name: /^P7/ }).click()
  await page.getByRole('button', { name: 'Not at this tasting' }).click()
  await expect(page.getByText('6 at the table')).toBeVisible()
  await expect(page.getByText(/6 triangle tastings find/)).toBeVisible()
  await page.getByRole('button', { name: 'Set it out' }).click()
  await expect(page.getByText('0 of 6 answers')).toBeVisible()
  await waitSaved(page)
}

/** One taster at the tablet: says yes, picks the glass at this place, and hands it on. */
async function taste(page: Page, id: string, place: number, words = ''): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${id}`) }).click()
  await expect(page.getByText(/hold .*egg/)).toBeVisible()
  await page.getByRole('button', { name: 'I may taste these' }).click()
  const glasses = page.getByRole('group', { name: 'Glasses' }).getByRole('button')
  await expect(glasses).toHaveCount(3)
  await expect(page.getByRole('button', { name: 'Done' })).toBeDisabled()
  await glasses.nth(place).click()
  if (words !== '') await page.getByLabel('Anything to say, if you like').fill(words)
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('heading', { name: 'Thank you' })).toBeVisible()
}
const handOn = (page: Page) => page.getByRole('button', { name: 'Next taster' }).click()

test('a triangle for six: planned, handed round, left in the middle, killed between tasters, read', async ({
  page,
  context,
}) => {
  await openDemo(page)
  await planTriangle(page)
  // The key is apart: the tasters' sheets have codes and no names of samples, the code sheet has both.
  await page.getByRole('link', { name: 'Sheets' }).click()
  await expect(page.getByText('Cups', { exact: true })).toBeVisible()
  await page.getByRole('radio', { name: 'Tasters’ sheets' }).click()
  const sheets = await page.locator('#page').innerText()
  const { settings, design } = (await newest(page)).value
  for (const { code } of design?.servings.flatMap(({ glasses }) => glasses) ?? [])
    expect(sheets).toContain(String(code))
  expect(sheets).not.toMatch(/Trial 2|Egg/i)
  await page.getByRole('radio', { name: 'Code sheet' }).click()
  await expect(page.getByText('Code sheet: stays in the kitchen')).toBeVisible()
  await expect(page.getByText('Trial 2').first()).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await page.emulateMedia({ media: null })
  await page.getByRole('link', { name: 'Back to the tasting' }).click()
  expect(settings.tasters).toHaveLength(6)

  await page.getByRole('link', { name: 'Hand the tablet round' }).click()
  await expect(page.getByRole('heading', { name: 'Whose turn is it?' })).toBeVisible()
  await taste(page, 'P1', 0, 'sharp')
  await handOn(page)
  // Who has tasted does not come in again.
  await expect(page.getByRole('button', { name: /^P1/ })).toBeDisabled()
  await taste(page, 'P2', 1)
  await handOn(page)
  // P3 leaves in the middle: nothing is taken, and it goes on later.
  await page.getByRole('button', { name: /^P3/ }).click()
  await page.getByRole('button', { name: 'I may taste these' }).click()
  await page.getByRole('group', { name: 'Glasses' }).getByRole('button').first().click()
  await page.getByRole('button', { name: 'I have to leave for a moment' }).click()
  await taste(page, 'P4', 2)
  const address = page.url()
  // The tablet goes dark between two tasters.
  await page.close()
  const again = await context.newPage()
  await again.goto(address)
  await expect(again.getByRole('button', { name: /^P4/ })).toBeDisabled()
  expect((await newest(again)).value.answers).toHaveLength(3)
  await taste(again, 'P3', 0)
  // No way back to what was answered.
  await again.goBack()
  await again.goto(address)
  await expect(again.getByRole('button', { name: /^P3/ })).toBeDisabled()
  await taste(again, 'P5', 1)
  await handOn(again)
  await taste(again, 'P6', 2)
  await handOn(again)
  await expect(again.getByRole('heading', { name: 'All have tasted' })).toBeVisible()

  const { value } = await newest(again)
  const right = value.answers.filter(({ servingId, picked }) => {
    const serving = value.design?.servings.find(({ id }) => id === servingId)
    const sample = serving?.glasses.find(({ code }) => code === picked[0])?.sampleId
    return serving?.glasses.filter(({ sampleId }) => sampleId === sample).length === 1
  }).length
  const words = ['None', 'One', 'Two', 'Three', 'Four', 'Five', 'Six'][right] ?? ''

  await again.getByRole('link', { name: 'Back to the kitchen' }).click()
  await again.getByRole('button', { name: 'Close and read the result' }).click()
  await expect(again.getByRole('heading', { name: `${words} of six picked the odd one.` })).toBeVisible()
  await expect(again.getByText('exact binomial, one-sided', { exact: false })).toBeVisible()
  await expect(again.getByText('sharp')).toBeVisible()
  const download = again.waitForEvent('download')
  await again.getByRole('button', { name: 'Save answers' }).click()
  const file = await (await download).createReadStream()
  let csv = ''
  for await (const part of file) csv += String(part)
  expect(csv.trim().split('\r\n')).toHaveLength(8)
  expect(csv).toMatch(/^taster,round,code,question,answer\r\nP1,1,\d{3},picked,1\r\n/)
})

test('answers from paper and from a table; what does not fit is told, and nothing of it is taken', async ({
  page,
}) => {
  await openDemo(page)
  await planTriangle(page)
  await page.getByRole('button', { name: 'Type from paper' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('group', { name: 'Codes' }).getByRole('button').nth(1).click()
  await sheet.getByRole('button', { name: 'Keep P1' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByText('1 of 6 answers')).toBeVisible()
  const { design } = (await newest(page)).value
  const codeOf = (taster: string): number =>
    design?.servings.find(({ tasterId }) => tasterId === taster)?.glasses[0]?.code ?? 0
  const take = (rows: readonly string[]) =>
    page.getByLabel('A table of answers').setInputFiles({
      name: 'answers.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['taster,round,code,question,answer', ...rows].join('\n')),
    })
  await take([`P2,1,${codeOf('P2')},picked,1`, `P3,1,${codeOf('P4')},picked,1`])
  await expect(page.getByText('Nothing was taken in.')).toBeVisible()
  await expect(page.getByText(/stood before P4, not before P3/)).toBeVisible()
  await expect(page.getByText('1 of 6 answers')).toBeVisible()
  await take(['P2', 'P3', 'P4'].map((id) => `${id},1,${codeOf(id)},picked,1`))
  await expect(page.getByText('4 of 6 answers')).toBeVisible()
  // Missing answers are allowed, and told.
  await page.getByRole('button', { name: 'Close without the missing 2' }).click()
  await expect(page.getByText('Two of 6 answers are missing', { exact: false })).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByText('4 of 6 answers')).toBeVisible()
})

test('a profile teaches the kitchen, shows in Mix beside the model, and is handed to Tune', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/dish/moussaka/taste?tasting=tasting-moussaka-profile')
  await expect(page.getByRole('heading', { name: /They miss juiciness/ })).toBeVisible()
  await page.getByRole('button', { name: 'as a table' }).first().click()
  await expect(page.getByRole('row', { name: /^chewiness/ })).toBeVisible()
  await expect(page.getByText(/from now on it reads/).first()).toBeVisible()
  await page.goto('/dish/moussaka/mix')
  const umami = page.getByRole('button', { name: /^umami: .*tasted 6\.\d in trial 2/ })
  await expect(umami).toBeVisible()
  const learned = Number(/^umami: (\d\.\d)/.exec((await umami.getAttribute('aria-label')) ?? '')?.[1])
  await page.goto('/dish/moussaka/taste?tasting=tasting-moussaka-profile')
  await page.getByRole('button', { name: 'Forget it again' }).click()
  await page.goto('/dish/moussaka/mix')
  const plain = page.getByRole('button', { name: /^umami: (?!.*tasted)/ })
  await expect(plain).toBeVisible()
  const before = Number(/^umami: (\d\.\d)/.exec((await plain.getAttribute('aria-label')) ?? '')?.[1])
  expect(before - learned).toBeGreaterThan(0.8)
  await page.goto('/dish/moussaka/taste?tasting=tasting-moussaka-profile')
  await page.getByRole('button', { name: 'Learn from it' }).click()
  await page.getByRole('button', { name: 'Give it to Tune' }).click()
  await page.waitForURL(/do=tune/)
  await expect(page.getByText(/mixes tried in/)).toBeVisible({ timeout: 60_000 })
  await waitSaved(page)
  await page.goto('/dish/moussaka/aim')
  await expect(page.getByRole('button', { name: 'chewiness counts three times' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
})

test('glass after glass: marks of a profile are kept as they come', async ({ page }) => {
  await openDemo(page)
  await page.goto('/dish/courgette-keftedes/taste')
  await page.getByRole('button', { name: 'New tasting' }).click()
  await page.getByRole('radio', { name: /Attribute profile/ }).click()
  await page.getByRole('button', { name: 'Take P8 off' }).click()
  await page.getByRole('button', { name: 'Set it out' }).click()
  await page.getByRole('link', { name: 'Hand the tablet round' }).click()
  await page.getByRole('button', { name: /^P2/ }).click()
  await page.getByRole('button', { name: 'I may taste these' }).click()
  await expect(page.getByText('1 of 2')).toBeVisible()
  const lines = page.getByRole('slider')
  const count = await lines.count()
  expect(count).toBeGreaterThan(3)
  for (let at = 0; at < count; at += 1) {
    await lines.nth(at).focus()
    await page.keyboard.press(at % 2 === 0 ? 'ArrowRight' : 'ArrowLeft')
  }
  await page.getByRole('button', { name: 'Next' }).click()
  await expect(page.getByText('2 of 2')).toBeVisible()
  // Closed between two glasses: the first is kept, and it goes on at the second.
  await page.reload()
  await page.getByRole('button', { name: /^P2 goes on/ }).click()
  await expect(page.getByText('2 of 2')).toBeVisible()
  const { answers } = (await newest(page)).value
  expect(answers).toHaveLength(1)
  expect(answers[0]?.isWhole).toBe(false)
})

test('a planned tasting is taken away and put back', async ({ page }) => {
  await openDemo(page)
  await page.goto('/dish/thick-yogurt/taste')
  await expect(page.getByText(/Nobody has tasted yet/)).toBeVisible()
  await page.getByRole('button', { name: 'New tasting' }).click()
  await page.getByRole('radio', { name: /Ranking/ }).click()
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(page.getByText(/Nobody has tasted yet/)).toBeVisible()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('radio', { name: /Ranking/ })).toBeChecked()
})
