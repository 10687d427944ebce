import { readBackup } from '@frijol/core/interchange'
import type { BackupContent } from '@frijol/core/model'
import backup from '../files/saltmarsh-row.backup.json'

/** The demo kitchen, checked like any backup that a person opens. Throws if the shipped file is damaged. */
export function demoKitchen(): BackupContent {
  const read = readBackup(JSON.stringify(backup))
  if (!read.ok) throw new Error(`the demo kitchen is damaged: ${read.issues[0]?.message ?? ''}`)
  return read.value
}
