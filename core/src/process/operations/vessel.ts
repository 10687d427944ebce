import type { Equipment, EquipmentKind, Kitchen, Step } from '../../model'
import type { Lot } from '../lots/lot'
import type { OperationSpec } from './specs'

/** Most that lies in a pan or on a tray at once, g per dm2. @source sear 40, sweat 80; trays 50 to 60 for loose food; practice */
const SEAR_G_PER_DM2 = 40
const SWEAT_G_PER_DM2 = 80
const SPREAD_G_PER_DM2 = 60
const BODIES_G_PER_DM2 = 110
const DEEP_G_PER_DM2 = 400
const DRYER_G_PER_DM2 = 40
/** Open surface of a pot that the kitchen does not list, dm2: 24 cm. */
const USUAL_AREA_DM2 = 4.5

export const SEARING: ReadonlySet<string> = new Set(['brown', 'sear', 'shallow-fry'])
const LOOSE: ReadonlySet<Lot['form']> = new Set(['pieces', 'strip', 'cube', 'crumble'])

/** Base area of a round pan of so many cm, dm2. */
const circle = (cm: number): number => Math.PI * (cm / 20) ** 2

/** What limits one load of a vessel, g; null where nothing does. */
function loadLimit(spec: OperationSpec, lot: Lot, vessel: Equipment | null): number | null {
  if (vessel === null) return null
  const { areaDm2, capacityG, count } = vessel
  switch (vessel.kind) {
    case 'pan':
      return areaDm2 === null ? null : areaDm2 * (SEARING.has(spec.id) ? SEAR_G_PER_DM2 : SWEAT_G_PER_DM2)
    case 'tray': {
      if (areaDm2 === null || lot.form === 'loaf') return null
      const each =
        lot.form === 'crumble' || lot.form === 'strip' || (lot.form === 'pieces' && !lot.isMixed)
          ? SPREAD_G_PER_DM2
          : LOOSE.has(lot.form)
            ? SPREAD_G_PER_DM2
            : BODIES_G_PER_DM2
      return areaDm2 * each * count
    }
    case 'dehydrator':
      return areaDm2 === null ? null : areaDm2 * DRYER_G_PER_DM2 * count
    case 'air-fryer':
      return areaDm2 === null ? capacityG : areaDm2 * SPREAD_G_PER_DM2
    case 'steamer':
      return capacityG === null ? null : capacityG * count
    default:
      return capacityG
  }
}

export interface Placed {
  readonly vessel: Equipment | null
  readonly oven: Equipment | null
  /** Loads one after another. */
  readonly loads: number
  /** Surface from which vapour leaves in each load, dm2. */
  readonly areaDm2: number
  /** Raw load of the vessel, g per dm2 when all of it goes in at once; null without an area. */
  readonly gPerDm2: number | null
}

function named(
  kitchen: Kitchen,
  kind: EquipmentKind,
  cm: number | null,
  massG: number,
  limit: (vessel: Equipment) => number | null,
): Equipment | null {
  const own = kitchen.equipment.filter((one) => one.kind === kind)
  if (cm !== null) {
    const areaDm2 = circle(cm)
    const same = own.find((one) => one.areaDm2 !== null && Math.abs(one.areaDm2 - areaDm2) < 0.12 * areaDm2)
    return (
      same ?? {
        id: `${kind}-${cm}`,
        kind,
        label: `${cm} cm ${kind}`,
        count: 1,
        areaDm2,
        capacityG: null,
        powerKw: null,
        isFan: false,
        offsetC: 0,
      }
    )
  }
  const sorted = [...own].sort(
    (a, b) => (limit(a) ?? Number.POSITIVE_INFINITY) - (limit(b) ?? Number.POSITIVE_INFINITY),
  )
  return sorted.find((one) => (limit(one) ?? Number.POSITIVE_INFINITY) >= massG) ?? sorted.at(-1) ?? null
}

const NO_VESSEL: ReadonlySet<OperationSpec['medium']> = new Set(['none', 'cold', 'dry-air'])

