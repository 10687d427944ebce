import type { Equipment, EquipmentKind, Form, Kitchen, Step } from '../model'
import { type OperationSpec, SEARING } from './operations'
import type { VesselChoice } from './program'

/** Most that lies in a pan or on a tray at once, g per dm2. @source sear 40, sweat 80; trays 50 to 60 for loose food; practice */
const SEAR_G_PER_DM2 = 40
const SWEAT_G_PER_DM2 = 80
const SPREAD_G_PER_DM2 = 60
const BODIES_G_PER_DM2 = 110
const DEEP_G_PER_DM2 = 400
const DRYER_G_PER_DM2 = 40
/** Food that floats in frying oil takes a fifth of the pot. Practice. */
const FRYING_SHARE = 0.2
/** Open surface of a pot that the kitchen does not list, dm2: 24 cm. */
export const USUAL_AREA_DM2 = 4.5

const LOOSE: ReadonlySet<Form> = new Set(['pieces', 'strip', 'cube', 'crumble'])

/** Base area of a round pan of so many cm, dm2. */
const circle = (cm: number): number => Math.PI * (cm / 20) ** 2

/** How a lot lies on a tray or in a pan. */
export interface Lying {
  readonly form: Form
  readonly isMixed: boolean
  /** Under its own sauce in a dish: it is not spread. */
  readonly isInDish: boolean
}

/** What limits one load of a vessel, g; infinite where nothing does. */
export function loadLimit(
  spec: OperationSpec,
  { form, isMixed, isInDish }: Lying,
  vessel: Equipment,
): number {
  const { areaDm2, capacityG, count } = vessel
  const all = Number.POSITIVE_INFINITY
  switch (vessel.kind) {
    case 'pan':
      return areaDm2 === null ? all : areaDm2 * (SEARING.has(spec.id) ? SEAR_G_PER_DM2 : SWEAT_G_PER_DM2)
    case 'tray': {
      if (areaDm2 === null || form === 'loaf' || isInDish) return all
      const isSpread = form === 'crumble' || form === 'strip' || (form === 'pieces' && !isMixed)
      const each = isSpread || LOOSE.has(form) ? SPREAD_G_PER_DM2 : BODIES_G_PER_DM2
      return areaDm2 * each * count
    }
    case 'dehydrator':
      return areaDm2 === null ? all : areaDm2 * DRYER_G_PER_DM2 * count
    case 'air-fryer':
      return areaDm2 === null ? (capacityG ?? all) : areaDm2 * SPREAD_G_PER_DM2
    case 'steamer':
      return capacityG === null ? all : capacityG * count
    case 'pot':
      if (spec.medium === 'oil') return (areaDm2 ?? USUAL_AREA_DM2) * DEEP_G_PER_DM2 * FRYING_SHARE
      return capacityG ?? all
    default:
      return capacityG ?? all
  }
}

const NO_VESSEL: ReadonlySet<OperationSpec['medium']> = new Set(['none', 'cold', 'dry-air'])

/** Kind of vessel that a step is done in; null where it needs none. */
export const vesselKind = (step: Step, spec: OperationSpec): EquipmentKind | null =>
  (spec.medium === 'pan' || spec.medium === 'liquid' || NO_VESSEL.has(spec.medium)
    ? isSaucepan(step, spec)
      ? 'pot'
      : step.settings.vessel
    : null) ?? spec.vessel

/** Whether a pan is said to be a wide one: read of the words themselves, as `piecesOfStep` is. */
export const saysWide = (text: string): boolean =>
  /\b(?:frying|saut[eé]|skillet|wide|shallow|deep|large heavy)\b/iu.test(text)

/** A pan that holds liquid is a saucepan, unless the words say otherwise. */
const isSaucepan = ({ settings, text, byHand }: Step, spec: OperationSpec): boolean =>
  settings.vessel === 'pan' &&
  spec.medium === 'liquid' &&
  settings.vesselCm === null &&
  !byHand.includes('vessel') &&
  !saysWide(text)

/** A vessel of a stated size: the kitchen's own where it has one. */
export function vesselOfSize(kitchen: Kitchen, kind: EquipmentKind, cm: number): Equipment {
  const areaDm2 = circle(cm)
  const same = kitchen.equipment.find(
    (one) => one.kind === kind && one.areaDm2 !== null && Math.abs(one.areaDm2 - areaDm2) < 0.12 * areaDm2,
  )
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

/** The kitchen's vessels of a kind, the smallest load first. */
export const vesselChoices = (
  kitchen: Kitchen,
  kind: EquipmentKind,
  spec: OperationSpec,
  lying: Lying,
): VesselChoice[] =>
  kitchen.equipment
    .filter((one) => one.kind === kind)
    .map((vessel) => ({ vessel, limitG: loadLimit(spec, lying, vessel) }))
    .sort((a, b) => a.limitG - b.limitG)
