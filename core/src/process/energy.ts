import type { Equipment } from '../model'
import type { OperationSpec } from '../program'

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
