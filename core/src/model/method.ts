import { z } from 'zod'

/** Unit operations of a kitchen. What each does stands in core/process/operations/. */
export const OPERATIONS = [
  'soak',
  'hydrate',
  'rinse',
  'drain',
  'desalt',
  'press',
  'squeeze',
  'trim',
  'chop',
  'grate',
  'rice',
  'mash',
  'blend',
  'mix',
  'knead',
  'rest',
  'wash-gluten',
  'shape',
  'wrap',
  'chill',
  'freeze-thaw',
  'toast',
  'sweat',
  'brown',
  'water-saute',
  'boil',
  'absorb',
  'simmer',
  'steam',
  'pressure-cook',
  'roast',
  'air-fry',
  'grill',
  'sear',
  'shallow-fry',
  'deep-fry',
  'reduce',
  'thicken',
  'heat',
  'infuse',
  'dehydrate',
  'culture',
  'coagulate',
  'whip',
  'spherify',
  'strain',
  'marinate',
  'coat',
  'broil',
  'hold',
  'cool',
] as const
export const OperationId = z.enum(OPERATIONS)
export type OperationId = z.infer<typeof OperationId>

/** The shape that a lot is given: it sets how heat and vapour get through. */
export const FORMS = [
  'pieces',
  'strip',
  'cube',
  'crumble',
  'patty',
  'ball',
  'log',
  'loaf',
  'breaded',
] as const
export const Form = z.enum(FORMS)
export type Form = z.infer<typeof Form>

export const EQUIPMENT_KINDS = [
  'pan',
  'pot',
  'tray',
  'oven',
  'hob',
  'air-fryer',
  'dehydrator',
  'steamer',
  'pressure-pot',
  'blender',
  'processor',
  'press',
] as const
export const EquipmentKind = z.enum(EQUIPMENT_KINDS)
export type EquipmentKind = z.infer<typeof EquipmentKind>

/** One thing of the kitchen, with what limits a batch in it. */
export const Equipment = z.strictObject({
  id: z.string().min(1).max(64),
  kind: EquipmentKind,
  label: z.string().max(60),
  count: z.number('Enter how many there are.').int().min(1).max(50),
  /** Base of a pan, or one tray: where food lies and vapour leaves, dm2. */
  areaDm2: z.number().positive('Enter an area above 0.').max(200).nullable(),
  /** Most that one load of it takes, g. */
  capacityG: z.number().positive('Enter a mass above 0 g.').max(200_000).nullable(),
  /** Drawn from the wall or the gas, kW. */
  powerKw: z.number().positive('Enter a power above 0.').max(50).nullable(),
  isFan: z.boolean(),
  /** What it really reaches above its dial, C. */
  offsetC: z.number().min(-60).max(60),
})
export type Equipment = z.infer<typeof Equipment>

/** What ends a step, where a clock does not. */
export const Until = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('mass'), massG: z.number().positive().max(1e6) }),
  /** Mass left per mass going in. */
  z.strictObject({
    kind: z.literal('keeps'),
    fraction: z.number().min(0.02).max(20),
    /** "Until the liquid has reduced by half": of what is poured round the food; absent = of all. */
    of: z.literal('liquid').optional(),
  }),
  z.strictObject({ kind: z.literal('dry') }),
])
export type Until = z.infer<typeof Until>

/** What a step takes: a line or its share, what an earlier step made, or another part. */
export const StepUse = z.strictObject({
  kind: z.enum(['line', 'step', 'part']),
  id: z.string().min(1).max(64),
  /** Share of the whole, 0 to 1; null = all that is left of it. */
  share: z.number().positive().max(1).nullable(),
})
export type StepUse = z.infer<typeof StepUse>

/** How a step is done, as read from its words or set by hand; null = not said. */
export const StepSettings = z.strictObject({
  vessel: EquipmentKind.nullable(),
  vesselCm: z.number().positive().max(200).nullable(),
  heat: z.enum(['low', 'medium', 'high']).nullable(),
  lid: z.enum(['on', 'ajar', 'off']).nullable(),
  isFan: z.boolean().nullable(),
  isWrapped: z.boolean(),
  form: Form.nullable(),
  thicknessMm: z.number().positive().max(500).nullable(),
  layer: z.enum(['single', 'deep']).nullable(),
  /** Water of the tap poured in and kept, g. */
  waterG: z.number().min(0).max(1e6).nullable(),
  /** Water additions of a sauté in water: how many, and g of each. */
  additions: z
    .strictObject({ count: z.number().int().min(1).max(60), massG: z.number().positive().max(5000) })
    .nullable(),
  /** The cooking liquid is poured away at the end. */
  isDrained: z.boolean().nullable(),
})
export type StepSettings = z.infer<typeof StepSettings>

