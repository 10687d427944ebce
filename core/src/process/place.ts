import { fitOf, type Op, type Program, USUAL_AREA_DM2 } from '../program'
import type { Bench } from './bench'
import { isPoured } from './drying'
import { evaluate, type Evaluation, type Observer } from './evaluate'
import type { Placed, Workspace } from './workspace'

const MOST_LOADS = 50
/** A pan of sauce, or of vegetables in their juice, stands so deep. @source 4 cm; practice */
const DEEP_PAN_G_PER_DM2 = 400

/** Where an operation is done: the vessel that it names or goes on in, else the smallest of the kitchen that takes the lot. */
function placeOf(op: Op, bench: Bench, before: readonly Placed[]): Placed {
  const { spec, step, oven } = op
  const { program, massG } = bench
  const isOneLoad = isPoured(bench)
  const own = op.mainOp < 0 ? null : (before[op.mainOp]?.vessel ?? null)
  const same = op.vessels.find(({ vessel }) => vessel.id === own?.id)
  const holds = ({ vessel, limitG }: (typeof op.vessels)[number]): boolean =>
    limitG >= massG || (isOneLoad && (vessel.areaDm2 ?? 0) * DEEP_PAN_G_PER_DM2 >= massG)
  const choice = same ?? op.vessels.find(holds) ?? op.vessels.at(-1) ?? null
  const vessel = op.namedVessel ?? choice?.vessel ?? null
  // What is fried on in the same pan has shrunk there: it is not split again.
  const limit =
    op.namedVessel !== null
      ? op.namedLimitG
      : same !== undefined && same.vessel.kind === 'pan'
        ? Number.POSITIVE_INFINITY
        : isOneLoad && choice?.vessel.areaDm2 != null
          ? choice.vessel.areaDm2 * DEEP_PAN_G_PER_DM2
          : (choice?.limitG ?? Number.POSITIVE_INFINITY)
  const loads = limit > 0 && Number.isFinite(limit) ? Math.max(1, Math.ceil(massG / limit - 1e-6)) : 1
  const trays =
    vessel?.kind === 'tray' && Number.isFinite(limit)
      ? Math.min(vessel.count, Math.ceil(massG / (limit / vessel.count)))
      : 1
  return {
    vessel,
    oven,
    loads: Math.min(MOST_LOADS, loads),
    areaDm2: (vessel?.areaDm2 ?? USUAL_AREA_DM2) * Math.max(1, trays),
    gPerDm2: vessel?.areaDm2 == null || massG === 0 ? null : massG / vessel.areaDm2,
    fit: fitOf(program.kitchen, spec?.id ?? '', vessel?.id ?? '', step.weighedG === null ? null : step.id),
  }
}

/** What placing needs of an evaluation. */
export type Placing = Omit<Evaluation, 'places' | 'lnRates' | 'from'>

/**
 * Chooses vessels and loads for every operation, from what each lot weighs as it comes: whole numbers that a search holds
 * fixed.
 * @param space is left as after an evaluation with these places
 */
export function placeAll(
  program: Program,
  space: Workspace,
  placing: Placing,
  observer: Omit<Observer, 'before'> = {},
): Placed[] {
  const places: Placed[] = []
  evaluate(
    program,
    space,
    { ...placing, places, lnRates: null, from: null },
    {
      before: (op, bench) => {
        const placed = placeOf(op, bench, places)
        places.push(placed)
        return placed
      },
      ...observer,
    },
  )
  return places
}
