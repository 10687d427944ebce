import {
  guessColumns,
  PANTRY_FIELDS,
  type PantryField,
  type PantryRow,
  pantryRows,
  readTable,
  type TextTable,
} from '@frijol/core/interchange'
import { useEffect, useMemo, useState } from 'react'
import { importPantry, lineReader } from '../store'
import { Button, SelectInput, Sheet, toast } from '../ui'

const LABELS: Partial<Record<PantryField, string>> = {
  name: 'name',
  price: 'price',
  grams: 'grams the price is for',
  pack: 'pack, g',
}
const labelOf = (field: PantryField): string =>
  LABELS[field] ??
  field
    .replace(/G$/, ', g a 100 g')
    .replace(/Mg$/, ', mg a 100 g')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
const SHOWN_ROWS = 40

export interface ImportSheetProps {
  file: File | null
  onClose: () => void
}

/** A pantry table: what each column means, what each row would do, and only then taken over. */
export function ImportSheet({ file, onClose }: ImportSheetProps) {
  const [read, setRead] = useState<{ file: File; table: TextTable | null; fault: string | null } | null>(null)
  useEffect(() => {
    if (file === null) return
    void file.text().then((text) => {
      const table = readTable(text)
      setRead({
        file,
        table: table.ok ? table.value : null,
        fault: table.ok ? null : (table.issues[0]?.message ?? ''),
      })
    })
  }, [file])
  const isReady = file !== null && read?.file === file
  return (
    <Sheet
      title="Open a pantry table"
      description="Nothing is taken over until you say so."
      isOpen={isReady}
      onClose={onClose}
      width="wide"
    >
      {isReady && read.fault !== null && (
        <p role="alert" className="m-0 text-sm text-adzuki-deep">
          {read.fault}
        </p>
      )}
      {isReady && read.table !== null && <Matching table={read.table} name={file.name} onClose={onClose} />}
    </Sheet>
  )
}

function Matching({ table, name, onClose }: { table: TextTable; name: string; onClose: () => void }) {
  const [meaning, setMeaning] = useState(() => guessColumns(table))
  const rows = useMemo(() => pantryRows(table, meaning, lineReader()), [table, meaning])
  const good = rows.filter(({ fault }) => fault === null).length
  const choose = (at: number, field: string) =>
    setMeaning(
      meaning.map((known, index) =>
        index === at ? ((field === '' ? null : field) as PantryField | null) : known === field ? null : known,
      ),
    )
  const take = async () => {
    const count = await importPantry(rows, `table ${name}`.slice(0, 120))
    toast(`${count} rows are in the pantry.`)
    onClose()
  }
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-3 gap-2 max-sm:grid-cols-2">
        {table.columns.map((column, at) => (
          <label key={`${column} ${at}`} className="text-[13px] text-ink-2">
            <span className="mb-0.5 block truncate font-semibold">
              {column === '' ? `column ${at + 1}` : column}
            </span>
            <SelectInput value={meaning[at] ?? ''} onChange={(event) => choose(at, event.target.value)}>
              <option value="">leave out</option>
              {PANTRY_FIELDS.map((field) => (
                <option key={field} value={field}>
                  {labelOf(field)}
                </option>
              ))}
            </SelectInput>
          </label>
        ))}
      </div>
      <p role="status" className="m-0 text-sm">
        {good} of {rows.length} rows can be taken over
        {table.isDecimalComma ? '; numbers are read with a decimal comma' : ''}.
      </p>
      <div
        className="max-h-[38dvh] overflow-auto rounded-lg border border-line"
        tabIndex={0}
        role="region"
        aria-label="Preview"
      >
        <table className="w-full border-collapse text-sm">
          <tbody>
            {rows.slice(0, SHOWN_ROWS).map((row, at) => (
              <tr key={`${row.name} ${at}`} className="border-t border-line/70 first:border-0">
                <td className="px-2 py-1">{row.name === '' ? '–' : row.name}</td>
                <td className={row.fault === null ? 'px-2 py-1 text-ink-2' : 'px-2 py-1 text-adzuki-deep'}>
                  {row.fault ?? whatItDoes(row)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Leave all as it is</Button>
        <Button tone="primary" disabled={good === 0} onClick={() => void take()}>
          Take over {good === 1 ? '1 row' : `${good} rows`}
        </Button>
      </div>
    </div>
  )
}

function whatItDoes({ food, price, perG, packG, per100g }: PantryRow): string {
  const isOwn = food === null || Object.keys(per100g).length > 0
  const target = isOwn ? 'new ingredient of yours' : food.name
  const facts = [
    price === null ? '' : `${price} for ${perG ?? ''} g`,
    packG === null ? '' : `pack of ${packG} g`,
  ].filter((text) => text !== '')
  return [target, ...facts].join(' · ')
}
