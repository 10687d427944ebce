import { AT_TEMPERATURE, capital, type MethodRule, Story, type Told, whole } from './story'

const NUTS = 'cream-nut'
const RAW_PHASEOLUS = 'raw-phaseolus'
const RAW_PULSE = 'raw-pulse'
/** Salts that make a curd of soy milk. */
const COAGULANT = 'coagulant'
const SOAKED = /\bsoak|\bboiled\b/
/** A full boil that destroys the toxin of a soaked bean, min. @source FDA Bad Bug Book; local food codes */
const HARD_BOIL_MIN = 10
/** Minutes near the boil until a pulse is cooked: whole, and ground after a soak. Practice. */
const WHOLE_MIN = 15
const GROUND_MIN = 2
/** Warmer than this in the middle, it was on the heat. Practice. */
const WARM_C = 50
const LOCAL_CODE = 'Follow your local food code.'

/** Whether a pulse is soaked for so many minutes, and its water goes. */
function soaked(story: Story, id: string, minutes: number): boolean {
  const told = story.foods.find((one) => one.id === id)
  if (told === undefined) return false
  if (/overnight|\b(?:[5-9]|1\d|2\d)\s*(?:-\s*\d+\s*)?h/.test(told.prep)) return true
  const steps = story.did(told, 'soak')
  return steps.reduce((sum, { reading }) => sum + reading.minutes, 0) >= minutes
}

/** Ground after a soak, a pulse cooks through as fast as a batter: its own rule looks at that. */
function isGround(story: Story, id: string): boolean {
  const told = story.foods.find((one) => one.id === id)
  return (
    told !== undefined && soaked(story, id, 60) && story.did(told, 'blend', 'rice', 'mash', 'chop').length > 0
  )
}

const DRY_HEAT: ReadonlySet<string> = new Set([
  'pan',
  'oven',
  'oil',
  'grill',
  'fryer-air',
  'steam',
  'pressure',
])
/** Thin split pulses fall apart in ten minutes at the simmer. @source yields: red split, puree at 18; practice */
const SPLIT_THIN: ReadonlySet<string> = new Set(['lentils-red-dry'])
const SPLIT_MIN = 9
/** It comes on the heat at all, if only for a crust. */
const isHeated = (story: Story, told: Told): boolean =>
  story.minutesAt(told, WARM_C) > 0 ||
  story.through(told).some(({ spec }) => DRY_HEAT.has(spec?.medium ?? ''))

