import { type DamagedEntry, takeAwayDamaged } from '../store'
import { Button, saveFile, toast } from '../ui'

export interface DamagedRowProps {
  row: DamagedEntry
  /** What it was, as “A dish”. */
  what: string
  /** Called after the row was removed or put back, where the list does not follow by itself. */
  onChanged?: () => void
}

/** A row of storage that cannot be read: what is wrong, and the two ways out. The rest goes on working. */
export function DamagedRow({ row, what, onChanged }: DamagedRowProps) {
  const saveRaw = () =>
    saveFile(`damaged-${row.id || row.table}.json`, 'application/json', JSON.stringify(row.raw, null, 1))
  const remove = async () => {
    const putBack = await takeAwayDamaged(row)
    onChanged?.()
    toast(`${what} that could not be read is removed.`, {
      duration: 20_000,
      action: { label: 'Undo', onClick: () => void putBack().then(onChanged) },
    })
  }
  return (
    <section
      aria-label={`${what}, damaged`}
      className="grid gap-2 rounded-card border border-adzuki bg-adzuki-soft p-4 text-sm text-adzuki-deep"
    >
      <p className="m-0">
        <strong>{what} cannot be read.</strong> {row.fault}. It is left as it is; everything else works, and
        no backup holds it.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={saveRaw}>Save it as it is</Button>
        <Button tone="danger" onClick={() => void remove()}>
          Remove it
        </Button>
      </div>
    </section>
  )
}
