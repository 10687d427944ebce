import { toCsv, toJsonLd, toMarkdown } from '@frijol/core/interchange'
import { Printer } from 'lucide-react'
import { useState } from 'react'
import { makeBackupFile, useAssessment, useDish } from '../../store'
import { Button, Card, CardTitle, HeaderActions, saveFile } from '../../ui'
import { DishCardSheet } from './DishCardSheet'
import { NutritionCard } from './NutritionCard'
import { ToBuy } from './ToBuy'

const fileName = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '') || 'dish'

/** Share: can someone else make it, and keep it safely? */
export function ShareStage() {
  const dish = useDish()
  const assessment = useAssessment()
  const [withCups, setWithCups] = useState(true)
  const base = fileName(dish.name)
  const exportJsonLd = () =>
    saveFile(`${base}.jsonld`, 'application/ld+json', toJsonLd(dish, assessment.perPortion))
  const exportMarkdown = () => saveFile(`${base}.md`, 'text/markdown', toMarkdown(dish))
  const exportCsv = () =>
    saveFile(
      `${base}-lines.csv`,
      'text/csv',
      toCsv(
        ['part', 'text', 'food_id', 'mass_g', 'sd_g', 'share'],
        assessment.parts.flatMap((part) =>
          part.lines.map(({ text, foodId, massG, sdG, share }) => [
            part.name,
            text,
            foodId,
            massG,
            sdG,
            share,
          ]),
        ),
      ),
    )
  const exportBackup = async () =>
    saveFile('frijol-backup.json', 'application/json', (await makeBackupFile()).text)
  return (
    <div className="grid items-start gap-4 pb-6 lg:grid-cols-[minmax(0,1fr)_320px] print:block">
      <HeaderActions>
        <Button tone="primary" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" /> Print the card
        </Button>
      </HeaderActions>
      <DishCardSheet withCups={withCups} />
      <div className="no-print grid gap-4">
        <Card className="p-4">
          <CardTitle title="On the card" />
          <label className="flex min-h-9 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-4 accent-aubergine"
              checked={withCups}
              onChange={(event) => setWithCups(event.target.checked)}
            />
            Cups and spoons beside the grams
          </label>
          <p className="m-0 text-[13px] text-ink-2">Grams decide. A cup that is more than 5 % off says so.</p>
        </Card>
        <Card className="p-4">
          <CardTitle title="As a file" aside="open formats" />
          <ul className="m-0 grid list-none gap-2.5 ps-0 text-sm">
            <Export
              label="Recipe, JSON-LD"
              note="schema.org; reads back to the same masses"
              onClick={exportJsonLd}
            />
            <Export label="Recipe, Markdown" note="reads back to the same lines" onClick={exportMarkdown} />
            <Export label="Lines, CSV" note="grams for a spreadsheet; one way" onClick={exportCsv} />
            <Export
              label="Backup of the kitchen"
              note="every dish, trial and price; restored on the Kitchen page"
              onClick={() => void exportBackup()}
            />
          </ul>
        </Card>
        <NutritionCard />
        <ToBuy />
      </div>
    </div>
  )
}

const Export = ({ label, note, onClick }: { label: string; note: string; onClick: () => void }) => (
  <li>
    <Button onClick={onClick}>{label}</Button>
    <div className="mt-0.5 text-[13px] text-ink-2">{note}</div>
  </li>
)