/** Pulses, nuts, seeds, soy. @source functional-ingredient rules 32 to 38, 43; FDA Bad Bug Book; limits practice */
export const PULSE_RULES: readonly MethodRule[] = [
  {
    id: 'beans-not-boiled',
    severity: 'stop',
    about: 'raw beans without a soak and a full boil',
    find: (story) =>
      story.of(RAW_PHASEOLUS).flatMap((told) => {
        if (!story.hasSteps || story.joins(told) < 0) return []
        const boiled = story
          .did(told, 'boil', 'pressure-cook')
          .reduce(
            (sum, { reading, spec }) => sum + reading.minutes * (spec?.id === 'pressure-cook' ? 4 : 1),
            0,
          )
        const simmered = story.did(told, 'simmer').reduce((sum, { reading }) => sum + reading.minutes, 0)
        const isSoaked = soaked(story, told.id, 300)
        // A hard boil of ten minutes destroys it; the rest of the half hour may be at a simmer.
        const isBoiled = boiled >= 30 || (boiled >= HARD_BOIL_MIN && boiled + simmered >= 30)
        if (isBoiled && isSoaked) return []
        return [
          {
            lineId: told.id,
            message: `${told.food.name} hold a toxin: ${[
              ...(isSoaked ? [] : ['they are not soaked for 5 hours']),
              ...(isBoiled ? [] : [`they boil for ${whole(boiled)} min`]),
            ].join(', and ')}.`,
            remedy: `Soak 5 hours, drain, boil hard for 30 minutes, then cook to tender; no slow-cooker start. ${LOCAL_CODE}`,
          },
        ]
      }),
  },
  {
    id: 'pulse-not-cooked',
    severity: 'stop',
    about: 'raw pulses that are not cooked through',
    find: (story) =>
      story.of(RAW_PULSE).flatMap((told) => {
        if (!story.hasSteps || story.joins(told) < 0) return []
        const minutes = story.minutesAt(told, 90) / AT_TEMPERATURE
        const least = SPLIT_THIN.has(told.food.id) ? SPLIT_MIN : WHOLE_MIN
        return minutes >= least || (isGround(story, told.id) && isHeated(story, told))
          ? []
          : [
              {
                lineId: told.id,
                message: `${told.food.name} cook for ${whole(minutes)} min: they stay hard, and raw.`,
                remedy: `Simmer them to tender, 15 minutes at the least. ${LOCAL_CODE}`,
              },
            ]
      }),
  },
  {
    id: 'pulse-batter-raw',
    severity: 'caution',
    about: 'ground pulses that are not cooked through',
    find: (story) =>
      story.of(RAW_PULSE).flatMap((told) => {
        if (!story.hasSteps || story.joins(told) < 0 || !isGround(story, told.id)) return []
        if (!isHeated(story, told)) return []
        const minutes = story.minutesAt(told, 90) / AT_TEMPERATURE
        return minutes >= GROUND_MIN
          ? []
          : [
              {
                lineId: told.id,
                message: `${told.food.name}, ground after a soak, may stay raw inside: ${whole(minutes)} min at 90 °C or above.`,
                remedy: `Cook it through to 90 °C in the middle. ${LOCAL_CODE}`,
              },
            ]
      }),
  },
  {
    id: 'gel-not-rested',
    severity: 'caution',
    about: 'flax, chia, psyllium or oats without their rest',
    find: (story) =>
      story.foods.flatMap((told) => {
        const minutes = told.entry.fact?.restMin ?? null
        const name = capital(Story.name(told))
        if (minutes === null || story.joins(told) < 0) return []
        const rested = story.restBefore(told, [
          'shape',
          'roast',
          'shallow-fry',
          'sear',
          'grill',
          'air-fry',
          'deep-fry',
          'steam',
        ])
        const hot = story.minutesAt(told, 80)
        const isDone =
          rested >= minutes || hot > minutes || new RegExp(`(?:rested|soaked|gel)`).test(told.prep)
        const isShaped =
          story.did(told, 'shape', 'roast', 'shallow-fry', 'sear', 'grill', 'air-fry', 'deep-fry', 'steam')
            .length > 0
        return isDone || !isShaped
          ? []
          : [
              {
                lineId: told.id,
                message: `${name} takes up water slowly; here it rests ${whole(rested)} min before it must hold.`,
                remedy: `Rest the mix ${minutes} minutes, then correct its water.`,
              },
            ]
      }),
  },
  {
    id: 'textured-soy-dry',
    severity: 'caution',
    about: 'textured soy that is not hydrated',
    find: (story) =>
      story.of('textured-soy').flatMap((told) => {
        if (!story.hasSteps || story.joins(told) < 0) return []
        const hot = story.minutesAt(told, 80, 'liquid') / AT_TEMPERATURE
        const rest = story.restBefore(told, ['shape', 'brown', 'sear', 'roast'])
        const inHot = story
          .did(told, 'hydrate')
          .some(
            ({ reading, tempC, step }) =>
              reading.minutes >= 8 && ((tempC ?? 0) >= 80 || /\b(?:hot|boiling)\b/i.test(step.text)),
          )
        return hot >= 10 || rest >= 30 || inHot || /hydrated|soaked/.test(told.prep)
          ? []
          : [
              {
                lineId: told.id,
                message: 'Textured soy goes in dry: it keeps hard cores and takes water from the rest.',
                remedy: 'Hydrate it 10 minutes in hot stock or 30 in cold, and squeeze it.',
              },
            ]
      }),
  },
  {
    id: 'tofu-not-pressed',
    severity: 'caution',
    about: 'tofu browned without pressing',
    find: (story) =>
      story.of('pressable-tofu').flatMap((told) => {
        const browned = story.did(
          told,
          'brown',
          'sear',
          'shallow-fry',
          'deep-fry',
          'air-fry',
          'grill',
          'roast',
        )[0]
        if (browned === undefined || browned.isMixed) return []
        const dried =
          story.did(told, 'press', 'squeeze', 'freeze-thaw').length > 0 ||
          /press|frozen|squeez|patted|crumbl/.test(told.prep)
        return dried
          ? []
          : [
              {
                lineId: told.id,
                stepId: browned.step.id,
                message: 'Tofu that is not pressed steams in its own water before it browns.',
                remedy: 'Press it 15 to 30 minutes, or freeze and thaw it first.',
              },
            ]
      }),
  },
  {
    id: 'nuts-not-soaked',
    severity: 'caution',
    about: 'nuts for a cream, not soaked, in a weak blender',
    find: (story) =>
      story.of(NUTS).flatMap((told) => {
        const blended = story.did(told, 'blend')[0]
        if (
          blended === undefined ||
          SOAKED.test(told.prep) ||
          story.did(told, 'soak', 'boil', 'simmer').length > 0
        )
          return []
        const power = blended.placed.vessel?.powerKw ?? 0
        return power >= 1
          ? []
          : [
              {
                lineId: told.id,
                stepId: blended.step.id,
                message: `${told.food.name} stay gritty in a blender of ${power > 0 ? `${whole(power * 1000)} W` : 'this power'} when they are dry.`,
                remedy: 'Soak them 4 to 8 hours, or boil them 15 minutes; drain and rinse.',
              },
            ]
      }),
  },
  {
    id: 'soy-milk-with-calcium',
    severity: 'caution',
    about: 'a calcium salt in hot soy milk',
    find: (story) =>
      story.of('soy-milk').flatMap((told) => {
        if (story.did(told, 'coagulate').length > 0) return []
        const salts = story.of(COAGULANT)
        const step = story
          .through(told)
          .find(
            ({ reading, holds }) =>
              reading.state.coreC >= 60 && salts.some(({ id }) => holds.some((source) => source.id === id)),
          )
        const salt = salts[0]
        return step === undefined || salt === undefined
          ? []
          : [
              {
                lineId: told.id,
                stepId: step.step.id,
                message: `${capital(Story.name(salt))} sets hot soy milk to a curd.`,
                remedy: 'Leave it out, stir it in cold, or let the curd be the aim.',
              },
            ]
      }),
  },
  {
    id: 'soy-milk-curdles',
    severity: 'caution',
    about: 'acid in hot soy milk',
    find: (story) =>
      story.of('soy-milk').flatMap((told) => {
        if (story.did(told, 'coagulate', 'culture').length > 0) return []
        const acid = story.of((food) => food.foodClass === 'acid' && (food.per100g.organicAcidG ?? 0) >= 0.8)
        const step = story
          .through(told)
          .find(
            ({ reading, holds }) =>
              (reading.state.pH ?? 7) < 5.8 &&
              reading.state.coreC >= 70 &&
              acid.some(({ id }) => holds.some((source) => source.id === id)),
          )
        return step === undefined
          ? []
          : [
              {
                lineId: told.id,
                stepId: step.step.id,
                message: `Soy milk curdles when acid meets it hot (about pH ${(step.reading.state.pH ?? 0).toFixed(1)}).`,
                remedy: 'Cool it first, or stir the acid in at the very end off the heat.',
              },
            ]
      }),
  },
]
