import type { Original } from '../model'
import { cookedPct, type FamilyModel, fixedWindow, type PartState, type Window } from './family'
import { fall, peak, rise } from './responses'
import { richnessModel, saltinessModel, saltRatio, umamiModel } from './seasoning'
import { thickness, viscosityPaS } from './viscosity'

const PRACTICE = 'family model of sauces; practice'
const fatPct = (state: PartState): number => cookedPct(state.cooked.fatG, state)
const viscosity = ({ cooked }: PartState): number => viscosityPaS(cooked)

/** Coarse end of the particle sizes a blended or whisked sauce keeps, um. Practice, strong blender. */
const D90_UM = {
  nutSolidsG: 55,
  pulseSolidsG: 65,
  vegetableSolidsG: 60,
  fungalSolidsG: 80,
  cerealSolidsG: 30,
  soySolidsG: 25,
  milkSolidsG: 5,
  otherSolidsG: 40,
} as const

function d90(state: PartState): number {
  let sum = 0
  let solids = 1e-9
  for (const [field, size] of Object.entries(D90_UM)) {
    const grams = state.cooked[field as keyof typeof D90_UM]
    sum += grams * size
    solids += grams
  }
  return sum / solids
}

/** Around an original's own viscosity where it states one; else the coating band. */
function viscosityWindow(original: Original | null): Window {
  const stated = original?.viscosityPaS ?? null
  if (stated === null) return { low: 0.06, bestLow: 0.15, bestHigh: 0.6, high: 2 }
  const { low, typical, high } = stated
  return {
    low: low / 2,
    bestLow: Math.sqrt(low * typical),
    bestHigh: Math.sqrt(typical * high),
    high: high * 1.5,
  }
}

/** Sauces that cling: white, cheese and nut sauces. */
export const coatingSauce: FamilyModel = {
  id: 'coating-sauce',
  usualYield: { fraction: 0.95, sd: 0.03, source: 'short simmer to thicken; practice' },
  viscosityPaS: viscosity,
  ratios: [
    {
      id: 'viscosity',
      label: 'Thickness at 60 °C',
      unit: 'Pa·s',
      window: viscosityWindow,
      value: viscosity,
      equation: '(water × gum + heated starch) × particles (Krieger–Dougherty) × fat droplets',
      source: 'Krieger and Dougherty 1959; Evans and Haisman 1979; constants practice',
      raise: 'Simmer longer, or add starch, flour or nuts.',
      lower: 'Add milk or stock a little at a time.',
    },
    {
      id: 'fat',
      label: 'Fat',
      unit: '%',
      window: fixedWindow(2, 5, 14, 25),
      value: fatPct,
      equation: 'fat of every line ÷ cooked mass',
      source: 'window practice',
      raise: 'Add nuts, oil or plant butter.',
      lower: 'Swap nuts or oil for white beans, potato or cauliflower.',
    },
    {
      id: 'dry-solids',
      label: 'Dry solids',
      unit: '%',
      window: fixedWindow(8, 14, 28, 40),
      value: (state) => cookedPct(state.cooked.dryMatterG, state),
      equation: '(cooked mass − water) ÷ cooked mass',
      source: 'window practice',
      raise: 'Reduce it, or add nuts, pulses or flour.',
      lower: 'Add liquid.',
    },
    saltRatio({ low: 0.4, bestLow: 0.7, bestHigh: 1.2, high: 1.7 }),
  ],
  attributes: [
    {
      id: 'thickness',
      sd: 0.6,
      value: (state) => thickness(viscosity(state)),
      equation: '5.8 + 2.2 × log10(viscosity in Pa·s)',
      source: 'kitchen measurement P9c; practice',
    },
    {
      id: 'creaminess',
      sd: 1.2,
      value: (state) =>
        10 * peak(viscosity(state), 0.03, 0.9, 20) * fall(d90(state), 30, 120) * rise(fatPct(state), 0, 14),
      equation: '10 × thickness in its band × fall(particle D90, 30–120 µm) × rise(fat, 0–14 %)',
      source: PRACTICE,
    },
    {
      id: 'smoothness',
      sd: 1.2,
      value: (state) => 10 * fall(d90(state), 28, 160),
      equation: '10 × fall(particle D90, 28–160 µm), strong blender',
      source: PRACTICE,
    },
    {
      id: 'mouth_coating',
      sd: 1.2,
      value: (state) =>
        10 *
        (0.55 * rise(fatPct(state), 0, 22) +
          0.45 * rise(Math.log10(Math.max(viscosity(state), 1e-5)), -2.2, 0.7)),
      equation: '10 × (0.55 rise(fat, 0–22 %) + 0.45 rise(log viscosity, −2.2 to 0.7))',
      source: PRACTICE,
    },
    richnessModel,
    umamiModel,
    saltinessModel,
  ],
}
