import { AT_TEMPERATURE, capital, hasMark, type MethodRule, Story, type Told, whole } from './story'

const AGAR = 'agar'
const CARRAGEENAN = 'carrageenan'
const METHYLCELLULOSE = 'methylcellulose'
const STRONG_ACID_PCT = 0.8

const acids = (story: Story): Told[] =>
  story.of((food) => food.foodClass === 'acid' && (food.per100g.organicAcidG ?? 0) >= STRONG_ACID_PCT)

/** The lowest pH while a line is heated past a temperature, and in which step. */
function sourestWhileHot(story: Story, told: Told, tempC: number): { pH: number; stepId: string } | null {
  let worst: { pH: number; stepId: string } | null = null
  for (const { reading, spec, step } of story.through(told)) {
    const pH = reading.state.pH
    if (spec === null || spec.medium === 'none' || pH === null || reading.state.coreC < tempC) continue
    if (worst === null || pH < worst.pH) worst = { pH, stepId: step.id }
  }
  return worst
}

/** Milligrams of potassium in 100 g of the part, besides what the gum brings itself. */
const potassiumPct = (story: Story): number =>
  story.rawMassG > 0
    ? story.foods.reduce(
        (sum, { food, entry, massG }) =>
          sum + (hasMark(entry, CARRAGEENAN) ? 0 : (food.per100g.potassiumMg ?? 0) * massG),
        0,
      ) / story.rawMassG
    : 0

const FOAMING = 'foaming'

