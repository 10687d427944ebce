import type { Bench } from './bench'
import { DRY_LEAVES } from './drying'

/** Water that a stated end asks to leave, g; NaN where the step names none, negative where it asks to come in. */
export function wantedLoss(bench: Bench): number {
  const until = bench.op.step.until
  if (until === null) return Number.NaN
  bench.sum()
  switch (until.kind) {
    case 'mass':
      return bench.massG - bench.end
    case 'keeps':
      return (until.of === 'liquid' && bench.op.hasPieces ? bench.looseG : bench.massG) * (1 - bench.end)
    case 'dry':
      return bench.waterG * (1 - DRY_LEAVES)
  }
}
