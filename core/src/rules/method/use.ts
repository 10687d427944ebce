import { statesHeat } from '../../reading'
import { type MethodRule, whole } from './story'

/** Where more than this share of the lines is named in no step, the method is a sketch: nothing is said of single lines. */
const SKETCH_SHARE = 0.5

/** "Heat the oven to 180 °C (160 °C fan)": for what goes into it later. */
const PREHEATS = /\b(?:pre-?heat|heat|warm|set|turn on|get)\b[^.;]{0,16}\b(?:oven|grill|broiler)\b[^.;]*/giu

/** What a method takes, leaves and repeats. */
export const USE_RULES: readonly MethodRule[] = [
  {
    id: 'listed-unused',
    severity: 'info',
    about: 'a line that no step takes',
    find: (story) => {
      const unused = story.foods.filter(
        (told) => story.method.unused.some(({ lineId }) => lineId === told.id) && story.joins(told) < 0,
      )
      if (unused.length > SKETCH_SHARE * story.foods.length) return []
      return unused.map((told) => ({
        lineId: told.id,
        message: `${told.food.name} is in the list but no step uses it.`,
        remedy: 'Name it in a step, or take the line out.',
      }))
    },
  },
  {
    id: 'lot-left-standing',
    severity: 'caution',
    about: 'something made that no later step takes',
    find: (story) =>
      story.method.program.looseStepIds.flatMap((stepId) => {
        const at = story.trace.findIndex(({ step }) => step.id === stepId)
        const made = story.trace[at]
        if (made === undefined || made.reading.massG < 1) return []
        return [
          {
            stepId,
            message: `What step ${at + 1} makes (${whole(made.reading.massG)} g) goes into no later step.`,
            remedy: 'Say where it goes: “fold in the …”, or drop it on the step that takes it.',
          },
        ]
      }),
  },
  {
    id: 'step-without-food',
    severity: 'caution',
    about: 'a step that has nothing to work on',
    find: (story) =>
      story.trace.flatMap(({ step, spec, reading, holds }) =>
        spec === null || holds.length > 0 || reading.takes.length > 0
          ? []
          : [
              {
                stepId: step.id,
                message: `${spec.name} has no ingredient: nothing in the list is named by it.`,
                remedy: 'Name the food in the step, or drop a line on it.',
              },
            ],
      ),
  },
  {
    id: 'step-not-read',
    severity: 'info',
    about: 'a step whose operation is not known',
    find: (story) =>
      story.trace.flatMap(({ step, spec }) =>
        spec !== null ||
        step.text.trim() === '' ||
        step.until !== null ||
        /\b(?:serve|enjoy|preheat|heat the oven|assemble|taste|plate|garnish)\b/i.test(step.text)
          ? []
          : [
              {
                stepId: step.id,
                message: 'What is done in this step is not read; it changes nothing.',
                remedy: 'Pick its operation, or name it: roast, simmer, blend.',
              },
            ],
      ),
  },
  {
    id: 'heat-not-read',
    severity: 'caution',
    about: 'a temperature that no kitchen reaches, or without its scale',
    find: (story) =>
      story.trace.flatMap(({ step, spec }) =>
        spec === null || step.tempC !== null || !statesHeat(step.text.replace(PREHEATS, ''))
          ? []
          : [
              {
                stepId: step.id,
                message: `The temperature in this step is not read: the usual one of ${spec.name.toLowerCase()} is reckoned with.`,
                remedy: 'Write it in °C or °F, from −40 to 400 °C, or set it in the step’s details.',
              },
            ],
      ),
  },
  {
    id: 'time-unlikely',
    severity: 'caution',
    about: 'a time or heat far from what an operation takes',
    find: (story) =>
      story.trace.flatMap(({ step, spec }) => {
        if (spec === null) return []
        const { durationMin, tempC } = step
        if (durationMin !== null && durationMin > spec.mostMin)
          return [
            {
              stepId: step.id,
              message: `${spec.name} for ${whole(durationMin)} min is longer than it ever takes (${whole(spec.mostMin)} min).`,
              remedy: 'Check minutes and hours.',
            },
          ]
        if (tempC !== null && (tempC < spec.leastC || tempC > spec.mostC))
          return [
            {
              stepId: step.id,
              message: `${spec.name} at ${whole(tempC)} °C is outside ${spec.leastC} to ${spec.mostC} °C.`,
              remedy: 'Check °C and °F.',
            },
          ]
        return []
      }),
  },
  {
    id: 'too-much-for-vessel',
    severity: 'info',
    about: 'a step that the vessel does not take at once',
    find: (story) =>
      story.trace.flatMap(({ step, reading, placed, spec }) =>
        placed.loads < 2 ||
        spec === null ||
        placed.vessel === null ||
        placed.vessel.kind === 'pan' ||
        placed.vessel.kind === 'tray'
          ? []
          : [
              {
                stepId: step.id,
                message: `${whole(reading.massInG)} g is more than ${placed.vessel.label.toLowerCase()} takes at once: ${placed.loads} loads, ${whole(reading.minutes)} min in all.`,
                remedy: `Work in ${placed.loads} loads, or in a larger one.`,
              },
            ],
      ),
  },
]