/** Gelling agents. @source functional-ingredient rules 1 to 16; Handbook of Hydrocolloids 2009; limits practice */
export const GEL_RULES: readonly MethodRule[] = [
  {
    id: 'agar-not-boiled',
    severity: 'stop',
    about: 'agar that never boils',
    find: (story) =>
      story.of(AGAR).flatMap((told) => {
        const needed = Math.round((told.entry.agent?.hydrateMin ?? 1) / AT_TEMPERATURE)
        const minutes = story.minutesAt(told, 90) / AT_TEMPERATURE
        if (!story.hasSteps || minutes >= needed) return []
        return [
          {
            lineId: told.id,
            message: `${told.food.name} dissolves only at 90 to 95 °C; here it boils for ${whole(minutes)} min.`,
            remedy: `Boil it in the liquid for ${needed} minutes, until clear.`,
          },
        ]
      }),
  },
  {
    id: 'acid-before-agar',
    severity: 'stop',
    about: 'acid in the pot while agar boils',
    find: (story) =>
      story.of(AGAR).flatMap((told) => {
        const worst = sourestWhileHot(story, told, 90)
        if (worst === null || worst.pH >= 4.5) return []
        return [
          {
            lineId: told.id,
            stepId: worst.stepId,
            message: `Acid is in before the agar has boiled (about pH ${worst.pH.toFixed(1)}): acid and heat cut its chains.`,
            remedy: 'Boil the agar first and stir the acid in off the heat.',
          },
        ]
      }),
  },
  {
    id: 'agar-not-chilled',
    severity: 'caution',
    about: 'agar without a step that cools it',
    find: (story) =>
      story.of(AGAR).flatMap((told) => {
        const after = story.through(told).at(-1)
        if (
          !story.hasSteps ||
          story.minutesAt(told, 90) === 0 ||
          after === undefined ||
          after.reading.state.coreC <= 36
        )
          return []
        return [
          {
            lineId: told.id,
            message: 'Agar sets at 32 to 43 °C; no step cools it that far.',
            remedy: 'Chill it below 32 °C before it is cut.',
          },
        ]
      }),
  },
  {
    id: 'agar-for-melt',
    severity: 'caution',
    about: 'agar where melt is wanted',
    find: (story) => {
      if (story.part.family !== 'stretch-melt') return []
      const agar = story.of(AGAR)
      return story.pct(...agar) <= 0.3 || agar[0] === undefined
        ? []
        : [
            {
              lineId: agar[0].id,
              message: 'Agar melts only above 85 °C: at the table it stays firm and cuts the strands.',
              remedy: 'Use kappa carrageenan or tapioca starch.',
            },
          ]
    },
  },
  {
    id: 'carrageenan-not-heated',
    severity: 'stop',
    about: 'carrageenan below its heat',
    find: (story) =>
      story.of(CARRAGEENAN).flatMap((told) =>
        story.hasSteps && story.minutesAt(told, 75) < 1.4
          ? [
              {
                lineId: told.id,
                message: `${told.food.name} does not dissolve below 75 °C; here it reaches ${whole(story.maxC(told))} °C.`,
                remedy: 'Heat it to 75 to 80 °C for 2 minutes.',
              },
            ]
          : [],
      ),
  },
  {
    id: 'kappa-without-potassium',
    severity: 'caution',
    about: 'kappa carrageenan without potassium',
    find: (story) =>
      story.of('kappa').flatMap((told) =>
        potassiumPct(story) < 20
          ? [
              {
                lineId: told.id,
                message: `Kappa carrageenan needs potassium to be firm; the mix holds ${whole(potassiumPct(story))} mg per 100 g.`,
                remedy: 'Add a potassium source, or a third as much locust bean gum.',
              },
            ]
          : [],
      ),
  },
  {
    id: 'acid-with-carrageenan',
    severity: 'stop',
    about: 'acid in the pot while carrageenan is hot',
    find: (story) =>
      story.of(CARRAGEENAN).flatMap((told) => {
        const worst = sourestWhileHot(story, told, 75)
        return worst === null || worst.pH >= 4.3
          ? []
          : [
              {
                lineId: told.id,
                stepId: worst.stepId,
                message: `Hot acid (about pH ${worst.pH.toFixed(1)}) breaks carrageenan down.`,
                remedy: 'Stir the acid in off the heat.',
              },
            ]
      }),
  },
  {
    id: 'methylcellulose-not-dispersed',
    // Lumps can be sheared out again: the dish is not lost.
    severity: 'caution',
    about: 'methylcellulose wetted without oil or hot liquid',
    find: (story) =>
      story.of(METHYLCELLULOSE).flatMap((told) => {
        const at = story.joins(told)
        const step = story.trace[at]
        if (step === undefined) return []
        const withFat = step.holds.some(({ food }) => food?.foodClass === 'fat')
        const saysHot = /\b(?:hot|boiling) (?:water|stock|liquid|milk)/i.test(step.step.text)
        // A cutter or a blender disperses it in ice water, too; with other powders it is only mixed.
        const isSheared = step.spec?.id === 'blend'
        const isDry = step.holds.every(({ entry }) => entry.isDry)
        return withFat || saysHot || isSheared || isDry || step.reading.state.coreC >= 80
          ? []
          : [
              {
                lineId: told.id,
                stepId: step.step.id,
                message: 'Methylcellulose lumps when it meets cold liquid as a powder.',
                remedy: 'Disperse it in the oil, or in liquid of 80 °C or more, then cool it.',
              },
            ]
      }),
  },
  {
    id: 'methylcellulose-warm',
    severity: 'stop',
    about: 'methylcellulose hydrated warm or not rested',
    find: (story) =>
      story.of(METHYLCELLULOSE).flatMap((told) => {
        if (story.joins(told) < 0) return []
        const cold = story
          .did(told, 'chill', 'rest')
          .filter(({ spec, step }) => spec?.id === 'chill' || (step.tempC ?? 20) <= 13)
          .reduce((sum, { reading }) => sum + reading.minutes, 0)
        return cold >= 30
          ? []
          : [
              {
                lineId: told.id,
                message: 'Methylcellulose takes up water only when it is cold, and needs an hour for it.',
                remedy: 'Chill the mix to 10 °C or below for 60 minutes before it is shaped.',
              },
            ]
      }),
  },
  {
    id: 'methylcellulose-not-set',
    severity: 'caution',
    about: 'methylcellulose below the heat at which it sets',
    find: (story) =>
      story.of(METHYLCELLULOSE).flatMap((told) => {
        const heated = story
          .through(told)
          .some(({ spec }) => spec !== null && spec.medium !== 'none' && spec.medium !== 'cold')
        return heated && story.maxC(told) < 60
          ? [
              {
                lineId: told.id,
                message: `Methylcellulose sets as it heats; the core reaches ${whole(story.maxC(told))} °C.`,
                remedy: 'Cook until the core passes 60 °C.',
              },
            ]
          : []
      }),
  },
  {
    id: 'methylcellulose-sole-binder',
    severity: 'info',
    about: 'methylcellulose alone, for a dish that may be served cold',
    find: (story) => {
      const told = story.of(METHYLCELLULOSE)[0]
      if (told === undefined) return []
      const others = story.of(
        ({ id, foodClass, binder }) =>
          id !== told.food.id &&
          (foodClass === 'starch' || foodClass === 'gluten' || (binder?.hotPerG ?? 0) >= 0.05),
      )
      return others.length > 0
        ? []
        : [
            {
              lineId: told.id,
              message: 'Methylcellulose is the only binder: it lets go below 40 °C.',
              remedy: 'Add starch or gluten if it is ever served cold.',
            },
          ]
    },
  },
  {
    id: 'konjac-not-set',
    severity: 'caution',
    about: 'konjac that is never heated',
    find: (story) =>
      story.of('konjac').flatMap((told) =>
        story.hasSteps && story.minutesAt(told, 80) < 10
          ? [
              {
                lineId: told.id,
                message: 'Konjac sets for good only with alkali and 20 minutes at 85 °C.',
                remedy:
                  'Add an alkali to pH 9 and heat it, or pair it with kappa carrageenan for a gel that melts.',
              },
            ]
          : [],
      ),
  },
  {
    id: 'fat-before-foam',
    severity: 'caution',
    about: 'fat in the bowl before the foam is whipped',
    find: (story) =>
      story.of(FOAMING).flatMap((told) => {
        const whipped = story.did(told, 'whip')[0]
        if (whipped === undefined) return []
        const fat = whipped.holds.find(({ food }) => food?.foodClass === 'fat')
        return fat === undefined
          ? []
          : [
              {
                lineId: told.id,
                stepId: whipped.step.id,
                message: `${capital(fat.name)} is in the bowl before the foam: fat makes it collapse.`,
                remedy: 'Whip first; fold the fat in last.',
              },
            ]
      }),
  },
]

export { acids, sourestWhileHot }
