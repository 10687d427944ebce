import { z } from 'zod'
import { CookDay, Photo } from './cookDay'
import { Dish, Trial } from './dish'
import { Ingredient } from './ingredient'
import { Kitchen } from './kitchen'
import { Tasting } from './tasting'

/** Everything a kitchen holds, in one file. */
export const BackupContent = z.strictObject({
  kitchen: Kitchen,
  dishes: z.array(Dish).max(10_000),
  trials: z.array(Trial).max(100_000),
  ingredients: z.array(Ingredient).max(20_000),
  /** Absent in older backups. */
  days: z.array(CookDay).max(10_000).optional(),
  photos: z.array(Photo).max(20_000).optional(),
  tastings: z.array(Tasting).max(20_000).optional(),
})
export type BackupContent = z.infer<typeof BackupContent>

export const Backup = z.strictObject({
  format: z.literal('frijol/backup'),
  version: z.literal(1),
  exportedAt: z.iso.datetime(),
  /** SHA-256, hex, of the content's JSON text. */
  checksum: z.string().regex(/^[0-9a-f]{64}$/),
  content: BackupContent,
})
export type Backup = z.infer<typeof Backup>
