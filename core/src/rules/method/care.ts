import { capital, type MethodRule, Story, whole } from './story'

/** Fresh herbs hold more water than this; dried ones are no danger in oil. */
const FRESH_WATER_PCT = 50

/** Cultures, oils that keep, wine. @source functional-ingredient rules 51 to 57; limits practice */
/** Sour enough within a day. @source the usual limit of cultured foods; local food codes differ */
const SAFE_PH = 4.6
/** The model of souring is no surer than this. Practice. */
const MODEL_PH = 0.4

const tooLittleSour = (story: Story, above: number, most: number): ReturnType<MethodRule['find']> =>
  story.trace.flatMap(({ spec, step, reading }) => {
    if (spec?.id !== 'culture' || reading.massG <= 0) return []
    const pH = reading.state.pH ?? 7
    const isTold = step.tempC !== null
    // Where nobody said how warm it stands, only a measured pH can stop it.
    const isMet = pH > above && (isTold ? pH <= most : most < Infinity)
    return !isMet
      ? []
      : [
          {
            stepId: step.id,
            message: `${isTold ? '' : 'How warm it stands is not said. '}By the model it reaches about pH ${pH.toFixed(1)} in this time; ${SAFE_PH} within 24 hours is the limit.`,
            remedy: `Warmer or longer, and measure the pH: above ${SAFE_PH} after a day, throw it out. Follow your local food code.`,
          },
        ]
  })

/** An infusion is an oil with something in it from this share of fat on; practice. */
const MOSTLY_FAT = 0.5
/** Below this share of fat it is an oil no more: a dip, not olives or cubes that lie in it. Practice. */
const USED_FAT = 0.25
/** Steeped for longer it is kept. Practice: oils with raw garlic or herbs are used or chilled within 4 hours. */
const SAME_DAY_MIN = 240

export const CARE_RULES: readonly MethodRule[] = [
  {
    id: 'culture-too-hot',
    severity: 'stop',
    about: 'a live culture added hot',
    find: (story) =>
      story.of('live-culture').flatMap((told) => {
        const cultured = story.did(told, 'culture')[0]
        const step = story.trace[story.joins(told)]
        if (cultured === undefined || step === undefined) return []
        const before = story.trace
          .slice(0, story.joins(told))
          .findLast((earlier) => step.reading.takes.some(({ id }) => id === earlier.step.id))
        const hotC = Math.max(before?.reading.state.coreC ?? 0, cultured.tempC ?? 0)
        return hotC > 45
          ? [
              {
                lineId: told.id,
                stepId: step.step.id,
                message: `The culture goes into ${whole(hotC)} °C; above 45 °C it dies.`,
                remedy: 'Cool the base below 43 °C first.',
              },
            ]
          : []
      }),
  },
  {
    id: 'culture-not-sour',
    severity: 'stop',
    about: 'a culture that is not sour enough after a day',
    find: (story) => tooLittleSour(story, SAFE_PH + MODEL_PH, Infinity),
  },
  {
    id: 'culture-hardly-sour',
    severity: 'caution',
    about: 'a culture that may not be sour enough after a day',
    find: (story) => tooLittleSour(story, SAFE_PH, SAFE_PH + MODEL_PH),
  },
  {
    id: 'oil-infusion-warm',
    severity: 'stop',
    about: 'raw garlic or a fresh herb kept in oil without cold',
    find: (story) =>
      story
        .of(
          ({ id, foodClass, per100g }) =>
            story.method.program.library.facts.foods.get(id)?.traits.has('raw-garlic') === true ||
            (foodClass === 'herb' && (per100g.waterG ?? 0) > FRESH_WATER_PCT),
        )
        .flatMap((told) => {
          const infused = story.did(told, 'infuse')[0]
          if (infused === undefined) return []
          const fatShare = ({ holds }: Pick<typeof infused, 'holds'>): number => {
            const inIt = story.foods.filter(({ id }) => holds.some((source) => source.id === id))
            const all = inIt.reduce((sum, { massG }) => sum + massG, 0)
            const fat = inIt.reduce((sum, { food, massG }) => sum + (food.foodClass === 'fat' ? massG : 0), 0)
            return all > 0 ? fat / all : 0
          }
          const later = story.trace.slice(story.trace.indexOf(infused) + 1)
          const isCold = later.some(({ spec }) => spec?.id === 'chill' || spec?.id === 'freeze-thaw')
          // Worked into a dish the same day it is kept in oil no more.
          const isUsed =
            infused.reading.minutes <= SAME_DAY_MIN &&
            later.some((one) => one.holds.some(({ id }) => id === told.id) && fatShare(one) < USED_FAT)
          return fatShare(infused) < MOSTLY_FAT || isCold || isUsed
            ? []
            : [
                {
                  lineId: told.id,
                  stepId: infused.step.id,
                  message: `${capital(Story.name(told))} kept in oil can grow botulism: there is no air, little acid, and no step chills it.`,
                  remedy:
                    'Chill it at once to 4 °C or below and use it within 4 days, or acidify it below pH 4.2. Follow your local food code.',
                },
              ]
        }),
  },
  {
    id: 'wine-raw',
    severity: 'caution',
    about: 'wine that is not boiled off',
    find: (story) =>
      story.of('wine').flatMap((told) =>
        story.hasSteps && story.joins(told) >= 0 && story.minutesAt(told, 80) < 1.4
          ? [
              {
                lineId: told.id,
                message: `${told.food.name} is not boiled: it tastes of raw alcohol and harsh acid.`,
                remedy: 'Reduce it by half before it is mixed.',
              },
            ]
          : [],
      ),
  },
]
