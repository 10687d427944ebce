import type { CountMeasure, PackMeasure, VolumeMeasure } from '@frijol/core/model'
import { numberIn, type Row } from './table'

export interface Measures {
  volumes: VolumeMeasure[]
  counts: CountMeasure[]
  packs: PackMeasure[]
}

const percent = (row: Row, column: string): number => (numberIn(row, column) ?? 0) / 100

/** One row of measures.csv as density, piece and can of a form ("chopped"; null = the usual state). */
function rowMeasures(row: Row, form: string | null): Measures {
  const source = row['source'] ?? ''
  const gPerMl = numberIn(row, 'density_g_per_ml')
  const countG = numberIn(row, 'count_g')
  const unit = row['count_unit'] ?? ''
  const netG = numberIn(row, 'can_net_g')
  const drainedG = numberIn(row, 'can_drained_g') ?? (unit === 'can' ? countG : null) ?? netG
  return {
    volumes: gPerMl === null ? [] : [{ form, gPerMl, rsd: percent(row, 'rsd_pct'), source }],
    counts:
      countG === null || unit === ''
        ? []
        : [
            {
              form,
              unit,
              massG: countG,
              rsd: percent(row, 'count_rsd_pct'),
              edibleFraction: numberIn(row, 'edible_fraction'),
              source,
            },
          ],
    packs: netG === null || drainedG === null ? [] : [{ form, netG, drainedG, source }],
  }
}

/** Joins the rows named in a foods.psv measures cell: "walnut_half;walnut_chopped@chopped". */
export function joinMeasures(cell: string, rows: ReadonlyMap<string, Row>, used: Set<string>): Measures {
  const joined: Measures = { volumes: [], counts: [], packs: [] }
  for (const entry of cell.split(';')) {
    const [id = '', form] = entry.trim().split('@')
    if (id === '') continue
    const row = rows.get(id)
    if (row === undefined) throw new Error(`measures row ${id} does not exist`)
    used.add(id)
    const own = rowMeasures(row, form ?? null)
    joined.volumes.push(...own.volumes)
    joined.counts.push(...own.counts)
    joined.packs.push(...own.packs)
  }
  return joined
}