/** Where a step is done: the vessel that it names, else the smallest of the kitchen that takes the lot. */
export function placeOf(step: Step, spec: OperationSpec, lot: Lot, massG: number, kitchen: Kitchen): Placed {
  const { settings } = step
  const kind =
    (spec.medium === 'pan' || spec.medium === 'liquid' || NO_VESSEL.has(spec.medium)
      ? settings.vessel
      : null) ?? spec.vessel
  const oven = spec.medium === 'oven' ? (kitchen.equipment.find((one) => one.kind === 'oven') ?? null) : null
  if (kind === null) return { vessel: null, oven, loads: 1, areaDm2: USUAL_AREA_DM2, gPerDm2: null }
  const same =
    settings.vesselCm === null
      ? kitchen.equipment.find((one) => one.id === lot.vesselId && one.kind === kind)
      : undefined
  const vessel = same ?? named(kitchen, kind, settings.vesselCm, massG, (one) => loadLimit(spec, lot, one))
  // What is fried on in the same pan has shrunk there: it is not split again.
  const limit = same !== undefined && same.kind === 'pan' ? null : loadLimit(spec, lot, vessel)
  const isPot = vessel?.kind === 'pot' && spec.medium === 'oil'
  const most = isPot ? (vessel.areaDm2 ?? USUAL_AREA_DM2) * DEEP_G_PER_DM2 * 0.2 : limit
  const loads = most === null || most <= 0 ? 1 : Math.max(1, Math.ceil(massG / most - 1e-6))
  const area = vessel?.areaDm2 ?? USUAL_AREA_DM2
  const trays =
    vessel?.kind === 'tray' && limit !== null
      ? Math.min(vessel.count, Math.ceil(massG / (limit / vessel.count)))
      : 1
  return {
    vessel,
    oven,
    loads: Math.min(50, loads),
    areaDm2: area * Math.max(1, trays),
    gPerDm2: vessel?.areaDm2 == null || massG === 0 ? null : massG / vessel.areaDm2,
  }
}

/** Heat into food, kJ/gK, and the share of a hob's or oven's draw that does it. Practice. */
const HEAT_KJ_PER_G_K = 0.0035
const LATENT_KJ_PER_G = 2.257
const HOB_SHARE = 0.55
const KJ_PER_KWH = 3600
const OVEN_WARM_UP_KWH = 0.35
const OVEN_KW_AT_200 = 0.9
const STEAM_G_PER_MIN = 12
const DRYER_KW = 0.4
const FRYER_KW = 0.9
const PRESSURE_WARM_UP_KWH = 0.2
const PRESSURE_KW = 0.25
const GRILL_KW = 1.8

/** Energy that a step draws, kWh. @source latent and sensible heat over the usual efficiencies; practice, ± 40 % */
export function energyOf(
  spec: OperationSpec,
  vessel: Equipment | null,
  minutes: number,
  warmed: { massG: number; byK: number; vapourG: number },
  tempC: number | null,
): number {
  const hours = minutes / 60
  const food =
    (warmed.massG * Math.max(0, warmed.byK) * HEAT_KJ_PER_G_K + warmed.vapourG * LATENT_KJ_PER_G) /
    HOB_SHARE /
    KJ_PER_KWH
  switch (spec.medium) {
    case 'pan':
    case 'liquid':
    case 'oil':
      return food + 0.2 * hours
    case 'oven':
      return OVEN_WARM_UP_KWH + OVEN_KW_AT_200 * (Math.max(0, (tempC ?? 190) - 20) / 180) * hours
    case 'fryer-air':
      return FRYER_KW * hours + 0.05
    case 'grill':
      return GRILL_KW * hours
    case 'steam':
      return (STEAM_G_PER_MIN * minutes * LATENT_KJ_PER_G) / HOB_SHARE / KJ_PER_KWH
    case 'pressure':
      return PRESSURE_WARM_UP_KWH + PRESSURE_KW * hours
    case 'dry-air':
      return DRYER_KW * hours
    default:
      return spec.vessel === 'blender' || spec.vessel === 'processor' ? (vessel?.powerKw ?? 0.7) * hours : 0
  }
}
