import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'

/** A file of the demo kitchen, as a person would open it. */
export const demoFile = (name: string): string =>
  readFileSync(new URL(`../demo/files/${name}`, import.meta.url), 'utf8')

/** Opens a recipe file on the shelf, by its content. */
export async function openFile(page: Page, name: string, content: string): Promise<void> {
  await page
    .getByLabel('Recipe file')
    .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) })
}

/** Opens the demo moussaka from its JSON-LD and waits for the Mix stage. */
export async function openMoussaka(page: Page): Promise<void> {
  await page.goto('/')
  await openFile(page, 'moussaka.jsonld', demoFile('moussaka.jsonld'))
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Moussaka')
}

/** The grams of every line of the open part, by name. */
export async function gramsOfLines(page: Page): Promise<Record<string, number>> {
  const entries = await page
    .getByRole('spinbutton')
    .evaluateAll((cells) =>
      cells.map(
        (cell) =>
          [cell.getAttribute('aria-label') ?? '', Number(cell.getAttribute('aria-valuenow'))] as const,
      ),
    )
  return Object.fromEntries(entries)
}

export const waitSaved = (page: Page): Promise<void> =>
  expect(page.getByRole('region', { name: /^Saving of/ }).getByRole('status')).toHaveText('Saved', {
    timeout: 20_000,
  })
