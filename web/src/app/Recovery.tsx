import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { DamagedRow } from '../parts'
import { type DamagedEntry, damagedRows, makeBackupFile, rawText } from '../store'
import { Button, buttonClass, Card, CardTitle, saveFile } from '../ui'

const WHAT: Record<DamagedEntry['table'], string> = {
  dishes: 'A dish',
  trials: 'A kept trial',
  days: 'A day at the counter',
  photos: 'A picture of a day',
  tastings: 'A tasting',
  ingredients: 'An ingredient of your own',
  kitchen: 'The kitchen’s settings',
}

type Read = readonly DamagedEntry[] | 'reading' | 'refused'

/** What is damaged in this browser, and ways to carry everything out of it. Needs no kitchen and no library. */
export function Recovery() {
  const [rows, setRows] = useState<Read>('reading')
  const read = () => {
    damagedRows()
      .then(setRows)
      .catch((error: unknown) => {
        console.error(error)
        setRows('refused')
      })
  }
  useEffect(read, [])
  const saveGood = async () =>
    saveFile('frijol-backup.json', 'application/json', (await makeBackupFile()).text)
  const saveAll = async () => saveFile('frijol-rows.json', 'application/json', await rawText())
  return (
    <main className="mx-auto grid max-w-[70ch] gap-4 p-6">
      <h1 className="m-0 text-[26px]">Recovery</h1>
      <Card className="grid gap-3 p-4">
        <CardTitle title="Carry everything out" />
        <p className="m-0 text-sm text-ink-2">
          A backup holds what can be read and can be restored. The raw file holds every row as it is stored,
          damaged or not; nothing is left out.
        </p>
        <div className="flex flex-wrap gap-2">
          <Button tone="primary" onClick={() => void saveGood()}>
            Save a backup
          </Button>
          <Button onClick={() => void saveAll()}>Save all rows as they are</Button>
          <Link to="/" className={buttonClass('quiet')} reloadDocument>
            Open the shelf
          </Link>
        </div>
      </Card>
      <Damaged rows={rows} onChanged={read} />
    </main>
  )
}

function Damaged({ rows, onChanged }: { rows: Read; onChanged: () => void }) {
  if (rows === 'reading') return <p role="status">Looking through what is stored …</p>
  if (rows === 'refused') {
    return (
      <p role="alert" className="rounded-card bg-adzuki-soft p-4 text-sm text-adzuki-deep">
        The browser does not open its storage. What is in it is untouched. Close other tabs of Frijol and load
        this page again.
      </p>
    )
  }
  if (rows.length === 0) return <p>Every row that is stored here can be read.</p>
  return (
    <ul className="m-0 grid list-none gap-3 ps-0">
      {rows.map((row) => (
        <li key={`${row.table} ${row.id}`}>
          <DamagedRow row={row} what={WHAT[row.table]} onChanged={onChanged} />
        </li>
      ))}
    </ul>
  )
}
