import type { EquipmentKind } from '@frijol/core/model'
import { goalCommands, run, useDish } from '../../store'
import { Card, CardTitle, ToggleChip } from '../../ui'

/** What a counter may not have, by the names that steps use. */
const KINDS: readonly EquipmentKind[] = [
  'oven',
  'air-fryer',
  'steamer',
  'pressure-pot',
  'blender',
  'processor',
  'dehydrator',
]

/** Equipment that the dish must do without. */
export function Without() {
  const { aim } = useDish()
  const out = new Set(aim.without)
  return (
    <Card className="p-4">
      <CardTitle title="Done without" aside={out.size === 0 ? 'all may be used' : `${out.size} left out`} />
      <div className="flex flex-wrap gap-1.5">
        {KINDS.map((kind) => (
          <ToggleChip
            key={kind}
            isOn={out.has(kind)}
            onChange={() => run(goalCommands.doWithout(kind, !out.has(kind)))}
          >
            {out.has(kind) ? `no ${kind.replaceAll('-', ' ')}` : kind.replaceAll('-', ' ')}
          </ToggleChip>
        ))}
      </div>
    </Card>
  )
}