export const NO_SETTINGS: StepSettings = {
  vessel: null,
  vesselCm: null,
  heat: null,
  lid: null,
  isFan: null,
  isWrapped: false,
  form: null,
  thicknessMm: null,
  layer: null,
  waterG: null,
  additions: null,
  isDrained: null,
}

/** Fields of a step that a person can set against its words. */
export const HAND_FIELDS = [
  'operation',
  'durationMin',
  'tempC',
  'until',
  ...(Object.keys(NO_SETTINGS) as (keyof StepSettings)[]),
] as const

const text = (most: number) => z.string().max(most, `Keep this under ${most} characters.`)

/** One step of the method: its words, how they are understood, and what was weighed after it. */
const StepShape = z.strictObject({
  id: z.string().min(1).max(64),
  text: text(4000),
  operation: OperationId.nullable(),
  durationMin: z.number().min(0).max(100_000).nullable(),
  tempC: z.number().min(-40).max(400).nullable(),
  until: Until.nullable(),
  settings: StepSettings,
  /** Fields set by hand: a new reading of the words leaves them alone. */
  byHand: z.array(z.enum(HAND_FIELDS)).max(HAND_FIELDS.length),
  /** What it takes; null = as read from its words against the lines. */
  uses: z.array(StepUse).max(300).nullable(),
  /** Mass after the step as weighed, g. */
  weighedG: z.number().positive('Enter a mass above 0 g.').max(1e6).nullable(),
  /** A person's own cue and remedy in place of the operation's. */
  cue: text(400).nullable(),
  remedy: text(400).nullable(),
})

/** Operations that documents of the first shape named otherwise. */
const RENAMED: Readonly<Record<string, OperationId>> = { bake: 'roast', fry: 'shallow-fry', set: 'chill' }

/** A step of the first shape, which kept only a share of the mass, in the present one. */
export function upgradeStep(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('keepsFraction' in value)) return value
  const { keepsFraction, operation, ...rest } = value as Record<string, unknown>
  const named = typeof operation === 'string' ? (RENAMED[operation] ?? operation) : operation
  const known = OperationId.nullable().safeParse(named)
  return {
    until: typeof keepsFraction === 'number' ? { kind: 'keeps', fraction: keepsFraction } : null,
    settings: NO_SETTINGS,
    byHand: typeof keepsFraction === 'number' ? ['until'] : [],
    uses: null,
    weighedG: null,
    cue: null,
    remedy: null,
    ...rest,
    operation: known.success ? known.data : null,
  }
}

/** The parts of a stored document of any shape, in the present one. Nothing else of them is touched. */
export const upgradeParts = (parts: unknown): unknown =>
  Array.isArray(parts)
    ? parts.map((part: unknown) =>
        typeof part !== 'object' || part === null || !('steps' in part) || !Array.isArray(part.steps)
          ? part
          : { ways: [], ...part, steps: part.steps.map(upgradeStep) },
      )
    : parts

export const Step = z.preprocess(upgradeStep, StepShape)
export type Step = z.infer<typeof StepShape>

/** Another way to make a part, kept beside the one in use. */
export const Way = z.strictObject({
  id: z.string().min(1).max(64),
  name: text(80),
  steps: z.array(Step).max(300),
})
export type Way = z.infer<typeof Way>

/** One weighing against the model: how far this kitchen's constant was from the default. */
export const Observation = z.strictObject({
  /** The step that was weighed; a new weighing of it replaces the old. */
  id: z.string().min(1).max(200),
  operation: OperationId,
  /** Equipment kind it was done in. */
  vessel: z.string().max(40),
  /** ln(observed constant / default constant). */
  lnRatio: z.number().min(-5).max(5),
  /** Its standard deviation. */
  sd: z.number().positive().max(5),
})
export type Observation = z.infer<typeof Observation>
