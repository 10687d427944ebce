import type { BackupContent } from '@frijol/core/model'
import { useEffect, useRef, useState } from 'react'
import { Link } from 'react-router'
import {
  checkBackup,
  type DamagedEntry,
  isPersisted,
  makeBackupFile,
  openDemoKitchen,
  restoreBackup,
} from '../store'
import { Button, Card, CardTitle, saveFile, toast } from '../ui'

interface Waiting {
  content: BackupContent
  replaces: string[]
}

/** One file with everything; restored whole or not at all, and only after it is shown what it replaces. */
export function BackupCard() {
  const file = useRef<HTMLInputElement>(null)
  const [fault, setFault] = useState<string | null>(null)
  const [skipped, setSkipped] = useState<readonly DamagedEntry[]>([])
  const [waiting, setWaiting] = useState<Waiting | null>(null)

  const check = async (chosen: File | undefined) => {
    if (chosen === undefined) return
    const checked = await checkBackup(chosen)
    setFault(checked.ok ? null : (checked.issues[0]?.message ?? 'The file could not be read.'))
    setWaiting(checked.ok ? checked.value : null)
  }
  const save = async () => {
    const { text, skipped } = await makeBackupFile()
    saveFile('frijol-backup.json', 'application/json', text)
    setSkipped(skipped)
  }
  const demo = async () => {
    const added = await openDemoKitchen()
    toast(
      added === 0
        ? 'The demo dishes are on the shelf already.'
        : `${added} demo ${added === 1 ? 'dish is' : 'dishes are'} on the shelf. Your settings and prices stay as they are.`,
    )
  }
  const restore = async () => {
    if (waiting === null) return
    await restoreBackup(waiting.content)
    toast(`${waiting.content.dishes.length} dishes are restored.`)
    setWaiting(null)
  }
  return (
    <Card className="grid gap-3 p-4">
      <CardTitle title="Backup" aside="all data stays in this browser and in your files" />
      <p className="m-0 text-sm text-ink-2">
        A browser can lose its storage. Save a backup now and then: every dish, trial, own ingredient and
        price in one file. <Persisted />
      </p>
      <div className="flex flex-wrap gap-2">
        <Button tone="primary" onClick={() => void save()}>
          Save a backup
        </Button>
        <Button onClick={() => file.current?.click()}>Restore a backup</Button>
        <input
          ref={file}
          type="file"
          accept=".json,application/json"
          aria-label="Backup file"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            void check(event.target.files?.[0])
            event.target.value = ''
          }}
        />
        <Button tone="quiet" onClick={() => void demo()}>
          Open the demo kitchen
        </Button>
      </div>
      {skipped.length > 0 && (
        <p role="alert" className="m-0 rounded-lg bg-turmeric-soft p-2.5 text-sm">
          The backup is saved without {skipped.length} {skipped.length === 1 ? 'row' : 'rows'} that cannot be
          read: {skipped.map(({ table, id }) => `${table} “${id}”`).join(', ')}.{' '}
          <Link to="/recovery">Look at what is damaged</Link>
        </p>
      )}
      {fault !== null && (
        <p role="alert" className="m-0 rounded-lg bg-adzuki-soft p-2.5 text-sm text-adzuki-deep">
          {fault}
        </p>
      )}
      {waiting !== null && (
        <div
          role="alert"
          className="grid gap-2 rounded-lg border border-turmeric bg-turmeric-soft/60 p-3 text-sm"
        >
          <p className="m-0">
            The backup holds {waiting.content.dishes.length} dishes, {waiting.content.trials.length} trials
            and the settings of “{waiting.content.kitchen.name}”.{' '}
            {waiting.replaces.length === 0
              ? 'It replaces no dish of yours, but these settings.'
              : `It replaces ${waiting.replaces.join(', ')} and these settings.`}
          </p>
          <div className="flex gap-2">
            <Button tone="primary" onClick={() => void restore()}>
              Restore it
            </Button>
            <Button onClick={() => setWaiting(null)}>Leave all as it is</Button>
          </div>
        </div>
      )}
    </Card>
  )
}

/** What the browser says about keeping its storage. */
function Persisted() {
  const [answer, setAnswer] = useState<boolean | null>(null)
  useEffect(() => {
    let isCurrent = true
    void isPersisted().then((found) => {
      if (isCurrent) setAnswer(found)
    })
    return () => {
      isCurrent = false
    }
  }, [])
  if (answer === null) return null
  return answer
    ? 'This browser has agreed to keep it even when space runs short.'
    : 'This browser may clear it when space runs short.'
}
