import { type MethodRule, Story, whole } from './story'

const CODE = 'Follow your local food code.'
/** Colder than this nothing of it grows fast. @source US Food Code: 5 C */
const COLD_C = 5
const MIN_PER_H = 60

/** Soaks, fats and raw foods that do harm. @source food-safety rules of the domain; limits practice where not said */
export const HAZARD_RULES: readonly MethodRule[] = [
  {
    id: 'wood-ear-soaked-long',
    severity: 'stop',
    about: 'wood ear left soaking warm',
    find: (story) =>
      story
        .of(({ id }) => id === 'wood-ear-dried')
        .flatMap((told) =>
          story
            .did(told, 'soak', 'hydrate')
            .filter(({ reading, tempC }) => reading.minutes > 4 * MIN_PER_H && (tempC ?? 20) > COLD_C)
            .map(({ step, reading }) => ({
              lineId: told.id,
              stepId: step.id,
              message: `Wood ear soaks ${whole(reading.minutes / MIN_PER_H)} hours: a poison that cooking leaves whole has formed in long warm soaks.`,
              remedy: `Soak it up to 4 hours, or in the fridge, and throw it out where it is slimy. ${CODE}`,
            })),
        ),
  },
  {
    id: 'nuts-soaked-warm',
    severity: 'caution',
    about: 'nuts or seeds soaked long outside the fridge',
    find: (story) =>
      story
        .of(
          ({ foodClass, per100g }) =>
            (foodClass === 'nut' || foodClass === 'seed') && (per100g.waterG ?? 0) < 15,
        )
        .flatMap((told) =>
          story
            .did(told, 'soak')
            .filter(
              ({ reading, step }) =>
                reading.minutes > 4 * MIN_PER_H &&
                (step.tempC ?? 20) > COLD_C &&
                (step.tempC ?? 20) < 60 &&
                !/\b(?:fridge|refrigerat|cold|chill)/iu.test(step.text),
            )
            .map(({ step, reading }) => ({
              lineId: told.id,
              stepId: step.id,
              message: `${told.food.name} soak ${whole(reading.minutes / MIN_PER_H)} hours: outside the fridge, what lives on raw nuts grows.`,
              remedy:
                'Soak them in the fridge, or at most 4 hours at room temperature; or 15 minutes in boiling water.',
            })),
        ),
  },
  {
    id: 'pulse-soaked-warm',
    severity: 'caution',
    about: 'pulses soaked long and warm',
    find: (story) =>
      story
        .of((food) => food.cautions.includes('raw-kidney-bean') || food.cautions.includes('raw-pulse'))
        .flatMap((told) =>
          story
            .did(told, 'soak')
            .filter(({ reading, step }) => reading.minutes > 12 * MIN_PER_H && (step.tempC ?? 0) > 20)
            .map(({ step, reading }) => ({
              lineId: told.id,
              stepId: step.id,
              message: `${told.food.name} soak ${whole(reading.minutes / MIN_PER_H)} hours at ${whole(step.tempC ?? 0)} °C: they ferment, and boiling may not undo what forms.`,
              remedy: 'Soak them in the fridge, or change the water.',
            })),
        ),
  },
  {
    id: 'soy-milk-underboiled',
    severity: 'stop',
    about: 'ground soybeans that are not boiled long enough',
    find: (story) =>
      story
        .of(({ id }) => id === 'soybeans-dry')
        .flatMap((told) => {
          const ground = story.did(told, 'blend')[0]
          if (ground === undefined) return []
          const after = story.trace.slice(story.trace.indexOf(ground) + 1)
          const boiled = after.reduce(
            (sum, { reading, spec, holds }) =>
              holds.some(({ id }) => id === told.id) && spec?.medium === 'liquid' && reading.state.coreC >= 95
                ? sum + reading.minutes
                : sum,
            0,
          )
          return boiled >= 10
            ? []
            : [
                {
                  lineId: told.id,
                  stepId: ground.step.id,
                  message: `The ground soybeans boil ${whole(boiled)} min; raw soy milk foams long before it boils.`,
                  remedy: `Keep it at a true boil for 10 minutes after the foam has fallen. ${CODE}`,
                },
              ]
        }),
  },
  {
    id: 'cassava-not-boiled',
    severity: 'stop',
    about: 'raw cassava that is not boiled out',
    find: (story) =>
      story
        .of(({ id }) => id === 'cassava-raw')
        .flatMap((told) =>
          story.hasSteps && story.minutesAt(told, 95, 'liquid') < 14
            ? [
                {
                  lineId: told.id,
                  message: 'Raw cassava releases cyanide: it is not boiled for 20 minutes here.',
                  remedy: `Peel it, boil it without a lid for 20 minutes or more, and throw the water away. ${CODE}`,
                },
              ]
            : [],
        ),
  },
  {
    id: 'eaten-raw',
    severity: 'caution',
    about: 'shiitake or sprouts that nothing heats',
    find: (story) =>
      story
        .of(({ id }) => id === 'mushrooms-shiitake' || id === 'bean-sprouts')
        .flatMap((told) =>
          story.hasSteps && story.joins(told) >= 0 && story.maxC(told) < 65
            ? [
                {
                  lineId: told.id,
                  message:
                    told.food.id === 'bean-sprouts'
                      ? 'Raw sprouts carry what makes people ill more often than most foods.'
                      : 'Raw or barely cooked shiitake can bring up a whip-like rash.',
                  remedy:
                    'Cook them through, to 70 °C or more; never raw for the pregnant, the ill or children.',
                },
              ]
            : [],
        ),
  },
  {
    id: 'oil-too-hot',
    severity: 'stop',
    about: 'frying oil near its smoke',
    find: (story) =>
      story.trace.flatMap(({ spec, step }) =>
        (spec?.id === 'deep-fry' || spec?.id === 'shallow-fry') && (step.tempC ?? 0) > 190
          ? [
              {
                stepId: step.id,
                message: `Oil at ${whole(step.tempC ?? 0)} °C smokes and can catch fire; starchy food burns outside and raw in.`,
                remedy:
                  'Fry at 165 to 180 °C, dry what is wet, fill the pot a third, and never leave it. Water never goes on burning oil.',
              },
            ]
          : [],
      ),
  },
  {
    id: 'nuts-cultured-raw',
    severity: 'caution',
    about: 'raw nuts cultured without a heat step',
    find: (story) =>
      story
        .of(
          ({ foodClass, per100g }) =>
            (foodClass === 'nut' || foodClass === 'seed') && (per100g.waterG ?? 0) < 15,
        )
        .flatMap((told) => {
          const cultured = story.did(told, 'culture')[0]
          if (cultured === undefined) return []
          const before = story.through(told).slice(0, story.through(told).indexOf(cultured))
          const isHeated =
            before.some(({ reading, step }) => reading.state.coreC >= 70 || (step.tempC ?? 0) >= 80) ||
            /\bboil|\bscald|\bblanch|\bhot water\b/iu.test(
              [told.prep, ...before.map(({ step }) => step.text)].join(' '),
            )
          return isHeated
            ? []
            : [
                {
                  lineId: told.id,
                  stepId: cultured.step.id,
                  message: `${Story.name(told)} are cultured raw: what lives on raw nuts grows with the culture.`,
                  remedy: `Hold them in boiling water for 2 to 5 minutes first, and scald the tools. ${CODE}`,
                },
              ]
        }),
  },
]
