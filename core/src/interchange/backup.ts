import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { Backup, type BackupContent, fail, ok, type Result } from '../model'
import { parseJson } from './safeJson'

const checksumOf = (content: unknown): string => bytesToHex(sha256(utf8ToBytes(JSON.stringify(content))))

/** A kitchen as one backup file. @param now ISO date and time */
export function makeBackup(content: BackupContent, now: string): string {
  const backup: Backup = {
    format: 'frijol/backup',
    version: 1,
    exportedAt: now,
    checksum: checksumOf(content),
    content,
  }
  return `${JSON.stringify(backup)}\n`
}

/** Reads a backup whole or not at all: schema and checksum must hold. */
export function readBackup(text: string): Result<BackupContent> {
  const parsed = parseJson(text)
  if (!parsed.ok) return parsed
  const checked = Backup.safeParse(parsed.value)
  if (!checked.success) {
    const issue = checked.error.issues[0]
    const path = (issue?.path ?? []).map((key) => (typeof key === 'symbol' ? String(key) : key))
    return fail({
      code: 'not-a-backup',
      path,
      message: `This is not a Frijol backup, or it is damaged at ${path.length === 0 ? 'its start' : path.join(' › ')}. Nothing was changed.`,
    })
  }
  const raw = (parsed.value as { content: unknown }).content
  if (checksumOf(raw) !== checked.data.checksum) {
    return fail({
      code: 'checksum',
      path: ['checksum'],
      message:
        'This backup was changed or damaged after it was written. Nothing was restored. Use another copy.',
    })
  }
  return ok(checked.data.content)
}
