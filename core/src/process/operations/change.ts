import type { Form } from '../../model'
import type { Lot } from '../lots/lot'
import { massOf } from '../lots/item'
import type { StepContext } from './context'

/** Minutes of work after which gluten is 63 % developed. @source by hand 3, by machine 1; practice */
const KNEAD_TAU_MIN = { hand: 3, machine: 1 } as const
/** Mixing works gluten a little; a blender tears it. Practice. */
const MIX_TAU_MIN = 12
/** Smallest particles that tools leave, mm. @source floor 3 mm when pulsed; blender 30 um strong, 100 weak; practice */
const PULSED_FLOOR_MM = 3
const START_MM = 12
const MASHED_MM = 4
/** Time in which a blender brings particles down by 63 %, min. @source 40 s high-power, 150 s weak; practice */
const BLEND_TAU_MIN = { strong: 0.67, weak: 2.5 } as const
const BLEND_FLOOR_MM = { strong: 0.03, weak: 0.1 } as const
const STRONG_BLENDER_KW = 1
/** Air that blending and whipping leave, %. @source 3 to 15; foaming liquids more; practice */
const BLENDED_AIR_PCT = 6
const WHIPPED_AIR_PCT = 300

const isStrong = ({ vessel }: StepContext): boolean =>
  (vessel?.powerKw ?? STRONG_BLENDER_KW) >= STRONG_BLENDER_KW

function develop(lot: Lot, minutes: number, tau: number): void {
  const gone = 1 - Math.exp(-minutes / tau)
  for (const item of lot.items)
    if (item.source.kind.hasGluten) item.development += (1 - item.development) * gone
}

/** pH of a ripening base. @source soy yogurt 6.8 to 4.3, t50 4.5 h at 43 C, s 0.9; × 2^((Topt − T)/8) below; practice */
const RIPE_PH = 4.3
const FRESH_PH = 6.6
const HALFWAY_H = 4.5
const SPREAD_H = 0.9
const BEST_C = 43
const DOUBLING_C = 8

export function ripePH(hours: number, tempC: number): number {
  const slower = 2 ** (Math.max(0, BEST_C - tempC) / DOUBLING_C)
  return RIPE_PH + (FRESH_PH - RIPE_PH) / (1 + Math.exp((hours - HALFWAY_H * slower) / (SPREAD_H * slower)))
}

const THICK_FORMS: ReadonlySet<Form> = new Set(['patty', 'ball', 'log', 'loaf'])

/** What a step does to a lot beside its mass: shape, particles, gluten, air, acid. */
export function change(context: StepContext, lot: Lot, minutes: number): void {
  const { spec, step, vessel, tempC } = context
  const { form, thicknessMm } = step.settings
  if (form !== null) {
    lot.form = form
    if (THICK_FORMS.has(form)) lot.isMixed = true
  }
  if (thicknessMm !== null) lot.thicknessMm = thicknessMm
  switch (spec.id) {
    case 'knead':
      develop(lot, minutes, vessel?.kind === 'processor' ? KNEAD_TAU_MIN.machine : KNEAD_TAU_MIN.hand)
      lot.isMixed = true
      break
    case 'mix':
      develop(lot, minutes, MIX_TAU_MIN)
      lot.isMixed = true
      break
    case 'shape':
      lot.isMixed = true
      break
    case 'mash':
      lot.particleMm = MASHED_MM
      lot.isMixed = true
      break
    case 'rice':
    case 'chop':
    case 'grate':
      lot.particleMm = Math.max(PULSED_FLOOR_MM, (lot.particleMm ?? START_MM) * 0.6)
      break
    case 'blend': {
      const power = isStrong(context) ? 'strong' : 'weak'
      const floor = BLEND_FLOOR_MM[power]
      lot.particleMm =
        floor + ((lot.particleMm ?? START_MM) - floor) * Math.exp(-minutes / (BLEND_TAU_MIN[power] / 4))
      lot.overrunPct = Math.max(lot.overrunPct, BLENDED_AIR_PCT)
      lot.isMixed = true
      break
    }
    case 'whip':
      lot.overrunPct = WHIPPED_AIR_PCT
      break
    case 'culture':
      lot.pH = ripePH(minutes / 60, tempC ?? spec.usualC ?? BEST_C)
      break
    default:
      break
  }
  if (lot.items.every((item) => massOf(item) === 0)) lot.form = 'pieces'
}
